package jollyspindle.desktop.bench;

import jollyspindle.core.motif.DivisionConstraints;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.MotifWords;
import jollyspindle.desktop.control.ChoiceField;
import jollyspindle.desktop.control.Labelled;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;

/** What can be chosen about one motif of a run and about where it stands. */
final class LayerFields {

    private final Workbench bench;
    private final int index;
    private final Layer layer;
    private final Consumer<Motif> changeMotif;
    private final BiConsumer<Layer, String> change;
    private final List<Supplier<? extends Node>> parts = new ArrayList<>();

    /**
     * Fields of a layer.
     *
     * @param index of the layer, from 0
     * @param changeMotif takes another motif
     * @param change takes another layer, with what was changed about it, as the undo command tells it
     */
    LayerFields(
            Workbench bench, int index, Layer layer, Consumer<Motif> changeMotif, BiConsumer<Layer, String> change) {
        this.bench = bench;
        this.index = index;
        this.layer = layer;
        this.changeMotif = changeMotif;
        this.change = change;
    }

    /** The fields, each made when it has its turn. */
    List<Supplier<? extends Node>> parts() {
        MotifFields fields = new MotifFields(bench, changeMotif);
        boolean strip = isStrip();
        parts.addAll(strip ? fields.alongStrip((Motif.Chevrons) layer.motif()) : fields.of(layer.motif()));
        if (index == 0) {
            bench.group().ifPresent(g -> parts.addAll(new RiseFields(bench, fields, g.set()).parts()));
        }
        parts.add(() -> fields.choice(
                "motif-edge",
                "Stands on",
                List.of(Layer.Edge.values()),
                layer.edge(),
                e -> e == Layer.Edge.SEAM ? "the seam" : "the outer edge, hanging",
                edge -> change.accept(layer.with(edge), "on the other edge")));
        if (index > 0) {
            parts.add(this::template);
            parts.add(() -> fields.choice(
                    "motif-step",
                    "Its figures stand",
                    List.of(false, true),
                    layer.halfStep(),
                    half -> half ? "half a repeat on" : "on the repeats",
                    half -> change.accept(
                            layer.withHalfStep(half), half ? "moved half a repeat on" : "moved onto the repeats")));
            parts.add(() -> fields.length(
                    "motif-breathing",
                    "Free beside other lines",
                    false,
                    OptionalDouble.of(layer.breathing()),
                    0,
                    Layer.MOST_BREATHING,
                    free -> change.accept(
                            layer.withBreathing(free.orElse(0)), "with another distance from the lines around")));
            parts.add(() -> fields.choice(
                    "motif-space",
                    "Fills",
                    List.of(Layer.Space.values()),
                    layer.space(),
                    MotifWords::name,
                    space -> change.accept(
                            layer.with(space), Said.say("step.filling", "space", MotifWords.name(space)))));
            if (layer.space() != Layer.Space.ALL) {
                parts.add(() -> fields.choice(
                        "motif-cells",
                        "Of the figures",
                        List.of(Layer.Cells.values()),
                        layer.cells(),
                        c -> switch (c) {
                            case EVERY -> "every one";
                            case ODD -> "the first, the third …";
                            case EVEN -> "the second, the fourth …";
                        },
                        cells -> change.accept(layer.with(cells), "other figures filled")));
            }
        }
        return List.copyOf(parts);
    }

    /** Whether it is stitched along a strip, whose figures are of one size and shape. */
    private boolean isStrip() {
        return layer.motif() instanceof Motif.Chevrons chevrons
                && (chevrons.points() == Motif.Points.WAVES
                        || chevrons.points() == Motif.Points.HALF_CIRCLES
                        || layer.templateId()
                                .flatMap(bench.job()::template)
                                .filter(t -> t.kind() == Kind.CHEVRON_STRIP)
                                .isPresent());
    }

    /** Which counts it comes out with. */
    String counts() {
        return switch (DivisionConstraints.parity(layer.motif())) {
            case ANY -> "Any count will do.";
            case ODD -> "It wants an odd count.";
            case EVEN -> "It wants an even count.";
        };
    }

    private Node template() {
        List<TemplateChoice> choices = TemplateChoice.of(
                bench.job(), layer.templateId(), bench.shelf(), DivisionConstraints.template(layer.motif()));
        ChoiceField<TemplateChoice> box = new ChoiceField<>(
                "motif-template",
                "The template it is stitched with",
                choices,
                choices.stream()
                        .filter(c -> c.is(layer.templateId(), layer.guideId()))
                        .findFirst()
                        .orElse(null),
                TemplateChoice::name,
                chosen -> change.accept(
                        layer.withTemplate(Optional.of(chosen.template().id()), chosen.guideId()),
                        Said.say("step.with", "template", chosen.template().name())));
        return Labelled.of("Template", box.prompting("whichever suits"));
    }
}
