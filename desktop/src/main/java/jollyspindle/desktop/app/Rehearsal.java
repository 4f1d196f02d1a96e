package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Soon;
import jollyspindle.desktop.model.Planning;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ComboBoxBase;
import javafx.scene.control.MenuBar;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.PickResult;
import javafx.stage.Stage;

/**
 * Does in a window, off screen, what a quilter's hands do: goes from stage to stage, opens lists and menus, types, drags, undoes,
 * saves. So the archive of classes has what that needs, and the first time somebody does it takes no longer than the next.
 */
final class Rehearsal {

    /** How long things are left alone, in milliseconds, until what they lead to is planned and shown. */
    private static final long SETTLES = 300;

    /** After so long, in seconds, what still isn't filled needn't be: nobody waits for a build because of it. */
    private static final long PATIENCE = 20;

    private static final List<KeyCode> KEYS = List.of(
            KeyCode.RIGHT, KeyCode.LEFT, KeyCode.UP, KeyCode.DOWN, KeyCode.PERIOD, KeyCode.COMMA, KeyCode.ESCAPE);

    private final Path folder;
    private Workbench bench;
    private MainWindow window;

    private Rehearsal(Path folder) {
        this.folder = folder;
    }

    /**
     * Goes through it all; to be called outside the window's thread, once JavaFX has started.
     *
     * @param folder where settings and a job may be written
     */
    static void in(Path folder) throws InterruptedException, ExecutionException {
        String apart = System.getProperty(Soon.APART);
        // As for somebody who looks at it, not as soon as it can be.
        System.clearProperty(Soon.APART);
        try {
            new Rehearsal(folder).goThrough();
        } finally {
            if (apart != null) {
                System.setProperty(Soon.APART, apart);
            }
        }
    }

    private void goThrough() throws InterruptedException, ExecutionException {
        doing(() -> {
            bench = new Workbench(Planning.away());
            window = new MainWindow(new Stage(), bench, Dialogs::inDialogs, folder.resolve("settings"));
            window.stage().show();
            bench.start(DemoJob.heronWeir());
        });
        settle();
        for (WorkStage stage : WorkStage.values()) {
            doing(() -> bench.stageProperty().set(stage));
            settle();
            for (ComboBoxBase<?> box : Pictures.inWindow(() -> all(ComboBoxBase.class))) {
                doing(box::show);
                doing(box::hide);
            }
        }
        doing(() -> bench.stageProperty().set(WorkStage.LAY_OUT));
        settle();
        hands();
        files();
        doing(() -> {
            window.leave();
            window.stage().hide();
        });
    }

    private void hands() throws InterruptedException, ExecutionException {
        for (MenuBar bar : Pictures.inWindow(() -> all(MenuBar.class))) {
            for (int i = 0; i < bar.getMenus().size(); i++) {
                var menu = bar.getMenus().get(i);
                doing(menu::show);
                doing(menu::hide);
            }
        }
        for (Node node : List.of(window.table(), window.tape())) {
            for (var type : List.of(
                    MouseEvent.MOUSE_ENTERED,
                    MouseEvent.MOUSE_MOVED,
                    MouseEvent.MOUSE_PRESSED,
                    MouseEvent.MOUSE_DRAGGED,
                    MouseEvent.MOUSE_RELEASED,
                    MouseEvent.MOUSE_CLICKED)) {
                doing(() -> Event.fireEvent(node, mouse(type, node)));
            }
            for (KeyCode code : KEYS) {
                doing(() -> {
                    Event.fireEvent(node, key(KeyEvent.KEY_PRESSED, code));
                    Event.fireEvent(node, key(KeyEvent.KEY_RELEASED, code));
                });
            }
        }
        for (TextField field : Pictures.inWindow(() -> all(TextField.class))) {
            doing(() -> {
                field.requestFocus();
                field.selectAll();
                Event.fireEvent(field, key(KeyEvent.KEY_PRESSED, KeyCode.ENTER));
                field.setText("nothing that can be measured");
                Event.fireEvent(field, key(KeyEvent.KEY_PRESSED, KeyCode.ESCAPE));
            });
        }
        settle();
    }

    private void files() throws InterruptedException, ExecutionException {
        doing(() -> {
            bench.editQuilt("taken out", quilt -> quilt.withAreas(List.of()));
            bench.undo();
            bench.redo();
            Path file = folder.resolve("rehearsed" + JobFile.SUFFIX);
            bench.save(file);
            bench.tryToOpen(file);
            window.tellFault();
        });
        settle();
    }

    private static MouseEvent mouse(EventType<MouseEvent> type, Node on) {
        double x = on.getLayoutBounds().getWidth() / 2;
        double y = on.getLayoutBounds().getHeight() / 2;
        boolean down = type == MouseEvent.MOUSE_PRESSED || type == MouseEvent.MOUSE_DRAGGED;
        MouseButton button = MouseButton.PRIMARY;
        var pick = new PickResult(on, x, y);
        return new MouseEvent(
                type, x, y, x, y, button, 1, false, false, false, false, down, false, false, false, false, true, pick);
    }

    private static KeyEvent key(EventType<KeyEvent> type, KeyCode code) {
        return new KeyEvent(type, "", "", code, false, false, false, false);
    }

    private <T extends Node> List<T> all(Class<T> type) {
        List<T> all = new ArrayList<>();
        collect(window.stage().getScene().getRoot(), type, all);
        return all;
    }

    private static <T extends Node> void collect(Node node, Class<T> type, List<T> all) {
        if (!node.isVisible() || node.isDisabled()) {
            return;
        }
        if (type.isInstance(node)) {
            all.add(type.cast(node));
        } else if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> collect(child, type, all));
        }
    }

    private void settle() throws InterruptedException, ExecutionException {
        Thread.sleep(SETTLES);
        CompletableFuture<Void> filled = new CompletableFuture<>();
        Platform.runLater(() -> Gradually.whenFilled(() -> filled.complete(null)));
        try {
            filled.get(PATIENCE, TimeUnit.SECONDS);
        } catch (TimeoutException e) {
            return;
        }
        Thread.sleep(SETTLES);
    }

    /** Something that is done in the window's thread. */
    private interface Move {
        void make() throws FileTrouble;
    }

    private static void doing(Move move) throws InterruptedException, ExecutionException {
        Pictures.inWindow(() -> {
            move.make();
            return null;
        });
    }
}
