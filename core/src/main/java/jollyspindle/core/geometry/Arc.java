package jollyspindle.core.geometry;

/**
 * A piece of a circle, exact.
 *
 * @param centre of the circle
 * @param radius in inches, over 0
 * @param startAngle where the arc starts, in radians seen from the centre
 * @param sweep how far it runs, in radians; counter-clockwise if positive, at most a full turn either way
 */
public record Arc(Point centre, double radius, double startAngle, double sweep) implements Curve {

    public Arc {
        if (!(radius > 0) || !Double.isFinite(radius)) {
            throw new IllegalArgumentException("an arc needs a radius over 0, not " + radius);
        }
        if (!(Math.abs(sweep) <= 2 * Math.PI + 1e-9)) {
            throw new IllegalArgumentException("an arc runs at most a full turn, not " + sweep);
        }
    }

    @Override
    public Point at(double part) {
        return centre.plus(Point.direction(startAngle + part * sweep).times(radius));
    }

    @Override
    public double length() {
        return radius * Math.abs(sweep);
    }

    @Override
    public Arc posed(Pose pose) {
        return new Arc(pose.apply(centre), radius, startAngle + pose.rotation(), sweep);
    }

    /** The piece between two parts of the way, each from 0 to 1. */
    public Arc piece(double from, double to) {
        return new Arc(centre, radius, startAngle + from * sweep, (to - from) * sweep);
    }
}
