package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.statistics.Statistics;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

import static jollyspindle.core.motif.MotifChecks.INNER;
import static jollyspindle.core.motif.MotifChecks.check;
import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.line;
import static jollyspindle.core.motif.MotifChecks.quilt;
import static jollyspindle.core.motif.MotifChecks.with;
import static org.assertj.core.api.Assertions.assertThat;

/** Every motif on random quilts: laid out whole or refused, mirrored, turned, and in every school. */
class RandomQuiltsTest {

    @Provide
    Arbitrary<Motif> motifs() {
        Arbitrary<Integer> few = Arbitraries.integers().between(1, 4);
        Arbitrary<Double> step = Arbitraries.doubles().between(0.3, 1.5);
        Arbitrary<Boolean> flag = Arbitraries.of(true, false);
        Arbitrary<OptionalDouble> maybe =
                step.optional().map(o -> o.map(OptionalDouble::of).orElse(OptionalDouble.empty()));
        Arbitrary<Optional<String>> other =
                Arbitraries.of("low-dune", "quiet-cove", "chapel-door").optional();
        Arbitrary<Double> angle = Arbitraries.integers().between(30, 150).map(d -> Math.toRadians(d));
        return Arbitraries.oneOf(
                Combinators.combine(Arbitraries.of(Motif.Inner.class), few, step, other, few.map(n -> Math.min(n, 3)))
                        .as((i, n, s, o, p) -> (Motif) new Motif.Arcs(i, n, s, List.of(), o, p)),
                Combinators.combine(Arbitraries.of(Motif.Facing.class), maybe, maybe, flag, flag, other)
                        .as((f, c, i, a, b, o) -> (Motif) new Motif.FacingArcs(f, c, i, a, b, o, 1)),
                Combinators.combine(few, step).as((n, s) -> (Motif) new Motif.Sails(n - 1, s)),
                Combinators.combine(few, few.map(n -> Math.min(n, 3))).as((b, r) -> (Motif) new Motif.Fans(b, r)),
                Combinators.combine(Arbitraries.doubles().between(0, 0.5), few, flag)
                        .as((g, n, s) -> (Motif) new Motif.Circles(g, n + 1, Motif.Turning.ALTERNATING, s)),
                Combinators.combine(few, flag).as((n, m) -> (Motif) new Motif.Serpentine(n, m)),
                Combinators.combine(Arbitraries.of(Motif.Points.class), maybe, Arbitraries.of(0.0, 0.5, 1.0), few, step)
                        .as((p, h, r, n, s) -> (Motif) new Motif.Chevrons(p, h, r, n, s)),
                Combinators.combine(few, angle).as((n, a) -> (Motif) new Motif.StraightLines(n, a)),
                Combinators.combine(step, angle, flag).as((s, a, c) -> (Motif) new Motif.Crosshatch(s, a, c)));
    }

    @Provide
    Arbitrary<Layer> layers() {
        return Combinators.combine(
                        motifs(),
                        Arbitraries.of(Layer.Edge.class),
                        Arbitraries.of(Layer.Space.class),
                        Arbitraries.of(Layer.Cells.class),
                        Arbitraries.of("orchard-hill", "chapel-door", "twin-gable", "half-moon", "mill-bridge"))
                .as((m, e, s, c, t) -> {
                    Layer layer = Layer.of(m).with(e).with(s).with(c);
                    return switch (DivisionConstraints.template(m)) {
                        case ARC -> layer.withTemplate(Optional.of(t), Optional.empty());
                        case S_CURVE ->
                            layer.withTemplate(
                                    Optional.of(t.equals("half-moon") ? "brook-strip" : t), Optional.empty());
                        case ZIGZAG ->
                            t.startsWith("m") ? layer.withTemplate(Optional.of("lane-strip"), Optional.empty()) : layer;
                        default -> layer;
                    };
                });
    }

    @Provide
    Arbitrary<CornerDesign> corners() {
        return Combinators.combine(
                        Arbitraries.of(CornerDesign.Kind.class),
                        Arbitraries.of("orchard-hill", "low-dune", "half-moon", "chapel-door"),
                        Arbitraries.integers().between(1, 4),
                        Arbitraries.of(true, false),
                        Arbitraries.of(CornerDesign.Closing.class),
                        Arbitraries.of(CornerAsk.class))
                .as((k, t, n, o, c, a) -> {
                    CornerDesign corner = CornerDesign.of(k)
                            .withLines(n)
                            .withFromOuter(o)
                            .with(c)
                            .with(a);
                    return k == CornerDesign.Kind.QUARTER_FAN
                            ? corner
                            : corner.withTemplate(Optional.of(t), Optional.empty());
                });
    }

