package jollyspindle.core.shelf;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.ChevronStrip;
import jollyspindle.core.shelf.form.CircleForm;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.core.shelf.form.SerpentineStrip;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.core.shelf.form.SlottedCircles;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.StraightEdge;
import jollyspindle.core.shelf.form.TurnedArm;
import jollyspindle.core.words.Cautions;
import jollyspindle.core.words.DiagnosticWords;
import jollyspindle.core.words.FindingWords;
import jollyspindle.core.words.FootWords;
import jollyspindle.core.words.ShelfWords;
import jollyspindle.core.words.Words;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

/** What the shelf keeps and checks: concerns, calibration, cloth checks, ids and names. */
class ShelfFactsTest {

    private static final Words LENGTHS = new Words(TapeScale.SIXTEENTHS);
    private static final ShelfWords WORDS = new ShelfWords(LENGTHS);
    private static final DiagnosticWords CONCERNS = new DiagnosticWords(LENGTHS);
    private static final FootWords FEET = new FootWords(LENGTHS);

    private static Template template(Form form, SizeLabel label, EngravedLine... lines) {
        return Template.of("t", "T", form, label, List.of(lines));
    }

    private static ArcForm arc(double sweep, double legs, boolean half) {
        return new ArcForm(OptionalDouble.of(3), OptionalDouble.empty(), Math.toRadians(sweep), legs, half, 3);
    }

    static Stream<Arguments> troubles() {
        Machine usual = Machine.usual();
        return Stream.of(
                // an edge of radius no larger than the foot
                Arguments.of(
                        template(
                                new CircleForm(CircleForm.Cutting.HOLES, List.of(0.5), 0.75),
                                SizeLabel.DIAMETER_AS_CUT),
                        usual,
                        "the foot can't follow it, and there is nothing of this size to stitch"),
                Arguments.of(
                        template(ArcForm.hollow(0.25, 2, 1), SizeLabel.RADIUS_AS_CUT),
                        usual,
                        "the foot can't follow it"),
                // a stitched size at or below nothing
                Arguments.of(
                        template(
                                new CircleForm(CircleForm.Cutting.DISCS, List.of(0.5), 0.75),
                                SizeLabel.DIAMETER_AS_STITCHED),
                        usual,
                        "no larger than a foot"),
                Arguments.of(
                        template(ArcForm.bulging(0.2, 2, 1), SizeLabel.RADIUS_AS_STITCHED),
                        usual,
                        "Is the label as cut?"),
                // slots
                Arguments.of(
                        template(new SlottedFan(List.of(1.5, 3.0), 0.48, 2, Math.PI), SizeLabel.RADIUS_AS_STITCHED),
                        usual,
                        "The slots are 0.48 wide, and the foot is 1/2: it doesn't get in."),
                Arguments.of(
                        template(new SlottedFan(List.of(1.5, 2.0), 0.52, 2, Math.PI), SizeLabel.RADIUS_AS_STITCHED),
                        usual,
                        "1 1/2 and 2 run into each other"),
                Arguments.of(
                        template(new SlottedFan(List.of(1.5), 0.52, 2.2, 2), SizeLabel.RADIUS_AS_STITCHED),
                        usual,
                        "the legs stand 114.6° apart"),
                Arguments.of(
                        template(new SlottedCircles(List.of(1.0), 0.52, 6), SizeLabel.RADIUS_AS_STITCHED),
                        usual,
                        "where the bridge should be"),
                Arguments.of(
                        template(
                                new CircleForm(CircleForm.Cutting.RING, List.of(4.0, 4.2), 0.75),
                                SizeLabel.DIAMETER_AS_STITCHED),
                        usual,
                        "run into each other on the acrylic"),
                // clamshells no wider than the foot
                Arguments.of(
                        template(new ScallopRow(5, 0.5, 2), SizeLabel.RADIUS_AS_CUT),
                        usual,
                        "Shells of 1/2 can't be made with a foot 1/2 wide"),
                // the sweep a half circle needs
                Arguments.of(
                        template(arc(160, 0, true), SizeLabel.RADIUS_AS_CUT),
                        usual,
                        "only 160° of its edge can be used"),
                Arguments.of(
                        template(arc(170, 1, false), SizeLabel.RADIUS_AS_CUT),
                        usual,
                        "only 170° of its edge can be used"),
                Arguments.of(
                        template(arc(60, 0, false), SizeLabel.RADIUS_AS_CUT, EngravedLine.rise(2)),
                        usual,
                        "The rise line 2 asks for"),
                Arguments.of(
                        template(ArcForm.bulging(3, 2, 1), SizeLabel.RADIUS_AS_CUT, EngravedLine.rise(3)),
                        usual,
                        "would lie beside the acrylic"),
                // a gap
                Arguments.of(
                        template(
                                        new CircleForm(CircleForm.Cutting.HOLES, List.of(3.0), 0.75),
                                        SizeLabel.DIAMETER_AS_CUT)
                                .withGap(0.4),
                        usual,
                        "lift the template over. Your machine's manual and its dealer come first."),
                Arguments.of(
                        template(
                                new CircleForm(CircleForm.Cutting.HOLES, List.of(3.0), 0.75),
                                SizeLabel.DIAMETER_AS_CUT),
                        usual,
                        "needle and foot up before it is dropped in or lifted"),
                Arguments.of(
                        template(new TurnedArm(new TurnedArm.Petal(1), 4, 0.2, 1), SizeLabel.RADIUS_AS_CUT),
                        usual,
                        "it doesn't go round the foot"),
                Arguments.of(
                        template(new TurnedArm(new TurnedArm.Petal(1), 4, 0.35, 1), SizeLabel.RADIUS_AS_CUT),
                        usual,
                        "the foot has play in it"),
                // thickness and foot
                Arguments.of(
                        StarterShelf.template("orchard-hill"),
                        usual.withFootType(Machine.FootType.LOW_SHANK),
                        "Thick templates go with high-shank feet and longarms."),
                Arguments.of(StarterShelf.template("quiet-cove"), usual, "Thin templates go with low-shank feet."),
                // an outline the foot gets stuck in: two rooms with a door narrower than the foot
                Arguments.of(
                        template(
                                new OutlineForm(
                                        Stream.of(
                                                        "-3 -1", "-1 -1", "-1 -0.2", "1 -0.2", "1 -1", "3 -1", "3 1",
                                                        "1 1", "1 0.2", "-1 0.2", "-1 1", "-3 1")
                                                .map(s -> s.split(" "))
                                                .map(s -> new OutlineForm.Corner(
                                                        Double.parseDouble(s[0]), Double.parseDouble(s[1]), 0))
                                                .toList(),
                                        true),
                                SizeLabel.RADIUS_AS_CUT),
                        usual,
                        "the line is stitched in 2 pieces"));
    }

