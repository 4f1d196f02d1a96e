package jollyspindle.core.code;

/** Knows its lasting name. */
public interface Coded {

    /** The name, in lower case with hyphens; it stays the same for ever. */
    String code();
}
