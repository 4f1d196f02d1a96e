package jollyspindle.core.shelf;

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

    public ClothCheck {
        if (!Machine.isFoot(footRadius) || !(measured >= Form.SMALLEST) || measured > 2 * Form.LARGEST) {
            throw new IllegalArgumentException("a check on cloth with foot " + footRadius + " and " + measured);
        }
    }
}
