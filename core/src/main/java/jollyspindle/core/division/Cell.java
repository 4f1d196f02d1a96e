package jollyspindle.core.division;

/**
 * A piece of a run that one figure stands on.
 *
 * @param kind what stands there
 * @param from where it begins, in inches along the run
 * @param to where it ends, in inches along the run; beyond {@code from}
 */
public record Cell(Kind kind, double from, double to) {

    /** What stands on a piece of a run. */
    public enum Kind {
        /** A whole repeat. */
        REPEAT,
        /** Half a repeat, at an end. */
        HALF,
        /** The odd space in the middle, for a motif of its own. */
        MIDDLE,
        /** The odd space at an end, which goes into the corner. */
        END
    }

    public Cell {
        if (!(to > from)) {
            throw new IllegalArgumentException("a cell from " + from + " to " + to);
        }
    }

    /** In inches. */
    public double width() {
        return to - from;
    }

    /** In inches along the run. */
    public double middle() {
        return (from + to) / 2;
    }
}
