package jollyspindle.files.user;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;

/**
 * One window that is open, as others see it: a file in the person's folder that says which job lies on its table, and that
 * stays locked for as long as the window lives. A lock ends with its process, however that ends, and no other process can
 * take its place by having its number.
 */
public final class Session implements AutoCloseable {

    private static final String FOLDER = "sessions";
    private static final String SUFFIX = ".session";
    private static final JsonMapper JSON = new JsonMapper();
    private static final long LARGEST = 1 << 16;

    /** Locked far behind what stands in the file, so that others may read that on every system. */
    private static final long LOCKED_BYTE = 1L << 40;

    /** What this process holds: taking and letting go a lock on one of these would let go the session's own. */
    private static final Set<Path> OWN = ConcurrentHashMap.newKeySet();

    private final String id;
    private final Path file;
    private final FileChannel channel;

    /**
     * What is known of a session.
     *
     * @param id which one
     * @param job the file of the job on its table, if it has one
     */
    public record Seen(String id, Optional<Path> job) {}

    private Session(String id, Path file, FileChannel channel) {
        this.id = id;
        this.file = file;
        this.channel = channel;
    }

    /**
     * Begins a session.
     *
     * @param folder the person's, which is made if it isn't there
     * @throws IOException if nothing can be written there
     */
    public static Session begin(Path folder) throws IOException {
        Path sessions = folder.resolve(FOLDER);
        Files.createDirectories(sessions);
        String id = UUID.randomUUID().toString();
        Path file = sessions.resolve(id + SUFFIX);
        OWN.add(file.toAbsolutePath());
        FileChannel channel = FileChannel.open(
                file, StandardOpenOption.CREATE_NEW, StandardOpenOption.READ, StandardOpenOption.WRITE);
        try {
            channel.tryLock(LOCKED_BYTE, 1, false);
        } catch (IOException e) {
            // A folder that knows no locks: the session is seen as over by others, which costs no work.
            return new Session(id, file, channel);
        }
        return new Session(id, file, channel);
    }

    public String id() {
        return id;
    }

    /**
     * Says which job lies on the table.
     *
     * @throws IOException if it can't be written
     */
    public void tell(Optional<Path> job) throws IOException {
        byte[] said = JSON.createObjectNode()
                .put("job", job.map(p -> p.toAbsolutePath().toString()).orElse(null))
                .toString()
                .getBytes(StandardCharsets.UTF_8);
        channel.truncate(0);
        channel.write(ByteBuffer.wrap(said), 0);
    }

    /** Ends the session; nothing is left of it. */
    @Override
    public void close() {
        try {
            Files.deleteIfExists(file);
            channel.close();
        } catch (IOException e) {
            // The next one to look finds it over, and tidies it away.
            return;
        } finally {
            OWN.remove(file.toAbsolutePath());
        }
    }

    /** The other sessions that live. */
    public List<Seen> others() {
        List<Seen> others = new ArrayList<>();
        try (DirectoryStream<Path> files = Files.newDirectoryStream(file.getParent(), "*" + SUFFIX)) {
            for (Path other : files) {
                if (!other.equals(file) && lives(other)) {
                    others.add(seen(other));
                }
            }
        } catch (IOException e) {
            return others;
        }
        return others;
    }

    /** Whether a session lives. */
    public static boolean lives(Path folder, String id) {
        return lives(folder.resolve(FOLDER).resolve(id + SUFFIX));
    }

    /** What a session said, that may be over. */
    public static Seen seen(Path folder, String id) {
        return seen(folder.resolve(FOLDER).resolve(id + SUFFIX));
    }

    /**
     * Tidies away what is left of a session that is over.
     *
     * @throws IOException if that can't be done
     */
    public static void forget(Path folder, String id) throws IOException {
        if (!lives(folder, id)) {
            Files.deleteIfExists(folder.resolve(FOLDER).resolve(id + SUFFIX));
        }
    }

    /** The sessions that are over without having been closed. */
    public static List<String> over(Path folder) {
        List<String> over = new ArrayList<>();
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder.resolve(FOLDER), "*" + SUFFIX)) {
            for (Path file : files) {
                if (!lives(file)) {
                    over.add(seen(file).id());
                }
            }
        } catch (IOException e) {
            return over;
        }
        return over;
    }

    private static boolean lives(Path file) {
        if (OWN.contains(file.toAbsolutePath())) {
            return true;
        }
        if (!Files.isRegularFile(file)) {
            return false;
        }
        try (FileChannel channel = FileChannel.open(file, StandardOpenOption.WRITE);
                FileLock lock = channel.tryLock(LOCKED_BYTE, 1, false)) {
            return lock == null;
        } catch (OverlappingFileLockException e) {
            return true;
        } catch (IOException e) {
            return false;
        }
    }

    private static Seen seen(Path file) {
        String name = file.getFileName().toString();
        String id = name.substring(0, name.length() - SUFFIX.length());
        try {
            if (!Files.isRegularFile(file) || Files.size(file) > LARGEST) {
                return new Seen(id, Optional.empty());
            }
            JsonNode job = JSON.readTree(Files.readAllBytes(file)).path("job");
            return new Seen(id, job.isTextual() ? Optional.of(Path.of(job.textValue())) : Optional.empty());
        } catch (IOException | InvalidPathException e) {
            return new Seen(id, Optional.empty());
        }
    }
}
