package jollyspindle.core.motif;

import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.school.CentreOut;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.Fudged;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;

import static jollyspindle.core.motif.MotifChecks.INNER;
import static jollyspindle.core.motif.MotifChecks.check;
import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.plan;
import static jollyspindle.core.motif.MotifChecks.quilt;
import static jollyspindle.core.motif.MotifChecks.told;
import static jollyspindle.core.motif.MotifChecks.top;
import static jollyspindle.core.motif.MotifChecks.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/**
 * What whole borders are put together from, with the numbers that a quilter's pencil gives: circular segments, chords and right
 * triangles (all derived). What goes together is common practice, no source.
 */
class WholeBordersTest {

    private static final Motif HALF_CIRCLES =
            new Motif.Chevrons(Motif.Points.HALF_CIRCLES, OptionalDouble.empty(), 0, 1, 0.5);

    private static Layer halfCircles(int perRepeat, String template) {
        return with(((Motif.Chevrons) HALF_CIRCLES).withPerRepeat(perRepeat), template);
    }

    private static Design design(Layer... layers) {
        Design design = Design.of(layers[0]);
        for (int i = 1; i < layers.length; i++) {
            design = design.withLayer(layers[i]);
        }
        return design;
    }

    /** Along the run and outward from its seam. */
    private static Point local(WorkPlan plan, Point p) {
        Point from = p.minus(top(plan).frame().origin());
        return new Point(
                from.dot(top(plan).frame().along()), from.dot(top(plan).frame().outward()));
    }

    private static List<StitchLine> lines(WorkPlan plan, int layer) {
        return top(plan).laidOut().lines().stream()
                .filter(l -> l.layer() == layer)
                .toList();
    }

    private static List<Arc> arcs(List<StitchLine> lines) {
        return lines.stream()
                .flatMap(l -> l.path().curves().stream())
                .filter(Arc.class::isInstance)
                .map(Arc.class::cast)
                .toList();
    }

    // --- half circles by a plate -----------------------------------------------------------------------------------

    /**
     * Three bumps, 3 apart: 20 half circles of a 60 side in seven holds where one at a time takes twenty. With the usual foot they
     * rise half their width; a larger one stitches the segment of radius 5/4 + foot over the chord 3, a smaller one goes down to the
     * gap's floor.
     */
    @ParameterizedTest
    @CsvSource({"0.245, 1.5", "0.25, 1.5", "0.262, 1.3219"})
    void aPlateOfSeveralTakesFewerHolds(double foot, double rise) {
        WorkPlan plan = plan(design(halfCircles(1, "thatch-large")), 60, 7.5, new Even(20), foot);
        assertThat(top(plan).laidOut().placements()).hasSize(7);
        assertThat(told(plan)).containsOnly(new MotifDiagnostic.Together(20, 7));
        double highest = arcs(lines(plan, 1)).stream()
                .mapToDouble(a -> local(plan, a.centre()).y() + a.radius())
                .max()
                .orElseThrow();
        double valley = local(plan, lines(plan, 1).get(0).path().start()).y();
        assertThat(valley).isCloseTo(0, within(1e-9));
        assertThat(highest).isCloseTo(rise, within(1e-4));
        WorkPlan single = plan(design(halfCircles(1, "thatch-large")), 59, 7.5, new Even(20), foot);
        assertThat(top(single).laidOut().placements()).hasSize(20);
        assertThat(told(single)).contains(new MotifDiagnostic.OneByOne(3, 3));
    }

