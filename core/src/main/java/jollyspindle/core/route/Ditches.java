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
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.alg.interfaces.ShortestPathAlgorithm.SingleSourcePaths;
import org.jgrapht.alg.shortestpath.AStarShortestPath;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.WeightedMultigraph;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The seams and edges that a needle can travel along, between places known beforehand.
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

        Way(Curve curve, Point from, Point to) {
            this.curve = curve;
            this.from = from;
            this.to = to;
        }
    }

    private final WeightedMultigraph<Point, Way> graph = new WeightedMultigraph<>(Way.class);
    private final Places<Point> known = new Places<>(2 * Tolerances.SAME_PLACE);

    private final Map<Point, SingleSourcePaths<Point, Way>> trees = new HashMap<>();

    /** What was asked for before. */
    private final Map<List<Point>, Optional<Path>> asked = new HashMap<>();

    /** Looks first where the other place lies, so that what is asked about neighbours costs no more where there are many. */
    private final AStarShortestPath<Point, Way> near = new AStarShortestPath<>(graph, Point::distance);

    private Map<Point, Point> connected;

    /**
     * The network.
     *
     * @param ditches that can be travelled along; one leads into another where it ends on it
     * @param stops where lines begin and end; those that lie on no ditch don't matter
     */
    Ditches(List<Path> ditches, List<Point> stops) {
        List<Point> all = new ArrayList<>(stops);
        for (Path ditch : ditches) {
            all.add(ditch.start());
            all.add(ditch.end());
        }
        BoxIndex where = new BoxIndex(all.stream().map(p -> Box.of(p, p)).toList());
        for (Path ditch : ditches) {
            for (Curve curve : ditch.curves()) {
                add(curve, all, where);
            }
        }
    }

    private void add(Curve curve, List<Point> stops, BoxIndex where) {
        Box near = curve.box().grown(Tolerances.SAME_PLACE);
        List<Double> parts = new ArrayList<>(List.of(0.0, 1.0));
        for (int i : where.meeting(near)) {
            if (curve.passes(stops.get(i), Tolerances.SAME_PLACE)) {
                parts.add(curve.nearest(stops.get(i)));
            }
        }
        parts.sort(null);
        double from = 0;
        for (double to : parts) {
            if ((to - from) * curve.length() > Tolerances.SAME_PLACE) {
                Curve piece = curve.piece(from, to);
                Point start = vertex(piece.start());
                Point end = vertex(piece.end());
                if (!start.equals(end)) {
                    Way way = new Way(piece, start, end);
                    graph.addEdge(start, end, way);
                    graph.setEdgeWeight(way, piece.length());
                }
                from = to;
            }
        }
    }

    /** The one place that stands for all next to it. */
    private Point vertex(Point place) {
        Optional<Point> there = find(place);
        if (there.isPresent()) {
            return there.get();
        }
        known.put(place, place);
        graph.addVertex(place);
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
        if (connected == null) {
            connected = new HashMap<>();
            for (Set<Point> set : new ConnectivityInspector<>(graph).connectedSets()) {
                Point first = set.iterator().next();
                set.forEach(p -> connected.put(p, first));
            }
        }
        return connected.get(vertex.get());
    }

    /** The shortest way from one place to another; nothing if no ditch leads there. */
    Optional<Path> between(Point from, Point to) {
        return asked.computeIfAbsent(List.of(from, to), both -> find(from, to));
    }

    /** How long that way is, in inches; infinite if there is none. */
    double length(Point from, Point to) {
        Optional<Point> start = find(from);
        Optional<Point> end = find(to);
        return start.isEmpty() || end.isEmpty() || start.equals(end)
                ? Double.POSITIVE_INFINITY
                : from(start.get()).getWeight(end.get());
    }

    /** The ways from one place to all others. */
    private SingleSourcePaths<Point, Way> from(Point start) {
        return trees.computeIfAbsent(start, new DijkstraShortestPath<>(graph)::getPaths);
    }

    private Optional<Path> find(Point from, Point to) {
        Optional<Point> start = find(from);
        Optional<Point> end = find(to);
        if (start.isEmpty() || end.isEmpty() || start.equals(end)) {
            return Optional.empty();
        }
        GraphPath<Point, Way> found = near.getPath(start.get(), end.get());
        if (found == null) {
            return Optional.empty();
        }
        List<Curve> curves = new ArrayList<>();
        Point at = start.get();
        for (Way way : found.getEdgeList()) {
            boolean forth = way.from.equals(at);
            Curve curve = forth ? way.curve : way.curve.reversed();
            // Two pieces that end in the same place may still be a hair apart.
            if (!curves.isEmpty() && !Path.join(curves.get(curves.size() - 1), curve)) {
                curves.add(new Segment(curves.get(curves.size() - 1).end(), curve.start()));
            }
            curves.add(curve);
            at = forth ? way.to : way.from;
        }
        return Optional.of(new Path(curves));
    }
}
