package jollyspindle.core.division;

/** What becomes of the odd pieces at the ends of a run. */
public enum EndUse {
    /** They belong to the corner's motif. */
    CORNER,
    /** A short repeat stands on each. */
    SHORT_ARC,
    /** Nothing. */
    PLAIN
}
