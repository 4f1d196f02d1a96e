package jollyspindle.core.inspection;

import jollyspindle.core.division.Counts;
import jollyspindle.core.quilt.Dimension;

/** What can be done about a finding. */
public sealed interface Remedy {

    /** Measure something, or measure it again. */
    record Measure(Dimension what) implements Remedy {}

    /** Choose other counts of repeats. */
    record UseCounts(Counts counts) implements Remedy {}

    /** Choose another template, or mend this one. */
    record SeeShelf() implements Remedy {}
}
