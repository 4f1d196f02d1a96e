package jollyspindle.core.demo;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RingLayout;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A bed quilt that never was. */
public final class DemoJob {

    private DemoJob() {}

    /** The demo job, always the same. */
    public static QuiltJob heronWeir() {
        return new QuiltJob(
                "Heron Weir",
                TapeScale.SIXTEENTHS,
                new Machine(0.245),
                new Quilt(
                        Map.ofEntries(
                                Map.entry(Dimension.BODY_TOP, 71.625),
                                Map.entry(Dimension.BODY_RIGHT, 86.375),
                                Map.entry(Dimension.BODY_BOTTOM, 71.75),
                                Map.entry(Dimension.BODY_LEFT, 86.25),
                                Map.entry(Dimension.DIAGONAL_DOWN, 112.25),
                                Map.entry(Dimension.DIAGONAL_UP, 112.125),
                                Map.entry(Dimension.DEPTH_TOP, 7.25),
                                Map.entry(Dimension.DEPTH_RIGHT, 7.25),
                                Map.entry(Dimension.DEPTH_BOTTOM, 7.25),
                                Map.entry(Dimension.DEPTH_LEFT, 7.25)),
                        Corners.MITRED),
                starterShelf(),
                new RingLayout(Optional.of("orchard-hill"), 7, Optional.empty()));
    }

    /** Three arc templates in common sizes, for a new job to begin with. */
    public static List<ArcTemplate> starterShelf() {
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
