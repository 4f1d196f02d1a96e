package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.sewing.Sewing;
import jollyspindle.core.sewing.Tools;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What every motif of an area works with while it is laid out in one piece of cloth.
 *
 * @param space the piece
 * @param sewing that collects what is stitched
 * @param tools there are
 * @param templateId of the template asked for
 * @param rays of arms, if there are any
 * @param told what there is to know
 */
record AreaLaying(
        AreaSpace space, Sewing sewing, Tools tools, Optional<String> templateId, List<Ray> rays, List<AreaTold> told) {

    /** Shorter pieces than this, in inches, are left out: a stitch or two. */
    static final double SHORTEST = 1.0 / 8;

    private static final double ON = 1e-6;

    AreaLaying(AreaSpace space, Sewing sewing, Tools tools, Optional<String> templateId) {
        this(space, sewing, tools, templateId, new ArrayList<>(), new ArrayList<>());
    }

    Marker marker() {
        return sewing.marker();
    }

    void tell(AreaTold what) {
        if (!told.contains(what)) {
            told.add(what);
        }
    }

    /** What of a path may be stitched, without snippets. */
    List<Path> kept(Path path) {
        return space.region().within(path).stream()
                .filter(p -> p.length() >= SHORTEST)
                .toList();
    }

    Mark mark(Mark.Kind kind, Point place) {
        return marker().next(kind, place, Mark.Stage.LOADED);
    }

    /** Where a line ends: on the area's edge, on what is stitched already, or with the template. */
    Spot shown(Point place) {
        boolean edge = space.outline().distance(place) < ON
                || space.inTheWay().stream().anyMatch(path -> path.distance(place) < ON);
        boolean stitched =
                !edge && sewing.placements().stream().map(Placement::path).anyMatch(path -> path.distance(place) < ON);
        return Spot.at(place, edge ? Spot.ShownBy.SEAM : stitched ? Spot.ShownBy.STITCHING : Spot.ShownBy.TEMPLATE);
    }
}
