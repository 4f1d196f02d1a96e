package jollyspindle.core.effort;

import java.util.Locale;

/** Something would make more lines than {@link Effort#MOST}. */
public final class TooManyLinesException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    /** @param reckoned about how many lines it would be */
    public TooManyLinesException(double reckoned) {
        super(String.format(
                Locale.ROOT,
                "that would be some %,.0f lines, and more than %,d can't be planned",
                round(reckoned),
                Effort.MOST));
    }

    /** To two figures: it is no more than reckoned. */
    private static double round(double number) {
        double unit = Math.pow(10, Math.floor(Math.log10(number)) - 1);
        return Math.rint(number / unit) * unit;
    }
}
