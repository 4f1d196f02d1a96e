/**
 * The page for what is stitched in the middle of the quilt: motifs and their numbers, gallery, letters, sizes, rotation plan.
 *
 * <p>Belongs here: what is chosen for areas. Doesn't: the table and the protractor tape, or measuring areas.
 */
package jollyspindle.desktop.area;
