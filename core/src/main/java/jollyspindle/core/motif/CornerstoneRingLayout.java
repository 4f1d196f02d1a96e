package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.List;

/** Lays out arcs from midpoint to midpoint of the cornerstone, and again lower. */
final class CornerstoneRingLayout {

    static final CornerType TYPE = new CornerType(CornerDesign.Kind.CORNERSTONE_RING, Params.row(CornerDesign.LINES)) {

        @Override
        void lay(CornerContext corner) {
            corner.tool().ifPresent(tool -> new CornerstoneRingLayout(corner).lay(tool));
        }
    };

    private final CornerContext corner;

    private CornerstoneRingLayout(CornerContext corner) {
        this.corner = corner;
    }

    private void lay(StitchingEdge.Round tool) {
        double radius = tool.stitched();
        List<Point> corners = List.of(
                corner.space.inner(), corner.space.beyondLeft(), corner.space.outer(), corner.space.beyondRight());
        List<Point> middles = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            middles.add(corners.get(i).midpoint(corners.get((i + 1) % 4)));
        }
        Point centre = middles.get(0).midpoint(middles.get(2));
        for (int ring = 0; ring < corner.design.lines(); ring++) {
            double size = (corner.design.lines() - ring) / (double) corner.design.lines();
            if (!ring(tool, radius, middles, centre, size, ring)) {
                return;
            }
        }
    }

    private boolean ring(
            StitchingEdge.Round tool, double radius, List<Point> middles, Point centre, double size, int ring) {
        List<Point> at = middles.stream()
                .map(m -> centre.plus(m.minus(centre).times(size)))
                .toList();
        List<Arc> arcs = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Point from = at.get(i);
            Point to = at.get((i + 1) % 4);
            if (from.distance(to) > 2 * radius) {
                corner.tell(new LayoutDiagnostic.TooFar(from.distance(to), 2 * radius));
                return false;
            }
            Point away = from.midpoint(to).plus(from.midpoint(to).minus(centre));
            arcs.add(ArcsBetween.bulgingTowards(from, to, radius, away).orElseThrow());
        }
        if (arcs.stream().anyMatch(a -> !corner.staysInside(a))) {
            // A chord from midpoint to midpoint lies at 45° to the sides, and so may the arc at its ends at most.
            double longest = arcs.stream()
                    .mapToDouble(a -> a.start().distance(a.end()))
                    .max()
                    .orElseThrow();
            corner.tell(new MotifDiagnostic.TooRound(radius, longest / Math.sqrt(2)));
            return false;
        }
        List<Mark> marks = at.stream()
                .map(p -> corner.leftMarker.next(Mark.Kind.MIDPOINT, p, Mark.Stage.LOADED))
                .toList();
        for (int i = 0; i < 4; i++) {
            corner.sewing.stitch(
                    PlacementBuilder.Naming.of(Stitched.CORNER_ARC, ring + 1, i + 1),
                    arcs.get(i),
                    tool,
                    new Registration.FootOnBothMarks(),
                    LineEnd.at(marks.get(i)),
                    LineEnd.at(marks.get((i + 1) % 4)),
                    PlacementBuilder.Turn.MARKED);
        }
        return true;
    }
}
