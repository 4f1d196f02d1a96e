package jollyspindle.core.geometry;

import java.util.List;

/**
 * An upright box.
 *
 * @param left its least x, in inches
 * @param bottom its least y, in inches
 * @param right its greatest x, in inches
 * @param top its greatest y, in inches
 */
public record Box(double left, double bottom, double right, double top) {

    public static Box of(Point a, Point b) {
        return new Box(Math.min(a.x(), b.x()), Math.min(a.y(), b.y()), Math.max(a.x(), b.x()), Math.max(a.y(), b.y()));
    }

    /** The smallest box round this one and another. */
    public Box with(Box other) {
        return new Box(
                Math.min(left, other.left),
                Math.min(bottom, other.bottom),
                Math.max(right, other.right),
                Math.max(top, other.top));
    }

    public Box with(Point p) {
        return with(of(p, p));
    }

    public Point middle() {
        return new Point((left + right) / 2, (bottom + top) / 2);
    }

    /** Its four sides, counter-clockwise from the lower left corner. */
    public Path outline() {
        return Path.polygon(List.of(
                new Point(left, bottom), new Point(right, bottom), new Point(right, top), new Point(left, top)));
    }

    /** This box with so much more on each side. */
    public Box grown(double by) {
        return new Box(left - by, bottom - by, right + by, top + by);
    }

    public boolean meets(Box other) {
        return left <= other.right && other.left <= right && bottom <= other.top && other.bottom <= top;
    }

    /** Whether all of this box lies on one side of a line that goes on without end, further off than so much. */
    boolean isBeside(Segment line, double by) {
        Point from = line.from();
        Point along = line.to().minus(from);
        double far = by * line.length();
        double middle = along.x() * ((bottom + top) / 2 - from.y()) - along.y() * ((left + right) / 2 - from.x());
        double half = (Math.abs(along.x()) * (top - bottom) + Math.abs(along.y()) * (right - left)) / 2;
        return Math.abs(middle) - half > far;
    }

    /** Whether a place lies in this box or on its edge. */
    public boolean holds(Point p) {
        return p.x() >= left && p.x() <= right && p.y() >= bottom && p.y() <= top;
    }

    public double width() {
        return right - left;
    }

    public double height() {
        return top - bottom;
    }
}
