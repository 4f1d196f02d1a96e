package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.RefusedValue;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * What is stitched in an area. Lengths are in inches, angles in radians.
 *
 * <p>Common practice, no source, for what the motifs are; their geometry is derived where they are laid out.
 *
 * <p>The page is long since it is the list of all that can be stitched there, as data alone.
 */
public sealed interface AreaMotif {

    /** What stands so many times round the centre. */
    sealed interface Counted extends AreaMotif {

        int count();

        /** The least count. */
        default int fewest() {
            return 3;
        }

        /**
         * As many of them as asked for.
         *
         * @throws IllegalArgumentException below {@link #fewest} or above {@link #MOST_ARMS}
         */
        Counted withCount(int other);

        /** Of the first from the top, clockwise, in radians. */
        default double turn() {
            return 0;
        }

        /** From one to the next, in radians. */
        default double step() {
            return 2 * Math.PI / count();
        }
    }

    int FEWEST_ARMS = 2;
    int MOST_ARMS = 64;

    /** More rings or rows than this nobody stitches. */
    int MOST = 100;

    /** The least and the most, in degrees, that hatching is turned from along the area. */
    double LEAST_SLANT = 10;

    double MOST_SLANT = 170;

    /** The closest that lines can be, in inches. */
    double CLOSEST = 1.0 / 16;

    /** The largest distance that is asked for, in inches. */
    double LARGEST = 60;

    /** How the needle gets from arm to arm. */
    enum Way {
        /** Out along an arm and back along the same one, so that it is stitched twice. */
        OUT_AND_BACK,
        /** Out along one arm, along the area's edge, in along the next; arms that end short of it are stitched twice. */
        ALONG_EDGE
    }

    /** What arms are turned about. */
    enum About {
        CENTRE(Optional.empty()),
        TOP_LEFT(Optional.of(Corner.TOP_LEFT)),
        TOP_RIGHT(Optional.of(Corner.TOP_RIGHT)),
        BOTTOM_RIGHT(Optional.of(Corner.BOTTOM_RIGHT)),
        BOTTOM_LEFT(Optional.of(Corner.BOTTOM_LEFT));

        private final Optional<Corner> corner;

        About(Optional<Corner> corner) {
            this.corner = corner;
        }
    }

