package jollyspindle.core.placement;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;

import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * Where a line starts or stops, and what shows the place on the cloth.
 *
 * @param place in the quilt's frame
 * @param shownBy what shows it
 * @param mark if it is one
 */
public record LineEnd(Point place, ShownBy shownBy, Optional<Mark> mark) {

    /** The same with its mark exchanged, if it is one. */
    LineEnd with(UnaryOperator<Mark> exchanged) {
        return new LineEnd(place, shownBy, mark.map(exchanged));
    }

    /** What shows a place, so that it needs no mark. */
    public enum ShownBy {
        /** A mark. */
        MARK,
        /** Nothing need show it: a whole circle may begin anywhere. */
        ANYWHERE,
        /** The seam the motif stands on. */
        SEAM,
        /** The run's other edge, or the limit of stitching there. */
        FAR_EDGE,
        /** The edge of what is kept clear beside an area's seam. */
        KEPT_CLEAR,
        /** The end of the run: a corner's seam, or the limit of stitching. */
        RUN_END,
        /** The seam or fold in the corner, where two borders meet. */
        MITRE,
        /** A line drawn along the middle of the run. */
        MIDDLE_LINE,
        /** A line drawn on the cloth, along which the stitching goes by hand. */
        DRAWN_LINE,
        /** A line that has been stitched before, or this one where it crosses itself. */
        STITCHING,
        /** A small circle about the centre, on which lines stop. */
        STOP_CIRCLE,
        /** The template: its edge begins or ends here. */
        TEMPLATE,
        /** The line that was stitched just before ended here. */
        NEEDLE
    }

    public static LineEnd at(Mark mark) {
        return new LineEnd(mark.place(), ShownBy.MARK, Optional.of(mark));
    }

    public static LineEnd at(Point place, ShownBy by) {
        return new LineEnd(place, by, Optional.empty());
    }
}
