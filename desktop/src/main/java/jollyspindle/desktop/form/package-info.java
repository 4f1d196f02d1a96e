/** Forms for what can be chosen about a thing, made of its params. */
package jollyspindle.desktop.form;
