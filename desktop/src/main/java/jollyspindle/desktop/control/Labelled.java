package jollyspindle.desktop.control;

import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Controls with their names above, and rows of them. */
public final class Labelled {

    private static final double NARROW = 150;

    private Labelled() {}

    public static VBox of(String text, Control field) {
        Label said = new Label(text);
        said.getStyleClass().add("length-label");
        said.setLabelFor(field);
        if (field.getAccessibleText() == null) {
            field.setAccessibleText(text);
        }
        field.setMaxWidth(Double.MAX_VALUE);
        return new VBox(1, said, field);
    }

    /** Side by side, each as wide as the others. */
    public static HBox row(Node... nodes) {
        HBox row = new HBox(12, nodes);
        for (Node node : nodes) {
            HBox.setHgrow(node, Priority.ALWAYS);
            if (node instanceof Region region) {
                region.setPrefWidth(NARROW);
                region.setMaxWidth(Double.MAX_VALUE);
            }
        }
        return row;
    }

    public static Label heading(String text) {
        Label heading = new Label(text);
        heading.getStyleClass().addAll("heading", "section");
        return heading;
    }

    /** A label that wraps and is never cut off. */
    public static Label wrapped(String text, String... styles) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        label.getStyleClass().addAll(styles);
        return label;
    }
}
