package jollyspindle.core.shelf;

/** Which way an arc template's edge curves, and so on which side of it the foot runs. */
public enum ArcEdge {
    /** Bulges away from the plate; the foot runs outside the curve, and stitches a larger radius than the edge's. */
    CONVEX(1),
    /** A hollow in the plate; the foot runs inside the curve, and stitches a smaller radius than the edge's. */
    CONCAVE(-1);

    private final int footSign;

    ArcEdge(int footSign) {
        this.footSign = footSign;
    }

    /** What one foot radius adds to the edge's radius, in foot radii: 1 or −1. */
    public int footSign() {
        return footSign;
    }
}
