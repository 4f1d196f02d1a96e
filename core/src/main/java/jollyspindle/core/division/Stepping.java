package jollyspindle.core.division;

import jollyspindle.core.measure.TapeScale;

/** What comes of stepping a repeat off along the tape, instead of marking each place from one zero. */
public final class Stepping {

    private Stepping() {}

    /**
     * How far off the last mark stands if a repeat rounded to the tape is stepped off: the rounding, so many times over. 12
     * repeats of 5 63/64 stepped as 6 end 3/16 long.
     *
     * @param repeat in inches
     * @return in inches; over 0 if the steps end too far out
     */
    public static double error(double repeat, int count, TapeScale tape) {
        double rounded = Math.rint(repeat / tape.tick()) * tape.tick();
        return count * (rounded - repeat);
    }
}
