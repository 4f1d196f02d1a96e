package jollyspindle.desktop.model;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.QuiltJob;

import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.UnaryOperator;

/**
 * A place on the table where a number of what is laid out can be taken and dragged.
 *
 * @param id of the number, such as {@code step}
 * @param name of it, in the quilter's words
 * @param place where it is now, in the quilt's frame
 * @param origin from where it counts
 * @param way along which it is dragged, a unit vector
 * @param factor what an inch dragged is worth, in inches of the number; below 0 if it grows the other way
 * @param changed what becomes of the job with another number, in inches; nothing if it can't be
 */
public record Knob(
        String id,
        String name,
        Point place,
        Point origin,
        Point way,
        double factor,
        DoubleFunction<Optional<UnaryOperator<QuiltJob>>> changed) {

    /** The number for a place dragged to. */
    public double number(Point to) {
        return to.minus(origin).dot(way) * factor;
    }
}
