/**
 * What is marked on the cloth, when, and what the tape says there.
 *
 * <p>Belongs here: marks and their readings. Doesn't: where repeats divide, or how a template lies.
 */
package jollyspindle.core.marking;
