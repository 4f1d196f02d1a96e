package jollyspindle.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.demo.DemoRings;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.motif.Preset;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.Gallery;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.Recipe;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.words.MotifWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.drawing.PlanSvg;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.Schemas;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.packet.Packet;
import jollyspindle.files.packet.PaperSize;
import jollyspindle.files.recipe.RecipeFile;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

/** Jobs of every motif and corner: kept in files, drawn, printed. */
class DesignsTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final GroupId INNER = GroupId.border(1);

    private static QuiltJob with(Preset preset) {
        QuiltJob job = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        return job.editing(INNER, l -> Gallery.adopted(job, l, RunId.of(Side.TOP), preset, 0));
    }

    /** Everything a design can say, in one. */
    private static QuiltJob rich() {
        Layer arcs = Layer.of(
                        new Motif.Arcs(Motif.Inner.PARALLEL, 3, 0.75, List.of(1.5, 0.5), Optional.of("low-dune"), 3))
                .withTemplate(Optional.of("orchard-hill"), Optional.of("bulging"));
        Layer hatch = Layer.of(new Motif.Crosshatch(0.5, Math.toRadians(30), true, true))
                .with(Layer.Edge.OUTSIDE)
                .with(Layer.Space.BETWEEN)
                .with(Layer.Cells.EVEN);
        CornerDesign corner = new CornerDesign(
                CornerDesign.Kind.MITRE_ARC,
                Optional.of("low-dune"),
                Optional.of("bulging"),
                OptionalDouble.of(2.5),
                3,
                OptionalDouble.of(1.5),
                List.of(8.0, 7.875, 8.125, 8.0),
                true,
                CornerAsk.ODD,
                CornerDesign.Closing.ARC);
        return DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .editing(
                        INNER,
                        l -> l.with(new Design(
                                List.of(arcs, hatch),
                                Map.of(Side.LEFT, List.of(hatch)),
                                corner,
                                Map.of(Side.TOP, CornerDesign.of(CornerDesign.Kind.TURNED)))));
    }

    static Stream<Arguments> jobs() {
        return Stream.concat(
                Stream.concat(
                        DemoRings.all().entrySet().stream().map(e -> Arguments.of(e.getKey(), e.getValue())),
                        Preset.all().stream().map(p -> Arguments.of(p.code(), with(p)))),
                Stream.of(Arguments.of("rich", rich())));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("jobs")
    void readsBackIsDrawnAndPrinted(String name, QuiltJob job) throws Exception {
        byte[] written = JobFile.format(job, UnknownFields.none());
        assertThat(JobFile.parse(written).job()).isEqualTo(job);
        JsonNode tree = JSON.readTree(written);
        assertThat(Schemas.of("job").validate(tree)).isEmpty();
        WorkPlan plan = Planner.plan(job);
        String svg = new String(PlanSvg.format(plan), StandardCharsets.UTF_8);
        assertThat(svg.split("<path ", -1)).hasSize(plan.lines().size() + 1);
        try (PDDocument document = Loader.loadPDF(Packet.format(plan, PaperSize.LETTER))) {
            String text = new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
            assertThat(text).contains("One repeat at true size: ");
            for (RunPlan run : plan.runs()) {
                for (Placement placement : plan.placements(run.id())) {
                    assertThat(text).contains(MotifWords.name(placement.of()));
                }
                run.laidOut().marks().stream()
                        .filter(m -> m.by() == Mark.MarkedBy.CHALK)
                        .forEach(m -> assertThat(text)
                                .contains(Words.fromEnd(m.readings().fromLeft())));
            }
        }
    }

    /** A recipe goes on a quilt of another size and a strip, and brings its templates. */
    @ParameterizedTest(name = "{0}")
    @MethodSource("jobs")
    void recipesAreUsedOnOtherQuilts(String name, QuiltJob job, @TempDir Path folder) throws Exception {
        Recipe recipe = Recipe.of(Planner.plan(job), INNER, name);
        Path file = folder.resolve("mine" + RecipeFile.SUFFIX);
        RecipeFile.write(file, recipe);
        assertThat(Schemas.of("recipe").validate(JSON.readTree(Files.readAllBytes(file))))
                .isEmpty();
        Recipe read = RecipeFile.read(file);
        assertThat(read).isEqualTo(recipe);
        QuiltJob other = DemoJob.heronWeir()
                .withTemplates(List.of())
                .withQuilt(DemoJob.heronWeir()
                        .quilt()
                        .with(Dimension.BODY_TOP, 54)
                        .with(Dimension.BODY_BOTTOM, 54)
                        .without(Dimension.DIAGONAL_DOWN)
                        .without(Dimension.DIAGONAL_UP)
                        .withStrips(List.of(new Strip(
                                "Sash", Strip.Kind.SASHING, new Point(-20, 0), 0, 40, 7, OptionalDouble.empty()))));
        WorkPlan plan = Planner.plan(read.appliedTo(read.appliedTo(other, INNER), GroupId.strip(1)));
        assertThat(plan.run(Side.TOP).orElseThrow().laidOut().lines()).isNotEmpty();
        assertThat(plan.run(RunId.strip(1)).orElseThrow().laidOut().lines()).isNotEmpty();
        assertThat(plan.findings()).noneMatch(f -> f.code().equals("no-template"));
    }

    @Test
    void theDemosRingsHaveNoProblems() {
        DemoRings.all().forEach((name, job) -> assertThat(
                        Planner.plan(job).findings().stream().filter(f -> f.severity() == Finding.Severity.PROBLEM))
                .as(name)
                .isEmpty());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"inner\" : \"parallel\" | \"inner\" : \"askew\" | lowered, shifted, parallel",
                "\"lines\" : 3 | \"lines\" : 99 | between 1 and 24",
                "\"step\" : 0.75 | \"step\" : 0.01 | step",
                "\"motif\" : \"arcs\" | \"motif\" : \"waves\" | Known are: arcs, facing-arcs",
                "\"space\" : \"between\" | \"space\" : \"beside\" | all, inside, above, overlaps, between",
                "\"kind\" : \"mitre-arc\" | \"kind\" : \"knot\" | plain, mitre-arc",
                "\"feet\" : 2.5 | \"feet\" : 0 | feet",
                "\"rises\" : [ 1.5, 0.5 ] | \"rises\" : [ 0.5, 1.5 ] | less and less",
                "\"angleDegrees\" : 30.0 | \"angleDegrees\" : 3 | between 10 and 170",
                "\"curved\" : true | \"curved\" : 1 | true or false",
                "\"passes\" : 3 | \"passes\" : 9 | between 1 and 3",
            })
    void refusesWhatCantBeStitched(String was, String now, String said) {
        String text = new String(JobFile.format(rich(), UnknownFields.none()), StandardCharsets.UTF_8);
        assertThat(text).contains(was);
        assertThatThrownBy(() -> JobFile.parse(text.replace(was, now).getBytes(StandardCharsets.UTF_8)))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining(said);
    }
}
