package jollyspindle.desktop.words;

import jollyspindle.core.words.Sentences;
import jollyspindle.core.words.Words;

/** The window's own sentences. */
public final class Said {

    private static final Sentences SENTENCES = new Sentences(Said.class, "window");

    private Said() {}

    /** A sentence with what it puts in, by name, in turn. */
    public static String say(String key, Object... namesAndValues) {
        return SENTENCES.say(key, namesAndValues);
    }

    /** A sentence that says lengths. */
    public static String say(Words words, String key, Object... namesAndValues) {
        return SENTENCES.say(words, key, namesAndValues);
    }
}
