package jollyspindle.core.layout;

import jollyspindle.core.geometry.Arc;
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
import jollyspindle.core.shelf.SeamRegister;

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
 * everywhere; where they stand upright on the seam, they step along it from the one before, else each is marked.
 */
public final class Hatching {

    /** A line no further off than so many spacings lies beside. */
    private static final double NEAR = 1.6;

    /** So many lines are laid on each other until one is marked again (the number is a choice). */
    public static final int MOST_CHAINED = 7;

    /**
     * How arcs stand upright on the edge of a run.
     *
     * @param what of the template lies on it
     * @param far whether that is the run's outer edge and not its seam
     * @param along the edge, a direction
     */
    public record Standing(SeamRegister what, boolean far, Point along) {}

    private final Map<LineId, Integer> chained = new HashMap<>();
    private final LayoutContext laying;
    private final StitchingEdge tool;
    private final int set;
    private Optional<Standing> standing = Optional.empty();
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

    /** Says that its lines are arcs that stand upright on the edge of a run. */
    public Hatching standing(Standing how) {
        standing = Optional.of(how);
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
        List<StitchLine> pieces = new ArrayList<>();
        for (Path piece : laying.kept(Path.of(whole))) {
            Curve line = piece.curves().get(0);
            if (!laying.inSeam(line)) {
                pieces.add(stitch(line, PlacementBuilder.Naming.of(Stitched.HATCH, number, set), spacing));
            }
        }
        before = pieces;
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
        Hatching hatching = new Hatching(laying, tool, set, OptionalDouble.empty(), PlacementBuilder.Turn.SLIDING);
        for (int i = 0; i < lines.size(); i++) {
            Segment line = lines.get(i);
            hatching.stitch(i % 2 == 0 ? line : line.reversed(), i + 1, spacing);
        }
    }

    private StitchLine stitch(Curve line, PlacementBuilder.Naming naming, double spacing) {
        double fromEdge = spacing - laying.machine().footRadius();
        Optional<StitchLine> beside = beside(line, spacing, fromEdge).filter(this::goesOn);
        if (beside.isPresent()) {
            Registration laid =
                    new Registration.OnStitching(beside.get().id(), fromEdge, LayoutContext.engraved(tool, fromEdge));
            return on(beside.get(), naming, line, laid);
        }
        boolean up = laying.shown(line.start()).shownBy() == LineEnd.ShownBy.SEAM
                || laying.shown(line.start()).shownBy() == LineEnd.ShownBy.FAR_EDGE && isFar();
        Point foot = up ? line.start() : line.end();
        if (standing.isPresent() && stands(line, foot)) {
            return upright(line, foot, up, naming, spacing);
        }
        if (hasAngle() && laying.shown(foot).shownBy() == LineEnd.ShownBy.SEAM) {
            // An engraved line at that angle lies on the seam and does the work of the second mark.
            return marked(naming, line, up, new Registration.AtAngle(angle.getAsDouble()));
        }
        LineEnd start = laying.marked(Mark.Kind.LINE_START, line.start());
        LineEnd end = laying.marked(Mark.Kind.LINE_END, line.end());
        return laying.sewing().stitch(naming, line, tool, new Registration.FootOnBothMarks(), start, end, turn);
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

    // --- arcs that stand upright
    // ---------------------------------------------------------------------------------------

    private boolean isFar() {
        return standing.filter(Standing::far).isPresent();
    }

    /** Whether an arc goes on in one placement of the upright template, from a foot on the edge. */
    private boolean stands(Curve line, Point foot) {
        LineEnd.ShownBy edge = isFar() ? LineEnd.ShownBy.FAR_EDGE : LineEnd.ShownBy.SEAM;
        Point up = standing.orElseThrow().along().turnedLeft().times(isFar() ? -1 : 1);
        return tool instanceof StitchingEdge.Round round
                && line instanceof Arc arc
                && laying.shown(foot).shownBy() == edge
                && Stream.of(0.0, 1.0)
                        .map(part -> arc.at(part).minus(arc.centre()).unit())
                        .allMatch(way -> Math.acos(Math.max(-1, Math.min(1, way.dot(up))))
                                <= round.usable() / 2 + Tolerances.ROUNDING);
    }

    private StitchLine upright(Curve line, Point foot, boolean up, PlacementBuilder.Naming naming, double spacing) {
        Standing how = standing.orElseThrow();
        Optional<StitchLine> earlier = before.stream()
                .filter(l -> Stream.of(l.path().start(), l.path().end())
                        .anyMatch(p -> Math.abs(p.distance(foot) - spacing) < Tolerances.SAME_PLACE
                                && Math.abs(p.minus(foot).cross(how.along())) < Tolerances.SAME_PLACE))
                .filter(this::goesOn)
                .findFirst();
        return earlier.isPresent()
                ? on(
                        earlier.get(),
                        naming,
                        line,
                        new Registration.Stepped(
                                how.what(), how.far(), earlier.get().id(), spacing))
                : marked(naming, line, up, new Registration.OnSeam(how.what(), how.far(), Optional.empty(), false));
    }

    // --- straight lines
    // ------------------------------------------------------------------------------------------------

    /** Whether another line may be laid on one before it is time for a mark. */
    private boolean goesOn(StitchLine earlier) {
        boolean goesOn = chained.getOrDefault(earlier.id(), 0) < mostChained;
        if (!goesOn) {
            laying.tell(new LayoutDiagnostic.Chained(mostChained + 1));
        }
        return goesOn;
    }

    private Optional<StitchLine> beside(Curve line, double spacing, double fromEdge) {
        return tool instanceof StitchingEdge.Straight && fromEdge >= 0
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
