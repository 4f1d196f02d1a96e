package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDesigner;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaRules;
import jollyspindle.core.area.AreaSurroundings;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.CandidateFinder;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Repeating;
import jollyspindle.core.division.Run;
import jollyspindle.core.division.RunSet;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.effort.Effort;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.MeasureInspector;
import jollyspindle.core.inspection.RunInspector;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.DivisionConstraints;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Obstacle;
import jollyspindle.core.motif.RingDesigner;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Squareness;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Concern;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateInspector;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Computes the plan of a job. The same job always gives the same plan; whatever can't be planned becomes a finding, and
 * the rest is planned all the same.
 *
 * <p>A planner remembers what it weighed last, so that planning a job again in which only something else has changed doesn't
 * weigh it anew. What it gives doesn't depend on that.
 */
public final class Planner {

    /** What the candidates of a group depend on; its runs and whatever of the job decides how they are weighed. */
    private record Weighed(Subject subject, List<Tied> tied) {}

    private record Subject(
            List<Run> runs,
            Repeating repeating,
            Wish wish,
            List<Template> templates,
            Machine machine,
            TapeScale tape,
            Judging judging,
            OptionalDouble unit,
            List<CornerAsk> corners) {}

    private record Tied(Tie tie, Subject subject) {}

    private Map<Weighed, CandidateFinder> remembered = Map.of();

    /** The round edges of templates that have been cut. */
    private final Map<Template, List<ArcTemplate>> cut = new HashMap<>();

    private record Kept(Area area, Path body) {}

    /** What an area's plan depends on. */
    private record Asked(
            AreaId id,
            Area area,
            AreaDesign design,
            AreaSurroundings around,
            AreaRules rules,
            List<Template> templates,
            Machine machine,
            TapeScale tape) {}

    private Map<Asked, AreaPlan> laidOut = Map.of();

    /** A run that is to be laid out. */
    private record RunAsked(RunFrame frame, DividedRun whole, boolean endsOnSeams) {}

    /** What the stitching of a border or strip depends on. */
    private record RingAsked(
            Design design,
            List<RunAsked> runs,
            OptionalDouble unit,
            Map<Side, RunFrame> ring,
            Corners meeting,
            double repeat,
            List<Template> templates,
            Machine machine,
            TapeScale tape) {}

    private record RingLaid(
            RingAsked asked, List<RunPlan> runs, List<RingDesigner.Corner> corners, List<RingDesigner.Told> told) {}

    private Map<GroupId, RingLaid> ringsLaid = Map.of();

    /** What is kept free of areas for those under them, worked out once for as long as they stay the same. */
    private final Map<Kept, List<Path>> keptFree = new HashMap<>();

    private List<Template> offered = List.of();
    private Machine machine;
    private EdgeCatalog tools;

