package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;

import java.util.List;

/**
 * A motif on a run.
 *
 * @param lines what is stitched, one arc a repeat, in the quilt's frame
 * @param marks along the run
 * @param placements in the order in which they are stitched
 */
public record LaidOut(List<Arc> lines, List<Mark> marks, List<Placement> placements) {}
