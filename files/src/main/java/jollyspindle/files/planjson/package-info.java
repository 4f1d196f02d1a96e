/** What is planned and what the shelf answers, as JSON for scripts. The names are documented in {@code docs/plan-format.md}. */
package jollyspindle.files.planjson;
