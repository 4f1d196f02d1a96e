package jollyspindle.files.shelf;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.shelf.ClothCheck;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.Schemas;
import jollyspindle.files.json.UnknownFields;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

class ShelfFilesTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonSchema SHELF = Schemas.of("shelf");
    private static final JsonSchema SET = Schemas.of("templates");
    private static final JsonSchema JOB = Schemas.of("job");

    @TempDir
    private java.nio.file.Path folder;

    @Provide
    Arbitrary<Template> templates() {
        List<Template> all = new ArrayList<>(StarterShelf.templates());
        for (Kind kind : Kind.values()) {
            all.add(Template.usual(kind, "usual", "Usual"));
        }
        return Arbitraries.of(all);
    }

    /** Whatever can be on a shelf reads back just the same, in a set and as a job's copy, and follows the schemas. */
    @Property(tries = 200)
    void everyTemplateReadsBackTheSame(
            @ForAll("templates") Template plain,
            @ForAll @DoubleRange(min = 0.6, max = 2) double k,
            @ForAll SizeLabel.Printed printed,
            @ForAll LabelConvention convention,
            @ForAll Material.Tint tint,
            @ForAll boolean retired)
            throws IOException, FileTrouble {
        Template template = plain.resized(plain.form().mainSize() * k)
                .withLabel(new SizeLabel(printed, convention))
                .withGap(retired ? 0 : 0.5625)
                .withLines(List.of(
                        EngravedLine.rise(1.25),
                        EngravedLine.centre(),
                        new EngravedLine(EngravedLine.Kind.SEAM_ALLOWANCE, 0.25, convention),
                        EngravedLine.reference(Math.toRadians(-30))))
                .withMaterial(new Material(0.1875, "cast acrylic", tint))
                .withNotes(retired ? "" : "lent to “Ines”\nsince spring")
                .withCheck(
                        retired
                                ? Optional.of(new ClothCheck(LocalDate.of(2026, 3, 14), 0.245, 3.96))
                                : Optional.empty())
                .withRetired(retired);
        byte[] set = TemplateSetFile.format(List.of(template));
        assertThat(SET.validate(JSON.readTree(set))).isEmpty();
        java.nio.file.Path file = Files.createTempFile("set", TemplateSetFile.SUFFIX);
        Files.write(file, set);
        assertThat(TemplateSetFile.read(file)).containsExactly(template);
        Files.delete(file);
        byte[] job = JobFile.format(DemoJob.heronWeir().withTemplate(template), UnknownFields.none());
        assertThat(JobFile.parse(job).job().template(template.id())).contains(template);
        assertThat(JOB.validate(JSON.readTree(job))).isEmpty();
    }

    @Test
    void anOutlineComesBackExactly() throws Exception {
        // A third of a turn has no short decimal in degrees; what comes back is the same all the same.
        OutlineForm form = OutlineForm.of(
                Path.of(
                        new Arc(Point.ORIGIN, 2, 0.1, 2.0 / 3),
                        new Segment(new Arc(Point.ORIGIN, 2, 0.1, 2.0 / 3).end(), Point.ORIGIN),
                        new Segment(Point.ORIGIN, new Arc(Point.ORIGIN, 2, 0.1, 1).start())),
                true);
        Template template = Template.of("o", "O", form, SizeLabel.RADIUS_AS_CUT, List.of());
        java.nio.file.Path file = folder.resolve("o" + TemplateSetFile.SUFFIX);
        TemplateSetFile.write(file, List.of(template));
        assertThat(TemplateSetFile.read(file)).containsExactly(template);
    }

    @Test
    void theShelfIsKeptWithItsMachineAndWhatIsUnknown() throws Exception {
        ShelfFile.Opened first = ShelfFile.read(folder);
        assertThat(first.shelf()).as("none there yet").isEqualTo(Shelf.starter());
        Machine measured = Machine.usual()
                .withFootType(Machine.FootType.HIGH_SHANK)
                .withMeasured(List.of(
                        new FootMeasurement.InHole(2.75, 2.25),
                        new FootMeasurement.RoundDisc(2, 2.5),
                        new FootMeasurement.AlongEdge(0.26)));
        java.nio.file.Path inner = folder.resolve("made/for/it");
        ShelfFile.write(inner, first.shelf().withMachine(measured), first.unknown());
        java.nio.file.Path file = inner.resolve(ShelfFile.NAME);
        assertThat(SHELF.validate(JSON.readTree(file.toFile()))).isEmpty();
        ObjectNode root = (ObjectNode) JSON.readTree(file.toFile());
        root.put("colour", "calm");
        ((ObjectNode) root.withArray("templates").get(1)).put("shelf", "upper");
        Files.writeString(file, root.toString());
        ShelfFile.Opened opened = ShelfFile.read(inner);
        assertThat(opened.shelf().machine()).isEqualTo(measured);
        ShelfFile.write(inner, opened.shelf(), opened.unknown());
        assertThat(Files.readString(file)).contains("\"colour\" : \"calm\"", "\"shelf\" : \"upper\"");
        assertThat(inner.resolve(ShelfFile.NAME + ".1.bak"))
                .as("the version before")
                .exists();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"version\" : 1 | \"version\" : 3 | newer Jolly Spindle (file version 3; this one reads up to 1)",
                "jolly-spindle-shelf | jolly-spindle-job | isn't a Jolly Spindle shelf",
                "\"orchard-hill\" | \"mill-bridge\" | two templates have the id",
                "\"cutting\" : \"holes\" | \"cutting\" : \"stars\" | holes, discs, ring, nest",
                "\"figure\" : \"wave\" | \"figure\" : \"comet\" | wave, spiral, petal",
                "\"bumps\" : 5 | \"bumps\" : 0 | isn't between 1 and 40",
                "\"bumps\" : 5 | \"bumps\" : 2.5 | isn't a whole one",
                "\"slotWidth\" : 0.515 | \"slotWidth\" : \"wide\" | there should be a number",
                "\"height\" : 1.5 | \"height\" : 3.5 | at most half its module high",
                "\"window\" : false | \"window\" : 7 | true or false",
                "\"thickness\" : 0.25 | \"thickness\" : 9 | material › thickness",
                "\"footRadius\" : 0.25 | \"footRadius\" : 3 | machine › footRadius",
            })
    void aShelfThatCantBeReadSaysWhere(String old, String wrong, String said) throws Exception {
        ShelfFile.write(folder, Shelf.starter(), UnknownFields.none());
        java.nio.file.Path file = folder.resolve(ShelfFile.NAME);
        String text = Files.readString(file);
        assertThat(text).contains(old);
        Files.writeString(file, text.replace(old, wrong));
        assertThatThrownBy(() -> ShelfFile.read(folder))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining("“shelf.json” can't be opened")
                .hasMessageContaining(said);
    }

    @Test
    void aSetIsNoJobAndNoFolder() throws Exception {
        java.nio.file.Path job = folder.resolve("a" + JobFile.SUFFIX);
        JobFile.write(job, DemoJob.heronWeir(), UnknownFields.none());
        assertThatThrownBy(() -> TemplateSetFile.read(job))
                .hasMessageContaining("isn't a Jolly Spindle set of templates");
        assertThatThrownBy(() -> TemplateSetFile.read(folder)).hasMessageContaining("ends in .templates.json");
        java.nio.file.Path file = folder.resolve("b");
        Files.write(file, "{}".getBytes(StandardCharsets.UTF_8));
        assertThatThrownBy(() -> TemplateSetFile.read(file)).hasMessageContaining("“b” can't be opened");
        java.nio.file.Path blocked = folder.resolve("b/under");
        assertThatThrownBy(() -> ShelfFile.write(blocked, Shelf.starter(), UnknownFields.none()))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining("can't be made");
    }
}
