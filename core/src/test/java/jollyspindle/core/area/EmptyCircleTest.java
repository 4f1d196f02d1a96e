package jollyspindle.core.area;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.algorithm.construct.LargestEmptyCircle;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** The largest circle without a stitch, with JTS as the referee. */
class EmptyCircleTest {

    private static final GeometryFactory JTS = new GeometryFactory();
    private static final double SEEN = 1.0 / 64;

    private static Geometry box(double left, double low, double right, double top) {
        return JTS.toGeometry(new Envelope(left, right, low, top));
    }

    @Property(tries = 50)
    void isWhatJtsFinds(@ForAll long seed, @ForAll @DoubleRange(min = 0.2, max = 1.5) double share) {
        Random random = new Random(seed);
        Geometry region = box(0, 0, 12, 9);
        if (random.nextBoolean()) {
            double x = 1 + 8 * random.nextDouble();
            region = region.difference(box(x, 2, x + 2, 6));
        }
        List<Coordinate[]> lines = new ArrayList<>();
        for (int i = 0; i < region.getBoundary().getNumGeometries(); i++) {
            lines.add(region.getBoundary().getGeometryN(i).getCoordinates());
        }
        int count = random.nextInt(30);
        for (int i = 0; i < count; i++) {
            lines.add(new Coordinate[] {
                new Coordinate(12 * random.nextDouble(), 9 * random.nextDouble()),
                new Coordinate(12 * random.nextDouble(), 9 * random.nextDouble()),
                new Coordinate(12 * random.nextDouble(), 9 * random.nextDouble())
            });
        }
        Geometry all = JTS.createMultiLineString(
                lines.stream().map(JTS::createLineString).toArray(LineString[]::new));
        double largest =
                2 * new LargestEmptyCircle(all, region, 5e-4).getRadiusLine().getLength();
        double most = largest * share;
        Optional<Gaps.Circle> found = EmptyCircle.over(most, lines, region);
        if (largest > most + SEEN + 0.002) {
            assertThat(found.orElseThrow().diameter()).isCloseTo(largest, within(0.0021));
            Coordinate centre = new Coordinate(
                    found.get().centre().x(), found.get().centre().y());
            assertThat(2 * all.distance(JTS.createPoint(centre)))
                    .isCloseTo(found.get().diameter(), within(1e-9));
            assertThat(region.covers(JTS.createPoint(centre))).isTrue();
        } else if (largest < most + SEEN - 0.002) {
            assertThat(found).isEmpty();
        }
    }

    // Between lines an inch apart both ways the largest circles are an inch across, in ten thousand places.
    @Test
    void manyAlikeAreNoTrouble() {
        List<Coordinate[]> lines = new ArrayList<>();
        for (int i = 0; i <= 100; i++) {
            lines.add(new Coordinate[] {new Coordinate(i, 0), new Coordinate(i, 100)});
            lines.add(new Coordinate[] {new Coordinate(0, i), new Coordinate(100, i)});
        }
        Geometry region = box(0, 0, 100, 100);
        assertThat(EmptyCircle.over(0.9, lines, region).orElseThrow().diameter())
                .isCloseTo(1, within(0.0011));
        assertThat(EmptyCircle.over(1, lines, region)).isEmpty();
        assertThat(EmptyCircle.over(8, lines, region)).isEmpty();
        assertThat(EmptyCircle.over(1, lines, JTS.createPolygon())).isEmpty();
        assertThat(EmptyCircle.over(30, List.<Coordinate[]>of(region.getCoordinates()), region)
                        .orElseThrow()
                        .diameter())
                .isCloseTo(100, within(0.0011));
    }
}
