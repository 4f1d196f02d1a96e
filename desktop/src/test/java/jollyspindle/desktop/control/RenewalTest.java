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
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;

import static org.assertj.core.api.Assertions.assertThat;

/** What is made anew at each edit is shown by the fields that are there. */
@ExtendWith(ApplicationExtension.class)
class RenewalTest {

    private final List<String> taken = new ArrayList<>();
    private VBox pane;

    @Start
    void start(Stage stage) {
        pane = new VBox();
        stage.setScene(new Scene(pane, 400, 400));
        stage.show();
    }

    /** A form as it is made for what is chosen; what it takes is told with the round it was made in. */
    private List<Node> form(int round, String name, double length, String chosen, boolean ticked) {
        TypedField typed = new TypedField("name", "Name " + round, text -> {
            taken.add(round + " name " + text);
            return text.equals("no") ? Optional.of("Not that.") : Optional.empty();
        });
        typed.show(name);
        LengthField inches = new LengthField(
                "length",
                "Length",
                false,
                () -> TapeScale.SIXTEENTHS,
                value -> value <= 10 * round ? Optional.empty() : Optional.of("At most " + 10 * round + "."),
                value -> taken.add(round + " length " + value.getAsDouble()));
        inches.show(OptionalDouble.of(length));
        ChoiceField<String> choice = new ChoiceField<>(
                "choice",
                "Which",
                round == 1 ? List.of("a", "b") : List.of("a", "b", "c"),
                chosen,
                String::toUpperCase,
                value -> taken.add(round + " choice " + value));
        CheckField check =
                new CheckField("check", "Ticked " + round, ticked, value -> taken.add(round + " check " + value));
        check.setDisable(round == 1);
        Button button = new Button("Do " + round);
        button.setId("button");
        button.setOnAction(e -> taken.add(round + " button"));
        return List.of(
                Labelled.heading("Round " + round),
                Labelled.row(typed, inches),
                Labelled.of("Which", choice),
                new HBox(check, button));
    }

    private void show(FxRobot robot, List<Node> nodes) {
        robot.interact(() -> Gradually.renew(pane, nodes));
    }

    private static TextField text(FxRobot robot, String id) {
        return robot.lookup("#" + id).queryAs(TextField.class);
    }

    /** The only list of choices of the form. */
    @SuppressWarnings("unchecked") // ChoiceField<String>, made in form()
    private static ComboBox<String> choice(FxRobot robot) {
        return robot.lookup("#choice").queryAs(ComboBox.class);
    }

    @Test
    void fieldsStayAndShowAndDoWhatTheNewOnesWould(FxRobot robot) {
        robot.interact(() -> pane.getChildren().setAll(form(1, "one", 2, "a", false)));
        List<Node> before = List.copyOf(pane.getChildren());
        TextField name = text(robot, "name");
        ComboBox<String> choice = choice(robot);
        show(robot, form(2, "two", 3, "c", true));
        assertThat(pane.getChildren()).containsExactlyElementsOf(before);
        assertThat(robot.lookup("#name").<Node>query()).isSameAs(name);
        assertThat(((Label) before.get(0)).getText()).isEqualTo("Round 2");
        assertThat(name.getText()).isEqualTo("two");
        assertThat(robot.lookup("Name 2").tryQuery()).isPresent();
        assertThat(choice.getItems()).containsExactly("a", "b", "c");
        assertThat(choice.getValue()).isEqualTo("c");
        CheckBox check = robot.lookup("#check").queryAs(CheckBox.class);
        assertThat(check.isSelected()).isTrue();
        assertThat(check.isDisable()).isFalse();
        assertThat(taken).as("nobody has typed or chosen").isEmpty();

        robot.interact(() -> {
            name.setText("x");
            name.fireEvent(new javafx.event.ActionEvent());
            TextField length = text(robot, "length");
            length.setText("15");
            length.fireEvent(new javafx.event.ActionEvent());
            choice.setValue("b");
            check.fire();
            robot.lookup("#button").queryButton().fire();
        });
        assertThat(taken).containsExactly("2 name x", "2 length 15.0", "2 choice b", "2 check false", "2 button");
    }

