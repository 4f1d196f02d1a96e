package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;

/** Angles in radians. */
public final class Angles {

    private Angles() {}

    /** The same direction in (−π, π]. A half turn is always +π, whatever rounding says. */
    public static double normal(double angle) {
        double turn = 2 * Math.PI;
        double a = angle % turn;
        if (a <= -Math.PI + Tolerances.LAST_DIGITS) {
            a += turn;
        } else if (a > Math.PI + Tolerances.LAST_DIGITS) {
            a -= turn;
        }
        return Math.min(a, Math.PI);
    }
}
