package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Lays out arcs from midpoint to midpoint of the cornerstone, and again lower. */
final class CornerstoneRingLayout {

    static final CornerType TYPE =
            new CornerType(
                    CornerDesign.Kind.CORNERSTONE_RING,
                    Stream.concat(
                                    Params.row(CornerDesign.LINES, CornerDesign.RISE).stream(),
                                    Params.row(CornerDesign.SIDES).stream())
                            .toList()) {

                @Override
                void lay(CornerContext corner) {
                    corner.tool().ifPresent(tool -> new CornerstoneRingLayout(corner).lay(tool));
                }
            };

    /** A rise so much off the wished one, in inches, is as good (common practice, no source: nobody sees 1/8). */
    private static final double RISE_OFF = 1.0 / 8;

    private final CornerContext corner;

    /** What of the stone may be stitched. */
    private Region region;

    private CornerstoneRingLayout(CornerContext corner) {
        this.corner = corner;
    }

    private void lay(StitchingEdge.Round tool) {
        List<Double> measured = corner.design.sides();
        Optional<List<Point>> stone = measured.isEmpty() ? Optional.empty() : corner.space.stone(measured);
        if (!measured.isEmpty() && stone.isEmpty()) {
            corner.tell(new MotifDiagnostic.SidesOpen());
            return;
        }
        region = stone.map(corner.space::region).orElseGet(corner.space::region);
        List<Point> middles = stone.map(corner.space::midpoints).orElseGet(corner.space::midpoints);
        Point centre =
                middles.get(0).midpoint(middles.get(2)).midpoint(middles.get(1).midpoint(middles.get(3)));
        boolean lower = corner.design.rise().isPresent() && corner.design.lines() > 1;
        for (int ring = 0; ring < corner.design.lines(); ring++) {
            double size = lower ? 1 : (corner.design.lines() - ring) / (double) corner.design.lines();
            Optional<List<StitchingEdge.Round>> edges =
                    lower && ring > 0 ? lower(middles, ring) : Optional.of(List.of(tool, tool, tool, tool));
            if (edges.isEmpty() || !ring(edges.get(), middles, centre, size, ring)) {
                return;
            }
        }
        eased();
    }

    /** On a stone that isn't square each arc is shifted until it meets its own two points. */
    private void eased() {
        DoubleSummaryStatistics rises = corner.lines().stream()
                .filter(line -> line.number() == 1)
                .map(line -> (Arc) line.path().curves().get(0))
                .mapToDouble(arc -> CircularSegment.ofRadiusAndChord(
                                arc.radius(), arc.start().distance(arc.end()))
                        .height())
                .summaryStatistics();
        if (!corner.design.sides().isEmpty() && rises.getMax() - rises.getMin() > Tolerances.CHALK) {
            corner.tell(new MotifDiagnostic.StoneEased(rises.getMin(), rises.getMax()));
        }
    }

    /** What stitches a lower ring from the same midpoints: the second at the wished rise, a third at half of that, and
     * so on. */
    private Optional<List<StitchingEdge.Round>> lower(List<Point> middles, int ring) {
        List<StitchingEdge.Round> edges = new ArrayList<>();
        double rise = corner.design.rise().getAsDouble() / ring;
        for (int i = 0; i < 4; i++) {
            double chord = middles.get(i).distance(middles.get((i + 1) % 4));
            if (rise > chord / 2) {
                corner.tell(new LayoutDiagnostic.TooFar(rise, chord / 2));
                return Optional.empty();
            }
            double radius = CircularSegment.ofChordAndHeight(chord, rise).radius();
            Optional<StitchingEdge.Round> edge = corner.tools.nearest(radius);
            if (edge.isEmpty()
                    || Math.abs(rise
                                    - CircularSegment.ofRadiusAndChord(
                                                    Math.max(edge.get().stitched(), chord / 2), chord)
                                            .height())
                            > RISE_OFF) {
                corner.tell(new LayoutDiagnostic.NoTool(EdgeKind.ARC, radius));
                return Optional.empty();
            }
            edges.add(edge.get());
        }
        return Optional.of(edges);
    }

    private boolean ring(List<StitchingEdge.Round> edges, List<Point> middles, Point centre, double size, int ring) {
        List<Point> at = middles.stream()
                .map(m -> centre.plus(m.minus(centre).times(size)))
                .toList();
        List<Arc> arcs = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Point from = at.get(i);
            Point to = at.get((i + 1) % 4);
            double radius = edges.get(i).stitched();
            if (from.distance(to) > 2 * radius) {
                corner.tell(new LayoutDiagnostic.TooFar(from.distance(to), 2 * radius));
                return false;
            }
            Point away = from.midpoint(to).plus(from.midpoint(to).minus(centre));
            arcs.add(ArcsBetween.bulgingTowards(from, to, radius, away).orElseThrow());
        }
        if (arcs.stream().anyMatch(a -> !CornerContext.staysInside(region, a))) {
            // A chord from midpoint to midpoint lies at 45° to the sides, and so may the arc at its ends at most.
            double longest = arcs.stream()
                    .mapToDouble(a -> a.start().distance(a.end()))
                    .max()
                    .orElseThrow();
            corner.tell(new MotifDiagnostic.TooRound(edges.get(0).stitched(), longest / Math.sqrt(2)));
            return false;
        }
        List<Mark> marks = at.stream()
                .map(p -> corner.leftMarker.next(Mark.Kind.MIDPOINT, p, Mark.Stage.LOADED))
                .toList();
        for (int i = 0; i < 4; i++) {
            corner.sewing.stitch(
                    PlacementBuilder.Naming.of(Stitched.CORNER_ARC, ring + 1, i + 1),
                    arcs.get(i),
                    edges.get(i),
                    new Registration.FootOnBothMarks(),
                    LineEnd.at(marks.get(i)),
                    LineEnd.at(marks.get((i + 1) % 4)),
                    PlacementBuilder.Turn.MARKED);
        }
        return true;
    }
}
