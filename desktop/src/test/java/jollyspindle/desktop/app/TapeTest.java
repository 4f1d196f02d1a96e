package jollyspindle.desktop.app;

import jollyspindle.core.division.school.ByHand;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Zero;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.geometry.VerticalDirection;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** The tape, worked with mouse and keys. */
@ExtendWith(ApplicationExtension.class)
class TapeTest extends Hands {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private static final double INCH = 1160 / 71.625;

    private Mark mark(String id) {
        return bench.plan().runs().stream()
                .flatMap(r -> r.laidOut().marks().stream())
                .filter(m -> m.id().code().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** The place of a reading on the screen, on the line where its valley stands. */
    private static Point2D valley(FxRobot robot, String id) {
        Node reading = robot.lookup("#reading-" + id).query();
        Bounds bounds = robot.bounds(reading).query();
        return new Point2D(bounds.getCenterX(), bounds.getMinY() - 4);
    }

    private void point(FxRobot robot, int valley) {
        robot.push(KeyCode.F6);
        robot.interact(() -> bench.selection().pointedProperty().set(mark("top-valley-" + valley)));
    }

    @Test
    void aValleyIsDraggedToATickAndTheOthersFollow(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        Point2D from = valley(robot, "top-valley-3");
        robot.drag(from, MouseButton.PRIMARY).moveBy(0.9 * INCH, 0).drop();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.run().orElseThrow().divided().school()).isInstanceOfSatisfying(ByHand.class, hand -> {
            assertThat(hand.pins()).containsOnlyKeys(3);
            double along = hand.pins().get(3);
            assertThat(along).isCloseTo(21.4875 + 0.9, within(0.2));
            assertThat(along * 16).as("on a tick").isCloseTo(Math.rint(along * 16), within(1e-9));
        });
        // Those between the pin and the ends have spread; the other sides stay.
        double pin = mark("top-valley-3").along();
        assertThat(mark("top-valley-1").along()).isCloseTo(pin / 3, within(1e-9));
        assertThat(mark("top-valley-7").along()).isCloseTo(pin + (71.625 - pin) * 4 / 7, within(1e-9));
        assertThat(robot.lookup("#pin-3").tryQuery()).isPresent();
        assertThat(bench.undoName().orElseThrow()).startsWith("valley 3 at 22");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(bench.run().orElseThrow().division().boundary(3)).isCloseTo(21.4875, within(1e-9));
        assertThat(bench.undoName()).as("one step for the whole drag").isEmpty();
    }

    @Test
    void snappingCanBeSwitchedOffAndNeighboursArentPassed(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#tape-snap");
        robot.drag(valley(robot, "top-valley-5"), MouseButton.PRIMARY)
                .moveBy(7, 0)
                .drop();
        WaitForAsyncUtils.waitForFxEvents();
        double along = mark("top-valley-5").along();
        assertThat(Math.abs(along * 16 - Math.rint(along * 16)))
                .as("between the ticks")
                .isGreaterThan(1e-6);
        robot.clickOn("#tape-snap");
        robot.drag(valley(robot, "top-valley-2"), MouseButton.PRIMARY)
                .moveBy(2 * INCH, 0)
                .drop();
        // Past the pinned fifth nothing goes.
        robot.drag(valley(robot, "top-valley-2"), MouseButton.PRIMARY).moveBy(25 * INCH, 0);
        assertThat(read(robot, "#tape-refused")).isEqualTo("It can't pass its neighbours.");
        robot.drop();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(mark("top-valley-2").along()).isLessThan(mark("top-valley-5").along());
    }

    @Test
    void valleysAreMovedPinnedAndLetGoByKeys(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        point(robot, 3);
        robot.push(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(mark("top-valley-3").along())
                .as("the tick next to 21 1/2 scant")
                .isEqualTo(21.5);
        robot.push(KeyCode.ALT, KeyCode.RIGHT).push(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(mark("top-valley-3").along()).isEqualTo(21.625);
        robot.push(KeyCode.ALT, KeyCode.LEFT);
        assertThat(mark("top-valley-3").along()).isEqualTo(21.5625);
        point(robot, 6);
        double stands = mark("top-valley-6").along();
        robot.push(KeyCode.P);
        assertThat(robot.lookup("#pin-6").tryQuery()).isPresent();
        assertThat(mark("top-valley-6").along()).isEqualTo(stands);
        point(robot, 3);
        robot.push(KeyCode.DELETE);
        assertThat(((ByHand) bench.run().orElseThrow().divided().school()).pins())
                .containsOnlyKeys(6);
        point(robot, 6);
        robot.push(KeyCode.DELETE);
        assertThat(bench.run().orElseThrow().divided().school()).isEqualTo(new Even(10));
    }

    @Test
    void aValleysPlaceIsTypedAsTheTapeSaysIt(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        point(robot, 4);
        robot.push(KeyCode.ENTER);
        robot.write("", 0).push(KeyCode.CONTROL, KeyCode.A).write("20 1/3x", 0);
        assertThat(read(robot, "#valley-at-said")).contains("isn't a length");
        robot.push(KeyCode.ENTER);
        assertThat(mark("top-valley-4").along()).as("nothing was taken").isCloseTo(28.65, within(1e-9));
        robot.push(KeyCode.CONTROL, KeyCode.A).write("28 1/4", 0).push(KeyCode.ENTER);
        assertThat(mark("top-valley-4").along()).isEqualTo(28.25);
        // From the right end the same field counts from there.
        robot.push(KeyCode.END);
        point(robot, 7);
        robot.push(KeyCode.ENTER)
                .push(KeyCode.CONTROL, KeyCode.A)
                .write("20", 0)
                .push(KeyCode.ENTER);
        assertThat(mark("top-valley-7").along()).isEqualTo(51.625);
        assertThat(read(robot, "#reading-top-valley-7")).isEqualTo("20");
    }

    @Test
    void theZeroIsLaidAnywhere(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        point(robot, 2);
        robot.push(KeyCode.Z);
        assertThat(bench.selection().zeroProperty().get()).isEqualTo(Zero.MARK);
        assertThat(read(robot, "#reading-top-valley-2")).isEqualTo("0");
        // 21 31/64 less 14 21/64: 7.1625 either way.
        assertThat(read(robot, "#reading-top-valley-1")).isEqualTo("7 3/16");
        assertThat(read(robot, "#reading-top-valley-3")).isEqualTo("7 3/16");
        robot.push(KeyCode.C);
        assertThat(read(robot, "#reading-top-valley-5")).isEqualTo("0");
        robot.push(KeyCode.HOME);
        assertThat(read(robot, "#reading-top-valley-10")).isEqualTo("71 5/8");
        // Clicked, a mark stays pointed at while the mouse goes to the button.
        robot.clickOn("#reading-top-valley-8").clickOn("#zero-mark");
        assertThat(read(robot, "#reading-top-valley-8")).isEqualTo("0");
        // On another side there is no such mark.
        robot.push(KeyCode.ALT, KeyCode.DIGIT2);
        assertThat(bench.selection().zeroProperty().get()).isEqualTo(Zero.LEFT);
    }

    @Test
    void divisionsReadingsAndASecondTapeAreChosen(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        ComboBox<TapeScale> divisions = robot.lookup("#tape-divisions").queryComboBox();
        robot.interact(() -> divisions.setValue(TapeScale.EIGHTHS));
        assertThat(read(robot, "#reading-top-valley-2")).isEqualTo("14 3/8");
        robot.interact(() -> divisions.setValue(TapeScale.CENTIMETRES));
        assertThat(read(robot, "#reading-top-valley-2")).isEqualTo("36.4");
        robot.interact(() -> divisions.setValue(TapeScale.THIRTY_SECONDS));
        assertThat(read(robot, "#reading-top-valley-2")).isEqualTo("14 5/16");
        robot.clickOn("#show-crowns");
        assertThat(robot.lookup("#reading-top-crown-1").tryQuery()).isEmpty();
        assertThat(robot.lookup("#reading-top-valley-1").tryQuery()).isPresent();
        ComboBox<?> beside = robot.lookup("#tape-beside").queryComboBox();
        robot.interact(() -> beside.getSelectionModel().select(1));
        // 71 3/4 by 10, the first 7.175.
        assertThat(read(robot, "#second-bottom-valley-1")).isEqualTo("7 3/16−");
        assertThat(read(robot, "#tape-ends")).contains("beneath: bottom border, left end bottom right corner");
        robot.interact(() -> beside.getSelectionModel().select(2));
        assertThat(robot.lookup("#second-right-valley-1").tryQuery()).isPresent();
    }

    @Test
    void theTapeZoomsFromTheWholeRunToARepeat(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        point(robot, 4);
        assertThat(robot.lookup("#reading-top-valley-0").tryQuery()).isPresent();
        robot.push(KeyCode.DIGIT1);
        assertThat(robot.lookup("#reading-top-valley-0").tryQuery()).isEmpty();
        assertThat(robot.lookup("#reading-top-valley-4").tryQuery()).isPresent();
        robot.clickOn("#show-halves");
        // Halfway from valley 4 (28.65) to crown 5 (32.23125): 30.440625.
        assertThat(robot.lookup("#half-8").tryQuery()).isPresent();
        assertThat(read(robot, "#half-8")).isEqualTo("30 7/16+");
        // The arrow keys go on to marks out of sight, and bring them into it.
        robot.push(KeyCode.F6)
                .push(KeyCode.RIGHT)
                .push(KeyCode.RIGHT)
                .push(KeyCode.RIGHT)
                .push(KeyCode.RIGHT);
        WaitForAsyncUtils.waitForFxEvents();
        String pointed = bench.selection().pointedProperty().get().id().code();
        assertThat(robot.lookup("#reading-" + pointed).tryQuery()).isPresent();
        robot.push(KeyCode.DIGIT0);
        assertThat(robot.lookup("#reading-top-valley-10").tryQuery()).isPresent();
        robot.push(KeyCode.UP).push(KeyCode.UP).push(KeyCode.UP);
        assertThat(robot.lookup("#reading-top-valley-0").tryQuery()).isEmpty();
        robot.push(KeyCode.DOWN).push(KeyCode.DOWN).push(KeyCode.DOWN).push(KeyCode.DOWN);
        assertThat(robot.lookup("#reading-top-valley-0").tryQuery()).isPresent();
        // Which way a wheel turns differs between platforms; the whole run can't be zoomed out of.
        robot.moveTo("#tape-drawing").scroll(4, VerticalDirection.UP);
        WaitForAsyncUtils.waitForFxEvents();
        if (robot.lookup("#reading-top-valley-0").tryQuery().isPresent()) {
            robot.scroll(4, VerticalDirection.DOWN);
            WaitForAsyncUtils.waitForFxEvents();
        }
        assertThat(robot.lookup("#reading-top-valley-0").tryQuery()).isEmpty();
        robot.clickOn("#tape-whole");
        assertThat(robot.lookup("#reading-top-valley-0").tryQuery()).isPresent();
    }

    /** Where readings would run into each other those without room aren't drawn, but for the one that is pointed at. */
    @Test
    void readingsWithoutRoomAreShownWhilePointedAt(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.interact(() -> bench.dividing()
                .divide(Map.of(
                        RunId.of(Side.TOP), new Even(60),
                        RunId.of(Side.BOTTOM), new Even(60))));
        WaitForAsyncUtils.waitForFxEvents();
        List<Mark> valleys = bench.run().orElseThrow().laidOut().marks().stream()
                .filter(m -> m.kind() == Mark.Kind.VALLEY)
                .toList();
        assertThat(valleys).hasSize(61);
        List<Mark> hidden = valleys.stream()
                .filter(m -> robot.lookup("#reading-" + m.id()).tryQuery().isEmpty())
                .toList();
        assertThat(hidden).hasSizeBetween(20, 58);
        Mark one = hidden.get(hidden.size() / 2);
        robot.interact(() -> bench.selection().pointedProperty().set(one));
        assertThat(read(robot, "#reading-" + one.id()))
                .startsWith(one.readings().fromLeft().number());
        robot.interact(() -> bench.selection().pointedProperty().set(hidden.get(0)));
        assertThat(robot.lookup("#reading-" + one.id()).tryQuery()).isEmpty();
        assertThat(robot.lookup("#reading-" + hidden.get(0).id()).tryQuery()).isPresent();
    }

    @Test
    void readingsAreCopiedAsText(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        point(robot, 2);
        robot.push(KeyCode.CONTROL, KeyCode.C);
        AtomicReference<String> copied = new AtomicReference<>();
        robot.interact(() -> copied.set(Clipboard.getSystemClipboard().getString()));
        assertThat(copied.get())
                .startsWith("Top border, 71 5/8: 10 repeats. Left end: top left corner.")
                .contains("Valley 3\t21 1/2 scant\t50 1/8 generous");
    }

    @Test
    void schoolsAreSteppedThroughAndTheTapeShowsThem(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.push(KeyCode.F6).push(KeyCode.SHIFT, KeyCode.PAGE_DOWN);
        assertThat(bench.group().orElseThrow().chosen().kind()).contains(SchoolKind.HALF_STEPS);
        assertThat(read(robot, "#tape-summary")).startsWith("Half steps");
        // Half a repeat from the corner stands the first valley; crowns stand at the corners.
        assertThat(read(robot, "#reading-top-valley-1")).isEqualTo("3 9/16");
        assertThat(read(robot, "#lean-top-valley-1")).isEqualTo("generous");
        assertThat(robot.lookup("#reading-top-valley-0").tryQuery()).isEmpty();
        assertThat(read(robot, "#reading-top-crown-1")).isEqualTo("0");
        robot.push(KeyCode.SHIFT, KeyCode.PAGE_UP);
        assertThat(bench.group().orElseThrow().chosen().kind()).contains(SchoolKind.EVEN);
        robot.interact(() -> bench.selection().choose(RunId.of(Side.LEFT)));
        assertThat(robot.lookup("#reading-left-valley-12").tryQuery()).isPresent();
    }
}
