package jollyspindle.desktop.control;

import javafx.scene.Node;
import javafx.scene.layout.StackPane;

/**
 * Shows one of several nodes at a time. Those that aren't seen stay where they are, so that what comes back needn't be styled
 * anew.
 */
public final class Deck extends StackPane {

    /** Shows one, which needn't have been here before, and none of the others. */
    public void show(Node one) {
        if (!getChildren().contains(one)) {
            getChildren().add(one);
            Gradually.style(one);
        }
        getChildren().forEach(node -> turn(node, node == one));
        Soon.lookAgain();
    }

    /** Has one at hand that isn't shown yet. */
    public void keep(Node later) {
        if (!getChildren().contains(later)) {
            turn(later, false);
            getChildren().add(later);
            Gradually.style(later);
        }
    }

    /** Lets those go that aren't seen, before all that is in the window is styled anew. */
    public void letHiddenGo() {
        getChildren().removeIf(node -> !node.isVisible());
    }

    /** Shows a node or hides it where it is; what is due on it by {@link Soon} is shown at once. */
    public static void show(Node node, boolean seen) {
        turn(node, seen);
        Soon.lookAgain();
    }

    /** Whether a node is hidden since another is shown in its place. */
    static boolean hides(Node node) {
        return Boolean.FALSE.equals(node.getProperties().get(Deck.class));
    }

    private static void turn(Node node, boolean seen) {
        node.getProperties().put(Deck.class, seen);
        node.setVisible(seen);
        node.setManaged(seen);
    }
}
