/**
 * What is stitched in an area of the body: about the centre of a medallion, or in every block? One small class a motif.
 *
 * <p>Belongs here: motifs of areas, and the cloth they lie in. Doesn't: borders and strips, or judging the result.
 */
package jollyspindle.core.area;
