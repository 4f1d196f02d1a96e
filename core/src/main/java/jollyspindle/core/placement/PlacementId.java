package jollyspindle.core.placement;

/**
 * Which placement of a line, by what it is.
 *
 * @param line that is stitched
 * @param part which placement of it, counted from where the motif begins the line, whichever way it is stitched; from 1, and
 *     0 if it takes only one
 */
public record PlacementId(LineId line, int part) {

    /** Its lasting name, such as {@code top-arc-3} or {@code top-arc-3-part-2}. */
    public String code() {
        return line.code() + (part == 0 ? "" : "-part-" + part);
    }

    @Override
    public String toString() {
        return code();
    }
}
