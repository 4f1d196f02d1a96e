package jollyspindle.files;

import jollyspindle.core.words.Sentences;

/** What is said of files that can't be read or written, and in drawings. */
public final class FileTexts {

    private static final Sentences SENTENCES = new Sentences(FileTexts.class, "files");

    private FileTexts() {}

    /** A sentence with what it puts in, by name, in turn. */
    public static String say(String key, Object... namesAndValues) {
        return SENTENCES.say(key, namesAndValues);
    }
}
