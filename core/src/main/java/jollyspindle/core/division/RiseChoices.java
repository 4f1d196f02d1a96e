package jollyspindle.core.division;

import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Which templates stitch arcs of a wished rise, and over which span: quilters often begin with the rise, and the span is what a
 * template then gives.
 */
public final class RiseChoices {

    /**
     * A template that does it.
     *
     * @param template its round edge
     * @param span of an arc that rises as wished, in inches: 2√(2Rh − h²)
     * @param repeats that go into the run so, 1 or more
     * @param left over then, in inches, 0 or more
     */
    public record Choice(ArcTemplate template, double span, int repeats, double left) {}

    private RiseChoices() {}

    /**
     * The templates that stitch arcs of a rise on a run, those first whose span is nearest to the wanted repeat.
     *
     * @param templates that may be taken
     * @param length of the run, in inches
     * @param repeat that is wanted, in inches
     * @param rise from where the arcs stand to their crowns, in inches, over 0
     */
    public static List<Choice> of(
            List<Template> templates, Machine machine, double length, double repeat, double rise) {
        return templates.stream()
                .flatMap(t -> t.arcs().stream())
                .filter(arc ->
                        arc.difficulty(machine).isEmpty() && rise <= arc.stitchedRadius(machine) + Tolerances.ROUNDING)
                .map(arc -> choice(arc, machine, length, rise))
                .filter(c -> c.span() >= Wish.SHORTEST_REPEAT
                        && c.span() <= Math.min(length + Tolerances.ROUNDING, Wish.LONGEST_REPEAT))
                .sorted(Comparator.comparingDouble(c -> Math.abs(c.span() - repeat)))
                .toList();
    }

    private static Choice choice(ArcTemplate arc, Machine machine, double length, double rise) {
        double radius = arc.stitchedRadius(machine);
        double span = CircularSegment.ofRadiusAndHeight(radius, Math.min(rise, radius))
                .chord();
        int repeats = (int) Math.floor(length / span + Tolerances.ROUNDING);
        return new Choice(arc, span, repeats, Math.max(0, length - repeats * span));
    }

    /** The highest rise that one of some templates gives, in inches: a half circle's; nothing if none has a round edge. */
    public static OptionalDouble highest(List<Template> templates, Machine machine) {
        return templates.stream()
                .flatMap(t -> t.arcs().stream())
                .filter(arc -> arc.difficulty(machine).isEmpty())
                .mapToDouble(arc -> arc.stitchedRadius(machine))
                .max();
    }
}
