package jollyspindle.core.quilt;

import jollyspindle.core.text.Guards;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An area of the body.
 *
 * @param number from 1, which it keeps when others come and go
 */
public record AreaId(int number) implements RegionId, Comparable<AreaId> {

    private static final Pattern CODE = Pattern.compile("area-([1-9]\\d{0,2})");

    public AreaId {
        Guards.atLeast("number", number, 1);
    }

    @Override
    public String code() {
        return "area-" + number;
    }

    /** From a {@link #code}; nothing if it is none. */
    public static Optional<AreaId> parse(String code) {
        Matcher match = CODE.matcher(code);
        return match.matches() ? Optional.of(new AreaId(Integer.parseInt(match.group(1)))) : Optional.empty();
    }

    @Override
    public int compareTo(AreaId other) {
        return Integer.compare(number, other.number);
    }

    @Override
    public String toString() {
        return code();
    }
}
