package jollyspindle.core.division;

import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** All schools on whole rings, judged. */
class RingTest {

    private static final ArcTemplate HILL =
            StarterShelf.template("orchard-hill").arcs().get(0);

    private static final List<ArcTemplate> SHELF = Stream.of("orchard-hill", "mill-bridge", "quiet-cove")
            .flatMap(id -> StarterShelf.template(id).arcs().stream())
            .filter(arc -> arc.difficulty(Machine.usual()).isEmpty())
            .toList();

    private static RunSet ring(double[] lengths, double room, Wish wish, OptionalDouble unit) {
        List<Run> runs = Stream.of(Side.values())
                .map(side -> new Run(RunId.of(side), lengths[side.ordinal()], room, 0))
                .toList();
        return new RunSet(runs, HILL, SHELF, Machine.usual(), TapeScale.SIXTEENTHS, wish, Judging.usual(), unit);
    }

    private static double[] sides(double across, double down, double off) {
        return new double[] {across, down + off, across - off, down};
    }

    // --- every candidate, whatever its school --------------------------------------------------------------------

    @Property(tries = 60)
    void everyCandidateFillsItsRunsAndIsWorthWhatIsDocumented(
            @ForAll @DoubleRange(min = 20, max = 110) double across,
            @ForAll @DoubleRange(min = 20, max = 110) double down,
            @ForAll @DoubleRange(min = -0.75, max = 0.75) double off,
            @ForAll @DoubleRange(min = 3, max = 7.5) double wanted,
            @ForAll @DoubleRange(min = 1, max = 6) double room,
            @ForAll @DoubleRange(min = 1, max = 6) double unit) {
        RunSet set = ring(sides(across, down, off), room, Wish.about(wanted), OptionalDouble.of(unit));
        CandidateFinder finder = new CandidateFinder(set);
        List<Candidate> found = finder.find(Map.of());
        assertThat(found).isSortedAccordingTo((a, b) -> Double.compare(a.penalty(), b.penalty()));
        assertThat(new CandidateFinder(set).find(Map.of()))
                .as("the same runs, the same ways")
                .isEqualTo(found);
        for (Candidate candidate : found) {
            assertThat(candidate.penalty())
                    .as(candidate.schools().toString())
                    .isCloseTo(worth(candidate, set), within(1e-9));
            for (DividedRun run : candidate.runs()) {
                double sum =
                        run.division().cells().stream().mapToDouble(Cell::width).sum();
                assertThat(sum).isCloseTo(run.run().length(), within(1e-9));
                assertThat(run.figures()).hasSameSizeAs(run.division().cells());
                RunId opposite = RunId.of(run.id().side().orElseThrow().opposite());
                assertThat(candidate.run(opposite).school()).isEqualTo(run.school());
            }
        }
        for (SchoolKind kind : SchoolKind.values()) {
            long listed = found.stream()
                    .filter(c -> c.kind().equals(Optional.of(kind)))
                    .count();
            assertThat(listed).isLessThanOrEqualTo(kind == SchoolKind.EVEN ? 8 : 3);
        }
    }

