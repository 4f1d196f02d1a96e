package jollyspindle.files.job;

import jollyspindle.core.plan.QuiltJob;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.user.Session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Keeps what isn't saved yet in the person's folder, one file a session, so that a crash or a power cut loses nothing. What
 * a session that is over has left there can be brought back.
 */
public final class Autosave implements AutoCloseable {

    private static final Pattern NAME = Pattern.compile("unsaved-([0-9a-f-]+)" + Pattern.quote(JobFile.SUFFIX));

    private final Path folder;
    private Session session;
    private Optional<Path> at = Optional.empty();

    /**
     * What a session that is over has left.
     *
     * @param kept where it is kept
     * @param id of the session
     * @param file the job's own file, if it had one
     * @param time when it was kept
     */
    public record Left(Path kept, String id, Optional<Path> file, FileTime time) {

        /**
         * Reads the job.
         *
         * @throws FileTrouble if it can't be read
         */
        public JobFile.Opened read() throws FileTrouble {
            return JobFile.read(kept);
        }
    }

    /**
     * An autosave for a window; it begins its session when something is first said or kept.
     *
     * @param folder made when it is first needed
     */
    public Autosave(Path folder) {
        this.folder = folder;
    }

    private Session session() throws IOException {
        if (session == null) {
            session = Session.begin(folder);
            session.tell(at);
        }
        return session;
    }

    private Path file() throws IOException {
        return folder.resolve("unsaved-" + session().id() + JobFile.SUFFIX);
    }

    /**
     * Says which file the job on the table has.
     *
     * @return whether another window has the same one open
     * @throws IOException if nothing can be written into the person's folder
     */
    public synchronized boolean at(Optional<Path> job) throws IOException {
        at = job;
        session().tell(job);
        return job.isPresent()
                && session().others().stream()
                        .flatMap(other -> other.job().stream())
                        .anyMatch(other -> same(other, job.get()));
    }

    private static boolean same(Path a, Path b) {
        try {
            return Files.exists(a) && Files.exists(b) ? Files.isSameFile(a, b) : a.equals(b.toAbsolutePath());
        } catch (IOException e) {
            return a.equals(b.toAbsolutePath());
        }
    }

    /**
     * Keeps a job in place of the one kept before.
     *
     * @throws IOException if it can't be written
     */
    public synchronized void keep(QuiltJob job, UnknownFields unknown) throws IOException {
        AtomicFile.write(file(), JobFile.format(job, unknown));
    }

    /**
     * Forgets what is kept, once it is saved or let go.
     *
     * @throws IOException if it can't be deleted
     */
    public synchronized void forget() throws IOException {
        if (session != null) {
            Files.deleteIfExists(file());
        }
    }

    /** Ends the session: what is kept was saved or let go. */
    @Override
    public synchronized void close() throws IOException {
        if (session != null) {
            Files.deleteIfExists(file());
            session.close();
            session = null;
        }
    }

    /** Where this session keeps what isn't saved; nothing as long as it keeps nothing. */
    public synchronized Optional<Path> kept() throws IOException {
        return session == null ? Optional.empty() : Optional.of(file()).filter(Files::exists);
    }

    /**
     * Tidies away what a session that is over has left, once it was brought back or let go.
     *
     * @throws IOException if it can't be deleted
     */
    public void tidy(Left left) throws IOException {
        Files.deleteIfExists(left.kept());
        AtomicFile.sweep(left.kept());
        Session.forget(folder, left.id());
    }

    /** What sessions that are over have left in a folder, the latest first. */
    public static List<Left> leftIn(Path folder) {
        List<Left> left = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path path : files.toList()) {
                Matcher name = NAME.matcher(path.getFileName().toString());
                if (name.matches() && !Session.lives(folder, name.group(1))) {
                    left.add(new Left(
                            path,
                            name.group(1),
                            Session.seen(folder, name.group(1)).job(),
                            Files.getLastModifiedTime(path)));
                }
            }
        } catch (IOException e) {
            return List.of();
        }
        left.sort(Comparator.comparing(Left::time).reversed());
        return left;
    }

    /** Tidies away what is left of sessions that are over and left nothing to bring back, parts of files among it. */
    public static void tidyUp(Path folder) {
        for (String id : Session.over(folder)) {
            Path kept = folder.resolve("unsaved-" + id + JobFile.SUFFIX);
            try {
                AtomicFile.sweep(kept);
                if (!Files.exists(kept)) {
                    Session.forget(folder, id);
                }
            } catch (IOException e) {
                // What can't be tidied up here stands in nobody's way.
                continue;
            }
        }
    }
}
