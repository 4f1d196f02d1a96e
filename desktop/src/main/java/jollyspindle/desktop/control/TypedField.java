package jollyspindle.desktop.control;

import jollyspindle.desktop.words.Said;

import java.util.Optional;
import java.util.function.Function;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.VBox;

/**
 * Takes something other than a length as people write it. What makes no sense is told beside the field and goes no further:
 * the last good value stands.
 */
public final class TypedField extends VBox implements Renewable {

    private final TextField field = new TextField();
    private final Label said = new Label();
    private final Label label;
    private Function<String, Optional<String>> take;
    private String good = "";

    /**
     * A field.
     *
     * @param id the text field's id
     * @param take takes what was typed when the quilter is done with it; gives back what is wrong with it, or nothing
     */
    public TypedField(String id, String name, Function<String, Optional<String>> take) {
        this.take = take;
        getStyleClass().add("length-field");
        label = new Label(name);
        label.getStyleClass().add("length-label");
        label.setLabelFor(field);
        field.setId(id);
        field.setAccessibleText(name);
        said.setId(id + "-said");
        said.setWrapText(true);
        said.setMinHeight(USE_PREF_SIZE);
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        said.getStyleClass().add("refused");
        getChildren().addAll(label, field, said);
        field.setOnAction(e -> done());
        field.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                done();
            }
        });
        field.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                reset(good);
                e.consume();
            }
        });
    }

    /** Shows the value, unless the quilter is at something else in this field. */
    public void show(String text) {
        if (!text.equals(good) || !field.isFocused() && said.getText().isEmpty()) {
            reset(text);
        }
    }

    @Override
    public String place() {
        return field.getId();
    }

    @Override
    public void renew(Node other) {
        TypedField next = (TypedField) other;
        take = next.take;
        label.setText(next.label.getText());
        if (field.isFocused()) {
            show(next.good);
        } else {
            reset(next.good);
        }
    }

    private void reset(String text) {
        good = text;
        field.setText(text);
        said.setText("");
    }

    private void done() {
        if (field.getText().equals(good)) {
            said.setText("");
            return;
        }
        said.setText(take.apply(field.getText())
                .map(wrong -> wrong + (good.isEmpty() ? "" : Said.say("field.stands", "good", good)))
                .orElse(""));
        field.setAccessibleHelp(said.getText());
    }
}
