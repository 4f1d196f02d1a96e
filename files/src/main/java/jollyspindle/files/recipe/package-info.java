/** Designs on their own, to be used on other quilts. */
package jollyspindle.files.recipe;
