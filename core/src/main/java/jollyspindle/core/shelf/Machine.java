package jollyspindle.core.shelf;

import java.util.List;

/**
 * The machine a job is stitched on, as far as templates are concerned: its ruler foot.
 *
 * @param footRadius from the needle to the outside of the ruler foot, in inches, {@link #SMALLEST_FOOT_RADIUS} to
 *     {@link #LARGEST_FOOT_RADIUS}
 * @param footType what kind of foot it is
 * @param measured what the radius was measured from; empty if it was typed
 */
public record Machine(double footRadius, FootType footType, List<FootMeasurement> measured) {

    /**
     * What ruler feet are made to, in inches, and what labels that count the foot have counted (common practice, no
     * source). Real feet differ by some hundredths.
     */
    public static final double NOMINAL_FOOT_RADIUS = 0.25;

    /** Less than this, in inches, is no foot. */
    public static final double SMALLEST_FOOT_RADIUS = 0.01;

    public static final double LARGEST_FOOT_RADIUS = 0.5;

    /** How a foot is mounted, which decides how thick templates may be. */
    public enum FootType {
        LONGARM,
        HIGH_SHANK,
        LOW_SHANK
    }

    public Machine {
        if (!measured.isEmpty()) {
            footRadius = FootCalibration.of(measured).footRadius();
        }
        if (!isFoot(footRadius)) {
            throw new IllegalArgumentException("a foot's radius is 0.01 to 1/2 in, not " + footRadius);
        }
        measured = List.copyOf(measured);
    }

    /** Whether there are feet of such a radius, in inches. */
    public static boolean isFoot(double radius) {
        return radius >= SMALLEST_FOOT_RADIUS && radius <= LARGEST_FOOT_RADIUS;
    }

    /** A longarm with a foot of a typed radius. */
    public Machine(double footRadius) {
        this(footRadius, FootType.LONGARM, List.of());
    }

    /** A machine with the usual foot, not measured yet. */
    public static Machine usual() {
        return new Machine(NOMINAL_FOOT_RADIUS);
    }

    /** This machine with a typed radius; what was measured no longer counts. */
    public Machine withFootRadius(double other) {
        return other == footRadius ? this : new Machine(other, footType, List.of());
    }

    public Machine withFootType(FootType other) {
        return new Machine(footRadius, other, measured);
    }

    /**
     * This machine with a foot as measured.
     *
     * @throws IllegalArgumentException if there are no measurements, or they give no possible foot
     */
    public Machine withMeasured(List<FootMeasurement> measurements) {
        if (measurements.isEmpty()) {
            throw new IllegalArgumentException("nothing was measured");
        }
        return new Machine(footRadius, footType, measurements);
    }
}