    /** The penalty as it is documented, reckoned from the cells alone. */
    private static double worth(Candidate candidate, RunSet set) {
        Judging j = set.judging();
        List<DividedRun> runs = List.copyOf(candidate.runs());
        double mean =
                runs.stream().mapToDouble(r -> r.division().repeat()).average().orElseThrow();
        var repeats = runs.stream().mapToDouble(r -> r.division().repeat()).summaryStatistics();
        double uneven = 0;
        double odd = 0;
        double off = 0;
        double over = 0;
        int parts = 1;
        boolean tooWide = false;
        List<Double> spaces = new ArrayList<>();
        for (DividedRun run : runs) {
            var widths = run.division().cells().stream()
                    .filter(c -> c.kind() == Cell.Kind.REPEAT)
                    .mapToDouble(Cell::width)
                    .summaryStatistics();
            if (widths.getCount() > 0) {
                uneven = Math.max(uneven, widths.getMax() - widths.getMin());
            }
            double space = run.division().cells().stream()
                    .filter(c -> c.kind() == Cell.Kind.MIDDLE || c.kind() == Cell.Kind.END)
                    .mapToDouble(Cell::width)
                    .findFirst()
                    .orElse(0);
            spaces.add(space);
            odd = Math.max(odd, space <= j.leftoverAlone() ? 0 : oddSpace(run, space));
            int between = run.division().cells().size() - 1;
            off += between == 0
                    ? 0
                    : 1
                            - (double) Math.max(
                                            onTick(run, 0),
                                            onTick(run, run.run().length() / 2))
                                    / between;
            for (Figure figure : run.figures()) {
                if (figure.arc().isPresent()) {
                    ArcFit fit = figure.arc().get();
                    over = Math.max(over, fit.segment().height() - run.run().room());
                    parts = Math.max(parts, fit.parts());
                }
                tooWide |= figure instanceof Figure.Empty empty && empty.why() == Figure.Why.TOO_WIDE;
            }
        }
        int unlike = runs.stream().map(r -> r.division().onCentre()).distinct().count() > 1 ? 1 : 0;
        unlike += runs.get(0).school().kind() == SchoolKind.HALF_STEPS ? 1 : 0;
        double widest = spaces.stream().mapToDouble(s -> s).max().orElse(0);
        double narrowest = spaces.stream().mapToDouble(s -> s).min().orElse(0);
        double stretched = uneven < 1e-6 ? 0 : uneven;
        return Math.abs(mean - set.wish().repeat())
                + 4 * (repeats.getMax() - repeats.getMin())
                + stretched
                + 10 * Math.max(0, stretched - 0.125)
                + 8 * over
                + 0.1 * (parts - 1)
                + 0.05 * unlike
                + 0.05 * off / 4
                + odd
                + 0.1 * (widest - narrowest) / mean
                + (tooWide ? 1000 : 0);
    }

    private static double oddSpace(DividedRun run, double space) {
        double rise = run.fit().map(f -> f.segment().height()).orElse(0.0);
        if (run.school() instanceof CentreOut out) {
            return switch (out.ends()) {
                case CORNER -> 1;
                case PLAIN -> 2;
                case SHORT_ARC ->
                    run.end().orElseThrow().arc().isPresent()
                            ? 0.5 + Math.abs(run.division().repeat() - space)
                            : 2;
            };
        }
        Filling filling = ((CornersIn) run.school()).filling();
        if (filling instanceof Filling.OwnMotif) {
            return 1.25 + (space < run.division().repeat() / 2 ? 0.25 : 0);
        }
        if (filling instanceof Filling.TwoHalfArcs) {
            OptionalDouble height = run.fit()
                    .map(f -> new MiddleSpace(space, f.segment()).halfArcsMeetAt())
                    .orElse(OptionalDouble.empty());
            return height.isPresent() ? 0.5 + Math.abs(height.getAsDouble() - rise) : 2;
        }
        return run.middle()
                .orElseThrow()
                .arc()
                .map(f -> 0.5 + Math.abs(f.segment().height() - rise))
                .orElse(2.0);
    }

    private static int onTick(DividedRun run, double zero) {
        return (int) boundaries(run.division()).stream()
                .skip(1)
                .limit(run.division().cells().size() - 1)
                .filter(b -> TapeScale.SIXTEENTHS.read(b - zero).lean() == TapeReading.Lean.ON)
                .count();
    }

    // --- the best of each school, by brute force -----------------------------------------------------------------

