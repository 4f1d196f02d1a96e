package jollyspindle.files;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.files.job.Autosave;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

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
    void permissionsStayAndWhatIsProtectedIsNotWritten() throws IOException {
        Path file = folder.resolve("p.json");
        AtomicFile.writeKeepingVersions(file, bytes("1"));
        PosixFileAttributeView view = Files.getFileAttributeView(file, PosixFileAttributeView.class);
        assumeThat(view).as("a system with permissions").isNotNull();
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-r-----"));
        AtomicFile.writeKeepingVersions(file, bytes("2"));
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-r-----");
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(AtomicFile.version(file, 1))))
                .isEqualTo("rw-r-----");
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r--r--"));
        assertThatThrownBy(() -> AtomicFile.writeKeepingVersions(file, bytes("3")))
                .hasMessageContaining("write-protected");
        assertThatThrownBy(() -> AtomicFile.write(file, bytes("3"))).hasMessageContaining("write-protected");
        assertThat(Files.readString(file)).isEqualTo("2");
        assertThat(names()).containsExactly("p.json", "p.json.1.bak");
    }

    @Test
    void whatIsNoFileIsWrittenToAndNotReplaced() throws IOException {
        Path nothing = Path.of("/dev/null");
        assumeThat(nothing).as("a system with devices").exists();
        Path link = folder.resolve("to-nothing");
        Files.createSymbolicLink(link, nothing);
        AtomicFile.write(link, bytes("x"));
        assertThat(Files.isSymbolicLink(link)).isTrue();
        assertThat(Files.isRegularFile(nothing)).isFalse();
        // A link to what isn't there yet is followed as well.
        Path dangling = folder.resolve("dangling");
        Files.createSymbolicLink(dangling, Path.of("new.json"));
        AtomicFile.write(dangling, bytes("y"));
        assertThat(Files.isSymbolicLink(dangling)).isTrue();
        assertThat(Files.readString(folder.resolve("new.json"))).isEqualTo("y");
    }

    @Test
    void partsOfProcessesThatAreNoMoreGoAndThoseOfOthersStay() throws IOException {
        Path file = folder.resolve("a.json");
        Files.writeString(folder.resolve(".a.json.4711.part"), "half");
        Files.writeString(folder.resolve(".a.json.4711-2.part"), "half");
        Files.writeString(folder.resolve(".ab.json.4711-2.part"), "of another file");
        AtomicFile.write(file, bytes("whole"));
        assertThat(names()).containsExactly(".ab.json.4711-2.part", "a.json");
    }

    @Test
    void longNamesHaveRoomForWhatStandsBesideThem() throws IOException {
        Path file = folder.resolve("ü".repeat(125) + ".js");
        for (String version : List.of("1", "2", "3")) {
            AtomicFile.writeKeepingVersions(file, bytes(version));
        }
        assertThat(Files.readString(file)).isEqualTo("3");
        assertThat(Files.readString(AtomicFile.version(file, 2))).isEqualTo("1");
        assertThat(FileNames.plain("\ud83e\uddf5".repeat(80), "quilt").getBytes(StandardCharsets.UTF_8).length)
                .isBetween(100, 120);
        assertThat(FileNames.plain("a/b:\u0007", "quilt")).isEqualTo("a b");
        assertThat(FileNames.plain(" * ", "quilt")).isEqualTo("quilt");
    }

    // --- what isn't saved ------------------------------------------------------------------------------------------

    private Path left(String id, QuiltJob job, int age) throws Exception {
        Path kept = folder.resolve("unsaved-" + id + ".spindle.json");
        JobFile.write(kept, job, UnknownFields.none());
        Files.setLastModifiedTime(kept, FileTime.fromMillis(1_000_000_000L - age));
        return kept;
    }

    @Test
    void onlyWhatSessionsThatAreOverHaveLeftIsOffered() throws Exception {
        assertThat(Autosave.leftIn(folder.resolve("none"))).isEmpty();
        Autosave mine = new Autosave(folder);
        Path job = folder.resolve("mine.spindle.json");
        assertThat(mine.at(Optional.of(job))).isFalse();
        mine.keep(DemoJob.heronWeir(), UnknownFields.none());
        assertThat(mine.kept()).isPresent();
        assertThat(Autosave.leftIn(folder)).as("this session isn't over").isEmpty();
        Path older = left("aaaa", DemoJob.heronWeir(), 10);
        // A process number, as earlier versions had it, and one that lives again: this process's own.
        Path newer = left(Long.toString(ProcessHandle.current().pid()), DemoJob.heronWeir(), 0);
        Files.createDirectories(folder.resolve("sessions"));
        Files.writeString(folder.resolve("sessions/aaaa.session"), "{\"job\":\"" + job + "\"}");
        Files.writeString(folder.resolve("unsaved-x.spindle.json"), "");
        Files.writeString(folder.resolve("other.spindle.json"), "");
        List<Autosave.Left> left = Autosave.leftIn(folder);
        assertThat(left).extracting(Autosave.Left::kept).containsExactly(newer, older);
        assertThat(left).extracting(Autosave.Left::file).containsExactly(Optional.empty(), Optional.of(job));
        assertThat(left.get(1).read().job()).isEqualTo(DemoJob.heronWeir());
        mine.tidy(left.get(1));
        assertThat(Autosave.leftIn(folder)).hasSize(1);
        mine.forget();
        mine.forget();
        mine.close();
        assertThat(folder.resolve("sessions")).isEmptyDirectory();
    }

    @Test
    void theSecondWindowOnAJobIsTold() throws Exception {
        Path job = folder.resolve("twice.spindle.json");
        JobFile.write(job, DemoJob.heronWeir(), UnknownFields.none());
        try (Autosave first = new Autosave(folder);
                Autosave second = new Autosave(folder)) {
            assertThat(first.at(Optional.of(job))).isFalse();
            assertThat(second.at(Optional.of(folder.resolve("./twice.spindle.json"))))
                    .isTrue();
            assertThat(first.at(Optional.empty())).isFalse();
            assertThat(second.at(Optional.of(job))).isFalse();
        }
    }

    // --- killed, and the disk full -----------------------------------------------------------------------------------

    @Test
    void killedWhileSavingNothingIsLostAndNothingIsLeftLyingAbout() throws Exception {
        Path job = folder.resolve("killed.spindle.json");
        Path data = folder.resolve("data");
        Random random = new Random(1);
        int kills = Integer.getInteger("spindle.kills", 12);
        int saved = 0;
        for (int i = 0; i < kills; i++) {
            Process saver = Saver.start(job, data, "");
            // Once it has begun to save, at any moment of it.
            assertThat(saver.getInputStream().read()).isNotEqualTo(-1);
            Thread.sleep(random.nextInt(60));
            saver.destroyForcibly().waitFor();
            for (int age = 0; age <= AtomicFile.VERSIONS_KEPT; age++) {
                Path one = age == 0 ? job : AtomicFile.version(job, age);
                if (Files.exists(one)) {
                    // Reading fails if a file is half there.
                    JobFile.read(one);
                    saved++;
                }
            }
            for (Autosave.Left left : Autosave.leftIn(data)) {
                left.read();
            }
        }
        assertThat(saved).isGreaterThan(kills);
        assertThat(Autosave.leftIn(data)).isNotEmpty();
        JobFile.write(job, DemoJob.heronWeir(), UnknownFields.none());
        try (Autosave next = new Autosave(data)) {
            for (Autosave.Left left : Autosave.leftIn(data)) {
                next.tidy(left);
            }
            Autosave.tidyUp(data);
        }
        assertThat(names()).allMatch(name -> name.startsWith("killed.spindle.json") || name.equals("data"));
        try (Stream<Path> all = Files.walk(data)) {
            assertThat(all.filter(Files::isRegularFile)).isEmpty();
        }
    }

    @Test
    void aFullDiskCostsNoVersion() throws Exception {
        assumeThat(Path.of("/bin/sh")).as("a system with limits").exists();
        Path job = folder.resolve("full.spindle.json");
        for (String name : List.of("1", "2", "3", "4")) {
            JobFile.write(job, DemoJob.heronWeir().withName(name), UnknownFields.none());
        }
        Process saver = Saver.start(job, folder.resolve("data"), "ulimit -f 4; ");
        String said = new String(saver.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(saver.waitFor()).isEqualTo(Saver.TROUBLE);
        assertThat(said).contains("couldn't be saved");
        for (int age = 0; age <= AtomicFile.VERSIONS_KEPT; age++) {
            Path one = age == 0 ? job : AtomicFile.version(job, age);
            assertThat(JobFile.read(one).job().name()).isEqualTo(Integer.toString(4 - age));
        }
        assertThat(names()).noneMatch(name -> name.endsWith(".part"));
    }
}
