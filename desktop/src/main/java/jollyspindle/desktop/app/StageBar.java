package jollyspindle.desktop.app;

import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.IconButtons;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;
import org.kordamp.ikonli.material2.Material2AL;
import org.kordamp.ikonli.material2.Material2MZ;

import java.util.Locale;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/** The bar above: the job, the stages of the work in its order, undo and redo by name. */
final class StageBar extends HBox {

    StageBar(Workbench bench, Look look) {
        Label job = new Label();
        job.getStyleClass().add("job-title");
        job.setId("job-title");
        job.setMaxWidth(230);
        job.setMinWidth(200);
        Label state = new Label();
        state.getStyleClass().add("job-state");
        state.setId("job-state");
        Runnable show = () -> {
            job.setText(bench.job().name());
            String saved = bench.fileProperty().get() == null ? "not in a file yet" : "saved";
            state.setText((bench.savedProperty().get() ? saved : "not saved") + " · "
                    + Words.name(bench.job().tape()).toLowerCase(Locale.ROOT));
        };
        bench.changesProperty().addListener(o -> show.run());
        show.run();
        getChildren().add(job);
        getStyleClass().add("stage-bar");
        ToggleGroup group = new ToggleGroup();
        for (WorkStage workStage : WorkStage.values()) {
            ToggleButton tab = new ToggleButton(workStage.title());
            tab.setId("stage-" + workStage.name().toLowerCase(Locale.ROOT).replace('_', '-'));
            tab.getStyleClass().add("stage-tab");
            tab.setToggleGroup(group);
            Tip.on(tab, Said.say("stage.keys", "stage", workStage.title(), "number", workStage.ordinal() + 1));
            tab.setSelected(bench.stageProperty().get() == workStage);
            tab.setOnAction(e -> {
                tab.setSelected(true);
                bench.stageProperty().set(workStage);
            });
            bench.stageProperty().addListener((o, was, now) -> tab.setSelected(now == workStage));
            getChildren().add(tab);
        }
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Button undo = IconButtons.of("undo", Material2MZ.UNDO, "bar-button", "Undo", bench::undo);
        Button redo = IconButtons.of("redo", Material2MZ.REDO, "bar-button", "Redo", bench::redo);
        Button dark = IconButtons.of(
                "look", Material2AL.BRIGHTNESS_4, "bar-button", "Light or dark look (F9)", () -> look.darkProperty()
                        .set(!look.darkProperty().get()));
        Runnable names = () -> {
            name(undo, "Undo", bench.undoName(), "Ctrl+Z");
            name(redo, "Redo", bench.redoName(), "Ctrl+Shift+Z");
        };
        bench.changesProperty().addListener(o -> names.run());
        names.run();
        getChildren().addAll(gap, state, undo, redo, dark);
    }

    private static void name(Button button, String what, Optional<String> step, String keys) {
        button.setDisable(step.isEmpty());
        String text =
                step.map(s -> what + ": " + s).orElse(Said.say("nothing-to", "what", what.toLowerCase(Locale.ROOT)));
        Tip.on(button, text + " (" + keys + ")");
        button.setAccessibleText(text);
    }
}
