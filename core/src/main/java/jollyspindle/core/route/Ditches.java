package jollyspindle.core.route;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.BoxIndex;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Places;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.interfaces.ShortestPathAlgorithm.SingleSourcePaths;
import org.jgrapht.alg.shortestpath.AStarShortestPath;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.alg.util.UnionFind;
import org.jgrapht.graph.WeightedMultigraph;
import org.jgrapht.traverse.ClosestFirstIterator;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * The seams and edges that a needle can travel along, between places known beforehand; and lines, once they are stitched.
 *
 * <p>The shortest way is found after E. W. Dijkstra, “A note on two problems in connexion with graphs”, Numerische Mathematik 1
 * (1959), by JGraphT; it takes O(n log n) for n places.
 * Towards one known place it goes after P. E. Hart, N. J. Nilsson and B. Raphael, “A formal basis for the heuristic determination
 * of minimum cost paths”, IEEE Transactions on Systems Science and Cybernetics 4 (1968).
 */
final class Ditches {

    /** One piece of a ditch between two places; an own object each, since two may be alike. */
    private static final class Way {
        private final Curve curve;
        private final Point from;
        private final Point to;
        private final boolean stitched;

        Way(Curve curve, Point from, Point to, boolean stitched) {
            this.curve = curve;
            this.from = from;
            this.to = to;
            this.stitched = stitched;
        }
    }

    /**
     * A way from one place to another.
     *
     * @param how it goes
     */
    record Found(Path path, Travel.How how) {}

    /** A little less than straight, or the last digits make a way that leads straight on look longer than it is. */
    private static final double CONSISTENT = 1 - 1e-9;

    private final WeightedMultigraph<Point, Way> graph = new WeightedMultigraph<>(Way.class);
    private final Places<Point> known = new Places<>(2 * Tolerances.SAME_PLACE);

    private final Map<Point, SingleSourcePaths<Point, Way>> trees = new HashMap<>();

    /** What was asked for before. */
    private final Map<List<Point>, Optional<Found>> asked = new HashMap<>();

    /** Looks first where the other place lies, so that what is asked about neighbours costs no more where there are many. */
    private final AStarShortestPath<Point, Way> near =
            new AStarShortestPath<>(graph, (from, to) -> CONSISTENT * from.distance(to));

    /** Which places lead to each other. */
    private final UnionFind<Point> connected = new UnionFind<>(new HashSet<>());

    private final List<Point> stops;
    private final BoxIndex where;

    /**
     * The network.
     *
     * @param ditches that can be travelled along; one leads into another where it ends on it
     * @param stops where lines begin and end; those that lie on no ditch don't matter
     */
    Ditches(List<Path> ditches, List<Point> stops) {
        this.stops = new ArrayList<>(stops);
        for (Path ditch : ditches) {
            this.stops.add(ditch.start());
            this.stops.add(ditch.end());
        }
        where = new BoxIndex(this.stops.stream().map(p -> Box.of(p, p)).toList());
        for (Path ditch : ditches) {
            ditch.curves().forEach(curve -> add(curve, false));
        }
    }

    /** From now on the needle can go along a line, too. */
    void stitched(Path line) {
        trees.clear();
        asked.clear();
        line.curves().forEach(curve -> add(curve, true));
    }

    private void add(Curve curve, boolean stitched) {
        // A line that ends a chalk line's width beside a seam ends in it.
        double within = stitched ? Tolerances.SAME_PLACE : Tolerances.CHALK;
        Box near = curve.box().grown(within);
        List<Double> parts = new ArrayList<>(List.of(0.0, 1.0));
        for (int i : where.meeting(near)) {
            if (curve.passes(stops.get(i), within)) {
                double at = curve.nearest(stops.get(i));
                parts.add(at);
                if (curve.at(at).distance(stops.get(i)) > Tolerances.SAME_PLACE) {
                    way(new Segment(stops.get(i), curve.at(at)), false);
                }
            }
        }
        parts.sort(null);
        double from = 0;
        for (double to : parts) {
            if ((to - from) * curve.length() > Tolerances.SAME_PLACE) {
                way(curve.piece(from, to), stitched);
                from = to;
            }
        }
    }

