package jollyspindle.core.layout;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/**
 * Stitches a set of lines side by side, one after the other: each laid beside the one before where that lies beside it, the
 * first in each figure on two marks, or by an engraved angle on the seam. Arcs that are moved on aren't equally far apart
 * everywhere; where one is the one before again, moved on along the run, it is laid by that one, else it is marked.
 */
public final class Hatching {

    /** A line no further off than so many spacings lies beside. */
    private static final double NEAR = 1.6;

    /** So many lines are laid on each other until one is marked again (the number is a choice). */
    public static final int MOST_CHAINED = 7;

    private final Map<LineId, Integer> chained = new HashMap<>();
    private final LayoutContext laying;
    private final StitchingEdge tool;
    private final int set;
    private Optional<Point> stepping = Optional.empty();
    private int mostChained = Integer.MAX_VALUE;
    private final OptionalDouble angle;
    private final PlacementBuilder.Turn turn;
    private List<StitchLine> before = List.of();

    /**
     * A set that has no line yet.
     *
     * @param tool they are stitched along
     * @param set of several, from 1
     * @param angle to the seam, in radians, at which an engraved line may be laid on it; nothing if lines are always marked
     * @param turn how the template is re-laid along a line that is longer than its edge
     */
    public Hatching(
            LayoutContext laying, StitchingEdge tool, int set, OptionalDouble angle, PlacementBuilder.Turn turn) {
        this.laying = laying;
        this.tool = tool;
        this.set = set;
        this.angle = angle;
        this.turn = turn;
    }

    /** Says that after every few lines one is marked again, as is wanted where there are many. */
    public Hatching markedAgain() {
        mostChained = MOST_CHAINED;
        return this;
    }

    /**
     * Says that lines which are the one before again, moved on, are laid by that.
     *
     * @param way in which they move
     */
    public Hatching stepping(Point way) {
        stepping = Optional.of(way);
        return this;
    }

    /**
     * Stitches what of the next line lies in the space.
     *
     * @param whole from one edge of the space to the other or beyond, as it is to be stitched
     * @param number of the set, from 1
     * @param spacing from the line before, square to it, in inches
     */
    public void stitch(Curve whole, int number, double spacing) {
        stitch(there(whole), number, spacing);
    }

    /** What of a line is stitched. */
    private List<Curve> there(Curve whole) {
        return laying.kept(Path.of(whole)).stream()
                .map(piece -> piece.curves().get(0))
                .filter(line -> !laying.inSeam(line))
                .toList();
    }

    private void stitch(List<Curve> pieces, int number, double spacing) {
        before = pieces.stream()
                .map(line -> stitch(line, PlacementBuilder.Naming.of(Stitched.HATCH, number, set), spacing))
                .toList();
    }

    /**
     * Stitches straight lines side by side, up one and down the next.
     *
     * @param tool they are stitched along
     * @param set of several, from 1
     * @param lines side by side, all in one direction
     * @param spacing between them, square to them, in inches
     */
    public static void upAndDown(
            LayoutContext laying, StitchingEdge.Straight tool, int set, List<Segment> lines, double spacing) {
        Hatching hatching =
                new Hatching(laying, tool, set, OptionalDouble.empty(), PlacementBuilder.Turn.SLIDING).markedAgain();
        int number = 0;
        for (Segment line : lines) {
            List<Curve> there = turned(hatching.there(line), number);
            // What lies beside the piece has no number.
            number += there.isEmpty() ? 0 : 1;
            hatching.stitch(there, number, spacing);
        }
    }

    /**
     * Stitches straight lines from the middle one outwards, first on the one side and then on the other: so each is laid on half as
     * many others.
     *
     * @param tool they are stitched along
     * @param set of several, from 1
     * @param lines side by side, all in one direction
     * @param spacing between them, square to them, in inches
     */
    public static void fromTheMiddle(
            LayoutContext laying, StitchingEdge.Straight tool, int set, List<Segment> lines, double spacing) {
        Hatching hatching =
                new Hatching(laying, tool, set, OptionalDouble.empty(), PlacementBuilder.Turn.SLIDING).markedAgain();
        List<List<Curve>> there = hatching.there(lines);
        int middle = there.size() / 2;
        hatching.before = hatching.stitch(there, middle, there.size(), spacing);
        hatching.stitch(there, middle - 1, -1, spacing);
    }

    /**
     * Stitches straight lines from both outermost ones inwards. With another set that is stitched from the middle outwards and
     * crosses this one, the needle comes from one set to the other where their lines end, and so back to where it began (as a ball
     * rolls on a billiard table): lines near a corner lead to those near the middle.
     *
     * @param tool they are stitched along
     * @param set of several, from 1
     * @param lines side by side, all in one direction
     * @param spacing between them, square to them, in inches
     */
    public static void fromBothSides(
            LayoutContext laying, StitchingEdge.Straight tool, int set, List<Segment> lines, double spacing) {
        Hatching hatching =
                new Hatching(laying, tool, set, OptionalDouble.empty(), PlacementBuilder.Turn.SLIDING).markedAgain();
        List<List<Curve>> there = hatching.there(lines);
        int middle = there.size() / 2;
        hatching.stitch(there, 0, middle, spacing);
        hatching.before = List.of();
        hatching.stitch(there, there.size() - 1, middle - 1, spacing);
    }

    private List<List<Curve>> there(List<Segment> lines) {
        return lines.stream()
                .map(this::there)
                .filter(pieces -> !pieces.isEmpty())
                .toList();
    }

