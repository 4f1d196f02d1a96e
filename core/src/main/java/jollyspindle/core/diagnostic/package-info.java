/** What is the matter with something, or what there is to know about it, as numbers. */
package jollyspindle.core.diagnostic;
