package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;

import javafx.scene.canvas.Canvas;

/** A template as it lies at home with what it stitches, small, for a card. */
public final class TemplatePicture {

    private static final double MARGIN = 6;

    /** Below this scale, in pixels to the inch, values on lines only clutter. */
    static final double VALUES_FROM = 17;

    private TemplatePicture() {}

    /**
     * Draws a template.
     *
     * @param scale pixels to the inch
     */
    public static Canvas draw(Stitching stitching, Words words, Look look, double scale) {
        Box box = TemplatePainter.extent(stitching);
        Canvas canvas = new Canvas(box.width() * scale + 2 * MARGIN, box.height() * scale + 2 * MARGIN);
        View view = new View(scale, MARGIN - box.left() * scale, MARGIN + box.top() * scale);
        TemplatePainter painter = new TemplatePainter(stitching, look, canvas.getGraphicsContext2D(), view);
        painter.plate();
        painter.engraved(words, scale >= VALUES_FROM);
        painter.stitched();
        return canvas;
    }
}
