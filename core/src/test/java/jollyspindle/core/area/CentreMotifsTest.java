package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.route.Travel;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.SizeLabel;
import org.jgrapht.graph.Pseudograph;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

import static jollyspindle.core.area.AreaChecks.JTS;
import static jollyspindle.core.area.AreaChecks.MACHINE;
import static jollyspindle.core.area.AreaChecks.block;
import static jollyspindle.core.area.AreaChecks.check;
import static jollyspindle.core.area.AreaChecks.flat;
import static jollyspindle.core.area.AreaChecks.layOut;
import static jollyspindle.core.area.AreaChecks.plan;
import static jollyspindle.core.area.AreaChecks.told;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** Motifs about a centre. */
class CentreMotifsTest {

    // --- arms --------------------------------------------------------------------------------------------------

    /**
     * An n-fold figure is itself again turned by 360/n degrees; tips stand 2r·sin(180°/n) apart (regular polygons in any
     * handbook of mathematics): at 6, eight of them 4.592.
     */
    @ParameterizedTest
    @CsvSource({"8, 4.592201", "6, 6", "12, 3.105829", "5, 7.053423"})
    void armsAreOneFigureTurned(int arms, double apart) {
        AreaPlan plan =
                plan(new Area.Medallion(14), new AreaMotif.Arms(arms, AreaMotif.Way.OUT_AND_BACK, 0), "willow-arm");
        assertThat(plan.lines()).hasSize(arms).allMatch(StitchLine::returns);
        double step = 2 * Math.PI / arms;
        for (int i = 0; i < arms; i++) {
            Path here = plan.lines().get(i).path();
            Path next = plan.lines().get((i + 1) % arms).path();
            assertThat(here.end().distance(Point.ORIGIN)).isCloseTo(6, within(1e-6));
            assertThat(here.end().turned(-step).distance(next.end())).isLessThan(1e-9);
            assertThat(here.end().distance(next.end())).isCloseTo(apart, within(1e-5));
            assertThat(here.start().distance(Point.ORIGIN)).isLessThan(1e-9);
            Point middle = here.curves().get(here.curves().size() / 2).at(0.3);
            assertThat(next.distance(middle.turned(-step))).isLessThan(1e-9);
        }
    }

    /** Reach 6 covers an 8 block (its corner lies at 5.657) but not a 9 block's corners at 6.364 (the trade's values). */
    @Test
    void armsThatEndShortOfTheCornersAreTold() {
        AreaMotif eight = new AreaMotif.Arms(8, AreaMotif.Way.ALONG_EDGE, 0);
        assertThat(told(plan(block(8), eight, "willow-arm"))).noneMatch(AreaDiagnostic.ReachShort.class::isInstance);
        AreaDiagnostic.ReachShort told = (AreaDiagnostic.ReachShort) told(plan(block(9), eight, "willow-arm")).stream()
                .filter(AreaDiagnostic.ReachShort.class::isInstance)
                .findFirst()
                .orElseThrow();
        assertThat(told.arms()).isEqualTo(4);
        assertThat(told.reach()).isCloseTo(6, within(1e-6));
        assertThat(told.needed()).isCloseTo(9 / Math.sqrt(2), within(1e-9));
    }