    /** What once was found. */
    @Example
    void curvedHatchingThatAFanCutsOffMarksNothingInVain() {
        Layer main = new Layer(
                new Motif.Arcs(Motif.Inner.LOWERED, 1, 0.3, List.of(), Optional.empty(), 1),
                Layer.Edge.OUTSIDE,
                Layer.Space.ALL,
                Layer.Cells.EVERY,
                Optional.of("orchard-hill"),
                Optional.empty(),
                0);
        Layer second = new Layer(
                new Motif.Crosshatch(0.3, Math.PI / 6, true),
                Layer.Edge.OUTSIDE,
                Layer.Space.ALL,
                Layer.Cells.EVERY,
                Optional.of("orchard-hill"),
                Optional.empty(),
                0);
        CornerDesign corner = CornerDesign.of(CornerDesign.Kind.QUARTER_FAN)
                .with(CornerAsk.HALVES)
                .with(CornerDesign.Closing.ARC);
        everyMotifIsLaidOutWholeOrRefusedWithAFinding(
                main, second, corner, 85.06, 20.25, 0.09, 2.39, 2.84, SchoolKind.BY_PIECING, Corners.MITRED);
    }

    @Property(tries = 400)
    void everyMotifIsLaidOutWholeOrRefusedWithAFinding(
            @ForAll("layers") Layer main,
            @ForAll("layers") Layer second,
            @ForAll("corners") CornerDesign corner,
            @ForAll @DoubleRange(min = 20, max = 100) double top,
            @ForAll @DoubleRange(min = 20, max = 100) double left,
            @ForAll @DoubleRange(min = -0.4, max = 0.4) double uneven,
            @ForAll @DoubleRange(min = 2, max = 12) double depth,
            @ForAll @DoubleRange(min = 2, max = 10) double repeat,
            @ForAll SchoolKind school,
            @ForAll Corners corners) {
        Design design = new Design(List.of(main.with(Layer.Space.ALL), second), corner, Map.of());
        Quilt quilt = quilt(top, left, top + uneven, left - uneven, depth, corners);
        QuiltJob job = job(quilt, design, repeat)
                .editing(
                        INNER,
                        l -> school == SchoolKind.BY_HAND ? l : l.with(l.wish().with(Optional.of(school))));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        assertThat(Planner.plan(job)).isEqualTo(plan);
        // What isn't there is told.
        for (int layer = 1; layer <= 2; layer++) {
            int number = layer;
            boolean lines = plan.lines().stream().anyMatch(l -> l.layer() == number);
            assertThat(lines || plan.findings().stream().anyMatch(f -> f.severity() == Finding.Severity.PROBLEM))
                    .as("layer " + layer + " of " + design)
                    .isTrue();
        }
    }

    /** Pressing what a finding offers, the gravest first, leads to a design that nothing more is offered for. */
    @Property(tries = 150)
    void remediesLeadToADesignThatFits(
            @ForAll("layers") Layer main,
            @ForAll("layers") Layer second,
            @ForAll("corners") CornerDesign corner,
            @ForAll("corners") CornerDesign own,
            @ForAll @DoubleRange(min = 20, max = 100) double top,
            @ForAll @DoubleRange(min = 2, max = 10) double depth,
            @ForAll @DoubleRange(min = 2, max = 10) double repeat) {
        Design design = new Design(List.of(main.with(Layer.Space.ALL), second), corner, Map.of(Side.LEFT, own));
        QuiltJob job = job(quilt(top, top, top, top, depth, Corners.MITRED), design, repeat);
        for (int step = 0; step < 12; step++) {
            QuiltJob now = job;
            Optional<Finding> told = Planner.plan(now).findings().stream()
                    .filter(f ->
                            f.remedy().filter(Remedy.Redesign.class::isInstance).isPresent())
                    .findFirst();
            if (told.isEmpty()) {
                return;
            }
            Remedy.Redesign remedy = (Remedy.Redesign) told.get().remedy().orElseThrow();
            QuiltJob mended = now.editing(remedy.group(), l -> l.with(remedy.design()));
            assertThat(Planner.plan(mended).findings())
                    .as(
                            "%s, mended from %s to %s",
                            told.get(), now.layout(INNER).design(), remedy.design())
                    .doesNotContain(told.get());
            assertThat(mended).isNotEqualTo(now);
            job = mended;
        }
        assertThat(Planner.plan(job).findings()).as("after twelve remedies").noneMatch(f -> f.remedy()
                .filter(Remedy.Redesign.class::isInstance)
                .isPresent());
    }

