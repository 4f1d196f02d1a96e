package jollyspindle.core.placement;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.RegionId;

/**
 * One line of a motif, stitched in one go.
 *
 * @param id unique in a plan, such as {@code top-arc-3}
 * @param region it is on; a corner's belong to the run at whose left end the corner is
 * @param layer which motif of the region, from 1; 0 for a corner's
 * @param kind what it is
 * @param number which of its kind along the run, from 1 at the run's zero
 * @param sub which of several that belong to that number, from 1; 0 if there is only one
 * @param passes how often it is stitched over, 1 or more; after an even number the needle is back at its start
 * @param path in the quilt's frame, from its start to its end
 */
public record StitchLine(
        String id, RegionId region, int layer, Stitched kind, int number, int sub, int passes, Path path) {

    /** Where the needle is once it is stitched. */
    public Point needleAt() {
        return returns() ? path.start() : path.end();
    }

    /** The same line from its end to its start. */
    public StitchLine reversed() {
        return new StitchLine(id, region, layer, kind, number, sub, passes, path.reversed());
    }

    /** Whether the needle ends where it began. */
    public boolean returns() {
        return passes % 2 == 0;
    }
}