    /**
     * Arms of one template, turned about the centre step by step.
     *
     * @param arms {@link #FEWEST_ARMS} to {@link #MOST_ARMS}
     * @param way of the needle
     * @param stop radius of the circle about the centre on which the lines stop, so that thread doesn't pile up; 0 if they
     *     meet in the centre
     * @param mirrored whether the template is turned over for a second set that crosses the first
     * @param turn of the first arm from the top, clockwise, 0 to 2π
     * @param circled whether that circle is stitched first, so that the needle gets from arm to arm on it; needs one
     * @param outer radius of a circle drawn about the centre that they end on, over {@code stop}; without one they end at the
     *     edge, or where the template does
     * @param within whether they end on the first line of the layers before that they come to, or at what lies on the piece
     * @param about what they are turned; about a corner they are spread over its quarter
     */
    record Arms(
            int arms,
            Way way,
            double stop,
            boolean mirrored,
            double turn,
            boolean circled,
            OptionalDouble outer,
            boolean within,
            About about)
            implements Counted {
        public Arms {
            Guards.within("arms", arms, FEWEST_ARMS, MOST_ARMS);
            upTo("stop", stop);
            if (circled && stop == 0) {
                throw new RefusedValue("circled", Refusals.say("arms.circled"));
            }
            Guards.degrees("turn", turn, 0, 360);
            outer.ifPresent(AreaMotif::distance);
            if (outer.isPresent() && !(outer.getAsDouble() > stop)) {
                throw new RefusedValue("outer", Refusals.say("arms.outer"));
            }
        }

        /** About the centre. */
        public Arms(
                int arms,
                Way way,
                double stop,
                boolean mirrored,
                double turn,
                boolean circled,
                OptionalDouble outer,
                boolean within) {
            this(arms, way, stop, mirrored, turn, circled, outer, within, About.CENTRE);
        }

        /** The same about a corner, out to what they come to first. */
        public Arms about(About corner) {
            return new Arms(arms, way, stop, mirrored, turn, circled, outer, true, corner);
        }

        /** The corner they are turned about; nothing if they stand round the centre. */
        public Optional<Corner> corner() {
            return about.corner;
        }

        /** From one to the next: over a whole turn, or over the quarter of a corner. */
        @Override
        public double step() {
            return 2 * Math.PI / arms / (corner().isPresent() ? 4 : 1);
        }

        /**
         * Of the first from the top, clockwise, in radians. In a corner it stands half a step off the seam, and is turned on from
         * there; when one has been turned out of the quarter the next is the first.
         */
        double first() {
            double off = step() / 2 + turn;
            return corner().map(c -> c.quarter() + off - step() * Math.floor(off / step()))
                    .orElse(turn);
        }

        /** Without a stitched circle, out to the edge. */
        public Arms(int arms, Way way, double stop, boolean mirrored, double turn) {
            this(arms, way, stop, mirrored, turn, false, OptionalDouble.empty(), false);
        }

        /** Out to the edge. */
        public Arms(int arms, Way way, double stop, boolean mirrored, double turn, boolean circled) {
            this(arms, way, stop, mirrored, turn, circled, OptionalDouble.empty(), false);
        }

        /** One set, the first arm at the top. */
        public Arms(int arms, Way way, double stop) {
            this(arms, way, stop, false, 0);
        }

        @Override
        public int count() {
            return arms;
        }

        @Override
        public int fewest() {
            return FEWEST_ARMS;
        }

        @Override
        public Arms withCount(int other) {
            return new Arms(other, way, stop, mirrored, turn, circled, outer, within, about);
        }

        public Arms withStop(double other) {
            return new Arms(
                    arms,
                    way,
                    other,
                    mirrored,
                    turn,
                    circled && other > 0,
                    outer.stream().filter(o -> o > other).findFirst(),
                    within,
                    about);
        }

        public Arms withTurn(double other) {
            return new Arms(arms, way, stop, mirrored, other, circled, outer, within, about);
        }
    }

    /** How the needle gets from ring to ring. */
    enum Spokes {
        /** The thread stops at each ring. */
        NONE,
        /** It steps outward along one spoke. */
        ONE,
        /** Four matching spokes are stitched. */
        FOUR
    }

    /**
     * Circles about one centre.
     *
     * @param first diameter, over 0
     * @param gap from ring to ring; without one they are spread evenly, so that as much is left from the last to the edge
     * @param rings 1 to {@link #MOST}
     * @param spokes between them
     * @param right how far right of the piece's centre theirs is, in inches; below 0 left of it
     * @param up how far above it, in inches; below 0 under it
     */
    record Rings(double first, OptionalDouble gap, int rings, Spokes spokes, double right, double up)
            implements AreaMotif {
        public Rings {
            distance(first);
            Guards.within("right", right, -LARGEST, LARGEST);
            Guards.within("up", up, -LARGEST, LARGEST);
            gap.ifPresent(AreaMotif::distance);
            Guards.within("rings", rings, 1, MOST);
        }

        /** About the piece's own centre. */
        public Rings(double first, OptionalDouble gap, int rings, Spokes spokes) {
            this(first, gap, rings, spokes, 0, 0);
        }

        /** The same about another centre. */
        public Rings at(double otherRight, double otherUp) {
            return new Rings(first, gap, rings, spokes, otherRight, otherUp);
        }

        /** Whether they stand about the piece's own centre. */
        public boolean centred() {
            return right == 0 && up == 0;
        }

        public Rings(double first, double gap, int rings, Spokes spokes) {
            this(first, OptionalDouble.of(gap), rings, spokes);
        }

        /**
         * The wanted diameter of a ring, in inches.
         *
         * @param ring from 1
         * @param edge diameter of the largest circle that has room
         */
        public double diameter(int ring, double edge) {
            return first + 2 * gap(edge) * (ring - 1);
        }

        /** From ring to ring, as wanted or as it comes out with so large a circle as edge; below 0 if there is no room. */
        public double gap(double edge) {
            return gap.orElse((edge - first) / 2 / rings);
        }
    }