    @ParameterizedTest
    @MethodSource("troubles")
    void whatCantBeIsTold(Template template, Machine machine, String said) {
        List<TemplateDiagnostic> found = TemplateInspector.inspect(template, machine);
        assertThat(found).extracting(CONCERNS::text).anyMatch(text -> text.contains(said));
        found.forEach(
                c -> assertThat(CONCERNS.text(c)).matches("(?s)\\p{Lu}.*[.?]").doesNotContain("null", "NaN"));
        // What prevents its use comes first.
        assertThat(found).isSortedAccordingTo((a, b) -> Boolean.compare(b.stops(), a.stops()));
        boolean nothing = found.stream().anyMatch(c -> c instanceof TemplateDiagnostic.NothingStitched);
        assertThat(Stitching.of(template, machine).lines().isEmpty())
                .isEqualTo(nothing
                        || found.stream()
                                .anyMatch(c ->
                                        Stitching.of(template, machine).lines().isEmpty() && c.stops()));
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void eachKindBeginsAsSomethingThatCanBeUsed(Kind kind) {
        Template usual = Template.usual(kind, "usual", "Usual");
        assertThat(usual.kind()).isEqualTo(kind);
        assertThat(TemplateInspector.inspect(usual, Machine.usual())).noneMatch(TemplateDiagnostic::stops);
        Stitching stitching = Stitching.of(usual, Machine.usual());
        assertThat(stitching.lines()).isNotEmpty();
        assertThat(WORDS.summary(stitching)).matches("(stitches|reaches) .*");
    }

    @Test
    void theStarterShelfHoldsThirtyOfAllKindsAndNothingIsWrongWithIt() {
        assertThat(StarterShelf.templates()).hasSizeBetween(28, 36);
        assertThat(StarterShelf.templates().stream().map(Template::kind).collect(Collectors.toSet()))
                .isEqualTo(EnumSet.allOf(Kind.class));
        for (Template template : StarterShelf.templates()) {
            Machine right = Machine.usual()
                    .withFootType(template.material().thin() ? Machine.FootType.LOW_SHANK : Machine.FootType.LONGARM);
            assertThat(TemplateInspector.inspect(template, right))
                    .as(template.name())
                    .allMatch(c -> c instanceof TemplateDiagnostic.NoGap);
            Stitching stitching = Stitching.of(template, right);
            stitching.facts().forEach(f -> assertThat(WORDS.fact(f))
                    .as(template.name())
                    .matches("(?s)[\\p{Lu}\\d].*")
                    .doesNotContain("null", "NaN", "1 placements", "1 swivels", "1 shells"));
            assertThat(WORDS.marked(template)).isNotBlank().doesNotContain("null");
            assertThat(WORDS.checked(TemplateReport.of(template, right)))
                    .startsWith("Not yet. With this foot it should stitch ");
        }
    }

    // --- calibration
    // ---------------------------------------------------------------------------------------------------

    /** Calibrating with a foot and then predicting gives back what was measured. */
    @Property
    void calibratingAndPredictingGiveBackWhatWasMeasured(
            @ForAll @DoubleRange(min = 0.05, max = 0.49) double foot,
            @ForAll @DoubleRange(min = 1.1, max = 6) double size) {
        Template hole =
                template(new CircleForm(CircleForm.Cutting.HOLES, List.of(size), 0.75), SizeLabel.DIAMETER_AS_CUT);
        Template disc =
                template(new CircleForm(CircleForm.Cutting.DISCS, List.of(size), 0.75), SizeLabel.DIAMETER_AS_CUT);
        Template edge = template(new StraightEdge(8, 2, 0), SizeLabel.RADIUS_AS_CUT);
        double inHole = Prediction.of(hole, foot).inches();
        double roundDisc = Prediction.of(disc, foot).inches();
        double along = Prediction.of(edge, foot).inches();
        assertThat(inHole).isCloseTo(size - 2 * foot, within(1e-12));
        assertThat(roundDisc).isCloseTo(size + 2 * foot, within(1e-12));
        FootCalibration all = FootCalibration.of(List.of(
                new FootMeasurement.InHole(size, inHole),
                new FootMeasurement.RoundDisc(size, roundDisc),
                new FootMeasurement.AlongEdge(along)));
        assertThat(all.footRadius()).isCloseTo(foot, within(1e-9));
        assertThat(all.spread()).isCloseTo(0, within(1e-9));
        assertThat(all.questioned()).isEqualTo(foot < 0.15 || foot > 0.40);
        Machine machine = Machine.usual().withMeasured(all.measurements());
        assertThat(Prediction.of(hole, machine.footRadius()).inches()).isCloseTo(inHole, within(1e-9));
        assertThat(machine.withFootRadius(0.2).measured()).as("typed over").isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "2.75, 2.25, 0.25, false, Foot radius 1/4.",
        "2.75, 2.6, 0.075, true, 'Ruler feet measure between 0.15 and 0.4: is it right?'",
        "2.75, 1.8, 0.475, true, is it right?",
        "2.75, 2.8, -0.025, true, That can't be a foot",
        "3.75, 2.5, 0.625, true, That can't be a foot",
    })
    void aFootThatIsHardlyMadeIsQuestioned(double hole, double stitched, double foot, boolean questioned, String said) {
        FootCalibration c = FootCalibration.of(List.of(new FootMeasurement.InHole(hole, stitched)));
        assertThat(c.footRadius()).isCloseTo(foot, within(1e-12));
        assertThat(c.questioned()).isEqualTo(questioned);
        assertThat(FEET.calibration(c)).contains(said);
        assertThat(FEET.measurement(c.measurements().get(0))).contains("Hole", "stitched");
    }

