package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDesigner;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.area.AreaRules;
import jollyspindle.core.area.AreaSurroundings;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.sewing.EdgeCatalog;

import java.util.List;
import java.util.Optional;

/** What each motif comes to in an area: in one of its blocks, or in all of it. */
public final class AreaGallery {

    private AreaGallery() {}

    /**
     * Lays a motif out in a piece of an area.
     *
     * @param job with all templates that may be taken, of a quilt that is measured
     * @return the plan of one piece, with nothing in its way
     */
    public static MotifShown<AreaPlan> entry(QuiltJob job, AreaId id, AreaPreset preset) {
        Area area = job.quilt().area(id).orElseThrow();
        Area one =
                area instanceof Area.Blocks b ? new Area.Blocks(1, 1, b.width(), b.height(), 0, b.clearance()) : area;
        Path body = Path.polygon(QuiltShape.of(job.quilt()).body().corners()).reversed();
        AreaDesign design = AreaDesign.of(preset.motif(), Optional.empty());
        AreaPlan plan = AreaDesigner.layOut(
                id,
                one,
                design,
                new AreaSurroundings(body, List.of(), List.of()),
                new AreaRules(job.quilt().get(Dimension.BATTING), job.judging().mostInAPoint()),
                new EdgeCatalog(job.templates(), job.machine()),
                job.tape());
        return MotifShown.of(
                plan,
                job,
                plan.marks(),
                plan.placements(),
                plan.starts(),
                plan.diagnosed().stream()
                        .map(told -> AreaRemedies.finding(plan, design, told))
                        .filter(f -> f.severity() != Finding.Severity.NOTE)
                        .findFirst());
    }
}
