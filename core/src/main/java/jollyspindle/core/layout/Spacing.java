package jollyspindle.core.layout;

/** How lines look that lie side by side. */
public final class Spacing {

    /** Spacings nearer than this, in inches, read as one texture (common practice, no source; the measure is a choice). */
    private static final double ALIKE = 1.0 / 16;

    private Spacing() {}

    /** Whether two sets of lines side by side look like one, by their spacings in inches. */
    public static boolean looksAlike(double one, double other) {
        return Math.abs(one - other) < ALIKE;
    }
}