    /** Every count of half steps in the documented range, both ways; the best that is listed is the best there is. */
    @Property(tries = 25)
    void theBestHalfStepsAreTheBestOfAll(
            @ForAll @DoubleRange(min = 30, max = 90) double across,
            @ForAll @DoubleRange(min = 30, max = 90) double down,
            @ForAll @DoubleRange(min = 4, max = 7) double wanted) {
        Wish wish = Wish.about(wanted).with(Wish.SCHOOL, Optional.of(SchoolKind.HALF_STEPS));
        CandidateFinder finder = new CandidateFinder(ring(sides(across, down, 0.25), 5, wish, OptionalDouble.empty()));
        double best = Double.MAX_VALUE;
        for (int a = 1; a <= 60; a++) {
            for (int d = 1; d <= 60; d++) {
                double wide = Math.max(across / a, (down + 0.25) / d);
                double narrow = Math.min((across - 0.25) / a, down / d);
                if (narrow > 0.63 * wanted && wide < 1.45 * wanted && wide < 7.9) {
                    best = Math.min(
                            best,
                            finder.judge(all(new HalfSteps(a), new HalfSteps(d)))
                                    .orElseThrow()
                                    .penalty());
                }
            }
        }
        assertThat(finder.best().penalty()).isLessThanOrEqualTo(best + 1e-9);
    }

    private static Map<RunId, School> all(School across, School down) {
        return new TreeMap<>(Map.of(
                RunId.of(Side.TOP), across,
                RunId.of(Side.BOTTOM), across,
                RunId.of(Side.RIGHT), down,
                RunId.of(Side.LEFT), down));
    }

    /** All fixed-repeat ways with one repeat or pair fewer, by brute force. */
    @ParameterizedTest
    @CsvSource({"71.625, 86.375, 6", "60, 80, 7", "45.5, 45.5, 5.25", "100.25, 77, 7.5"})
    void theBestFixedWaysAreTheBestOfAll(double across, double down, double wanted) {
        RunSet set = ring(new double[] {across, down, across, down}, 6, Wish.about(wanted), OptionalDouble.empty());
        CandidateFinder finder = new CandidateFinder(set);
        for (EndUse use : List.of(EndUse.CORNER, EndUse.SHORT_ARC)) {
            double best = Double.MAX_VALUE;
            for (int a = (int) (across / wanted); a >= (int) (across / wanted) - 1; a--) {
                for (int d = (int) (down / wanted); d >= (int) (down / wanted) - 1; d--) {
                    best = Math.min(
                            best,
                            finder.judge(all(new CentreOut(wanted, a, use), new CentreOut(wanted, d, use)))
                                    .orElseThrow()
                                    .penalty());
                }
            }
            double found = finder.find(Map.of()).stream()
                    .filter(c ->
                            c.runs().stream().allMatch(r -> r.school() instanceof CentreOut out && out.ends() == use))
                    .mapToDouble(Candidate::penalty)
                    .min()
                    .orElse(Double.MAX_VALUE);
            assertThat(found).isLessThanOrEqualTo(best + 1e-9);
        }
    }

    // --- wishes --------------------------------------------------------------------------------------------------

