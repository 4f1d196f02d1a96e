package jollyspindle.core.division;

/** What stands on a run's centre. */
public enum OnCentre {
    VALLEY,
    CROWN,
    /** The odd space in the middle, with a motif of its own. */
    SPACE,
    /** Some place between the two. */
    NEITHER
}
