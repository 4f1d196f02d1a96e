package jollyspindle.core.division;

import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.apache.commons.numbers.fraction.BigFraction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

class DivisionTest {

    /** The referee is exact rational arithmetic (Commons Numbers): k·L/n, with L in whole sixty-fourths. */
    @Property
    void positionsNeverDriftFromExactFractions(
            @ForAll @IntRange(min = 64, max = 12800) int sixtyFourths,
            @ForAll @IntRange(min = 1, max = 400) int count,
            @ForAll @IntRange(min = 0, max = 400) int k,
            @ForAll TapeScale tape) {
        int valley = k % (count + 1);
        EvenDivision division = new EvenDivision(sixtyFourths / 64.0, count);
        BigFraction exact = BigFraction.of(sixtyFourths, 64).multiply(BigFraction.of(valley, count));
        assertThat(division.valley(valley)).isCloseTo(exact.doubleValue(), within(1e-12));
        assertThat(Math.abs(tape.read(division.valley(valley)).onTape() - exact.doubleValue()))
                .isLessThanOrEqualTo(tape.tick() / 2 + 1e-9);
        if (valley > 0) {
            BigFraction crown = BigFraction.of(sixtyFourths, 64).multiply(BigFraction.of(2 * valley - 1, 2 * count));
            assertThat(division.crown(valley)).isCloseTo(crown.doubleValue(), within(1e-12));
        }
        assertThat(division.valleyOnCentre())
                .isEqualTo(IntStream.rangeClosed(0, count)
                        .anyMatch(i -> BigFraction.of(i, count).equals(BigFraction.of(1, 2))));
    }

    // Stepping off a rounded repeat adds the rounding up: 12 repeats of 5 63/64 stepped as 6 end 3/16 long (common
    // practice, no source; by arithmetic).
    @Test
    void oneZeroKeepsWhatSteppingLoses() {
        EvenDivision division = new EvenDivision(12 * (5 + 63.0 / 64), 12);
        double stepped = 12 * TapeScale.SIXTEENTHS.read(division.repeat()).onTape();
        assertThat(stepped - division.length()).isEqualTo(3.0 / 16);
        assertThat(TapeScale.SIXTEENTHS.read(division.valley(12)).onTape() - division.length())
                .isEqualTo(0);
    }

    // Common practice, no source; by arithmetic.
    @ParameterizedTest
    @CsvSource({"62, 6, 10, 6.2", "63, 6, 10, 6.3", "65, 6, 11, 5.909", "73.25, 6, 12, 6.104", "61.5, 6, 10, 6.15"})
    void countsForOneRun(double length, double wanted, int count, double repeat) {
        EvenDivision best = RunCounts.near(length, wanted, 4).get(0);
        assertThat(best.count()).isEqualTo(count);
        assertThat(best.repeat()).isCloseTo(repeat, within(5e-4));
    }

    @Property
    void theNearestCountIsFirstByBruteForce(
            @ForAll @DoubleRange(min = 1, max = 200) double length,
            @ForAll @DoubleRange(min = 0.5, max = 60) double wanted) {
        double best = IntStream.rangeClosed(1, Counts.MOST)
                .mapToDouble(n -> Math.abs(length / wanted - n))
                .min()
                .orElseThrow();
        List<EvenDivision> found = RunCounts.near(length, wanted, 4);
        assertThat(Math.abs(length / wanted - found.get(0).count())).isCloseTo(best, within(1e-12));
        assertThat(found).doesNotHaveDuplicates().hasSizeBetween(1, 4);
    }

    private static RunSet ring(
            double top, double right, double bottom, double left, double room, ArcTemplate template, Wish wish) {
        double[] lengths = {top, right, bottom, left};
        List<Run> runs = Stream.of(Side.values())
                .map(side -> new Run(RunId.of(side), lengths[side.ordinal()], room, 0))
                .toList();
        return new RunSet(
                runs,
                template,
                List.of(),
                Machine.usual(),
                TapeScale.SIXTEENTHS,
                wish,
                Judging.usual(),
                OptionalDouble.empty());
    }

    private static Wish even(double repeat) {
        return Wish.about(repeat).with(Wish.SCHOOL, Optional.of(SchoolKind.EVEN));
    }

    private static final ArcTemplate HILL =
            StarterShelf.templates().get(0).arcs().get(0);

    // 61 1/2 by 73 1/4 near 6: 10 and 12, of 6.150 and 6.104, 0.046 apart (common practice, no source; by arithmetic).
    @Test
    void sidesAreChosenTogether() {
        Candidate best = new CandidateFinder(ring(61.5, 73.25, 61.5, 73.25, 5, HILL, Wish.about(6)))
                .find(Map.of())
                .get(0);
        assertThat(best.counts()).contains(new Counts(10, 12));
        assertThat(best.kind()).contains(SchoolKind.EVEN);
        assertThat(best.repeat(RunId.of(Side.TOP))).isCloseTo(6.150, within(5e-4));
        assertThat(best.repeat(RunId.of(Side.LEFT))).isCloseTo(6.104, within(5e-4));
        assertThat(best.mismatch()).isCloseTo(0.046, within(5e-4));
        assertThat(best.reasons())
                .contains(new Reason.Centres(OnCentre.VALLEY, Optional.of(OnCentre.VALLEY)))
                .noneMatch(r -> r.tone() == Reason.Tone.WARNING);
    }

