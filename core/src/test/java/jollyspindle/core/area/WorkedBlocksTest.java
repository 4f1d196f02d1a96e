package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.plan;
import static jollyspindle.core.area.AreaChecks.told;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Blocks as they are really worked: what is chosen is stitched, with no more chalk than need be. */
class WorkedBlocksTest {

    private static List<StitchLine> lines(AreaPlan plan, Stitched kind) {
        return plan.lines().stream().filter(l -> l.kind() == kind).toList();
    }

    private static long chalk(AreaPlan plan) {
        return plan.marks().stream().filter(m -> m.by() == Mark.MarkedBy.CHALK).count();
    }

    // --- just so, or even ------------------------------------------------------------------------------------------

    /** In a block of 8 on the diagonal 3/4 comes out even as 8 sin 45°/8 = 0.707, and 1 1/2 as 8 sin 45°/4 = 1.414 (derived). */
    @ParameterizedTest
    @CsvSource({"0.75, 0.7071067811865476", "1.5, 1.4142135623730951"})
    void theEvenSpacingIsToldAndTheWishedOneIsPossible(double wished, double even) {
        AreaMotif.Crosshatch hatch = new AreaMotif.Crosshatch(wished, Math.PI / 4);
        assertThat(told(plan(block(8), hatch, null))).contains(new AreaDiagnostic.SpacedEvenly(wished, even));
        AreaPlan exact = plan(block(8), hatch.exactly(), null);
        assertThat(told(exact)).noneMatch(AreaDiagnostic.SpacedEvenly.class::isInstance);
        List<Double> off = lines(exact, Stitched.HATCH).stream()
                .filter(l -> l.sub() == 1)
                .map(l -> l.path().start().cross(new Point(1, 1).unit()))
                .sorted()
                .toList();
        // One through the middle, and each just so far from the next.
        assertThat(off).anyMatch(d -> Math.abs(d) < 1e-9);
        for (int i = 1; i < off.size(); i++) {
            assertThat(off.get(i) - off.get(i - 1)).isCloseTo(wished, within(1e-9));
        }
    }

    /** A quarter of 3 takes 11 lines at 1/4 and 5 at 1/2 (common practice, no source), across or down as each is chosen. */
    @Test
    void eachQuarterHasItsOwnLines() {
        AreaMotif.Quarters quarters = new AreaMotif.Quarters(
                0.25,
                0.5,
                true,
                AreaMotif.Lined.CLOSE_DOWN,
                AreaMotif.Lined.NONE,
                AreaMotif.Lined.WIDE_ACROSS,
                AreaMotif.Lined.CLOSE_ACROSS,
                false);
        AreaPlan plan = plan(block(6), quarters, null);
        assertThat(IntStream.rangeClosed(1, 4).map(quarter -> (int)
                        plan.lines().stream().filter(l -> l.sub() == quarter).count()))
                .containsExactly(11, 0, 5, 11);
        assertThat(plan.lines()).allSatisfy(l -> {
            Point way = l.path().end().minus(l.path().start());
            assertThat(Math.abs(l.sub() == 1 ? way.x() : way.y())).isLessThan(1e-9);
        });
    }

    // --- peel ------------------------------------------------------------------------------------------------------

    /**
     * A hole of 3 inside a circle of 6 (common practice, no source): petals 1.5 √2 = 2.121 long, which end 3 − 2.121 = 0.879 from
     * the crossings (derived). On pieced squares nothing is marked for the larger ones, and each set is one thread.
     */
    @Test
    void smallerPetalsStandBetween() {
        double side = 6 * Math.sqrt(2);
        AreaMotif.Peel peel =
                new AreaMotif.Peel(2, 2, OptionalDouble.empty(), true, true, AreaMotif.Round.COUNTERCLOCKWISE);
        AreaPlan plan = plan(block(side), peel, "basin-nest");
        AreaDiagnostic.PetalsBetween told =
                (AreaDiagnostic.PetalsBetween) told(plan).get(0);
        assertThat(told.hole()).isCloseTo(3, within(1e-9));
        assertThat(told.length()).isCloseTo(1.5 * Math.sqrt(2), within(1e-9));
        assertThat(told.left()).isCloseTo(3 - 1.5 * Math.sqrt(2), within(1e-9));
        assertThat(plan.starts()).as("the larger ones, and those between").isEqualTo(2);
        // Eight arcs a circle, a side of a curved square for each pair of neighbours on each of their two sides.
        List<StitchLine> between = lines(plan, Stitched.INNER_PETAL);
        assertThat(between.stream().filter(l -> l.sub() > 0)).hasSize(4 * 8);
        assertThat(plan.marks().stream().filter(m -> m.kind() == Mark.Kind.GRID))
                .isNotEmpty()
                .allMatch(m -> m.by() == Mark.MarkedBy.SEAM);
        // Counter-clockwise round the edge: seen from the middle, to the left.
        Path first = lines(plan, Stitched.PETAL).get(0).path();
        assertThat(first.start().cross(first.end())).isPositive();
        assertThat(chalk(plan(block(side), new AreaMotif.Peel(2, 2).withSquares(2, 2), "basin-nest")))
                .as("on whole cloth, all but the corners")
                .isEqualTo(5);
    }

    @Test
    void aHoleForPetalsBetweenMayBeMissing() {
        AreaMotif.Peel fine =
                new AreaMotif.Peel(10, 10, OptionalDouble.empty(), true, false, AreaMotif.Round.CLOCKWISE);
        AreaPlan plan = plan(block(7), fine, null);
        assertThat(told(plan)).anyMatch(AreaDiagnostic.NoSmallerHole.class::isInstance);
        assertThat(lines(plan, Stitched.PETAL)).isNotEmpty();
    }

