package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.QuiltRules;

import java.util.List;
import java.util.Set;

/**
 * What lies round an area and on it.
 *
 * @param body its edge, counter-clockwise in the quilt's frame
 * @param inTheWay outlines that nothing is stitched in
 * @param open those of them that lie on open cloth: an appliqué's clearance
 * @param echoes spacings of the echoes round what lies on it, in inches
 */
public record AreaSurroundings(Path body, List<Path> inTheWay, Set<Path> open, List<Double> echoes) {

    public AreaSurroundings {
        open = Set.copyOf(open);
        echoes = List.copyOf(echoes);
        inTheWay = List.copyOf(inTheWay);
    }

    /** What lies round an area where everything on it ends at a seam or an edge. */
    public AreaSurroundings(Path body, List<Path> inTheWay, List<Double> echoes) {
        this(body, inTheWay, Set.of(), echoes);
    }

    /** A body larger than any quilt, and nothing else. */
    static AreaSurroundings none() {
        Point corner = new Point(QuiltRules.LONGEST, QuiltRules.LONGEST);
        return new AreaSurroundings(Box.of(corner.times(-1), corner).outline(), List.of(), List.of());
    }
}
