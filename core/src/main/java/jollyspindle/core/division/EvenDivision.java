package jollyspindle.core.division;

import jollyspindle.core.text.Guards;

/**
 * A run divided into equal repeats: the k-th valley stands at k·L/n, each computed from the run's zero.
 *
 * @param length of the run L, in inches, over 0
 * @param count of repeats n, 1 or more
 */
public record EvenDivision(double length, int count) {

    public EvenDivision {
        Guards.overZero("run", length);
        Guards.atLeast("count", count, 1);
    }

    /** The length of one repeat, in inches. */
    public double repeat() {
        return length / count;
    }

    /** The place of a valley from the run's zero, in inches; 0 is the run's start, {@code count} its end. */
    public double valley(int k) {
        return length * k / count;
    }

    /** The place of a crown from the run's zero, in inches; 1 is the first repeat's. */
    public double crown(int k) {
        return length * (2 * k - 1) / (2.0 * count);
    }

    public double centre() {
        return length / 2;
    }

    /** Whether a valley stands on the centre; otherwise a crown does. */
    public boolean valleyOnCentre() {
        return count % 2 == 0;
    }
}
