package jollyspindle.desktop.tape;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.desktop.control.Choices;
import jollyspindle.desktop.control.IconButtons;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.model.Zero;
import jollyspindle.desktop.words.Said;
import org.kordamp.ikonli.material2.Material2AL;
import org.kordamp.ikonli.material2.Material2MZ;

import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;

/** What can be set on the tape: its zero, its readings, its divisions, snapping, what lies beneath, and how near it is. */
final class TapeTools extends FlowPane {

    private final TapeView tape;
    private final Workbench bench;
    private final Map<Zero, ToggleButton> zeros = new EnumMap<>(Zero.class);
    private final ComboBox<TapeScale> scale = new ComboBox<>();
    private final ComboBox<TapeView.Beside> beside = new ComboBox<>();
    private boolean showing;

    TapeTools(TapeView tape, Workbench bench) {
        super(12, 4);
        this.tape = tape;
        this.bench = bench;
        setAlignment(Pos.CENTER_LEFT);
        HBox zero = row("zero at");
        for (Zero kind : Zero.values()) {
            zero.getChildren().add(zero(kind));
        }
        HBox show = row("");
        for (TapeDrawing.Reading reading : TapeDrawing.Reading.values()) {
            show.getChildren().add(reading(reading));
        }
        Choices.prepare(
                scale, "tape-divisions", "How the tape is divided", List.of(TapeScale.values()), TapeTools::name);
        scale.setOnAction(e -> {
            TapeScale chosen = scale.getValue();
            if (!showing && chosen != null) {
                bench.edit(Said.say("step.scale", "scale", name(chosen)), job -> job.withTape(chosen));
            }
        });
        Choices.prepare(
                beside,
                "tape-beside",
                "Another side's tape beneath this one",
                List.of(TapeView.Beside.values()),
                TapeTools::name);
        beside.setValue(TapeView.Beside.NONE);
        beside.setOnAction(e -> tape.lay(beside.getValue()));
        ToggleButton snap = new ToggleButton("snap");
        snap.setId("tape-snap");
        snap.getStyleClass().add("tape-button");
        snap.setSelected(tape.isSnapping());
        Tip.on(snap, "A dragged valley goes to the tape's ticks; hold Alt to do otherwise for once");
        snap.setOnAction(e -> tape.snap(snap.isSelected()));
        HBox near = row("");
        near.getChildren()
                .setAll(
                        IconButtons.of(
                                "tape-repeat",
                                Material2MZ.ZOOM_IN,
                                "table-tool",
                                "One repeat (1 on the tape)",
                                tape::showRepeat),
                        IconButtons.of(
                                "tape-whole",
                                Material2AL.CROP_FREE,
                                "table-tool",
                                "The whole run (0 on the tape)",
                                tape::showWhole),
                        IconButtons.of(
                                "tape-copy",
                                Material2AL.CONTENT_COPY,
                                "table-tool",
                                "Copy the readings as text (Ctrl+C on the tape)",
                                tape::copy));
        getChildren().addAll(zero, show, scale, snap, beside, near);
        bench.selection().zeroProperty().addListener(o -> show());
        bench.selection().pointedProperty().addListener(o -> show());
        show();
    }

    private static HBox row(String name) {
        HBox row = new HBox(5);
        if (!name.isEmpty()) {
            row.getChildren().add(new Label(name));
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static String name(TapeScale scale) {
        return switch (scale) {
            case EIGHTHS -> "1/8 in";
            case SIXTEENTHS -> "1/16 in";
            case THIRTY_SECONDS -> "1/32 in";
            case CENTIMETRES -> "mm";
        };
    }

    private static String name(TapeView.Beside other) {
        return switch (other) {
            case NONE -> "one side";
            case OPPOSITE -> "opposite";
            case NEXT -> "next side";
        };
    }

    private Node zero(Zero kind) {
        String name = kind.name().toLowerCase(Locale.ROOT);
        ToggleButton button = new ToggleButton(name);
        button.setId("zero-" + name);
        button.getStyleClass().add("tape-button");
        Tip.on(
                button,
                switch (kind) {
                    case LEFT -> "Read the tape from the left end (Home)";
                    case RIGHT -> "Read the tape from the right end (End)";
                    case CENTRE -> "Read the tape from the centre (C)";
                    case MARK -> "Read the tape from the mark that is pointed at (Z)";
                });
        button.setOnAction(e -> {
            if (kind != Zero.MARK) {
                bench.selection().zeroProperty().set(kind);
            } else if (bench.selection().pointedProperty().get() != null) {
                bench.selection().layZero(bench.selection().pointedProperty().get());
            } else if (bench.selection().zeroMarkProperty().get() != null) {
                bench.selection().zeroProperty().set(Zero.MARK);
            }
            show();
        });
        zeros.put(kind, button);
        return button;
    }

    private Node reading(TapeDrawing.Reading reading) {
        String name = reading.name().toLowerCase(Locale.ROOT);
        ToggleButton button = new ToggleButton(name);
        button.setId("show-" + name);
        button.getStyleClass().add("tape-button");
        button.setSelected(tape.shows(reading));
        Tip.on(
                button,
                switch (reading) {
                    case VALLEYS -> "Readings at the valleys";
                    case CROWNS -> "Readings at the crowns";
                    case HALVES -> "Readings halfway between valley and crown; they show where there is room";
                });
        button.setOnAction(e -> tape.show(reading, button.isSelected()));
        return button;
    }

    /** Follows the workbench. */
    void show() {
        showing = true;
        zeros.forEach((kind, button) ->
                button.setSelected(kind == bench.selection().zeroProperty().get()));
        // A zero can be laid at a mark once one has been pointed at.
        zeros.get(Zero.MARK)
                .setDisable(bench.selection().pointedProperty().get() == null
                        && bench.selection().zeroMarkProperty().get() == null);
        scale.setValue(bench.plan().job().tape());
        beside.setDisable(bench.selection().whereProperty().get().side().isEmpty());
        showing = false;
    }
}
