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
import jollyspindle.core.shelf.StarterShelf;
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
import java.util.List;
import java.util.Optional;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

/** What is stitched in areas, in files and in the plan for other programs. */
class AreaDesignsTest {

    private static final ObjectMapper JSON = new ObjectMapper();

    private static QuiltJob rich() {
        QuiltJob demo = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        return demo.withQuilt(demo.quilt()
                        .withAreas(List.of(
                                new Area.Medallion(14),
                                new Area.Blocks(2, 3, 9, 9, 1.5),
                                new Area.Applique(new Area.Ellipse(new Point(9, -3), 5, 3, Math.toRadians(30)), 0.25),
                                new Area.Applique(
                                        new Area.Corners(List.of(new Point(0, 0), new Point(2, 0), new Point(1, 2))),
                                        0))))
                .with(
                        new AreaId(1),
                        new AreaDesign(List.of(
                                new AreaDesign.Layer(
                                        new AreaMotif.Arms(12, AreaMotif.Way.ALONG_EDGE, 0.75),
                                        Optional.of("willow-arm")),
                                new AreaDesign.Layer(
                                        new AreaMotif.Rings(2, 0.5, 3, AreaMotif.Spokes.FOUR), Optional.empty()))))
                .with(
                        new AreaId(2),
                        new AreaDesign(List.of(
                                new AreaDesign.Layer(new AreaMotif.Clamshells(0.25), Optional.of("thatch-middle")),
                                new AreaDesign.Layer(new AreaMotif.Peel(3, 4), Optional.of("orchard-hill")),
                                new AreaDesign.Layer(
                                        new AreaMotif.Crosshatch(0.75, Math.toRadians(50)), Optional.empty()),
                                new AreaDesign.Layer(new AreaMotif.Quarters(0.25, 0.5), Optional.empty()))));
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
        "area, \"area-2\", \"area-9\"",
        "motif, \"peel\", \"banana\"",
        "angleDegrees, 50.0, 5.0",
        "spokes, \"four\", \"five\""
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
    void thePlanForOtherProgramsHasThem() throws Exception {
        WorkPlan plan = Planner.plan(rich());
        JsonNode areas = JSON.readTree(PlanJson.format(plan)).get("areas");
        assertThat(areas).hasSize(2);
        assertThat(areas.get(0).get("name").asText()).isEqualTo("Medallion");
        assertThat(areas.get(0).get("rays")).hasSize(12);
        assertThat(areas.get(0).get("rays").get(1).get("found").asText()).isEqualTo("stepped");
        assertThat(areas.get(1).get("pieces").asInt()).isEqualTo(6);
        assertThat(areas.get(1).get("lines"))
                .hasSize(plan.area(new AreaId(2)).orElseThrow().lines().size());
        assertThat(areas.get(0)
                        .get("placements")
                        .get(0)
                        .get("registration")
                        .get("kind")
                        .asText())
                .isEqualTo("hook-on-centre");
    }

    /** The packet tells how each ray is found and how the template lies on it; of six blocks the first stands for all. */
    @Test
    void thePacketHasMarksRaysAndPlacements() throws Exception {
        WorkPlan plan = Planner.plan(rich());
        byte[] pdf = Packet.format(plan, PaperSize.LETTER);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text)
                    .contains("Medallion: marks", "Medallion: rays", "Ray 4 90° In the middle of the right")
                    .contains("Medallion: placements", "Arm 12", "The hook against the foot over")
                    .contains("Blocks: placements", "This is the first of 6 blocks", "Row 1 of shells");
        }
    }
}
