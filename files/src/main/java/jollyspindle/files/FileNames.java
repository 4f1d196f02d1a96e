package jollyspindle.files;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Locale;

/** Names as every system takes them for files. */
public final class FileNames {

    /** As long as a name gets, in bytes: systems stop at 255, and endings and kept versions come on top. */
    private static final int LONGEST = 120;

    private FileNames() {}

    /**
     * A name for a file, without its ending.
     *
     * @param name as the quilter wrote it
     * @param otherwise if nothing of it can stand in a file's name
     */
    public static String plain(String name, String otherwise) {
        String plain = cut(name.replaceAll("[\\\\/:*?\"<>|\\p{Cntrl}]+", " ").strip(), LONGEST)
                .strip();
        return plain.isEmpty() ? otherwise : plain;
    }

    /** A text's beginning that takes no more than so many bytes, never half a character. */
    static String cut(String text, int bytes) {
        int end = 0;
        int taken = 0;
        while (end < text.length()) {
            int next = text.offsetByCodePoints(end, 1);
            taken += text.substring(end, next).getBytes(StandardCharsets.UTF_8).length;
            if (taken > bytes) {
                break;
            }
            end = next;
        }
        return text.substring(0, end);
    }

    /** A file with the ending that belongs to it, which is added unless it stands there. */
    public static Path ending(Path file, String suffix) {
        String name = file.getFileName().toString();
        return name.toLowerCase(Locale.ROOT).endsWith(suffix) ? file : file.resolveSibling(name + suffix);
    }
}
