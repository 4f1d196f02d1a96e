package jollyspindle.command;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.shelf.ShelfFile;
import jollyspindle.files.shelf.TemplateSetFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** {@code spindle shelf}, {@code find} and {@code template}, on a shelf in a folder of their own. */
class ShelfCommandsTest {

    private record Done(int status, String out, String err) {}

    @TempDir
    private Path folder;

    private Done run(String... words) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        CommandLine line = SpindleCommand.commandLine();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(err, true));
        List<String> all = new ArrayList<>(Arrays.asList(words));
        all.addAll(List.of("--shelf", folder.toString()));
        int status = line.execute(all.toArray(String[]::new));
        return new Done(status, out.toString(), err.toString());
    }

    @Test
    void theShelfIsListedAndOneTemplateInFull() throws Exception {
        Done all = run("shelf");
        assertThat(all.status()).isZero();
        assertThat(all.out()).startsWith("With a foot of radius 1/4:").contains("orchard-hill", "stitches radius 4;");
        Done one = run("shelf", "Orchard Hill", "--foot", "0.245");
        assertThat(one.out())
                .contains(
                        "With a foot of radius 0.245:",
                        "The rise line 2 on the seam: span 6 15/16 scant, rise 2 scant",
                        "Lowered from the rise line 3 to 2 1/2");
        Template retired = Shelf.starter().template("mill-bridge").orElseThrow().withRetired(true);
        ShelfFile.write(folder, Shelf.starter().with(retired), UnknownFields.none());
        assertThat(run("shelf").out()).doesNotContain("mill-bridge");
        assertThat(run("shelf", "--retired").out()).contains("mill-bridge", "; retired");
        JsonNode json = new ObjectMapper().readTree(run("shelf", "--json").out());
        assertThat(json.path("templates")).hasSize(Shelf.starter().templates().size() - 1);
        assertThat(run("shelf", "nobody").err()).contains("No template on the shelf is called “nobody”");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "find --span '6 1/8' --room '5 1/2' | 0 | best first: a span of 6 1/8 with room 5 1/2.",
                "find --span 6 --room 4 --rise 2 | 0 | on the seam",
                "find --circle '1 3/4' | 0 | Pebble Plate       Hole 3: diameter 1 3/4",
                "find --ring-gap 1 --largest 6 | 0 | Pond Rings",
                "find --fan 8 --reserve 1/2 | 0 | 5 arcs, the outermost 7 1/2",
                "find --fan 6 --reserve 0 | 0 | 4 arcs, the outermost 6",
                "find --block '4 1/2' | 0 | 4 1/2 shells a row and 9 rows rising 1/2 each",
                "find --strip 2 | 0 | fills the strip",
                "find --circle 30 | 1 | Nothing on the shelf does this. With this foot a hole cut 30 1/2 wide would",
                "find --span 60 --room 5 | 1 | An arc would, that stitches a radius of 92 1/2 or more.",
            })
    void findsWhatDoesItOrSaysWhatIsMissing(String line, int status, String said) {
        Done done = run(CommandLineWords.split(line));
        assertThat(done.out()).contains(said);
        assertThat(done.status()).isEqualTo(status);
        assertThat(done.err()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "find | Say one thing that is wanted",
                "find --span 6 --circle 2 | Say one thing that is wanted",
                "find --span 6 | With --span comes --room.",
                "find --circle 2 --rise 1 | --rise goes with --span.",
                "find --circle round | --circle: “round” isn't a length",
                "find --circle 0 | It must be more than 0",
                "find --fan 8 --reserve -1 | It must be 0 or more",
                "find --circle 2 --foot 3 | at most 1/2",
            })
    void wrongUseIsTold(String line, String said) {
        Done done = run(CommandLineWords.split(line));
        assertThat(done.status()).isEqualTo(2);
        assertThat(done.err()).contains(said);
    }

    @Test
    void findGivesJson() throws Exception {
        JsonNode json = new ObjectMapper()
                .readTree(run("find", "--span", "6 1/8", "--room", "5 1/2", "--json")
                        .out());
        assertThat(json.path("wanted").path("span").asDouble()).isEqualTo(6.125);
        assertThat(json.path("matches")
                        .get(0)
                        .path("changes")
                        .get(0)
                        .path("rise")
                        .asDouble())
                .isLessThanOrEqualTo(5.5);
    }

    @Test
    void aDrawingBecomesATemplateOnTheShelfOrInAFile() throws Exception {
        Path drawing = folder.resolve("oak leaf.svg");
        Files.writeString(
                drawing,
                "<svg width='80mm' height='60mm' viewBox='0 0 80 60'><path d='M0 30C20 0 60 0 76.2 30C60 60 20 60 0 30z'/>"
                        + "<circle cx='5' cy='5' r='2'/></svg>");
        Done done = run("template", drawing.toString());
        assertThat(done.err()).isEmpty();
        assertThat(done.status()).isZero();
        // 76.2 mm are 3 in.
        assertThat(done.out()).contains("“Oak leaf”, 3 wide", "the largest of 2", "shelf.json");
        Template leaf = ShelfFile.read(folder).shelf().template("oak-leaf").orElseThrow();
        assertThat(leaf.form().mainSize()).isCloseTo(3, within(1e-5));
        assertThat(run("template", drawing.toString()).out())
                .as("again, beside it")
                .contains("“Oak leaf 2”");
        Path set = folder.resolve("leaf.templates.json");
        assertThat(run("template", drawing.toString(), "--width", "4 1/2", "--name", "Big Leaf", "-o", set.toString())
                        .out())
                .contains("“Big Leaf”, 4 1/2 wide");
        assertThat(TemplateSetFile.read(set).get(0).form().mainSize()).isCloseTo(4.5, within(1e-6));
        Files.writeString(drawing, "<svg width='80' height='60'><rect width='8' height='6'/></svg>");
        Done unsized = run("template", drawing.toString());
        assertThat(unsized.status()).isEqualTo(1);
        assertThat(unsized.err()).contains("spindle: “oak leaf.svg” can't be used.", "how large it is");
        assertThat(run("template", drawing.toString(), "--width", "2", "--window")
                        .out())
                .contains("2 wide");
        assertThat(run("template", drawing.toString(), "--width", "2", "--name", "x".repeat(99))
                        .err())
                .contains("1 to 80 characters");
    }

    @Test
    void aDamagedShelfIsToldAndLeftAsItIs() throws Exception {
        Path file = folder.resolve(ShelfFile.NAME);
        Files.writeString(file, "{ \"format\": \"jolly-spindle-shelf\", ");
        Done done = run("find", "--circle", "2");
        assertThat(done.status()).isEqualTo(1);
        assertThat(done.err()).contains("spindle: “shelf.json” can't be opened. It ends too early");
        assertThat(Files.readString(file)).endsWith("\"jolly-spindle-shelf\", ");
    }
}
