/**
 * The JavaFX application.
 *
 * <p>Belongs here: showing and changing jobs. Doesn't: computing (core) or file formats (files).
 */
package jollyspindle.desktop;
