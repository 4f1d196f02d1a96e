/** The quilt as an SVG drawing at true size. */
package jollyspindle.files.drawing;
