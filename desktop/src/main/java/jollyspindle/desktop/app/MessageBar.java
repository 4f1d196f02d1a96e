package jollyspindle.desktop.app;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/**
 * Tells something until it is closed, the newest first, and may offer one thing to do about it. What was only told in passing
 * goes with the next change of the plan; a warning or an offer stays.
 */
final class MessageBar extends VBox {

    /** More than this would leave no room for the quilt. */
    private static final int MOST = 4;

    private static final class Row extends HBox {

        private final String text;
        private final boolean passing;

        Row(MessageBar bar, String text, boolean passing) {
            this.text = text;
            this.passing = passing;
            Label message = new Label(text);
            message.setId("message");
            message.setWrapText(true);
            message.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(message, Priority.ALWAYS);
            Button close = new Button("Close");
            close.setId("message-close");
            close.setOnAction(e -> bar.remove(this));
            getChildren().addAll(message, close);
            getStyleClass().add("message-bar");
        }
    }

    MessageBar() {
        getStyleClass().add("message-bars");
        refresh();
    }

    /** Tells something in passing. */
    void tell(String text) {
        hide();
        add(new Row(this, text, true));
    }

    /** Tells something that must not be missed: it stays until it is closed. */
    void warn(String text) {
        add(new Row(this, text, false));
    }

    /** Offers something to do, until it is done or closed. */
    void offer(String text, String name, Runnable what) {
        Row row = new Row(this, text, false);
        Button action = new Button(name);
        action.setId("message-action");
        action.setOnAction(e -> {
            remove(row);
            what.run();
        });
        row.getChildren().add(1, action);
        add(row);
    }

    private void add(Row row) {
        // The same thing is told once.
        getChildren().removeIf(old -> ((Row) old).text.equals(row.text));
        getChildren().add(0, row);
        if (getChildren().size() > MOST) {
            getChildren().remove(MOST, getChildren().size());
        }
        refresh();
    }

    private void remove(Row row) {
        getChildren().remove(row);
        refresh();
    }

    /** Takes away what was told in passing. */
    void hide() {
        getChildren().removeIf(row -> ((Row) row).passing);
        refresh();
    }

    private void refresh() {
        setVisible(!getChildren().isEmpty());
        setManaged(!getChildren().isEmpty());
    }
}
