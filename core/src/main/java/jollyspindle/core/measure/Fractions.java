package jollyspindle.core.measure;

import java.util.Locale;

/** Lengths said as numbers, where no tape is laid on anything: settings, and differences finer than a tape. */
public final class Fractions {

    private static final int FINEST = 64;

    private Fractions() {}

    /** A mixed number in lowest terms: {@code 5 3/8}, {@code 3/8}, {@code 5} or {@code 0}. */
    static String mixed(long whole, long numerator, long denominator) {
        if (numerator == 0) {
            return Long.toString(whole);
        }
        long n = numerator;
        long d = denominator;
        while (n % 2 == 0 && d % 2 == 0) {
            n /= 2;
            d /= 2;
        }
        return (whole == 0 ? "" : whole + " ") + n + "/" + d;
    }

    /**
     * Says a difference between lengths: up to 1/4 in to the nearest 1/64, finer than the tape, since that is how much a
     * quilter eases; beyond to the nearest 1/16; metric to 0.1 mm. {@code 3/64}, {@code under 1/64}, {@code 1.2 mm}.
     *
     * @param inches the difference in inches; its sign is dropped
     */
    public static String difference(double inches, TapeScale tape) {
        double size = Math.abs(inches);
        if (tape.isMetric()) {
            double millimetres = size * 10 * LengthParser.CENTIMETRES_PER_INCH;
            return millimetres < 0.05 ? "under 0.1 mm" : trimmed(millimetres, 1) + " mm";
        }
        long coarse = size > 0.25 ? FINEST / 16 : 1;
        long parts = Math.round(size * FINEST / coarse) * coarse;
        return parts == 0 ? "under 1/64" : mixed(parts / FINEST, parts % FINEST, FINEST);
    }

    /**
     * Says a length so that nothing is lost: as a fraction where it is one (to 1/64), else as a decimal: {@code 7 1/4},
     * {@code 0.245}, {@code 18.4 cm}. Parsing the text gives the length back to 1/10 000 in.
     *
     * @param inches the length in inches, finite
     */
    public static String exact(double inches, TapeScale tape) {
        if (tape.isMetric()) {
            return trimmed(inches * LengthParser.CENTIMETRES_PER_INCH, 4) + " cm";
        }
        double parts = Math.abs(inches) * FINEST;
        long whole = Math.round(parts);
        if (Math.abs(parts - whole) < Tolerances.SAME_PLACE) {
            return (inches < 0 && whole > 0 ? "-" : "") + mixed(whole / FINEST, whole % FINEST, FINEST);
        }
        return trimmed(inches, 4);
    }

    private static String trimmed(double value, int digits) {
        String text = String.format(Locale.ROOT, "%." + digits + "f", value);
        String shorter = text.contains(".") ? text.replaceAll("0+$", "").replaceAll("\\.$", "") : text;
        return shorter.equals("-0") ? "0" : shorter;
    }
}