    @Property(tries = 80)
    void wishesAreFulfilledOrTheRangeThatCanIsTold(
            @ForAll @DoubleRange(min = 30, max = 100) double across,
            @ForAll @DoubleRange(min = 30, max = 100) double down,
            @ForAll Wish.Parity parity,
            @ForAll @DoubleRange(min = 3, max = 7) double shortest,
            @ForAll @DoubleRange(min = 0, max = 1.5) double more) {
        double longest = Math.min(7.5, shortest + more);
        Wish wish = Wish.about((shortest + longest) / 2)
                .with(Wish.PARITY, parity)
                .withRange(OptionalDouble.of(shortest), OptionalDouble.of(Math.max(shortest, longest)))
                .with(Wish.SCHOOL, Optional.of(SchoolKind.EVEN));
        double[] lengths = {across, down, across, down};
        CandidateFinder finder = new CandidateFinder(ring(lengths, 5, wish, OptionalDouble.empty()));
        Optional<double[]> range = finder.rangeWithSolution();
        boolean solvable = Stream.of(across, down).allMatch(length -> hasCount(length, wish));
        assertThat(range.isEmpty()).isEqualTo(solvable);
        if (solvable) {
            for (Candidate candidate : finder.find(Map.of())) {
                for (DividedRun run : candidate.runs()) {
                    assertThat(parity.welcomes(run.division().count())).isTrue();
                    assertThat(run.division().repeat()).isBetween(shortest - 1e-9, longest + 1e-9);
                }
            }
        } else {
            // What is told really does it.
            Wish wider = wish.withRange(OptionalDouble.of(range.get()[0]), OptionalDouble.of(range.get()[1]));
            CandidateFinder again = new CandidateFinder(ring(lengths, 5, wider, OptionalDouble.empty()));
            assertThat(again.rangeWithSolution()).isEmpty();
            assertThat(again.best().runs())
                    .allMatch(r -> parity.welcomes(r.division().count()));
            assertThat(finder.find(Map.of()))
                    .as("the nearest is shown all the same")
                    .isNotEmpty();
        }
    }

    private static boolean hasCount(double length, Wish wish) {
        for (int n = 1; n <= 400; n++) {
            double p = length / n;
            boolean in = p >= wish.shortest().getAsDouble() - 1e-9
                    && p <= wish.longest().getAsDouble() + 1e-9;
            if (in && p <= 8 && wish.parity().welcomes(n)) {
                return true;
            }
        }
        return false;
    }

    @Test
    void wantedCountsAreKeptTo() {
        Wish wish = Wish.about(6).with(Wish.ACROSS, OptionalInt.of(11)).with(Wish.DOWN, OptionalInt.of(15));
        CandidateFinder finder =
                new CandidateFinder(ring(new double[] {60, 80, 60, 80}, 5, wish, OptionalDouble.empty()));
        assertThat(finder.best().counts()).contains(new Counts(11, 15));
        assertThat(finder.find(Map.of()).stream().filter(c -> c.kind().equals(Optional.of(SchoolKind.EVEN))))
                .hasSize(1);
        assertThat(finder.rangeWithSolution()).isEmpty();
    }

    // Pieced units of 4 1/2 on 63 and 81: 14 and 18 of them; repeats of one unit, or of 3/2, come out on both.
    @Test
    void piecedSeamsServeAsMarks() {
        RunSet set = ring(new double[] {63, 81, 63, 81}, 6, Wish.about(6.75), OptionalDouble.of(4.5));
        Candidate pieced = new CandidateFinder(set)
                .find(Map.of()).stream()
                        .filter(c -> c.kind().equals(Optional.of(SchoolKind.BY_PIECING)))
                        .findFirst()
                        .orElseThrow();
        for (DividedRun run : pieced.runs()) {
            assertThat(run.division().repeat() / 4.5 * 4 % 1)
                    .as("a simple part of the unit")
                    .isCloseTo(0, within(1e-9));
        }
        assertThat(pieced.reasons()).anyMatch(Reason.SeamsMark.class::isInstance);
    }

    // --- ties ----------------------------------------------------------------------------------------------------

