package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Places;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.route.Travel;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.alg.matching.blossom.v5.KolmogorovWeightedPerfectMatching;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleGraph;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.jgrapht.graph.WeightedMultigraph;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/**
 * How often the thread is begun and how far the needle travels, against what no order can be below: as many starts as there are parts
 * that neither seam nor stitching joins, and the shortest ways that pair the places where an odd number of lines end, but for two (the
 * Chinese postman's problem); both by JGraphT, on a graph of their own.
 */
class ThreadTest {

    private static final double NEAR = 1e-5;

    private static AreaPlan plan(Area area, AreaMotif motif, double foot) {
        return plan(area, motif, foot, false);
    }

    private static AreaPlan plan(Area area, AreaMotif motif, double foot, boolean changeOver) {
        return AreaDesigner.layOut(
                AreaChecks.ID,
                area,
                AreaDesign.of(motif, Optional.empty()),
                AreaSurroundings.none(),
                new AreaRules(OptionalDouble.empty(), Integer.MAX_VALUE, changeOver),
                new EdgeCatalog(StarterShelf.templates(), new Machine(foot)),
                TapeScale.SIXTEENTHS);
    }

    private static List<Path> seams(Area area) {
        return area.clearance() > 0
                ? List.of()
                : AreaSpace.of(area, AreaSurroundings.none()).stream()
                        .map(AreaSpace::cloth)
                        .toList();
    }

    /** Parts that hang together: by lines that end on each other, and by seams. */
    private static int parts(AreaPlan plan, List<Path> seams) {
        Graph<Object, DefaultWeightedEdge> graph = new SimpleGraph<>(DefaultWeightedEdge.class);
        plan.lines().forEach(graph::addVertex);
        for (StitchLine line : plan.lines()) {
            for (Point end : List.of(line.path().start(), line.path().end())) {
                plan.lines().stream()
                        .filter(other -> other != line && other.path().passes(end, NEAR))
                        .forEach(other -> graph.addEdge(line, other));
                for (Path seam : seams) {
                    if (seam.passes(end, NEAR)) {
                        graph.addVertex(seam);
                        graph.addEdge(line, seam);
                    }
                }
            }
        }
        for (Path seam : seams) {
            for (Path other : seams) {
                if (seam != other
                        && graph.containsVertex(seam)
                        && graph.containsVertex(other)
                        && seam.curves().stream().anyMatch(c -> other.passes(c.start(), NEAR))) {
                    graph.addEdge(seam, other);
                }
            }
        }
        return new ConnectivityInspector<>(graph).connectedSets().size();
    }

    /** The least that has to be travelled for a single thread, in inches. */
    private static double leastTravel(AreaPlan plan, List<Path> seams) {
        Places<Point> known = new Places<>(NEAR);
        Graph<Point, DefaultWeightedEdge> graph = new WeightedMultigraph<>(DefaultWeightedEdge.class);
        Map<Point, Integer> ends = new HashMap<>();
        for (StitchLine line : plan.lines()) {
            ends.merge(vertex(line.path().start(), known, graph), line.passes(), Integer::sum);
            ends.merge(vertex(line.path().end(), known, graph), line.passes(), Integer::sum);
        }
        seams.forEach(seam -> seam.curves().forEach(c -> vertex(c.start(), known, graph)));
        List<Path> paths = plan.lines().stream().map(StitchLine::path).toList();
        for (int i = 0; i < paths.size(); i++) {
            for (int k = 0; k < i; k++) {
                crossings(paths.get(i), paths.get(k)).forEach(place -> vertex(place, known, graph));
            }
        }
        List<Point> stops = new ArrayList<>(graph.vertexSet());
        Stream.concat(seams.stream(), plan.lines().stream().map(StitchLine::path))
                .flatMap(path -> path.curves().stream())
                .forEach(curve -> split(curve, stops, known, graph));
        List<Point> odd =
                ends.keySet().stream().filter(p -> ends.get(p) % 2 == 1).toList();
        if (odd.size() <= 2) {
            return 0;
        }
        Graph<Object, DefaultWeightedEdge> pairs = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        List<String> free = List.of("begin", "end");
        odd.forEach(pairs::addVertex);
        free.forEach(pairs::addVertex);
        for (int i = 0; i < odd.size(); i++) {
            var ways = new DijkstraShortestPath<>(graph).getPaths(odd.get(i));
            for (int k = 0; k < i; k++) {
                pairs.setEdgeWeight(pairs.addEdge(odd.get(i), odd.get(k)), Math.min(1e4, ways.getWeight(odd.get(k))));
            }
            for (String one : free) {
                pairs.setEdgeWeight(pairs.addEdge(odd.get(i), one), 0);
            }
        }
        return new KolmogorovWeightedPerfectMatching<>(pairs).getMatching().getWeight();
    }

