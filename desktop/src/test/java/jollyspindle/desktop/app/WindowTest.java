package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.user.Settings;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;
import javafx.application.Platform;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TableView;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** The window as a person uses it: typing, clicking, pressing keys, reading what stands there. */
@ExtendWith(ApplicationExtension.class)
class WindowTest extends Hands {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private static void measure(FxRobot robot) {
        type(robot, "#body-top", "61 1/2");
        type(robot, "#body-bottom", "61.5");
        type(robot, "#body-left", "6'1 1/4\"");
        type(robot, "#body-right", "186.055 cm");
        robot.clickOn("#measure-borders");
        type(robot, "#depth-top", "7 1/4");
    }

    // --- a whole job -----------------------------------------------------------------------------------------------

    @Test
    void fromTapeToPlanSavedAndOpenedAgain(FxRobot robot) throws Exception {
        assertThat(read(robot, "#table-head")).isEqualTo("Top border, not measured yet");
        type(robot, "#job-name", "Corn Lane");
        measure(robot);
        assertThat(read(robot, "#job-title")).isEqualTo("Corn Lane");
        assertThat(read(robot, "#body-left-said")).startsWith("73 1/4");
        assertThat(read(robot, "#depth-left-said"))
                .as("the first depth holds for all")
                .startsWith("7 1/4");

        robot.clickOn("#stage-lay-out");
        // 61 1/2 by 73 1/4 near 6: 10 and 12 (common practice, no source; by arithmetic).
        ToggleButton best = robot.lookup("#candidate-10-12").query();
        assertThat(best.isSelected()).isTrue();
        assertThat(read(robot, "#region-said-top")).isEqualTo("10 of 6 1/8 generous");
        assertThat(read(robot, "#tape-summary")).isEqualTo("10 repeats of 6 1/8 generous");
        assertThat(read(robot, "#reading-top-valley-5")).isEqualTo("30 3/4");
        assertThat(read(robot, "#reading-top-valley-10")).isEqualTo("61 1/2");

        scrollTo(robot, "#candidate-11-13");
        robot.clickOn("#candidate-11-13");
        assertThat(read(robot, "#region-said-right")).isEqualTo("13 of 5 5/8 generous");
        assertThat(read(robot, "#tape-summary")).startsWith("11 repeats");
        assertThat(read(robot, "#job-state")).startsWith("not saved");
        assertThat(window.stage().getTitle()).startsWith("Corn Lane (not saved)");

        Button undo = robot.lookup("#undo").query();
        assertThat(undo.getAccessibleText()).isEqualTo("Undo: repeats 11 across, 13 down");
        robot.clickOn("#undo");
        assertThat(read(robot, "#tape-summary")).startsWith("10 repeats");
        robot.clickOn("#redo");
        assertThat(read(robot, "#tape-summary")).startsWith("11 repeats");

        Path file = folder.resolve("corn-lane.spindle.json");
        chosenFiles.add(folder.resolve("corn-lane"));
        robot.push(KeyCode.CONTROL, KeyCode.S);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(file).exists();
        assertThat(read(robot, "#job-state")).startsWith("saved");

        robot.push(KeyCode.CONTROL, KeyCode.N);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#job-title")).isEqualTo("New quilt");
        chosenFiles.add(file);
        robot.push(KeyCode.CONTROL, KeyCode.O);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#job-title")).isEqualTo("Corn Lane");
        assertThat(read(robot, "#region-said-top")).startsWith("11 of 5 9/16 generous");
        assertThat(bench.job()).isEqualTo(bench.job().withCounts(new Counts(11, 13)));
        assertThat(Settings.read(folder.resolve("settings")).recent()).contains(file);
    }

    @Test
    void wrongLengthsAreToldBesideTheFieldAndTheLastGoodOneStands(FxRobot robot) {
        measure(robot);
        robot.clickOn("#measure-body");
        for (String[] wrong : new String[][] {
            {"sixty", "isn't a length"},
            {"0", "must be more than 0"},
            {"-5", "must be more than 0"},
            {"715", "longest allowed is 200"},
            {"4", "less than the border's depth"},
            {"61 7/0", "0 below the line"},
        }) {
            type(robot, "#body-top", wrong[0]);
            assertThat(read(robot, "#body-top-said")).contains(wrong[1], "61 1/2 stands");
            assertThat(bench.job().quilt().length(Dimension.BODY_TOP)).isEqualTo(61.5);
        }
        robot.clickOn("#body-top").push(KeyCode.ESCAPE);
        assertThat(read(robot, "#body-top")).isEqualTo("61 1/2");
        assertThat(read(robot, "#body-top-said")).startsWith("61 1/2");
        robot.clickOn("#measure-borders");
        type(robot, "#depth-top", "62");
        assertThat(read(robot, "#depth-top-said")).contains("deeper than the body's 61 1/2");
        robot.clickOn("#measure-body");
        type(robot, "#foot-radius", "2");
        assertThat(read(robot, "#foot-radius-said")).contains("at most 1/2");
        type(robot, "#diagonal-down", "200");
        assertThat(read(robot, "#diagonal-down-said")).contains("a diagonal lies between");
        type(robot, "#diagonal-down", "95 5/8");
        assertThat(bench.job().quilt().get(Dimension.DIAGONAL_DOWN)).hasValue(95.625);
        type(robot, "#diagonal-down", "");
        assertThat(bench.job().quilt().get(Dimension.DIAGONAL_DOWN)).isEmpty();
    }