    /** Two rows offset by half cross at √(R² − (P/4)²), and half as wide a half circle under the crossing touches both. */
    @Test
    void smallOnesFitUnderTheCrossings() {
        WorkPlan plan = plan(
                design(
                        halfCircles(1, "thatch-large"),
                        halfCircles(1, "thatch-large").withHalfStep(true),
                        halfCircles(2, "thatch-middle")),
                60,
                7.5,
                new Even(20),
                0.25);
        List<Arc> large = arcs(lines(plan, 1));
        List<Arc> offset = arcs(lines(plan, 2));
        Set<Long> crowns = new HashSet<>();
        large.forEach(a -> crowns.add(Math.round(100 * local(plan, a.centre()).x())));
        offset.forEach(a -> crowns.add(Math.round(100 * local(plan, a.centre()).x())));
        // Crowns at 0, 1 1/2, 3 ... 60.
        assertThat(crowns).hasSize(41);
        for (Arc small : arcs(lines(plan, 3))) {
            List<Double> from = new ArrayList<>();
            for (Arc one : large) {
                from.add(one.centre().distance(small.centre()));
            }
            for (Arc one : offset) {
                from.add(one.centre().distance(small.centre()));
            }
            from.sort(Double::compare);
            assertThat(small.radius()).isCloseTo(0.75, within(1e-9));
            // It touches the circles from inside: their centres are as far apart as the radii differ.
            assertThat(from.get(0)).isCloseTo(1.5 - 0.75, within(1e-6));
            assertThat(from.get(1)).isCloseTo(1.5 - 0.75, within(1e-6));
        }
    }

    /** In the lenses alone, and everywhere an eighth of an inch from what is stitched around. */
    @Test
    void hatchingInLensesBreathes() {
        WorkPlan plan = plan(
                design(
                        halfCircles(1, "thatch-large"),
                        halfCircles(1, "thatch-large").withHalfStep(true),
                        with(new Motif.Crosshatch(0.5, Math.PI / 2, true, true), "orchard-hill")
                                .with(Layer.Space.OVERLAPS)
                                .withBreathing(0.125)),
                60,
                7.5,
                new Even(20),
                0.25);
        List<Arc> around = new ArrayList<>(arcs(lines(plan, 1)));
        around.addAll(arcs(lines(plan, 2)));
        List<StitchLine> hatch = lines(plan, 3);
        assertThat(hatch).hasSizeGreaterThan(60);
        double nearest = Double.MAX_VALUE;
        for (StitchLine line : hatch) {
            for (Point p : line.path().flattened(1e-3)) {
                assertThat(around.stream()
                                .filter(a -> a.centre().distance(p) < a.radius())
                                .count())
                        .isGreaterThanOrEqualTo(2);
                nearest = Math.min(
                        nearest,
                        around.stream().mapToDouble(a -> a.distance(p)).min().orElseThrow());
            }
        }
        assertThat(nearest).isCloseTo(0.125, within(1e-6));
    }

    /** On the outer edge a hollow faces a crest, or a crest a crest. */
    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void wavesFaceEachOtherEitherWay(boolean halfStep) {
        Layer waves = with(new Motif.Chevrons(Motif.Points.WAVES, OptionalDouble.empty(), 0, 1, 0.5), "brook-strip");
        WorkPlan plan =
                plan(design(waves, waves.with(Layer.Edge.OUTSIDE).withHalfStep(halfStep)), 60, 6, new Even(15), 0.25);
        List<Double> inner = crests(plan, 1, true);
        List<Double> outer = crests(plan, 2, false);
        double off = Math.abs(inner.get(3) - nearest(outer, inner.get(3)));
        assertThat(off).isCloseTo(halfStep ? 2 : 0, within(1e-6));
    }

    private static List<Double> crests(WorkPlan plan, int layer, boolean highest) {
        return arcs(lines(plan, layer)).stream()
                .filter(a -> {
                    double bulge =
                            local(plan, a.at(0.5)).y() - local(plan, a.centre()).y();
                    return highest == bulge > 0;
                })
                .map(a -> local(plan, a.at(0.5)).x())
                .filter(x -> x > 4 && x < 56)
                .toList();
    }

    private static double nearest(List<Double> all, double to) {
        return all.stream()
                .min((a, b) -> Double.compare(Math.abs(a - to), Math.abs(b - to)))
                .orElseThrow();
    }

