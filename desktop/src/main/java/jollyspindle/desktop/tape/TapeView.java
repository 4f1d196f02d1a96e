package jollyspindle.desktop.tape;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.RunText;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Soon;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.model.Zero;
import jollyspindle.desktop.words.Said;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Group;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;

/**
 * The chosen run unrolled along a tape measure: a tick and a reading at every valley and crown, from wherever the zero is
 * laid. Valleys are dragged on it. In step with the table: what is pointed at on one shows on the other.
 */
public final class TapeView extends VBox {

    /** Which other run lies beneath. */
    enum Beside {
        NONE,
        OPPOSITE,
        NEXT
    }

    static final double ZOOM = 1.4;

    private final Workbench bench;
    private final Look look;
    private final Label title = new Label("Tape");
    private final Label ends = new Label();
    private final Label summary = new Label();
    private final Label refused = new Label();
    private final Pane drawing = new Pane();
    private final Group ruler = new Group();
    private final Group above = new Group();
    private final TapeTools tools;
    private final ValleyField valleyField;
    private final Map<String, Double> widths = new HashMap<>();
    private final Set<TapeDrawing.Reading> readings =
            EnumSet.of(TapeDrawing.Reading.VALLEYS, TapeDrawing.Reading.CROWNS);
    private Beside beside = Beside.NONE;
    private boolean snapping = true;
    private TapeDrawing drawn;
    private double from;
    private double to = Double.NaN;
    private final Soon soon = new Soon(this, this::draw);

    public TapeView(Workbench bench, Look look) {
        this.bench = bench;
        this.look = look;
        setId("tape");
        getStyleClass().add("tape");
        setFocusTraversable(true);
        title.getStyleClass().add("heading");
        title.setMinWidth(Region.USE_PREF_SIZE);
        ends.getStyleClass().add("faint");
        ends.setId("tape-ends");
        summary.getStyleClass().add("tape-summary");
        summary.setId("tape-summary");
        refused.getStyleClass().add("refused");
        refused.setId("tape-refused");
        refused.managedProperty().bind(refused.textProperty().isNotEmpty());
        valleyField = new ValleyField(bench, this::place, this::requestFocus);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox head = new HBox(12, title, summary, valleyField, refused, gap, ends);
        head.setAlignment(Pos.CENTER_LEFT);
        tools = new TapeTools(this, bench);
        drawing.setId("tape-drawing");
        drawing.getChildren().setAll(ruler, above);
        getChildren().addAll(head, tools, drawing);
        bench.planProperty().addListener(o -> soon.ask());
        bench.selection().whereProperty().addListener(o -> {
            // Of another run all is seen.
            to = Double.NaN;
            soon.ask();
        });
        bench.selection().zeroProperty().addListener(o -> soon.ask());
        bench.selection().zeroMarkProperty().addListener(o -> soon.ask());
        bench.selection().pointedProperty().addListener((o, was, now) -> point(was, now));
        drawing.widthProperty().addListener(o -> soon.ask());
        // The type grows only after its style is applied, so the drawing follows a moment later.
        look.scaleProperty().addListener(o -> Platform.runLater(soon::ask));
        new TapeMouse(this, bench).follow(drawing);
        setOnKeyPressed(this::press);
        soon.ask();
    }

    // --- what the tools ask for --------------------------------------------------------------------------------

    void show(TapeDrawing.Reading reading, boolean wanted) {
        if (wanted) {
            readings.add(reading);
        } else {
            readings.remove(reading);
        }
        soon.ask();
    }

    boolean shows(TapeDrawing.Reading reading) {
        return readings.contains(reading);
    }

    void lay(Beside other) {
        beside = other;
        soon.ask();
    }

    void snap(boolean wanted) {
        snapping = wanted;
    }

    boolean isSnapping() {
        return snapping;
    }

    /** Shows the whole run. */
    void showWhole() {
        to = Double.NaN;
        soon.ask();
    }

    /** Shows one repeat about what is pointed at, or the middle. */
    void showRepeat() {
        bench.run().ifPresent(run -> {
            double repeat = run.division().repeat();
            double middle = pointed(run).map(Mark::along).orElse(run.division().centre());
            look(view(run).about(middle, repeat * 1.15, run.division().length()));
        });
    }

    /** Puts the readings on the clipboard as text. */
    void copy() {
        bench.run().ifPresent(run -> {
            ClipboardContent content = new ClipboardContent();
            double zero = bench.selection().zeroProperty().get() == Zero.MARK
                    ? zero(run).along()
                    : Double.NaN;
            content.putString(RunText.of(run, bench.plan().job().quilt(), bench.words(), zero));
            Clipboard.getSystemClipboard().setContent(content);
            summary.setText("Readings copied as text");
        });
    }

