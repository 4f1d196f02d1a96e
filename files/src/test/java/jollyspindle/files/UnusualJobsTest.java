package jollyspindle.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
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
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.files.drawing.PlanSvg;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.Schemas;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.packet.Packet;
import jollyspindle.files.packet.PaperSize;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.ByteArrayInputStream;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import javax.xml.parsers.DocumentBuilderFactory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

/** Packets and drawings of jobs that lack what most have. */
class UnusualJobsTest {

    private static Quilt bare(double side) {
        Quilt quilt = new Quilt(new TreeMap<>(), List.of(), Quilt.Easings.NONE, List.of(), List.of());
        for (Side one : Side.values()) {
            quilt = quilt.with(Dimension.body(one), side);
        }
        return quilt;
    }

    private static QuiltJob with(Area area, AreaMotif motif) {
        return DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .withQuilt(bare(30).withAreas(List.of(area)))
                .with(new AreaId(1), AreaDesign.of(motif, Optional.empty()));
    }

    private static String text(WorkPlan plan) throws Exception {
        try (PDDocument document = Loader.loadPDF(Packet.format(plan, PaperSize.A4))) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        }
    }

    @Test
    void aBlockOrAMedallionWithoutABorderHasItsPacket() throws Exception {
        WorkPlan medallion =
                Planner.plan(with(new Area.Medallion(12), new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0.75)));
        assertThat(medallion.runs()).isEmpty();
        assertThat(text(medallion)).contains("Medallion: rays", "Medallion: placements");
        WorkPlan block = Planner.plan(with(new Area.Blocks(1, 1, 12, 12, 0), new AreaMotif.Crosshatch(1.5, 0.8)));
        assertThat(text(block)).contains("Blocks");
        assertThat(new String(PlanSvg.format(block), java.nio.charset.StandardCharsets.UTF_8))
                .contains("<path ");
    }

    @Test
    void whereThereIsNothingItIsSaidAndNothingFails() {
        WorkPlan nothing = Planner.plan(DemoJob.heronWeir().withQuilt(bare(30)));
        assertThat(Packet.nothingToTake(nothing))
                .hasValueSatisfying(said -> assertThat(said).contains("nothing to take"));
        assertThatThrownBy(() -> Packet.format(nothing, PaperSize.LETTER)).isInstanceOf(FileTrouble.class);
        WorkPlan unmeasured = Planner.plan(DemoJob.heronWeir().withQuilt(Quilt.unmeasured()));
        assertThatThrownBy(() -> PlanSvg.format(unmeasured)).isInstanceOf(FileTrouble.class);
        assertThatThrownBy(() -> Packet.format(unmeasured, PaperSize.A4)).hasMessageContaining("nothing to take");
    }

    // XML 1.0, production 2 (Char): no control characters but tab, line feed and return, no lone surrogates, no U+FFFE.
    @ParameterizedTest
    @ValueSource(strings = {"a\u0007b", "\ud83e\uddf5 thread", "lone \ud83e", "\ufffe", "<&>\"", "\u001b[31mred"})
    void whateverAJobIsCalledItsDrawingIsXml(String name) throws Exception {
        byte[] svg = PlanSvg.format(Planner.plan(DemoJob.heronWeir().withName(name)));
        var title = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg))
                .getElementsByTagName("title")
                .item(0)
                .getTextContent();
        assertThat(title)
                .hasSameSizeAs(name)
                .startsWith(name.substring(0, 1).matches("[a-z<]") ? name.substring(0, 1) : "");
        assertThat(Packet.format(Planner.plan(DemoJob.heronWeir().withName(name)), PaperSize.A4))
                .isNotEmpty();
    }

    /** Strips and areas that keep their numbers when others are taken out keep them in the file, too. */
    @Test
    void whatKeepsItsNumberKeepsItInTheFile() throws Exception {
        Strip sash = new Strip("Sash", Strip.Kind.FREE, new Point(-20, 30), 0, 40, 3, OptionalDouble.empty());
        QuiltJob demo = DemoJob.heronWeir();
        QuiltJob job = demo.withQuilt(demo.quilt()
                        .withStrips(List.of(sash, Strip.PARAMS.with(sash, Strip.NAME, "Other")))
                        .withAreas(List.of(new Area.Blocks(1, 1, 9, 9, 0), new Area.Medallion(15))))
                .with(new AreaId(2), AreaDesign.of(new AreaMotif.Crosshatch(1, Math.PI / 4), Optional.empty()))
                .without(new AreaId(1))
                .withoutStrip(GroupId.strip(1));
        byte[] written = JobFile.format(job, UnknownFields.none());
        QuiltJob read = JobFile.parse(written).job();
        assertThat(read).isEqualTo(job);
        assertThat(read.quilt().areaIds()).containsExactly(new AreaId(2));
        assertThat(read.quilt().stripIds()).containsExactly(GroupId.strip(2));
        assertThat(Schemas.of("job").validate(new ObjectMapper().readTree(written)))
                .isEmpty();
        // Two with one number: the second is given another.
        JsonNode root = new ObjectMapper().readTree(written);
        ArrayNode areas = (ArrayNode) root.at("/quilt/areas");
        areas.add(areas.get(0).deepCopy());
        assertThat(JobFile.parse(new ObjectMapper().writeValueAsBytes(root))
                        .job()
                        .quilt()
                        .areaIds())
                .containsExactly(new AreaId(2), new AreaId(3));
    }
}
