package jollyspindle.core.shelf;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;

/** A number about what a template stitches with a foot. Inches and radians. */
public sealed interface StitchFact {

    /**
     * A circle or a piece of one.
     *
     * @param guide edge it is stitched along
     * @param radius of the stitched line
     * @param sweep how much of it can be stitched without moving the template
     */
    record Round(Guide guide, double radius, double sweep) implements StitchFact {

        /** Whether it goes all the way round. */
        public boolean whole() {
            return sweep > 2 * Math.PI - Tolerances.SAME_PLACE;
        }
    }

    /** Two edges that stitch the same curve. */
    record SameCurve(double radius) implements StitchFact {}

    /**
     * What stands above the seam when a rise line lies on it.
     *
     * @param guide edge it is stitched along
     * @param line that lies on the seam
     * @param span from foot to foot; on legs the full width
     * @param rise from the seam to the crown
     * @param sweep of the arc above the seam
     * @param placements how many it takes, since the usable edge may be shorter
     */
    record SpanAndRise(Guide guide, EngravedLine line, double span, double rise, double sweep, int placements)
            implements StitchFact {}

    /**
     * The same arc again, lowered from one rise line to the next: a shifted copy, which pinches at its feet.
     *
     * @param footGap from foot to foot along the seam, half the difference of the spans
     */
    record Lowered(EngravedLine from, EngravedLine to, double crownGap, double footGap) implements StitchFact {}

    /**
     * Fans set at a pitch of their outermost radius R: each arc starts on the ditch and ends on the back of the fan before.
     *
     * @param leastSweep of the innermost arc
     * @param mostSweep of the outermost arc
     * @param swivels how often the template is swivelled about its pivot for the outermost arc
     * @param secondRow how high above the first the next row stands, on its cusps: √(R² − (R/2)²)
     */
    record FanSet(double pitch, double leastSweep, double mostSweep, int swivels, double secondRow)
            implements StitchFact {}

    /** How far apart the tips of so many arms are: along the chord 2R·sin(180°/n), and along the arc. */
    record ArmSteps(int arms, double step, double tipGap, double tipArc) implements StitchFact {}

    /**
     * What a stitched circle is good for.
     *
     * @param grid of an orange peel whose four grid points it goes through: its diameter over √2
     * @param stitches once round, at {@link #STITCHES_PER_INCH}
     * @param onceAndAHalf stitches for one and a half turns, so that the needle leaves opposite to where it came in
     */
    record CircleUse(Guide guide, double grid, int stitches, int onceAndAHalf) implements StitchFact {

        /** Keeps small circles round (common practice, no source). */
        public static final double STITCHES_PER_INCH = 14;
    }

    /** The highest arch that goes on as straight legs: a span of twice the radius, and this rise. */
    record Arch(double span, double rise) implements StitchFact {}

    /**
     * What echo comes of laying a line on the stitching before: for the edge itself the foot's radius.
     *
     * @param spacing from line to line
     * @param seen between the foot and the earlier line: the spacing less the foot's radius
     */
    record Echo(Guide guide, double lineFromEdge, double spacing, double seen) implements StitchFact {

        /**
         * How far the needle travels from one line to the next along a line that crosses both, in inches: s/sin t.
         *
         * @param angle at which it crosses, in radians, over 0 and at most a quarter turn
         */
        public double walk(double angle) {
            return spacing / Math.sin(angle);
        }

        /** The walk along a line that crosses at 45°, in inches. */
        public double diagonalWalk() {
            return walk(Math.PI / 4);
        }
    }

    /**
     * How much wider than the foot a slot is; not over 0 if the foot can't get in.
     *
     * @param drift by how much the diameter changes from one wall to the other: twice the play
     */
    record Play(double play, double drift) implements StitchFact {}

    /** From each stitched circle to the next larger one, where they all lie alike about one centre. */
    record RingGap(double gap) implements StitchFact {}

    /** The sharp point in a notch, from the notch's own. */
    record SharpPoint(double angle, double moved) implements StitchFact {}

    /** Round an outside corner the needle goes on a piece of a circle of the foot's radius. */
    record RoundCorner(double radius, double sweep) implements StitchFact {}

    /** Clamshells. */
    record Shells(int bumps, double width, double rise, double radius) implements StitchFact {}

    /** A strip's repeat. */
    record Module(double module, double height, int repeats) implements StitchFact {}

    /** A turned arm. */
    record Reach(double reach, double length) implements StitchFact {}

    /** The largest square block whose corners an arm reaches from its centre: reach times the root of 2. */
    record CoversBlock(double side) implements StitchFact {}

    /** Straight edge or closed shape: how long a line is stitched without moving the template. */
    record Length(Guide guide, double length) implements StitchFact {}

    /** How much room the stitched figure takes. */
    record Extent(double width, double height) implements StitchFact {}
}
