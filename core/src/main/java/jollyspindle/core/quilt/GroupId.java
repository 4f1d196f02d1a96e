package jollyspindle.core.quilt;

import jollyspindle.core.text.Guards;

import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which runs are divided together: the four sides of a border, or a strip by itself.
 *
 * @param strip whether it is a strip; otherwise a border
 * @param number of the border from the body outward, or which the strip keeps when others come and go; from 1
 */
public record GroupId(boolean strip, int number) implements Comparable<GroupId> {

    private static final Pattern CODE = Pattern.compile("(border|strip)-([1-9]\\d{0,2})");

    private static final Comparator<GroupId> ORDER =
            Comparator.<GroupId, Boolean>comparing(GroupId::strip).thenComparingInt(GroupId::number);

    public GroupId {
        Guards.atLeast("number", number, 1);
    }

    public static GroupId border(int number) {
        return new GroupId(false, number);
    }

    public static GroupId strip(int number) {
        return new GroupId(true, number);
    }

    /** A lasting name for files and scripts: {@code border-2}, {@code strip-1}. */
    public String code() {
        return (strip ? "strip-" : "border-") + number;
    }

    /** From a {@link #code}; nothing if it is none. */
    public static Optional<GroupId> parse(String code) {
        Matcher match = CODE.matcher(code);
        return match.matches()
                ? Optional.of(new GroupId(match.group(1).equals("strip"), Integer.parseInt(match.group(2))))
                : Optional.empty();
    }

    @Override
    public int compareTo(GroupId other) {
        return ORDER.compare(this, other);
    }
}
