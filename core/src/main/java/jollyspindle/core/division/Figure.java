package jollyspindle.core.division;

import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.Optional;

/** What a cell of a divided run carries. */
public sealed interface Figure {

    /** The piece of the run it stands on. */
    Cell cell();

    /** This figure further along the run, in inches. */
    Figure moved(double by);

    /** This figure as it is seen from the other edge of a run of a length, in inches. */
    Figure turned(double length);

    /** The template it is stitched with; nothing if no arc is stitched there. */
    default Optional<ArcTemplate> arcTemplate() {
        return Optional.empty();
    }

    /** How the template suits it; nothing if no arc is stitched there. */
    default Optional<ArcFit> arc() {
        return Optional.empty();
    }

    /**
     * One arc from end to end.
     *
     * @param template it is stitched with
     * @param fit over the cell's width
     */
    record WholeArc(Cell cell, ArcTemplate template, ArcFit fit) implements Figure {
        @Override
        public Optional<ArcFit> arc() {
            return Optional.of(fit);
        }

        @Override
        public Optional<ArcTemplate> arcTemplate() {
            return Optional.of(template);
        }

        @Override
        public WholeArc turned(double length) {
            return new WholeArc(cell.turned(length), template, fit);
        }

        @Override
        public WholeArc moved(double by) {
            return new WholeArc(cell.moved(by), template, fit);
        }
    }

    /**
     * Half an arc, at an end of the run.
     *
     * @param template it is stitched with
     * @param fit over twice the cell's width
     * @param fromCrown whether its crown stands at the cell's left end; otherwise at its right
     */
    record HalfArc(Cell cell, ArcTemplate template, ArcFit fit, boolean fromCrown) implements Figure {
        @Override
        public Optional<ArcFit> arc() {
            return Optional.of(fit);
        }

        @Override
        public Optional<ArcTemplate> arcTemplate() {
            return Optional.of(template);
        }

        @Override
        public HalfArc turned(double length) {
            return new HalfArc(cell.turned(length), template, fit, !fromCrown);
        }

        @Override
        public HalfArc moved(double by) {
            return new HalfArc(cell.moved(by), template, fit, fromCrown);
        }
    }

    /**
     * Two arcs like the neighbours, from both ends of the cell to where they meet in its middle.
     *
     * @param template they are stitched with
     * @param fit over a neighbour's width
     * @param height above their feet where they meet, in inches
     * @param meeting how that looks
     */
    record HalvesMeeting(Cell cell, ArcTemplate template, ArcFit fit, double height, MiddleSpace.Meeting meeting)
            implements Figure {
        @Override
        public Optional<ArcFit> arc() {
            return Optional.of(fit);
        }

        @Override
        public Optional<ArcTemplate> arcTemplate() {
            return Optional.of(template);
        }

        @Override
        public HalvesMeeting turned(double length) {
            return new HalvesMeeting(cell.turned(length), template, fit, height, meeting);
        }

        @Override
        public HalvesMeeting moved(double by) {
            return new HalvesMeeting(cell.moved(by), template, fit, height, meeting);
        }

        /** Where the left arc is cut, as a part of its whole sweep: before its crown, on it or beyond. */
        public double cut() {
            double aside = (cell.width() - fit.segment().chord()) / 2;
            return 0.5
                    + Math.asin(aside / fit.segment().radius()) / fit.segment().sweep();
        }
    }

    /**
     * Something that isn't an arc of the run's template; its motif knows what.
     *
     * @param overRoom how far it passes the room it has, in inches; below 0 if room is left
     */
    record Other(Cell cell, double overRoom) implements Figure {
        @Override
        public Other turned(double length) {
            return new Other(cell.turned(length), overRoom);
        }

        @Override
        public Other moved(double by) {
            return new Other(cell.moved(by), overRoom);
        }
    }

    /** Nothing that is stitched with the run. */
    record Empty(Cell cell, Why why) implements Figure {
        @Override
        public Empty turned(double length) {
            return new Empty(cell.turned(length), why);
        }

        @Override
        public Empty moved(double by) {
            return new Empty(cell.moved(by), why);
        }
    }

    /** Why nothing is stitched on a cell. */
    enum Why {
        /** A motif of its own stands there. */
        OWN_MOTIF,
        /** It belongs to the corner's motif. */
        CORNER,
        /** It is left plain. */
        PLAIN,
        /** The template can't span it. */
        TOO_WIDE,
        /** The template that was chosen for it isn't in the job. */
        NO_TEMPLATE,
        /** The halves come down to the seam before they meet. */
        DONT_MEET
    }
}