    @ParameterizedTest
    @EnumSource(Tie.Ratio.class)
    void tiedBordersAreJudgedTogether(Tie.Ratio ratio) {
        RunSet inner = ring(
                new double[] {60, 80, 60, 80},
                5,
                Wish.about(6).with(Wish.SCHOOL, Optional.of(SchoolKind.EVEN)),
                OptionalDouble.empty());
        List<Run> outside = Stream.of(Side.values())
                .map(side -> new Run(
                        RunId.of(2, side), inner.runs().get(side.ordinal()).length() + 12, 5, 0))
                .toList();
        double wanted = ratio == Tie.Ratio.DOUBLE ? 3.5 : ratio == Tie.Ratio.HALF ? 7.5 : 7;
        RunSet outer = new RunSet(
                outside,
                HILL,
                List.of(),
                Machine.usual(),
                TapeScale.SIXTEENTHS,
                Wish.about(wanted),
                Judging.usual(),
                OptionalDouble.empty());
        Tie tie = new Tie(2, 1, ratio);
        CandidateFinder second = new CandidateFinder(outer);
        CandidateFinder both = new CandidateFinder(inner, List.of(new CandidateFinder.TiedSet(second, tie)));
        CandidateFinder alone = new CandidateFinder(inner);
        double best = Double.MAX_VALUE;
        for (int a = 1; a <= 30; a++) {
            for (int d = 1; d <= 30; d++) {
                boolean in = 60.0 / a > 3.7 && 60.0 / a < 8 && 80.0 / d > 3.7 && 80.0 / d < 8;
                if (in && ratio.follows(a) && ratio.follows(d)) {
                    Map<RunId, School> schools = all(new Even(a), new Even(d));
                    double sum = alone.judge(schools).orElseThrow().penalty()
                            + second.judge(tie.follow(schools).orElseThrow())
                                    .orElseThrow()
                                    .penalty();
                    best = Math.min(best, sum);
                }
            }
        }
        assertThat(both.best().penalty()).isCloseTo(best, within(1e-9));
        Map<RunId, School> followed = tie.follow(both.best().schools()).orElseThrow();
        int times = ratio == Tie.Ratio.DOUBLE ? 2 : 1;
        int over = ratio == Tie.Ratio.HALF ? 2 : 1;
        for (Side side : Side.values()) {
            assertThat(((Even) followed.get(RunId.of(2, side))).count() * over)
                    .isEqualTo(both.best().count(RunId.of(side)) * times);
        }
        assertThat(tie.follow(all(new CornersIn(6, 4), new CornersIn(6, 5)))).isEmpty();
        assertThat(new Tie(2, 1, Tie.Ratio.HALF).follow(all(new Even(9), new Even(10))))
                .isEmpty();
    }

    // --- from one way to the next --------------------------------------------------------------------------------

    @Property(tries = 60)
    void steppingKeepsTheSchoolAndChangesTheCount(
            @ForAll @DoubleRange(min = 40, max = 100) double across,
            @ForAll @DoubleRange(min = 40, max = 100) double down,
            @ForAll @IntRange(min = -2, max = 2) int by) {
        RunSet set = ring(new double[] {across, down, across, down}, 6, Wish.about(6), OptionalDouble.of(3));
        CandidateFinder finder = new CandidateFinder(set);
        for (Candidate candidate : finder.find(Map.of())) {
            RunId top = RunId.of(Side.TOP);
            Optional<Candidate> next = by == 0 ? Optional.empty() : finder.step(candidate, top, by);
            next.ifPresent(n -> {
                assertThat(n.run(top).school().kind())
                        .isEqualTo(candidate.run(top).school().kind());
                assertThat(Integer.signum(n.count(top) - candidate.count(top))).isEqualTo(Integer.signum(by));
                assertThat(n.run(RunId.of(Side.BOTTOM)).school())
                        .isEqualTo(n.run(top).school());
            });
        }
    }

    // --- the middle and the corner -------------------------------------------------------------------------------