    /** The penalty of an even way as it is documented, reckoned anew with exact fractions for the readings. */
    private static double penalty(RunSet ring, Counts counts) {
        double wanted = ring.wish().repeat();
        BigDecimal sum = BigDecimal.ZERO;
        double longest = 0;
        double shortest = Double.MAX_VALUE;
        double into = 0;
        int most = 1;
        double off = 0;
        boolean tooWide = false;
        for (Run run : ring.runs()) {
            int n = counts.on(run.id().side().orElseThrow());
            double p = run.length() / n;
            sum = sum.add(BigDecimal.valueOf(p));
            longest = Math.max(longest, p);
            shortest = Math.min(shortest, p);
            off += n == 1
                    ? 0
                    : 1 - Math.max(onTick(run.length(), n, 0), onTick(run.length(), n, run.length() / 2)) / (n - 1.0);
            double r = 4;
            if (p > 2 * r) {
                tooWide = true;
            } else {
                into = Math.max(into, r - Math.sqrt(r * r - p * p / 4) - run.room());
                most = Math.max(most, (int) Math.ceil(Math.toDegrees(2 * Math.asin(p / 2 / r)) / 152 - 1e-9));
            }
        }
        return Math.abs(sum.doubleValue() / 4 - wanted)
                + 4 * (longest - shortest)
                + 8 * Math.max(0, into)
                + 0.1 * (most - 1)
                + (counts.across() % 2 == counts.down() % 2 ? 0 : 0.05)
                + 0.05 * off / 4
                + (tooWide ? 1000 : 0);
    }

    private static int onTick(double length, int n, double zero) {
        int on = 0;
        for (int k = 1; k < n; k++) {
            on += TapeScale.SIXTEENTHS.read(length * k / n - zero).lean() == TapeReading.Lean.ON ? 1 : 0;
        }
        return on;
    }

    @Property(tries = 150)
    void theBestIsTheBestOfAllByBruteForce(
            @ForAll @DoubleRange(min = 30, max = 110) double across,
            @ForAll @DoubleRange(min = 30, max = 110) double down,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double off,
            @ForAll @DoubleRange(min = 3, max = 7.5) double wanted,
            @ForAll @DoubleRange(min = 1, max = 5) double room) {
        RunSet ring = ring(across, down, across + off, down - off, room, HILL, even(wanted));
        List<Candidate> found = new CandidateFinder(ring).find(Map.of());
        double best = Double.MAX_VALUE;
        for (int a = 1; a <= 60; a++) {
            for (int d = 1; d <= 60; d++) {
                double pa = across / a;
                double pd = down / d;
                // Inside the documented range on all sides; its ends are left out.
                if (Math.min(pa, pd) > 0.63 * wanted && Math.max(pa, pd) < 1.45 * wanted && Math.max(pa, pd) < 7.9) {
                    best = Math.min(best, penalty(ring, new Counts(a, d)));
                }
            }
        }
        assertThat(found.get(0).penalty()).isLessThanOrEqualTo(best + 1e-9);
        for (Candidate candidate : found) {
            Counts counts = candidate.counts().orElseThrow();
            assertThat(candidate.penalty()).isCloseTo(penalty(ring, counts), within(1e-9));
            // Opposite sides have the same count, so their repeats sum to their runs.
            for (Run run : ring.runs()) {
                assertThat(candidate.repeat(run.id()) * candidate.count(run.id()))
                        .isCloseTo(run.length(), within(1e-9));
            }
        }
        assertThat(found).isSortedAccordingTo((a, b) -> Double.compare(a.penalty(), b.penalty()));
    }

    @Test
    void whereTheTemplateCantSpanTheWantedRepeatCountsItCanAreListed() {
        List<Candidate> found = new CandidateFinder(ring(60, 80, 60, 80, 5, HILL, Wish.about(30))).find(Map.of());
        assertThat(found).isNotEmpty();
        assertThat(found.get(0).spans()).isTrue();
        assertThat(found.get(0).count(RunId.of(Side.TOP))).isGreaterThanOrEqualTo(8);
    }

    @Test
    void aChosenWayStaysListedWhateverItIsWorth() {
        CandidateFinder finder = new CandidateFinder(ring(60, 80, 60, 80, 5, HILL, Wish.about(6)));
        Candidate poor = finder.even(new Counts(3, 40)).orElseThrow();
        assertThat(finder.find(poor.schools()))
                .filteredOn(c -> c.byRun().equals(poor.byRun()))
                .singleElement()
                .satisfies(c -> assertThat(c.reasons()).anyMatch(Reason.TooWide.class::isInstance));
        assertThat(finder.find(Map.of())).noneMatch(c -> c.byRun().equals(poor.byRun()));
    }

    @ParameterizedTest
    @CsvSource({"TOP, 12, 12, 16", "LEFT, 14, 11, 14", "BOTTOM, 0, 1, 2", "RIGHT, 1000, 300, 400"})
    void neighboursFollowACountThatIsAskedFor(Side side, int count, int across, int down) {
        Candidate found = new CandidateFinder(ring(60, 80, 60, 80, 5, HILL, Wish.about(6))).withCount(side, count);
        assertThat(found.counts()).contains(new Counts(across, down));
    }

    @Test
    void findsCountsThatClearTheReserve() {
        CandidateFinder finder = new CandidateFinder(ring(60, 80, 60, 80, 1, HILL, Wish.about(6)));
        Candidate high = finder.even(new Counts(10, 13)).orElseThrow();
        Candidate clear = finder.clearing(high).orElseThrow();
        // A rise of 1 with radius 4 spans 5.292, so 60 takes 12 repeats and 80 takes 16.
        assertThat(clear.counts()).contains(new Counts(12, 16));
        assertThat(finder.clearing(clear)).isEmpty();
        assertThat(high.reasons()).first().isInstanceOfSatisfying(Reason.IntoReserve.class, into -> assertThat(
                        into.inches())
                .isCloseTo(4 - Math.sqrt(16 - Math.pow(80 / 13.0 / 2, 2)) - 1, within(1e-9)));
    }
}
