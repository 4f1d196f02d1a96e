/**
 * What can this template stitch? Templates with their edges, engraved lines and label conventions, and the machine's foot.
 *
 * <p>Belongs here: a template by itself, and how it suits a wanted span. Doesn't: where it lies on a quilt.
 */
package jollyspindle.core.shelf;
