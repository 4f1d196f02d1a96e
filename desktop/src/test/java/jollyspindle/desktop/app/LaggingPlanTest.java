package jollyspindle.desktop.app;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.desktop.model.Planning;
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
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.scene.Node;
import javafx.scene.control.TextField;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** A window whose plan lags behind: every view is looked at while the job is already another. */
@ExtendWith(ApplicationExtension.class)
class LaggingPlanTest extends Hands {

    private boolean held;
    private final List<Runnable> waiting = new ArrayList<>();

    private final Planning lagging = new Planning() {
        @Override
        public <T> void wish(Callable<T> make, Consumer<T> show, Consumer<Throwable> failed) {
            Runnable work = () -> Planning.here().wish(make, show, failed);
            if (held) {
                waiting.add(work);
            } else {
                work.run();
            }
        }

        @Override
        public void stop() {
            // Nothing is ever on the way here.
        }
    };

    @Start
    void start(Stage stage) {
        bench = new Workbench(lagging);
        window = new MainWindow(stage, bench, owner -> asking, settings());
        stage.show();
    }

    private void catchUp() {
        held = false;
        List<Runnable> all = List.copyOf(waiting);
        waiting.clear();
        all.forEach(Runnable::run);
    }

    private static Quilt withAreas(Quilt quilt, Area... areas) {
        return quilt.withAreas(List.of(areas));
    }

    private static final Area BLOCKS = new Area.Blocks(2, 2, 12, 12, 2);
    private static final Area MEDALLION = new Area.Medallion(14);
    private static final Area FLOWER = new Area.Applique(new Area.Ellipse(new Point(5, 5), 6, 4, 0.3), 0.25);
    private static final Strip STRIP =
            new Strip("Sash", Strip.Kind.FREE, new Point(-20, 0), 0, 40, 3, OptionalDouble.empty());

    /** From a job to one that is built otherwise. */
    private static List<UnaryOperator<QuiltJob>> changes() {
        return List.of(
                job -> job.withQuilt(withAreas(job.quilt(), MEDALLION)),
                job -> job.withQuilt(withAreas(job.quilt(), BLOCKS, MEDALLION, FLOWER))
                        .with(new AreaId(1), AreaDesign.of(new AreaMotif.Crosshatch(1, Math.PI / 4), Optional.empty())),
                job -> job.withQuilt(withAreas(job.quilt(), FLOWER, BLOCKS)),
                job -> job.withQuilt(withAreas(job.quilt())),
                job -> job.withQuilt(job.quilt().withBorderOutside(Border.USUAL)),
                job -> job.withQuilt(job.quilt().withStrips(List.of(STRIP, STRIP))),
                job -> job.withQuilt(job.quilt().withStrips(List.of())),
                job -> job.withQuilt(Quilt.unmeasured()),
                job -> DemoJob.heronWeir());
    }

    @Test
    void everyViewIsLookedAtWhileTheJobIsAlreadyAnother(FxRobot robot) {
        robot.interact(() -> bench.start(DemoJob.heronWeir()));
        for (UnaryOperator<QuiltJob> change : changes()) {
            robot.interact(() -> {
                held = true;
                bench.edit("change", change);
            });
            look(robot);
            robot.interact(() -> {
                if (bench.undoName().isPresent()) {
                    bench.undo();
                    bench.redo();
                }
            });
            look(robot);
            robot.interact(this::catchUp);
            assertThat(bench.plan().job()).isEqualTo(bench.job());
            look(robot);
        }
    }

    private void look(FxRobot robot) {
        for (WorkStage stage :
                List.of(WorkStage.MEASURE, WorkStage.SHELF, WorkStage.LAY_OUT, WorkStage.MARK, WorkStage.LAY_OUT)) {
            robot.interact(() -> bench.stageProperty().set(stage));
            robot.interact(() -> {
                bench.areas().chooseAny();
                window.table().fit();
                window.table().zoomToSide();
            });
            robot.interact(() -> {
                bench.selection().stepPlacement(1);
                bench.selection().stepMark(1);
                bench.selection().choose(RunId.of(Side.LEFT));
                bench.handles();
            });
        }
        for (Runnable page : List.<Runnable>of(
                () -> window.layOutBench().showMotifs(),
                () -> window.layOutBench().showGallery(),
                () -> window.layOutBench().showRun(),
                () -> window.layOutBench().showAreas(),
                () -> window.layOutBench().showAreaGallery(),
                () -> window.layOutBench().showAreaLetters(),
                () -> window.layOutBench().showWays())) {
            robot.interact(page);
        }
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void whatIsGoneCantBeTakenOutTwice(FxRobot robot) {
        robot.interact(() -> {
            bench.start(
                    DemoJob.heronWeir().withQuilt(withAreas(DemoJob.heronWeir().quilt(), MEDALLION)));
            held = true;
            bench.edit("out", job -> job.without(new AreaId(1)));
            bench.edit("out again", job -> job.without(new AreaId(1)));
        });
        assertThat(bench.undoName()).contains("out");
        robot.interact(this::catchUp);
        assertThat(bench.job().quilt().areas()).isEmpty();
    }

    @Test
    void aFieldLeftLateDoesNothingToAnotherTemplate(FxRobot robot) {
        robot.interact(() -> bench.stageProperty().set(WorkStage.SHELF));
        Template arc = first(Kind.ARC);
        Template fan = first(Kind.SLOTTED_FAN);
        robot.interact(() -> window.shelfModel().look(arc.id()));
        robot.interact(() -> {
            Node node = window.stage().getScene().getRoot().lookup("#template-depth");
            ((TextField) node).setText("9 1/2");
            window.shelfModel().look(fan.id());
            node.fireEvent(new javafx.event.ActionEvent());
        });
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(bench.shelf().template(fan.id())).contains(fan);
    }

    private Template first(Kind kind) {
        return bench.shelf().templates().stream()
                .filter(t -> t.kind() == kind)
                .findFirst()
                .orElseThrow();
    }
}
