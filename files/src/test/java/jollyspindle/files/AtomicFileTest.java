package jollyspindle.files;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.files.job.Autosave;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

class AtomicFileTest {

    @TempDir
    private Path folder;

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private List<String> names() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(f -> f.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void replacesTheWholeFileAndLeavesNoParts() throws IOException {
        Path file = folder.resolve("a.json");
        AtomicFile.write(file, bytes("a long first version"));
        AtomicFile.write(file, bytes("short"));
        assertThat(Files.readString(file)).isEqualTo("short");
        assertThat(names()).containsExactly("a.json");
    }

    @Test
    void whatCantBeWrittenLeavesWhatWasThere() throws IOException {
        Path taken = folder.resolve("taken");
        Files.createDirectories(taken.resolve("full"));
        assertThatThrownBy(() -> AtomicFile.write(taken, bytes("x"))).isInstanceOf(IOException.class);
        assertThat(taken.resolve("full")).isDirectory();
        assertThat(names()).containsExactly("taken");
    }

    @Test
    void aLinkStaysALink() throws IOException {
        Path real = folder.resolve("real.json");
        Path link = folder.resolve("link.json");
        Files.writeString(real, "old");
        Files.createSymbolicLink(link, real);
        AtomicFile.write(link, bytes("new"));
        assertThat(Files.isSymbolicLink(link)).isTrue();
        assertThat(Files.readString(real)).isEqualTo("new");
    }

    @Test
    void versionsAreKeptOnlyOfWhatChanged() throws IOException {
        Path file = folder.resolve("v.json");
        for (String version : List.of("1", "2", "2", "3", "3", "4", "5")) {
            AtomicFile.writeKeepingVersions(file, bytes(version));
        }
        assertThat(Files.readString(file)).isEqualTo("5");
        assertThat(Stream.of(1, 2, 3).map(age -> {
                    try {
                        return Files.readString(AtomicFile.version(file, age));
                    } catch (IOException e) {
                        throw new IllegalStateException(e);
                    }
                }))
                .containsExactly("4", "3", "2");
        assertThat(names()).hasSize(4);
    }

    @Test
    void onlyWhatARunThatIsOverHasLeftIsOffered() throws Exception {
        assertThat(Autosave.leftIn(folder.resolve("none"))).isEmpty();
        Autosave mine = new Autosave(folder);
        mine.keep(DemoJob.heronWeir(), UnknownFields.none());
        assertThat(names()).hasSize(1);
        assertThat(Autosave.leftIn(folder)).as("this run isn't over").isEmpty();
        // No process has a number this high.
        Path older = folder.resolve("unsaved-99999999998.spindle.json");
        Path newer = folder.resolve("unsaved-99999999999.spindle.json");
        JobFile.write(older, DemoJob.heronWeir(), UnknownFields.none());
        JobFile.write(newer, DemoJob.heronWeir(), UnknownFields.none());
        Files.setLastModifiedTime(older, java.nio.file.attribute.FileTime.fromMillis(1_000_000));
        Files.writeString(folder.resolve("unsaved-x.spindle.json"), "");
        Files.writeString(folder.resolve("other.spindle.json"), "");
        assertThat(Autosave.leftIn(folder)).containsExactly(newer, older);
        mine.forget();
        mine.forget();
        assertThat(names())
                .noneMatch(n -> n.contains("-" + ProcessHandle.current().pid() + "."));
    }
}
