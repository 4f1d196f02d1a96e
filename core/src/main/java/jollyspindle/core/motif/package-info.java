/**
 * What is stitched on a run? One small class a motif: parameters in; stitch lines, marks and placements out.
 *
 * <p>Belongs here: motifs. Doesn't: dividing the run, or judging the result.
 */
package jollyspindle.core.motif;
