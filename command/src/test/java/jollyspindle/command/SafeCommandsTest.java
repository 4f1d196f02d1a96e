package jollyspindle.command;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import picocli.CommandLine;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

import static org.assertj.core.api.Assertions.assertThat;

/** Commands harm no file, no terminal and no number. */
class SafeCommandsTest {

    @TempDir
    private Path folder;

    private final StringWriter out = new StringWriter();

    private int run(String... words) {
        CommandLine line = SpindleCommand.commandLine();
        line.setOut(new PrintWriter(out, true));
        line.setErr(new PrintWriter(out, true));
        return line.execute(words);
    }

    private Path job(String name) throws Exception {
        Path job = folder.resolve("job" + JobFile.SUFFIX);
        JobFile.write(job, DemoJob.heronWeir().withName(name), UnknownFields.none());
        return job;
    }

    @ParameterizedTest
    @ValueSource(strings = {"svg", "packet", "picture"})
    void noOutputReplacesAJob(String command) throws Exception {
        Path job = job("Kept");
        byte[] before = Files.readAllBytes(job);
        assertThat(run(command, job.toString(), "-o", job.toString())).isEqualTo(SpindleCommand.TROUBLE);
        assertThat(out.toString()).contains("the job itself", "Name another file");
        Path link = Files.createSymbolicLink(folder.resolve("link"), job);
        assertThat(run(command, job.toString(), "-o", link.toString())).isEqualTo(SpindleCommand.TROUBLE);
        Path other = Files.copy(job, folder.resolve("other" + JobFile.SUFFIX));
        assertThat(run(command, job.toString(), "-o", other.toString())).isEqualTo(SpindleCommand.TROUBLE);
        assertThat(Files.readAllBytes(job)).isEqualTo(before);
        assertThat(Files.readAllBytes(other)).isEqualTo(before);
        assertThat(run(command, job.toString(), "-o", folder.resolve("new").toString()))
                .isZero();
        // What there is nothing of Jolly Spindle's in may be replaced, as every command does.
        assertThat(run(command, job.toString(), "-o", folder.resolve("new").toString()))
                .isZero();
    }

    @Test
    void aNameGivesTheTerminalNoOrders() throws Exception {
        Path job = job("Red \u001b[31m \u0007 quilt");
        run("plan", job.toString());
        assertThat(out.toString()).contains("Red").doesNotContain("\u001b").doesNotContain("\u0007");
    }

    @ParameterizedTest
    @ValueSource(strings = {"ar-EG-u-nu-arab", "th-TH-u-nu-thai", "de-DE"})
    void digitsAreTheTapesInEveryLanguage(String language) {
        Locale before = Locale.getDefault();
        run("divide", "--length", "62", "--about", "6");
        String english = out.toString();
        out.getBuffer().setLength(0);
        try {
            Locale.setDefault(Locale.forLanguageTag(language));
            run("divide", "--length", "62", "--about", "6");
        } finally {
            Locale.setDefault(before);
        }
        assertThat(out.toString()).isEqualTo(english).contains("6 3/16");
    }
}