    /** 60 1/4 pieced as twenty of 3: the two in the middle are stretched by 1/8, at their crowns and not at the seam. */
    @ParameterizedTest
    @CsvSource({"60.25, 0.125", "59.75, -0.125"})
    void whatThePiecingIsOutByShowsAtACrown(double side, double by) {
        WorkPlan plan = plan(
                design(halfCircles(1, "thatch-large")), side, 7.5, new Fudged(3, 20, new Spread.RoundCentre(2)), 0.25);
        assertThat(told(plan))
                .anyMatch(d -> d instanceof MotifDiagnostic.Eased eased
                        && eased.cells() == 2
                        && Math.abs(eased.by() - by) < 1e-9);
        List<StitchLine> lines = lines(plan, 1);
        List<StitchLine> halves =
                lines.stream().filter(l -> arcs(List.of(l)).size() == 1).toList();
        assertThat(halves).hasSize(4);
        // The two halves meet half of 1/8 beside the crown of a circle of 1 1/2.
        double meeting = local(plan, halves.get(0).path().end()).y();
        assertThat(meeting).isCloseTo(Math.sqrt(1.5 * 1.5 - 0.0625 * 0.0625), within(1e-6));
        for (int i = 1; i < lines.size(); i++) {
            assertThat(lines.get(i)
                            .path()
                            .start()
                            .distance(lines.get(i - 1).path().end()))
                    .as("no gap at the seam")
                    .isLessThan(1e-6);
        }
    }

    // --- channels and almonds --------------------------------------------------------------------------------------

    private static Layer parallels() {
        return with(new Motif.Arcs(Motif.Inner.PARALLEL, 2, 1, List.of(), Optional.empty(), 1), "orchard-hill");
    }

    /**
     * Arcs of 4 over 6 with a parallel of 3 leave a channel of 1, and circles of 1 go in about 3 1/2: the lowest touch the seam, so
     * that they stand acos((√7 + 1/2) / 3 1/2) to both sides of the crown, each taking 2 asin(1/7).
     */
    @Test
    void circlesFillACurvedChannel() {
        Motif chain = new Motif.Circles(0, 3, Motif.Turning.SAME, false, Motif.Channel.IN_ARCS);
        WorkPlan plan = plan(design(parallels(), with(chain, "pebble-plate")), 60, 7.5, new Even(10), 0.25);
        List<StitchLine> circles = lines(plan, 2);
        double reach = Math.acos((Math.sqrt(7) + 0.5) / 3.5);
        int each = (int) Math.floor(2 * reach / (2 * Math.asin(1 / 7.0))) + 1;
        assertThat(each).isEqualTo(4);
        assertThat(circles).hasSize(10 * each);
        for (int i = 0; i < each; i++) {
            Arc circle = (Arc) circles.get(i).path().curves().get(0);
            Point centre = local(plan, circle.centre());
            assertThat(circle.radius()).isCloseTo(0.5, within(1e-9));
            assertThat(centre.distance(new Point(3, -Math.sqrt(7)))).isCloseTo(3.5, within(1e-9));
            if (i == 0 || i == each - 1) {
                assertThat(centre.y()).isCloseTo(0.5, within(1e-9));
            }
            assertThat(circles.get(i).path().length()).isCloseTo(1.5 * Math.PI, within(1e-9));
        }
    }

    /** Half circles stand on the lower line from foot to foot, evenly: chords of 3 sin. */
    @Test
    void halfCirclesStandOnAnArc() {
        Motif chain = new Motif.Circles(0, 2, Motif.Turning.SAME, false, Motif.Channel.ON_ARCS);
        WorkPlan plan = plan(design(parallels(), with(chain, "penny-stack")), 60, 7.5, new Even(10), 0.25);
        List<Arc> halves = arcs(lines(plan, 2));
        double reach = Math.acos(Math.sqrt(7) / 3);
        int each = halves.size() / 10;
        assertThat(each * 10).isEqualTo(halves.size());
        double chord = 2 * 3 * Math.sin(reach / each);
        for (Arc half : halves) {
            assertThat(half.start().distance(half.end())).isCloseTo(chord, within(1e-9));
            assertThat(chord).isLessThanOrEqualTo(2 * half.radius());
        }
        for (int i = 1; i < each; i++) {
            assertThat(halves.get(i).start().distance(halves.get(i - 1).end())).isLessThan(1e-9);
        }
    }

    @Test
    void withoutAChannelThereAreNoCircles() {
        Motif chain = new Motif.Circles(0, 2, Motif.Turning.SAME, false, Motif.Channel.IN_ARCS);
        Layer single = with(Motif.Arcs.single(), "orchard-hill");
        WorkPlan plan = plan(design(single, with(chain, "pebble-plate")), 60, 7.5, new Even(10), 0.25);
        assertThat(told(plan)).contains(new MotifDiagnostic.NoChannel());
    }

