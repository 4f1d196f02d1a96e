package jollyspindle.files;

/** A file couldn't be read or written. The message is for the quilter: what was found, where, and what to do. */
public final class FileTrouble extends Exception {

    private static final long serialVersionUID = 1;

    /** Whether a newer version wrote it, so that nothing is wrong with it. */
    private final boolean newer;

    public FileTrouble(String message) {
        this(message, false);
    }

    private FileTrouble(String message, boolean newer) {
        super(message);
        this.newer = newer;
    }

    /** A file that only a newer version can read. */
    public static FileTrouble ofNewer(String message) {
        return new FileTrouble(message, true);
    }

    /** Whether a newer version wrote the file. */
    public boolean isNewer() {
        return newer;
    }

    public FileTrouble(String message, Throwable cause) {
        super(message, cause);
        newer = cause instanceof FileTrouble trouble && trouble.newer;
    }
}
