package jollyspindle.files.job;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.exc.StreamConstraintsException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.FileTrouble;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;

/** Reads and writes job files. */
public final class JobFile {

    /** What a job file's name ends in. */
    public static final String SUFFIX = ".spindle.json";

    static final String FORMAT = "jolly-spindle-job";
    static final int VERSION = 1;

    /** Far more than any job takes, and little enough to read at once. */
    private static final long LARGEST_FILE = 4L << 20;

    private static final int DEEPEST = 40;

    private static final JsonMapper JSON = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxNumberLength(1000)
                            .maxStringLength(20_000)
                            .maxNameLength(500)
                            .build())
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    /**
     * A job as it was opened.
     *
     * @param job itself
     * @param unknown what the file held that this version doesn't know
     */
    public record Opened(QuiltJob job, UnknownFields unknown) {}

    private JobFile() {}

    /**
     * Reads a job.
     *
     * @throws FileTrouble if it isn't a job this version can read, with a message that names the place
     */
    public static Opened read(Path file) throws FileTrouble {
        String name = "“" + file.getFileName() + "”";
        try {
            long size = Files.size(file);
            if (Files.isDirectory(file)) {
                throw new FileTrouble(name + " is a folder. Choose a job file, whose name ends in " + SUFFIX + ".");
            }
            if (size > LARGEST_FILE) {
                throw new FileTrouble(name + " is too big to be a job: " + (size >> 20) + " MB, and jobs have at most "
                        + (LARGEST_FILE >> 20) + " MB. Is it another file?");
            }
            return parse(Files.readAllBytes(file));
        } catch (NoSuchFileException e) {
            throw new FileTrouble(name + " isn't there. It may have been moved or renamed.", e);
        } catch (AccessDeniedException e) {
            throw new FileTrouble(name + " may not be read: this account lacks the permission.", e);
        } catch (IOException e) {
            throw new FileTrouble(name + " couldn't be read: " + e.getMessage() + ".", e);
        } catch (FileTrouble e) {
            throw e.getMessage().startsWith(name)
                    ? e
                    : new FileTrouble(name + " can't be opened. " + e.getMessage(), e);
        }
    }

    /**
     * Reads a job from a file's content.
     *
     * @throws FileTrouble if it isn't a job this version can read
     */
    public static Opened parse(byte[] content) throws FileTrouble {
        String text = decode(content);
        if (text.isBlank()) {
            throw new FileTrouble("It is empty. Is there an earlier version beside it, ending in .1.bak?");
        }
        JsonNode root;
        try {
            root = JSON.readTree(text);
        } catch (StreamConstraintsException e) {
            throw new FileTrouble(
                    "It isn't a job: " + where(e, text)
                            + " it is nested too deeply, or a name, text or number is too long.",
                    e);
        } catch (JsonProcessingException e) {
            if (e.getOriginalMessage().contains("end-of-input")) {
                throw new FileTrouble(
                        "It ends too early, " + where(e, text) + ", so a part is missing. Is there an earlier version"
                                + " beside it, ending in .1.bak?",
                        e);
            }
            throw new FileTrouble(
                    "It is damaged or not a job: what stands " + where(e, text) + " makes no sense ("
                            + Fields.shortened(e.getOriginalMessage()) + ").",
                    e);
        }
        if (!(root instanceof ObjectNode object)
                || !object.path("format").asText().equals(FORMAT)) {
            throw new FileTrouble(
                    "It isn't a Jolly Spindle job: it should say \"format\": \"" + FORMAT + "\" at its start.");
        }
        UnknownFields unknown = UnknownFields.none();
        Fields fields = new Fields(object, List.of(), unknown);
        fields.fixed("format", FORMAT);
        int version = fields.whole("version", 1, Integer.MAX_VALUE);
        if (version > VERSION) {
            throw new FileTrouble("It was written by a newer Jolly Spindle (file version " + version
                    + "; this one reads up to " + VERSION + "). Open it there, or bring this one up to date.");
        }
        return new Opened(JobReader.read(fields), unknown);
    }

    private static String decode(byte[] content) throws FileTrouble {
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(java.nio.ByteBuffer.wrap(content))
                    .toString();
            // Some editors put a byte order mark first.
            return text.startsWith("\ufeff") ? text.substring(1) : text;
        } catch (CharacterCodingException e) {
            throw new FileTrouble("It isn't a job: it holds bytes that are no text.", e);
        }
    }

    private static String where(JsonProcessingException e, String text) {
        JsonLocation at = e.getLocation() == null ? lastGood(text) : e.getLocation();
        return "in line " + at.getLineNr() + ", column " + at.getColumnNr();
    }

    /** Where the text stops making sense, for troubles that don't tell their place. */
    private static JsonLocation lastGood(String text) {
        JsonParser parser = null;
        try {
            parser = JSON.createParser(text);
            while (parser.nextToken() != null) {
                // On to where the trouble is.
            }
        } catch (IOException e) {
            return parser == null ? JsonLocation.NA : parser.currentLocation();
        }
        return parser.currentLocation();
    }

    /** A job as the bytes of a file. The same job always gives the same bytes. */
    public static byte[] format(QuiltJob job, UnknownFields unknown) {
        ObjectNode root = JobWriter.write(job);
        unknown.restore(root);
        return (root.toPrettyString() + "\n").getBytes(StandardCharsets.UTF_8);
    }

    /**
     * Writes a job, whole or not at all, and keeps the last few versions.
     *
     * @throws FileTrouble if it can't be written; what was there before still is
     */
    public static void write(Path file, QuiltJob job, UnknownFields unknown) throws FileTrouble {
        try {
            AtomicFile.writeKeepingVersions(file, format(job, unknown));
        } catch (FileSystemException e) {
            throw new FileTrouble(
                    "“" + file.getFileName() + "” couldn't be saved in "
                            + file.toAbsolutePath().getParent() + " ("
                            + (e.getReason() == null ? "not allowed or not there" : e.getReason())
                            + "). Choose another folder.",
                    e);
        } catch (IOException e) {
            throw new FileTrouble("“" + file.getFileName() + "” couldn't be saved: " + e.getMessage() + ".", e);
        }
    }
}
