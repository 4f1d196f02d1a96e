package jollyspindle.core.quilt;

import jollyspindle.core.code.Codes;

import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;

/** Which run of the quilt: a side of a border, or a strip. Borders come before strips, the innermost first. */
public sealed interface RunId extends RegionId, Comparable<RunId> {

    /**
     * A border's seam along one side.
     *
     * @param border from the body outward, from 1
     */
    record BorderRun(int border, Side where) implements RunId {
        @Override
        public GroupId group() {
            return GroupId.border(border);
        }

        @Override
        public Optional<Side> side() {
            return Optional.of(where);
        }

        @Override
        public String code() {
            String side = Codes.of(where);
            return border == 1 ? side : "border-" + border + "-" + side;
        }

        @Override
        public String toString() {
            return code();
        }
    }

    /**
     * A strip of cloth, sashing or any other, along its lower seam.
     *
     * @param number from 1
     */
    record StripRun(int number) implements RunId {
        @Override
        public GroupId group() {
            return GroupId.strip(number);
        }

        @Override
        public Optional<Side> side() {
            return Optional.empty();
        }

        @Override
        public String code() {
            return "strip-" + number;
        }

        @Override
        public String toString() {
            return code();
        }
    }

    Comparator<RunId> ORDER = Comparator.comparing(RunId::group)
            .thenComparingInt(id -> id.side().map(Side::ordinal).orElse(0));

    /** The innermost border's run along a side. */
    static RunId of(Side side) {
        return new BorderRun(1, side);
    }

    static RunId of(int border, Side side) {
        return new BorderRun(border, side);
    }

    static RunId strip(int number) {
        return new StripRun(number);
    }

    /** The runs it is divided together with. */
    GroupId group();

    /** The side it runs along; a strip has none. */
    Optional<Side> side();

    /** A lasting name for files and scripts: {@code top} of the innermost border, {@code border-2-top}, {@code strip-1}. */
    @Override
    String code();

    /** From a {@link #code}; nothing if it is none. */
    static Optional<RunId> parse(String code) {
        Optional<RunId> side = Stream.of(Side.values())
                .filter(s -> code.equals(of(s).code()))
                .map(RunId::of)
                .findFirst();
        if (side.isPresent()) {
            return side;
        }
        int cut = code.lastIndexOf('-');
        if (code.startsWith("strip-")) {
            return GroupId.parse(code).map(g -> strip(g.number()));
        }
        return cut < 0
                ? Optional.empty()
                : GroupId.parse(code.substring(0, cut)).filter(g -> !g.strip()).flatMap(g -> Stream.of(Side.values())
                        .filter(s -> Codes.of(s).equals(code.substring(cut + 1)))
                        .map(s -> of(g.number(), s))
                        .findFirst());
    }

    @Override
    default int compareTo(RunId other) {
        return ORDER.compare(this, other);
    }
}
