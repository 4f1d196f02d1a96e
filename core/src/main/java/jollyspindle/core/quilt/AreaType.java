package jollyspindle.core.quilt;

import jollyspindle.core.param.Params;

import java.util.function.Predicate;

/**
 * A kind of area, with all that is measured of it; appliqués are of a kind by their outline. {@link AreaTypes} finds it.
 *
 * @param <A> the areas
 * @param code its lasting name, by which files keep it
 * @param type of the areas
 * @param holds which of them are of this kind
 * @param params what is measured
 */
public record AreaType<A extends Area>(String code, Class<A> type, Predicate<A> holds, Params<A> params) {

    /** Whether an area is of this kind. */
    boolean isOf(Area area) {
        return type.isInstance(area) && holds.test(type.cast(area));
    }
}
