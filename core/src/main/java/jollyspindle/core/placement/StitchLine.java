package jollyspindle.core.placement;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.RegionId;

/**
 * One line of a motif, stitched in one go.
 *
 * @param id which line it is
 * @param layer which motif of the region it belongs to, in the order of stitching, from 1; 0 for a corner's
 * @param passes how often it is stitched over, 1 or more; after an even number the needle is back at its start
 * @param path in the quilt's frame, from its start to its end
 */
public record StitchLine(LineId id, int layer, int passes, Path path) {

    /** The region it is on; a corner's belong to the run at whose left end the corner is. */
    public RegionId region() {
        return id.region();
    }

    /** What it is. */
    public Stitched kind() {
        return id.kind();
    }

    /** Which of its kind along the run, from 1 at the run's zero. */
    public int number() {
        return id.number();
    }

    /** Which of several that belong to that number, from 1; 0 if there is only one. */
    public int sub() {
        return id.sub();
    }

    /** Where the needle is once it is stitched. */
    public Point needleAt() {
        return returns() ? path.start() : path.end();
    }

    /** The same line from its end to its start. */
    public StitchLine reversed() {
        return new StitchLine(id, layer, passes, path.reversed());
    }

    /** Whether the needle ends where it began. */
    public boolean returns() {
        return passes % 2 == 0;
    }
}
