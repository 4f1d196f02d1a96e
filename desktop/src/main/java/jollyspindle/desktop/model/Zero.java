package jollyspindle.desktop.model;

/** Where the tape's zero is laid. */
public enum Zero {
    LEFT,
    CENTRE,
    RIGHT,
    /** At a mark, see {@link Workbench#zeroMarkProperty}. */
    MARK
}
