package jollyspindle.core.motif;

import jollyspindle.core.text.Guards;

import java.util.Optional;

/**
 * One motif of a run, and where it is stitched.
 *
 * @param motif which
 * @param edge it stands on
 * @param space that it fills
 * @param cells which of the figures before it are filled, if it doesn't fill the whole run
 * @param breathing space that stays free between it and the lines it fills up to, in inches, 0 to {@link #MOST_BREATHING}
 * @param halfStep whether its figures stand half a repeat on, with half a figure at each end of the run
 * @param templateId the job's copy of the template it is stitched with; may name none that is there
 * @param guideId which of that template's edges; one that suits while none is chosen
 * @param number that it keeps among the motifs of its run while others come and go, from 1; 0 until it is among some
 */
public record Layer(
        Motif motif,
        Edge edge,
        Space space,
        Cells cells,
        double breathing,
        boolean halfStep,
        Optional<String> templateId,
        Optional<String> guideId,
        int number) {

    /** More than this stays free beside no line, in inches. */
    public static final double MOST_BREATHING = 6;

    public Layer {
        Guards.within("breathing", breathing, 0, MOST_BREATHING);
    }

    /** Which figures along a run. */
    public enum Cells {
        EVERY,
        /** The first, the third, and so on. */
        ODD,
        /** The second, the fourth, and so on. */
        EVEN;

        boolean holds(int number) {
            return this == EVERY || number % 2 == (this == ODD ? 1 : 0);
        }
    }

    /** Which edge of a run. */
    public enum Edge {
        /** The one towards the quilt's middle. */
        SEAM,
        /** The other one; the motif hangs from it. */
        OUTSIDE
    }

    /** What a motif leaves for the ones after it. */
    public enum Space {
        /** The whole run. */
        ALL,
        /** What the motifs before enclose: inside the arcs, fans, circles or points. */
        INSIDE,
        /** What they don't enclose: above them. */
        ABOVE,
        /** Where their figures overlap: in the lenses. */
        OVERLAPS,
        /** Between a motif's outer line and the lines inside of it, or between the two rows of facing arcs. */
        BETWEEN
    }

    /** A motif on the seam that fills the whole run, its template not chosen yet. */
    public static Layer of(Motif motif) {
        return new Layer(motif, Edge.SEAM, Space.ALL, Cells.EVERY, 0, false, Optional.empty(), Optional.empty(), 0);
    }

    public Layer with(Motif other) {
        return new Layer(other, edge, space, cells, breathing, halfStep, templateId, guideId, number);
    }

    public Layer with(Edge other) {
        return new Layer(motif, other, space, cells, breathing, halfStep, templateId, guideId, number);
    }

    public Layer with(Space other) {
        return new Layer(motif, edge, other, cells, breathing, halfStep, templateId, guideId, number);
    }

    public Layer with(Cells other) {
        return new Layer(motif, edge, space, other, breathing, halfStep, templateId, guideId, number);
    }

    public Layer withBreathing(double other) {
        return new Layer(motif, edge, space, cells, other, halfStep, templateId, guideId, number);
    }

    public Layer withHalfStep(boolean other) {
        return new Layer(motif, edge, space, cells, breathing, other, templateId, guideId, number);
    }

    public Layer withTemplate(Optional<String> id, Optional<String> guide) {
        return new Layer(motif, edge, space, cells, breathing, halfStep, id, guide, number);
    }

    /** The same with another lasting number. */
    Layer withNumber(int other) {
        return new Layer(motif, edge, space, cells, breathing, halfStep, templateId, guideId, other);
    }

    /** Whether the same is stitched, and in the same way. */
    public boolean isLike(Layer other) {
        return withNumber(other.number).equals(other);
    }
}
