package jollyspindle.core.area;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.Side;

import java.util.Optional;

/**
 * A ray from the centre, or from a corner, that an arm's template is laid on.
 *
 * @param number from 1 at the top, clockwise
 * @param from the corner it comes from; without one the centre
 * @param angle from the top, clockwise, in radians
 * @param found how it is found
 * @param side of a block that it meets, or the one it points to
 * @param fromMiddle from the middle of that side, along the edge, in inches: over 0 to the right with that side up
 * @param place where it meets the area's edge, in the quilt's frame
 * @param mark there
 */
public record Ray(
        int number,
        Optional<AreaMotif.Corner> from,
        double angle,
        Found found,
        Side side,
        double fromMiddle,
        Point place,
        Mark mark) {

    /** How a ray is found. */
    public enum Found {
        /** A middle line or a diagonal: one of the usual eight. */
        USUAL,
        /** By halving between two that are there. */
        HALVED,
        /** By stepping a chord round on a circle. */
        STEPPED,
        /** By what is read off at the edge. */
        READ
    }

    /** Where on its side it lies, seen from the side's middle and with the top up: below on the right side, say. */
    public Side toward() {
        return fromMiddle > 0 ? side.next() : side.previous();
    }

    /** Whether a place lies on it, seen from the centre. */
    boolean leadsTo(Point fromCentre) {
        Point way = new Point(Math.sin(angle), Math.cos(angle));
        return from.isEmpty() && Math.abs(way.cross(fromCentre)) < Tolerances.SAME_PLACE && way.dot(fromCentre) > 0;
    }
}
