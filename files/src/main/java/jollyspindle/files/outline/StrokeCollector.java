package jollyspindle.files.outline;

import jollyspindle.core.geometry.Point;
import org.apache.batik.parser.ParseException;
import org.apache.batik.parser.PathHandler;

import java.awt.geom.AffineTransform;
import java.util.ArrayList;
import java.util.List;

/** Follows path data and keeps its strokes, a list for each closed or open run of them. */
final class StrokeCollector implements PathHandler {

    private final AffineTransform transform;
    private final int most;
    private final List<List<Stroke>> runs = new ArrayList<>();
    private List<Stroke> run = new ArrayList<>();
    private int count;
    // In the path's own coordinates: where the pen is, where the run began, and the last curve's handles.
    private double x;
    private double y;
    private double startX;
    private double startY;
    private double cubicX;
    private double cubicY;
    private double quadX;
    private double quadY;

    /**
     * A collector.
     *
     * @param transform from the path's coordinates to the drawing's with y up
     * @param most strokes that are taken
     */
    StrokeCollector(AffineTransform transform, int most) {
        this.transform = transform;
        this.most = most;
    }

    /** The runs of strokes. */
    List<List<Stroke>> runs() {
        endRun();
        return runs;
    }

    private void endRun() {
        if (!run.isEmpty()) {
            runs.add(run);
            run = new ArrayList<>();
        }
    }

    private Point place(double px, double py) {
        double[] p = {px, py};
        transform.transform(p, 0, p, 0, 1);
        return new Point(p[0], p[1]);
    }

    private void keep(Stroke stroke, double toX, double toY) {
        if (++count > most) {
            throw new ParseException("more than " + most + " strokes", null);
        }
        run.add(stroke);
        x = toX;
        y = toY;
        cubicX = toX;
        cubicY = toY;
        quadX = toX;
        quadY = toY;
    }

    private void line(double toX, double toY) {
        keep(new Stroke.Line(place(x, y), place(toX, toY)), toX, toY);
    }

    private void cubic(double x1, double y1, double x2, double y2, double toX, double toY) {
        keep(new Stroke.Cubic(place(x, y), place(x1, y1), place(x2, y2), place(toX, toY)), toX, toY);
        cubicX = x2;
        cubicY = y2;
    }

    private void quadratic(double x1, double y1, double toX, double toY) {
        keep(Stroke.Cubic.ofQuadratic(place(x, y), place(x1, y1), place(toX, toY)), toX, toY);
        quadX = x1;
        quadY = y1;
    }

    private void arc(double rx, double ry, double degrees, boolean large, boolean sweep, double toX, double toY) {
        if (rx == 0 || ry == 0) {
            line(toX, toY);
            return;
        }
        if (x == toX && y == toY) {
            return;
        }
        keep(
                EndpointArc.of(new Point(x, y), new Point(toX, toY), rx, ry, Math.toRadians(degrees), large, sweep)
                        .stroke(place(x, y), place(toX, toY), transform),
                toX,
                toY);
    }

    void wholeEllipse(double cx, double cy, double rx, double ry) {
        Point at = place(cx + rx, cy);
        keep(new EndpointArc(new Point(cx, cy), rx, ry, 0, 0, 2 * Math.PI).stroke(at, at, transform), cx + rx, cy);
        endRun();
    }

    @Override
    public void startPath() {
        // The first move says where.
    }

    @Override
    public void endPath() {
        endRun();
    }

    private void move(double toX, double toY) {
        endRun();
        x = toX;
        y = toY;
        startX = toX;
        startY = toY;
        cubicX = toX;
        cubicY = toY;
        quadX = toX;
        quadY = toY;
    }

    @Override
    public void movetoRel(float dx, float dy) {
        move(x + dx, y + dy);
    }

    @Override
    public void movetoAbs(float toX, float toY) {
        move(toX, toY);
    }

    @Override
    public void closePath() {
        if (!run.isEmpty()) {
            line(startX, startY);
        }
        move(startX, startY);
    }

    @Override
    public void linetoRel(float dx, float dy) {
        line(x + dx, y + dy);
    }

    @Override
    public void linetoAbs(float toX, float toY) {
        line(toX, toY);
    }

    @Override
    public void linetoHorizontalRel(float dx) {
        line(x + dx, y);
    }

    @Override
    public void linetoHorizontalAbs(float toX) {
        line(toX, y);
    }

    @Override
    public void linetoVerticalRel(float dy) {
        line(x, y + dy);
    }

    @Override
    public void linetoVerticalAbs(float toY) {
        line(x, toY);
    }

    @Override
    public void curvetoCubicRel(float x1, float y1, float x2, float y2, float dx, float dy) {
        cubic(x + x1, y + y1, x + x2, y + y2, x + dx, y + dy);
    }

    @Override
    public void curvetoCubicAbs(float x1, float y1, float x2, float y2, float toX, float toY) {
        cubic(x1, y1, x2, y2, toX, toY);
    }

    @Override
    public void curvetoCubicSmoothRel(float x2, float y2, float dx, float dy) {
        cubic(2 * x - cubicX, 2 * y - cubicY, x + x2, y + y2, x + dx, y + dy);
    }

    @Override
    public void curvetoCubicSmoothAbs(float x2, float y2, float toX, float toY) {
        cubic(2 * x - cubicX, 2 * y - cubicY, x2, y2, toX, toY);
    }

    @Override
    public void curvetoQuadraticRel(float x1, float y1, float dx, float dy) {
        quadratic(x + x1, y + y1, x + dx, y + dy);
    }

    @Override
    public void curvetoQuadraticAbs(float x1, float y1, float toX, float toY) {
        quadratic(x1, y1, toX, toY);
    }

    @Override
    public void curvetoQuadraticSmoothRel(float dx, float dy) {
        quadratic(2 * x - quadX, 2 * y - quadY, x + dx, y + dy);
    }

    @Override
    public void curvetoQuadraticSmoothAbs(float toX, float toY) {
        quadratic(2 * x - quadX, 2 * y - quadY, toX, toY);
    }

    @Override
    public void arcRel(float rx, float ry, float degrees, boolean large, boolean sweep, float dx, float dy) {
        arc(rx, ry, degrees, large, sweep, x + dx, y + dy);
    }

    @Override
    public void arcAbs(float rx, float ry, float degrees, boolean large, boolean sweep, float toX, float toY) {
        arc(rx, ry, degrees, large, sweep, toX, toY);
    }
}
