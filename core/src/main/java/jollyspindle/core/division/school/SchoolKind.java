package jollyspindle.core.division.school;

/** The trade's ways to make a run come out (common practice, no source). */
public enum SchoolKind {
    /** Every repeat stretched alike. */
    EVEN,
    /** Whole repeats of a fixed length from both corners, an odd space in the middle. */
    CORNERS_IN,
    /** Whole repeats of a fixed length about the centre, odd pieces at the ends. */
    CENTRE_OUT,
    /** Half a repeat at both ends. */
    HALF_STEPS,
    /** A fixed repeat, and what is left over spread on some of them. */
    FUDGED,
    /** Repeats that are multiples or simple fractions of the pieced unit. */
    BY_PIECING,
    /** Whole numbers of a stencil's even marks, run in from both ends. */
    BY_INCREMENTS,
    /** Some valleys pinned by hand. */
    BY_HAND
}
