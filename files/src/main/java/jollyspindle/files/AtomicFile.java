package jollyspindle.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;

/** Writes whole files or nothing: a part file in the same folder, flushed to the disk, then moved into place. */
public final class AtomicFile {

    /** How many earlier versions are kept. */
    public static final int VERSIONS_KEPT = 3;

    private AtomicFile() {}

    /**
     * Writes a file. Whatever goes wrong, the file that was there is still there, whole.
     *
     * @throws IOException if it can't be written
     */
    public static void write(Path target, byte[] content) throws IOException {
        // A link stays a link: what it leads to is replaced.
        Path file = Files.exists(target) ? target.toRealPath() : target.toAbsolutePath();
        Path part = file.resolveSibling(
                "." + file.getFileName() + "." + ProcessHandle.current().pid() + ".part");
        try {
            try (FileChannel channel = FileChannel.open(
                    part, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING, StandardOpenOption.WRITE)) {
                ByteBuffer buffer = ByteBuffer.wrap(content);
                while (buffer.hasRemaining()) {
                    channel.write(buffer);
                }
                channel.force(true);
            }
            try {
                Files.move(part, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            } catch (AtomicMoveNotSupportedException e) {
                Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
            }
        } finally {
            Files.deleteIfExists(part);
        }
    }

    /**
     * Writes a file as {@link #write} does, and keeps the last few versions of it beside it, the newest as
     * {@code NAME.1.bak}. Nothing is kept if nothing changed.
     *
     * @throws IOException if it can't be written
     */
    public static void writeKeepingVersions(Path target, byte[] content) throws IOException {
        if (Files.isRegularFile(target)) {
            if (Arrays.equals(Files.readAllBytes(target), content)) {
                return;
            }
            for (int age = VERSIONS_KEPT - 1; age >= 1; age--) {
                if (Files.exists(version(target, age))) {
                    Files.move(version(target, age), version(target, age + 1), StandardCopyOption.REPLACE_EXISTING);
                }
            }
            Files.copy(target, version(target, 1), StandardCopyOption.REPLACE_EXISTING);
        }
        write(target, content);
    }

    /** Where an earlier version of a file is kept; 1 is the newest. */
    public static Path version(Path target, int age) {
        return target.resolveSibling(target.getFileName() + "." + age + ".bak");
    }
}
