package jollyspindle.core.plan;

import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.MeasureInspector;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Squareness;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** One job on its way to its plan: first it is divided, then the runs are laid out, then the areas. */
final class Planning {

    private final QuiltJob job;
    private final QuiltShape shape;
    private final PlanMemory memory;
    private final List<Finding> findings;
    private final RunDividing dividing;
    private final RunPlanning running;

    /** Begins with a quilt that can be drawn. */
    Planning(QuiltJob job, PlanMemory memory) {
        this.job = job;
        this.memory = memory;
        this.shape = QuiltShape.of(job.quilt());
        this.findings = new ArrayList<>(
                MeasureInspector.inspect(job.quilt(), shape, job.judging().squareLimit()));
        this.dividing = new RunDividing(job, shape, memory, findings);
        this.running = new RunPlanning(job, shape, memory, dividing, findings);
    }

    WorkPlan plan() {
        dividing.divisible().forEach(dividing::divide);
        dividing.divided().values().forEach(running::layOut);
        running.fansAlike();
        List<AreaPlan> areas = areas(id -> true);
        memory.remember(job, dividing.weighed(), running.laidOut());
        return new WorkPlan(
                job,
                Optional.of(shape),
                Optional.of(Squareness.of(job.quilt())),
                List.copyOf(dividing.divided().values()),
                running.corners(),
                running.runs(),
                areas,
                appliques(),
                findings.stream()
                        .sorted(Comparator.comparing(Finding::severity))
                        .toList());
    }

    private Map<AreaId, Path> appliques() {
        Map<AreaId, Path> outlines = new TreeMap<>();
        for (AreaId id : job.quilt().areaIds()) {
            if (job.quilt().area(id).orElseThrow() instanceof Area.Applique applique) {
                outlines.put(id, memory.outline(applique.outline()));
            }
        }
        return Collections.unmodifiableMap(outlines);
    }

    private List<AreaPlan> areas(Predicate<AreaId> wanted) {
        return new AreaPlanning(job, shape, memory, findings).plan(wanted);
    }

    /** The templates that some regions are stitched with. */
    Set<String> templatesFor(Set<RegionId> regions) {
        Set<GroupId> wanted = new TreeSet<>();
        for (RegionId region : regions) {
            if (region instanceof RunId run) {
                wanted.add(run.group());
            }
        }
        wanted.retainAll(dividing.divisible());
        wanted.forEach(dividing::divideWithThoseInside);
        wanted.forEach(group -> running.layOut(dividing.divided().get(group)));
        Stream<Placement> ofAreas = areas(regions::contains).stream().flatMap(area -> area.placements().stream());
        memory.remember(job, dividing.weighed(), running.laidOut());
        return Stream.of(
                        running.runs().stream().flatMap(r -> r.laidOut().placements().stream()),
                        running.corners().stream().flatMap(c -> c.placements().stream()),
                        ofAreas)
                .flatMap(s -> s)
                .filter(p -> !p.tool().isByHand())
                .map(p -> p.tool().templateId())
                .collect(Collectors.toCollection(TreeSet::new));
    }
}
