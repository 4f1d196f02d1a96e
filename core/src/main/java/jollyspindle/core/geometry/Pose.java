package jollyspindle.core.geometry;

/**
 * How a rigid thing lies in the plane: turned over or not, turned about its own origin, then moved there.
 *
 * @param position where the thing's own origin lies, in inches
 * @param rotation counter-clockwise from its home position, in radians, in (−π, π]
 * @param over whether it lies face down: mirrored in its own y axis before it is turned
 */
public record Pose(Point position, double rotation, boolean over) {

    public Pose {
        rotation = Angles.normal(rotation);
    }

    /** Face up. */
    public Pose(Point position, double rotation) {
        this(position, rotation, false);
    }

    /** Carries a point from the thing's own frame to where it lies. */
    public Point apply(Point own) {
        return position.plus((over ? own.mirrored() : own).turned(rotation));
    }

    /** Carries a point from where the thing lies to its own frame. */
    public Point undo(Point place) {
        Point own = place.minus(position).turned(-rotation);
        return over ? own.mirrored() : own;
    }

    /** The same pose face up. */
    Pose faceUp() {
        return over ? new Pose(position, rotation) : this;
    }
}
