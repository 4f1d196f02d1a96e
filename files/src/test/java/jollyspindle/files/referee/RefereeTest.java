package jollyspindle.files.referee;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.motif.Arrangement;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.files.planjson.PlanJson;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assumptions.assumeThat;

/** Whatever a border's plan tells can be done as it is told. */
class RefereeTest {

    private static final GroupId INNER = GroupId.border(1);

    private static QuiltJob job(Quilt quilt, Preset preset, CornerDesign corner, double foot) {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        Layer before = demo.layout(INNER).design().layers().get(0);
        return demo.withQuilt(quilt)
                .withMachine(new Machine(foot))
                .editing(INNER, l -> l.with(new Design(List.of(preset.layer(before)), Map.of(), corner, Map.of())));
    }

    /** The demo's job on another quilt, with all templates. */
    private static QuiltJob bare(Quilt quilt, double foot) {
        return DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .withQuilt(quilt)
                .withMachine(new Machine(foot));
    }

    private static Quilt quilt(double top, double left, double uneven, double depth, Corners corners) {
        Quilt quilt = Quilt.unmeasured().with(corners);
        double[] sides = {top, left, top + uneven, left - uneven};
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), sides[side.ordinal()]).with(Dimension.depth(side), depth);
        }
        return quilt;
    }

    private static ToldPlan told(QuiltJob job) {
        return ToldPlan.read(PlanJson.format(Planner.plan(job)));
    }

    private static List<Referee.Complaint> judged(QuiltJob job) {
        return Referee.judge(told(job), job.templates());
    }

    private static Stream<Preset> presets() {
        return Preset.all().stream();
    }

    /** Each motif with plain corners, and each corner with the simplest motif; random quilts put all of them together. */
    static Stream<Arguments> borders() {
        return presets().flatMap(preset -> Stream.of(CornerDesign.Kind.values())
                .filter(corner ->
                        corner == CornerDesign.Kind.PLAIN || preset.code().equals("arcs"))
                .map(corner -> Arguments.of(preset.code(), preset, corner)));
    }

    @ParameterizedTest(name = "{0}, {2}")
    @MethodSource("borders")
    void eachMotifAndCornerCanBeDoneAsItIsTold(String code, Preset preset, CornerDesign.Kind corner) {
        for (double foot : new double[] {0.245, 0.25, 0.262}) {
            for (Corners corners :
                    foot == 0.25 ? List.of(Corners.MITRED, Corners.CORNERSTONES) : List.of(Corners.MITRED)) {
                QuiltJob job = job(quilt(61.5, 73.25, 0.125, 8, corners), preset, CornerDesign.of(corner), foot);
                assertThat(judged(job)).as("%s with foot %s", corners, foot).isEmpty();
            }
        }
    }

    /** Zigzags and boxes with all that can be chosen about them. */
    @ParameterizedTest
    @EnumSource(
            value = Motif.Points.class,
            names = {"PEAKS", "BOXES"})
    void soItIsHoweverPeaksAndBoxesAre(Motif.Points points) {
        for (double rounding : new double[] {0, 0.5}) {
            for (int outer : points == Motif.Points.PEAKS ? new int[] {0, 2} : new int[] {0}) {
                for (int perRepeat : new int[] {1, 3}) {
                    Motif motif = new Motif.Chevrons(points, OptionalDouble.of(1.5), rounding, 2, 0.5)
                            .withClosed(true)
                            .withOuter(outer)
                            .withPerRepeat(perRepeat);
                    QuiltJob job = job(
                            quilt(61.5, 73.25, 0.125, 8, Corners.MITRED),
                            new Preset("zigzag", motif, Layer.Edge.SEAM),
                            CornerDesign.plain(),
                            0.262);
                    assertThat(judged(job)).as(motif.toString()).isEmpty();
                }
            }
        }
    }

    private static Stream<Arrangement> arrangements() {
        return Arrangement.all().stream();
    }

    /** A whole border can be had by a click, has nothing in the way, and can be worked as it is told: at two sizes, on uneven sides. */
    @ParameterizedTest
    @MethodSource("arrangements")
    void wholeBordersCanBeDoneAsTheyAreTold(Arrangement arrangement) {
        for (double foot : new double[] {0.245, 0.25, 0.262}) {
            for (Corners corners : List.of(Corners.MITRED, Corners.CORNERSTONES)) {
                for (double depth : new double[] {8, 6.5}) {
                    Quilt quilt =
                            depth == 8 ? quilt(61.5, 73.25, 0.125, 8, corners) : quilt(44, 50.5, 0.25, 6.5, corners);
                    QuiltJob job = DemoJob.heronWeir()
                            .withTemplates(shelf(foot))
                            .withQuilt(quilt)
                            .withMachine(new Machine(foot));
                    QuiltJob laid = job.editing(INNER, l -> Gallery.adopted(job, l, RunId.of(Side.TOP), arrangement));
                    WorkPlan plan = Planner.plan(laid);
                    assertThat(plan.lines()).isNotEmpty();
                    assertThat(plan.findings())
                            .as("%s, %s, foot %s, %s deep", arrangement.code(), corners, foot, depth)
                            .noneMatch(f -> f.severity() == Finding.Severity.PROBLEM);
                    assertThat(judged(laid)).isEmpty();
                }
            }
        }
    }

    /** The starter shelf with fans whose slots the foot goes into. */
    private static List<Template> shelf(double foot) {
        return StarterShelf.templates().stream()
                .map(t -> t.form() instanceof SlottedFan fan && fan.slotWidth() < 2 * foot
                        ? t.withForm(new SlottedFan(fan.sizes(), 2 * foot + 0.015, fan.sweep(), fan.legAngle()))
                        : t)
                .toList();
    }

    private static QuiltJob withStrip(QuiltJob job, double width) {
        Strip strip = new Strip("Lane", Strip.Kind.SASHING, new Point(-20, 0), 0.1, 40, width, OptionalDouble.empty());
        return job.withQuilt(job.quilt().withStrips(List.of(strip)));
    }

    /** What goes together on a border goes together on a strip, with nothing in the way that is wide enough for its templates. */
    @ParameterizedTest
    @MethodSource("arrangements")
    void soItIsWithWholeBordersOnStrips(Arrangement arrangement) {
        assumeThat(arrangement.needsCorners()).isFalse();
        RunId lane = RunId.strip(1);
        for (double width : new double[] {3, 4.5, 7}) {
            QuiltJob job = withStrip(
                    DemoJob.heronWeir()
                            .withTemplates(StarterShelf.templates())
                            .withQuilt(quilt(61.5, 73.25, 0.125, 8, Corners.MITRED)),
                    width);
            QuiltJob laid = job.editing(lane.group(), l -> Gallery.adopted(job, l, lane, arrangement));
            assertThat(judged(laid)).as("%s wide", width).isEmpty();
            if (width == 7) {
                assertThat(Planner.plan(laid).run(lane).orElseThrow().laidOut().lines())
                        .isNotEmpty();
            }
        }
    }

    /** On strips too, where both edges are seams, and with the templates that are strips themselves. */
    @ParameterizedTest
    @MethodSource("presets")
    void soItIsOnStrips(Preset preset) {
        for (double width : new double[] {4, 5.5}) {
            GroupId group = GroupId.strip(1);
            QuiltJob job = job(quilt(61.5, 73.25, 0.125, 8, Corners.MITRED), preset, CornerDesign.plain(), 0.25);
            QuiltJob with = withStrip(job, width);
            Layer layer = preset.layer(job.layout(INNER).design().layers().get(0));
            Optional<String> own = Stream.of("brook-strip", "lane-strip")
                    .filter(id -> preset.code().equals(id.equals("brook-strip") ? "serpentine" : "peaks"))
                    .findFirst();
            for (Layer one : List.of(layer, own.isPresent() ? layer.withTemplate(own, Optional.empty()) : layer)) {
                QuiltJob laid = with.editing(
                        group, l -> l.with(new Design(List.of(one), Map.of(), CornerDesign.plain(), Map.of())));
                assertThat(judged(laid)).as("%s wide", width).isEmpty();
            }
        }
    }

    @Provide
    Arbitrary<Preset> offered() {
        return Arbitraries.of(Preset.all());
    }

    @Property(tries = 200, seed = "20261201")
    void soItIsOnQuiltsOfAnySize(
            @ForAll("offered") Preset preset,
            @ForAll CornerDesign.Kind corner,
            @ForAll Corners corners,
            @ForAll @DoubleRange(min = 20, max = 100) double top,
            @ForAll @DoubleRange(min = 20, max = 100) double left,
            @ForAll @DoubleRange(min = -0.4, max = 0.4) double uneven,
            @ForAll @DoubleRange(min = 3, max = 12) double depth,
            @ForAll @DoubleRange(min = 0.2, max = 0.3) double foot) {
        QuiltJob job = job(quilt(top, left, uneven, depth, corners), preset, CornerDesign.of(corner), foot);
        assertThat(judged(job)).isEmpty();
    }

    @Provide
    Arbitrary<Arrangement> whole() {
        return Arbitraries.of(Arrangement.all());
    }

    @Property(tries = 60, seed = "20261202")
    void soItIsWithWholeBordersOnQuiltsOfAnySize(
            @ForAll("whole") Arrangement arrangement,
            @ForAll Corners corners,
            @ForAll @DoubleRange(min = 20, max = 100) double top,
            @ForAll @DoubleRange(min = 20, max = 100) double left,
            @ForAll @DoubleRange(min = -0.4, max = 0.4) double uneven,
            @ForAll @DoubleRange(min = 3, max = 12) double depth,
            @ForAll @DoubleRange(min = 0.2, max = 0.3) double foot) {
        QuiltJob job = bare(quilt(top, left, uneven, depth, corners), foot);
        assertThat(judged(job.editing(INNER, l -> Gallery.adopted(job, l, RunId.of(Side.TOP), arrangement))))
                .isEmpty();
    }

    /** Whatever fills what another motif leaves, in one way or another. */
    @Provide
    Arbitrary<Layer> fillings() {
        return Combinators.combine(
                        Arbitraries.of(Preset.all()),
                        Arbitraries.of(Layer.Space.class),
                        Arbitraries.of(Layer.Edge.class),
                        Arbitraries.of(true, false),
                        Arbitraries.of(0.0, 0.125, 0.3))
                .as((preset, space, edge, halfStep, breathing) -> preset.layer(Layer.of(preset.motif()))
                        .with(space)
                        .with(edge)
                        .withHalfStep(halfStep)
                        .withBreathing(breathing));
    }

    @Property(tries = 150, seed = "20261203")
    void soItIsWithOneMotifInWhatAnotherLeaves(
            @ForAll("offered") Preset first,
            @ForAll("fillings") Layer second,
            @ForAll Corners corners,
            @ForAll @DoubleRange(min = 20, max = 80) double top,
            @ForAll @DoubleRange(min = 20, max = 80) double left,
            @ForAll @DoubleRange(min = -0.4, max = 0.4) double uneven,
            @ForAll @DoubleRange(min = 3, max = 12) double depth,
            @ForAll @DoubleRange(min = 0.2, max = 0.3) double foot) {
        QuiltJob job = bare(quilt(top, left, uneven, depth, corners), foot);
        assertThat(judged(job.editing(INNER, l -> {
                    RunLayout laid = Gallery.adopted(job, l, RunId.of(Side.TOP), first, 0);
                    return laid.with(laid.design().withLayer(second));
                })))
                .isEmpty();
    }

    /** What hatching is said to come out at is what lies between its lines: in the plan's own words against its own curves. */
    @ParameterizedTest
    @ValueSource(doubles = {0.5, 0.75, 1.1, 1.4})
    void hatchingIsAsFarApartAsItIsTold(double wanted) throws IOException {
        Motif hatch = new Motif.Crosshatch(wanted, Math.PI / 4, true, false);
        QuiltJob job = job(
                quilt(61.5, 73.25, 0.125, 8, Corners.MITRED),
                new Preset("hatch", hatch, Layer.Edge.SEAM),
                CornerDesign.plain(),
                0.25);
        JsonNode plan = new ObjectMapper().readTree(PlanJson.format(Planner.plan(job)));
        Optional<String> told = StreamSupport.stream(plan.get("findings").spliterator(), false)
                .filter(f -> f.get("code").asText().equals("motif-evened")
                        && f.get("run").asText().equals("top"))
                .map(f -> f.get("text").asText())
                .findFirst();
        Matcher come = Pattern.compile("come (\\d*\\.\\d+)").matcher(told.orElse("come " + wanted));
        assertThat(come.find()).as(told.toString()).isTrue();
        // Told to a thousandth; what isn't told is off by less than is worth a word.
        double off = told.isPresent() ? 0.0006 : Tolerances.UNSAID;
        List<double[]> lines = new ArrayList<>();
        for (JsonNode line : plan.get("runs").get(0).get("stitchLines")) {
            JsonNode curve = line.get("curves").get(0);
            double x = curve.get("end").get(0).asDouble()
                    - curve.get("start").get(0).asDouble();
            double y = curve.get("end").get(1).asDouble()
                    - curve.get("start").get(1).asDouble();
            double length = Math.hypot(x, y);
            double over = (curve.get("start").get(0).asDouble() * y
                            - curve.get("start").get(1).asDouble() * x)
                    / length;
            boolean leansRight = x * y > 0;
            lines.add(new double[] {leansRight ? 1 : 0, y > 0 ? over : -over});
        }
        for (int set = 0; set < 2; set++) {
            int which = set;
            double[] sorted = lines.stream()
                    .filter(l -> l[0] == which)
                    .mapToDouble(l -> l[1])
                    .sorted()
                    .toArray();
            assertThat(sorted).hasSizeGreaterThan(20);
            for (int i = 1; i < sorted.length; i++) {
                // Told to a thousandth.
                assertThat(sorted[i] - sorted[i - 1]).isCloseTo(Double.parseDouble(come.group(1)), within(off));
            }
        }
    }

    // --- the referee itself ----------------------------------------------------------------------------------------

    private static ToldPlan changed(ToldPlan plan, UnaryOperator<ToldPlan.Step> change) {
        List<ToldPlan.Step> steps = plan.steps().stream().map(change).toList();
        return new ToldPlan(plan.foot(), plan.seams(), plan.mitres(), plan.runs(), plan.marks(), steps);
    }

    private static Set<Referee.Fault> faults(ToldPlan plan) {
        return Referee.judge(plan, StarterShelf.templates()).stream()
                .map(Referee.Complaint::fault)
                .collect(Collectors.toSet());
    }

    private static ToldPlan demo(String preset) {
        return demo(preset, Optional.empty());
    }

    private static ToldPlan demo(String preset, Optional<String> template) {
        Preset found =
                presets().filter(p -> p.code().equals(preset)).findFirst().orElseThrow();
        QuiltJob job = job(DemoJob.heronWeir().quilt(), found, CornerDesign.of(CornerDesign.Kind.QUARTER_FAN), 0.25);
        Layer main = job.layout(INNER).design().main();
        return told(
                template.isEmpty()
                        ? job
                        : job.editing(
                                INNER,
                                l -> l.with(l.design().withLayer(0, main.withTemplate(template, Optional.empty())))));
    }

    /** A pose turned by a degree, tape moved by a sixteenth, a mark left out, made too late or never used: all is seen. */
    @Test
    void whatIsToldWrongIsSeen() {
        ToldPlan arcs = demo("nested-arcs");
        assertThat(faults(arcs)).isEmpty();
        assertThat(faults(changed(arcs, s -> s.turned(Math.toRadians(1))))).contains(Referee.Fault.BESIDE);
        assertThat(faults(changed(arcs, s -> s.with(s.on().lower(1.0 / 16))))).contains(Referee.Fault.BESIDE);
        assertThat(faults(arcs.withoutMarks(m -> m.kind().equals("valley"))))
                .contains(Referee.Fault.START_UNSEEN, Referee.Fault.END_UNSEEN);
        assertThat(faults(arcs.withoutMarks(m -> m.kind().equals("crown")))).contains(Referee.Fault.NOT_THERE);
        assertThat(faults(arcs.withMarks(m -> m.made("stitched", "motifs-before", 1))))
                .contains(Referee.Fault.NOT_THERE);
        ToldPlan unmarked = arcs.withoutMarks(m -> m.kind().equals("valley"));
        assertThat(faults(unmarked)).as("the seam alone lets it slide along").contains(Referee.Fault.LOOSE);
        assertThat(faults(changed(arcs, s -> s.with(s.on().centred(false))))).contains(Referee.Fault.NOT_ON_TEMPLATE);
        ToldPlan fans = demo("fans");
        assertThat(faults(fans)).isEmpty();
        assertThat(faults(changed(fans, s -> s.with(s.on().withLeg(true))))).contains(Referee.Fault.BESIDE);
        ToldPlan lines = demo("leaning-lines");
        assertThat(faults(lines)).isEmpty();
        ToldPlan undrawn = new ToldPlan(
                lines.foot(), lines.seams().subList(0, 8), lines.mitres(), lines.runs(), lines.marks(), lines.steps());
        assertThat(faults(undrawn)).contains(Referee.Fault.END_UNSEEN);
        ToldPlan peaks = demo("peaks");
        assertThat(faults(peaks)).isEmpty();
        List<ToldPlan.Step> reversed = new ArrayList<>(peaks.steps());
        Collections.reverse(reversed);
        assertThat(faults(new ToldPlan(
                        peaks.foot(), peaks.seams(), peaks.mitres(), peaks.runs(), peaks.marks(), reversed)))
                .contains(Referee.Fault.NOT_THERE);
        assertThat(faults(arcs.withoutSteps(s -> s.on().centreLineOn().isPresent())))
                .containsExactly(Referee.Fault.MARK_UNUSED);
    }

    /** What is laid a step on from the line before, one sixteenth further; and a line that is marked again laid so, too. */
    @Test
    void stepsThatAreToldWrongAndChainsThatAreTooLongAreSeen() {
        for (String preset : List.of("circles", "curved-hatch", "sails")) {
            ToldPlan chain =
                    demo(preset, preset.equals("circles") ? Optional.of("penny-stack") : Optional.of("wide-meadow"));
            assertThat(faults(chain)).isEmpty();
            assertThat(faults(changed(chain, s -> s.with(s.on().further(1.0 / 16)))))
                    .as(preset)
                    .contains(Referee.Fault.BESIDE);
        }
        ToldPlan hatched = demo("curved-hatch", Optional.of("wide-meadow"));
        OptionalDouble step = hatched.steps().stream()
                .map(s -> s.on().stepAtStart())
                .filter(OptionalDouble::isPresent)
                .findFirst()
                .orElseThrow();
        List<ToldPlan.Step> steps = new ArrayList<>();
        for (ToldPlan.Step next : hatched.steps()) {
            ToldPlan.Step before = steps.isEmpty() ? next : steps.get(steps.size() - 1);
            boolean marked = next.on().kind().equals("foot-on-both-marks")
                    && before.on().kind().equals("stepped");
            steps.add(marked ? next.with(next.on().steppedOn(before.lineId(), step.getAsDouble())) : next);
        }
        assertThat(faults(new ToldPlan(
                        hatched.foot(), hatched.seams(), hatched.mitres(), hatched.runs(), hatched.marks(), steps)))
                .contains(Referee.Fault.CHAIN);
    }
}
