package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.words.Said;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;

/** Numbers about a template that are read more easily in rows and columns. */
final class FactTables {

    private static final String[] ROUND_HEADS = {"Edge", "Radius", "Diameter", "Over"};

    private FactTables() {}

    static GridPane grid(String id, String... heads) {
        GridPane grid = new GridPane();
        grid.setHgap(7);
        grid.setVgap(1);
        grid.setId(id);
        for (int i = 0; i < heads.length; i++) {
            grid.add(cell(heads[i], "faint"), i, 0);
            ColumnConstraints column = new ColumnConstraints();
            column.setMinWidth(Region.USE_PREF_SIZE);
            grid.getColumnConstraints().add(column);
        }
        return grid;
    }

    /** A table that slides where it is wider than its place. */
    static ScrollPane sliding(GridPane table) {
        ScrollPane pane = new ScrollPane(table);
        pane.setVbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        pane.setMinWidth(0);
        pane.setMinHeight(Region.USE_PREF_SIZE);
        pane.setFocusTraversable(false);
        return pane;
    }

    static Label cell(String text, String style) {
        Label label = new Label(text);
        label.getStyleClass().add(style);
        return label;
    }

    /** {@code Slot 2, outer}: what says it in a narrow column. */
    private static String edge(Guide guide) {
        return switch (guide.role()) {
            case OUTER_WALL -> Said.say("fact.outer", "number", guide.number());
            case INNER_WALL -> Said.say("fact.inner", "number", guide.number());
            default -> Words.capital(ShelfWords.edge(guide));
        };
    }

    /** Stitched circles, a row each. */
    static GridPane rounds(List<StitchFact.Round> rounds, Words words) {
        GridPane grid = grid("round-table", ROUND_HEADS);
        for (int i = 0; i < rounds.size(); i++) {
            StitchFact.Round round = rounds.get(i);
            Label edge = cell(edge(round.guide()), "table-line");
            edge.setAccessibleText(new ShelfWords(words).fact(round));
            grid.add(edge, 0, i + 1);
            grid.add(cell(words.length(round.radius()), "reason"), 1, i + 1);
            grid.add(cell(words.length(2 * round.radius()), "reason"), 2, i + 1);
            grid.add(cell(Words.degrees(round.sweep()), "reason"), 3, i + 1);
        }
        return grid;
    }
}
