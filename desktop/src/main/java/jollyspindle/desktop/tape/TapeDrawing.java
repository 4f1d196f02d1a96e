package jollyspindle.desktop.tape;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/** Draws a stretch of a run along a tape, once; redrawn whenever anything changes. */
final class TapeDrawing {

    /** What is drawn of a run: which readings, from which zero, and what of it is pinned. */
    record Shown(Set<Reading> readings, TapeZero zero) {}

    /** Where readings can stand. */
    enum Reading {
        VALLEYS,
        CROWNS,
        HALVES
    }

    static final double HEIGHT = 138;
    static final double SECOND_HEIGHT = 66;
    static final double SIDE = 44;
    private static final int STEPS = 40;
    private static final double HIGHEST_ARC = 34;
    private static final double BELOW_SEAM = 38;
    private static final double ROOM_FOR_LEAN = 84;
    private static final double ROOM_FOR_NUMBER = 62;
    private static final double BETWEEN = 3;
    private static final double ROOM_FOR_HALVES = 150;
    private static final double SMALL_ROW = 13;

    /** Sizes of the type, in pixels before scaling, as the style sheet has them. */
    private static final double VALLEY_TYPE = 18;

    private static final double CROWN_TYPE = 16;
    private static final double SMALL_TYPE = 13.5;

    private final Pane pane;

    /** The tape itself, which stays while marks on it are dragged. */
    private final Group ruler;

    private final Group above;
    private final Look look;
    private final Words words;
    private final TapeText text;
    private final TapeRuler tape;
    private final Map<MarkId, List<Text>> byMark = new HashMap<>();
    private final List<Node> nodes = new ArrayList<>();
    private final Map<String, Path> strokes = new HashMap<>();

    /** What makes the readings that have no room, by mark; most of them never are pointed at. */
    private final Map<MarkId, Supplier<List<Text>>> waiting = new HashMap<>();

    /** From where to where readings stand, by whether they are valleys' and their row. */
    private final Map<List<Object>, List<double[]>> taken = new HashMap<>();

    /**
     * A drawing.
     *
     * @param pane to draw on, whose two groups are the tape itself and what is drawn over it
     * @param widths of texts that were measured before
     */
    TapeDrawing(Pane pane, Look look, Words words, Map<String, Double> widths) {
        this.pane = pane;
        ruler = (Group) pane.getChildren().get(0);
        above = (Group) pane.getChildren().get(1);
        this.look = look;
        this.words = words;
        text = new TapeText(pane, look, widths);
        tape = new TapeRuler(words, text);
    }

    /** Puts everything that was drawn on the pane, at once. */
    void show() {
        above.getChildren().setAll(nodes);
    }

    /** Draws the run that is chosen. */
    void first(RunPlan run, Stretch view, Shown shown) {
        double bandTop = text.px(HEIGHT - TapeRuler.BAND);
        double seam = bandTop - text.px(BELOW_SEAM);
        List<Object> tape = List.of(
                view,
                shown.zero().along(),
                run.division().length(),
                words.tape(),
                look.scaleProperty().get(),
                pane.getWidth());
        if (!tape.equals(ruler.getUserData())) {
            ruler.setUserData(tape);
            ruler.getChildren().setAll(this.tape.of(run, view, shown.zero(), bandTop));
        }
        arcs(run, view, seam);
        pins(run, view, bandTop);
        List<Mark> marks = run.laidOut().marks();
        // Where a motif has no valleys on the seam, what it stands on elsewhere is read instead.
        boolean valleys = marks.stream().anyMatch(m -> m.kind() == Mark.Kind.VALLEY && m.by() == Mark.MarkedBy.CHALK);
        List<Mark> read = marks.stream()
                .filter(m -> view.shows(m.along()))
                .filter(m -> m.kind() == Mark.Kind.VALLEY
                        || m.kind() == Mark.Kind.CROWN
                        || m.kind() == Mark.Kind.MEETING
                        || !valleys && m.by() == Mark.MarkedBy.CHALK)
                .sorted(Comparator.comparing((Mark m) -> m.kind() != Mark.Kind.VALLEY)
                        .thenComparing(m -> m.kind() != Mark.Kind.CROWN))
                .toList();
        double room = valleys ? room(run, view) : Math.min(room(run, view), room(read, view));
        if (shown.readings().contains(Reading.HALVES)) {
            halves(run, view, shown.zero(), seam, room);
        }
        read.forEach(mark -> reading(mark, view, shown, bandTop, room));
    }

