package jollyspindle.core.plan;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.Run;
import jollyspindle.core.division.RunSet;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.school.School;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.motif.DivisionConstraints;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.RingDesigner;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.shelf.TemplateInspector;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** How the borders and strips of one job are divided. */
final class RunDividing {

    private final QuiltJob job;
    private final Quilt quilt;
    private final QuiltShape shape;
    private final PlanMemory memory;
    private final EdgeCatalog tools;
    private final List<Finding> findings;

    private final Map<GroupId, PlanMemory.Subject> subjects = new TreeMap<>();
    private final Map<GroupId, CandidateFinder> finders = new TreeMap<>();
    private final Map<GroupId, GroupPlan> groups = new TreeMap<>();
    private final Map<RunId, double[]> taken = new TreeMap<>();
    private final Map<PlanMemory.Weighed, CandidateFinder> used = new HashMap<>();

    /**
     * Looks what is to be divided.
     *
     * @param findings what is the matter with it is added to these
     */
    RunDividing(QuiltJob job, QuiltShape shape, PlanMemory memory, List<Finding> findings) {
        this.job = job;
        this.quilt = job.quilt();
        this.shape = shape;
        this.memory = memory;
        this.tools = memory.tools(job);
        this.findings = findings;
        List<Template> looked = new ArrayList<>();
        for (GroupId group : quilt.groups()) {
            if (isUsable(group, looked)) {
                subject(group).ifPresent(subject -> subjects.put(group, subject));
            }
        }
    }

    /** The groups that can be divided. */
    Set<GroupId> divisible() {
        return subjects.keySet();
    }

    /** The groups that have been divided. */
    Map<GroupId, GroupPlan> divided() {
        return groups;
    }

    /** What the corners take of a run's two ends, in inches. */
    double[] taken(RunId run) {
        return taken.getOrDefault(run, new double[2]);
    }

    /** All that was weighed, to be remembered. */
    Map<PlanMemory.Weighed, CandidateFinder> weighed() {
        return used;
    }

    /** A tied border follows the one inside it, and that perhaps another. */
    void divideWithThoseInside(GroupId group) {
        job.layout(group)
                .tie()
                .map(tie -> GroupId.border(tie.to()))
                .filter(inside -> subjects.containsKey(inside) && !groups.containsKey(inside))
                .ifPresent(this::divideWithThoseInside);
        divide(group);
    }

    /** Whether a group's template can be used; what is the matter with it is told once. */
    private boolean isUsable(GroupId group, List<Template> looked) {
        Layer main = job.layout(group).design().main();
        EdgeKind need = DivisionConstraints.template(main.motif());
        if (need != EdgeKind.ARC) {
            job.chosenTemplate(group).ifPresent(template -> concerns(template, looked));
            return true;
        }
        Optional<ArcTemplate> arc = arc(group);
        if (arc.isEmpty()) {
            findings.add(new Finding.NoTemplate(quilt.runs(group).get(0)));
            return false;
        }
        Template template = job.chosenTemplate(group).orElseThrow();
        boolean first = !looked.contains(template);
        Optional<ArcTemplate.Difficulty> difficulty = arc.get().difficulty(job.machine());
        if (difficulty.isPresent()) {
            if (first) {
                looked.add(template);
                findings.add(new Finding.TemplateUseless(
                        template.name(),
                        difficulty.get(),
                        arc.get().edgeRadius(),
                        job.machine().footRadius()));
            }
            return false;
        }
        concerns(template, looked);
        return true;
    }

    /** Tells once what the shelf says of a template that touches the job. */
    private void concerns(Template template, List<Template> looked) {
        if (!looked.contains(template)) {
            looked.add(template);
            TemplateInspector.inspect(template, job.machine()).stream()
                    .filter(RunDividing::concernsTheJob)
                    .forEach(c -> findings.add(new Finding.TemplateTrouble(template.name(), c)));
        }
    }

    /** The edge a group is stitched along. Cutting templates takes a while, so those that were cut are asked first. */
    private Optional<ArcTemplate> arc(GroupId group) {
        return job.chosenTemplate(group).map(Template::arcs).flatMap(arcs -> arcs.stream()
                .filter(arc -> job.layout(group)
                        .guideId()
                        .filter(arc.guideId()::equals)
                        .isPresent())
                .findFirst()
                .or(() -> arcs.stream().findFirst()));
    }

