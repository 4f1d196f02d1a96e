package jollyspindle.desktop.control;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.application.Platform;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;

/** Boxes to choose one of a few things from. */
public final class Choices {

    private Choices() {}

    /** Makes a box ready: its id, what it is for, what can be chosen and how that is said. */
    public static <T> void prepare(
            ComboBox<T> box, String id, String purpose, List<T> values, Function<T, String> name) {
        box.setId(id);
        box.setItems(FXCollections.observableArrayList(values));
        box.setMaxWidth(Double.MAX_VALUE);
        box.setAccessibleText(purpose);
        Tip.on(box, purpose);
        // Control and the space bar would leave nothing chosen, which is no answer: what was chosen stays.
        box.valueProperty().addListener((o, was, now) -> {
            boolean renewed = box instanceof ChoiceField<?> field && field.isRenewing();
            boolean byKey = now == null && was != null && !renewed && (box.isFocused() || box.isShowing());
            if (byKey && box.getItems().contains(was)) {
                Platform.runLater(() -> {
                    if (box.getValue() == null && box.getItems().contains(was)) {
                        box.setValue(was);
                    }
                });
            }
        });
        box.setConverter(new StringConverter<>() {
            @Override
            public String toString(T value) {
                return value == null ? "" : name.apply(value);
            }

            @Override
            public T fromString(String text) {
                throw new UnsupportedOperationException("not editable");
            }
        });
    }

    /** Does something with what is chosen, whenever something is. */
    public static <T> void onChoice(ComboBox<T> box, Consumer<T> take) {
        box.setOnAction(e -> {
            if (box.getValue() != null) {
                take.accept(box.getValue());
            }
        });
    }
}
