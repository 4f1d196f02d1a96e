package jollyspindle.files;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.packet.Packet;
import jollyspindle.files.packet.PaperSize;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;

import static org.assertj.core.api.Assertions.assertThat;

/** Files that somebody or something has changed: each opens or is refused in words, and what opens can be planned and saved. */
class MutatedFilesTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int FILES = Integer.getInteger("spindle.fuzz.files", 1500);

    /** A packet takes longer than a plan. */
    private static final int PACKETS = 40;

    private static final List<Double> NUMBERS =
            List.of(0.0, -1.0, 0.01, 0.0312, 0.0625, 0.5, 1.0, 7.25, 24.0, 60.0, 199.0, 200.0, 201.0, 400.0, 1e9, 1e-9);

    private static void places(JsonNode node, List<JsonNode> into) {
        if (node.isContainerNode()) {
            into.add(node);
            node.forEach(child -> places(child, into));
        }
    }

    /** Changes one thing: a number, a word, a field gone, an entry twice. */
    private static void mutate(JsonNode root, Random random) {
        List<JsonNode> all = new ArrayList<>();
        places(root, all);
        JsonNode place = all.get(random.nextInt(all.size()));
        if (place instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = new ArrayList<>();
            object.properties().forEach(field -> names.add(field.getKey()));
            String name = names.get(random.nextInt(names.size()));
            JsonNode value = object.get(name);
            switch (random.nextInt(6)) {
                case 0 -> object.remove(name);
                case 1 -> object.put(name, "x");
                case 2 -> object.putNull(name);
                default -> {
                    if (value.isNumber()) {
                        object.put(name, NUMBERS.get(random.nextInt(NUMBERS.size())));
                    } else if (value.isBoolean()) {
                        object.put(name, !value.booleanValue());
                    }
                }
            }
        } else if (place instanceof ArrayNode array && !array.isEmpty()) {
            int index = random.nextInt(array.size());
            switch (random.nextInt(3)) {
                case 0 -> array.remove(index);
                case 1 -> array.add(array.get(index).deepCopy());
                default ->
                    array.set(index, JsonNodeFactory.instance.numberNode(NUMBERS.get(random.nextInt(NUMBERS.size()))));
            }
        }
    }

    @Test
    void everyChangedFileOpensAndIsPlannedOrIsRefusedInWords() throws Exception {
        List<byte[]> files = new ArrayList<>();
        try (Stream<Path> golden = Files.list(Path.of("src", "test", "golden"))) {
            for (Path file : golden.filter(f -> f.getFileName().toString().startsWith("job-"))
                    .sorted()
                    .toList()) {
                files.add(Files.readAllBytes(file));
            }
        }
        Random random = new Random(1);
        int opened = 0;
        int refused = 0;
        for (int i = 0; i < FILES; i++) {
            byte[] content = mutated(files.get(random.nextInt(files.size())), random);
            try {
                JobFile.Opened job = JobFile.parse(content);
                opened++;
                JobFile.check(job.job());
                WorkPlan plan = Planner.plan(job.job());
                if (opened <= PACKETS && Packet.nothingToTake(plan).isEmpty()) {
                    assertThat(Packet.format(plan, PaperSize.A4)).isNotEmpty();
                }
            } catch (FileTrouble e) {
                refused++;
                assertThat(e.getMessage()).doesNotContain("Exception").endsWith(".");
            } catch (RuntimeException e) {
                throw new AssertionError("file " + i + ": " + new String(content, StandardCharsets.UTF_8), e);
            }
        }
        assertThat(opened).as("of %d", FILES).isGreaterThan(FILES / 10);
        assertThat(refused).as("of %d", FILES).isGreaterThan(FILES / 10);
    }

    private static byte[] mutated(byte[] file, Random random) throws IOException {
        if (random.nextInt(8) == 0) {
            // As a bad disk does it.
            byte[] bytes = file.clone();
            for (int i = random.nextInt(4); i >= 0; i--) {
                bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(256);
            }
            return bytes;
        }
        JsonNode root = JSON.readTree(file);
        for (int i = random.nextInt(3); i >= 0; i--) {
            mutate(root, random);
        }
        return JSON.writeValueAsBytes(root);
    }
}
