package jollyspindle.core.shelf;

import java.util.List;

/** The made-up templates a new job begins with, until the quilter puts in real ones. */
public final class StarterShelf {

    private StarterShelf() {}

    /** Three arc templates in common sizes, for a new job to begin with. */
    public static List<ArcTemplate> templates() {
        return List.of(
                new ArcTemplate(
                        "orchard-hill",
                        "Orchard Hill",
                        ArcEdge.CONVEX,
                        4,
                        LabelConvention.AS_STITCHED,
                        Math.toRadians(150),
                        List.of(1.0, 1.5, 2.0, 2.5, 3.0),
                        4,
                        0.25),
                new ArcTemplate(
                        "mill-bridge",
                        "Mill Bridge",
                        ArcEdge.CONVEX,
                        5.5,
                        LabelConvention.AS_CUT,
                        Math.toRadians(100),
                        List.of(0.75, 1.0, 1.25, 1.5, 1.75, 2.0),
                        3,
                        0.25),
                new ArcTemplate(
                        "quiet-cove",
                        "Quiet Cove",
                        ArcEdge.CONCAVE,
                        4.75,
                        LabelConvention.AS_CUT,
                        Math.toRadians(110),
                        List.of(1.0, 1.25, 1.5),
                        1.75,
                        0.125));
    }
}
