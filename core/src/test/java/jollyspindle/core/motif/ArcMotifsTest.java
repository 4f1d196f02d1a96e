package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.operation.distance.DistanceOp;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

import static jollyspindle.core.motif.MotifChecks.JTS;
import static jollyspindle.core.motif.MotifChecks.check;
import static jollyspindle.core.motif.MotifChecks.even;
import static jollyspindle.core.motif.MotifChecks.flat;
import static jollyspindle.core.motif.MotifChecks.job;
import static jollyspindle.core.motif.MotifChecks.line;
import static jollyspindle.core.motif.MotifChecks.quilt;
import static jollyspindle.core.motif.MotifChecks.square;
import static jollyspindle.core.motif.MotifChecks.with;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

/** Nested, echoed and facing arcs, and sails, against the trade's values. */
class ArcMotifsTest {

    /** Common practice, no source; by Pythagoras: R = 4 with rises 3, 2, 1: foot gaps 0.409, 0.818. */
    @ParameterizedTest
    @CsvSource({"4, 7.745967, 0.4088817, 0.8183499", "3, 6, 0.1715729, 0.5923593"})
    void loweredArcsPinchAtTheirFeet(double radius, double span, double first, double second) {
        String template = radius == 4 ? "orchard-hill" : "chapel-door";
        Motif motif = new Motif.Arcs(Motif.Inner.LOWERED, 3, 1, List.of(), Optional.empty(), 1);
        QuiltJob job = job(
                        quilt(10 * span, 10 * span, 10 * span, 10 * span, 8, Corners.MITRED),
                        Design.of(with(motif, template)),
                        span)
                .withMachine(new Machine(0.25))
                .choosing(even(10));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        List<StitchLine> lines = plan.run(Side.TOP).orElseThrow().laidOut().lines();
        StitchLine outer = line(lines, Stitched.ARC, 1, 0);
        StitchLine middle = line(lines, Stitched.NESTED_ARC, 1, 1);
        StitchLine inner = line(lines, Stitched.NESTED_ARC, 1, 2);
        assertThat(middle.path().end().x() - outer.path().start().x())
                .as("on the way back")
                .isCloseTo(first, within(1e-6));
        assertThat(inner.path().start().x() - middle.path().end().x()).isCloseTo(second, within(1e-6));
        assertThat(outer.path().curves().get(0).at(0.5).y()
                        - middle.path().curves().get(0).at(0.5).y())
                .isCloseTo(1, within(1e-9));
        assertThat(plan.findings()).anySatisfy(f -> assertThat(f.code()).isEqualTo("motif-pinched"));
    }

    /** Two 4-wide half circles in a 3 strip overlap by 1 in a lens 2.646 wide (derived: √7). */
    @ParameterizedTest
    @CsvSource({"3, CROWNS, -1", "4, CROWNS, 0", "5, CROWNS, 1"})
    void facingHalfCirclesOverlapTouchOrLeaveAChannel(double depth, Motif.Facing facing, double channel) {
        Motif motif = new Motif.FacingArcs(
                facing, OptionalDouble.empty(), OptionalDouble.empty(), false, false, Optional.empty(), 1);
        QuiltJob job = job(
                        quilt(40, 40, 40, 40, depth, Corners.MITRED).with(Dimension.RESERVE, 0.0),
                        Design.of(with(motif, "half-moon")),
                        4)
                .withMachine(new Machine(0.25))
                .choosing(even(10));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        RunFrame frame = plan.run(Side.TOP).orElseThrow().frame();
        List<StitchLine> lines = plan.run(Side.TOP).orElseThrow().laidOut().lines();
        Curve low = line(lines, Stitched.ARC, 1, 0).path().curves().get(0);
        Curve high = lines.stream()
                .filter(l -> l.number() > 10)
                .map(l -> l.path().curves().get(0))
                .filter(c -> Math.abs(c.at(0.5).x() - low.at(0.5).x()) < 1e-6)
                .findFirst()
                .orElseThrow();
        assertThat(high.at(0.5).minus(low.at(0.5)).dot(frame.outward())).isCloseTo(channel, within(1e-9));
        if (channel < 0) {
            double lens = flat(Path.of(low))
                    .intersection(flat(Path.of(high)))
                    .getEnvelopeInternal()
                    .getWidth();
            assertThat(lens).isCloseTo(Math.sqrt(7), within(1e-3));
        }
    }

