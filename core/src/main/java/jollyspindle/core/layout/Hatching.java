package jollyspindle.core.layout;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Stitches a set of lines side by side, one after the other: each laid beside the one before where that lies beside it, the
 * first in each figure on two marks, or by an engraved angle on the seam. Arcs that are moved on aren't equally far apart
 * everywhere, so that each of them is marked.
 */
public final class Hatching {

    /** A line no further off than so many spacings lies beside. */
    private static final double NEAR = 1.6;

    private final LayoutContext laying;
    private final StitchingEdge tool;
    private final int set;
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
        Optional<StitchLine> beside = beside(line, spacing, fromEdge);
        if (beside.isPresent()) {
            Registration laid =
                    new Registration.OnStitching(beside.get().id(), fromEdge, LayoutContext.engraved(tool, fromEdge));
            return laying.sewing()
                    .stitch(naming, line, tool, laid, laying.shown(line.start()), laying.shown(line.end()), turn);
        }
        LineEnd start = laying.marked(Mark.Kind.LINE_START, line.start());
        if (hasAngle() && laying.shown(line.start()).shownBy() == LineEnd.ShownBy.SEAM) {
            // An engraved line at that angle lies on the seam and does the work of the second mark.
            Registration laid = new Registration.AtAngle(angle.getAsDouble());
            return laying.sewing().stitch(naming, line, tool, laid, start, laying.shown(line.end()), turn);
        }
        LineEnd end = laying.marked(Mark.Kind.LINE_END, line.end());
        return laying.sewing().stitch(naming, line, tool, new Registration.FootOnBothMarks(), start, end, turn);
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
