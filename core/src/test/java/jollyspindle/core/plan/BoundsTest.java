package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaReckoning;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.school.ByPiecing;
import jollyspindle.core.division.school.CornersIn;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.effort.Effort;
import jollyspindle.core.effort.TooManyLinesException;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.BoxIndex;
import jollyspindle.core.geometry.Places;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.StraightEdge;
import jollyspindle.core.words.AreaWords;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

import java.awt.geom.Rectangle2D;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** Work stays within bounds, and what would go beyond them is told. */
class BoundsTest {

    /** Where circles only touch, the last digits go with a square root: half of them are rounding. */
    private static final double ROUNDED = 1e-6;

    private static QuiltJob blocks(int columns, int rows, double side, AreaMotif motif, Area... over) {
        List<Area> areas = new ArrayList<>(List.of(new Area.Blocks(columns, rows, side, side, 0)));
        areas.addAll(List.of(over));
        return DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .withQuilt(DemoJob.heronWeir().quilt().withAreas(areas))
                .with(new AreaId(1), AreaDesign.of(motif, Optional.empty()));
    }

    private static final Comparator<Placement> BY_LINE = Comparator.comparing((Placement p) -> p.of().kind())
            .thenComparingInt(p -> p.of().number())
            .thenComparingInt(p -> p.of().sub())
            .thenComparingInt(p -> p.of().id().section())
            .thenComparingInt(p -> p.id().part());

    /** A placement the way round that another is stitched, which lies so far away. */
    private static Placement wayOf(Placement here, Placement there, Point by) {
        boolean alike = here.path().start().minus(by).distance(there.path().start()) < ROUNDED;
        return alike ? there : there.reversed(there.of().reversed());
    }

