package jollyspindle.core.quilt;

/** A side of the quilt, as it lies with its top edge up; in the order in which runs follow each other, clockwise. */
public enum Side {
    TOP,
    RIGHT,
    BOTTOM,
    LEFT;

    /** The side that a run along this one leads to. */
    public Side next() {
        return values()[(ordinal() + 1) % 4];
    }

    public Side previous() {
        return values()[(ordinal() + 3) % 4];
    }

    public Side opposite() {
        return values()[(ordinal() + 2) % 4];
    }

    /** Whether this is the top or the bottom. */
    public boolean isAcross() {
        return this == TOP || this == BOTTOM;
    }
}