    /** Offset by half a repeat, half circles 4 wide in a 4 strip cross at √3 (derived). */
    @Test
    void halfCirclesOffsetByHalfCrossAtTheirRoot() {
        Motif motif = new Motif.FacingArcs(
                Motif.Facing.OVERLAPPING,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                false,
                false,
                Optional.empty(),
                1);
        WorkPlan plan = Planner.plan(job(
                        quilt(40, 40, 40, 40, 4, Corners.MITRED).with(Dimension.RESERVE, 0.0),
                        Design.of(with(motif, "half-moon")),
                        4)
                .withMachine(new Machine(0.25))
                .choosing(even(10)));
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        Curve low =
                line(top.laidOut().lines(), Stitched.ARC, 3, 0).path().curves().get(0);
        List<Double> heights = top.laidOut().lines().stream()
                .filter(l -> l.number() > 10)
                .flatMap(l -> Crossings.of(low, l.path().curves().get(0)).stream())
                .map(x -> low.at(x.onFirst())
                        .minus(top.frame().origin())
                        .dot(top.frame().outward()))
                .toList();
        assertThat(heights).hasSize(2).allSatisfy(h -> assertThat(h).isCloseTo(Math.sqrt(3), within(1e-9)));
        // A 2-wide half circle fits under the crossing exactly tangent: it touches both, and crosses neither.
        Curve second = top.laidOut().lines().stream()
                .filter(l -> l.number() > 10)
                .map(l -> l.path().curves().get(0))
                .filter(c -> Crossings.of(low, c).size() == 1
                        && c.at(0.5).x() > low.at(0.5).x())
                .findFirst()
                .orElseThrow();
        Point between = ((Arc) low).centre().midpoint(((Arc) second).centre());
        Arc small = new Arc(between, 1, 0, Math.PI);
        assertThat(Crossings.of(low, small)).hasSize(1);
        assertThat(Crossings.of(second, small)).hasSize(1);
    }

    /** True parallels keep their distance everywhere, lowered ones only at the crown; JTS measures. */
    @Test
    void parallelEchoesKeepTheirDistance() {
        Template four = StarterShelf.template("orchard-hill");
        Template three = four.withId("three").withName("Three").resized(3);
        QuiltJob job = square(
                        Design.of(with(
                                new Motif.Arcs(Motif.Inner.PARALLEL, 2, 1, List.of(), Optional.empty(), 1),
                                "orchard-hill")),
                        7)
                .withMachine(new Machine(0.25))
                .withTemplates(List.of(four, three));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        List<StitchLine> lines = plan.run(Side.TOP).orElseThrow().laidOut().lines();
        LineString outer = flat(line(lines, Stitched.ARC, 2, 0).path());
        Path echo = line(lines, Stitched.ECHO, 2, 1).path();
        for (int i = 1; i < 10; i++) {
            Point p = echo.curves().get(0).at(i / 10.0);
            assertThat(outer.distance(JTS.createPoint(new Coordinate(p.x(), p.y()))))
                    .isCloseTo(1, within(1e-3));
        }
        // Without a template of that radius it is told what is missing.
        Finding missing = Planner.plan(job.withTemplates(List.of(four))).findings().stream()
                .filter(f -> f.code().equals("motif-no-tool"))
                .findFirst()
                .orElseThrow();
        assertThat(((Finding.MotifTrouble) missing).diagnostic())
                .isEqualTo(new LayoutDiagnostic.NoTool(EdgeKind.ARC, 3));
    }

    /** Lines on lines: the echo's template lies with something on the line before, a foot's radius plus that away. */
    @Test
    void hollowTemplatesAreLaidOnTheLineBefore() {
        Motif motif = new Motif.Arcs(Motif.Inner.SHIFTED, 2, 0.75, List.of(), Optional.empty(), 1);
        WorkPlan plan =
                Planner.plan(square(Design.of(with(motif, "quiet-cove")), 6).withMachine(new Machine(0.25)));
        check(plan);
        assertThat(plan.placements(RunId.of(Side.TOP)).stream()
                        .filter(p -> p.of().kind() == Stitched.ECHO)
                        .map(Placement::registration))
                .isNotEmpty()
                .allSatisfy(r ->
                        assertThat(((Registration.OnStitching) r).fromEdge()).isCloseTo(0.5, within(1e-9)));
    }

