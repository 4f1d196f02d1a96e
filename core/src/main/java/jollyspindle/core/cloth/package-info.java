/**
 * How will it look once it is quilted? The colours of cloth and thread that were chosen, and the relief that the stitching raises.
 *
 * <p>Belongs here: what of the look is decided ({@link jollyspindle.core.cloth.ClothLook}) and what is worked out from lines and
 * batting ({@link jollyspindle.core.cloth.Relief}). Doesn't: drawing it.
 */
package jollyspindle.core.cloth;
