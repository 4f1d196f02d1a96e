/**
 * In which order does the thread run, and how does the needle get from line to line?
 *
 * <p>Belongs here: ditches, travelling, the order of lines that are laid out. Doesn't: what lines there are.
 */
package jollyspindle.core.route;
