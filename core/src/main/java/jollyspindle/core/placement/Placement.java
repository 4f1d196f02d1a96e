package jollyspindle.core.placement;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.ArcEdge;

/**
 * How the template lies for one stitched piece of an arc.
 *
 * @param id unique in a plan, such as {@code top-arc-3} or {@code top-arc-3-part-2}
 * @param run it is on
 * @param repeat which arc of the run, from 1 at the run's zero
 * @param part which placement of that arc, from 1
 * @param parts how many placements that arc takes
 * @param templateId which template
 * @param guideId which edge of it, by its id
 * @param edge which way that edge curves; a convex edge has the foot outside the curve, a concave one inside
 * @param pose how it lies in the quilt's frame; its own origin is the centre of its edge's circle, home is crown up
 * @param registration what it is laid on
 * @param start mark under the needle when the line starts
 * @param end mark under the needle when the line ends
 * @param line what is stitched, in the quilt's frame, from start to end
 */
public record Placement(
        String id,
        RunId run,
        int repeat,
        int part,
        int parts,
        String templateId,
        String guideId,
        ArcEdge edge,
        Pose pose,
        Registration registration,
        Mark start,
        Mark end,
        Arc line) {}
