package jollyspindle.core.words;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.BlockFigure;
import jollyspindle.core.area.BlockFit;
import jollyspindle.core.area.BlockSize;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** What is said of areas: motifs, what there is to know, sums, rays and the order. */
class AreaWordsTest {

    private static final Words WORDS = new Words(TapeScale.SIXTEENTHS);
    private static final AreaWords SAID = new AreaWords(WORDS);

    static Stream<Arguments> motifs() {
        return Stream.of(
                Arguments.of(
                        new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0),
                        "Turned arms",
                        "8 arms, each out and back"),
                Arguments.of(
                        new AreaMotif.Arms(12, AreaMotif.Way.ALONG_EDGE, 0.75, true, Math.toRadians(10)),
                        "Turned arms",
                        "12 arms, out along one and in along the next, stopped 3/4 from the centre, crossed by as many"
                                + " turned over, the first 10° from the top"),
                Arguments.of(
                        new AreaMotif.Rings(2, 0.5, 1, AreaMotif.Spokes.NONE),
                        "Rings",
                        "1 ring from 2 across, 1/2 apart, each begun anew"),
                Arguments.of(
                        new AreaMotif.Rings(2, OptionalDouble.empty(), 4, AreaMotif.Spokes.FOUR),
                        "Rings",
                        "4 rings from 2 across, spread evenly, joined along four spokes"),
                Arguments.of(
                        new AreaMotif.Wreath(8, OptionalDouble.empty()),
                        "Wreath of circles",
                        "a wreath of 8 circles, side by side"),
                Arguments.of(
                        new AreaMotif.Wreath(3, OptionalDouble.of(4.5)),
                        "Wreath of circles",
                        "a wreath of 3 circles, 4 1/2 from the centre"),
                Arguments.of(new AreaMotif.Petals(6, 0, 4), "Petals", "6 petals from the centre to 4 out"),
                Arguments.of(new AreaMotif.Petals(6, 0.5, 4), "Petals", "6 petals from 1/2 to 4 out"),
                Arguments.of(new AreaMotif.Points(9, 2, 3.5), "Points", "9 points from 2 to 3 1/2 out"),
                Arguments.of(
                        new AreaMotif.Echoes(1, 0.25, true),
                        "Echoes outside",
                        "1 line beside the edge, 1/4 apart, outside it"),
                Arguments.of(
                        new AreaMotif.Echoes(3, 0.25, false),
                        "Echoes",
                        "3 lines beside the edge, 1/4 apart, inside it"),
                Arguments.of(new AreaMotif.Clamshells(0), "Clamshells", "rows of clamshells"),
                Arguments.of(new AreaMotif.Peel(3, 4), "Orange peel", "orange peel, 3 by 4"),
                Arguments.of(
                        new AreaMotif.Peel(3, 4, OptionalDouble.of(0.5)),
                        "Orange peel",
                        "orange peel, 3 by 4, with a smaller peel inside"),
                Arguments.of(new AreaMotif.Circles(3, 2), "Overlapping circles", "overlapping circles, 3 by 2"),
                Arguments.of(
                        new AreaMotif.Circles(3, 2, true),
                        "Overlapping circles",
                        "overlapping circles, 3 by 2, changed over where they cross"),
                Arguments.of(new AreaMotif.Crosshatch(0.75, 1), "Crosshatch", "crosshatch 3/4 apart"),
                Arguments.of(new AreaMotif.CurvedHatch(1.25), "Curved crosshatch", "curved crosshatch 1 1/4 apart"),
                Arguments.of(new AreaMotif.Quarters(0.25, 0.5), "Quarters", "quarters, lines 1/4 and 1/2 apart"),
                Arguments.of(
                        new AreaMotif.Quarters(0.25, 0.5, false),
                        "Quarters",
                        "quarters, lines 1/4 and 1/2 apart, the middle lines stitched first"),
                Arguments.of(
                        new AreaMotif.Quarters(0.25, 0.5).exactly(),
                        "Quarters",
                        "quarters, lines 1/4 and 1/2 apart, just so"),
                Arguments.of(
                        new AreaMotif.Crosshatch(0.75, 1).exactly(), "Crosshatch", "crosshatch 3/4 apart, just so"),
                Arguments.of(
                        new AreaMotif.CurvedHatch(0.75).exactly(),
                        "Curved crosshatch",
                        "curved crosshatch 3/4 apart, just so"),
                Arguments.of(
                        new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0).about(AreaMotif.About.TOP_LEFT),
                        "Turned arms",
                        "8 arms from the upper left corner, each out and back, ending on what they come to"),
                Arguments.of(
                        new AreaMotif.Rings(1, 0.5, 3, AreaMotif.Spokes.ONE).at(-1, 0),
                        "Rings",
                        "3 rings from 1 across, 1/2 apart, joined along one spoke, off the centre"),
                Arguments.of(
                        new AreaMotif.Peel(3, 4, OptionalDouble.empty(), true, true, AreaMotif.Round.CLOCKWISE),
                        "Orange peel",
                        "orange peel, 3 by 4, smaller petals in the middle of the circles, its seams the marks"),
                Arguments.of(
                        new AreaMotif.CornerRays(AreaMotif.Corner.TOP_RIGHT, OptionalInt.of(3), 0.75, 0.25, true),
                        "Corner rays",
                        "3 petals from the upper right corner, stopped 3/4 from it, the first and last run into it"),
                Arguments.of(
                        new AreaMotif.Vee(0.0625, 0.25),
                        "V with dense lines",
                        "a V from the lower corners to the top, lines 1/16 to 1/4 apart beside it, uneven on purpose"),
                Arguments.of(
                        circled(new AreaMotif.Arms(6, AreaMotif.Way.OUT_AND_BACK, 0.75)),
                        "Turned arms",
                        "6 arms, each out and back, stopped 3/4 from the centre on a stitched circle"),
                Arguments.of(
                        new AreaMotif.CornerRays(AreaMotif.Corner.TOP_RIGHT, OptionalInt.of(1), 0.75, 0.25),
                        "Corner rays",
                        "1 petal from the upper right corner, stopped 3/4 from it"),
                Arguments.of(
                        new AreaMotif.CornerRays(AreaMotif.Corner.BOTTOM_LEFT, OptionalInt.empty(), 0.75, 0.25),
                        "Corner rays",
                        "petals from the lower left corner, stopped 3/4 from it"),
                Arguments.of(new AreaMotif.Whirl(3, 0.5, 8), "Whirl", "a whirl of 8 sets, 3 lines each, 1/2 apart"),
                Arguments.of(
                        new AreaMotif.StraightFans(2, 1, 5, 0.5),
                        "Straight-line fans",
                        "straight-line fans, 2 by 1, 5 lines each"));
    }

    @ParameterizedTest
    @MethodSource("motifs")
    void motifsInAFewWords(AreaMotif motif, String name, String text) {
        assertThat(AreaWords.name(motif)).isEqualTo(name);
        assertThat(SAID.text(motif)).isEqualTo(text);
    }

    @Test
    void everyMotifIsAmongThem() {
        assertThat(motifs().<Class<?>>map(a -> a.get()[0].getClass()))
                .containsAll(AreaMotifTypes.ALL.stream()
                        .<Class<?>>map(AreaMotifType::type)
                        .toList());
    }

    static Stream<Arguments> told() {
        Point there = new Point(1, 2);
        return Stream.of(
                Arguments.of(
                        new LayoutDiagnostic.NoTool(EdgeKind.ARC),
                        "It needs a template with a round edge, and this job has none."),
                Arguments.of(
                        new AreaDiagnostic.RingMissing(3, OptionalDouble.empty()),
                        "No template stitches a ring 3 across."),
                Arguments.of(
                        new AreaDiagnostic.RingGaps(1, 0.75, 1.25),
                        "Spread evenly, rings would stand 1 apart; with the sizes on the shelf they stand 3/4 to 1 1/4."),
                Arguments.of(
                        new AreaDiagnostic.RingsByFoot(0.125),
                        "With this foot rings come out up to 1/8 wider than wished: templates are labelled for a foot of 1/4."),
                Arguments.of(
                        new AreaDiagnostic.RingsByFoot(-0.0625),
                        "With this foot rings come out up to 1/16 narrower than wished:"
                                + " templates are labelled for a foot of 1/4."),
                Arguments.of(
                        new AreaDiagnostic.RingGaps(1, 1, 1),
                        "Spread evenly, rings would stand 1 apart; with the sizes on the shelf they stand 1."),
                Arguments.of(
                        new AreaDiagnostic.ReachShort(6, 6.375, 1),
                        "1 arm ends short of the edge: an arm reaches 6, and 6 3/8 is the farthest. Take a longer arm,"
                                + " or leave those corners."),
                Arguments.of(
                        new AreaDiagnostic.HookTooTight(0.25, 0.3, 0.05),
                        "The foot (radius 0.3) doesn't go into the hook (radius 1/4): lay the arm by its line, the middle"
                                + " of the hook over the centre. Its line begins 1/16 scant beside the centre. A hook for"
                                + " this foot begins in it."),
                Arguments.of(
                        new AreaDiagnostic.ArmsLeave(4, 0.375),
                        "4 arms leave the piece before the tip, and end at the edge there; what would come back in (up to"
                                + " 3/8) is left out. A longer arm goes further into the corners."),
                Arguments.of(
                        new AreaDiagnostic.ShellsMissing(2.5, 3),
                        "No row of bumps stitches shells 2 1/2 wide; the nearest are 3 wide. Take those, draw them from"
                                + " marks, or put a plate of that width on the shelf."),
                Arguments.of(
                        new AreaDiagnostic.ShellsOneByOne(2, 1),
                        "No plate has bumps 2 wide: each shell is stitched by itself along a round edge of radius 1, by its"
                                + " marks."),
                Arguments.of(
                        new AreaDiagnostic.ShellsEased(8.5, -1.0 / 16),
                        "Each shell is shortened by 1/16 at its crown, so that 8 1/2 come out even in a row."),
                Arguments.of(
                        new AreaDiagnostic.ShellsNotEased(0.25, 1.0 / 8),
                        "To come out even, each shell would be stretched by 1/4; over 1/8 it is seen. Rows are cut off at"
                                + " the seam instead."),
                Arguments.of(
                        new AreaDiagnostic.ShellGrid(0.5),
                        "Draw lines 1/2 apart across and up: valleys and crowns stand where they cross, and shells are"
                                + " stitched by hand, half circles from valley to valley."),
                Arguments.of(
                        new AreaDiagnostic.PileUp(16, 8, there),
                        "16 lines lead to within 1/8 of one place, and thread piles up there; up to 8 do no harm. Stop them"
                                + " on a small circle, or leave some out."),
                Arguments.of(
                        new AreaDiagnostic.Wreath(2, 4, 0),
                        "Circles 2 across, their middles 4 from the centre: neighbours touch, and one thread goes round"
                                + " them all."),
                Arguments.of(
                        new AreaDiagnostic.Wreath(2, 4, 0.5),
                        "Circles 2 across, their middles 4 from the centre: neighbours stand 1/2 apart."),
                Arguments.of(
                        new AreaDiagnostic.Wreath(2, 4, -0.25),
                        "Circles 2 across, their middles 4 from the centre: neighbours cross by 1/4."),
                Arguments.of(
                        new AreaDiagnostic.Caps(9, 0.75, 0.6875, 0.125),
                        "9 petals: caps 3/4 wide and 1/4 apart on the far upright side, 11/16 and 1/4 scant on the far level one, square to them; tips 1/8 apart on the small arc."),
                Arguments.of(new AreaDiagnostic.NoShells(0.5, 0), "Shells 1/2 wide can't be stitched with this foot."),
                Arguments.of(
                        new AreaDiagnostic.NoShells(0.5, 0.25),
                        "Shells 1/2 wide don't go in: no wider than the foot, or higher than the block."),
                Arguments.of(
                        new AreaDiagnostic.Shells(4.5, 10, 0.4375, 0.125, false, 0),
                        "Shells rise 7/16 with this foot: 4 1/2 to a row, 10 rows, 1/8 left at the end."),
                Arguments.of(
                        new AreaDiagnostic.Shells(3, 1, 0.75, 0.5, true, 0.25),
                        "Shells rise 3/4 with this foot, beside a seam allowance of 1/4: 3 to a row, 1 row, the last one squeezed into"
                                + " 1/2."),
                Arguments.of(
                        new LayoutDiagnostic.HatchLikeEcho(0.5),
                        "Lines 1/2 apart read as one texture with the echoes beside them. Space them otherwise."),
                Arguments.of(
                        new AreaDiagnostic.CutOff(2, there),
                        "What lies on it parts a piece in 2, with no seam from one to the other: each needs a thread"
                                + " start of its own."),
                Arguments.of(
                        new AreaDiagnostic.Unstitched(5, there, 4),
                        "A circle 5 across stays without a stitch; the batting allows 4. Seams count as stitched in the"
                                + " ditch."),
                Arguments.of(
                        new AreaDiagnostic.SpacedEvenly(0.75, 0.70710678),
                        "Lines stand 0.7071 apart rather than 3/4, so that they come out even at the edge."),
                Arguments.of(
                        new AreaDiagnostic.NoCorner(),
                        "Only a square or an oblong has a corner to turn arms about. Take the centre."),
                Arguments.of(
                        new AreaDiagnostic.NoSmallerHole(2.5),
                        "No circle on the shelf makes petals that go between the larger ones: about 2 1/2 across would do."),
                Arguments.of(
                        new AreaDiagnostic.PetalsBetween(3, 2.125, 0.875),
                        "The petals in the middle of the circles are 2 1/8 long, by a circle 3 across, and end 7/8 from where"
                                + " the lines cross."),
                Arguments.of(
                        new AreaDiagnostic.Caps(9, 0.75, 0.75, 0.125),
                        "9 petals: caps 3/4 wide and 1/4 apart, square to them; tips 1/8 apart on the small arc."),
                Arguments.of(new AreaDiagnostic.FewerSets(8, 1), "There is room for 1 of 8."),
                Arguments.of(
                        new AreaDiagnostic.CirclesApart(3, 4),
                        "Circles 3 across don't reach their neighbours 4 away. Take larger ones, or more squares."));
    }

    /** What keeps a quilter from stitching it, what she will see, and what is only good to know. */
    private static Finding.Severity severity(Diagnostic what) {
        if (what instanceof AreaDiagnostic.Shells shells) {
            return shells.squeezed() || shells.over() <= 0.125 ? Finding.Severity.NOTE : Finding.Severity.WARNING;
        }
        if (Stream.of(
                        AreaDiagnostic.RingGaps.class,
                        AreaDiagnostic.RingsByFoot.class,
                        AreaDiagnostic.Wreath.class,
                        AreaDiagnostic.ArmsLeave.class,
                        AreaDiagnostic.ShellsEased.class,
                        AreaDiagnostic.ShellsOneByOne.class,
                        AreaDiagnostic.ShellGrid.class,
                        AreaDiagnostic.SpacedEvenly.class,
                        AreaDiagnostic.PetalsBetween.class,
                        AreaDiagnostic.Caps.class,
                        AreaDiagnostic.FewerSets.class)
                .anyMatch(kind -> kind.isInstance(what))) {
            return Finding.Severity.NOTE;
        }
        return Stream.of(
                                AreaDiagnostic.ReachShort.class,
                                AreaDiagnostic.HookTooTight.class,
                                AreaDiagnostic.ShellsNotEased.class,
                                AreaDiagnostic.PileUp.class,
                                AreaDiagnostic.PetalsCross.class,
                                AreaDiagnostic.CirclesApart.class,
                                LayoutDiagnostic.HatchLikeEcho.class,
                                AreaDiagnostic.CutOff.class,
                                AreaDiagnostic.Unstitched.class)
                        .anyMatch(kind -> kind.isInstance(what))
                ? Finding.Severity.WARNING
                : Finding.Severity.PROBLEM;
    }

    @ParameterizedTest
    @MethodSource("told")
    void whatThereIsToKnow(Diagnostic what, String text) {
        assertThat(new DiagnosticWords(WORDS).text(what)).isEqualTo(text);
        Finding finding = new Finding.AreaTrouble(new AreaId(1), 'B', true, 1, what, Optional.empty());
        assertThat(new FindingWords(WORDS).text(finding)).isEqualTo("Letter B: " + text);
        assertThat(finding.place()).isEqualTo(what.where());
        assertThat(finding.severity()).isEqualTo(severity(what));
    }

    @Test
    void sumsCountInTheRightNumber() {
        assertThat(AreaWords.text(new AreaPlan.Sum('A', 1, 1, 1, 1, 9.6, 0), true))
                .isEqualTo("1 block: 1 line, 1 placement, 1 thread start, 10 inches of stitching");
        assertThat(AreaWords.text(new AreaPlan.Sum('A', 4, 96, 108, 4, 977, 16), true))
                .isEqualTo(
                        "4 blocks: 96 lines, 108 placements, 4 thread starts, 977 inches of stitching and 16 travelled"
                                + " in seams or over stitching");
    }

    /** What arms stop on is drawn, unless it is stitched or they meet. */
    @Test
    void theCircleThatArmsStopOnIsDrawn() {
        AreaMotif.Arms arms = new AreaMotif.Arms(6, AreaMotif.Way.OUT_AND_BACK, 0.75);
        String drawn = "Draw a circle of radius 3/4 about the centre; the arms stop on it.";
        assertThat(stopCircles(arms)).isEqualTo(drawn);
        for (AreaMotif other : List.of(circled(arms.withStop(1)), arms.withStop(0), new AreaMotif.Peel(3, 4))) {
            assertThat(stopCircles(other)).isEmpty();
        }
        // None of the shelf's circles is nearly so small or so large: it is told, and drawn all the same.
        assertThat(stopCircles(circled(arms.withStop(0.1)))).startsWith("Draw a circle of radius");
    }

    /**
     * What a row is laid on has to be drawn first, so it is said: with a foot of 0.245 rows stand 0.495 apart, and the crowns of the
     * eighth and the sixteenth at 0.5 + 7 · 0.495 = 3.965 and 0.5 + 15 · 0.495 = 7.925.
     */
    @Test
    void whatIsDrawnAcrossIsSaid() {
        assertThat(stopCircles(new AreaMotif.Clamshells(0)))
                .isEqualTo(
                        "Draw lines across, this far above the lower seam: 3 15/16 generous, 7 15/16 scant; rows are laid on them.");
        assertThat(stopCircles(new AreaMotif.Clamshells(0, OptionalDouble.of(0.5), false, false, true)))
                .startsWith("Draw lines 1/4 apart across and up");
    }

    /** Where there is no template, nothing is said of how it lies or is turned. */
    @Test
    void whatIsStitchedByHandHasNoTemplate() {
        AreaDesign design =
                AreaDesign.of(new AreaMotif.Clamshells(0, OptionalDouble.of(2), false, false, true), Optional.empty());
        QuiltJob demo = DemoJob.heronWeir();
        List<Placement> all = plan(new Area.Blocks(1, 1, 8, 8, 0), design).placements();
        assertThat(SAID.rotation(demo, all.get(1), Optional.empty(), Optional.of(all.get(0))))
                .isEqualTo("Row 2 of shells; by hand, by the lines drawn.");
        assertThat(new PlacementWords(new Words(TapeScale.SIXTEENTHS)).lying(demo, all.get(1), Optional.empty()))
                .isEqualTo("No template: by hand, by the lines drawn");
    }

    private static String stopCircles(AreaMotif motif) {
        AreaDesign design = AreaDesign.of(motif, Optional.empty());
        AreaPlan plan = plan(new Area.Blocks(1, 1, 12, 12, 0), design);
        return SAID.toDraw(plan, 'A');
    }

    private static AreaPlan plan(Area area, AreaDesign design) {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        return Planner.plan(
                        demo.withQuilt(demo.quilt().withAreas(List.of(area))).with(new AreaId(1), design))
                .areas()
                .get(0);
    }

    /** Half a side of 12 times tan 22.5° is 2.4853, told as one sees it with the top up. */
    @ParameterizedTest
    @CsvSource({
        "1, in the middle of the top",
        "2, '2 1/2 scant right of the middle of the top, by halving'",
        "4, '2 1/2 scant above the middle of the right side, by halving'",
        "6, '2 1/2 scant below the middle of the right side, by halving'",
        "8, '2 1/2 scant right of the middle of the bottom, by halving'",
        "9, in the middle of the bottom",
        "10, '2 1/2 scant left of the middle of the bottom, by halving'",
        "12, '2 1/2 scant below the middle of the left side, by halving'",
        "14, '2 1/2 scant above the middle of the left side, by halving'",
        "16, '2 1/2 scant left of the middle of the top, by halving'"
    })
    void raysAreReadAsTheyAreSeen(int number, String where) {
        AreaDesign arms = AreaDesign.of(new AreaMotif.Arms(16, AreaMotif.Way.OUT_AND_BACK, 0.75), Optional.empty());
        AreaPlan plan = plan(new Area.Blocks(1, 1, 12, 12, 0), arms);
        assertThat(SAID.where(plan.rays('A').get(number - 1))).isEqualTo(where);
    }

    /** By hand: 8 shells of 1 1/2 are 12, and 16 rises of 3/4; R√2 is 4.2426 for 3 and 4.9497 for 3 1/2, and a squeezed row is a row. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            textBlock =
                    """
                    CLAMSHELLS | 12     | thatch-middle | Thatch Middle: 8 to a row, 16 rows; comes out even
                    CLAMSHELLS | 12 1/2 | thatch-middle | Thatch Middle: 8 3/8 scant to a row, 17 rows; 1/4 to squeeze across, 1/4 missing in the squeezed row
                    PEEL       | 12     | chapel-door   | Chapel Door, stitching a radius of 3: 3 squares across, 3 up; 3/4 to squeeze across, 3/4 to squeeze up
                    CIRCLES    | 15     | pond-between  | Pond Between, stitching 7 across: 3 circles across, 3 up; 5/32 to stretch across, 5/32 to stretch up
                    """)
    void howASizeComesOut(BlockFigure figure, String size, String template, String text) {
        List<BlockSize> sizes = ((BlockSize.Reading.Read) BlockSize.parse(size, TapeScale.SIXTEENTHS)).sizes();
        assertThat(
                        BlockFit.of(figure, sizes, StarterShelf.templates(), new Machine(0.25), TapeScale.SIXTEENTHS)
                                .stream()
                                .filter(fit -> fit.template().id().equals(template))
                                .map(fit -> SAID.name(fit) + ": " + SAID.text(fit)))
                .anySatisfy(said -> assertThat(said).startsWith(text + ". "));
    }

    /** A row of shells is laid with what is engraved, or with tape. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0     | 1 | the crown line 1/2 on the lower edge, a valley of the template over valley 1",
                "0.25  | 1 | the seam-allowance line 1/4 on the lower edge, a valley of the template over valley 1",
                "0.375 | 1 | tape 5/8 generous below the template's crowns on the lower edge, a valley of the template over valley 1",
                "0     | 2 | the crown line 1/2 on the crowns stitched before, a valley of the template over one of them",
            })
    void rowsOfShellsSayWhatLiesOnTheRowBefore(double allowance, int row, String text) {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        QuiltJob job = demo.withQuilt(demo.quilt().withAreas(List.of(new Area.Blocks(1, 1, 4.5, 4.5, 0))))
                .with(new AreaId(1), AreaDesign.of(new AreaMotif.Clamshells(allowance), Optional.of("thatch-small")));
        assertThat(Planner.plan(job).area(new AreaId(1)).orElseThrow().placements())
                .filteredOn(p -> p.of().number() == row)
                .isNotEmpty()
                .allSatisfy(p -> assertThat(SAID.words().registration(p)).isEqualTo(text));
    }

    /** A list of all placements says ray, template once, what it is laid on, and each turn. */
    @Test
    void theOrderIsSaidPlacementByPlacement() {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        QuiltJob job = demo.withQuilt(demo.quilt().withAreas(List.of(new Area.Medallion(12))))
                .with(
                        new AreaId(1),
                        AreaDesign.of(
                                new AreaMotif.Arms(12, AreaMotif.Way.OUT_AND_BACK, 0.75, true, 0),
                                Optional.of("willow-arm")));
        AreaPlan plan = Planner.plan(job).area(new AreaId(1)).orElseThrow();
        List<Placement> all = plan.placements();
        AreaPlan.Piece piece = plan.pieces().get(0);
        assertThat(SAID.rotation(job, all.get(0), plan.ray(all.get(0), piece), Optional.empty()))
                .isEqualTo("Arm 1, ray 1 at 0°; Willow Arm, leading edge; the middle of the hook over the centre, the"
                        + " template's line on ray 1.");
        assertThat(SAID.rotation(job, all.get(2), plan.ray(all.get(2), piece), Optional.of(all.get(1))))
                .isEqualTo("Arm 3, ray 3 at 60°; the middle of the hook over the centre, the template's line on ray 3;"
                        + " turned 30° to the right from how it lay.");
        assertThat(SAID.rotation(job, all.get(12), plan.ray(all.get(12), piece), Optional.of(all.get(11))))
                .startsWith("Arm 1, turned over, ray 1 at 0°, face down;")
                .endsWith("turned over, face down.");
        assertThat(SAID.finding(plan.turning('A').orElseThrow()))
                .isEqualTo("Mark the middle lines and the diagonals first; step the others off with 3 1/8 scant on a"
                        + " circle of radius 6 about the centre.");
    }

    /** The same arms, stopped on a circle that is stitched. */
    private static AreaMotif.Arms circled(AreaMotif.Arms arms) {
        return new AreaMotif.Arms(arms.arms(), arms.way(), arms.stop(), arms.mirrored(), arms.turn(), true);
    }
}
