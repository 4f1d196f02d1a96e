package jollyspindle.desktop.app;

import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** Tells something until it is closed, and may offer one thing to do about it. */
final class MessageBar extends HBox {

    private final Label message = new Label();
    private final Button action = new Button();

    MessageBar() {
        message.setId("message");
        message.setWrapText(true);
        message.setMaxWidth(Double.MAX_VALUE);
        HBox.setHgrow(message, Priority.ALWAYS);
        action.setId("message-action");
        Button close = new Button("Close");
        close.setId("message-close");
        close.setOnAction(e -> hide());
        getChildren().addAll(message, action, close);
        getStyleClass().add("message-bar");
        hide();
    }

    void tell(String text) {
        message.setText(text);
        show(action, false);
        show(this, true);
    }

    void offer(String text, String name, Runnable what) {
        tell(text);
        action.setText(name);
        action.setOnAction(e -> {
            hide();
            what.run();
        });
        show(action, true);
    }

    void hide() {
        show(this, false);
    }

    private static void show(javafx.scene.Node node, boolean shown) {
        node.setVisible(shown);
        node.setManaged(shown);
    }
}
