package jollyspindle.core.quilt;

import jollyspindle.core.param.ParamKnob;
import jollyspindle.core.param.Params;

import java.util.List;
import java.util.function.Function;
import java.util.function.Predicate;

/**
 * A kind of area, with all that is measured of it; appliqués are of a kind by their outline. {@link AreaTypes} finds it.
 *
 * @param <A> the areas
 * @param code its lasting name, by which files keep it
 * @param type of the areas
 * @param holds which of them are of this kind
 * @param params what is measured
 * @param sizes what of its size can be dragged
 */
public record AreaType<A extends Area>(
        String code, Class<A> type, Predicate<A> holds, Params<A> params, Function<A, List<ParamKnob<A>>> sizes) {

    /** One of which no size can be dragged. */
    AreaType(String code, Class<A> type, Predicate<A> holds, Params<A> params) {
        this(code, type, holds, params, area -> List.of());
    }

    /** One of which some sizes can be dragged. */
    AreaType<A> dragged(Function<A, List<ParamKnob<A>>> other) {
        return new AreaType<>(code, type, holds, params, other);
    }

    /** Whether an area is of this kind. */
    boolean isOf(Area area) {
        return type.isInstance(area) && holds.test(type.cast(area));
    }
}
