package jollyspindle.files.outline;

import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;
import org.apache.batik.parser.AWTTransformProducer;
import org.apache.batik.parser.ParseException;
import org.apache.batik.parser.PathParser;

import java.awt.geom.AffineTransform;
import java.io.ByteArrayInputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * What is drawn in an SVG file: runs of strokes in the drawing's units, with y up, and how large a unit is.
 *
 * <p>Read as a stream, with document types skipped, no entity but XML's own five and nothing fetched from anywhere.
 *
 * @param runs in the drawing's order
 * @param inchesToUnit how large a unit is; nothing if the drawing has no physical size
 */
record SvgDrawing(List<Run> runs, OptionalDouble inchesToUnit) {

    /**
     * Strokes that hang together.
     *
     * @param id of the element they are from; empty if it has none
     * @param strokes at least one
     */
    record Run(String id, List<Stroke> strokes) {}

    private static final int MOST_STROKES = 5000;
    private static final int MOST_RUNS = 500;
    private static final int DEEPEST = 100;

    /** What such an element holds isn't drawn where it stands, or isn't a shape. */
    private static final Set<String> SKIPPED = Set.of(
            "defs",
            "symbol",
            "clipPath",
            "mask",
            "pattern",
            "marker",
            "metadata",
            "script",
            "style",
            "foreignObject",
            "text",
            "image",
            "linearGradient",
            "radialGradient",
            "filter",
            "svg");

    private static final String REFERENCE = "a reference";

    private static final Pattern LENGTH = Pattern.compile("\\s*([0-9.eE+-]+)\\s*([a-zA-Z%]*)\\s*");

