package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;

/**
 * A place in the plane, or a displacement between two places.
 *
 * @param x inches to the right
 * @param y inches up
 */
public record Point(double x, double y) {

    public static final Point ORIGIN = new Point(0, 0);

    /** The unit vector at an angle, in radians counter-clockwise from the x axis. */
    public static Point direction(double angle) {
        return new Point(Math.cos(angle), Math.sin(angle));
    }

    public Point plus(Point other) {
        return new Point(x + other.x, y + other.y);
    }

    public Point minus(Point other) {
        return new Point(x - other.x, y - other.y);
    }

    public Point times(double factor) {
        return new Point(x * factor, y * factor);
    }

    public double dot(Point other) {
        return x * other.x + y * other.y;
    }

    /** The z part of the cross product; positive if {@code other} lies counter-clockwise of this. */
    public double cross(Point other) {
        return x * other.y - y * other.x;
    }

    /** Whether this is the other place, as far as anything on a quilt is concerned. */
    public boolean isAt(Point other) {
        return distance(other) < Tolerances.SAME_PLACE;
    }

    /** The distance to another place, in inches. */
    public double distance(Point other) {
        return length(x - other.x, y - other.y);
    }

    /** How long this vector is, in inches. */
    public double length() {
        return length(x, y);
    }

    /**
     * The length of a vector, in inches. Unlike {@link Math#hypot}, which takes ten times as long, it guards against nothing that
     * can't be on a quilt: lengths beyond 1e150 or under 1e-150.
     */
    public static double length(double x, double y) {
        return Math.sqrt(x * x + y * y);
    }

    public Point midpoint(Point other) {
        return new Point((x + other.x) / 2, (y + other.y) / 2);
    }

    /** The angle of this vector in (−π, π]. */
    public double angle() {
        return Math.atan2(y, x);
    }

    /** This vector turned by a right angle counter-clockwise. */
    public Point turnedLeft() {
        return new Point(-y, x);
    }

    /** The mirror image in the y axis. */
    public Point mirrored() {
        return new Point(-x, y);
    }

    /** This vector scaled to length 1; not a number for the zero vector. */
    public Point unit() {
        return times(1 / length());
    }

    /** This vector turned by an angle in radians, counter-clockwise. */
    public Point turned(double angle) {
        double c = Math.cos(angle);
        double s = Math.sin(angle);
        return new Point(c * x - s * y, s * x + c * y);
    }

    /**
     * Where the line through {@code p} along {@code u} meets the line through {@code q} along {@code v}.
     *
     * @throws IllegalArgumentException if the lines are parallel
     */
    public static Point meeting(Point p, Point u, Point q, Point v) {
        double cross = u.cross(v);
        if (Math.abs(cross) < Tolerances.LAST_DIGITS) {
            throw new IllegalArgumentException("parallel lines don't meet");
        }
        return p.plus(u.times(q.minus(p).cross(v) / cross));
    }
}
