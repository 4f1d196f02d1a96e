package jollyspindle.core.words;

import jollyspindle.core.shelf.FootCalibration;
import jollyspindle.core.shelf.FootMeasurement;

/**
 * Says what was measured of the foot, and what it gives.
 *
 * @param words for lengths
 */
public record FootWords(Words words) {

    /** {@code Hole 2 3/4, stitched 2 1/4: radius 1/4}. */
    public String measurement(FootMeasurement m) {
        String key = m instanceof FootMeasurement.InHole
                ? "foot.in-hole"
                : m instanceof FootMeasurement.RoundDisc ? "foot.round-disc" : "foot.along-edge";
        return new Texts(words).say(key, "m", m, "radius", thousandths(m.footRadius()));
    }

    /** What the measurements give. */
    public String calibration(FootCalibration c) {
        String trouble =
                !c.possible() ? "impossible" : c.questioned() ? "questioned" : c.spreadsWidely() ? "wide" : "none";
        return new Texts(words)
                .say(
                        "foot.calibrated",
                        "radius",
                        thousandths(c.footRadius()),
                        "several",
                        c.measurements().size() > 1,
                        "number",
                        c.measurements().size(),
                        "spread",
                        thousandths(c.spread()),
                        "trouble",
                        trouble,
                        "least",
                        FootCalibration.QUESTIONED_BELOW,
                        "most",
                        FootCalibration.QUESTIONED_ABOVE);
    }

    private static double thousandths(double inches) {
        return Math.round(inches * 1000) / 1000.0;
    }
}
