package jollyspindle.desktop.app;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.files.job.JobFile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import javax.imageio.ImageIO;

import static org.assertj.core.api.Assertions.assertThat;

/** The application as it is started: in a process of its own, without a display. */
class MainTest {

    /** What a process left behind. */
    private record Done(int status, String said) {}

    @TempDir
    private Path folder;

    private Done run(String... words) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                Main.class.getName()));
        command.addAll(List.of(words));
        ProcessBuilder builder =
                new ProcessBuilder(command).directory(folder.toFile()).redirectErrorStream(true);
        builder.environment().remove("DISPLAY");
        Path said = folder.resolve("said.txt");
        Process process = builder.redirectOutput(said.toFile()).start();
        assertThat(process.waitFor(10, TimeUnit.MINUTES)).isTrue();
        return new Done(process.exitValue(), Files.readString(said, StandardCharsets.UTF_8));
    }

    @Test
    void onlyWhereThereIsNoScreenIsItSaid() {
        assertThat(Main.couldNotOpen(Optional.of(new UnsatisfiedLinkError("libgtk-3.so.0"))))
                .contains("(libgtk-3.so.0)", "needs a display and GTK 3", "spindle --help");
        assertThat(Main.couldNotOpen(Optional.empty()))
                .contains("something went wrong inside Jolly Spindle", "Your files are as they were")
                .doesNotContain("GTK", "display");
    }

    @Test
    void theDemoIsWrittenToFilesWhereThereIsNoDisplay() throws Exception {
        Done done = run("demo");
        assertThat(done.status()).isZero();
        assertThat(done.said()).contains("no display here", "heron-weir.pdf").doesNotContain("WARNING", "Exception");
        Path output = folder.resolve("demo-output");
        assertThat(JobFile.read(output.resolve("heron-weir.spindle.json")).job())
                .isEqualTo(DemoJob.heronWeir());
        assertThat(Files.size(output.resolve("heron-weir.pdf"))).isGreaterThan(10_000);
        try (Stream<Path> files = Files.list(output)) {
            List<Path> pictures =
                    files.filter(f -> f.toString().endsWith(".png")).toList();
            assertThat(pictures).hasSizeBetween(4, 20);
            for (Path picture : pictures) {
                BufferedImage image = ImageIO.read(picture.toFile());
                assertThat(image.getWidth()).isEqualTo(1280);
                assertThat(image.getHeight()).isEqualTo(800);
                assertThat(colours(image)).as(picture + " isn't blank").isGreaterThan(50);
            }
        }
    }

    private static long colours(BufferedImage image) {
        return Stream.iterate(0, i -> i + 7)
                .limit((long) image.getWidth() * image.getHeight() / 7)
                .map(i -> image.getRGB(i % image.getWidth(), i / image.getWidth()))
                .distinct()
                .count();
    }

    @Test
    void theWindowNeedsADisplayAndCommandsDont() throws Exception {
        if (System.getProperty("os.name").startsWith("Linux")) {
            Done window = run();
            assertThat(window.status()).isEqualTo(1);
            assertThat(window.said()).contains("no display", "spindle --help");
        }
        Done divided = run("divide", "--length", "73 1/4", "--about", "6");
        assertThat(divided.status()).isZero();
        assertThat(divided.said()).contains("12 repeats");
        assertThat(run("--help").said())
                .contains("demo", "open", "screenshots", "plan", "packet", "svg", "divide", "arc");
    }
}
