package jollyspindle.files;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.CountDownLatch;

import static org.assertj.core.api.Assertions.assertThat;

/** What is done in turns never overlaps, in one process and in many. */
class InTurnsTest {

    private static final int EACH = 60;

    /** Reads a number, and writes the next: what overlaps loses one. */
    private static void count(Path folder) {
        InTurns.inTurn(folder, "counter", () -> {
            Path file = folder.resolve("number");
            try {
                int number = Integer.parseInt(Files.readString(file).strip());
                Thread.sleep(1);
                Files.writeString(file, Integer.toString(number + 1));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
    }

    /** A process that counts. */
    public static final class Counter {

        private Counter() {}

        public static void main(String[] args) {
            for (int i = 0; i < EACH; i++) {
                count(Path.of(args[0]));
            }
        }
    }

    @Test
    void nobodyReadsWhatAnotherIsAboutToWrite(@TempDir Path folder) throws Exception {
        Files.writeString(folder.resolve("number"), "0");
        List<Process> others = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            others.add(new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-cp",
                            System.getProperty("java.class.path"),
                            Counter.class.getName(),
                            folder.toString())
                    .start());
        }
        List<Thread> here = new ArrayList<>();
        for (int i = 0; i < 2; i++) {
            here.add(new Thread(() -> Counter.main(new String[] {folder.toString()})));
            here.get(i).start();
        }
        for (Thread thread : here) {
            thread.join();
        }
        for (Process other : others) {
            assertThat(other.waitFor()).isZero();
        }
        assertThat(Files.readString(folder.resolve("number"))).isEqualTo(Integer.toString(4 * EACH));
    }

    @Test
    void withoutAFolderItIsDoneAllTheSame(@TempDir Path folder) {
        List<String> done = new ArrayList<>();
        InTurns.inTurn(folder.resolve("none"), "counter", () -> done.add("once"));
        assertThat(done).containsExactly("once");
    }

    @Test
    void nobodyIsWaitedForWhereItIsDoneOnlyIfFree(@TempDir Path folder) throws Exception {
        List<String> done = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch mayEnd = new CountDownLatch(1);
        Thread other = new Thread(() -> InTurns.inTurn(folder, "counter", () -> {
            begun.countDown();
            try {
                mayEnd.await();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }));
        other.start();
        begun.await();
        assertThat(InTurns.ifFree(folder, "counter", () -> done.add("while it is taken")))
                .isFalse();
        mayEnd.countDown();
        other.join();
        assertThat(InTurns.ifFree(folder, "counter", () -> done.add("free"))).isTrue();
        assertThat(InTurns.ifFree(folder.resolve("none"), "counter", () -> done.add("no locks")))
                .isTrue();
        assertThat(done).containsExactly("free", "no locks");
        // Another process, which holds it until it is ended.
        Process holder = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-cp",
                        System.getProperty("java.class.path"),
                        Holder.class.getName(),
                        folder.toString())
                .start();
        assertThat(holder.getInputStream().read()).isEqualTo('h');
        assertThat(InTurns.ifFree(folder, "counter", () -> done.add("while another process has it")))
                .isFalse();
        holder.destroyForcibly().waitFor();
        assertThat(InTurns.ifFree(folder, "counter", () -> done.add("it is gone")))
                .isTrue();
        assertThat(done).containsExactly("free", "no locks", "it is gone");
    }

    /** A process that has its turn and doesn't end it. */
    public static final class Holder {

        private Holder() {}

        public static void main(String[] args) {
            InTurns.inTurn(Path.of(args[0]), "counter", () -> {
                System.out.print('h');
                System.out.flush();
                try {
                    Thread.sleep(60_000);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
        }
    }
}
