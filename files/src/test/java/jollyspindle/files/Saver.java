package jollyspindle.files;

import jollyspindle.core.demo.DemoJob;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.files.job.Autosave;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** A process that saves a job, and keeps it unsaved, over and over, to be killed in the middle of it. */
public final class Saver {

    /** The exit status when saving fails. */
    static final int TROUBLE = 3;

    private static final int MOST = 100_000;

    private Saver() {}

    static Process start(Path job, Path data, String before) throws IOException {
        Path java = Path.of(System.getProperty("java.home"), "bin", "java");
        List<String> command = List.of(
                java.toString(),
                "-Xshare:auto",
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                Saver.class.getName(),
                job.toString(),
                data.toString());
        return before.isEmpty()
                ? new ProcessBuilder(command).start()
                : new ProcessBuilder(
                                "/bin/sh",
                                "-c",
                                before + "exec "
                                        + String.join(
                                                " ",
                                                command.stream()
                                                        .map(w -> "'" + w + "'")
                                                        .toList()))
                        .start();
    }

    public static void main(String[] args) throws IOException {
        Path job = Path.of(args[0]);
        Autosave autosave = new Autosave(Path.of(args[1]));
        for (int i = 0; i < MOST; i++) {
            QuiltJob next = DemoJob.heronWeir().withName("Number " + i);
            try {
                autosave.at(Optional.of(job));
                JobFile.write(job, next, UnknownFields.none());
                autosave.keep(next, UnknownFields.none());
            } catch (FileTrouble | IOException e) {
                System.out.println(e.getMessage());
                System.exit(TROUBLE);
            }
            System.out.println(i);
        }
    }
}
