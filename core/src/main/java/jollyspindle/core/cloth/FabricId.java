package jollyspindle.core.cloth;

import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.text.Guards;

import java.util.Comparator;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A part of the quilt that is of one fabric.
 *
 * @param kind of part
 * @param number of the border from the body outward, or the one that the strip or the area keeps, from 1; 0 for the body
 * @param letter of the area's pieces, A to Z; a blank where it isn't an area
 */
public record FabricId(Kind kind, int number, char letter) implements Comparable<FabricId> {

    /** What there is. */
    public enum Kind {
        BODY,
        BORDER,
        STRIP,
        AREA
    }

    private static final char NONE = ' ';
    private static final Pattern CODE = Pattern.compile("body|(?:(border|strip)|area)-([1-9]\\d{0,2})(?:-([A-Z]))?");
    private static final Comparator<FabricId> ORDER = Comparator.comparing(FabricId::kind)
            .thenComparingInt(FabricId::number)
            .thenComparing(FabricId::letter);

    public static final FabricId BODY = new FabricId(Kind.BODY, 0, NONE);

    public FabricId {
        Guards.atLeast("number", number, kind == Kind.BODY ? 0 : 1);
        boolean fits = kind == Kind.AREA ? letter >= 'A' && letter <= 'Z' : letter == NONE;
        if (!fits) {
            throw new IllegalArgumentException("letter " + letter);
        }
    }

    public static FabricId of(GroupId group) {
        return new FabricId(group.strip() ? Kind.STRIP : Kind.BORDER, group.number(), NONE);
    }

    /** Of an area's pieces with a letter; {@code A} where there is but one. */
    public static FabricId of(AreaId area, char letter) {
        return new FabricId(Kind.AREA, area.number(), letter);
    }

    /** A lasting name for files and scripts: {@code body}, {@code border-2}, {@code strip-1}, {@code area-3-B}. */
    public String code() {
        return switch (kind) {
            case BODY -> "body";
            case BORDER -> "border-" + number;
            case STRIP -> "strip-" + number;
            case AREA -> "area-" + number + "-" + letter;
        };
    }

    /** From a {@link #code}; nothing if it is none. */
    public static Optional<FabricId> parse(String code) {
        Matcher match = CODE.matcher(code);
        if (!match.matches()) {
            return Optional.empty();
        }
        if (match.group(2) == null) {
            return Optional.of(BODY);
        }
        boolean area = match.group(1) == null;
        if (area != (match.group(3) != null)) {
            return Optional.empty();
        }
        Kind kind = area ? Kind.AREA : match.group(1).equals("strip") ? Kind.STRIP : Kind.BORDER;
        return Optional.of(new FabricId(
                kind, Integer.parseInt(match.group(2)), area ? match.group(3).charAt(0) : NONE));
    }

    @Override
    public int compareTo(FabricId other) {
        return ORDER.compare(this, other);
    }
}
