package jollyspindle.core.plan;

import jollyspindle.core.area.AreaArrangement;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDesigner;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.area.AreaSurroundings;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.sewing.EdgeCatalog;

import java.util.List;
import java.util.Optional;

/** What each motif comes to in an area: in one of its blocks, or in all of it. */
public final class AreaGallery {

    private AreaGallery() {}

    /** So many blocks across and down show how they follow each other. */
    private static final int SHOWN = 4;

    /**
     * Lays a motif out in a piece of an area.
     *
     * @param job with all templates that may be taken, of a quilt that is measured
     * @return the plan of one piece, with nothing in its way
     */
    public static MotifShown<AreaPlan> entry(QuiltJob job, AreaId id, AreaPreset preset) {
        return entry(job, id, AreaDesign.of(preset.motif(), Optional.empty()), 1);
    }

    /**
     * Lays several motifs out in a piece of an area, or in a few blocks of it if they differ.
     *
     * @param job with all templates that may be taken, of a quilt that is measured
     * @return the plan of them, with nothing in their way
     */
    public static MotifShown<AreaPlan> entry(QuiltJob job, AreaId id, AreaArrangement arrangement) {
        return entry(job, id, arrangement.design(), arrangement.isForAllBlocks() ? SHOWN : 1);
    }

    private static MotifShown<AreaPlan> entry(QuiltJob job, AreaId id, AreaDesign design, int most) {
        Area area = job.quilt().area(id).orElseThrow();
        Area some = area instanceof Area.Blocks b
                ? new Area.Blocks(
                        Math.min(most, b.columns()),
                        Math.min(most, b.rows()),
                        b.width(),
                        b.height(),
                        most == 1 ? 0 : b.gap(),
                        b.clearance())
                : area;
        Path body = Path.polygon(QuiltShape.of(job.quilt()).body().corners()).reversed();
        AreaPlan plan = AreaDesigner.layOut(
                id,
                some,
                design,
                new AreaSurroundings(body, List.of(), List.of()),
                AreaPlanning.rules(job),
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
