package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.FanHolds;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Lays out quarter circles about the inner or the outer corner. */
final class QuarterFanLayout {

    static final CornerType TYPE =
            new CornerType(CornerDesign.Kind.QUARTER_FAN, Params.row(CornerDesign.LINES, CornerDesign.FROM_OUTER)) {

                @Override
                public EdgeKind edge() {
                    return EdgeKind.FAN;
                }

                @Override
                void lay(CornerContext corner) {
                    new QuarterFanLayout(corner).lay();
                }
            };

    private final CornerContext corner;

    private QuarterFanLayout(CornerContext corner) {
        this.corner = corner;
    }

    private void lay() {
        Optional<EdgeCatalog.Fan> fan = corner.tools.fan(corner.design.templateId());
        if (fan.isEmpty()) {
            corner.tell(LayoutContext.missing(corner.tools, corner.design.templateId(), EdgeKind.FAN, 0));
            return;
        }
        Point pivot = corner.design.fromOuter() ? corner.space.outer() : corner.space.inner();
        Point from = corner.design.fromOuter() ? corner.space.beyondLeft() : corner.space.beyondRight();
        Point to = corner.design.fromOuter() ? corner.space.beyondRight() : corner.space.beyondLeft();
        double most = Math.min(pivot.distance(from), pivot.distance(to));
        List<StitchingEdge.Round> blades = fan.get().blades().stream()
                .filter(b -> b.stitched() <= most + Tolerances.ROUNDING)
                .limit(corner.design.lines())
                .toList();
        if (blades.size() < corner.design.lines()) {
            corner.tell(new MotifDiagnostic.TooMany(corner.design.lines(), blades.size()));
        }
        if (blades.isEmpty()) {
            return;
        }
        Mark centre = corner.leftMarker.at(
                corner.design.fromOuter() ? Mark.Kind.PIVOT : Mark.Kind.VALLEY, 0, pivot, Mark.Stage.LOADED);
        double start = from.minus(pivot).angle();
        double sweep = to.minus(pivot).angle() - start;
        sweep -= 2 * Math.PI * Math.rint(sweep / (2 * Math.PI));
        double reach =
                blades.stream().mapToDouble(StitchingEdge.Round::usable).min().orElseThrow();
        double over = Math.abs(sweep) - reach;
        // A corner that is a hair over what the slots reach isn't worth a second hold: the slots' ends stop the needle
        // there.
        boolean tight = over > Tolerances.ROUNDING
                && over * blades.get(blades.size() - 1).stitched() <= Tolerances.CHALK;
        sweep = tight ? Math.copySign(reach, sweep) : sweep;
        LineEnd.ShownBy far = tight ? LineEnd.ShownBy.TEMPLATE : LineEnd.ShownBy.RUN_END;
        List<Arc> arcs = new ArrayList<>();
        for (StitchingEdge.Round blade : blades) {
            arcs.add(new Arc(pivot, blade.stitched(), start, sweep));
        }
        FanHolds holds = FanHolds.of(fan.get(), arcs.get(0), arcs, true);
        for (int b = 0; b < blades.size(); b++) {
            boolean out = b % 2 == 0;
            Arc way = out ? arcs.get(b) : arcs.get(b).reversed();
            corner.sewing.stitch(
                    PlacementBuilder.Naming.of(Stitched.CORNER_BLADE, 1, b + 1),
                    holds.pieces(
                            way, blades.get(b), centre, LineEnd.at(way.end(), out ? far : LineEnd.ShownBy.RUN_END)),
                    LineEnd.at(way.start(), out ? LineEnd.ShownBy.RUN_END : far),
                    PlacementBuilder.Turn.ABOUT_CENTRE);
        }
    }
}
