/**
 * How much may be worked out, and whether it is still wanted. Belongs here: what keeps long computations within bounds. Doesn't:
 * anything about quilts.
 */
package jollyspindle.core.effort;
