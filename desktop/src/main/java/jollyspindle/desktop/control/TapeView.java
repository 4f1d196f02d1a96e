package jollyspindle.desktop.control;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.model.Zero;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.ArcTo;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/**
 * The chosen run unrolled along a tape measure: a tick and a reading at every valley and crown, from the left end, the
 * right end or the centre. In step with the table: what is pointed at on one shows on the other.
 */
public final class TapeView extends VBox {

    private static final double HEIGHT = 150;
    private static final double BAND = 38;
    private static final double SIDE = 44;
    private static final double HIGHEST_ARC = 34;
    private static final double NEAREST_TICKS = 3.5;
    private static final double GRASP = 40;
    private static final double BELOW_SEAM = 40;
    private static final double ROOM_FOR_LEAN = 84;
    private static final double ROOM_FOR_NUMBER = 62;
    private static final double ROOM_FOR_HALF = 31;
    private static final double SMALL_ROW = 13;
    private static final PseudoClass CROWDED = PseudoClass.getPseudoClass("crowded");

    private final Workbench bench;
    private final Look look;
    private final Label title = new Label("Tape");
    private final Label ends = new Label();
    private final Label summary = new Label();
    private final Pane drawing = new Pane();
    private final Map<String, List<Text>> byMark = new HashMap<>();
    private final ToggleGroup zeros = new ToggleGroup();

    public TapeView(Workbench bench, Look look) {
        this.bench = bench;
        this.look = look;
        setId("tape");
        getStyleClass().add("tape");
        setFocusTraversable(true);
        title.getStyleClass().add("heading");
        ends.getStyleClass().add("faint");
        ends.setId("tape-ends");
        summary.getStyleClass().add("tape-summary");
        summary.setId("tape-summary");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Region gap2 = new Region();
        HBox.setHgrow(gap2, Priority.ALWAYS);
        HBox head = new HBox(12, title, ends, gap, zeroButtons(), gap2, summary);
        head.setAlignment(Pos.CENTER_LEFT);
        drawing.setId("tape-drawing");
        getChildren().addAll(head, drawing);
        bench.planProperty().addListener(o -> draw());
        bench.sideProperty().addListener(o -> draw());
        bench.zeroProperty().addListener(o -> draw());
        bench.pointedProperty().addListener((o, was, now) -> point(was, now));
        drawing.widthProperty().addListener(o -> draw());
        // The type grows only after its style is applied, so the drawing follows a moment later.
        look.scaleProperty().addListener(o -> Platform.runLater(this::draw));
        drawing.setOnMouseMoved(e -> bench.pointedProperty().set(nearest(e.getX())));
        drawing.setOnMouseClicked(e -> requestFocus());
        setOnKeyPressed(this::press);
        draw();
    }

    private HBox zeroButtons() {
        HBox row = new HBox(6, new Label("zero at"));
        row.setAlignment(Pos.CENTER_LEFT);
        for (Zero zero : Zero.values()) {
            String name = zero.name().toLowerCase(Locale.ROOT);
            ToggleButton button = new ToggleButton(name);
            button.setId("zero-" + name);
            button.setToggleGroup(zeros);
            button.getStyleClass().add("zero-button");
            button.setTooltip(new Tooltip("Read the tape from the " + name + (zero == Zero.CENTRE ? "" : " end")));
            button.setSelected(zero == bench.zeroProperty().get());
            button.setOnAction(e -> {
                button.setSelected(true);
                bench.zeroProperty().set(zero);
            });
            bench.zeroProperty().addListener((o, was, now) -> button.setSelected(now == zero));
            row.getChildren().add(button);
        }
        return row;
    }

    private void press(KeyEvent e) {
        switch (e.getCode()) {
            case LEFT -> bench.stepMark(-1);
            case RIGHT -> bench.stepMark(1);
            case PLUS, ADD, EQUALS -> bench.stepRepeats(1);
            case MINUS, SUBTRACT -> bench.stepRepeats(-1);
            case HOME -> bench.zeroProperty().set(Zero.LEFT);
            case END -> bench.zeroProperty().set(Zero.RIGHT);
            default -> {
                return;
            }
        }
        e.consume();
    }

    /** Grows with the type. */
    private double px(double pixels) {
        return pixels * look.scaleProperty().get();
    }

    private double scale(RunPlan run) {
        return (drawing.getWidth() - 2 * SIDE) / run.division().length();
    }

    private Mark nearest(double x) {
        return bench.run()
                .flatMap(run -> run.laidOut().marks().stream()
                        .filter(m -> Math.abs(SIDE + m.along() * scale(run) - x) < GRASP)
                        .min(Comparator.comparingDouble(m -> Math.abs(SIDE + m.along() * scale(run) - x))))
                .orElse(null);
    }

