package jollyspindle.core.marking;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.quilt.RegionId;

import java.util.Optional;

/**
 * A place on a run that is marked, or that a seam marks already.
 *
 * @param id which mark it is
 * @param number which of its kind on all of the run, as it is told; valleys count from 0 at the run's zero, the others from 1
 * @param onCentre whether it stands on the run's centre
 * @param along from the run's zero, in inches, exact
 * @param across from the seam outward, in inches, exact
 * @param place in the quilt's frame
 * @param by what marks it
 * @param stage when it is marked
 * @param after what must be stitched before; there for {@link Stage#STITCHED} alone
 * @param readings what the tape says, along the run
 * @param height what the tape says across the run
 */
public record Mark(
        MarkId id,
        int number,
        boolean onCentre,
        double along,
        double across,
        Point place,
        MarkedBy by,
        Stage stage,
        Optional<After> after,
        Readings readings,
        TapeReading height) {

    /** What a mark is for. */
    public enum Kind {
        /** Where two repeats meet. */
        VALLEY,
        /** A repeat's highest point. */
        CROWN,
        /** The middle of a run, where no valley stands on it. */
        CENTRE,
        /** Where two half arcs meet in the middle of a run. */
        MEETING,
        /** Where one placement of an arc's template hands over to the next. */
        HAND_OVER,
        /** Where two repeats meet on the edge away from the seam. */
        FAR_VALLEY,
        /** A crown of the arcs on that edge. */
        FAR_CROWN,
        /** An outer mark, half a repeat on from the seam's. */
        OUTER,
        /** The point about which a fan turns. */
        PIVOT,
        /** The middle of a circle. */
        MIDDLE,
        /** Where a straight line starts on the seam. */
        LINE_START,
        /** Where a straight line ends on the far edge. */
        LINE_END,
        /** Where a zigzag turns, or an S does. */
        TURN,
        /** The point of a diamond. */
        TIP,
        /** A foot of a corner's arc. */
        FOOT,
        /** The middle of a cornerstone's side. */
        MIDPOINT,
        /** Where a ray from the centre meets an area's edge. */
        RAY,
        /** Where a grid's lines cross. */
        GRID;

        /** Whether it stands where figures do, on their edge of the run, as a valley does. */
        public boolean low() {
            return switch (this) {
                case VALLEY, FAR_VALLEY, FOOT, PIVOT, LINE_START -> true;
                default -> false;
            };
        }
    }

    /** What shows the place on the cloth. */
    public enum MarkedBy {
        /** Chalk or another marker. */
        CHALK,
        /** A seam, so there is nothing to do. */
        SEAM,
        /** A line of the template, once it is laid; nothing to do. */
        TEMPLATE
    }

    /** When a mark is made. */
    public enum Stage {
        /** While the quilt still lies flat. */
        BEFORE_LOADING,
        /** On the frame, before the first stitch. */
        LOADED,
        /** Once the lines before it are stitched. */
        STITCHED
    }

    /** What is stitched before a mark can be made. */
    public enum Pass {
        /** The first line of every arc. */
        FIRST_LINES,
        /** The rows on both edges. */
        BOTH_ROWS,
        /** The row of fans below. */
        ROW_BELOW,
        /** The run's motifs before this one. */
        MOTIFS_BEFORE
    }

    /**
     * After which pass a mark is made.
     *
     * @param pass of its motif, or before it
     * @param motif which of the run's, from 1
     */
    public record After(Pass pass, int motif) {}

    /**
     * What the tape says at a mark, each rounded once from the true place.
     *
     * @param fromLeft from the run's left end
     * @param fromRight from the run's right end
     * @param fromCentre from the run's centre; below zero to the left of it
     */
    public record Readings(TapeReading fromLeft, TapeReading fromRight, TapeReading fromCentre) {}

    /** The region it is on, a run or an area. */
    public RegionId region() {
        return id.region();
    }

    /** What it is. */
    public Kind kind() {
        return id.kind();
    }

    /** The same mark, as it is measured, on another piece of cloth. */
    public Mark at(MarkId otherId, Point other) {
        return new Mark(otherId, number, onCentre, along, across, other, by, stage, after, readings, height);
    }

    /** The same, made before anything is stitched. */
    Mark madeAt(Stage other) {
        return new Mark(id, number, onCentre, along, across, place, by, other, Optional.empty(), readings, height);
    }

    Mark shownBy(MarkedBy other) {
        return new Mark(id, number, onCentre, along, across, place, other, stage, after, readings, height);
    }
}
