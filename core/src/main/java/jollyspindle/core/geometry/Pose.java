package jollyspindle.core.geometry;

/**
 * How a rigid thing lies in the plane: turned about its own origin, then moved there. Never turned over: a template that
 * lies face down has its mirror image as shape.
 *
 * @param position where the thing's own origin lies, in inches
 * @param rotation counter-clockwise from its home position, in radians, in (−π, π]
 */
public record Pose(Point position, double rotation) {

    public Pose {
        rotation = Angles.normal(rotation);
    }

    /** Carries a point from the thing's own frame to where it lies. */
    public Point apply(Point own) {
        return position.plus(own.turned(rotation));
    }
}
