package jollyspindle.files;

/** A file couldn't be read or written. The message is for the quilter: what was found, where, and what to do. */
public final class FileTrouble extends Exception {

    private static final long serialVersionUID = 1;

    public FileTrouble(String message) {
        super(message);
    }

    public FileTrouble(String message, Throwable cause) {
        super(message, cause);
    }
}