    /**
     * Circles side by side round the centre.
     *
     * @param circles 3 to {@link #MOST_ARMS}
     * @param out from the centre to their middles; without it neighbours just touch
     */
    record Wreath(int circles, OptionalDouble out) implements Counted {
        public Wreath {
            Guards.within("circles", circles, 3, MOST_ARMS);
            out.ifPresent(AreaMotif::distance);
        }

        @Override
        public int count() {
            return circles;
        }

        @Override
        public Wreath withCount(int other) {
            return new Wreath(other, out);
        }
    }

    /**
     * Petals of two arcs each, round the centre.
     *
     * @param petals 2 to {@link #MOST_ARMS}
     * @param from the centre to where they begin, 0 or more
     * @param to the centre to their tips
     */
    record Petals(int petals, double from, double to) implements Counted {
        public Petals {
            Guards.within("petals", petals, FEWEST_ARMS, MOST_ARMS);
            upTo("from", from);
            distance(to);
            if (!(to > from)) {
                throw new RefusedValue("to", Refusals.say("petals.to"));
            }
        }

        @Override
        public int count() {
            return petals;
        }

        @Override
        public int fewest() {
            return FEWEST_ARMS;
        }

        @Override
        public Petals withCount(int other) {
            return new Petals(other, from, to);
        }
    }

    /**
     * Points all round the centre, of straight lines: their tips between the rays that arms stand on, the notches on them.
     *
     * @param points 3 to {@link #MOST_ARMS}
     * @param inner from the centre to the notches
     * @param outer from the centre to the tips
     */
    record Points(int points, double inner, double outer) implements Counted {
        public Points {
            Guards.within("points", points, 3, MOST_ARMS);
            distance(inner, outer);
            if (!(outer > inner)) {
                throw new RefusedValue("outer", Refusals.say("points.outer"));
            }
        }

        @Override
        public int count() {
            return points;
        }

        @Override
        public Points withCount(int other) {
            return new Points(other, inner, outer);
        }
    }

    /**
     * Lines beside the area's edge, all round.
     *
     * @param echoes 1 to {@link #MOST}
     * @param spacing from the edge to the first and from each to the next
     * @param outside whether they lie round the area, and not in it
     */
    record Echoes(int echoes, double spacing, boolean outside) implements AreaMotif {
        public Echoes {
            Guards.within("echoes", echoes, 1, MOST);
            distance(spacing);
        }
    }

    /**
     * Rows of shells, each on the crowns of the row below.
     *
     * @param allowance kept free at the edge that rows begin at, in inches: the seam allowance at the quilt's own edge, else 0
     * @param width of a shell that is wished, in inches; without one it is a plate's own
     * @param eased whether shells are stretched or shortened at their crowns, so that rows come out even
     * @param fromTop whether rows begin at the upper edge and hang, and don't stand on the lower one
     * @param byHand whether they are drawn from marks, without a template; needs a width
     */
    record Clamshells(double allowance, OptionalDouble width, boolean eased, boolean fromTop, boolean byHand)
            implements AreaMotif {
        public Clamshells {
            upTo("seam", allowance);
            width.ifPresent(AreaMotif::distance);
            if (byHand && width.isEmpty()) {
                throw new RefusedValue("byHand", Refusals.say("shells.width"));
            }
        }

        /** Upright along a plate, cut off where they don't come out even. */
        public Clamshells(double allowance) {
            this(allowance, OptionalDouble.empty(), false, false, false);
        }
    }

    /** Which way round the thread goes. */
    enum Round {
        CLOCKWISE,
        COUNTERCLOCKWISE
    }