    /** Most sides must have been divided alike, else nothing was compared. */
    private static void collectAlike(boolean same) {
        Statistics.label("sides divided alike").collect(same).coverage(sides -> sides.check(true)
                .percentage(alike -> alike >= 80));
    }

    /** Lines are named by what they are: a motif that comes or goes renames none of another. */
    @Property(tries = 100)
    void motifsThatComeAndGoRenameNoOthers(
            @ForAll("layers") Layer main,
            @ForAll("layers") Layer second,
            @ForAll("layers") Layer third,
            @ForAll @DoubleRange(min = 30, max = 80) double top,
            @ForAll @DoubleRange(min = 30, max = 80) double left) {
        Quilt quilt = quilt(top, left, top, left, 8, Corners.MITRED);
        Design both = Design.of(main.with(Layer.Space.ALL)).withLayer(second.with(Layer.Space.ALL));
        Design three = both.withLayer(third.with(Layer.Space.ALL));
        Design without = three.withoutLayer(1);
        assertThat(three.layers()).extracting(Layer::number).containsExactly(1, 2, 3);
        assertThat(without.layers()).extracting(Layer::number).containsExactly(1, 3);
        assertThat(without.withLayer(second).layers()).extracting(Layer::number).containsExactly(1, 3, 4);
        WorkPlan all = Planner.plan(job(quilt, three, 6));
        WorkPlan added = Planner.plan(job(quilt, both, 6));
        WorkPlan fewer = Planner.plan(job(quilt, without, 6));
        assertThat(named(added, 1, 2)).isEqualTo(named(all, 1, 2));
        assertThat(named(fewer, 1, 3)).isEqualTo(named(all, 1, 3));
        Set<MarkId> marked = marks(added);
        marked.removeIf(id -> id.motif() > 1);
        assertThat(marks(all)).containsAll(marked);
    }

    /** Where the lines of some motifs lie, and how often each is stitched, by their names. */
    private static Map<String, List<Object>> named(WorkPlan plan, Integer... motifs) {
        Map<String, List<Object>> named = new TreeMap<>();
        plan.lines().stream()
                .filter(line -> List.of(motifs).contains(line.id().motif()))
                .forEach(line -> named.put(line.id().code(), List.of(line.passes(), line.path())));
        return named;
    }

    private static Set<MarkId> marks(WorkPlan plan) {
        return plan.runs().stream()
                .flatMap(run -> run.laidOut().marks().stream())
                .map(Mark::id)
                .collect(Collectors.toCollection(HashSet::new));
    }

    /** What is its own mirror image looks so on a mirrored quilt. */
    @Property(tries = 60)
    void mirroredQuiltsGetMirroredPlans(
            @ForAll("symmetric") Motif motif,
            @ForAll @DoubleRange(min = 30, max = 80) double top,
            @ForAll @DoubleRange(min = 30, max = 80) double left,
            @ForAll @DoubleRange(min = 0, max = 0.4) double uneven) {
        Design design = Design.of(
                DivisionConstraints.template(motif) == EdgeKind.ARC ? with(motif, "orchard-hill") : Layer.of(motif));
        WorkPlan plan = Planner.plan(job(quilt(top, left, top, left + uneven, 8, Corners.MITRED), design, 6));
        WorkPlan mirror = Planner.plan(job(quilt(top, left + uneven, top, left, 8, Corners.MITRED), design, 6));
        for (RunPlan run : plan.runs()) {
            Side side = run.id().side().orElseThrow();
            Side there = side.isAcross() ? side : side.opposite();
            RunPlan other = mirror.run(there).orElseThrow();
            // Which of two equally good ways comes first may differ; the same way must look the same.
            List<Cell> cells = run.division().cells();
            List<Cell> others = other.division().cells();
            boolean same = cells.size() == others.size();
            for (int i = 0; same && i < cells.size(); i++) {
                same = Math.abs(cells.get(i).to() - others.get(i).to()) < 1e-9;
            }
            collectAlike(same);
            if (!same) {
                continue;
            }
            assertThat(other.laidOut().lines()).hasSameSizeAs(run.laidOut().lines());
            for (StitchLine line : run.laidOut().lines()) {
                Point middle = line.path().curves().get(0).at(0.5).mirrored();
                assertThat(other.laidOut().lines().stream()
                                .mapToDouble(l -> l.path().distance(middle))
                                .min()
                                .orElseThrow())
                        .as(line.id().code())
                        .isLessThan(1e-3);
            }
        }
    }