    @Test
    void unitsAndCornersAreChosenAndUndone(FxRobot robot) {
        demo(robot, WorkStage.MEASURE);
        ComboBox<TapeScale> tape = robot.lookup("#tape-scale").queryComboBox();
        robot.interact(() -> tape.setValue(TapeScale.CENTIMETRES));
        assertThat(read(robot, "#body-top")).isEqualTo("181.9275 cm");
        assertThat(read(robot, "#region-said-top")).isEqualTo("10 of 18.2 cm scant");
        robot.clickOn("#undo");
        assertThat(read(robot, "#body-top")).isEqualTo("71 5/8");
        robot.clickOn("#measure-borders");
        ComboBox<?> corners = robot.lookup("#corners").queryComboBox();
        robot.clickOn(corners).push(KeyCode.DOWN).push(KeyCode.DOWN).push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#table-head"))
                .as("the top runs through, less the reserves")
                .isEqualTo("Top border, 85 1/8 by 7 1/4");
    }

    // --- the tape --------------------------------------------------------------------------------------------------

    @Test
    void theTapeAndTheTablePointAtTheSameMark(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.moveTo("#reading-top-valley-3");
        assertThat(bench.selection().pointedProperty().get().id().code()).isEqualTo("top-valley-3");
        assertThat(read(robot, "#tape-summary")).isEqualTo("Valley 3: 21 1/2 scant (21.488 in)");
        assertThat(robot.lookup("#reading-top-valley-3").query().getStyleClass())
                .contains("pointed");
        robot.clickOn("#zero-right");
        robot.moveTo("#reading-top-valley-3");
        assertThat(read(robot, "#reading-top-valley-3")).isEqualTo("50 1/8");
        assertThat(read(robot, "#tape-summary")).isEqualTo("Valley 3: 50 1/8 generous (50.138 in)");
        robot.clickOn("#zero-centre");
        assertThat(read(robot, "#reading-top-valley-5")).isEqualTo("0");
        assertThat(read(robot, "#reading-top-valley-3")).isEqualTo("14 5/16");
    }

    @Test
    void theTapeIsWorkedByKeys(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.push(KeyCode.F6).push(KeyCode.RIGHT).push(KeyCode.RIGHT).push(KeyCode.RIGHT);
        assertThat(read(robot, "#tape-summary")).startsWith("Valley 1: 7 3/16 scant");
        robot.push(KeyCode.PLUS);
        assertThat(read(robot, "#region-said-top")).startsWith("11 of 6 1/2");
        assertThat(read(robot, "#region-said-left")).startsWith("13 of");
        robot.push(KeyCode.MINUS).push(KeyCode.MINUS);
        assertThat(read(robot, "#region-said-top")).startsWith("9 of");
        robot.push(KeyCode.CONTROL, KeyCode.Z).push(KeyCode.CONTROL, KeyCode.Z);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(read(robot, "#region-said-top")).startsWith("10 of 7 3/16 scant");
        robot.push(KeyCode.PAGE_DOWN);
        assertThat(read(robot, "#region-said-top")).startsWith("10 of");
        assertThat(bench.group().orElseThrow().chosen().kind()).contains(SchoolKind.HALF_STEPS);
        robot.push(KeyCode.SHIFT, KeyCode.PAGE_DOWN);
        assertThat(bench.group().orElseThrow().chosen().kind()).contains(SchoolKind.CENTRE_OUT);
        robot.push(KeyCode.ALT, KeyCode.DIGIT2);
        assertThat(read(robot, "#tape-ends")).startsWith("left end: top right corner");
    }

    // --- table, placements, marks
    // --------------------------------------------------------------------------------------