    // --- mouse and keys ----------------------------------------------------------------------------------------

    private Optional<Mark> pointed(RunPlan run) {
        return Optional.ofNullable(bench.selection().pointedProperty().get())
                .filter(m -> m.region().equals(run.id()));
    }

    /** The valley that is pointed at, if it stands between the ends. */
    Optional<Mark> pointedValley(RunPlan run) {
        return pointed(run)
                .filter(m -> m.kind() == Mark.Kind.VALLEY
                        && m.number() > 0
                        && m.number() < run.division().divided().size());
    }

    private void press(KeyEvent e) {
        RunPlan run = bench.run().orElse(null);
        if (run == null || e.getTarget() != this) {
            return;
        }
        KeyCode code = e.getCode();
        if (e.isShortcutDown()) {
            if (code == KeyCode.C) {
                copy();
                e.consume();
            }
            return;
        }
        switch (code) {
            case LEFT, RIGHT -> {
                int step = code == KeyCode.LEFT ? -1 : 1;
                if (e.isAltDown()) {
                    pointedValley(run).ifPresent(m -> nudge(run, m, step));
                } else {
                    bench.selection().stepMark(step);
                    pointed(run).ifPresent(m -> reveal(run, m.along()));
                }
            }
            case UP -> look(view(run).zoomed(ZOOM, about(run), run.division().length()));
            case DOWN ->
                look(view(run).zoomed(1 / ZOOM, about(run), run.division().length()));
            case PLUS, ADD, EQUALS -> bench.dividing().stepRepeats(1);
            case MINUS, SUBTRACT -> bench.dividing().stepRepeats(-1);
            case HOME -> bench.selection().zeroProperty().set(Zero.LEFT);
            case END -> bench.selection().zeroProperty().set(Zero.RIGHT);
            case C -> bench.selection().zeroProperty().set(Zero.CENTRE);
            case Z -> pointed(run).ifPresent(bench.selection()::layZero);
            case DIGIT0, NUMPAD0 -> showWhole();
            case DIGIT1, NUMPAD1 -> showRepeat();
            case P -> pointedValley(run).ifPresent(m -> Pinning.pin(bench, run, m.number(), m.along()));
            case DELETE, BACK_SPACE -> pointedValley(run).ifPresent(m -> Pinning.unpin(bench, run, m.number()));
            case ENTER -> pointedValley(run).ifPresent(m -> valleyField.ask(m, zero(run)));
            default -> {
                return;
            }
        }
        e.consume();
    }

    private double about(RunPlan run) {
        Stretch view = view(run);
        return pointed(run).map(Mark::along).orElse((view.from() + view.to()) / 2);
    }

    /** Moves a valley by a tick of the tape. */
    private void nudge(RunPlan run, Mark valley, int ticks) {
        double tick = bench.plan().job().tape().tick();
        double place =
                snapping ? zero(run).snapped(valley.along(), bench.plan().job().tape()) : valley.along();
        // From beside the tick, the first step goes to the tick itself.
        boolean beyond = snapping
                && (ticks > 0
                        ? place > valley.along() + Tolerances.ROUNDING
                        : place < valley.along() - Tolerances.ROUNDING);
        tell(Pinning.pin(bench, run, valley.number(), beyond ? place : place + ticks * tick));
    }

    /** A valley's place was typed. */
    private void place(Mark valley, double along) {
        bench.run().ifPresent(run -> tell(Pinning.pin(bench, run, valley.number(), along)));
    }

    /** Asks for a valley's place, to be typed. */
    void ask(Mark valley, TapeZero zero) {
        valleyField.ask(valley, zero);
    }

    /** Tells whether a valley went where it was to go. */
    void tell(boolean done) {
        refused.setText(done ? "" : "It can't pass its neighbours.");
    }

    // --- what is seen ------------------------------------------------------------------------------------------

    Stretch view(RunPlan run) {
        double length = run.division().length();
        double width = Math.max(1, drawing.getWidth() - 2 * TapeDrawing.SIDE);
        boolean whole = Double.isNaN(to) || to > length + Tolerances.ROUNDING;
        return new Stretch(whole ? 0 : from, whole ? length : to, TapeDrawing.SIDE, width);
    }

    void look(Stretch view) {
        double length = bench.run().map(r -> r.division().length()).orElse(0.0);
        boolean whole = view.to() - view.from() > length - Tolerances.SAME_PLACE;
        from = view.from();
        to = whole ? Double.NaN : view.to();
        soon.ask();
    }

