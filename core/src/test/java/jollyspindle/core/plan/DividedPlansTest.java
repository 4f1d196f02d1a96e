package jollyspindle.core.plan;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.ByIncrements;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Laid;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.SizeLabel;
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
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Whole jobs, divided by every school. */
class DividedPlansTest {

    private static final GroupId INNER = GroupId.border(1);

    private static Quilt quilt(double top, double right, double bottom, double left, double depth) {
        double[] sides = {top, right, bottom, left};
        Quilt quilt = Quilt.unmeasured();
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), sides[side.ordinal()]).with(Dimension.depth(side), depth);
        }
        return quilt;
    }

    private static QuiltJob job(Quilt quilt) {
        return DemoJob.heronWeir().withQuilt(quilt);
    }

    private static QuiltJob wishing(QuiltJob job, UnaryOperator<Wish> change) {
        return job.editing(INNER, l -> l.with(change.apply(l.wish())));
    }

    /** Schools of every kind, with whole sixteenths for their lengths so that exact fractions can referee. */
    @Provide
    Arbitrary<School> schools() {
        Arbitrary<Double> repeat = Arbitraries.integers().between(32, 120).map(n -> n / 16.0);
        Arbitrary<Integer> count = Arbitraries.integers().between(1, 14);
        Arbitrary<Filling> filling = Arbitraries.of(
                new Filling.TwoHalfArcs(),
                new Filling.OwnMotif(),
                new Filling.Plain(),
                new Filling.LargerArc("mill-bridge", "bulging"),
                new Filling.LargerArc("lost", "bulging"));
        return Arbitraries.oneOf(
                count.map(Even::new),
                count.map(HalfSteps::new),
                repeat.flatMap(p -> count.flatMap(n -> filling.map(f -> (School) new CornersIn(p, n, f)))),
                repeat.flatMap(p ->
                        count.flatMap(n -> Arbitraries.of(EndUse.values()).map(e -> (School) new CentreOut(p, n, e)))),
                repeat.flatMap(p -> count.map(n -> (School) new Fudged(p, n, new Spread.RoundCentre(3)))),
                repeat.flatMap(p -> count.map(n -> (School) new Fudged(p, n, new Spread.All()))),
                repeat.map(p -> (School) new ByPiecing(p, 1, 1)),
                repeat.map(p -> (School) new ByIncrements(p, 1)),
                count.map(n -> (School) new ByHand(n + 4, Map.of(2, 9.0625, n + 2, 9.0625 + 3 * n))));
    }

    /**
     * Places against exact rational arithmetic (Commons Numbers), readings against the tape, lines against marks; and the
     * thread runs on wherever cells touch.
     */
    @Property(tries = 250)
    void everySchoolIsMarkedAndStitchedWhereItIsReckoned(
            @ForAll("schools") School across,
            @ForAll("schools") School down,
            @ForAll @IntRange(min = 320, max = 1600) int top,
            @ForAll @IntRange(min = 320, max = 1600) int left,
            @ForAll @IntRange(min = -12, max = 12) int off,
            @ForAll TapeScale tape) {
        Quilt quilt = quilt(top / 16.0, (left + off) / 16.0, (top - off) / 16.0, left / 16.0, 7);
        Map<RunId, School> schools = Map.of(
                RunId.of(Side.TOP), across,
                RunId.of(Side.BOTTOM), across,
                RunId.of(Side.RIGHT), down,
                RunId.of(Side.LEFT), down);
        WorkPlan plan = Planner.plan(job(quilt).withTape(tape).choosing(schools));
        assertThat(Planner.plan(plan.job())).isEqualTo(plan);
        for (RunPlan run : plan.runs()) {
            List<BigFraction> exact = exactly(
                    run.divided().school(),
                    run.division().length(),
                    run.division().cells().size());
            for (int k = 0; k < exact.size(); k++) {
                assertThat(run.division().boundary(k)).isCloseTo(exact.get(k).doubleValue(), within(1e-9));
            }
            for (Mark mark : run.laidOut().marks()) {
                assertThat(mark.readings().fromLeft().onTape()).isCloseTo(mark.along(), within(tape.tick() / 2 + 1e-9));
                assertThat(mark.readings().fromRight().onTape())
                        .isCloseTo(run.division().length() - mark.along(), within(tape.tick() / 2 + 1e-9));
                if (mark.kind() == Mark.Kind.VALLEY) {
                    assertThat(Math.abs(mark.readings().fromLeft().onTape()
                                    - exact.get(mark.number()).doubleValue()))
                            .isLessThanOrEqualTo(tape.tick() / 2 + 1e-9);
                }
            }
            stitched(run);
        }
        // Whatever couldn't be divided as chosen is told.
        for (RunId id : schools.keySet()) {
            double length = plan.shape().orElseThrow().run(id).length();
            boolean gone = schools.get(id).divide(length).isEmpty();
            assertThat(plan.findings().stream()
                            .anyMatch(f ->
                                    f instanceof Finding.ChoiceGone && f.run().equals(Optional.of(id))))
                    .isEqualTo(gone);
        }
    }

    private static void stitched(RunPlan run) {
        for (Placement placement : run.laidOut().placements()) {
            assertThat(Laid.arc(placement).start().distance(placement.start().place()))
                    .isLessThan(1e-3);
            assertThat(Laid.arc(placement).end().distance(placement.end().place()))
                    .isLessThan(1e-3);
        }
        int free = 0;
        for (int i = 1; i < Laid.arcs(run).size(); i++) {
            double gap = Laid.arcs(run)
                    .get(i - 1)
                    .end()
                    .distance(Laid.arcs(run).get(i).start());
            free += gap > 1e-6 ? 1 : 0;
        }
        long empty = run.divided().figures().stream()
                .filter(f -> f instanceof Figure.Empty && f.cell().kind() != Cell.Kind.END)
                .count();
        assertThat((long) free).as("the thread only breaks at a free space").isLessThanOrEqualTo(empty);
    }

    /** Where cells meet, in exact fractions of an inch. */
    private static List<BigFraction> exactly(School school, double length, int cells) {
        BigFraction whole = BigFraction.from(length);
        List<BigFraction> places = new ArrayList<>();
        for (int k = 0; k <= cells; k++) {
            places.add(exactly(school, whole, k, cells));
        }
        return places;
    }

    private static BigFraction exactly(School school, BigFraction length, int k, int cells) {
        BigFraction half = length.divide(2);
        if (school instanceof CornersIn in) {
            BigFraction p = BigFraction.from(in.repeat());
            return k <= in.each() ? p.multiply(k) : length.subtract(p.multiply(cells - k));
        }
        if (school instanceof CentreOut out) {
            if (k == 0 || k == cells) {
                return k == 0 ? BigFraction.ZERO : length;
            }
            boolean ends = cells > out.count();
            int from = ends ? k - 1 : k;
            return half.add(BigFraction.from(out.repeat()).multiply(BigFraction.of(2 * from - out.count(), 2)));
        }
        if (school instanceof HalfSteps steps) {
            return k == 0
                    ? BigFraction.ZERO
                    : k == cells ? length : length.multiply(BigFraction.of(2 * k - 1, 2 * steps.count()));
        }
        if (school instanceof Fudged fudged) {
            BigFraction p = BigFraction.from(fudged.repeat());
            BigFraction left = length.subtract(p.multiply(fudged.count()));
            int taking = fudged.count();
            if (fudged.spread() instanceof Spread.RoundCentre round) {
                taking = Math.min(round.repeats(), fudged.count() - 2);
                taking -= (fudged.count() - taking) % 2;
            }
            int before = (fudged.count() - taking) / 2;
            int taken = Math.max(0, Math.min(taking, k - before));
            return p.multiply(k).add(left.multiply(BigFraction.of(taken, taking)));
        }
        if (school instanceof ByIncrements steps) {
            BigFraction p = BigFraction.from(steps.step()).multiply(steps.steps());
            int order = Integer.compare(2 * k, cells);
            return order == 0 ? half : order < 0 ? p.multiply(k) : length.subtract(p.multiply(cells - k));
        }
        if (school instanceof ByHand hand) {
            TreeMap<Integer, BigFraction> pins = new TreeMap<>();
            hand.pins().forEach((valley, along) -> pins.put(valley, BigFraction.from(along)));
            pins.put(0, BigFraction.ZERO);
            pins.put(cells, length);
            var before = pins.floorEntry(k);
            var after = pins.ceilingEntry(k);
            return before.getKey().equals(after.getKey())
                    ? before.getValue()
                    : before.getValue()
                            .add(after.getValue()
                                    .subtract(before.getValue())
                                    .multiply(BigFraction.of(k - before.getKey(), after.getKey() - before.getKey())));
        }
        return length.multiply(BigFraction.of(k, cells));
    }

    /** A quilt seen in a mirror has its marks mirrored: each run's from its other end. */
    @Property(tries = 60)
    void aMirroredJobHasItsMarksMirrored(
            @ForAll("schools") School across,
            @ForAll("schools") School down,
            @ForAll @DoubleRange(min = 30, max = 100) double top,
            @ForAll @DoubleRange(min = 30, max = 100) double left,
            @ForAll @DoubleRange(min = -1, max = 1) double off) {
        Map<RunId, School> schools = Map.of(
                RunId.of(Side.TOP), mirrored(across, top),
                RunId.of(Side.BOTTOM), mirrored(across, top + off),
                RunId.of(Side.RIGHT), mirrored(down, left - off),
                RunId.of(Side.LEFT), mirrored(down, left));
        WorkPlan plan = Planner.plan(job(quilt(top, left - off, top + off, left, 7))
                .choosing(Map.of(
                        RunId.of(Side.TOP), across,
                        RunId.of(Side.BOTTOM), across,
                        RunId.of(Side.RIGHT), down,
                        RunId.of(Side.LEFT), down)));
        // Right and left change places.
        WorkPlan mirror = Planner.plan(job(quilt(top, left, top + off, left - off, 7))
                .choosing(Map.of(
                        RunId.of(Side.TOP), schools.get(RunId.of(Side.TOP)),
                        RunId.of(Side.BOTTOM), schools.get(RunId.of(Side.BOTTOM)),
                        RunId.of(Side.RIGHT), schools.get(RunId.of(Side.LEFT)),
                        RunId.of(Side.LEFT), schools.get(RunId.of(Side.RIGHT)))));
        for (RunPlan run : plan.runs()) {
            Side side = run.id().side().orElseThrow();
            Side there = side.isAcross() ? side : side.opposite();
            RunPlan other = mirror.run(there).orElseThrow();
            if (!run.divided().school().kind().equals(other.divided().school().kind())) {
                // Where nothing comes out as chosen both follow the best, which is looked at elsewhere.
                continue;
            }
            List<Double> places = valleys(run);
            List<Double> seen = valleys(other).stream()
                    .map(p -> run.division().length() - p)
                    .sorted()
                    .toList();
            assertThat(seen).hasSameSizeAs(places);
            for (int i = 0; i < places.size(); i++) {
                assertThat(seen.get(i)).isCloseTo(places.get(i), within(1e-9));
            }
            Point mark = Laid.arcs(run).get(0).at(0.25);
            assertThat(Laid.arcs(other).stream().flatMap(l -> Stream.of(l.at(0.75), l.at(0.25))))
                    .anySatisfy(p -> assertThat(p.distance(new Point(-mark.x(), mark.y())))
                            .isLessThan(1e-6));
        }
    }

    private static List<Double> valleys(RunPlan run) {
        return run.laidOut().marks().stream()
                .filter(m -> m.kind() == Mark.Kind.VALLEY)
                .map(Mark::along)
                .toList();
    }

    /** Only what is done by hand or chosen by number isn't its own mirror image. */
    private static School mirrored(School school, double length) {
        if (school instanceof ByHand hand) {
            Map<Integer, Double> pins = new TreeMap<>();
            hand.pins().forEach((valley, along) -> pins.put(hand.count() - valley, length - along));
            return new ByHand(hand.count(), pins);
        }
        return school;
    }

    /** A job 2.54 times as large has the same plan in larger numbers. */
    @Property(tries = 40)
    void scalingAJobChangesNothingButTheNumbers(
            @ForAll @DoubleRange(min = 20, max = 75) double top,
            @ForAll @DoubleRange(min = 20, max = 75) double left,
            @ForAll @DoubleRange(min = 3, max = 7) double wanted) {
        double k = 2.54;
        var hill = StarterShelf.template("orchard-hill")
                .withLabel(SizeLabel.RADIUS_AS_CUT)
                .withLines(List.of());
        QuiltJob one = job(quilt(top, left, top, left, 7))
                .withMachine(new Machine(0.19))
                .withTemplates(List.of(hill));
        QuiltJob two = job(quilt(top * k, left * k, top * k, left * k, 7 * k).with(Dimension.RESERVE, 0.5 * k))
                .withMachine(new Machine(0.19 * k))
                .withTemplates(List.of(
                        hill.withForm(hill.form().withMainSize(hill.form().mainSize() * k))));
        for (SchoolKind kind : List.of(SchoolKind.EVEN, SchoolKind.HALF_STEPS)) {
            // Readings fall on other ticks, and tolerances are in inches: neither may decide here.
            QuiltJob small = wishing(one, w -> w.withRepeat(wanted).with(Wish.SCHOOL, Optional.of(kind)))
                    .with(lenient(1));
            QuiltJob large = wishing(two, w -> w.withRepeat(wanted * k).with(Wish.SCHOOL, Optional.of(kind)))
                    .with(lenient(k));
            WorkPlan a = Planner.plan(small);
            WorkPlan b = Planner.plan(large);
            assertThat(b.runs()).hasSameSizeAs(a.runs());
            for (int i = 0; i < a.runs().size(); i++) {
                List<Arc> lines = Laid.arcs(a.runs().get(i));
                List<Arc> larger = Laid.arcs(b.runs().get(i));
                assertThat(larger).hasSameSizeAs(lines);
                for (int n = 0; n < lines.size(); n++) {
                    assertThat(larger.get(n)
                                    .at(0.3)
                                    .distance(lines.get(n).at(0.3).times(k)))
                            .isLessThan(1e-6);
                }
            }
        }
    }

    private static jollyspindle.core.division.Judging lenient(double k) {
        return new jollyspindle.core.division.Judging(
                0.125 * Math.min(k, 2),
                0.125 * Math.min(k, 2),
                0.125,
                0.005,
                8,
                false,
                1 / k,
                4 / k,
                0,
                1 / k,
                8 / k,
                0,
                0,
                0);
    }

    @ParameterizedTest
    @CsvSource({"6.5, 6, 1", "1.25, 6, 1", "199, 0.6, 400", "199, 8, 25", "0.75, 0.5, 2"})
    void singleRepeatsVeryShortAndVeryLongRunsComeOut(double length, double wanted, int about) {
        Quilt quilt = quilt(length, length, length, length, Math.min(7, length));
        quilt = quilt.with(Dimension.RESERVE, 0).with(Dimension.DEPTH_TOP, Math.min(7, length));
        WorkPlan plan = Planner.plan(wishing(job(quilt), w -> w.withRepeat(wanted)));
        assertThat(plan.runs()).hasSize(4);
        for (RunPlan run : plan.runs()) {
            assertThat(run.division().cells().stream().mapToDouble(Cell::width).sum())
                    .isCloseTo(length, within(1e-9));
            assertThat(run.division().count()).isBetween(1, Math.max(2, 2 * about));
            stitched(run);
        }
    }

    // --- borders, strips, ties -----------------------------------------------------------------------------------

    private static QuiltJob three() {
        Quilt quilt = DemoJob.heronWeir().quilt();
        quilt = quilt.withBorderOutside(Border.USUAL.withPlain(true))
                .withBorderOutside(Border.USUAL.with(Corners.CORNERSTONES));
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.depth(2, side), 1.5).with(Dimension.depth(3, side), 6);
        }
        Strip strip = new Strip("Sash", Strip.Kind.SASHING, new Point(-30, 0), 0, 60, 2, OptionalDouble.empty());
        return DemoJob.heronWeir().withQuilt(quilt.withStrips(List.of(strip)));
    }

    @Test
    void bordersAndStripsAreEachPlanned() {
        WorkPlan plan = Planner.plan(three());
        assertThat(plan.groups()).extracting(g -> g.id().code()).containsExactly("border-1", "border-3", "strip-1");
        assertThat(plan.runs()).hasSize(9);
        RunPlan outer = plan.run(RunId.of(3, Side.TOP)).orElseThrow();
        // 71 5/8 and twice what lies between: 7 1/4 and 1 1/2. The figure leans a little.
        assertThat(outer.division().length()).isCloseTo(71.625 + 2 * 8.75, within(0.05));
        assertThat(outer.frame().reserve()).isEqualTo(0.5);
        assertThat(plan.run(Side.TOP).orElseThrow().frame().reserve())
                .as("inside, the next seam is the limit")
                .isZero();
        RunPlan sash = plan.run(RunId.strip(1)).orElseThrow();
        assertThat(sash.division().length()).isEqualTo(60);
        assertThat(sash.laidOut().marks())
                .allSatisfy(m -> assertThat(m.id().code()).startsWith("strip-1-"));
        assertThat(plan.runs().stream()
                        .flatMap(r -> r.laidOut().marks().stream())
                        .map(Mark::id))
                .doesNotHaveDuplicates();
        assertThat(plan.runs().stream()
                        .flatMap(r -> r.laidOut().placements().stream())
                        .map(Placement::id))
                .doesNotHaveDuplicates();
    }

    @Test
    void aQuiltWithoutBordersHasItsStripsPlanned() {
        QuiltJob job = three().withoutBorder(3).withoutBorder(2).withoutBorder(1);
        WorkPlan bare = Planner.plan(job);
        assertThat(bare.runs()).isEmpty();
        assertThat(bare.findings()).extracting(Finding::code).containsExactly("no-template");
        assertThat(bare.shape().orElseThrow().outer())
                .isEqualTo(bare.shape().orElseThrow().body().corners());
        GroupId strip = GroupId.strip(1);
        WorkPlan plan = Planner.plan(job.editing(strip, l -> l.withTemplate("orchard-hill", Optional.empty())));
        assertThat(plan.runs()).singleElement().satisfies(r -> {
            assertThat(r.id()).isEqualTo(RunId.strip(1));
            assertThat(r.division().length()).isEqualTo(60);
        });
    }

    @Test
    void aTiedBorderFollows() {
        QuiltJob tied = three().editing(GroupId.border(3), l -> l.with(Optional.of(new Tie(3, 1, Tie.Ratio.SAME))));
        WorkPlan plan = Planner.plan(tied);
        for (Side side : Side.values()) {
            assertThat(plan.run(RunId.of(3, side)).orElseThrow().division().count())
                    .isEqualTo(plan.run(side).orElseThrow().division().count());
        }
        // Valleys line up: they stand at the same parts of their runs.
        assertThat(plan.run(RunId.of(3, Side.TOP)).orElseThrow().division().boundary(3)
                        / plan.run(RunId.of(3, Side.TOP))
                                .orElseThrow()
                                .division()
                                .length())
                .isCloseTo(3.0 / plan.run(Side.TOP).orElseThrow().division().count(), within(1e-12));
        WorkPlan broken = Planner.plan(tied.choosing(Map.of(RunId.of(Side.TOP), new CornersIn(7, 4))));
        assertThat(broken.findings()).anyMatch(Finding.TieBroken.class::isInstance);
        assertThat(broken.runs()).as("it is planned by itself").hasSize(9);
        QuiltJob without = tied.withoutBorder(1);
        assertThat(without.layout(GroupId.border(2)).tie())
                .as("the border it followed has gone")
                .isEmpty();
        assertThat(Planner.plan(without).runs()).hasSize(5);
    }

    @Test
    void whatWasChosenMovesInWithItsBorder() {
        QuiltJob job = three().choosing(Map.of(RunId.of(3, Side.LEFT), new HalfSteps(13)));
        QuiltJob fewer = job.withoutBorder(2);
        assertThat(fewer.layout(GroupId.border(2)).chosen()).containsOnlyKeys(RunId.of(2, Side.LEFT));
        assertThat(Planner.plan(fewer)
                        .run(RunId.of(2, Side.LEFT))
                        .orElseThrow()
                        .division()
                        .count())
                .isEqualTo(13);
        QuiltJob two = job.withQuilt(job.quilt()
                        .withStrips(List.of(
                                job.quilt().strips().get(0),
                                Strip.PARAMS.with(job.quilt().strips().get(0), Strip.NAME, "Other"))))
                .choosing(Map.of(RunId.strip(2), new Even(10)));
        assertThat(two.withoutStrip(GroupId.strip(1)).layout(GroupId.strip(2)).chosen())
                .containsOnlyKeys(RunId.strip(2));
        assertThat(Planner.plan(two.withoutStrip(GroupId.strip(1)))
                        .run(RunId.strip(2))
                        .orElseThrow()
                        .division()
                        .count())
                .isEqualTo(10);
    }

    @Test
    void pieceSeamsStandInForMarks() {
        Quilt quilt = quilt(54, 81, 54, 81, 6);
        QuiltJob job = job(quilt.withBorder(1, quilt.border(1).withUnit(OptionalDouble.of(4.5))));
        WorkPlan plan = Planner.plan(job.choosing(Map.of(RunId.of(Side.TOP), new ByPiecing(4.5, 3, 2))));
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        // Repeats of 6 3/4: every second valley on a seam of the units.
        List<Mark> valleys = top.laidOut().marks().stream()
                .filter(m -> m.kind() == Mark.Kind.VALLEY)
                .toList();
        for (Mark valley : valleys) {
            boolean onSeam = Math.abs(valley.along() / 4.5 - Math.rint(valley.along() / 4.5)) < 1e-9;
            assertThat(valley.by()).as(valley.id().code()).isEqualTo(onSeam ? Mark.MarkedBy.SEAM : Mark.MarkedBy.CHALK);
        }
        assertThat(valleys.stream().filter(m -> m.by() == Mark.MarkedBy.SEAM)).hasSize(5);
    }

    // --- measuring again -----------------------------------------------------------------------------------------

    @Test
    void aMeasurementThatChangesKeepsTheChoiceAndTellsWhatMoved() {
        QuiltJob chosen = DemoJob.heronWeir().withCounts(new Counts(10, 12));
        WorkPlan before = Planner.plan(chosen);
        WorkPlan after = Planner.plan(chosen.withQuilt(chosen.quilt().with(Dimension.BODY_TOP, 72)));
        Moves moves = Moves.between(before, after);
        // The other runs may shift in the quilt's frame, but not along themselves.
        assertThat(moves.runs()).singleElement().satisfies(move -> {
            assertThat(move.run()).isEqualTo(RunId.of(Side.TOP));
            assertThat(move.kept()).isTrue();
            assertThat(move.count()).isEqualTo(10);
            assertThat(move.farthest()).as("the far corner").isCloseTo(0.375, within(1e-9));
            assertThat(move.repeat() - move.repeatBefore()).isCloseTo(0.375 / 10, within(1e-9));
        });
        assertThat(Moves.between(before, before).isNothing()).isTrue();
        // A choice that no longer comes out is told, and the best is followed.
        QuiltJob fixed = chosen.choosing(Map.of(RunId.of(Side.TOP), new CornersIn(7, 5)));
        WorkPlan shorter = Planner.plan(fixed.withQuilt(fixed.quilt().with(Dimension.BODY_TOP, 69.5)));
        assertThat(shorter.findings()).anyMatch(Finding.ChoiceGone.class::isInstance);
        assertThat(Moves.between(Planner.plan(fixed), shorter).runs()).anyMatch(m -> !m.kept());
    }

    @ParameterizedTest
    @EnumSource(Easing.class)
    void easedSidesArePlannedAtWhatTheyAreEasedTo(Easing easing) {
        QuiltJob demo = DemoJob.heronWeir();
        WorkPlan plan = Planner.plan(demo.withQuilt(demo.quilt().with(new Quilt.Easings(easing, easing))));
        double top = plan.run(Side.TOP).orElseThrow().division().length();
        double bottom = plan.run(Side.BOTTOM).orElseThrow().division().length();
        assertThat(top == bottom).isEqualTo(easing != Easing.AS_MEASURED);
        assertThat(top).isBetween(71.625, 71.75);
        assertThat(plan.job().quilt().length(Dimension.BODY_TOP)).isEqualTo(71.625);
    }

    /** Planning again with what is remembered gives just what planning anew gives. */
    @Property(tries = 20)
    void whatIsRememberedChangesNothing(@ForAll("schools") School first, @ForAll("schools") School second) {
        Planner planner = new Planner();
        QuiltJob job = three();
        for (QuiltJob next : List.of(
                job,
                job.choosing(Map.of(RunId.of(Side.TOP), first)),
                job.choosing(Map.of(RunId.of(3, Side.LEFT), second)),
                job.withQuilt(job.quilt().with(Dimension.BODY_LEFT, 86)),
                job.withTape(TapeScale.EIGHTHS),
                job)) {
            assertThat(planner.planAgain(next)).isEqualTo(Planner.plan(next));
        }
    }

    /** Neither does what was laid out before: motifs, corners, the foot and templates that change are laid out anew. */
    @Test
    void whatWasLaidOutChangesNothing() {
        Planner planner = new Planner();
        for (QuiltJob ring : DemoRings.all().values()) {
            GroupId group = GroupId.border(1);
            List<Template> without = new ArrayList<>(ring.templates());
            without.remove(without.size() - 1);
            for (QuiltJob next : List.of(
                    ring,
                    ring.withMachine(new Machine(0.26)),
                    ring.withTemplates(without),
                    ring.withQuilt(ring.quilt().with(Dimension.depth(1, Side.TOP), 9)),
                    ring.editing(group, l -> l.with(l.design().withCorner(CornerDesign.of(CornerDesign.Kind.PLAIN)))),
                    ring.editing(group, l -> l.with(l.wish().withRepeat(5))),
                    ring)) {
                assertThat(planner.planAgain(next)).isEqualTo(Planner.plan(next));
            }
        }
    }

    /** What a region takes of a shelf is what its part of the whole plan is stitched with. */
    @Test
    void whatARegionTakesIsKnownWithoutTheRest() {
        for (QuiltJob ring : DemoRings.all().values()) {
            QuiltJob offered = ring.offering(StarterShelf.templates());
            WorkPlan plan = Planner.plan(offered);
            GroupId group = GroupId.border(1);
            assertThat(new Planner().templatesFor(offered, Set.of(RunId.of(Side.LEFT))))
                    .isNotEmpty()
                    .containsExactlyInAnyOrderElementsOf(plan.placements(group).stream()
                            .map(p -> p.tool().templateId())
                            .collect(Collectors.toSet()));
        }
        QuiltJob tied = three().editing(GroupId.border(3), l -> l.with(Optional.of(new Tie(3, 1, Tie.Ratio.SAME))));
        assertThat(new Planner().templatesFor(tied, Set.of(RunId.of(3, Side.TOP), new AreaId(9))))
                .isEqualTo(Planner.plan(tied).placements(GroupId.border(3)).stream()
                        .map(p -> p.tool().templateId())
                        .collect(Collectors.toSet()));
        assertThat(new Planner().templatesFor(DemoJob.heronWeir().withQuilt(Quilt.unmeasured()), Set.of(new AreaId(1))))
                .isEmpty();
    }

    // --- findings ------------------------------------------------------------------------------------------------

    static Stream<Arguments> troubles() {
        QuiltJob demo = DemoJob.heronWeir().withCounts(new Counts(10, 12));
        RunId top = RunId.of(Side.TOP);
        return Stream.of(
                Arguments.of("repeat-too-wide", demo.withCounts(new Counts(8, 12))),
                Arguments.of("into-reserve", demo.withQuilt(demo.quilt().with(Dimension.DEPTH_TOP, 2.5))),
                Arguments.of("counts-differ", demo.choosing(Map.of(top, new Even(11)))),
                Arguments.of("stretch-seen", demo.choosing(Map.of(top, new Fudged(7, 10, new Spread.RoundCentre(2))))),
                Arguments.of("stretch-seen", demo.withCounts(new Counts(10, 13))),
                Arguments.of(
                        "odd-at-corner",
                        demo.choosing(Map.of(
                                top,
                                new CentreOut(7, 9, EndUse.SHORT_ARC),
                                RunId.of(Side.BOTTOM),
                                new CentreOut(7, 9, EndUse.SHORT_ARC)))),
                Arguments.of("odd-at-corner", demo.choosing(Map.of(top, new ByHand(10, Map.of(1, 6.0, 9, 64.5))))),
                Arguments.of("space-empty", demo.choosing(Map.of(top, new CornersIn(7, 4)))),
                Arguments.of("space-empty", demo.choosing(Map.of(top, new CornersIn(4, 5, new Filling.TwoHalfArcs())))),
                Arguments.of(
                        "space-empty",
                        demo.choosing(Map.of(top, new CornersIn(7, 4, new Filling.LargerArc("lost", "bulging"))))),
                Arguments.of("space-empty", demo.choosing(Map.of(top, new CentreOut(7, 9)))),
                Arguments.of("choice-gone", demo.choosing(Map.of(top, new CornersIn(7, 6)))),
                Arguments.of("no-solution", wishing(demo, w -> w.with(Wish.PARITY, Wish.Parity.ODD)
                        .withRange(OptionalDouble.of(7.1), OptionalDouble.of(7.25)))),
                Arguments.of(
                        "opposite-sides-differ", demo.withQuilt(demo.quilt().with(Dimension.BODY_RIGHT, 87))),
                Arguments.of(
                        "tie-broken",
                        three().editing(GroupId.border(3), l -> l.with(Optional.of(new Tie(3, 1, Tie.Ratio.HALF))))
                                .withCounts(new Counts(9, 11))));
    }

    /** Each is told with its place, and its remedy really removes it. */
    @ParameterizedTest
    @MethodSource("troubles")
    void findingsAreToldAndTheirRemediesRemedy(String code, QuiltJob job) {
        WorkPlan plan = Planner.plan(job);
        Finding finding = plan.findings().stream()
                .filter(f -> f.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError(code + " isn't told, but " + plan.findings()));
        assertThat(finding.run()).isPresent();
        Remedy remedy = finding.remedy().orElseThrow();
        WorkPlan mended = Planner.plan(carriedOut(remedy, job));
        assertThat(mended.findings())
                .as("after %s", remedy)
                .noneMatch(f -> f.code().equals(code) && f.run().equals(finding.run()) && !isEased(f));
    }

    /** Sides that are eased still measure differently, which stays worth a word. */
    private static boolean isEased(Finding finding) {
        return finding instanceof Finding.OppositeSidesDiffer differ && differ.eased();
    }

    private static QuiltJob carriedOut(Remedy remedy, QuiltJob job) {
        if (remedy instanceof Remedy.Divide divide) {
            return job.choosing(divide.schools());
        }
        if (remedy instanceof Remedy.FollowBest follow) {
            return job.editing(follow.group(), RunLayout::choosingNone);
        }
        if (remedy instanceof Remedy.AllowRange range) {
            return job.editing(
                    range.group(),
                    l -> l.with(l.wish()
                            .withRange(OptionalDouble.of(range.shortest()), OptionalDouble.of(range.longest()))));
        }
        if (remedy instanceof Remedy.Untie untie) {
            return job.editing(untie.group(), l -> l.with(Optional.empty()));
        }
        Remedy.Ease ease = (Remedy.Ease) remedy;
        return job.withQuilt(job.quilt().with(job.quilt().easing().with(ease.side(), ease.to())));
    }

    @Test
    void steppingIsToldWhereItWouldShow() {
        WorkPlan plan = Planner.plan(DemoJob.heronWeir());
        // 10 steps of 7 3/16 for 7.1625 end 1/4 long.
        assertThat(plan.findings())
                .filteredOn(Finding.SteppingEndsOff.class::isInstance)
                .singleElement()
                .satisfies(f -> assertThat(((Finding.SteppingEndsOff) f).ends()).isCloseTo(0.25, within(1e-9)));
        QuiltJob handy = DemoJob.heronWeir().withQuilt(quilt(70, 84, 70, 84, 7));
        assertThat(Planner.plan(handy).findings()).noneMatch(Finding.SteppingEndsOff.class::isInstance);
    }

    @Test
    void wantedCountsThatNothingSpansAreTold() {
        QuiltJob few = wishing(
                DemoJob.heronWeir(), w -> w.with(Wish.ACROSS, OptionalInt.of(4)).with(Wish.DOWN, OptionalInt.empty()));
        WorkPlan plan = Planner.plan(few);
        assertThat(plan.findings()).anyMatch(Finding.RepeatTooWide.class::isInstance);
        assertThat(plan.groups().get(0).candidates()).isNotEmpty();
    }
}
