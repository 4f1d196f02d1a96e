package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.MeasureInspector;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

import java.util.List;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

class QuiltShapeTest {

    static Quilt quilt(double top, double right, double bottom, double left, double depth) {
        Quilt quilt = Quilt.unmeasured()
                .with(Dimension.BODY_TOP, top)
                .with(Dimension.BODY_RIGHT, right)
                .with(Dimension.BODY_BOTTOM, bottom)
                .with(Dimension.BODY_LEFT, left);
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.depth(side), depth);
        }
        return quilt;
    }

    private static Polygon polygon(List<Point> points) {
        Coordinate[] ring = Stream.concat(points.stream(), Stream.of(points.get(0)))
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new);
        return new GeometryFactory().createPolygon(ring);
    }

    @Property
    void theBodyIsDrawnAsMeasured(
            @ForAll @DoubleRange(min = 40, max = 110) double top,
            @ForAll @DoubleRange(min = 40, max = 110) double left,
            @ForAll @DoubleRange(min = -2, max = 2) double dt,
            @ForAll @DoubleRange(min = -2, max = 2) double dl) {
        BodyShape body = BodyShape.of(quilt(top, left + dl, top + dt, left, 5));
        assertThat(body.topLeft().distance(body.topRight())).isCloseTo(top, within(1e-9));
        assertThat(body.topRight().distance(body.bottomRight())).isCloseTo(left + dl, within(1e-9));
        assertThat(body.bottomRight().distance(body.bottomLeft())).isCloseTo(top + dt, within(1e-9));
        assertThat(body.bottomLeft().distance(body.topLeft())).isCloseTo(left, within(1e-9));
        assertThat(body.topLeft().distance(body.bottomRight()))
                .as("no diagonal measured, so both are alike")
                .isCloseTo(body.bottomLeft().distance(body.topRight()), within(1e-9));
        Point middle = body.topLeft()
                .midpoint(body.bottomRight())
                .midpoint(body.topRight().midpoint(body.bottomLeft()));
        assertThat(middle.distance(Point.ORIGIN)).isLessThan(1e-9);
        assertThat(body.topRight().x()).isGreaterThan(0);
        assertThat(body.topRight().y()).isGreaterThan(0);
    }

    // Rectangles with whole diagonals: Pythagorean triples 3-4-5 and 5-12-13.
    @ParameterizedTest
    @CsvSource({"30, 40, 50", "60, 80, 100", "50, 120, 130"})
    void aRectangleStandsUpright(double top, double left, double diagonal) {
        BodyShape body = BodyShape.of(quilt(top, left, top, left, 5));
        assertThat(body.topLeft().distance(body.bottomRight())).isCloseTo(diagonal, within(1e-9));
        assertThat(body.topLeft().distance(new Point(-top / 2, left / 2))).isLessThan(1e-9);
        assertThat(body.bottomRight().distance(new Point(top / 2, -left / 2))).isLessThan(1e-9);
    }

    @Test
    void measuredDiagonalsMakeItLean() {
        Quilt square = quilt(60, 80, 60, 80, 5);
        BodyShape one = BodyShape.of(square.with(Dimension.DIAGONAL_DOWN, 101));
        assertThat(one.topLeft().distance(one.bottomRight())).isCloseTo(101, within(1e-9));
        BodyShape other = BodyShape.of(square.with(Dimension.DIAGONAL_UP, 101));
        assertThat(other.bottomLeft().distance(other.topRight())).isCloseTo(101, within(1e-9));
        BodyShape both =
                BodyShape.of(square.with(Dimension.DIAGONAL_DOWN, 101.5).with(Dimension.DIAGONAL_UP, 99.5));
        double down = both.topLeft().distance(both.bottomRight());
        double up = both.bottomLeft().distance(both.topRight());
        assertThat(down - up).isCloseTo(2, within(1e-9));
        // In a parallelogram the squares of the diagonals add up to those of all sides (parallelogram law).
        assertThat(down * down + up * up).isCloseTo(2 * (60 * 60 + 80 * 80), within(1e-6));
        assertThat(both.diagonalsOff()).isCloseTo((101.5 + 99.5 - down - up) / 2, within(1e-9));
    }

    @Property
    void whateverIsEnteredCanBeDrawn(
            @ForAll @DoubleRange(min = 1, max = 200) double top,
            @ForAll @DoubleRange(min = 1, max = 200) double right,
            @ForAll @DoubleRange(min = 1, max = 200) double bottom,
            @ForAll @DoubleRange(min = 1, max = 200) double down,
            @ForAll @DoubleRange(min = 1, max = 200) double up,
            @ForAll @DoubleRange(min = 0.6, max = 200) double depth,
            @ForAll Corners corners) {
        // Entered one after the other, as a quilter does; what is refused is left out.
        Quilt quilt = Quilt.unmeasured().with(corners);
        Dimension[] order = {
            Dimension.BODY_TOP,
            Dimension.BODY_RIGHT,
            Dimension.DIAGONAL_DOWN,
            Dimension.BODY_BOTTOM,
            Dimension.DEPTH_LEFT,
            Dimension.DIAGONAL_UP,
            Dimension.BODY_LEFT,
            Dimension.BODY_TOP,
            Dimension.DEPTH_TOP
        };
        double[] lengths = {bottom, right, down, bottom, depth, up, right, top, depth};
        for (int i = 0; i < order.length; i++) {
            if (QuiltRules.refusal(quilt, order[i], lengths[i]).isEmpty()) {
                quilt = quilt.with(order[i], lengths[i]);
            }
        }
        assertThat(QuiltRules.firstRefused(quilt))
                .as("what can be entered can be opened again")
                .isEmpty();
        for (Side side : Side.values()) {
            quilt = quilt.get(Dimension.depth(side)).isPresent() ? quilt : quilt.with(Dimension.depth(side), 0.6);
        }
        if (quilt.missing().isEmpty() && BodyShape.isPossible(quilt)) {
            QuiltShape shape = QuiltShape.of(quilt);
            assertThat(shape.outer())
                    .allSatisfy(p -> assertThat(Math.hypot(p.x(), p.y())).isBetween(0.1, 1000.0));
            assertThat(shape.body().mostOffSquare()).isLessThan(BodyShape.MOST_LEAN + 1e-9);
        }
    }

    @ParameterizedTest
    @EnumSource(Corners.class)
    void theBordersRegionsFillItWithoutOverlap(Corners corners) {
        QuiltShape shape =
                QuiltShape.of(quilt(71.625, 86.375, 71.75, 86.25, 7.25).with(corners));
        Geometry ring = polygon(shape.outer()).difference(polygon(shape.body().corners()));
        double filled = 0;
        Geometry union = new GeometryFactory().createPolygon();
        for (Side side : Side.values()) {
            Polygon region = polygon(shape.regions().get(side));
            assertThat(region.isValid()).isTrue();
            filled += region.getArea();
            union = union.union(region);
        }
        double stones = corners == Corners.CORNERSTONES ? ring.getArea() - union.getArea() : 0;
        assertThat(filled).isCloseTo(union.getArea(), within(1e-6));
        assertThat(filled + stones).isCloseTo(ring.getArea(), within(1e-6));
        assertThat(stones).isCloseTo(corners == Corners.CORNERSTONES ? 4 * 7.25 * 7.25 : 0, within(0.5));
        assertThat(shape.cornerSeams()).hasSize(corners == Corners.CORNERSTONES ? 8 : 4);
    }

    @Test
    void runsGoClockwiseFromTheirLeftEnds() {
        QuiltShape shape = QuiltShape.of(quilt(60, 80, 60, 80, 6));
        assertThat(Stream.of(Side.values())
                        .map(s -> Math.toDegrees(shape.runs().get(s).rotation())))
                .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
                .containsExactly(0.0, -90.0, 180.0, 90.0);
        for (Side side : Side.values()) {
            RunFrame run = shape.runs().get(side);
            RunFrame next = shape.runs().get(side.next());
            assertThat(run.place(run.length(), 0).distance(next.origin())).isLessThan(1e-9);
            assertThat(run.outward().dot(run.place(run.length() / 2, 0)))
                    .as("outward points away from the middle")
                    .isPositive();
        }
    }

    @Test
    void aBorderThatRunsThroughReachesFromReserveToReserve() {
        QuiltShape shape = QuiltShape.of(quilt(60, 80, 60, 80, 6).with(Corners.TOP_AND_BOTTOM_THROUGH));
        assertThat(shape.runs().get(Side.TOP).length()).isCloseTo(60 + 2 * (6 - 0.5), within(1e-9));
        assertThat(shape.runs().get(Side.LEFT).length()).isCloseTo(80, within(1e-9));
        QuiltShape other = QuiltShape.of(quilt(60, 80, 60, 80, 6).with(Corners.SIDES_THROUGH));
        assertThat(other.runs().get(Side.TOP).length()).isCloseTo(60, within(1e-9));
        assertThat(other.runs().get(Side.RIGHT).length()).isCloseTo(91, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "BODY_TOP, 0, NotOverZero",
        "BODY_TOP, -3, NotOverZero",
        "BODY_TOP, 200.5, TooLong",
        "BODY_TOP, 5, ShorterThanBorder",
        "BODY_TOP, 199, ok",
        "BODY_RIGHT, 60, ok",
        "DEPTH_LEFT, 70, DeeperThanBody",
        "DEPTH_LEFT, 0.5, NoRoomLeft",
        "DEPTH_LEFT, 12, ok",
        "RESERVE, 6, NoRoomLeft",
        "RESERVE, -0.1, Negative",
        "RESERVE, 0, ok",
        "CLEARANCE, 5.5, NoRoomLeft",
        "CLEARANCE, 0.25, ok",
        "DIAGONAL_DOWN, 141, DiagonalImpossible",
        "DIAGONAL_UP, 19, DiagonalImpossible",
        "DIAGONAL_DOWN, 101, ok",
    })
    void refusesLengthsThatCantBe(Dimension dimension, double inches, String expected) {
        assertThat(QuiltRules.refusal(quilt(60, 80, 60, 80, 6), dimension, inches)
                        .map(r -> r.getClass().getSimpleName())
                        .orElse("ok"))
                .isEqualTo(expected);
    }

    // The longest side of a quadrilateral is shorter than the other three together (Euclid I.20, twice).
    @ParameterizedTest
    @CsvSource({
        "20, 20, 20, 61, false",
        "20, 20, 20, 59, false",
        "20, 20, 20, 22, true",
        "60, 80, 100, 80, true",
        "60, 80, 199, 80, false",
        "60, 80, 62, 78, true"
    })
    void knowsSidesThatCantBeAQuilts(double top, double right, double bottom, double left, boolean possible) {
        assertThat(BodyShape.isPossible(quilt(top, right, bottom, left, 5))).isEqualTo(possible);
        assertThat(MeasureInspector.impossible(quilt(top, right, bottom, left, 5))
                        .isEmpty())
                .isEqualTo(possible);
    }

    @Test
    void knowsWhatIsMissing() {
        Quilt two = Quilt.unmeasured().with(Dimension.BODY_TOP, 20).with(Dimension.DEPTH_LEFT, 5);
        assertThat(two.missing()).hasSize(6).startsWith(Dimension.BODY_RIGHT);
    }
}
