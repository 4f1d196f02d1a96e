package jollyspindle.desktop.app;

import jollyspindle.desktop.control.Gradually;
import jollyspindle.files.user.UserFolder;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.input.InputEvent;
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

    /** After so many pulses the window is completed even if the plan is still being made. */
    private static final int LONG_ENOUGH = 30;

    /** A moment is quiet if the quilter has done nothing for so many pulses, and nothing was made in them. */
    private static final int QUIET = 12;

    private static CompletableFuture<Opening> opening;

    /** Begins with what doesn't need JavaFX, before it is launched with the same arguments. */
    static void begin(String... arguments) {
        opening = Opening.begin(UserFolder.here(), List.of(arguments));
    }

    /**
     * Builds the rest of the window, a part at each pulse, once the first plan is on the screen or takes too long; then, in quiet
     * moments, what can be turned to.
     */
    private static final class Completing extends AnimationTimer {

        private final MainWindow window;
        private int sinceShown;
        private int sincePlanned;
        private boolean planned;
        private boolean complete;
        private int sinceDone;

        Completing(MainWindow window, Opening opened) {
            this.window = window;
            window.stage().addEventFilter(InputEvent.ANY, e -> sinceDone = 0);
            opened.bench().whenPlanned(plan -> planned = true);
        }

        @Override
        public void handle(long now) {
            sinceShown++;
            if (planned) {
                sincePlanned++;
            }
            if (sincePlanned == DRAWN && Boolean.getBoolean(MEASURED)) {
                Platform.exit();
                stop();
                return;
            }
            if (complete) {
                sinceDone++;
                if (sinceDone >= QUIET && Gradually.isFilled()) {
                    sinceDone = 0;
                    if (!window.prepareNext()) {
                        stop();
                    }
                }
            } else if ((sincePlanned >= DRAWN || sinceShown >= LONG_ENOUGH) && !window.buildNext()) {
                complete = true;
                window.offerUnsaved();
            }
        }
    }

    @Override
    public void start(Stage stage) {
        Opening opened = opening.join();
        opened.windowIsThere().countDown();
        MainWindow window = new MainWindow(stage, opened.bench(), Dialogs::inDialogs, opened.things());
        stage.show();
        opened.job().ifPresent(job -> window.opened(job, opened.trouble()));
        new Completing(window, opened).start();
        Thread.setDefaultUncaughtExceptionHandler((thread, fault) -> {
            LOG.log(Level.SEVERE, "unexpected", fault);
            Platform.runLater(window::tellFault);
        });
    }
}
