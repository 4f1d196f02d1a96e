package jollyspindle.core.route;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.PlacementId;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.placement.ToolId;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.PieceId;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** The order of lines and the travelling between them. */
class RouterTest {

    private static final AreaId ID = new AreaId(1);

    private static LineId id(int number) {
        return new LineId(PieceId.of(ID), 1, Stitched.LINE, number, 0, 1);
    }

    private static StitchLine line(int number, Point from, Point to) {
        return new StitchLine(id(number), 1, 1, Path.of(new Segment(from, to)));
    }

    /**
     * A placement of all of a line.
     *
     * @param part its name's, 0 where there is only one
     */
    private static Placement placement(StitchLine line, int part, int parts) {
        return new Placement(
                new PlacementId(line.id(), part),
                line,
                Math.max(1, part),
                parts,
                new ToolId("furrow-long", "edge", Optional.empty()),
                new Pose(Point.ORIGIN, 0),
                new Registration.FootOnBothMarks(),
                LineEnd.at(line.path().start(), LineEnd.ShownBy.SEAM),
                LineEnd.at(line.path().end(), LineEnd.ShownBy.SEAM),
                line.path());
    }

    private static Routed route(List<StitchLine> lines, List<Path> ditches) {
        List<Placement> placements = new ArrayList<>();
        lines.forEach(line -> placements.add(placement(line, 0, 1)));
        Routed routed = Router.route(lines, placements, ditches, false);
        assertThat(routed.lines()).hasSize(lines.size());
        for (int i = 0; i < routed.lines().size(); i++) {
            assertThat(routed.placements().get(i).path())
                    .isEqualTo(routed.lines().get(i).path());
            assertThat(routed.placements().get(i).start().place())
                    .isEqualTo(routed.lines().get(i).path().start());
        }
        return routed;
    }

    /** Lines across a square, all laid out from left to right: up and down they need no new start. */
    @Test
    void everySecondLineIsTurned() {
        Path square = Path.polygon(List.of(Point.ORIGIN, new Point(4, 0), new Point(4, 4), new Point(0, 4)));
        List<StitchLine> lines = IntStream.rangeClosed(1, 3)
                .mapToObj(i -> line(i, new Point(0, i), new Point(4, i)))
                .toList();
        Routed routed = route(lines, List.of(square));
        assertThat(routed.starts()).isEqualTo(1);
        assertThat(routed.travelled()).isCloseTo(2, within(1e-9));
        assertThat(route(lines, List.of()).starts()).isEqualTo(3);
    }

    /** The shorter way round: from the middle of one side to the middle of the next, half the square's turn at most. */
    @Property(tries = 200)
    void theWayAlongAPathIsTheShorterOne(
            @ForAll @DoubleRange(min = 0, max = 16) double from, @ForAll @DoubleRange(min = 0, max = 16) double to) {
        Path square = Path.polygon(List.of(Point.ORIGIN, new Point(4, 0), new Point(4, 4), new Point(0, 4)));
        Point start = on(square, from);
        Point end = on(square, to);
        double direct = Math.abs(to - from);
        double expected = Math.min(direct, 16 - direct);
        Optional<Path> way = square.between(start, end);
        if (expected < 1e-5) {
            return;
        }
        assertThat(way.orElseThrow().length()).isCloseTo(expected, within(1e-6));
        assertThat(way.get().start().distance(start)).isLessThan(1e-6);
        assertThat(way.get().end().distance(end)).isLessThan(1e-6);
        assertThat(new Ditches(List.of(square), List.of(start, end))
                        .between(start, end)
                        .orElseThrow()
                        .path()
                        .length())
                .isCloseTo(expected, within(1e-5));
        assertThat(square.between(start, new Point(2, 2))).isEmpty();
    }

    /** Ditches reckoned on two ways end a hair apart, more than a path bears and less than makes two places of them. */
    @Test
    void ditchesThatEndAHairApartAreTravelledAcross() {
        Path to = Path.of(new Segment(Point.ORIGIN, new Point(3, 0)));
        Path on = Path.of(new Segment(new Point(3, 1.5e-6), new Point(3, 4)));
        Ditches ditches = new Ditches(List.of(to, on), List.of());
        for (boolean back : List.of(false, true)) {
            Point from = back ? on.end() : to.start();
            Point there = back ? to.start() : on.end();
            assertThat(ditches.between(from, there).orElseThrow().path().length())
                    .isCloseTo(7, within(1e-5));
        }
    }

    private static Point on(Path path, double along) {
        double left = along;
        for (var side : path.curves()) {
            if (left <= side.length()) {
                return side.at(left / side.length());
            }
            left -= side.length();
        }
        return path.end();
    }

