package jollyspindle.desktop.tape;

import jollyspindle.core.measure.Tolerances;

/**
 * The stretch of a run that is seen on the tape, and how it lies on the screen.
 *
 * @param from where it begins, in inches along the run
 * @param to where it ends, in inches along the run
 * @param left where it begins on the screen, in pixels
 * @param width on the screen, in pixels, over 0
 */
record Stretch(double from, double to, double left, double width) {

    /** The least that is shown, in inches. */
    static final double LEAST = 0.5;

    double scale() {
        return width / (to - from);
    }

    double x(double along) {
        return left + (along - from) * scale();
    }

    double along(double x) {
        return from + (x - left) / scale();
    }

    boolean shows(double along) {
        return along >= from - Tolerances.ROUNDING && along <= to + Tolerances.ROUNDING;
    }

    /** Zoomed about a place, kept within the run. */
    Stretch zoomed(double factor, double about, double length) {
        double wide = Math.max(Math.min(LEAST, length), Math.min(length, (to - from) / factor));
        double part = (about - from) / (to - from);
        return within(about - part * wide, wide, length);
    }

    /** Moved along, kept within the run. */
    Stretch moved(double by, double length) {
        return within(from + by, to - from, length);
    }

    private Stretch within(double start, double wide, double length) {
        double kept = Math.max(0, Math.min(length - wide, start));
        return new Stretch(kept, kept + wide, left, width);
    }

    /** About a place, so wide. */
    Stretch about(double middle, double wide, double length) {
        double shown = Math.min(length, wide);
        return within(middle - shown / 2, shown, length);
    }
}
