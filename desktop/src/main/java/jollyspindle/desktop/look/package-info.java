/** How everything looks: fonts, style sheets, colours of drawings. */
package jollyspindle.desktop.look;