    // One block laid out by itself in its place, by the same rules, is the referee for one that was moved there: only
    // what lies
    // on it makes the planner lay it out anew, so an appliqué far outside of its stitching is laid on its corner.
    @Test
    void blocksThatAreAlikeAreLaidOutOnceAndAreWhereTheyWouldBe() {
        for (AreaMotif motif : List.of(
                new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.75),
                new AreaMotif.Crosshatch(1.5, Math.PI / 4),
                new AreaMotif.Whirl(3, 0.5, 4),
                new AreaMotif.Clamshells(0),
                new AreaMotif.Peel(3, 3, java.util.OptionalDouble.empty()))) {
            AreaPlan all = Planner.plan(blocks(3, 2, 9, motif)).areas().get(0);
            AreaPlan one = Planner.plan(blocks(1, 1, 9, motif)).areas().get(0);
            assertThat(all.placements()).hasSize(6 * one.placements().size());
            assertThat(all.marks()).hasSize(6 * one.marks().size());
            assertThat(all.lines().stream().map(l -> l.id()).distinct())
                    .hasSize(all.lines().size());
            for (AreaPlan.Piece piece : all.pieces()) {
                Point by = piece.cloth().centre();
                PieceId cloth = new PieceId(all.id(), piece.number());
                List<Placement> own = all.placements().stream()
                        .filter(p -> p.id().line().piece().equals(cloth))
                        .sorted(BY_LINE)
                        .toList();
                // By itself it needn't be begun at a seam, so that its order may be another one.
                List<Placement> alone =
                        one.placements().stream().sorted(BY_LINE).toList();
                assertThat(own).hasSameSizeAs(alone);
                for (int i = 0; i < own.size(); i++) {
                    Placement here = own.get(i);
                    Placement there = wayOf(here, alone.get(i), by);
                    assertThat(here.of().id()).isEqualTo(there.of().id().on(cloth));
                    assertThat(here.pose()
                                    .position()
                                    .minus(by)
                                    .distance(there.pose().position()))
                            .isLessThan(ROUNDED);
                    assertThat(here.pose().rotation()).isCloseTo(there.pose().rotation(), within(ROUNDED));
                    assertThat(here.path()
                                    .start()
                                    .minus(by)
                                    .distance(there.path().start()))
                            .isLessThan(ROUNDED);
                    assertThat(here.start()
                                    .place()
                                    .minus(by)
                                    .distance(there.start().place()))
                            .isLessThan(ROUNDED);
                    assertThat(here.marks().map(m -> m.readings().toString()).toList())
                            .isEqualTo(there.marks()
                                    .map(m -> m.readings().toString())
                                    .toList());
                    here.marks().forEach(m -> assertThat(all.marks()).contains(m));
                }
            }
        }
    }

    @Test
    void whatWouldBeTooMuchIsToldAndTheRestIsPlanned() {
        // Reckoned as its first set; as many follow as have room, 5/8 at a time on sides of 9.
        WorkPlan plan = Planner.plan(blocks(50, 50, 9, new AreaMotif.Whirl(9, 1.0 / 16, 100)));
        assertThat(plan.areas().get(0).placements().size()).isLessThanOrEqualTo(Effort.MOST);
        assertThat(plan.areas().get(0).diagnosed().stream().map(AreaPlan.Diagnosed::what))
                .contains(new LayoutDiagnostic.TooFine(Effort.MOST));
        assertThat(plan.runs()).hasSize(4);
    }

    /** One design of each kind, in a block of 9. */
    private static final List<AreaMotif> MOTIFS = List.of(
            new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.75),
            new AreaMotif.Arms(12, AreaMotif.Way.OUT_AND_BACK, 0.75, true, 0, false),
            new AreaMotif.Arms(12, AreaMotif.Way.ALONG_EDGE, 0.75),
            new AreaMotif.Rings(1, OptionalDouble.of(0.5), 20, AreaMotif.Spokes.values()[0]),
            new AreaMotif.Rings(1, OptionalDouble.empty(), 3, AreaMotif.Spokes.values()[0]),
            new AreaMotif.Wreath(6, OptionalDouble.empty()),
            new AreaMotif.Petals(6, 0.5, 4),
            new AreaMotif.Points(8, 2, 4),
            new AreaMotif.Echoes(30, 0.25, false),
            new AreaMotif.Clamshells(0),
            new AreaMotif.Peel(3, 4, OptionalDouble.empty()),
            new AreaMotif.Circles(3, 4),
            new AreaMotif.Crosshatch(0.5, Math.PI / 6),
            new AreaMotif.CurvedHatch(0.75),
            new AreaMotif.Quarters(0.5, 0.75),
            new AreaMotif.CornerRays(AreaMotif.Corner.TOP_LEFT, OptionalInt.of(9), 2, 0.25),
            new AreaMotif.Whirl(3, 0.5, 6),
            new AreaMotif.Vee(0.125, 0.25),
            new AreaMotif.Peel(3, 3, OptionalDouble.empty(), true, false, AreaMotif.Round.CLOCKWISE),
            new AreaMotif.Quarters(
                    0.25,
                    0.5,
                    true,
                    AreaMotif.Lined.CLOSE_ACROSS,
                    AreaMotif.Lined.CLOSE_DOWN,
                    AreaMotif.Lined.NONE,
                    AreaMotif.Lined.CLOSE_ACROSS,
                    true),
            new AreaMotif.StraightFans(3, 2, 5, 0.5));

    // What is laid out is the referee of what was reckoned: never far fewer, and for what fills a block not much more.
    @Test
    void whatIsReckonedIsNoMoreThanWhatThereWillBe() {
        assertThat(MOTIFS)
                .extracting(Object::getClass)
                .containsAll(
                        AreaMotifTypes.ALL.stream().map(AreaMotifType::type).toList());
        for (AreaMotif motif : MOTIFS) {
            QuiltJob job = blocks(2, 3, 9, motif);
            int there = Planner.plan(job).areas().get(0).placements().size();
            double reckoned =
                    AreaReckoning.lines(job.quilt().areas().get(0), job.design(new AreaId(1)), 70, 80, job.templates());
            if (there > 0) {
                assertThat(reckoned).as("%s", motif).isBetween(there / 9.0, 1.15 * there + 12);
            }
        }
    }

    @Test
    void whatWouldBeFarTooMuchIsRefusedWithWhatItWouldBe() {
        assertThatThrownBy(() -> blocks(100, 100, 0.7, new AreaMotif.Crosshatch(1.0 / 16, Math.PI / 4)))
                .isInstanceOf(TooManyLinesException.class)
                .hasMessage("that would be some 320,000 lines, and more than 200,000 can't be planned");
        // 2 x 0.7 x 1.414 x 16 = 31.7 lines a block: 6,300 blocks are 199,700.
        assertThat(blocks(63, 100, 0.7, new AreaMotif.Crosshatch(1.0 / 16, Math.PI / 4))
                        .quilt()
                        .areas())
                .hasSize(1);
        AreaDesign plain = AreaDesign.of(new AreaMotif.Crosshatch(1.0 / 16, Math.PI / 4), Optional.empty())
                .withLetters(List.of("A-"));
        assertThat(blocks(100, 100, 0.7, new AreaMotif.Circles(1, 1))
                        .with(new AreaId(1), plain)
                        .design(new AreaId(1)))
                .isEqualTo(plain);
    }

    // 200 in at 1/16 and 45 degrees are over 3,000 lines each way and side; along an edge of 1/2 in each takes a score
    // of placements.
    @Test
    void ofABorderThatIsTooFineOnlyTheMotifThatIsGoes() {
        Template arc = DemoJob.heronWeir().templates().get(0);
        Template tiny = Template.of("tiny", "Tiny", new StraightEdge(0.5, 1, 0), SizeLabel.RADIUS_AS_CUT, List.of());
        Quilt quilt = DemoJob.heronWeir().quilt();
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), side.isAcross() ? 200 : 10).with(Dimension.depth(1, side), 28);
        }
        quilt = quilt.without(Dimension.DIAGONAL_DOWN).without(Dimension.DIAGONAL_UP);
        QuiltJob job = DemoJob.heronWeir()
                .withQuilt(quilt)
                .withTemplates(List.of(arc, tiny))
                .editing(
                        GroupId.border(1),
                        l -> l.with(l.design()
                                .withLayer(Layer.of(new Motif.Crosshatch(1.0 / 16, Math.PI / 4, true, false)))));
        WorkPlan plan = Planner.plan(job);
        assertThat(plan.findings().stream()
                        .filter(Finding.MotifTrouble.class::isInstance)
                        .map(f -> ((Finding.MotifTrouble) f).diagnostic()))
                .contains(new LayoutDiagnostic.TooFine(Effort.MOST));
        assertThat(plan.runs().stream().filter(r -> r.frame().length() > 100))
                .hasSize(2)
                .allSatisfy(run -> {
                    assertThat(run.laidOut().lines()).isNotEmpty().allMatch(line -> line.layer() == 1);
                    assertThat(run.laidOut().placements())
                            .hasSizeGreaterThanOrEqualTo(run.laidOut().lines().size());
                });
    }

    @Test
    void aPlanThatIsntWantedAnyMoreEnds() {
        Thread.currentThread().interrupt();
        try {
            assertThatThrownBy(() -> Planner.plan(DemoJob.heronWeir())).isInstanceOf(CancellationException.class);
        } finally {
            assertThat(Thread.interrupted()).isTrue();
        }
        assertThat(Planner.plan(DemoJob.heronWeir()).runs()).hasSize(4);
    }

    @Test
    void sidesThatDontMeetAreToldWhateverTheyArePlannedAt() {
        Quilt quilt = DemoJob.heronWeir().quilt().with(new Quilt.Easings(Easing.TO_LONGER, Easing.TO_LONGER));
        double[] sides = {50, 50, 60, 161.5};
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), sides[side.ordinal()]);
        }
        WorkPlan plan = Planner.plan(DemoJob.heronWeir().withQuilt(quilt));
        assertThat(plan.findings()).hasAtLeastOneElementOfType(Finding.SidesDontMeet.class);
    }

    @Test
    void repeatsAreCountedWithinBoundsInEverySchool() {
        // 42 in of 1/10 would be 210 from each corner.
        assertThat(CornersIn.most(42, 0.1)).isEmpty();
        assertThatThrownBy(() -> new CornersIn(0.1, 210)).hasMessageContaining("400");
        assertThat(new CornersIn(0.1, 200).stepped(1, 200)).isEmpty();
        assertThat(new Even(400).stepped(1, 200)).isEmpty();
        assertThat(new Even(1).stepped(-1, 200)).isEmpty();
        assertThat(ByPiecing.all(200, 1.0 / 32))
                .allSatisfy(
                        way -> assertThat(way.divide(200).orElseThrow().count()).isLessThanOrEqualTo(400));
        WorkPlan plan = Planner.plan(DemoJob.heronWeir().choosing(Map.of(RunId.of(Side.TOP), new CornersIn(0.1, 200))));
        assertThat(plan.runs()).isNotEmpty();
    }

    @Test
    void aKeyDoesntChangeWithTheSetItWasMadeOf() {
        Set<Integer> numbers = new HashSet<>(Set.of(3, 5));
        Spread.Chosen chosen = new Spread.Chosen(numbers);
        int hash = chosen.hashCode();
        numbers.add(7);
        assertThat(chosen.hashCode()).isEqualTo(hash);
        assertThat(chosen.numbers()).containsExactly(3, 5);
    }

    @Test
    void cornersThatCoincideOrAreNowhereAreNone() {
        Point a = new Point(0, 0);
        assertThat(Area.Corners.difficulty(List.of(a, a, new Point(4, 0), new Point(0, 4))))
                .contains(Area.Corners.Difficulty.COINCIDENT);
        assertThat(Area.Corners.difficulty(List.of(a, new Point(4, 0), new Point(0, 4), a)))
                .contains(Area.Corners.Difficulty.COINCIDENT);
        assertThat(Area.Corners.difficulty(List.of(a, new Point(201, 0), new Point(0, 4))))
                .contains(Area.Corners.Difficulty.FAR);
        for (Area.Corners.Difficulty difficulty : Area.Corners.Difficulty.values()) {
            assertThat(AreaWords.difficulty(difficulty)).endsWith(".");
        }
        assertThat(AreaWords.name(new AreaId(3), DemoJob.heronWeir().quilt())).isEqualTo("Area 3");
    }

    // --- what lies where ---------------------------------------------------------------------------------------------

    @Property(tries = 60)
    void boxesAreFoundAsIfAllWereLookedAt(@ForAll long seed) {
        Random random = new Random(seed);
        List<Box> boxes = IntStream.range(0, random.nextInt(120))
                .mapToObj(i -> Box.of(
                        new Point(random.nextDouble() * 20, random.nextDouble() * 20),
                        new Point(random.nextDouble() * 20, random.nextDouble() * 20)))
                .toList();
        BoxIndex index = new BoxIndex(boxes);
        for (int i = 0; i < 20; i++) {
            Point place = new Point(random.nextDouble() * 20, random.nextDouble() * 20);
            assertThat(index.holding(place))
                    .containsExactly(IntStream.range(0, boxes.size())
                            .filter(b -> boxes.get(b).holds(place))
                            .toArray());
            // Those that java.awt says a line cuts are among those it may reach into, and they are few.
            Point other = new Point(random.nextDouble() * 20, random.nextDouble() * 20);
            List<Integer> along = Arrays.stream(index.along(new Segment(place, other)))
                    .boxed()
                    .toList();
            assertThat(along)
                    .containsAll(IntStream.range(0, boxes.size())
                            .filter(b -> new Rectangle2D.Double(
                                            boxes.get(b).left(),
                                            boxes.get(b).bottom(),
                                            boxes.get(b).width(),
                                            boxes.get(b).height())
                                    .intersectsLine(place.x(), place.y(), other.x(), other.y()))
                            .boxed()
                            .toList());
            assertThat(Arrays.stream(index.meeting(Box.of(place, other)))
                            .boxed()
                            .toList())
                    .containsAll(along);
        }
    }

    @Property(tries = 60)
    void placesAreFoundAsIfAllWereLookedAt(@ForAll long seed) {
        Random random = new Random(seed);
        double tolerance = 0.01;
        Places<Integer> places = new Places<>(tolerance);
        List<Point> all = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            Point p = new Point(random.nextDouble() - 0.5, random.nextDouble() - 0.5);
            places.put(p, all.size());
            all.add(p);
            Point asked = new Point(random.nextDouble() - 0.5, random.nextDouble() - 0.5);
            Optional<Integer> nearest = IntStream.range(0, all.size())
                    .boxed()
                    .filter(k -> all.get(k).distance(asked) <= tolerance)
                    .min(java.util.Comparator.comparingDouble(k -> all.get(k).distance(asked)));
            assertThat(places.at(asked)).isEqualTo(nearest);
        }
    }
}
