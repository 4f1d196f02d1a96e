package jollyspindle.core.plan;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.EvenDivision;
import jollyspindle.core.division.Ring;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.MeasureInspector;
import jollyspindle.core.inspection.RunInspector;
import jollyspindle.core.motif.SingleArcs;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Concern;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateInspector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Computes the plan of a job. The same job always gives the same plan; whatever can't be planned becomes a finding, and
 * the rest is planned all the same.
 */
public final class Planner {

    private Planner() {}

    /** Plans a job, whatever state it is in. */
    public static WorkPlan plan(QuiltJob job) {
        Quilt quilt = job.quilt();
        List<Dimension> missing = quilt.missing();
        if (!missing.isEmpty()) {
            return unplanned(job, Optional.empty(), List.of(new Finding.NotMeasured(missing)));
        }
        Optional<Finding> impossible = MeasureInspector.impossible(quilt);
        if (impossible.isPresent()) {
            return unplanned(job, Optional.empty(), List.of(impossible.get()));
        }
        QuiltShape shape = QuiltShape.of(quilt);
        List<Finding> findings = new ArrayList<>(MeasureInspector.inspect(quilt, shape));
        Optional<ArcTemplate> template = job.arc();
        if (template.isEmpty()) {
            findings.add(new Finding.NoTemplate());
            return unplanned(job, Optional.of(shape), findings);
        }
        Optional<ArcTemplate.Difficulty> difficulty = template.get().difficulty(job.machine());
        if (difficulty.isPresent()) {
            findings.add(new Finding.TemplateUseless(
                    template.get().name(),
                    difficulty.get(),
                    template.get().edgeRadius(),
                    job.machine().footRadius()));
            return unplanned(job, Optional.of(shape), findings);
        }
        TemplateInspector.inspect(job.chosenTemplate().orElseThrow(), job.machine()).stream()
                .filter(Planner::concernsTheJob)
                .forEach(c ->
                        findings.add(new Finding.TemplateConcern(template.get().name(), c)));
        return plan(job, shape, template.get(), findings);
    }

    /** What the shelf says of a template besides doesn't touch the border. */
    private static boolean concernsTheJob(Concern concern) {
        return concern instanceof Concern.CheckDisagrees
                || concern instanceof Concern.ThicknessAgainstFoot
                || concern instanceof Concern.SweepShortOfHalfCircle;
    }

    /**
     * How the job's copy of the template it uses compares with the shelf's.
     *
     * @param shelf the quilter's
     */
    public static List<Finding> compareWithShelf(QuiltJob job, List<Template> shelf) {
        Optional<Template> copy = job.chosenTemplate();
        if (copy.isEmpty()) {
            return List.of();
        }
        String id = copy.get().id();
        Optional<Template> there = shelf.stream().filter(t -> t.id().equals(id)).findFirst();
        if (there.isEmpty()) {
            return List.of(new Finding.NotOnShelf(copy.get().name(), id));
        }
        return there.get().worksLike(copy.get())
                ? List.of()
                : List.of(new Finding.ChangedOnShelf(copy.get().name(), id));
    }

    /**
     * The counts that have one repeat more or fewer on a side, its neighbours following; nothing while the job can't be
     * divided.
     *
     * @param plan of the job as it stands
     * @param step what to add to the count of this side
     */
    public static Optional<Counts> step(WorkPlan plan, Side side, int step) {
        return plan.chosen().map(chosen -> {
            QuiltJob job = plan.job();
            CandidateFinder finder = new CandidateFinder(
                    ring(job, plan.shape().orElseThrow(), job.arc().orElseThrow()),
                    job.layout().wantedRepeat());
            return finder.withCount(side, chosen.counts().on(side) + step);
        });
    }

    private static WorkPlan unplanned(QuiltJob job, Optional<QuiltShape> shape, List<Finding> findings) {
        return new WorkPlan(job, shape, List.of(), Optional.empty(), List.of(), worstFirst(findings));
    }

    private static WorkPlan plan(QuiltJob job, QuiltShape shape, ArcTemplate template, List<Finding> findings) {
        CandidateFinder finder =
                new CandidateFinder(ring(job, shape, template), job.layout().wantedRepeat());
        List<Candidate> candidates = finder.find(job.layout().counts());
        Candidate chosen = job.layout()
                .counts()
                .flatMap(counts -> candidates.stream()
                        .filter(c -> c.counts().equals(counts))
                        .findFirst())
                .orElse(candidates.get(0));
        List<RunPlan> runs = new ArrayList<>();
        for (Side side : Side.values()) {
            chosen.fit(side).ifPresent(fit -> runs.add(run(job, shape.runs().get(side), template, chosen, fit)));
        }
        findings.addAll(RunInspector.inspect(
                chosen,
                template,
                ArcFit.widest(template, job.machine()),
                job.quilt().length(Dimension.RESERVE),
                finder.clearing(chosen.counts())));
        return new WorkPlan(
                job, Optional.of(shape), candidates, Optional.of(chosen), List.copyOf(runs), worstFirst(findings));
    }

    private static Ring ring(QuiltJob job, QuiltShape shape, ArcTemplate template) {
        Map<Side, Double> lengths = new EnumMap<>(Side.class);
        Map<Side, Double> rooms = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            lengths.put(side, shape.runs().get(side).length());
            rooms.put(side, job.quilt().room(side));
        }
        return new Ring(lengths, rooms, job.quilt().length(Dimension.CLEARANCE), template, job.machine());
    }

    private static RunPlan run(QuiltJob job, RunFrame frame, ArcTemplate template, Candidate chosen, ArcFit fit) {
        EvenDivision division = new EvenDivision(frame.length(), chosen.counts().on(frame.side()));
        SingleArcs motif = new SingleArcs(template, job.quilt().length(Dimension.CLEARANCE));
        boolean endsOnSeams =
                !job.quilt().corners().runsThrough(frame.side()) && job.quilt().length(Dimension.CLEARANCE) == 0;
        return new RunPlan(frame, division, fit, motif.layOut(frame, division, fit, job.tape(), endsOnSeams));
    }

    private static List<Finding> worstFirst(List<Finding> findings) {
        return findings.stream().sorted(Comparator.comparing(Finding::severity)).toList();
    }
}
