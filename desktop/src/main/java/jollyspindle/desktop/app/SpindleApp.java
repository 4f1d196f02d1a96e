package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.desktop.model.Planning;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.files.user.UserFolder;

import java.nio.file.Path;
import java.util.List;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.stage.Stage;

/** The application in a window. */
public final class SpindleApp extends Application {

    private static final Logger LOG = Logger.getLogger(SpindleApp.class.getName());

    /** The argument that asks for the demo job. */
    static final String DEMO = "--demo";

    /** The property that ends the application once its first plan is drawn, to measure how long that takes. */
    private static final String MEASURED = "spindle.measure.start";

    /** Pulses until what was changed is certainly on the screen. */
    private static final int DRAWN = 3;

    private static void endWhenDrawn() {
        new AnimationTimer() {
            private int pulses;

            @Override
            public void handle(long now) {
                pulses++;
                if (pulses == DRAWN) {
                    stop();
                    Platform.exit();
                }
            }
        }.start();
    }

    @Override
    public void start(Stage stage) {
        Workbench bench = new Workbench(Planning.away());
        List<String> arguments = getParameters().getRaw();
        if (!arguments.isEmpty()) {
            // Before the window, so that the first stage isn't built in vain, and the plan is made meanwhile.
            bench.stageProperty().set(WorkStage.LAY_OUT);
        }
        if (arguments.contains(DEMO)) {
            bench.start(DemoJob.heronWeir());
        }
        MainWindow window = new MainWindow(stage, bench, Asking::inDialogs, UserFolder.here());
        arguments.stream().filter(a -> !a.equals(DEMO)).map(Path::of).forEach(window::open);
        stage.show();
        window.offerUnsaved();
        if (Boolean.getBoolean(MEASURED)) {
            bench.whenPlanned(plan -> endWhenDrawn());
        }
        Thread.setDefaultUncaughtExceptionHandler((thread, fault) -> {
            LOG.log(Level.SEVERE, "unexpected", fault);
            Platform.runLater(window::tellFault);
        });
    }
}