    @Provide
    Arbitrary<Motif> symmetric() {
        return Arbitraries.of(
                Motif.Arcs.single(),
                new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(), Optional.empty(), 1),
                new Motif.FacingArcs(
                        Motif.Facing.CROWNS,
                        OptionalDouble.empty(),
                        OptionalDouble.of(0.75),
                        true,
                        true,
                        Optional.empty(),
                        1),
                new Motif.FacingArcs(
                        Motif.Facing.HALF_STEP,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        false,
                        false,
                        Optional.empty(),
                        1),
                new Motif.Circles(0.25, 2, Motif.Turning.SAME, false),
                new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.of(3), 0, 3, 0.5),
                new Motif.Chevrons(Motif.Points.BOXES, OptionalDouble.of(3), 0, 2, 0.5),
                new Motif.StraightLines(4, Math.PI / 2),
                new Motif.Crosshatch(1, Math.PI / 4, false));
    }

    /** The same motif on a quilt turned by 90° gives the same ring, turned. */
    @Property(tries = 60)
    void turnedQuiltsGetTurnedPlans(
            @ForAll("layers") Layer layer,
            @ForAll @DoubleRange(min = 30, max = 80) double top,
            @ForAll @DoubleRange(min = 30, max = 80) double left) {
        Design design = Design.of(layer.with(Layer.Space.ALL));
        WorkPlan plan = Planner.plan(job(quilt(top, left, top, left, 8, Corners.MITRED), design, 6));
        WorkPlan turned = Planner.plan(job(quilt(left, top, left, top, 8, Corners.MITRED), design, 6));
        for (RunPlan run : plan.runs()) {
            Side side = run.id().side().orElseThrow();
            RunPlan other = turned.run(side.next()).orElseThrow();
            // Which of two equally good ways comes first may differ; the same way must look the same.
            boolean same = other.division().count() == run.division().count()
                    && Math.abs(other.division().repeat() - run.division().repeat()) <= 1e-9;
            collectAlike(same);
            if (!same) {
                continue;
            }
            List<StitchLine> before = run.laidOut().lines();
            List<StitchLine> after = other.laidOut().lines();
            assertThat(after).hasSameSizeAs(before);
            for (int i = 0; i < before.size(); i++) {
                Point expected = before.get(i).path().end().turned(-Math.PI / 2);
                assertThat(after.get(i).path().end().distance(expected)).isLessThan(1e-6);
                assertThat(after.get(i).id().on(before.get(i).id().piece()))
                        .isEqualTo(before.get(i).id());
            }
        }
    }

    /** Every motif in every school that divides a run of 61 by sixes. */
    @Property(tries = 120)
    void motifsTakeWhateverTheSchoolLeaves(@ForAll("layers") Layer layer, @ForAll("leaving") School school) {
        Design design = Design.of(layer.with(Layer.Space.ALL));
        QuiltJob job = job(quilt(61, 61, 61, 61, 8, Corners.MITRED), design, 6);
        Map<RunId, School> all = new TreeMap<>();
        for (Side side : Side.values()) {
            all.put(RunId.of(side), school);
        }
        check(Planner.plan(job.choosing(all)));
    }

    @Provide
    Arbitrary<School> leaving() {
        return Arbitraries.of(
                new Even(10),
                new Even(1),
                new CornersIn(6, 4),
                new CornersIn(6, 4, new Filling.TwoHalfArcs()),
                new CornersIn(6, 4, new Filling.OwnMotif()),
                new CentreOut(6, 9, EndUse.SHORT_ARC),
                new CentreOut(6, 9, EndUse.CORNER),
                new HalfSteps(10),
                new Fudged(6, 10, new Spread.RoundCentre(4)),
                new ByIncrements(1, 6),
                new ByHand(9, Map.of(3, 20.0)));
    }
}
