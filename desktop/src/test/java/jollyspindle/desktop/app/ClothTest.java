package jollyspindle.desktop.app;

import jollyspindle.core.cloth.Colour;
import jollyspindle.core.cloth.FabricId;
import jollyspindle.core.cloth.Loft;
import jollyspindle.core.cloth.Swatch;
import jollyspindle.core.cloth.ThreadId;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Side;
import jollyspindle.desktop.model.WorkStage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.paint.Color;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** The quilt as it will look: shown by a click or a key, its batting and its colours chosen, taken back, and kept. */
@ExtendWith(ApplicationExtension.class)
class ClothTest extends Hands {

    private static final FabricId BORDER = FabricId.of(GroupId.border(1));

    @Start
    void start(Stage stage) {
        open(stage);
    }

    /** The colour that is seen where a place of the top border lies. */
    private Color seen(FxRobot robot, double along, double out) {
        WaitForAsyncUtils.waitForFxEvents();
        Point place = bench.plan().run(Side.TOP).orElseThrow().frame().place(along, out);
        Node table = robot.lookup("#quilt-table").query();
        return WaitForAsyncUtils.waitForAsyncFx(5000, () -> {
            Point2D at = table.screenToLocal(window.table().onScreen(place));
            WritableImage image = table.snapshot(null, null);
            return image.getPixelReader().getColor((int) at.getX(), (int) at.getY());
        });
    }

    @Test
    void theQuiltIsSeenInClothAndItsColoursAreChosen(FxRobot robot) {
        demo(robot, WorkStage.LAY_OUT);
        assertThat(robot.lookup("#cloth-bar").query().isVisible()).isFalse();
        robot.clickOn("#as-cloth");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#cloth-bar").query().isVisible()).isTrue();
        robot.clickOn("#cloth-pond");
        assertThat(bench.job().look().fabric(BORDER)).isEqualTo(Swatch.POND.colour());
        // Between the arcs and the binding nothing is stitched, and the cloth has its own colour.
        Color pond = Color.web(Swatch.POND.colour().code());
        Color cloth = seen(robot, 20, 5);
        assertThat(cloth.getRed()).isCloseTo(pond.getRed(), within(0.02));
        assertThat(cloth.getBlue()).isCloseTo(pond.getBlue(), within(0.02));
        choose(robot, "#cloth-loft", Loft.LOFTY);
        assertThat(bench.job().look().loft()).isEqualTo(Loft.LOFTY);
        choose(robot, "#cloth-what", "thread of arcs");
        type(robot, "#cloth-colour", "bright red");
        assertThat(read(robot, "#cloth-colour-said")).contains("“bright red” is no colour. Write it like #EAD9C4,");
        type(robot, "#cloth-colour", "#c01010");
        assertThat(bench.job().look().thread(new ThreadId(BORDER, 1))).isEqualTo(new Colour(0xC01010));
        assertThat(bench.undoName()).contains("colour of thread of arcs");
        type(robot, "#cloth-colour", "");
        assertThat(bench.job().look().threads()).isEmpty();
        robot.clickOn("#undo");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().look().threads()).hasSize(1);
        // In a field that is typed in, the keys take back what was typed.
        robot.clickOn("#undo").clickOn("#undo");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.job().look().threads()).isEmpty();
        assertThat(bench.job().look().loft()).isEqualTo(Loft.MEDIUM);
        assertThat(bench.job().look().fabric(BORDER)).isEqualTo(Swatch.POND.colour());
        // Where lengths are measured, and marks made, the drawing is needed.
        robot.push(KeyCode.F8);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#cloth-bar").query().isVisible()).isFalse();
        assertThat(seen(robot, 20, 5).getRed()).isNotCloseTo(pond.getRed(), within(0.02));
        robot.push(KeyCode.F8);
        robot.interact(() -> bench.stageProperty().set(WorkStage.MARK));
        assertThat(robot.lookup("#cloth-bar").query().isVisible()).isFalse();
    }
}
