package jollyspindle.core.geometry;

import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Polygon;

import java.awt.geom.CubicCurve2D;
import java.awt.geom.FlatteningPathIterator;
import java.util.ArrayList;
import java.util.List;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** Offsets, crossings, areas and followed curves, with JTS and java.awt.geom as referees. */
class PathGeometryTest {

    /** Exact offsets against JTS's, which go in straight lines: no further apart anywhere than this, in inches. */
    private static final double REFEREE = 5e-4;

    @Property(tries = 150)
    void offsetsAreWhereJtsPutsThem(
            @ForAll @IntRange(max = 100_000) int seed,
            @ForAll @IntRange(min = 3, max = 12) int corners,
            @ForAll @DoubleRange(min = 0.05, max = 0.6) double distance,
            @ForAll boolean outside) {
        Path path = Jts.star(seed, corners);
        Polygon polygon = Jts.polygon(path);
        Assume.that(polygon.isValid());
        boolean left = outside != path.area() > 0;
        List<Path> found = Offsets.follow(path, left, distance);
        Geometry buffer = Jts.buffer(polygon, outside ? distance : -distance);
        double area = 0;
        for (Path one : found) {
            assertThat(one.closed()).isTrue();
            area += Math.abs(one.area());
            for (Curve c : one.curves()) {
                for (double part : new double[] {0, 0.21, 0.5, 0.83, 1}) {
                    assertThat(path.distance(c.at(part))).isCloseTo(distance, within(1e-6));
                    assertThat(polygon.getBoundary().distance(Jts.point(c.at(part))))
                            .isCloseTo(distance, within(REFEREE));
                }
            }
        }
        // Nothing is missing: whatever bounds JTS's buffer lies on the offset, and encloses as much.
        for (Coordinate c : buffer.getBoundary().getCoordinates()) {
            Point p = new Point(c.x, c.y);
            assertThat(found.stream().mapToDouble(o -> o.distance(p)).min().orElse(99))
                    .isLessThan(REFEREE);
        }
        assertThat(area).isCloseTo(buffer.getArea(), within(1e-4 * (1 + buffer.getArea())));
    }

    /** An arc so large that it is almost straight crosses a small one at the same place, whichever is asked first. */
    @Property
    void crossingsDontDependOnWhichIsAskedFirst(
            @ForAll @DoubleRange(min = 0.5, max = 20) double small,
            @ForAll @DoubleRange(min = 100, max = 200_000) double large,
            @ForAll @DoubleRange(min = -0.9, max = 0.9) double off) {
        Arc one = new Arc(new Point(0, 0), small, -1.5, 3);
        Arc other = new Arc(new Point(off * small, -large), large, Math.PI / 2 + 3 * small / large, -6 * small / large);
        List<Crossings.Crossing> there = Crossings.of(one, other);
        List<Crossings.Crossing> back = Crossings.of(other, one);
        assertThat(there).hasSameSizeAs(back).isNotEmpty();
        for (Crossings.Crossing c : there) {
            assertThat(one.at(c.onFirst()).distance(other.at(c.onSecond()))).isLessThan(1e-8);
            assertThat(back).anySatisfy(b -> assertThat(other.at(b.onFirst()).distance(one.at(c.onFirst())))
                    .isLessThan(1e-7));
        }
    }

    @Property
    void areasAndInsidesAgreeWithAwt(
            @ForAll @IntRange(max = 100_000) int seed,
            @ForAll @IntRange(min = 3, max = 9) int corners,
            @ForAll @DoubleRange(min = -4, max = 4) double x,
            @ForAll @DoubleRange(min = -4, max = 4) double y) {
        Path path = Jts.star(seed, corners);
        Polygon polygon = Jts.polygon(path);
        Assume.that(polygon.isValid());
        assertThat(Math.abs(path.area())).isCloseTo(Jts.awtArea(path), within(1e-4));
        assertThat(path.reversed().area()).isCloseTo(-path.area(), within(1e-9));
        assertThat(path.mirrored().area()).isCloseTo(-path.area(), within(1e-9));
        Point p = new Point(x, y);
        if (path.distance(p) > 1e-3) {
            assertThat(path.contains(p)).isEqualTo(polygon.contains(Jts.point(p)));
        }
        assertThat(path.distance(p)).isCloseTo(polygon.getBoundary().distance(Jts.point(p)), within(1e-5));
    }

