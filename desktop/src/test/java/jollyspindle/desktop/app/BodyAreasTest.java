package jollyspindle.desktop.app;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.desktop.model.Knob;
import jollyspindle.desktop.model.WorkStage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** The areas of the body under Measure: typed, drawn on the table, taken from a drawing. */
@ExtendWith(ApplicationExtension.class)
class BodyAreasTest extends Hands {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private List<Area> areas() {
        return bench.job().quilt().areas();
    }

    private void strips(FxRobot robot) {
        demo(robot, WorkStage.MEASURE);
        robot.clickOn("#measure-strips");
    }

    @Test
    void blocksMedallionAndBackgroundAreTyped(FxRobot robot) {
        strips(robot);
        scrollTo(robot, "#area-add-blocks");
        robot.clickOn("#area-add-blocks");
        scrollTo(robot, "#area-columns-1");
        type(robot, "#area-columns-1", "4");
        type(robot, "#area-columns-1", "many");
        assertThat(read(robot, "#area-columns-1-said")).contains("“many”: type a whole number from 1 to 100");
        scrollTo(robot, "#area-clearance-1");
        type(robot, "#area-clearance-1", "1/4");
        assertThat(areas()).containsExactly(new Area.Blocks(4, 3, 9, 9, 0, 0.25));
        type(robot, "#area-width-1", "30");
        assertThat(read(robot, "#area-over-1")).startsWith("All blocks together are 120 by 27, more than the body's");
        scrollTo(robot, "#area-add-medallion");
        robot.clickOn("#area-add-medallion");
        scrollTo(robot, "#area-diameter-2");
        type(robot, "#area-diameter-2", "18");
        choose(robot, "#area-shape-2", Area.Shape.OCTAGON);
        scrollTo(robot, "#area-add-body");
        robot.clickOn("#area-add-body");
        assertThat(areas().subList(1, 3))
                .containsExactly(new Area.Medallion(Area.Shape.OCTAGON, 18, 0), new Area.Body(0));
    }

    // A block of 2 hatched at 1/16 and 45 degrees takes 2 x 2 x 1.4142 x 16 = 90.5 lines: 2,209 blocks hold 200,000.
    @Test
    void whatWouldBeTooMuchIsRefusedWhereItIsTypedWithTheMostThatGoes(FxRobot robot) {
        demo(robot, WorkStage.MEASURE);
        robot.interact(() -> {
            bench.editQuilt("areas", q -> q.withAreas(List.of(new Area.Blocks(30, 30, 2, 2, 0))));
            bench.areas().choose(new AreaId(1), 1);
            bench.areas()
                    .design("hatch", AreaDesign.of(new AreaMotif.Crosshatch(1.0 / 16, Math.PI / 4), Optional.empty()));
        });
        robot.clickOn("#measure-strips");
        scrollTo(robot, "#area-columns-1");
        type(robot, "#area-columns-1", "100");
        assertThat(read(robot, "#area-columns-1-said"))
                .isEqualTo(
                        "“100”: that would be some 270,000 lines, and more than 200,000 can't be planned; 73 is the most"
                                + " that goes. 30 stands.");
        type(robot, "#area-columns-1", "73");
        assertThat(areas()).containsExactly(new Area.Blocks(73, 30, 2, 2, 0));
        type(robot, "#area-columns-1", "30");
        type(robot, "#area-width-1", "10");
        assertThat(read(robot, "#area-width-1-said"))
                .startsWith("That would be some ")
                .contains(" is the most that goes.");
        assertThat(areas()).containsExactly(new Area.Blocks(30, 30, 2, 2, 0));
        // By another way than a field it is refused as well, and told.
        robot.interact(() -> bench.areas()
                .design("more", AreaDesign.of(new AreaMotif.StraightFans(9, 9, 9, 0.5), Optional.empty())));
        assertThat(read(robot, "#message"))
                .isEqualTo(
                        "That can't be: that would be some 660,000 lines, and more than 200,000 can't be planned. Nothing was changed.");
    }

