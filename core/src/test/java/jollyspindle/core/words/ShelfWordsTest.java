package jollyspindle.core.words;

import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.Find;
import jollyspindle.core.shelf.FootCalibration;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Stitching;
import jollyspindle.core.shelf.TapePlaces;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateDiagnostic;
import jollyspindle.core.shelf.TemplateFinder;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.Kind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** What the shelf says, as a quilter reads it. */
class ShelfWordsTest {

    private static final Words INCHES = new Words(TapeScale.SIXTEENTHS);
    private static final Words METRIC = new Words(TapeScale.CENTIMETRES);

    // Each with the usual foot, reckoned by hand from the sizes on the starter shelf.
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "orchard-hill | stitches radius 4 | marked radius 4, as stitched",
                "mill-bridge | stitches radius 5 3/4 | marked radius 5 1/2, as cut",
                "quiet-cove | stitches radius 4 1/2 | marked radius 4 3/4, as cut",
                "rain-barrel | stitches radii 6 1/4, 3 3/4 | marked radius 6 and 4, as cut",
                "well-head | stitches diameter 3 | marked diameter 3 1/2, as cut",
                "penny-stack | stitches diameters 1 1/2, 2 1/2, 3 1/2 | marked diameter 1, 2, 3, as cut",
                "pebble-plate | stitches diameters 1/2 … 2 1/4 | marked diameter 1/2, 1, 1 3/4, 2 1/4, as stitched",
                "barley-fan | stitches radii 1 1/2 … 7 1/2 | marked radius 1 1/2, 3 … 7 1/2, as stitched",
                "thatch-middle | stitches 5 shells of 1 1/2, rising 3/4 | 5 bumps of 1 1/2",
                "furrow-short | stitches lines of 6 | 6 long, 2 wide, notched ends",
                "gatepost | stitches a sharp point of 90°, 3/8 scant out from the notch's own | 90°, arms of 4",
                "brook-strip | stitches 2 repeats of 4, 1 1/2 high | module 4, 1 1/2 high, as stitched",
                "willow-arm | reaches 6 | wave, reach 6, as stitched",
                "beech-leaf | stitches 2 3/16 scant by 4 1/2 | a shape of 2 corners",
            })
    void summariesAndMarks(String id, String stitches, String marked) {
        Template template = StarterShelf.template(id);
        ShelfWords words = new ShelfWords(INCHES);
        assertThat(words.summary(Stitching.of(template, Machine.usual()))).isEqualTo(stitches);
        assertThat(words.marked(template)).isEqualTo(marked);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "orchard-hill | Bulging edge: radius 4, diameter 8, over 152°",
                "orchard-hill | The rise line 3 on the seam: span 7 3/4 scant, rise 3, 151°",
                "orchard-hill | Lowered from the rise line 3 to 2 1/2: crowns 1/2 apart, feet 3/16 scant",
                "twin-gable | Both edges stitch the same curve, of radius 3",
                "chapel-door | On its legs an arch of span 6 rises up to 4 1/2",
                "furrow-long | Edge on the stitching: echo 1/4 away",
                "furrow-long | The line 1/4 in from the edge on the stitching: echo 1/2 away, 1/4 seen beside the foot; a walk of 11/16 generous along a line that crosses at 45°",
                "pond-rings | The foot has 1/64 play in the slots: the diameter drifts by 1/32 unless it keeps to one wall",
                "pond-rings | From ring to ring 1",
                "even-fan | Fans set 10 apart: arcs sweep 95.7° to 120°, with 1 swivel for the outermost; the next row stands 8 11/16 scant higher",
                "well-head | Hole: through four points of a grid of 2 1/8 scant; at 14 stitches an inch 132 once round, 198 for one and a half turns",
                "gatepost | Round an outside corner a piece of a circle of radius 1/4, over 90°",
                "willow-arm | Reaches the corners of blocks up to 8 1/2 scant",
                "willow-arm | 8 arms stand 45° apart, their tips 4 9/16 generous",
            })
    void facts(String id, String said) {
        ShelfWords words = new ShelfWords(INCHES);
        assertThat(Stitching.of(StarterShelf.template(id), Machine.usual()).facts().stream()
                        .map(words::fact))
                .contains(said);
    }

    static Stream<Arguments> concerns() {
        Guide hole = StarterShelf.template("well-head").cut().guides().get(0);
        return Stream.of(
                Arguments.of(
                        new TemplateDiagnostic.HollowSmallerThanFoot(hole, 0.25, 0.25),
                        "Hole has radius 1/4, no more than the foot's 1/4: the foot can't follow it, and there is nothing of"
                                + " this size to stitch."),
                Arguments.of(
                        new TemplateDiagnostic.SlotTooNarrow(0.48, 0.5),
                        "The slots are 0.48 wide, and the foot is 1/2: it doesn't get in."),
                Arguments.of(new TemplateDiagnostic.CantFollowAll(hole, 0), "The foot can't get along the hole."),
                Arguments.of(
                        new TemplateDiagnostic.CantFollowAll(hole, 3),
                        "Along the hole the foot gets stuck: the line is stitched in 3 pieces."),
                Arguments.of(
                        new TemplateDiagnostic.LineOffPlate(EngravedLine.rise(2.5)),
                        "The rise line 2 1/2 would lie beside the acrylic. Check its value and what it means."),
                Arguments.of(
                        new TemplateDiagnostic.LineOffPlate(EngravedLine.reference(Math.toRadians(-30))),
                        "The reference line at −30° would lie beside the acrylic. Check its value and what it means."),
                Arguments.of(
                        new TemplateDiagnostic.GapTooNarrow(0.4, 0.5),
                        "The gap is 0.4 wide, and the foot is 1/2: it can't pass. Needle and foot up, and lift the template"
                                + " over. Your machine's manual and its dealer come first."),
                Arguments.of(
                        new TemplateDiagnostic.ThicknessAgainstFoot(0.125, true, Machine.FootType.LONGARM),
                        "It is 1/8 thick, one of the thin sort, and the machine has a longarm foot. Thin templates go with"
                                + " low-shank feet. A wrong pair lets the foot ride up over the template, or strikes the"
                                + " needle clamp. Your machine's manual and its dealer come first."));
    }

    @ParameterizedTest
    @MethodSource("concerns")
    void concernsInFull(TemplateDiagnostic concern, String said) {
        assertThat(new DiagnosticWords(INCHES).text(concern)).isEqualTo(said);
    }

    @Test
    void whatWasMeasuredIsSaidInTheQuiltersUnits() {
        FootMeasurement hole = new FootMeasurement.InHole(2.75, 2.25);
        assertThat(new FootWords(INCHES).measurement(hole)).isEqualTo("Hole 2 3/4, stitched 2 1/4: radius 1/4");
        assertThat(new FootWords(INCHES).measurement(new FootMeasurement.RoundDisc(2, 2.5)))
                .isEqualTo("Disc 2, stitched 2 1/2: radius 1/4");
        assertThat(new FootWords(INCHES).measurement(new FootMeasurement.AlongEdge(0.245)))
                .isEqualTo("Straight edge, line 0.245 away: radius 0.245");
        assertThat(new FootWords(METRIC).measurement(hole)).contains("6.985 cm", "5.715 cm");
        assertThat(new FootWords(METRIC).calibration(FootCalibration.of(List.of(hole))))
                .isEqualTo("Foot radius 0.635 cm.");
    }

    @Test
    void tapeIsAnInstruction() {
        ShelfWords words = new ShelfWords(INCHES);
        Template hill = StarterShelf.template("orchard-hill");
        Guide edge = hill.cut().main().orElseThrow();
        assertThat(words.tape(place(hill, edge, new TapePlaces.Wanted.Rise(2.25)), true))
                .isEqualTo("1/4 tape on the back, its edge 2 below the edge's crown, 1/4 below the rise line 2.");
        assertThat(words.tape(place(hill, edge, new TapePlaces.Wanted.Rise(1.875)), true))
                .isEqualTo("1/4 tape on the back, its edge 1 5/8 below the edge's crown, 1/8 above the rise line 2.");
        assertThat(words.tape(place(hill, edge, new TapePlaces.Wanted.Spacing(0.625)), false))
                .isEqualTo("1/4 tape on the back, its edge 3/8 in from the edge.");
        assertThat(words.tape(place(hill, edge, new TapePlaces.Wanted.Spacing(0.25)), false))
                .isEqualTo("No tape: lay the edge itself on it.");
        Template ruler = StarterShelf.template("furrow-long");
        assertThat(words.tape(
                        place(ruler, ruler.cut().main().orElseThrow(), new TapePlaces.Wanted.Spacing(0.75)), false))
                .isEqualTo("No tape: lay the line 1/2 on it.");
    }

    private static TapePlaces.Place place(Template template, Guide guide, TapePlaces.Wanted wanted) {
        return TapePlaces.find(template, guide, wanted, Machine.usual()).orElseThrow();
    }

    static Stream<Arguments> finds() {
        return Stream.of(
                Arguments.of(
                        new Find.Wanted.Circle(1.8125),
                        "best first: a stitched circle of diameter 1 13/16.",
                        "Hole 3: diameter 1 3/4; 2 placements for each; 1/16 off"),
                Arguments.of(
                        new Find.Wanted.Span(6.9282, 4, Optional.of(2.0)),
                        "a span of 6 15/16 scant with room 4 and rise 2.",
                        "Rise 2, 2 of room left; on the seam the line 2"),
                Arguments.of(
                        new Find.Wanted.Fan(8, 0.5),
                        "fans in a border 8 deep with a reserve of 1/2.",
                        "5 arcs, the outermost 7 1/2, 0 left"),
                Arguments.of(new Find.Wanted.Rings(1, 6), "rings 1 apart, up to diameter 6.", "Rings of 2, 4, 6"),
                Arguments.of(
                        new Find.Wanted.Block(4.5),
                        "a block of 4 1/2.",
                        "4 1/2 shells a row and 9 rows rising 1/2 each"),
                Arguments.of(new Find.Wanted.Strip(2.25), "a strip 2 1/4 wide.", "fills the strip"));
    }

    @ParameterizedTest
    @MethodSource("finds")
    void answersSayWhatWasAskedAndWhatEachDoes(Find.Wanted wanted, String answer, String match) {
        Find find = new TemplateFinder(StarterShelf.templates(), Machine.usual()).find(wanted);
        FindWords words = new FindWords(INCHES);
        assertThat(words.answer(find)).endsWith(answer);
        assertThat(find.matches().stream().map(words::match)).anyMatch(text -> text.contains(match));
    }

    @Test
    void changesThatAreSeldomAreSaidToo() {
        FindWords words = new FindWords(INCHES);
        Template hill = StarterShelf.template("orchard-hill");
        Find.Match odd = new Find.Match(
                hill,
                hill.cut().main().orElseThrow(),
                0.25,
                1,
                List.of(
                        new Find.Change.OverRoom(0.25),
                        new Find.Change.OnSeam(new SeamRegister.OffThePlate()),
                        new Find.Change.Placements(2),
                        new Find.Change.Rings(List.of(2.0, 3.0, 4.0, 5.0), List.of(1.0), 0.5),
                        new Find.Change.Caution(0.125, true, Machine.FootType.HIGH_SHANK),
                        new Find.Change.ShellRows(4.5, 10, 0.4375, 0.25, true),
                        new Find.Change.ShellsAcross(1, 0.75, 0.0625, false),
                        new Find.Change.LeftBeside(-0.125),
                        new Find.Change.Repeats(1, 4.125, 0.125)));
        assertThat(words.match(odd))
                .isEqualTo(
                        "1/4 into the reserve; on the seam nothing: the seam runs past the plate; set the foot on the"
                                + " marks; 2 placements for each; rings of 2, 3, 4, 5; missing: 1; caution: it is 1/8 thick, one"
                                + " of the thin sort, and the machine has a high-shank foot; ask the machine's manual or"
                                + " dealer; 4 1/2 shells a row and 10 rows rising 7/16 each, the last squeezed into 1/4; 1"
                                + " row of shells rising 3/4, 1/16 left; 1/8"
                                + " wider than the strip; 1 row of 4 1/8, 1/8 stretched each; 1/4 off");
        assertThat(words.missing(new Find.Missing.StitchedRadius(4, Double.POSITIVE_INFINITY)))
                .endsWith("An arc would, that stitches a radius of 4 or more.");
        assertThat(words.missing(new Find.Missing.StitchedDiameter(0.25, 0.75, -0.25)))
                .endsWith("a hole cut 3/4 wide would; no disc stitches a circle as small as that.");
        assertThat(words.missing(new Find.Missing.FanRadius(-0.5))).endsWith("The reserve takes the whole border.");
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void everythingHasAName(Kind kind) {
        assertThat(ShelfWords.name(kind)).matches("\\p{Lu}.*");
        for (Guide guide : Template.usual(kind, "u", "U").cut().guides()) {
            assertThat(ShelfWords.edge(guide)).isNotBlank().doesNotContain("_");
        }
        for (ArcEdge edge : ArcEdge.values()) {
            assertThat(Words.edge(edge)).isNotBlank();
        }
    }
}