    @Test
    void measurementsAreAveragedAndTheirSpreadIsTold() {
        FootCalibration c =
                FootCalibration.of(List.of(new FootMeasurement.AlongEdge(0.24), new FootMeasurement.AlongEdge(0.28)));
        assertThat(c.footRadius()).isCloseTo(0.26, within(1e-12));
        assertThat(c.spreadsWidely()).isTrue();
        assertThat(FEET.calibration(c)).contains("the average of 2; they lie 0.04 apart", "measure once more");
        assertThatThrownBy(() -> FootCalibration.of(List.of())).hasMessageContaining("nothing was measured");
        assertThatThrownBy(() -> new FootMeasurement.AlongEdge(0)).hasMessageContaining("the distance must be 0.01");
    }

    // --- labels against cloth
    // --------------------------------------------------------------------------------------------

    // A hole marked 2 1/4 that stitches 2 1/4 with a 1/4 foot is labelled as stitched; one that stitches 1 3/4 as cut.
    @ParameterizedTest
    @CsvSource({
        "AS_CUT, 1.75, ",
        "AS_CUT, 2.25, 'label were diameter, as stitched: is it?'",
        "AS_STITCHED, 2.25, ",
        "AS_STITCHED, 1.75, 'label were diameter, as cut: is it?'",
        "AS_CUT, 4, 'label were radius, as cut: is it?'",
        "AS_CUT, 3, 'Measure the template, the foot and the stitching again.'",
    })
    void aLabelThatContradictsTheClothIsQuestioned(LabelConvention convention, double measured, String said) {
        Template hole = template(
                        new CircleForm(CircleForm.Cutting.HOLES, List.of(2.25), 0.75),
                        new SizeLabel(SizeLabel.Printed.DIAMETER, convention))
                .withCheck(Optional.of(new ClothCheck(LocalDate.of(2026, 3, 14), 0.25, measured)));
        List<String> told = TemplateInspector.inspect(hole, Machine.usual()).stream()
                .filter(TemplateDiagnostic.CheckDisagrees.class::isInstance)
                .map(CONCERNS::text)
                .toList();
        if (said == null) {
            assertThat(told).isEmpty();
            assertThat(WORDS.checked(TemplateReport.of(hole, Machine.usual())))
                    .startsWith("On 2026-03-14")
                    .endsWith("as foretold.");
        } else {
            assertThat(told).singleElement().asString().contains(said);
            assertThat(WORDS.checked(TemplateReport.of(hole, Machine.usual()))).contains("and not");
        }
    }

