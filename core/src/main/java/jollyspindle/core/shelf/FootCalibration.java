package jollyspindle.core.shelf;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.text.Refusals;

import java.util.DoubleSummaryStatistics;
import java.util.List;

/**
 * The foot's radius from what was stitched and measured.
 *
 * @param measurements at least one
 * @param footRadius their average, in inches
 * @param least the smallest radius among them, in inches
 * @param most the largest radius among them, in inches
 */
public record FootCalibration(List<FootMeasurement> measurements, double footRadius, double least, double most) {

    /** Ruler feet smaller than this, in inches, are hardly made (common practice, no source). */
    public static final double QUESTIONED_BELOW = 0.15;

    /** Ruler feet larger than this, in inches, are hardly made (common practice, no source). */
    public static final double QUESTIONED_ABOVE = 0.40;

    /** Measurements further apart than this, in inches, want another look: a tape's finest mark. */
    public static final double WIDE_SPREAD = 1.0 / 32;

    /**
     * Averages measurements.
     *
     * @throws IllegalArgumentException if there are none
     */
    public static FootCalibration of(List<FootMeasurement> measurements) {
        if (measurements.isEmpty()) {
            throw new IllegalArgumentException(Refusals.say("foot.nothing"));
        }
        DoubleSummaryStatistics all =
                measurements.stream().mapToDouble(FootMeasurement::footRadius).summaryStatistics();
        return new FootCalibration(List.copyOf(measurements), all.getAverage(), all.getMin(), all.getMax());
    }

    /** From the smallest to the largest, in inches. */
    public double spread() {
        return most - least;
    }

    /** Whether the result is unlikely enough to be asked about. */
    public boolean questioned() {
        return footRadius < QUESTIONED_BELOW - Tolerances.ROUNDING
                || footRadius > QUESTIONED_ABOVE + Tolerances.ROUNDING;
    }

    /** Whether it can be a foot at all. */
    public boolean possible() {
        return Machine.FOOT_RADIUS.allows(footRadius);
    }

    public boolean spreadsWidely() {
        return spread() > WIDE_SPREAD;
    }
}
