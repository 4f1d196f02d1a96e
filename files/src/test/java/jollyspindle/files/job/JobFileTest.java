package jollyspindle.files.job;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Counts;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.form.ArcForm;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.Rich;
import jollyspindle.files.json.Schemas;
import jollyspindle.files.json.UnknownFields;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.NotBlank;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

class JobFileTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final JsonSchema SCHEMA = Schemas.of("job");

    /** The demo with templates it doesn't use besides the one it does. */
    private static final QuiltJob DEMO = DemoJob.heronWeir()
            .withTemplate(StarterShelf.template("mill-bridge"))
            .withTemplate(StarterShelf.template("quiet-cove").withRetired(true));

    private static String demo() {
        return new String(JobFile.format(DEMO, UnknownFields.none()), StandardCharsets.UTF_8);
    }

    @Test
    void moreLinesThanCanBePlannedAreRefused() throws Exception {
        QuiltJob few = DemoJob.heronWeir()
                .withTemplates(StarterShelf.templates())
                .withQuilt(DemoJob.heronWeir().quilt().withAreas(List.of(new Area.Blocks(30, 40, 2, 2, 0))))
                .with(new AreaId(1), AreaDesign.of(new AreaMotif.Crosshatch(1.0 / 16, Math.PI / 4), Optional.empty()));
        String text = new String(JobFile.format(few, UnknownFields.none()), StandardCharsets.UTF_8);
        assertThat(parse(text).job()).isEqualTo(few);
        assertThatThrownBy(() -> parse(text.replace("\"columns\" : 30", "\"columns\" : 90")))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining("areaDesigns")
                .hasMessageContaining("that would be some 330,000 lines, and more than 200,000 can't be planned");
    }

    private static JobFile.Opened parse(String text) throws FileTrouble {
        return JobFile.parse(text.getBytes(StandardCharsets.UTF_8));
    }

    @Property(tries = 200)
    void whatIsWrittenReadsBackTheSameAndFollowsTheSchema(
            @ForAll @NotBlank @StringLength(max = 40) String name,
            @ForAll TapeScale tape,
            @ForAll Corners corners,
            @ForAll @DoubleRange(min = 10, max = 120) double across,
            @ForAll @DoubleRange(min = 10, max = 120) double down,
            @ForAll @DoubleRange(min = 0.75, max = 9) double depth,
            @ForAll @DoubleRange(min = 0.01, max = 0.5) double foot,
            @ForAll @DoubleRange(min = 0.5, max = 60) double wanted,
            @ForAll @DoubleRange(min = 1, max = 180) double sweep,
            @ForAll ArcEdge edge,
            @ForAll LabelConvention label,
            @ForAll @IntRange(min = 0, max = 400) int count)
            throws FileTrouble, IOException {
        Quilt quilt = Quilt.unmeasured().with(corners);
        for (Side side : Side.values()) {
            quilt = quilt.with(Dimension.body(side), side.isAcross() ? across : down)
                    .with(Dimension.depth(side), depth);
        }
        Optional<Counts> counts = count == 0 ? Optional.empty() : Optional.of(new Counts(count, 401 - count));
        QuiltJob job = new QuiltJob(
                name.strip().isEmpty() ? "x" : name.strip(),
                tape,
                new Machine(foot),
                quilt,
                List.of(StarterShelf.template("mill-bridge")
                        .withForm(
                                edge == ArcEdge.CONVEX
                                        ? ArcForm.bulging(5.5, Math.toRadians(Math.rint(sweep)), 3)
                                        : ArcForm.hollow(5.5, Math.toRadians(Math.rint(sweep)), 3))
                        .withLabel(new SizeLabel(SizeLabel.Printed.RADIUS, label))),
                RunLayout.of(Optional.of("mill-bridge"), wanted)
                        .withTemplate(
                                "mill-bridge", edge == ArcEdge.CONVEX ? Optional.empty() : Optional.of("hollow")));
        job = counts.isPresent() ? job.withCounts(counts.get()) : job;
        byte[] written = JobFile.format(job, UnknownFields.none());
        assertThat(JobFile.parse(written).job()).isEqualTo(job);
        assertThat(SCHEMA.validate(JSON.readTree(written))).isEmpty();
    }

    @Test
    void unmeasuredJobsReadBackToo() throws FileTrouble, IOException {
        QuiltJob job = new QuiltJob(
                "Bare",
                TapeScale.EIGHTHS,
                Machine.usual(),
                Quilt.unmeasured(),
                List.of(),
                RunLayout.of(Optional.empty(), 6));
        byte[] written = JobFile.format(job, UnknownFields.none());
        assertThat(JobFile.parse(written).job()).isEqualTo(job);
        assertThat(SCHEMA.validate(JSON.readTree(written))).isEmpty();
    }

    @Test
    void keepsWhatItDoesntKnow() throws FileTrouble, IOException {
        ObjectNode root = (ObjectNode) JSON.readTree(demo());
        root.put("mood", "calm");
        root.withObject("/quilt").put("batting", "wool");
        ((ObjectNode) root.withArray("/templates").get(1)).putObject("lent").put("to", "Ines");
        ((ObjectNode) root.withArray("/templates").get(2)).put("lost", true);
        JobFile.Opened opened = parse(root.toString());
        QuiltJob without = opened.job()
                .withTemplates(opened.job().templates().subList(0, 2))
                .withName("Other");
        ObjectNode again = (ObjectNode) JSON.readTree(JobFile.format(without, opened.unknown()));
        assertThat(again.path("mood").asText()).isEqualTo("calm");
        assertThat(again.path("name").asText()).isEqualTo("Other");
        assertThat(again.path("quilt").path("batting").asText()).isEqualTo("wool");
        assertThat(again.path("templates").get(1).path("lent").path("to").asText())
                .isEqualTo("Ines");
        assertThat(again.path("templates")).hasSize(2);
        // Opened twice more, nothing more is gained or lost.
        JobFile.Opened twice = parse(again.toString());
        assertThat(JSON.readTree(JobFile.format(twice.job(), twice.unknown()))).isEqualTo(again);
    }

    @Test
    void jobsOfTheFirstVersionAreUpgraded() throws Exception {
        Path old = Path.of("src/test/resources/jollyspindle/files/job/version-1.spindle.json");
        JobFile.Opened opened = JobFile.read(old);
        // The same quilt, plate for plate, edge for edge.
        assertThat(opened.job())
                .isEqualTo(DemoJob.heronWeir()
                        .withTemplates(List.of())
                        .withTemplate(StarterShelf.template("orchard-hill")
                                .withForm(ArcForm.bulging(4, Math.toRadians(150), 4)))
                        .withTemplate(StarterShelf.template("quiet-cove")
                                .withMaterial(new Material(0.125, "acrylic", Material.Tint.AMBER))));
        ObjectNode again = (ObjectNode) JSON.readTree(JobFile.format(opened.job(), opened.unknown()));
        assertThat(again.path("templates").get(0).path("lent").asText()).isEqualTo("to Ines");
        assertThat(again.path("templates").get(0).has("edge")).isFalse();
        assertThat(SCHEMA.validate(again)).isEmpty();
        String text = Files.readString(old);
        assertThatThrownBy(() -> parse(text.replace("\"radius\" : 4.0", "\"radius\" : 400")))
                .hasMessageContaining("bulging");
        assertThatThrownBy(() -> parse(text.replace("\"radius\" : 4.0,", ""))).hasMessageContaining("form");
    }

    @Test
    void jobsOfTheSecondVersionAreUpgraded() throws Exception {
        JobFile.Opened opened =
                JobFile.read(Path.of("src/test/resources/jollyspindle/files/job/version-2.spindle.json"));
        assertThat(opened.job()).isEqualTo(DemoJob.heronWeir().withCounts(new Counts(10, 12)));
        ObjectNode again = (ObjectNode) JSON.readTree(JobFile.format(opened.job(), opened.unknown()));
        assertThat(again.path("quilt").path("batting").asText()).isEqualTo("wool");
        assertThat(again.path("layouts").get(0).path("mood").asText()).isEqualTo("calm");
        assertThat(SCHEMA.validate(again)).isEmpty();
    }

    @Test
    void jobsOfTheThirdVersionAreUpgraded() throws Exception {
        JobFile.Opened opened =
                JobFile.read(Path.of("src/test/resources/jollyspindle/files/job/version-3.spindle.json"));
        assertThat(opened.job())
                .isEqualTo(DemoJob.heronWeir()
                        .editing(GroupId.border(1), l -> l.withTemplate("orchard-hill", Optional.of("bulging"))));
        ObjectNode again = (ObjectNode) JSON.readTree(JobFile.format(opened.job(), opened.unknown()));
        assertThat(again.path("layouts").get(0).path("mood").asText()).isEqualTo("calm");
        assertThat(again.path("layouts")
                        .get(0)
                        .path("layers")
                        .get(0)
                        .path("motif")
                        .asText())
                .isEqualTo("arcs");
        assertThat(SCHEMA.validate(again)).isEmpty();
    }

    @Test
    void everythingAJobCanHoldReadsBack() throws Exception {
        byte[] written = JobFile.format(Rich.job(), UnknownFields.none());
        assertThat(JobFile.parse(written).job()).isEqualTo(Rich.job());
        assertThat(SCHEMA.validate(JSON.readTree(written))).isEmpty();
        String text = new String(written, StandardCharsets.UTF_8);
        Map.ofEntries(
                        Map.entry("\"id\" : \"border-3\",\n    \"layers\"", "\"id\" : \"border-9\",\n    \"layers\""),
                        Map.entry("\"school\" : \"by-hand\"", "\"school\" : \"by-ear\""),
                        Map.entry("\"ratio\" : \"double\"", "\"ratio\" : \"triple\""),
                        Map.entry("\"shortest\" : 5.0", "\"shortest\" : 9.0"),
                        Map.entry("\"valley\" : 7", "\"valley\" : 12"),
                        Map.entry("\"id\" : \"border-3-left\"", "\"id\" : \"left\""),
                        Map.entry("\"stretchUnseen\" : 0.25", "\"stretchUnseen\" : 25"),
                        Map.entry("\"to\" : 1", "\"to\" : 3"),
                        Map.entry("\"columns\" : 4", "\"columns\" : 0"),
                        Map.entry("\"name\" : \"Sash\"", "\"name\" : \" \""),
                        Map.entry("\"innerSeam\"", "\"clearance\""))
                .forEach((was, now) -> assertThatThrownBy(() -> parse(text.replace(was, now)))
                        .as(now)
                        .isInstanceOf(FileTrouble.class)
                        .satisfies(e -> assertThat(text).contains(was)));
    }

    static Stream<Arguments> wrongFiles() {
        String demo = demo();
        return Stream.of(
                Arguments.of("", "empty"),
                Arguments.of("   \n", "empty"),
                Arguments.of(demo.substring(0, demo.length() / 2), "ends too early, in line"),
                Arguments.of("{", "ends too early"),
                Arguments.of("hello", "line 1, column"),
                Arguments.of("[1, 2]", "isn't a Jolly Spindle job"),
                Arguments.of("null", "isn't a Jolly Spindle job"),
                Arguments.of("{\"format\": \"recipe\"}", "isn't a Jolly Spindle job"),
                Arguments.of(demo.replace("\"version\" : 4", "\"version\" : 7"), "newer Jolly Spindle"),
                Arguments.of(demo.replace("\"version\" : 4", "\"version\" : 0"), "“version”"),
                Arguments.of(demo.replace("\"version\" : 4", "\"version\" : 1.5"), "“version”"),
                Arguments.of(demo.replace("71.625", "NaN"), "line"),
                Arguments.of(demo.replace("71.625", "1e999"), "quilt › body › top"),
                Arguments.of(demo.replace("71.625", "-3"), "quilt › body › top"),
                Arguments.of(demo.replace("71.625", "0"), "quilt › body › top"),
                Arguments.of(demo.replace("71.625", "201"), "quilt › body › top"),
                Arguments.of(demo.replace("71.625", "\"71 5/8\""), "there should be a number"),
                Arguments.of(demo.replace("71.625", "[71.625]"), "there is a list"),
                Arguments.of(demo.replace("71.625", "5"), "less than the border's depth"),
                Arguments.of(demo.replace("71.625", "1" + "0".repeat(200)), "quilt › body › top"),
                Arguments.of(demo.replace("71.625", "1" + "0".repeat(5000)), "line 12"),
                Arguments.of(demo.replace("\"mitred\"", "\"round\""), "mitred, cornerstones"),
                Arguments.of(demo.replace("\"Heron Weir\"", "\"\""), "“name”"),
                Arguments.of(demo.replace("\"Heron Weir\"", "\"" + "x".repeat(100) + "\""), "“name”"),
                Arguments.of(demo.replace("\"Heron Weir\"", "\"" + "x".repeat(100_000) + "\""), "too long"),
                Arguments.of(demo.replace("\"Heron Weir\"", "true"), "there should be a text"),
                Arguments.of(demo.replace("\"name\" : \"Heron Weir\",", ""), "missing"),
                Arguments.of(demo.replace("\"mill-bridge\"", "\"orchard-hill\""), "two templates"),
                Arguments.of(demo.replace("\"mill-bridge\"", "\"../etc\""), "lower-case letters"),
                Arguments.of(demo.replace("\"kind\" : \"arc\"", "\"kind\" : \"star\""), "Known are: arc, circle"),
                Arguments.of(demo.replace("\"bulging\" : 4.0", "\"legs\" : 1"), "a bulging or a hollow edge"),
                Arguments.of(demo.replace("\"bulging\" : 4.0", "\"bulging\" : 400"), "form › bulging"),
                Arguments.of(demo.replace("\"kind\" : \"rise\"", "\"kind\" : \"slope\""), "rise, parallel"),
                Arguments.of(demo.replace("\"tint\" : \"amber\"", "\"tint\" : \"plaid\""), "clear, amber"),
                Arguments.of(
                        demo.replace("\"footType\"", "\"measured\" : [{\"how\" : \"by-eye\"}], \"footType\""),
                        "in-hole, round-disc, along-edge"),
                Arguments.of(
                        demo.replace(
                                "\"footType\"",
                                "\"measured\" : [{\"how\" : \"in-hole\", \"hole\" : 1, \"stitched\" : 2}], \"footType\""),
                        "no foot that can be"),
                Arguments.of(
                        demo.replace(
                                "\"retired\" : true",
                                "\"checked\" : {\"date\" : \"soon\", \"footRadius\" : 0.2, \"measured\" : 4}"),
                        "isn't a date"),
                Arguments.of(demo.replace("\"retired\" : true", "\"retired\" : 1"), "true or false"),
                Arguments.of(demo.replace("0.245", "0.9"), "machine › footRadius"),
                Arguments.of(demo.replace("152.0", "200"), "templates › orchard-hill › form › usableSweepDegrees"),
                Arguments.of(demo.replace("\"machine\" :", "\"name\" : \"twice\", \"machine\" :"), "line"),
                Arguments.of(demo + "{}", "line"),
                Arguments.of("{\"a\":".repeat(5000), "nested too deeply"),
                Arguments.of("[".repeat(100_000), "nested too deeply"),
                Arguments.of(
                        demo.replace("\"templates\" : [", "\"templates\" : [" + "{},".repeat(600)), "at most 500"));
    }

    @ParameterizedTest
    @MethodSource("wrongFiles")
    void refusesWrongFilesAndNamesThePlace(String text, String said) {
        assertThatThrownBy(() -> parse(text)).isInstanceOf(FileTrouble.class).satisfies(e -> assertThat(e.getMessage())
                .contains(said)
                .doesNotContain("jollyspindle.", "com.fasterxml", "Exception")
                .hasSizeLessThan(400));
    }

    @Test
    void readsAFileWithAByteOrderMarkAndRefusesOneThatIsNoText() throws FileTrouble {
        assertThat(parse("\ufeff" + demo()).job()).isEqualTo(DEMO);
        byte[] bytes = demo().getBytes(StandardCharsets.UTF_8);
        bytes[40] = (byte) 0xff;
        assertThatThrownBy(() -> JobFile.parse(bytes)).hasMessageContaining("no text");
    }

    @Property(tries = 300)
    void noTruncatedOrSpoiltFileGivesAnythingButTrouble(
            @ForAll @IntRange(max = 2000) int at, @ForAll @IntRange(min = -128, max = 127) int spoilt) {
        byte[] bytes = demo().getBytes(StandardCharsets.UTF_8);
        int place = at % bytes.length;
        byte[] changed = bytes.clone();
        changed[place] = (byte) spoilt;
        for (byte[] content : List.of(Arrays.copyOf(bytes, place), changed)) {
            try {
                JobFile.parse(content);
            } catch (FileTrouble e) {
                assertThat(e.getMessage()).isNotBlank();
            }
        }
    }

    @Test
    void refusesWhatIsTooBigMissingOrAFolder(@TempDir Path folder) throws IOException {
        Path big = folder.resolve("big.spindle.json");
        Files.writeString(big, " ".repeat(50 << 20));
        assertThatThrownBy(() -> JobFile.read(big)).hasMessageContaining("“big.spindle.json” is too big");
        assertThatThrownBy(() -> JobFile.read(folder.resolve("none.spindle.json")))
                .hasMessageContaining("isn't there");
        assertThatThrownBy(() -> JobFile.read(folder)).hasMessageContaining("is a folder");
        assertThatThrownBy(() -> JobFile.write(
                        folder.resolve("no/such/folder.spindle.json"), DemoJob.heronWeir(), UnknownFields.none()))
                .isInstanceOf(FileTrouble.class)
                .hasMessageContaining("Choose another folder");
    }

    @Test
    void savesWholeAndKeepsTheLastVersions(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("heron.spindle.json");
        for (int i = 0; i <= 5; i++) {
            JobFile.write(file, DemoJob.heronWeir().withName("Version " + i), UnknownFields.none());
            JobFile.write(file, DemoJob.heronWeir().withName("Version " + i), UnknownFields.none());
        }
        assertThat(JobFile.read(file).job().name()).isEqualTo("Version 5");
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.map(p -> p.getFileName().toString()))
                    .containsExactlyInAnyOrder(
                            "heron.spindle.json",
                            "heron.spindle.json.1.bak",
                            "heron.spindle.json.2.bak",
                            "heron.spindle.json.3.bak");
        }
        assertThat(JobFile.read(folder.resolve("heron.spindle.json.3.bak"))
                        .job()
                        .name())
                .isEqualTo("Version 2");
    }
}
