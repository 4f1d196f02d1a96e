package jollyspindle.core.plan;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.geometry.Angles;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.inspection.Remedy;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.Laid;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.SizeLabel;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

class PlannerTest {

    private static final GeometryFactory JTS = new GeometryFactory();

    private static QuiltJob job(Quilt quilt) {
        return DemoJob.heronWeir().withQuilt(quilt);
    }

    private static Quilt quilt(double top, double right, double bottom, double left, double depth, Corners corners) {
        Quilt quilt = Quilt.unmeasured().with(corners);
        double[] sides = {top, right, bottom, left};
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), sides[side.ordinal()]).with(Dimension.depth(side), depth);
        }
        return quilt;
    }

    private static LineString line(Arc arc) {
        return line(arc, 200);
    }

    private static LineString line(Arc arc, int count) {
        Coordinate[] points = new Coordinate[count];
        for (int i = 0; i < points.length; i++) {
            Point p = arc.at(i / (points.length - 1.0));
            points[i] = new Coordinate(p.x(), p.y());
        }
        return JTS.createLineString(points);
    }

    private static Polygon polygon(List<Point> points) {
        return JTS.createPolygon(Stream.concat(points.stream(), Stream.of(points.get(0)))
                .map(p -> new Coordinate(p.x(), p.y()))
                .toArray(Coordinate[]::new));
    }

    /** Everything that must hold of any plan that was made without problems. */
    private static void checkWhole(WorkPlan plan) {
        QuiltJob job = plan.job();
        ArcTemplate template = job.arc().orElseThrow();
        Set<String> ids = new HashSet<>();
        for (RunPlan run : plan.runs()) {
            int count = run.division().count();
            run.id().side().ifPresent(side -> assertThat(count)
                    .isEqualTo(
                            plan.run(side.opposite()).orElseThrow().division().count()));
            assertThat(Laid.arcs(run)).hasSize(count);
            checkMarks(run, job, ids);
            for (Placement placement : run.laidOut().placements()) {
                assertThat(ids.add(placement.id().code()))
                        .as(placement.id().code())
                        .isTrue();
                checkPlacement(placement, template, job.machine());
            }
            checkThread(run);
            // Stitched inside its own border; at a corner that isn't square, the last arc may lean over its seam.
            double lean = 1e-3 + run.frame().depth() * slant(plan);
            if (run.fit().orElseThrow().fitsRoom()) {
                Polygon region = polygon(plan.shape().orElseThrow().region(run.id()));
                Laid.arcs(run).forEach(arc -> assertThat(region.buffer(lean).covers(line(arc)))
                        .as("inside its border")
                        .isTrue());
                Polygon free = polygon(plan.shape().orElseThrow().reserve());
                Laid.arcs(run).forEach(arc -> assertThat(free.buffer(lean).covers(line(arc)))
                        .as("clear of the reserve")
                        .isTrue());
            }
        }
    }

    /** How far the body's corners are from square, at the most, in radians. */
    private static double slant(WorkPlan plan) {
        double most = 0;
        for (Side side : Side.values()) {
            double turn = plan.shape().orElseThrow().run(RunId.of(side)).rotation()
                    - plan.shape().orElseThrow().run(RunId.of(side.next())).rotation();
            most = Math.max(most, Math.abs(Angles.normal(turn - Math.PI / 2)));
        }
        return most;
    }

    private static void checkMarks(RunPlan run, QuiltJob job, Set<String> ids) {
        double length = run.division().length();
        int count = run.division().count();
        for (Mark mark : run.laidOut().marks()) {
            assertThat(ids.add(mark.id().code())).as(mark.id().code()).isTrue();
            assertThat(mark.along()).isBetween(-1e-9, length + 1e-9);
            assertThat(mark.readings().fromLeft().exact()).isCloseTo(mark.along(), within(1e-12));
            assertThat(mark.readings().fromRight().exact()).isCloseTo(length - mark.along(), within(1e-12));
            assertThat(mark.readings().fromCentre().exact()).isCloseTo(mark.along() - length / 2, within(1e-12));
            double exact =
                    switch (mark.kind()) {
                        case VALLEY -> length * mark.number() / count;
                        case CROWN -> length * (mark.number() - 0.5) / count;
                        case CENTRE -> length / 2;
                        default -> mark.along();
                    };
            assertThat(Math.abs(mark.readings().fromLeft().onTape() - exact))
                    .isLessThanOrEqualTo(job.tape().tick() / 2 + 1e-9);
        }
        assertThat(run.laidOut().marks())
                .filteredOn(m -> m.kind() == Mark.Kind.VALLEY)
                .hasSize(count + 1);
        assertThat(run.laidOut().marks())
                .filteredOn(m -> m.kind() == Mark.Kind.CROWN)
                .hasSize(count);
        assertThat(run.laidOut().marks())
                .filteredOn(m -> m.stage() == Mark.Stage.BEFORE_LOADING)
                .as("the centre is marked before loading")
                .hasSize(1)
                .allMatch(Mark::onCentre);
    }

    private static void checkPlacement(Placement placement, ArcTemplate template, Machine machine) {
        assertThat(Laid.arc(placement).start().distance(placement.start().place()))
                .isLessThan(1e-3);
        assertThat(Laid.arc(placement).end().distance(placement.end().place())).isLessThan(1e-3);
        // The needle runs a foot's radius from the placed acrylic edge everywhere; JTS measures.
        double used = template.usableSweep();
        LineString edge =
                line(new Arc(Point.ORIGIN, template.edgeRadius(), (Math.PI - used) / 2, used).posed(placement.pose()));
        for (Coordinate needle : line(Laid.arc(placement), 12).getCoordinates()) {
            assertThat(edge.distance(JTS.createPoint(needle))).isCloseTo(machine.footRadius(), within(1e-3));
        }
        assertThat(Math.abs(Laid.arc(placement).sweep())).isLessThanOrEqualTo(template.usableSweep() + 1e-9);
        assertThat(Laid.arc(placement).radius()).isCloseTo(template.stitchedRadius(machine), within(1e-9));
    }

    /** Each piece starts where the one before it ended, from the run's left end to its right. */
    private static void checkThread(RunPlan run) {
        LineEnd at = null;
        for (Placement placement : run.laidOut().placements()) {
            if (at != null) {
                assertThat(placement.start()).isEqualTo(at);
            }
            at = placement.end();
        }
        assertThat(at.mark().orElseThrow().along()).isCloseTo(run.division().length(), within(1e-9));
    }

    /** Divided evenly, whatever else would be better. */
    private static QuiltJob evenly(QuiltJob job) {
        return job.editing(GroupId.border(1), l -> l.with(l.wish().with(Wish.SCHOOL, Optional.of(SchoolKind.EVEN))));
    }

    private static QuiltJob withArc(QuiltJob job, UnaryOperator<ArcForm> change) {
        Template template = job.chosenTemplate().orElseThrow();
        return job.withTemplate(template.withForm(change.apply((ArcForm) template.form())));
    }

    /** The acrylic ends 1 1/2 below the crown. */
    private static QuiltJob shallow(QuiltJob job, List<EngravedLine> lines) {
        QuiltJob cut = withArc(
                job,
                arc -> new ArcForm(arc.bulging(), arc.hollow(), arc.usableSweep(), arc.legs(), arc.halfCircle(), 1.5));
        return cut.withTemplate(cut.chosenTemplate().orElseThrow().withLines(lines));
    }

    @Test
    void theDemoJobComesOut() {
        WorkPlan plan = Planner.plan(DemoJob.heronWeir());
        checkWhole(plan);
        assertThat(plan.findings()).extracting(Finding::code).containsExactly("stepping-ends-off");
        assertThat(plan.groups().get(0).chosen().counts()).contains(new Counts(10, 12));
        RunPlan top = plan.run(Side.TOP).orElseThrow();
        // By hand: 71 5/8 / 10 = 7.1625; 3.995 − √(3.995² − 3.58125²) = 2.2245.
        assertThat(top.division().repeat()).isCloseTo(7.1625, within(1e-9));
        assertThat(top.fit().orElseThrow().segment().height()).isCloseTo(2.2245, within(5e-5));
        assertThat(plan.repeats()).isEqualTo(44);
        assertThat(plan.placements()).isEqualTo(44);
        // 9 + 11 valleys twice; the corner seams mark the rest, and the template's line finds the crowns.
        assertThat(plan.chalkMarks()).isEqualTo(2 * (9 + 11));
    }

    @Property(tries = 120)
    void randomQuiltsAreLaidOutWholeOrRefusedWithAFinding(
            @ForAll @DoubleRange(min = 20, max = 110) double across,
            @ForAll @DoubleRange(min = 20, max = 110) double down,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double off,
            @ForAll @DoubleRange(min = 2, max = 12) double depth,
            @ForAll @DoubleRange(min = 0, max = 0.5) double clearance,
            @ForAll @DoubleRange(min = 0.2, max = 0.3) double foot,
            @ForAll @DoubleRange(min = 1, max = 12) double wanted,
            @ForAll @IntRange(max = 2) int template,
            @ForAll @DoubleRange(min = 0.5, max = 3) double usable,
            @ForAll Corners corners,
            @ForAll TapeScale tape) {
        QuiltJob job = job(quilt(across, down + off, across - off, down, depth, corners)
                        .with(Dimension.CLEARANCE, clearance))
                .withTape(tape)
                .withMachine(new Machine(foot))
                .withWantedRepeat(wanted);
        Template starter = StarterShelf.templates().get(template);
        Template chosen = starter.withForm(swept((ArcForm) starter.form(), usable));
        WorkPlan plan = Planner.plan(evenly(job.withTemplate(chosen)
                .editing(GroupId.border(1), l -> l.withTemplate(chosen.id(), Optional.empty()))));
        checkWhole(plan);
        assertThat(plan.runs()).hasSize(4);
        boolean into = plan.runs().stream().anyMatch(r -> !r.fit().orElseThrow().fitsRoom());
        assertThat(plan.findings().stream().anyMatch(Finding.IntoReserve.class::isInstance))
                .isEqualTo(into);
        boolean several =
                plan.runs().stream().anyMatch(r -> r.fit().orElseThrow().parts() > 1);
        assertThat(plan.findings().stream().anyMatch(Finding.SeveralPlacements.class::isInstance))
                .isEqualTo(several);
        assertThat(Planner.plan(plan.job())).as("the same job, the same plan").isEqualTo(plan);
    }

    /** The same acrylic, labelled as cut or as stitched, lies and stitches alike; only the labels on the seam differ. */
    @Property(tries = 40)
    void aLabelOfEitherConventionPlansAlike(@ForAll @DoubleRange(min = 0.2, max = 0.3) double foot) {
        Template stitched = StarterShelf.template("orchard-hill");
        Template cut = stitched.withForm(stitched.form().withMainSize(3.75))
                .withLabel(SizeLabel.RADIUS_AS_CUT)
                .withLines(stitched.lines().stream()
                        .map(l -> new EngravedLine(l.kind(), l.value() - 0.25, LabelConvention.AS_CUT))
                        .toList());
        QuiltJob job = DemoJob.heronWeir().withMachine(new Machine(foot));
        WorkPlan one = Planner.plan(job.withTemplate(stitched));
        WorkPlan two = Planner.plan(job.withTemplate(cut));
        assertThat(two.findings()).isEqualTo(one.findings());
        for (RunPlan run : one.runs()) {
            RunPlan same = two.run(run.id()).orElseThrow();
            assertThat(same.laidOut().marks()).isEqualTo(run.laidOut().marks());
            assertThat(Laid.arcs(same)).isEqualTo(Laid.arcs(run));
            assertThat(same.laidOut().placements())
                    .extracting(Placement::pose)
                    .isEqualTo(run.laidOut().placements().stream()
                            .map(Placement::pose)
                            .toList());
            assertThat(same.fit().orElseThrow().register())
                    .hasSameClassAs(run.fit().orElseThrow().register());
        }
    }

    /** Circles, hollows and both edges of an arc serve as well as a plain arc. */
    @Property(tries = 60)
    void anyRoundEdgeOnTheShelfLaysOutABorder(
            @ForAll @IntRange(max = 60) int which,
            @ForAll @DoubleRange(min = 30, max = 90) double across,
            @ForAll @DoubleRange(min = 0.2, max = 0.26) double foot) {
        List<ArcTemplate> edges = StarterShelf.templates().stream()
                .flatMap(t -> t.arcs().stream())
                .toList();
        ArcTemplate edge = edges.get(which % edges.size());
        Machine machine = new Machine(foot);
        double widest = 2 * edge.stitchedRadius(machine);
        QuiltJob job = job(quilt(across, across + 7, across, across + 7, 9, Corners.MITRED))
                .withMachine(machine)
                .withTemplate(StarterShelf.template(edge.templateId()))
                .editing(GroupId.border(1), l -> l.withTemplate(edge.templateId(), Optional.of(edge.guideId())))
                .withWantedRepeat(Math.max(0.6, 0.8 * widest));
        assertThat(job.arc()).contains(edge);
        WorkPlan plan = Planner.plan(evenly(job));
        if (across / 400 < widest) {
            checkWhole(plan);
            assertThat(plan.runs()).hasSize(4);
        }
    }

    @ParameterizedTest
    @CsvSource({"TOP, 0", "RIGHT, -90", "BOTTOM, 180", "LEFT, 90"})
    void templatesAreTurnedToTheirSide(Side side, double degrees) {
        WorkPlan plan = Planner.plan(job(quilt(70, 84, 70, 84, 7, Corners.MITRED)));
        assertThat(plan.run(side).orElseThrow().laidOut().placements())
                .isNotEmpty()
                .allSatisfy(p -> assertThat(Math.toDegrees(p.pose().rotation())).isCloseTo(degrees, within(1e-9)))
                // The crown, up at home, points to the outer edge.
                .allSatisfy(p -> assertThat(p.pose()
                                .apply(new Point(0, 1))
                                .minus(p.pose().position())
                                .dot(plan.run(side).orElseThrow().frame().outward()))
                        .isCloseTo(1, within(1e-9)));
    }

    @Test
    void aQuiltTurnedByAQuarterHasItsPlanTurned() {
        WorkPlan plan =
                Planner.plan(job(quilt(70, 84.5, 70.25, 84, 7, Corners.MITRED)).withCounts(new Counts(10, 12)));
        // The top becomes the right side, and so on round.
        WorkPlan turned =
                Planner.plan(job(quilt(84, 70, 84.5, 70.25, 7, Corners.MITRED)).withCounts(new Counts(12, 10)));
        for (Side side : Side.values()) {
            List<Placement> before = plan.run(side).orElseThrow().laidOut().placements();
            List<Placement> after =
                    turned.run(side.next()).orElseThrow().laidOut().placements();
            for (int i = 0; i < before.size(); i++) {
                Point expected = Laid.arc(before.get(i)).at(0.25).turned(-Math.PI / 2);
                assertThat(Laid.arc(after.get(i)).at(0.25).distance(expected)).isLessThan(1e-6);
                assertThat(Angles.normal(before.get(i).pose().rotation()
                                - Math.PI / 2
                                - after.get(i).pose().rotation()))
                        .isCloseTo(0, within(1e-6));
            }
        }
    }

    @Test
    void scalingAJobScalesItsPlan() {
        double k = 1.27;
        QuiltJob job = job(quilt(70, 84, 70, 84, 7, Corners.CORNERSTONES));
        Template t = job.chosenTemplate().orElseThrow().withLabel(SizeLabel.RADIUS_AS_CUT);
        QuiltJob one = job.withTemplate(t).withCounts(new Counts(10, 12)).withMachine(new Machine(0.25));
        Quilt larger = one.quilt();
        for (Map.Entry<Dimension, Double> e : one.quilt().measured().entrySet()) {
            larger = larger.with(e.getKey(), e.getValue() * k);
        }
        QuiltJob two = one.withQuilt(larger)
                .withMachine(new Machine(0.25 * k))
                .withTemplate(t.withForm(t.form().withMainSize(t.form().mainSize() * k)));
        List<Arc> small = Laid.arcs(Planner.plan(one).run(Side.LEFT).orElseThrow());
        List<Arc> large = Laid.arcs(Planner.plan(two).run(Side.LEFT).orElseThrow());
        for (int i = 0; i < small.size(); i++) {
            assertThat(large.get(i).at(0.3).distance(small.get(i).at(0.3).times(k)))
                    .isLessThan(1e-9);
        }
    }

    @Test
    void anArcWiderThanTheEdgeIsPlacedInParts() {
        QuiltJob demo = DemoJob.heronWeir();
        for (int parts = 2; parts <= 4; parts++) {
            // The demo's widest arc sweeps 128.5°.
            double usable = Math.toRadians(129.0 / parts);
            WorkPlan plan = Planner.plan(withArc(
                    demo,
                    arc -> new ArcForm(
                            arc.bulging(), arc.hollow(), usable, arc.legs(), arc.halfCircle(), arc.depth())));
            checkWhole(plan);
            RunPlan top = plan.run(Side.TOP).orElseThrow();
            assertThat(top.laidOut().placements()).hasSize(10 * parts);
            List<Placement> first = top.laidOut().placements().subList(0, parts);
            // Turned alike to both sides of upright, which only an odd number of parts has.
            assertThat(first.get(0).pose().rotation())
                    .isCloseTo(
                            -first.get(parts - 1).pose().rotation()
                                    + 2 * top.frame().rotation(),
                            within(1e-9));
            assertThat(first.stream().filter(p -> p.registration() instanceof Registration.OnSeam))
                    .hasSize(parts % 2);
            assertThat(first.get(parts / 2 - 1 + parts % 2)
                            .end()
                            .mark()
                            .orElseThrow()
                            .kind())
                    .isEqualTo(parts % 2 == 0 ? Mark.Kind.CROWN : Mark.Kind.HAND_OVER);
            assertThat(plan.findings().stream().filter(Finding.SeveralPlacements.class::isInstance))
                    .hasSize(4);
            // Where the template never stands upright, a seam beyond its plate is no trouble.
            assertThat(Planner.plan(shallow(
                                    withArc(
                                            demo,
                                            arc -> new ArcForm(
                                                    arc.bulging(),
                                                    arc.hollow(),
                                                    usable,
                                                    arc.legs(),
                                                    arc.halfCircle(),
                                                    arc.depth())),
                                    List.of()))
                            .findings()
                            .stream()
                            .anyMatch(Finding.SeamOffPlate.class::isInstance))
                    .isEqualTo(parts % 2 == 1);
        }
    }

    private static List<Dimension> someNeeded() {
        return List.of(Dimension.BODY_TOP, Dimension.BODY_LEFT, Dimension.DEPTH_RIGHT);
    }

    @ParameterizedTest
    @MethodSource("someNeeded")
    void whatIsMissingIsSaidAndNothingElseFails(Dimension dimension) {
        WorkPlan plan = Planner.plan(
                DemoJob.heronWeir().withQuilt(DemoJob.heronWeir().quilt().without(dimension)));
        assertThat(plan.runs()).isEmpty();
        assertThat(plan.hasProblems()).isTrue();
        assertThat(plan.findings()).containsExactly(new Finding.NotMeasured(List.of(dimension)));
        assertThat(plan.findings().get(0).remedy()).contains(new Remedy.Measure(dimension));
    }

    @Test
    void findsWhatWouldGoWrong() {
        QuiltJob demo = DemoJob.heronWeir();
        List<Finding> found = new ArrayList<>();
        found.addAll(Planner.plan(demo.editing(GroupId.border(1), l -> l.withTemplate("lost", Optional.empty())))
                .findings());
        found.addAll(Planner.plan(demo.withQuilt(demo.quilt().with(Dimension.BODY_TOP, 190)))
                .findings());
        found.addAll(Planner.plan(withArc(demo, arc -> arc.withMainSize(0.2))).findings());
        found.addAll(Planner.plan(demo.withCounts(new Counts(5, 12))).findings());
        found.addAll(Planner.plan(demo.withCounts(new Counts(10, 12))
                        .withQuilt(demo.quilt()
                                .with(Dimension.DEPTH_TOP, 2.5)
                                .with(Dimension.BODY_RIGHT, 87)
                                .with(Dimension.DIAGONAL_DOWN, 114)))
                .findings());
        found.addAll(Planner.plan(shallow(
                        withArc(
                                demo,
                                arc -> new ArcForm(
                                        arc.bulging(),
                                        arc.hollow(),
                                        Math.toRadians(45),
                                        arc.legs(),
                                        arc.halfCircle(),
                                        arc.depth())),
                        List.of(EngravedLine.rise(1))))
                .findings());
        assertThat(found)
                .extracting(Finding::code)
                .contains(
                        "sides-dont-meet",
                        "no-template",
                        "template-useless",
                        "repeat-too-wide",
                        "into-reserve",
                        "opposite-sides-differ",
                        "leans",
                        "diagonals-dont-fit",
                        "seam-off-plate");
    }

    @Test
    void remediesRemedy() {
        QuiltJob wide = DemoJob.heronWeir().withCounts(new Counts(5, 6));
        WorkPlan plan = Planner.plan(wide);
        assertThat(plan.runs()).isEmpty();
        Remedy remedy = plan.findings().get(0).remedy().orElseThrow();
        WorkPlan mended = Planner.plan(wide.choosing(((Remedy.Divide) remedy).schools()));
        assertThat(mended.findings()).noneMatch(f -> f.severity() != Finding.Severity.NOTE);
        checkWhole(mended);
    }

    /** An arc of which the foot can follow another piece, in radians. */
    private static ArcForm swept(ArcForm arc, double usable) {
        return new ArcForm(arc.bulging(), arc.hollow(), usable, arc.legs(), arc.halfCircle(), arc.depth());
    }
}
