package jollyspindle.desktop.control;

import jollyspindle.desktop.look.Palette;

import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;

/** A hand from above, as large as a hand, to tell the size of things by. Invented, not anybody's. */
final class HandOutline {

    /** From the thumb to the little finger, in inches. */
    static final double WIDTH = 3.9;

    /** Where each finger leaves the palm, where its tip's middle lies, and how thick it is; in inches from the upper left. */
    private static final double[][] FINGERS = {
        {1.45, 3.3, 1.2, 0.85, 0.62},
        {2.05, 3.2, 2.0, 0.4, 0.66},
        {2.65, 3.3, 2.8, 0.7, 0.62},
        {3.15, 3.6, 3.5, 1.6, 0.54},
        {1.25, 5.3, 0.4, 3.6, 0.7},
    };

    private final Palette p;

    HandOutline(Palette p) {
        this.p = p;
    }

    /** Draws it with its upper left corner at a pixel. */
    void draw(GraphicsContext g, double x, double y, double scale) {
        g.save();
        g.setLineCap(StrokeLineCap.ROUND);
        g.setLineJoin(StrokeLineJoin.ROUND);
        g.setLineDashes();
        // Twice: the edge first, a little thicker, then the inside over it, so that no seam shows between the parts.
        for (double edge : new double[] {2.4, 0}) {
            g.setStroke(edge > 0 ? p.faint() : p.cloth());
            g.setFill(edge > 0 ? p.faint() : p.cloth());
            for (double[] f : FINGERS) {
                g.setLineWidth(f[4] * scale + edge);
                g.strokeLine(x + f[0] * scale, y + f[1] * scale, x + f[2] * scale, y + f[3] * scale);
            }
            double e = edge / 2;
            g.fillRoundRect(
                    x + 1.0 * scale - e,
                    y + 3.0 * scale - e,
                    2.45 * scale + edge,
                    3.6 * scale + edge,
                    1.3 * scale,
                    1.3 * scale);
        }
        g.restore();
    }
}
