package jollyspindle.core.quilt;

import jollyspindle.core.text.Guards;

/**
 * A piece of cloth that is stitched on: a run, or one piece of an area.
 *
 * @param region that it belongs to
 * @param number of it in its region, from 1, row by row from the top left; 0 if the region is one piece
 */
public record PieceId(RegionId region, int number) {

    public PieceId {
        Guards.atLeast("number", number, 0);
    }

    /** A region that is one piece. */
    public static PieceId of(RegionId region) {
        return new PieceId(region, 0);
    }

    /** Its lasting name, such as {@code area-1-block-3}. */
    public String code() {
        return region.code() + (number == 0 ? "" : "-block-" + number);
    }

    @Override
    public String toString() {
        return code();
    }
}
