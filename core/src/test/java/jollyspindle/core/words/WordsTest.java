package jollyspindle.core.words;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.OnCentre;
import jollyspindle.core.division.Reason;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.ArcForm;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

import static org.assertj.core.api.Assertions.assertThat;

class WordsTest {

    private final Words words = new Words(TapeScale.SIXTEENTHS);
    private final Words metric = new Words(TapeScale.CENTIMETRES);

    @ParameterizedTest
    @CsvSource({
        "0, as pictured",
        "90, a quarter turn to the left",
        "-90, a quarter turn to the right",
        "-89.9, a quarter turn to the right",
        "180, a half turn",
        "-180, a half turn",
        "12, '12° to the left'",
        "-122, 122° to the right",
        "-58, 58° to the right",
    })
    void saysHowATemplateIsTurned(double degrees, String said) {
        assertThat(Words.turn(Math.toRadians(degrees))).isEqualTo(said);
    }

    @Test
    void saysReasons() {
        DivisionWords said = new DivisionWords(words);
        assertThat(said.reason(new Reason.Centres(OnCentre.VALLEY, Optional.of(OnCentre.VALLEY))))
                .isEqualTo("valley on the centre");
        assertThat(said.reason(new Reason.Centres(OnCentre.CROWN, Optional.of(OnCentre.VALLEY))))
                .isEqualTo("crown on the centre of top and bottom, valley on that of the sides");
        assertThat(said.reason(new Reason.SidesDiffer(0.046, 0.125))).isEqualTo("sides differ by 3/64 a repeat");
        assertThat(said.reason(new Reason.SidesDiffer(0, 0.125))).isEqualTo("all sides alike");
        assertThat(said.reason(new Reason.IntoReserve(0.125))).isEqualTo("crowns stand 1/8 past their room");
        assertThat(said.reason(new Reason.OffWanted(-0.25))).isEqualTo("1/4 shorter than wanted");
        assertThat(new FindingWords(words)
                        .text(new Finding.IntoReserve(RunId.of(Side.TOP), 0.75, 0.5, true, Optional.empty())))
                .isEqualTo("Crowns would run 1/4 off the quilt's edge.");
        assertThat(new DivisionWords(metric).reason(new Reason.OffWanted(0.1))).isEqualTo("2.5 mm longer than wanted");
        assertThat(said.reason(new Reason.SeveralPlacements(2))).isEqualTo("2 placements an arc");
        assertThat(said.reason(new Reason.TooWide(7.99))).isEqualTo("wider than this template can span (8 scant)");
    }

    @Test
    void saysWhatLiesOnTheSeam() {
        assertThat(words.instruction(new SeamRegister.EngravedLine(2.25, 2, 0.001)))
                .isEqualTo("Lay the engraved line 2 1/4 on the seam.");
        assertThat(words.instruction(new SeamRegister.EngravedLine(2.25, 2, -0.0157)))
                .isEqualTo("Lay the engraved line 2 1/4 on the seam; it stitches 1/64 lower than drawn.");
        assertThat(words.instruction(new SeamRegister.Tape(1.375, 1.5, 0.125)))
                .isEqualTo(
                        "No engraved line is near enough. Stick 1/4 tape on the back, its upper edge 1/8 below the line"
                                + " 1 1/2 (1 3/8 below the edge's crown), and lay that edge on the seam.");
        assertThat(words.register(new SeamRegister.Tape(1.375, Double.NaN, Double.NaN)))
                .isEqualTo("the tape, 1 3/8 below the edge's crown");
    }

    @Test
    void refusalsSayWhatWasReadWhatIsAllowedAndWhatToDo() {
        assertThat(words.refusal(new QuiltRules.Refusal.TooLong(), Dimension.BODY_TOP, 715))
                .isEqualTo("Body, top reads 715. The longest allowed is 200: check the number and its unit.");
        assertThat(words.refusal(new QuiltRules.Refusal.DeeperThanBody(60), Dimension.DEPTH_LEFT, 72.5))
                .contains("72 1/2", "60", "Measure");
        assertThat(metric.refusal(new QuiltRules.Refusal.NoRoomLeft(0.5, 0.5), Dimension.RESERVE, 0.5))
                .contains("1.27 cm", "smaller");
    }

    private static QuiltJob withArc(QuiltJob job, UnaryOperator<ArcForm> change) {
        Template template = job.chosenTemplate().orElseThrow();
        return job.withTemplate(template.withForm(change.apply((ArcForm) template.form())));
    }

    private static Template thinned(Template template) {
        return template.withMaterial(Material.PARAMS.with(template.material(), Material.THICKNESS, 0.118));
    }

    @Test
    void everyFindingAndRemedyHasItsWords() {
        QuiltJob demo = DemoJob.heronWeir();
        FindingWords said = new FindingWords(words);
        for (QuiltJob job : List.of(
                demo.editing(GroupId.border(1), l -> l.withTemplate("lost", Optional.empty())),
                demo.withQuilt(demo.quilt().with(Dimension.BODY_TOP, 190)),
                demo.withCounts(new Counts(4, 40)),
                withArc(demo, arc -> arc.withMainSize(0.2)),
                withArc(
                        demo,
                        arc -> new ArcForm(arc.bulging(), arc.hollow(), 1, arc.legs(), arc.halfCircle(), arc.depth())),
                demo.withQuilt(demo.quilt().without(Dimension.BODY_TOP).without(Dimension.DEPTH_LEFT)),
                demo.withQuilt(demo.quilt()
                        .with(Dimension.DEPTH_TOP, 2)
                        .with(Dimension.BODY_LEFT, 85)
                        .with(Dimension.DIAGONAL_UP, 110)))) {
            WorkPlan plan = Planner.plan(job);
            assertThat(plan.findings()).isNotEmpty();
            for (Finding finding : plan.findings()) {
                assertThat(said.text(finding)).matches("(?s)\\p{Lu}.*[.?]").doesNotContain("null", "NaN", "  ");
                finding.remedy()
                        .ifPresent(r -> assertThat(said.text(r)).isNotBlank().doesNotContain("null"));
            }
        }
        assertThat(said.text(new Finding.NotMeasured(List.of(Dimension.BODY_TOP, Dimension.DEPTH_LEFT))))
                .isEqualTo("Still to be measured: the body at the top; the border's depth at the left.");
        assertThat(said.text(new Finding.OppositeSidesDiffer(Side.RIGHT, 0.625, false)))
                .startsWith("The body's right is 5/8 longer than its left.");
    }

    @Test
    void cautionsFollowTheTemplateAndDeferToTheManual() {
        QuiltJob demo = DemoJob.heronWeir();
        assertThat(Cautions.of(demo)).anyMatch(c -> c.contains("high-shank"));
        QuiltJob thin = demo.withTemplate(thinned(demo.chosenTemplate().orElseThrow()));
        assertThat(Cautions.of(thin)).anyMatch(c -> c.contains("low-shank"));
        assertThat(Cautions.MANUAL_FIRST).contains("manual", "dealer");
    }
}
