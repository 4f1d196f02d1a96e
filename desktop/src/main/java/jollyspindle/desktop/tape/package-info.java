/**
 * The tape: the chosen run unrolled straight, graduated like a tape measure.
 *
 * <p>Belongs here: drawing it, reading it, dragging valleys on it. Doesn't: how a run is divided.
 */
package jollyspindle.desktop.tape;
