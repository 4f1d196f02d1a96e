package jollyspindle.core.geometry;

/** A piece of an exact curve with a start and an end. */
public sealed interface Curve permits Segment, Arc {

    /** The place a part of the way along; 0 is the start, 1 the end. */
    Point at(double part);

    /** The direction of travel a part of the way along, as a unit vector; the x axis' where the curve has no length. */
    Point direction(double part);

    /** Along the curve, in inches. */
    double length();

    default Point start() {
        return at(0);
    }

    default Point end() {
        return at(1);
    }

    /** This curve carried along by a pose. */
    Curve posed(Pose pose);

    /** The same curve from its end to its start. */
    Curve reversed();

    /** This curve mirrored in the y axis. */
    Curve mirrored();

    /** The piece between two parts of the way, each from 0 to 1. */
    Curve piece(double from, double to);

    /** How far along the place nearest to a point lies, from 0 to 1. */
    double nearest(Point p);

    /** From a point to the nearest place of this curve, in inches. */
    default double distance(Point p) {
        return at(nearest(p)).distance(p);
    }

    /** Whether this curve passes a point nearer than a distance, in inches; quick where it is far away. */
    default boolean passes(Point p, double within) {
        return mayPass(p, within) && distance(p) < within;
    }

    /** Whether it isn't clear at once that this curve keeps away from a point. */
    boolean mayPass(Point p, double within);

    /** The smallest upright box round this curve. */
    Box box();
}
