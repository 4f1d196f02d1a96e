package jollyspindle.core.shelf;

import jollyspindle.core.measure.Tolerances;

/** What of a template is laid on the seam, so that the arc rises as planned. */
public sealed interface SeamRegister {

    /**
     * An engraved line.
     *
     * @param label the rise printed on it, in inches
     * @param belowEdge from the edge's crown straight down to it, in inches
     * @param off what stitches with that line on the seam, less what is planned, in inches; at most
     *     {@link Tolerances#CHALK} either way
     */
    record EngravedLine(double label, double belowEdge, double off) implements SeamRegister {}

    /**
     * No line is near enough: a strip of 1/4 tape on the back of the template, its upper edge (towards the crown) on the
     * seam.
     *
     * @param belowEdge from the edge's crown straight down to the tape's upper edge, in inches
     * @param nearestLine the label of the nearest engraved line, in inches; NaN if there are none
     * @param belowLine from that line down to the tape's upper edge, in inches; negative if the tape lies above; NaN if
     *     there are none
     */
    record Tape(double belowEdge, double nearestLine, double belowLine) implements SeamRegister {}

    /**
     * The seam passes beside the acrylic: nothing of the template can lie on it, so the foot is set on the marks instead.
     */
    record OffThePlate() implements SeamRegister {}
}
