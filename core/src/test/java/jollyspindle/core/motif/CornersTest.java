package jollyspindle.core.motif;

import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

import static jollyspindle.core.motif.MotifChecks.INNER;
import static jollyspindle.core.motif.MotifChecks.check;
import static jollyspindle.core.motif.MotifChecks.even;
import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.line;
import static jollyspindle.core.motif.MotifChecks.quilt;
import static jollyspindle.core.motif.MotifChecks.square;
import static jollyspindle.core.motif.MotifChecks.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** What stands in corners, alike or each by itself. */
class CornersTest {

    /** With the feet at d and radius R the centre lies k out, (k + d)² + k² = R²; the crown clears k + R ≤ W − reserve. */
    @Test
    void theMitreArcAndTheRunsAgree() {
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.MITRE_ARC).withFeet(OptionalDouble.of(2)));
        WorkPlan plan = Planner.plan(square(design, 6.8)
                .withMachine(new Machine(0.25))
                .editing(INNER, l -> l.with(l.wish().with(Wish.SCHOOL, Optional.of(SchoolKind.EVEN)))));
        check(plan);
        assertThat(plan.corners()).hasSize(4);
        for (RingDesigner.Corner corner : plan.corners()) {
            RunPlan run = plan.run(corner.run()).orElseThrow();
            assertThat(run.division().cornerLeft()).isCloseTo(2, within(1e-9));
            assertThat(run.division().cornerRight()).isCloseTo(2, within(1e-9));
            // 72 − 4 = 68 and 84 − 4 = 80 are what is divided.
            assertThat(run.division().repeat() * run.division().count())
                    .isCloseTo(run.division().length() - 4, within(1e-9));
            StitchLine line = corner.lines().get(0);
            assertThat(line.path().end().distance(run.frame().place(2, 0))).isLessThan(1e-9);
            Arc arc = (Arc) line.path().curves().get(0);
            double k = arc.centre().minus(run.frame().origin()).dot(run.frame().outward());
            assertThat((k + 2) * (k + 2) + k * k).isCloseTo(16, within(1e-9));
            assertThat(k).isCloseTo(1.6458, within(5e-5));
            // The run's first arc starts where the corner's ends: one mark for both.
            assertThat(run.laidOut().placements().get(0).start())
                    .isEqualTo(corner.placements()
                            .get(corner.placements().size() - 1)
                            .end());
        }
    }

    /** Midpoint to midpoint is W/√2: a 6 square gives 4.243. */
    @Test
    void cornerstoneRingsGoFromMidpointToMidpoint() {
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.CORNERSTONE_RING)
                        .withTemplate(Optional.of("orchard-hill"), Optional.empty())
                        .withLines(2));
        WorkPlan plan = Planner.plan(
                job(quilt(72, 72, 72, 72, 6, Corners.CORNERSTONES).with(Dimension.RESERVE, 0.0), design, 6));
        check(plan);
        List<StitchLine> lines = plan.corners().get(0).lines();
        assertThat(lines).hasSize(8);
        assertThat(lines.get(0).path().start().distance(lines.get(0).path().end()))
                .isCloseTo(6 / Math.sqrt(2), within(1e-9));
        assertThat(lines.get(4).path().start().distance(lines.get(4).path().end()))
                .isCloseTo(3 / Math.sqrt(2), within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(CornerDesign.Kind.class)
    void allFourCornersAreAlikeOnASquareQuilt(CornerDesign.Kind kind) {
        Optional<String> template =
                switch (kind) {
                    case CORNERSTONE_RING, DIAGONAL_CUT -> Optional.of("low-dune");
                    case QUARTER_FAN -> Optional.of("barley-fan");
                    default -> Optional.empty();
                };
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(kind).withLines(2).withTemplate(template, Optional.empty()));
        // A diamond along the mitre of a border as narrow as this is within the template's reach.
        WorkPlan plan = Planner.plan(job(quilt(72, 72, 72, 72, 6, Corners.MITRED), design, 6));
        check(plan);
        if (kind == CornerDesign.Kind.PLAIN) {
            assertThat(plan.corners()).isEmpty();
            return;
        }
        assertThat(plan.corners()).hasSize(4);
        assertThat(plan.hasProblems()).as(plan.findings().toString()).isFalse();
        for (int i = 1; i < 4; i++) {
            List<StitchLine> first = plan.corners().get(0).lines();
            List<StitchLine> turned = plan.corners().get(i).lines();
            assertThat(turned).hasSameSizeAs(first).isNotEmpty();
            for (int n = 0; n < first.size(); n++) {
                Point expected = first.get(n).path().end().turned(-i * Math.PI / 2);
                assertThat(turned.get(n).path().end().distance(expected)).isLessThan(1e-6);
            }
        }
    }

    @Test
    void oneSideAndOneCornerCanBeTheirOwn() {
        Layer arcs = with(Motif.Arcs.single(), "orchard-hill");
        Layer fans = with(new Motif.Fans(3, 1), "barley-fan");
        Design design = Design.of(arcs)
                .withRun(RunId.of(Side.LEFT), List.of(fans))
                .withCorner(Side.TOP, CornerDesign.of(CornerDesign.Kind.TURNED));
        WorkPlan plan = Planner.plan(square(design, 6));
        check(plan);
        assertThat(plan.run(Side.LEFT).orElseThrow().laidOut().lines()).allMatch(l -> l.kind() == Stitched.BLADE);
        assertThat(plan.run(Side.RIGHT).orElseThrow().laidOut().lines()).allMatch(l -> l.kind() == Stitched.ARC);
        assertThat(plan.corners()).extracting(RingDesigner.Corner::run).containsExactly(RunId.of(Side.TOP));
        Design round = design.copiedRound(RunId.of(Side.LEFT));
        assertThat(round.main()).matches(fans::isLike);
        assertThat(round.sides()).isEmpty();
        assertThat(design.withRun(RunId.of(Side.LEFT), List.of(arcs)).sides()).isEmpty();
    }

    @Test
    void cornersOfALeaningQuiltAreFittedOneByOne() {
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.MITRE_ARC));
        Quilt leaning = quilt(60, 80, 60, 80, 7, Corners.MITRED)
                .with(Dimension.DIAGONAL_DOWN, 101)
                .with(Dimension.DIAGONAL_UP, 99);
        WorkPlan plan = Planner.plan(job(leaning, design, 6));
        check(plan);
        MotifDiagnostic.CornersDiffer told = plan.findings().stream()
                .filter(f -> f.code().equals("corner-corners-differ"))
                .map(f -> (MotifDiagnostic.CornersDiffer) ((Finding.CornerTrouble) f).diagnostic())
                .findFirst()
                .orElseThrow();
        List<Double> out = plan.corners().stream()
                .map(c -> c.lines()
                        .get(0)
                        .path()
                        .curves()
                        .get(0)
                        .at(0.5)
                        .distance(plan.shape().orElseThrow().run(c.run()).origin()))
                .toList();
        assertThat(told.by())
                .isCloseTo(Collections.max(out) - Collections.min(out), within(1e-9))
                .isGreaterThan(1.0 / 64);
    }

    /**
     * Feet d out on the lines that go on from both seams: a repeat out where that clears. Else, with the centre
     * (d − √(2R² − d²)) / 2 out along both, R further on is the room, so that d = m + √(R² − m²) with m = room − R: of 5
     * that is 4.872983. In a room under R the feet themselves stand at the reserve.
     */
    @ParameterizedTest
    @CsvSource({"12, 4, 4", "12, 6, 5.656854", "5.5, 6, 4.872983", "4.25, 6, 3.75", "2.25, 6, 1.75"})
    void oneMoreArcClosesADiagonalCut(double depth, double repeat, double out) {
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.DIAGONAL_CUT).with(CornerDesign.Closing.ARC));
        QuiltJob job = job(quilt(72, 72, 72, 72, depth, Corners.MITRED), design, repeat)
                .withMachine(new Machine(0.25))
                .choosing(even((int) (72 / repeat)));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        assertThat(plan.corners()).hasSize(4).allSatisfy(corner -> {
            RunFrame frame = plan.run(corner.run()).orElseThrow().frame();
            Arc arc = (Arc) corner.lines().get(0).path().curves().get(0);
            double clear = Math.min(depth - 0.5, 1e9);
            assertThat(arc.radius()).isCloseTo(4, within(1e-9));
            for (Point foot : List.of(arc.start(), arc.end())) {
                Point from = foot.minus(frame.origin());
                double along = -from.dot(frame.along());
                double up = from.dot(frame.outward());
                assertThat(Math.min(Math.abs(along), Math.abs(up))).isLessThan(1e-9);
                assertThat(Math.max(along, up)).isCloseTo(out, within(1e-6)).isLessThanOrEqualTo(clear);
            }
            for (int i = 0; i <= 20; i++) {
                Point p = arc.at(i / 20.0).minus(frame.origin());
                assertThat(Math.max(-p.dot(frame.along()), p.dot(frame.outward())))
                        .isLessThan(clear + 1e-6);
            }
        });
    }

    @Test
    void aDiagonalCutCanStayOpen() {
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.DIAGONAL_CUT).with(CornerDesign.Closing.NOTHING));
        WorkPlan plan = Planner.plan(square(design, 6));
        check(plan);
        assertThat(plan.corners()).allMatch(c -> c.lines().isEmpty());
        assertThat(plan.hasProblems()).isFalse();
    }
}