    @Test
    void wholeCirclesAndTheirOffsetsAreExact() {
        Path circle = Path.circle(new Point(1, 2), 3);
        assertThat(circle.area()).isCloseTo(Math.PI * 9, within(1e-12));
        assertThat(Offsets.follow(circle, true, 0.25)).singleElement().satisfies(in -> {
            assertThat(in.area()).isCloseTo(Math.PI * 2.75 * 2.75, within(1e-9));
            assertThat(in.closed()).isTrue();
        });
        assertThat(Offsets.follow(circle, false, 0.25).get(0).length()).isCloseTo(2 * Math.PI * 3.25, within(1e-9));
        assertThat(Offsets.follow(circle, true, 3))
                .as("a foot as wide as the hole")
                .isEmpty();
        assertThat(Offsets.follow(circle, true, 0)).containsExactly(circle);
        assertThatThrownBy(() -> Offsets.follow(circle, true, -1)).hasMessageContaining("at least 0");
        assertThat(circle.box()).isEqualTo(new Box(-2, -1, 4, 5));
    }

    @Property
    void crossingsLieOnBothAndNoneIsMissed(
            @ForAll @DoubleRange(min = -3, max = 3) double x,
            @ForAll @DoubleRange(min = -3, max = 3) double y,
            @ForAll @DoubleRange(min = 0.3, max = 3) double radius,
            @ForAll @DoubleRange(min = -6.2, max = 6.2) double sweep,
            @ForAll @DoubleRange(min = 0, max = 6.2) double start,
            @ForAll @DoubleRange(min = 0.4, max = 3) double otherRadius) {
        Assume.that(Math.abs(sweep) > 0.1);
        Curve arc = new Arc(new Point(x, y), radius, start, sweep);
        for (Curve other : new Curve[] {
            new Arc(Point.ORIGIN, otherRadius, 1, 5), new Segment(new Point(-3, otherRadius - 1), new Point(3, 1))
        }) {
            List<Crossings.Crossing> found = Crossings.of(arc, other);
            for (Crossings.Crossing c : found) {
                assertThat(arc.at(c.onFirst()).distance(other.at(c.onSecond()))).isLessThan(1e-6);
            }
            assertThat(Crossings.of(other, arc)).hasSameSizeAs(found);
            Geometry meet = Jts.line(Path.of(arc)).intersection(Jts.line(Path.of(other)));
            for (Coordinate c : meet.getCoordinates()) {
                Point p = new Point(c.x, c.y);
                // Where they all but touch, straight lines may cross and the curves pass by.
                boolean clear = Math.abs(direction(arc, p).cross(direction(other, p))) > 0.1;
                if (clear) {
                    assertThat(found).anyMatch(f -> arc.at(f.onFirst()).distance(p) < 1e-4);
                }
            }
        }
    }

    private static Point direction(Curve curve, Point near) {
        return curve.direction(curve.nearest(near));
    }