    @Test
    void placementsAreSteppedThrough(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        type(robot, "#wanted-repeat", "7.25");
        assertThat(read(robot, "#placement-title"))
                .as("the first is shown; a full stop in a length is no command")
                .isEqualTo("Arc 1");
        robot.clickOn("#undo");
        robot.clickOn("#region-right").clickOn("#placement-next");
        assertThat(read(robot, "#placement-title")).isEqualTo("Arc 2");
        assertThat(read(robot, "#placement-turn"))
                .startsWith("Template a quarter turn to the right (−89.9°)")
                .contains("crown to the outer edge", "foot outside the curve");
        assertThat(read(robot, "#placement-path"))
                .isEqualTo("Start valley 1, 7 3/16 generous; stop valley 2, 14 3/8 generous; sweep 128.5°");
        assertThat(read(robot, "#fit-arc")).contains("Orchard Hill stitches radius 4 scant", "rise 2 1/4 generous");
        robot.push(KeyCode.COMMA);
        assertThat(read(robot, "#placement-title")).isEqualTo("Arc 1");
        robot.clickOn("#region-bottom").push(KeyCode.PERIOD);
        assertThat(read(robot, "#placement-turn")).startsWith("Template a half turn");
        assertThat(read(robot, "#placement-title")).isEqualTo("Arc 2");
        robot.push(KeyCode.ESCAPE);
        assertThat(read(robot, "#placement-title")).isEqualTo("How the template lies");
    }

    @Test
    void aSideIsClickedOnTheMapAndOnTheTable(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#map-left");
        assertThat(bench.selection().whereProperty().get()).isEqualTo(RunId.of(Side.LEFT));
        assertThat(read(robot, "#table-head")).isEqualTo("Left border, 86 1/4 by 7 1/4");
        demo(robot, WorkStage.MEASURE);
        Node table = robot.lookup("#quilt-table").query();
        double x = table.localToScreen(table.getBoundsInLocal()).getCenterX();
        double top = table.localToScreen(table.getBoundsInLocal()).getMinY();
        robot.clickOn(x, top + 45);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#body-top").query().isFocused())
                .as("a side clicked is measured")
                .isTrue();
    }

    @Test
    void marksAreListedWithReadingsFromBothEndsAndTheCentre(FxRobot robot) {
        demo(robot, WorkStage.MARK);
        TableView<?> marks = robot.lookup("#mark-list").queryTableView();
        assertThat(marks.getItems()).hasSize(21);
        assertThat(cells(marks, 15))
                .containsExactly(
                        "Crown 8",
                        "53 3/4 scant",
                        "17 15/16 scant",
                        "17 15/16 scant right",
                        "2 1/4 scant",
                        "by template");
        robot.interact(() -> marks.getSelectionModel().select(15));
        assertThat(bench.selection().pointedProperty().get().id().code()).isEqualTo("top-crown-8");
        robot.clickOn("Placements");
        assertThat(cells(robot.lookup("#placement-list").queryTableView(), 3))
                .containsExactly(
                        "Arc 4",
                        "as pictured",
                        "on the top seam: the tape, 1/4 scant below the line 2 (2 scant below the edge's crown)",
                        "valley 3, 21 1/2 scant",
                        "valley 4, 28 5/8 generous");
    }

    private static List<String> cells(TableView<?> table, int row) {
        return table.getColumns().stream()
                .map(column -> String.valueOf(column.getCellData(row)))
                .toList();
    }

    @Test
    void aFindingIsMendedByItsButton(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.interact(() -> bench.selection().choose(Side.TOP));
        robot.interact(() -> bench.edit("five", job -> job.withCounts(new Counts(5, 12))));
        assertThat(robot.lookup("#findings").lookup(".finding-problem").queryAll())
                .hasSize(1);
        assertThat(robot.lookup("To be settled · top, bottom").queryAll()).isNotEmpty();
        scrollTo(robot, "#remedy-repeat-too-wide");
        robot.clickOn(robot.lookup("#remedy-repeat-too-wide").nth(0).<Button>query());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#findings").lookup(".finding-problem").queryAll())
                .isEmpty();
        assertThat(bench.plan().runs()).hasSize(4);
    }

    // --- files and look ----------------------------------------------------------------------------------------------

    @Test
    void aDamagedFileIsToldAndTheJobStays(FxRobot robot) throws IOException {
        demo(robot, WorkStage.LAY_OUT);
        Path broken = folder.resolve("broken.spindle.json");
        Files.writeString(broken, "{\"format\": \"jolly-spindle-job\", \"version\": 1, \"name\":");
        robot.interact(() -> window.open(broken));
        assertThat(read(robot, "#message"))
                .contains("“broken.spindle.json” can't be opened", "ends too early, in line 1");
        assertThat(read(robot, "#job-title")).isEqualTo("Heron Weir");
        robot.clickOn("#message-close");
        assertThat(robot.lookup("#message").queryAll()).isEmpty();
    }

