package jollyspindle.core.division;

import jollyspindle.core.text.Refusals;

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
        END,
        /** What the corner's motif takes of the run before anything is divided. */
        CORNER
    }

    public Cell {
        if (!(to > from)) {
            throw new IllegalArgumentException(Refusals.say("cell.length", "from", from, "to", to));
        }
    }

    /** In inches. */
    public double width() {
        return to - from;
    }

    /** This cell as it is seen from the other edge of a run of a length, in inches. */
    Cell turned(double length) {
        return new Cell(kind, length - to, length - from);
    }

    /** This cell further along, in inches. */
    public Cell moved(double by) {
        return new Cell(kind, from + by, to + by);
    }

    /** In inches along the run. */
    public double middle() {
        return (from + to) / 2;
    }
}
