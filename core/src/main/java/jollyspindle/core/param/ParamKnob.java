package jollyspindle.core.param;

import jollyspindle.core.geometry.Point;

import java.util.function.DoubleFunction;

/**
 * A number of a thing that can be taken hold of where it shows on the cloth, and dragged.
 *
 * @param param the number
 * @param place where it is now, in the quilt's frame
 * @param origin from where it counts
 * @param way along which it is dragged, a unit vector
 * @param factor what an inch dragged is worth, in inches of the number; below 0 if it grows the other way
 * @param changed the thing with another number, in inches; throws {@link IllegalArgumentException} if that can't be
 * @param <M> the thing
 */
public record ParamKnob<M>(
        Param<M, ?> param, Point place, Point origin, Point way, double factor, DoubleFunction<M> changed) {}
