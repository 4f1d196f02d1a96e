package jollyspindle.desktop.control;

import org.kordamp.ikonli.Ikon;
import org.kordamp.ikonli.javafx.FontIcon;

import javafx.scene.control.Button;

/** Buttons that show a picture and say in words what they do. */
public final class IconButtons {

    private IconButtons() {}

    /**
     * A button with a picture.
     *
     * @param style its style class
     * @param text what it does, told on hover and by screen readers
     */
    public static Button of(String id, Ikon icon, String style, String text, Runnable action) {
        Button button = new Button(null, new FontIcon(icon));
        button.setId(id);
        button.getStyleClass().add(style);
        Tip.on(button, text);
        button.setAccessibleText(text);
        button.setOnAction(e -> action.run());
        return button;
    }
}
