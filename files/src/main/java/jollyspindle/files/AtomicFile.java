package jollyspindle.files;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileSystemException;
import java.nio.file.FileSystemLoopException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.nio.file.attribute.PosixFileAttributes;
import java.nio.file.attribute.PosixFilePermission;
import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Writes whole files or nothing: a part file in the same folder, flushed to the disk, then moved into place. What a process
 * that was killed meanwhile has left of that goes when the same file is next written.
 */
public final class AtomicFile {

    /** How many earlier versions are kept. */
    public static final int VERSIONS_KEPT = 3;

    /** Longer names than this, in bytes, are cut for the files beside them, which have longer names still. */
    private static final int LONGEST_STEM = 200;

    private static final int MOST_LINKS = 40;
    private static final int TRIES = 3;
    private static final String PART = ".part";
    private static final AtomicLong COUNT = new AtomicLong();

    /** The parts this process is writing: closing any channel on one would let go its lock. */
    private static final Set<Path> OWN_PARTS = ConcurrentHashMap.newKeySet();

    /** Something to do when all is on the disk but nothing replaced yet. */
    private interface Before {
        void replacing() throws IOException;
    }

    /** What is done with a part once it is whole. */
    private interface Use {
        void of(Path part) throws IOException;
    }

    private AtomicFile() {}

    /**
     * Writes a file. Whatever goes wrong, the file that was there is still there, whole. A link stays a link: what it leads
     * to is replaced. A file keeps its permissions; one that is write-protected isn't written. What is no file, such as a
     * device or a pipe, is written to and not replaced.
     *
     * @throws IOException if it can't be written
     */
    public static void write(Path target, byte[] content) throws IOException {
        write(followed(target), content, () -> {});
    }

    /**
     * Writes a file as {@link #write} does, and keeps the last few versions of it beside it, the newest as
     * {@code NAME.1.bak}. Nothing is kept if nothing changed, or if the file can't be written.
     *
     * @throws IOException if it can't be written
     */
    public static void writeKeepingVersions(Path target, byte[] content) throws IOException {
        Path file = followed(target);
        if (Files.isRegularFile(file)) {
            refuseProtected(file);
            if (Arrays.equals(Files.readAllBytes(file), content)) {
                return;
            }
            write(file, content, () -> keepVersion(file));
        } else {
            write(file, content, () -> {});
        }
    }

    /** Where an earlier version of a file is kept; 1 is the newest. */
    public static Path version(Path target, int age) {
        return target.resolveSibling(stem(target) + "." + age + ".bak");
    }

