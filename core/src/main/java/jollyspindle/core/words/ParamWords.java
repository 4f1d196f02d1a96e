package jollyspindle.core.words;

import jollyspindle.core.code.Codes;
import jollyspindle.core.param.Param;

import java.util.Locale;
import java.util.ResourceBundle;

/** What params and their values are called. The texts stand in {@code kinds.properties}, by lasting names. */
public final class ParamWords {

    private static final ResourceBundle TEXTS =
            ResourceBundle.getBundle(ParamWords.class.getPackageName() + ".kinds", Locale.ROOT);

    private final String kind;

    /**
     * Words for the params of a kind of thing.
     *
     * @param kind its lasting name, with what it is a kind of before it: {@code area.whirl}
     */
    public ParamWords(String kind) {
        this.kind = kind;
    }

    /** What something about it is called that is no param of it. */
    public String name(String what) {
        return text(kind + "." + what);
    }

    /** What a param is called. */
    public String name(Param<?, ?> param) {
        return text(kind + "." + param.code());
    }

    /** What a param is called where it is taken hold of on the cloth and dragged. */
    public String dragged(Param<?, ?> param) {
        return text(kind + "." + param.code() + ".dragged");
    }

    /** What one of the values to choose from is called. */
    public <E extends Enum<E>> String name(Param.Choice<?, E> param, E value) {
        return text(kind + "." + param.code() + "." + Codes.of(value));
    }

    /** What there is to know about a value besides its range; empty if there is nothing. */
    public String hint(Param<?, ?> param) {
        String key = kind + "." + param.code() + ".hint";
        return TEXTS.containsKey(key) ? text(key) : "";
    }

    static String text(String key) {
        return TEXTS.getString(key);
    }
}
