package jollyspindle.core.geometry;

/** Angles in radians. */
public final class Angles {

    private Angles() {}

    /** The same direction in (−π, π]. A half turn is always +π, whatever rounding says. */
    public static double normal(double angle) {
        double turn = 2 * Math.PI;
        double a = angle % turn;
        if (a <= -Math.PI + 1e-12) {
            a += turn;
        } else if (a > Math.PI + 1e-12) {
            a -= turn;
        }
        return Math.min(a, Math.PI);
    }
}
