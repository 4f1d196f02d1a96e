package jollyspindle.core.shelf;

/** What a size printed on a template means. Mixing the two errs by exactly the foot's radius. */
public enum LabelConvention {
    /** Measured on the acrylic. */
    AS_CUT,
    /** Already counts a foot of {@link Machine#NOMINAL_FOOT_RADIUS}. */
    AS_STITCHED
}
