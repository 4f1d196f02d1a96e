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
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.files.AtomicFile;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

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

    /** So much of a file is looked at to see what it is, in bytes. */
    private static final int BEGINNING = 4096;

    private static final Pattern FORMAT = Pattern.compile("\"format\"\\s*:\\s*\"(jolly-spindle-[a-z]+)\"");

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
            // What isn't known here is kept digit for digit, and angles are read with all of theirs.
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .configure(JsonNodeFeature.STRIP_TRAILING_BIGDECIMAL_ZEROES, false)
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
        return read(file, content -> parse(content, upgrade, reader));
    }

    /** Makes something of a file's content. */
    public interface Parser<T> {

        /** Makes it. */
        T of(byte[] content) throws FileTrouble;
    }

    /**
     * Reads a file.
     *
     * @throws FileTrouble if it can't be read, with a message that names the file and the place
     */
    public <T> T read(Path file, Parser<T> parser) throws FileTrouble {
        String quoted = "“" + file.getFileName() + "”";
        try {
            if (Files.isDirectory(file)) {
                throw new FileTrouble(FileTexts.say("file.folder", "file", quoted, "thing", thing, "suffix", suffix));
            }
            long size = Files.size(file);
            if (size > LARGEST_FILE) {
                throw new FileTrouble(FileTexts.say(
                        "file.big", "file", quoted, "thing", thing, "size", size >> 20, "most", LARGEST_FILE >> 20));
            }
            return parser.of(Files.readAllBytes(file));
        } catch (NoSuchFileException e) {
            throw new FileTrouble(FileTexts.say("file.gone", "file", quoted), e);
        } catch (AccessDeniedException e) {
            throw new FileTrouble(FileTexts.say("file.forbidden", "file", quoted), e);
        } catch (IOException e) {
            throw new FileTrouble(FileTexts.say("file.unread", "file", quoted, "why", e.getMessage()), e);
        } catch (FileTrouble e) {
            throw e.getMessage().startsWith(quoted)
                    ? e
                    : new FileTrouble(FileTexts.say("file.not-opened", "file", quoted, "why", e.getMessage()), e);
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
            throw FileTrouble.ofNewer(FileTexts.say("file.newer", "found", found, "most", version));
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

    /** Reads a file's content and writes it again. */
    public interface Again {

        /** The content of the file that what was read would be written as. */
        byte[] of(byte[] content) throws FileTrouble;
    }

    /**
     * Checks that what is to be written will be read as it is.
     *
     * @throws FileTrouble if it won't, with a message that names the place
     */
    public void check(byte[] content, Again again) throws FileTrouble {
        if (content.length > LARGEST_FILE) {
            throw new FileTrouble(FileTexts.say(
                    "file.would-be-big", "thing", thing, "size", content.length >> 20, "most", LARGEST_FILE >> 20));
        }
        byte[] back;
        try {
            back = again.of(content);
        } catch (FileTrouble e) {
            throw new FileTrouble(FileTexts.say("file.not-again", "thing", thing, "why", e.getMessage()), e);
        }
        if (!Arrays.equals(content, back)) {
            throw new FileTrouble(FileTexts.say("file.another-again", "thing", thing));
        }
    }

    /** Refuses to write over one of the application's files that holds something else. */
    private void refuseOther(Path file) throws FileTrouble {
        Optional<String> there = formatOf(file);
        if (there.isPresent() && !there.get().equals(name)) {
            throw new FileTrouble(
                    FileTexts.say("file.other", "file", String.valueOf(file.getFileName()), "thing", thing));
        }
    }

    /** What a file says at its start that it is, if it is one of the application's. */
    public static Optional<String> formatOf(Path file) {
        if (!Files.isRegularFile(file)) {
            return Optional.empty();
        }
        try (InputStream in = Files.newInputStream(file)) {
            Matcher format = FORMAT.matcher(new String(in.readNBytes(BEGINNING), StandardCharsets.UTF_8));
            return format.find() ? Optional.of(format.group(1)) : Optional.empty();
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    /** Below zero or above, nothing is nothing. */
    private static void unsigned(JsonNode node) {
        if (node instanceof ObjectNode object) {
            object.properties().forEach(field -> {
                if (field.getValue().isDouble() && field.getValue().doubleValue() == 0) {
                    field.setValue(JsonNodeFactory.instance.numberNode(0.0));
                } else {
                    unsigned(field.getValue());
                }
            });
        } else if (node instanceof ArrayNode array) {
            for (int i = 0; i < array.size(); i++) {
                if (array.get(i).isDouble() && array.get(i).doubleValue() == 0) {
                    array.set(i, 0.0);
                } else {
                    unsigned(array.get(i));
                }
            }
        }
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
            throw new FileTrouble(FileTexts.say("text.deep", "thing", thing, "where", where(e, text)), e);
        } catch (JsonProcessingException e) {
            if (e.getOriginalMessage().contains("end-of-input")) {
                throw new FileTrouble(FileTexts.say("text.short", "where", where(e, text)), e);
            }
            throw new FileTrouble(
                    FileTexts.say(
                            "text.damaged",
                            "thing",
                            thing,
                            "where",
                            where(e, text),
                            "why",
                            Fields.shortened(e.getOriginalMessage())),
                    e);
        }
        if (!(root instanceof ObjectNode object)
                || !object.path("format").asText().equals(name)) {
            throw new FileTrouble(FileTexts.say("text.format", "thing", thing, "name", name));
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
            throw new FileTrouble(FileTexts.say("text.bytes", "thing", thing), e);
        }
    }

    private static String where(JsonProcessingException e, String text) {
        JsonLocation at = e.getLocation() == null ? lastGood(text) : e.getLocation();
        return FileTexts.say("text.where", "line", at.getLineNr(), "column", at.getColumnNr());
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
        unsigned(root);
        return (root.toPrettyString() + "\n").getBytes(StandardCharsets.UTF_8);
    }

    /**
     * Writes a file, whole or not at all, and keeps the last few versions. What is to be written is read back first: nothing
     * that couldn't be opened again replaces what can.
     *
     * @param again reads the content, and gives what would be written of it
     * @throws FileTrouble if it can't be written; what was there before still is
     */
    public void write(Path file, byte[] content, Again again) throws FileTrouble {
        check(content, again);
        refuseOther(file);
        try {
            AtomicFile.writeKeepingVersions(file, content);
        } catch (FileSystemException e) {
            throw new FileTrouble(
                    FileTexts.say(
                            "file.not-saved-in",
                            "file",
                            String.valueOf(file.getFileName()),
                            "folder",
                            String.valueOf(file.toAbsolutePath().getParent()),
                            "why",
                            e.getReason() == null ? "not allowed or not there" : e.getReason()),
                    e);
        } catch (IOException e) {
            throw new FileTrouble(
                    FileTexts.say("file.not-saved", "file", String.valueOf(file.getFileName()), "why", e.getMessage()),
                    e);
        }
    }
}
