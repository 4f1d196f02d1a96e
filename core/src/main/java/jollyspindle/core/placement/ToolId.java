package jollyspindle.core.placement;

import jollyspindle.core.shelf.ArcEdge;

import java.util.Optional;

/**
 * Which edge of which template is followed.
 *
 * <p>A round edge's own frame has its origin at the centre of its circle, home is crown up; any other's is the template's.
 *
 * @param templateId of the job's copy
 * @param guideId which edge of it
 * @param edge which way a round edge curves: a convex edge has the foot outside the curve, a concave one inside
 */
public record ToolId(String templateId, String guideId, Optional<ArcEdge> edge) {

    /** No template at all. */
    public static final ToolId BY_HAND = new ToolId("", "", Optional.empty());

    public boolean isByHand() {
        return equals(BY_HAND);
    }
}