    private static Stream<Point> crossings(Path one, Path other) {
        return one.curves().stream().flatMap(curve -> other.curves().stream()
                .flatMap(across -> Crossings.of(curve, across).stream().map(c -> curve.at(c.onFirst()))));
    }

    private static Point vertex(Point place, Places<Point> known, Graph<Point, DefaultWeightedEdge> graph) {
        Point there = known.at(place).orElse(place);
        if (graph.addVertex(there)) {
            known.put(there, there);
        }
        return there;
    }

    private static void split(
            Curve curve, List<Point> stops, Places<Point> known, Graph<Point, DefaultWeightedEdge> graph) {
        TreeMap<Double, Point> on = new TreeMap<>();
        on.put(0.0, vertex(curve.start(), known, graph));
        on.put(1.0, vertex(curve.end(), known, graph));
        stops.stream().filter(s -> curve.passes(s, NEAR)).forEach(s -> on.put(curve.nearest(s), s));
        Map.Entry<Double, Point> before = on.firstEntry();
        for (Map.Entry<Double, Point> next : on.entrySet()) {
            if (!next.getValue().equals(before.getValue())) {
                graph.setEdgeWeight(
                        graph.addEdge(before.getValue(), next.getValue()),
                        (next.getKey() - before.getKey()) * curve.length());
            }
            before = next;
        }
    }

    static Stream<Arguments> areas() {
        return Stream.of(
                Arguments.of("a block", new Area.Blocks(1, 1, 8, 8, 0)),
                Arguments.of("one that doesn't divide", new Area.Blocks(1, 1, 8.7, 8.7, 0)),
                Arguments.of("kept clear of its seams", new Area.Blocks(1, 1, 8, 8, 0, 0.25)),
                Arguments.of("blocks that touch", new Area.Blocks(3, 3, 6, 6, 0)),
                Arguments.of("blocks with sashing", new Area.Blocks(2, 2, 6, 6, 1)),
                Arguments.of("a medallion", new Area.Medallion(12)));
    }

    /** What the gallery offers, with feet of any size: no more starts than parts. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("areas")
    void thereAreAsFewStartsAsParts(String name, Area area) {
        List<Path> seams = seams(area);
        for (double foot : new double[] {0.2375, 0.245, 0.25, 0.262, 0.3}) {
            for (AreaPreset preset : AreaPreset.of(area)) {
                // Lines are laid on the ones before, which leads them from one free end to the next.
                boolean laid = area.clearance() > 0 && preset.code().equals("crosshatch");
                AreaPlan plan = plan(area, preset.motif(), foot);
                if (!laid && !plan.lines().isEmpty()) {
                    assertThat(plan.starts())
                            .as("%s, foot %s", preset.code(), foot)
                            .isLessThanOrEqualTo(parts(plan, seams));
                }
            }
        }
    }

    /** Where a seam is but kept clear of, nothing travels over open cloth. */
    @Test
    void nothingIsTravelledOverOpenCloth() {
        Area area = new Area.Blocks(1, 1, 8, 8, 0, 0.25);
        for (AreaPreset preset : AreaPreset.of(area)) {
            AreaPlan plan = plan(area, preset.motif(), 0.25);
            Path outline = AreaSpace.of(area, AreaSurroundings.none()).get(0).outline();
            for (Travel travel : plan.travels()) {
                assertThat(travel.path().curves())
                        .as("%s to %s", preset.code(), travel.to())
                        .noneMatch(curve -> travel.how() != Travel.How.RETRACED
                                && curve.length() > NEAR
                                && outline.passes(curve.at(0.3), NEAR)
                                && outline.passes(curve.at(0.7), NEAR));
            }
        }
    }

