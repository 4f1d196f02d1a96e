package jollyspindle.desktop.model;

import jollyspindle.core.cloth.Grid;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.files.drawing.ClothPicture;

import java.util.Optional;

/** A plan as it will look once it is quilted. */
public final class QuiltedCloth {

    private QuiltedCloth() {}

    /**
     * The cloth under a grid: alpha, red, green and blue, eight bits each, row by row; nothing while the quilt isn't measured. It
     * takes longer than a frame: not for the window's thread.
     */
    public static Optional<int[]> pixels(WorkPlan plan, Grid grid) {
        return ClothPicture.of(plan).map(picture -> picture.pixels(grid));
    }
}
