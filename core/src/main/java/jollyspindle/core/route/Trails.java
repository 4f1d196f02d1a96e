package jollyspindle.core.route;

import jollyspindle.core.geometry.Places;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import org.jgrapht.Graph;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.alg.cycle.HierholzerEulerianCycle;
import org.jgrapht.alg.matching.blossom.v5.KolmogorovWeightedPerfectMatching;
import org.jgrapht.alg.spanning.KruskalMinimumSpanningTree;
import org.jgrapht.graph.AsSubgraph;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.Pseudograph;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.jgrapht.graph.builder.GraphTypeBuilder;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Takes lines that hang together in one trail each: where an odd number of them meet, ways are added between two such places, as short
 * as can be all together but for the two places where the trail begins and ends (the Chinese postman's problem: M. Guan, “Graphic
 * programming using odd or even points”, Chinese Mathematics 1, 1962; the matching after V. Kolmogorov, “Blossom V”, Mathematical
 * Programming Computation 1, 2009, the trail after C. Hierholzer, Mathematische Annalen 6, 1873, all by JGraphT).
 */
final class Trails {

    /** More odd places than this aren't matched: it takes too long. */
    private static final int MOST_ODD = 60;

    /** Lines with more ends than this aren't led to from each other. */
    private static final int MOST_JOINED = 120;

    /** What a new start counts as much as, in inches of travel, where ways are weighed. */
    static final double NEW_START = 1e4;

    /** A line, or a way that is travelled. */
    private static final class Step {
        private final Stretch stretch;
        private final Point from;

        Step(Stretch stretch, Point from) {
            this.stretch = stretch;
            this.from = from;
        }
    }

    private final Ditches ways;
    private final Places<Point> places = new Places<>(2 * Tolerances.SAME_PLACE);

    /**
     * Trails.
     *
     * @param ways that can be travelled once all is stitched
     */
    Trails(Ditches ways) {
        this.ways = ways;
    }

    /** All stretches in an order, motif by motif; nothing if so many places are odd that it would take too long. */
    Optional<List<Stretch>> ordered(List<Stretch> all) {
        return ordered(all, false);
    }

    /**
     * The same, but that lines which don't touch are led to from each other first, by the shortest ways that join them all, and are
     * taken in one trail then: the rural postman's problem, as near as G. N. Frederickson, “Approximation algorithms for some postman
     * problems”, Journal of the ACM 26, 1979. Nothing if they are too many.
     */
    Optional<List<Stretch>> orderedTogether(List<Stretch> all) {
        return ordered(all, true);
    }

    private Optional<List<Stretch>> ordered(List<Stretch> all, boolean together) {
        TreeMap<Integer, List<Stretch>> byLayer = new TreeMap<>();
        all.forEach(
                s -> byLayer.computeIfAbsent(s.layer(), n -> new ArrayList<>()).add(s));
        List<Stretch> order = new ArrayList<>();
        for (List<Stretch> layer : byLayer.values()) {
            Graph<Point, Step> graph = graph(layer);
            if (together) {
                if (graph.vertexSet().size() > MOST_JOINED) {
                    return Optional.empty();
                }
                lead(graph);
            }
            List<List<Stretch>> trails = new ArrayList<>();
            for (Set<Point> part : new ConnectivityInspector<>(graph).connectedSets()) {
                Optional<List<Stretch>> own = trail(new AsSubgraph<>(graph, part));
                if (own.isEmpty()) {
                    return Optional.empty();
                }
                trails.add(own.get());
            }
            join(trails, order);
        }
        return Optional.of(order);
    }

    /** Adds the ways that lead from part to part, as short as can be all together (J. B. Kruskal, Proceedings of the AMS 7, 1956). */
    private void lead(Graph<Point, Step> graph) {
        List<List<Point>> parts = new ConnectivityInspector<>(graph)
                .connectedSets().stream()
                        .map(part -> part.stream()
                                .sorted(Comparator.comparingDouble(Point::x).thenComparingDouble(Point::y))
                                .toList())
                        .toList();
        Graph<List<Point>, List<Point>> between = GraphTypeBuilder.<List<Point>, List<Point>>undirected()
                .weighted(true)
                .buildGraph();
        parts.forEach(between::addVertex);
        for (int i = 0; i < parts.size(); i++) {
            for (int k = 0; k < i; k++) {
                List<Point> nearest = List.of();
                double least = NEW_START;
                for (Point from : parts.get(i)) {
                    for (Point to : parts.get(k)) {
                        double length = ways.length(from, to);
                        if (length < least) {
                            least = length;
                            nearest = List.of(from, to);
                        }
                    }
                }
                if (!nearest.isEmpty()) {
                    between.addEdge(parts.get(i), parts.get(k), nearest);
                    between.setEdgeWeight(nearest, least);
                }
            }
        }
        new KruskalMinimumSpanningTree<>(between)
                .getSpanningTree()
                .forEach(way -> graph.addEdge(way.get(0), way.get(1), new Step(null, way.get(0))));
    }

    private Graph<Point, Step> graph(List<Stretch> layer) {
        Graph<Point, Step> graph = new Pseudograph<>(Step.class);
        for (Stretch stretch : layer) {
            Point from = vertex(graph, stretch.start());
            Point to = vertex(graph, stretch.end());
            graph.addEdge(from, to, new Step(stretch, from));
        }
        return graph;
    }

