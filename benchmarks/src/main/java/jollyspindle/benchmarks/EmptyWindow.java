package jollyspindle.benchmarks;

import javafx.animation.AnimationTimer;
import javafx.application.Application;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;

/** A window with nothing in it, which goes as soon as it is on the screen: what every application of JavaFX's takes to start. */
public final class EmptyWindow extends Application {

    /** Pulses until what was shown is certainly on the screen. */
    private static final int DRAWN = 3;

    @Override
    public void start(Stage stage) {
        stage.setScene(new Scene(new BorderPane(), 1280, 800));
        stage.show();
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

    /** Launched from a class that is no application, as JavaFX on the class path wants it. */
    public static final class Launcher {

        private Launcher() {}

        /** Shows the window and goes. */
        public static void main(String[] args) {
            Application.launch(EmptyWindow.class);
        }
    }
}
