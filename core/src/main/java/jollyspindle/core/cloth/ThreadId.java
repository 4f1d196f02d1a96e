package jollyspindle.core.cloth;

import jollyspindle.core.text.Guards;

import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What is stitched with one thread: one of the motifs on a fabric.
 *
 * @param on which it is stitched
 * @param layer which motif, by its lasting number, from 1; 0 for what stands in the corners
 */
public record ThreadId(FabricId on, int layer) implements Comparable<ThreadId> {

    private static final Pattern CODE = Pattern.compile("(.+)/(\\d{1,3})");
    private static final Comparator<ThreadId> ORDER =
            Comparator.comparing(ThreadId::on).thenComparingInt(ThreadId::layer);

    public ThreadId {
        Guards.atLeast("layer", layer, 0);
    }

    /** A lasting name for files and scripts: {@code border-1/2}. */
    public String code() {
        return on.code() + "/" + layer;
    }

    /** From a {@link #code}; nothing if it is none. */
    public static Optional<ThreadId> parse(String code) {
        Matcher match = CODE.matcher(code);
        return match.matches()
                ? FabricId.parse(match.group(1)).map(on -> new ThreadId(on, Integer.parseInt(match.group(2))))
                : Optional.empty();
    }

    @Override
    public int compareTo(ThreadId other) {
        return ORDER.compare(this, other);
    }
}
