/**
 * What goes out of the application and comes back: job files, packets, drawings, plans as JSON.
 *
 * <p>Belongs here: formats, and getting bytes onto the disk safely. Doesn't: computing, or anything on a screen.
 */
package jollyspindle.files;
