package jollyspindle.core.division;

/** What stands on the odd space in the middle of a run. */
public sealed interface Filling {

    /**
     * One arc over the whole space, from a template of the job.
     *
     * @param guideId which of its edges
     */
    record LargerArc(String templateId, String guideId) implements Filling {}

    /** Two half arcs of the neighbours' kind, from both ends of the space to where they meet. */
    record TwoHalfArcs() implements Filling {}

    /** A motif of its own, laid out by itself. */
    record OwnMotif() implements Filling {}

    /** Nothing. */
    record Plain() implements Filling {}
}
