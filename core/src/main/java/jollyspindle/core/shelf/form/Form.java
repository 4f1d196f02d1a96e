package jollyspindle.core.shelf.form;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Prediction;
import jollyspindle.core.shelf.StitchFacts;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.text.Guards;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * How a template is cut, in the sizes printed on it.
 *
 * <p>Every form has its own frame, in which it is pictured at home. Sizes are inches, {@link #SMALLEST} to
 * {@link #LARGEST}.
 */
public sealed interface Form
        permits ArcForm,
                CircleForm,
                SlottedCircles,
                SlottedFan,
                ScallopRow,
                StraightEdge,
                CornerForm,
                SerpentineStrip,
                ChevronStrip,
                TurnedArm,
                OutlineForm {

    /** Smaller sizes than this, in inches, are no template's. */
    double SMALLEST = 0.01;

    /** Larger sizes than this, in inches, are no template's. */
    double LARGEST = 100;

    /** Acrylic that is left round an opening for want of a measured width, in inches. */
    double RIM = 0.75;

    /** More sizes than this are on no template. */
    int MOST_SIZES = 60;

    /** All that is kept, typed and shown of forms like this one. */
    FormType<?> type();

    default Kind kind() {
        return type().kind();
    }

    /**
     * The true geometry of the acrylic. Where the sizes can't be cut, nothing of what can't is in it; an inspector says
     * why.
     *
     * @param label what the printed sizes mean
     * @param gap how wide the way is that lets the foot into an opening, in inches; 0 if there is none
     */
    Cut cut(SizeLabel label, double gap);

    /** Adds what there is to know of what it stitches, the most important first. */
    void facts(StitchFacts facts);

    /** What is measured on cloth to check it, and what that should be with a foot of a radius in inches. */
    default Prediction foretell(Cut cut, SizeLabel label, double foot) {
        return Prediction.round(cut, label, foot);
    }

    /** Adds what is the matter with a template of this form. */
    default void inspect(Template template, Machine machine, List<TemplateDiagnostic> found) {
        // Most forms have nothing of their own.
    }

    /** The edges of a template of this form that a border of arcs can be stitched along, the main one first. */
    default List<ArcTemplate> arcs(Template template) {
        return List.of();
    }

    /** Whether lines are stitched along its main edge at a distance. */
    default boolean isFollowedBeside() {
        return true;
    }

    /** How wide the slots are that the foot runs in, in inches; without bounds if it runs in none. */
    default double slotWidth() {
        return Double.POSITIVE_INFINITY;
    }

    /** Whether the foot goes into its slots, if it has any. */
    default boolean slotsTake(Machine machine) {
        return slotWidth() >= 2 * machine.footRadius() - Tolerances.ROUNDING;
    }

    /** From repeat to repeat of a strip, in inches. */
    default OptionalDouble repeat() {
        return OptionalDouble.empty();
    }

    /** Whether there are sizes on it that can be printed as radius or diameter, as cut or as stitched. */
    default boolean hasSizeLabel() {
        return false;
    }

    /** Whether it has openings that the foot must get into. */
    default boolean hasOpenings() {
        return false;
    }

    /** The kinds of engraved line that make sense on it. */
    Set<EngravedLine.Kind> lines();

    /** The size by which templates of this kind are told apart, in inches: the one a copy is made larger or smaller by. */
    double mainSize();

    /**
     * This form in another size: the main size is as given, what hangs on it follows in proportion, and what has a reason
     * of its own (slot, hook, the depth of acrylic behind an edge) stays.
     *
     * @param size in inches, {@link #SMALLEST} to {@link #LARGEST}
     * @throws IllegalArgumentException if there is no such form
     */
    Form withMainSize(double size);

    /** All sizes printed on it, in inches; the main one alone unless it is a set. */
    default List<Double> sizes() {
        return List.of(mainSize());
    }

    /** The least and the most, in degrees, that a slot or a pair of legs reaches round. */
    double LEAST_SWEEP = 1;

    double MOST_SWEEP = 359.9;

    /** @throws IllegalArgumentException if a size isn't {@link #SMALLEST} to {@link #LARGEST} */
    static void size(double value, String thing) {
        Guards.within(thing, value, SMALLEST, LARGEST);
    }
}
