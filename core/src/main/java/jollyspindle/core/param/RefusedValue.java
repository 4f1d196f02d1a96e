package jollyspindle.core.param;

/** A value that lies in its range and doesn't go together with another. The message says why, in the quilter's words. */
public final class RefusedValue extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    private final String code;

    /**
     * A value that is refused.
     *
     * @param code the lasting name of what it is the value of
     */
    public RefusedValue(String code, String why) {
        super(why);
        this.code = code;
    }

    public String code() {
        return code;
    }
}
