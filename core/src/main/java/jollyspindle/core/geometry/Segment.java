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
        if (part == 1) {
            return to;
        }
        return from.plus(to.minus(from).times(part));
    }

    @Override
    public Point direction(double part) {
        return from.equals(to) ? new Point(1, 0) : to.minus(from).unit();
    }

    @Override
    public double length() {
        return from.distance(to);
    }

    @Override
    public Segment posed(Pose pose) {
        return new Segment(pose.apply(from), pose.apply(to));
    }

    @Override
    public Segment reversed() {
        return new Segment(to, from);
    }

    @Override
    public Segment mirrored() {
        return new Segment(from.mirrored(), to.mirrored());
    }

    @Override
    public Segment piece(double start, double end) {
        return new Segment(at(start), at(end));
    }

    @Override
    public double nearest(Point p) {
        Point along = to.minus(from);
        double square = along.dot(along);
        return square == 0 ? 0 : Math.max(0, Math.min(1, p.minus(from).dot(along) / square));
    }

    @Override
    public boolean mayPass(Point p, double within) {
        return p.x() >= Math.min(from.x(), to.x()) - within
                && p.x() <= Math.max(from.x(), to.x()) + within
                && p.y() >= Math.min(from.y(), to.y()) - within
                && p.y() <= Math.max(from.y(), to.y()) + within;
    }

    @Override
    public Box box() {
        return Box.of(from, to);
    }
}