    /** The edges that templates offer, cut once for as long as they stay the same. */
    private EdgeCatalog tools(QuiltJob job) {
        if (tools == null || !job.templates().equals(offered) || !job.machine().equals(machine)) {
            offered = job.templates();
            machine = job.machine();
            tools = new EdgeCatalog(offered, machine);
        }
        return tools;
    }

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
        return new Planning(job).plan();
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
        return new Planning(job).templatesFor(regions);
    }

    private static WorkPlan unplanned(QuiltJob job, Finding finding) {
        return new WorkPlan(
                job, Optional.empty(), Optional.empty(), List.of(), List.of(), List.of(), List.of(), List.of(finding));
    }

    /** What the shelf says of a template besides doesn't touch the border. */
    private static boolean concernsTheJob(Concern concern) {
        return concern instanceof Concern.CheckDisagrees
                || concern instanceof Concern.ThicknessAgainstFoot
                || concern instanceof Concern.SweepShortOfHalfCircle;
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
        designer.layOut(
                frame,
                divided.between(left, Math.max(0, right)),
                false,
                OptionalDouble.empty(),
                ring(shape.get(), id.group()),
                meeting(job.quilt(), id.group()));
        return designer.laidOut(id).lines();
    }

    /** All four runs of a border; none for a strip. */
    private static Map<Side, RunFrame> ring(QuiltShape shape, GroupId group) {
        return group.strip() ? Map.of() : shape.rings().get(group.number() - 1).runs();
    }

    /** How the borders meet in the corners of a group; a strip has none. */
    private static Corners meeting(Quilt quilt, GroupId group) {
        return group.strip() ? Corners.MITRED : quilt.border(group.number()).corners();
    }

    /** One job on its way to its plan. */
    private final class Planning {

        private final QuiltJob job;
        private final Quilt quilt;
        private final QuiltShape shape;
        private final List<Finding> findings;
        private final Map<GroupId, Subject> subjects = new TreeMap<>();
        private final Map<GroupId, CandidateFinder> finders = new TreeMap<>();
        private final Map<GroupId, GroupPlan> groups = new TreeMap<>();
        private final Map<GroupId, RingLaid> rings = new TreeMap<>();
        private final List<RunPlan> runs = new ArrayList<>();
        private final List<RingDesigner.Corner> corners = new ArrayList<>();
        private final Map<RunId, double[]> taken = new TreeMap<>();
        private final EdgeCatalog tools;
        private final Set<List<Object>> toldBefore = new HashSet<>();
        private final Map<Weighed, CandidateFinder> used = new HashMap<>();

        Planning(QuiltJob job) {
            this.job = job;
            this.quilt = job.quilt();
            this.tools = tools(job);
            this.shape = QuiltShape.of(quilt);
            this.findings = new ArrayList<>(
                    MeasureInspector.inspect(quilt, shape, job.judging().squareLimit()));
        }

        WorkPlan plan() {
            List<Template> looked = new ArrayList<>();
            for (GroupId group : quilt.groups()) {
                if (isUsable(group, looked)) {
                    subject(group).ifPresent(subject -> subjects.put(group, subject));
                }
            }
            subjects.keySet().forEach(this::divide);
            groups.values().forEach(this::layOut);
            fansAlike();
            List<AreaPlan> areas = areas(id -> true);
            remembered = used;
            ringsLaid = rings;
            cut.keySet().retainAll(job.templates());
            return new WorkPlan(
                    job,
                    Optional.of(shape),
                    Optional.of(Squareness.of(quilt)),
                    List.copyOf(groups.values()),
                    List.copyOf(corners),
                    List.copyOf(runs),
                    areas,
                    findings.stream()
                            .sorted(Comparator.comparing(Finding::severity))
                            .toList());
        }

        private Set<String> templatesFor(Set<RegionId> regions) {
            Set<GroupId> wanted = new TreeSet<>();
            for (RegionId region : regions) {
                if (region instanceof RunId run && quilt.groups().contains(run.group())) {
                    wanted.add(run.group());
                }
            }
            List<Template> looked = new ArrayList<>();
            for (GroupId group : quilt.groups()) {
                if (isUsable(group, looked)) {
                    subject(group).ifPresent(subject -> subjects.put(group, subject));
                }
            }
            wanted.retainAll(subjects.keySet());
            wanted.forEach(this::divideWithThoseInside);
            wanted.forEach(group -> layOut(groups.get(group)));
            remembered = used;
            ringsLaid = rings;
            Stream<Placement> ofAreas =
                    areas(id -> regions.contains(id)).stream().flatMap(area -> area.placements().stream());
            return Stream.of(
                            runs.stream().flatMap(r -> r.laidOut().placements().stream()),
                            corners.stream().flatMap(c -> c.placements().stream()),
                            ofAreas)
                    .flatMap(s -> s)
                    .map(p -> p.tool().templateId())
                    .collect(Collectors.toCollection(TreeSet::new));
        }

        /** A tied border follows the one inside it, and that perhaps another. */
        private void divideWithThoseInside(GroupId group) {
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
            Obstacle.EdgeKind need = DivisionConstraints.template(main.motif());
            if (need != Obstacle.EdgeKind.ARC) {
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
                        .filter(Planner::concernsTheJob)
                        .forEach(c -> findings.add(new Finding.TemplateConcern(template.name(), c)));
            }
        }

        /** The edge a group is stitched along. Cutting templates takes a while, so those that were cut are asked first. */
        private Optional<ArcTemplate> arc(GroupId group) {
            return job.chosenTemplate(group)
                    .map(template -> cut.computeIfAbsent(template, Template::arcs))
                    .flatMap(arcs -> arcs.stream()
                            .filter(arc -> job.layout(group)
                                    .guideId()
                                    .filter(arc.guideId()::equals)
                                    .isPresent())
                            .findFirst()
                            .or(() -> arcs.stream().findFirst()));
        }

        /** What is to be divided; nothing if the motif's template is missing. */
        private Optional<Subject> subject(GroupId group) {
            RunLayout layout = job.layout(group);
            List<RunFrame> frames = quilt.runs(group).stream().map(shape::run).toList();
            double room = frames.stream().mapToDouble(RunFrame::room).min().orElseThrow();
            Optional<DivisionConstraints> needs =
                    DivisionConstraints.of(layout.design().main(), tools, room);
            if (needs.isEmpty()) {
                findings.add(new Finding.MotifTrouble(
                        frames.get(0).id(),
                        1,
                        layout.design().main().motif().kind(),
                        new Obstacle.NoTool(
                                DivisionConstraints.template(
                                        layout.design().main().motif()),
                                0),
                        Optional.empty()));
                return Optional.empty();
            }
            if (!group.strip()) {
                taken.putAll(RingDesigner.takenByCorners(
                        layout.design(),
                        tools,
                        ring(shape, group),
                        meeting(quilt, group),
                        layout.wish().repeat()));
            }
            return Optional.of(new Subject(
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
            double[] ends = taken.getOrDefault(frame.id(), new double[2]);
            return new Run(frame.id(), frame.length() - ends[0] - ends[1], frame.room(), frame.clearance(), ends[0]);
        }

        private RunSet set(GroupId group) {
            Subject subject = subjects.get(group);
            List<ArcTemplate> others = job.templates().stream()
                    .flatMap(t -> cut.computeIfAbsent(t, Template::arcs).stream())
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
        private CandidateFinder finder(GroupId group) {
            CandidateFinder known = finders.get(group);
            if (known != null) {
                return known;
            }
            List<Tied> tied = subjects.keySet().stream()
                    .flatMap(other -> job.layout(other).tie().stream()
                            .filter(tie -> GroupId.border(tie.to()).equals(group)
                                    && GroupId.border(tie.border()).equals(other))
                            .map(tie -> new Tied(tie, subjects.get(other))))
                    .toList();
            Weighed key = new Weighed(subjects.get(group), tied);
            CandidateFinder finder = remembered.get(key);
            if (finder == null) {
                finder = new CandidateFinder(
                        set(group),
                        tied.stream()
                                .map(t -> new CandidateFinder.TiedSet(
                                        finder(GroupId.border(t.tie().border())), t.tie()))
                                .toList());
            }
            used.put(key, finder);
            finders.put(group, finder);
            return finder;
        }

        private void divide(GroupId group) {
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

        private void layOut(GroupPlan group) {
            Effort.step();
            RunLayout layout = job.layout(group.id());
            List<RunAsked> whole = new ArrayList<>();
            for (DividedRun divided : group.chosen().runs()) {
                if (divided.stitched()) {
                    RunFrame frame = shape.run(divided.id());
                    double[] ends = taken.getOrDefault(divided.id(), new double[2]);
                    whole.add(new RunAsked(frame, divided.between(ends[0], ends[1]), endsOnSeams(frame)));
                }
            }
            RingAsked asked = new RingAsked(
                    layout.design(),
                    whole,
                    quilt.unit(group.id()),
                    ring(shape, group.id()),
                    meeting(quilt, group.id()),
                    layout.wish().repeat(),
                    job.templates(),
                    job.machine(),
                    job.tape());
            RingLaid laid = Optional.ofNullable(ringsLaid.get(group.id()))
                    .filter(before -> before.asked().equals(asked))
                    .orElseGet(() -> laid(group.id(), asked));
            rings.put(group.id(), laid);
            runs.addAll(laid.runs());
            corners.addAll(laid.corners());
            laid.told().forEach(told -> tell(layout.design(), told));
            boolean outermost = !group.id().strip()
                    && group.id().number() == quilt.borders().size();
            findings.addAll(RunInspector.inspect(
                    finder(group.id()),
                    group.chosen(),
                    group.candidates(),
                    outermost ? quilt.length(Dimension.RESERVE) : 0,
                    outermost));
        }

        private RingLaid laid(GroupId group, RingAsked asked) {
            RingDesigner designer = new RingDesigner(asked.design(), tools, asked.tape());
            for (RunAsked run : asked.runs()) {
                designer.layOut(
                        run.frame(), run.whole(), run.endsOnSeams(), asked.unit(), asked.ring(), asked.meeting());
            }
            if (!group.strip()) {
                designer.layOutCorners(asked.ring(), asked.meeting(), asked.repeat());
            }
            List<RunPlan> plans = asked.runs().stream()
                    .map(run -> new RunPlan(
                            run.frame(),
                            run.whole(),
                            designer.laidOut(run.frame().id())))
                    .toList();
            return new RingLaid(asked, plans, designer.corners(), designer.told());
        }

        private List<AreaPlan> areas(Predicate<AreaId> wanted) {
            Path body = Path.polygon(shape.body().corners()).reversed();
            keptFree.keySet()
                    .removeIf(kept ->
                            !quilt.areas().contains(kept.area()) || !kept.body().equals(body));
            AreaRules rules =
                    new AreaRules(quilt.get(Dimension.BATTING), job.judging().mostInAPoint());
            List<AreaPlan> areas = new ArrayList<>();
            Map<Asked, AreaPlan> known = new HashMap<>();
            for (int number = 1; number <= quilt.areas().size(); number++) {
                AreaId id = new AreaId(number);
                AreaDesign design = job.design(id);
                Area area = quilt.areas().get(number - 1);
                if (!(area instanceof Area.Applique) && wanted.test(id)) {
                    Asked asked = new Asked(
                            id, area, design, around(number, body), rules, job.templates(), job.machine(), job.tape());
                    AreaPlan plan = laidOut.get(asked);
                    if (plan == null) {
                        plan = AreaDesigner.layOut(id, area, design, asked.around(), rules, tools, job.tape());
                    }
                    known.put(asked, plan);
                    for (AreaPlan.Told told : plan.told()) {
                        findings.add(AreaRemedies.finding(plan, design, told));
                    }
                    areas.add(plan);
                }
            }
            laidOut = known;
            return List.copyOf(areas);
        }

        /** What lies on an area. */
        private AreaSurroundings around(int number, Path body) {
            Area area = quilt.areas().get(number - 1);
            List<Path> inTheWay = new ArrayList<>();
            List<Double> echoes = new ArrayList<>();
            for (int other = 1; other <= quilt.areas().size(); other++) {
                Area on = quilt.areas().get(other - 1);
                if (other != number && on.isOver(area)) {
                    inTheWay.addAll(keptFree.computeIfAbsent(
                            new Kept(on, body), kept -> AreaDesigner.inTheWay(kept.area(), kept.body())));
                    echoes.addAll(job.design(new AreaId(other)).echoesOutside());
                }
            }
            return new AreaSurroundings(body, inTheWay, echoes);
        }

        /** The number of a fan's arcs, once chosen, holds for every fan of the quilt (common practice, no source). */
        private void fansAlike() {
            Map<GroupId, Integer> blades = new TreeMap<>();
            for (RunPlan run : runs) {
                run.laidOut().lines().stream()
                        .filter(l -> l.kind() == Stitched.BLADE)
                        .forEach(l -> blades.merge(run.id().group(), l.sub(), Math::max));
            }
            int fewest = blades.values().stream().mapToInt(n -> n).min().orElse(0);
            blades.forEach((group, count) -> {
                if (count > fewest) {
                    findings.add(new Finding.FansDiffer(
                            quilt.runs(group).get(0),
                            count,
                            fewest,
                            Redesigns.withBlades(job.layout(group).design(), fewest)));
                }
            });
        }

        /** Makes a finding of what a motif tells; what is the same on all sides is told once. */
        private void tell(Design design, RingDesigner.Told told) {
            boolean first = toldBefore.add(
                    List.of(told.run().group(), told.layer(), told.obstacle().getClass()));
            if (!first) {
                return;
            }
            Optional<Design> better = Redesigns.without(design, told);
            findings.add(
                    told.layer() == 0
                            ? new Finding.CornerTrouble(
                                    told.run(),
                                    design.corner(told.run().side().orElseThrow())
                                            .kind(),
                                    told.obstacle(),
                                    better)
                            : new Finding.MotifTrouble(
                                    told.run(),
                                    told.layer(),
                                    design.layers(told.run())
                                            .get(told.layer() - 1)
                                            .motif()
                                            .kind(),
                                    told.obstacle(),
                                    better));
        }

        private boolean endsOnSeams(RunFrame frame) {
            boolean through = frame.id() instanceof RunId.BorderRun border
                    && quilt.border(border.border()).corners().runsThrough(border.where());
            return !through && frame.clearance() == 0;
        }
    }
}
