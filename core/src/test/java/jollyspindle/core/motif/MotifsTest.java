package jollyspindle.core.motif;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Cell;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.School;
import jollyspindle.core.division.SchoolKind;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Guide;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Every motif on whole quilts; JTS measures independently what was placed. */
class MotifsTest {

    private static final GeometryFactory JTS = new GeometryFactory();
    private static final GroupId INNER = GroupId.border(1);
    private static final double FLAT = 1e-4;

    private static Quilt quilt(double top, double right, double bottom, double left, double depth, Corners corners) {
        Quilt quilt = Quilt.unmeasured().with(corners);
        double[] sides = {top, right, bottom, left};
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), sides[side.ordinal()]).with(Dimension.depth(side), depth);
        }
        return quilt;
    }

    private static QuiltJob job(Quilt quilt, Design design, double repeat) {
        return DemoJob.heronWeir()
                .withQuilt(quilt)
                .withTemplates(StarterShelf.templates())
                .editing(INNER, l -> l.with(design).with(l.wish().withRepeat(repeat)));
    }

    private static QuiltJob square(Design design, double repeat) {
        return job(quilt(72, 84, 72, 84, 8, Corners.MITRED), design, repeat);
    }

    private static Layer with(Motif motif, String template) {
        return Layer.of(motif).withTemplate(Optional.of(template), Optional.empty());
    }

    // --- what must hold of every plan --------------------------------------------------------------------------

    private static LineString flat(Path path) {
        return JTS.createLineString(path.flattened(FLAT).stream()
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new));
    }

    private static Polygon polygon(List<Point> points) {
        return JTS.createPolygon(Stream.concat(points.stream(), Stream.of(points.get(0)))
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new));
    }

    static void check(WorkPlan plan) {
        Set<String> ids = new HashSet<>();
        List<Placement> all = new ArrayList<>();
        plan.runs().forEach(run -> all.addAll(plan.placements(run.id())));
        for (StitchLine line : plan.lines()) {
            assertThat(ids.add(line.id())).as(line.id()).isTrue();
            List<Placement> own = all.stream().filter(p -> p.of().equals(line)).toList();
            checkPieces(line, own);
        }
        for (Placement placement : all) {
            assertThat(ids.add(placement.id())
                            || placement.id().equals(placement.of().id()))
                    .as(placement.id())
                    .isTrue();
            checkPlacement(plan.job(), placement);
        }
        checkMarks(plan, all);
        for (RunPlan run : plan.runs()) {
            boolean stopped = plan.findings().stream()
                    .anyMatch(f -> (f.severity() == Finding.Severity.PROBLEM || f instanceof Finding.IntoReserve)
                            && f.run()
                                    .filter(r -> r.group().equals(run.id().group()))
                                    .isPresent());
            if (!stopped) {
                assertThat(run.laidOut().lines()).as("something is stitched").isNotEmpty();
                checkInside(
                        run,
                        plan.job().layout(run.id().group()).design().corner().kind() == CornerDesign.Kind.DIAGONAL_CUT);
            }
        }
    }

    /** A line's pieces follow each other from its start to its end, each from where it is said to start. */
    private static void checkPieces(StitchLine line, List<Placement> pieces) {
        assertThat(pieces).as(line.id()).isNotEmpty();
        Point at = line.path().start();
        double length = 0;
        for (Placement piece : pieces) {
            assertThat(piece.start().place().distance(piece.path().start()))
                    .as(line.id())
                    .isLessThan(1e-3);
            assertThat(piece.end().place().distance(piece.path().end()))
                    .as(line.id())
                    .isLessThan(1e-3);
            assertThat(piece.path().start().distance(at)).as(line.id()).isLessThan(1e-6);
            at = piece.path().end();
            length += piece.path().length();
        }
        assertThat(at.distance(line.path().end())).isLessThan(1e-6);
        assertThat(length).isCloseTo(line.path().length(), within(1e-6));
    }

    /** The needle runs a foot's radius from the placed acrylic edge everywhere. */
    private static void checkPlacement(QuiltJob job, Placement placement) {
        Guide guide = job.template(placement.tool().templateId())
                .orElseThrow()
                .cut()
                .guide(placement.tool().guideId())
                .orElseThrow();
        Point home = guide.round().map(r -> r.centre().times(-1)).orElse(Point.ORIGIN);
        LineString edge = flat(guide.edge().moved(home).posed(placement.pose()));
        for (Curve curve : placement.curves()) {
            for (int i = 0; i <= 6; i++) {
                Point needle = curve.at(i / 6.0);
                assertThat(edge.distance(JTS.createPoint(new Coordinate(needle.x(), needle.y()))))
                        .as("%s with %s along %s", placement.id(), placement.tool(), curve)
                        .isCloseTo(job.machine().footRadius(), within(1e-3));
            }
        }
    }

    /** Every mark that is made is used: to start, to stop, or to lay the template on. */
    private static void checkMarks(WorkPlan plan, List<Placement> placements) {
        Set<String> used = new HashSet<>();
        for (Placement placement : placements) {
            placement.start().mark().ifPresent(m -> used.add(m.id()));
            placement.end().mark().ifPresent(m -> used.add(m.id()));
            if (placement.registration() instanceof Registration.OnSeam on) {
                on.centre().ifPresent(m -> used.add(m.id()));
            } else if (placement.registration() instanceof Registration.CentreOnMark on) {
                used.add(on.centre().id());
            } else if (placement.registration() instanceof Registration.OnStitching on) {
                assertThat(plan.lines()).extracting(StitchLine::id).contains(on.lineId());
            }
        }
        for (RunPlan run : plan.runs()) {
            Set<String> ids = new HashSet<>();
            for (Mark mark : run.laidOut().marks()) {
                assertThat(ids.add(mark.id())).as(mark.id()).isTrue();
                double tick = plan.job().tape().tick();
                assertThat(mark.readings().fromLeft().onTape()).isCloseTo(mark.along(), within(tick / 2 + 1e-9));
                if (mark.by() == Mark.MarkedBy.CHALK) {
                    assertThat(used).as(mark.id()).contains(mark.id());
                }
            }
        }
    }

    private static void checkInside(RunPlan run, boolean runsOn) {
        RunFrame f = run.frame();
        double low = f.clearance() - 1e-3;
        double high = f.depth() - f.reserve() + 1e-3;
        // Runs that go on to the mitre reach out as far as the border is deep, and a little more on a quilt that leans.
        double on = runsOn ? 1.1 * high : 1e-3;
        Polygon region = polygon(List.of(
                f.place(-1e-3, low), f.place(f.length() + 1e-3, low),
                f.place(f.length() + on, high), f.place(-on, high)));
        for (StitchLine line : run.laidOut().lines()) {
            assertThat(region.covers(flat(line.path()))).as(line.id()).isTrue();
        }
    }

    // --- random quilts -----------------------------------------------------------------------------------------

    @Provide
    Arbitrary<Motif> motifs() {
        Arbitrary<Integer> few = Arbitraries.integers().between(1, 4);
        Arbitrary<Double> step = Arbitraries.doubles().between(0.3, 1.5);
        Arbitrary<Boolean> flag = Arbitraries.of(true, false);
        Arbitrary<OptionalDouble> maybe =
                step.optional().map(o -> o.map(OptionalDouble::of).orElse(OptionalDouble.empty()));
        Arbitrary<Optional<String>> other =
                Arbitraries.of("low-dune", "quiet-cove", "chapel-door").optional();
        Arbitrary<Double> angle = Arbitraries.integers().between(30, 150).map(d -> Math.toRadians(d));
        return Arbitraries.oneOf(
                Combinators.combine(Arbitraries.of(Motif.Inner.class), few, step, other, few.map(n -> Math.min(n, 3)))
                        .as((i, n, s, o, p) -> (Motif) new Motif.Arcs(i, n, s, List.of(), o, p)),
                Combinators.combine(Arbitraries.of(Motif.Facing.class), maybe, maybe, flag, flag, other)
                        .as((f, c, i, a, b, o) -> (Motif) new Motif.FacingArcs(f, c, i, a, b, o, 1)),
                Combinators.combine(few, step).as((n, s) -> (Motif) new Motif.Sails(n - 1, s)),
                Combinators.combine(few, few.map(n -> Math.min(n, 3))).as((b, r) -> (Motif) new Motif.Fans(b, r)),
                Combinators.combine(Arbitraries.doubles().between(0, 0.5), few, flag)
                        .as((g, n, s) -> (Motif) new Motif.Circles(g, n + 1, Motif.Turning.ALTERNATING, s)),
                Combinators.combine(few, flag).as((n, m) -> (Motif) new Motif.Serpentine(n, m)),
                Combinators.combine(Arbitraries.of(Motif.Points.class), maybe, Arbitraries.of(0.0, 0.5, 1.0), few, step)
                        .as((p, h, r, n, s) -> (Motif) new Motif.Chevrons(p, h, r, n, s)),
                Combinators.combine(few, angle).as((n, a) -> (Motif) new Motif.StraightLines(n, a)),
                Combinators.combine(step, angle, flag).as((s, a, c) -> (Motif) new Motif.Crosshatch(s, a, c)));
    }

    @Provide
    Arbitrary<Layer> layers() {
        return Combinators.combine(
                        motifs(),
                        Arbitraries.of(Layer.Edge.class),
                        Arbitraries.of(Layer.Space.class),
                        Arbitraries.of(Layer.Cells.class),
                        Arbitraries.of("orchard-hill", "chapel-door", "twin-gable", "half-moon", "mill-bridge"))
                .as((m, e, s, c, t) -> {
                    Layer layer = new Layer(m, e, s, c, Optional.empty(), Optional.empty());
                    return Needs.template(m) == Obstacle.Need.ARC
                            ? layer.withTemplate(Optional.of(t), Optional.empty())
                            : layer;
                });
    }

    @Provide
    Arbitrary<CornerDesign> corners() {
        return Combinators.combine(
                        Arbitraries.of(CornerDesign.Kind.class),
                        Arbitraries.of("orchard-hill", "low-dune", "half-moon", "chapel-door"),
                        Arbitraries.integers().between(1, 4),
                        Arbitraries.of(true, false))
                .as((k, t, n, o) -> {
                    CornerDesign corner = CornerDesign.of(k).withLines(n).withFromOuter(o);
                    return k == CornerDesign.Kind.QUARTER_FAN
                            ? corner
                            : corner.withTemplate(Optional.of(t), Optional.empty());
                });
    }

    @Property(tries = 400)
    void everyMotifIsLaidOutWholeOrRefusedWithAFinding(
            @ForAll("layers") Layer main,
            @ForAll("layers") Layer second,
            @ForAll("corners") CornerDesign corner,
            @ForAll @DoubleRange(min = 20, max = 100) double top,
            @ForAll @DoubleRange(min = 20, max = 100) double left,
            @ForAll @DoubleRange(min = -0.4, max = 0.4) double uneven,
            @ForAll @DoubleRange(min = 2, max = 12) double depth,
            @ForAll @DoubleRange(min = 2, max = 10) double repeat,
            @ForAll SchoolKind school,
            @ForAll Corners corners) {
        Design design = new Design(List.of(main.with(Layer.Space.ALL), second), corner, Map.of());
        Quilt quilt = quilt(top, left, top + uneven, left - uneven, depth, corners);
        QuiltJob job = job(quilt, design, repeat)
                .editing(
                        INNER,
                        l -> school == SchoolKind.BY_HAND ? l : l.with(l.wish().with(Optional.of(school))));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        assertThat(Planner.plan(job)).isEqualTo(plan);
        // What isn't there is told.
        for (int layer = 1; layer <= 2; layer++) {
            int number = layer;
            boolean lines = plan.lines().stream().anyMatch(l -> l.layer() == number);
            assertThat(lines || plan.findings().stream().anyMatch(f -> f.severity() == Finding.Severity.PROBLEM))
                    .as("layer " + layer + " of " + design)
                    .isTrue();
        }
    }

    // --- the trade's check values ------------------------------------------------------------------------------

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
        assertThat(middle.path().start().x() - outer.path().start().x()).isCloseTo(first, within(1e-6));
        assertThat(inner.path().start().x() - middle.path().start().x()).isCloseTo(second, within(1e-6));
        assertThat(outer.path().curves().get(0).at(0.5).y()
                        - middle.path().curves().get(0).at(0.5).y())
                .isCloseTo(1, within(1e-9));
        assertThat(plan.findings()).anySatisfy(f -> assertThat(f.code()).isEqualTo("motif-pinched"));
    }

    private static StitchLine line(List<StitchLine> lines, Stitched kind, int number, int sub) {
        return lines.stream()
                .filter(l -> l.kind() == kind && l.number() == number && l.sub() == sub)
                .findFirst()
                .orElseThrow();
    }

    private static Map<RunId, School> even(int count) {
        Map<RunId, School> all = new TreeMap<>();
        for (Side side : Side.values()) {
            all.put(RunId.of(side), new School.Even(count));
        }
        return all;
    }

    /**
     * Common practice, no source; by the law of cosines: fans of R = 7.5 at a pitch of 7.5 sweep 95.7°, 101.5°, 107.5°,
     * 113.6°, 120.0°.
     */
    @Test
    void bladesReachTheFanBefore() {
        QuiltJob job = job(
                        quilt(75, 75, 75, 75, 9, Corners.MITRED),
                        Design.of(with(new Motif.Fans(5, 1), "barley-fan")),
                        7.5)
                .withMachine(new Machine(0.25))
                .choosing(even(10));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        List<StitchLine> lines = plan.run(Side.TOP).orElseThrow().laidOut().lines();
        double[] sweeps = {95.7, 101.5, 107.5, 113.6, 120.0};
        for (int blade = 1; blade <= 5; blade++) {
            StitchLine line = line(lines, Stitched.BLADE, 5, blade);
            double radius = 1.5 * blade;
            double exact = Math.toDegrees(Math.acos((7.5 * 7.5 - radius * radius - 7.5 * 7.5) / (2 * radius * 7.5)));
            assertThat(Math.toDegrees(line.path().length() / radius)).isCloseTo(exact, within(1e-6));
            assertThat(exact).isCloseTo(sweeps[blade - 1], within(0.05));
        }
        // The first fan is a quarter, cut off by the run's end.
        assertThat(line(lines, Stitched.BLADE, 1, 3).path().length()).isCloseTo(Math.PI / 2 * 4.5, within(1e-6));
        // A slot of 120° reaches just so; one of 90° takes a swivel.
        assertThat(plan.placements(RunId.of(Side.TOP))).allMatch(p -> p.parts() == 1);
        WorkPlan swivelled =
                Planner.plan(job.editing(INNER, l -> l.with(Design.of(with(new Motif.Fans(3, 1), "even-fan")))));
        check(swivelled);
        assertThat(swivelled.placements(RunId.of(Side.TOP)).stream().filter(p -> p.part() == 2))
                .as("the needle stays, the template turns about its pivot")
                .isNotEmpty()
                .allMatch(p -> p.start().shownBy() == Spot.ShownBy.NEEDLE);
    }

    /** Second rows stand on the cusps, at 0.866 R where the pitch is R (derived). */
    @Test
    void secondRowsStandOnTheCusps() {
        QuiltJob job = job(
                        quilt(75, 75, 75, 75, 14, Corners.MITRED),
                        Design.of(with(new Motif.Fans(5, 2), "barley-fan")),
                        7.5)
                .withMachine(new Machine(0.25))
                .choosing(even(10));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        List<Mark> pivots = plan.run(Side.TOP).orElseThrow().laidOut().marks().stream()
                .filter(m -> m.kind() == Mark.Kind.PIVOT)
                .toList();
        assertThat(pivots).hasSize(10);
        assertThat(pivots).allSatisfy(m -> assertThat(m.across()).isCloseTo(7.5 * Math.sqrt(3) / 2, within(1e-9)));
        assertThat(pivots.get(0).along()).isCloseTo(3.75, within(1e-9));
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

    /** With the feet at d and radius R the centre lies k out, (k + d)² + k² = R²; the crown clears k + R ≤ W − reserve. */
    @Test
    void theMitreArcAndTheRunsAgree() {
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.MITRE_ARC).withFeet(OptionalDouble.of(2)));
        WorkPlan plan = Planner.plan(square(design, 6.8)
                .withMachine(new Machine(0.25))
                .editing(INNER, l -> l.with(l.wish().with(Optional.of(SchoolKind.EVEN)))));
        check(plan);
        assertThat(plan.corners()).hasSize(4);
        for (RingDesigner.Corner corner : plan.corners()) {
            RunPlan run = plan.run(corner.run()).orElseThrow();
            assertThat(run.division().cornerLeft()).isCloseTo(2, within(1e-9));
            assertThat(run.division().cornerRight()).isCloseTo(2, within(1e-9));
            // 72 − 4 = 68 and 84 − 4 = 80 are what is divided.
            assertThat(run.division().repeat() * run.division().count())
                    .isCloseTo(run.division().length() - 4, within(1e-9));
            StitchLine line = corner.lines().get(0);
            assertThat(line.path().end().distance(run.frame().place(2, 0))).isLessThan(1e-9);
            Arc arc = (Arc) line.path().curves().get(0);
            double k = arc.centre().minus(run.frame().origin()).dot(run.frame().outward());
            assertThat((k + 2) * (k + 2) + k * k).isCloseTo(16, within(1e-9));
            assertThat(k).isCloseTo(1.6458, within(5e-5));
            // The run's first arc starts where the corner's ends: one mark for both.
            assertThat(run.laidOut().placements().get(0).start())
                    .isEqualTo(corner.placements()
                            .get(corner.placements().size() - 1)
                            .end());
        }
    }

    /** Midpoint to midpoint is W/√2: a 6 square gives 4.243. */
    @Test
    void cornerstoneRingsGoFromMidpointToMidpoint() {
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.CORNERSTONE_RING)
                        .withTemplate(Optional.of("orchard-hill"), Optional.empty())
                        .withLines(2));
        WorkPlan plan = Planner.plan(
                job(quilt(72, 72, 72, 72, 6, Corners.CORNERSTONES).with(Dimension.RESERVE, 0.0), design, 6));
        check(plan);
        List<StitchLine> lines = plan.corners().get(0).lines();
        assertThat(lines).hasSize(8);
        assertThat(lines.get(0).path().start().distance(lines.get(0).path().end()))
                .isCloseTo(6 / Math.sqrt(2), within(1e-9));
        assertThat(lines.get(4).path().start().distance(lines.get(4).path().end()))
                .isCloseTo(3 / Math.sqrt(2), within(1e-9));
    }

    @ParameterizedTest
    @EnumSource(CornerDesign.Kind.class)
    void allFourCornersAreAlikeOnASquareQuilt(CornerDesign.Kind kind) {
        Optional<String> template =
                switch (kind) {
                    case CORNERSTONE_RING, DIAGONAL_CUT -> Optional.of("low-dune");
                    case QUARTER_FAN -> Optional.of("barley-fan");
                    default -> Optional.empty();
                };
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(kind).withLines(2).withTemplate(template, Optional.empty()));
        // A diamond along the mitre of a border as narrow as this is within the template's reach.
        WorkPlan plan = Planner.plan(job(quilt(72, 72, 72, 72, 6, Corners.MITRED), design, 6));
        check(plan);
        if (kind == CornerDesign.Kind.PLAIN) {
            assertThat(plan.corners()).isEmpty();
            return;
        }
        assertThat(plan.corners()).hasSize(4);
        assertThat(plan.hasProblems()).as(plan.findings().toString()).isFalse();
        for (int i = 1; i < 4; i++) {
            List<StitchLine> first = plan.corners().get(0).lines();
            List<StitchLine> turned = plan.corners().get(i).lines();
            assertThat(turned).hasSameSizeAs(first).isNotEmpty();
            for (int n = 0; n < first.size(); n++) {
                Point expected = first.get(n).path().end().turned(-i * Math.PI / 2);
                assertThat(turned.get(n).path().end().distance(expected)).isLessThan(1e-6);
            }
        }
    }

    /** Spacing s along the seam at angle t is s / sin t (½ at 60° → 0.577, at 45° → 0.707). */
    @Test
    void echoesOfSailsWalkAlongTheSeam() {
        QuiltJob job = square(Design.of(with(new Motif.Sails(3, 0.5), "orchard-hill")), 6);
        WorkPlan plan = Planner.plan(job);
        check(plan);
        List<StitchLine> lines = plan.run(Side.TOP).orElseThrow().laidOut().lines();
        Path sail = line(lines, Stitched.SAIL, 2, 0).path();
        double angle = sail.curves().get(0).direction(0).angle();
        Path echo = line(lines, Stitched.ECHO, 2, 2).path();
        assertThat(echo.start().x() - sail.start().x()).isCloseTo(2 * 0.5 / Math.sin(angle), within(1e-6));
        assertThat(line(lines, Stitched.ECHO, 2, 1).path().start().y())
                .as("the first echo comes back from the outer edge")
                .isCloseTo(sail.end().y(), within(1e-6));
    }

    @Test
    void circlesGoRoundOnceAndAHalfAndLeaveOpposite() {
        QuiltJob job = job(
                        quilt(36, 36, 36, 36, 3, Corners.MITRED).with(Dimension.RESERVE, 0.5),
                        Design.of(with(new Motif.Circles(0.25, 3, Motif.Turning.ALTERNATING, false), "pebble-plate")),
                        2.5)
                .withMachine(new Machine(0.25));
        WorkPlan plan = Planner.plan(job);
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        // The largest hole that goes into 2 1/2 less two gaps of 1/4 stitches 1 3/4; 36 in repeats of 2 or a little
        // more.
        for (StitchLine line : top.laidOut().lines()) {
            assertThat(line.path().length()).isCloseTo(1.5 * Math.PI * 1.75, within(1e-9));
            assertThat(line.path().end().x() - line.path().start().x()).isCloseTo(1.75, within(1e-9));
        }
        assertThat(top.division().repeat()).isGreaterThanOrEqualTo(1.75);
        List<Double> sweeps = top.laidOut().lines().stream()
                .map(l -> ((Arc) l.path().curves().get(0)).sweep())
                .toList();
        assertThat(sweeps.get(0) * sweeps.get(1))
                .as("every second one the other way")
                .isNegative();
    }

    @ParameterizedTest
    @CsvSource({"90, 1", "60, 2", "120, 3", "45, 4"})
    void straightLinesStandAtTheirAngleAndFillTheRun(double degrees, int perRepeat) {
        QuiltJob job =
                square(Design.of(with(new Motif.StraightLines(perRepeat, Math.toRadians(degrees)), "furrow-long")), 6);
        WorkPlan plan = Planner.plan(job);
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        for (StitchLine line : top.laidOut().lines()) {
            Point way = line.path().end().minus(line.path().start());
            assertThat(Math.abs(way.unit().cross(Point.direction(Math.toRadians(degrees)))))
                    .isLessThan(1e-9);
        }
        int repeats = top.division().count() * perRepeat;
        double lean = Math.abs(top.frame().room() / Math.tan(Math.toRadians(degrees)));
        int beyond = (int) Math.ceil(lean / (top.division().repeat() / perRepeat) - 1e-6);
        assertThat(top.laidOut().lines().size()).isBetween(repeats - 1, repeats + 1 + beyond);
    }

    @Test
    void crosshatchFillsJustTheArcsItIsPutInto() {
        Layer arcs = with(Motif.Arcs.single(), "orchard-hill");
        Layer hatch = Layer.of(new Motif.Crosshatch(0.75, Math.PI / 4, false))
                .with(Layer.Space.INSIDE)
                .with(Layer.Cells.ODD);
        WorkPlan plan = Planner.plan(square(new Design(List.of(arcs, hatch), CornerDesign.plain(), Map.of()), 6));
        check(plan);
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        List<StitchLine> lines = top.laidOut().lines();
        Set<Integer> filled = new HashSet<>();
        for (StitchLine line : lines) {
            if (line.kind() == Stitched.HATCH) {
                Point middle = line.path().curves().get(0).at(0.5);
                int cell = (int) Math.ceil(
                        middle.minus(top.frame().origin()).x() / top.division().repeat());
                filled.add(cell);
                Path arc = line(lines, Stitched.ARC, cell, 0).path();
                for (Point end : List.of(line.path().start(), line.path().end())) {
                    double off = Math.min(
                            arc.distance(end),
                            Math.abs(end.y() - top.frame().origin().y()));
                    assertThat(off).as("cut off exactly").isLessThan(1e-6);
                }
            }
        }
        assertThat(filled)
                .allMatch(cell -> cell % 2 == 1)
                .hasSize((top.division().count() + 1) / 2);
    }

    @Test
    void hatchingLikeTheEchoesIsTold() {
        Layer arcs = with(new Motif.Arcs(Motif.Inner.LOWERED, 2, 0.5, List.of(), Optional.empty(), 1), "orchard-hill");
        Layer hatch = Layer.of(new Motif.Crosshatch(0.5, Math.PI / 4, false)).with(Layer.Space.INSIDE);
        WorkPlan plan = Planner.plan(square(new Design(List.of(arcs, hatch), CornerDesign.plain(), Map.of()), 6));
        Finding told = plan.findings().stream()
                .filter(f -> f.code().equals("motif-hatch-like-echo"))
                .findFirst()
                .orElseThrow();
        Remedy.Redesign remedy = (Remedy.Redesign) told.remedy().orElseThrow();
        WorkPlan better = Planner.plan(plan.job().editing(remedy.group(), l -> l.with(remedy.design())));
        assertThat(better.findings()).noneMatch(f -> f.code().equals("motif-hatch-like-echo"));
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
        assertThat(((Finding.MotifTrouble) missing).obstacle()).isEqualTo(new Obstacle.NoTool(Obstacle.Need.ARC, 3));
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

    @Test
    void oneSideAndOneCornerCanBeTheirOwn() {
        Layer arcs = with(Motif.Arcs.single(), "orchard-hill");
        Layer fans = with(new Motif.Fans(3, 1), "barley-fan");
        Design design = Design.of(arcs)
                .withRun(RunId.of(Side.LEFT), List.of(fans))
                .withCorner(Side.TOP, CornerDesign.of(CornerDesign.Kind.TURNED));
        WorkPlan plan = Planner.plan(square(design, 6));
        check(plan);
        assertThat(plan.run(Side.LEFT).orElseThrow().laidOut().lines()).allMatch(l -> l.kind() == Stitched.BLADE);
        assertThat(plan.run(Side.RIGHT).orElseThrow().laidOut().lines()).allMatch(l -> l.kind() == Stitched.ARC);
        assertThat(plan.corners()).extracting(RingDesigner.Corner::run).containsExactly(RunId.of(Side.TOP));
        Design round = design.copiedRound(RunId.of(Side.LEFT));
        assertThat(round.main()).isEqualTo(fans);
        assertThat(round.sides()).isEmpty();
        assertThat(design.withRun(RunId.of(Side.LEFT), List.of(arcs)).sides()).isEmpty();
    }

    @Test
    void cornersOfALeaningQuiltAreFittedOneByOne() {
        Design design = Design.of(with(Motif.Arcs.single(), "orchard-hill"))
                .withCorner(CornerDesign.of(CornerDesign.Kind.MITRE_ARC));
        Quilt leaning = quilt(60, 80, 60, 80, 7, Corners.MITRED)
                .with(Dimension.DIAGONAL_DOWN, 101)
                .with(Dimension.DIAGONAL_UP, 99);
        WorkPlan plan = Planner.plan(job(leaning, design, 6));
        check(plan);
        Obstacle.CornersDiffer told = plan.findings().stream()
                .filter(f -> f.code().equals("corner-corners-differ"))
                .map(f -> (Obstacle.CornersDiffer) ((Finding.CornerTrouble) f).obstacle())
                .findFirst()
                .orElseThrow();
        List<Double> out = plan.corners().stream()
                .map(c -> c.lines()
                        .get(0)
                        .path()
                        .curves()
                        .get(0)
                        .at(0.5)
                        .distance(plan.shape().orElseThrow().run(c.run()).origin()))
                .toList();
        assertThat(told.by())
                .isCloseTo(Collections.max(out) - Collections.min(out), within(1e-9))
                .isGreaterThan(1.0 / 64);
    }

    /** What is its own mirror image looks so on a mirrored quilt. */
    @Property(tries = 60)
    void mirroredQuiltsGetMirroredPlans(
            @ForAll("symmetric") Motif motif,
            @ForAll @DoubleRange(min = 30, max = 80) double top,
            @ForAll @DoubleRange(min = 30, max = 80) double left,
            @ForAll @DoubleRange(min = 0, max = 0.4) double uneven) {
        Design design =
                Design.of(Needs.template(motif) == Obstacle.Need.ARC ? with(motif, "orchard-hill") : Layer.of(motif));
        WorkPlan plan = Planner.plan(job(quilt(top, left, top, left + uneven, 8, Corners.MITRED), design, 6));
        WorkPlan mirror = Planner.plan(job(quilt(top, left + uneven, top, left, 8, Corners.MITRED), design, 6));
        for (RunPlan run : plan.runs()) {
            Side side = run.id().side().orElseThrow();
            Side there = side.isAcross() ? side : side.opposite();
            RunPlan other = mirror.run(there).orElseThrow();
            // Which of two equally good ways comes first may differ; the same way must look the same.
            List<Cell> cells = run.division().cells();
            List<Cell> others = other.division().cells();
            boolean same = cells.size() == others.size();
            for (int i = 0; same && i < cells.size(); i++) {
                same = Math.abs(cells.get(i).to() - others.get(i).to()) < 1e-9;
            }
            if (!same) {
                continue;
            }
            assertThat(other.laidOut().lines()).hasSameSizeAs(run.laidOut().lines());
            for (StitchLine line : run.laidOut().lines()) {
                Point middle = line.path().curves().get(0).at(0.5).mirrored();
                assertThat(other.laidOut().lines().stream()
                                .mapToDouble(l -> l.path().distance(middle))
                                .min()
                                .orElseThrow())
                        .as(line.id())
                        .isLessThan(1e-3);
            }
        }
    }

    @Provide
    Arbitrary<Motif> symmetric() {
        return Arbitraries.of(
                Motif.Arcs.single(),
                new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(), Optional.empty(), 1),
                new Motif.FacingArcs(
                        Motif.Facing.CROWNS,
                        OptionalDouble.empty(),
                        OptionalDouble.of(0.75),
                        true,
                        true,
                        Optional.empty(),
                        1),
                new Motif.FacingArcs(
                        Motif.Facing.HALF_STEP,
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        false,
                        false,
                        Optional.empty(),
                        1),
                new Motif.Circles(0.25, 2, Motif.Turning.SAME, false),
                new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.of(3), 0, 3, 0.5),
                new Motif.Chevrons(Motif.Points.BOXES, OptionalDouble.of(3), 0, 2, 0.5),
                new Motif.StraightLines(4, Math.PI / 2),
                new Motif.Crosshatch(1, Math.PI / 4, false));
    }

    /** The same motif on a quilt turned by 90° gives the same ring, turned. */
    @Property(tries = 60)
    void turnedQuiltsGetTurnedPlans(
            @ForAll("layers") Layer layer,
            @ForAll @DoubleRange(min = 30, max = 80) double top,
            @ForAll @DoubleRange(min = 30, max = 80) double left) {
        Design design = Design.of(layer.with(Layer.Space.ALL));
        WorkPlan plan = Planner.plan(job(quilt(top, left, top, left, 8, Corners.MITRED), design, 6));
        WorkPlan turned = Planner.plan(job(quilt(left, top, left, top, 8, Corners.MITRED), design, 6));
        for (RunPlan run : plan.runs()) {
            Side side = run.id().side().orElseThrow();
            RunPlan other = turned.run(side.next()).orElseThrow();
            // Which of two equally good ways comes first may differ; the same way must look the same.
            if (other.division().count() != run.division().count()
                    || Math.abs(other.division().repeat() - run.division().repeat()) > 1e-9) {
                continue;
            }
            List<StitchLine> before = run.laidOut().lines();
            List<StitchLine> after = other.laidOut().lines();
            assertThat(after).hasSameSizeAs(before);
            for (int i = 0; i < before.size(); i++) {
                Point expected = before.get(i).path().end().turned(-Math.PI / 2);
                assertThat(after.get(i).path().end().distance(expected)).isLessThan(1e-6);
            }
        }
    }

    /** Every motif in every school that divides a run of 61 by sixes. */
    @Property(tries = 120)
    void motifsTakeWhateverTheSchoolLeaves(@ForAll("layers") Layer layer, @ForAll("leaving") School school) {
        Design design = Design.of(layer.with(Layer.Space.ALL));
        QuiltJob job = job(quilt(61, 61, 61, 61, 8, Corners.MITRED), design, 6);
        Map<RunId, School> all = new TreeMap<>();
        for (Side side : Side.values()) {
            all.put(RunId.of(side), school);
        }
        check(Planner.plan(job.choosing(all)));
    }

    @Provide
    Arbitrary<School> leaving() {
        return Arbitraries.of(
                new School.Even(10),
                new School.Even(1),
                new School.CornersIn(6, 4),
                new School.CornersIn(6, 4, new Filling.TwoHalfArcs()),
                new School.CornersIn(6, 4, new Filling.OwnMotif()),
                new School.CentreOut(6, 9, EndUse.SHORT_ARC),
                new School.CentreOut(6, 9, EndUse.CORNER),
                new School.HalfSteps(10),
                new School.Fudged(6, 10, new School.Spread.RoundCentre(4)),
                new School.ByIncrements(1, 6),
                new School.ByHand(9, Map.of(3, 20.0)));
    }
}
