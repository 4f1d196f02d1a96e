/**
 * Outlines of templates from drawings in SVG. Reads what is drawn, and nothing it refers to: no other file, no script, no
 * entity.
 */
package jollyspindle.files.outline;
