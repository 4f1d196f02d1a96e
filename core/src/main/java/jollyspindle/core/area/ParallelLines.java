package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Stitches a set of parallel lines: up one and down the next, each laid beside the one before, the first on two marks. */
final class ParallelLines {

    /** A line no further off than so many spacings lies beside. */
    private static final double NEAR = 1.6;

    private final PieceContext laying;

    ParallelLines(PieceContext laying) {
        this.laying = laying;
    }

    /**
     * Stitches what of the lines lies in the area; those on its own edge lie in the seam and aren't stitched.
     *
     * @param lines side by side
     * @param set of several, from 1
     * @param spacing between them, square to them, in inches
     */
    void stitch(StitchingEdge.Straight tool, List<Segment> lines, int set, double spacing) {
        List<StitchLine> before = List.of();
        for (int i = 0; i < lines.size(); i++) {
            before = line(tool, lines.get(i), set, i + 1, spacing, before);
        }
    }

    private List<StitchLine> line(
            StitchingEdge.Straight tool, Segment whole, int set, int number, double spacing, List<StitchLine> before) {
        List<StitchLine> stitched = new ArrayList<>();
        double fromEdge = spacing - laying.tools().machine().footRadius();
        for (Path piece : laying.kept(Path.of(number % 2 == 0 ? whole.reversed() : whole))) {
            Segment line = (Segment) piece.curves().get(0);
            if (laying.onEdge(line)) {
                continue;
            }
            Optional<StitchLine> beside = before.stream()
                    .filter(l -> fromEdge >= 0 && l.path().distance(line.at(0.5)) < NEAR * spacing)
                    .findFirst();
            boolean engraved = tool.parallels().stream().anyMatch(d -> Math.abs(d - fromEdge) <= Tolerances.CHALK);
            stitched.add(laying.sewing()
                    .stitch(
                            PlacementBuilder.Naming.of(Stitched.HATCH, number, set),
                            line,
                            tool,
                            beside.<Registration>map(l -> new Registration.OnStitching(l.id(), fromEdge, engraved))
                                    .orElseGet(Registration.FootOnBothMarks::new),
                            beside.isPresent()
                                    ? laying.shown(line.from())
                                    : laying.marked(Mark.Kind.LINE_START, line.from()),
                            beside.isPresent() ? laying.shown(line.to()) : laying.marked(Mark.Kind.LINE_END, line.to()),
                            PlacementBuilder.Turn.SLIDING));
        }
        return stitched;
    }
}
