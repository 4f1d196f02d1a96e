package jollyspindle.desktop.model;

import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.AreaType;
import jollyspindle.core.quilt.AreaTypes;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.words.ParamWords;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What of the areas' sizes can be dragged while the quilt is measured, as their kinds have it. */
final class AreaSizeKnobs {

    private AreaSizeKnobs() {}

    static List<Knob> of(Quilt quilt) {
        return quilt.areaIds().stream()
                .flatMap(id -> of(id, quilt.area(id).orElseThrow()))
                .toList();
    }

    private static <A extends Area> Stream<Knob> of(AreaId id, A area) {
        AreaType<A> type = AreaTypes.of(area);
        ParamWords words = new ParamWords("area-kind." + type.code());
        return type.sizes().apply(area).stream().map(knob -> knob(id, knob, words));
    }

    private static <A extends Area> Knob knob(AreaId id, ParamKnob<A> knob, ParamWords words) {
        return new Knob(
                "size-" + id.number() + "-" + knob.param().code(),
                words.dragged(knob.param()),
                knob.place(),
                knob.origin(),
                knob.way(),
                knob.factor(),
                inches -> {
                    try {
                        A next = knob.changed().apply(inches);
                        return Optional.of(job -> job.withQuilt(job.quilt().with(id, next)));
                    } catch (IllegalArgumentException e) {
                        // Too small or too large: it stays as it was.
                        return Optional.empty();
                    }
                });
    }
}
