package jollyspindle.files.drawing;

import jollyspindle.core.area.AreaDesigner;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RingShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.route.Travel;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.io.ByteArrayOutputStream;
import java.util.List;
import java.util.stream.Collectors;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/**
 * Draws a plan as SVG at true size: one user unit is one inch, y down, arcs as exact arcs. The quilt's middle is at the
 * origin.
 */
public final class PlanSvg {

    private static final String NAMESPACE = "http://www.w3.org/2000/svg";
    private static final double MARGIN = 1;

    /** Half the length of a mark's tick along the run's direction out, in inches. */
    private static final double TICK = 0.25;

    private static final int DIGITS = 6;
    private static final long MILLION = 1_000_000;

    private final XMLStreamWriter out;
    private final WorkPlan plan;

    private PlanSvg(XMLStreamWriter out, WorkPlan plan) {
        this.out = out;
        this.plan = plan;
    }

    /**
     * The drawing as UTF-8 bytes.
     *
     * @throws FileTrouble if there is nothing to draw yet
     */
    public static byte[] format(WorkPlan plan) throws FileTrouble {
        QuiltShape shape = plan.shape()
                .orElseThrow(() -> new FileTrouble(FileTexts.say(
                        "drawing.nothing",
                        "finding",
                        new FindingWords(new Words(plan.job().tape())).first(plan.findings()))));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            XMLStreamWriter out = XMLOutputFactory.newInstance().createXMLStreamWriter(bytes, "UTF-8");
            new PlanSvg(out, plan).draw(shape);
            out.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException("writing into memory can't fail", e);
        }
        return bytes.toByteArray();
    }

    private void draw(QuiltShape shape) throws XMLStreamException {
        double right =
                MARGIN + shape.outer().stream().mapToDouble(Point::x).max().orElseThrow();
        double left = shape.outer().stream().mapToDouble(Point::x).min().orElseThrow() - MARGIN;
        double top =
                -MARGIN - shape.outer().stream().mapToDouble(Point::y).max().orElseThrow();
        double bottom =
                MARGIN - shape.outer().stream().mapToDouble(Point::y).min().orElseThrow();
        out.writeStartDocument("UTF-8", "1.0");
        out.writeCharacters("\n");
        out.writeStartElement("svg");
        out.writeDefaultNamespace(NAMESPACE);
        out.writeAttribute("width", number(right - left) + "in");
        out.writeAttribute("height", number(bottom - top) + "in");
        out.writeAttribute(
                "viewBox", number(left) + " " + number(top) + " " + number(right - left) + " " + number(bottom - top));
        element("title", plan.job().name());
        element("desc", "Drawn at true size by Jolly Spindle; one unit is one inch.");
        group("cloth", "fill", "#FDFBF6", "stroke", "#9C8A70", "stroke-width", "0.06");
        polygon("quilt", shape.outer());
        for (RingShape ring : shape.rings()) {
            if (ring.border() < shape.rings().size()) {
                polygon(GroupId.border(ring.border()).code(), ring.outer());
            }
        }
        polygon("body", shape.body().corners());
        for (RunFrame strip : shape.strips()) {
            polygon(strip.id().code(), strip.rectangle());
        }
        areas();
        out.writeEndElement();
        group("corner-seams", "stroke", "#9C8A70", "stroke-width", "0.04", "stroke-dasharray", "0.06 0.18");
        for (Segment seam : shape.cornerSeams()) {
            line(seam.from(), seam.to());
        }
        out.writeEndElement();
        group("reserve", "fill", "none", "stroke", "#9C8A70", "stroke-width", "0.03", "stroke-dasharray", "0.3 0.15");
        polygon("reserve-line", shape.reserve());
        out.writeEndElement();
        group("stitching", "fill", "none", "stroke", "#8E2440", "stroke-width", "0.06", "stroke-linecap", "round");
        for (StitchLine line : plan.lines()) {
            stitching(line);
        }
        out.writeEndElement();
        group("marks", "stroke", "#1F4E9C", "stroke-width", "0.04", "stroke-dasharray", "0.1 0.06");
        for (RunPlan run : plan.runs()) {
            marks(run);
        }
        for (AreaPlan area : plan.areas()) {
            for (Mark mark : area.marks()) {
                cross(mark.place());
            }
        }
        out.writeEndElement();
        group(
                "travelling",
                "fill",
                "none",
                "stroke",
                "#8E2440",
                "stroke-width",
                "0.04",
                "stroke-dasharray",
                "0.05 0.12");
        for (AreaPlan area : plan.areas()) {
            for (Travel travel : area.travels()) {
                outline("travel-to-" + travel.to(), travel.path());
            }
        }
        out.writeEndElement();
        out.writeEndElement();
        out.writeEndDocument();
    }

    /** Blocks, medallions and appliqués, those below first. */
    private void areas() throws XMLStreamException {
        Quilt quilt = plan.job().quilt();
        Path body = Path.polygon(plan.shape().orElseThrow().body().corners()).reversed();
        for (AreaId id : quilt.areaIdsFromBelow()) {
            Area area = quilt.area(id).orElseThrow();
            if (area instanceof Area.Body) {
                continue;
            }
            List<Path> cloth = area instanceof Area.Applique
                    ? List.of(plan.appliques().get(id))
                    : AreaDesigner.keptFree(area, body);
            for (int i = 0; i < cloth.size(); i++) {
                outline(id.code() + (cloth.size() > 1 ? "-cloth-" + (i + 1) : "-cloth"), cloth.get(i));
            }
        }
    }

    private void outline(String id, Path path) throws XMLStreamException {
        out.writeStartElement("path");
        out.writeAttribute("id", id);
        out.writeAttribute("d", path(path));
        out.writeEndElement();
    }

    private void cross(Point place) throws XMLStreamException {
        line(place.plus(new Point(-TICK / 2, 0)), place.plus(new Point(TICK / 2, 0)));
        line(place.plus(new Point(0, -TICK / 2)), place.plus(new Point(0, TICK / 2)));
    }

    private void stitching(StitchLine line) throws XMLStreamException {
        outline(line.id().code(), line.path());
    }

    /** A path as path data. In the drawing, where y points down, a clockwise arc has the sweep flag 1. */
    static String path(Path path) {
        StringBuilder data = new StringBuilder("M ").append(place(path.start()));
        for (Curve curve : path.curves()) {
            if (curve instanceof Arc arc) {
                // More than half a turn is drawn in two, since a whole one would start where it ends.
                boolean more = Math.abs(arc.sweep()) > Math.PI;
                arc(data, more ? arc.piece(0, 0.5) : arc);
                if (more) {
                    arc(data, arc.piece(0.5, 1));
                }
            } else {
                data.append(" L ").append(place(curve.end()));
            }
        }
        return data.toString();
    }

    private static void arc(StringBuilder data, Arc arc) {
        String radius = number(arc.radius());
        data.append(" A ")
                .append(radius)
                .append(' ')
                .append(radius)
                .append(" 0 0 ")
                .append(arc.sweep() < 0 ? 1 : 0)
                .append(' ')
                .append(place(arc.end()));
    }

    private void marks(RunPlan run) throws XMLStreamException {
        for (Mark mark : run.laidOut().marks()) {
            Point reach = run.frame().outward().times(TICK);
            out.writeStartElement("g");
            out.writeAttribute("id", mark.id().code());
            element(
                    "title",
                    FileTexts.say(
                            "drawing.mark",
                            "mark",
                            Words.name(mark),
                            "reading",
                            Words.fromEnd(mark.readings().fromLeft())));
            line(mark.place().minus(reach), mark.place().plus(reach));
            out.writeEndElement();
        }
    }

    private void group(String id, String... attributes) throws XMLStreamException {
        out.writeCharacters("\n");
        out.writeStartElement("g");
        out.writeAttribute("id", id);
        for (int i = 0; i < attributes.length; i += 2) {
            out.writeAttribute(attributes[i], attributes[i + 1]);
        }
    }

    private void element(String name, String text) throws XMLStreamException {
        out.writeStartElement(name);
        out.writeCharacters(characters(text));
        out.writeEndElement();
    }

    /** A text with what XML 1.0 can't hold (production 2, “Char”) as �. */
    private static String characters(String text) {
        return text.codePoints()
                .map(c -> c == '\t'
                                || c == '\n'
                                || c == '\r'
                                || c >= ' ' && c <= 0xd7ff
                                || c >= 0xe000 && c <= 0xfffd
                                || c >= 0x10000
                        ? c
                        : 0xfffd)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    private void polygon(String id, List<Point> points) throws XMLStreamException {
        out.writeEmptyElement("polygon");
        out.writeAttribute("id", id);
        out.writeAttribute("points", points.stream().map(PlanSvg::place).collect(Collectors.joining(" ")));
    }

    private void line(Point from, Point to) throws XMLStreamException {
        out.writeEmptyElement("line");
        out.writeAttribute("x1", number(from.x()));
        out.writeAttribute("y1", number(-from.y()));
        out.writeAttribute("x2", number(to.x()));
        out.writeAttribute("y2", number(-to.y()));
    }

    private static String place(Point point) {
        return number(point.x()) + "," + number(-point.y());
    }

    /** A number to six decimals, without what needn't be written. There are a great many of them in a drawing. */
    static String number(double value) {
        long millionths = Math.round(Math.abs(value) * 1e6);
        if (millionths == 0) {
            return "0";
        }
        StringBuilder text = new StringBuilder(value < 0 ? "-" : "").append(millionths / MILLION);
        long rest = millionths % MILLION;
        if (rest > 0) {
            text.append('.').append(Long.toString(MILLION + rest), 1, DIGITS + 1);
            while (text.charAt(text.length() - 1) == '0') {
                text.setLength(text.length() - 1);
            }
        }
        return text.toString();
    }
}