    @Property
    void arcsFollowABezierAsCloselyAsTheySay(
            @ForAll @DoubleRange(min = -4, max = 4) double x1,
            @ForAll @DoubleRange(min = -4, max = 4) double y1,
            @ForAll @DoubleRange(min = -4, max = 4) double x2,
            @ForAll @DoubleRange(min = -4, max = 4) double y2) {
        Point a = new Point(-2, 0);
        Point b = new Point(x1, y1);
        Point c = new Point(x2, y2);
        Point d = new Point(2, 0.5);
        Path followed = new Path(ArcSpline.of(new FreeCurve() {
            @Override
            public Point at(double t) {
                double u = 1 - t;
                return a.times(u * u * u)
                        .plus(b.times(3 * u * u * t))
                        .plus(c.times(3 * u * t * t))
                        .plus(d.times(t * t * t));
            }

            @Override
            public Point derivative(double t) {
                double u = 1 - t;
                return b.minus(a)
                        .times(3 * u * u)
                        .plus(c.minus(b).times(6 * u * t))
                        .plus(d.minus(c).times(3 * t * t));
            }
        }));
        // java.awt.geom draws the same curve in its own way.
        CubicCurve2D awt = new CubicCurve2D.Double(a.x(), a.y(), b.x(), b.y(), c.x(), c.y(), d.x(), d.y());
        List<Point> places = new ArrayList<>();
        double[] at = new double[6];
        for (FlatteningPathIterator i = new FlatteningPathIterator(awt.getPathIterator(null), 1e-5, 14);
                !i.isDone();
                i.next()) {
            i.currentSegment(at);
            places.add(new Point(at[0], at[1]));
        }
        places.forEach(p -> assertThat(followed.distance(p)).isLessThan(ArcSpline.TOLERANCE * 1.05));
        double length = 0;
        for (int i = 1; i < places.size(); i++) {
            length += places.get(i).distance(places.get(i - 1));
        }
        assertThat(followed.length()).isCloseTo(length, within(0.002 * length + 0.004));
    }

    @Property
    void aBiarcRunsFromPlaceToPlaceInTheGivenDirections(
            @ForAll @DoubleRange(min = -3, max = 3) double from,
            @ForAll @DoubleRange(min = -3, max = 3) double to,
            @ForAll @DoubleRange(min = 0.2, max = 5) double distance) {
        Point q = new Point(distance, 1);
        boolean awayAlike = Math.abs(from - to) < 1e-6 && q.dot(Point.direction(to)) <= 1e-6;
        List<Curve> arcs = ArcSpline.biarc(Point.ORIGIN, Point.direction(from), q, Point.direction(to));
        assertThat(arcs).hasSize(awayAlike ? 1 : 2);
        Path path = new Path(arcs);
        assertThat(path.start().distance(Point.ORIGIN)).isLessThan(1e-9);
        assertThat(path.end().distance(q)).isLessThan(1e-9);
        if (arcs.size() == 2) {
            assertThat(arcs.get(0).direction(0).distance(Point.direction(from))).isLessThan(1e-6);
            assertThat(arcs.get(1).direction(1).distance(Point.direction(to))).isLessThan(1e-6);
            assertThat(arcs.get(0).direction(1).distance(arcs.get(1).direction(0)))
                    .as("smooth where they meet")
                    .isLessThan(1e-6);
        }
    }

    @Test
    void whatCantBeAPathIsRefused() {
        assertThatThrownBy(() -> new Path(List.of())).hasMessageContaining("at least one");
        assertThatThrownBy(() -> Path.of(
                        new Segment(Point.ORIGIN, new Point(1, 0)), new Segment(new Point(1, 0.1), new Point(2, 0))))
                .hasMessageContaining("curve 1");
    }

    /** Places on the chords that a circle is looked at through, within rounding, lie in it like any other. */
    @Property(tries = 300)
    void placesOnChordsOfACircleLieInIt(
            @ForAll @DoubleRange(min = 0.5, max = 20) double radius,
            @ForAll @DoubleRange(min = 0.01, max = 0.99) double part,
            @ForAll @IntRange(min = 0, max = 11) int from,
            @ForAll @IntRange(min = 1, max = 11) int by) {
        Path circle = Path.circle(new Point(1, -2), radius);
        Point start = circle.curves().get(0).at(from / 12.0);
        Point end = circle.curves().get(0).at((from + by) % 12 / 12.0);
        Point on = start.plus(end.minus(start).times(part));
        assertThat(circle.contains(on)).isTrue();
        Point beyond = end.plus(end.minus(start).times(part));
        assertThat(circle.contains(beyond)).isFalse();
    }
}