    /** Nearly as little is travelled as must be, where lines may be stitched in any order. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "clamshells",
                "peel",
                "circles-changed-over",
                "crosshatch",
                "curved-hatch",
                "whirl",
                "straight-fans",
                "arms",
                "rings",
                "wreath",
                "points"
            })
    void littleMoreIsTravelledThanMustBe(String code) {
        for (double side : new double[] {6, 8, 8.7}) {
            Area area = new Area.Blocks(1, 1, side, side, 0);
            AreaPreset preset = AreaPreset.of(area).stream()
                    .filter(p -> p.code().equals(code))
                    .findFirst()
                    .orElseThrow();
            AreaPlan plan = plan(area, preset.motif(), 0.25);
            if (!plan.lines().isEmpty()) {
                assertThat(plan.starts()).isEqualTo(parts(plan, seams(area)));
                assertThat(plan.travelled())
                        .as("in a block of %s", side)
                        .isLessThanOrEqualTo(1.25 * leastTravel(plan, seams(area)) + 1e-6);
            }
        }
    }

    static Stream<Arguments> backgrounds() {
        AreaMotif hatch = new AreaMotif.Crosshatch(1.5, Math.PI / 4);
        AreaMotif upright = new AreaMotif.Crosshatch(2, Math.PI / 2);
        AreaMotif shells = new AreaMotif.Clamshells(0);
        return Stream.of(
                Arguments.of(22, hatch, false),
                Arguments.of(30, hatch, false),
                Arguments.of(42, hatch, false),
                Arguments.of(30, hatch, true),
                Arguments.of(42, hatch, true),
                Arguments.of(30, upright, false),
                Arguments.of(30, upright, true),
                Arguments.of(42, upright, true),
                Arguments.of(30, shells, false),
                Arguments.of(22, shells, true),
                Arguments.of(42, shells, true));
    }

    /** A background that isn't square, whole or round an appliqué: lines lead from seam to seam, however they wait for each other. */
    @ParameterizedTest(name = "{0} wide, {1}, round an appliqué: {2}")
    @MethodSource("backgrounds")
    void littleMoreIsTravelledInABackgroundThanMustBe(double width, AreaMotif motif, boolean round) {
        Path body = Box.of(new Point(-width / 2, -width / 2 - 1), new Point(width / 2, width / 2 + 1))
                .outline();
        Area leaf = new Area.Applique(new Area.Ellipse(new Point(1, 2), 5, 4, 0.4), 0);
        List<Path> inTheWay = round ? AreaSpace.cloth(leaf, body) : List.of();
        AreaPlan plan = AreaDesigner.layOut(
                AreaChecks.ID,
                new Area.Body(0),
                AreaDesign.of(motif, Optional.empty()),
                new AreaSurroundings(body, inTheWay, List.of()),
                AreaChecks.RULES,
                new EdgeCatalog(StarterShelf.templates(), AreaChecks.MACHINE),
                TapeScale.SIXTEENTHS);
        List<Path> seams = Stream.concat(Stream.of(body), inTheWay.stream()).toList();
        assertThat(plan.starts()).isEqualTo(parts(plan, seams));
        assertThat(plan.travelled()).isLessThanOrEqualTo(1.25 * leastTravel(plan, seams) + 1e-6);
    }

