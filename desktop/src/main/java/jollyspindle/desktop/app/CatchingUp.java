package jollyspindle.desktop.app;

import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.model.Workbench;

import javafx.animation.PauseTransition;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.util.Duration;

/** Says that what is seen isn't yet the plan of what was changed last; what takes long can be stopped. */
final class CatchingUp extends HBox {

    /** Before this nobody notices. */
    private static final Duration NOTICED = Duration.millis(150);

    /** After this it is shown that something is going on, and that it can be stopped. */
    private static final Duration LONG = Duration.millis(500);

    private final PauseTransition noticed = new PauseTransition(NOTICED);
    private final PauseTransition takesLong = new PauseTransition(LONG);
    private final ProgressBar bar = new ProgressBar();
    private final Button stop = new Button("Stop");

    CatchingUp(Workbench bench) {
        super(10);
        setId("catching-up");
        setAccessibleText("The plan is being worked out; what is seen is the one before");
        setAlignment(Pos.CENTER);
        setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        getStyleClass().add("catching-up");
        bar.setPrefWidth(50);
        stop.setId("stop-planning");
        Tip.on(stop, "Stop, and take the last change back; Redo does it again");
        stop.setOnAction(e -> bench.stopPlanning());
        getChildren().addAll(new Label("Working the plan out …"), bar, stop);
        noticed.setOnFinished(e -> setVisible(true));
        takesLong.setOnFinished(e -> bars(true));
        bench.catchingUpProperty().addListener((o, was, now) -> follow(now));
        follow(bench.catchingUpProperty().get());
    }

    private void follow(boolean waiting) {
        if (waiting) {
            noticed.playFromStart();
            takesLong.playFromStart();
        } else {
            noticed.stop();
            takesLong.stop();
            setVisible(false);
            bars(false);
        }
    }

    private void bars(boolean shown) {
        bar.setVisible(shown);
        bar.setManaged(shown);
        // An unseen bar needn't move.
        bar.setProgress(shown ? ProgressBar.INDETERMINATE_PROGRESS : 0);
        stop.setVisible(shown);
        stop.setManaged(shown);
    }
}
