package jollyspindle.desktop.control;

import javafx.scene.Node;

/** Who has the keyboard. */
public final class Keyboard {

    private Keyboard() {}

    /**
     * Exchanges what is in a node; if something in it had the keyboard, what then has the same id gets it, so that a quilter who
     * goes from field to field isn't stopped by fields that are made anew.
     */
    public static void kept(Node within, Runnable exchange) {
        Node owner = within.getScene() == null ? null : within.getScene().getFocusOwner();
        String focused = owner != null && owner.getId() != null && within.lookup("#" + owner.getId()) == owner
                ? owner.getId()
                : null;
        exchange.run();
        if (focused != null) {
            Node again = within.lookup("#" + focused);
            if (again != null) {
                again.requestFocus();
            }
        }
    }
}
