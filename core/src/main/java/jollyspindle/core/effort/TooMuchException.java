package jollyspindle.core.effort;

/** More would come of it than can be planned. Whoever lays something out tells it in place of what would have come. */
public final class TooMuchException extends RuntimeException {

    private static final long serialVersionUID = 1;

    TooMuchException() {
        super("more than " + Effort.MOST);
    }
}
