package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;

/**
 * The local frame of a run: <em>along</em> from its left end, <em>across</em> from the seam outward. Left is meant with
 * the run's outside edge up, as the tape shows it, so that the runs follow each other clockwise round the quilt and a
 * template is carried from one to the next by turning alone.
 *
 * @param side of the quilt
 * @param origin the run's zero on the seam, in the quilt's frame
 * @param along unit vector
 * @param length of the run, in inches
 * @param depth of the border, from the seam outward, in inches
 */
public record RunFrame(Side side, Point origin, Point along, double length, double depth) {

    /** Carries a place of the run into the quilt's frame; both in inches. */
    public Point place(double alongRun, double acrossRun) {
        return origin.plus(along.times(alongRun)).plus(outward().times(acrossRun));
    }

    /** The unit vector from the seam to the outside edge. */
    public Point outward() {
        return along.turnedLeft();
    }

    /** How a thing that stands crown up at home is turned on this run, in radians counter-clockwise. */
    public double rotation() {
        return along.angle();
    }
}
