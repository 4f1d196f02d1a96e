package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;
import org.locationtech.jts.operation.overlayng.OverlayNG;
import org.locationtech.jts.operation.overlayng.OverlayNGRobust;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a piece's stitching leaves open: the largest circle without a stitch, and parts that are cut off. Found by JTS, which
 * knows straight lines only; curves are followed within 1/1000 inch.
 */
final class Gaps {

    private static final double FLAT = 1.0 / 1000;

    /** Parts smaller than this, in square inches, aren't stitched. */
    private static final double NOTHING = 1.0 / 16;

    private static final GeometryFactory JTS = new GeometryFactory();

    private Gaps() {}

    /**
     * A circle without a stitch.
     *
     * @param centre of it
     * @param diameter in inches
     */
    record Circle(Point centre, double diameter) {}

    /**
     * The largest circle about a place of a piece that no line cuts, if it is larger than may be. The piece's edge and those of
     * what is in the way count as stitched in the ditch.
     *
     * @param most diameter that may be, in inches
     */
    static Optional<Circle> over(double most, AreaSpace space, List<Path> stitched) {
        List<Coordinate[]> lines = new ArrayList<>();
        lines.add(places(space.cloth()));
        space.inTheWay().forEach(p -> lines.add(places(p)));
        stitched.forEach(p -> lines.add(places(p)));
        return EmptyCircle.over(most, lines, free(space.cloth(), space.inTheWay()));
    }

    /** The parts of a piece that something in the way cuts off from each other, those with a line in them. */
    static List<Point> parts(AreaSpace space, List<Path> stitched) {
        if (space.inTheWay().isEmpty()) {
            return List.of();
        }
        Geometry free = free(space.outline(), space.inTheWay());
        List<Point> parts = new ArrayList<>();
        for (int i = 0; i < free.getNumGeometries(); i++) {
            Geometry part = free.getGeometryN(i);
            if (part.getArea() > NOTHING) {
                PreparedGeometry near = PreparedGeometryFactory.prepare(part.buffer(FLAT));
                first(near, stitched).ifPresent(parts::add);
            }
        }
        return parts;
    }

    private static Optional<Point> first(PreparedGeometry part, List<Path> stitched) {
        return stitched.stream()
                .map(p -> p.curves().get(p.curves().size() / 2).at(0.5))
                .filter(p -> part.covers(JTS.createPoint(new Coordinate(p.x(), p.y()))))
                .findFirst();
    }

    private static Geometry free(Path outline, List<Path> inTheWay) {
        Geometry cloth = polygon(outline);
        if (inTheWay.isEmpty()) {
            return cloth;
        }
        // Edges that nearly lie on each other are no trouble to these.
        Geometry covered = OverlayNGRobust.union(
                inTheWay.stream().<Geometry>map(Gaps::polygon).toList());
        return OverlayNGRobust.overlay(cloth, covered, OverlayNG.DIFFERENCE);
    }

    private static Coordinate[] places(Path path) {
        return path.flattened(FLAT).stream()
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new);
    }

    private static Polygon polygon(Path path) {
        Coordinate[] places = places(path);
        // Closed to the last digit, as JTS wants it.
        places[places.length - 1] = places[0].copy();
        return JTS.createPolygon(places);
    }
}
