package jollyspindle.core.plan;

import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.motif.RingDesigner;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Squareness;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Everything computed for a job; nothing decided.
 *
 * @param job it was computed from
 * @param shape of the quilt, once what is needed is measured
 * @param squareness of the body, as soon as its sides are measured
 * @param groups how runs come out, borders from the body outward, then strips; missing where nothing can be divided
 * @param corners what stands in the borders' corners
 * @param runs what to do, border by border clockwise from the top, then strips; missing where nothing can be planned
 * @param areas the areas of the body that can be stitched in, and what to do there
 * @param appliques the outlines of the appliqués, without what is kept free round them
 * @param findings what the quilter should know, worst first
 */
public record WorkPlan(
        QuiltJob job,
        Optional<QuiltShape> shape,
        Optional<Squareness> squareness,
        List<GroupPlan> groups,
        List<RingDesigner.Corner> corners,
        List<RunPlan> runs,
        List<AreaPlan> areas,
        Map<AreaId, Path> appliques,
        List<Finding> findings) {

    /** This plan with more to tell, the worst still first. */
    public WorkPlan withFindings(List<Finding> more) {
        List<Finding> all = Stream.concat(findings.stream(), more.stream())
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
        return new WorkPlan(job, shape, squareness, groups, corners, runs, areas, appliques, all);
    }

    public Optional<GroupPlan> group(GroupId id) {
        return groups.stream().filter(g -> g.id().equals(id)).findFirst();
    }

    public Optional<RunPlan> run(RunId id) {
        return runs.stream().filter(r -> r.id().equals(id)).findFirst();
    }

    /** The innermost border's run along a side. */
    public Optional<RunPlan> run(Side side) {
        return run(RunId.of(side));
    }

    public boolean hasProblems() {
        return findings.stream().anyMatch(f -> f.severity() == Finding.Severity.PROBLEM);
    }

    /** All stitch lines, corners first and areas last. */
    public List<StitchLine> lines() {
        return Stream.of(
                        corners.stream().flatMap(c -> c.lines().stream()),
                        runs.stream().flatMap(r -> r.laidOut().lines().stream()),
                        areas.stream().flatMap(a -> a.lines().stream()))
                .flatMap(lines -> lines)
                .toList();
    }

    /** The corner at a run's left end, if something is stitched there. */
    public Optional<RingDesigner.Corner> corner(RunId run) {
        return corners.stream().filter(c -> c.run().equals(run)).findFirst();
    }

    public Optional<AreaPlan> area(AreaId id) {
        return areas.stream().filter(a -> a.id().equals(id)).findFirst();
    }

    /** All placements of a region in the order of stitching. */
    public List<Placement> placements(RegionId region) {
        return Stream.concat(
                        runs.stream().map(RunPlan::id).filter(region::equals).flatMap(run -> placements(run).stream()),
                        areas.stream()
                                .filter(area -> area.id().equals(region))
                                .flatMap(area -> area.placements().stream()))
                .toList();
    }

    /** All placements of a run in the order of stitching, those of the corner at its left end first. */
    public List<Placement> placements(RunId run) {
        return Stream.concat(
                        corner(run).stream().flatMap(c -> c.placements().stream()),
                        run(run).stream().flatMap(r -> r.laidOut().placements().stream()))
                .toList();
    }

    /** What is stitched on runs that are divided together, in their corners too. */
    public List<Placement> placements(GroupId group) {
        return runs.stream()
                .filter(r -> r.id().group().equals(group))
                .flatMap(r -> placements(r.id()).stream())
                .toList();
    }

    /** The lines that are drawn on a run before anything is stitched on it, or in the corners at its ends. */
    public List<ChalkLine> chalkLines(RunId run) {
        return run(run).map(RunPlan::chalkLines).orElse(List.of());
    }

    /** How many lines are stitched. */
    public int repeats() {
        return lines().size();
    }

    /** How often a template is placed. */
    public int placements() {
        return corners.stream().mapToInt(c -> c.placements().size()).sum()
                + runs.stream().mapToInt(r -> r.laidOut().placements().size()).sum()
                + areas.stream().mapToInt(a -> a.placements().size()).sum();
    }

    /** How many marks must be made; those on seams are not among them. */
    public long chalkMarks() {
        return Stream.concat(
                        runs.stream().flatMap(r -> r.laidOut().marks().stream()),
                        areas.stream().flatMap(a -> a.marks().stream()))
                .filter(m -> m.by() == Mark.MarkedBy.CHALK)
                .count();
    }

    /** The length of all stitching, every pass counted, in inches. */
    public double stitchedLength() {
        return lines().stream().mapToDouble(l -> l.passes() * l.path().length()).sum();
    }
}
