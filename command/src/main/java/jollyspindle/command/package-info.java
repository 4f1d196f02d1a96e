/**
 * The command line, for work without a window.
 *
 * <p>Belongs here: options, messages, exit status. Doesn't: computing, or file formats.
 */
package jollyspindle.command;
