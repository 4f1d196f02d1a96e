package jollyspindle.core.marking;

import jollyspindle.core.code.Codes;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.quilt.RegionId;

/**
 * Which mark, by what it is: it stays the same whatever else is marked later.
 *
 * @param piece that it is on
 * @param motif the first that needs it, by its lasting number, from 1; 0 for a corner's
 * @param kind what it is for
 * @param number which of that motif's marks of its kind; valleys count from 0 at the run's zero, the others from 1
 */
public record MarkId(PieceId piece, int motif, Mark.Kind kind, int number) {

    /** The region it is on. */
    public RegionId region() {
        return piece.region();
    }

    /** The same mark on another piece of its region. */
    public MarkId on(PieceId other) {
        return new MarkId(other, motif, kind, number);
    }

    /** Its lasting name, such as {@code top-valley-3}. */
    public String code() {
        return piece.code() + "-" + (motif > 1 ? motif + "-" : "") + (motif == 0 ? "corner-" : "") + Codes.of(kind)
                + "-" + number;
    }

    @Override
    public String toString() {
        return code();
    }
}
