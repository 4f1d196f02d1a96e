package jollyspindle.core.motif;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.RefusedValue;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What is stitched on a run, over and over. Lengths are in inches, angles in radians.
 *
 * <p>Common practice, no source, for what the motifs are; their geometry is derived where they are laid out.
 */
public sealed interface Motif {

    /** More lines than this side by side nobody stitches. */
    int MOST_LINES = 24;

    /** More passes over one line than this thicken it to a cord. */
    int MOST_PASSES = 3;

    /** The closest that lines can be, in inches. */
    double CLOSEST = 1.0 / 16;

    /** The farthest that lines of one motif can be from each other, in inches. */
    double FARTHEST = 24;

    /** The largest gap between circles, and the largest rounding of corners, in inches. */
    double WIDEST = 12;

    /** The steepest and the flattest angle against the seam, in degrees. */
    double LEAST_SLANT = 10;

    double MOST_SLANT = 170;

    /** How lines that belong to one arc follow each other. */
    enum Inner {
        /** The same template lowered: the same arc again, each time lower. */
        LOWERED,
        /** The template pushed towards the seam, an engraved line on the stitching: the whole arc again, shifted. */
        SHIFTED,
        /** Lines at the same distance everywhere, which takes an arc of another radius for each. */
        PARALLEL
    }

    /**
     * Arcs from valley to valley.
     *
     * @param inner how further lines follow, where there are any
     * @param lines how many lines an arc has, 1 to {@link #MOST_LINES}
     * @param step from one line's crown to the next
     * @param rises of the lowered lines below the first, each less than the one before; if empty they are stepped evenly
     * @param otherTemplate the template of every second arc, if two sizes take turns
     * @param passes over every line, 1 to {@link #MOST_PASSES}
     */
    record Arcs(Inner inner, int lines, double step, List<Double> rises, Optional<String> otherTemplate, int passes)
            implements Motif {
        public Arcs {
            checkLines(lines);
            checkDistance(step);
            checkPasses(passes);
            rises = checkedRises(rises);
        }

        /** One arc a repeat. */
        public static Arcs single() {
            return new Arcs(Inner.LOWERED, 1, 0.5, List.of(), Optional.empty(), 1);
        }

        public Arcs with(Inner other) {
            return new Arcs(other, lines, step, rises, otherTemplate, passes);
        }

        public Arcs withLines(int other) {
            return new Arcs(inner, other, step, rises, otherTemplate, passes);
        }

        /** This motif with its lines stepped evenly. */
        public Arcs withStep(double other) {
            return new Arcs(inner, lines, other, List.of(), otherTemplate, passes);
        }

        public Arcs withOtherTemplate(Optional<String> other) {
            return new Arcs(inner, lines, step, rises, other, passes);
        }

        public Arcs withPasses(int other) {
            return new Arcs(inner, lines, step, rises, otherTemplate, other);
        }
    }

    /** How arcs on the two edges of a run face each other. */
    enum Facing {
        /** Crown to crown. */
        CROWNS,
        /** Offset by half a repeat: a crown faces a valley. */
        HALF_STEP,
        /** Two small ones face one large. */
        TWO_TO_ONE,
        /** Both rows on the same edge, the second offset by half a repeat, so that they overlap. */
        OVERLAPPING
    }

