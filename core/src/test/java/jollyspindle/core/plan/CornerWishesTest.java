package jollyspindle.core.plan;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Reason;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.MotifDiagnostic;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.StarterShelf;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.assertj.core.api.Assumptions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.UnaryOperator;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** What corners wish reaches the division, and where it can't be met that is said. */
class CornerWishesTest {

    private static final GroupId INNER = GroupId.border(1);

    /** A quilt with opposite sides alike and a border deep enough for any arc. */
    private static QuiltJob job(double across, double down, CornerDesign corner) {
        Quilt quilt = DemoJob.heronWeir().quilt().with(Corners.MITRED);
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), side.isAcross() ? across : down)
                    .with(Dimension.depth(side), 12);
        }
        quilt = quilt.without(Dimension.DIAGONAL_DOWN).without(Dimension.DIAGONAL_UP);
        return DemoJob.heronWeir()
                .withQuilt(quilt)
                .withTemplates(List.of(StarterShelf.template("orchard-hill"), StarterShelf.template("low-dune")))
                .editing(INNER, l -> RunLayout.of(Optional.of("orchard-hill"), 6)
                        .with(l.design().withCorner(corner)));
    }

    private static QuiltJob wishing(QuiltJob job, UnaryOperator<Wish> change) {
        return job.editing(INNER, l -> l.with(change.apply(l.wish())));
    }

    private static GroupPlan group(QuiltJob job) {
        return Planner.plan(job).group(INNER).orElseThrow();
    }

    private static CornerDesign asking(CornerAsk ask) {
        return CornerDesign.of(CornerDesign.Kind.TURNED).with(ask);
    }

    private static List<Boolean> told(Candidate candidate, CornerAsk ask) {
        return candidate.reasons().stream()
                .filter(r -> r instanceof Reason.CornersAsk c && c.ask() == ask)
                .map(r -> ((Reason.CornersAsk) r).met())
                .toList();
    }

    @ParameterizedTest
    @EnumSource(value = CornerAsk.class, names = "NOTHING", mode = EnumSource.Mode.EXCLUDE)
    void theBestWayIsAsTheCornersAsk(CornerAsk ask) {
        QuiltJob job = job(61.5, 73.25, asking(ask));
        GroupPlan group = group(job);
        assertThat(told(group.candidates().get(0), ask)).containsExactly(true);
        assertThat(group.chosen().runs()).allMatch(ask::isMetBy);
        assertThat(group.candidates()).allSatisfy(c -> {
            boolean met = c.runs().stream().allMatch(ask::isMetBy);
            assertThat(told(c, ask)).containsExactly(met);
            assertThat(ask == CornerAsk.HALVES || met).isTrue();
        });
        assertThat(Planner.plan(job).findings()).noneMatch(Finding.CornersGiveWay.class::isInstance);
    }

    /** Without the corner's wish 10 and 12 come out best, the trade's own example. */
    @Test
    void anOddCountIsFoundWhereAnEvenOneWouldBeBest() {
        assertThat(group(job(61.5, 73.25, asking(CornerAsk.NOTHING))).chosen().counts())
                .contains(new Counts(10, 12));
        Counts odd =
                group(job(61.5, 73.25, asking(CornerAsk.ODD))).chosen().counts().orElseThrow();
        assertThat(List.of(odd.across() % 2, odd.down() % 2)).containsExactly(1, 1);
    }

    @Test
    void halvesAtTheCornersAreHalfSteps() {
        GroupPlan group = group(job(62, 62, asking(CornerAsk.HALVES)));
        assertThat(group.chosen().kind()).contains(SchoolKind.HALF_STEPS);
        // 62 near 6 with half steps: 10 of 6.2, the first mark at 3.1 (worked example of the trade, no source).
        assertThat(group.chosen().run(RunId.of(Side.TOP)).division().boundary(1))
                .isCloseTo(3.1, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({"ODD", "EVEN"})
    void whatTheQuilterWishesGoesFirst(CornerAsk ask) {
        Wish.Parity other = ask == CornerAsk.ODD ? Wish.Parity.EVEN : Wish.Parity.ODD;
        QuiltJob job = wishing(job(61.5, 73.25, asking(ask)), w -> w.with(Wish.PARITY, other));
        GroupPlan group = group(job);
        assertThat(group.candidates()).allSatisfy(c -> {
            assertThat(c.runs()).allMatch(r -> other.welcomes(r.division().count()));
            // A figure in the middle makes the other kind of count of it.
            assertThat(told(c, ask)).containsExactly(c.runs().stream().allMatch(ask::isMetBy));
        });
        assertThat(Planner.plan(job).findings())
                .filteredOn(Finding.CornersGiveWay.class::isInstance)
                .singleElement()
                .matches(f -> f.remedy().isPresent()
                        == group.candidates().stream()
                                .anyMatch(c -> c.runs().stream().allMatch(ask::isMetBy)));
    }

    @Test
    void aCountTypedInGoesFirstToo() {
        QuiltJob job = wishing(job(61.5, 73.25, asking(CornerAsk.ODD)), w -> w.with(Wish.ACROSS, OptionalInt.of(10))
                .with(Wish.DOWN, OptionalInt.empty()));
        Candidate best = group(job).chosen();
        assertThat(best.count(RunId.of(Side.TOP))).isEqualTo(10);
        // The other axis can still be as asked, so it is.
        assertThat(best.count(RunId.of(Side.LEFT)) % 2).isOne();
        assertThat(told(best, CornerAsk.ODD)).containsExactly(false);
    }

    @ParameterizedTest
    @EnumSource(value = CornerAsk.class, names = "NOTHING", mode = EnumSource.Mode.EXCLUDE)
    void aWayChosenOtherwiseIsToldWithARemedyThatHelps(CornerAsk ask) {
        int count = ask == CornerAsk.ODD ? 10 : 11;
        QuiltJob job = job(61.5, 73.25, asking(ask)).editing(INNER, l -> {
            RunLayout layout = l;
            for (Side side : Side.values()) {
                layout = layout.choosing(java.util.Map.of(RunId.of(side), new Even(count)));
            }
            return layout;
        });
        Finding told = Planner.plan(job).findings().stream()
                .filter(Finding.CornersGiveWay.class::isInstance)
                .findFirst()
                .orElseThrow();
        Remedy.Divide remedy = (Remedy.Divide) told.remedy().orElseThrow();
        QuiltJob mended = job.editing(INNER, l -> l.choosing(remedy.schools()));
        assertThat(Planner.plan(mended).findings()).noneMatch(Finding.CornersGiveWay.class::isInstance);
    }

    @Test
    void cornersThatContradictEachOtherAreToldOne() {
        QuiltJob job = job(61.5, 73.25, asking(CornerAsk.ODD))
                .editing(INNER, l -> l.with(l.design().withCorner(Side.LEFT, asking(CornerAsk.EVEN))));
        Candidate best = group(job).chosen();
        assertThat(told(best, CornerAsk.ODD)).containsExactly(true);
        assertThat(told(best, CornerAsk.EVEN)).containsExactly(false);
    }

    @Test
    void plainCornersAndStripsAskForNothing() {
        assertThat(group(job(61.5, 73.25, CornerDesign.plain().with(CornerAsk.ODD)))
                        .set()
                        .corners())
                .isEmpty();
    }

    /**
     * 61 1/2 near 6 takes 10 of 6.15 and 73 1/4 takes 12 of 6.104; the corner's arc takes half of one at each end, 3.0635 on
     * the mean, and 9 and 11 are left.
     */
    @Test
    void aCornersArcLooksLikeOneOfTheRow() {
        Candidate best = group(job(61.5, 73.25, CornerDesign.of(CornerDesign.Kind.MITRE_ARC)))
                .chosen();
        assertThat(best.counts()).contains(new Counts(9, 11));
        double feet = (61.5 / 10 + 73.25 / 12) / 4;
        assertThat(best.repeat(RunId.of(Side.TOP))).isCloseTo((61.5 - 2 * feet) / 9, within(1e-9));
        assertThat(best.repeat(RunId.of(Side.LEFT))).isCloseTo((73.25 - 2 * feet) / 11, within(1e-9));
        assertThat(best.reasons())
                .filteredOn(Reason.CornerArcs.class::isInstance)
                .singleElement()
                .matches(r -> r.tone() == Reason.Tone.GOOD);
    }

    /** Chord of the corner's arc from foot to foot: d·√2, with the feet half a repeat out. */
    @Property(tries = 60)
    void feetStandHalfARepeatOutOnAnyQuilt(
            @ForAll @DoubleRange(min = 40, max = 110) double across,
            @ForAll @DoubleRange(min = 40, max = 110) double down) {
        WorkPlan plan = Planner.plan(job(across, down, CornerDesign.of(CornerDesign.Kind.MITRE_ARC)));
        Candidate best = plan.group(INNER).orElseThrow().chosen();
        Assumptions.assumeThat(best.kind()).contains(SchoolKind.EVEN);
        Assumptions.assumeThat(best.counts())
                .contains(new Counts((int) Math.rint(across / 6) - 1, (int) Math.rint(down / 6) - 1));
        double mean = (best.repeat(RunId.of(Side.TOP)) + best.repeat(RunId.of(Side.LEFT))) / 2;
        StitchLine arc = plan.corner(RunId.of(Side.TOP)).orElseThrow().lines().get(0);
        double chord = arc.path().start().distance(arc.path().end());
        // Rounding of each axis for itself leaves the mean a little off; nobody sees it.
        assertThat(chord / Math.sqrt(2)).isCloseTo(mean / 2, within(best.mismatch() / 8 + 1e-9));
    }

    @Test
    void feetThatTakeTooMuchAreToldWithARemedyThatHelps() {
        QuiltJob job =
                job(61.5, 73.25, CornerDesign.of(CornerDesign.Kind.MITRE_ARC).withFeet(OptionalDouble.of(21)));
        Finding told = Planner.plan(job).findings().stream()
                .filter(f -> f.severity() == Finding.Severity.PROBLEM)
                .findFirst()
                .orElseThrow();
        assertThat(told).isInstanceOfSatisfying(Finding.CornerTrouble.class, t -> assertThat(t.diagnostic())
                .isEqualTo(new MotifDiagnostic.FeetTooFar(21, 20.5)));
        Remedy.Redesign remedy = (Remedy.Redesign) told.remedy().orElseThrow();
        WorkPlan mended = Planner.plan(job.editing(INNER, l -> l.with(remedy.design())));
        assertThat(mended.hasProblems()).isFalse();
        assertThat(mended.corners()).hasSize(4).allMatch(c -> !c.lines().isEmpty());
    }

    /** A corner's arc leaves nothing to the corner's motif any more, so no way offers it what is left over. */
    @Test
    void besideACornersArcNothingIsKeptForTheCorner() {
        CornerDesign arc = CornerDesign.of(CornerDesign.Kind.MITRE_ARC);
        for (CornerAsk ask : CornerAsk.values()) {
            assertThat(group(job(71.625, 86, arc.with(ask))).candidates())
                    .flatExtracting(c -> c.schools().values())
                    .noneMatch(s -> s instanceof CentreOut out && out.ends() == EndUse.CORNER);
        }
        assertThat(group(job(71.625, 86, arc.with(CornerAsk.EVEN))).chosen().kind())
                .contains(SchoolKind.EVEN);
    }
}
