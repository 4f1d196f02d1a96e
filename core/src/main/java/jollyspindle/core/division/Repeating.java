package jollyspindle.core.division;

import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;

import java.util.OptionalDouble;

/** What is to stand on every repeat, as far as dividing has to know. */
public sealed interface Repeating {

    /** The widest repeat it can span, in inches. */
    double widest(Machine machine);

    /**
     * An arc of one template, whose rise follows from the repeat.
     *
     * @param template without a difficulty on the machine
     */
    record Arcs(ArcTemplate template) implements Repeating {
        @Override
        public double widest(Machine machine) {
            return ArcFit.widest(template, machine);
        }
    }

    /**
     * Something whose height doesn't depend on the repeat.
     *
     * @param own repeat it comes out with by itself, if it has one, in inches
     * @param widest repeat it allows, in inches
     * @param height from where it stands, in inches; 0 if it takes whatever room there is
     */
    record Figures(OptionalDouble own, double widest, double height) implements Repeating {
        @Override
        public double widest(Machine machine) {
            return widest;
        }
    }
}
