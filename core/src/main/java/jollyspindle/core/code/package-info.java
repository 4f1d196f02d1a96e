/** Lasting names: what files, ids and scripts call things, whatever the program or the screen calls them. */
package jollyspindle.core.code;
