package jollyspindle.core.division;

import jollyspindle.core.measure.TapeScale;
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
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

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

    private static Ring ring(double top, double right, double bottom, double left, double room, ArcTemplate template) {
        Map<Side, Double> lengths =
                new EnumMap<>(Map.of(Side.TOP, top, Side.RIGHT, right, Side.BOTTOM, bottom, Side.LEFT, left));
        Map<Side, Double> rooms = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            rooms.put(side, room);
        }
        return new Ring(lengths, rooms, 0, template, Machine.usual());
    }

    private static final ArcTemplate HILL =
            StarterShelf.templates().get(0).arcs().get(0);

    // 61 1/2 by 73 1/4 near 6: 10 and 12, of 6.150 and 6.104, 0.046 apart (common practice, no source; by arithmetic).
    @Test
    void sidesAreChosenTogether() {
        Candidate best = new CandidateFinder(ring(61.5, 73.25, 61.5, 73.25, 5, HILL), 6)
                .find(Optional.empty())
                .get(0);
        assertThat(best.counts()).isEqualTo(new Counts(10, 12));
        assertThat(best.repeat(Side.TOP)).isCloseTo(6.150, within(5e-4));
        assertThat(best.repeat(Side.LEFT)).isCloseTo(6.104, within(5e-4));
        assertThat(best.mismatch()).isCloseTo(0.046, within(5e-4));
        assertThat(best.reasons())
                .contains(new Reason.OnCentre(true, true))
                .noneMatch(r -> r.tone() == Reason.Tone.WARNING);
    }

    /** The penalty as it is documented, reckoned anew over every pair of counts. */
    private static double penalty(Ring ring, Counts counts, double wanted) {
        BigDecimal sum = BigDecimal.ZERO;
        double longest = 0;
        double shortest = Double.MAX_VALUE;
        double into = 0;
        int most = 1;
        boolean tooWide = false;
        for (Side side : Side.values()) {
            double p = ring.lengths().get(side) / counts.on(side);
            sum = sum.add(BigDecimal.valueOf(p));
            longest = Math.max(longest, p);
            shortest = Math.min(shortest, p);
            double r = 4;
            if (p > 2 * r) {
                tooWide = true;
            } else {
                into = Math.max(
                        into, r - Math.sqrt(r * r - p * p / 4) - ring.rooms().get(side));
                most = Math.max(most, (int) Math.ceil(Math.toDegrees(2 * Math.asin(p / 2 / r)) / 152 - 1e-9));
            }
        }
        return Math.abs(sum.doubleValue() / 4 - wanted)
                + 4 * (longest - shortest)
                + 8 * Math.max(0, into)
                + 0.1 * (most - 1)
                + (counts.across() % 2 == counts.down() % 2 ? 0 : 0.05)
                + (tooWide ? 1000 : 0);
    }

    @Property(tries = 150)
    void theBestIsTheBestOfAllByBruteForce(
            @ForAll @DoubleRange(min = 30, max = 110) double across,
            @ForAll @DoubleRange(min = 30, max = 110) double down,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double off,
            @ForAll @DoubleRange(min = 3, max = 7.5) double wanted,
            @ForAll @DoubleRange(min = 1, max = 5) double room) {
        Ring ring = ring(across, down, across + off, down - off, room, HILL);
        List<Candidate> found = new CandidateFinder(ring, wanted).find(Optional.empty());
        double best = Double.MAX_VALUE;
        for (int a = 1; a <= 60; a++) {
            for (int d = 1; d <= 60; d++) {
                double pa = across / a;
                double pd = down / d;
                // Inside the documented range on all sides; its ends are left out.
                if (Math.min(pa, pd) > 0.63 * wanted && Math.max(pa, pd) < 1.45 * wanted && Math.max(pa, pd) < 7.9) {
                    best = Math.min(best, penalty(ring, new Counts(a, d), wanted));
                }
            }
        }
        assertThat(found.get(0).penalty()).isLessThanOrEqualTo(best + 1e-9);
        for (Candidate candidate : found) {
            assertThat(candidate.penalty()).isCloseTo(penalty(ring, candidate.counts(), wanted), within(1e-9));
            // Opposite sides have the same count, so their repeats sum to their runs.
            for (Side side : Side.values()) {
                assertThat(candidate.repeat(side) * candidate.counts().on(side))
                        .isCloseTo(ring.lengths().get(side), within(1e-9));
            }
        }
        assertThat(found).isSortedAccordingTo((a, b) -> Double.compare(a.penalty(), b.penalty()));
    }

    @Test
    void whereTheTemplateCantSpanTheWantedRepeatCountsItCanAreListed() {
        List<Candidate> found = new CandidateFinder(ring(60, 80, 60, 80, 5, HILL), 30).find(Optional.empty());
        assertThat(found).isNotEmpty().allSatisfy(c -> assertThat(c.fits()).hasSize(4));
        assertThat(found.get(0).counts().across()).isGreaterThanOrEqualTo(8);
    }

    @Test
    void aChosenPairStaysListedWhateverItIsWorth() {
        CandidateFinder finder = new CandidateFinder(ring(60, 80, 60, 80, 5, HILL), 6);
        List<Candidate> found = finder.find(Optional.of(new Counts(3, 40)));
        assertThat(found)
                .filteredOn(c -> c.counts().equals(new Counts(3, 40)))
                .singleElement()
                .satisfies(c -> assertThat(c.reasons()).anyMatch(Reason.TooWide.class::isInstance));
        assertThat(found).hasSizeLessThanOrEqualTo(8);
    }

    @ParameterizedTest
    @CsvSource({"TOP, 12, 12, 16", "LEFT, 14, 11, 14", "BOTTOM, 0, 1, 2", "RIGHT, 1000, 300, 400"})
    void neighboursFollowACountThatIsAskedFor(Side side, int count, int across, int down) {
        Counts counts = new CandidateFinder(ring(60, 80, 60, 80, 5, HILL), 6).withCount(side, count);
        assertThat(counts).isEqualTo(new Counts(across, down));
    }

    @Test
    void findsCountsThatClearTheReserve() {
        Ring shallow = ring(60, 80, 60, 80, 1, HILL);
        CandidateFinder finder = new CandidateFinder(shallow, 6);
        Counts clear = finder.clearing(new Counts(10, 13)).orElseThrow();
        // A rise of 1 with radius 4 spans 5.292, so 60 takes 12 repeats and 80 takes 16.
        assertThat(clear).isEqualTo(new Counts(12, 16));
        assertThat(finder.clearing(clear)).isEmpty();
        assertThat(finder.judge(new Counts(10, 13)).reasons())
                .first()
                .isInstanceOfSatisfying(Reason.IntoReserve.class, into -> assertThat(into.inches())
                        .isCloseTo(4 - Math.sqrt(16 - Math.pow(80 / 13.0 / 2, 2)) - 1, within(1e-9)));
    }
}
