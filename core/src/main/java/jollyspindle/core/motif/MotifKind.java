package jollyspindle.core.motif;

/** The motifs there are for runs (common practice, no source). */
public enum MotifKind {
    ARCS,
    FACING_ARCS,
    SAILS,
    FANS,
    CIRCLES,
    SERPENTINE,
    CHEVRONS,
    STRAIGHT_LINES,
    CROSSHATCH;

    /** Whether arcs of the chosen template stand on the repeats, so that their rise follows from the repeat. */
    public boolean ofArcs() {
        return this == ARCS || this == FACING_ARCS;
    }
}
