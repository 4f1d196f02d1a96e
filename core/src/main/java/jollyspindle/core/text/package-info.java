/** What is said where nothing of the core's words can be asked, since they know it all: why something that was typed can't be. */
package jollyspindle.core.text;