    /** The room that marks which aren't the run's valleys have for their readings, if they share it evenly. */
    private static double room(List<Mark> marks, Stretch view) {
        long low = marks.stream().filter(m -> m.kind().low()).count();
        return low < 2 ? Double.MAX_VALUE : view.width() / low;
    }

    /** Draws another run beneath: its band, and its valleys against those above. */
    void second(RunPlan run, Stretch view, TapeZero zero, RunPlan above, Stretch aboveView) {
        double top = text.px(HEIGHT + 20);
        Rectangle band = tape.band(view, top);
        band.setHeight(text.px(20));
        nodes.add(band);
        double room = room(run, view);
        for (Mark mark : run.laidOut().marks()) {
            if (mark.kind() != Mark.Kind.VALLEY || !view.shows(mark.along())) {
                continue;
            }
            double x = view.x(mark.along());
            line(x, top - 4, top + text.px(14), "valley-tick");
            TapeReading reading = zero.read(mark, words.tape());
            boolean hidden = room < text.px(ROOM_FOR_NUMBER) && mark.number() % 2 == 1;
            if (!hidden) {
                Text number = new Text(reading.number() + sign(reading));
                number.setId("second-" + mark.id().code());
                add(number, "second-reading", x, top + text.px(36), SMALL_TYPE, false);
            }
            // How far it stands from the valley above it, where there is one.
            above.laidOut().marks().stream()
                    .filter(m -> m.kind() == Mark.Kind.VALLEY && m.number() == mark.number())
                    .filter(m -> aboveView.shows(m.along()))
                    .findFirst()
                    .ifPresent(m -> join(aboveView.x(m.along()), x, top));
        }
    }

    /** A thin line from a valley on the tape above to the same valley beneath. */
    private void join(double above, double beneath, double top) {
        Line line = new Line(above, text.px(HEIGHT) + 1, beneath, top - 4);
        line.getStyleClass().add("tape-seam");
        nodes.add(line);
    }

    private static double room(RunPlan run, Stretch view) {
        double narrowest = run.division().cells().stream()
                .filter(c -> c.kind() != Cell.Kind.HALF && c.kind() != Cell.Kind.CORNER)
                .mapToDouble(c -> c.width())
                .min()
                .orElse(run.division().repeat());
        return view.scale() * Math.max(narrowest, run.division().repeat() / 2);
    }

    private void add(Text said, String style, double middle, double baseline, double size, boolean bold) {
        text.place(said, style, middle, baseline, size, bold);
        nodes.add(said);
    }

    /** The stitch lines as they are, only flatter where they are higher than the tape has room for. */
    private void arcs(RunPlan run, Stretch view, double seam) {
        double pixels = view.scale();
        double turn = -run.frame().rotation();
        double highest = highest(run, turn);
        double squash = Math.min(1, text.px(HIGHEST_ARC) / (highest * pixels));
        Path path = new Path();
        path.getStyleClass().add("tape-arc");
        run.laidOut().lines().stream()
                .flatMap(line -> line.path().curves().stream())
                .forEach(curve -> trace(path, run, curve, view, seam, squash));
        Line line = new Line(view.left(), seam, view.left() + view.width(), seam);
        line.getStyleClass().add("tape-seam");
        nodes.addAll(List.of(line, path));
        for (Figure figure : run.divided().figures()) {
            if (figure instanceof Figure.Empty && view.shows(figure.cell().middle())) {
                free(figure, view, seam);
            }
        }
    }

    private static double highest(RunPlan run, double turn) {
        return run.laidOut().lines().stream()
                .flatMap(line -> line.path().curves().stream())
                .flatMap(c -> Stream.of(c.at(0.25), c.at(0.5), c.at(0.75), c.end()))
                .mapToDouble(p -> local(run, p, turn).y() - run.frame().clearance())
                .max()
                .orElse(1);
    }

