package jollyspindle.core.motif;

import jollyspindle.core.diagnostic.Diagnostic;

import java.util.OptionalDouble;

/** Why a motif can't be laid out as it was asked for, or what there is to know about it. All lengths in inches. */
public sealed interface MotifDiagnostic extends Diagnostic {

    /**
     * It is higher than its room.
     *
     * @param over by how much
     */
    record TooHigh(double over) implements MotifDiagnostic {}

    /**
     * A corner arc's feet are to stand so far out that little of the runs would be left.
     *
     * @param feet from the corner
     * @param most that is allowed
     */
    record FeetTooFar(double feet, double most) implements MotifDiagnostic {}

    /**
     * Fewer lines have room than were asked for.
     *
     * @param asked how many
     * @param room for how many
     */
    record TooMany(int asked, int room) implements MotifDiagnostic {}

    /**
     * Fewer lines have room outside of peaks than were asked for.
     *
     * @param asked how many
     * @param room for how many
     */
    record TooManyOutside(int asked, int room) implements MotifDiagnostic {}

    /**
     * Fewer rows of fans have room than were asked for.
     *
     * @param asked how many
     * @param room for how many
     */
    record TooManyRows(int asked, int room) implements MotifDiagnostic {}

    /**
     * The fans stand too far apart: an arc ends on the ditch, not on the fan before.
     *
     * @param pitch from pivot to pivot
     * @param radius of the outermost arc
     */
    record FansApart(double pitch, double radius) implements MotifDiagnostic, Diagnostic.Warning {}

    /**
     * Lowered lines come close at their feet.
     *
     * @param gap the narrowest, measured square to them
     */
    record Pinched(double gap) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * The foot doesn't get so near to a line that is stitched already.
     *
     * @param spacing asked for
     * @param least that can be
     */
    record TooClose(double spacing, double least) implements MotifDiagnostic {}

    /**
     * The arc is too round: it would bulge out of the space it stands in.
     *
     * @param radius it stitches
     * @param least that stays inside
     */
    record TooRound(double radius, double least) implements MotifDiagnostic {}

    /** No arcs before have two lines that are as far from each other everywhere. */
    record NoChannel() implements MotifDiagnostic {}

    /**
     * Some places along lines have no room for a circle.
     *
     * @param places how many
     */
    record NoRoomForCircles(int places) implements MotifDiagnostic, Diagnostic.Note {}

    /** Circles are to touch lines of the motifs before, and there are none. */
    record NothingToStandOn() implements MotifDiagnostic {}

    /**
     * How the needle gets from one almond to the next where they don't touch.
     *
     * @param times how often
     * @param apart from tip to tip
     * @param retraced along what is stitched, from one to the next
     * @param travel whether that is short enough to go back along it; otherwise thread is broken
     */
    record FromAlmond(int times, double apart, double retraced, boolean travel)
            implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * Arcs that aren't whole have no channel that circles go in.
     *
     * @param arcs how many
     */
    record WithoutCircles(int arcs) implements MotifDiagnostic, Diagnostic.Note {}

    /** A cornerstone's four sides can't meet. */
    record SidesOpen() implements MotifDiagnostic {}

    /**
     * A cornerstone isn't square, so that each arc is shifted until it meets its own two points, and they rise unlike.
     *
     * @param least rise of one of them
     * @param most rise of one of them
     */
    record StoneEased(double least, double most) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * A strip's figure is stretched or shortened at its crown, since the piecing is out.
     *
     * @param cells in how many repeats
     * @param by how much in each at most; below 0 if it is shortened
     */
    record Eased(int cells, double by) implements MotifDiagnostic, Diagnostic.Note {

        /** By how much, whichever way. */
        public double much() {
            return Math.abs(by);
        }
    }

    /**
     * A mitre arc runs along the run's first arc for a while.
     *
     * @param gap between them, half an inch from their foot
     * @param better how far out its feet stand clear of that; nothing if no feet do
     */
    record RunsAlong(double gap, OptionalDouble better) implements MotifDiagnostic, Diagnostic.Warning {}

    /**
     * Every row of fans begins at the same end, so that the needle has to go back along the run.
     *
     * @param back how far
     */
    record RowsFromLeft(double back) implements MotifDiagnostic, Diagnostic.Note {}

    /** The motifs before leave no such space. */
    record NoSpace() implements MotifDiagnostic {}

    /**
     * The count should be of another kind.
     *
     * @param odd whether it should be odd; otherwise even
     */
    record Parity(boolean odd) implements MotifDiagnostic, Diagnostic.Warning {}

    /**
     * A strip's figures are of one size, and the repeats are of another that is seen to differ.
     *
     * @param module of the strip
     * @param repeat of the run
     */
    record OffModule(double module, double repeat) implements MotifDiagnostic, Diagnostic.Warning {

        /** Whether gaps stay between the figures; otherwise they cut into each other. */
        public boolean gaps() {
            return module < repeat;
        }
    }

    /** What is chosen about figures that a template stitches just as they are cut. */
    enum Figure {
        HEIGHT,
        ROUNDING,
        CLOSED
    }

    /**
     * Something was chosen about the figures that the template has no say in.
     *
     * @param what was chosen
     */
    record AsCut(Figure what) implements MotifDiagnostic, Diagnostic.Warning {}

    /**
     * A template with several figures stitches several at once.
     *
     * @param figures there are
     * @param holds that they take
     */
    record Together(int figures, int holds) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * A template with several figures stitches but one at once, since the repeats aren't exactly as wide as its figures.
     *
     * @param figures it has
     * @param module of each
     */
    record OneByOne(int figures, double module) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * How often a strip's figure goes into the run's depth.
     *
     * @param rows how often
     * @param over what is left at each edge
     */
    record Rows(int rows, double over) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * How far the needle goes from one echo to the next: along the seam, and along the line that they end on.
     *
     * @param spacing of the echoes, square to them
     * @param walk between their feet
     * @param climb between their ends
     */
    record Walk(double spacing, double walk, double climb) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * Echoes that one template stitches all of aren't as far from each other everywhere.
     *
     * @param spacing that is wanted, square to them
     * @param narrowest that comes of it
     * @param widest that comes of it
     * @param radius that stitches the first of them as far away everywhere
     */
    record Uneven(double spacing, double narrowest, double widest, double radius)
            implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * A template near the wanted radius was found, so that echoes stand a little otherwise than wanted.
     *
     * @param wanted between the lines
     * @param really between them
     */
    record Spacing(double wanted, double really) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * How often the template is turned about its pivot part-way.
     *
     * @param blade radius of the largest blade
     * @param each how often for that blade
     * @param all how often on the run
     */
    record Swivels(double blade, int each, int all) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * How a chain of circles comes out.
     *
     * @param diameter of each
     * @param gap between neighbours
     * @param end from the last to the run's end
     * @param edge from each to both edges
     */
    record Chain(double diameter, double gap, double end, double edge) implements MotifDiagnostic, Diagnostic.Note {}

    /**
     * On a quilt that isn't square the corners differ.
     *
     * @param by how much further one crown stands out than another
     */
    record CornersDiffer(double by) implements MotifDiagnostic, Diagnostic.Note {}
}
