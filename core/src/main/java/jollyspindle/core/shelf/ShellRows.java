package jollyspindle.core.shelf;

import jollyspindle.core.measure.Tolerances;

/**
 * How many rows of shells go into a height.
 *
 * @param whole rows that rise as high as they are stitched
 * @param over what they leave, in inches, 0 or more
 * @param squeezed whether one shorter row is squeezed in there
 * @param rise of a row, in inches
 * @param step from row to row, in inches
 */
public record ShellRows(int whole, double over, boolean squeezed, double rise, double step) {

    /** The part of a row that is worth another one (common practice, no source: about half). */
    private static final double WORTH_A_ROW = 0.4;

    /**
     * The rows that go into a height; the last may rise above it by what nobody sees.
     *
     * @param height in inches
     * @param rise of a row as it is stitched, in inches, over 0 and no more than the height
     * @param step from row to row, in inches, over 0: the rise, or a little more or less
     */
    public static ShellRows in(double height, double rise, double step) {
        int whole = 1 + (int) Math.floor((height - rise + Tolerances.CHALK) / step + Tolerances.ROUNDING);
        double over = Math.max(0, height - rise - (whole - 1) * step);
        return new ShellRows(whole, over, over >= WORTH_A_ROW * rise, rise, step);
    }

    /** All of them. */
    public int count() {
        return whole + (squeezed ? 1 : 0);
    }

    /** Whether a row is the one that is squeezed in. */
    public boolean isSqueezed(int row) {
        return squeezed && row == whole;
    }

    /**
     * How far up a row begins.
     *
     * @param row from 0
     * @param height that the rows were counted in
     */
    public double up(int row, double height) {
        return Math.min(row * step, Math.max(0, height - rise));
    }
}
