package jollyspindle.core.words;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;

/**
 * Sentences of a bundle that stands beside who says them. A sentence names what it puts in, and how that is said, as in
 * {@code told.properties}.
 */
public final class Sentences {

    private final ResourceBundle bundle;

    /**
     * The sentences of a bundle.
     *
     * @param who says them; the bundle stands beside it
     * @param name of the bundle
     * @throws java.util.MissingResourceException if there is no such bundle
     */
    public Sentences(Class<?> who, String name) {
        bundle = ResourceBundle.getBundle(who.getPackageName() + "." + name, Locale.ROOT, who.getClassLoader());
    }

    /**
     * A sentence.
     *
     * @param words lengths are said with
     * @param key it stands under
     * @param namesAndValues what it calls what it puts in, and what that is, in turn
     * @throws java.util.MissingResourceException if there is none
     */
    public String say(Words words, String key, Object... namesAndValues) {
        return new Texts(words).text(bundle, key, things(namesAndValues));
    }

    /** A sentence that says no lengths. */
    public String say(String key, Object... namesAndValues) {
        return Texts.WITHOUT_LENGTHS.text(bundle, key, things(namesAndValues));
    }

    static Map<String, Object> things(Object... namesAndValues) {
        Map<String, Object> things = new HashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            things.put((String) namesAndValues[i], namesAndValues[i + 1]);
        }
        return things;
    }
}