    /** Of radius 4 and 6 long an almond is 2 (4 − √7) high; on a row of the same it stands on the crowns, tip to tip. */
    @Test
    void almondsStandOnCrownsTipToTip() {
        Layer almonds = with(new Motif.Almonds(OptionalDouble.empty()), "orchard-hill");
        WorkPlan plan = plan(design(with(Motif.Arcs.single(), "orchard-hill"), almonds), 60, 7.5, new Even(10), 0.25);
        List<StitchLine> lines = lines(plan, 2);
        assertThat(lines).hasSize(20);
        double rise = 4 - Math.sqrt(7);
        for (int i = 0; i < 10; i++) {
            Arc lower = (Arc) lines.get(i).path().curves().get(0);
            assertThat(local(plan, lower.start()).y()).isCloseTo(2 * rise, within(1e-9));
            assertThat(local(plan, lower.at(0.5)).y()).isCloseTo(rise, within(1e-9));
            assertThat(lower.start().distance(lower.end())).isCloseTo(6, within(1e-9));
            Arc upper = (Arc) lines.get(19 - i).path().curves().get(0);
            assertThat(local(plan, upper.at(0.5)).y()).isCloseTo(3 * rise, within(1e-9));
        }
        // There along the lower curves and back along the upper ones, without a break.
        for (int i = 1; i < lines.size(); i++) {
            assertThat(lines.get(i)
                            .path()
                            .start()
                            .distance(lines.get(i - 1).path().end()))
                    .isLessThan(1e-9);
        }
        assertThat(told(plan)).isEmpty();
    }

    /** Half an inch high they don't touch: 2√(4 · 1/2 − 1/16) long, and 6 less that apart; so far back one breaks thread. */
    @Test
    void whereAlmondsDontTouchItIsToldWhetherToBreakThread() {
        Layer almonds = with(new Motif.Almonds(OptionalDouble.of(0.5)), "orchard-hill");
        WorkPlan plan = plan(design(with(Motif.Arcs.single(), "orchard-hill"), almonds), 60, 7.5, new Even(10), 0.25);
        double length = 2 * Math.sqrt(4 * 0.5 - 0.0625);
        double lower = 2 * 4 * Math.asin(length / 8);
        double row = 2 * 4 * Math.asin(6 / 8.0);
        assertThat(told(plan)).hasSize(1).allSatisfy(d -> {
            MotifDiagnostic.FromAlmond from = (MotifDiagnostic.FromAlmond) d;
            assertThat(from.times()).isEqualTo(9);
            assertThat(from.apart()).isCloseTo(6 - length, within(1e-9));
            assertThat(from.retraced()).isCloseTo(lower + row, within(1e-9));
            assertThat(from.travel()).isFalse();
        });
    }

    // --- facing rows, fans, peaks ----------------------------------------------------------------------------------

    /** Lower arcs at rises of their own in both rows, mirrored, no line twice, and never far to go. */
    @Test
    void lowerArcsAreMirroredOnTheOtherEdge() {
        Motif facing = new Motif.FacingArcs(
                        Motif.Facing.CROWNS,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        false,
                        false,
                        Optional.empty(),
                        1)
                .withRises(List.of(1.0, 0.5));
        WorkPlan plan = plan(design(with(facing, "orchard-hill")), 60, 7.5, new Even(10), 0.25);
        List<StitchLine> lines = lines(plan, 1);
        assertThat(lines).hasSize(60);
        Map<Long, Integer> heights = new TreeMap<>();
        Set<String> places = new HashSet<>();
        for (StitchLine line : lines) {
            Point crown = local(plan, line.path().curves().get(0).at(0.5));
            heights.merge(Math.round(1e4 * Math.min(crown.y(), 7.5 - crown.y())), 1, Integer::sum);
            places.add(Math.round(1e4 * crown.x()) + "/" + Math.round(1e4 * crown.y()));
        }
        assertThat(heights)
                .containsExactly(
                        Map.entry(5000L, 20),
                        Map.entry(10000L, 20),
                        Map.entry(Math.round(1e4 * (4 - Math.sqrt(7))), 20));
        assertThat(places).hasSize(60);
        assertThat(farthest(lines)).isLessThan(8.5);
    }