    private static void trace(Path path, RunPlan run, Curve curve, Stretch view, double seam, double squash) {
        double turn = -run.frame().rotation();
        double from = local(run, curve.start(), turn).x();
        double to = local(run, curve.end(), turn).x();
        boolean along = to > from;
        if (along && (to < view.from() || from > view.to())) {
            return;
        }
        // Fine enough for what is seen of it, however near that is.
        double first = along ? Math.max(0, Math.min(1, (view.from() - from) / (to - from))) : 0;
        double last = along ? Math.max(0, Math.min(1, (view.to() - from) / (to - from))) : 1;
        int steps = curve instanceof Arc ? STEPS : 1;
        boolean begun = false;
        for (int i = 0; i <= steps; i++) {
            Point p = local(run, curve.at(first + (last - first) * i / steps), turn);
            if (!view.shows(p.x())) {
                begun = false;
                continue;
            }
            double y = seam - (p.y() - run.frame().clearance()) * view.scale() * squash;
            double x = view.x(p.x());
            path.getElements().add(begun ? new LineTo(x, y) : new MoveTo(x, y));
            begun = true;
        }
    }

    /** A space that carries nothing is dotted, and says so. */
    private void free(Figure figure, Stretch view, double seam) {
        double from = Math.max(view.left(), view.x(figure.cell().from()));
        double to = Math.min(view.left() + view.width(), view.x(figure.cell().to()));
        Rectangle space = new Rectangle(from, seam - text.px(HIGHEST_ARC), to - from, text.px(HIGHEST_ARC));
        space.getStyleClass().add("tape-free");
        nodes.add(space);
    }

    private static Point local(RunPlan run, Point place, double turn) {
        return place.minus(run.frame().origin()).turned(turn);
    }

    /** A pin's head on each valley that was pinned by hand. */
    private void pins(RunPlan run, Stretch view, double bandTop) {
        if (!(run.divided().school() instanceof ByHand hand)) {
            return;
        }
        hand.pins().keySet().stream().sorted().forEach(k -> {
            double along = run.division().valley(k);
            if (view.shows(along)) {
                double x = view.x(along);
                Polygon pin = new Polygon(
                        x - 4, bandTop - text.px(36), x + 4, bandTop - text.px(36), x, bandTop - text.px(28));
                pin.getStyleClass().add("tape-pin");
                Circle head = new Circle(x, bandTop - text.px(39), 5);
                head.getStyleClass().add("tape-pin");
                head.setId("pin-" + k);
                nodes.addAll(List.of(pin, head));
            }
        });
    }

    /** Readings halfway between each valley and the next crown, where there is room for them. */
    private void halves(RunPlan run, Stretch view, TapeZero zero, double seam, double room) {
        List<Double> places = run.laidOut().marks().stream()
                .filter(m -> m.kind() == Mark.Kind.VALLEY || m.kind() == Mark.Kind.CROWN)
                .map(Mark::along)
                .sorted(Comparator.naturalOrder())
                .toList();
        for (int i = 0; i + 1 < places.size(); i++) {
            double along = (places.get(i) + places.get(i + 1)) / 2;
            if (!view.shows(along) || places.get(i + 1) - places.get(i) < Tolerances.ROUNDING) {
                continue;
            }
            double x = view.x(along);
            line(x, seam - 4, seam + 2, "crown-tick");
            if (room >= text.px(ROOM_FOR_HALVES)) {
                TapeReading reading = zero.read(along, words.tape());
                Text number = new Text(reading.number() + sign(reading));
                number.setId("half-" + i);
                add(number, "half-reading", x, seam - text.px(7), SMALL_TYPE, false);
            }
        }
    }

    private static String sign(TapeReading reading) {
        return switch (reading.lean()) {
            case ON -> "";
            case SCANT -> "−";
            case GENEROUS -> "+";
        };
    }

