package jollyspindle.core.quilt;

import java.util.OptionalDouble;

/**
 * What a border is, besides what is measured of it.
 *
 * @param corners how it turns its corners
 * @param plain whether nothing is stitched on it
 * @param unit the length of the unit it is pieced from, in inches, over 0; nothing if it is cut from one cloth
 */
public record Border(Corners corners, boolean plain, OptionalDouble unit) {

    /** A border cut from one cloth, with mitred corners, to be stitched. */
    public static final Border USUAL = new Border(Corners.MITRED, false, OptionalDouble.empty());

    public Border {
        unit.ifPresent(inches -> {
            if (!QuiltRules.isStep(inches)) {
                throw new IllegalArgumentException("a pieced unit is 1/32 to 200, not " + inches);
            }
        });
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
