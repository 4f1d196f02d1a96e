package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;

import java.util.Optional;

/** The arc through two points: the placement that everything comes back to. */
public final class ArcsBetween {

    private ArcsBetween() {}

    /**
     * The shorter arc of a radius from one point to another.
     *
     * @param bulgeLeft whether it bulges to the left, seen from the first point towards the second
     * @return nothing if the points are further apart than the circle is wide
     */
    public static Optional<Arc> of(Point from, Point to, double radius, boolean bulgeLeft) {
        double half = from.distance(to) / 2;
        if (half > radius * (1 + Tolerances.LAST_DIGITS) || half == 0) {
            return Optional.empty();
        }
        double aside = Math.sqrt(Math.max(0, radius * radius - half * half));
        Point left = to.minus(from).unit().turnedLeft();
        Point centre = from.midpoint(to).plus(left.times(bulgeLeft ? -aside : aside));
        double start = from.minus(centre).angle();
        double sweep = 2 * Math.asin(Math.min(1, half / radius));
        return Optional.of(new Arc(centre, radius, start, bulgeLeft ? -sweep : sweep));
    }

    /** The shorter arc that bulges towards a place beside the two points. */
    public static Optional<Arc> bulgingTowards(Point from, Point to, double radius, Point side) {
        return of(from, to, radius, to.minus(from).cross(side.minus(from)) > 0);
    }
}
