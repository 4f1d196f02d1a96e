/**
 * The edges that a job's templates offer, and how a template lies for each line that is stitched along one. What is stitched
 * where belongs to the motifs.
 */
package jollyspindle.core.sewing;
