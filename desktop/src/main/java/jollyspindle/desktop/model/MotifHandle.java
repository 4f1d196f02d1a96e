package jollyspindle.desktop.model;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunFrame;

import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * A place on the table where a number of the chosen run's first motif, or of its corners, can be taken and dragged.
 *
 * @param id of the number, such as {@code step}
 * @param name of it, in the quilter's words
 * @param place where it is now, in the quilt's frame
 * @param along whether it is dragged along the run; otherwise across
 * @param from where the number counts from, in inches along or across the run
 * @param factor what an inch dragged is worth, in inches of the number; below 0 if it grows the other way
 * @param changed the layout with another number, in inches
 */
record MotifHandle(
        String id,
        String name,
        Point place,
        boolean along,
        double from,
        double factor,
        DoubleFunction<Optional<RunLayout>> changed) {

    /** The number for a place dragged to. */
    double number(RunFrame frame, Point to) {
        Point from = to.minus(frame.origin());
        double at = along ? from.dot(frame.along()) : from.dot(frame.outward());
        return (at - this.from) * factor;
    }

    /** The same for the table. */
    Knob knob(RunFrame frame, GroupId group) {
        Point way = along ? frame.along() : frame.outward();
        return new Knob(
                id, name, place, frame.origin().plus(way.times(from)), way, factor, number -> changed.apply(number)
                        .map(layout -> job -> job.withLayout(group, layout)));
    }
}
