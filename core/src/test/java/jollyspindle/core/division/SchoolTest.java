package jollyspindle.core.division;

import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.TapeScale;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

class SchoolTest {

    @Provide
    Arbitrary<School> schools() {
        Arbitrary<Integer> count = Arbitraries.integers().between(1, 30);
        Arbitrary<Double> repeat = Arbitraries.doubles().between(0.5, 14);
        return Arbitraries.oneOf(
                count.map(Even::new),
                repeat.flatMap(p -> count.map(n -> (School) new CornersIn(p, n))),
                repeat.flatMap(p -> count.map(n -> (School) new CentreOut(p, n))),
                count.map(HalfSteps::new),
                repeat.flatMap(p -> count.map(n -> (School) new Fudged(p, n, new Spread.All()))),
                repeat.flatMap(p -> count.map(n -> (School) new Fudged(p, n, new Spread.RoundCentre(4)))),
                repeat.flatMap(p -> count.map(n -> (School) new ByPiecing(p, n, 2))),
                repeat.flatMap(p -> count.map(n -> (School) new ByIncrements(p, n))));
    }

    /** The cells of every school sum to the run; what mirrors itself, mirrors its marks. */
    @Property(tries = 2000)
    void cellsSumToTheRunAndMirrorThemselves(
            @ForAll("schools") School school, @ForAll @DoubleRange(min = 6, max = 110) double length) {
        school.divide(length).ifPresent(divided -> {
            assertThat(divided.length()).isEqualTo(length);
            assertThat(divided.cells().stream().mapToDouble(Cell::width).sum()).isCloseTo(length, within(1e-9));
            List<Double> places = boundaries(divided);
            for (int i = 0; i < places.size(); i++) {
                assertThat(length - places.get(places.size() - 1 - i)).isCloseTo(places.get(i), within(1e-9));
            }
        });
    }

    /** Everything 2.54 times as large changes nothing but the numbers. */
    @Property(tries = 300)
    void scalingChangesNothingButTheNumbers(
            @ForAll @DoubleRange(min = 20, max = 110) double length,
            @ForAll @DoubleRange(min = 2, max = 9) double repeat,
            @ForAll @IntRange(min = 1, max = 9) int count) {
        double k = 2.54;
        alike(new CornersIn(repeat, count), new CornersIn(repeat * k, count), length, k);
        alike(new CentreOut(repeat, count), new CentreOut(repeat * k, count), length, k);
        Spread spread = new Spread.RoundCentre(2);
        alike(new Fudged(repeat, count, spread), new Fudged(repeat * k, count, spread), length, k);
    }

    private static void alike(School small, School large, double length, double k) {
        Optional<RunDivision> one = small.divide(length);
        Optional<RunDivision> two = large.divide(length * k);
        assertThat(two.isPresent()).isEqualTo(one.isPresent());
        if (one.isPresent()) {
            for (int i = 0; i < boundaries(one.get()).size(); i++) {
                assertThat(boundaries(two.get()).get(i))
                        .isCloseTo(k * boundaries(one.get()).get(i), within(1e-9 * length));
            }
        }
    }

    // L = 62 with half steps near 6: 10 of 6.2, half 3.1. 63: 10 of 6.3. 65: 11 of 5.909 (derived).
    @ParameterizedTest
    @CsvSource({"62, 10, 6.2, 3.1", "63, 10, 6.3, 3.15", "65, 11, 5.909, 2.955"})
    void halfStepsAtTheEnds(double length, int count, double repeat, double half) {
        assertThat(RunCounts.near(length, 6, 1).get(0).count()).isEqualTo(count);
        RunDivision divided = new HalfSteps(count).divide(length).orElseThrow();
        assertThat(divided.repeat()).isCloseTo(repeat, within(6e-4));
        assertThat(divided.cells().get(0).width()).isCloseTo(half, within(6e-4));
        assertThat(divided.cells().get(0).kind()).isEqualTo(Cell.Kind.HALF);
        assertThat(divided.repeats()).isEqualTo(count - 1);
        // Marks on the seam at p, 2p …, against exact fractions.
        for (int i = 1; i < count; i++) {
            BigFraction exact = BigFraction.from(length).multiply(i).divide(count);
            assertThat(divided.middles().get(i - 1)).isCloseTo(exact.doubleValue(), within(1e-12 * length));
        }
    }

    // "Three in from each corner, then every six" works out only where L is a multiple of 6 (derived).
    @ParameterizedTest
    @CsvSource({"60, true", "66, true", "62, false", "63, false"})
    void threeInThenEverySix(double length, boolean worksOut) {
        RunDivision divided =
                new HalfSteps((int) Math.round(length / 6)).divide(length).orElseThrow();
        assertThat(divided.cells().get(0).width() == 3).isEqualTo(worksOut);
    }

