/** Controls of our own: each shows one thing and tells what the quilter does with it. None computes or knows files. */
package jollyspindle.desktop.control;
