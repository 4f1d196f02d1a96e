package jollyspindle.core.geometry;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

import java.util.List;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Curves cut off at exact edges, with JTS as referee on flattened ones. */
class RegionTest {

    private static final GeometryFactory JTS = new GeometryFactory();
    private static final double FLAT = 1e-5;

    private static Geometry line(Path path) {
        return JTS.createLineString(coordinates(path));
    }

    private static Geometry area(Path path) {
        return JTS.createPolygon(coordinates(path));
    }

    private static Coordinate[] coordinates(Path path) {
        List<Point> places = path.flattened(FLAT);
        Coordinate[] all =
                places.stream().map(p -> new Coordinate(p.x(), p.y())).toArray(Coordinate[]::new);
        if (path.closed()) {
            all[all.length - 1] = all[0];
        }
        return all;
    }

    private static double length(List<Path> paths) {
        return paths.stream().mapToDouble(Path::length).sum();
    }

    private static Path square(double x, double y, double side) {
        return Path.polygon(List.of(
                new Point(x, y), new Point(x + side, y), new Point(x + side, y + side), new Point(x, y + side)));
    }

    @Property
    void whatIsKeptIsAsLongAsTheRefereeSays(
            @ForAll @DoubleRange(min = -3, max = 3) double x,
            @ForAll @DoubleRange(min = -3, max = 3) double y,
            @ForAll @DoubleRange(min = 0.5, max = 4) double radius,
            @ForAll @DoubleRange(min = 0, max = 6) double start,
            @ForAll @DoubleRange(min = 0.5, max = 6.2) double sweep,
            @ForAll @DoubleRange(min = 0.5, max = 3) double hole) {
        Path line = new Path(List.of(
                new Arc(new Point(x, y), radius, start, sweep),
                new Segment(new Arc(new Point(x, y), radius, start, sweep).end(), new Point(4, 0.37))));
        Path box = square(-2.013, -1.987, 4.029);
        Path round = Path.circle(new Point(0.51, 0.23), hole);
        Geometry a = area(box);
        Geometry b = area(round);
        Region both = Region.of(box).and(Region.of(round));
        Region without = Region.of(box).minus(Region.of(round));
        Region union = Region.union(List.of(box, round));
        Geometry way = line(line);
        assertThat(length(both.within(line)))
                .isCloseTo(way.intersection(a.intersection(b)).getLength(), within(0.02));
        assertThat(length(without.within(line)))
                .isCloseTo(way.intersection(a.difference(b)).getLength(), within(0.02));
        assertThat(length(union.within(line)))
                .isCloseTo(way.intersection(a.union(b)).getLength(), within(0.02));
        assertThat(length(union.without(line)) + length(union.within(line))).isCloseTo(line.length(), within(1e-5));
        // Cut exactly where it crosses an edge, and nowhere else.
        for (Path piece : without.within(line)) {
            for (Point end : List.of(piece.start(), piece.end())) {
                boolean own = end.distance(line.start()) < 1e-9 || end.distance(line.end()) < 1e-9;
                assertThat(own || Math.min(box.distance(end), round.distance(end)) < 1e-9)
                        .isTrue();
            }
        }
    }

    @Test
    void edgesCountAndHolesDoNot() {
        Region frame = Region.of(List.of(square(0, 0, 10), square(4, 4, 2)));
        Path across = Path.of(new Segment(new Point(-1, 5), new Point(11, 5)));
        assertThat(frame.within(across)).hasSize(2);
        assertThat(length(frame.within(across))).isCloseTo(8, within(1e-9));
        Path along = Path.of(new Segment(new Point(1, 0), new Point(9, 0)));
        assertThat(frame.within(along)).containsExactly(along);
        assertThat(frame.without(along)).isEmpty();
        // Only what both hold, although its edge lies on one of them.
        Region left = frame.and(Region.of(square(-5, 0, 5)));
        assertThat(left.within(along)).isEmpty();
        assertThat(frame.covers(new Point(5, 5))).isFalse();
    }

    @Test
    void aClosedLineIsCutOnlyWhereItCrosses() {
        Path circle = Path.circle(Point.ORIGIN, 2);
        List<Path> upper = Region.of(
                        Path.polygon(List.of(new Point(-3, 0), new Point(3, 0), new Point(3, 3), new Point(-3, 3))))
                .within(circle);
        assertThat(upper).hasSize(1);
        List<Path> right = Region.of(
                        Path.polygon(List.of(new Point(0, -3), new Point(3, -3), new Point(3, 3), new Point(0, 3))))
                .within(circle);
        assertThat(right).as("it begins on the right, but is one piece there").hasSize(1);
        assertThat(right.get(0).curves()).hasSize(1);
        assertThat(right.get(0).length()).isCloseTo(2 * Math.PI, within(1e-9));
    }
}