    private void way(Curve piece, boolean stitched) {
        Point start = vertex(piece.start());
        Point end = vertex(piece.end());
        if (!start.equals(end)) {
            Way way = new Way(piece, start, end, stitched);
            graph.addEdge(start, end, way);
            // Ends that are moved to a place a hair beside them mustn't be further apart than the way is long.
            graph.setEdgeWeight(way, Math.max(piece.length(), start.distance(end)));
            connected.union(start, end);
        }
    }

    /**
     * Whether only one line leads to a place, which ends there: nothing leads there before that is stitched, however short the way
     * over it is.
     */
    boolean isBlind(Point place) {
        return find(place)
                .map(graph::edgesOf)
                .filter(own -> own.size() == 1 && own.iterator().next().stitched)
                .isPresent();
    }

    /** The one place that stands for all next to it. */
    private Point vertex(Point place) {
        Optional<Point> there = find(place);
        if (there.isPresent()) {
            return there.get();
        }
        known.put(place, place);
        graph.addVertex(place);
        connected.addElement(place);
        return place;
    }

    private Optional<Point> find(Point place) {
        return known.at(place);
    }

    /**
     * What stands for all places that a place can be left for by travelling: those of the same ditches; for a place on no
     * ditch, itself.
     */
    Object connectedComponent(Point place) {
        Optional<Point> vertex = find(place);
        if (vertex.isEmpty()) {
            return List.of(
                    Math.round(place.x() / Tolerances.SAME_PLACE / 2),
                    Math.round(place.y() / Tolerances.SAME_PLACE / 2));
        }
        return connected.find(vertex.get());
    }

    /** The shortest way from one place to another; nothing if no ditch leads there. */
    Optional<Found> between(Point from, Point to) {
        return asked.computeIfAbsent(List.of(from, to), both -> find(from, to));
    }

    /** How long that way is, in inches; infinite if there is none. */
    double length(Point from, Point to) {
        Optional<Point> start = find(from);
        Optional<Point> end = find(to);
        return start.isEmpty() || end.isEmpty() || start.equals(end) || !leads(start.get(), end.get())
                ? Double.POSITIVE_INFINITY
                : from(start.get()).getWeight(end.get());
    }

    /**
     * The nearest place that is wanted, by ways from another; nothing if none is reached.
     *
     * @param wanted is asked of places from the nearest on
     */
    Optional<Point> nearest(Point from, Predicate<Point> wanted) {
        Optional<Point> start = find(from);
        if (start.isEmpty()) {
            return Optional.empty();
        }
        ClosestFirstIterator<Point, Way> outwards = new ClosestFirstIterator<>(graph, start.get());
        while (outwards.hasNext()) {
            Point place = outwards.next();
            if (wanted.test(place)) {
                return Optional.of(place);
            }
        }
        return Optional.empty();
    }

    /** The ways from one place to all others. */
    private SingleSourcePaths<Point, Way> from(Point start) {
        return trees.computeIfAbsent(start, new DijkstraShortestPath<>(graph)::getPaths);
    }

    private boolean leads(Point from, Point to) {
        return connected.find(from).equals(connected.find(to));
    }

    private Optional<Found> find(Point from, Point to) {
        Optional<Point> start = find(from);
        Optional<Point> end = find(to);
        if (start.isEmpty() || end.isEmpty() || start.equals(end) || !leads(start.get(), end.get())) {
            return Optional.empty();
        }
        GraphPath<Point, Way> found = near.getPath(start.get(), end.get());
        if (found == null) {
            return Optional.empty();
        }
        List<Curve> curves = new ArrayList<>();
        Point at = start.get();
        boolean anyStitched = false;
        boolean anyDitch = false;
        for (Way way : found.getEdgeList()) {
            boolean forth = way.from.equals(at);
            Curve curve = forth ? way.curve : way.curve.reversed();
            // Two pieces that end in the same place may still be a hair apart.
            if (!curves.isEmpty() && !Path.join(curves.get(curves.size() - 1), curve)) {
                curves.add(new Segment(curves.get(curves.size() - 1).end(), curve.start()));
            }
            curves.add(curve);
            at = forth ? way.to : way.from;
            anyStitched |= way.stitched;
            anyDitch |= !way.stitched;
        }
        Travel.How how = anyStitched ? anyDitch ? Travel.How.BOTH : Travel.How.RETRACED : Travel.How.DITCH;
        return Optional.of(new Found(new Path(curves), how));
    }
}
