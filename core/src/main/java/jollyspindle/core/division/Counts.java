package jollyspindle.core.division;

import jollyspindle.core.quilt.Side;
import jollyspindle.core.text.Guards;

/**
 * How many repeats the sides have; opposite sides have the same.
 *
 * @param across repeats of the top and of the bottom, 1 to {@link #MOST}
 * @param down repeats of the right side and of the left, 1 to {@link #MOST}
 */
public record Counts(int across, int down) {

    /** More repeats on a side than anyone stitches. */
    public static final int MOST = 400;

    public Counts {
        Guards.within("across", across, 1, MOST);
        Guards.within("down", down, 1, MOST);
    }

    public int on(Side side) {
        return side.isAcross() ? across : down;
    }

    /** These counts with another one for a side and the side opposite. */
    public Counts with(Side side, int count) {
        return side.isAcross() ? new Counts(count, down) : new Counts(across, count);
    }
}
