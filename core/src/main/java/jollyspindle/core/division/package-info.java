/**
 * How does this run come out even? Positions computed from one zero, counts of the sides chosen together, candidates with reasons.
 *
 * <p>Belongs here: dividing lengths and judging the result. Doesn't: what is stitched in a repeat.
 */
package jollyspindle.core.division;
