package jollyspindle.desktop.model;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.words.ParamWords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** What can be dragged in a piece of an area: the numbers of each of its motifs, as their kinds have them. */
final class AreaKnobs {

    private AreaKnobs() {}

    static List<Knob> of(AreaId id, AreaDesign design, AreaPlan.Piece piece) {
        List<Knob> knobs = new ArrayList<>();
        List<AreaDesign.Layer> layers = design.part(piece.letter()).layers();
        for (int i = 0; i < layers.size(); i++) {
            AreaMotif motif = layers.get(i).motif();
            AreaMotifType<?> type = AreaMotifTypes.of(motif);
            ParamWords words = new ParamWords("area." + type.code());
            for (ParamKnob<? extends AreaMotif> knob : type.knobs(
                    motif, piece.cloth().centre(), piece.cloth().outline().box())) {
                knobs.add(knob(id, design, piece.letter(), i, knob, words));
            }
        }
        return List.copyOf(knobs);
    }

    private static Knob knob(
            AreaId id,
            AreaDesign design,
            char letter,
            int index,
            ParamKnob<? extends AreaMotif> knob,
            ParamWords words) {
        return new Knob(
                "area-" + knob.param().code() + "-" + (index + 1),
                words.dragged(knob.param()),
                knob.place(),
                knob.origin(),
                knob.way(),
                knob.factor(),
                inches -> changed(id, design, letter, index, knob, inches));
    }

    private static Optional<UnaryOperator<QuiltJob>> changed(
            AreaId id, AreaDesign design, char letter, int index, ParamKnob<? extends AreaMotif> knob, double inches) {
        try {
            AreaMotif motif = knob.changed().apply(inches);
            AreaDesign.Part part = design.part(letter);
            Optional<String> template = part.layers().get(index).templateId();
            AreaDesign next = design.with(letter, part.withLayer(index, new AreaDesign.Layer(motif, template)));
            return Optional.of(job -> job.with(id, next));
        } catch (IllegalArgumentException e) {
            // Too small or too large to be stitched: it stays as it was.
            return Optional.empty();
        }
    }
}
