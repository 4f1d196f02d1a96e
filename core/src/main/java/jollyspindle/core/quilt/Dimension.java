package jollyspindle.core.quilt;

import jollyspindle.core.code.Codes;

import java.util.Comparator;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What is measured on a quilt. All are lengths in inches. They sort in the order in which they are measured.
 *
 * @param what is measured
 * @param border which border's, from the body outward from 1; 0 if it is no border's
 * @param side along or on which side; nothing if it is no side's
 */
public record Dimension(What what, int border, Optional<Side> side) implements Comparable<Dimension> {

    /** What is measured. */
    public enum What {
        /** The body along a side, seam to seam. */
        BODY(Kind.BODY),
        /** From the body's top left corner to its bottom right one. */
        DIAGONAL_DOWN(Kind.DIAGONAL),
        /** From the body's bottom left corner to its top right one. */
        DIAGONAL_UP(Kind.DIAGONAL),
        /** A border's inner seam along a side, corner to corner, where it isn't the body's. */
        SEAM(Kind.SEAM),
        /** A border, from its inner seam to its outer one or to the raw edge. */
        DEPTH(Kind.DEPTH),
        /** From the seam outwards to where the arcs stand. */
        CLEARANCE(Kind.STRIP),
        /** From the quilt's outer edge inwards: the strip where nothing may be stitched. */
        RESERVE(Kind.STRIP),
        /** The largest gap between stitch lines that the batting's maker allows. */
        BATTING(Kind.LIMIT);

        private final Kind kind;

        What(Kind kind) {
            this.kind = kind;
        }
    }

    /** Dimensions that follow the same rules. */
    public enum Kind {
        BODY,
        DIAGONAL,
        SEAM,
        DEPTH,
        STRIP,
        LIMIT
    }

    public static final Dimension BODY_TOP = body(Side.TOP);
    public static final Dimension BODY_RIGHT = body(Side.RIGHT);
    public static final Dimension BODY_BOTTOM = body(Side.BOTTOM);
    public static final Dimension BODY_LEFT = body(Side.LEFT);
    public static final Dimension DIAGONAL_DOWN = new Dimension(What.DIAGONAL_DOWN, 0, Optional.empty());
    public static final Dimension DIAGONAL_UP = new Dimension(What.DIAGONAL_UP, 0, Optional.empty());
    public static final Dimension DEPTH_TOP = depth(Side.TOP);
    public static final Dimension DEPTH_RIGHT = depth(Side.RIGHT);
    public static final Dimension DEPTH_BOTTOM = depth(Side.BOTTOM);
    public static final Dimension DEPTH_LEFT = depth(Side.LEFT);
    public static final Dimension RESERVE = new Dimension(What.RESERVE, 0, Optional.empty());
    public static final Dimension BATTING = new Dimension(What.BATTING, 0, Optional.empty());
    /** The innermost border's. */
    public static final Dimension CLEARANCE = clearance(1);

    private static final Comparator<Dimension> ORDER = Comparator.<Dimension>comparingInt(
                    d -> d.what == What.RESERVE || d.what == What.BATTING ? Integer.MAX_VALUE : d.border)
            .thenComparing(Dimension::what)
            .thenComparingInt(d -> d.side.map(Side::ordinal).orElse(0));

    public Kind kind() {
        return what.kind;
    }

    /** The body's length along a side. */
    public static Dimension body(Side side) {
        return new Dimension(What.BODY, 0, Optional.of(side));
    }

    /** The innermost border's depth on a side. */
    public static Dimension depth(Side side) {
        return depth(1, side);
    }

    public static Dimension depth(int border, Side side) {
        return new Dimension(What.DEPTH, border, Optional.of(side));
    }

    /** A border's inner seam along a side; the innermost border's is the body's. */
    public static Dimension seam(int border, Side side) {
        return border == 1 ? body(side) : new Dimension(What.SEAM, border, Optional.of(side));
    }

    public static Dimension clearance(int border) {
        return new Dimension(What.CLEARANCE, border, Optional.empty());
    }

    Dimension ofBorder(int other) {
        return new Dimension(what, other, side);
    }

    /** Whether nothing can be planned before this is measured. */
    public boolean isNeeded() {
        return kind() == Kind.BODY || kind() == Kind.DEPTH;
    }

    /** What holds while nothing else is said, in inches. */
    public OptionalDouble usual() {
        return switch (what) {
            case RESERVE -> OptionalDouble.of(0.5);
            case CLEARANCE -> OptionalDouble.of(0);
            default -> OptionalDouble.empty();
        };
    }

    /** A lasting name: {@code body-top}, {@code depth-top} of the innermost border, {@code depth-2-top}. */
    public String code() {
        return Codes.of(what)
                + (border > 1 ? "-" + border : "")
                + side.map(s -> "-" + Codes.of(s)).orElse("");
    }

    @Override
    public int compareTo(Dimension other) {
        return ORDER.compare(this, other);
    }

    @Override
    public String toString() {
        return code();
    }
}