    @Test
    void unsavedChangesAreGuarded(FxRobot robot) throws Exception {
        Path other = folder.resolve("other.spindle.json");
        JobFile.write(other, DemoJob.heronWeir().withName("Other"), UnknownFields.none());
        type(robot, "#job-name", "Mine");
        answers.add(Dialogs.Unsaved.CANCEL);
        robot.interact(() -> window.open(other));
        assertThat(read(robot, "#job-title")).isEqualTo("Mine");
        answers.add(Dialogs.Unsaved.SAVE);
        chosenFiles.add(folder.resolve("mine.spindle.json"));
        robot.interact(() -> window.open(other));
        assertThat(read(robot, "#job-title")).isEqualTo("Other");
        assertThat(JobFile.read(folder.resolve("mine.spindle.json")).job().name())
                .isEqualTo("Mine");
        robot.clickOn("#stage-measure");
        type(robot, "#job-name", "Third");
        answers.add(Dialogs.Unsaved.DISCARD);
        robot.interact(() -> window.open(folder.resolve("mine.spindle.json")));
        assertThat(read(robot, "#job-title")).isEqualTo("Mine");
        assertThat(answers).isEmpty();
    }

    @Test
    void theGuardAsksInADialog(FxRobot robot) {
        Deque<Dialogs.Unsaved> said = new ArrayDeque<>();
        for (String button : List.of("save", "discard", "cancel")) {
            Platform.runLater(() -> said.add(Dialogs.inDialogs(window.stage()).unsaved("Heron Weir")));
            WaitForAsyncUtils.waitForFxEvents();
            robot.clickOn("#unsaved-" + button);
            WaitForAsyncUtils.waitForFxEvents();
            assertThat(said.pop().name().toLowerCase(Locale.ROOT)).isEqualTo(button);
        }
    }

    @Test
    void packetAndDrawingAreWritten(FxRobot robot) throws Exception {
        demo(robot, WorkStage.LAY_OUT);
        chosenFiles.add(folder.resolve("heron"));
        robot.push(KeyCode.CONTROL, KeyCode.P);
        WaitForAsyncUtils.waitForFxEvents();
        WaitForAsyncUtils.waitFor(
                30, TimeUnit.SECONDS, () -> read(robot, "#message").startsWith("Written"));
        assertThat(folder.resolve("heron.pdf")).exists();
        assertThat(read(robot, "#message")).contains("heron.pdf", "100 %");
        robot.push(KeyCode.CONTROL, KeyCode.N);
        robot.push(KeyCode.CONTROL, KeyCode.P);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#message")).contains("nothing to take to the machine yet");
    }

    @Test
    void theLookIsKept(FxRobot robot) {
        robot.clickOn("#look");
        robot.push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.PERIOD);
        WaitForAsyncUtils.waitForFxEvents();
        Settings kept = Settings.read(folder.resolve("settings"));
        assertThat(kept.dark()).isTrue();
        assertThat(kept.typeScale()).isEqualTo(1.1);
        robot.push(KeyCode.F9).push(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.COMMA);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(Settings.read(folder.resolve("settings")).dark()).isFalse();
    }

    @Test
    void whatWasNotSavedIsKeptAndOffered(FxRobot robot) throws Exception {
        Path settings = folder.resolve("settings");
        type(robot, "#job-name", "Half done");
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> kept(settings).equals(List.of("Half done")));
        robot.clickOn("#undo");
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> kept(settings).isEmpty());
        // No process has a number this high.
        Path left = settings.resolve("unsaved-99999999999.spindle.json");
        JobFile.write(left, DemoJob.heronWeir().withName("Left behind"), UnknownFields.none());
        robot.interact(window::offerUnsaved);
        assertThat(read(robot, "#message")).contains("before your work was saved");
        robot.clickOn("#message-action");
        assertThat(read(robot, "#job-title")).isEqualTo("Left behind");
        assertThat(read(robot, "#job-state")).startsWith("not saved");
        WaitForAsyncUtils.waitFor(10, TimeUnit.SECONDS, () -> !Files.exists(left));
    }

    /** The names of the jobs that are kept unsaved. */
    private static List<String> kept(Path settings) throws Exception {
        List<String> names = new ArrayList<>();
        try (DirectoryStream<Path> all = Files.newDirectoryStream(settings, "unsaved-*" + JobFile.SUFFIX)) {
            for (Path one : all) {
                names.add(JobFile.read(one).job().name());
            }
        }
        return names;
    }

    @Test
    void aSingleDroppedFileIsTried() {
        Path one = Path.of("one.txt");
        Path job = Path.of("two.spindle.json");
        assertThat(DroppedFiles.dropped(List.of(one.toFile()))).contains(one);
        assertThat(DroppedFiles.dropped(List.of(one.toFile(), job.toFile()))).contains(job);
        assertThat(DroppedFiles.dropped(List.of(one.toFile(), Path.of("x.png").toFile())))
                .isEmpty();
    }
}
