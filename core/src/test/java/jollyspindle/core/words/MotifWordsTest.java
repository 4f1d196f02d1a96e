package jollyspindle.core.words;

import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.MotifDiagnostic;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

class MotifWordsTest {

    private static final MotifWords WORDS = new MotifWords(new Words(TapeScale.SIXTEENTHS));

    static Stream<Arguments> motifs() {
        return Stream.of(
                Arguments.of(Motif.Arcs.single(), "arcs"),
                Arguments.of(
                        new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(), Optional.empty(), 2),
                        "arcs, 3 lines, each 1/2 lower, stitched twice"),
                Arguments.of(
                        new Motif.Arcs(Motif.Inner.PARALLEL, 2, 1, List.of(), Optional.of("x"), 3),
                        "arcs of two sizes in turn, 2 lines, each 1 inside, the same distance everywhere, stitched three"
                                + " times"),
                Arguments.of(
                        new Motif.FacingArcs(
                                Motif.Facing.CROWNS,
                                OptionalDouble.empty(),
                                OptionalDouble.of(0.75),
                                false,
                                false,
                                Optional.empty(),
                                1),
                        "arcs from both edges, crown to crown, a small diamond between"),
                Arguments.of(new Motif.Sails(1, 0.5, Motif.Lean.RIGHT), "sails leaning right, 1 echo 1/2 apart"),
                Arguments.of(new Motif.Fans(4, 2), "fans of 4 blades, 2 rows"),
                Arguments.of(new Motif.Fans(1, 1), "fans of 1 blade"),
                Arguments.of(
                        new Motif.Circles(0, 3, Motif.Turning.SAME, true),
                        "a chain of circles, each once and a half round, a curl inside"),
                Arguments.of(
                        new Motif.Circles(0, 2, Motif.Turning.SAME, false, Motif.Channel.IN_BENDS),
                        "circles in the bends of a vine, each once round"),
                Arguments.of(
                        new Motif.Circles(0, 2, Motif.Turning.SAME, false, Motif.Channel.BESIDE_LINES),
                        "berries beside the lines, each once round"),
                Arguments.of(new Motif.Serpentine(2, true), "a serpentine, 2 a repeat, mirrored"),
                Arguments.of(
                        new Motif.Chevrons(Motif.Points.BOXES, OptionalDouble.empty(), 0.5, 2, 0.25),
                        "boxes, rounded, 2 lines 1/4 apart"),
                Arguments.of(new Motif.StraightLines(6, Math.PI / 2), "straight lines across, 6 a repeat"),
                Arguments.of(new Motif.StraightLines(4, Math.PI / 3), "straight lines at 60°, 4 a repeat"),
                Arguments.of(new Motif.Crosshatch(0.75, Math.PI / 4, true, true), "curved crosshatch 3/4 apart"));
    }

    @ParameterizedTest
    @MethodSource("motifs")
    void saysWhatAMotifIs(Motif motif, String said) {
        assertThat(WORDS.text(motif)).isEqualTo(said);
    }

    static Stream<Arguments> diagnostics() {
        return Stream.of(
                Arguments.of(new LayoutDiagnostic.NoTool(EdgeKind.FAN, 0), "It needs a fan template", true),
                Arguments.of(new LayoutDiagnostic.NoTool(EdgeKind.ARC, 3.5), "that stitches radius 3 1/2", true),
                Arguments.of(
                        new LayoutDiagnostic.FootStaysOut(EdgeKind.FAN, 0.515, 0.524),
                        "slots of the fan template are 0.515 wide, and the foot is 0.524",
                        true),
                Arguments.of(new MotifDiagnostic.TooHigh(0.25), "1/4 past where nothing may be stitched", true),
                Arguments.of(new LayoutDiagnostic.TooFar(9, 8), "9 is asked for, 8 is the most", true),
                Arguments.of(new MotifDiagnostic.TooMany(5, 3), "5 lines don't go in, there is room for 3", true),
                Arguments.of(
                        new MotifDiagnostic.TooManyRows(3, 1), "3 rows of fans don't go in, there is room for 1", true),
                Arguments.of(
                        new MotifDiagnostic.FeetTooFar(21, 20.5), "21 from the corner would leave too little", true),
                Arguments.of(
                        new MotifDiagnostic.OffModule(2, 2.25), "2 wide and stand on repeats of 2 1/4: gaps", false),
                Arguments.of(new MotifDiagnostic.OffModule(2, 1.75), "they cut into each other", false),
                Arguments.of(new MotifDiagnostic.Rows(1, 1.75), "goes 1 time into the run's depth; 1 3/4 stays", false),
                Arguments.of(
                        new LayoutDiagnostic.NoTool(EdgeKind.ZIGZAG, 0), "a straight edge, or a chevron strip", true),
                Arguments.of(new LayoutDiagnostic.NoTool(EdgeKind.S_CURVE, 0), "or a serpentine strip", true),
                Arguments.of(new MotifDiagnostic.TooClose(0.125, 0.25), "1/4 is the least", true),
                Arguments.of(new MotifDiagnostic.TooRound(4, 4.75), "From radius 4 3/4 on it stays inside", true),
                Arguments.of(new MotifDiagnostic.NoSpace(), "no such space", true),
                Arguments.of(new MotifDiagnostic.NothingToStandOn(), "no line for circles to touch", true),
                Arguments.of(new MotifDiagnostic.NoRoomForCircles(3), "3 places have no room for a circle", false),
                Arguments.of(
                        new MotifDiagnostic.FansApart(16, 7.5), "16 apart, too far for arcs of radius 7 1/2", false),
                Arguments.of(new MotifDiagnostic.Pinched(0.1875), "the narrowest gap is 3/16", false),
                Arguments.of(new MotifDiagnostic.Spacing(0.5, 0.51), "really come 0.510", false),
                Arguments.of(new MotifDiagnostic.Walk(0.5, 0.707, 0.577), "walks 11/16 generous along the seam", false),
                Arguments.of(
                        new MotifDiagnostic.Swivels(6, 1, 24), "1 time for a blade of 6, 24 times on this run", false),
                Arguments.of(
                        new MotifDiagnostic.Chain(1.75, 0.25, 0.5, 0.375), "Circles of 1 3/4, 1/4 apart, 1/2", false),
                Arguments.of(new MotifDiagnostic.CornersDiffer(0.25), "differ by up to 1/4", false),
                Arguments.of(new LayoutDiagnostic.HatchLikeEcho(0.5), "one texture", false),
                Arguments.of(
                        new MotifDiagnostic.AsCut(MotifDiagnostic.Figure.CLOSED),
                        "they can't be closed along the edge they stand on",
                        false),
                Arguments.of(new MotifDiagnostic.Parity(true), "an odd count", false));
    }

    @ParameterizedTest
    @MethodSource("diagnostics")
    void saysWhatIsTheMatter(Diagnostic diagnostic, String said, boolean stops) {
        assertThat(new DiagnosticWords(new Words(TapeScale.SIXTEENTHS)).text(diagnostic))
                .contains(said)
                .endsWith(".");
        assertThat(diagnostic.stops()).isEqualTo(stops);
    }

    @Test
    void everyPresetAndCornerHasItsOwnName() {
        assertThat(Preset.all().stream().map(MotifWords::name)).doesNotHaveDuplicates();
        assertThat(Stream.of(CornerDesign.Kind.values()).map(MotifWords::name)).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @CsvSource({
        "FIRST_LINES, 1, after first lines",
        "FIRST_LINES, 2, after first lines of motif 2",
        "BOTH_ROWS, 1, after both rows",
        "ROW_BELOW, 1, after row below",
        "MOTIFS_BEFORE, 2, after motif 1",
        "MOTIFS_BEFORE, 3, after motifs 1–2"
    })
    void passesAreNamed(Mark.Pass pass, int motif, String said) {
        assertThat(Words.after(new Mark.After(pass, motif))).isEqualTo(said);
    }

    /** From how the template lay before: moved on along a side, a quarter turn where the next one starts. */
    @Test
    void turnsAreToldFromHowTheTemplateLay() {
        WorkPlan plan = Planner.plan(DemoJob.heronWeir());
        List<Placement> top = plan.placements(RunId.of(Side.TOP));
        Placement right = plan.placements(RunId.of(Side.RIGHT)).get(0);
        assertThat(PlacementWords.turned(top.get(1), top.get(0))).isEqualTo("as it lay, moved on");
        assertThat(PlacementWords.turned(right, top.get(top.size() - 1)))
                .isEqualTo("turned a quarter turn to the right from how it lay");
        PlacementWords words = new PlacementWords(new Words(TapeScale.SIXTEENTHS));
        assertThat(words.lying(plan.job(), right, Optional.of(top.get(0))))
                .startsWith("Template a quarter turn to the right")
                .contains("crown to the outer edge", "the bulging edge");
        QuiltJob lanterns = DemoRings.all().get("ring-lanterns");
        WorkPlan facing = Planner.plan(lanterns);
        List<Placement> all = facing.placements(RunId.of(Side.TOP));
        Placement far = all.stream()
                .filter(p -> p.of().number() > 10 && p.of().layer() == 1)
                .findFirst()
                .orElseThrow();
        assertThat(words.lying(lanterns, far, Optional.of(all.get(all.indexOf(far) - 1))))
                .contains("crown to the seam", "turned right round");
    }

    @Test
    void findingsSayWhereTheyStand() {
        Quilt quilt = DemoJob.heronWeir().quilt().withAreas(List.of(new Area.Medallion(12)));
        Finding missing = new Finding.AreaTrouble(
                new AreaId(1),
                'A',
                false,
                1,
                new AreaDiagnostic.RingMissing(3, OptionalDouble.of(3.5)),
                Optional.empty());
        assertThat(FindingWords.where(missing, quilt)).isEqualTo("Medallion: ");
        assertThat(new FindingWords(new Words(TapeScale.SIXTEENTHS)).text(missing))
                .isEqualTo("No template stitches a ring 3 across. The nearest is 3 1/2.");
        assertThat(FindingWords.where(new Finding.SeamOffPlate(RunId.of(Side.TOP)), quilt))
                .isEqualTo("Top border: ");
    }
}