    /**
     * Arcs on both edges of a run.
     *
     * @param facing how they stand to each other
     * @param channel what is left between the crowns of both edges, below 0 if they overlap; both rows are moved inwards or
     *     outwards to make it so; nothing if the rows stand on the edges and the channel is what comes of it
     * @param inset how far from each crown the diamond in the middle starts; nothing if there is none
     * @param crownLines whether straight lines join the crowns
     * @param valleyLines whether straight lines join the valleys
     * @param rises of lowered arcs inside those of both rows, each less than the one before; none if it is empty
     * @param otherTemplate of the far edge, if it is another one
     * @param passes over every arc
     * @param diamondPasses over every side of the diamonds
     */
    record FacingArcs(
            Facing facing,
            OptionalDouble channel,
            OptionalDouble inset,
            boolean crownLines,
            boolean valleyLines,
            List<Double> rises,
            Optional<String> otherTemplate,
            int passes,
            int diamondPasses)
            implements Motif {

        /** Single rows. */
        public FacingArcs(
                Facing facing,
                OptionalDouble channel,
                OptionalDouble inset,
                boolean crownLines,
                boolean valleyLines,
                Optional<String> otherTemplate,
                int passes) {
            this(facing, channel, inset, crownLines, valleyLines, List.of(), otherTemplate, passes, 1);
        }

        public FacingArcs {
            rises = checkedRises(rises);
            checkPasses(passes);
            checkPasses(diamondPasses);
            inset.ifPresent(Motif::checkDistance);
            channel.ifPresent(inches -> Guards.within("channel", inches, -FARTHEST, FARTHEST));
        }

        public FacingArcs with(Facing other) {
            return new FacingArcs(
                    other, channel, inset, crownLines, valleyLines, rises, otherTemplate, passes, diamondPasses);
        }

        public FacingArcs withChannel(OptionalDouble other) {
            return new FacingArcs(
                    facing, other, inset, crownLines, valleyLines, rises, otherTemplate, passes, diamondPasses);
        }

        /** How many lower arcs there are inside each. */
        public int lowered() {
            return rises.size();
        }

        public FacingArcs withRises(List<Double> other) {
            return new FacingArcs(
                    facing, channel, inset, crownLines, valleyLines, other, otherTemplate, passes, diamondPasses);
        }

        public FacingArcs withOtherTemplate(Optional<String> other) {
            return new FacingArcs(facing, channel, inset, crownLines, valleyLines, rises, other, passes, diamondPasses);
        }

        public FacingArcs withDiamondPasses(int other) {
            return new FacingArcs(facing, channel, inset, crownLines, valleyLines, rises, otherTemplate, passes, other);
        }

        public FacingArcs withPasses(int other) {
            return new FacingArcs(
                    facing, channel, inset, crownLines, valleyLines, rises, otherTemplate, other, diamondPasses);
        }
    }

    /** How the two curves of a sail bulge, seen from the edge it stands on. */
    enum Lean {
        /** Both to the right, so that the tip leans back to the left. */
        LEFT,
        /** Both to the left, so that the tip leans to the right. */
        RIGHT,
        /** Each outwards: the template turned over for the way down. */
        UPRIGHT
    }

    /**
     * Sails, each of two curves: from a valley on the seam up to an outer mark half a repeat on, and from there down to the next
     * valley; then echoes of the first curve inside each, stitched the other way.
     *
     * @param echoes of each sail, 0 to {@link #MOST_LINES}
     * @param spacing from echo to echo, square to them
     * @param lean how the curves bulge
     */
    record Sails(int echoes, double spacing, Lean lean) implements Motif {
        public Sails {
            Guards.within("echoes", echoes, 0, MOST_LINES);
            checkDistance(spacing);
        }

        public Sails withEchoes(int other) {
            return new Sails(other, spacing, lean);
        }
    }

    /**
     * Fans with their pivots on the valleys; each ends where it meets the fan before.
     *
     * @param blades arcs of every fan, from the pivot outward; 1 to {@link #MOST_LINES}
     * @param rows one above the other, each on the cusps of the row below; 1 to 6
     * @param back whether every second row is stitched on the way back, its fans leaning the other way
     * @param otherTemplate a second set, whose blades stand between those of the first
     */
    record Fans(int blades, int rows, boolean back, Optional<String> otherTemplate) implements Motif {

        /** Of one set, all rows from the left. */
        public Fans(int blades, int rows) {
            this(blades, rows, false, Optional.empty());
        }

        public Fans {
            checkLines(blades);
            Guards.within("rows", rows, 1, 6);
        }

