package jollyspindle.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.Schemas;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.packet.Packet;
import jollyspindle.files.packet.PaperSize;
import jollyspindle.files.planjson.PlanJson;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Predicate;
import java.util.stream.IntStream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

/** What is stitched in areas, in files and in the plan for other programs. */
class AreaDesignsTest {

    private static final ObjectMapper JSON = new ObjectMapper();

    private static AreaDesign.Layer layer(AreaMotif motif) {
        return new AreaDesign.Layer(motif, Optional.empty());
    }

    private static AreaDesign.Layer layer(AreaMotif motif, String template) {
        return new AreaDesign.Layer(motif, Optional.of(template));
    }

    /** Every motif and every sort of area at least once. */
    private static QuiltJob rich() {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        OutlineForm leaf =
                new OutlineForm(List.of(new OutlineForm.Corner(-2, 0, 1.5), new OutlineForm.Corner(2, 0, 1.5)), false);
        AreaDesign.Part whirl = new AreaDesign.Part(List.of(
                layer(new AreaMotif.Whirl(3, 0.5, 6)),
                layer(new AreaMotif.CornerRays(AreaMotif.Corner.TOP_RIGHT, OptionalInt.of(7), 0.75, 0.25)),
                layer(new AreaMotif.StraightFans(2, 1, 5, 0.5)),
                layer(new AreaMotif.CurvedHatch(1.25)),
                layer(new AreaMotif.Circles(3, 2))));
        AreaDesign.Part shells = new AreaDesign.Part(List.of(
                layer(new AreaMotif.Clamshells(0.25), "thatch-middle"),
                layer(new AreaMotif.Peel(3, 4, OptionalDouble.of(0.5)), "orchard-hill"),
                layer(new AreaMotif.Crosshatch(0.75, Math.toRadians(50))),
                layer(new AreaMotif.Quarters(0.25, 0.5, false))));
        return demo.withQuilt(demo.quilt()
                        .with(Dimension.BATTING, 4)
                        .withAreas(List.of(
                                new Area.Medallion(Area.Shape.OCTAGON, 14, 0.25),
                                new Area.Blocks(2, 3, 9, 9, 1.5, 0.125),
                                new Area.Applique(new Area.Ellipse(new Point(9, -3), 5, 3, Math.toRadians(30)), 0.25),
                                new Area.Applique(
                                        new Area.Corners(List.of(new Point(0, 0), new Point(2, 0), new Point(1, 2))),
                                        0),
                                new Area.Applique(new Area.Drawn(leaf, new Point(3, 20), Math.toRadians(40)), 0.5),
                                new Area.Body(1))))
                .with(
                        new AreaId(1),
                        AreaDesign.of(List.of(
                                layer(
                                        new AreaMotif.Arms(
                                                12, AreaMotif.Way.ALONG_EDGE, 0.75, true, Math.toRadians(10), true),
                                        "willow-arm"),
                                layer(new AreaMotif.Rings(2, 0.5, 3, AreaMotif.Spokes.FOUR)),
                                layer(new AreaMotif.Rings(2, OptionalDouble.empty(), 3, AreaMotif.Spokes.NONE)),
                                layer(new AreaMotif.Petals(6, 0.5, 3)),
                                layer(new AreaMotif.Points(9, 2, 3.5)),
                                layer(new AreaMotif.Echoes(2, 0.5, true)))))
                .with(new AreaId(2), new AreaDesign(List.of(shells, whirl), List.of("AB", "B-")))
                .with(
                        new AreaId(6),
                        AreaDesign.of(List.of(
                                layer(new AreaMotif.Wreath(8, OptionalDouble.of(10))),
                                layer(new AreaMotif.Wreath(6, OptionalDouble.empty())))));
    }

