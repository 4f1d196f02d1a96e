package jollyspindle.desktop.control;

import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** The mouse button that holds something. Others are passed over until it is let go, so that none lets go for another. */
public final class OneButton {

    private MouseButton held;

    /** Whether a press is taken: nothing is held, or its release was lost while another window was in front. */
    public boolean presses(MouseEvent e) {
        if (held != null && held != e.getButton() && isDown(e, held)) {
            return false;
        }
        held = e.getButton();
        return true;
    }

    /** Whether a release lets go what is held. */
    public boolean releases(MouseEvent e) {
        if (held != e.getButton()) {
            return false;
        }
        held = null;
        return true;
    }

    /** Whether it is the button that drags things. */
    public boolean isPrimary() {
        return held == MouseButton.PRIMARY;
    }

    private static boolean isDown(MouseEvent e, MouseButton button) {
        return switch (button) {
            case PRIMARY -> e.isPrimaryButtonDown();
            case MIDDLE -> e.isMiddleButtonDown();
            case SECONDARY -> e.isSecondaryButtonDown();
            default -> false;
        };
    }
}