        public Fans withBlades(int other) {
            return new Fans(other, rows, back, otherTemplate);
        }

        public Fans withRows(int other) {
            return new Fans(blades, other, back, otherTemplate);
        }

        public Fans withBack(boolean other) {
            return new Fans(blades, rows, other, otherTemplate);
        }

        public Fans withOtherTemplate(Optional<String> other) {
            return new Fans(blades, rows, back, other);
        }
    }

    /** Which way round the circles of a chain are stitched. */
    enum Turning {
        /** All the same way. */
        SAME,
        /** Every second one the other way. */
        ALTERNATING
    }

    /** Where a chain of circles runs. */
    enum Channel {
        /** Along the middle of the run. */
        STRAIGHT,
        /** Between the two outer lines of each arc of a motif before. */
        IN_ARCS,
        /** Half circles on the second line of each of those arcs. */
        ON_ARCS,
        /** One in each bend of the lines of the motifs before, as on a vine. */
        IN_BENDS,
        /** Small ones along those lines, on one side and the other in turn, as berries are. */
        BESIDE_LINES
    }

    /**
     * A chain of circles in a channel.
     *
     * @param gap between neighbours and to both edges at least
     * @param halfTurns how far round each is stitched: 2 is once, 3 once and a half
     * @param turning which way
     * @param swirl whether a curl runs through the middle of each
     * @param channel where
     */
    record Circles(double gap, int halfTurns, Turning turning, boolean swirl, Channel channel) implements Motif {

        /** Along the middle of the run. */
        public Circles(double gap, int halfTurns, Turning turning, boolean swirl) {
            this(gap, halfTurns, turning, swirl, Channel.STRAIGHT);
        }

        public Circles {
            Guards.within("gap", gap, 0, WIDEST);
            Guards.within("halfTurns", halfTurns, 2, 6);
        }

        public Circles withGap(double other) {
            return new Circles(other, halfTurns, turning, swirl, channel);
        }

        public Circles withHalfTurns(int other) {
            return new Circles(gap, other, turning, swirl, channel);
        }

        public Circles with(Turning other) {
            return new Circles(gap, halfTurns, other, swirl, channel);
        }

        public Circles with(Channel other) {
            return new Circles(gap, halfTurns, turning, swirl, other);
        }
    }

    /**
     * An S of two arcs from edge to edge, again and again along the run, up one and down the next.
     *
     * @param perRepeat how many to a repeat, evenly spaced
     * @param mirrored whether it bulges the other way first, as on the neighbouring strip
     */
    record Serpentine(int perRepeat, boolean mirrored) implements Motif {
        public Serpentine {
            checkLines(perRepeat);
        }

        public Serpentine withPerRepeat(int other) {
            return new Serpentine(other, mirrored);
        }
    }

    /** What a chevron looks like. */
    enum Points {
        /** Up to a point and down again. */
        PEAKS,
        /** Up, across, down, across. */
        BOXES,
        /** Along the edge of a strip of waves. */
        WAVES,
        /** Half circles along a plate with several bumps. */
        HALF_CIRCLES
    }

