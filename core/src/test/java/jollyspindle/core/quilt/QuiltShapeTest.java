package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.MeasureInspector;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Polygon;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
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
            Polygon region = polygon(shape.region(RunId.of(side)));
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
                        .map(s -> Math.toDegrees(shape.run(RunId.of(s)).rotation())))
                .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
                .containsExactly(0.0, -90.0, 180.0, 90.0);
        for (Side side : Side.values()) {
            RunFrame run = shape.run(RunId.of(side));
            RunFrame next = shape.run(RunId.of(side.next()));
            assertThat(run.place(run.length(), 0).distance(next.origin())).isLessThan(1e-9);
            assertThat(run.outward().dot(run.place(run.length() / 2, 0)))
                    .as("outward points away from the middle")
                    .isPositive();
        }
    }

    @Test
    void aBorderThatRunsThroughReachesFromReserveToReserve() {
        QuiltShape shape = QuiltShape.of(quilt(60, 80, 60, 80, 6).with(Corners.TOP_AND_BOTTOM_THROUGH));
        assertThat(shape.run(RunId.of(Side.TOP)).length()).isCloseTo(60 + 2 * (6 - 0.5), within(1e-9));
        assertThat(shape.run(RunId.of(Side.LEFT)).length()).isCloseTo(80, within(1e-9));
        QuiltShape other = QuiltShape.of(quilt(60, 80, 60, 80, 6).with(Corners.SIDES_THROUGH));
        assertThat(other.run(RunId.of(Side.TOP)).length()).isCloseTo(60, within(1e-9));
        assertThat(other.run(RunId.of(Side.RIGHT)).length()).isCloseTo(91, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "body-top, 0, NotOverZero",
        "body-top, -3, NotOverZero",
        "body-top, 200.5, TooLong",
        "body-top, 5, ShorterThanBorder",
        "body-top, 199, ok",
        "body-right, 60, ok",
        "depth-left, 70, DeeperThanBody",
        "depth-left, 0.5, NoRoomLeft",
        "depth-left, 12, ok",
        "reserve, 6, NoRoomLeft",
        "reserve, -0.1, Negative",
        "reserve, 0, ok",
        "clearance, 5.5, NoRoomLeft",
        "clearance, 0.25, ok",
        "diagonal-down, 141, DiagonalImpossible",
        "diagonal-up, 19, DiagonalImpossible",
        "diagonal-down, 101, ok",
    })
    void refusesLengthsThatCantBe(String code, double inches, String expected) {
        Quilt quilt = quilt(60, 80, 60, 80, 6);
        Dimension dimension = quilt.dimensions().stream()
                .filter(d -> d.code().equals(code))
                .findFirst()
                .orElseThrow();
        assertThat(QuiltRules.refusal(quilt, dimension, inches)
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

    private static Quilt bordered(List<Corners> corners, double... depths) {
        Quilt quilt = quilt(60, 80, 60.5, 80.25, depths[0]).withBorder(1, Border.USUAL.with(corners.get(0)));
        for (int border = 2; border <= depths.length; border++) {
            quilt = quilt.withBorderOutside(Border.USUAL.with(corners.get(border - 1)));
            for (Side side : Side.values()) {
                quilt = quilt.with(Dimension.depth(border, side), depths[border - 1]);
            }
        }
        return quilt;
    }

    /** Whatever the corners, the borders' pieces of cloth cover all outside the body and never each other; JTS judges. */
    @Property(tries = 60)
    void bordersWithinBordersFillTheQuilt(
            @ForAll @Size(4) List<Corners> corners,
            @ForAll @IntRange(min = 1, max = 4) int borders,
            @ForAll @DoubleRange(min = 0.75, max = 9) double depth) {
        double[] depths =
                IntStream.range(0, borders).mapToDouble(i -> depth + i).toArray();
        QuiltShape shape = QuiltShape.of(bordered(corners, depths));
        List<Geometry> pieces = new ArrayList<>(List.of(polygon(shape.body().corners())));
        for (RingShape ring : shape.rings()) {
            for (Side side : Side.values()) {
                Polygon region = polygon(ring.regions().get(side));
                pieces.add(region);
                // A run lies on its piece's seam; a ring's own room is what its frame says.
                RunFrame run = ring.runs().get(side);
                assertThat(region.buffer(1e-6)
                                .covers(polygon(List.of(
                                        run.place(run.length() * 0.1, 0),
                                        run.place(run.length() * 0.1, run.depth()),
                                        run.place(run.length() * 0.9, run.depth()),
                                        run.place(run.length() * 0.9, 0)))))
                        .isTrue();
                assertThat(run.room())
                        .isCloseTo(depths[ring.border() - 1] - (ring.border() == borders ? 0.5 : 0), within(1e-9));
            }
        }
        // Piece by piece: a union of all now and then loses one where edges all but coincide.
        for (int i = 0; i < pieces.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(pieces.get(i).intersection(pieces.get(j)).getArea())
                        .as("nothing twice")
                        .isLessThan(1e-6);
            }
        }
        double filled = pieces.stream().mapToDouble(Geometry::getArea).sum();
        double stones = polygon(shape.outer()).getArea() - filled;
        double squares = IntStream.range(0, borders)
                .filter(i -> corners.get(i) == Corners.CORNERSTONES)
                .mapToDouble(i -> 4 * depths[i] * depths[i])
                .sum();
        assertThat(stones).as("cornerstones").isCloseTo(squares, within(0.02 * squares + 1e-6));
        assertThat(polygon(shape.outer()).getArea()).isGreaterThan(60 * 80);
    }

    /** A quilt whose pieces the plain union loses one of. */
    @Test
    void narrowBordersWithinBordersFillTheQuilt() {
        bordersWithinBordersFillTheQuilt(
                List.of(Corners.MITRED, Corners.MITRED, Corners.MITRED, Corners.TOP_AND_BOTTOM_THROUGH), 4, 0.81);
    }

    @Test
    void anInnerSeamIsAsLongAsTheTapeSaysOrAsItIsDrawn() {
        Quilt quilt = bordered(List.of(Corners.MITRED, Corners.CORNERSTONES), 2, 6);
        RunId top = RunId.of(2, Side.TOP);
        assertThat(QuiltShape.of(quilt).run(top).length()).isCloseTo(64, within(0.05));
        Quilt measured = quilt.with(Dimension.seam(2, Side.TOP), 64.25);
        assertThat(QuiltShape.of(measured).run(top).length()).isEqualTo(64.25);
        assertThat(MeasureInspector.inspect(measured, QuiltShape.of(measured), 0.005))
                .as("a quarter in 64 is eased unseen")
                .noneMatch(Finding.SeamDiffers.class::isInstance);
        Quilt off = quilt.with(Dimension.seam(2, Side.TOP), 65);
        assertThat(MeasureInspector.inspect(off, QuiltShape.of(off), 0.005))
                .filteredOn(Finding.SeamDiffers.class::isInstance)
                .singleElement()
                .satisfies(f -> assertThat(f.run()).contains(top));
    }

    @Test
    void aBorderThatIsTakenOutLetsTheOthersMoveIn() {
        Quilt three = bordered(List.of(Corners.MITRED, Corners.CORNERSTONES, Corners.SIDES_THROUGH), 2, 6, 9)
                .with(Dimension.seam(2, Side.TOP), 64.25);
        Quilt two = three.withoutBorder(1);
        assertThat(two.borders())
                .extracting(Border::corners)
                .containsExactly(Corners.CORNERSTONES, Corners.SIDES_THROUGH);
        assertThat(two.length(Dimension.depth(1, Side.LEFT))).isEqualTo(6);
        assertThat(two.length(Dimension.depth(2, Side.LEFT))).isEqualTo(9);
        assertThat(two.measured()).hasSize(4 + 8);
        assertThat(two.missing()).isEmpty();
    }

    // In a parallelogram with sides a, b the diagonals' squares differ by 4ab·cos of the corner (law of cosines,
    // twice).
    @ParameterizedTest
    @CsvSource({"60, 80, 1", "60, 80, 2.5", "71.625, 86.375, 0.5", "40, 100, 0"})
    void tellsHowFarOffSquareItIs(double across, double down, double differ) {
        double mean = Math.sqrt(across * across + down * down - differ * differ / 4);
        Quilt quilt = quilt(across, down, across, down, 5)
                .with(Dimension.DIAGONAL_DOWN, mean + differ / 2)
                .with(Dimension.DIAGONAL_UP, mean - differ / 2);
        Squareness square = Squareness.of(quilt);
        double angle = Math.asin(2 * mean * differ / (4 * across * down));
        assertThat(square.mostOffSquare()).isCloseTo(angle, within(1e-7));
        assertThat(square.diagonals().orElseThrow()).isCloseTo(differ, within(1e-12));
        assertThat(square.corners().stream().mapToDouble(a -> a).sum()).isCloseTo(2 * Math.PI, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource({
        "AS_MEASURED, 60, 60.5, 0, 0",
        "MEAN, 60.25, 60.25, 0.25, -0.25",
        "TO_SHORTER, 60, 60, 0, -0.5",
        "TO_LONGER, 60.5, 60.5, 0.5, 0"
    })
    void oppositeSidesAreEasedAndTheTapesWordIsKept(
            Easing easing, double top, double bottom, double topEased, double bottomEased) {
        Quilt quilt = quilt(60, 80, 60.5, 80, 6).with(Quilt.Easings.NONE.with(Side.BOTTOM, easing));
        assertThat(quilt.length(Dimension.BODY_TOP)).as("as measured").isEqualTo(60);
        assertThat(QuiltShape.of(quilt).run(RunId.of(Side.TOP)).length()).isEqualTo(top);
        assertThat(QuiltShape.of(quilt).run(RunId.of(Side.BOTTOM)).length()).isEqualTo(bottom);
        assertThat(Squareness.of(quilt).eased().get(Side.TOP)).isEqualTo(topEased);
        assertThat(Squareness.of(quilt).eased().get(Side.BOTTOM)).isEqualTo(bottomEased);
        assertThat(Squareness.of(quilt).across()).isEqualTo(-0.5);
        assertThat(Squareness.of(quilt).eased().get(Side.LEFT)).isZero();
    }

    @Test
    void stripsLieWhereTheyAreSaidTo() {
        Strip sash = new Strip("Middle sash", Strip.Kind.SASHING, new Point(-30, -1), 0, 60, 2, OptionalDouble.empty());
        Quilt quilt = quilt(60, 80, 60, 80, 6).withStrips(List.of(sash));
        QuiltShape shape = QuiltShape.of(quilt);
        RunFrame run = shape.run(RunId.strip(1));
        assertThat(run.place(60, 2).distance(new Point(30, 1))).isLessThan(1e-9);
        assertThat(quilt.groups()).containsExactly(GroupId.border(1), GroupId.strip(1));
        assertThat(MeasureInspector.inspect(quilt, shape, 0.005)).isEmpty();
        Strip off = new Strip("Off", Strip.Kind.FREE, new Point(-30, -60), 0, 60, 2, OptionalDouble.empty());
        Quilt beside = quilt.withStrips(List.of(sash, off));
        assertThat(MeasureInspector.inspect(beside, QuiltShape.of(beside), 0.005))
                .containsExactly(new Finding.StripOffQuilt(RunId.strip(2)));
    }

    @Test
    void runsAndGroupsAreNamedForGood() {
        for (String code : List.of("top", "left", "border-2-top", "border-4-right", "strip-12")) {
            assertThat(RunId.parse(code).orElseThrow().code()).isEqualTo(code);
        }
        for (String code : List.of("", "middle", "border-2", "border-0-top", "border-2-middle", "strip-", "strip-x")) {
            assertThat(RunId.parse(code)).as(code).isEmpty();
        }
        assertThat(GroupId.parse("border-3")).contains(GroupId.border(3));
        assertThat(GroupId.parse("strip-1")).contains(GroupId.strip(1));
        assertThat(GroupId.parse("border-x")).isEmpty();
    }
}
