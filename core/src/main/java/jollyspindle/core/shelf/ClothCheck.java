package jollyspindle.core.shelf;

import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.shelf.form.Form;

import java.time.LocalDate;

/**
 * What a template was seen to stitch on cloth.
 *
 * @param date of the check
 * @param footRadius of the foot it was stitched with, in inches
 * @param measured what {@link Prediction} foretells for this template, as measured on the cloth, in inches
 */
public record ClothCheck(LocalDate date, double footRadius, double measured) {

    private static final Param.Own<ClothCheck, LocalDate> DATE = Param.own("date", LocalDate.class, ClothCheck::date);
    private static final Param.Length<ClothCheck> FOOT_RADIUS = Param.length(
            "footRadius", Machine.SMALLEST_FOOT_RADIUS, Machine.LARGEST_FOOT_RADIUS, ClothCheck::footRadius);

    /** What was measured on the cloth. */
    public static final Param.Length<ClothCheck> MEASURED =
            Param.length("measured", Form.SMALLEST, 2 * Form.LARGEST, ClothCheck::measured);

    /** All that is said of a check. */
    public static final Params<ClothCheck> PARAMS = Params.of(
            v -> new ClothCheck(v.get(DATE), v.get(FOOT_RADIUS), v.get(MEASURED)),
            Params.row(DATE, FOOT_RADIUS, MEASURED));

    public ClothCheck {
        FOOT_RADIUS.check(footRadius);
        MEASURED.check(measured);
    }
}
