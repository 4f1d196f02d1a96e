package jollyspindle.core.geometry;

/** A piece of an exact curve with a start and an end. */
public sealed interface Curve permits Segment, Arc {

    /** The place a part of the way along; 0 is the start, 1 the end. */
    Point at(double part);

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
}
