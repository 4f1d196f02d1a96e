package jollyspindle.files.referee;

import jollyspindle.core.area.AreaArrangement;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPreset;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Judging;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.files.planjson.PlanJson;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** Whatever a plan tells of blocks, medallions and the background can be done as it is told, with as few starts as can be. */
class AreaRefereeTest {

    private static final double[] FEET = {0.2375, 0.245, 0.25, 0.262, 0.3};

    private static QuiltJob job(double foot, AreaDesign design, Area... areas) {
        QuiltJob demo =
                DemoJob.heronWeir().withTemplates(StarterShelf.templates()).withMachine(new Machine(foot));
        return demo.withQuilt(demo.quilt().withAreas(List.of(areas))).with(new AreaId(1), design);
    }

    private static List<ToldPlan> told(QuiltJob job) {
        return ToldPlan.areas(PlanJson.format(Planner.plan(job)));
    }

    private static List<Referee.Complaint> judged(QuiltJob job) {
        return told(job).stream()
                .flatMap(piece -> Referee.judge(piece, job.templates()).stream())
                .toList();
    }

    /** The same with lines changed over where they cross. */
    private static QuiltJob changedOver(QuiltJob job) {
        return job.with(Judging.PARAMS.with(job.judging(), Judging.CHANGE_OVER, true));
    }

    private static AreaDesign design(AreaPreset preset) {
        return AreaDesign.of(preset.motif(), Optional.empty());
    }

    /** Blocks that divide evenly and don't, with seams at their edge and clear of them; round cloth. */
    static Stream<Area> cloths() {
        return Stream.of(
                new Area.Blocks(1, 1, 8, 8, 0),
                new Area.Blocks(1, 1, 8.7, 8.7, 0, 0.25),
                new Area.Blocks(1, 1, 9.3, 6.7, 0),
                new Area.Medallion(14),
                new Area.Medallion(Area.Shape.ROUND, 13.4, 0.25));
    }

    @ParameterizedTest
    @MethodSource("cloths")
    void eachMotifCanBeDoneAsItIsTold(Area cloth) {
        for (AreaPreset preset : AreaPreset.of(cloth)) {
            for (double foot : cloth.clearance() > 0 ? FEET : new double[] {0.25, 0.262}) {
                QuiltJob job = job(foot, design(preset), cloth);
                assertThat(judged(job))
                        .as("%s with foot %s", preset.code(), foot)
                        .isEmpty();
                if (cloth.clearance() > 0) {
                    assertThat(judged(changedOver(job)))
                            .as("%s with foot %s, changed over", preset.code(), foot)
                            .isEmpty();
                }
            }
        }
    }

    /** Blocks that touch, that are kept clear, in sashing; medallions; cloth round an appliqué. */
    static Stream<List<Area>> wholes() {
        Area leaf = new Area.Applique(new Area.Ellipse(new Point(2, 1), 6, 4, 0.4), 0);
        return Stream.of(
                List.of(new Area.Blocks(3, 3, 9, 9, 0)),
                List.of(new Area.Blocks(4, 2, 8.7, 6.3, 0, 0.25)),
                List.of(new Area.Blocks(2, 2, 12, 12, 1.5)),
                List.of(new Area.Medallion(16)),
                List.of(new Area.Medallion(Area.Shape.ROUND, 13.4, 0.25)),
                List.of(new Area.Blocks(1, 1, 20, 20, 0), leaf));
    }