    /**
     * A zigzag, a row of boxes, or of waves.
     *
     * @param points which of them
     * @param height from valley to tip; nothing for 90° points, or boxes as high as they are wide
     * @param rounding radius of rounded corners; 0 if they are sharp
     * @param perRepeat how many to a repeat, 1 to {@link #MOST_LINES}
     * @param closed whether peaks and boxes are closed along the edge they stand on
     * @param outer lines outside of it, 0 to {@link #MOST_LINES}
     * @param lines how many, each beside the one before on the seam's side
     * @param spacing from line to line, square to them
     */
    record Chevrons(
            Points points,
            OptionalDouble height,
            double rounding,
            int perRepeat,
            boolean closed,
            int outer,
            int lines,
            double spacing)
            implements Motif {

        /** One to a repeat. */
        public Chevrons(Points points, OptionalDouble height, double rounding, int lines, double spacing) {
            this(points, height, rounding, 1, false, 0, lines, spacing);
        }

        public Chevrons {
            checkLines(perRepeat);
            Guards.within("outer", outer, 0, MOST_LINES);
            checkLines(lines);
            checkDistance(spacing);
            height.ifPresent(Motif::checkDistance);
            Guards.within("rounding", rounding, 0, WIDEST);
        }

        public Chevrons with(Points other) {
            return new Chevrons(other, height, rounding, perRepeat, closed, outer, lines, spacing);
        }

        public Chevrons withHeight(OptionalDouble other) {
            return new Chevrons(points, other, rounding, perRepeat, closed, outer, lines, spacing);
        }

        public Chevrons withLines(int other) {
            return new Chevrons(points, height, rounding, perRepeat, closed, outer, other, spacing);
        }

        public Chevrons withPerRepeat(int other) {
            return new Chevrons(points, height, rounding, other, closed, outer, lines, spacing);
        }

        public Chevrons withClosed(boolean other) {
            return new Chevrons(points, height, rounding, perRepeat, other, outer, lines, spacing);
        }

        public Chevrons withOuter(int other) {
            return new Chevrons(points, height, rounding, perRepeat, closed, other, lines, spacing);
        }
    }

    /**
     * Almonds of two arcs, lying along the run: on the crowns of the arcs before, or on the edge they stand on.
     *
     * @param height of each; nothing for as high as there is room
     */
    record Almonds(OptionalDouble height) implements Motif {
        public Almonds {
            height.ifPresent(Motif::checkDistance);
        }
    }

    /**
     * Straight lines across the run.
     *
     * @param perRepeat how many to a repeat
     * @param angle against the seam, over 0 and less than half a turn; a quarter turn is straight across
     */
    record StraightLines(int perRepeat, double angle) implements Motif {

        /** Whether they go straight across the run. */
        public boolean upright() {
            return Math.abs(angle - Math.PI / 2) < Tolerances.ROUNDING;
        }

        public StraightLines {
            checkLines(perRepeat);
            checkSlant(angle);
        }

        public StraightLines withPerRepeat(int other) {
            return new StraightLines(other, angle);
        }

        public StraightLines withAngle(double other) {
            return new StraightLines(perRepeat, other);
        }
    }

    /**
     * Two sets of parallel lines.
     *
     * @param spacing in each set, wanted
     * @param angle of the first set against the seam; the second leans the other way
     * @param even whether what divides the space evenly next to the wanted spacing is taken; else the last line stands where it comes
     * @param curved whether they are arcs of the run's template, and not straight
     */
    record Crosshatch(double spacing, double angle, boolean even, boolean curved) implements Motif {
        public Crosshatch {
            checkDistance(spacing);
            checkSlant(angle);
        }

        public Crosshatch withSpacing(double other) {
            return new Crosshatch(other, angle, even, curved);
        }

        public Crosshatch withAngle(double other) {
            return new Crosshatch(spacing, other, even, curved);
        }
    }

    private static List<Double> checkedRises(List<Double> rises) {
        checkLines(rises.size() + 1);
        for (int i = 0; i < rises.size(); i++) {
            checkDistance(rises.get(i));
            if (i > 0 && rises.get(i) >= rises.get(i - 1)) {
                throw new RefusedValue("rises", Refusals.say("arcs.rises"));
            }
        }
        return List.copyOf(rises);
    }

    private static void checkLines(int lines) {
        Guards.within("lines", lines, 1, MOST_LINES);
    }

    private static void checkPasses(int passes) {
        Guards.within("passes", passes, 1, MOST_PASSES);
    }

    private static void checkDistance(double inches) {
        Guards.within("distance", inches, CLOSEST, FARTHEST);
    }

    private static void checkSlant(double angle) {
        Guards.degrees("angle", angle, LEAST_SLANT, MOST_SLANT);
    }
}
