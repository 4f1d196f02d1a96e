package jollyspindle.command;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** {@code spindle divide} for a border's four runs, and all schools on one run. */
class DivideRingTest {

    private record Done(int status, String out, String err) {}

    @TempDir
    Path folder;

    private String shelf;

    @BeforeEach
    void beginWithTheStarterShelf() {
        shelf = " --shelf '" + folder + "'";
    }

    private Done run(String line) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        CommandLine command = SpindleCommand.commandLine();
        command.setOut(new PrintWriter(out, true));
        command.setErr(new PrintWriter(err, true));
        int status = command.execute(CommandLineWords.split("divide " + line + shelf));
        return new Done(status, out.toString(), err.toString());
    }

    private static final String QUILT = "--top '61 1/2' --left '73 1/4' ";

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // 61 1/2 by 73 1/4 near 6: 10 and 12 (common practice, no source; by arithmetic).
                "--about 6 | 1. Even                10 across, 12 down",
                "--about 6 | Right border, 73 1/4, left end: top right corner:",
                "--about 6 --counts odd --school even | 11 across, 13 down",
                "--about 6 --across 9 --down 11 --school even | 9 across, 11 down",
                "--about 6 --school half-steps | 1. Half steps          10 across, 12 down",
                "--about 6 --school corners-in --template orchard-hill | Corners in",
                "--about 6 --school centre-out --template orchard-hill --room '6 3/4' | astride the mitre",
                "--about 6 --school fudge | Fixed with fudge",
                "--about 6 --shortest 6 --longest '6 1/4' | 10 across, 12 down",
                "--about 6 --show 2 | Top border, 61 1/2, left end: top left corner:",
                "--about 15 --tape centimetres | Ways to come out about every 15 cm, best first",
            })
    void dividesABorder(String line, String said) {
        Done done = run(QUILT.replace("61 1/2'", "61 1/2\"'").replace("73 1/4'", "73 1/4\"'") + line);
        assertThat(done.err()).isEmpty();
        assertThat(done.out()).contains(said);
        assertThat(done.status()).isZero();
    }

    @Test
    void sidesThatMeasureOtherwiseAreKept() {
        Done done = run("--top '71 5/8' --bottom '71 3/4' --right '86 3/8' --left '86 1/4' --about 7 --school even");
        assertThat(done.out())
                .contains("Top border, 71 5/8", "Bottom border, 71 3/4", "Right border, 86 3/8", "Left border, 86 1/4")
                .contains("sides differ by 1/32 a repeat");
        assertThat(run("--top '60 3/8' --left 72 --about 6 --school increments").out())
                .contains(
                        "1. By increments",
                        "the marks leave 3/8 over in the middle: the two repeats beside it are 3/16 longer");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--about 6 | 2 | Say --length for one run, or --top and --left",
                "--length 60 --top 60 --about 6 | 2 | Say --length for one run, or --top and --left",
                "--top 60 --about 6 | 2 | A border needs --top or --bottom, and --left or --right",
                "--top 60 --left 80 | 2 | Say --about",
                "--top 60 --left no --about 6 | 2 | --left: “no” isn't a length",
                "--top 60 --left 80 --about 6 --across 0 | 2 | must be 1 to 400, not",
                "--top 60 --left 80 --about 6 --shortest 7 --longest 5 | 2 | --shortest 7 is longer than --longest 5",
                "--top 60 --left 80 --about 0.2 | 2 | the repeat's length must be 0.5 to 60, not 0.2",
                "--top 60 --left 80 --about 6 --template lost | 2 | the shelf has no “lost”",
                "--top 61 --left 83 --about 6 --school piecing --unit 59 | 0 | don't come out with --school piecing",
            })
    void saysWhatCantBe(String line, int status, String said) {
        Done done = run(line);
        assertThat(done.err()).contains(said);
        assertThat(done.status()).isEqualTo(status);
    }

    @Test
    void givesJsonForScripts() throws Exception {
        JsonNode root =
                new ObjectMapper().readTree(run(QUILT + "--about 6 --json").out());
        assertThat(root.path("format").asText()).isEqualTo("jolly-spindle-division");
        double before = 0;
        List<String> schools = new ArrayList<>();
        for (JsonNode way : root.path("ways")) {
            assertThat(way.path("penalty").asDouble()).isGreaterThanOrEqualTo(before);
            before = way.path("penalty").asDouble();
            schools.add(way.path("school").asText());
            for (JsonNode run : way.path("runs")) {
                double at = 0;
                for (JsonNode cell : run.path("cells")) {
                    assertThat(cell.path("from").asDouble()).isCloseTo(at, within(1e-8));
                    at = cell.path("to").asDouble();
                }
                assertThat(at).isIn(61.5, 73.25);
            }
        }
        assertThat(schools).contains("even", "half-steps", "corners-in", "centre-out", "fudged");
        JsonNode one =
                new ObjectMapper().readTree(run("--length 62 --about 6 --json").out());
        assertThat(one.path("divisions").get(0).path("count").asInt()).isEqualTo(10);
        assertThat(one.path("ways")
                        .get(0)
                        .path("runs")
                        .path("strip-1")
                        .path("count")
                        .asInt())
                .isEqualTo(10);
    }
}