    /** Several motifs together, and blocks that differ; those that touch are one thread. */
    @ParameterizedTest
    @MethodSource("wholes")
    void wholeBlocksMedallionsAndBackgroundsCanBeDoneAsTheyAreTold(List<Area> areas) {
        boolean touching = areas.size() == 1
                && areas.get(0) instanceof Area.Blocks blocks
                && blocks.gap() == 0
                && blocks.clearance() == 0;
        for (AreaArrangement arrangement : AreaArrangement.of(areas.get(0))) {
            for (double foot : touching ? FEET : new double[] {0.262}) {
                QuiltJob job = job(foot, arrangement.design(), areas.toArray(Area[]::new));
                String json = PlanJson.format(Planner.plan(job));
                assertThat(ToldPlan.areas(json).stream()
                                .flatMap(piece -> Referee.judge(piece, job.templates()).stream()))
                        .as("%s with foot %s", arrangement.code(), foot)
                        .isEmpty();
                ToldPlan.joined(json)
                        .forEach(area -> assertThat(ThreadReferee.between(area.pieces(), area.all(), area.letters()))
                                .as("%s with foot %s", arrangement.code(), foot)
                                .isEmpty());
            }
        }
    }

    /** Shells from the top round a large appliqué, and a second line of straight stitching beside the seam; as few starts as can be. */
    @ParameterizedTest
    @ValueSource(doubles = {0.2375, 0.25, 0.3})
    void shellsHangRoundAnApplique(double foot) {
        Area block = new Area.Blocks(1, 1, 24, 24, 0);
        Area leaf = new Area.Applique(new Area.Ellipse(new Point(1, 2), 7, 5, 0.4), 0);
        AreaDesign design = AreaDesign.of(Stream.of(
                        new AreaMotif.Echoes(1, 0.25, false),
                        new AreaMotif.Clamshells(0, OptionalDouble.of(3), true, true, false))
                .map(motif -> new AreaDesign.Layer(motif, Optional.empty()))
                .toList());
        assertThat(judged(job(foot, design, block, leaf))).isEmpty();
    }

    /** One plate with bumps of two sizes: either side does its shells, in blocks and along borders. */
    @ParameterizedTest
    @ValueSource(doubles = {0.2375, 0.25, 0.262, 0.3})
    void bothSidesOfAPlateDoShells(double foot) {
        Template plate = Template.of(
                "two-sizes",
                "Two Sizes",
                new ScallopRow(3, 2, 3, OptionalDouble.of(1.5)),
                SizeLabel.RADIUS_AS_STITCHED,
                List.of());
        for (Area cloth : List.of(new Area.Blocks(1, 1, 9, 8, 0), new Area.Blocks(1, 1, 9.3, 8.1, 0, 0.25))) {
            for (double width : new double[] {2, 1.5}) {
                for (boolean fromTop : new boolean[] {false, true}) {
                    AreaMotif shells = new AreaMotif.Clamshells(0, OptionalDouble.of(width), true, fromTop, false);
                    QuiltJob job = job(foot, AreaDesign.of(shells, Optional.empty()), cloth)
                            .withTemplates(List.of(plate));
                    List<ToldPlan> told = told(job);
                    assertThat(told.get(0).steps()).isNotEmpty().allMatch(s -> s.guide()
                            .equals(width == 2 ? "scallops" : "far-scallops"));
                    assertThat(judged(job)).as("%s wide, foot %s", width, foot).isEmpty();
                }
            }
        }
    }

