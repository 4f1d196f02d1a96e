package jollyspindle.core.area;

import java.util.OptionalDouble;

/**
 * By which an area's stitching is judged and threaded.
 *
 * @param mostUnstitched the largest circle without a stitch that the batting allows, in inches; not judged without one
 * @param mostInAPoint so many lines within {@link #POINT} of each other are no matter
 * @param changeOver whether lines may be changed over where they cross, to begin the thread less often
 */
public record AreaRules(OptionalDouble mostUnstitched, int mostInAPoint, boolean changeOver) {

    /** What counts as one point, in inches. */
    public static final double POINT = 1.0 / 8;
}
