package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.TextAlignment;

/** A template as it lies at home, crown up, with what it stitches; all templates at one scale. */
public final class TemplatePicture {

    private static final double MARGIN = 10;
    private static final int LABEL_COLUMNS = 4;
    private static final double LABEL_STEP = 44;

    private TemplatePicture() {}

    /**
     * Draws a template that has an edge.
     *
     * @param scale pixels to the inch
     */
    public static Canvas draw(ArcTemplate template, Machine machine, Words words, Look look, double scale) {
        Palette p = look.palette();
        List<Curve> outline = template.outline();
        double radius = template.stitchedRadius(machine);
        Arc edge = template.edgeCurve();
        double left = Math.min(least(outline, true), -radius * Math.sin(template.usableSweep() / 2));
        double low = Math.min(least(outline, false), edge.start().y());
        double high = Math.max(most(outline), radius);
        Canvas canvas = new Canvas(-2 * left * scale + 2 * MARGIN, (high - low) * scale + 2 * MARGIN);
        View view = new View(scale, -left * scale + MARGIN, high * scale + MARGIN);
        GraphicsContext g = canvas.getGraphicsContext2D();
        view.path(g, outline);
        g.setFill(p.templateFill());
        g.fill();
        g.setStroke(p.template());
        g.setLineWidth(2);
        g.stroke();
        g.setFont(look.font(14, false));
        g.setTextBaseline(VPos.CENTER);
        g.setFill(p.ink());
        int number = 0;
        for (double label : template.riseLines()) {
            line(g, view, template, label, words.exact(label), p, number++);
        }
        g.setLineDashes();
        g.setStroke(p.stitch());
        g.setLineWidth(2);
        view.stroke(g, new Arc(Point.ORIGIN, radius, edge.startAngle(), edge.sweep()));
        return canvas;
    }

    /** A rise line with its label; the labels of near lines stand beside each other, not over each other. */
    private static void line(
            GraphicsContext g, View view, ArcTemplate template, double label, String text, Palette p, int number) {
        List<Segment> strokes = template.strokesAt(template.lineBelowCrown(label));
        g.setLineWidth(1);
        g.setLineDashes(6, 4);
        g.setStroke(p.template());
        strokes.forEach(stroke -> view.stroke(g, stroke));
        if (strokes.isEmpty()) {
            return;
        }
        // On legs the labels go left and right in turn; on a whole plate they go along four columns.
        Segment stroke = strokes.get(number % strokes.size());
        double half = text.length() * 3.6 + 3;
        double length = stroke.length() * view.scale();
        double step = strokes.size() > 1
                ? 0
                : Math.max(0, Math.min(length - 2 * half, LABEL_STEP * (LABEL_COLUMNS - 1))) / (LABEL_COLUMNS - 1);
        double x = view.x(stroke.at(0.5)) + (number % LABEL_COLUMNS - (LABEL_COLUMNS - 1) / 2.0) * step;
        double y = view.y(stroke.at(0.5));
        g.setTextAlign(TextAlignment.CENTER);
        g.setFill(p.cloth());
        g.fillRoundRect(x - half, y - 8, 2 * half, 16, 6, 6);
        g.setFill(p.ink());
        g.fillText(text, x, y);
    }

    private static double least(List<Curve> curves, boolean x) {
        return curves.stream()
                .mapToDouble(c -> x
                        ? Math.min(c.start().x(), c.end().x())
                        : Math.min(c.start().y(), c.end().y()))
                .min()
                .orElseThrow();
    }

    private static double most(List<Curve> curves) {
        return curves.stream()
                .mapToDouble(c ->
                        Math.max(c.start().y(), Math.max(c.at(0.5).y(), c.end().y())))
                .max()
                .orElseThrow();
    }
}
