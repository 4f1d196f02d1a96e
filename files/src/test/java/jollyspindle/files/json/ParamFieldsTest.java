package jollyspindle.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.school.SchoolType;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.MotifType;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.shelf.form.FormType;
import jollyspindle.core.shelf.form.FormTypes;
import jollyspindle.core.shelf.form.Kind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

import static org.assertj.core.api.Assertions.assertThat;

/** Params, and the schema that is documented. */
class ParamFieldsTest {

    private static final JsonNode SCHEMA = read("job");
    private static final JsonNode TEMPLATE = read("template");

    private static JsonNode read(String name) {
        try {
            return new ObjectMapper()
                    .readTree(Path.of("../docs/" + name + ".schema.json").toFile());
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
        properties.remove(List.of("motif", "template", "number"));
        properties.forEach(p -> ((ObjectNode) p).remove("description"));
        ObjectNode wanted = ParamFields.schema(type.params());
        assertThat(sorted(properties)).isEqualTo(sorted(wanted.get("properties")));
        List<String> required = new ArrayList<>();
        described.get(0).get("required").forEach(r -> required.add(r.asText()));
        List<String> asked = new ArrayList<>(List.of("motif"));
        wanted.get("required").forEach(r -> asked.add(r.asText()));
        assertThat(required).containsExactlyInAnyOrderElementsOf(asked);
    }

    @Test
    void theSchemaSaysOfTheMotifsOfRunsWhatTheirParamsSay() {
        JsonNode layer = SCHEMA.at("/$defs/layer");
        List<String> codes = new ArrayList<>();
        layer.at("/properties/motif/enum").forEach(code -> codes.add(code.asText()));
        assertThat(codes)
                .containsExactlyElementsOf(
                        MotifTypes.ALL.stream().map(MotifType::code).toList());
        // One description for all kinds: what any of them has, in the widest range that any of them has it.
        ObjectNode described = ((ObjectNode) layer.get("properties")).deepCopy();
        described.remove(List.of("motif", "edge", "space", "cells", "template", "guide", "number"));
        described.forEach(p -> ((ObjectNode) p).remove("description"));
        ObjectNode wanted = new ObjectMapper().createObjectNode();
        for (MotifType<?> type : MotifTypes.ALL) {
            ParamFields.schema(type.params()).get("properties").properties().forEach(field -> {
                ObjectNode one = (ObjectNode) field.getValue();
                if (wanted.get(field.getKey()) instanceof ObjectNode there && there.has("minimum")) {
                    widen(there, one);
                } else {
                    wanted.set(field.getKey(), one);
                }
            });
        }
        assertThat(sorted(described)).isEqualTo(sorted(wanted));
    }

    @Test
    void theSchemaSaysOfCornersWhatTheirParamsSay() {
        JsonNode described = SCHEMA.at("/$defs/corner").deepCopy();
        undescribed(described);
        ObjectNode wanted = ParamFields.schema(CornerDesign.PARAMS);
        assertThat(sorted(described.get("properties"))).isEqualTo(sorted(wanted.get("properties")));
        assertThat(wanted.get("required")).isEmpty();
        assertThat(described.has("required")).isFalse();
    }

    static List<SchoolType<?>> schools() {
        return SchoolTypes.ALL;
    }

    @ParameterizedTest
    @MethodSource("schools")
    void theSchemaSaysOfASchoolWhatItsParamsSay(SchoolType<?> type) {
        List<JsonNode> described = new ArrayList<>();
        SCHEMA.at("/$defs/school/oneOf").forEach(one -> {
            if (one.at("/properties/school/const").asText().equals(type.code())) {
                described.add(one);
            }
        });
        assertThat(described).hasSize(1);
        ObjectNode properties = ((ObjectNode) described.get(0).get("properties")).deepCopy();
        properties.remove(List.of("id", "school"));
        undescribed(properties);
        ObjectNode wanted = ParamFields.schema(type.params());
        assertThat(sorted(properties)).isEqualTo(sorted(wanted.get("properties")));
        Set<String> asked = new TreeSet<>(Set.of("school"));
        wanted.get("required").forEach(r -> asked.add(r.asText()));
        Set<String> required = new TreeSet<>();
        described.get(0).get("required").forEach(r -> required.add(r.asText()));
        assertThat(required).isEqualTo(asked);
    }

    static List<Kind> kinds() {
        return List.of(Kind.values());
    }

    /** One description for a kind, whatever it draws: a field of one figure only need not be there. */
    @ParameterizedTest
    @MethodSource("kinds")
    void theSchemaSaysOfATemplateWhatItsParamsSay(Kind kind) {
        List<JsonNode> described = new ArrayList<>();
        TEMPLATE.get("allOf").forEach(one -> {
            if (one.at("/if/properties/kind/const").asText().equals(Codes.of(kind))) {
                described.add(one.at("/then/properties/form"));
            }
        });
        assertThat(described).hasSize(1);
        List<FormType<?>> types = FormTypes.of(kind);
        ObjectNode wanted = new ObjectMapper().createObjectNode();
        Set<String> required = new TreeSet<>();
        if (types.size() > 1) {
            ArrayNode figures = wanted.putObject("figure").putArray("enum");
            types.forEach(type -> figures.add(type.figure().orElseThrow()));
            required.add("figure");
        }
        for (FormType<?> type : types) {
            ObjectNode schema = ParamFields.schema(type.params());
            schema.get("properties").properties().forEach(p -> wanted.set(p.getKey(), p.getValue()));
            Set<String> own = new TreeSet<>();
            schema.get("required").forEach(r -> own.add(r.asText()));
            own.removeIf(r -> !types.stream()
                    .allMatch(t ->
                            ParamFields.schema(t.params()).get("properties").has(r)));
            required.addAll(own);
        }
        ObjectNode properties = ((ObjectNode) described.get(0).get("properties")).deepCopy();
        undescribed(properties);
        assertThat(sorted(properties)).isEqualTo(sorted(wanted));
        Set<String> asked = new TreeSet<>();
        described.get(0).get("required").forEach(r -> asked.add(r.asText()));
        assertThat(asked).isEqualTo(required);
    }

    private static void undescribed(JsonNode node) {
        if (node instanceof ObjectNode object) {
            object.remove("description");
        }
        node.forEach(ParamFieldsTest::undescribed);
    }

    private static void widen(ObjectNode there, ObjectNode by) {
        assertThat(by.get("type")).isEqualTo(there.get("type"));
        there.put(
                "minimum",
                Math.min(there.get("minimum").doubleValue(), by.get("minimum").doubleValue()));
        there.put(
                "maximum",
                Math.max(there.get("maximum").doubleValue(), by.get("maximum").doubleValue()));
    }

    /** As text, in no order, numbers alike whether they are whole or not. */
    private static String sorted(JsonNode node) {
        if (node.isNumber()) {
            return Double.toString(node.doubleValue());
        }
        return node.isObject()
                ? node.properties().stream()
                        .map(p -> p.getKey() + "=" + sorted(p.getValue()))
                        .sorted()
                        .toList()
                        .toString()
                : node.toString();
    }
}