    /**
     * Petals along the lines of a grid: each edge the chord of two mirrored arcs.
     *
     * @param across how many squares to a block's width, 1 to {@link #MOST}
     * @param down how many to its height
     * @param inner how far from the grid's crossings smaller petals end that lie inside; none if it is empty
     * @param between whether four smaller petals stand about the middle of each circle, between those on its edges
     * @param pieced whether the squares are pieced, so that their seams cross where arcs meet
     * @param round which way the thread goes along the edge
     */
    record Peel(int across, int down, OptionalDouble inner, boolean between, boolean pieced, Round round)
            implements AreaMotif {
        public Peel {
            Guards.within("squaresAcross", across, 1, MOST);
            Guards.within("squaresDown", down, 1, MOST);
            inner.ifPresent(AreaMotif::distance);
        }

        /** On whole cloth, clockwise. */
        public Peel(int across, int down, OptionalDouble inner) {
            this(across, down, inner, false, false, Round.CLOCKWISE);
        }

        public Peel(int across, int down) {
            this(across, down, OptionalDouble.empty());
        }

        public Peel withSquares(int otherAcross, int otherDown) {
            return new Peel(otherAcross, otherDown, inner, between, pieced, round);
        }
    }

    /**
     * Whole circles about the middles of a grid's squares, so large that they cross their neighbours.
     *
     * @param across how many squares to a block's width, 1 to {@link #MOST}
     * @param down how many to its height
     * @param changeOver whether the thread goes from one to the next where they cross, which takes more holds
     */
    record Circles(int across, int down, boolean changeOver) implements AreaMotif {
        public Circles {
            Guards.within("circlesAcross", across, 1, MOST);
            Guards.within("circlesDown", down, 1, MOST);
        }

        /** One after the other. */
        public Circles(int across, int down) {
            this(across, down, false);
        }
    }

    /**
     * Two sets of parallel straight lines.
     *
     * @param spacing wanted in each set; what divides the area's width evenly next to it is taken
     * @param angle of the first set against the lower edge; the second leans the other way
     * @param exact whether lines stand just so far apart, from the middle out, and don't come out even at the edge
     */
    record Crosshatch(double spacing, double angle, boolean exact) implements AreaMotif {
        public Crosshatch {
            distance(spacing);
            Guards.degrees("angle", angle, LEAST_SLANT, MOST_SLANT);
        }

        /** Coming out even. */
        public Crosshatch(double spacing, double angle) {
            this(spacing, angle, false);
        }

        public Crosshatch withSpacing(double other) {
            return new Crosshatch(other, angle, exact);
        }

        public Crosshatch exactly() {
            return new Crosshatch(spacing, angle, true);
        }

        /** Whether the first set stands upright; the second lies level then. */
        boolean upright() {
            return Math.abs(angle - Math.PI / 2) < Tolerances.ROUNDING;
        }

        /** From line to line along the lower edge, in inches. */
        double step(Box box) {
            return apart(box.width(), spacing / Math.sin(angle), exact);
        }

        /** From line to line up the side where they lie level, in inches. */
        double levelStep(Box box) {
            return apart(box.height(), spacing, exact);
        }

        /** The widest spacing that comes out in a box, square to the lines; in inches. */
        public double spacing(Box box) {
            double own = step(box) * Math.sin(angle);
            return upright() ? Math.max(own, levelStep(box)) : own;
        }
    }

    /**
     * Two sets of arcs of one template, each moved on from the one before: one from the lower edge to the upper one, one from
     * the left edge to the right.
     *
     * @param spacing wanted along the edges; what divides them evenly next to it is taken
     * @param exact whether arcs stand just so far apart, and as much is left at one end of an edge as at the other
     */
    record CurvedHatch(double spacing, boolean exact) implements AreaMotif {
        public CurvedHatch {
            distance(spacing);
        }

        /** Coming out even. */
        public CurvedHatch(double spacing) {
            this(spacing, false);
        }

        public CurvedHatch withSpacing(double other) {
            return new CurvedHatch(other, exact);
        }

