package jollyspindle.desktop.area;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.BlockFigure;
import jollyspindle.core.area.BlockFit;
import jollyspindle.core.area.BlockSize;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.AreaWords;
import jollyspindle.desktop.control.BackgroundQueue;
import jollyspindle.desktop.control.ChoiceField;
import jollyspindle.desktop.control.Gradually;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Which size of shells, petals or circles fits these blocks, or others that are typed: each as it comes out, the best first. */
final class SizesPane extends VBox {

    private static final double PICTURE = 92;

    /** So many are shown; what suits less well hardly matters. */
    private static final int SHOWN = 12;

    private final Workbench bench;
    private final Look look;
    private final AreaSelection desk;
    private List<BlockSize> typed = List.of();
    private final BackgroundQueue work = new BackgroundQueue("area-sizes");
    private final VBox cards = new VBox(8);
    private BlockFigure figure = BlockFigure.CLAMSHELLS;

    SizesPane(Workbench bench, Look look) {
        super(8);
        this.bench = bench;
        this.look = look;
        this.desk = bench.areas();
    }

    void show() {
        work.letGo();
        List<BlockSize> sizes = sizes();
        AreaWords words = new AreaWords(bench.words());
        ChoiceField<BlockFigure> figures = new ChoiceField<>(
                "size-figure",
                "What the blocks are filled with",
                List.of(BlockFigure.values()),
                figure,
                AreaWords::name,
                chosen -> {
                    figure = chosen;
                    show();
                });
        TypedField field = new TypedField("size-list", "fits blocks of", text -> {
            if (text.isBlank()) {
                typed = List.of();
                show();
                return Optional.empty();
            }
            BlockSize.Reading reading = BlockSize.parse(text, bench.job().tape());
            if (reading instanceof BlockSize.Reading.Refused refused) {
                return Optional.of(refused.why());
            }
            typed = ((BlockSize.Reading.Read) reading).sizes();
            show();
            return Optional.empty();
        });
        field.show(sizes.stream().map(words::size).collect(Collectors.joining("; ")));
        Gradually.renew(
                this,
                List.of(
                        Labelled.of("Which size of", figures),
                        field,
                        Labelled.wrapped(
                                "Several sizes with semicolons between them, with how many there are: 12 of 4 1/2; 4 of 6 by 9."
                                        + " Empty, it is the blocks of this quilt.",
                                "faint"),
                        cards));
        Gradually.renew(cards, List.of(Labelled.wrapped("Trying what the shelf has.", "faint")));
        BlockFigure tried = figure;
        List<Template> shelf = bench.shelf().templates();
        Machine machine = bench.job().machine();
        TapeScale tape = bench.job().tape();
        work.ask(() -> BlockFit.of(tried, sizes, shelf, machine, tape), fits -> {
            List<Supplier<Node>> nodes = new ArrayList<>();
            if (fits.isEmpty()) {
                nodes.add(() -> Labelled.wrapped(nothing(), "refused"));
            }
            Map<String, Integer> edges = new HashMap<>();
            for (BlockFit fit : fits.subList(0, Math.min(SHOWN, fits.size()))) {
                // A template may offer several sizes.
                int edge = edges.merge(fit.template().id(), 1, Integer::sum);
                String id = "area-size-" + fit.template().id() + (edge > 1 ? "-" + edge : "");
                nodes.add(() -> card(fit, id, words));
            }
            if (fits.size() > SHOWN) {
                nodes.add(() -> Labelled.wrapped(Said.say("sizes.best", "shown", SHOWN, "all", fits.size()), "faint"));
            }
            Gradually.fill(cards, nodes.stream());
        });
    }

    /** Stops what is still to be tried. */
    void leave() {
        work.letGo();
    }

    private String nothing() {
        return switch (figure) {
            case CLAMSHELLS -> "No clamshell row of the shelf has room in all of them, or there is none on the shelf.";
            case PEEL ->
                "No arc of the shelf makes squares in all of them that are wider than the foot and no more than 20 to a"
                        + " row.";
            case CIRCLES ->
                "No circle of the shelf makes squares in all of them that are wider than the foot and no more than 20 to a"
                        + " row.";
        };
    }

    /** What was typed, or all the quilt's blocks. */
    private List<BlockSize> sizes() {
        if (!typed.isEmpty()) {
            return typed;
        }
        List<BlockSize> own = bench.job().quilt().areas().stream()
                .filter(Area.Blocks.class::isInstance)
                .map(Area.Blocks.class::cast)
                .flatMap(blocks -> BlockSize.of(blocks).stream())
                .toList();
        return own.isEmpty() ? List.of(new BlockSize(12, 12, 1)) : own;
    }

    private VBox card(BlockFit fit, String id, AreaWords words) {
        FlowPane pictures = new FlowPane(6, 6);
        double most = PICTURE * look.scaleProperty().get();
        for (BlockFit.InBlock block : fit.blocks()) {
            pictures.getChildren().add(AreaPicture.draw(block.outline(), block.lines(), look.palette(), most));
        }
        Label text = Labelled.wrapped(words.name(fit) + ": " + words.text(fit) + ".", "reason");
        Button use = new Button("Use it");
        use.setId(id);
        use.setAccessibleText(Said.say("use", "what", text.getText()));
        AreaDesign.Part part = desk.design().part(desk.letter());
        Optional<AreaDesign.Part> fitted = desk.area()
                .filter(Area.Blocks.class::isInstance)
                .flatMap(area -> BlockSize.of((Area.Blocks) area))
                .flatMap(size -> fit.in(part, size, bench.job().machine()));
        use.setDisable(fitted.isEmpty() || fitted.get().equals(part));
        use.setOnAction(e -> desk.editPart(
                Said.say(
                        "step.figure",
                        "figure",
                        AreaWords.name(fit.figure()),
                        "template",
                        fit.template().name()),
                was -> fitted.orElse(was)));
        VBox card = new VBox(4, pictures, text, use);
        card.getStyleClass().add("card");
        return card;
    }
}
