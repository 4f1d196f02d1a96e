package jollyspindle.core.motif;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;

import java.util.List;

/**
 * Motifs on a run.
 *
 * @param lines what is stitched, in the order of stitching
 * @param marks along the run
 * @param placements in the order in which they are stitched
 */
public record LaidOut(List<StitchLine> lines, List<Mark> marks, List<Placement> placements) {

    /** Nothing. */
    public static final LaidOut EMPTY = new LaidOut(List.of(), List.of(), List.of());

    public LaidOut {
        lines = List.copyOf(lines);
        marks = List.copyOf(marks);
        placements = List.copyOf(placements);
    }
}
