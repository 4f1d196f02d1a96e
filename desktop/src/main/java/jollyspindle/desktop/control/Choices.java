package jollyspindle.desktop.control;

import java.util.List;
import java.util.function.Function;
import javafx.collections.FXCollections;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Tooltip;
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
        box.setTooltip(new Tooltip(purpose));
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
}
