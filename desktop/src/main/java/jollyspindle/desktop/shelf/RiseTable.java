package jollyspindle.desktop.shelf;

import jollyspindle.core.shelf.StitchFact;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;

import static jollyspindle.desktop.shelf.FactTables.cell;

/**
 * What stands above the seam with each rise line on it, and how far the feet move in from one to the next.
 *
 * @param facts that stand in the table
 * @param grid the table
 */
record RiseTable(List<StitchFact> facts, GridPane grid) {

    private static final String[] HEADS = {"Line", "Span", "Rise", "Sweep", "Feet in"};

    static RiseTable of(Guide guide, Stitching stitching, Words words) {
        List<StitchFact> facts = new ArrayList<>();
        GridPane grid = FactTables.grid("rise-table-" + guide.id(), HEADS);
        int row = 0;
        for (StitchFact fact : stitching.facts()) {
            if (fact instanceof StitchFact.SpanAndRise at && at.guide().equals(guide)) {
                facts.add(fact);
                row++;
                Label line = cell(words.exact(at.line().value()), "table-line");
                line.setAccessibleText(new ShelfWords(words).fact(at));
                grid.add(line, 0, row);
                grid.add(cell(words.length(at.span()), "reason"), 1, row);
                grid.add(cell(words.length(at.rise()), "reason"), 2, row);
                String often = at.placements() > 1 ? Said.say("rise.placements", "placements", at.placements()) : "";
                grid.add(cell(Words.degrees(at.sweep()) + often, "reason"), 3, row);
                feet(stitching, at, facts, grid, row, words);
            }
        }
        return new RiseTable(facts, grid);
    }

    /** How far the feet stand in from those of the next higher line. */
    private static void feet(
            Stitching stitching,
            StitchFact.SpanAndRise at,
            List<StitchFact> facts,
            GridPane grid,
            int row,
            Words words) {
        for (StitchFact fact : stitching.facts()) {
            if (fact instanceof StitchFact.Lowered low && low.to().equals(at.line()) && !facts.contains(fact)) {
                facts.add(fact);
                Label feet = cell(words.length(low.footGap()), "reason");
                Tip.on(feet, new ShelfWords(words).fact(low));
                grid.add(feet, 4, row);
                return;
            }
        }
    }
}
