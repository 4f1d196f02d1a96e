package jollyspindle.files.packet;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.marking.Mark;
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
            AreaDesign.Part part = design.part(sum.letter());
            String note = Said.say(
                    "area.note",
                    "motifs",
                    part.layers().stream()
                            .map(layer -> Said.say("motif", "motif", said.text(layer.motif())))
                            .collect(Collectors.joining(" ")),
                    "circles",
                    (" " + said.toDraw(area, sum.letter())).stripTrailing(),
                    "sum",
                    Words.capital(AreaWords.text(sum, blocks)),
                    "several",
                    sum.blocks() > 1,
                    "number",
                    piece.get().number(),
                    "blocks",
                    sum.blocks());
            piece(
                    title(name, area, sum.letter()),
                    note,
                    area,
                    area.cloth(piece.get().number()));
        }
        for (AreaPlan.Turning turning : area.turnings()) {
            rays(title(name, area, turning.letter()), turning);
        }
        if (area.sums().size() > 1) {
            letters(name, area);
        }
    }

    private static String title(String name, AreaPlan area, char letter) {
        return area.sums().size() > 1 ? Said.say("list.letter", "name", name, "letter", letter) : name;
    }

    /** Marks and placements of one piece. */
    private void piece(String name, String note, AreaPlan area, PieceId piece) throws IOException {
        List<List<String>> rows = area.marks().stream()
                .filter(m -> m.id().piece().equals(piece))
                .map(mark -> List.of(
                        Said.say(
                                "marks.name",
                                "mark",
                                Words.name(mark),
                                "shown",
                                mark.by() == Mark.MarkedBy.SEAM ? "seam" : "none"),
                        Words.fromEnd(mark.readings().fromLeft()),
                        Words.fromEnd(mark.readings().fromRight()),
                        Words.fromCentre(mark.readings().fromCentre()),
                        mark.height().text()))
                .toList();
        if (!rows.isEmpty()) {
            pages.table(
                    Said.say("list.marks", "name", name),
                    Said.say("area.marks", "note", note),
                    List.of(
                            new Pages.Column(Said.say("column.mark"), 0),
                            new Pages.Column(Said.say("column.from-left-edge"), 0.19),
                            new Pages.Column(Said.say("column.from-right-edge"), 0.38),
                            new Pages.Column(Said.say("column.from-centre"), 0.57),
                            new Pages.Column(Said.say("column.above-edge"), 0.79)),
                    rows);
        }
        List<Placement> placements = area.placements().stream()
                .filter(p -> p.id().line().piece().equals(piece))
                .toList();
        if (!placements.isEmpty()) {
            pages.table(
                    Said.say("list.placements", "name", name),
                    note,
                    PlacementTable.columns(),
                    new PlacementTable(plan).rows(placements));
        }
    }

    private void rays(String name, AreaPlan.Turning turning) throws IOException {
        AreaWords said = new AreaWords(words);
        pages.table(
                Said.say("list.rays", "name", name),
                Said.say("rays.note", "finding", said.finding(turning)),
                List.of(
                        new Pages.Column(Said.say("column.ray"), 0),
                        new Pages.Column(Said.say("column.turned"), 0.15),
                        new Pages.Column(Said.say("column.meets"), 0.3)),
                turning.rays().stream()
                        .map(ray -> List.of(
                                Said.say("rays.ray", "number", ray.number()),
                                Words.degrees(ray.angle()),
                                Words.capital(said.where(ray))))
                        .toList());
    }

    /** Which block has which letter, as they lie. */
    private void letters(String name, AreaPlan area) throws IOException {
        TreeMap<Integer, StringBuilder> rows = new TreeMap<>();
        area.pieces().forEach(p -> rows.computeIfAbsent(p.row(), r -> new StringBuilder())
                .append(p.letter())
                .append("  "));
        pages.table(
                Said.say("list.letters", "name", name),
                Said.say("letters.note"),
                List.of(new Pages.Column(Said.say("column.row"), 0), new Pages.Column(Said.say("column.blocks"), 0.15)),
                rows.entrySet().stream()
                        .map(e -> List.of(
                                "" + (e.getKey() + 1), e.getValue().toString().strip()))
                        .toList());
    }
}
