package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDesigner;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaRules;
import jollyspindle.core.area.AreaSurroundings;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.sewing.EdgeCatalog;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;

/** How the areas of one job are planned. */
final class AreaPlanning {

    private final QuiltJob job;
    private final QuiltShape shape;
    private final PlanMemory memory;
    private final EdgeCatalog tools;
    private final List<Finding> findings;

    /**
     * Plans areas.
     *
     * @param findings what is the matter with them is added to these
     */
    AreaPlanning(QuiltJob job, QuiltShape shape, PlanMemory memory, List<Finding> findings) {
        this.job = job;
        this.shape = shape;
        this.memory = memory;
        this.tools = memory.tools(job);
        this.findings = findings;
    }

    List<AreaPlan> plan(Predicate<AreaId> wanted) {
        Quilt quilt = job.quilt();
        Path body = Path.polygon(shape.body().corners()).reversed();
        AreaRules rules = rules(job);
        List<AreaPlan> areas = new ArrayList<>();
        Map<PlanMemory.AreaAsked, AreaPlan> known = new HashMap<>();
        for (AreaId id : quilt.areaIds()) {
            AreaDesign design = job.design(id);
            Area area = quilt.area(id).orElseThrow();
            if (!(area instanceof Area.Applique) && wanted.test(id)) {
                PlanMemory.AreaAsked asked = new PlanMemory.AreaAsked(
                        id, area, design, around(id, body), rules, job.templates(), job.machine(), job.tape());
                AreaPlan plan = memory.area(asked)
                        .orElseGet(
                                () -> AreaDesigner.layOut(id, area, design, asked.around(), rules, tools, job.tape()));
                known.put(asked, plan);
                for (AreaPlan.Diagnosed diagnosed : plan.diagnosed()) {
                    findings.add(AreaRemedies.finding(plan, design, diagnosed));
                }
                areas.add(plan);
            }
        }
        memory.remember(job, body, known);
        return List.copyOf(areas);
    }

    /** What lies on an area. */
    private AreaSurroundings around(AreaId id, Path body) {
        Quilt quilt = job.quilt();
        Area area = quilt.area(id).orElseThrow();
        List<Path> inTheWay = new ArrayList<>();
        Set<Path> open = new HashSet<>();
        List<Double> echoes = new ArrayList<>();
        for (AreaId other : quilt.areaIds()) {
            Area on = quilt.area(other).orElseThrow();
            if (!other.equals(id) && on.isOver(area)) {
                inTheWay.addAll(memory.keptFree(on, body));
                if (on instanceof Area.Applique && on.clearance() > 0) {
                    open.addAll(memory.keptFree(on, body));
                }
                echoes.addAll(job.design(other).echoesOutside());
            }
        }
        return new AreaSurroundings(body, inTheWay, open, echoes);
    }

    /** By which areas are judged and threaded in a job. */
    static AreaRules rules(QuiltJob job) {
        return new AreaRules(
                job.quilt().get(Dimension.BATTING),
                job.judging().mostInAPoint(),
                job.judging().changeOver());
    }
}