    private void reading(Mark mark, Stretch view, Shown shown, double bandTop, double room) {
        boolean valley = mark.kind().low();
        double x = view.x(mark.along());
        double seam = bandTop - text.px(BELOW_SEAM);
        line(x, bandTop - 3, bandTop + (valley ? 18 : 9), valley ? "valley-tick" : "crown-tick");
        if (valley) {
            line(x, seam - 6, seam + 3, "valley-tick");
        }
        if (!shown.readings().contains(valley ? Reading.VALLEYS : Reading.CROWNS)) {
            return;
        }
        TapeReading reading = shown.zero().read(mark, words.tape());
        boolean off = reading.lean() != TapeReading.Lean.ON;
        boolean wide = room >= text.px(ROOM_FOR_LEAN);
        // Where the word has no room its sign stands for it.
        String said = reading.number() + (valley && wide ? "" : sign(reading));
        // Where the numbers would run into each other they are set small, in two rows; those that find no room even so
        // wait to be pointed at.
        boolean crowded = room < text.px(ROOM_FOR_NUMBER);
        double size = crowded ? SMALL_TYPE : valley ? VALLEY_TYPE : CROWN_TYPE;
        double needed = text.width(said, size, valley);
        int row = 0;
        while (row < (crowded ? 2 : 1) && !isFree(valley, row, x, needed)) {
            row++;
        }
        boolean hidden = row == (crowded ? 2 : 1);
        if (!hidden) {
            taken.computeIfAbsent(List.of(valley, row), k -> new ArrayList<>())
                    .add(new double[] {x - needed / 2, x + needed / 2});
        }
        double moved = hidden ? 0 : row * text.px(SMALL_ROW);
        double baseline = valley ? bandTop - text.px(18) + moved : seam - text.px(HIGHEST_ARC) - 5 - moved;
        Supplier<List<Text>> texts = () -> {
            Text number = new Text(said);
            number.setId("reading-" + mark.id().code());
            if (crowded) {
                number.getStyleClass().add("crowded");
            }
            text.place(number, valley ? "valley-reading" : "crown-reading", x, baseline, size, valley);
            // Made only when it is wanted: they take longer than the drawing.
            Tip.on(
                    number,
                    () -> Said.say(
                            "tape.reading",
                            "mark",
                            Words.name(mark),
                            "reading",
                            reading.text(),
                            "exact",
                            reading.exactText()));
            if (!off || !valley || !wide) {
                return List.of(number);
            }
            Text lean = new Text(reading.lean() == TapeReading.Lean.SCANT ? "scant" : "generous");
            lean.setId("lean-" + mark.id().code());
            text.place(lean, "lean", x, bandTop - text.px(5), 14, false);
            return List.of(number, lean);
        };
        if (hidden) {
            waiting.put(mark.id(), texts);
        } else {
            byMark.put(mark.id(), texts.get());
            nodes.addAll(byMark.get(mark.id()));
        }
    }

    /** Whether a reading as wide as this, in pixels, has room in a row beside those that stand there. */
    private boolean isFree(boolean valley, int row, double middle, double needed) {
        return taken.getOrDefault(List.of(valley, row), List.of()).stream()
                .noneMatch(t ->
                        middle + needed / 2 + text.px(BETWEEN) > t[0] && middle - needed / 2 - text.px(BETWEEN) < t[1]);
    }

    /** An upright line. All of a style are one node: each that is new is styled anew, and a run may have hundreds. */
    private void line(double x, double from, double to, String style) {
        Path all = strokes.computeIfAbsent(style, s -> {
            Path path = new Path();
            path.getStyleClass().add(s);
            nodes.add(path);
            return path;
        });
        all.getElements().addAll(new MoveTo(x, from), new LineTo(x, to));
    }

    /** Marks a reading as pointed at, or no longer. */
    void point(Mark was, Mark now) {
        if (was != null && byMark.containsKey(was.id())) {
            List<Text> texts = byMark.get(was.id());
            if (waiting.containsKey(was.id())) {
                byMark.remove(was.id());
                above.getChildren().removeAll(texts);
            } else {
                texts.forEach(text -> text.getStyleClass().remove("pointed"));
            }
        }
        if (now != null) {
            if (waiting.containsKey(now.id()) && !byMark.containsKey(now.id())) {
                byMark.put(now.id(), waiting.get(now.id()).get());
                above.getChildren().addAll(byMark.get(now.id()));
            }
            byMark.getOrDefault(now.id(), List.of())
                    .forEach(text -> text.getStyleClass().add("pointed"));
        }
    }
}