    @Test
    void whatIsMeasuredOnClothSuitsTheKind() {
        assertThat(StarterShelf.templates().stream()
                        .map(t -> Prediction.of(t, 0.25).what())
                        .collect(Collectors.toSet()))
                .isEqualTo(EnumSet.allOf(Prediction.What.class));
        for (Prediction.What what : Prediction.What.values()) {
            assertThat(ShelfWords.measure(what)).isNotBlank();
        }
    }

    // --- jobs and the shelf
    // ----------------------------------------------------------------------------------------------

    @Test
    void aJobTellsWhatItsTemplateIsLikeAndHowTheShelfDiffers() {
        QuiltJob demo = DemoJob.heronWeir();
        QuiltJob low = demo.withMachine(demo.machine().withFootType(Machine.FootType.LOW_SHANK));
        FindingWords said = new FindingWords(new Words(TapeScale.SIXTEENTHS));
        assertThat(Planner.plan(low).findings().get(0))
                .satisfies(f -> assertThat(said.text(f)).startsWith("Orchard Hill: It is 1/4 thick"));
        List<Template> shelf = StarterShelf.templates();
        assertThat(Planner.compareWithShelf(demo, shelf)).isEmpty();
        Template hill = StarterShelf.template("orchard-hill");
        assertThat(Planner.compareWithShelf(demo.withTemplate(hill.withNotes("mine")), shelf))
                .as("notes change no plan")
                .isEmpty();
        for (Finding f : Stream.concat(
                        Planner.compareWithShelf(demo.withTemplate(hill.resized(5)), shelf).stream(),
                        Planner.compareWithShelf(demo, List.of()).stream())
                .toList()) {
            assertThat(said.text(f)).contains("Orchard Hill");
            assertThat(said.text(f.remedy().orElseThrow())).isNotBlank();
        }
        assertThat(Cautions.of(low)).anyMatch(c -> c.contains("high-shank"));
    }

    @Test
    void idsAndNamesStayFree() {
        Shelf shelf = Shelf.starter();
        assertThat(shelf.freeId("Orchard Hill")).isEqualTo("orchard-hill-2");
        assertThat(shelf.freeId("Ährenkranz & Söhne!")).isEqualTo("ahrenkranz-sohne");
        assertThat(shelf.freeId("---")).isEqualTo("template");
        assertThat(shelf.freeId("x".repeat(200))).hasSizeLessThanOrEqualTo(60);
        assertThat(shelf.freeName("Orchard Hill")).isEqualTo("Orchard Hill 2");
        String longest = "y".repeat(Template.LONGEST_NAME);
        Template one = Template.usual(Kind.ARC, "one", longest);
        assertThat(shelf.with(one).freeName(longest))
                .hasSize(Template.LONGEST_NAME)
                .endsWith(" 2");
        Set<String> ids = new java.util.HashSet<>();
        Shelf grown = shelf;
        for (int i = 0; i < 30; i++) {
            Template copy = one.withId(grown.freeId("Otter")).withName(grown.freeName("Otter"));
            assertThat(ids.add(copy.id())).isTrue();
            grown = grown.with(copy);
        }
        assertThatThrownBy(() -> new Shelf(Machine.usual(), List.of(one, one))).hasMessageContaining("two templates");
    }

