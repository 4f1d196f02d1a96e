package jollyspindle.desktop.control;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.geometry.VerticalDirection;
import javafx.scene.Scene;
import javafx.scene.image.WritableImage;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.scene.layout.BorderPane;
import javafx.scene.paint.Color;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** The worktable by itself: what mouse and keys do to it, and whether it draws things where they are. */
@ExtendWith(ApplicationExtension.class)
class QuiltTableTest {

    private final List<Dimension> asked = new ArrayList<>();
    private Workbench bench;
    private QuiltTable table;
    private Look look;

    @Start
    void start(Stage stage) {
        bench = new Workbench();
        bench.start(DemoJob.heronWeir());
        bench.stageProperty().set(WorkStage.LAY_OUT);
        look = new Look();
        table = new QuiltTable(bench, look, asked::add);
        Scene scene = new Scene(new BorderPane(table), 900, 600);
        look.dress(scene);
        stage.setScene(scene);
        stage.show();
    }

    private Point2D onScreen(Point place) {
        return table.localToScreen(table.view().x(place), table.view().y(place));
    }

    private Mark mark(String id) {
        return bench.plan().runs().stream()
                .flatMap(r -> r.laidOut().marks().stream())
                .filter(m -> m.id().code().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void pointingAtAMarkPointsAtIt(FxRobot robot) {
        for (String id : List.of("left-valley-4", "top-crown-3", "bottom-valley-9")) {
            robot.moveTo(onScreen(mark(id).place()));
            assertThat(bench.selection().pointedProperty().get().id().code()).isEqualTo(id);
        }
        robot.moveTo(onScreen(Point.ORIGIN));
        assertThat(bench.selection().pointedProperty().get()).isNull();
    }

    @Test
    void aClickChoosesTheSideAndTheArc(FxRobot robot) {
        Placement arc = bench.plan()
                .run(Side.BOTTOM)
                .orElseThrow()
                .laidOut()
                .placements()
                .get(6);
        robot.clickOn(onScreen(arc.curves().get(0).at(0.5)));
        assertThat(bench.selection().whereProperty().get()).isEqualTo(RunId.of(Side.BOTTOM));
        assertThat(bench.selection().placementProperty().get().id().code()).isEqualTo("bottom-arc-7");
        robot.interact(() -> bench.stageProperty().set(WorkStage.MEASURE));
        robot.clickOn(onScreen(mark("right-valley-5").place()));
        assertThat(asked).containsExactly(Dimension.BODY_RIGHT);
        robot.clickOn(onScreen(Point.ORIGIN));
        assertThat(asked).as("the body's middle is no side").hasSize(1);
    }

    @Test
    void itIsMovedZoomedAndFitted(FxRobot robot) {
        View fitted = table.view();
        robot.drag(onScreen(Point.ORIGIN), MouseButton.PRIMARY).moveBy(40, -30).drop();
        assertThat(table.view().originX() - fitted.originX()).isCloseTo(40, within(1.5));
        assertThat(table.view().originY() - fitted.originY()).isCloseTo(-30, within(1.5));
        assertThat(bench.selection().whereProperty().get())
                .as("a drag is no click")
                .isEqualTo(RunId.of(Side.TOP));
        Point under = table.view().place(200, 150);
        robot.moveTo(table.localToScreen(200, 150)).scroll(3, VerticalDirection.UP);
        // Which way a wheel turns differs between platforms; that it zooms by steps doesn't.
        assertThat(Math.abs(Math.log(table.view().scale() / fitted.scale()))).isGreaterThan(Math.log(1.2));
        assertThat(table.view().place(200, 150).distance(under))
                .as("what lies under the pointer stays there")
                .isLessThan(1e-6);
        robot.interact(table::requestFocus);
        double scale = table.view().scale();
        robot.push(KeyCode.PLUS);
        assertThat(table.view().scale()).isCloseTo(scale * 1.25, within(1e-9));
        double x = table.view().originX();
        robot.push(KeyCode.RIGHT);
        assertThat(table.view().originX()).isCloseTo(x - 60, within(1e-9));
        robot.push(KeyCode.DIGIT0);
        assertThat(table.view()).isEqualTo(fitted);
        for (int i = 0; i < 60; i++) {
            robot.interact(() -> table.zoom(1));
        }
        assertThat(table.view().scale()).as("there is a closest").isEqualTo(250);
    }

    @Test
    void aSideShownLargeFillsTheTable(FxRobot robot) {
        robot.interact(table::zoomToSide);
        List<Point> region = bench.plan().shape().orElseThrow().region(RunId.of(Side.TOP));
        double left = region.stream().mapToDouble(p -> table.view().x(p)).min().orElseThrow();
        double right = region.stream().mapToDouble(p -> table.view().x(p)).max().orElseThrow();
        assertThat(right - left).isGreaterThan(0.9 * table.getWidth());
        assertThat(left).isGreaterThan(0);
        assertThat(right).isLessThan(table.getWidth());
        double scale = table.view().scale();
        robot.interact(() -> bench.dividing().stepRepeats(1));
        assertThat(table.view().scale())
                .as("another count leaves the view alone")
                .isEqualTo(scale);
        robot.interact(() -> bench.edit("top", j -> j.withQuilt(j.quilt().with(Dimension.BODY_TOP, 72))));
        assertThat(table.view().scale()).as("another quilt is shown whole").isLessThan(scale);
    }

    @Test
    void stitchesAreDrawnWhereTheyArePlanned(FxRobot robot) {
        robot.interact(() -> {
            bench.selection().choose(Side.LEFT);
            table.zoomToSide();
            table.zoom(6);
            bench.selection().pointedProperty().set(null);
        });
        WaitForAsyncUtils.waitForFxEvents();
        WritableImage[] image = new WritableImage[1];
        robot.interact(() -> image[0] = table.snapshot(null, null));
        int seen = 0;
        for (Placement arc : bench.plan().run(Side.LEFT).orElseThrow().laidOut().placements()) {
            for (double part : new double[] {0.2, 0.35, 0.65, 0.8}) {
                double x = table.view().x(arc.curves().get(0).at(part));
                double y = table.view().y(arc.curves().get(0).at(part));
                if (x > 2 && y > 2 && x < table.getWidth() - 2 && y < table.getHeight() - 2) {
                    Color colour = image[0].getPixelReader().getColor((int) x, (int) y);
                    assertThat(distance(colour, Palette.LIGHT.stitch())).isLessThan(0.25);
                    seen++;
                }
            }
        }
        assertThat(seen).isGreaterThan(3);
    }

    private static double distance(Color a, Color b) {
        return Math.abs(a.getRed() - b.getRed())
                + Math.abs(a.getGreen() - b.getGreen())
                + Math.abs(a.getBlue() - b.getBlue());
    }

    @Test
    void anEmptyTableTeachesAndAnUnmeasuredQuiltBreaksNothing(FxRobot robot) {
        robot.interact(() -> bench.start(bench.newJob()));
        assertThat(table.getAccessibleText()).contains("empty until the quilt is measured");
        robot.clickOn(table).push(KeyCode.PLUS).push(KeyCode.LEFT).push(KeyCode.DIGIT0);
        robot.interact(table::zoomToSide);
        robot.interact(() -> look.darkProperty().set(true));
        assertThat(asked).isEmpty();
        robot.interact(() -> look.darkProperty().set(false));
    }
}
