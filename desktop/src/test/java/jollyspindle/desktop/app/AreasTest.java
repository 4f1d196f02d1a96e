package jollyspindle.desktop.app;

import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.desktop.model.WorkStage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** The middle of the quilt: a motif is laid into a medallion and into blocks, changed, stepped through and undone. */
@ExtendWith(ApplicationExtension.class)
class AreasTest extends Hands {

    private static final AreaId FIRST = new AreaId(1);

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void with(FxRobot robot, Area... areas) {
        demo(robot, WorkStage.LAY_OUT);
        robot.interact(() -> bench.editQuilt("areas", q -> q.withAreas(List.of(areas))));
        robot.clickOn("#show-areas");
        WaitForAsyncUtils.waitForFxEvents();
    }

    private AreaPlan plan() {
        return bench.plan().area(FIRST).orElseThrow();
    }

    private AreaMotif motif() {
        return bench.job().design(FIRST).layers().get(0).motif();
    }

    @Test
    void anEmptyMiddleSaysWhereToBegin(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        robot.clickOn("#show-areas");
        assertThat(robot.lookup("No medallion and no blocks yet. Give their sizes under Measure, Strips and areas.")
                        .tryQuery())
                .isPresent();
    }

    @Test
    void armsAreTurnedAboutAMedallionsCentre(FxRobot robot) {
        with(robot, new Area.Medallion(14));
        robot.clickOn("#area-add-arms");
        WaitForAsyncUtils.waitForFxEvents();
        // The arm comes from the shelf with the motif.
        assertThat(plan().lines()).hasSize(8).allMatch(l -> l.kind() == Stitched.ARM);
        type(robot, "#area-arms", "12");
        assertThat(plan().rays()).hasSize(12);
        type(robot, "#area-arms", "99");
        assertThat(read(robot, "#area-arms-said")).contains("“99”: type a whole number from 2 to 64");
        assertThat(plan().rays()).hasSize(12);
        type(robot, "#area-stop", "3/4");
        choose(robot, "#area-way", AreaMotif.Way.ALONG_EDGE);
        assertThat(motif()).isEqualTo(new AreaMotif.Arms(12, AreaMotif.Way.ALONG_EDGE, 0.75));
        assertThat(read(robot, "#area-text-1")).contains("12 arms, out along one and in along the next, stopped 3/4");
        scrollTo(robot, "#area-step");
        robot.clickOn("#area-step");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.placementProperty().get())
                .isEqualTo(plan().placements().get(0));
        robot.interact(() -> bench.stepPlacement(1));
        assertThat(bench.placementProperty().get())
                .isEqualTo(plan().placements().get(1));
        // The dial says the ray that the template lies on, and shows another at a click or a key.
        scrollTo(robot, "#ray-dial");
        assertThat(read(robot, "#ray-said")).startsWith("Ray 2, by stepping");
        Node dial = ((VBox) robot.lookup("#ray-dial").query()).getChildren().get(0);
        var bounds = dial.localToScreen(dial.getBoundsInLocal());
        robot.clickOn(bounds.getMaxX() - 40, bounds.getCenterY());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#ray-said")).startsWith("Ray 4: in the middle of the right; the template turned 90");
        robot.push(KeyCode.RIGHT);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(read(robot, "#ray-said")).startsWith("Ray 5, by stepping");
        assertThat(bench.placementProperty().get())
                .isEqualTo(plan().placements().get(4));
        for (int i = 0; i < 4; i++) {
            robot.interact(bench::undo);
        }
        assertThat(bench.plan().areas()).isEmpty();
    }

    @Test
    void blocksAreFilledAndWhatCantBeDoneIsSaid(FxRobot robot) {
        with(robot, new Area.Blocks(2, 2, 9, 9, 1));
        robot.clickOn("#area-add-clamshells");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(plan().lines()).isNotEmpty().allMatch(l -> l.kind() == Stitched.SHELLS);
        assertThat(read(robot, "#area-sums")).contains("in 4 blocks");
        scrollTo(robot, "#area-remove-1");
        robot.clickOn("#area-remove-1");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.plan().areas()).isEmpty();
        scrollTo(robot, "#area-add-peel");
        robot.clickOn("#area-add-peel");
        WaitForAsyncUtils.waitForFxEvents();
        type(robot, "#area-across", "3");
        assertThat(motif()).isEqualTo(new AreaMotif.Peel(3, 4));
        type(robot, "#area-across", "1");
        assertThat(bench.plan().findings())
                .anyMatch(f -> f.code().equals("area-too-far") || f.code().equals("area-too-round"));
    }
}
