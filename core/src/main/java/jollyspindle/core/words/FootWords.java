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
        String from;
        if (m instanceof FootMeasurement.InHole hole) {
            from = "Hole " + words.exact(hole.hole()) + ", stitched " + words.exact(hole.stitched());
        } else if (m instanceof FootMeasurement.RoundDisc disc) {
            from = "Disc " + words.exact(disc.disc()) + ", stitched " + words.exact(disc.stitched());
        } else {
            from = "Straight edge, line " + words.exact(((FootMeasurement.AlongEdge) m).distance()) + " away";
        }
        return from + ": radius " + thousandths(m.footRadius());
    }

    /** What the measurements give. */
    public String calibration(FootCalibration c) {
        String said = "Foot radius " + thousandths(c.footRadius());
        if (c.measurements().size() > 1) {
            said += ", the average of " + c.measurements().size() + "; they lie " + thousandths(c.spread()) + " apart";
        }
        said += ".";
        if (!c.possible()) {
            return said + " That can't be a foot: check which number is which, and that both are diameters.";
        }
        if (c.questioned()) {
            said += " Ruler feet measure between " + words.exact(FootCalibration.QUESTIONED_BELOW) + " and "
                    + words.exact(FootCalibration.QUESTIONED_ABOVE)
                    + ": is it right? Check that both numbers are diameters, and measure again.";
        } else if (c.spreadsWidely()) {
            said += " That is far: measure once more, and take out what was wrong.";
        }
        return said;
    }

    private String thousandths(double inches) {
        return words.exact(Math.round(inches * 1000) / 1000.0);
    }
}
