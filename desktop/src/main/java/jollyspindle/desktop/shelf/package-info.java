/**
 * The Shelf stage: templates as pictures, what each stitches, which one does what is wanted, the facts of one, the foot.
 *
 * <p>What is asked of the shelf and shown of it stands in {@link jollyspindle.desktop.shelf.ShelfModel}; the views follow it.
 */
package jollyspindle.desktop.shelf;