    /** What is to be divided; nothing if the motif's template is missing. */
    private Optional<PlanMemory.Subject> subject(GroupId group) {
        RunLayout layout = job.layout(group);
        List<RunFrame> frames = quilt.runs(group).stream().map(shape::run).toList();
        double room = frames.stream().mapToDouble(RunFrame::room).min().orElseThrow();
        Optional<DivisionConstraints> needs =
                DivisionConstraints.of(layout.design().main(), tools, room);
        if (needs.isEmpty()) {
            findings.add(new Finding.MotifTrouble(
                    frames.get(0).id(),
                    1,
                    layout.design().main().motif(),
                    LayoutContext.missing(
                            tools,
                            layout.design().main().templateId(),
                            DivisionConstraints.template(layout.design().main().motif()),
                            0),
                    Optional.empty()));
            return Optional.empty();
        }
        if (!group.strip()) {
            taken.putAll(RingDesigner.takenByCorners(
                    layout.design(),
                    tools,
                    Planner.ring(shape, group),
                    Planner.meeting(quilt, group),
                    layout.wish().repeat()));
        }
        return Optional.of(new PlanMemory.Subject(
                frames.stream().map(this::netRun).toList(),
                needs.get().repeating(),
                needs.get().added(layout.wish()),
                job.templates(),
                job.machine(),
                job.tape(),
                job.judging(),
                quilt.unit(group),
                group.strip() ? List.of() : layout.design().asks()));
    }

    /** What is left of a run between what the corners take. */
    private Run netRun(RunFrame frame) {
        double[] ends = taken(frame.id());
        return new Run(frame.id(), frame.length() - ends[0] - ends[1], frame.room(), frame.clearance(), ends[0]);
    }

    private RunSet set(GroupId group) {
        PlanMemory.Subject subject = subjects.get(group);
        List<ArcTemplate> others = job.templates().stream()
                .flatMap(t -> t.arcs().stream())
                .filter(arc -> arc.difficulty(job.machine()).isEmpty())
                .toList();
        return new RunSet(
                subject.runs(),
                subject.repeating(),
                others,
                subject.machine(),
                subject.tape(),
                subject.wish(),
                subject.judging(),
                subject.unit(),
                subject.corners());
    }

    /** A group's finder, remembered if it has been used before; the borders tied to it count with it. */
    CandidateFinder finder(GroupId group) {
        CandidateFinder known = finders.get(group);
        if (known != null) {
            return known;
        }
        List<PlanMemory.Tied> tied = subjects.keySet().stream()
                .flatMap(other -> job.layout(other).tie().stream()
                        .filter(tie -> GroupId.border(tie.to()).equals(group)
                                && GroupId.border(tie.border()).equals(other))
                        .map(tie -> new PlanMemory.Tied(tie, subjects.get(other))))
                .toList();
        PlanMemory.Weighed key = new PlanMemory.Weighed(subjects.get(group), tied);
        CandidateFinder finder = memory.finder(key)
                .orElseGet(() -> new CandidateFinder(
                        set(group),
                        tied.stream()
                                .map(t -> new CandidateFinder.TiedSet(
                                        finder(GroupId.border(t.tie().border())), t.tie()))
                                .toList()));
        used.put(key, finder);
        finders.put(group, finder);
        return finder;
    }

    void divide(GroupId group) {
        CandidateFinder finder = finder(group);
        Optional<Candidate> followed = followed(group, finder);
        if (followed.isPresent()) {
            groups.put(group, new GroupPlan(group, finder.set(), List.of(followed.get()), followed.get()));
            return;
        }
        Map<RunId, School> kept = job.layout(group).chosen();
        List<Candidate> candidates = finder.find(kept);
        // Without a choice the best holds; with one, what it makes of the best.
        Candidate chosen = finder.mine(kept, finder.best()).orElse(candidates.get(0));
        for (Run run : finder.set().runs()) {
            School school = kept.get(run.id());
            if (school != null && school.divide(run.length()).isEmpty()) {
                findings.add(new Finding.ChoiceGone(run.id(), school, run.length()));
            }
        }
        groups.put(group, new GroupPlan(group, finder.set(), candidates, chosen));
    }

    /** What a tied border follows. */
    private Optional<Candidate> followed(GroupId group, CandidateFinder finder) {
        Optional<Tie> tie = job.layout(group).tie();
        if (tie.isEmpty()) {
            return Optional.empty();
        }
        Optional<Candidate> followed = Optional.ofNullable(
                        groups.get(GroupId.border(tie.get().to())))
                .flatMap(inside -> tie.get().follow(inside.chosen().schools()))
                .flatMap(finder::judge);
        if (followed.isEmpty()) {
            findings.add(new Finding.TieBroken(quilt.runs(group).get(0), tie.get()));
        }
        return followed;
    }

    /** What the shelf says of a template besides doesn't touch the border. */
    private static boolean concernsTheJob(TemplateDiagnostic diagnostic) {
        return diagnostic instanceof TemplateDiagnostic.CheckDisagrees
                || diagnostic instanceof TemplateDiagnostic.ThicknessAgainstFoot
                || diagnostic instanceof TemplateDiagnostic.SweepShortOfHalfCircle;
    }
}
