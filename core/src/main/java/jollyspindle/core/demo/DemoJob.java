package jollyspindle.core.demo;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;

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
                List.of(StarterShelf.template("orchard-hill"), StarterShelf.template("mill-bridge")),
                RunLayout.of(Optional.of("orchard-hill"), 7));
    }
}
