package jollyspindle.core.quilt;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;

import java.util.OptionalDouble;

/**
 * What a border is, besides what is measured of it.
 *
 * @param corners how it turns its corners
 * @param plain whether nothing is stitched on it
 * @param unit the length of the unit it is pieced from, in inches, over 0; nothing if it is cut from one cloth
 */
public record Border(Corners corners, boolean plain, OptionalDouble unit) {

    private static final Param.Choice<Border, Corners> CORNERS =
            Param.choice("corners", Corners.class, Border::corners);
    private static final Param.Flag<Border> PLAIN = Param.flag("plain", Border::plain, false);

    /** The unit it is pieced from. */
    public static final Param.MaybeLength<Border> UNIT =
            Param.maybeLength("unit", QuiltRules.SMALLEST_STEP, QuiltRules.LONGEST, Border::unit);

    /** All that is said of a border besides what is measured. */
    public static final Params<Border> PARAMS = Params.of(
                    v -> new Border(v.get(CORNERS), v.get(PLAIN), v.get(UNIT)), Params.row(CORNERS, PLAIN, UNIT))
            .brief(PLAIN);

    /** A border cut from one cloth, with mitred corners, to be stitched. */
    public static final Border USUAL = new Border(Corners.MITRED, false, OptionalDouble.empty());

    public Border {
        unit.ifPresent(UNIT::check);
    }

    public Border with(Corners other) {
        return new Border(other, plain, unit);
    }

    public Border withPlain(boolean other) {
        return new Border(corners, other, unit);
    }

    public Border withUnit(OptionalDouble other) {
        return new Border(corners, plain, other);
    }
}
