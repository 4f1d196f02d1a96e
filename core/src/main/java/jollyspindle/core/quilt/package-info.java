/**
 * What is there to be quilted? Measured sides, the border and its corners, and the local frame of each run.
 *
 * <p>The quilt's frame has its origin in the middle of the body, x to the right and y up, as the quilt lies with its top
 * edge up. Belongs here: cloth. Doesn't: what is stitched on it.
 */
package jollyspindle.core.quilt;
