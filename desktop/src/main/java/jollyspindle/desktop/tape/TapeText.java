package jollyspindle.desktop.tape;

import jollyspindle.desktop.look.Look;

import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.layout.Pane;
import javafx.scene.text.Text;

/** Texts on the tape: how wide they are, and where they stand so that all of them is seen. */
final class TapeText {

    private final Pane pane;
    private final Look look;

    private final Map<String, Double> widths;
    private final Text measure = new Text();

    /**
     * Texts.
     *
     * @param pane they stand on
     * @param widths of texts that were measured before
     */
    TapeText(Pane pane, Look look, Map<String, Double> widths) {
        this.pane = pane;
        this.look = look;
        this.widths = widths;
    }

    /** Grows with the type. */
    double px(double pixels) {
        return pixels * look.scaleProperty().get();
    }

    /** The size of a type on the screen decides its width; measuring it each time would cost most of a frame. */
    double width(String text, double size, boolean bold) {
        String key = text + '|' + size + bold + look.scaleProperty().get();
        return widths.computeIfAbsent(key, k -> {
            measure.setText(text);
            measure.setFont(look.font(size, bold));
            return measure.getLayoutBounds().getWidth();
        });
    }

    void place(Text text, String style, double middle, double baseline, double size, boolean bold) {
        text.getStyleClass().add(style);
        text.setTextOrigin(VPos.BASELINE);
        text.setY(baseline);
        double width = width(text.getText(), size, bold);
        text.setX(Math.max(0, Math.min(pane.getWidth() - width, middle - width / 2)));
    }
}
