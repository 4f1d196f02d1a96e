package jollyspindle.desktop.area;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.BlockFit;
import jollyspindle.core.area.BlockSize;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.words.AreaWords;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.control.TypedField;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.AreaDesk;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** Which size of shells fits these blocks, or others that are typed: each as it comes out, the best first. */
final class SizesPane extends VBox {

    private static final double PICTURE = 92;

    private final Workbench bench;
    private final Look look;
    private final AreaDesk desk;
    private List<BlockSize> typed = List.of();

    SizesPane(Workbench bench, Look look) {
        super(8);
        this.bench = bench;
        this.look = look;
        this.desk = bench.areas();
    }

    void show() {
        getChildren().clear();
        List<BlockSize> sizes = sizes();
        AreaWords words = new AreaWords(bench.words());
        TypedField field = new TypedField("size-list", "Which size fits blocks of", text -> {
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
        getChildren().add(field);
        getChildren()
                .add(Labelled.wrapped(
                        "Several sizes with semicolons between them, with how many there are: 12 of 4 1/2; 4 of 6 by 9."
                                + " Empty, it is the blocks of this quilt.",
                        "faint"));
        List<BlockFit> fits = BlockFit.of(
                sizes,
                bench.shelf().templates(),
                bench.job().machine(),
                bench.job().tape());
        if (fits.isEmpty()) {
            getChildren()
                    .add(Labelled.wrapped(
                            "No clamshell row of the shelf has room in all of them, or there is none on the shelf.",
                            "refused"));
        }
        for (BlockFit fit : fits) {
            getChildren().add(card(fit, words));
        }
    }

    /** What was typed, or all the quilt's blocks. */
    private List<BlockSize> sizes() {
        if (!typed.isEmpty()) {
            return typed;
        }
        List<BlockSize> own = bench.job().quilt().areas().stream()
                .filter(Area.Blocks.class::isInstance)
                .map(Area.Blocks.class::cast)
                .map(b -> new BlockSize(b.width() - 2 * b.clearance(), b.height() - 2 * b.clearance(), b.count()))
                .toList();
        return own.isEmpty() ? List.of(new BlockSize(12, 12, 1)) : own;
    }

    private VBox card(BlockFit fit, AreaWords words) {
        FlowPane pictures = new FlowPane(6, 6);
        double most = PICTURE * look.scaleProperty().get();
        for (BlockFit.InBlock block : fit.blocks()) {
            pictures.getChildren().add(AreaPicture.draw(block.outline(), block.lines(), look.palette(), most));
        }
        Label text = Labelled.wrapped(fit.template().name() + ": " + words.text(fit) + ".", "reason");
        Button use = new Button("Use it");
        use.setId("area-size-" + fit.template().id());
        use.setAccessibleText("Use " + text.getText());
        use.setDisable(!desk.isLooked() || isUsed(fit));
        use.setOnAction(e -> use(fit));
        VBox card = new VBox(4, pictures, text, use);
        card.getStyleClass().add("card");
        return card;
    }

    private boolean isUsed(BlockFit fit) {
        return desk.design().part(desk.letter()).layers().stream()
                .anyMatch(l -> l.motif() instanceof AreaMotif.Clamshells
                        && l.templateId().filter(fit.template().id()::equals).isPresent());
    }

    /** Its shells in place of those there are, or as one more motif. */
    private void use(BlockFit fit) {
        desk.editPart("shells with " + fit.template().name(), part -> {
            for (int i = 0; i < part.layers().size(); i++) {
                if (part.layers().get(i).motif() instanceof AreaMotif.Clamshells shells) {
                    return part.withLayer(
                            i,
                            new AreaDesign.Layer(
                                    shells, Optional.of(fit.template().id())));
                }
            }
            return part.withLayer(
                    part.layers().size(),
                    new AreaDesign.Layer(
                            new AreaMotif.Clamshells(0),
                            Optional.of(fit.template().id())));
        });
    }
}
