package jollyspindle.core.motif;

import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.Wish;
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
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

import static jollyspindle.core.motif.MotifChecks.INNER;
import static jollyspindle.core.motif.MotifChecks.check;
import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.line;
import static jollyspindle.core.motif.MotifChecks.quilt;
import static org.assertj.core.api.Assertions.assertThat;

/** Every motif on random quilts: laid out whole or refused, and in every school. */
class RandomQuiltsTest extends RandomMotifs {

    /** What once was found. */
    @Example
    void curvedHatchingThatAFanCutsOffMarksNothingInVain() {
        Layer main = new Layer(
                new Motif.Arcs(Motif.Inner.LOWERED, 1, 0.3, List.of(), Optional.empty(), 1),
                Layer.Edge.OUTSIDE,
                Layer.Space.ALL,
                Layer.Cells.EVERY,
                0,
                false,
                Optional.of("orchard-hill"),
                Optional.empty(),
                0);
        Layer second = new Layer(
                new Motif.Crosshatch(0.3, Math.PI / 6, true, true),
                Layer.Edge.OUTSIDE,
                Layer.Space.ALL,
                Layer.Cells.EVERY,
                0,
                false,
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
                        l -> school == SchoolKind.BY_HAND
                                ? l
                                : l.with(l.wish().with(Wish.SCHOOL, Optional.of(school))));
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