    /**
     * A rise of 2 taken as wished: radius 4 spans 2√(2·4·2 − 4) = 6.928 for it, eight of which go into 60 from the centre out, with
     * 60 − 8·6.928 = 4.574 over, half of it at each end.
     */
    @Test
    void aWishedRiseComesExactlyFromTheCentreOut() {
        double span = 2 * Math.sqrt(12);
        Motif facing = new Motif.FacingArcs(
                Motif.Facing.CROWNS, OptionalDouble.empty(), OptionalDouble.of(0.75), true, true, Optional.empty(), 3);
        WorkPlan plan = plan(design(with(facing, "orchard-hill")), 60, 5.5, new CentreOut(span, 8, EndUse.PLAIN), 0.25);
        List<StitchLine> arcs = lines(plan, 1).stream()
                .filter(l ->
                        l.kind() == Stitched.ARC && l.path().curves().get(0).length() > span)
                .toList();
        assertThat(arcs).hasSize(16);
        assertThat(arcs).allSatisfy(line -> {
            double up = local(plan, line.path().curves().get(0).at(0.5)).y();
            assertThat(Math.min(up, 5.5 - up)).isCloseTo(2, within(1e-9));
        });
        assertThat(arcs.stream()
                        .mapToDouble(l -> local(plan, l.path().start()).x())
                        .min()
                        .orElseThrow())
                .isCloseTo((60 - 8 * span) / 2, within(1e-9));
    }

    /** How far the needle has to go from one line to the next at most, in inches. */
    private static double farthest(List<StitchLine> lines) {
        double farthest = 0;
        for (int i = 1; i < lines.size(); i++) {
            farthest = Math.max(
                    farthest,
                    lines.get(i).path().start().distance(lines.get(i - 1).path().end()));
        }
        return farthest;
    }

    /** Even and odd radii together stand 1 apart; the set is changed once a run, and stitched on the way back. */
    @Test
    void fansOfTwoSetsAreAnInchApart() {
        Layer fans = with(new Motif.Fans(6, 1, false, Optional.of("odd-fan")), "even-fan");
        WorkPlan plan = plan(design(fans), 60, 7.5, new Even(10), 0.25);
        List<Placement> placements = top(plan).laidOut().placements();
        int changes = 0;
        for (int i = 1; i < placements.size(); i++) {
            boolean other = !placements
                    .get(i)
                    .tool()
                    .templateId()
                    .equals(placements.get(i - 1).tool().templateId());
            changes += other ? 1 : 0;
        }
        assertThat(changes).isEqualTo(1);
        assertThat(placements.get(0).tool().templateId()).isEqualTo("even-fan");
        Set<Long> radii = new HashSet<>();
        arcs(lines(plan, 1)).forEach(a -> radii.add(Math.round(1e6 * a.radius())));
        assertThat(radii).containsExactlyInAnyOrder(1000000L, 2000000L, 3000000L, 4000000L, 5000000L, 6000000L);
        assertThat(farthest(lines(plan, 1))).isLessThan(2 * 7.5);
    }

    /** A second row is stitched on the way back if that is wished, its fans leaning the other way. */
    @ParameterizedTest
    @CsvSource({"true, 12", "false, 70"})
    void rowsOfFansComeBack(boolean back, double most) {
        Layer fans = with(new Motif.Fans(3, 2, back, Optional.empty()), "barley-fan");
        WorkPlan plan = plan(design(fans), 60, 7.5, new Even(10), 0.25);
        assertThat(farthest(lines(plan, 1))).isBetween(back ? 0 : 50.0, most);
    }

