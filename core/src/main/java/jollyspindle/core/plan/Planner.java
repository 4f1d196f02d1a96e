package jollyspindle.core.plan;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.MeasureInspector;
import jollyspindle.core.motif.RingDesigner;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.Template;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Computes the plan of a job. The same job always gives the same plan; whatever can't be planned becomes a finding, and
 * the rest is planned all the same.
 *
 * <p>A planner remembers what it weighed last, so that planning a job again in which only something else has changed doesn't
 * weigh it anew. What it gives doesn't depend on that.
 */
public final class Planner {

    private final PlanMemory memory = new PlanMemory();

    /** Plans a job, whatever state it is in. */
    public static WorkPlan plan(QuiltJob job) {
        return new Planner().planAgain(job);
    }

    /** Plans a job, using what is remembered of those before. */
    public WorkPlan planAgain(QuiltJob job) {
        Quilt quilt = job.quilt();
        List<Dimension> missing = quilt.missing();
        if (!missing.isEmpty()) {
            return unplanned(job, new Finding.NotMeasured(missing));
        }
        Optional<Finding> impossible = MeasureInspector.impossible(quilt);
        if (impossible.isPresent()) {
            return unplanned(job, impossible.get());
        }
        return new Planning(job, memory).plan();
    }

    /**
     * The templates that some regions are stitched with; nothing else is planned for that.
     *
     * @param job with all templates at hand that it may take
     * @return their ids; none while the quilt can't be planned
     */
    public Set<String> templatesFor(QuiltJob job, Set<RegionId> regions) {
        Quilt quilt = job.quilt();
        if (!quilt.missing().isEmpty() || MeasureInspector.impossible(quilt).isPresent()) {
            return Set.of();
        }
        return new Planning(job, memory).templatesFor(regions);
    }

    private static WorkPlan unplanned(QuiltJob job, Finding finding) {
        return new WorkPlan(
                job,
                Optional.empty(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Map.of(),
                List.of(finding));
    }

    /**
     * How the job's copies of the templates it uses compare with the shelf's.
     *
     * @param shelf the quilter's
     */
    public static List<Finding> compareWithShelf(QuiltJob job, List<Template> shelf) {
        Set<Template> copies = new LinkedHashSet<>();
        job.quilt().groups().forEach(group -> job.chosenTemplate(group).ifPresent(copies::add));
        return copies.stream().flatMap(copy -> compare(copy, shelf).stream()).toList();
    }

    private static Optional<Finding> compare(Template copy, List<Template> shelf) {
        Optional<Template> there =
                shelf.stream().filter(t -> t.id().equals(copy.id())).findFirst();
        if (there.isEmpty()) {
            return Optional.of(new Finding.NotOnShelf(copy.name(), copy.id()));
        }
        return there.get().worksLike(copy)
                ? Optional.empty()
                : Optional.of(new Finding.ChangedOnShelf(copy.name(), copy.id()));
    }

    /**
     * The way that has more repeats or fewer on a run, its neighbours following.
     *
     * @param plan of the job as it stands
     * @param by how many more; below 0 fewer
     * @return nothing while the run can't be divided, or if there is none
     */
    public static Optional<Candidate> step(WorkPlan plan, RunId id, int by) {
        return plan.group(id.group()).flatMap(group -> new CandidateFinder(group.set()).step(group.chosen(), id, by));
    }

    /**
     * What would be stitched on a run if it were divided another way.
     *
     * @param plan of the job as it stands
     * @param divided the run, without what the corners take
     * @return in the quilt's frame; empty while nothing can be laid out
     */
    public static List<StitchLine> preview(WorkPlan plan, DividedRun divided) {
        QuiltJob job = plan.job();
        RunId id = divided.id();
        Optional<QuiltShape> shape = plan.shape();
        if (shape.isEmpty() || !divided.stitched()) {
            return List.of();
        }
        RunFrame frame = shape.get().run(id);
        // What the corners take is what is left of the run's length, as much at the left as it stood at.
        double left = divided.run().left();
        double right = frame.length() - left - divided.division().length();
        RingDesigner designer = new RingDesigner(
                job.layout(id.group()).design(), new EdgeCatalog(job.templates(), job.machine()), job.tape());
        designer.begin(frame, divided.between(left, Math.max(0, right)), false, OptionalDouble.empty());
        designer.layOut(frame, ring(shape.get(), id.group()), meeting(job.quilt(), id.group()));
        return designer.laidOut(id).lines();
    }

    /** All four runs of a border; none for a strip. */
    static Map<Side, RunFrame> ring(QuiltShape shape, GroupId group) {
        return group.strip() ? Map.of() : shape.rings().get(group.number() - 1).runs();
    }

    /** How the borders meet in the corners of a group; a strip has none. */
    static Corners meeting(Quilt quilt, GroupId group) {
        return group.strip() ? Corners.MITRED : quilt.border(group.number()).corners();
    }
}
