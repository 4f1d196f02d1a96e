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
    /** One of the two arcs of an almond. */
    ALMOND,
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
    /** A petal, or one arc of one. */
    PETAL,
    /** A smaller petal in another. */
    INNER_PETAL,
    /** A line of points round a centre. */
    POINTS,
    /** The line of all petals about a corner. */
    CORNER_RAYS,
    /** A line of a whirl. */
    WHIRL,
    /** A line of a straight-line fan. */
    STRAIGHT_FAN,
    /** An arc that belongs to a corner. */
    CORNER_ARC,
    /** One side of the long diamond in a corner. */
    CORNER_DIAMOND,
    /** A corner's arc about one of its points. */
    CORNER_BLADE
}
