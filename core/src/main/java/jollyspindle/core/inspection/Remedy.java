package jollyspindle.core.inspection;

import jollyspindle.core.division.Counts;
import jollyspindle.core.quilt.Dimension;

/** What can be done about a finding. */
public sealed interface Remedy {

    /** Measure something, or measure it again. */
    record Measure(Dimension what) implements Remedy {}

    /** Choose other counts of repeats. */
    record UseCounts(Counts counts) implements Remedy {}

    /** Take the shelf's copy of a template into the job. */
    record TakeFromShelf(String templateId) implements Remedy {}

    /** Put the job's copy of a template on the shelf. */
    record PutOnShelf(String templateId) implements Remedy {}

    /** Choose another template, or mend this one. */
    record SeeShelf() implements Remedy {}
}
