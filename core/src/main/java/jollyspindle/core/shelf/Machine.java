package jollyspindle.core.shelf;

/**
 * The machine a job is stitched on: a head that moves over a quilt held on a frame, so that the template is turned and
 * the quilt is not.
 *
 * @param footRadius from the needle to the outside of the ruler foot, in inches, over 0 and at most 1/2
 */
public record Machine(double footRadius) {

    /**
     * What ruler feet are made to, in inches, and what labels that count the foot have counted (common practice, no
     * source). Real feet differ by some hundredths.
     */
    public static final double NOMINAL_FOOT_RADIUS = 0.25;

    public static final double LARGEST_FOOT_RADIUS = 0.5;

    public Machine {
        if (!(footRadius > 0) || footRadius > LARGEST_FOOT_RADIUS) {
            throw new IllegalArgumentException("a foot's radius is over 0 and at most 1/2 in, not " + footRadius);
        }
    }

    /** A machine with the usual foot, not measured yet. */
    public static Machine usual() {
        return new Machine(NOMINAL_FOOT_RADIUS);
    }
}
