package jollyspindle.core.geometry;

/**
 * A straight line between two places. It may have no length.
 *
 * @param from where it starts
 * @param to where it ends
 */
public record Segment(Point from, Point to) implements Curve {

    @Override
    public Point at(double part) {
        return from.plus(to.minus(from).times(part));
    }

    @Override
    public double length() {
        return from.distance(to);
    }

    @Override
    public Segment posed(Pose pose) {
        return new Segment(pose.apply(from), pose.apply(to));
    }
}
