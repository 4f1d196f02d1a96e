package jollyspindle.files;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;

/**
 * What a file's content was at some time, so that a change by somebody else is noticed.
 *
 * @param digest of the content
 */
public record FileStamp(String digest) {

    /** The stamp of a content. */
    public static FileStamp of(byte[] content) {
        try {
            return new FileStamp(HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(content)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    /** The stamp of a file as it is now; nothing if there is none that can be read. */
    public static Optional<FileStamp> of(Path file) {
        try {
            return Files.isRegularFile(file) ? Optional.of(of(Files.readAllBytes(file))) : Optional.empty();
        } catch (IOException e) {
            return Optional.empty();
        }
    }
}
