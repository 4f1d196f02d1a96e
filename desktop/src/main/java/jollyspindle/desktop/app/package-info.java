/** The application: its start, its window, its menus and what they do with files. */
package jollyspindle.desktop.app;
