package jollyspindle.core.route;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.placement.LineId;

/**
 * A way of the needle from where a line ends to where the next begins.
 *
 * @param to the line that it leads to
 * @param how it goes
 * @param path of the needle, in the quilt's frame
 */
public record Travel(LineId to, How how, Path path) {

    /** How the needle gets on without a new start. */
    public enum How {
        /** In the ditch: along a seam, or the edge of an appliqué. */
        DITCH,
        /** Along lines that are stitched already. */
        RETRACED,
        /** Partly in the ditch and partly along lines that are stitched already. */
        BOTH
    }
}
