/**
 * What the layout of a motif works with, wherever it is laid out: on a run, in a corner or in a piece of cloth. Which of the job's
 * edges it is stitched along, what of a line lies where it may be stitched, what shows where it ends, and what is the matter.
 */
package jollyspindle.core.layout;
