/** What the window shows: the job being worked on, its history, and what the quilter points at. No controls here. */
package jollyspindle.desktop.model;
