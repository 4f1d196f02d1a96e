package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A piece of the plane with exact edges, to cut curves by. It may have holes, and lie in several pieces.
 *
 * <p>What lies on an edge counts as inside.
 */
public final class Region {

    /** Nearer than this, in inches, is on the edge. */
    private static final double ON_EDGE = Tolerances.ROUNDING;

    /** How far from an edge one looks for what lies beside it, in inches. */
    private static final double BESIDE = Tolerances.SAME_PLACE;

    /** Shorter pieces than this, in inches, are nothing. */
    private static final double NOTHING = Tolerances.SAME_PLACE;

    private final List<Curve> edges;

    /** Of boxes round each edge, so that what is far from it needn't be looked at. */
    private final BoxIndex boxes;

    /** Whether a place lies inside; on an edge, either answer may come. */
    private final Predicate<Point> inside;

    /** Whether a place lies inside or on an edge. */
    private final Predicate<Point> holds;

    private Region(List<Curve> edges, Predicate<Point> inside, Predicate<Point> holds) {
        this.edges = List.copyOf(edges);
        this.boxes = boxes(this.edges);
        this.inside = inside;
        this.holds = holds;
    }

    private static Region of(List<Curve> edges, Predicate<Point> inside) {
        BoxIndex boxes = boxes(edges);
        return new Region(edges, inside, p -> inside.test(p) || isOn(edges, boxes, p) && isBeside(inside, p));
    }

    /** What an odd number of outlines encloses: a shape and the holes in it. */
    public static Region of(List<Path> outlines) {
        BoxIndex near = near(outlines);
        return of(
                curves(outlines),
                p -> Arrays.stream(near.holding(p))
                                        .filter(i -> outlines.get(i).contains(p))
                                        .count()
                                % 2
                        == 1);
    }

    public static Region of(Path outline) {
        return of(List.of(outline));
    }

    /** What at least one outline encloses. */
    public static Region union(List<Path> outlines) {
        BoxIndex near = near(outlines);
        return of(curves(outlines), p -> Arrays.stream(near.holding(p))
                .anyMatch(i -> outlines.get(i).contains(p)));
    }

    /** What lies beside an outline's box doesn't lie inside it. */
    private static BoxIndex near(List<Path> outlines) {
        return new BoxIndex(outlines.stream().map(o -> o.box().grown(NOTHING)).toList());
    }

    private static List<Curve> curves(List<Path> outlines) {
        return outlines.stream().flatMap(o -> o.curves().stream()).toList();
    }

    /** What at least two outlines enclose: the lenses where they overlap. */
    public static Region overlaps(List<Path> outlines) {
        BoxIndex near = near(outlines);
        return of(
                curves(outlines),
                p -> Arrays.stream(near.holding(p))
                                .filter(i -> outlines.get(i).contains(p))
                                .limit(2)
                                .count()
                        == 2);
    }

    /**
     * What lies in this and at least so far from lines.
     *
     * @param distance in inches, over 0
     */
    public Region clearOf(List<Path> lines, double distance) {
        List<Curve> beside = new ArrayList<>(edges);
        for (Path line : lines) {
            for (boolean left : new boolean[] {true, false}) {
                Offsets.follow(line, left, distance).forEach(o -> beside.addAll(o.curves()));
            }
            beside.addAll(Path.circle(line.start(), distance).curves());
            beside.addAll(Path.circle(line.end(), distance).curves());
        }
        BoxIndex near =
                new BoxIndex(lines.stream().map(l -> l.box().grown(distance)).toList());
        Predicate<Point> clear =
                p -> Arrays.stream(near.holding(p)).noneMatch(i -> lines.get(i).distance(p) < distance - NOTHING);
        return new Region(beside, p -> inside.test(p) && clear.test(p), p -> holds.test(p) && clear.test(p));
    }

    /** What lies in both. */
    public Region and(Region other) {
        return new Region(
                joined(other), p -> inside.test(p) && other.inside.test(p), p -> holds.test(p) && other.holds.test(p));
    }

    /** What lies in this and not in the other; the other's edges stay. */
    public Region minus(Region other) {
        return new Region(
                joined(other),
                p -> inside.test(p) && !other.inside.test(p),
                p -> holds.test(p)
                        && (!other.inside.test(p)
                                || isOn(other.edges, other.boxes, p) && isBeside(q -> !other.inside.test(q), p)));
    }

    private List<Curve> joined(Region other) {
        return Stream.concat(edges.stream(), other.edges.stream()).toList();
    }

