package jollyspindle.core.layout;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.placement.LineEnd;

import java.util.Optional;

/** Where a motif is laid out: a run, or a piece of cloth. */
public interface StitchSpace {

    /** What of it may be stitched, in the quilt's frame. */
    Region region();

    /**
     * What shows a place that lies on its edge.
     *
     * @param place in the quilt's frame
     * @return nothing for a place inside, which only marks and stitching can show
     */
    Optional<LineEnd.ShownBy> shownBy(Point place);
}
