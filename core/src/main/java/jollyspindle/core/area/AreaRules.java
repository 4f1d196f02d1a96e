package jollyspindle.core.area;

import java.util.OptionalDouble;

/**
 * By which an area's stitching is judged.
 *
 * @param mostUnstitched the largest circle without a stitch that the batting allows, in inches; not judged without one
 * @param mostInAPoint so many lines within {@link #POINT} of each other are no matter
 */
public record AreaRules(OptionalDouble mostUnstitched, int mostInAPoint) {

    /** What counts as one point, in inches. */
    public static final double POINT = 1.0 / 8;
}