    /** Whether a place lies inside; on an edge, either answer may come. */
    public boolean covers(Point p) {
        return inside.test(p);
    }

    /** What of a path lies inside, in the path's direction; exact but for rounding. */
    public List<Path> within(Path path) {
        return kept(path, true);
    }

    /** What of a path lies outside, in the path's direction. What runs along an edge doesn't. */
    public List<Path> without(Path path) {
        return kept(path, false);
    }

    private List<Path> kept(Path path, boolean wanted) {
        List<Path> found = new ArrayList<>();
        List<Curve> chain = new ArrayList<>();
        for (Curve curve : path.curves()) {
            for (Curve piece : parted(curve)) {
                Point middle = piece.at(0.5);
                if (holds.test(middle) == wanted) {
                    extend(chain, piece);
                } else if (!chain.isEmpty()) {
                    found.add(new Path(chain));
                    chain.clear();
                }
            }
        }
        if (!chain.isEmpty()) {
            found.add(new Path(chain));
        }
        return closed(found, path);
    }

    /** Adds a piece; two that were parted only because an edge touches them are one again. */
    private static void extend(List<Curve> chain, Curve piece) {
        int last = chain.size() - 1;
        if (last >= 0 && chain.get(last) instanceof Arc before && piece instanceof Arc arc) {
            boolean same = before.centre().equals(arc.centre())
                    && before.radius() == arc.radius()
                    && before.sweep() > 0 == arc.sweep() > 0
                    && before.end().distance(arc.start()) < ON_EDGE
                    && Math.abs(before.sweep() + arc.sweep()) <= 2 * Math.PI;
            if (same) {
                chain.set(
                        last,
                        new Arc(before.centre(), before.radius(), before.startAngle(), before.sweep() + arc.sweep()));
                return;
            }
        }
        if (last >= 0 && chain.get(last) instanceof Segment before && piece instanceof Segment line) {
            boolean same = before.to().distance(line.from()) < ON_EDGE
                    && Math.abs(before.direction(0).cross(line.direction(0))) < ON_EDGE
                    && before.direction(0).dot(line.direction(0)) > 0;
            if (same) {
                chain.set(last, new Segment(before.from(), line.to()));
                return;
            }
        }
        chain.add(piece);
    }

    /** A closed path may have been cut where it happens to begin; what hangs together there is one piece. */
    private static List<Path> closed(List<Path> found, Path path) {
        int last = found.size() - 1;
        if (last < 1
                || !path.closed()
                || found.get(0).start().distance(path.start()) > ON_EDGE
                || found.get(last).end().distance(path.end()) > ON_EDGE) {
            return List.copyOf(found);
        }
        List<Curve> joined = new ArrayList<>(found.get(last).curves());
        List<Curve> first = found.get(0).curves();
        extend(joined, first.get(0));
        joined.addAll(first.subList(1, first.size()));
        List<Path> all = new ArrayList<>(found.subList(1, last));
        all.add(0, new Path(joined));
        return List.copyOf(all);
    }

    /** A curve in the pieces that the edges part it into. */
    private List<Curve> parted(Curve curve) {
        List<Double> places = new ArrayList<>(List.of(0.0, 1.0));
        for (int i : boxes.along(curve)) {
            Crossings.of(curve, edges.get(i)).forEach(x -> places.add(x.onFirst()));
        }
        places.sort(null);
        List<Curve> parts = new ArrayList<>();
        double from = 0;
        for (double to : places) {
            if ((to - from) * curve.length() > NOTHING) {
                parts.add(from == 0 && to == 1 ? curve : curve.piece(from, to));
                from = to;
            }
        }
        return parts;
    }

    /** Whether something inside is next to a place: an edge that lies wholly outside, or in a hole, is none. */
    private static boolean isBeside(Predicate<Point> inside, Point p) {
        for (int i = 0; i < 8; i++) {
            if (inside.test(p.plus(Point.direction(i * Math.PI / 4 + 0.1).times(BESIDE)))) {
                return true;
            }
        }
        return false;
    }

    private static boolean isOn(List<Curve> edges, BoxIndex boxes, Point p) {
        for (int i : boxes.holding(p)) {
            if (edges.get(i).passes(p, ON_EDGE)) {
                return true;
            }
        }
        return false;
    }

    private static BoxIndex boxes(List<Curve> edges) {
        return new BoxIndex(edges.stream().map(e -> e.box().grown(NOTHING)).toList());
    }
}
