package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.desktop.model.Knob;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.job.Autosave;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.shelf.ShelfFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** Nothing the quilter made is lost: not by a slip of the hand, not by another window, not by a file. */
@ExtendWith(ApplicationExtension.class)
class SafeTableTest extends Hands {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private Path saved(String name, QuiltJob job) throws Exception {
        Path file = folder.resolve(name + JobFile.SUFFIX);
        JobFile.write(file, job.withName(name), UnknownFields.none());
        return file;
    }

    private static List<String> messages(FxRobot robot) {
        WaitForAsyncUtils.waitForFxEvents();
        return robot.lookup("#message").queryAllAs(Label.class).stream()
                .map(Label::getText)
                .toList();
    }

    // --- drags -----------------------------------------------------------------------------------------------------

    private Point2D valley(FxRobot robot, int number) {
        Node tick = robot.lookup("#reading-top-valley-" + number).query();
        Bounds bounds = robot.bounds(tick).query();
        return new Point2D(bounds.getCenterX(), bounds.getMinY() - 4);
    }

    private double along(int valley) {
        return bench.run().orElseThrow().laidOut().marks().stream()
                .filter(m -> m.kind() == Mark.Kind.VALLEY && m.number() == valley)
                .findFirst()
                .orElseThrow()
                .along();
    }

