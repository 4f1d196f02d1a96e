package jollyspindle.files.json;

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
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
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

/**
 * One of the application's file formats.
 *
 * @param thing what such a file holds, in the quilter's words: {@code job}
 * @param name what {@code format} says at its start
 * @param version the newest, which is written
 * @param suffix what such files' names end in
 */
public record JsonFormat(String thing, String name, int version, String suffix) {

    /** Far more than any file takes, and little enough to read at once. */
    private static final long LARGEST_FILE = 8L << 20;

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
     * Makes something of a file's fields.
     *
     * @param <T> what
     */
    public interface Reader<T> {

        /**
         * Reads.
         *
         * @param fields of the newest version
         * @param unknown where what isn't asked for goes
         */
        T read(Fields fields, UnknownFields unknown) throws FileTrouble;
    }

    /** Brings the fields of an older version up to the newest one. */
    public interface Upgrade {

        /** Changes the root in place, from a version to the newest. */
        void apply(ObjectNode root, int from);
    }

    /**
     * Reads a file.
     *
     * @throws FileTrouble if it can't be read, with a message that names the file and the place
     */
    public <T> T read(Path file, Upgrade upgrade, Reader<T> reader) throws FileTrouble {
        String quoted = "“" + file.getFileName() + "”";
        try {
            if (Files.isDirectory(file)) {
                throw new FileTrouble(
                        quoted + " is a folder. Choose a " + thing + " file, whose name ends in " + suffix + ".");
            }
            long size = Files.size(file);
            if (size > LARGEST_FILE) {
                throw new FileTrouble(quoted + " is too big to be a " + thing + ": " + (size >> 20) + " MB, and a "
                        + thing + " has at most " + (LARGEST_FILE >> 20) + " MB. Is it another file?");
            }
            return parse(Files.readAllBytes(file), upgrade, reader);
        } catch (NoSuchFileException e) {
            throw new FileTrouble(quoted + " isn't there. It may have been moved or renamed.", e);
        } catch (AccessDeniedException e) {
            throw new FileTrouble(quoted + " may not be read: this account lacks the permission.", e);
        } catch (IOException e) {
            throw new FileTrouble(quoted + " couldn't be read: " + e.getMessage() + ".", e);
        } catch (FileTrouble e) {
            throw e.getMessage().startsWith(quoted)
                    ? e
                    : new FileTrouble(quoted + " can't be opened. " + e.getMessage(), e);
        }
    }

    /**
     * Reads a file's content.
     *
     * @throws FileTrouble if it isn't what this format describes
     */
    public <T> T parse(byte[] content, Upgrade upgrade, Reader<T> reader) throws FileTrouble {
        ObjectNode root = root(content);
        UnknownFields unknown = UnknownFields.none();
        int found = new Fields(root, java.util.List.of(), unknown).whole("version", 1, Integer.MAX_VALUE);
        if (found > version) {
            throw new FileTrouble("It was written by a newer Jolly Spindle (file version " + found
                    + "; this one reads up to " + version + "). Open it there, or bring this one up to date.");
        }
        if (found < version) {
            upgrade.apply(root, found);
            root.put("version", version);
        }
        Fields fields = new Fields(root, java.util.List.of(), unknown);
        fields.fixed("format", name);
        fields.whole("version", 1, version);
        return reader.read(fields, unknown);
    }

    private ObjectNode root(byte[] content) throws FileTrouble {
        String text = decode(content);
        if (text.isBlank()) {
            throw new FileTrouble("It is empty. Is there an earlier version beside it, ending in .1.bak?");
        }
        JsonNode root;
        try {
            root = JSON.readTree(text);
        } catch (StreamConstraintsException e) {
            throw new FileTrouble(
                    "It isn't a " + thing + ": " + where(e, text)
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
                    "It is damaged or not a " + thing + ": what stands " + where(e, text) + " makes no sense ("
                            + Fields.shortened(e.getOriginalMessage()) + ").",
                    e);
        }
        if (!(root instanceof ObjectNode object)
                || !object.path("format").asText().equals(name)) {
            throw new FileTrouble(
                    "It isn't a Jolly Spindle " + thing + ": it should say \"format\": \"" + name + "\" at its start.");
        }
        return object;
    }

    private String decode(byte[] content) throws FileTrouble {
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
            throw new FileTrouble("It isn't a " + thing + ": it holds bytes that are no text.", e);
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

    /** The root of a new file, with what every file of this format begins with. */
    public ObjectNode begin() {
        return JsonNodeFactory.instance.objectNode().put("format", name).put("version", version);
    }

    /** A file's bytes. The same root always gives the same bytes. */
    public static byte[] bytes(ObjectNode root) {
        return (root.toPrettyString() + "\n").getBytes(StandardCharsets.UTF_8);
    }

    /**
     * Writes a file, whole or not at all, and keeps the last few versions.
     *
     * @throws FileTrouble if it can't be written; what was there before still is
     */
    public static void write(Path file, byte[] content) throws FileTrouble {
        try {
            AtomicFile.writeKeepingVersions(file, content);
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
