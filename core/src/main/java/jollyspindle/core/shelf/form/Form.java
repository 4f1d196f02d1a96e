package jollyspindle.core.shelf.form;

import java.util.List;
import java.util.Set;

/**
 * How a template is cut, in the sizes printed on it.
 *
 * <p>Every form has its own frame, in which it is pictured at home. Sizes are inches, over 0 and at most {@link #LARGEST}.
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

    /** Larger sizes than this, in inches, are no template's. */
    double LARGEST = 100;

    /** Acrylic that is left round an opening for want of a measured width, in inches. */
    double RIM = 0.75;

    Kind kind();

    /**
     * The true geometry of the acrylic. Where the sizes can't be cut, nothing of what can't is in it; an inspector says
     * why.
     *
     * @param label what the printed sizes mean
     * @param gap how wide the way is that lets the foot into an opening, in inches; 0 if there is none
     */
    Cut cut(SizeLabel label, double gap);

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
     * @param size in inches, over 0 and at most {@link #LARGEST}
     * @throws IllegalArgumentException if there is no such form
     */
    Form withMainSize(double size);

    /** All sizes printed on it, in inches; the main one alone unless it is a set. */
    default List<Double> sizes() {
        return List.of(mainSize());
    }

    /** @throws IllegalArgumentException if a size isn't over 0 and at most {@link #LARGEST} */
    static void size(double value, String what) {
        if (!(value > 0) || value > LARGEST) {
            throw new IllegalArgumentException(
                    "the " + what + " must be over 0 and at most " + LARGEST + ", not " + value);
        }
    }
}
