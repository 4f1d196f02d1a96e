package jollyspindle.command;

import java.util.regex.Pattern;

/** A command line as it is typed, for tables. */
final class CommandLineWords {

    private static final Pattern WORD = Pattern.compile("'([^']*)'|(\\S+)");

    private CommandLineWords() {}

    /** Its words; single quotes hold words together. */
    static String[] split(String line) {
        return WORD.matcher(line)
                .results()
                .map(m -> m.group(1) == null ? m.group(2) : m.group(1))
                .toArray(String[]::new);
    }
}