    @Test
    void whatCanStandInTheMiddleIsListedNearestFirst() {
        RunSet set = ring(new double[] {71.625, 86.375, 71.625, 86.375}, 6.75, Wish.about(6), OptionalDouble.empty());
        Run top = set.runs().get(0);
        DividedRun run = set.divide(top, new CornersIn(6, 5)).orElseThrow();
        List<ArcTemplate> edges = StarterShelf.templates().stream()
                .flatMap(t -> t.arcs().stream())
                .toList();
        List<MiddleOption> options = MiddleOption.of(set, run, edges);
        assertThat(options.stream().filter(o -> o.filling() instanceof Filling.LargerArc))
                .isNotEmpty()
                .allSatisfy(o -> {
                    // The arc spans the whole space: R from span and rise (chord and segment tables).
                    CircularSegment segment = o.figure().arc().orElseThrow().segment();
                    assertThat(segment.chord()).isCloseTo(11.625, within(1e-9));
                    double radius = (segment.chord() * segment.chord() / 4 + segment.height() * segment.height())
                            / (2 * segment.height());
                    assertThat(segment.radius()).isCloseTo(radius, within(1e-9));
                });
        List<Double> off = options.stream()
                .filter(o -> o.filling() instanceof Filling.LargerArc && o.overRoom() <= 0)
                .map(o -> Math.abs(o.off()))
                .toList();
        assertThat(off).isSorted();
        assertThat(options)
                .extracting(o -> o.filling().getClass().getSimpleName())
                .contains("TwoHalfArcs", "OwnMotif", "Plain");
        MiddleOption halves = options.stream()
                .filter(o -> o.filling() instanceof Filling.TwoHalfArcs)
                .findFirst()
                .orElseThrow();
        // √(4² − (5.8125 − 3)²) − (4 − 1.3542) = 0.198: just above the seam, in a dip.
        assertThat(halves.figure()).isInstanceOfSatisfying(Figure.HalvesMeeting.class, meeting -> {
            assertThat(meeting.height()).isCloseTo(0.1984, within(5e-4));
            assertThat(meeting.meeting()).isEqualTo(MiddleSpace.Meeting.DIP);
        });
    }

    // (k + d)² + k² = R² (mitre arc, derived): with R = 4, d = 2 it is k = (√28 − 2)/2; with d = R√2, k = −d/2.
    @ParameterizedTest
    @CsvSource({
        "2, 4, 6.75, 1.645751, true",
        "5.65685424949238, 4, 6.75, -2.828427, true",
        "0.001, 5, 6, 3.535034, false",
        "6, 4, 9, NaN, true"
    })
    void anArcAstrideTheMitreHasItsFeetOnTheSeams(
            double feet, double radius, double room, double centre, boolean clears) {
        Optional<CornerArc> arc = CornerArc.of(feet, radius, room);
        if (Double.isNaN(centre)) {
            assertThat(arc).isEmpty();
            return;
        }
        double k = arc.orElseThrow().centre();
        assertThat(k).isCloseTo(centre, within(1e-5));
        assertThat(Math.hypot(k + feet, k)).as("the foot lies on the circle").isCloseTo(radius, within(1e-9));
        // The crown stands on the mitre at k√2 + R; it clears where k + R stays within the room.
        assertThat(arc.get().overRoom()).isCloseTo(k + radius - room, within(1e-12));
        assertThat(arc.get().overRoom() <= 0).isEqualTo(clears);
    }

    /** The template's own repeat is the span of one of its rise lines: 2√(2Rh − h²). */
    @Property(tries = 50)
    void theTemplatesOwnRepeatNeedsNoTape(@ForAll @DoubleRange(min = 3, max = 7.5) double wanted) {
        RunSet set = ring(new double[] {60, 80, 60, 80}, 5, Wish.about(wanted), OptionalDouble.empty());
        set.ownRepeat().ifPresent(own -> {
            assertThat(Math.abs(own - wanted)).isLessThanOrEqualTo(0.25 * wanted);
            assertThat(HILL.riseLines())
                    .anySatisfy(line -> assertThat(2 * Math.sqrt(2 * 4 * line.label() - line.label() * line.label()))
                            .isCloseTo(own, within(1e-6)));
        });
    }

    /** Where cells meet, both ends of the run included. */
    private static List<Double> boundaries(RunDivision division) {
        return IntStream.rangeClosed(0, division.cells().size())
                .mapToObj(division::boundary)
                .toList();
    }
}
