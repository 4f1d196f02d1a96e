package jollyspindle.desktop.control;

import jollyspindle.core.cloth.Grid;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.desktop.model.QuiltedCloth;

import java.util.Optional;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.image.PixelFormat;
import javafx.scene.image.WritableImage;

/**
 * The quilt as it will look, under what else is drawn on the table. It is worked out away from the window: coarse first, then
 * pixel by pixel; meanwhile what was seen last moves and grows with the table.
 */
final class ClothLayer {

    /** How many times coarser the first picture is. */
    private static final int COARSE = 4;

    /** What there is a picture of. */
    private record Shown(WorkPlan plan, Grid grid, WritableImage image) {}

    private final BackgroundQueue queue = new BackgroundQueue("cloth");
    private final Runnable draw;
    private WorkPlan askedOf;
    private Grid asked;
    private Shown shown;

    /**
     * A layer.
     *
     * @param draw has the table drawn anew
     */
    ClothLayer(Runnable draw) {
        this.draw = draw;
    }

    /** Lets go all pictures, as long as nobody looks at the cloth. */
    void forget() {
        queue.letGo();
        askedOf = null;
        asked = null;
        shown = null;
    }

    /**
     * Draws what there is of a plan, and asks for what is missing.
     *
     * @return whether anything was drawn
     */
    boolean draw(GraphicsContext g, WorkPlan plan, View view, double width, double height) {
        Grid grid = new Grid(
                view.scale(),
                -view.originX() / view.scale(),
                view.originY() / view.scale(),
                Math.max(1, (int) Math.ceil(width)),
                Math.max(1, (int) Math.ceil(height)));
        if (plan != askedOf || !grid.equals(asked)) {
            ask(plan, grid);
        }
        if (shown == null) {
            return false;
        }
        Grid seen = shown.grid();
        double times = view.scale() / seen.scale();
        g.drawImage(
                shown.image(),
                view.originX() + seen.left() * view.scale(),
                view.originY() - seen.top() * view.scale(),
                seen.width() * times,
                seen.height() * times);
        return true;
    }

    private void ask(WorkPlan plan, Grid grid) {
        askedOf = plan;
        asked = grid;
        queue.letGo();
        if (Soon.isApart()) {
            ask(plan, grid.coarser(COARSE), false);
        }
        ask(plan, grid, true);
    }

    private void ask(WorkPlan plan, Grid grid, boolean last) {
        queue.ask(() -> QuiltedCloth.pixels(plan, grid), (Optional<int[]> pixels) -> {
            shown = pixels.map(all -> new Shown(plan, grid, image(grid, all))).orElse(null);
            if (Soon.isApart() || last) {
                draw.run();
            }
        });
    }

    private static WritableImage image(Grid grid, int[] pixels) {
        WritableImage image = new WritableImage(grid.width(), grid.height());
        image.getPixelWriter()
                .setPixels(
                        0, 0, grid.width(), grid.height(), PixelFormat.getIntArgbInstance(), pixels, 0, grid.width());
        return image;
    }
}