    /** Outside as inside each side lies 1/2 from the next, and every tip 1/2 √2 above it. */
    @Test
    void peaksAreEchoedOutside() {
        Motif peaks = new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.empty(), 0, 2, 0.5).withOuter(2);
        WorkPlan plan = plan(design(with(peaks, "furrow-long")), 60, 7.5, new Even(10), 0.25);
        List<StitchLine> lines = lines(plan, 1);
        double[] tips = {3, 3 - 0.5 * Math.sqrt(2), 3 + 0.5 * Math.sqrt(2), 3 + Math.sqrt(2)};
        for (int sub = 0; sub < 4; sub++) {
            int which = sub;
            List<Curve> sides = lines.stream()
                    .filter(l -> l.sub() == which)
                    .flatMap(l -> l.path().curves().stream())
                    .toList();
            assertThat(sides).hasSize(20);
            double highest = sides.stream()
                    .mapToDouble(c -> Math.max(
                            local(plan, c.start()).y(), local(plan, c.end()).y()))
                    .max()
                    .orElseThrow();
            assertThat(highest).isCloseTo(tips[sub], within(1e-9));
        }
        WorkPlan many =
                plan(design(with(((Motif.Chevrons) peaks).withOuter(9), "furrow-long")), 60, 7.5, new Even(10), 0.25);
        // From a tip at 3 there is room for (7 1/2 − 3) / 0.707 = 6.4 more.
        assertThat(told(many)).contains(new MotifDiagnostic.TooManyOutside(9, 6));
    }

    /** A closed box of 3 by 2, and the one inside 1/2 from it all round; triangles of 6 by 3 likewise. */
    @Test
    void boxesAndPeaksCloseOnThemselves() {
        Motif boxes = new Motif.Chevrons(Motif.Points.BOXES, OptionalDouble.of(2), 0, 2, 0.5).withClosed(true);
        WorkPlan plan = plan(design(with(boxes, "furrow-long")), 60, 7.5, new Even(10), 0.25);
        for (StitchLine line : lines(plan, 1)) {
            assertThat(line.path().start().distance(line.path().end())).isLessThan(1e-9);
            assertThat(line.path().length()).isCloseTo(line.sub() == 0 ? 2 * (3 + 2) : 2 * (2 + 1), within(1e-9));
        }
        Motif peaks = new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.of(3), 0, 2, 0.5).withClosed(true);
        WorkPlan closed = plan(design(with(peaks, "furrow-long")), 60, 7.5, new Even(10), 0.25);
        // The incircle's radius is area / half the perimeter = 9 / (3 + 3√2); a triangle 1/2 inside is smaller by 1/2
        // of that.
        double around = 6 + 6 * Math.sqrt(2);
        double inside = around * (1 - 0.5 / (9 / (around / 2)));
        for (StitchLine line : lines(closed, 1)) {
            assertThat(line.path().start().distance(line.path().end())).isLessThan(1e-9);
            assertThat(line.path().length()).isCloseTo(line.sub() == 0 ? around : inside, within(1e-9));
        }
    }

    // --- corners ---------------------------------------------------------------------------------------------------

    private static QuiltJob cornered(CornerDesign corner, Corners corners, List<Template> more) {
        List<Template> all = new ArrayList<>(StarterShelf.templates());
        all.addAll(more);
        return job(
                        quilt(61.5, 73.25, 61.625, 73.125, 8, corners),
                        Design.of(with(Motif.Arcs.single(), "orchard-hill")),
                        7)
                .withTemplates(all)
                .withMachine(new Machine(0.25))
                .editing(INNER, l -> l.with(l.design().withCorner(corner)));
    }

    /**
     * An arch of radius 2 on legs of 4 goes round a mitred corner in one hold: its feet R√2 = 2.828 from it, its centre 4 − 2 = 2
     * beyond it along the mitre.
     */
    @Test
    void anArchGoesRoundACornerInOneHold() {
        Template gate = StarterShelf.template("half-moon")
                .withForm(new ArcForm(OptionalDouble.of(2), OptionalDouble.empty(), Math.PI, 4, true, 7))
                .withId("tall-gate");
        CornerDesign corner =
                CornerDesign.of(CornerDesign.Kind.MITRE_ARC).withTemplate(Optional.of("tall-gate"), Optional.empty());
        WorkPlan plan = Planner.plan(cornered(corner, Corners.MITRED, List.of(gate)));
        check(plan);
        List<Placement> corners = plan.runs().stream()
                .flatMap(run -> plan.placements(run.id()).stream())
                .filter(p -> p.of().kind() == Stitched.CORNER_ARC)
                .toList();
        assertThat(corners).hasSize(4);
        for (Placement placement : corners) {
            Path path = placement.path();
            Arc half = (Arc) path.curves().get(1);
            assertThat(half.sweep()).isCloseTo(-Math.PI, within(1e-9));
            assertThat(((Segment) path.curves().get(0)).length()).isCloseTo(4, within(1e-9));
            assertThat(path.start().distance(path.end())).isCloseTo(4, within(1e-9));
            assertThat(placement.registration()).isInstanceOf(Registration.CentreOnMark.class);
            double nearest = plan.runs().stream()
                    .map(run -> run.frame().origin())
                    .mapToDouble(half.centre()::distance)
                    .min()
                    .orElseThrow();
            assertThat(nearest).isCloseTo(2, within(0.02));
        }
    }

    /** With its feet too near, the arc leaves the seam as the run's own first arc does; the feet that are named stand clear. */
    @Test
    void aMitreArcAlongTheFirstArcIsTold() {
        CornerDesign corner = CornerDesign.of(CornerDesign.Kind.MITRE_ARC)
                .withTemplate(Optional.of("orchard-hill"), Optional.empty())
                .withFeet(OptionalDouble.of(1.2));
        QuiltJob job = cornered(corner, Corners.MITRED, List.of());
        Finding.CornerTrouble along = Planner.plan(job).findings().stream()
                .filter(f ->
                        f instanceof Finding.CornerTrouble t && t.diagnostic() instanceof MotifDiagnostic.RunsAlong)
                .map(Finding.CornerTrouble.class::cast)
                .findFirst()
                .orElseThrow();
        double better =
                ((MotifDiagnostic.RunsAlong) along.diagnostic()).better().orElseThrow();
        assertThat(better * 8 % 1).as("on a tick").isZero();
        WorkPlan mended =
                Planner.plan(job.editing(INNER, l -> l.with(along.redesign().orElseThrow())));
        assertThat(told(mended)).noneMatch(MotifDiagnostic.RunsAlong.class::isInstance);
        assertThat(mended.findings()).noneMatch(f -> f.severity() == Finding.Severity.PROBLEM);
    }

    /** Each arc of a distorted stone meets its own two midpoints, which follow from the four sides as they were measured. */
    @Test
    void aDistortedCornerstoneIsEasedArcByArc() {
        CornerDesign ring = CornerDesign.of(CornerDesign.Kind.CORNERSTONE_RING)
                .withTemplate(Optional.of("low-dune"), Optional.empty());
        WorkPlan square = Planner.plan(cornered(ring, Corners.CORNERSTONES, List.of()));
        WorkPlan plan = Planner.plan(
                cornered(ring.withSides(List.of(8.25, 7.75, 8.125, 7.875)), Corners.CORNERSTONES, List.of()));
        check(plan);
        assertThat(told(square)).isEmpty();
        assertThat(told(plan)).anyMatch(MotifDiagnostic.StoneEased.class::isInstance);
        List<Arc> arcs = plan.lines().stream()
                .filter(l -> l.kind() == Stitched.CORNER_ARC)
                .map(l -> (Arc) l.path().curves().get(0))
                .limit(4)
                .toList();
        Point inner = top(plan).frame().origin();
        // Half of 8 1/4 along the one seam, and half of 7 7/8 along the other.
        assertThat(arcs.get(0).start().distance(inner)).isCloseTo(8.25 / 2, within(0.01));
        assertThat(arcs.get(3).start().distance(inner)).isCloseTo(7.875 / 2, within(0.01));
        for (int i = 0; i < 4; i++) {
            assertThat(arcs.get(i).end().distance(arcs.get((i + 1) % 4).start()))
                    .isLessThan(1e-9);
            assertThat(arcs.get(i).radius()).isCloseTo(arcs.get(0).radius(), within(1e-12));
        }
        WorkPlan open =
                Planner.plan(cornered(ring.withSides(List.of(8.0, 2.0, 20.0, 8.0)), Corners.CORNERSTONES, List.of()));
        assertThat(told(open)).contains(new MotifDiagnostic.SidesOpen());
    }
}