    /** The ray at an angle a from the middle of a side meets it S/2·tan a from there; the tangent table of any handbook. */
    @Test
    void raysAreReadOnTheBlocksEdges() {
        AreaPlan plan = plan(block(10), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.5), "willow-arm");
        assertThat(plan.rays('A')).hasSize(16);
        double tan = Math.tan(Math.toRadians(22.5));
        assertThat(plan.rays('A').get(1).side()).isEqualTo(Side.TOP);
        assertThat(plan.rays('A').get(1).fromMiddle())
                .isCloseTo(5 * tan, within(1e-9))
                .isCloseTo(2.0711, within(1e-4));
        assertThat(plan.rays('A').get(15).fromMiddle()).isCloseTo(-5 * tan, within(1e-9));
        assertThat(plan.rays('A').get(3).side()).isEqualTo(Side.RIGHT);
        assertThat(plan.rays('A').get(3).fromMiddle()).isCloseTo(-5 * tan, within(1e-9));
        for (Ray ray : plan.rays('A')) {
            double onEdge =
                    Math.max(Math.abs(ray.place().x()), Math.abs(ray.place().y()));
            assertThat(onEdge).isCloseTo(5, within(1e-9));
            assertThat(ray.found()).isEqualTo(ray.number() % 2 == 1 ? Ray.Found.USUAL : Ray.Found.HALVED);
        }
        assertThat(plan(block(10), new AreaMotif.Arms(10, AreaMotif.Way.OUT_AND_BACK, 0.5), "willow-arm")
                        .rays('A'))
                .filteredOn(r -> r.found() == Ray.Found.STEPPED)
                .hasSize(8);
    }

    /** The tape lies on the seam, also where lines keep clear of it: 4·tan 22.5° = 1.6569 of a block of 8, not 3 3/4·tan 22.5°. */
    @Test
    void readingsGoFromTheSeam() {
        Area clear = new Area.Blocks(1, 1, 8, 8, 0, 0.25);
        AreaPlan plan = plan(clear, new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.5), "willow-arm");
        assertThat(plan.rays('A').get(1).fromMiddle()).isCloseTo(1.6569, within(1e-4));
        assertThat(plan.marks())
                .filteredOn(m -> m.kind() == Mark.Kind.CENTRE)
                .singleElement()
                .satisfies(centre -> {
                    assertThat(centre.along()).isCloseTo(4, within(1e-9));
                    assertThat(centre.across()).isCloseTo(4, within(1e-9));
                });
        assertThat(plan.lines()).allMatch(l -> l.path().box().width() <= 7.5 + 1e-9);
    }

    /** Many lines in a point pile thread up: stopped on a small circle they don't. */
    @Test
    void linesStopOnASmallCircle() {
        AreaPlan meeting = plan(block(8), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0), "willow-arm");
        assertThat(told(meeting))
                .filteredOn(AreaDiagnostic.PileUp.class::isInstance)
                .singleElement()
                .satisfies(t -> {
                    assertThat(((AreaDiagnostic.PileUp) t).lines()).isEqualTo(16);
                    assertThat(t.where().orElseThrow().distance(Point.ORIGIN)).isLessThan(1e-9);
                });
        AreaPlan stopped = plan(block(8), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.75), "willow-arm");
        assertThat(told(stopped)).noneMatch(AreaDiagnostic.PileUp.class::isInstance);
        assertThat(stopped.lines()).allSatisfy(l -> assertThat(Math.min(
                        l.path().start().distance(Point.ORIGIN), l.path().end().distance(Point.ORIGIN)))
                .isCloseTo(0.75, within(1e-6)));
        // From tip to tip along the edge, and each there and back: one thread.
        assertThat(stopped.starts()).isEqualTo(1);
    }

    /**
     * In along one arm and out along the next: three arms or so meet in the centre by pairs, and between the pairs the needle goes along
     * the edge, as often as there are pairs but one.
     */
    @Test
    void armsAreStitchedInPairs() {
        AreaPlan plan = plan(block(8), new AreaMotif.Arms(6, AreaMotif.Way.ALONG_EDGE, 0), "willow-arm");
        assertThat(plan.starts()).isEqualTo(1);
        for (int i = 0; i < 6; i += 2) {
            assertThat(plan.lines().get(i).path().end().distance(Point.ORIGIN)).isLessThan(1e-9);
            assertThat(plan.lines().get(i + 1).path().start().distance(Point.ORIGIN))
                    .isLessThan(1e-9);
        }
        assertThat(plan.travels()).hasSize(2).allMatch(t -> t.how() == Travel.How.DITCH);
    }

    // --- rings -------------------------------------------------------------------------------------------------

    /** Rings 2, 3 … stand 1/2 apart (the trade's value): each from the template that stitches it, or told to be missing. */
    @ParameterizedTest
    @CsvSource({"NONE", "ONE", "FOUR"})
    void ringsTakeTheTemplatesThereAre(AreaMotif.Spokes spokes) {
        AreaMotif.Rings rings = new AreaMotif.Rings(2, 0.5, 11, spokes);
        AreaPlan plan = plan(new Area.Medallion(14), rings, null);
        Set<Double> missing = new HashSet<>();
        told(plan).stream()
                .filter(AreaDiagnostic.RingMissing.class::isInstance)
                .forEach(t -> missing.add(((AreaDiagnostic.RingMissing) t).diameter()));
        List<StitchLine> stitched =
                plan.lines().stream().filter(l -> l.kind() == Stitched.RING).toList();
        assertThat(stitched.size() + missing.size()).isEqualTo(11);
        for (StitchLine ring : stitched) {
            double wanted = rings.diameter(ring.number(), 14);
            assertThat(missing).doesNotContain(wanted);
            assertThat(ring.path().start().distance(Point.ORIGIN)).isCloseTo(wanted / 2, within(1.0 / 64));
            assertThat(ring.path().length()).isCloseTo(Math.PI * wanted, within(0.1));
        }
        long spokesStitched =
                plan.lines().stream().filter(l -> l.kind() == Stitched.SPOKE).count();
        int each = spokes == AreaMotif.Spokes.FOUR ? 4 : spokes == AreaMotif.Spokes.ONE ? 1 : 0;
        assertThat(spokesStitched).isEqualTo((long) each * (stitched.size() - 1));
        // Spokes lead on without a break, with four of them back along what is stitched; each ring by itself begins
        // anew.
        assertThat(plan.starts())
                .isEqualTo(
                        switch (spokes) {
                            case NONE -> stitched.size();
                            case ONE, FOUR -> 1;
                        });
    }

    // --- symmetry ----------------------------------------------------------------------------------------------

    static Stream<Arguments> turned() {
        return Stream.of(
                Arguments.of(new AreaMotif.Arms(7, AreaMotif.Way.OUT_AND_BACK, 0.5, false, 0.3), 7),
                Arguments.of(new AreaMotif.Arms(64, AreaMotif.Way.OUT_AND_BACK, 1.5, true, 0), 64),
                Arguments.of(new AreaMotif.Wreath(9, OptionalDouble.empty()), 9),
                Arguments.of(new AreaMotif.Wreath(5, OptionalDouble.of(4)), 5),
                Arguments.of(new AreaMotif.Petals(6, 0.5, 4), 6),
                Arguments.of(new AreaMotif.Points(11, 2, 5), 11));
    }

    private static Geometry all(AreaPlan plan) {
        return JTS.buildGeometry(
                plan.lines().stream().map(l -> (Geometry) flat(l.path())).toList());
    }

    /** How far what is stitched lies from itself once it is turned or mirrored, at five places of each line. */
    private static double apart(AreaPlan plan, AffineTransformation moved) {
        IndexedFacetDistance to = new IndexedFacetDistance(all(plan));
        double most = 0;
        for (StitchLine line : plan.lines()) {
            for (Curve curve : line.path().curves()) {
                for (int i = 0; i <= 4; i++) {
                    Point p = curve.at(i / 4.0);
                    most = Math.max(most, to.distance(moved.transform(JTS.createPoint(new Coordinate(p.x(), p.y())))));
                }
            }
        }
        return most;
    }

    /** Turned by 360/n degrees, or mirrored where the motif is, all that is stitched is the same; JTS turns and compares. */
    @ParameterizedTest
    @MethodSource("turned")
    void whatIsAboutACentreIsItselfTurned(AreaMotif motif, int times) {
        AreaPlan plan = plan(new Area.Medallion(16), motif, null);
        assertThat(plan.lines()).isNotEmpty();
        assertThat(apart(plan, AffineTransformation.rotationInstance(2 * Math.PI / times)))
                .isLessThan(2e-3);
        boolean mirrored = !(motif instanceof AreaMotif.Arms arms) || arms.mirrored();
        double off = apart(plan, AffineTransformation.scaleInstance(-1, 1));
        if (mirrored) {
            assertThat(off).isLessThan(2e-3);
        } else {
            assertThat(off).as("waves lean one way").isGreaterThan(0.05);
        }
    }

    /** The second set is the first in a mirror: the template lies face down, and its line on the same ray. */
    @Test
    void mirroredArmsCrossTheFirstSet() {
        AreaPlan plan = plan(
                new Area.Medallion(14), new AreaMotif.Arms(6, AreaMotif.Way.OUT_AND_BACK, 0, true, 0), "willow-arm");
        assertThat(plan.lines()).hasSize(12);
        for (int i = 0; i < 6; i++) {
            Path first = plan.lines().get(i).path();
            Path second = plan.lines().get((6 - i) % 6 + 6).path();
            assertThat(first.end().mirrored().distance(second.end())).isLessThan(1e-9);
            Point middle = first.curves().get(first.curves().size() / 2).at(0.4);
            assertThat(second.distance(middle.mirrored())).isLessThan(1e-9);
        }
        assertThat(plan.placements().subList(6, 12)).allMatch(p -> p.pose().over());
        assertThat(plan.rays('A')).hasSize(6);
    }

    /** Arms that reach the edge lead on along it; one that floats is stitched twice. */
    @Test
    void floatingArmsAreRetraced() {
        AreaPlan plan = plan(new Area.Medallion(14), new AreaMotif.Arms(8, AreaMotif.Way.ALONG_EDGE, 0), "willow-arm");
        assertThat(plan.lines()).allMatch(StitchLine::returns);
        assertThat(plan.starts()).isEqualTo(1);
        AreaPlan reaching = plan(block(8), new AreaMotif.Arms(8, AreaMotif.Way.ALONG_EDGE, 0), "willow-arm");
        assertThat(reaching.lines()).noneMatch(StitchLine::returns);
        // From tip to tip along the block's edge between four pairs; the thread is begun once.
        assertThat(reaching.travels()).hasSize(3).allMatch(t -> t.how() == Travel.How.DITCH);
        assertThat(reaching.starts()).isEqualTo(1);
    }

    @Test
    void theFirstArmIsTurned() {
        AreaPlan plan = plan(
                new Area.Medallion(14),
                new AreaMotif.Arms(5, AreaMotif.Way.OUT_AND_BACK, 0, false, Math.toRadians(10)),
                "willow-arm");
        Point tip = plan.lines().get(0).path().end();
        assertThat(Math.atan2(tip.x(), tip.y())).isCloseTo(Math.toRadians(10), within(1e-9));
        assertThat(plan.rays('A')).allMatch(r -> r.found() == Ray.Found.STEPPED);
    }

    private static final Template HEART = Template.of(
            "heart",
            "Heart",
            new OutlineForm(
                    List.of(
                            new OutlineForm.Corner(0, -1.5, 0),
                            new OutlineForm.Corner(1.5, 0.5, Math.PI),
                            new OutlineForm.Corner(0, 0.5, Math.PI),
                            new OutlineForm.Corner(-1.5, 0.5, 0)),
                    false),
            SizeLabel.RADIUS_AS_CUT,
            List.of());

    /** An arc's chord lies on the ray, from the centre to the edge; an outline stands on it, its lower end on the circle. */
    @Test
    void arcsAndOutlinesAreTurnedToo() {
        AreaMotif six = new AreaMotif.Arms(6, AreaMotif.Way.ALONG_EDGE, 0, true, 0);
        AreaPlan arcs = plan(new Area.Medallion(7), six, "orchard-hill");
        assertThat(arcs.lines()).hasSize(12).noneMatch(StitchLine::returns);
        for (StitchLine line : arcs.lines()) {
            double far = Math.max(
                    line.path().start().distance(Point.ORIGIN),
                    line.path().end().distance(Point.ORIGIN));
            assertThat(far).isCloseTo(3.5, within(1e-6));
            assertThat(((Arc) line.path().curves().get(0)).radius()).isCloseTo(4, within(1e-9));
        }
        assertThat(arcs.starts()).isLessThanOrEqualTo(2);
        List<Template> shelf = List.of(HEART);
        AreaPlan hearts = layOut(
                new Area.Medallion(14),
                AreaDesign.of(new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 1, false, 0), Optional.of("heart")),
                List.of(),
                shelf,
                MACHINE);
        check(new Area.Medallion(14), hearts, shelf);
        assertThat(hearts.lines()).hasSize(8).allMatch(l -> l.path().closed() && !l.returns());
        assertThat(hearts.lines()).allMatch(l -> Math.abs(l.path().distance(Point.ORIGIN) - 1) < 0.02);
        double step = Math.PI / 4;
        Point top = hearts.lines().get(0).path().curves().get(1).at(0.5);
        assertThat(hearts.lines().get(1).path().distance(top.turned(-step))).isLessThan(1e-9);
        assertThat(told(hearts)).noneMatch(AreaDiagnostic.ReachShort.class::isInstance);
    }

    /** Four spokes look planned, but leave eight odd junctions between two rings; one leaves two (the trade's values). */
    @ParameterizedTest
    @CsvSource({"ONE, 2", "FOUR, 8"})
    void spokesLeaveOddJunctions(AreaMotif.Spokes spokes, int odd) {
        AreaPlan plan = plan(new Area.Medallion(14), new AreaMotif.Rings(2, 0.5, 2, spokes), null);
        List<StitchLine> rings =
                plan.lines().stream().filter(l -> l.kind() == Stitched.RING).toList();
        assertThat(rings).hasSize(2);
        // A junction for each end of a spoke; a ring is parted there, and goes round through all of its own.
        var graph = new Pseudograph<String, Object>(Object.class);
        int edge = 0;
        List<List<String>> onRing = List.of(new ArrayList<>(), new ArrayList<>());
        for (StitchLine line : plan.lines()) {
            if (line.kind() != Stitched.SPOKE) {
                continue;
            }
            String from = at(line.path().start());
            String to = at(line.path().end());
            graph.addVertex(from);
            graph.addVertex(to);
            graph.addEdge(from, to, edge++);
            onRing.get(0).add(from);
            onRing.get(1).add(to);
        }
        for (List<String> places : onRing) {
            for (int i = 0; i < places.size(); i++) {
                graph.addEdge(places.get(i), places.get((i + 1) % places.size()), edge++);
            }
        }
        assertThat(graph.vertexSet().stream().filter(v -> graph.degreeOf(v) % 2 == 1))
                .hasSize(odd);
    }

    private static String at(Point p) {
        return Math.round(p.x() * 1e4) + "," + Math.round(p.y() * 1e4);
    }

    /** The chord of 360/n degrees: of twelve rays on a circle of radius 6, 3.1058 (chord table). */
    @ParameterizedTest
    @CsvSource({"12, 3.105829", "10, 3.708204", "5, 7.053423"})
    void raysAreSteppedOffWithAChord(int arms, double chord) {
        AreaPlan plan =
                plan(new Area.Medallion(12), new AreaMotif.Arms(arms, AreaMotif.Way.OUT_AND_BACK, 1), "willow-arm");
        AreaPlan.Stepping stepping = plan.turning('A').orElseThrow().stepping().orElseThrow();
        assertThat(stepping.radius()).isCloseTo(6, within(1e-9));
        assertThat(stepping.chord()).isCloseTo(chord, within(1e-6));
        assertThat(plan(new Area.Medallion(12), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 1), "willow-arm")
                        .turning('A')
                        .orElseThrow()
                        .stepping())
                .isEmpty();
    }

    /** With the circle they stop on stitched first, all arms are one thread; a size no template stitches is told. */
    @Test
    void armsStopOnAStitchedCircle() {
        Area round = new Area.Medallion(12);
        AreaMotif.Arms arms = new AreaMotif.Arms(12, AreaMotif.Way.OUT_AND_BACK, 0.5, true, 0.3);
        // Without it the needle gets on along the medallion's edge, if that is a seam.
        assertThat(plan(round, arms, "willow-arm").starts()).isEqualTo(1);
        assertThat(plan(round.withClearance(0.25), arms, "willow-arm").starts()).isEqualTo(24);
        AreaPlan circled = plan(round, circled(arms), "willow-arm");
        assertThat(circled.starts()).isEqualTo(1);
        assertThat(circled.lines().get(0).kind()).isEqualTo(Stitched.RING);
        assertThat(circled.lines().get(0).path().length()).isCloseTo(Math.PI, within(1e-3));
        assertThat(circled.lines()).hasSize(25);
        assertThat(told(plan(round, circled(arms.withStop(0.6)), "willow-arm")))
                .anyMatch(AreaDiagnostic.RingMissing.class::isInstance);
        assertThatThrownBy(() -> circled(arms.withStop(0))).hasMessageContaining("circle");
        assertThat(circled(arms).withStop(0).circled()).isFalse();
    }

    // --- rays --------------------------------------------------------------------------------------------------

    /** On a rim the reading goes along it: R·a; round an octagon's corner at half·tan 22.5°, as of any regular polygon. */
    @Test
    void raysAreReadAlongTheEdge() {
        AreaMotif sixteen = new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.5);
        Ray round =
                plan(new Area.Medallion(10), sixteen, "willow-arm").rays('A').get(1);
        assertThat(round.fromMiddle()).isCloseTo(5 * Math.PI / 8, within(1e-9));
        List<Ray> eight = plan(new Area.Medallion(Area.Shape.OCTAGON, 10, 0), sixteen, "willow-arm")
                .rays('A');
        double corner = 5 * Math.tan(Math.PI / 8);
        assertThat(eight.get(1).fromMiddle()).isCloseTo(corner, within(1e-9)).isCloseTo(2.0711, within(1e-4));
        // Every second ray points to a corner; the diagonals to the middle of a side, half a side further round.
        assertThat(Math.abs(eight.get(2).fromMiddle())).isCloseTo(2 * corner, within(1e-9));
        assertThat(eight.get(2).place().distance(Point.ORIGIN)).isCloseTo(5, within(1e-9));
        List<Ray> oblong =
                plan(new Area.Blocks(1, 1, 6, 10, 0), sixteen, "willow-arm").rays('A');
        // The diagonal meets the long side of an oblong 3 above its middle.
        assertThat(oblong.get(2).side()).isEqualTo(Side.RIGHT);
        assertThat(oblong.get(2).fromMiddle()).isCloseTo(-3, within(1e-9));
        assertThat(oblong.get(1).side()).isEqualTo(Side.TOP);
        assertThat(oblong.get(1).fromMiddle()).isCloseTo(5 * Math.tan(Math.PI / 8), within(1e-9));
    }

    // --- spread rings, wreaths, petals, points, echoes ---------------------------------------------------------

    /** Spread evenly from 2 in a circle of 14, four rings would be 1 1/2 apart: 2, 5, 8, 11 and 1 1/2 to the edge. */
    @Test
    void ringsAreSpreadEvenly() {
        AreaMotif.Rings rings = new AreaMotif.Rings(2, OptionalDouble.empty(), 4, AreaMotif.Spokes.NONE);
        assertThat(rings.gap(14)).isCloseTo(1.5, within(1e-9));
        AreaPlan plan = plan(new Area.Medallion(14), rings, null);
        for (StitchLine ring : plan.lines()) {
            assertThat(ring.path().start().distance(Point.ORIGIN))
                    .isCloseTo(1 + 1.5 * (ring.number() - 1), within(0.25 * 1.5));
        }
        assertThat(told(plan))
                .anyMatch(t -> t instanceof AreaDiagnostic.RingGaps || t instanceof AreaDiagnostic.RingMissing);
        assertThat(told(plan(new Area.Medallion(2), rings, null))).contains(new AreaDiagnostic.NoRoom());
    }

    /** Circles touch if their middles lie r/sin(180°/n) out; six of them as far out as they are wide (a hexagon). */
    @ParameterizedTest
    @CsvSource({"6", "8", "12"})
    void aWreathOfTouchingCirclesIsOneThread(int circles) {
        AreaPlan plan = plan(new Area.Medallion(16), new AreaMotif.Wreath(circles, OptionalDouble.empty()), null);
        AreaDiagnostic.Wreath told = (AreaDiagnostic.Wreath) told(plan).get(0);
        assertThat(told.out()).isCloseTo(told.diameter() / 2 / Math.sin(Math.PI / circles), within(1e-9));
        if (circles == 6) {
            assertThat(told.out()).isCloseTo(told.diameter(), within(1e-9));
        }
        assertThat(told.out() + told.diameter() / 2).isLessThanOrEqualTo(8 + 1e-9);
        assertThat(plan.starts()).isEqualTo(1);
        assertThat(plan.travels()).isEmpty();
        // Each circle once round, in two goes.
        assertThat(plan.lines().stream().mapToDouble(l -> l.path().length()).sum())
                .isCloseTo(circles * Math.PI * told.diameter(), within(1e-6));
        assertThat(plan.lines().get(plan.lines().size() - 1).path().end())
                .satisfies(p -> assertThat(p.distance(plan.lines().get(0).path().start()))
                        .isLessThan(1e-6));
        AreaPlan apart = plan(new Area.Medallion(16), new AreaMotif.Wreath(circles, OptionalDouble.of(5.3)), null);
        assertThat(apart.lines()).hasSize(circles);
    }

    /** A petal over the chord c of radius R is 2(R − √(R² − c²/4)) wide (segment table: R 4, c 4: height 0.5359). */
    @Test
    void petalsAreAsWideAsTheirSegments() {
        AreaPlan plan = plan(new Area.Medallion(14), new AreaMotif.Petals(6, 1, 5), "orchard-hill");
        Path petal = plan.lines().get(0).path();
        assertThat(petal.closed()).isTrue();
        assertThat(petal.box().width()).isCloseTo(2 * 0.5359, within(1e-4));
        assertThat(told(plan)).isEmpty();
        // At the centre two sides make the angle 2·asin(c/2R) = 60° with each other: six just have room, seven cross.
        assertThat(told(plan(new Area.Medallion(14), new AreaMotif.Petals(6, 0, 4), "orchard-hill")))
                .noneMatch(AreaDiagnostic.PetalsCross.class::isInstance);
        assertThat(told(plan(new Area.Medallion(14), new AreaMotif.Petals(7, 0, 4), "orchard-hill")))
                .contains(new AreaDiagnostic.PetalsCross(7));
        assertThat(told(plan(new Area.Medallion(30), new AreaMotif.Petals(7, 0, 9), "orchard-hill")))
                .contains(new LayoutDiagnostic.TooFar(9, 8));
    }

    @Test
    void pointsStandBetweenTheRaysOfArms() {
        AreaPlan plan = plan(new Area.Medallion(14), new AreaMotif.Points(8, 3, 6), "furrow-short");
        assertThat(plan.lines()).hasSize(1);
        List<Curve> sides = plan.lines().get(0).path().curves();
        assertThat(sides).hasSize(16);
        // Law of cosines: √(3² + 6² − 2·3·6·cos 22.5°).
        double side = Math.sqrt(45 - 36 * Math.cos(Math.PI / 8));
        assertThat(sides).allSatisfy(s -> assertThat(s.length()).isCloseTo(side, within(1e-9)));
        assertThat(sides.get(0).end().distance(Point.ORIGIN)).isCloseTo(6, within(1e-9));
        assertThat(plan.starts()).isEqualTo(1);
    }

    /** Round a square of 10, lines 1/2 apart are squares of 11 and 12; in it, of 9 and 8; round a circle they are circles. */
    @ParameterizedTest
    @CsvSource({"true, 11, 12", "false, 9, 8"})
    void echoesLieBesideTheEdge(boolean outside, double first, double second) {
        AreaPlan plan = plan(
                new Area.Medallion(Area.Shape.SQUARE, 10, 0), new AreaMotif.Echoes(2, 0.5, outside), "furrow-long");
        assertThat(plan.lines()).hasSize(2);
        assertThat(plan.lines().get(0).path().length()).isCloseTo(4 * first, within(1e-9));
        assertThat(plan.lines().get(1).path().box().width()).isCloseTo(second, within(1e-9));
        // The second is laid beside the first all round.
        assertThat(plan.placements().stream()
                        .filter(p -> p.of().number() == 2)
                        .filter(p -> p.registration() instanceof Registration.OnStitching))
                .hasSize(4);
        AreaPlan round = plan(new Area.Medallion(4), new AreaMotif.Echoes(1, 0.5, outside), null);
        assertThat(round.lines().get(0).path().length())
                .isCloseTo(Math.PI * (first - 6), within(Math.PI * 2 * Tolerances.CHALK));
        AreaPlan eight = plan(
                new Area.Medallion(Area.Shape.OCTAGON, 10, 0), new AreaMotif.Echoes(1, 0.5, outside), "furrow-long");
        // A regular octagon's side is (√2 − 1) of its width (any handbook).
        assertThat(eight.lines().get(0).path().length()).isCloseTo(8 * (Math.sqrt(2) - 1) * first, within(1e-9));
    }

    /** A foot of 0.3 makes rings 0.1 wider or narrower than the templates' labels say: that is told, and they are stitched. */
    @ParameterizedTest
    @CsvSource({"0.3, 0.1", "0.25, 0", "0.2, -0.1"})
    void ringsComeOutAsTheFootMakesThem(double foot, double wider) {
        List<Template> discs = List.of(Template.of(
                "discs",
                "Discs",
                new CircleForm(CircleForm.Cutting.DISCS, List.of(1.0, 2.0, 3.0), 1),
                SizeLabel.RADIUS_AS_STITCHED,
                List.of()));
        AreaPlan plan = AreaChecks.layOut(
                new Area.Medallion(16),
                AreaDesign.of(new AreaMotif.Rings(2, 1, 3, AreaMotif.Spokes.NONE), Optional.empty()),
                List.of(),
                discs,
                new Machine(foot));
        assertThat(plan.lines()).hasSize(3).allSatisfy(ring -> assertThat(
                        ring.path().length() / Math.PI)
                .isCloseTo(2 * ring.number() + wider, within(1e-9)));
        assertThat(told(plan).stream()
                        .filter(AreaDiagnostic.RingsByFoot.class::isInstance)
                        .map(AreaDiagnostic.RingsByFoot.class::cast)
                        .mapToDouble(AreaDiagnostic.RingsByFoot::by)
                        .sum())
                .isCloseTo(wider, within(1e-9));
    }

    /** No circle is so large: an arc slides round, its line (tape, where there is none) on the seam or on the echo before. */
    @ParameterizedTest
    @CsvSource({"false, true", "false, false", "true, true", "true, false"})
    void aRoundEchoIsLaidBesideTheSeam(boolean outside, boolean engraved) {
        List<Template> arcs = Stream.of(1, 2)
                .map(echo -> {
                    double stitched = 9 + (outside ? 1 : -1) * 0.5 * echo;
                    ArcForm form = outside
                            ? ArcForm.bulging(stitched, Math.toRadians(80), 3)
                            : ArcForm.hollow(stitched, Math.toRadians(80), 2);
                    return Template.of(
                            "arc-" + echo,
                            "Arc",
                            form,
                            SizeLabel.RADIUS_AS_STITCHED,
                            engraved ? List.of(EngravedLine.parallel(0.25)) : List.of());
                })
                .toList();
        AreaPlan plan = AreaChecks.layOut(
                new Area.Medallion(18),
                AreaDesign.of(new AreaMotif.Echoes(2, 0.5, outside), Optional.empty()),
                List.of(),
                arcs,
                new Machine(0.25));
        assertThat(plan.lines()).extracting(line -> line.path().length()).satisfies(lengths -> {
            assertThat(lengths.get(0)).isCloseTo(2 * Math.PI * (outside ? 9.5 : 8.5), within(1e-9));
            assertThat(lengths.get(1)).isCloseTo(2 * Math.PI * (outside ? 10 : 8), within(1e-9));
        });
        // Eighty degrees reach round in five holds; nothing is marked.
        assertThat(plan.marks()).isEmpty();
        assertThat(plan.placements()).hasSize(10).allSatisfy(p -> {
            Registration wanted = p.of().number() == 1
                    ? new Registration.AlongSeam(0.25, engraved)
                    : new Registration.OnStitching(plan.lines().get(0).id(), 0.25, engraved);
            assertThat(p.registration()).isEqualTo(wanted);
        });
        assertThat(plan.starts()).isEqualTo(2);
    }

    @Test
    void onlyAMedallionHasEchoesOutside() {
        assertThat(told(plan(block(8), new AreaMotif.Echoes(2, 0.5, true), null)))
                .contains(new AreaDiagnostic.NothingOutside());
        AreaPlan small = plan(block(2), new AreaMotif.Echoes(5, 0.5, false), "furrow-long");
        assertThat(small.lines()).hasSize(1);
        assertThat(told(small)).contains(new AreaDiagnostic.FewerSets(5, 1));
    }

    /** The same arms, stopped on a circle that is stitched. */
    private static AreaMotif.Arms circled(AreaMotif.Arms arms) {
        return new AreaMotif.Arms(arms.arms(), arms.way(), arms.stop(), arms.mirrored(), arms.turn(), true);
    }
}