        public CurvedHatch exactly() {
            return new CurvedHatch(spacing, true);
        }

        /** From arc to arc along an edge of some length, in inches. */
        public double step(double edge) {
            return apart(edge, spacing, exact);
        }
    }

    /** What lines there are in a quarter. */
    enum Lined {
        CLOSE_ACROSS,
        WIDE_ACROSS,
        CLOSE_DOWN,
        WIDE_DOWN,
        NONE;

        /** Whether they lie level. */
        boolean across() {
            return this == CLOSE_ACROSS || this == WIDE_ACROSS;
        }
    }

    /**
     * The four quarters of a block, each with its own lines.
     *
     * @param close one spacing
     * @param wide the other
     * @param pieced whether the quarters are patches of their own, with seams between them that the needle can travel in;
     *     otherwise the two middle lines are stitched first
     * @param upperLeft what lines there are in that quarter; and so on clockwise
     * @param exact whether lines stand just so far apart, from the middle out, and don't come out even at the edge
     */
    record Quarters(
            double close,
            double wide,
            boolean pieced,
            Lined upperLeft,
            Lined upperRight,
            Lined lowerRight,
            Lined lowerLeft,
            boolean exact)
            implements AreaMotif {
        public Quarters {
            distance(close);
            distance(wide);
        }

        /** Close across and wide down in turn, coming out even. */
        public Quarters(double close, double wide, boolean pieced) {
            this(close, wide, pieced, Lined.CLOSE_ACROSS, Lined.WIDE_DOWN, Lined.CLOSE_ACROSS, Lined.WIDE_DOWN, false);
        }

        /** Of a block pieced from four patches. */
        public Quarters(double close, double wide) {
            this(close, wide, true);
        }

        /** The lines of the quarters, clockwise from the upper left. */
        public List<Lined> quarters() {
            return List.of(upperLeft, upperRight, lowerRight, lowerLeft);
        }

        /** From line to line of some of those lines in half of a box's width or height, in inches; 0 if there are none. */
        double step(Box box, Lined lines) {
            return switch (lines) {
                case CLOSE_ACROSS -> apart(box.height() / 2, close, exact);
                case WIDE_ACROSS -> apart(box.height() / 2, wide, exact);
                case CLOSE_DOWN -> apart(box.width() / 2, close, exact);
                case WIDE_DOWN -> apart(box.width() / 2, wide, exact);
                case NONE -> 0;
            };
        }

        /** What is asked for of some of those lines. */
        double wished(Lined lines) {
            return lines == Lined.CLOSE_ACROSS || lines == Lined.CLOSE_DOWN ? close : wide;
        }

        public Quarters withSpacings(double otherClose, double otherWide) {
            return new Quarters(otherClose, otherWide, pieced, upperLeft, upperRight, lowerRight, lowerLeft, exact);
        }

        public Quarters exactly() {
            return new Quarters(close, wide, pieced, upperLeft, upperRight, lowerRight, lowerLeft, true);
        }
    }

    /** A corner of a block. */
    enum Corner {
        TOP_LEFT(-1, 1),
        TOP_RIGHT(1, 1),
        BOTTOM_RIGHT(1, -1),
        BOTTOM_LEFT(-1, -1);

        /** Which way it lies from the middle: 1 to the right, -1 to the left. */
        final int across;

        /** 1 up, -1 down. */
        final int up;

        Corner(int across, int up) {
            this.across = across;
            this.up = up;
        }

        /** Where the quarter seen from it begins: from the top, clockwise, in radians. */
        double quarter() {
            return across < 0 ? (up < 0 ? 0 : Math.PI / 2) : (up > 0 ? Math.PI : 3 * Math.PI / 2);
        }

        /** Where it lies in a box. */
        public Point in(Box box) {
            return new Point(across < 0 ? box.left() : box.right(), up < 0 ? box.bottom() : box.top());
        }
    }