    private static void write(Path file, byte[] content, Before before) throws IOException {
        if (Files.isDirectory(file)) {
            throw new FileSystemException(file.toString(), null, "there is a folder of that name");
        }
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            try (OutputStream out = Files.newOutputStream(file, StandardOpenOption.WRITE)) {
                out.write(content);
            }
            return;
        }
        refuseProtected(file);
        sweep(file);
        for (int attempt = 1; ; attempt++) {
            try {
                writePart(file, content, part -> {
                    before.replacing();
                    move(part, file);
                    flushFolder(file.getParent());
                });
                return;
            } catch (NoSuchFileException e) {
                // Another process may have swept the part away before it was locked.
                if (attempt == TRIES || !Files.isDirectory(file.getParent())) {
                    throw e;
                }
            }
        }
    }

    /** Writes a part beside a file, whole and flushed, does something with it, and leaves nothing of it. */
    private static void writePart(Path file, byte[] content, Use use) throws IOException {
        Path part = file.resolveSibling(
                "." + stem(file) + "." + ProcessHandle.current().pid() + "-" + COUNT.incrementAndGet() + PART);
        OWN_PARTS.add(part);
        try (FileChannel channel = FileChannel.open(part, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE)) {
            lock(channel);
            ByteBuffer buffer = ByteBuffer.wrap(content);
            while (buffer.hasRemaining()) {
                channel.write(buffer);
            }
            channel.force(true);
            likeBefore(part, file);
            use.of(part);
        } finally {
            Files.deleteIfExists(part);
            OWN_PARTS.remove(part);
        }
    }

    private static void move(Path from, Path to) throws IOException {
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    /** Keeps what stands in a file as its newest version. The file itself stays where it is all the while. */
    private static void keepVersion(Path file) throws IOException {
        Path newest = version(file, 1);
        if (Files.exists(newest) && Files.mismatch(file, newest) < 0) {
            // A run that was cut short has kept it already.
            return;
        }
        writePart(file, Files.readAllBytes(file), copy -> {
            Files.setLastModifiedTime(copy, Files.getLastModifiedTime(file));
            for (int age = VERSIONS_KEPT - 1; age >= 1; age--) {
                if (Files.exists(version(file, age))) {
                    move(version(file, age), version(file, age + 1));
                }
            }
            move(copy, newest);
        });
    }

    /** Deletes what processes that are no more have left of writing a file. */
    public static void sweep(Path file) {
        String prefix = "." + stem(file) + ".";
        try (DirectoryStream<Path> parts = Files.newDirectoryStream(
                file.getParent(), path -> isPart(path.getFileName().toString(), prefix))) {
            for (Path part : parts) {
                if (!OWN_PARTS.contains(part) && isAbandoned(part)) {
                    Files.deleteIfExists(part);
                }
            }
        } catch (IOException e) {
            // What can't be tidied up here stands in nobody's way.
            return;
        }
    }

    private static boolean isPart(String name, String prefix) {
        return name.startsWith(prefix)
                && name.endsWith(PART)
                && name.substring(prefix.length()).matches("\\d+(-\\d+)?\\.part");
    }

    /** Whoever writes a part holds a lock on it, which ends with its process. */
    private static boolean isAbandoned(Path part) {
        try (FileChannel channel = FileChannel.open(part, StandardOpenOption.WRITE, LinkOption.NOFOLLOW_LINKS);
                FileLock lock = channel.tryLock()) {
            return lock != null;
        } catch (IOException | OverlappingFileLockException e) {
            return false;
        }
    }

    private static void lock(FileChannel channel) {
        try {
            channel.tryLock();
        } catch (IOException | OverlappingFileLockException e) {
            // Some network folders know no locks; then a part is only safe from those who ask.
            return;
        }
    }

    /** Gives a part the permissions, and if it may be the owner and group, of the file it will replace. */
    private static void likeBefore(Path part, Path file) throws IOException {
        PosixFileAttributeView was = Files.getFileAttributeView(file, PosixFileAttributeView.class);
        if (was == null || !Files.exists(file)) {
            return;
        }
        PosixFileAttributes before = was.readAttributes();
        PosixFileAttributeView now = Files.getFileAttributeView(part, PosixFileAttributeView.class);
        PosixFileAttributes made = now.readAttributes();
        try {
            if (!made.group().equals(before.group())) {
                now.setGroup(before.group());
            }
            if (!made.owner().equals(before.owner())) {
                now.setOwner(before.owner());
            }
        } catch (IOException e) {
            // Only a superuser may give files away; the quilter's own name on it does no harm.
            now.setPermissions(before.permissions());
            return;
        }
        now.setPermissions(before.permissions());
    }

    private static void refuseProtected(Path file) throws IOException {
        if (!Files.exists(file)) {
            return;
        }
        PosixFileAttributeView view = Files.getFileAttributeView(file, PosixFileAttributeView.class);
        // A superuser may write everything; what the owner has protected stays protected all the same.
        boolean protectedByOwner =
                view != null && !view.readAttributes().permissions().contains(PosixFilePermission.OWNER_WRITE);
        if (protectedByOwner || !Files.isWritable(file)) {
            throw new FileSystemException(file.toString(), null, "the file is write-protected");
        }
    }

    private static void flushFolder(Path folder) {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // Not every system flushes folders; the file itself has been flushed.
            return;
        }
    }

    /** Where a path leads, through all links, whether or not there is something yet. */
    private static Path followed(Path target) throws IOException {
        Path path = target.toAbsolutePath();
        for (int links = 0; Files.isSymbolicLink(path); links++) {
            if (links == MOST_LINKS) {
                throw new FileSystemLoopException(target.toString());
            }
            path = path.resolveSibling(Files.readSymbolicLink(path));
        }
        return path;
    }

    private static String stem(Path file) {
        String name = file.getFileName().toString();
        byte[] bytes = name.getBytes(StandardCharsets.UTF_8);
        if (bytes.length <= LONGEST_STEM) {
            return name;
        }
        return FileNames.cut(name, LONGEST_STEM - 10) + "~" + String.format(Locale.ROOT, "%08x", name.hashCode());
    }
}
