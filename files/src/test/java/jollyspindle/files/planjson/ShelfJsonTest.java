package jollyspindle.files.planjson;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.shelf.Find;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.StarterShelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.TemplateFinder;
import org.junit.jupiter.api.Test;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

class ShelfJsonTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final List<Template> SHELF = StarterShelf.templates();

    private static JsonNode find(List<Template> shelf, Find.Wanted wanted) throws IOException {
        Machine machine = Machine.usual();
        return JSON.readTree(
                ShelfJson.format(new TemplateFinder(shelf, machine).find(wanted), machine, TapeScale.SIXTEENTHS));
    }

    private static void names(JsonNode node, Set<String> found) {
        for (var field : node.properties()) {
            found.add(field.getKey());
            // What a value says is documented too, where it is one of a few.
            if (Set.of("fact", "change", "for").contains(field.getKey())) {
                found.add(field.getValue().asText());
            }
            names(field.getValue(), found);
        }
        if (node.isArray()) {
            node.forEach(entry -> names(entry, found));
        }
    }

    @Test
    void everyNameIsDocumented() throws IOException {
        String document = Files.readString(Path.of("../docs/plan-format.md"));
        Set<String> found = new TreeSet<>();
        names(JSON.readTree(ShelfJson.format(SHELF, Machine.usual(), TapeScale.SIXTEENTHS)), found);
        for (Find.Wanted wanted : List.of(
                new Find.Wanted.Span(6, 4, Optional.of(1.5)),
                new Find.Wanted.Circle(2),
                new Find.Wanted.Rings(1, 6),
                new Find.Wanted.Fan(8, 0.5),
                new Find.Wanted.Block(4.5),
                new Find.Wanted.Strip(4))) {
            names(find(SHELF, wanted), found);
            JsonNode none = find(List.of(), wanted);
            names(none, found);
            assertThat(none.path("missing").path("text").asText()).startsWith("Nothing on the shelf does this.");
        }
        assertThat(found).hasSizeGreaterThan(70);
        assertThat(found.stream()
                        .filter(name -> !document.contains("`" + name + "`") && !document.contains("`" + name + "[]`")))
                .isEmpty();
    }

    @Test
    void agreesWithHandReckoning() throws IOException {
        JsonNode shelf = JSON.readTree(ShelfJson.format(
                List.of(StarterShelf.template("orchard-hill")), new Machine(0.245), TapeScale.SIXTEENTHS));
        JsonNode hill = shelf.path("templates").get(0);
        assertThat(hill.path("facts").get(0).path("radius").asDouble()).isCloseTo(3.995, within(1e-9));
        JsonNode two = hill.path("facts").get(3);
        assertThat(two.path("line").asDouble()).isEqualTo(2);
        // The line lies 1.75 below the acrylic's crown; rise 1.75 + 0.245, span 2·√(2Rh − h²).
        assertThat(two.path("rise").asDouble()).isCloseTo(1.995, within(1e-9));
        assertThat(two.path("span").asDouble())
                .isCloseTo(2 * Math.sqrt(2 * 3.995 * 1.995 - 1.995 * 1.995), within(1e-9));
        assertThat(hill.path("lines")
                        .get(0)
                        .path("paths")
                        .get(0)
                        .get(0)
                        .path("radius")
                        .asDouble())
                .isCloseTo(3.995, within(1e-9));
        JsonNode found = find(SHELF, new Find.Wanted.Circle(1.75));
        assertThat(found.path("matches").get(0).path("template").asText()).isEqualTo("pebble-plate");
        assertThat(found.path("matches").get(0).path("guide").asText()).isEqualTo("hole-3");
        assertThat(found.path("matches").get(0).path("off").asDouble()).isZero();
    }
}
