/**
 * Templates as JSON: one by one, as sets to hand on, and the quilter's whole shelf. Jobs hold their copies in the same
 * form, which {@code docs/template.schema.json} describes.
 */
package jollyspindle.files.shelf;
