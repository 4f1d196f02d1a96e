package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.desktop.look.Palette;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.ArcType;

/**
 * From inches with y up to pixels with y down, and back.
 *
 * @param scale pixels to the inch
 * @param originX where the origin lies, in pixels from the left
 * @param originY where the origin lies, in pixels from the top
 */
public record View(double scale, double originX, double originY) {

    double x(Point p) {
        return originX + p.x() * scale;
    }

    double y(Point p) {
        return originY - p.y() * scale;
    }

    /** The place under a pixel. */
    Point place(double x, double y) {
        return new Point((x - originX) / scale, (originY - y) / scale);
    }

    void stroke(GraphicsContext g, Curve curve) {
        if (curve instanceof Arc arc) {
            double r = arc.radius() * scale;
            g.strokeArc(
                    x(arc.centre()) - r,
                    y(arc.centre()) - r,
                    2 * r,
                    2 * r,
                    Math.toDegrees(arc.startAngle()),
                    Math.toDegrees(arc.sweep()),
                    ArcType.OPEN);
        } else if (curve instanceof Segment segment) {
            g.strokeLine(x(segment.from()), y(segment.from()), x(segment.to()), y(segment.to()));
        }
    }

    /** A ruler foot from above, with the needle in its middle. */
    void foot(GraphicsContext g, Palette p, Point needle, double radius) {
        double r = Math.max(4, radius * scale);
        double x = x(needle);
        double y = y(needle);
        g.setLineDashes();
        g.setStroke(p.ink());
        g.setFill(p.cloth());
        g.setLineWidth(1.5);
        g.fillOval(x - r, y - r, 2 * r, 2 * r);
        g.strokeOval(x - r, y - r, 2 * r, 2 * r);
        g.setFill(p.stitch());
        g.fillOval(x - 2, y - 2, 4, 4);
    }

    public void stroke(GraphicsContext g, Path path) {
        path.curves().forEach(curve -> stroke(g, curve));
    }

    /** Makes a closed outline the current path, for filling and stroking. */
    void path(GraphicsContext g, Iterable<? extends Curve> outline) {
        g.beginPath();
        trace(g, outline);
    }

    /** Makes a piece of acrylic the current path; its openings stay open if it is filled by the even-odd rule. */
    void path(GraphicsContext g, Cut.Piece piece) {
        g.beginPath();
        piece.outlines().forEach(outline -> trace(g, outline.curves()));
    }

    /** Makes closed outlines the current path, as {@link #path(GraphicsContext, Cut.Piece)} does. */
    void paths(GraphicsContext g, Iterable<Path> outlines) {
        g.beginPath();
        outlines.forEach(outline -> trace(g, outline.curves()));
    }

    private void trace(GraphicsContext g, Iterable<? extends Curve> outline) {
        boolean first = true;
        for (Curve curve : outline) {
            if (first) {
                g.moveTo(x(curve.start()), y(curve.start()));
                first = false;
            }
            if (curve instanceof Arc arc) {
                double r = arc.radius() * scale;
                g.arc(
                        x(arc.centre()),
                        y(arc.centre()),
                        r,
                        r,
                        Math.toDegrees(arc.startAngle()),
                        Math.toDegrees(arc.sweep()));
            } else {
                g.lineTo(x(curve.end()), y(curve.end()));
            }
        }
        g.closePath();
    }

    /** Draws a polygon's edges, filled if wanted. */
    void polygon(GraphicsContext g, List<Point> points, boolean fill) {
        double[] xs = points.stream().mapToDouble(this::x).toArray();
        double[] ys = points.stream().mapToDouble(this::y).toArray();
        if (fill) {
            g.fillPolygon(xs, ys, xs.length);
        }
        // Side by side: what draws by software goes over all that a line's box holds, and of a whole ring that is much.
        for (int i = 0; i < xs.length; i++) {
            int next = (i + 1) % xs.length;
            g.strokeLine(xs[i], ys[i], xs[next], ys[next]);
        }
    }
}