    /** Changing an area leaves the fields as they are, its own and those of the others, with what was typed in them. */
    @Test
    void fieldsStay(FxRobot robot) {
        strips(robot);
        robot.interact(() -> bench.editQuilt(
                "areas",
                q -> q.withAreas(List.of(new Area.Medallion(12), new Area.Blocks(2, 2, 9, 9, 14), new Area.Body(0)))));
        WaitForAsyncUtils.waitForFxEvents();
        Node first = robot.lookup("#area-diameter-1").query();
        Node second = robot.lookup("#area-gap-2").query();
        scrollTo(robot, "#area-gap-2");
        type(robot, "#area-gap-2", "13");
        assertThat(areas().get(1)).isEqualTo(new Area.Blocks(2, 2, 9, 9, 13));
        assertThat(robot.lookup("#area-gap-2").query().isFocused())
                .as("the keyboard stays with the field")
                .isTrue();
        robot.push(KeyCode.TAB).write("1/2").push(KeyCode.ENTER);
        assertThat(areas().get(1)).isEqualTo(new Area.Blocks(2, 2, 9, 9, 13, 0.5));
        Node third = robot.lookup("#area-clearance-3").query();
        assertThat(robot.lookup("#area-diameter-1").<Node>query()).isSameAs(first);
        assertThat(robot.lookup("#area-gap-2").<Node>query()).isSameAs(second);
        // What stands further down moves up, and is the same.
        robot.interact(() -> bench.edit("without", job -> job.without(new AreaId(1))));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#area-gap-2").tryQuery()).isPresent();
        assertThat(robot.lookup("#area-diameter-1").tryQuery()).isEmpty();
        assertThat(robot.lookup("#area-clearance-3").<Node>query()).isSameAs(third);
    }

    /** An area keeps its name and what is stitched there when one before it is taken out. */
    @Test
    void takenOutAnAreaLeavesTheOthersTheirDesigns(FxRobot robot) {
        strips(robot);
        robot.interact(() -> {
            bench.editQuilt(
                    "areas", q -> q.withAreas(List.of(new Area.Medallion(12), new Area.Blocks(2, 2, 9, 9, 14))));
            bench.areas().choose(new AreaId(2), 1);
            bench.areas().design("hatch", AreaDesign.of(new AreaMotif.Crosshatch(1, Math.PI / 4), Optional.empty()));
        });
        scrollTo(robot, "#area-remove-1");
        robot.clickOn("#area-remove-1");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(areas()).containsExactly(new Area.Blocks(2, 2, 9, 9, 14));
        assertThat(bench.job().quilt().areaIds()).containsExactly(new AreaId(2));
        assertThat(bench.job()
                        .design(new AreaId(2))
                        .parts()
                        .get(0)
                        .layers()
                        .get(0)
                        .motif())
                .isEqualTo(new AreaMotif.Crosshatch(1, Math.PI / 4));
        robot.interact(bench::undo);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(areas()).hasSize(2);
        assertThat(robot.lookup("#area-remove-1")
                        .<Node>query()
                        .localToScene(0, 0)
                        .getY())
                .as("brought back, it stands where it stood")
                .isLessThan(robot.lookup("#area-remove-2")
                        .<Node>query()
                        .localToScene(0, 0)
                        .getY());
    }

    @Test
    void anEllipseIsTypedAndCleared(FxRobot robot) {
        strips(robot);
        scrollTo(robot, "#applique-add");
        robot.clickOn("#applique-add");
        scrollTo(robot, "#applique-width-1");
        type(robot, "#applique-width-1", "8");
        type(robot, "#applique-x-1", "-3 1/2");
        type(robot, "#applique-angle-1", "30");
        type(robot, "#area-clearance-1", "13");
        assertThat(read(robot, "#area-clearance-1-said")).contains("Between 0 and 12");
        assertThat(areas())
                .containsExactly(
                        new Area.Applique(new Area.Ellipse(new Point(-3.5, 0), 8, 4, Math.toRadians(30)), 0.25));
    }

    @Test
    void anAppliqueIsDrawnOnTheTable(FxRobot robot) {
        strips(robot);
        scrollTo(robot, "#applique-draw");
        robot.clickOn("#applique-draw");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#drawing-said")).startsWith("Click the appliqué's corners on the table");
        for (Point corner : List.of(new Point(-6, -4), new Point(6, -4), new Point(9, 9), new Point(0, 8))) {
            robot.clickOn(window.table().onScreen(corner));
            WaitForAsyncUtils.waitForFxEvents();
        }
        assertThat(read(robot, "#drawing-said")).startsWith("4 corners");
        robot.push(KeyCode.BACK_SPACE);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#drawing-said")).startsWith("3 corners");
        robot.push(KeyCode.ENTER);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(areas()).hasSize(1);
        Area.Corners drawn = (Area.Corners) ((Area.Applique) areas().get(0)).outline();
        assertThat(drawn.corners()).hasSize(3);
        assertThat(drawn.corners().get(2).distance(new Point(9, 9))).isLessThan(0.4);
        // Typed, it is the same; sides that cross are refused, and what was there stays.
        scrollTo(robot, "#applique-corners-1");
        type(robot, "#applique-corners-1", "0, 0; 4, 4; 4, 0; 0, 4");
        assertThat(read(robot, "#applique-corners-1-said")).contains("Two of its sides cross");
        type(robot, "#applique-corners-1", "0, 0; 4 1/2");
        assertThat(read(robot, "#applique-corners-1-said")).contains("“4 1/2” isn't a corner");
        type(robot, "#applique-corners-1", "0, 0; 4 1/2, 0; 0, 3");
        assertThat(areas())
                .containsExactly(new Area.Applique(
                        new Area.Corners(List.of(Point.ORIGIN, new Point(4.5, 0), new Point(0, 3))), 0.25));
    }