    /**
     * Petals of two straight lines each, from a small arc about a corner to near the far seams, closed there by a straight
     * cap.
     *
     * @param corner of the block
     * @param petals an odd number, 1 to {@link #MOST_ARMS} less one; without one, as many as make caps about 3/4 wide
     * @param stop radius of the small arc
     * @param margin from the caps to the far seams, and from the outermost lines to the seams beside them
     * @param intoCorner whether the first and the last line run into the corner itself
     */
    record CornerRays(Corner corner, OptionalInt petals, double stop, double margin, boolean intoCorner)
            implements AreaMotif {
        public CornerRays {
            petals.ifPresent(n -> {
                Guards.within("petals", n, 1, MOST_ARMS - 1);
                if (n % 2 == 0) {
                    throw new RefusedValue("petals", Refusals.say("rays.petals"));
                }
            });
            distance(stop, margin);
        }

        /** With all lines stopped on the small arc. */
        public CornerRays(Corner corner, OptionalInt petals, double stop, double margin) {
            this(corner, petals, stop, margin, false);
        }

        public CornerRays withStop(double other) {
            return new CornerRays(corner, petals, other, margin, intoCorner);
        }

        /**
         * The radius of the arc on which the tips of so many petals stand a point ({@link AreaRules#POINT}) apart; in inches.
         * With outermost lines in a distance m of the seams a radius r has room for r(π/2 − 2 asin(m/r)) (derived).
         */
        public double roomyStop(int tips) {
            double least = margin * Math.sqrt(2);
            double most = least + 2 * margin + tips * AreaRules.POINT;
            while (most - least > Tolerances.ROUNDING) {
                double radius = (least + most) / 2;
                boolean roomy = radius * (Math.PI / 2 - 2 * Math.asin(margin / radius)) >= tips * AreaRules.POINT;
                least = roomy ? least : radius;
                most = roomy ? radius : most;
            }
            return most;
        }
    }

    /**
     * Sets of straight lines from each corner in turn, each to the far side of what the sets before have left.
     *
     * @param lines to a set, 1 to 9
     * @param spacing at the far end
     * @param sets 1 to {@link #MOST}; no more are stitched than have room
     */
    record Whirl(int lines, double spacing, int sets) implements AreaMotif {
        public Whirl {
            Guards.within("lines", lines, 1, 9);
            distance(spacing);
            Guards.within("sets", sets, 1, MOST);
        }
    }

    /**
     * A V from both lower corners to the middle of the upper edge, with dense upright lines on either side.
     *
     * @param closest that two of them stand, in inches
     * @param widest that two of them stand; not less than closest
     */
    record Vee(double closest, double widest) implements AreaMotif {
        public Vee {
            distance(closest);
            distance(widest);
            if (widest < closest) {
                throw new RefusedValue("widest", Refusals.say("vee.widest"));
            }
        }
    }

    /**
     * Fans of straight lines in the squares of a grid, each from a corner of its square, turned by a quarter from square to
     * square.
     *
     * @param across how many squares to a block's width, 1 to {@link #MOST}
     * @param down how many to its height
     * @param lines to a fan, 2 to {@link #MOST_ARMS}
     * @param stop radius of the small arc about the corner that they begin on
     */
    record StraightFans(int across, int down, int lines, double stop) implements AreaMotif {
        public StraightFans {
            Guards.within("squaresAcross", across, 1, MOST);
            Guards.within("squaresDown", down, 1, MOST);
            Guards.within("lines", lines, 2, MOST_ARMS);
            distance(stop);
        }
    }

    /** A wanted length; unless it is to be exact, the part of a length nearest to it that that is a whole multiple of. */
    private static double apart(double length, double wanted, boolean exact) {
        return exact ? wanted : length / Math.max(1, Math.round(length / wanted));
    }

    private static void upTo(String what, double inches) {
        Guards.within(what, inches, 0, LARGEST);
    }

    private static void distance(double... inches) {
        for (double d : inches) {
            Guards.within("distance", d, CLOSEST, LARGEST);
        }
    }
}