    @Test
    void aSecondButtonDuringADragChangesNothing(FxRobot robot) throws Exception {
        Path other = saved("other", DemoJob.heronWeir());
        demo(robot, WorkStage.LAY_OUT);
        double before = along(3);
        Point2D at = valley(robot, 3);
        robot.moveTo(at).press(MouseButton.PRIMARY).moveBy(12, 0);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(along(3)).isNotEqualTo(before);
        robot.press(MouseButton.SECONDARY)
                .moveBy(6, 0)
                .release(MouseButton.SECONDARY)
                .moveBy(6, 0);
        robot.release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        double kept = along(3);
        assertThat(kept).isGreaterThan(before);
        assertThat(bench.undoName()).hasValueSatisfying(name -> assertThat(name).contains("valley 3"));
        // What comes after stands on what was kept, and another job isn't replaced by the one before.
        robot.interact(() -> bench.edit("name", job -> job.withName("After")));
        assertThat(along(3)).isEqualTo(kept);
        robot.interact(() -> {
            answers.add(Dialogs.Unsaved.DISCARD);
            window.open(other);
        });
        robot.moveTo(valley(robot, 4)).press(MouseButton.PRIMARY).moveBy(10, 0).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().name()).isEqualTo("other");
        robot.interact(bench::undo);
        assertThat(bench.job()).isEqualTo(DemoJob.heronWeir().withName("other"));
    }

    @Test
    void aDragEndsWithWhateverElseHappens(FxRobot robot) throws Exception {
        Path other = saved("other2", DemoJob.heronWeir());
        demo(robot, WorkStage.LAY_OUT);
        QuiltJob begun = bench.job();
        robot.interact(() -> bench.edit("name", job -> job.withName("One step")));
        // Undo in mid-drag takes the drag back, and nothing else.
        robot.moveTo(valley(robot, 3)).press(MouseButton.PRIMARY).moveBy(12, 0);
        robot.interact(bench::undo);
        assertThat(bench.job().name()).isEqualTo("One step");
        assertThat(bench.job().layouts()).isEqualTo(begun.layouts());
        robot.moveBy(9, 0).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().layouts()).isEqualTo(begun.layouts());
        robot.interact(bench::undo);
        assertThat(bench.job()).isEqualTo(begun);
        // Another job, opened meanwhile, has nothing of it.
        robot.moveTo(valley(robot, 3)).press(MouseButton.PRIMARY).moveBy(12, 0);
        robot.interact(() -> window.open(other));
        robot.moveBy(9, 0).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job()).isEqualTo(DemoJob.heronWeir().withName("other2"));
        assertThat(bench.savedProperty().get()).isTrue();
        // Nor has another stage.
        robot.moveTo(valley(robot, 3)).press(MouseButton.PRIMARY).moveBy(12, 0);
        robot.interact(() -> bench.stageProperty().set(WorkStage.MEASURE));
        robot.release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.isPreviewing()).isFalse();
        assertThat(bench.job()).isEqualTo(DemoJob.heronWeir().withName("other2"));
    }

    @Test
    void aKnobOnTheTableIsHeldByOneButton(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        QuiltJob begun = bench.job();
        Knob knob = bench.handles().get(0);
        Point place = knob.place();
        robot.moveTo(window.table().onScreen(place)).press(MouseButton.PRIMARY).moveBy(14, 0);
        robot.press(MouseButton.SECONDARY).release(MouseButton.SECONDARY);
        robot.push(KeyCode.ESCAPE);
        robot.release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.isPreviewing()).isFalse();
        assertThat(bench.job()).as("Escape lets the drag go").isEqualTo(begun);
        robot.moveTo(window.table().onScreen(place)).press(MouseButton.PRIMARY).moveBy(14, 0);
        robot.press(MouseButton.SECONDARY).release(MouseButton.SECONDARY).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.isPreviewing()).isFalse();
        assertThat(bench.undoName()).isPresent();
        robot.interact(bench::undo);
        assertThat(bench.job()).isEqualTo(begun);
    }

    // --- files -----------------------------------------------------------------------------------------------------

    @Test
    void sidesThatDontMeetAreToldAndTheJobOpens(FxRobot robot) throws Exception {
        Quilt quilt = DemoJob.heronWeir().quilt();
        double[] sides = {50, 50, 60, 161.5};
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), sides[side.ordinal()]);
        }
        quilt = quilt.with(new Quilt.Easings(Easing.TO_LONGER, Easing.TO_LONGER));
        Path file = saved("crooked", DemoJob.heronWeir().withQuilt(quilt));
        robot.interact(() -> window.open(file));
        assertThat(bench.job().name()).isEqualTo("crooked");
        assertThat(bench.plan().hasProblems()).isTrue();
        assertThat(messages(robot)).isEmpty();
    }

    @Test
    void aFileChangedElsewhereIsntReplacedUnasked(FxRobot robot) throws Exception {
        Path file = saved("shared", DemoJob.heronWeir());
        robot.interact(() -> window.open(file));
        robot.interact(() -> bench.edit("name", job -> job.withName("Mine")));
        JobFile.write(file, DemoJob.heronWeir().withName("Theirs"), UnknownFields.none());
        changed.add(Dialogs.Changed.CANCEL);
        robot.push(KeyCode.CONTROL, KeyCode.S);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(JobFile.read(file).job().name()).isEqualTo("Theirs");
        Path mine = folder.resolve("mine-of-two" + JobFile.SUFFIX);
        changed.add(Dialogs.Changed.SAVE_ELSEWHERE);
        chosenFiles.add(mine);
        robot.push(KeyCode.CONTROL, KeyCode.S);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(JobFile.read(file).job().name()).isEqualTo("Theirs");
        assertThat(JobFile.read(mine).job().name()).isEqualTo("Mine");
        // If it is replaced, what was there is kept.
        JobFile.write(mine, DemoJob.heronWeir().withName("Theirs again"), UnknownFields.none());
        robot.interact(() -> bench.edit("name", job -> job.withName("Mine again")));
        changed.add(Dialogs.Changed.REPLACE);
        robot.push(KeyCode.CONTROL, KeyCode.S);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(JobFile.read(mine).job().name()).isEqualTo("Mine again");
        assertThat(JobFile.read(AtomicFile.version(mine, 1)).job().name()).isEqualTo("Theirs again");
        assertThat(changed).isEmpty();
        // The same question isn't asked twice.
        robot.interact(() -> bench.edit("name", job -> job.withName("Third")));
        robot.push(KeyCode.CONTROL, KeyCode.S);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(JobFile.read(mine).job().name()).isEqualTo("Third");
    }

    @Test
    void aNameWithoutItsEndingReplacesNothingUnasked(FxRobot robot) throws Exception {
        Path file = saved("there", DemoJob.heronWeir());
        robot.interact(() -> bench.start(DemoJob.heronWeir().withName("New")));
        chosenFiles.add(folder.resolve("there"));
        replaces.add(false);
        robot.push(KeyCode.CONTROL, KeyCode.S);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(JobFile.read(file).job().name()).isEqualTo("there");
        chosenFiles.add(folder.resolve("there"));
        replaces.add(true);
        robot.push(KeyCode.CONTROL, KeyCode.S);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(JobFile.read(file).job().name()).isEqualTo("New");
    }

    @Test
    void theSecondWindowOnAJobIsTold(FxRobot robot) throws Exception {
        Path file = saved("twice", DemoJob.heronWeir());
        try (Autosave elsewhere = new Autosave(settings())) {
            elsewhere.at(java.util.Optional.of(file));
            robot.interact(() -> window.open(file));
            WaitForAsyncUtils.waitFor(
                    10, TimeUnit.SECONDS, () -> !messages(robot).isEmpty());
            assertThat(messages(robot).get(0)).contains("twice", "open in another window too");
        }
    }

    @Test
    void allThatSessionsLeftIsOfferedAndStaysUntilItIsTaken(FxRobot robot) throws Exception {
        for (String id : List.of("aa", "bb", "cc")) {
            JobFile.write(
                    settings().resolve("unsaved-" + id + JobFile.SUFFIX),
                    DemoJob.heronWeir().withName("Left " + id),
                    UnknownFields.none());
        }
        Path own = saved("own", DemoJob.heronWeir());
        Files.createDirectories(settings().resolve("sessions"));
        Files.writeString(
                settings().resolve("sessions/bb.session"),
                "{\"job\":\"" + own.toString().replace("\\", "\\\\") + "\"}");
        robot.interact(window::offerUnsaved);
        assertThat(messages(robot)).hasSize(3);
        // An edit doesn't take the offers away.
        robot.interact(() -> bench.edit("name", job -> job.withName("Being made")));
        assertThat(messages(robot)).hasSize(3);
        Node row = robot.lookup("#message").queryAllAs(Label.class).stream()
                .filter(l -> l.getText().contains("Left bb"))
                .findFirst()
                .orElseThrow()
                .getParent();
        // Unsaved work isn't replaced unasked.
        answers.add(Dialogs.Unsaved.CANCEL);
        robot.clickOn(robot.from(row).lookup("#message-action").<Node>query());
        assertThat(bench.job().name()).isEqualTo("Being made");
        assertThat(messages(robot)).hasSize(3);
        row = robot.lookup("#message").queryAllAs(Label.class).stream()
                .filter(l -> l.getText().contains("Left bb"))
                .findFirst()
                .orElseThrow()
                .getParent();
        answers.add(Dialogs.Unsaved.DISCARD);
        robot.clickOn(robot.from(row).lookup("#message-action").<Node>query());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().name()).isEqualTo("Left bb");
        assertThat(bench.savedProperty().get()).isFalse();
        assertThat(bench.fileProperty().get()).as("its own file").isEqualTo(own);
        assertThat(messages(robot)).hasSize(2);
        Path kept = settings().resolve("unsaved-bb" + JobFile.SUFFIX);
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> !Files.exists(kept));
        assertThat(Autosave.leftIn(settings())).hasSize(2);
        try (var files = Files.list(settings())) {
            assertThat(files.filter(f -> f.getFileName().toString().startsWith("unsaved-"))
                            .map(SafeTableTest::name))
                    .as("kept by this window before it was let go there")
                    .contains("Left bb");
        }
        for (Autosave.Left left : Autosave.leftIn(settings())) {
            Files.delete(left.kept());
        }
    }

    private static String name(Path file) {
        try {
            return JobFile.read(file).job().name();
        } catch (jollyspindle.files.FileTrouble e) {
            return "";
        }
    }

    @Test
    void whereNothingCanBeKeptThePersonIsTold(FxRobot robot) throws IOException {
        Path sessions = settings().resolve("sessions");
        // Where the folder should be there is a file.
        try (var all = Files.exists(sessions) ? Files.walk(sessions) : java.util.stream.Stream.<Path>empty()) {
            for (Path p : all.sorted(java.util.Comparator.reverseOrder()).toList()) {
                Files.delete(p);
            }
        }
        Files.createDirectories(settings());
        Files.writeString(sessions, "in the way");
        try {
            robot.interact(() -> bench.edit("name", job -> job.withName("Unkept")));
            WaitForAsyncUtils.waitFor(
                    10, TimeUnit.SECONDS, () -> !messages(robot).isEmpty());
            assertThat(messages(robot).get(0)).contains("can't be kept", "Save your job");
        } catch (java.util.concurrent.TimeoutException e) {
            throw new AssertionError("nothing was told", e);
        } finally {
            Files.delete(sessions);
        }
    }

    // --- the shelf -------------------------------------------------------------------------------------------------

    @Test
    void twoWindowsOnOneShelfKeepEachOthersChanges(FxRobot robot) throws Exception {
        Shelf before = bench.shelf();
        String deleted = before.templates().get(0).id();
        String changedHere = before.templates().get(1).id();
        robot.interact(() -> bench.editShelf(
                "note",
                shelf -> shelf.with(shelf.template(changedHere).orElseThrow().withNotes("mine"))));
        // The other window has taken one away, and put another there.
        Shelf theirs = new Shelf(
                before.machine(),
                java.util.stream.Stream.concat(
                                before.templates().stream().skip(1),
                                java.util.stream.Stream.of(before.templates()
                                        .get(2)
                                        .withId("theirs")
                                        .withName("Theirs")))
                        .toList());
        ShelfFile.write(settings(), theirs, UnknownFields.none());
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> ShelfFile.read(settings())
                .shelf()
                .template(changedHere)
                .orElseThrow()
                .notes()
                .equals("mine"));
        // The file is written away from the window, which takes over what is in it a moment later.
        WaitForAsyncUtils.waitFor(
                10, TimeUnit.SECONDS, () -> bench.shelf().template("theirs").isPresent());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.shelf().template(deleted)).as("deleted there").isEmpty();
        assertThat(bench.shelf().template("theirs")).isPresent();
        // Undo here takes back what was done here, and nothing of theirs.
        robot.interact(bench::undo);
        assertThat(bench.shelf().template(changedHere).orElseThrow().notes()).isEmpty();
        assertThat(bench.shelf().template("theirs")).isPresent();
        assertThat(bench.shelf().template(deleted)).isEmpty();
    }

    @Test
    void aShelfOfANewerVersionIsLeftAloneAndTold(FxRobot robot) throws Exception {
        Path newer = Files.createTempDirectory(folder, "newer");
        ShelfFile.write(newer, Shelf.starter(), UnknownFields.none());
        Path file = newer.resolve(ShelfFile.NAME);
        String theirs = Files.readString(file).replaceFirst("\"version\" : \\d+", "\"version\" : 99");
        Files.writeString(file, theirs);
        Workbench other = new Workbench();
        MainWindow[] opened = new MainWindow[1];
        robot.interact(() -> opened[0] = new MainWindow(new Stage(), other, owner -> asking, newer));
        Node root = opened[0].stage().getScene().getRoot();
        assertThat(robot.from(root).lookup("#message").queryAs(Label.class).getText())
                .contains("newer Jolly Spindle", "what you change on it isn't kept");
        String id = other.shelf().templates().get(0).id();
        robot.interact(() -> {
            other.start(DemoJob.heronWeir());
            other.editShelf(
                    "note", shelf -> shelf.with(shelf.template(id).orElseThrow().withNotes("mine")));
            opened[0].leave();
        });
        assertThat(Files.readString(file)).isEqualTo(theirs);
        try (var files = Files.list(newer)) {
            assertThat(files.map(f -> f.getFileName().toString())).noneMatch(name -> name.startsWith("shelf-unread"));
        }
        assertThat(robot.from(root).lookup("#message").queryAs(Label.class).getText())
                .contains("newer Jolly Spindle");
    }

    @Test
    void aShelfDamagedMeanwhileIsPutAsideAndLaterChangesAreKept(FxRobot robot) throws Exception {
        Files.createDirectories(settings());
        Files.writeString(settings().resolve(ShelfFile.NAME), "{ half");
        String id = bench.shelf().templates().get(0).id();
        robot.interact(() -> bench.editShelf(
                "note", shelf -> shelf.with(shelf.template(id).orElseThrow().withNotes("kept"))));
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> !messages(robot).isEmpty());
        assertThat(messages(robot).get(0)).contains("put aside");
        assertThat(ShelfFile.read(settings()).shelf().template(id).orElseThrow().notes())
                .isEqualTo("kept");
        // It isn't hidden at once.
        robot.interact(() -> bench.start(DemoJob.heronWeir()));
        assertThat(messages(robot).get(0)).contains("put aside");
        try (var files = Files.list(settings())) {
            for (Path f : files.filter(f -> f.getFileName().toString().startsWith("shelf-unread"))
                    .toList()) {
                Files.delete(f);
            }
        }
    }

    // --- keys ------------------------------------------------------------------------------------------------------

    @Test
    void aChoiceCantBeTakenAwayByAKey(FxRobot robot) {
        robot.interact(() -> window.toFinding());
        WaitForAsyncUtils.waitForFxEvents();
        ComboBox<Object> purpose = robot.lookup("#find-purpose").queryComboBox();
        Object chosen = purpose.getValue();
        robot.interact(purpose::requestFocus);
        robot.push(KeyCode.CONTROL, KeyCode.SPACE);
        robot.interact(() -> purpose.setValue(null));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(purpose.getValue()).isEqualTo(chosen);
    }
}
