package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.List;
import java.util.Optional;

import static jollyspindle.core.motif.MotifChecks.INNER;
import static jollyspindle.core.motif.MotifChecks.check;
import static jollyspindle.core.motif.MotifChecks.even;
import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.line;
import static jollyspindle.core.motif.MotifChecks.quilt;
import static jollyspindle.core.motif.MotifChecks.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Fans and chains of circles, against the trade's values. */
class FansAndCirclesTest {

    /**
     * Common practice, no source; by the law of cosines: fans of R = 7.5 at a pitch of 7.5 sweep 95.7°, 101.5°, 107.5°,
     * 113.6°, 120.0°.
     */
    @Test
    void bladesReachTheFanBefore() {
        QuiltJob job = job(
                        quilt(75, 75, 75, 75, 9, Corners.MITRED),
                        Design.of(with(new Motif.Fans(5, 1), "barley-fan")),
                        7.5)
                .withMachine(new Machine(0.25))
                .choosing(even(10));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        List<StitchLine> lines = plan.run(Side.TOP).orElseThrow().laidOut().lines();
        double[] sweeps = {95.7, 101.5, 107.5, 113.6, 120.0};
        for (int blade = 1; blade <= 5; blade++) {
            StitchLine line = line(lines, Stitched.BLADE, 5, blade);
            double radius = 1.5 * blade;
            double exact = Math.toDegrees(Math.acos((7.5 * 7.5 - radius * radius - 7.5 * 7.5) / (2 * radius * 7.5)));
            assertThat(Math.toDegrees(line.path().length() / radius)).isCloseTo(exact, within(1e-6));
            assertThat(exact).isCloseTo(sweeps[blade - 1], within(0.05));
        }
        // The first fan is a quarter, cut off by the run's end.
        assertThat(line(lines, Stitched.BLADE, 1, 3).path().length()).isCloseTo(Math.PI / 2 * 4.5, within(1e-6));
        // A slot of 120° reaches just so; one of 90° takes a swivel.
        assertThat(plan.placements(RunId.of(Side.TOP))).allMatch(p -> p.parts() == 1);
        WorkPlan swivelled =
                Planner.plan(job.editing(INNER, l -> l.with(Design.of(with(new Motif.Fans(3, 1), "even-fan")))));
        check(swivelled);
        assertThat(swivelled.placements(RunId.of(Side.TOP)).stream().filter(p -> p.part() == 2))
                .as("the needle stays, the template turns about its pivot")
                .isNotEmpty()
                .allMatch(p -> p.start().shownBy() == LineEnd.ShownBy.NEEDLE);
    }

    /** A slot 0.515 wide takes a foot up to that width; what it doesn't take isn't stitched, and why is told. */
    @ParameterizedTest
    @CsvSource({"0.25, true", "0.2575, true", "0.2576, false", "0.262, false", "0.3, false"})
    void aFanIsTakenOnlyIfTheFootGoesIntoItsSlots(double foot, boolean goesIn) {
        Design fans = Design.of(with(new Motif.Fans(3, 1), "barley-fan"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.QUARTER_FAN)
                        .withTemplate(Optional.of("barley-fan"), Optional.empty()));
        WorkPlan plan = Planner.plan(
                job(quilt(75, 75, 75, 75, 9, Corners.MITRED), fans, 7.5).withMachine(new Machine(foot)));
        LayoutDiagnostic shut = new LayoutDiagnostic.FootStaysOut(EdgeKind.FAN, 0.515, 2 * foot);
        List<Finding.Diagnosed> told = plan.findings().stream()
                .filter(Finding.Diagnosed.class::isInstance)
                .map(Finding.Diagnosed.class::cast)
                .filter(f -> f.diagnostic().equals(shut))
                .toList();
        assertThat(plan.placements(RunId.of(Side.TOP)).stream()
                        .anyMatch(p -> p.tool().templateId().equals("barley-fan")))
                .isEqualTo(goesIn);
        assertThat(told.isEmpty()).isEqualTo(goesIn);
        assertThat(told).allMatch(f -> f.remedy().orElseThrow() instanceof Remedy.SeeShelf);
    }

    /** Second rows stand on the cusps, at 0.866 R where the pitch is R (derived). */
    @Test
    void secondRowsStandOnTheCusps() {
        QuiltJob job = job(
                        quilt(75, 75, 75, 75, 14, Corners.MITRED),
                        Design.of(with(new Motif.Fans(5, 2), "barley-fan")),
                        7.5)
                .withMachine(new Machine(0.25))
                .choosing(even(10));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        List<Mark> pivots = plan.run(Side.TOP).orElseThrow().laidOut().marks().stream()
                .filter(m -> m.kind() == Mark.Kind.PIVOT)
                .toList();
        assertThat(pivots).hasSize(10);
        assertThat(pivots).allSatisfy(m -> assertThat(m.across()).isCloseTo(7.5 * Math.sqrt(3) / 2, within(1e-9)));
        assertThat(pivots.get(0).along()).isCloseTo(3.75, within(1e-9));
    }

