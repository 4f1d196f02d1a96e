package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;

import java.util.ArrayList;
import java.util.List;

/**
 * A free curve turned into arcs and lines that follow it within a tolerance and run smoothly into each other.
 *
 * <p>Each stretch is followed by two arcs that share its ends and its directions there (a biarc with tangent lengths alike
 * at both ends; K. M. Bolton, "Biarc curves", Computer-Aided Design 7 (1975), from memory), and is halved while they stray.
 * What is offset afterwards is exact for the arcs, so it is off by no more than the tolerance either.
 */
public final class ArcSpline {

    /** How far arcs may stray from the curve they stand for, in inches. */
    public static final double TOLERANCE = 1.0 / 4000;

    /** How far along a curve, as a part of it, its direction is looked for. */
    private static final double STEP = 1e-6;

    private static final int DEEPEST = 14;
    private static final int PROBES = 8;

    private ArcSpline() {}

    /** The curves that stand for a free curve within {@link #TOLERANCE}. */
    public static List<Curve> of(FreeCurve curve) {
        return of(curve, TOLERANCE);
    }

    /**
     * The curves that stand for a free curve.
     *
     * @param tolerance in inches, over 0
     */
    public static List<Curve> of(FreeCurve curve, double tolerance) {
        List<Curve> out = new ArrayList<>();
        // Four stretches at least, so that no probe is fooled by symmetry.
        for (int i = 0; i < 4; i++) {
            stretch(curve, i / 4.0, (i + 1) / 4.0, tolerance, 2, out);
        }
        return out;
    }

    private static void stretch(FreeCurve curve, double from, double to, double tolerance, int depth, List<Curve> out) {
        Point p = curve.at(from);
        Point q = curve.at(to);
        List<Curve> arcs = biarc(p, tangent(curve, from, STEP), q, tangent(curve, to, -STEP));
        if (depth >= DEEPEST || follows(curve, from, to, arcs, tolerance)) {
            arcs.stream().filter(c -> c.length() > Tolerances.ROUNDING).forEach(out::add);
        } else {
            double middle = (from + to) / 2;
            stretch(curve, from, middle, tolerance, depth + 1, out);
            stretch(curve, middle, to, tolerance, depth + 1, out);
        }
    }

    /** The direction of travel; beside a place where the curve stands still, the direction a little further on. */
    private static Point tangent(FreeCurve curve, double t, double aside) {
        Point d = curve.derivative(t);
        if (d.length() > Tolerances.ROUNDING) {
            return d.unit();
        }
        Point chord = curve.at(t + aside * 100).minus(curve.at(t)).times(Math.signum(aside));
        return chord.length() > 0 ? chord.unit() : new Point(1, 0);
    }

    private static boolean follows(FreeCurve curve, double from, double to, List<Curve> arcs, double tolerance) {
        for (int i = 1; i < PROBES; i++) {
            Point p = curve.at(from + (to - from) * i / PROBES);
            if (arcs.stream().mapToDouble(c -> c.distance(p)).min().orElse(0) > tolerance * 0.8) {
                return false;
            }
        }
        // A long way round through few probes would still be wrong.
        double chords = 0;
        for (int i = 0; i < PROBES; i++) {
            chords +=
                    curve.at(from + (to - from) * i / PROBES).distance(curve.at(from + (to - from) * (i + 1) / PROBES));
        }
        return arcs.stream().mapToDouble(Curve::length).sum() <= chords * 1.1 + tolerance;
    }

    /**
     * Two arcs from one place to another with given directions at both; a straight line where there are none, since both
     * directions are the same and lead away from the other place.
     *
     * @param start unit vector of travel at {@code p}
     * @param end unit vector of travel at {@code q}
     */
    static List<Curve> biarc(Point p, Point start, Point q, Point end) {
        Point v = q.minus(p);
        double square = v.dot(v);
        if (square < Tolerances.ROUNDING * Tolerances.ROUNDING) {
            return List.of();
        }
        Point sum = start.plus(end);
        double bend = 2 * (1 - start.dot(end));
        double d;
        if (bend < Tolerances.LAST_DIGITS) {
            double along = 4 * v.dot(end);
            if (along <= Tolerances.LAST_DIGITS) {
                return List.of(new Segment(p, q));
            }
            d = square / along;
        } else {
            double b = v.dot(sum);
            d = (-b + Math.sqrt(b * b + bend * square)) / bend;
        }
        Point joint = p.plus(q).plus(start.minus(end).times(d)).times(0.5);
        return List.of(from(p, start, joint), from(q, end.times(-1), joint).reversed());
    }

    /** The arc from a place in a direction to another place; a segment if it hardly bends. */
    public static Curve from(Point p, Point direction, Point q) {
        Point v = q.minus(p);
        Point left = direction.turnedLeft();
        double aside = v.dot(left);
        double square = v.dot(v);
        if (Math.abs(aside) < 100 * Tolerances.LAST_DIGITS * Math.max(1, Math.sqrt(square)) && v.dot(direction) >= 0) {
            return new Segment(p, q);
        }
        double radius = square / (2 * aside);
        double sweep = 2 * Math.atan2(aside, v.dot(direction));
        Point centre = p.plus(left.times(radius));
        return new Arc(centre, Math.abs(radius), p.minus(centre).angle(), sweep);
    }
}