    @Test
    void chosenRisesAreStitched() {
        Motif motif = new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(1.5, 0.75), Optional.empty(), 2);
        WorkPlan plan = Planner.plan(square(Design.of(with(motif, "orchard-hill")), 7));
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        List<StitchLine> lines = top.laidOut().lines();
        for (int line = 1; line <= 2; line++) {
            Point crown = line(lines, Stitched.NESTED_ARC, 1, line)
                    .path()
                    .curves()
                    .get(0)
                    .at(0.5);
            assertThat(crown.minus(top.frame().origin()).dot(top.frame().outward()))
                    .isCloseTo(line == 1 ? 1.5 : 0.75, within(1e-9));
        }
        assertThat(lines).allMatch(StitchLine::returns);
        // Nested lines are found by the crown, which is marked once the first ones are stitched.
        assertThat(top.laidOut().marks())
                .filteredOn(m -> m.kind() == Mark.Kind.CROWN)
                .hasSize(top.division().count())
                .allMatch(m -> m.stage() == Mark.Stage.STITCHED && m.by() == Mark.MarkedBy.CHALK);
    }

    /** Both curves of each sail; spacing s along what crosses at angle t is s / sin t (½ at 60° → 0.577, at 45° → 0.707). */
    @ParameterizedTest
    @EnumSource(Motif.Lean.class)
    void echoesOfSailsWalkAlongTheSeamAndClimbTheCurveTheyMeet(Motif.Lean lean) {
        // Two that bulge outwards stay apart if they leave the seam no flatter than straight up.
        String template = lean == Motif.Lean.UPRIGHT ? "wide-meadow" : "mill-bridge";
        double repeat = lean == Motif.Lean.UPRIGHT ? 12 : 6;
        QuiltJob job = square(Design.of(with(new Motif.Sails(2, 0.5, lean), template)), repeat);
        WorkPlan plan = Planner.plan(job);
        check(plan);
        List<StitchLine> lines = plan.run(Side.TOP).orElseThrow().laidOut().lines();
        Path sail = line(lines, Stitched.SAIL, 2, 0).path();
        Arc up = (Arc) sail.curves().get(0);
        Arc down = (Arc) sail.curves().get(1);
        assertThat(sail.end().x() - sail.start().x())
                .isCloseTo(2 * (up.end().x() - up.start().x()), within(1e-9));
        assertThat(up.radius()).isEqualTo(down.radius());
        assertThat(down.sweep() * up.sweep() > 0).isEqualTo(lean == Motif.Lean.UPRIGHT);
        for (int echo = 1; echo <= 2; echo++) {
            Path path = line(lines, Stitched.ECHO, 2, echo).path();
            Path out = echo % 2 == 1 ? path.reversed() : path;
            assertThat(out.start().y()).as("on the seam").isCloseTo(sail.start().y(), within(1e-9));
            assertThat(down.distance(out.end())).isCloseTo(0, within(1e-9));
            for (Point end : List.of(out.start(), out.end())) {
                assertThat(Math.abs(end.distance(up.centre()) - up.radius()))
                        .as("as far from the first curve as is told")
                        .isCloseTo(echo * 0.5, within(1e-9));
            }
        }
        MotifDiagnostic.Uneven gaps = told(plan, MotifDiagnostic.Uneven.class);
        LineString before = flat(Path.of(up));
        for (int echo = 1; echo <= 2; echo++) {
            LineString next = flat(line(lines, Stitched.ECHO, 2, echo).path());
            for (Coordinate on : next.getCoordinates()) {
                Coordinate nearest = DistanceOp.nearestPoints(before, JTS.createPoint(on))[0];
                if (!nearest.equals2D(before.getCoordinateN(0))
                        && !nearest.equals2D(before.getCoordinateN(before.getNumPoints() - 1))) {
                    assertThat(nearest.distance(on))
                            .as("what is told of the gap is what is stitched")
                            .isBetween(gaps.narrowest() - 0.01, gaps.widest() + 0.01);
                }
            }
            before = next;
        }
        // Of an echo close by, the walk is as long as the straight line's.
        WorkPlan close = Planner.plan(square(Design.of(with(new Motif.Sails(1, 1.0 / 16, lean), template)), repeat));
        MotifDiagnostic.Walk walk = told(close, MotifDiagnostic.Walk.class);
        double angle = up.direction(0).angle();
        assertThat(walk.walk()).isCloseTo(1.0 / 16 / Math.sin(angle), withinPercentage(3));
    }

    private static <D extends MotifDiagnostic> D told(WorkPlan plan, Class<D> type) {
        return plan.findings().stream()
                .filter(Finding.MotifTrouble.class::isInstance)
                .map(f -> ((Finding.MotifTrouble) f).diagnostic())
                .filter(type::isInstance)
                .map(type::cast)
                .findFirst()
                .orElseThrow();
    }
}