    /** An arc slides round beside a round seam and beside the echo before, which may go on only between what lies in the way. */
    @ParameterizedTest
    @ValueSource(doubles = {0.2375, 0.245, 0.25, 0.262, 0.3})
    void roundEchoesAreLaidBesideTheSeam(double foot) {
        Area leaf = new Area.Applique(new Area.Ellipse(new Point(6, 6), 3, 2, 0.4), 0);
        double spacing = 0.25 + foot;
        for (boolean outside : new boolean[] {false, true}) {
            List<Template> arcs = IntStream.rangeClosed(1, 2)
                    .mapToObj(echo -> Template.of(
                            "arc-" + echo,
                            "Arc",
                            outside
                                    ? ArcForm.bulging(9 + echo * spacing - foot, Math.toRadians(70), 3)
                                    : ArcForm.hollow(9 - echo * spacing + foot, Math.toRadians(70), 2),
                            SizeLabel.RADIUS_AS_CUT,
                            List.of(EngravedLine.parallel(0.25))))
                    .toList();
            AreaDesign design = AreaDesign.of(new AreaMotif.Echoes(2, spacing, outside), Optional.empty());
            for (Area[] areas : new Area[][] {{new Area.Medallion(18)}, {new Area.Medallion(18), leaf}}) {
                QuiltJob job = job(foot, design, areas).withTemplates(arcs);
                // What something cuts in pieces isn't slid round along: tape lies on the seam.
                assertThat(told(job).get(0).steps()).isNotEmpty().allMatch(step -> step.on()
                        .kind()
                        .equals(
                                areas.length > 1 && step.lineId().contains("echo-2")
                                        ? "tape-on-back"
                                        : "engraved-line"));
                assertThat(judged(job)).as("foot %s, outside %s", foot, outside).isEmpty();
            }
        }
    }

    /** Half circles of arcs do them too, by a line across: in blocks, beside seams kept clear, on round cloth, round an appliqué. */
    @ParameterizedTest
    @ValueSource(doubles = {0.2375, 0.245, 0.25, 0.262, 0.3})
    void halfCirclesDoShells(double foot) {
        Area leaf = new Area.Applique(new Area.Ellipse(new Point(1, 2), 3, 2, 0.4), 0);
        Area block = new Area.Blocks(1, 1, 13.3, 12.6, 0);
        List<List<Area>> cloths = List.of(
                List.of(block),
                List.of(new Area.Blocks(1, 1, 16, 12, 0, 0.25)),
                List.of(new Area.Medallion(Area.Shape.ROUND, 15.5, 0)),
                List.of(block, leaf));
        for (List<Area> cloth : cloths) {
            for (boolean fromTop : new boolean[] {false, true}) {
                AreaMotif shells = new AreaMotif.Clamshells(0, OptionalDouble.of(3.97), false, fromTop, false);
                QuiltJob job = job(foot, AreaDesign.of(shells, Optional.of("half-moon")), cloth.toArray(Area[]::new));
                List<ToldPlan> told = told(job);
                assertThat(told.get(0).steps()).as("foot %s", foot).isNotEmpty();
                assertThat(judged(job)).as("foot %s on %s", foot, cloth).isEmpty();
            }
        }
    }

    @Provide
    Arbitrary<Double> feet() {
        return Arbitraries.of(0.2375, 0.245, 0.25, 0.262, 0.3);
    }

    /** A motif in a block of any size, that an appliqué may lie on. */
    @Property(tries = 60)
    void soItIsInAnyBlock(
            @ForAll @DoubleRange(min = 5, max = 14) double width,
            @ForAll @DoubleRange(min = 5, max = 14) double height,
            @ForAll @IntRange(min = 0, max = 40) int which,
            @ForAll @IntRange(min = 0, max = 2) int applique,
            @ForAll("feet") double foot) {
        assertThat(judged(block(width, height, applique, foot, which))).isEmpty();
    }

    /**
     * A motif of which one thing or two are chosen otherwise than the gallery does, in a block, one kept clear of its seams, or round
     * cloth.
     */
    @Property(tries = 120)
    void soItIsHoweverItIsChosen(
            @ForAll @IntRange(min = 5 * 16, max = 14 * 16) int width,
            @ForAll @IntRange(min = 5 * 16, max = 14 * 16) int height,
            @ForAll @IntRange(min = 0, max = 3) int cloth,
            @ForAll @IntRange(max = 1_000_000) int chosen,
            @ForAll @IntRange(min = 0, max = 2) int applique,
            @ForAll("feet") double foot) {
        double clear = cloth > 0 ? 0.25 : 0;
        Area area = cloth > 1
                ? new Area.Medallion(Area.Shape.ROUND, width / 16.0, cloth == 2 ? 0 : clear)
                : new Area.Blocks(1, 1, width / 16.0, height / 16.0, 0, clear);
        Random random = new Random(chosen);
        List<AreaPreset> presets = AreaPreset.of(area);
        AreaMotif motif =
                Chosen.otherwise(presets.get(random.nextInt(presets.size())).motif(), random);
        QuiltJob job = job(applique, foot, AreaDesign.of(motif, Optional.empty()), area, width / 16.0, height / 16.0);
        assertThat(judged(job)).as("%s", motif).isEmpty();
    }

