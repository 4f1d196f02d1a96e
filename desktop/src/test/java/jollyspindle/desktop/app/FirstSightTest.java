package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.files.user.Settings;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** How the window comes up: the quilt first, the rest a part at a time. */
@ExtendWith(ApplicationExtension.class)
class FirstSightTest {

    @TempDir
    private Path folder;

    private Stage stage;
    private MainWindow window;

    @Start
    void start(Stage shown) {
        stage = shown;
    }

    /** Opens the window as the application does, up to its first sight. */
    private Opening open(FxRobot robot, String... arguments) {
        Opening opened = Opening.begin(folder, List.of(arguments)).join();
        robot.interact(() -> {
            window = new MainWindow(stage, opened.bench(), Dialogs::inDialogs, opened.things());
            stage.show();
            opened.job().ifPresent(job -> window.opened(job, opened.trouble()));
        });
        return opened;
    }

    private long controls() {
        return stage.getScene().getRoot().lookupAll("*").stream()
                .filter(Control.class::isInstance)
                .count();
    }

    private void close(FxRobot robot) {
        robot.interact(() -> {
            window.leave();
            stage.hide();
        });
    }

    @Test
    void theQuiltIsSeenBeforeAnyControlIsBuilt(FxRobot robot) throws Exception {
        new Settings(List.of(), true, 1.2).write(folder);
        Opening opened = open(robot, SpindleApp.DEMO);
        assertThat(opened.bench().isOpening()).isTrue();
        assertThat(controls()).isZero();
        opened.windowIsThere().countDown();
        WaitForAsyncUtils.waitFor(20, TimeUnit.SECONDS, () -> WaitForAsyncUtils.asyncFx(
                        () -> opened.bench().plan().shape().isPresent())
                .get());
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(opened.bench().job()).isEqualTo(DemoJob.heronWeir());
        Node table = robot.lookup("#quilt-table").query();
        assertThat(table.getAccessibleText()).startsWith("The quilt to scale");
        assertThat(controls()).as("still").isZero();
        double left = table.localToScene(0, 0).getX();
        double wide = table.getBoundsInLocal().getWidth();
        boolean more = true;
        for (int parts = 0; more; parts++) {
            assertThat(parts).isLessThan(20);
            more = WaitForAsyncUtils.waitForAsyncFx(20_000, window::buildNext);
            WaitForAsyncUtils.waitForFxEvents();
        }
        for (String part : List.of("#menu-bar", "#stage-lay-out", "#region-map", "#findings", "#tape", "#candidates")) {
            assertThat(robot.lookup(part).tryQuery()).as(part).isPresent();
        }
        assertThat(opened.bench().stageProperty().get()).isEqualTo(WorkStage.LAY_OUT);
        assertThat(window.look().darkProperty().get()).isTrue();
        // What was built round it leaves the table where it was, and about as wide.
        assertThat(Math.abs(table.localToScene(0, 0).getX() - left)).isLessThan(4);
        assertThat(Math.abs(table.getBoundsInLocal().getWidth() - wide)).isLessThan(8);
        close(robot);
    }

    @Test
    void aFileThatCantBeOpenedIsToldOnceThereIsAPlaceForIt(FxRobot robot) throws Exception {
        Path file = folder.resolve("half.spindle.json");
        Files.writeString(file, "{ half");
        Opening opened = open(robot, file.toString());
        assertThat(opened.trouble()).isPresent();
        opened.windowIsThere().countDown();
        robot.interact(window::buildAll);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(robot.lookup("#message").queryAs(Label.class).getText()).contains("half.spindle.json");
        assertThat(Settings.read(folder).recent()).isEmpty();
        close(robot);
    }
}