    // --- about other places than the centre ------------------------------------------------------------------------

    /** Eight arms over a quarter turn: 90/8 = 11.25 degrees apart, the first half of that off the seam. */
    @Test
    void armsFromACorner() {
        AreaPlan plan = plan(
                block(9),
                new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0.75, false, 0, true)
                        .about(AreaMotif.About.BOTTOM_LEFT),
                null);
        assertThat(plan.rays('A')).hasSize(8);
        for (int i = 0; i < 8; i++) {
            Ray ray = plan.rays('A').get(i);
            assertThat(Math.toDegrees(ray.angle())).isCloseTo(11.25 * (i + 0.5), within(1e-9));
            assertThat(ray.found()).isEqualTo(Ray.Found.READ);
            // On a side of 9 the ray at an angle a from it meets the far side 9 tan a on (derived).
            double low = Math.toRadians(11.25 * (i + 0.5));
            double expected = i < 4 ? 9 * Math.tan(low) - 4.5 : 9 * Math.tan(Math.PI / 2 - low) - 4.5;
            assertThat(i < 4 ? ray.place().x() : ray.place().y()).isCloseTo(expected, within(1e-9));
        }
        assertThat(lines(plan, Stitched.ARM)).hasSize(8).allMatch(l -> l.passes() == 2);
        assertThat(plan.starts()).isEqualTo(1);
        assertThat(told(plan(
                        new Area.Medallion(12),
                        new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0).about(AreaMotif.About.TOP_LEFT),
                        null)))
                .contains(new AreaDiagnostic.NoCorner());
    }

    /** About a pin of their own, with the ruler over it and a mark on the last ring. */
    @Test
    void ringsStandWhereTheyAreWanted() {
        AreaPlan plan = plan(block(12), new AreaMotif.Rings(2, 1, 3, AreaMotif.Spokes.ONE).at(-1.5, 0.5), null);
        assertThat(lines(plan, Stitched.RING)).hasSize(3).allSatisfy(ring -> {
            Arc arc = (Arc) ring.path().curves().get(0);
            assertThat(arc.centre().distance(new Point(-1.5, 0.5))).isLessThan(1e-9);
        });
        assertThat(plan.starts()).isEqualTo(1);
        assertThat(plan.placements().stream()
                        .filter(p -> p.of().kind() == Stitched.SPOKE)
                        .map(Placement::registration))
                .hasSize(2)
                .allSatisfy(on -> assertThat(((Registration.FootOverMarks) on)
                                .first()
                                .place()
                                .distance(new Point(-1.5, 0.5)))
                        .isLessThan(1e-9));
    }

    /** Two sets with rings 1 apart interleave to 1/2, and the wide ones go on from 8 to 15. */
    @Test
    void ringsTakeWhicheverSetHasThem() {
        AreaPlan plan = plan(new Area.Medallion(16), new AreaMotif.Rings(2, 0.5, 14, AreaMotif.Spokes.FOUR), null);
        assertThat(told(plan)).isEmpty();
        assertThat(lines(plan, Stitched.RING)).hasSize(14);
        assertThat(plan.starts()).isEqualTo(1);
        assertThat(plan.placements().stream().map(p -> p.tool().templateId()))
                .contains("pond-wide", "pond-wide-between");
    }

    // --- by the ruler ----------------------------------------------------------------------------------------------

    /** Between the limits, no two neighbours alike, from the V to the upper seam. */
    @Test
    void aVeeHasUnevenLinesBesideIt() {
        AreaPlan plan = plan(block(8), new AreaMotif.Vee(0.0625, 0.25), "furrow-long");
        assertThat(chalk(plan)).as("the tip").isEqualTo(1);
        assertThat(plan.starts()).isEqualTo(1);
        for (int set = 1; set <= 2; set++) {
            int own = set;
            List<Double> at = lines(plan, Stitched.HATCH).stream()
                    .filter(l -> l.sub() == own)
                    .map(l -> l.path().start().x())
                    .sorted()
                    .toList();
            for (int i = 1; i < at.size(); i++) {
                double apart = at.get(i) - at.get(i - 1);
                assertThat(apart).isBetween(0.0625, 0.25);
                if (i > 1) {
                    assertThat(Math.abs(apart - (at.get(i - 1) - at.get(i - 2))))
                            .isGreaterThan(0.01);
                }
            }
        }
        // The V: from (-4, -4) to (0, 4) to (4, -4), so that y = 4 - 2|x|.
        assertThat(lines(plan, Stitched.HATCH)).allSatisfy(l -> {
            double low = Math.min(l.path().start().y(), l.path().end().y());
            assertThat(low).isCloseTo(4 - 2 * Math.abs(l.path().start().x()), within(1e-9));
        });
    }

    /** What is longer than the ruler goes straight on along what is stitched, to a mark. */
    @Test
    void linesLongerThanTheRulerGoOn() {
        AreaPlan plan = plan(block(30), new AreaMotif.Crosshatch(10, Math.PI / 2), "furrow-long");
        List<Placement> later =
                plan.placements().stream().filter(p -> p.part() > 1).toList();
        // Lines so far apart aren't laid on each other: the ruler isn't as wide.
        assertThat(later).hasSize(8);
        assertThat(later).allSatisfy(p -> {
            assertThat(p.registration()).isInstanceOf(Registration.Onward.class);
            Registration.Onward on = (Registration.Onward) p.registration();
            assertThat(on.far().place().distance(p.path().end())).isLessThan(Tolerances.ROUNDING);
        });
    }
}
