package jollyspindle.desktop.control;

import jollyspindle.core.measure.Fractions;
import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.function.DoubleFunction;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/**
 * Takes a length as people write it, and says at once what it understood. What makes no sense is told beside the field and
 * goes no further: the last good value stands.
 */
public final class LengthField extends VBox implements Renewable {

    private final TextField field = new TextField();
    private final Label said = new Label();
    private final Label label;
    private Supplier<TapeScale> tape;
    private DoubleFunction<Optional<String>> check;
    private Consumer<OptionalDouble> accept;
    private final boolean mayBeEmpty;
    private OptionalDouble value = OptionalDouble.empty();
    private boolean refused;

    /**
     * A field for one length.
     *
     * @param id the text field's id
     * @param name what is measured
     * @param mayBeEmpty whether no length is an answer too
     * @param tape bare numbers and readings are for
     * @param check why a length, in inches, is refused; nothing if it isn't
     * @param accept takes what passed the check when the quilter is done with the field
     */
    public LengthField(
            String id,
            String name,
            boolean mayBeEmpty,
            Supplier<TapeScale> tape,
            DoubleFunction<Optional<String>> check,
            Consumer<OptionalDouble> accept) {
        this.tape = tape;
        this.check = check;
        this.accept = accept;
        this.mayBeEmpty = mayBeEmpty;
        getStyleClass().add("length-field");
        label = new Label(name);
        label.getStyleClass().add("length-label");
        label.setLabelFor(field);
        field.setId(id);
        field.setAccessibleText(name);
        field.setPromptText(mayBeEmpty ? "if wanted" : "");
        Tip.on(
                field,
                "Type it as the tape says: 71 7/8, 71.875, 5'11 7/8\", 182.5 cm. Enter takes it; Esc"
                        + " brings the last good value back.");
        said.setId(id + "-said");
        said.setWrapText(true);
        said.setMinHeight(USE_PREF_SIZE);
        getChildren().addAll(label, field, said);
        field.textProperty().addListener((o, was, now) -> tell());
        field.focusedProperty().addListener((o, was, now) -> {
            if (!now) {
                take();
            }
        });
        field.setOnAction(e -> take());
        field.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                reset(value);
                e.consume();
            }
        });
    }

    /** Shows the job's value, unless the quilter is at something else in this field. */
    public void show(OptionalDouble inches) {
        boolean changed = !inches.equals(value);
        if (changed || !field.isFocused() && !refused) {
            reset(inches);
        }
    }

    @Override
    public String place() {
        return field.getId();
    }

    @Override
    public void renew(Node other) {
        LengthField next = (LengthField) other;
        tape = next.tape;
        check = next.check;
        accept = next.accept;
        label.setText(next.label.getText());
        field.setPromptText(next.field.getPromptText());
        if (field.isFocused()) {
            show(next.value);
        } else {
            reset(next.value);
        }
    }

    private void reset(OptionalDouble inches) {
        value = inches;
        field.setText(inches.isPresent() ? Fractions.exact(inches.getAsDouble(), tape.get()) : "");
        tell();
    }

    /** Says something else than that it may be left empty. */
    public LengthField prompting(String prompt) {
        field.setPromptText(prompt);
        return this;
    }

    /** With a way to somewhere else, beside its name. */
    public LengthField beside(Hyperlink way) {
        Node label = getChildren().remove(0);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        way.getStyleClass().add("beside");
        getChildren().add(0, new HBox(label, gap, way));
        return this;
    }

    /** Takes no room for what it says while it says nothing. */
    public LengthField compact() {
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        return this;
    }

    public void requestFieldFocus() {
        field.requestFocus();
        field.selectAll();
    }

    private Optional<Double> typed() {
        return LengthParser.parse(field.getText(), tape.get()) instanceof LengthReading.Understood understood
                ? Optional.of(understood.inches())
                : Optional.empty();
    }

    /** Says what was understood, or what is wrong. */
    private void tell() {
        if (field.getText().isBlank()) {
            refused = !mayBeEmpty && value.isPresent();
            say(refused ? Said.say("field.nothing-typed", "good", lastGood()) : "", refused);
            return;
        }
        LengthReading reading = LengthParser.parse(field.getText(), tape.get());
        if (reading instanceof LengthReading.Refused no) {
            say(no.message() + lastGood(), true);
            return;
        }
        double inches = ((LengthReading.Understood) reading).inches();
        // What the job has already needn't be tried again.
        Optional<String> objection = same(inches) ? Optional.empty() : check.apply(inches);
        if (objection.isPresent()) {
            say(objection.get() + lastGood(), true);
        } else {
            say(tape.get().read(inches).text() + " · " + tape.get().read(inches).exactText(), false);
        }
    }

    private String lastGood() {
        return value.isPresent()
                ? Said.say("field.stands", "good", Fractions.exact(value.getAsDouble(), tape.get()))
                : "";
    }

    private void say(String text, boolean wrong) {
        refused = wrong;
        said.setText(text);
        List<String> styles = List.of("label", wrong ? "refused" : "understood");
        if (!said.getStyleClass().equals(styles)) {
            // What is styled anew takes its time.
            said.getStyleClass().setAll(styles);
        }
        field.setAccessibleHelp(text);
    }

    private void take() {
        if (refused) {
            return;
        }
        Optional<Double> inches = typed();
        if (inches.isEmpty() && field.getText().isBlank() && mayBeEmpty && value.isPresent()) {
            value = OptionalDouble.empty();
            accept.accept(value);
        } else if (inches.isPresent() && !same(inches.get())) {
            if (check.apply(inches.get()).isPresent()) {
                // It went when it was typed; the job has become another since.
                tell();
                return;
            }
            value = OptionalDouble.of(inches.get());
            accept.accept(value);
        }
    }

    /** A value that wasn't touched isn't a change, though its text may be rounded. */
    private boolean same(double inches) {
        return value.isPresent()
                && (value.getAsDouble() == inches
                        || field.getText().equals(Fractions.exact(value.getAsDouble(), tape.get())));
    }
}
