package jollyspindle.desktop.control;

import jollyspindle.core.measure.TapeScale;
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
import javafx.scene.Scene;
import javafx.scene.control.TextField;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** What is typed is taken when the quilter is done with it, if it still can be. */
@ExtendWith(ApplicationExtension.class)
class LengthFieldTest {

    private final List<Double> taken = new ArrayList<>();
    private TextField other;
    private double most = 10;
    private LengthField field;

    @Start
    void start(Stage stage) {
        other = new TextField();
        field = new LengthField(
                "length",
                "Length",
                false,
                () -> TapeScale.SIXTEENTHS,
                inches -> inches <= most ? Optional.empty() : Optional.of("At most " + (int) most + "."),
                inches -> taken.add(inches.getAsDouble()));
        field.show(OptionalDouble.of(2));
        stage.setScene(new Scene(new VBox(field, other), 300, 200));
        stage.show();
    }

    private void type(FxRobot robot, String text) {
        robot.interact(() -> {
            field.requestFieldFocus();
            ((TextField) field.lookup("#length")).setText(text);
        });
    }

    private void leave(FxRobot robot) {
        robot.interact(other::requestFocus);
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void whatGoesNoLongerIsToldAndNotTaken(FxRobot robot) {
        type(robot, "5");
        leave(robot);
        assertThat(taken).containsExactly(5.0);
        type(robot, "8");
        // Something else has changed before the field is left.
        most = 6;
        leave(robot);
        assertThat(taken).containsExactly(5.0);
        assertThat(robot.lookup("#length-said").queryLabeled().getText()).isEqualTo("At most 6. 5 stands.");
        // What the job has is shown without being tried again.
        most = 1;
        robot.interact(() -> field.show(OptionalDouble.of(4)));
        assertThat(robot.lookup("#length-said").queryLabeled().getText()).startsWith("4");
    }
}
