package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.shelf.ShelfFile;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.text.Text;
import javafx.stage.Stage;

/** Hands and eyes of a person at the window. */
abstract class Hands {

    @TempDir
    static Path folder;

    final Deque<Path> chosenFiles = new ArrayDeque<>();
    final Deque<Dialogs.Unsaved> answers = new ArrayDeque<>();
    final Deque<Dialogs.Changed> changed = new ArrayDeque<>();
    final Deque<Boolean> replaces = new ArrayDeque<>();
    Workbench bench;
    MainWindow window;

    final Dialogs asking = new Dialogs() {
        @Override
        public Unsaved unsaved(String jobName) {
            return answers.pop();
        }

        @Override
        public Changed changedElsewhere(String fileName) {
            return changed.pop();
        }

        @Override
        public boolean mayReplace(String fileName) {
            return replaces.pop();
        }

        @Override
        public Optional<Path> toOpen(String title, String kind, String suffix) {
            return Optional.ofNullable(chosenFiles.poll());
        }

        @Override
        public Optional<Path> toWrite(String title, String suggestedName, String kind, String suffix) {
            return Optional.ofNullable(chosenFiles.poll());
        }
    };

    /** Opens the window; to be called by what the test starts with, which isn't looked for here. */
    void open(Stage stage) {
        bench = new Workbench();
        window = new MainWindow(stage, bench, owner -> asking, settings());
        stage.show();
    }

    static Path settings() {
        return folder.resolve("settings");
    }

    @AfterEach
    void tidy(FxRobot robot) throws IOException {
        robot.release(new KeyCode[0]);
        robot.interact(() -> {
            window.leave();
            window.stage().hide();
        });
        // The next test begins with the starter shelf.
        Files.deleteIfExists(settings().resolve(ShelfFile.NAME));
    }

    static void type(FxRobot robot, String field, String text) {
        robot.clickOn(field)
                .push(KeyCode.CONTROL, KeyCode.A)
                .push(KeyCode.DELETE)
                .write(text, 0)
                .push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
    }

    static <T> void choose(FxRobot robot, String id, T value) {
        ComboBox<T> box = robot.lookup(id).queryComboBox();
        robot.interact(() -> box.setValue(value));
        WaitForAsyncUtils.waitForFxEvents();
    }

    static String read(FxRobot robot, String id) {
        WaitForAsyncUtils.waitForFxEvents();
        Node node = robot.lookup(id).query();
        if (node instanceof Labeled labeled) {
            return labeled.getText();
        }
        if (node instanceof TextField field) {
            return field.getText();
        }
        return ((Text) node).getText();
    }

    void demo(FxRobot robot, WorkStage stage) {
        robot.interact(() -> {
            bench.start(DemoJob.heronWeir());
            bench.stageProperty().set(stage);
        });
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** Waits for what is made away from the window. */
    static void await(FxRobot robot, String id) throws TimeoutException {
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> {
            WaitForAsyncUtils.waitForFxEvents();
            return robot.lookup(id).tryQuery().isPresent();
        });
    }

    /** Brings what may be scrolled out of sight into it. */
    static void scrollTo(FxRobot robot, String id) {
        Node node = robot.lookup(id).query();
        robot.interact(() -> {
            ScrollPane pane = null;
            for (Node n = node; n != null; n = n.getParent()) {
                if (n instanceof ScrollPane p) {
                    pane = p;
                }
            }
            Bounds in = pane.getContent().sceneToLocal(node.localToScene(node.getBoundsInLocal()));
            double hidden = pane.getContent().getBoundsInLocal().getHeight()
                    - pane.getViewportBounds().getHeight();
            pane.setVvalue(hidden <= 0 ? 0 : Math.max(0, Math.min(1, (in.getMinY() - 60) / hidden)));
        });
        WaitForAsyncUtils.waitForFxEvents();
    }
}
