package jollyspindle.core.measure;

/** What became of a text that should be a length: either understood, or refused with a reason a quilter can act on. */
public sealed interface LengthReading {

    /**
     * The text was a length.
     *
     * @param inches the length in inches, finite; may be negative or zero, since what is allowed depends on the field
     * @param text what was read
     */
    record Understood(double inches, String text) implements LengthReading {}

    /**
     * The text was no length.
     *
     * @param text what was read
     * @param message what is wrong with it and what would be right, in the quilter's words
     */
    record Refused(String text, String message) implements LengthReading {}
}
