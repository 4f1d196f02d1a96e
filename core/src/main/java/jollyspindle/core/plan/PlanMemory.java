package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDesigner;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaRules;
import jollyspindle.core.area.AreaSurroundings;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Repeating;
import jollyspindle.core.division.Run;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.RingDesigner;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a planner weighed and laid out last, by all that decides it, so that a job in which only something else has changed is
 * planned without doing that anew.
 */
final class PlanMemory {

    /** What the candidates of a group depend on; its runs and whatever of the job decides how they are weighed. */
    record Weighed(Subject subject, List<Tied> tied) {}

    record Subject(
            List<Run> runs,
            Repeating repeating,
            Wish wish,
            List<Template> templates,
            Machine machine,
            TapeScale tape,
            Judging judging,
            OptionalDouble unit,
            List<CornerAsk> corners) {}

    record Tied(Tie tie, Subject subject) {}

    record Kept(Area area, Path body) {}

    /** What an area's plan depends on. */
    record AreaAsked(
            AreaId id,
            Area area,
            AreaDesign design,
            AreaSurroundings around,
            AreaRules rules,
            List<Template> templates,
            Machine machine,
            TapeScale tape) {}

    /** A run that is to be laid out. */
    record RunAsked(RunFrame frame, DividedRun whole, boolean endsOnSeams) {}

    /** What the stitching of a border or strip depends on. */
    record RingAsked(
            Design design,
            List<RunAsked> runs,
            OptionalDouble unit,
            Map<Side, RunFrame> ring,
            Corners meeting,
            double repeat,
            List<Template> templates,
            Machine machine,
            TapeScale tape) {}

    record RingLaid(
            RingAsked asked,
            List<RunPlan> runs,
            List<RingDesigner.Corner> corners,
            List<RingDesigner.Diagnosed> diagnosed) {}

    private Map<Weighed, CandidateFinder> remembered = Map.of();

    private Map<AreaAsked, AreaPlan> laidOut = Map.of();

    private Map<GroupId, RingLaid> ringsLaid = Map.of();

    /** What is kept free of areas for those under them, worked out once for as long as they stay the same. */
    private final Map<Kept, List<Path>> keptFree = new HashMap<>();

    private final Map<Area.Outline, Path> outlines = new HashMap<>();

    private List<Template> offered = List.of();
    private Machine machine;
    private EdgeCatalog tools;

    /** The edges that templates offer, cut once for as long as they stay the same. */
    EdgeCatalog tools(QuiltJob job) {
        if (tools == null || !job.templates().equals(offered) || !job.machine().equals(machine)) {
            offered = job.templates();
            machine = job.machine();
            tools = new EdgeCatalog(offered, machine);
        }
        return tools;
    }

    Optional<CandidateFinder> finder(Weighed weighed) {
        return Optional.ofNullable(remembered.get(weighed));
    }

    Optional<RingLaid> ring(GroupId group, RingAsked asked) {
        return Optional.ofNullable(ringsLaid.get(group))
                .filter(before -> before.asked().equals(asked));
    }

    Optional<AreaPlan> area(AreaAsked asked) {
        return Optional.ofNullable(laidOut.get(asked));
    }

    /** What of an area on a body is kept free for those under it. */
    List<Path> keptFree(Area area, Path body) {
        return keptFree.computeIfAbsent(new Kept(area, body), kept -> AreaDesigner.inTheWay(kept.area(), kept.body()));
    }

    /** The outline of an appliqué; one that is no circle is made of arcs, which takes a while. */
    Path outline(Area.Outline outline) {
        return outlines.computeIfAbsent(outline, Area.Outline::path);
    }

    /** Remembers what was weighed and laid out last, and forgets what was before. */
    void remember(QuiltJob job, Map<Weighed, CandidateFinder> weighed, Map<GroupId, RingLaid> rings) {
        remembered = weighed;
        ringsLaid = rings;
        outlines.keySet()
                .retainAll(job.quilt().areas().stream()
                        .flatMap(area ->
                                area instanceof Area.Applique applique ? Stream.of(applique.outline()) : Stream.of())
                        .collect(Collectors.toSet()));
    }

    /** Remembers the areas that were laid out last on a body. */
    void remember(QuiltJob job, Path body, Map<AreaAsked, AreaPlan> areas) {
        laidOut = areas;
        keptFree.keySet()
                .removeIf(kept -> !job.quilt().areas().contains(kept.area())
                        || !kept.body().equals(body));
    }
}
