package jollyspindle.core.placement;

/** What a stitched line is of its motif. */
public enum Stitched {
    /** An arc from foot to foot, or a piece of one. */
    ARC,
    /** An arc below another one, from the same template lowered. */
    NESTED_ARC,
    /** A line beside an earlier one. */
    ECHO,
    /** A curve from the seam to an outer mark. */
    SAIL,
    /** One arc of a fan. */
    BLADE,
    /** A whole circle, once round or more. */
    CIRCLE,
    /** The curl inside a circle. */
    SWIRL,
    /** An S from one edge to the other. */
    SERPENTINE,
    /** A zigzag or a row of boxes, from one repeat's start to its end. */
    CHEVRON,
    /** A straight line. */
    LINE,
    /** One of two sets of parallel lines. */
    HATCH,
    /** One side of the diamond between facing arcs. */
    DIAMOND,
    /** An arm, turned about a centre. */
    ARM,
    /** A circle about a centre, or a piece of one. */
    RING,
    /** A straight line from ring to ring. */
    SPOKE,
    /** A row of shells. */
    SHELLS,
    /** One arc of a petal. */
    PETAL,
    /** An arc that belongs to a corner. */
    CORNER_ARC,
    /** One side of the long diamond in a corner. */
    CORNER_DIAMOND,
    /** A corner's arc about one of its points. */
    CORNER_BLADE
}