    @Test
    void anAppliqueComesFromADrawing(FxRobot robot) throws Exception {
        strips(robot);
        Path leaf = folder.resolve("leaf.svg");
        Files.writeString(
                leaf,
                """
                <svg xmlns="http://www.w3.org/2000/svg" width="8in" height="8in" viewBox="0 0 8 8">
                <path d="M 1 4 C 2 1 6 1 7 4 C 6 7 2 7 1 4 Z"/></svg>
                """);
        chosenFiles.add(leaf);
        chosenFiles.add(leaf);
        scrollTo(robot, "#applique-from-drawing");
        robot.clickOn("#applique-from-drawing");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#message")).contains("The outline is 6 wide");
        Area.Applique applique = (Area.Applique) areas().get(0);
        // The top of the curve: from 4 by 3/4 of the way to 1, as of any cubic with both handles there.
        assertThat(applique.outline().path().box().height()).isCloseTo(2 * 0.75 * 3, within(1e-3));
        scrollTo(robot, "#applique-width-1");
        type(robot, "#applique-width-1", "3");
        assertThat(((Area.Applique) areas().get(0)).outline().path().box().height())
                .isCloseTo(2.25, within(1e-3));
        Files.writeString(leaf, "not a drawing");
        // The message went with the change, and all below it moved up.
        WaitForAsyncUtils.waitForFxEvents();
        scrollTo(robot, "#applique-from-drawing");
        robot.clickOn("#applique-from-drawing");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#message")).contains("“leaf.svg”");
        assertThat(areas()).hasSize(1);
    }

    /** On the table an appliqué is dragged elsewhere, and sizes by their knobs; one step each to be undone. */
    @Test
    void areasAreDraggedOnTheTable(FxRobot robot) {
        strips(robot);
        Area.Ellipse ellipse = new Area.Ellipse(new Point(10, 20), 12, 8, Math.toRadians(90));
        robot.interact(() -> bench.editQuilt(
                "areas", q -> q.withAreas(List.of(new Area.Medallion(16), new Area.Applique(ellipse, 0.25)))));
        WaitForAsyncUtils.waitForFxEvents();
        drag(robot, new Point(9, 19), new Point(-6, 24));
        Area.Ellipse moved = (Area.Ellipse) ((Area.Applique) areas().get(1)).outline();
        assertThat(moved.centre().distance(new Point(-5, 25))).isLessThan(0.4);
        assertThat(moved.width()).isEqualTo(12);
        assertThat(bench.undoName()).contains("the appliqué moved");
        // Turned upright, it is as wide as it looks high.
        Knob wide = bench.handles().stream()
                .filter(k -> k.id().equals("size-2-width"))
                .findFirst()
                .orElseThrow();
        drag(robot, wide.place(), wide.place().plus(new Point(0, 2)));
        assertThat(((Area.Ellipse) ((Area.Applique) areas().get(1)).outline()).width())
                .isCloseTo(16, within(0.8));
        Knob across = bench.handles().stream()
                .filter(k -> k.id().equals("size-1-diameter"))
                .findFirst()
                .orElseThrow();
        drag(robot, across.place(), across.place().plus(new Point(3, 0)));
        assertThat(((Area.Medallion) areas().get(0)).diameter()).isCloseTo(22, within(0.8));
        robot.interact(bench::undo);
        assertThat(((Area.Medallion) areas().get(0)).diameter()).isEqualTo(16);
        robot.interact(bench::undo);
        robot.interact(bench::undo);
        assertThat(((Area.Applique) areas().get(1)).outline()).isEqualTo(ellipse);
    }

    private void drag(FxRobot robot, Point from, Point to) {
        robot.moveTo(window.table().onScreen(from))
                .press(MouseButton.PRIMARY)
                .moveTo(window.table().onScreen(from.midpoint(to)))
                .moveTo(window.table().onScreen(to))
                .release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
    }
}
