/**
 * JSON as all of the application's files are written in it: read strictly, told where it is wrong, nothing unknown lost.
 */
package jollyspindle.files.json;
