package jollyspindle.files.user;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.files.AtomicFile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * What the application remembers for a person. Losing it is no loss: whatever can't be read is as if it had never been
 * written.
 *
 * @param recent job files, the latest first, at most {@link #MOST_RECENT}
 * @param dark whether the dark look is on
 * @param typeScale how large the type is; 1 is usual
 */
public record Settings(List<Path> recent, boolean dark, double typeScale) {

    public static final int MOST_RECENT = 8;

    private static final JsonMapper JSON = new JsonMapper();
    private static final long LARGEST = 1 << 20;

    public Settings {
        recent = recent.stream().distinct().limit(MOST_RECENT).toList();
    }

    public static Settings usual() {
        return new Settings(List.of(), false, 1);
    }

    /** These settings after a job file was opened or saved. */
    public Settings withRecent(Path file) {
        List<Path> all = new ArrayList<>(List.of(file.toAbsolutePath().normalize()));
        all.addAll(recent);
        return new Settings(all, dark, typeScale);
    }

    public Settings withLook(boolean isDark, double scale) {
        return new Settings(recent, isDark, scale);
    }

    /** Reads the settings kept in a folder. */
    public static Settings read(Path folder) {
        try {
            Path file = file(folder);
            if (!Files.isRegularFile(file) || Files.size(file) > LARGEST) {
                return usual();
            }
            JsonNode root = JSON.readTree(Files.readAllBytes(file));
            List<Path> recent = new ArrayList<>();
            for (JsonNode path : root.path("recent")) {
                recent.add(Path.of(path.asText()));
            }
            double scale = root.path("typeScale").asDouble(1);
            return new Settings(recent, root.path("dark").asBoolean(), scale >= 0.5 && scale <= 3 ? scale : 1);
        } catch (IOException | InvalidPathException e) {
            return usual();
        }
    }

    /**
     * Keeps the settings in a folder, which is made if it isn't there.
     *
     * @throws IOException if that can't be done
     */
    public void write(Path folder) throws IOException {
        Files.createDirectories(folder);
        ObjectNode root = JSON.createObjectNode();
        ArrayNode paths = root.putArray("recent");
        recent.forEach(path -> paths.add(path.toString()));
        root.put("dark", dark);
        root.put("typeScale", typeScale);
        AtomicFile.write(file(folder), root.toPrettyString().getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }

    private static Path file(Path folder) {
        return folder.resolve("settings.json");
    }
}
