package jollyspindle.files.packet;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

import java.awt.Color;
import java.io.Closeable;
import java.io.IOException;
import java.util.List;

/** One page, drawn on in inches from its top left corner, y down. */
final class Sheet implements Closeable {

    /** PDF points to the inch. */
    static final double POINTS = 72;

    /** What printers leave white, in inches. */
    static final double MARGIN = 0.6;

    static final Color INK = new Color(0x22313A);
    static final Color FAINT = new Color(0x5B5346);
    static final Color RULE = new Color(0x9C8A70);
    static final Color STITCH = new Color(0x8E2440);
    static final Color MARK = new Color(0x1F4E9C);
    static final Color TEMPLATE = new Color(0xB77A12);
    static final Color BAND = new Color(0xF8F3EA);

    /** How a line is drawn. */
    record Pen(Color colour, double points, float[] dash) {
        static Pen solid(Color colour, double points) {
            return new Pen(colour, points, new float[0]);
        }
    }

    private final Type type;
    private final PDRectangle paper;
    private final PDPageContentStream stream;

    Sheet(PDDocument document, Type type, PDRectangle paper) throws IOException {
        this.type = type;
        this.paper = paper;
        PDPage page = new PDPage(paper);
        document.addPage(page);
        stream = new PDPageContentStream(document, page);
    }

    double width() {
        return paper.getWidth() / POINTS;
    }

    double height() {
        return paper.getHeight() / POINTS;
    }

    private float x(double inches) {
        return (float) (inches * POINTS);
    }

    private float y(double inches) {
        return (float) (paper.getHeight() - inches * POINTS);
    }

    void text(String text, double left, double baseline, double points, boolean heavy, Color colour)
            throws IOException {
        stream.beginText();
        stream.setNonStrokingColor(colour);
        stream.newLineAtOffset(x(left), y(baseline));
        for (Type.Piece piece : type.pieces(text, heavy)) {
            stream.setFont(piece.font(), (float) points);
            stream.showText(piece.text());
        }
        stream.endText();
    }

    void text(String text, double left, double baseline, double points) throws IOException {
        text(text, left, baseline, points, false, INK);
    }

    void textRight(String text, double right, double baseline, double points, Color colour) throws IOException {
        text(text, right - type.width(text, points, false), baseline, points, false, colour);
    }

    void textCentred(String text, double middle, double baseline, double points, boolean heavy) throws IOException {
        text(text, middle - type.width(text, points, heavy) / 2, baseline, points, heavy, INK);
    }

    List<String> wrap(String text, double width, double points) throws IOException {
        return type.wrap(text, width, points, false);
    }

    private void use(Pen pen) throws IOException {
        stream.setStrokingColor(pen.colour());
        stream.setLineWidth((float) pen.points());
        stream.setLineDashPattern(pen.dash(), 0);
    }

    void line(double x1, double y1, double x2, double y2, Pen pen) throws IOException {
        use(pen);
        stream.moveTo(x(x1), y(y1));
        stream.lineTo(x(x2), y(y2));
        stream.stroke();
    }

    void polygon(List<Point> points, Pen pen, Color fill) throws IOException {
        use(pen);
        for (int i = 0; i < points.size(); i++) {
            Point p = points.get(i);
            if (i == 0) {
                stream.moveTo(x(p.x()), y(p.y()));
            } else {
                stream.lineTo(x(p.x()), y(p.y()));
            }
        }
        stream.closePath();
        if (fill == null) {
            stream.stroke();
        } else {
            stream.setNonStrokingColor(fill);
            stream.fillAndStroke();
        }
    }

    void rectangle(double left, double top, double width, double height, Pen pen) throws IOException {
        use(pen);
        stream.addRect(x(left), y(top + height), (float) (width * POINTS), (float) (height * POINTS));
        stream.stroke();
    }

    void band(double left, double top, double width, double height, Color fill) throws IOException {
        stream.setNonStrokingColor(fill);
        stream.addRect(x(left), y(top + height), (float) (width * POINTS), (float) (height * POINTS));
        stream.fill();
    }

    /** Draws curves given in a frame with y up, carried by a mapping into the sheet. */
    void curves(List<? extends Curve> curves, Mapping to, Pen pen) throws IOException {
        use(pen);
        for (Curve curve : curves) {
            move(to.map(curve.start()));
            trace(curve, to);
            stream.stroke();
        }
    }

    private void move(Point p) throws IOException {
        stream.moveTo(x(p.x()), y(p.y()));
    }

    private void trace(Curve curve, Mapping to) throws IOException {
        if (!(curve instanceof Arc arc)) {
            Point end = to.map(curve.end());
            stream.lineTo(x(end.x()), y(end.y()));
            return;
        }
        // Bézier pieces of at most 30°, off the true circle by less than a millionth of its radius.
        int pieces = (int) Math.max(1, Math.ceil(Math.abs(arc.sweep()) / (Math.PI / 6)));
        double step = arc.sweep() / pieces;
        double reach = 4.0 / 3 * Math.tan(step / 4) * arc.radius();
        for (int i = 0; i < pieces; i++) {
            double from = arc.startAngle() + i * step;
            Point start = arc.centre().plus(Point.direction(from).times(arc.radius()));
            Point end = arc.centre().plus(Point.direction(from + step).times(arc.radius()));
            Point c1 = to.map(start.plus(Point.direction(from).turnedLeft().times(reach)));
            Point c2 =
                    to.map(end.minus(Point.direction(from + step).turnedLeft().times(reach)));
            Point p = to.map(end);
            stream.curveTo(x(c1.x()), y(c1.y()), x(c2.x()), y(c2.y()), x(p.x()), y(p.y()));
        }
    }

    /** Carries places from a frame with y up into the sheet: scaled, then moved. */
    record Mapping(double scale, double originX, double originY) {
        Point map(Point p) {
            return new Point(originX + p.x() * scale, originY - p.y() * scale);
        }

        List<Point> map(List<Point> points) {
            return points.stream().map(this::map).toList();
        }
    }

    @Override
    public void close() throws IOException {
        stream.close();
    }
}
