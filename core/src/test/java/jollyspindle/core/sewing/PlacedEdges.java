package jollyspindle.core.sewing;

import jollyspindle.core.geometry.Jts;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Guide;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.util.AffineTransformation;
import org.locationtech.jts.operation.distance.IndexedFacetDistance;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How far the needle is from the edge that a template is placed with, as JTS measures it: the place is carried into the template's
 * own frame, so that each edge is drawn and indexed once.
 */
public final class PlacedEdges {

    private final List<Template> templates;
    private final Map<List<String>, IndexedFacetDistance> edges = new HashMap<>();

    public PlacedEdges(List<Template> templates) {
        this.templates = templates;
    }

    /** In inches, from the acrylic's edge to a place in the quilt's frame. */
    public double distance(Placement placement, Point needle) {
        Pose pose = placement.pose();
        AffineTransformation home = AffineTransformation.translationInstance(
                        -pose.position().x(), -pose.position().y())
                .rotate(-pose.rotation());
        if (pose.over()) {
            home.scale(-1, 1);
        }
        Coordinate own = home.transform(new Coordinate(needle.x(), needle.y()), new Coordinate());
        return edges.computeIfAbsent(
                        List.of(placement.tool().templateId(), placement.tool().guideId()),
                        names -> edge(names.get(0), names.get(1)))
                .distance(Jts.point(new Point(own.x, own.y)));
    }

    private IndexedFacetDistance edge(String templateId, String guideId) {
        Guide guide = templates.stream()
                .filter(t -> t.id().equals(templateId))
                .findFirst()
                .orElseThrow()
                .cut()
                .guide(guideId)
                .orElseThrow();
        Point centre = guide.round().map(r -> r.centre().times(-1)).orElse(Point.ORIGIN);
        return new IndexedFacetDistance(Jts.line(guide.edge().moved(centre)));
    }
}
