package jollyspindle.core.text;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;

/** The sentences of {@code refusals.properties}. */
public final class Refusals {

    private static final ResourceBundle SENTENCES =
            ResourceBundle.getBundle(Refusals.class.getPackageName() + ".refusals", Locale.ROOT);

    private Refusals() {}

    /**
     * A sentence.
     *
     * @param key it stands under
     * @param namesAndValues what it calls what it puts in, and what that is, in turn; numbers are put in as they are
     * @throws java.util.MissingResourceException if there is none
     */
    public static String say(String key, Object... namesAndValues) {
        Map<String, Object> things = new HashMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            things.put((String) namesAndValues[i], String.valueOf(namesAndValues[i + 1]));
        }
        return new MessageFormat(SENTENCES.getString(key), ULocale.ROOT).format(things);
    }
}
