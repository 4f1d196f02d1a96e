package jollyspindle.core.placement;

import jollyspindle.core.code.Codes;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.quilt.RegionId;

/**
 * Which line of stitching, by what it is: it stays the same whatever else is stitched, and in whichever order and direction.
 *
 * @param piece that it is on; a corner's belong to the run at whose left end the corner is
 * @param motif which of the region's, by its lasting number, from 1; 0 for a corner's
 * @param kind what it is
 * @param number which of its kind, counted from the run's zero, or from where the motif begins, from 1
 * @param sub which of several that belong to that number, from 1; 0 if there is only one
 * @param section which of several that are left of it where something is in the way, counted from its start, from 1
 */
public record LineId(PieceId piece, int motif, Stitched kind, int number, int sub, int section) {

    /** The region it is on. */
    public RegionId region() {
        return piece.region();
    }

    /** Another section of the same line. */
    public LineId section(int other) {
        return new LineId(piece, motif, kind, number, sub, other);
    }

    /** The same line of the same motif on another piece of its region. */
    public LineId on(PieceId other) {
        return new LineId(other, motif, kind, number, sub, section);
    }

    /** Its lasting name, such as {@code top-arc-3}. */
    public String code() {
        return piece.code() + "-" + (motif > 1 ? motif + "-" : "") + (motif == 0 ? "corner-" : "") + Codes.of(kind)
                + "-" + number + (sub > 0 ? "-" + sub : "") + (section > 1 ? "-again-" + section : "");
    }

    @Override
    public String toString() {
        return code();
    }
}
