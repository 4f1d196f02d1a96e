package jollyspindle.core.cloth;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;

import java.util.List;
import java.util.concurrent.CancellationException;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** The relief that stitching raises: distances against JTS and against every curve one by one, heights and light against the model. */
class ReliefTest {

    private static final GeometryFactory JTS = new GeometryFactory();
    private static final Grid GRID = new Grid(7.3, -6.1, 5.2, 90, 70);

    @Provide
    Arbitrary<List<Curve>> curves() {
        Arbitrary<Point> places = Combinators.combine(
                        Arbitraries.doubles().between(-7, 7),
                        Arbitraries.doubles().between(-6, 6))
                .as(Point::new);
        Arbitrary<Curve> segments = Combinators.combine(places, places)
                .as((a, b) -> (Curve) new Segment(a, b))
                .filter(s -> s.length() > 0.01);
        Arbitrary<Curve> arcs = Combinators.combine(
                        places,
                        Arbitraries.doubles().between(0.5, 5),
                        Arbitraries.doubles().between(-3, 3),
                        Arbitraries.doubles().between(0.2, 6))
                .as(Arc::new);
        return Arbitraries.oneOf(segments, arcs).list().ofMinSize(1).ofMaxSize(12);
    }

    private static Geometry jts(List<Curve> curves) {
        LineString[] lines = curves.stream()
                .map(c -> JTS.createLineString(Path.of(c).flattened(1e-4).stream()
                        .map(p -> new Coordinate(p.x(), p.y()))
                        .toArray(Coordinate[]::new)))
                .toArray(LineString[]::new);
        return JTS.createMultiLineString(lines);
    }

    /** Where a curve is on the grid, no distance is a pixel and a half off, and nearly all are far less. */
    @Property(tries = 60)
    void distancesAreThoseToTheCurves(@ForAll("curves") List<Curve> curves) {
        Box box = GRID.box();
        List<Curve> seen = curves.stream()
                .filter(c -> Path.of(c).flattened(1e-3).stream()
                        .allMatch(p ->
                                p.x() > box.left() && p.x() < box.right() && p.y() > box.bottom() && p.y() < box.top()))
                .toList();
        DistanceField field = new DistanceField(GRID);
        seen.forEach(field::add);
        float[] distances = field.distances();
        if (seen.isEmpty()) {
            assertThat(distances).containsOnly(Float.POSITIVE_INFINITY);
            return;
        }
        Geometry referee = jts(seen);
        double off = 0;
        for (int i = 0; i < distances.length; i += 7) {
            int row = i / GRID.width();
            Point middle = new Point(
                    GRID.left() + (i % GRID.width() + 0.5) / GRID.scale(), GRID.top() - (row + 0.5) / GRID.scale());
            double exact =
                    seen.stream().mapToDouble(c -> c.distance(middle)).min().orElseThrow() * GRID.scale();
            assertThat(referee.distance(JTS.createPoint(new Coordinate(middle.x(), middle.y()))) * GRID.scale())
                    .isCloseTo(exact, within(0.01));
            assertThat((double) distances[i]).isCloseTo(exact, within(1.5));
            off += Math.abs(distances[i] - exact);
        }
        assertThat(off / (distances.length / 7.0)).as("on average").isLessThan(0.12);
    }

    /** A quarter of an ellipse: its equation holds at every distance, and beyond the reach it is level. */
    @ParameterizedTest
    @EnumSource(Loft.class)
    void heightsAreAQuarterEllipse(Loft loft) {
        assertThat(loft.height(0)).isZero();
        for (double part = 0.05; part < 1; part += 0.05) {
            double up = loft.height(part * loft.reach()) / loft.most();
            assertThat(up * up + (1 - part) * (1 - part)).isCloseTo(1, within(1e-12));
            assertThat(up).isLessThan(1);
        }
        assertThat(loft.height(loft.reach())).isEqualTo(loft.most());
        assertThat(loft.height(Double.POSITIVE_INFINITY)).isEqualTo(loft.most());
    }

    /** Light from the upper left: what rises to the right or downwards is turned to it, level cloth is neither bright nor dark. */
    @Test
    void whatFacesTheUpperLeftIsBright() {
        Grid grid = new Grid(20, -2, 2, 80, 80);
        Relief upright = Relief.of(grid, List.of(Path.of(new Segment(new Point(0, -3), new Point(0, 3)))), Loft.MEDIUM);
        assertThat(upright.brightness(43, 40)).as("right of it").isGreaterThan(1.05);
        assertThat(upright.brightness(36, 40)).as("left of it").isLessThan(0.95);
        assertThat(upright.brightness(75, 40)).as("beyond the loft's reach").isEqualTo(1);
        Relief lying = Relief.of(grid, List.of(Path.of(new Segment(new Point(-3, 0), new Point(3, 0)))), Loft.MEDIUM);
        assertThat(lying.brightness(40, 43)).as("below it").isGreaterThan(1.05);
        assertThat(lying.brightness(40, 36)).as("above it").isLessThan(0.95);
        assertThat(Relief.of(grid, List.of(), Loft.LOFTY).brightness(0, 0)).isEqualTo(1);
    }

    /** A picture's band, with as much round it as the loft reaches, is as it is in the whole. */
    @Property(tries = 25)
    void bandsAreAsInTheWhole(@ForAll("curves") List<Curve> curves, @ForAll @DoubleRange(min = 0, max = 1) double at) {
        List<Path> held = curves.stream().map(Path::of).toList();
        Relief whole = Relief.of(GRID, held, Loft.THIN);
        int margin = Relief.margin(GRID, Loft.THIN);
        int first = (int) (at * (GRID.height() - 10));
        int above = Math.min(first, margin);
        int below = Math.min(GRID.height() - first - 10, margin);
        Relief band = Relief.of(GRID.rows(first - above, above + 10 + below), held, Loft.THIN);
        int same = 0;
        for (int i = 0; i < 10 * GRID.width(); i++) {
            float own = band.heights()[above * GRID.width() + i];
            float all = whole.heights()[first * GRID.width() + i];
            same += Math.abs(own - all) < 1e-4 ? 1 : 0;
        }
        // Two curves that are equally far may change places by a rounding.
        assertThat(same).isGreaterThan((int) (0.97 * 10 * GRID.width()));
    }

    @Test
    void whatIsNotWantedAnyMoreStops() {
        Thread.currentThread().interrupt();
        try {
            assertThatThrownBy(() -> Relief.of(GRID, List.of(Path.circle(Point.ORIGIN, 2)), Loft.THIN))
                    .isInstanceOf(CancellationException.class);
        } finally {
            Thread.interrupted();
        }
    }

    @Test
    void gridsKeepWhatTheyCover() {
        Grid over = Grid.over(new Box(-10, -4, 30, 6), 400);
        assertThat(over).isEqualTo(new Grid(10, -10, 6, 400, 100));
        assertThat(over.column(new Point(0, 0))).isEqualTo(100);
        assertThat(over.row(new Point(0, 0))).isEqualTo(60);
        assertThat(over.rows(20, 30).row(new Point(0, 0))).isEqualTo(40);
        assertThat(over.coarser(4)).isEqualTo(new Grid(2.5, -10, 6, 100, 25));
    }
}