    @Test
    void takingInReplacesNothing() {
        Shelf shelf = Shelf.starter();
        Template hill = StarterShelf.template("orchard-hill");
        Shelf.Imported imported = shelf.importing(
                List.of(hill, hill.resized(5), Template.usual(Kind.CORNER, "gate", "Gate"), hill.resized(6)));
        assertThat(imported.alreadyThere()).isEqualTo(1);
        assertThat(imported.added())
                .extracting(Template::id)
                .containsExactly("orchard-hill-2", "gate", "orchard-hill-3");
        assertThat(imported.shelf().template("orchard-hill")).contains(hill);
        assertThat(imported.shelf().templates()).hasSize(shelf.templates().size() + 3);
        assertThat(shelf.withCopyAfter(hill, hill.withId("next"))
                        .templates()
                        .get(1)
                        .id())
                .isEqualTo("next");
    }

    @Test
    void whatTwoMadeOfTheSameShelfIsBroughtTogether() {
        Shelf base = Shelf.starter();
        Template hill = StarterShelf.template("orchard-hill");
        Template bridge = StarterShelf.template("mill-bridge");
        Template fresh = Template.usual(Kind.CORNER, "fresh", "Fresh");
        Shelf mine = base.with(hill.withNotes("mine")).with(fresh);
        Shelf theirs = base.with(hill.withNotes("theirs"))
                .with(bridge.resized(6))
                .with(fresh.resized(5))
                .with(fresh.withId("only-theirs"))
                .withMachine(new Machine(0.24));
        Shelf merged = mine.mergedWith(base, theirs);
        assertThat(merged.template("orchard-hill").orElseThrow().notes()).isEqualTo("mine");
        assertThat(merged.template("mill-bridge")).contains(bridge.resized(6));
        assertThat(merged.template("fresh")).contains(fresh);
        assertThat(merged.template("fresh-2").orElseThrow().form())
                .isEqualTo(fresh.resized(5).form());
        assertThat(merged.template("only-theirs")).isPresent();
        assertThat(merged.machine().footRadius()).isEqualTo(0.24);
        assertThat(mine.mergedWith(base, base)).isEqualTo(mine);
        assertThat(base.mergedWith(base, theirs)).isEqualTo(theirs);
    }

    static Stream<Arguments> formsThatCantBe() {
        return Stream.of(
                Arguments.of(
                        (Runnable) () -> new ArcForm(OptionalDouble.empty(), OptionalDouble.empty(), 1, 0, false, 1),
                        "a bulging or a hollow edge"),
                Arguments.of((Runnable) () -> ArcForm.bulging(200, 1, 1), "must be 0.01 to 100, not 200"),
                Arguments.of((Runnable) () -> ArcForm.bulging(2, 4, 1), "at most the half circle"),
                Arguments.of(
                        (Runnable) () -> new CircleForm(CircleForm.Cutting.RING, List.of(2.0), 1), "a ring two, not 1"),
                Arguments.of((Runnable) () -> new SlottedFan(List.of(), 0.5, 1, 2), "no slots"),
                Arguments.of((Runnable) () -> new ScallopRow(0, 1, 1), "bumps must be 1 to 40, not 0"),
                Arguments.of((Runnable) () -> new SerpentineStrip(2, 1.5, 1, 1), "half its module high"),
                Arguments.of((Runnable) () -> new ChevronStrip(2, 3.1, 1, 1), "must be 20 to 170 degrees"),
                Arguments.of((Runnable) () -> new TurnedArm.Wave(1, 9), "waves must be 0.5 to 6, not 9"),
                Arguments.of((Runnable) () -> new OutlineForm(List.of(), false), "corners must be 2 to 1500, not 0"),
                Arguments.of(
                        (Runnable) () -> template(arc(90, 0, false), SizeLabel.RADIUS_AS_CUT)
                                .withName(" "),
                        "name"),
                Arguments.of(
                        (Runnable) () -> template(arc(90, 0, false), SizeLabel.RADIUS_AS_CUT)
                                .withGap(-1),
                        "gap"),
                Arguments.of(
                        (Runnable) () -> new Material(0, "x", Material.Tint.SKY),
                        "the thickness must be 0.01 to 2, not 0"),
                Arguments.of(
                        (Runnable) () -> new EngravedLine(EngravedLine.Kind.RISE, Double.NaN, LabelConvention.AS_CUT),
                        "engraved line"));
    }

    @ParameterizedTest
    @MethodSource("formsThatCantBe")
    void formsThatCantBeAreRefusedInPlainWords(Runnable make, String said) {
        assertThatThrownBy(make::run)
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(said);
    }
}
