/** Job files: {@code NAME.spindle.json}. The format is described by {@code docs/job.schema.json}. */
package jollyspindle.files.job;