    @Provide
    Arbitrary<List<double[]>> hops() {
        Arbitrary<Double> place = Arbitraries.doubles().between(0.1, 3.9).ofScale(3);
        return Combinators.combine(
                        Arbitraries.integers().between(0, 1),
                        place,
                        Arbitraries.integers().between(0, 1),
                        place)
                .as((a, x, b, y) -> new double[] {a, x, b, y})
                .list()
                .ofMinSize(1)
                .ofMaxSize(5);
    }

    /**
     * Between two seams that don't meet, against all orders and ways round tried one by one: as few, with as little
     * travel, and never more than as the lines were laid out.
     */
    @Property(tries = 600)
    void startsAreAsFewAsCanBeFound(@ForAll("hops") List<double[]> hops) {
        List<Path> seams = List.of(
                Path.of(new Segment(new Point(0, 0), new Point(4, 0))),
                Path.of(new Segment(new Point(0, 3), new Point(4, 3))));
        List<StitchLine> lines = new ArrayList<>();
        for (double[] hop : hops) {
            Point from = new Point(hop[1], hop[0] * 3);
            Point to = hop[0] == hop[2] ? new Point((hop[1] + hop[3]) / 2 + 0.01, 1.5) : new Point(hop[3], hop[2] * 3);
            lines.add(line(lines.size() + 1, from, to));
        }
        Routed routed = route(lines, seams);
        Cost least = least(
                lines,
                seams,
                new ArrayList<>(),
                new boolean[lines.size()],
                new Cost(lines.size() + 1, Double.MAX_VALUE));
        assertThat(routed.starts()).isEqualTo(least.starts());
        assertThat(routed.travelled()).isLessThanOrEqualTo(least.travel() + 1e-6);
        assertThat(routed.starts())
                .isLessThanOrEqualTo(Router.travelling(lines, List.of(), seams).starts());
    }

    private record Cost(int starts, double travel) implements Comparable<Cost> {

        static Cost of(Routed routed) {
            return new Cost(routed.starts(), routed.travelled());
        }

        @Override
        public int compareTo(Cost other) {
            return Comparator.comparingInt(Cost::starts)
                    .thenComparingDouble(Cost::travel)
                    .compare(this, other);
        }
    }

    /**
     * The fewest starts, and then the least travel, of all orders that begin as this one does, and all ways round.
     *
     * @param best found so far; what already takes as much is left
     */
    private static Cost least(
            List<StitchLine> lines, List<Path> seams, List<StitchLine> order, boolean[] used, Cost best) {
        Cost cost = order.isEmpty() ? new Cost(0, 0) : Cost.of(Router.travelling(order, List.of(), seams));
        // A further line takes starts and travel more or none.
        if (cost.compareTo(best) >= 0 || order.size() == lines.size()) {
            return cost.compareTo(best) < 0 ? cost : best;
        }
        Cost least = best;
        for (int i = 0; i < lines.size(); i++) {
            if (used[i]) {
                continue;
            }
            used[i] = true;
            for (StitchLine way : List.of(lines.get(i), lines.get(i).reversed())) {
                order.add(way);
                least = least(lines, seams, order, used, least);
                order.remove(order.size() - 1);
            }
            used[i] = false;
        }
        return least;
    }

    /** What is laid on a line comes after it. */
    @Test
    void whatIsLaidOnALineComesAfterIt() {
        StitchLine first = line(1, new Point(0, 3), new Point(4, 3));
        StitchLine second = line(2, new Point(4, 0), new Point(0, 0));
        Placement on = new Placement(
                new PlacementId(id(2), 0),
                second,
                1,
                1,
                new ToolId("furrow-long", "edge", Optional.empty()),
                new Pose(Point.ORIGIN, 0),
                new Registration.OnStitching(id(1), 2.75, false),
                LineEnd.at(second.path().start(), LineEnd.ShownBy.SEAM),
                LineEnd.at(second.path().end(), LineEnd.ShownBy.SEAM),
                second.path());
        Routed routed = Router.route(List.of(first, second), List.of(on), List.of(), false);
        assertThat(routed.lines()).extracting(StitchLine::number).containsExactly(1, 2);
    }

    /** A line that is stitched the other way round is the same line, and its placements are the same ones. */
    @Test
    void namesDontHangOnTheWayALineIsStitched() {
        StitchLine line = line(1, new Point(0, 0), new Point(4, 0));
        List<Placement> parts = new ArrayList<>();
        for (int part = 1; part <= 3; part++) {
            parts.add(placement(line, part, 3));
        }
        StitchLine back = line.reversed();
        assertThat(back.id()).isEqualTo(line.id());
        assertThat(parts).extracting(p -> p.reversed(back).part()).containsExactly(3, 2, 1);
        assertThat(parts)
                .extracting(p -> p.reversed(back).id().code())
                .containsExactly("area-1-line-1-part-1", "area-1-line-1-part-2", "area-1-line-1-part-3");
    }
}
