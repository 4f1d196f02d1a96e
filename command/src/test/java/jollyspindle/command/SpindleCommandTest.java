package jollyspindle.command;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.division.Counts;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import picocli.CommandLine;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

class SpindleCommandTest {

    /** What a command left behind. */
    private record Done(int status, String out, String err) {}

    @TempDir
    private Path folder;

    private Path job;

    @BeforeEach
    void writeJob() throws Exception {
        job = folder.resolve("heron.spindle.json");
        JobFile.write(job, DemoJob.heronWeir(), UnknownFields.none());
    }

    private static Done run(String... words) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        CommandLine line = SpindleCommand.commandLine();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(err, true));
        int status = line.execute(words);
        return new Done(status, out.toString(), err.toString());
    }

    private Path save(QuiltJob changed) throws Exception {
        Path file = folder.resolve("changed.spindle.json");
        JobFile.write(file, changed, UnknownFields.none());
        return file;
    }

    @Test
    void plansAJob() throws Exception {
        Done done = run("plan", job.toString());
        assertThat(done.status()).isZero();
        assertThat(done.err()).isEmpty();
        assertThat(done.out())
                .contains("Heron Weir", "10 across, 12 down", "Left border:", "stitched: arcs", "44 lines");
        JsonNode plan = new ObjectMapper()
                .readTree(run("plan", job.toString(), "--json").out());
        assertThat(plan.path("runs")).hasSize(4);
    }

    /** What is stitched in the middle is told letter by letter, with what all blocks of a letter take. */
    @Test
    void tellsOfTheMiddle() throws Exception {
        QuiltJob job = DemoJob.heronWeir().withTemplates(StarterShelf.templates());
        AreaDesign.Part whirl =
                new AreaDesign.Part(List.of(new AreaDesign.Layer(new AreaMotif.Whirl(3, 0.5, 8), Optional.empty())));
        AreaDesign.Part shells = new AreaDesign.Part(
                List.of(new AreaDesign.Layer(new AreaMotif.Clamshells(0), Optional.of("thatch-large"))));
        job = job.withQuilt(job.quilt().withAreas(List.of(new Area.Blocks(2, 2, 12, 12, 14))))
                .with(new AreaId(1), new AreaDesign(List.of(whirl, shells), List.of("AB", "BA")));
        assertThat(run("plan", save(job).toString()).out())
                .contains("Blocks, letter A: a whirl of 8 sets, 3 lines each, 1/2 apart; 2 blocks: 48 lines")
                .contains("  with Furrow Long; ", " marks to make")
                .contains("Blocks, letter B: rows of clamshells; 2 blocks: 16 lines")
                .contains("  with Thatch Large; ", "  Shells rise 1 1/2 with this foot: 4 to a row, 8 rows");
    }

    @Test
    void picturesTheQuiltAsItWillLook() throws Exception {
        Path picture = folder.resolve("look.png");
        Done done = run("picture", job.toString(), "-o", picture.toString(), "--width", "240", "--region", "top");
        assertThat(done.status()).isZero();
        assertThat(Files.readAllBytes(picture)).startsWith(0x89, 'P', 'N', 'G');
        assertThat(run("picture", job.toString(), "-o", picture.toString(), "--region", "attic")
                        .err())
                .contains("There is no “attic” on this quilt. There are: body, top, right, bottom, left.");
        assertThat(run("picture", job.toString(), "-o", picture.toString(), "--width", "12")
                        .err())
                .contains("A picture 12 pixels wide can't be had: 100 to 6000 are possible.");
        String damaged = Files.readString(job).replaceFirst("\\{", "{\"look\": {\"loft\": \"feather\"},");
        Files.writeString(job, damaged);
        Done told = run("picture", job.toString(), "-o", picture.toString());
        assertThat(told.status()).isZero();
        assertThat(told.err()).contains("look › loft", "thin, medium, lofty", "It is as usual instead.");
    }

    @Test
    void writesPacketAndDrawing() throws Exception {
        Path pdf = folder.resolve("p.pdf");
        assertThat(run("packet", job.toString(), "-o", pdf.toString(), "--paper", "letter")
                        .status())
                .isZero();
        assertThat(new String(Files.readAllBytes(pdf), 0, 5, "US-ASCII")).isEqualTo("%PDF-");
        Path svg = folder.resolve("d.svg");
        assertThat(run("svg", job.toString(), "--output", svg.toString()).status())
                .isZero();
        assertThat(Files.readString(svg)).contains("<svg");
        Done nowhere =
                run("svg", job.toString(), "-o", folder.resolve("no/where.svg").toString());
        assertThat(nowhere.status()).isEqualTo(1);
        assertThat(nowhere.err()).contains("can't be written");
    }

    @Test
    void saysOnStandardErrorWhatIsWrongWithAJob() throws Exception {
        Done wide = run(
                "plan", save(DemoJob.heronWeir().withCounts(new Counts(5, 12))).toString());
        assertThat(wide.status()).isEqualTo(1);
        assertThat(wide.err()).contains("Top border", "wider than this template can span");
        Done gone = run("plan", folder.resolve("gone.spindle.json").toString());
        assertThat(gone.status()).isEqualTo(1);
        assertThat(gone.err()).contains("isn't there").doesNotContain("Exception", "Usage");
        Files.writeString(job, "{\"format\":");
        Done broken =
                run("packet", job.toString(), "-o", folder.resolve("x.pdf").toString());
        assertThat(broken.status()).isEqualTo(1);
        assertThat(broken.err()).contains("ends too early, in line 1");
        assertThat(folder.resolve("x.pdf")).doesNotExist();
    }

    // Common practice, no source; by arithmetic: 73 1/4 / 12 = 6.104.
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "73 1/4; 6; 12; 6.1041667",
                "6'1 1/4\"; 15.24 cm; 12; 6.1041667",
                "62; 6; 10; 6.2",
                "63; 6; 10; 6.3",
                "65; 6; 11; 5.9090909",
                "5; 6; 1; 5",
            })
    void dividesARun(String length, String about, int count, double repeat) throws Exception {
        Done done = run("divide", "--length", length, "--about", about, "--json");
        assertThat(done.status()).isZero();
        JsonNode best =
                new ObjectMapper().readTree(done.out()).path("divisions").get(0);
        assertThat(best.path("count").asInt()).isEqualTo(count);
        assertThat(best.path("repeat").asDouble()).isCloseTo(repeat, within(1e-6));
        assertThat(best.path("valleys")).hasSize(count + 1);
    }

    @Test
    void saysTheReadingsOfARun() {
        assertThat(run("divide", "--length", "73 1/4", "--about", "6").out())
                .contains("12 repeats", "6 1/8 scant", "valley on the centre")
                .containsPattern("Valley 2 +12 3/16 generous +61 1/16 scant +24 7/16 scant left");
        assertThat(run("divide", "--length", "186 cm", "--about", "15", "--tape", "centimetres")
                        .out())
                .containsPattern("12 repeats +of 15\\.5 cm");
    }

    // By the circular-segment formulas; R = 4 and a rise of 3 span 7.746 (common practice, no source).
    @ParameterizedTest
    @CsvSource({
        "--radius, 4, --rise, 3, 4, 7.745967, 3",
        "--radius, 4, --span, 6, 4, 6, 1.354249",
        "--span, 6, --rise, 3, 3, 6, 3",
        "--span, 10 cm, --rise, 2 cm, 2.854331, 3.937008, 0.787402",
    })
    void solvesAnArc(String a, String av, String b, String bv, double radius, double span, double rise)
            throws Exception {
        JsonNode arc =
                new ObjectMapper().readTree(run("arc", a, av, b, bv, "--json").out());
        assertThat(arc.path("radius").asDouble()).isCloseTo(radius, within(1e-6));
        assertThat(arc.path("span").asDouble()).isCloseTo(span, within(1e-6));
        assertThat(arc.path("rise").asDouble()).isCloseTo(rise, within(1e-6));
        assertThat(run("arc", a, av, b, bv).out()).contains("sweep", "length");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                " | Which command? | Usage: spindle",
                "knit | Unmatched argument at index 0: 'knit' | Usage: spindle",
                "plan | Missing required parameter: 'JOB' | See spindle plan --help.",
                "packet JOB | Missing required option | See spindle packet --help.",
                "divide --length 73 | Say --about | See spindle divide --help.",
                "divide --length 71 5/8 --about 6 | Unmatched | goes in quotes: '71 5/8'.",
                "divide --lenght 73 --about 6 | Unknown options: '--lenght' | Possible solutions: --length",
                "divide --length abc --about 6 | “abc” | --length",
                "divide --length 0 --about 6 | more than 0 and at most 200 | --length",
                "divide --length -5 --about 6 | -5 | --length",
                "divide --length 300 --about 6 | “300” reads 300 | at most 200",
                "divide --length 73 --about 6 --tape furlongs | furlongs | --tape",
                "arc --radius 4 | two | See spindle arc --help.",
                "arc --radius 4 --span 6 --rise 1 | two | See spindle arc --help.",
                "arc --radius 4 --span 9 | at most 8 | See spindle arc --help.",
                "arc --radius 4 --rise 5 | 4 | See spindle arc --help.",
                "arc --span 4 --rise 3 | 2 | See spindle arc --help.",
                "packet JOB -o x.pdf --paper a3 | a3 | See spindle packet --help.",
            })
    void wrongUseEndsWithTwoAndSaysWhy(String words, String why, String andThen) {
        Done done = run(
                words == null
                        ? new String[0]
                        : words.replace("JOB", job.toString()).split(" "));
        assertThat(done.status()).isEqualTo(2);
        assertThat(done.out()).isEmpty();
        assertThat(done.err()).contains(why, andThen).doesNotContain("Exception");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "plan", "packet", "svg", "divide", "arc"})
    void everyCommandHasHelp(String command) {
        Done done = command.isEmpty() ? run("--help") : run(command, "--help");
        assertThat(done.status()).isZero();
        assertThat(done.out()).contains("Usage: spindle " + command, "--help");
    }

    @Test
    void commandsKnowNoInterface() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage(
                        "javafx..", "java.awt..", "javax.swing..", "org.apache.pdfbox..", "jollyspindle.desktop..")
                .check(new ClassFileImporter()
                        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                        .importPackages("jollyspindle.command"));
    }
}
