package jollyspindle.core.shelf.form;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Offsets;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.Machine;

import java.util.List;
import java.util.Optional;

/**
 * An edge of the acrylic that the foot runs along.
 *
 * @param id unique on its template; letters, digits and hyphens
 * @param role which edge it is
 * @param number which of its role, from 1; 0 if there is only one
 * @param edge in the template's frame
 * @param footLeft whether the foot is on the left of it, seen in its direction of travel
 * @param round its circle, if it is a piece of one
 */
public record Guide(String id, Role role, int number, Path edge, boolean footLeft, Optional<Round> round) {

    /** Which edge of a template is meant. */
    public enum Role {
        BULGING_EDGE,
        HOLLOW_EDGE,
        HOLE,
        DISC,
        OUTER_WALL,
        INNER_WALL,
        SCALLOPS,
        UPPER_EDGE,
        LOWER_EDGE,
        END_NOTCH,
        NOTCH,
        OUTSIDE_CORNER,
        SERPENTINE,
        ZIGZAG,
        LEADING_EDGE,
        TRAILING_EDGE,
        OUTSIDE,
        WINDOW
    }

    /**
     * The circle an edge is a piece of.
     *
     * @param centre in the template's frame
     * @param radius of the acrylic edge in inches, over 0
     * @param edge whether the foot runs outside or inside of it
     * @param sweep how much of it the foot can follow, in radians, at most a full turn
     */
    public record Round(Point centre, double radius, ArcEdge edge, double sweep) {

        /** The radius the needle stitches, in inches; not over 0 if the foot can't follow. */
        public double stitchedRadius(Machine machine) {
            return radius + edge.footSign() * machine.footRadius();
        }
    }

    static Guide round(String id, Role role, int number, Arc arc, ArcEdge edge) {
        boolean inside = edge == ArcEdge.CONCAVE;
        return new Guide(
                id,
                role,
                number,
                Path.of(arc),
                inside == arc.sweep() > 0,
                Optional.of(new Round(arc.centre(), arc.radius(), edge, Math.abs(arc.sweep()))));
    }

    static Guide free(String id, Role role, Path edge, boolean footLeft) {
        return new Guide(id, role, 0, edge, footLeft, Optional.empty());
    }

    /** Where the needle goes when a foot runs along this edge; empty if it can't. */
    public List<Path> stitched(double foot) {
        return Offsets.follow(edge, footLeft, foot);
    }
}