    /** One after the other, up and down; the first of them. */
    private List<StitchLine> stitch(List<List<Curve>> there, int from, int to, double spacing) {
        List<StitchLine> first = List.of();
        int step = from < to ? 1 : -1;
        for (int i = from; i != to; i += step) {
            stitch(turned(there.get(i), Math.abs(i - from)), i + 1, spacing);
            first = i == from ? before : first;
        }
        return first;
    }

    /** Every second line is stitched the other way. */
    private static List<Curve> turned(List<Curve> pieces, int number) {
        List<Curve> turned = new ArrayList<>();
        boolean back = number % 2 == 1;
        pieces.forEach(piece -> turned.add(back ? 0 : turned.size(), back ? piece.reversed() : piece));
        return turned;
    }

    private StitchLine stitch(Curve line, PlacementBuilder.Naming naming, double spacing) {
        double fromEdge = spacing - laying.machine().footRadius();
        Optional<StitchLine> beside = beside(line, spacing, fromEdge).filter(this::goesOn);
        if (beside.isPresent()) {
            Registration laid =
                    new Registration.OnStitching(beside.get().id(), fromEdge, LayoutContext.engraved(tool, fromEdge));
            return on(beside.get(), naming, line, laid);
        }
        Optional<StitchLine> moved = moved(line, spacing).filter(this::goesOn);
        if (moved.isPresent()) {
            return on(
                    moved.get(),
                    naming,
                    line,
                    new Registration.Stepped(moved.get().id(), spacing, spacing));
        }
        boolean up = laying.isShownBy(line.start(), LineEnd.ShownBy.SEAM);
        Point foot = up ? line.start() : line.end();
        if (hasAngle() && laying.isShownBy(foot, LineEnd.ShownBy.SEAM)) {
            // An engraved line at that angle lies on the seam and does the work of the second mark.
            return marked(naming, line, up, new Registration.AtAngle(angle.getAsDouble()));
        }
        LineEnd start = laying.marked(Mark.Kind.LINE_START, line.start());
        LineEnd end = laying.marked(Mark.Kind.LINE_END, line.end());
        // A round edge that ends before the line does is held by marks alone, also where it is laid anew.
        PlacementBuilder.Turn anew = tool instanceof StitchingEdge.Round ? PlacementBuilder.Turn.MARKED : turn;
        return laying.sewing().stitch(naming, line, tool, new Registration.FootOnBothMarks(), start, end, anew);
    }

    private StitchLine on(StitchLine earlier, PlacementBuilder.Naming naming, Curve line, Registration laid) {
        StitchLine stitched = laying.sewing()
                .stitch(naming, line, tool, laid, laying.shown(line.start()), laying.shown(line.end()), turn);
        chained.put(stitched.id(), chained.getOrDefault(earlier.id(), 0) + 1);
        return stitched;
    }

    /** A line of which the foot alone is marked. */
    private StitchLine marked(PlacementBuilder.Naming naming, Curve line, boolean up, Registration laid) {
        LineEnd start = up ? laying.marked(Mark.Kind.LINE_START, line.start()) : laying.shown(line.start());
        LineEnd end = up ? laying.shown(line.end()) : laying.marked(Mark.Kind.LINE_START, line.end());
        return laying.sewing().stitch(naming, line, tool, laid, start, end, turn);
    }

    /** The line before if this one is the same again, moved on by the step, with both ends on something that goes on that way. */
    private Optional<StitchLine> moved(Curve line, double step) {
        return stepping.filter(way -> PlacementBuilder.placements(line, tool) == 1)
                .flatMap(way -> before.stream()
                        .filter(l -> {
                            Path path = l.path();
                            boolean back = path.start().distance(line.start())
                                    > path.end().distance(line.start());
                            Point from = back ? path.end() : path.start();
                            Point to = back ? path.start() : path.end();
                            return isStep(line.start().minus(from), way, step)
                                    && isStep(line.end().minus(to), way, step)
                                    && Stream.of(line.start(), line.end()).allMatch(this::isOnEdge);
                        })
                        .findFirst());
    }

    private static boolean isStep(Point by, Point way, double step) {
        return Math.abs(by.dot(way) - step) < Tolerances.SAME_PLACE && Math.abs(by.cross(way)) < Tolerances.SAME_PLACE;
    }

    /** Whether a place lies on the seam or on the limit of stitching, which is drawn. */
    private boolean isOnEdge(Point place) {
        return laying.isShownBy(place, LineEnd.ShownBy.SEAM, LineEnd.ShownBy.FAR_EDGE);
    }

    /** Whether another line may be laid on one before it is time for a mark. */
    private boolean goesOn(StitchLine earlier) {
        boolean goesOn = chained.getOrDefault(earlier.id(), 0) < mostChained;
        if (!goesOn) {
            laying.tell(new LayoutDiagnostic.Chained(mostChained + 1));
        }
        return goesOn;
    }

    private Optional<StitchLine> beside(Curve line, double spacing, double fromEdge) {
        return tool instanceof StitchingEdge.Straight straight && straight.reachesTo(fromEdge)
                ? before.stream()
                        .filter(l -> l.path().distance(line.at(0.5)) < NEAR * spacing && LayoutContext.isAlong(l, line))
                        .findFirst()
                : Optional.empty();
    }

    private boolean hasAngle() {
        return angle.isPresent()
                && tool instanceof StitchingEdge.Straight straight
                && straight.hasAngle(angle.getAsDouble());
    }
}
