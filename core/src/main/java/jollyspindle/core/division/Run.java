package jollyspindle.core.division;

import jollyspindle.core.quilt.RunId;
import jollyspindle.core.text.Guards;

/**
 * A run to be divided.
 *
 * @param id of it
 * @param length in inches, over 0
 * @param room from where the motif stands to where nothing may be stitched, in inches
 * @param clearance from the seam to where the motif stands, in inches
 * @param left what the corner's motif takes at the left end before it begins, in inches; marks are read from there on
 */
public record Run(RunId id, double length, double room, double clearance, double left) {

    public Run {
        Guards.overZero("run", length);
    }

    /** A run that no corner takes anything of. */
    public Run(RunId id, double length, double room, double clearance) {
        this(id, length, room, clearance, 0);
    }

    /** Which runs it shares its count with: top and bottom are on one axis, right and left on another. */
    int axis() {
        return id.side().filter(side -> !side.isAcross()).isPresent() ? 1 : 0;
    }
}
