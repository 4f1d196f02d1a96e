package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.desktop.look.Palette;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.StrokeLineCap;

/** A piece of a run with what is really stitched on it, small and to scale, its outside edge up. */
public final class StitchingPicture {

    private StitchingPicture() {}

    /**
     * Draws the left end of a run.
     *
     * @param width of the picture, in pixels
     * @param height of it; what is seen of the run's length follows
     */
    public static Canvas draw(RunPlan run, Palette p, double width, double height) {
        RunFrame frame = run.frame();
        double scale = (height - 3) / frame.depth();
        Canvas canvas = new Canvas(width, height);
        GraphicsContext g = canvas.getGraphicsContext2D();
        View view = new View(scale, 4, height - 2);
        double shown = Math.min(frame.length(), (width - 8) / scale);
        g.setFill(p.border());
        g.fillRect(0, 0, width, height);
        g.save();
        g.beginPath();
        g.rect(0, 0, 4 + shown * scale + 4, height);
        g.clip();
        g.setStroke(p.seam());
        g.setLineWidth(1);
        view.stroke(g, new Segment(new Point(0, 0), new Point(shown, 0)));
        g.setLineDashes(4, 3);
        double limit = frame.depth() - frame.reserve();
        view.stroke(g, new Segment(new Point(0, limit), new Point(shown, limit)));
        g.setLineDashes();
        g.setStroke(p.stitch());
        g.setLineWidth(1.4);
        g.setLineCap(StrokeLineCap.ROUND);
        // From the quilt's frame into the run's own.
        Pose home = new Pose(frame.origin().times(-1).turned(-frame.rotation()), -frame.rotation());
        for (StitchLine line : run.laidOut().lines()) {
            view.stroke(g, line.path().posed(home));
        }
        g.restore();
        return canvas;
    }
}
