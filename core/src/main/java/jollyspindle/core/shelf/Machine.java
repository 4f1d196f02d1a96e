package jollyspindle.core.shelf;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.param.RefusedValue;
import jollyspindle.core.text.Refusals;

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

    /** From the needle to the outside of the ruler foot. */
    public static final Param.Length<Machine> FOOT_RADIUS =
            Param.length("footRadius", SMALLEST_FOOT_RADIUS, LARGEST_FOOT_RADIUS, Machine::footRadius);

    private static final Param.Choice<Machine, FootType> FOOT_TYPE = Param.<Machine, FootType>choice(
                    "footType", FootType.class, Machine::footType)
            .usually(FootType.LONGARM);
    private static final Param.Own<Machine, List<FootMeasurement>> MEASURED = Param.<Machine, List<FootMeasurement>>own(
                    "measured", FootMeasurement.class, Machine::measured)
            .usually(List.of());

    /** All that is said of a machine. */
    public static final Params<Machine> PARAMS = Params.of(
                    v -> new Machine(v.get(FOOT_RADIUS), v.get(FOOT_TYPE), v.get(MEASURED)),
                    Params.row(FOOT_RADIUS, FOOT_TYPE, MEASURED))
            .brief(MEASURED);

    public Machine {
        if (!measured.isEmpty()) {
            footRadius = FootCalibration.of(measured).footRadius();
            if (!FOOT_RADIUS.allows(footRadius)) {
                throw new RefusedValue(MEASURED.code(), Refusals.say("machine.measured"));
            }
        }
        FOOT_RADIUS.check(footRadius);
        measured = List.copyOf(measured);
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
            throw new IllegalArgumentException(Refusals.say("foot.nothing"));
        }
        return new Machine(footRadius, footType, measurements);
    }
}
