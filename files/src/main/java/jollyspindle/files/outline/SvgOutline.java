package jollyspindle.files.outline;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * Takes a template's outline out of an SVG drawing: one closed shape of lines, arcs and Béziers, transformed and in physical
 * units as the drawing says. Curves that are no arcs of circles are followed by arcs within {@link
 * jollyspindle.core.geometry.ArcSpline#TOLERANCE}; coordinates are read to seven digits.
 *
 * @param name of the shape in the drawing; empty if it has none
 * @param form the outline
 * @param others how many other closed shapes there were
 */
public record SvgOutline(String name, OutlineForm form, int others) {

    /** What such a file's name ends in. */
    public static final String SUFFIX = ".svg";

    private static final long LARGEST_FILE = 2L << 20;

    /** Ends nearer than this, in inches, are joined. */
    private static final double JOINED = 1.0 / 200;

    private static final double SMALLEST = 0.1;
    private static final double HAND = 8;

    /** Less than this, in inches, is nothing. */
    private static final double NOTHING = 1e-7;

    /** A shape that covers less of its square encloses nothing. */
    private static final double EMPTY = 1e-6;

    /** Where two neighbours meet is told from where they cross by this much, in inches. */
    private static final double CORNER = 1e-4;

    /**
     * What of a drawing is wanted, and how large it is.
     *
     * @param shape the id of the shape; the largest if none is named
     * @param width from left to right, in inches; as the drawing says if it isn't given
     * @param window whether the foot runs inside of it
     */
    public record Wanted(Optional<String> shape, OptionalDouble width, boolean window) {

        /** The largest shape, as large as the drawing says, with the foot outside. */
        public static Wanted usual() {
            return new Wanted(Optional.empty(), OptionalDouble.empty(), false);
        }
    }

    /** A closed shape, with its area and width in the drawing's units. */
    private record Shape(String id, List<Stroke> strokes, double area, double width) {

        static Shape of(SvgDrawing.Run run, double extent) {
            // Measured at the size of a hand, so that curves are followed neither too coarsely nor too finely.
            double k = HAND / extent;
            Path path = path(run.strokes(), k);
            return new Shape(
                    run.id(),
                    run.strokes(),
                    Math.abs(path.area()) / (k * k),
                    path.box().width() / k);
        }
    }

    /**
     * Reads a drawing.
     *
     * @throws FileTrouble if there is no such outline in it, with a message that names the file
     */
    public static SvgOutline read(java.nio.file.Path file, Wanted wanted) throws FileTrouble {
        String quoted = "“" + file.getFileName() + "”";
        try {
            if (Files.isDirectory(file)) {
                throw new FileTrouble(FileTexts.say("svg.folder", "file", quoted));
            }
            long size = Files.size(file);
            if (size > LARGEST_FILE) {
                throw new FileTrouble(
                        FileTexts.say("svg.big", "file", quoted, "size", size >> 20, "most", LARGEST_FILE >> 20));
            }
            return parse(Files.readAllBytes(file), wanted);
        } catch (NoSuchFileException e) {
            throw new FileTrouble(FileTexts.say("file.gone", "file", quoted), e);
        } catch (IOException e) {
            throw new FileTrouble(FileTexts.say("file.unread", "file", quoted, "why", e.getMessage()), e);
        } catch (FileTrouble e) {
            throw e.getMessage().startsWith(quoted)
                    ? e
                    : new FileTrouble(FileTexts.say("svg.unused", "file", quoted, "why", e.getMessage()), e);
        }
    }

    /**
     * Reads a drawing's content.
     *
     * @throws FileTrouble if there is no such outline in it
     */
    public static SvgOutline parse(byte[] content, Wanted wanted) throws FileTrouble {
        if (content.length > 1 && content[0] == 0x1f && (content[1] & 0xff) == 0x8b) {
            throw new FileTrouble("It is compressed. Save it as plain SVG.");
        }
        SvgDrawing drawing = SvgDrawing.parse(content);
        if (drawing.inchesToUnit().isEmpty() && wanted.width().isEmpty()) {
            throw new FileTrouble("It doesn't say how large it is: its width and height need a unit such as mm or in."
                    + " Save it with one, or say how wide the shape is.");
        }
        double unit = drawing.inchesToUnit().orElse(Double.NaN);
        List<Shape> shapes = shapes(drawing, unit);
        Shape chosen = choose(shapes, wanted);
        if (wanted.width().isPresent()) {
            unit = wanted.width().getAsDouble() / chosen.width();
        }
        double inches = extent(chosen.strokes()) * unit;
        if (!(inches >= SMALLEST) || inches > Form.LARGEST) {
            throw new FileTrouble(String.format(
                    Locale.ROOT,
                    "The shape is about %.2f in large; a template has between %s and %.0f in. Check the drawing's unit,"
                            + " or say how wide the shape is.",
                    inches,
                    SMALLEST,
                    Form.LARGEST));
        }
        Path path = path(chosen.strokes(), unit);
        check(path);
        if (Math.abs(path.area()) < inches * inches * EMPTY) {
            throw new FileTrouble("The shape encloses nothing: it goes there and back. Draw it as an outline.");
        }
        return new SvgOutline(chosen.id(), OutlineForm.of(path, wanted.window()), shapes.size() - 1);
    }

    private static List<Shape> shapes(SvgDrawing drawing, double unit) throws FileTrouble {
        if (drawing.runs().isEmpty()) {
            throw new FileTrouble(
                    "Nothing in it is a path, a circle or the like. Text, pictures and references to shapes"
                            + " aren't read: turn them into paths.");
        }
        List<Shape> shapes = new ArrayList<>();
        double open = Double.POSITIVE_INFINITY;
        for (SvgDrawing.Run run : drawing.runs()) {
            double extent = extent(run.strokes());
            if (!(extent > 0) || extent > 1e9) {
                continue;
            }
            double gap = gap(run.strokes());
            if (Double.isNaN(unit) ? gap <= extent / 1000 : gap * unit <= JOINED) {
                shapes.add(Shape.of(run, extent));
            } else {
                open = Math.min(open, gap * unit);
            }
        }
        if (shapes.isEmpty()) {
            throw new FileTrouble(
                    open < Double.POSITIVE_INFINITY
                            ? String.format(
                                    Locale.ROOT,
                                    "No shape in it is closed: %.3f in are missing between an end and its start. Close"
                                            + " the path, and save it again.",
                                    open)
                            : "No shape in it is closed. Close the path, and save it again.");
        }
        return shapes;
    }

    private static Shape choose(List<Shape> shapes, Wanted wanted) throws FileTrouble {
        if (wanted.shape().isEmpty()) {
            return shapes.stream().max(Comparator.comparingDouble(Shape::area)).orElseThrow();
        }
        String id = wanted.shape().get();
        Optional<Shape> found = shapes.stream().filter(s -> s.id().equals(id)).findFirst();
        if (found.isEmpty()) {
            String known = shapes.stream()
                    .map(Shape::id)
                    .filter(s -> !s.isEmpty())
                    .distinct()
                    .limit(12)
                    .collect(Collectors.joining(", "));
            throw new FileTrouble(FileTexts.say("svg.no-shape", "id", id, "named", !known.isEmpty(), "names", known));
        }
        return found.get();
    }

    private static double gap(List<Stroke> strokes) {
        return strokes.get(strokes.size() - 1).to().distance(strokes.get(0).from());
    }

    /** How large a run of strokes is, in the drawing's units. */
    private static double extent(List<Stroke> strokes) {
        Box box = Box.of(strokes.get(0).from(), strokes.get(0).to());
        for (Stroke stroke : strokes) {
            for (Point p : stroke.about()) {
                box = box.with(p);
            }
        }
        return Math.max(box.width(), box.height());
    }

    /** The strokes in inches, closed. */
    private static Path path(List<Stroke> strokes, double inchesToUnit) {
        List<Curve> curves = new ArrayList<>();
        for (Stroke stroke : strokes) {
            stroke.curves(inchesToUnit).forEach(c -> join(curves, c));
        }
        Point start = curves.get(0).start();
        Point end = curves.get(curves.size() - 1).end();
        if (end.distance(start) > NOTHING) {
            curves.add(new Segment(end, start));
        }
        return new Path(curves);
    }

    private static void join(List<Curve> curves, Curve next) {
        if (!curves.isEmpty()) {
            Point end = curves.get(curves.size() - 1).end();
            if (end.distance(next.start()) > NOTHING) {
                curves.add(new Segment(end, next.start()));
            }
        }
        curves.add(next);
    }

    private static void check(Path path) throws FileTrouble {
        List<Curve> curves = path.curves();
        if (curves.size() > OutlineForm.MOST_CORNERS) {
            throw new FileTrouble(
                    FileTexts.say("svg.corners", "curves", curves.size(), "most", OutlineForm.MOST_CORNERS));
        }
        for (int i = 0; i < curves.size(); i++) {
            for (int j = i + 1; j < curves.size(); j++) {
                boolean next = j == i + 1;
                boolean last = i == 0 && j == curves.size() - 1;
                for (Crossings.Crossing c : Crossings.of(curves.get(i), curves.get(j))) {
                    Point at = curves.get(i).at(c.onFirst());
                    boolean joint = next && at.distance(curves.get(i).end()) < CORNER
                            || last && at.distance(curves.get(i).start()) < CORNER;
                    if (!joint) {
                        throw new FileTrouble(String.format(
                                Locale.ROOT,
                                "The outline crosses or touches itself, %.2f in from its left and %.2f in from its top."
                                        + " Part it there, and save it again.",
                                at.x() - path.box().left(),
                                path.box().top() - at.y()));
                    }
                }
            }
        }
    }
}
