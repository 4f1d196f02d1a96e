package jollyspindle.desktop.tape;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.LengthParser;
import jollyspindle.core.measure.LengthReading;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.model.Zero;
import jollyspindle.desktop.words.Said;

import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;

/** Asks where a valley should stand, as the tape would say it from its zero. Seen only while it asks. */
final class ValleyField extends HBox {

    private final Workbench bench;
    private final Label name = new Label();
    private final TextField field = new TextField();
    private final Label said = new Label();
    private final BiConsumer<Mark, Double> accept;
    private final Runnable back;
    private Mark valley;
    private TapeZero zero;

    /**
     * A field.
     *
     * @param accept takes the valley and its place, in inches along the run
     * @param back gives the keyboard back
     */
    ValleyField(Workbench bench, BiConsumer<Mark, Double> accept, Runnable back) {
        super(6);
        this.bench = bench;
        this.accept = accept;
        this.back = back;
        setAlignment(Pos.CENTER_LEFT);
        field.setId("valley-at");
        field.setPrefColumnCount(8);
        said.setId("valley-at-said");
        name.setLabelFor(field);
        getChildren().addAll(name, field, said);
        field.textProperty().addListener(o -> tell());
        field.setOnAction(e -> take());
        field.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                close();
                e.consume();
            }
        });
        close(false);
    }

    void ask(Mark at, TapeZero from) {
        valley = at;
        zero = from;
        name.setText(Said.say("valley.at", "mark", Words.name(at)));
        field.setText(bench.words().exact(Math.abs(at.along() - from.along())));
        field.setAccessibleText(Said.say("valley.place", "mark", Words.name(at)));
        setVisible(true);
        setManaged(true);
        field.requestFocus();
        field.selectAll();
    }

    private void close() {
        close(true);
    }

    private void close(boolean giveBack) {
        setVisible(false);
        setManaged(false);
        if (giveBack) {
            back.run();
        }
    }

    private void tell() {
        LengthReading reading =
                LengthParser.parse(field.getText(), bench.plan().job().tape());
        boolean wrong = reading instanceof LengthReading.Refused;
        said.setText(
                reading instanceof LengthReading.Refused refused
                        ? refused.message()
                        : bench.words().length(((LengthReading.Understood) reading).inches()));
        said.getStyleClass().setAll("label", wrong ? "refused" : "understood");
    }

    private void take() {
        if (LengthParser.parse(field.getText(), bench.plan().job().tape())
                instanceof LengthReading.Understood understood) {
            // A place is typed without a sign: it stays on the side of the zero where the valley stands.
            boolean before = zero.kind() == Zero.RIGHT
                    || zero.kind() != Zero.LEFT && valley.along() < zero.along() - Tolerances.ROUNDING;
            double along = zero.along() + (before ? -1 : 1) * understood.inches();
            close();
            accept.accept(valley, along);
        }
    }
}
