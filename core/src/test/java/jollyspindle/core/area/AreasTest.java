package jollyspindle.core.area;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.Tools;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SizeLabel;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.graph.Multigraph;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Motifs about a centre and in blocks; JTS measures independently what was placed and cut off. */
class AreasTest {

    private static final GeometryFactory JTS = new GeometryFactory();
    private static final AreaId ID = new AreaId(1);
    private static final Machine MACHINE = new Machine(0.25);

    private static AreaPlan plan(Area area, AreaMotif motif, String template) {
        AreaPlan plan = AreaDesigner.layOut(
                ID,
                area,
                AreaDesign.of(motif, Optional.ofNullable(template)),
                List.of(),
                new Tools(StarterShelf.templates(), MACHINE),
                TapeScale.SIXTEENTHS);
        check(area, plan, StarterShelf.templates());
        return plan;
    }

    private static Area block(double side) {
        return new Area.Blocks(1, 1, side, side, 0);
    }

    private static List<AreaTold> told(AreaPlan plan) {
        return plan.told().stream().map(AreaPlan.Told::what).toList();
    }

    // --- what must hold of every plan --------------------------------------------------------------------------

    private static LineString flat(Path path) {
        return JTS.createLineString(path.flattened(1e-4).stream()
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new));
    }

    private static Geometry cloth(Area area) {
        if (area instanceof Area.Blocks b) {
            List<Geometry> blocks = new ArrayList<>();
            for (AreaSpace space : AreaSpace.of(b)) {
                blocks.add(JTS.toGeometry(new Envelope(
                        space.box().left(),
                        space.box().right(),
                        space.box().bottom(),
                        space.box().top())));
            }
            return JTS.buildGeometry(blocks);
        }
        return JTS.createPoint(new Coordinate(0, 0)).buffer(((Area.Medallion) area).diameter() / 2, 512);
    }

    static void check(Area area, AreaPlan plan, List<Template> templates) {
        Set<String> ids = new HashSet<>();
        Geometry cloth = cloth(area).buffer(2e-3);
        for (StitchLine line : plan.lines()) {
            assertThat(ids.add(line.id())).as(line.id()).isTrue();
            assertThat(cloth.covers(flat(line.path())))
                    .as(line.id() + " inside")
                    .isTrue();
            List<Placement> own =
                    plan.placements().stream().filter(p -> p.of().equals(line)).toList();
            assertThat(own).as(line.id()).isNotEmpty();
            double length = own.stream().mapToDouble(p -> p.path().length()).sum();
            assertThat(length).isCloseTo(line.path().length(), within(1e-6));
        }
        Set<String> used = new HashSet<>();
        for (Placement placement : plan.placements()) {
            placement.marks().forEach(m -> used.add(m.id()));
            assertThat(placement.start().place().distance(placement.path().start()))
                    .isLessThan(1e-3);
            assertThat(placement.end().place().distance(placement.path().end())).isLessThan(1e-3);
            Template template = templates.stream()
                    .filter(t -> t.id().equals(placement.tool().templateId()))
                    .findFirst()
                    .orElseThrow();
            Guide guide = template.cut().guide(placement.tool().guideId()).orElseThrow();
            Point home = guide.round().map(r -> r.centre().times(-1)).orElse(Point.ORIGIN);
            LineString edge = flat(guide.edge().moved(home).posed(placement.pose()));
            for (Curve curve : placement.curves()) {
                for (int i = 0; i <= 4; i++) {
                    Point p = curve.at(i / 4.0);
                    assertThat(edge.distance(JTS.createPoint(new Coordinate(p.x(), p.y()))))
                            .as("%s along %s", placement.id(), placement.tool())
                            .isCloseTo(MACHINE.footRadius(), within(1e-3));
                }
            }
        }
        plan.marks().forEach(m -> assertThat(used).as(m.id()).contains(m.id()));
    }

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
        assertThat(told(plan(block(8), eight, "willow-arm"))).noneMatch(AreaTold.ReachShort.class::isInstance);
        AreaTold.ReachShort told = (AreaTold.ReachShort) told(plan(block(9), eight, "willow-arm")).stream()
                .filter(AreaTold.ReachShort.class::isInstance)
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
        assertThat(plan.rays()).hasSize(16);
        double tan = Math.tan(Math.toRadians(22.5));
        assertThat(plan.rays().get(1).side()).isEqualTo(Side.TOP);
        assertThat(plan.rays().get(1).fromMiddle())
                .isCloseTo(5 * tan, within(1e-9))
                .isCloseTo(2.0711, within(1e-4));
        assertThat(plan.rays().get(15).fromMiddle()).isCloseTo(-5 * tan, within(1e-9));
        assertThat(plan.rays().get(3).side()).isEqualTo(Side.RIGHT);
        assertThat(plan.rays().get(3).fromMiddle()).isCloseTo(-5 * tan, within(1e-9));
        for (Ray ray : plan.rays()) {
            double onEdge =
                    Math.max(Math.abs(ray.place().x()), Math.abs(ray.place().y()));
            assertThat(onEdge).isCloseTo(5, within(1e-9));
            assertThat(ray.found()).isEqualTo(ray.number() % 2 == 1 ? Ray.Found.USUAL : Ray.Found.HALVED);
        }
        assertThat(plan(block(10), new AreaMotif.Arms(10, AreaMotif.Way.OUT_AND_BACK, 0.5), "willow-arm")
                        .rays())
                .filteredOn(r -> r.found() == Ray.Found.STEPPED)
                .hasSize(8);
    }

    /** Many lines in a point pile thread up: stopped on a small circle they don't. */
    @Test
    void linesStopOnASmallCircle() {
        AreaPlan meeting = plan(block(8), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0), "willow-arm");
        assertThat(told(meeting)).contains(new AreaTold.PileUp(16, ArmsLayout.MOST_IN_A_POINT));
        AreaPlan stopped = plan(block(8), new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.75), "willow-arm");
        assertThat(told(stopped)).noneMatch(AreaTold.PileUp.class::isInstance);
        assertThat(stopped.lines()).allSatisfy(l -> assertThat(l.path().start().distance(Point.ORIGIN))
                .isCloseTo(0.75, within(1e-6)));
    }

    /** Out along one arm and in along the next: an even number ends in the centre. */
    @Test
    void evenArmsEndInTheCentre() {
        AreaPlan plan = plan(block(8), new AreaMotif.Arms(6, AreaMotif.Way.ALONG_EDGE, 0), "willow-arm");
        assertThat(plan.lines().get(0).path().start().distance(Point.ORIGIN)).isLessThan(1e-9);
        assertThat(plan.lines().get(5).path().end().distance(Point.ORIGIN)).isLessThan(1e-9);
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
                .filter(AreaTold.RingMissing.class::isInstance)
                .forEach(t -> missing.add(((AreaTold.RingMissing) t).diameter()));
        List<StitchLine> stitched =
                plan.lines().stream().filter(l -> l.kind() == Stitched.RING).toList();
        assertThat(stitched.size() + missing.size()).isEqualTo(11);
        for (StitchLine ring : stitched) {
            double wanted = rings.diameter(ring.number());
            assertThat(missing).doesNotContain(wanted);
            assertThat(ring.path().start().distance(Point.ORIGIN)).isCloseTo(wanted / 2, within(1.0 / 64));
            assertThat(ring.path().length()).isCloseTo(Math.PI * wanted, within(0.1));
        }
        long spokesStitched =
                plan.lines().stream().filter(l -> l.kind() == Stitched.SPOKE).count();
        int each = spokes == AreaMotif.Spokes.FOUR ? 4 : spokes == AreaMotif.Spokes.ONE ? 1 : 0;
        assertThat(spokesStitched).isEqualTo((long) each * (stitched.size() - 1));
        // One spoke leads on without a break; each ring by itself begins anew.
        assertThat(plan.starts())
                .isEqualTo(
                        switch (spokes) {
                            case NONE -> stitched.size();
                            case ONE -> 1;
                            case FOUR -> 1 + 4 * (stitched.size() - 1);
                        });
    }

    // --- shells ------------------------------------------------------------------------------------------------

    /**
     * The trade's values for a 4 1/2 block: shells of 1 make 4 1/2 a row and 9 rows, 1 1/2 make 3 and 6, 3 make 1 1/2 and 3
     * (common practice, no source; half circles rise half their width).
     */
    @ParameterizedTest
    @CsvSource({"thatch-small, 4.5, 9", "thatch-middle, 3, 6", "thatch-large, 1.5, 3"})
    void shellsFillABlock(String template, double perRow, int rows) {
        AreaPlan plan = plan(block(4.5), new AreaMotif.Clamshells(0), template);
        AreaTold.Shells told = (AreaTold.Shells) told(plan).get(0);
        assertThat(told.perRow()).isCloseTo(perRow, within(1e-9));
        assertThat(told.rows()).isEqualTo(rows);
        assertThat(told.over()).isCloseTo(0, within(1e-6));
        assertThat(told.squeezed()).isFalse();
        assertThat(plan.lines()).hasSize(rows);
        for (int row = 0; row < rows; row++) {
            Path path = plan.lines().get(row).path();
            assertThat(path.box().bottom()).isCloseTo(-2.25 + row * told.rise(), within(1e-6));
            assertThat(path.box().top()).isCloseTo(-2.25 + (row + 1) * told.rise(), within(1e-6));
            assertThat(path.start().x()).isCloseTo(row % 2 == 0 ? -2.25 : 2.25, within(1e-6));
        }
        // 4 1/2 and 1 1/2 a row end in a half: each row ends on the crown where the next begins.
        if (perRow % 1 != 0) {
            double travel = plan.lines()
                    .get(0)
                    .path()
                    .end()
                    .distance(plan.lines().get(1).path().start());
            assertThat(travel).isLessThan(1e-6);
        }
    }

    /**
     * A larger foot flattens shells: of 1 wide with a foot of 9/32 the circle of radius 17/32 rises
     * 17/32 − (√((17/32)² − 1/4) − …) over the chord 1: R − √(R² − 1/4) with R = 0.53125 is 0.35178.
     */
    @Test
    void aLargerFootFlattensShells() {
        Machine machine = new Machine(0.28125);
        AreaPlan plan = AreaDesigner.layOut(
                ID,
                block(4.5),
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of("thatch-small")),
                List.of(),
                new Tools(StarterShelf.templates(), machine),
                TapeScale.SIXTEENTHS);
        AreaTold.Shells told = (AreaTold.Shells) told(plan).get(0);
        assertThat(told.rise()).isCloseTo(0.53125 - Math.sqrt(0.53125 * 0.53125 - 0.25), within(1e-6));
        assertThat(told.rise())
                .isCloseTo(
                        ((ScallopRow) StarterShelf.template("thatch-small").form()).stitchedRise(0.28125),
                        within(1e-6));
        assertThat(told.rows()).isEqualTo((int) Math.floor(4.5 / told.rise()) + (told.squeezed() ? 1 : 0));
    }

    @Test
    void aShorterRowIsSqueezedInWhereHalfOfOneIsLeft() {
        AreaPlan plan = plan(block(5.25), new AreaMotif.Clamshells(0), "thatch-large");
        AreaTold.Shells told = (AreaTold.Shells) told(plan).get(0);
        assertThat(told.over()).isCloseTo(0.75, within(1e-6));
        assertThat(told.squeezed()).isTrue();
        List<StitchLine> last =
                plan.lines().stream().filter(l -> l.number() == 4).toList();
        assertThat(last).isNotEmpty();
        assertThat(last.stream().mapToDouble(l -> l.path().box().top()).max().orElse(0))
                .isCloseTo(5.25 / 2, within(1e-6));
        // Nothing of it crosses the row below.
        for (StitchLine line : last) {
            Point middle = line.path().curves().get(0).at(0.5);
            plan.lines().stream().filter(l -> l.number() == 3).forEach(l -> assertThat(
                            flat(l.path()).crosses(flat(line.path())))
                    .isFalse());
            assertThat(middle.y()).isGreaterThan(5.25 / 2 - 1.5);
        }
    }

    @Test
    void shellsNoWiderThanTheFootAreRefused() {
        Template tiny =
                Template.of("tiny", "Tiny", new ScallopRow(5, 0.55, 1.5), SizeLabel.RADIUS_AS_STITCHED, List.of());
        AreaPlan plan = AreaDesigner.layOut(
                ID,
                block(6),
                AreaDesign.of(new AreaMotif.Clamshells(0), Optional.of("tiny")),
                List.of(),
                new Tools(List.of(tiny), new Machine(0.3)),
                TapeScale.SIXTEENTHS);
        assertThat(plan.lines()).isEmpty();
        assertThat(told(plan)).anyMatch(AreaTold.NoShells.class::isInstance);
    }

    // --- peel and hatch ----------------------------------------------------------------------------------------

    /** Grid 4, the classic circle through four grid points has diameter 4√2 = 5.657 (the trade's value). */
    @Test
    void petalsAreAsWideAsTheTemplateMakesThem() {
        AreaPlan plan = plan(block(12), new AreaMotif.Peel(3, 3), "orchard-hill");
        StitchLine inner =
                plan.lines().stream().filter(l -> l.sub() == 2).findFirst().orElseThrow();
        double rise = inner.path()
                .curves()
                .get(0)
                .at(0.5)
                .distance(inner.path().start().midpoint(inner.path().end()));
        assertThat(2 * rise).isCloseTo(2 * (4 - Math.sqrt(16 - 4)), within(1e-9));
        // 12 edges of the outline once, 12 inside twice.
        assertThat(plan.lines()).hasSize(12 + 2 * 12);
        assertThat(told(plan(block(18), new AreaMotif.Peel(3, 3), "orchard-hill")))
                .contains(new AreaTold.TooRound(4, 6 / Math.sqrt(2)));
    }

    /** Every junction is even, so that one thread closes; JGraphT counts. */
    @ParameterizedTest
    @CsvSource({"1, 1", "2, 3", "5, 4"})
    void junctionsOfThePeelAreEven(int across, int down) {
        AreaPlan plan =
                plan(new Area.Blocks(1, 1, 2 * across, 2 * down, 0), new AreaMotif.Peel(across, down), "orchard-hill");
        var graph = new Multigraph<String, Object>(Object.class);
        int edge = 0;
        for (StitchLine line : plan.lines()) {
            String from = at(line.path().start());
            String to = at(line.path().end());
            graph.addVertex(from);
            graph.addVertex(to);
            graph.addEdge(from, to, edge++);
        }
        assertThat(graph.vertexSet()).hasSize((across + 1) * (down + 1));
        assertThat(graph.vertexSet()).allMatch(v -> graph.degreeOf(v) % 2 == 0);
        assertThat(new ConnectivityInspector<>(graph).isConnected()).isTrue();
    }

    private static String at(Point p) {
        return Math.round(p.x() * 1e4) + "," + Math.round(p.y() * 1e4);
    }

    /** What is covered is what there is less what is cut off: JTS cuts the unclipped lines itself. */
    @ParameterizedTest
    @CsvSource({"45, 1", "60, 0.75", "90, 1.5"})
    void hatchingFillsTheBlockEvenly(double degrees, double spacing) {
        AreaPlan plan = plan(block(9), new AreaMotif.Crosshatch(spacing, Math.toRadians(degrees)), "furrow-long");
        double sin = Math.sin(Math.toRadians(degrees));
        double step = 9.0 / Math.round(9 / (spacing / sin));
        double expected = 0;
        double lean = 9 / Math.tan(Math.toRadians(degrees));
        Geometry cloth = cloth(block(9));
        for (int set = 0; set < 2; set++) {
            double over = set == 0 ? lean : -lean;
            for (int i = -40; i <= 40; i++) {
                LineString line = JTS.createLineString(new Coordinate[] {
                    new Coordinate(-4.5 + i * step, -4.5), new Coordinate(-4.5 + i * step + over, 4.5)
                });
                boolean edge = Math.abs(lean) < 1e-9 && (i == 0 || Math.abs(i * step - 9) < 1e-9);
                double kept = edge ? 0 : line.intersection(cloth).getLength();
                expected += kept >= AreaLaying.SHORTEST ? kept : 0;
            }
        }
        assertThat(plan.lines().stream().mapToDouble(l -> l.path().length()).sum())
                .isCloseTo(expected, within(1e-6));
    }

    // --- random areas ------------------------------------------------------------------------------------------

    @Provide
    Arbitrary<Area> areas() {
        Arbitrary<Double> size = Arbitraries.doubles().between(2, 16);
        return Arbitraries.oneOf(
                size.map(d -> (Area) new Area.Medallion(2 * d)),
                Combinators.combine(
                                Arbitraries.integers().between(1, 3),
                                Arbitraries.integers().between(1, 2),
                                size,
                                size,
                                Arbitraries.doubles().between(0, 2))
                        .as((c, r, w, h, g) -> (Area) new Area.Blocks(c, r, w, h, g)));
    }

    @Provide
    Arbitrary<AreaMotif> motifs() {
        return Arbitraries.oneOf(
                Combinators.combine(
                                Arbitraries.integers().between(2, 64),
                                Arbitraries.of(AreaMotif.Way.class),
                                Arbitraries.of(0.0, 0.5, 0.75))
                        .as((n, w, s) -> (AreaMotif) new AreaMotif.Arms(n, w, s)),
                Combinators.combine(
                                Arbitraries.of(1.0, 2.0, 2.5),
                                Arbitraries.of(0.25, 0.5, 1.0),
                                Arbitraries.integers().between(1, 12),
                                Arbitraries.of(AreaMotif.Spokes.class))
                        .as((d, g, n, s) -> (AreaMotif) new AreaMotif.Rings(d, g, n, s)),
                Arbitraries.of(0.0, 0.25).map(a -> (AreaMotif) new AreaMotif.Clamshells(a)),
                Arbitraries.doubles().between(0.2, 2).map(a -> (AreaMotif) new AreaMotif.Quarters(a, 2 * a)),
                Combinators.combine(
                                Arbitraries.integers().between(1, 6),
                                Arbitraries.integers().between(1, 6))
                        .as((a, d) -> (AreaMotif) new AreaMotif.Peel(a, d)),
                Combinators.combine(
                                Arbitraries.doubles().between(0.4, 3),
                                Arbitraries.integers().between(20, 160))
                        .as((s, a) -> (AreaMotif) new AreaMotif.Crosshatch(s, Math.toRadians(a))));
    }

    @Property(tries = 150)
    void everyMotifIsLaidOutInsideItsAreaOrRefused(
            @ForAll("areas") Area area,
            @ForAll("motifs") AreaMotif motif,
            @ForAll @DoubleRange(min = 0, max = 1) double any) {
        AreaPlan plan = plan(area, motif, null);
        assertThat(!plan.lines().isEmpty()
                        || plan.told().stream().anyMatch(t -> t.what().stops()))
                .isTrue();
        assertThat(plan(area, motif, null)).isEqualTo(plan);
    }

    // --- round appliqués ---------------------------------------------------------------------------------------

    @Provide
    Arbitrary<Area.Applique> appliques() {
        Arbitrary<Double> at = Arbitraries.doubles().between(-6, 6);
        Arbitrary<Double> size = Arbitraries.doubles().between(0.5, 6);
        Arbitrary<Double> clearance = Arbitraries.of(0.0, 0.25, 0.5);
        Arbitrary<Area.Outline> ellipse = Combinators.combine(
                        at, at, size, size, Arbitraries.doubles().between(0, 3))
                .as((x, y, w, h, t) -> new Area.Ellipse(new Point(x, y), w, h, t));
        Arbitrary<Area.Outline> corners = Combinators.combine(
                        at, at, size, Arbitraries.integers().between(3, 9))
                .as((x, y, r, n) -> {
                    List<Point> all = new ArrayList<>();
                    for (int i = 0; i < n; i++) {
                        // A star's corners, out and in.
                        all.add(new Point(x, y)
                                .plus(Point.direction(2 * Math.PI * i / n).times(i % 2 == 0 ? r : 0.7 * r)));
                    }
                    return new Area.Corners(all);
                });
        return Combinators.combine(Arbitraries.oneOf(ellipse, corners), clearance)
                .as(Area.Applique::new);
    }

    private static Geometry filled(Path outline) {
        List<Coordinate> ring = new ArrayList<>();
        outline.flattened(1e-5).forEach(p -> ring.add(new Coordinate(p.x(), p.y())));
        ring.add(ring.get(0));
        return JTS.createPolygon(ring.toArray(Coordinate[]::new));
    }

    /** What is grown for the clearance is what JTS makes of the outline with a round buffer. */
    @Property(tries = 60)
    void clearanceIsTheSameAllRound(@ForAll("appliques") Area.Applique applique) {
        Geometry grown = filled(AreaSpace.grown(applique));
        Geometry expected = filled(applique.outline().path()).buffer(applique.clearance(), 64);
        assertThat(grown.symDifference(expected).getArea()).isLessThan(0.01);
    }

    /** Every line keeps off the appliqués, and what is stitched of a hatching is all of it less what JTS cuts off. */
    @Property(tries = 60)
    void linesStopRoundAppliques(
            @ForAll("appliques") Area.Applique one,
            @ForAll("appliques") Area.Applique two,
            @ForAll("motifs") AreaMotif motif) {
        Area block = new Area.Blocks(1, 1, 13, 11, 0);
        Tools tools = new Tools(StarterShelf.templates(), MACHINE);
        AreaDesign design = AreaDesign.of(motif, Optional.empty());
        AreaPlan whole = AreaDesigner.layOut(ID, block, design, List.of(), tools, TapeScale.SIXTEENTHS);
        AreaPlan clipped = AreaDesigner.layOut(
                ID, block, design, List.of(AreaSpace.grown(one), AreaSpace.grown(two)), tools, TapeScale.SIXTEENTHS);
        check(block, clipped, StarterShelf.templates());
        Geometry free = filled(AreaSpace.grown(one)).union(filled(AreaSpace.grown(two)));
        Geometry inner = free.buffer(-2e-3);
        for (StitchLine line : clipped.lines()) {
            assertThat(flat(line.path()).intersection(inner).getLength())
                    .as(line.id())
                    .isLessThan(1e-3);
        }
        if (motif instanceof AreaMotif.Crosshatch) {
            double expected = 0;
            for (StitchLine line : whole.lines()) {
                Geometry left = flat(line.path()).difference(free);
                for (int i = 0; i < left.getNumGeometries(); i++) {
                    double length = left.getGeometryN(i).getLength();
                    expected += length >= AreaLaying.SHORTEST ? length : 0;
                }
            }
            assertThat(clipped.lines().stream()
                            .mapToDouble(l -> l.path().length())
                            .sum())
                    .isCloseTo(expected, within(0.02));
        }
    }

    // --- which size fits ---------------------------------------------------------------------------------------

    /** In a 4 1/2 block all three sizes of the starter shelf come out even; the largest takes the fewest placements. */
    @Test
    void theSizesThatComeOutEvenAreListedFirst() {
        List<BlockFit> fits = BlockFit.of(4.5, 4.5, StarterShelf.templates(), MACHINE, TapeScale.SIXTEENTHS);
        assertThat(fits)
                .extracting(f -> f.template().id())
                .containsExactly("thatch-large", "thatch-middle", "thatch-small");
        assertThat(fits).allMatch(f -> f.off() < 1e-6);
        // Half circles: of 3 wide, 1 1/2 of them a row and 3 rows are 4 1/2 half circles of radius 1 1/2.
        assertThat(fits.get(0).stitched()).isCloseTo(4.5 * Math.PI * 1.5, within(1e-4));
        assertThat(fits.get(0).density(4.5, 4.5)).isCloseTo(Math.PI / 3, within(1e-4));
    }

    /** Against all sizes tried one by one with the trade's own arithmetic. */
    @Property(tries = 60)
    void theBestSizeIsTheOneLeastOff(
            @ForAll @DoubleRange(min = 3, max = 14) double width,
            @ForAll @DoubleRange(min = 3, max = 14) double height) {
        List<BlockFit> fits = BlockFit.of(width, height, StarterShelf.templates(), MACHINE, TapeScale.SIXTEENTHS);
        double least = Double.MAX_VALUE;
        for (double shell : new double[] {1, 1.5, 3}) {
            double rise = shell / 2;
            double halves = Math.rint(2 * width / shell);
            double across = Math.abs(width - halves * shell / 2);
            double over = height - rise * Math.floor(height / rise + 1e-9);
            double up = over >= 0.4 * rise - 1e-9 ? rise - over : over;
            if (Math.abs(over - 0.4 * rise) > 1e-6) {
                least = Math.min(least, across + up);
            }
        }
        assertThat(fits).isNotEmpty();
        assertThat(fits.get(0).off()).isLessThanOrEqualTo(least + 1.0 / 64);
        for (int i = 1; i < fits.size(); i++) {
            assertThat(fits.get(i).off()).isGreaterThanOrEqualTo(fits.get(i - 1).off() - 1.0 / 64);
        }
    }

    /** A ring on the edge of one appliqué that lies wholly under another is not stitched; on a free edge it may be. */
    @Test
    void anEdgeUnderAnotherAppliqueIsNoEdge() {
        Area.Applique inner = new Area.Applique(new Area.Ellipse(Point.ORIGIN, 0.5, 0.5, 0), 0.25);
        Area.Applique outer = new Area.Applique(new Area.Ellipse(Point.ORIGIN, 0.5, 0.5, 0), 0.5);
        AreaDesign ring = AreaDesign.of(new AreaMotif.Rings(1, 0.25, 1, AreaMotif.Spokes.NONE), Optional.empty());
        Tools tools = new Tools(StarterShelf.templates(), MACHINE);
        assertThat(AreaDesigner.layOut(
                                ID,
                                block(12),
                                ring,
                                List.of(AreaSpace.grown(inner), AreaSpace.grown(outer)),
                                tools,
                                TapeScale.SIXTEENTHS)
                        .lines())
                .isEmpty();
        assertThat(AreaDesigner.layOut(
                                ID, block(12), ring, List.of(AreaSpace.grown(inner)), tools, TapeScale.SIXTEENTHS)
                        .lines())
                .hasSize(1);
    }

    /** A quarter of 3 takes 11 lines at 1/4 and 5 at 1/2 (the trade's value). */
    @Test
    void quartersOfABlock() {
        AreaPlan plan = plan(block(6), new AreaMotif.Quarters(0.25, 0.5), "furrow-short");
        for (int quarter = 1; quarter <= 4; quarter++) {
            int set = quarter;
            List<StitchLine> lines =
                    plan.lines().stream().filter(l -> l.sub() == set).toList();
            assertThat(lines).hasSize(quarter % 2 == 1 ? 11 : 5);
            assertThat(lines).allMatch(l -> Math.abs(l.path().length() - 3) < 1e-9);
        }
        // Two marks a quarter: whatever else there is is laid beside the line before.
        assertThat(plan.marks()).hasSize(8);
    }
}
