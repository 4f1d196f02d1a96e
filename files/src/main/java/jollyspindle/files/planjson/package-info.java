/** The whole plan for scripts and other programs, as JSON. The names are described in {@code docs/plan-format.md}. */
package jollyspindle.files.planjson;
