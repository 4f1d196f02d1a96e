/**
 * The kinds of template, each by its true geometry: what is cut from the sheet, and along which edges the foot runs.
 *
 * <p>Belongs here: one record a kind. Doesn't: a template's other facts, or what they are good for.
 */
package jollyspindle.core.shelf.form;
