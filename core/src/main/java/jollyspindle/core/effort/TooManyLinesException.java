package jollyspindle.core.effort;

import jollyspindle.core.text.Refusals;

import java.util.Locale;

/** Something would make more lines than {@link Effort#MOST}. */
public final class TooManyLinesException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    /** @param reckoned about how many lines it would be */
    public TooManyLinesException(double reckoned) {
        super(Refusals.say(
                "lines.too-many",
                "reckoned",
                String.format(Locale.ROOT, "%,.0f", round(reckoned)),
                "most",
                String.format(Locale.ROOT, "%,d", Effort.MOST)));
    }

    /** To two figures: it is no more than reckoned. */
    private static double round(double number) {
        double unit = Math.pow(10, Math.floor(Math.log10(number)) - 1);
        return Math.rint(number / unit) * unit;
    }
}