    /** Two of them, which are stitched one after the other. */
    @Property(tries = 40)
    void soItIsOfTwoMotifs(
            @ForAll @DoubleRange(min = 5, max = 14) double width,
            @ForAll @DoubleRange(min = 5, max = 14) double height,
            @ForAll @IntRange(min = 0, max = 40) int first,
            @ForAll @IntRange(min = 0, max = 40) int second,
            @ForAll @IntRange(min = 0, max = 2) int applique,
            @ForAll("feet") double foot) {
        assertThat(judged(block(width, height, applique, foot, first, second))).isEmpty();
    }

    /** What a gallery offers, by number, in a block; with an appliqué on it if there is one, kept clear of or not. */
    private static QuiltJob block(double width, double height, int applique, double foot, int... motifs) {
        Area block = new Area.Blocks(1, 1, width, height, 0);
        List<AreaPreset> presets = AreaPreset.of(block);
        AreaDesign design = AreaDesign.of(IntStream.of(motifs)
                .mapToObj(i ->
                        new AreaDesign.Layer(presets.get(i % presets.size()).motif(), Optional.empty()))
                .toList());
        return job(applique, foot, design, block, width, height);
    }

    private static QuiltJob job(int applique, double foot, AreaDesign design, Area cloth, double width, double height) {
        Area leaf = new Area.Applique(
                new Area.Ellipse(new Point(width / 8, -height / 9), width / 5, height / 7, 0.4),
                applique == 2 ? 0.25 : 0);
        return applique == 0 ? job(foot, design, cloth) : job(foot, design, cloth, leaf);
    }

    /** What is wrong with a plan is found: each of these is told otherwise than it is. */
    @ParameterizedTest
    @ValueSource(strings = {"arms", "clamshells", "rings", "crosshatch", "peel"})
    void whatIsToldWrongIsFound(String code) {
        Area block = new Area.Blocks(1, 1, 8, 8, 0);
        AreaPreset preset = AreaPreset.of(block).stream()
                .filter(p -> p.code().equals(code))
                .findFirst()
                .orElseThrow();
        QuiltJob job = job(0.25, design(preset), block);
        ToldPlan right = told(job).get(0);
        assertThat(Referee.judge(right, job.templates())).isEmpty();
        ToldPlan.Step last = right.steps().get(right.steps().size() - 1);
        assertThat(faults(right.withStep(last, last.moved(new Point(0.02, 0.01))), job))
                .contains(Referee.Fault.OFF_EDGE);
        if (!right.marks().isEmpty()) {
            assertThat(faults(right.withoutMarks(m -> true), job))
                    .containsAnyOf(Referee.Fault.NOT_THERE, Referee.Fault.START_UNSEEN, Referee.Fault.END_UNSEEN);
        }
        if (!right.travels().isEmpty()) {
            assertThat(faults(right.withThread(List.of(), right.ditches()), job))
                    .contains(Referee.Fault.STARTS);
            assertThat(faults(right.withThread(right.travels(), List.of()), job))
                    .containsAnyOf(Referee.Fault.TRAVEL, Referee.Fault.STARTS);
        }
    }

    private static Set<Referee.Fault> faults(ToldPlan plan, QuiltJob job) {
        return Referee.judge(plan, job.templates()).stream()
                .map(Referee.Complaint::fault)
                .collect(Collectors.toSet());
    }
}
