/**
 * How does the template lie for each line? Its pose, what it registers on, where the foot starts and stops.
 *
 * <p>Belongs here: single placements. Doesn't: which line is wanted, or in which order they are stitched.
 */
package jollyspindle.core.placement;
