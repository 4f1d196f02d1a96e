package jollyspindle.core.quilt;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;

/** What is measured on a quilt with one border. All are lengths in inches. */
public enum Dimension {
    BODY_TOP(Kind.BODY, Side.TOP),
    BODY_RIGHT(Kind.BODY, Side.RIGHT),
    BODY_BOTTOM(Kind.BODY, Side.BOTTOM),
    BODY_LEFT(Kind.BODY, Side.LEFT),
    /** From the body's top left corner to its bottom right one. */
    DIAGONAL_DOWN(Kind.DIAGONAL, null),
    /** From the body's bottom left corner to its top right one. */
    DIAGONAL_UP(Kind.DIAGONAL, null),
    DEPTH_TOP(Kind.DEPTH, Side.TOP),
    DEPTH_RIGHT(Kind.DEPTH, Side.RIGHT),
    DEPTH_BOTTOM(Kind.DEPTH, Side.BOTTOM),
    DEPTH_LEFT(Kind.DEPTH, Side.LEFT),
    /** From the quilt's outer edge inwards: the strip where nothing may be stitched. */
    RESERVE(Kind.STRIP, null),
    /** From the seam outwards to where the arcs stand. */
    CLEARANCE(Kind.STRIP, null);

    /** Dimensions that follow the same rules. */
    public enum Kind {
        BODY,
        DIAGONAL,
        DEPTH,
        STRIP
    }

    private final Kind kind;
    private final Side side;

    Dimension(Kind kind, Side side) {
        this.kind = kind;
        this.side = side;
    }

    public Kind kind() {
        return kind;
    }

    /** The body's length along a side. */
    public static Dimension body(Side side) {
        return of(Kind.BODY, side);
    }

    /** The border's depth on a side. */
    public static Dimension depth(Side side) {
        return of(Kind.DEPTH, side);
    }

    private static Dimension of(Kind kind, Side side) {
        return Arrays.stream(values())
                .filter(d -> d.kind == kind && d.side == side)
                .findFirst()
                .orElseThrow();
    }

    /** All of a kind, in the order in which they are measured. */
    public static List<Dimension> of(Kind kind) {
        return Arrays.stream(values()).filter(d -> d.kind == kind).toList();
    }

    /** Whether nothing can be planned before this is measured. */
    public boolean isNeeded() {
        return kind == Kind.BODY || kind == Kind.DEPTH;
    }

    /** What holds while nothing else is said, in inches. */
    public OptionalDouble usual() {
        return switch (this) {
            case RESERVE -> OptionalDouble.of(0.5);
            case CLEARANCE -> OptionalDouble.of(0);
            default -> OptionalDouble.empty();
        };
    }
}
