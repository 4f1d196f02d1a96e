/**
 * What would go wrong? Findings with a place, a reason and a remedy.
 *
 * <p>Belongs here: judging a job and its plan. Doesn't: mending it; a remedy says what to change, the quilter decides.
 */
package jollyspindle.core.inspection;