    @Test
    void circlesGoRoundOnceAndAHalfAndLeaveOpposite() {
        QuiltJob job = job(
                        quilt(36, 36, 36, 36, 3, Corners.MITRED).with(Dimension.RESERVE, 0.5),
                        Design.of(with(new Motif.Circles(0.25, 3, Motif.Turning.ALTERNATING, false), "pebble-plate")),
                        2.5)
                .withMachine(new Machine(0.25));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        // The largest hole that goes into 2 1/2 stitches 2 1/4; the gap is between circles alone.
        for (StitchLine line : top.laidOut().lines()) {
            assertThat(line.path().length()).isCloseTo(1.5 * Math.PI * 2.25, within(1e-9));
            assertThat(line.path().end().x() - line.path().start().x()).isCloseTo(2.25, within(1e-9));
        }
        assertThat(top.division().repeat()).isGreaterThanOrEqualTo(2.25);
        List<Double> sweeps = top.laidOut().lines().stream()
                .map(l -> ((Arc) l.path().curves().get(0)).sweep())
                .toList();
        assertThat(sweeps.get(0) * sweeps.get(1))
                .as("every second one the other way")
                .isNegative();
    }

    /** The template slides on from circle to circle, with the needle where it left; few are marked (common practice, no source). */
    @Test
    void aChainIsLaidByTheCircleBefore() {
        QuiltJob job = job(
                        quilt(36, 36, 36, 36, 3, Corners.MITRED).with(Dimension.RESERVE, 0.5),
                        Design.of(with(new Motif.Circles(0, 3, Motif.Turning.ALTERNATING, false), "penny-stack")),
                        2.5)
                .withMachine(new Machine(0.25));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        List<Placement> placements = plan.placements(RunId.of(Side.TOP));
        assertThat(placements)
                .as("one hold a circle, however often round")
                .hasSameSizeAs(top.laidOut().lines());
        for (int i = 0; i < placements.size(); i++) {
            if (placements.get(i).registration() instanceof Registration.InChain slid) {
                StitchLine before = placements.get(i - 1).of();
                assertThat(slid.lineId()).isEqualTo(before.id());
                assertThat(placements
                                .get(i)
                                .start()
                                .place()
                                .distance(before.path().end()))
                        .as("from where the needle left")
                        .isCloseTo(slid.gap(), within(1e-9));
            } else {
                assertThat(i % 4).as("every fourth is marked").isZero();
            }
        }
        assertThat(top.laidOut().marks().stream().filter(m -> m.kind() == Mark.Kind.MIDDLE))
                .hasSize((placements.size() + 3) / 4);
    }

    /** The number of arcs, once chosen, holds for every fan: on all sides of a border the narrowest decides (common practice). */
    @Test
    void theNarrowestSideDecidesHowManyBladesAllFansHave() {
        Quilt quilt = quilt(60, 60, 60, 60, 8, Corners.MITRED).with(Dimension.depth(Side.LEFT), 5.5);
        WorkPlan plan = Planner.plan(job(quilt, Design.of(with(new Motif.Fans(4, 1), "barley-fan")), 6));
        check(plan);
        for (RunPlan run : plan.runs()) {
            // Blades of 1 1/2, 3 and 4 1/2 go into the 5 that are left on the left.
            assertThat(run.laidOut().lines().stream().mapToInt(StitchLine::sub).max())
                    .as(run.id().code())
                    .hasValue(3);
        }
        assertThat(plan.findings())
                .filteredOn(Finding.MotifTrouble.class::isInstance)
                .extracting(f -> ((Finding.MotifTrouble) f).diagnostic())
                .contains(new MotifDiagnostic.TooMany(4, 3));
    }

    @Test
    void fansOfTwoBordersThatDifferAreToldWithARemedyThatHelps() {
        Quilt quilt = quilt(60, 60, 60, 60, 8, Corners.MITRED);
        quilt = quilt.withBorderOutside(quilt.border(1));
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.depth(2, side), 8);
        }
        GroupId outer = GroupId.border(2);
        QuiltJob job = job(quilt, Design.of(with(new Motif.Fans(3, 1), "barley-fan")), 4.5)
                .editing(outer, l -> l.with(Design.of(with(new Motif.Fans(4, 1), "barley-fan")))
                        .with(l.wish().withRepeat(6)));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        Finding told = plan.findings().stream()
                .filter(Finding.FansDiffer.class::isInstance)
                .findFirst()
                .orElseThrow();
        assertThat(told.run()).contains(RunId.of(2, Side.TOP));
        Remedy.Redesign remedy = (Remedy.Redesign) told.remedy().orElseThrow();
        WorkPlan alike = Planner.plan(job.editing(remedy.group(), l -> l.with(remedy.design())));
        assertThat(alike.findings()).noneMatch(Finding.FansDiffer.class::isInstance);
        assertThat(alike.job().layout(outer).design().main().motif()).isEqualTo(new Motif.Fans(3, 1));
    }
}
