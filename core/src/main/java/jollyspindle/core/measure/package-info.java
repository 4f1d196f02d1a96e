/**
 * What does the tape say? Lengths as people write them, the divisions of the tape, and readings rounded once to it.
 *
 * <p>Belongs here: parsing and saying lengths. Doesn't: what a length is a measure of.
 */
package jollyspindle.core.measure;
