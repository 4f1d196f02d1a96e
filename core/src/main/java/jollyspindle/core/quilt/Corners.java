package jollyspindle.core.quilt;

/** How the border turns its corners. */
public enum Corners {
    /** A seam at half the corner's angle. */
    MITRED,
    /** A square of its own in each corner. */
    CORNERSTONES,
    /** Butted: the top and bottom borders run through to the outer edge. */
    TOP_AND_BOTTOM_THROUGH,
    /** Butted: the right and left borders run through to the outer edge. */
    SIDES_THROUGH;

    /** Whether the border on this side runs through to the quilt's outer edge at both of its ends. */
    public boolean runsThrough(Side side) {
        return this == TOP_AND_BOTTOM_THROUGH && side.isAcross() || this == SIDES_THROUGH && !side.isAcross();
    }
}