    @Test
    void whatIsBeingTypedStaysUnlessTheValueChanges(FxRobot robot) {
        robot.interact(() -> {
            pane.getChildren().setAll(form(1, "one", 2, "a", false));
            TextField name = text(robot, "name");
            name.requestFocus();
            name.setText("on the w");
        });
        show(robot, form(2, "one", 2, "a", false));
        TextField name = text(robot, "name");
        assertThat(name.getText()).isEqualTo("on the w");
        assertThat(name.isFocused()).isTrue();
        // Refused, it stays with what is wrong until the value is another.
        robot.interact(() -> {
            name.setText("no");
            name.fireEvent(new javafx.event.ActionEvent());
        });
        show(robot, form(2, "one", 2, "a", false));
        assertThat(name.getText()).isEqualTo("no");
        assertThat(robot.lookup("#name-said").queryLabeled().getText()).isEqualTo("Not that. one stands.");
        show(robot, form(2, "other", 2, "a", false));
        assertThat(name.getText()).isEqualTo("other");
        assertThat(robot.lookup("#name-said").queryLabeled().getText()).isEmpty();
    }

    /** As after undo, with the keyboard still there: it isn't taken for a key that leaves nothing chosen. */
    @Test
    void nothingIsChosenWhereNothingIs(FxRobot robot) {
        robot.interact(() -> {
            pane.getChildren().setAll(form(1, "one", 2, "a", false));
            choice(robot).requestFocus();
        });
        show(robot, form(2, "one", 2, null, false));
        WaitForAsyncUtils.waitForFxEvents();
        ComboBox<String> choice = choice(robot);
        assertThat(choice.isFocused()).isTrue();
        assertThat(choice.getValue()).isNull();
        assertThat(taken).isEmpty();
    }

    @Test
    void whatIsNewComesInAndWhatIsGoneGoes(FxRobot robot) {
        List<Node> first = form(1, "one", 2, "a", false);
        robot.interact(() -> pane.getChildren().setAll(first));
        Node row = pane.getChildren().get(1);
        Node third = pane.getChildren().get(2);
        TextField name = text(robot, "name");
        robot.interact(name::requestFocus);
        List<Object> left = new ArrayList<>();
        name.sceneProperty().addListener((o, was, now) -> left.add("scene"));
        List<Node> next = new ArrayList<>(form(2, "two", 2, "a", false));
        next.remove(0);
        CheckField added = new CheckField("added", "Added", true, value -> {});
        next.add(1, added);
        show(robot, next);
        assertThat(pane.getChildren()).hasSize(4).startsWith(row, added, third);
        assertThat(left).as("what stays is in the window all the time").isEmpty();
        assertThat(name.isFocused()).isTrue();
        show(robot, List.of(Labelled.wrapped("Nothing.", "faint")));
        assertThat(pane.getChildren()).singleElement().satisfies(node -> assertThat(((Labeled) node).getText())
                .isEqualTo("Nothing."));
        show(robot, List.of());
        assertThat(pane.getChildren()).isEmpty();
    }

    /** A text that was there already further down doesn't make the fields above it go. */
    @Test
    void asMuchAsCanStays(FxRobot robot) {
        show(robot, form(1, "one", 2, "a", false));
        Node row = pane.getChildren().get(1);
        Node choice = pane.getChildren().get(2);
        List<Node> more = new ArrayList<>(form(1, "one", 2, "a", false));
        more.add(Labelled.wrapped("Below.", "faint"));
        show(robot, more);
        List<Node> both = new ArrayList<>(form(2, "one", 2, "a", false));
        both.add(0, Labelled.wrapped("Above.", "faint"));
        both.add(Labelled.wrapped("Below.", "faint"));
        show(robot, both);
        assertThat(pane.getChildren()).contains(row, choice).hasSize(6);
        show(robot, form(3, "one", 2, "a", false));
        assertThat(pane.getChildren()).contains(row, choice).hasSize(4);
    }

    @Test
    void anotherFieldIsntTakenForIt(FxRobot robot) {
        TypedField one = new TypedField("one", "One", text -> Optional.empty());
        TypedField two = new TypedField("two", "One", text -> Optional.empty());
        show(robot, List.of(Labelled.row(one)));
        show(robot, List.of(Labelled.row(two)));
        assertThat(robot.lookup("#one").tryQuery()).isEmpty();
        assertThat(robot.lookup("#two").tryQuery()).isPresent();
    }

    /** What is neither a field nor plain is itself only. */
    @Test
    void othersAreExchanged(FxRobot robot) {
        TextField one = new TextField("one");
        TextField two = new TextField("two");
        show(robot, List.of(one));
        show(robot, List.of(two));
        assertThat(pane.getChildren()).containsExactly(two);
        show(robot, List.of(two, one));
        assertThat(pane.getChildren()).containsExactly(two, one);
    }
}
