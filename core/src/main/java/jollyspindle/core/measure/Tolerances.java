package jollyspindle.core.measure;

/**
 * How near is the same? For numbers, for places, on the cloth and in words. What is a choice of the trade for one matter alone
 * (by how much a repeat may be off, how near echoes may come) stands with that.
 */
public final class Tolerances {

    /** What a single operation rounds off, relative to what it is done to: a few of a {@code double}'s last digits. */
    public static final double LAST_DIGITS = 1e-12;

    /**
     * Two numbers that are meant to be one, inches, radians or counts, differ by less: what computing them in two ways rounds
     * off. A thousandth of what two places may be apart, so that an error of the one never decides about the other.
     */
    public static final double ROUNDING = 1e-9;

    /**
     * Two places on the quilt that are less apart, in inches, are one place: an end that meets another, a mark that is there
     * already, a line that begins on a seam. Thousands of them go into a thread's thickness.
     */
    public static final double SAME_PLACE = 1e-6;

    /**
     * A chalk line's width, in inches: a mark, a template's line or a seam that is no further off serves, and nobody sees a
     * difference that is smaller (common practice, no source).
     */
    public static final double CHALK = 1.0 / 64;

    /** A difference that isn't worth a word, in inches: half of the finest fraction that lengths are told in. */
    public static final double UNSAID = 1.0 / 128;

    /** A line of the template that lies so far beside a line on the cloth, in inches, doesn't lie on it. */
    public static final double ON_LINE = 1.0 / 1024;

    private Tolerances() {}
}
