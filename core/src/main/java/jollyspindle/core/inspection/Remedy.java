package jollyspindle.core.inspection;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.division.school.School;
import jollyspindle.core.motif.Design;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;

/** What can be done about a finding. */
public sealed interface Remedy {

    /** Measure something, or measure it again. */
    record Measure(Dimension what) implements Remedy {}

    /** Divide runs another way. */
    record Divide(SortedMap<RunId, School> schools) implements Remedy {
        public Divide {
            schools = Collections.unmodifiableSortedMap(new TreeMap<>(schools));
        }

        public Divide(Map<RunId, School> schools) {
            this(new TreeMap<>(schools));
        }
    }

    /** Let go what was chosen, and follow the best candidate. */
    record FollowBest(GroupId group) implements Remedy {}

    /**
     * Allow repeats from one length to another, in inches.
     *
     * @param shortest allowed
     * @param longest allowed
     */
    record AllowRange(GroupId group, double shortest, double longest) implements Remedy {}

    /** Stitch other motifs. */
    record Redesign(GroupId group, Design design) implements Remedy {}

    /** Stitch an area otherwise. */
    record RedesignArea(AreaId area, AreaDesign design) implements Remedy {}

    /** Choose this border's counts by themselves. */
    record Untie(GroupId group) implements Remedy {}

    /** Plan two opposite sides otherwise. */
    record Ease(Side side, Easing to) implements Remedy {}

    /** Look at the readings, each from one zero. */
    record SeeMarks(RunId run) implements Remedy {}

    /** Take the shelf's copy of a template into the job. */
    record TakeFromShelf(String templateId) implements Remedy {}

    /** Put the job's copy of a template on the shelf. */
    record PutOnShelf(String templateId) implements Remedy {}

    /** Choose another template, or mend this one. */
    record SeeShelf() implements Remedy {}
}
