package jollyspindle.files.outline;

import jollyspindle.core.geometry.ArcSpline;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.FreeCurve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;

import java.util.ArrayList;
import java.util.List;

/** One stroke of a drawing, in its units with y up. */
sealed interface Stroke {

    Point from();

    Point to();

    /** Places that it doesn't go beyond by much, to tell its size by. */
    List<Point> about();

    /** The lines and arcs that stand for it when a unit is so many inches. */
    List<Curve> curves(double inchesToUnit);

    /** A straight line. */
    record Line(Point from, Point to) implements Stroke {
        @Override
        public List<Point> about() {
            return List.of(from, to);
        }

        @Override
        public List<Curve> curves(double k) {
            return from.equals(to) ? List.of() : List.of(new Segment(from.times(k), to.times(k)));
        }
    }

    /** A cubic Bézier curve. */
    record Cubic(Point from, Point first, Point second, Point to) implements Stroke {

        /** A quadratic one with its degree raised, which is the same curve. */
        static Cubic ofQuadratic(Point from, Point handle, Point to) {
            return new Cubic(
                    from,
                    from.plus(handle.minus(from).times(2.0 / 3)),
                    to.plus(handle.minus(to).times(2.0 / 3)),
                    to);
        }

        @Override
        public List<Point> about() {
            return List.of(from, first, second, to);
        }

        @Override
        public List<Curve> curves(double k) {
            if (from.equals(first) && from.equals(second) && from.equals(to)) {
                return List.of();
            }
            return ArcSpline.of(new FreeCurve() {
                @Override
                public Point at(double t) {
                    double u = 1 - t;
                    return from.times(u * u * u)
                            .plus(first.times(3 * u * u * t))
                            .plus(second.times(3 * u * t * t))
                            .plus(to.times(t * t * t))
                            .times(k);
                }

                @Override
                public Point derivative(double t) {
                    double u = 1 - t;
                    return first.minus(from)
                            .times(3 * u * u)
                            .plus(second.minus(first).times(6 * u * t))
                            .plus(to.minus(second).times(3 * t * t))
                            .times(k);
                }
            });
        }
    }

    /**
     * A piece of an ellipse: c + u·cos θ + v·sin θ.
     *
     * @param start θ at its start, in radians
     * @param sweep how far θ goes, in radians
     */
    record Elliptic(Point from, Point to, Point centre, Point u, Point v, double start, double sweep)
            implements Stroke {

        /** How alike two half axes must be to make a circle, as a part of them: what drawings round to. */
        private static final double ROUND = 1e-5;

        private boolean isCircle() {
            double a = Math.hypot(u.x(), u.y());
            double b = Math.hypot(v.x(), v.y());
            return Math.abs(a - b) <= ROUND * a && Math.abs(u.dot(v)) <= ROUND * a * b;
        }

        @Override
        public List<Point> about() {
            return List.of(from, at(0.25), at(0.5), at(0.75), to);
        }

        private Point at(double part) {
            double angle = start + part * sweep;
            return centre.plus(u.times(Math.cos(angle))).plus(v.times(Math.sin(angle)));
        }

        private Point derivative(double part) {
            double angle = start + part * sweep;
            return v.times(Math.cos(angle)).minus(u.times(Math.sin(angle))).times(sweep);
        }

        /** Arcs from place to place, so that ends meet whatever the drawing's rounding has left of the circle. */
        private List<Curve> arcs(double k) {
            int pieces = (int) Math.max(1, Math.ceil(Math.abs(sweep) / 2));
            List<Curve> arcs = new ArrayList<>();
            for (int i = 0; i < pieces; i++) {
                double part = (double) i / pieces;
                Point a = i == 0 ? from : at(part);
                Point b = i == pieces - 1 ? to : at((i + 1.0) / pieces);
                arcs.add(ArcSpline.from(a.times(k), derivative(part).unit(), b.times(k)));
            }
            return arcs;
        }

        @Override
        public List<Curve> curves(double k) {
            if (isCircle()) {
                return arcs(k);
            }
            return ArcSpline.of(new FreeCurve() {
                @Override
                public Point at(double t) {
                    return Elliptic.this.at(t).times(k);
                }

                @Override
                public Point derivative(double t) {
                    return Elliptic.this.derivative(t).times(k);
                }
            });
        }
    }
}
