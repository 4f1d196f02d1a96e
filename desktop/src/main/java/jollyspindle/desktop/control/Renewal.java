package jollyspindle.desktop.control;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.VBox;

/**
 * Shows what was made anew by what is there already. A field's skin takes far longer to make than the field: of fields that are
 * made anew at each edit only what is different comes into the window, the others take over what it shows and does. So a quilter
 * who is typing in one goes on typing.
 */
final class Renewal {

    /** What is shown by its children alone. */
    private static final Set<Class<?>> PLAIN = Set.of(HBox.class, VBox.class, FlowPane.class);

    /** What is shown by its text, and does nothing but what it is told to: what such a button does mustn't speak of the button. */
    private static final Set<Class<?>> PLAINLY_SAID = Set.of(Label.class, Button.class);

    private Renewal() {}

    /** What is to be shown for these nodes: of those that are there, what can stand for one of them and does so from now on. */
    static List<Node> of(List<Node> there, List<? extends Node> next) {
        List<Node> old = List.copyOf(there);
        List<Node> made = List.copyOf(next);
        List<String> kinds = old.stream().map(Renewal::kind).toList();
        List<String> wanted = made.stream().map(Renewal::kind).toList();
        int[][] alike = alike(kinds, wanted);
        List<Node> all = new ArrayList<>();
        int at = 0;
        for (int i = 0; i < made.size(); i++) {
            // Passed over is what stands for nothing of the rest.
            while (at < old.size() && !kinds.get(at).equals(wanted.get(i)) && alike[at + 1][i] == alike[at][i]) {
                at++;
            }
            if (at == old.size() || !kinds.get(at).equals(wanted.get(i))) {
                all.add(made.get(i));
                continue;
            }
            Node kept = old.get(at++);
            if (kept != made.get(i)) {
                renew(kept, made.get(i));
            }
            all.add(kept);
        }
        return all;
    }

    /** How many of two lists stand in both in the same order, from each place of the one and of the other on. */
    private static int[][] alike(List<String> one, List<String> other) {
        int[][] alike = new int[one.size() + 1][other.size() + 1];
        for (int i = one.size() - 1; i >= 0; i--) {
            for (int j = other.size() - 1; j >= 0; j--) {
                alike[i][j] = one.get(i).equals(other.get(j))
                        ? alike[i + 1][j + 1] + 1
                        : Math.max(alike[i + 1][j], alike[i][j + 1]);
            }
        }
        return alike;
    }

    /** What two nodes have alike that can stand for each other: nothing else looks or does the same if it isn't told to. */
    private static String kind(Node node) {
        if (node instanceof Renewable renewable) {
            return node.getClass().getName() + '#' + renewable.place();
        }
        String id = node.getClass().getName() + '#' + node.getId();
        if (PLAINLY_SAID.contains(node.getClass()) && ((Labeled) node).getGraphic() == null) {
            return id + node.getStyleClass() + ((Labeled) node).isWrapText();
        }
        if (PLAIN.contains(node.getClass())) {
            return id
                    + ((Pane) node)
                            .getChildren().stream().map(Renewal::kind).collect(Collectors.joining(",", "(", ")"));
        }
        return id + '@' + System.identityHashCode(node);
    }

    private static void renew(Node kept, Node next) {
        kept.setDisable(next.isDisable());
        kept.setCursor(next.getCursor());
        kept.setOnMouseClicked(next.getOnMouseClicked());
        if (!kept.getStyleClass().equals(next.getStyleClass()) && !(kept instanceof Renewable)) {
            // What is styled anew takes its time.
            kept.getStyleClass().setAll(next.getStyleClass());
        }
        Tip.renew(kept, next);
        if (kept instanceof Renewable renewable) {
            renewable.renew(next);
        } else if (kept instanceof Labeled said) {
            said.setText(((Labeled) next).getText());
            kept.setAccessibleText(next.getAccessibleText());
            if (kept instanceof Button button) {
                button.setOnAction(((Button) next).getOnAction());
            }
        } else {
            // Of panes that can stand for each other, so can all that is in them.
            of(((Pane) kept).getChildren(), ((Pane) next).getChildren());
        }
    }
}
