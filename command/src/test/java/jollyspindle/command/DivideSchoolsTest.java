package jollyspindle.command;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import picocli.CommandLine;

import java.io.PrintWriter;
import java.io.StringWriter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** {@code spindle divide --school}. */
class DivideSchoolsTest {

    private record Done(int status, String out, String err) {}

    private static Done run(String line) {
        StringWriter out = new StringWriter();
        StringWriter err = new StringWriter();
        CommandLine command = SpindleCommand.commandLine();
        command.setOut(new PrintWriter(out, true));
        command.setErr(new PrintWriter(err, true));
        int status = command.execute(CommandLineWords.split("divide " + line));
        return new Done(status, out.toString(), err.toString());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--length 62 --about 6 --school half-steps | 62, half-steps: 9 whole repeats",
                "--length 62 --about 6 --school half-steps | Stepping off 6 3/16 generous by the tape would end 7/64 short",
                "--length '71 5/8' --about 6 --school corners-in | 10 whole repeats, 11 5/8 of odd space",
                "--length '71 5/8' --about 6 --school corners-in --radius 4 | one arc as high stitches a radius of 13 1/8 generous; two half arcs meet at",
                "--length 14 --count 1 --about '4 1/2' --school corners-in --radius 4 | In the middle: one arc",
                "--length '71 5/8' --about 6 --school centre-out | 10 whole repeats, 5 13/16 of odd space",
                "--length '71 5/8' --about 6 --school centre-out --centre crown | 11 whole repeats, 2 13/16 of odd space",
                "--length '73 1/2' --about 6 --school fudge | up to 1/8 from 6",
                "--length '73 1/2' --about 6 --school fudge --spread round-centre=4 | up to 3/8 from 6",
                "--length 71 --about 6 --count 12 --school fudge --spread 1,12 | repeat    5 1/2",
                "--length '71 5/8' --school piecing --unit 4 --units 3 --parts 2 | 12 whole repeats",
                "--length '71 5/8' --school increments --step 1 --steps 6 | up to 3/16 from 6",
                "--length '71 5/8' --count 10 --school by-hand --pin 3=20 --pin 7=50 | repeat    7 1/2",
                "--length 60 --school even --count 10 | 60, even: 10 whole repeats",
                "--length 60 --count 10 | 60, even: 10 whole repeats",
                "--length '60 3/4' --school increments --step 1 --steps 6 | up to 3/8 from 6",
                "--length '157.48 cm' --about '15.24 cm' --school half-steps --tape centimetres | 157.5 cm scant, half-steps: 9",
            })
    void dividesByEachSchool(String line, String said) {
        Done done = run(line);
        assertThat(done.err()).isEmpty();
        assertThat(done.out()).contains(said);
        assertThat(done.status()).isZero();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "--length 10 --about 6 --school corners-in | 1 | there is no room for the repeats",
                "--length 71 --school increments --step 1 --steps 7 | 1 | or they don't divide it",
                "--length '62.3' --school increments --step 1 --steps 6 | 1 | these --steps come out: 1, 2, 3, 7, 9, 21, 31, 62, 63.",
                "--length 70 --school piecing --unit 10 --units 5 | 1 | These --units come out: ",
                "--left 71 --right 71 --top 71 --bottom 71 --about 6 --count 9 | 2 | --across says how many repeats top and",
                "--length 71 | 2 | Say --about",
                "--length 71 --school corners-in | 2 | comes --about",
                "--length 71 --school even | 2 | comes --count, or --about",
                "--length 71 --school piecing | 2 | comes --unit",
                "--length 71 --school increments | 2 | comes --step",
                "--length 71 --about 6 --school fudge --spread some | 2 | isn't all, round-centre=4",
                "--length 71 --count 5 --school by-hand --pin 5=20 | 2 | only the valleys between the ends",
                "--length 71 --count 900 --school even | 2 | the number of repeats must be 1 to 400, not 900",
                "--length 71 --about 6 --school corners-in --radius 2 | 2 | spans at most 4, and not 6",
                "--length 71 --count 9 --school by-hand --pin 3=90 | 2 | more than 0 and at most 71",
                "--length 71 --count 9 --school by-hand --pin 5=20 --pin 3=30 | 2 | valley 5 at 20 doesn't come after valley 3 at 30",
                "--length 71 --about 6 --school tarot | 2 | “tarot” isn't a school. They are: even, corners-in",
            })
    void saysWhatCantBe(String line, int status, String said) {
        Done done = run(line);
        assertThat(done.err()).contains(said);
        assertThat(done.status()).isEqualTo(status);
    }

    @Test
    void givesJson() throws Exception {
        JsonNode json = new ObjectMapper()
                .readTree(run("--length 14 --about 5.2915 --count 1 --school corners-in --radius 4 --json")
                        .out());
        assertThat(json.path("cells")).hasSize(3);
        assertThat(json.path("cells").get(1).path("kind").asText()).isEqualTo("middle");
        double half = (14 - 2 * 5.2915) / 2;
        double rise = 4 - Math.sqrt(16 - 5.2915 * 5.2915 / 4);
        double aside = half - 5.2915 / 2;
        assertThat(json.path("middle").path("halfArcsMeetAt").asDouble())
                .isCloseTo(Math.sqrt(16 - aside * aside) - (4 - rise), within(1e-9));
        assertThat(json.path("middle").path("meeting").asText()).isEqualTo("pointed");
        assertThat(json.path("leftover").asDouble()).isCloseTo(2 * half, within(1e-9));
    }
}