    // Stepping off a rounded repeat: 12 of 5 63/64 stepped as 6 end 3/16 long (derived).
    @Test
    void steppingAddsTheRoundingUp() {
        assertThat(Stepping.error(5 + 63.0 / 64, 12, TapeScale.SIXTEENTHS)).isCloseTo(3.0 / 16, within(1e-12));
        assertThat(Stepping.error(6.125, 12, TapeScale.EIGHTHS)).isZero();
    }

    @Test
    void cornersInLeavesTheMiddleForAMotifOfItsOwn() {
        CornersIn most = CornersIn.most(71.625, 6).orElseThrow();
        assertThat(most.each()).isEqualTo(5);
        RunDivision divided = most.divide(71.625).orElseThrow();
        assertThat(divided.repeats()).isEqualTo(10);
        assertThat(divided.leftover()).isCloseTo(11.625, within(1e-12));
        assertThat(divided.largestChange()).isCloseTo(0, within(1e-9));
        assertThat(divided.cells().get(5).kind()).isEqualTo(Cell.Kind.MIDDLE);
        assertThat(new CornersIn(6, 6).divide(71.625)).as("no room").isEmpty();
        assertThat(CornersIn.most(5, 6)).isEmpty();
        assertThat(new CornersIn(6, 6).divide(72).orElseThrow().cells()).hasSize(12);
    }

    @ParameterizedTest
    @CsvSource({"true, 10, 5.8125", "false, 11, 2.8125"})
    void centreOutPutsAValleyOrACrownOnTheCentre(boolean valley, int count, double end) {
        CentreOut most = CentreOut.most(71.625, 6, valley).orElseThrow();
        RunDivision divided = most.divide(71.625).orElseThrow();
        assertThat(divided.repeats()).isEqualTo(count);
        assertThat(divided.leftover()).isCloseTo(end, within(1e-9));
        double centre = 71.625 / 2;
        List<Double> there = valley ? boundaries(divided) : divided.middles();
        assertThat(there).anyMatch(p -> Math.abs(p - centre) < 1e-9);
        assertThat(CentreOut.most(5, 6, true)).isEmpty();
    }

    @Test
    void fudgeTakesWhatIsLeftWhereItIsTold() {
        RunDivision all = new Fudged(6, 12, new Spread.All()).divide(73.5).orElseThrow();
        assertThat(all.largestChange()).isCloseTo(0.125, within(1e-9));
        RunDivision centre =
                new Fudged(6, 12, new Spread.RoundCentre(4)).divide(73.5).orElseThrow();
        assertThat(centre.cells().stream().map(Cell::width).map(w -> Math.round(w * 1000)))
                .containsExactly(6000L, 6000L, 6000L, 6000L, 6375L, 6375L, 6375L, 6375L, 6000L, 6000L, 6000L, 6000L);
        RunDivision odd =
                new Fudged(6, 11, new Spread.RoundCentre(4)).divide(66.3).orElseThrow();
        assertThat(odd.cells().stream().filter(c -> c.width() > 6.01))
                .as("three about a crown")
                .hasSize(3);
        RunDivision chosen =
                new Fudged(6, 12, new Spread.Chosen(Set.of(1, 12))).divide(71).orElseThrow();
        assertThat(chosen.cells().get(0).width()).isCloseTo(5.5, within(1e-9));
        assertThat(new Fudged(6, 2, new Spread.RoundCentre(2)).divide(13))
                .as("both are at corners")
                .isEmpty();
        assertThat(new Fudged(6, 12, new Spread.Chosen(Set.of(13))).divide(71)).isEmpty();
        assertThat(new Fudged(6, 12, new Spread.Chosen(Set.of(3))).divide(60))
                .as("would be below 0")
                .isEmpty();
    }