    static SvgDrawing parse(byte[] content) throws FileTrouble {
        XMLInputFactory factory = XMLInputFactory.newDefaultFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(XMLInputFactory.IS_COALESCING, false);
        factory.setXMLResolver((publicId, systemId, base, namespace) -> new ByteArrayInputStream(new byte[0]));
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new ByteArrayInputStream(content));
            try {
                return new Walk(xml).drawing();
            } finally {
                xml.close();
            }
        } catch (XMLStreamException e) {
            int line = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
            String what = String.valueOf(e.getMessage());
            if (what.contains("was referenced") || what.contains(REFERENCE)) {
                throw new FileTrouble(FileTexts.say("svg.entity", "line", line), e);
            }
            throw new FileTrouble(FileTexts.say("svg.damaged", "line", line), e);
        }
    }

    /** One way through a file. */
    private static final class Walk {

        private final XMLStreamReader xml;
        private final List<Run> runs = new ArrayList<>();
        private final Deque<AffineTransform> transforms = new ArrayDeque<>();
        private OptionalDouble inchesToUnit = OptionalDouble.empty();
        private int strokes;

        Walk(XMLStreamReader xml) {
            this.xml = xml;
        }

        SvgDrawing drawing() throws XMLStreamException, FileTrouble {
            boolean rooted = false;
            while (xml.hasNext()) {
                int event = xml.next();
                if (event == XMLStreamConstants.END_ELEMENT) {
                    transforms.pop();
                } else if (event == XMLStreamConstants.START_ELEMENT) {
                    if (!rooted) {
                        root();
                        rooted = true;
                    } else if (SKIPPED.contains(xml.getLocalName()) || hidden()) {
                        skip();
                    } else {
                        element();
                    }
                } else if (event == XMLStreamConstants.ENTITY_REFERENCE) {
                    throw new XMLStreamException(REFERENCE, xml.getLocation());
                }
            }
            return new SvgDrawing(List.copyOf(runs), inchesToUnit);
        }

        private void root() throws FileTrouble {
            if (!xml.getLocalName().equals("svg")) {
                throw new FileTrouble(FileTexts.say("svg.other", "found", shortened(xml.getLocalName())));
            }
            AffineTransform up = new AffineTransform(1, 0, 0, -1, 0, 0);
            OptionalDouble width = physical(attribute("width"));
            OptionalDouble height = physical(attribute("height"));
            double[] box = viewBox();
            if (width.isPresent() && box != null) {
                double across = width.getAsDouble() / box[2];
                double down = height.isPresent() ? height.getAsDouble() / box[3] : across;
                String aspect = attribute("preserveAspectRatio");
                if (aspect.contains("none")) {
                    up.scale(1, down / across);
                } else {
                    across = aspect.contains("slice") ? Math.max(across, down) : Math.min(across, down);
                }
                inchesToUnit = OptionalDouble.of(across);
            } else if (width.isPresent()) {
                // Without a view box the units are CSS pixels, of which 96 go to an inch (CSS Values and Units, 5.2).
                inchesToUnit = OptionalDouble.of(1.0 / 96);
            }
            up.concatenate(transform());
            transforms.push(up);
        }

        private double[] viewBox() throws FileTrouble {
            String text = attribute("viewBox").strip();
            if (text.isEmpty()) {
                return null;
            }
            String[] parts = text.split("[\\s,]+");
            try {
                double[] box = new double[4];
                for (int i = 0; i < 4; i++) {
                    box[i] = Double.parseDouble(parts[i]);
                }
                if (parts.length == 4 && box[2] > 0 && box[3] > 0 && box[2] < 1e9 && box[3] < 1e9) {
                    return box;
                }
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException e) {
                // Told below.
            }
            throw new FileTrouble(FileTexts.say("svg.view-box", "text", shortened(text)));
        }

        private static OptionalDouble physical(String text) {
            Matcher m = LENGTH.matcher(text);
            if (!m.matches()) {
                return OptionalDouble.empty();
            }
            double inches =
                    switch (m.group(2).toLowerCase(Locale.ROOT)) {
                        case "in" -> 1;
                        case "cm" -> 1 / 2.54;
                        case "mm" -> 1 / 25.4;
                        case "q" -> 1 / 101.6;
                        case "pt" -> 1.0 / 72;
                        case "pc" -> 1.0 / 6;
                        default -> Double.NaN;
                    };
            try {
                double value = Double.parseDouble(m.group(1)) * inches;
                return value > 0 && value < 1e6 ? OptionalDouble.of(value) : OptionalDouble.empty();
            } catch (NumberFormatException e) {
                return OptionalDouble.empty();
            }
        }

        private String attribute(String name) {
            String value = xml.getAttributeValue(null, name);
            return value == null ? "" : value;
        }

        private boolean hidden() {
            String style = attribute("style").replaceAll("\\s+", "");
            return attribute("display").equals("none")
                    || style.contains("display:none")
                    || style.contains("visibility:hidden");
        }

        private void skip() throws XMLStreamException, FileTrouble {
            int depth = 1;
            while (depth > 0 && xml.hasNext()) {
                int event = xml.next();
                depth += event == XMLStreamConstants.START_ELEMENT
                        ? 1
                        : event == XMLStreamConstants.END_ELEMENT ? -1 : 0;
                check(depth + transforms.size());
            }
        }

        private static void check(int depth) throws FileTrouble {
            if (depth > DEEPEST) {
                throw new FileTrouble("It is nested too deeply. Ungroup it, and save it again.");
            }
        }

        private AffineTransform transform() throws FileTrouble {
            String text = attribute("transform");
            if (text.isBlank()) {
                return new AffineTransform();
            }
            try {
                AffineTransform found = AWTTransformProducer.createAffineTransform(text);
                double size = Math.abs(found.getScaleX())
                        + Math.abs(found.getShearX())
                        + Math.abs(found.getTranslateX())
                        + Math.abs(found.getScaleY())
                        + Math.abs(found.getShearY())
                        + Math.abs(found.getTranslateY());
                if (found.getDeterminant() != 0 && size < 1e9) {
                    return found;
                }
            } catch (ParseException e) {
                // Told below.
            }
            throw new FileTrouble(FileTexts.say("svg.transform", "place", place(), "text", shortened(text)));
        }

        private void element() throws FileTrouble {
            AffineTransform here = new AffineTransform(transforms.peek());
            here.concatenate(transform());
            transforms.push(here);
            check(transforms.size());
            StrokeCollector collector = new StrokeCollector(here, MOST_STROKES - strokes);
            try {
                draw(collector);
            } catch (ParseException e) {
                if (String.valueOf(e.getMessage()).contains("more than")) {
                    throw tooMuch(e);
                }
                throw new FileTrouble(FileTexts.say("svg.path", "place", place()), e);
            }
            for (List<Stroke> found : collector.runs()) {
                strokes += found.size();
                runs.add(new Run(attribute("id"), found));
            }
            if (runs.size() > MOST_RUNS) {
                throw tooMuch(null);
            }
        }

        private static FileTrouble tooMuch(Exception e) {
            return new FileTrouble(FileTexts.say("svg.much", "runs", MOST_RUNS, "strokes", MOST_STROKES), e);
        }

        private void draw(StrokeCollector to) throws FileTrouble {
            switch (xml.getLocalName()) {
                case "path" -> {
                    String data = attribute("d");
                    if (!data.isBlank()) {
                        PathParser parser = new PathParser();
                        parser.setPathHandler(to);
                        parser.parse(data);
                    }
                }
                case "polygon" -> {
                    List<Float> numbers = numbers("points");
                    for (int i = 0; i + 1 < numbers.size(); i += 2) {
                        if (i == 0) {
                            to.movetoAbs(numbers.get(0), numbers.get(1));
                        } else {
                            to.linetoAbs(numbers.get(i), numbers.get(i + 1));
                        }
                    }
                    to.closePath();
                }
                case "rect" -> rectangle(to);
                case "circle" -> ellipse(to, number("r"), number("r"));
                case "ellipse" -> ellipse(to, number("rx"), number("ry"));
                default -> {
                    // A group, or something that encloses nothing.
                }
            }
        }

        private void ellipse(StrokeCollector to, double rx, double ry) throws FileTrouble {
            if (rx > 0 && ry > 0) {
                to.wholeEllipse(number("cx"), number("cy"), rx, ry);
            }
        }

        private void rectangle(StrokeCollector to) throws FileTrouble {
            float x = (float) number("x");
            float y = (float) number("y");
            float w = (float) number("width");
            float h = (float) number("height");
            float rx = (float) number(attribute("rx").isBlank() ? "ry" : "rx");
            float ry = (float) number(attribute("ry").isBlank() ? "rx" : "ry");
            if (!(w > 0) || !(h > 0)) {
                return;
            }
            rx = Math.max(0, Math.min(rx, w / 2));
            ry = Math.max(0, Math.min(ry, h / 2));
            to.movetoAbs(x + rx, y);
            to.linetoAbs(x + w - rx, y);
            to.arcAbs(rx, ry, 0, false, true, x + w, y + ry);
            to.linetoAbs(x + w, y + h - ry);
            to.arcAbs(rx, ry, 0, false, true, x + w - rx, y + h);
            to.linetoAbs(x + rx, y + h);
            to.arcAbs(rx, ry, 0, false, true, x, y + h - ry);
            to.linetoAbs(x, y + ry);
            to.arcAbs(rx, ry, 0, false, true, x + rx, y);
            to.closePath();
        }

        private double number(String name) throws FileTrouble {
            String text = attribute(name).strip();
            if (text.isEmpty()) {
                return 0;
            }
            try {
                double value = Double.parseDouble(text.replaceAll("px$", ""));
                if (Math.abs(value) < 1e9) {
                    return value;
                }
            } catch (NumberFormatException e) {
                // Told below.
            }
            throw new FileTrouble(
                    FileTexts.say("svg.attribute", "place", place(), "name", name, "text", shortened(text)));
        }

        private List<Float> numbers(String name) throws FileTrouble {
            List<Float> numbers = new ArrayList<>();
            for (String part : attribute(name).strip().split("[\\s,]+")) {
                try {
                    if (!part.isEmpty()) {
                        numbers.add(Float.parseFloat(part));
                    }
                } catch (NumberFormatException e) {
                    throw new FileTrouble(FileTexts.say("svg.number", "place", place(), "text", shortened(part)), e);
                }
            }
            return numbers;
        }

        private String place() {
            return FileTexts.say("svg.place", "line", xml.getLocation().getLineNumber());
        }

        private static String shortened(String text) {
            String line = text.replaceAll("\\p{Cntrl}+", " ");
            return line.length() > 40 ? line.substring(0, 40) + "…" : line;
        }
    }
}