    private void draw() {
        drawing.setMinHeight(px(HEIGHT));
        drawing.setPrefHeight(px(HEIGHT));
        drawing.getChildren().clear();
        byMark.clear();
        String border = Words.border(bench.sideProperty().get());
        title.setText("Tape · " + border);
        RunPlan run = bench.run().orElse(null);
        if (run == null) {
            ends.setText("");
            summary.setText("");
            setAccessibleText("Tape, nothing divided yet");
            Text empty =
                    new Text(SIDE, px(HEIGHT) / 2, "The tape shows this run once the quilt is measured and divided.");
            empty.setStyle("-fx-fill: -faint;");
            drawing.getChildren().add(empty);
            return;
        }
        Words words = bench.words();
        ends.setText("left end: " + Words.startCorner(run.side()) + " corner · + generous, − scant");
        summary.setText(Words.count(run.division().count(), "repeat") + " of "
                + words.length(run.division().repeat()));
        setAccessibleText("Tape of the " + border + ": " + summary.getText()
                + ". Arrow keys go from mark to mark; plus and minus change the count.");
        if (drawing.getWidth() <= 2 * SIDE) {
            return;
        }
        double bandTop = px(HEIGHT - BAND);
        drawing.getChildren().add(band(run, bandTop));
        ticks(run, bandTop);
        arcs(run, bandTop - px(BELOW_SEAM));
        double room = scale(run) * run.division().repeat();
        for (Mark mark : run.laidOut().marks()) {
            reading(run, mark, bandTop, room);
        }
        point(null, bench.pointedProperty().get());
    }

    private Node band(RunPlan run, double top) {
        Rectangle band = new Rectangle(SIDE, top, scale(run) * run.division().length(), px(BAND));
        band.getStyleClass().add("tape-band");
        return band;
    }

    /** The place on the drawing of a length read from the chosen zero. */
    private double x(RunPlan run, double read) {
        double length = run.division().length();
        double along =
                switch (bench.zeroProperty().get()) {
                    case LEFT -> read;
                    case CENTRE -> length / 2 + read;
                    case RIGHT -> length - read;
                };
        return SIDE + along * scale(run);
    }

    private void ticks(RunPlan run, double top) {
        TapeScale tape = bench.job().tape();
        double pixels = scale(run);
        int every = 1;
        while (tape.tick() * every * pixels < NEAREST_TICKS && every < tape.ticksPerUnit()) {
            every = tape.isMetric() ? (every == 1 ? 5 : 10) : every * 2;
        }
        boolean centred = bench.zeroProperty().get() == Zero.CENTRE;
        double length = run.division().length();
        long last = (long) Math.floor((centred ? length / 2 : length) / tape.tick() + 1e-9);
        int numbered = numberedUnits(tape, pixels);
        Path path = new Path();
        path.getStyleClass().add("tape-ticks");
        for (long tick = centred ? -last : 0; tick <= last; tick++) {
            if (tick % every != 0) {
                continue;
            }
            double x = Math.rint(x(run, tick * tape.tick())) + 0.5;
            long rest = Math.floorMod(tick, (long) tape.ticksPerUnit());
            double size = rest == 0 ? 14 : 2 * rest == tape.ticksPerUnit() ? 10 : 6;
            path.getElements().addAll(new MoveTo(x, top), new LineTo(x, top + size));
            long unit = tick / tape.ticksPerUnit();
            if (rest == 0 && unit % numbered == 0) {
                Text number = new Text(Long.toString(Math.abs(unit)));
                if (!tape.isMetric() && unit % 12 == 0) {
                    number.setStyle("-fx-font-weight: 600;");
                }
                add(number, "tape-number", x, top + px(30));
            }
        }
        // Ticks under the numbers, over the band.
        drawing.getChildren().add(1, path);
    }

    private int numberedUnits(TapeScale tape, double pixels) {
        int[] steps = tape.isMetric() ? new int[] {1, 5, 10, 20} : new int[] {1, 2, 6, 12};
        for (int step : steps) {
            if (step * tape.unit() * pixels >= px(26)) {
                return step;
            }
        }
        return steps[steps.length - 1];
    }

    private void add(Text text, String style, double middle, double baseline) {
        text.getStyleClass().add(style);
        text.setTextOrigin(VPos.BASELINE);
        text.setY(baseline);
        drawing.getChildren().add(text);
        // The style sheet sets the size, so the width is known only once that has been applied.
        text.applyCss();
        double width = text.getLayoutBounds().getWidth();
        text.setX(Math.max(0, Math.min(drawing.getWidth() - width, middle - width / 2)));
    }

