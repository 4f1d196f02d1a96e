package jollyspindle.core.division.school;

import jollyspindle.core.code.Coded;

/** The trade's ways to make a run come out (common practice, no source). */
public enum SchoolKind implements Coded {
    /** Every repeat stretched alike. */
    EVEN("even"),
    /** Whole repeats of a fixed length from both corners, an odd space in the middle. */
    CORNERS_IN("corners-in"),
    /** Whole repeats of a fixed length about the centre, odd pieces at the ends. */
    CENTRE_OUT("centre-out"),
    /** Half a repeat at both ends. */
    HALF_STEPS("half-steps"),
    /** A fixed repeat, and what is left over spread on some of them. */
    FUDGED("fudged"),
    /** Repeats that are multiples or simple fractions of the pieced unit. */
    BY_PIECING("by-piecing"),
    /** Whole numbers of a stencil's even marks, run in from both ends. */
    BY_INCREMENTS("by-increments"),
    /** Some valleys pinned by hand. */
    BY_HAND("by-hand");

    private final String code;

    SchoolKind(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }
}
