package jollyspindle.command;

import jollyspindle.core.words.Sentences;
import jollyspindle.core.words.Words;

/** The commands' own sentences. */
final class Said {

    private static final Sentences SENTENCES = new Sentences(Said.class, "command");

    private Said() {}

    /** A sentence with what it puts in, by name, in turn. */
    static String say(String key, Object... namesAndValues) {
        return SENTENCES.say(key, namesAndValues);
    }

    /** A sentence that says lengths. */
    static String say(Words words, String key, Object... namesAndValues) {
        return SENTENCES.say(words, key, namesAndValues);
    }
}
