package jollyspindle.core.layout;

/** What sort of template a motif is stitched along. */
public enum EdgeKind {
    ARC,
    /** A round edge, or a serpentine strip. */
    S_CURVE,
    FAN,
    CIRCLE,
    /** A straight edge, or a chevron strip. */
    ZIGZAG,
    STRAIGHT_EDGE,
    /** An arm that is turned about a centre. */
    ARM,
    /** A row of scallops: a clamshell row. */
    SCALLOPS;

    /** Whether a template for one of them may well do for the other. */
    public boolean isLike(EdgeKind other) {
        return sort() == other.sort();
    }

    private EdgeKind sort() {
        return switch (this) {
            case S_CURVE -> ARC;
            case ZIGZAG -> STRAIGHT_EDGE;
            default -> this;
        };
    }
}