    /** Moves the stretch that is seen, so that a place on the run is in it. */
    private void reveal(RunPlan run, double along) {
        Stretch view = view(run);
        if (!view.shows(along)) {
            look(view.about(along, view.to() - view.from(), run.division().length()));
        }
    }

    TapeZero zero(RunPlan run) {
        return TapeZero.of(
                bench.selection().zeroProperty().get(),
                run.division().length(),
                bench.selection().zeroMarkProperty().get());
    }

    private Optional<RunPlan> second() {
        Optional<Side> side = bench.selection().whereProperty().get().side();
        if (beside == Beside.NONE || side.isEmpty()) {
            return Optional.empty();
        }
        int border = ((RunId.BorderRun) bench.selection().whereProperty().get()).border();
        return bench.plan()
                .run(RunId.of(
                        border,
                        beside == Beside.OPPOSITE
                                ? side.get().opposite()
                                : side.get().next()));
    }

    /** Grows with the type. */
    private double px(double pixels) {
        return pixels * look.scaleProperty().get();
    }

    private void draw() {
        RunId where = bench.selection().whereProperty().get();
        Optional<RunPlan> other = second();
        double height = px(TapeDrawing.HEIGHT + (other.isPresent() ? TapeDrawing.SECOND_HEIGHT : 2));
        drawing.setMinHeight(height);
        drawing.setPrefHeight(height);
        drawn = null;
        title.setText(Said.say("tape.title", "run", bench.name(where)));
        RunPlan run = bench.run().orElse(null);
        tools.setDisable(run == null);
        tools.show();
        if (run == null) {
            ends.setText("");
            summary.setText("");
            setAccessibleText("Tape, nothing divided yet");
            Text empty = new Text(
                    TapeDrawing.SIDE,
                    px(TapeDrawing.HEIGHT) / 2,
                    "The tape shows this run once the quilt is measured and divided.");
            empty.setStyle("-fx-fill: -faint;");
            ruler.getChildren().clear();
            ruler.setUserData(null);
            above.getChildren().setAll(empty);
            return;
        }
        summary.setText(summary(run));
        ends.setText(Said.say(
                "tape.ends",
                "side",
                run.id().side().isPresent(),
                "start",
                Words.start(run.id()),
                "other",
                other.map(o -> bench.name(o.id())),
                "otherSide",
                other.filter(o -> o.id().side().isPresent()).isPresent(),
                "otherStart",
                other.map(o -> Words.start(o.id()))));
        setAccessibleText(Said.say("tape.all", "run", bench.name(run.id()), "summary", summary.getText()));
        if (drawing.getWidth() <= 2 * TapeDrawing.SIDE) {
            return;
        }
        Stretch view = view(run);
        TapeZero zero = zero(run);
        drawn = new TapeDrawing(drawing, look, bench.words(), widths);
        drawn.first(run, view, new TapeDrawing.Shown(readings, zero));
        other.ifPresent(o -> {
            TapeZero its = TapeZero.of(
                    zero.kind() == Zero.MARK ? Zero.LEFT : zero.kind(),
                    o.division().length(),
                    null);
            // The two lie zero on zero, at one scale.
            double shift = zero.kind() == Zero.MARK ? 0 : its.along() - zero.along();
            Stretch beneath = new Stretch(view.from() + shift, view.to() + shift, view.left(), view.width());
            drawn.second(o, beneath, its, run, view);
        });
        drawn.show();
        point(null, bench.selection().pointedProperty().get());
    }

    private String summary(RunPlan run) {
        Words words = bench.words();
        DivisionWords said = new DivisionWords(words);
        return switch (run.divided().school().kind()) {
            case EVEN ->
                Said.say(
                        words,
                        "tape.even",
                        "repeats",
                        Words.count(run.division().count(), Words.Thing.REPEAT),
                        "repeat",
                        run.division().repeat());
            default ->
                DivisionWords.name(run.divided().school().kind()) + ": "
                        + said.school(run.divided().school());
        };
    }

    private void point(Mark was, Mark now) {
        // What is to be drawn anew is told then.
        if (drawn == null || soon.isDue()) {
            return;
        }
        drawn.point(was, now);
        bench.run().ifPresent(run -> {
            if (now == null || !now.region().equals(run.id())) {
                summary.setText(summary(run));
            } else {
                TapeScale tape = bench.plan().job().tape();
                TapeReading reading = zero(run).read(now, tape);
                summary.setText(Words.name(now) + ": " + reading.text() + " (" + reading.exactText() + ")");
            }
        });
    }
}
