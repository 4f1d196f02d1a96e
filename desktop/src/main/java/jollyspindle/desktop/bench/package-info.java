/** The bench of each stage: the choices for what is on the table. */
package jollyspindle.desktop.bench;
