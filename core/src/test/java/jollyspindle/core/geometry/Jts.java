package jollyspindle.core.geometry;

import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;

import java.awt.geom.Area;
import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.util.List;
import java.util.Random;

/** Paths as JTS and java.awt.geom, the referees, know them: in straight lines. */
public final class Jts {

    /** How far straight lines stray from the curves they stand for, in inches. */
    public static final double FLAT = 2e-6;

    private static final GeometryFactory FACTORY = new GeometryFactory();

    private Jts() {}

    public static LineString line(Path path) {
        return FACTORY.createLineString(coordinates(path.flattened(FLAT)));
    }

    public static Polygon polygon(Path closed) {
        Coordinate[] ring = coordinates(closed.flattened(FLAT));
        ring[ring.length - 1] = ring[0].copy();
        return FACTORY.createPolygon(ring);
    }

    private static Coordinate[] coordinates(List<Point> places) {
        return places.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
    }

    public static org.locationtech.jts.geom.Point point(Point p) {
        return FACTORY.createPoint(new Coordinate(p.x(), p.y()));
    }

    /** A round buffer, with arcs in fine steps. */
    public static Geometry buffer(Geometry g, double distance) {
        BufferParameters fine = new BufferParameters(180);
        fine.setSimplifyFactor(1e-5);
        return BufferOp.bufferOp(g, distance, fine);
    }

    /** What java.awt.geom says that a closed path encloses, summed from its flattened outline. */
    public static double awtArea(Path closed) {
        Path2D shape = new Path2D.Double();
        List<Point> places = closed.flattened(FLAT);
        shape.moveTo(places.get(0).x(), places.get(0).y());
        places.forEach(p -> shape.lineTo(p.x(), p.y()));
        shape.closePath();
        return area(new Area(shape));
    }

    /** By the trapezium rule over a shape's outline. */
    public static double area(java.awt.Shape shape) {
        double[] c = new double[6];
        double[] start = new double[2];
        double[] at = new double[2];
        double twice = 0;
        for (PathIterator i = shape.getPathIterator(null, 1e-6); !i.isDone(); i.next()) {
            int kind = i.currentSegment(c);
            if (kind == PathIterator.SEG_MOVETO) {
                start = c.clone();
                at = c.clone();
            } else {
                double[] to = kind == PathIterator.SEG_CLOSE ? start : c;
                twice += at[0] * to[1] - at[1] * to[0];
                at = to.clone();
            }
        }
        return Math.abs(twice) / 2;
    }

    /** A closed path that doesn't cross itself: corners at turning angles, lines and shallow arcs between them. */
    public static Path star(long seed, int corners) {
        Random dice = new Random(seed);
        Point[] places = new Point[corners];
        for (int i = 0; i < corners; i++) {
            places[i] = Point.direction(2 * Math.PI * (i + 0.3 * dice.nextDouble()) / corners)
                    .times(1.5 + 2.5 * dice.nextDouble());
        }
        Curve[] curves = new Curve[corners];
        for (int i = 0; i < corners; i++) {
            Point from = places[i];
            Point to = places[(i + 1) % corners];
            double sweep = dice.nextBoolean() ? 0 : dice.nextDouble() - 0.5;
            curves[i] = sweep == 0
                    ? new Segment(from, to)
                    : ArcSpline.from(from, to.minus(from).turned(-sweep / 2).unit(), to);
        }
        return new Path(List.of(curves));
    }
}
