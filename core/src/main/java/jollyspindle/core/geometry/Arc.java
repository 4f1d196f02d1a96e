package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

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
        Guards.overZero("radius", radius);
        if (!(Math.abs(sweep) <= 2 * Math.PI + Tolerances.ROUNDING)) {
            throw new IllegalArgumentException(Refusals.say("arc.sweep", "found", sweep));
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
        if (pose.over()) {
            return mirrored().posed(pose.faceUp());
        }
        return new Arc(pose.apply(centre), radius, startAngle + pose.rotation(), sweep);
    }

    @Override
    public Point direction(double part) {
        Point outward = Point.direction(startAngle + part * sweep);
        return sweep >= 0 ? outward.turnedLeft() : outward.turnedLeft().times(-1);
    }

    @Override
    public Arc reversed() {
        return new Arc(centre, radius, startAngle + sweep, -sweep);
    }

    @Override
    public Arc mirrored() {
        return new Arc(centre.mirrored(), radius, Math.PI - startAngle, -sweep);
    }

    @Override
    public Arc piece(double from, double to) {
        return new Arc(centre, radius, startAngle + from * sweep, (to - from) * sweep);
    }

    /**
     * How far along a direction from the centre lies, as a part of the sweep; over 1 if the arc doesn't get there. A
     * direction within rounding of the start counts as the start.
     *
     * @param angle of the direction, in radians
     */
    double partTowards(double angle) {
        double turn = 2 * Math.PI;
        double along = sweep >= 0 ? angle - startAngle : startAngle - angle;
        double whole = along - turn * Math.floor(along / turn);
        if (turn - whole < Tolerances.LAST_DIGITS) {
            whole = 0;
        }
        return sweep == 0 ? (whole < Tolerances.LAST_DIGITS ? 0 : 2) : whole / Math.abs(sweep);
    }

    @Override
    public double nearest(Point p) {
        double part = partTowards(p.minus(centre).angle());
        if (part <= 1) {
            return part;
        }
        return start().distance(p) <= end().distance(p) ? 0 : 1;
    }

    @Override
    public boolean mayPass(Point p, double within) {
        Point from = p.minus(centre);
        double square = from.dot(from);
        double least = Math.max(0, radius - within);
        return square >= least * least && square <= (radius + within) * (radius + within);
    }

    @Override
    public Box box() {
        Box box = Box.of(start(), end());
        for (int quarter = 0; quarter < 4; quarter++) {
            double part = partTowards(quarter * Math.PI / 2);
            if (part > 0 && part < 1) {
                box = box.with(at(part));
            }
        }
        return box;
    }
}
