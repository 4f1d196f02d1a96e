package jollyspindle.files.packet;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** What is marked and placed in areas, as lists. */
final class AreaLists {

    private final WorkPlan plan;
    private final Words words;
    private final Pages pages;

    AreaLists(WorkPlan plan, Pages pages) {
        this.plan = plan;
        this.words = new Words(plan.job().tape());
        this.pages = pages;
    }

    /** What is stitched in an area; of blocks with the same letter the first stands for all. */
    void write(AreaPlan area) throws IOException {
        AreaWords said = new AreaWords(words);
        String name = AreaWords.name(area.id(), plan.job().quilt());
        AreaDesign design = plan.job().design(area.id());
        for (AreaPlan.Sum sum : area.sums()) {
            Optional<AreaPlan.Piece> piece = area.pieces().stream()
                    .filter(p -> p.letter() == sum.letter())
                    .findFirst();
            if (piece.isEmpty() || design.part(sum.letter()).layers().isEmpty()) {
                continue;
            }
            boolean blocks = area.pieces().size() > 1;
            String title = name + (area.sums().size() > 1 ? ", letter " + sum.letter() : "");
            String note = design.part(sum.letter()).layers().stream()
                            .map(layer -> Words.capital(said.text(layer.motif())) + ".")
                            .collect(Collectors.joining(" "))
                    + (" " + said.stopCircles(area, sum.letter(), design.part(sum.letter()))).stripTrailing() + " "
                    + Words.capital(AreaWords.text(sum, blocks)) + "."
                    + (sum.blocks() > 1
                            ? " Block " + piece.get().number() + " stands for all " + sum.blocks()
                                    + "; the others are alike, except that lines stop round what lies on them."
                            : "");
            piece(title, note, area, area.cloth(piece.get().number()));
        }
        for (AreaPlan.Turning turning : area.turnings()) {
            rays(name + (area.sums().size() > 1 ? ", letter " + turning.letter() : ""), turning);
        }
        if (area.sums().size() > 1) {
            letters(name, area);
        }
    }

    /** Marks and placements of one piece. */
    private void piece(String name, String note, AreaPlan area, PieceId piece) throws IOException {
        List<List<String>> rows = area.marks().stream()
                .filter(m -> m.id().piece().equals(piece))
                .map(mark -> List.of(
                        Words.name(mark),
                        mark.readings().fromLeft().text(),
                        mark.readings().fromRight().text(),
                        Words.fromCentre(mark.readings().fromCentre()),
                        mark.height().text()))
                .toList();
        if (!rows.isEmpty()) {
            pages.table(
                    name + ": marks",
                    note + " Read along the lower edge, and upwards from it.",
                    List.of(
                            new Pages.Column("Mark", 0),
                            new Pages.Column("From left edge", 0.19),
                            new Pages.Column("From right edge", 0.38),
                            new Pages.Column("From centre", 0.57),
                            new Pages.Column("Above lower edge", 0.79)),
                    rows);
        }
        List<Placement> placements = area.placements().stream()
                .filter(p -> p.id().line().piece().equals(piece))
                .toList();
        if (!placements.isEmpty()) {
            pages.table(name + ": placements", note, PlacementTable.COLUMNS, new PlacementTable(plan).rows(placements));
        }
    }

    private void rays(String name, AreaPlan.Turning turning) throws IOException {
        AreaWords said = new AreaWords(words);
        pages.table(
                name + ": rays",
                "Clockwise from the top. " + said.finding(turning),
                List.of(
                        new Pages.Column("Ray", 0),
                        new Pages.Column("Turned", 0.15),
                        new Pages.Column("Where it meets the edge", 0.3)),
                turning.rays().stream()
                        .map(ray -> List.of(
                                "Ray " + ray.number(), Words.degrees(ray.angle()), Words.capital(said.where(ray))))
                        .toList());
    }

    /** Which block has which letter, as they lie. */
    private void letters(String name, AreaPlan area) throws IOException {
        TreeMap<Integer, StringBuilder> rows = new TreeMap<>();
        area.pieces().forEach(p -> rows.computeIfAbsent(p.row(), r -> new StringBuilder())
                .append(p.letter())
                .append("  "));
        pages.table(
                name + ": letters",
                "What is stitched in which block, as they lie; - is left plain.",
                List.of(new Pages.Column("Row", 0), new Pages.Column("Blocks from the left", 0.15)),
                rows.entrySet().stream()
                        .map(e -> List.of(
                                "" + (e.getKey() + 1), e.getValue().toString().strip()))
                        .toList());
    }
}
