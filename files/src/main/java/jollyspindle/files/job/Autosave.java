package jollyspindle.files.job;

import jollyspindle.core.plan.QuiltJob;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.json.UnknownFields;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Keeps what isn't saved yet in the person's folder, one file a running application, so that a crash or a power cut loses
 * nothing. What a run that is over has left there can be brought back.
 */
public final class Autosave {

    private static final Pattern NAME = Pattern.compile("unsaved-(\\d+)" + Pattern.quote(JobFile.SUFFIX));

    private final Path file;

    /**
     * An autosave for this run of the application.
     *
     * @param folder made when something is first kept
     */
    public Autosave(Path folder) {
        this.file = folder.resolve("unsaved-" + ProcessHandle.current().pid() + JobFile.SUFFIX);
    }

    /**
     * Keeps a job in place of the one kept before.
     *
     * @throws IOException if it can't be written
     */
    public void keep(QuiltJob job, UnknownFields unknown) throws IOException {
        Files.createDirectories(file.getParent());
        AtomicFile.write(file, JobFile.format(job, unknown));
    }

    /**
     * Forgets what is kept, once it is saved or let go.
     *
     * @throws IOException if it can't be deleted
     */
    public void forget() throws IOException {
        Files.deleteIfExists(file);
    }

    /** What runs that are over have left in a folder, the latest first. */
    public static List<Path> leftIn(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(Autosave::isLeft)
                    .sorted((a, b) ->
                            Long.compare(b.toFile().lastModified(), a.toFile().lastModified()))
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    private static boolean isLeft(Path path) {
        Matcher name = NAME.matcher(path.getFileName().toString());
        return name.matches()
                && name.group(1).length() < 18
                && ProcessHandle.of(Long.parseLong(name.group(1))).isEmpty();
    }
}