    private Point vertex(Graph<Point, Step> graph, Point place) {
        Point there = places.at(place).orElse(place);
        if (there == place) {
            places.put(place, place);
        }
        graph.addVertex(there);
        return there;
    }

    /** The trail through lines that hang together. */
    private Optional<List<Stretch>> trail(Graph<Point, Step> part) {
        List<Point> odd = part.vertexSet().stream()
                .filter(v -> part.degreeOf(v) % 2 == 1)
                .sorted(Comparator.comparingDouble(Point::x).thenComparingDouble(Point::y))
                .toList();
        if (odd.size() > MOST_ODD) {
            return Optional.empty();
        }
        Graph<Point, Step> whole = new Pseudograph<>(Step.class);
        part.vertexSet().forEach(whole::addVertex);
        part.edgeSet().forEach(e -> whole.addEdge(part.getEdgeSource(e), part.getEdgeTarget(e), e));
        Optional<Step> gap = Optional.empty();
        for (List<Point> pair : matched(odd)) {
            Step jump = new Step(null, pair.get(0));
            whole.addEdge(pair.get(0), pair.get(1), jump);
            if (pair.size() > 2) {
                gap = Optional.of(jump);
            }
        }
        GraphPath<Point, Step> cycle = new HierholzerEulerianCycle<Point, Step>().getEulerianCycle(whole);
        List<Step> steps = cycle.getEdgeList();
        List<Point> at = cycle.getVertexList();
        int first = gap.map(steps::indexOf).map(i -> i + 1).orElse(0);
        List<Stretch> trail = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            int k = (first + i) % steps.size();
            Step step = steps.get(k);
            if (step.stretch != null) {
                trail.add(
                        step.from.equals(at.get(k)) || !step.stretch.turns() ? step.stretch : step.stretch.reversed());
            }
        }
        return Optional.of(trail);
    }

    /**
     * The odd places in pairs: but for one pair, which has a third place and is where the trail begins and ends, so that the ways
     * between all others are as short as can be.
     */
    private List<List<Point>> matched(List<Point> odd) {
        if (odd.isEmpty()) {
            return List.of();
        }
        Graph<Point, DefaultWeightedEdge> graph = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        odd.forEach(graph::addVertex);
        // Two places beyond the cloth that the ends of the trail are matched with.
        List<Point> ends = List.of(new Point(Double.MAX_VALUE, 0), new Point(0, Double.MAX_VALUE));
        ends.forEach(graph::addVertex);
        for (int i = 0; i < odd.size(); i++) {
            for (int k = 0; k < i; k++) {
                double length = Math.min(NEW_START, ways.length(odd.get(i), odd.get(k)));
                graph.setEdgeWeight(graph.addEdge(odd.get(i), odd.get(k)), length);
            }
            for (Point end : ends) {
                graph.setEdgeWeight(graph.addEdge(odd.get(i), end), 0);
            }
        }
        List<List<Point>> pairs = new ArrayList<>();
        List<Point> free = new ArrayList<>();
        for (DefaultWeightedEdge edge :
                new KolmogorovWeightedPerfectMatching<>(graph).getMatching().getEdges()) {
            Point one = graph.getEdgeSource(edge);
            Point other = graph.getEdgeTarget(edge);
            if (ends.contains(one) || ends.contains(other)) {
                free.add(ends.contains(one) ? other : one);
            } else {
                pairs.add(List.of(one, other));
            }
        }
        pairs.add(List.of(free.get(0), free.get(1), free.get(0)));
        return pairs;
    }

    /** Puts trails one after the other, from where the needle is to the nearest. */
    private void join(List<List<Stretch>> trails, List<Stretch> order) {
        List<List<Stretch>> left = new ArrayList<>(trails);
        while (!left.isEmpty()) {
            List<Stretch> best = left.get(0);
            List<Stretch> way = best;
            if (!order.isEmpty()) {
                Point at = order.get(order.size() - 1).end();
                double least = Double.MAX_VALUE;
                for (List<Stretch> trail : left) {
                    for (List<Stretch> other : begun(trail)) {
                        double far = far(at, other.get(0).start());
                        if (far < least) {
                            least = far;
                            best = trail;
                            way = other;
                        }
                    }
                }
            }
            left.remove(best);
            order.addAll(way);
        }
    }

    /** The ways a trail may be gone: from its one end or the other, or, where it comes back, from anywhere. */
    private static List<List<Stretch>> begun(List<Stretch> trail) {
        List<List<Stretch>> all = new ArrayList<>(List.of(trail));
        Point start = trail.get(0).start();
        if (trail.get(trail.size() - 1).end().distance(start) < Tolerances.SAME_PLACE) {
            for (int i = 1; i < trail.size(); i++) {
                List<Stretch> turned = new ArrayList<>(trail.subList(i, trail.size()));
                turned.addAll(trail.subList(0, i));
                all.add(turned);
            }
        }
        if (trail.stream().allMatch(Stretch::turns)) {
            List<Stretch> back = new ArrayList<>();
            trail.forEach(s -> back.add(0, s.reversed()));
            all.add(back);
        }
        return all;
    }

    private double far(Point from, Point to) {
        if (from.distance(to) < Tolerances.SAME_PLACE) {
            return 0;
        }
        double length = ways.length(from, to);
        return length < NEW_START ? length : NEW_START + from.distance(to);
    }
}