    @Test
    void piecedUnitsAndIncrementsServeAsMarks() {
        // 18 units meant to be 4, pieced over 71.625: repeats of 1 1/2 units.
        RunDivision pieced = new ByPiecing(4, 3, 2).divide(71.625).orElseThrow();
        assertThat(pieced.repeats()).isEqualTo(12);
        assertThat(pieced.cells().get(0).width()).isCloseTo(71.625 / 18 * 1.5, within(1e-12));
        assertThat(new ByPiecing(4, 5, 1).divide(71.625))
                .as("18 units aren't fives")
                .isEmpty();
        // A stencil of inches: 72 marks in 71 5/8, so that 3/8 lacks at the centre, which is a valley.
        RunDivision steps = new ByIncrements(1, 6).divide(71.625).orElseThrow();
        assertThat(steps.cells().get(4).width()).isEqualTo(6);
        assertThat(steps.cells().get(5).width()).isCloseTo(5.8125, within(1e-9));
        assertThat(steps.cells().get(6).width()).isCloseTo(5.8125, within(1e-9));
        RunDivision odd = new ByIncrements(1, 8).divide(71.625).orElseThrow();
        assertThat(odd.cells().get(4).width())
                .as("one repeat about the centre takes it all")
                .isCloseTo(7.625, within(1e-9));
        assertThat(new ByIncrements(1, 7).divide(71.625)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        // length, step, steps: repeats, sliver, the middle repeats
        "60.7,  1,   6,  10,  0.7,  6.35",
        "60.25, 1,   6,  10,  0.25, 6.125",
        "59.25, 1,   6,  10, -0.75, 5.625",
        "61.3,  1,   6,   0,  0,    0",
        "61.3,  1,  61,   1,  0.3, 61.3",
        "61.3,  1,  31,   2, -0.7, 30.65",
        "47,    1.5, 4,   8, -1,    5.5",
        "45.5,  1.5, 6,   5,  0.5,  9.5",
        "6,     1,   3,   2,  0,    3",
        "2.5,   1,   3,   1, -0.5,  2.5",
        "1.9,   1,   3,   0,  0,    0",
    })
    void sliverOfLessThanAStepIsMergedIntoTheMiddleMark(
            double length, double step, int steps, int repeats, double sliver, double middle) {
        ByIncrements way = new ByIncrements(step, steps);
        if (repeats == 0) {
            assertThat(way.divide(length)).isEmpty();
            assertThat(ByIncrements.all(length, step)).doesNotContain(way);
            return;
        }
        RunDivision division = way.divide(length).orElseThrow();
        assertThat(division.repeats()).isEqualTo(repeats);
        assertThat(way.sliver(length)).isCloseTo(sliver, within(1e-9));
        assertThat(division.cells().get((repeats - 1) / 2).width()).isCloseTo(middle, within(1e-9));
        assertThat(division.cells().get(repeats / 2).width()).isCloseTo(middle, within(1e-9));
        if (repeats > 2) {
            assertThat(division.cells().get(0).width()).isCloseTo(step * steps, within(1e-9));
        }
        assertThat(ByIncrements.all(length, step)).contains(way);
    }

    @Test
    void valleysPinnedByHandHoldAndTheOthersSpread() {
        RunDivision hand =
                new ByHand(10, Map.of(3, 20.0, 7, 50.0)).divide(71.625).orElseThrow();
        assertThat(boundaries(hand).get(3)).isEqualTo(20);
        assertThat(boundaries(hand).get(1)).isCloseTo(20.0 / 3, within(1e-12));
        assertThat(boundaries(hand).get(5)).isCloseTo(35, within(1e-12));
        assertThat(boundaries(hand).get(8)).isCloseTo(50 + 21.625 / 3, within(1e-12));
        assertThat(new ByHand(10, Map.of(3, 50.0, 7, 20.0)).divide(71.625)).isEmpty();
        assertThat(new ByHand(10, Map.of(3, 99.0)).divide(71.625)).isEmpty();
        assertThatThrownBy(() -> new ByHand(10, Map.of(10, 3.0))).hasMessageContaining("between the ends");
        assertThatThrownBy(() -> new Even(0)).hasMessageContaining("number of repeats must be 1 to 400, not 0");
        assertThatThrownBy(() -> new CornersIn(-1, 3)).hasMessageContaining("length");
    }

    // R = 4, h = 3, half the space H = 3.5, 3, 2, 5: half arcs meet at 2.983, 2.904, 2.534 pointed, 2.838 in a dip
    // (derived).
    @ParameterizedTest
    @CsvSource({"3.5, 2.983, POINTED", "3, 2.904, POINTED", "2, 2.534, POINTED", "5, 2.838, DIP"})
    void halfArcsMeetInTheMiddle(double half, double height, MiddleSpace.Meeting meeting) {
        MiddleSpace space = new MiddleSpace(2 * half, CircularSegment.ofRadiusAndHeight(4, 3));
        assertThat(space.halfArcsMeetAt().orElseThrow()).isCloseTo(height, within(6e-4));
        assertThat(space.meeting()).isEqualTo(meeting);
    }

    @Test
    void aSmoothCrownALargerArcOrNone() {
        CircularSegment arc = CircularSegment.ofRadiusAndHeight(4, 3);
        assertThat(new MiddleSpace(arc.chord(), arc).meeting()).isEqualTo(MiddleSpace.Meeting.SMOOTH);
        assertThat(new MiddleSpace(arc.chord(), arc).halfArcsMeetAt().orElseThrow())
                .isCloseTo(3, within(1e-9));
        assertThat(new MiddleSpace(20, arc).halfArcsMeetAt())
                .as("down on the seam before they meet")
                .isEmpty();
        // 11 5/8 wide and 3 high: R = (33.785 + 9)/6.
        assertThat(new MiddleSpace(11.625, arc).oneArcsRadius().orElseThrow()).isCloseTo(7.1309, within(5e-5));
        assertThat(new MiddleSpace(5, arc).oneArcsRadius())
                .as("narrower than a half circle as high")
                .isEmpty();
    }

    /** Where cells meet, both ends of the run included. */
    private static List<Double> boundaries(RunDivision division) {
        return IntStream.rangeClosed(0, division.cells().size())
                .mapToObj(division::boundary)
                .toList();
    }
}
