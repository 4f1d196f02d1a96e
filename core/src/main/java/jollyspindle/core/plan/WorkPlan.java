package jollyspindle.core.plan;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.Side;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Everything computed for a job; nothing decided.
 *
 * @param job it was computed from
 * @param shape of the quilt, once what is needed is measured
 * @param candidates for the counts of repeats, best first
 * @param chosen the candidate the runs follow
 * @param runs what to do, clockwise from the top; a side is missing where nothing can be planned
 * @param findings what the quilter should know, worst first
 */
public record WorkPlan(
        QuiltJob job,
        Optional<QuiltShape> shape,
        List<Candidate> candidates,
        Optional<Candidate> chosen,
        List<RunPlan> runs,
        List<Finding> findings) {

    /** This plan with more to tell, the worst still first. */
    public WorkPlan withFindings(List<Finding> more) {
        List<Finding> all = Stream.concat(findings.stream(), more.stream())
                .sorted(Comparator.comparing(Finding::severity))
                .toList();
        return new WorkPlan(job, shape, candidates, chosen, runs, all);
    }

    public Optional<RunPlan> run(Side side) {
        return runs.stream().filter(r -> r.side() == side).findFirst();
    }

    public boolean hasProblems() {
        return findings.stream().anyMatch(f -> f.severity() == Finding.Severity.PROBLEM);
    }

    /** How many arcs there are. */
    public int repeats() {
        return runs.stream().mapToInt(r -> r.laidOut().lines().size()).sum();
    }

    /** How often a template is placed. */
    public int placements() {
        return runs.stream().mapToInt(r -> r.laidOut().placements().size()).sum();
    }

    /** How many marks must be made; those on seams are not among them. */
    public long chalkMarks() {
        return runs.stream()
                .flatMap(r -> r.laidOut().marks().stream())
                .filter(m -> m.by() == Mark.MarkedBy.CHALK)
                .count();
    }

    /** The length of all stitch lines, in inches. */
    public double stitchedLength() {
        return runs.stream()
                .flatMap(r -> r.laidOut().lines().stream())
                .mapToDouble(Arc::length)
                .sum();
    }
}
