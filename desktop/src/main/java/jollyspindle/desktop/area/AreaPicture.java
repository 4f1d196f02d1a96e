package jollyspindle.desktop.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.desktop.control.View;
import jollyspindle.desktop.look.Palette;

import java.util.List;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.StrokeLineCap;

/** A piece of cloth with what is stitched on it, small and to scale. */
final class AreaPicture {

    private static final double EDGE = 3;

    private AreaPicture() {}

    /**
     * Draws it.
     *
     * @param outline of the cloth
     * @param most width and height of the picture, in pixels
     */
    static Canvas draw(Path outline, List<StitchLine> lines, Palette p, double most) {
        Box box = outline.box();
        double scale = (most - 2 * EDGE) / Math.max(box.width(), box.height());
        Canvas canvas = new Canvas(box.width() * scale + 2 * EDGE, box.height() * scale + 2 * EDGE);
        GraphicsContext g = canvas.getGraphicsContext2D();
        Point corner = new Point(box.left(), box.top());
        View view = new View(scale, EDGE - corner.x() * scale, EDGE + corner.y() * scale);
        g.setFill(p.cloth());
        g.fillRect(0, 0, canvas.getWidth(), canvas.getHeight());
        g.setStroke(p.seam());
        g.setLineWidth(1.2);
        view.stroke(g, outline);
        g.setStroke(p.stitch());
        g.setLineCap(StrokeLineCap.ROUND);
        g.setLineWidth(lines.size() > 60 ? 0.9 : 1.3);
        lines.forEach(line -> view.stroke(g, line.path()));
        return canvas;
    }
}
