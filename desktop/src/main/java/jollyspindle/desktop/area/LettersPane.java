package jollyspindle.desktop.area;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.words.AreaWords;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.Tip;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.geometry.HPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;

/** Which of several designs each block is stitched with: by fabric letter, in turn, or block by block. */
final class LettersPane extends VBox {

    /** More blocks than this are shown by rows of letters alone. */
    private static final int MOST_BUTTONS = 144;

    private static final PseudoClass LOOKED = PseudoClass.getPseudoClass("looked");

    private final Workbench bench;
    private final AreaSelection desk;
    private final GridPane grid = new GridPane();

    /** The blocks' buttons, in the order of their numbers. */
    private final List<Button> buttons = new ArrayList<>();

    LettersPane(Workbench bench) {
        super(8);
        this.bench = bench;
        this.desk = bench.areas();
        grid.setHgap(3);
        grid.setVgap(3);
    }

    void show() {
        if (!(desk.area().orElse(null) instanceof Area.Blocks blocks)) {
            Gradually.renew(this, List.of());
            return;
        }
        AreaDesign design = desk.design();
        List<Node> nodes = new ArrayList<>();
        nodes.add(Labelled.wrapped(
                "Give blocks letters, as their fabrics have: each letter is stitched in its own way. Choose a"
                        + " letter's motifs under Motifs, once one of its blocks is looked at.",
                "faint"));
        FlowPane row = new FlowPane(6, 6);
        Button more = button("letter-add", "One more letter", () -> {
            char next = (char) ('A' + design.parts().size());
            desk.design(
                    Said.say("step.letter", "letter", String.valueOf(next)),
                    design.with(next, design.part(desk.letter())));
        });
        Tip.on(more, "It begins with the motifs of the letter that is looked at");
        more.setDisable(design.parts().size() == AreaDesign.MOST_PARTS);
        Button less = button("letter-remove", "One less", () -> desk.design("a letter less", design.withoutLastPart()));
        less.setDisable(design.parts().size() == 1);
        Button turn = button("letter-in-turn", "In turn", () -> desk.design("letters in turn", design.inTurn()));
        turn.setDisable(design.parts().size() == 1);
        Button all = button(
                "letter-all",
                "All alike",
                () -> desk.design("all blocks alike", design.withLetters(List.of("" + desk.letter()))));
        row.getChildren().addAll(more, less, turn, all);
        nodes.add(row);
        nodes.add(typed(design));
        if (blocks.count() <= MOST_BUTTONS) {
            showGrid(blocks, design);
            nodes.add(grid);
        }
        nodes.addAll(totals(blocks));
        Gradually.renew(this, nodes);
    }

    private static Button button(String id, String text, Runnable action) {
        Button button = new Button(text);
        button.setId(id);
        button.setOnAction(e -> action.run());
        return button;
    }

    /** Rows of letters, typed. */
    private TypedField typed(AreaDesign design) {
        TypedField field = new TypedField("letter-rows", "Rows of letters, repeated: AB; BA", text -> {
            List<String> rows = Stream.of(text.toUpperCase(Locale.ROOT).split("[;\\n]"))
                    .map(s -> s.replaceAll("[\\s,]+", ""))
                    .filter(s -> !s.isEmpty())
                    .toList();
            try {
                desk.design(Said.say("step.letters", "rows", String.join("; ", rows)), design.withLetters(rows));
                return Optional.empty();
            } catch (IllegalArgumentException e) {
                char last = (char) ('A' + design.parts().size() - 1);
                return Optional.of(Said.say(
                        "field.letters", "typed", text.strip(), "more", last != 'A', "last", String.valueOf(last)));
            }
        });
        field.show(String.join("; ", design.letters()));
        return field;
    }

    /** The blocks as they lie; a click gives a block the next letter. */
    private void showGrid(Area.Blocks blocks, AreaDesign design) {
        List<Integer> size = List.of(blocks.columns(), blocks.rows());
        if (!size.equals(grid.getUserData())) {
            grid.setUserData(size);
            buttons.clear();
            for (int number = 1; number <= blocks.count(); number++) {
                Button block = new Button();
                block.setId("letter-block-" + number);
                block.getStyleClass().add("zero-button");
                GridPane.setHalignment(block, HPos.CENTER);
                GridPane.setConstraints(block, (number - 1) % blocks.columns(), (number - 1) / blocks.columns());
                buttons.add(block);
            }
            Gradually.fill(grid, buttons.toArray(Node[]::new));
        }
        int looked = Optional.ofNullable(desk.lookedProperty().get())
                .map(AreaSelection.Looked::piece)
                .orElse(0);
        for (int r = 0; r < blocks.rows(); r++) {
            for (int c = 0; c < blocks.columns(); c++) {
                int row = r;
                int column = c;
                int number = r * blocks.columns() + c + 1;
                char letter = design.letter(c, r);
                Button block = buttons.get(number - 1);
                block.setText("" + letter);
                block.setOnAction(e -> {
                    desk.choose(desk.lookedProperty().get().id(), number);
                    char next = next(design, letter);
                    desk.design(
                            Said.say(
                                    "step.block",
                                    "number",
                                    number,
                                    "plain",
                                    next == AreaDesign.PLAIN,
                                    "letter",
                                    String.valueOf(next)),
                            design.withBlock(blocks.columns(), blocks.rows(), column, row, next));
                });
                block.pseudoClassStateChanged(LOOKED, number == looked);
                String said = Said.say(
                        "letters.block",
                        "number",
                        number,
                        "plain",
                        letter == AreaDesign.PLAIN,
                        "letter",
                        String.valueOf(letter));
                block.setAccessibleText(said);
                Tip.on(block, Said.say("letters.block-tip", "block", said));
            }
        }
    }

    /** A, B … and plain, in turn. */
    private static char next(AreaDesign design, char letter) {
        if (letter == AreaDesign.PLAIN) {
            return 'A';
        }
        return letter - 'A' + 1 < design.parts().size() ? (char) (letter + 1) : AreaDesign.PLAIN;
    }

    private List<Node> totals(Area.Blocks blocks) {
        AreaPlan plan = desk.plan().orElse(null);
        if (plan == null) {
            return List.of();
        }
        List<Node> nodes = new ArrayList<>();
        nodes.add(Labelled.heading("Totals"));
        AreaWords words = new AreaWords(bench.words());
        for (AreaPlan.Sum sum : plan.sums()) {
            String motifs = desk.design().part(sum.letter()).layers().stream()
                    .map(l -> words.text(l.motif()))
                    .collect(Collectors.joining("; "));
            Label label = Labelled.wrapped(
                    (sum.letter() == AreaDesign.PLAIN
                                    ? "Plain"
                                    : sum.letter() + ": " + (motifs.isEmpty() ? "nothing yet" : motifs))
                            + ". " + AreaWords.text(sum, true) + ".",
                    "reason");
            label.setId("letter-sum-" + sum.letter());
            nodes.add(label);
        }
        double stitched =
                plan.sums().stream().mapToDouble(AreaPlan.Sum::stitched).sum();
        Label all = Labelled.wrapped(
                Said.say(
                        "letters.total",
                        "blocks",
                        blocks.count(),
                        "placements",
                        Words.count(plan.placements().size(), Words.Thing.PLACEMENT),
                        "starts",
                        Words.count(plan.starts(), Words.Thing.THREAD_START),
                        "yards",
                        (int) Math.round(stitched / 36)),
                "reason");
        all.setId("letter-total");
        nodes.add(all);
        return nodes;
    }
}
