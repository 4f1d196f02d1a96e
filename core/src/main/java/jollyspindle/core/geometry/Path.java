package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Curves that hang together, each starting where the one before ends.
 *
 * @param curves in order of travel, at least one
 */
public record Path(List<Curve> curves) {

    public Path {
        curves = List.copyOf(curves);
        if (curves.isEmpty()) {
            throw new IllegalArgumentException("a path has at least one curve");
        }
        for (int i = 1; i < curves.size(); i++) {
            if (!join(curves.get(i - 1), curves.get(i))) {
                throw new IllegalArgumentException(Refusals.say("path.apart", "number", i));
            }
        }
    }

    /** Whether a curve starts where the one before ends. */
    public static boolean join(Curve before, Curve next) {
        return before.end().distance(next.start()) <= Tolerances.SAME_PLACE;
    }

    public static Path of(Curve... curves) {
        return new Path(List.of(curves));
    }

    /** Straight lines through places, and back to the first. */
    public static Path polygon(List<Point> corners) {
        List<Curve> sides = new ArrayList<>();
        for (int i = 0; i < corners.size(); i++) {
            sides.add(new Segment(corners.get(i), corners.get((i + 1) % corners.size())));
        }
        return new Path(sides);
    }

    /** The whole circle, counter-clockwise from its rightmost place. */
    public static Path circle(Point centre, double radius) {
        return of(new Arc(centre, radius, 0, 2 * Math.PI));
    }

    public Point start() {
        return curves.get(0).start();
    }

    public Point end() {
        return curves.get(curves.size() - 1).end();
    }

    public boolean closed() {
        return start().distance(end()) <= Tolerances.SAME_PLACE;
    }

    /** Along all curves, in inches. */
    public double length() {
        return curves.stream().mapToDouble(Curve::length).sum();
    }

    public Path posed(Pose pose) {
        return new Path(curves.stream().map(c -> c.posed(pose)).toList());
    }

    /** This path moved, without turning. */
    public Path moved(Point by) {
        return posed(new Pose(by, 0));
    }

    /**
     * The way along this path from one place on it to another, the shorter one round a closed path.
     *
     * @return nothing if a place isn't on the path, or both are the same
     */
    public Optional<Path> between(Point from, Point to) {
        OptionalDouble start = along(from);
        OptionalDouble end = along(to);
        if (start.isEmpty() || end.isEmpty() || from.distance(to) <= Tolerances.SAME_PLACE) {
            return Optional.empty();
        }
        boolean back = end.getAsDouble() < start.getAsDouble();
        double low = back ? end.getAsDouble() : start.getAsDouble();
        double high = back ? start.getAsDouble() : end.getAsDouble();
        List<Curve> direct = pieces(low, high);
        Path way = new Path(direct);
        if (closed() && way.length() > length() / 2) {
            List<Curve> round = new ArrayList<>(pieces(high, curves.size()));
            round.addAll(pieces(0, low));
            return Optional.of(back ? new Path(round) : new Path(round).reversed());
        }
        return Optional.of(back ? way.reversed() : way);
    }

    /** Where on the path a place is: so many curves on from the start. */
    private OptionalDouble along(Point place) {
        for (int i = 0; i < curves.size(); i++) {
            double part = curves.get(i).nearest(place);
            if (curves.get(i).at(part).distance(place) <= Tolerances.SAME_PLACE) {
                return OptionalDouble.of(i + part);
            }
        }
        return OptionalDouble.empty();
    }

    private List<Curve> pieces(double from, double to) {
        List<Curve> found = new ArrayList<>();
        for (int i = (int) Math.floor(from); i < Math.min(to, curves.size()); i++) {
            double start = Math.max(0, from - i);
            double end = Math.min(1, to - i);
            if (end > start) {
                found.add(start == 0 && end == 1 ? curves.get(i) : curves.get(i).piece(start, end));
            }
        }
        return found;
    }

    public Path mirrored() {
        return new Path(curves.stream().map(Curve::mirrored).toList());
    }

    public Path reversed() {
        List<Curve> back = new ArrayList<>(curves.stream().map(Curve::reversed).toList());
        Collections.reverse(back);
        return new Path(back);
    }

    public Box box() {
        return curves.stream().map(Curve::box).reduce(Box::with).orElseThrow();
    }

    /** From a point to the nearest place of this path, in inches. */
    public double distance(Point p) {
        double nearest = Double.MAX_VALUE;
        for (Curve curve : curves) {
            nearest = Math.min(nearest, curve.distance(p));
        }
        return nearest;
    }

    /** Whether this path passes a point nearer than a distance, in inches. */
    public boolean passes(Point p, double within) {
        for (Curve curve : curves) {
            if (curve.passes(p, within)) {
                return true;
            }
        }
        return false;
    }

    /**
     * What a closed path encloses, in square inches; positive if it runs counter-clockwise.
     *
     * <p>Green's theorem: half the sum of the cross products of the corners, and for each arc the circular segment
     * r²(θ − sin θ)/2 between it and its chord.
     */
    public double area() {
        double twice = 0;
        for (Curve c : curves) {
            twice += c.start().cross(c.end());
            if (c instanceof Arc arc) {
                twice += arc.radius() * arc.radius() * (arc.sweep() - Math.sin(arc.sweep()));
            }
        }
        return twice / 2;
    }

    /** Whether a place lies inside a closed path; on its edge, either answer may come. */
    public boolean contains(Point p) {
        // By the angle under which the path is seen from there, summed up: a full turn inside, nothing outside.
        double turns = 0;
        for (Curve c : curves) {
            if (c instanceof Arc arc) {
                turns += seen(arc, p);
            } else {
                turns += seen(c.start(), c.end(), p);
            }
        }
        return Math.abs(turns) > Math.PI;
    }

    private static double seen(Point from, Point to, Point p) {
        Point a = from.minus(p);
        Point b = to.minus(p);
        return Math.atan2(a.cross(b), a.dot(b));
    }

    private static double seen(Arc arc, Point p) {
        // Between two places no further apart than a third of a turn the chord lies on the same side of p as the arc,
        // unless p lies between them: then the arc is seen the other way round.
        int pieces = (int) Math.ceil(Math.abs(arc.sweep()) / (2 * Math.PI / 3) + Tolerances.ROUNDING);
        double sum = 0;
        for (int i = 0; i < pieces; i++) {
            Arc piece = arc.piece((double) i / pieces, (i + 1.0) / pieces);
            double chord = seen(piece.start(), piece.end(), p);
            boolean inCircle = p.distance(arc.centre()) < arc.radius();
            // By the chord's own angle, so that a place on the chord, seen under half a turn either way, comes out
            // right.
            if (inCircle && chord * piece.sweep() < 0) {
                chord += Math.signum(piece.sweep()) * 2 * Math.PI;
            }
            sum += chord;
        }
        return sum;
    }

    /**
     * Places along the path with straight lines between them no further off than a tolerance, for drawing and for those
     * who know straight lines only.
     *
     * @param tolerance in inches, over 0
     */
    public List<Point> flattened(double tolerance) {
        List<Point> places = new ArrayList<>(List.of(start()));
        for (Curve c : curves) {
            int steps = 1;
            if (c instanceof Arc arc) {
                double step = 2 * Math.acos(Math.max(0, 1 - tolerance / arc.radius()));
                steps = (int) Math.max(1, Math.ceil(Math.abs(arc.sweep()) / step));
            }
            for (int i = 1; i <= steps; i++) {
                places.add(c.at((double) i / steps));
            }
        }
        return places;
    }
}
