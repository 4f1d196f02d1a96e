package jollyspindle.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

import static org.assertj.core.api.Assertions.assertThat;

/** Params, and the schema that is documented. */
class ParamFieldsTest {

    private static final JsonNode SCHEMA = read();

    private static JsonNode read() {
        try {
            return new ObjectMapper()
                    .readTree(Path.of("../docs/job.schema.json").toFile());
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    static List<AreaMotifType<?>> areaMotifs() {
        return AreaMotifTypes.ALL;
    }

    @ParameterizedTest
    @MethodSource("areaMotifs")
    void theSchemaSaysOfAMotifWhatItsParamsSay(AreaMotifType<?> type) {
        List<JsonNode> described = new ArrayList<>();
        SCHEMA.at("/$defs/areaLayers/items/oneOf").forEach(one -> {
            if (one.at("/properties/motif/const").asText().equals(type.code())) {
                described.add(one);
            }
        });
        assertThat(described).as(type.code()).hasSize(1);
        ObjectNode properties = ((ObjectNode) described.get(0).get("properties")).deepCopy();
        properties.remove(List.of("motif", "template"));
        properties.forEach(p -> ((ObjectNode) p).remove("description"));
        ObjectNode wanted = ParamFields.schema(type.params());
        assertThat(sorted(properties)).isEqualTo(sorted(wanted.get("properties")));
        List<String> required = new ArrayList<>();
        described.get(0).get("required").forEach(r -> required.add(r.asText()));
        List<String> asked = new ArrayList<>(List.of("motif"));
        wanted.get("required").forEach(r -> asked.add(r.asText()));
        assertThat(required).containsExactlyInAnyOrderElementsOf(asked);
    }

    /** As text, numbers alike whether they are whole or not. */
    private static String sorted(JsonNode node) {
        List<String> all = new ArrayList<>();
        node.properties().forEach(field -> {
            List<String> said = new ArrayList<>();
            field.getValue()
                    .properties()
                    .forEach(p -> said.add(p.getKey() + "="
                            + (p.getValue().isNumber()
                                    ? "" + p.getValue().doubleValue()
                                    : p.getValue().toString())));
            said.sort(null);
            all.add(field.getKey() + said);
        });
        all.sort(null);
        return String.join("\n", all);
    }
}
