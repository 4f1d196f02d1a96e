/**
 * Exact curves in the plane: points, directions, arcs, poses, circular segments. Inches and radians, counter-clockwise positive.
 *
 * <p>Belongs here: geometry that knows no quilts. Doesn't: templates, seams, drawing.
 */
package jollyspindle.core.geometry;
