package jollyspindle.desktop.control;

import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/**
 * Tells something on hover. A tooltip is a window with a scene of its own, and the benches have hundreds of things to tell about:
 * one tooltip, made when it is first wanted, does for all of them.
 */
public final class Tip {

    private static final Object TEXT = Tip.class;
    private static Tooltip shared;

    private Tip() {}

    /** Tells a text; another one that was told is told no longer. */
    public static void on(Node node, String text) {
        on(node, () -> text);
        node.setAccessibleHelp(text);
    }

    /** Tells what it is asked for as the pointer comes; nothing if that is empty. */
    public static void on(Node node, Supplier<String> text) {
        if (node.getProperties().put(TEXT, text) == null) {
            node.addEventHandler(MouseEvent.MOUSE_ENTERED, e -> enter(node));
        }
    }

    /** Tells on one node what is told on another. */
    @SuppressWarnings("unchecked")
    static void renew(Node kept, Node next) {
        Object text = next.getProperties().get(TEXT);
        if (text != null) {
            on(kept, (Supplier<String>) text);
        } else if (kept.getProperties().containsKey(TEXT)) {
            on(kept, () -> "");
        }
        kept.setAccessibleHelp(next.getAccessibleHelp());
    }

    @SuppressWarnings("unchecked")
    private static void enter(Node node) {
        if (shared == null) {
            shared = new Tooltip();
        }
        String text = ((Supplier<String>) node.getProperties().get(TEXT)).get();
        if (text.isEmpty()) {
            Tooltip.uninstall(node, shared);
        } else {
            shared.setText(text);
            Tooltip.install(node, shared);
        }
    }
}
