package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;

import java.util.List;

/**
 * The local frame of a run: <em>along</em> from its left end, <em>across</em> from the seam outward. Left is meant with
 * the run's outside edge up, as the tape shows it, so that a border's runs follow each other clockwise round the quilt and a
 * template is carried from one to the next by turning alone.
 *
 * @param id of the run
 * @param origin the run's zero on the seam, in the quilt's frame
 * @param along unit vector
 * @param length of the run, in inches
 * @param depth of the border or strip, from the seam outward, in inches
 * @param clearance from the seam outward to where the motif stands, in inches
 * @param reserve from the outside edge inward, where nothing may be stitched, in inches
 */
public record RunFrame(
        RunId id, Point origin, Point along, double length, double depth, double clearance, double reserve) {

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

    /** From where the motif stands to where nothing may be stitched, in inches. */
    public double room() {
        return depth - clearance - reserve;
    }

    /** The strip of cloth outside the run, its corners in order, ends square. */
    public List<Point> rectangle() {
        return List.of(place(0, 0), place(0, depth), place(length, depth), place(length, 0));
    }
}