    @Test
    void theyComeBackAsTheyWereAndKeepToTheSchema() throws Exception {
        byte[] written = JobFile.format(rich(), UnknownFields.none());
        assertThat(JobFile.parse(written).job()).isEqualTo(rich());
        assertThat(Schemas.of("job").validate(JSON.readTree(written))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "arms, 12, 99",
        "circled, true, 3",
        "pieced, false, 3",
        "area, \"area-2\", \"area-9\"",
        "motif, \"peel\", \"banana\"",
        "angleDegrees, 50.0, 5.0",
        "spokes, \"four\", \"five\"",
        "letters, '[ \"AB\"', '[ \"AC\"'",
        "shape, \"octagon\", \"round-ish\"",
        "petals, 7, 8",
        "to, 3.0, 0.25",
        "outer, 3.5, 1.0"
    })
    void whatIsWrongIsToldWithItsPlace(String field, String right, String wrong) {
        String text = new String(JobFile.format(rich(), UnknownFields.none()), StandardCharsets.UTF_8);
        String was = "\"" + field + "\" : " + right;
        assertThat(text).contains(was);
        String now = text.replace(was, "\"" + field + "\" : " + wrong);
        assertThatThrownBy(() -> JobFile.parse(now.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining(field);
    }

    @Test
    void armsThatMeetInTheCentreHaveNoCircleToStopOn() {
        String text = new String(JobFile.format(rich(), UnknownFields.none()), StandardCharsets.UTF_8);
        String now = text.replaceFirst("\"stop\" : 0.75", "\"stop\" : 0");
        assertThatThrownBy(() -> JobFile.parse(now.getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining("no circle to stop on");
    }

    @Test
    void thePlanForOtherProgramsHasThem() throws Exception {
        WorkPlan plan = Planner.plan(rich());
        JsonNode areas = JSON.readTree(PlanJson.format(plan)).get("areas");
        assertThat(areas).hasSize(3);
        assertThat(areas.get(0).get("name").asText()).isEqualTo("Medallion");
        assertThat(areas.get(0)
                        .get("letters")
                        .get(0)
                        .get("rays")
                        .get(1)
                        .get("found")
                        .asText())
                .isEqualTo("stepped");
        assertThat(areas.get(1).get("pieces")).hasSize(6);
        assertThat(areas.get(1).get("pieces").get(3).get("letter").asText()).isEqualTo("-");
        assertThat(areas.get(1)
                        .get("letters")
                        .get(1)
                        .get("layers")
                        .get(0)
                        .get("kind")
                        .asText())
                .isEqualTo("whirl");
        // Three of six blocks: the rows are AB, B- and AB again.
        assertThat(areas.get(1).get("letters").get(1).get("blocks").asInt()).isEqualTo(3);
        assertThat(areas.get(0).get("placements"))
                .anyMatch(p -> p.get("pose").path("faceDown").asBoolean());
        assertThat(areas.get(1).get("lines"))
                .hasSize(plan.area(new AreaId(2)).orElseThrow().lines().size());
        // The circle that arms stop on comes before the first that begins on it.
        List<JsonNode> placements = new ArrayList<>();
        areas.get(0).get("placements").forEach(placements::add);
        int circle = first(placements, p -> p.at("/registration/kind").asText().equals("centre"));
        int onIt = first(placements, p -> p.path("startShownBy").asText().equals("stitching"));
        assertThat(circle).isNotNegative().isLessThan(onIt);
        assertThat(placements.get(onIt).at("/registration/kind").asText()).isEqualTo("hook-over-centre");
        // Shells an eighth and a quarter inside the seam: tape on it, and the template's own line on the rows.
        assertThat(areas.get(1).get("placements").findValuesAsText("kind")).contains("tape-on-back", "crown-line");
    }

    private static int first(List<JsonNode> all, Predicate<JsonNode> wanted) {
        return IntStream.range(0, all.size())
                .filter(i -> wanted.test(all.get(i)))
                .findFirst()
                .orElse(-1);
    }

    /** The packet tells how each ray is found and how the template lies on it; of blocks with a letter one stands for all. */
    @Test
    void thePacketHasMarksRaysAndPlacements() throws Exception {
        WorkPlan plan = Planner.plan(rich());
        byte[] pdf = Packet.format(plan, PaperSize.LETTER);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains("Medallion: marks", "Medallion: rays", "Ray 2 40°")
                    .contains("Medallion: placements", "Arm 12", "The middle of the hook over")
                    .contains("Blocks, letter A: placements", "Block 1 stands for all 2", "Row 1 of shells")
                    .contains("Blocks, letter B: placements", "Whirl, set 1, line 1", "Blocks: letters", "B -")
                    .contains("Arm 1, turned over");
        }
    }
}