    /** Nine blocks that touch are one thread, through the seams between them; the sums tell so, too. */
    @Test
    void blocksThatTouchAreOneThread() {
        Area area = new Area.Blocks(3, 3, 6, 6, 0);
        AreaPlan plan = plan(area, new AreaMotif.Clamshells(0), 0.25);
        assertThat(plan.starts()).isEqualTo(1);
        assertThat(plan.sums()).singleElement().satisfies(sum -> {
            assertThat(sum.starts()).isEqualTo(1);
            assertThat(sum.travelled())
                    .isCloseTo(
                            plan.travels().stream()
                                    .mapToDouble(t -> t.path().length())
                                    .sum(),
                            within(1e-9));
        });
        assertThat(plan(new Area.Blocks(3, 3, 6, 6, 1), new AreaMotif.Clamshells(0), 0.25)
                        .starts())
                .isEqualTo(9);
    }

    static Stream<Arguments> crossing() {
        Area clear = new Area.Blocks(1, 1, 8, 8, 0, 0.25);
        Area round = new Area.Medallion(Area.Medallion.Shape.ROUND, 12, 0.5);
        return Stream.of(
                Arguments.of(clear, "crosshatch"),
                Arguments.of(clear, "curved-hatch"),
                Arguments.of(clear, "arms-crossed"),
                Arguments.of(clear, "clamshells-by-hand"),
                Arguments.of(round, "crosshatch"),
                Arguments.of(round, "curved-hatch"),
                Arguments.of(round, "arms-crossed"),
                Arguments.of(round, "clamshells-by-hand"));
    }

    /** Where lines end on open cloth but cross, changing them over makes one thread of all that hangs together, without a mark more. */
    @ParameterizedTest(name = "{1} in {0}")
    @MethodSource("crossing")
    void linesThatCrossAreChangedOverIfAllowed(Area area, String code) {
        AreaPreset preset = AreaPreset.of(area).stream()
                .filter(p -> p.code().equals(code))
                .findFirst()
                .orElseThrow();
        for (double foot : new double[] {0.2375, 0.245, 0.25, 0.262, 0.3}) {
            AreaPlan whole = plan(area, preset.motif(), foot);
            AreaPlan parts = plan(area, preset.motif(), foot, true);
            assertThat(parts.starts())
                    .as("foot %s", foot)
                    .isEqualTo(crossingParts(parts))
                    .isLessThan(whole.starts());
            assertThat(parts.marks()).containsExactlyInAnyOrderElementsOf(whole.marks());
            assertThat(stitched(parts)).isCloseTo(stitched(whole), within(1e-6));
            if (foot == AreaChecks.MACHINE.footRadius() && !code.endsWith("by-hand")) {
                AreaChecks.check(area, parts, StarterShelf.templates());
            }
        }
    }

    /** Where one thread would do already, nothing is cut. */
    @Test
    void nothingIsChangedOverWhereNoStartIsSaved() {
        Area area = new Area.Blocks(1, 1, 8, 8, 0);
        for (AreaPreset preset : AreaPreset.of(area)) {
            AreaPlan whole = plan(area, preset.motif(), 0.25);
            if (whole.starts() == 1) {
                assertThat(plan(area, preset.motif(), 0.25, true))
                        .as(preset.code())
                        .isEqualTo(whole);
            }
        }
    }

    private static double stitched(AreaPlan plan) {
        return plan.lines().stream()
                .mapToDouble(l -> l.passes() * l.path().length())
                .sum();
    }

    /** Parts that hang together by lines that cross or meet. */
    private static int crossingParts(AreaPlan plan) {
        Graph<Object, DefaultWeightedEdge> graph = new SimpleGraph<>(DefaultWeightedEdge.class);
        plan.lines().forEach(graph::addVertex);
        for (StitchLine line : plan.lines()) {
            plan.lines().stream()
                    .takeWhile(other -> other != line)
                    .filter(other ->
                            crossings(line.path(), other.path()).findAny().isPresent())
                    .forEach(other -> graph.addEdge(line, other));
        }
        return new ConnectivityInspector<>(graph).connectedSets().size();
    }
}