    private void arcs(RunPlan run, double seam) {
        double pixels = scale(run);
        double rise = run.fit().segment().height() * pixels;
        // Higher arcs are drawn flatter, so that the tape stays a tape.
        double squash = Math.min(1, px(HIGHEST_ARC) / rise);
        double radius = run.fit().segment().radius() * pixels;
        Path path = new Path();
        path.getStyleClass().add("tape-arc");
        path.getElements().add(new MoveTo(SIDE, seam));
        for (int k = 1; k <= run.division().count(); k++) {
            path.getElements()
                    .add(new ArcTo(
                            radius, radius * squash, 0, SIDE + run.division().valley(k) * pixels, seam, false, true));
        }
        Line line = new Line(SIDE, seam, SIDE + run.division().length() * pixels, seam);
        line.getStyleClass().add("tape-seam");
        drawing.getChildren().addAll(line, path);
    }

    private TapeReading reading(Mark mark) {
        return switch (bench.zeroProperty().get()) {
            case LEFT -> mark.readings().fromLeft();
            case RIGHT -> mark.readings().fromRight();
            case CENTRE -> {
                TapeReading signed = mark.readings().fromCentre();
                yield TapeReading.of(Math.abs(signed.exact()), signed.scale());
            }
        };
    }

    private void reading(RunPlan run, Mark mark, double bandTop, double room) {
        boolean valley = mark.kind() == Mark.Kind.VALLEY;
        if (!valley && mark.kind() != Mark.Kind.CROWN) {
            return;
        }
        double x = SIDE + mark.along() * scale(run);
        double seam = bandTop - px(BELOW_SEAM);
        line(x, bandTop - 3, bandTop + (valley ? 18 : 9), valley ? "valley-tick" : "crown-tick");
        if (valley) {
            line(x, seam - 6, seam + 3, "valley-tick");
        }
        TapeReading reading = reading(mark);
        boolean off = reading.lean() != TapeReading.Lean.ON;
        boolean scant = reading.lean() == TapeReading.Lean.SCANT;
        boolean wide = room >= px(ROOM_FOR_LEAN);
        // Where the word has no room its sign stands for it.
        Text number = new Text(reading.number() + (off && !(valley && wide) ? (scant ? "−" : "+") : ""));
        number.setId("reading-" + mark.id());
        // Where the numbers would run into each other they are set small, in two rows; where even that is too much,
        // every other one waits to be pointed at.
        boolean crowded = room < px(ROOM_FOR_NUMBER);
        boolean hidden = room < px(ROOM_FOR_HALF) && mark.number() / 2 % 2 == 1;
        double row = crowded && mark.number() % 2 == 1 ? px(SMALL_ROW) : 0;
        if (crowded) {
            number.getStyleClass().add("crowded");
        }
        add(
                number,
                valley ? "valley-reading" : "crown-reading",
                x,
                valley ? bandTop - px(19) + row : seam - px(HIGHEST_ARC) - 5 - row);
        Tooltip.install(
                number, new Tooltip(Words.name(mark) + ": " + reading.text() + ", exactly " + reading.exactText()));
        List<Text> texts = new ArrayList<>(List.of(number));
        if (off && valley && wide) {
            Text lean = new Text(scant ? "scant" : "generous");
            add(lean, "lean", x, bandTop - px(5));
            texts.add(lean);
        }
        texts.forEach(text -> {
            text.pseudoClassStateChanged(CROWDED, hidden);
            text.setVisible(!hidden);
        });
        byMark.put(mark.id(), texts);
    }

    private void line(double x, double from, double to, String style) {
        Line line = new Line(x, from, x, to);
        line.getStyleClass().add(style);
        drawing.getChildren().add(line);
    }

    private void point(Mark was, Mark now) {
        if (was != null && byMark.containsKey(was.id())) {
            for (Text node : byMark.get(was.id())) {
                node.getStyleClass().remove("pointed");
                node.setVisible(!node.getPseudoClassStates().contains(CROWDED));
            }
        }
        if (now != null && byMark.containsKey(now.id())) {
            for (Text node : byMark.get(now.id())) {
                node.getStyleClass().add("pointed");
                node.setVisible(true);
            }
        }
        bench.run().ifPresent(run -> {
            Words words = bench.words();
            String plain = Words.count(run.division().count(), "repeat") + " of "
                    + words.length(run.division().repeat());
            summary.setText(
                    now == null || now.side() != run.side()
                            ? plain
                            : Words.name(now) + ": " + reading(now).text() + " ("
                                    + reading(now).exactText() + ")");
        });
    }
}
