package jollyspindle.core.placement;

import jollyspindle.core.shelf.SeamRegister;

/** What a template is laid on, so that it lies as planned. */
public sealed interface Registration {

    /**
     * Something of the template lies on the seam of the run.
     *
     * @param what of the template
     */
    record OnSeam(SeamRegister what) implements Registration {}

    /**
     * The template is turned, so that none of its lines is parallel to the seam: it is pushed against the foot with the
     * needle over the start mark, and against the foot again over the end mark.
     */
    record FootOnBothMarks() implements Registration {}
}
