package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.QuiltRules;

import java.util.List;

/**
 * What lies round an area and on it.
 *
 * @param body its edge, counter-clockwise in the quilt's frame
 * @param inTheWay outlines that nothing is stitched in
 * @param echoes spacings of the echoes round what lies on it, in inches
 */
public record AreaSurroundings(Path body, List<Path> inTheWay, List<Double> echoes) {

    public AreaSurroundings {
        echoes = List.copyOf(echoes);
        inTheWay = List.copyOf(inTheWay);
    }

    /** A body larger than any quilt, and nothing else. */
    static AreaSurroundings none() {
        Point corner = new Point(QuiltRules.LONGEST, QuiltRules.LONGEST);
        return new AreaSurroundings(Box.of(corner.times(-1), corner).outline(), List.of(), List.of());
    }
}
