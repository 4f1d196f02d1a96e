package jollyspindle.files.json;

import com.fasterxml.jackson.core.util.DefaultIndenter;
import com.fasterxml.jackson.core.util.DefaultPrettyPrinter;
import com.fasterxml.jackson.core.util.Separators;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.area.AreaMotifType;
import jollyspindle.core.area.AreaMotifTypes;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.SchoolType;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.MotifType;
import jollyspindle.core.motif.MotifTypes;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.AreaType;
import jollyspindle.core.quilt.AreaTypes;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.FormType;
import jollyspindle.core.shelf.form.FormTypes;
import jollyspindle.core.shelf.form.Kind;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

import static org.assertj.core.api.Assertions.assertThat;

/**
 * What the documented schemas say is what the params say: kinds, fields,
 * ranges, what is usual and what must be there. Only descriptions, and the fields that all of a sort have besides, are written by
 * hand. {@code -Dspindle.golden=write} writes the schemas anew; a kind that is added is in them then.
 */
class SchemaFilesTest {

    private static final ObjectMapper JSON = new ObjectMapper();
    private static final boolean WRITE = "write".equals(System.getProperty("spindle.golden"));

    private static Path path(String name) {
        return Path.of("../docs/" + name + ".schema.json");
    }

    private static ObjectNode read(String name) {
        try {
            return (ObjectNode) JSON.readTree(path(name).toFile());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"job", "recipe", "template"})
    void sayOfEachKindWhatItsParamsSay(String name) throws IOException {
        ObjectNode schema = read(name);
        if (name.equals("template")) {
            templates(schema);
            part(schema, Template.PARAMS, List.of("kind"));
            part((ObjectNode) schema.at("/$defs/machine"), Machine.PARAMS, List.of());
        } else {
            ObjectNode parts = (ObjectNode) schema.get("$defs");
            kinds(
                    (ObjectNode) parts.get("layer"),
                    "motif",
                    params(MotifTypes.ALL, MotifType::code, MotifType::params),
                    List.of("edge", "space", "cells", "breathing", "halfStep", "template", "guide", "number"));
            corner((ObjectNode) parts.get("corner"));
            if (name.equals("job")) {
                ObjectNode job = (ObjectNode) schema.get("properties");
                part((ObjectNode) job.get("judging"), Judging.PARAMS, List.of());
                part((ObjectNode) job.at("/layouts/items/properties/wish"), Wish.PARAMS, List.of());
                part((ObjectNode) job.at("/quilt/properties/strips/items"), Strip.PARAMS, List.of("id"));
                part(
                        (ObjectNode) job.at("/quilt/properties/borders/items"),
                        Border.PARAMS,
                        List.of("id", "depth", "innerSeam", "clearance"));
                kinds(
                        (ObjectNode) schema.at("/properties/quilt/properties/areas/items"),
                        "kind",
                        params(AreaTypes.ALL, AreaType::code, AreaType::params),
                        List.of("number"));
                kinds(
                        (ObjectNode) parts.at("/areaLayers/items"),
                        "motif",
                        params(AreaMotifTypes.ALL, AreaMotifType::code, AreaMotifType::params),
                        List.of("template", "number"));
                kinds(
                        (ObjectNode) parts.get("school"),
                        "school",
                        params(SchoolTypes.ALL, SchoolType::code, SchoolType::params),
                        List.of("id"));
            }
        }
        DefaultIndenter lines = new DefaultIndenter("  ", "\n");
        DefaultPrettyPrinter printer = new DefaultPrettyPrinter(
                        Separators.createDefaultInstance().withObjectFieldValueSpacing(Separators.Spacing.AFTER))
                .withObjectIndenter(lines)
                .withArrayIndenter(lines);
        String made = JSON.writer(printer).writeValueAsString(schema) + "\n";
        if (WRITE) {
            Files.writeString(path(name), made);
        }
        assertThat(Files.readString(path(name))).isEqualTo(made);
    }

    // --- the kinds -------------------------------------------------------------------------------------------------

    /**
     * A description for each of the kinds.
     *
     * @param says the field that says which kind it is
     * @param besides what all of them have that isn't chosen; it is written by hand, with the first
     */
    private static void kinds(ObjectNode of, String says, Map<String, Params<?>> kinds, List<String> besides) {
        ArrayNode all = JSON.createArrayNode();
        Optional<ObjectNode> first = Optional.of((ObjectNode) of.at("/oneOf/0"));
        kinds.forEach((code, params) -> all.add(one(
                code,
                says,
                among(of.get("oneOf"), "/properties/" + says + "/const", code),
                first,
                ParamFields.schema(params),
                besides)));
        of.set("oneOf", all);
    }

    private static <K> Map<String, Params<?>> params(
            List<K> kinds, Function<? super K, String> code, Function<? super K, Params<?>> params) {
        Map<String, Params<?>> all = new LinkedHashMap<>();
        kinds.forEach(kind -> all.put(code.apply(kind), params.apply(kind)));
        return all;
    }

    /**
     * A description of something of which there is one kind only.
     *
     * @param besides what it has that no param says; it is written by hand, and so is whether it must be there
     */
    private static void part(ObjectNode of, Params<?> params, List<String> besides) {
        ObjectNode schema = ParamFields.schema(params);
        ObjectNode was = properties(of);
        ObjectNode next = was.deepCopy();
        next.retain(besides);
        next.setAll(described(properties(schema), was));
        List<String> required = new ArrayList<>(of.has("required") ? names(of.get("required")) : List.of());
        required.retainAll(besides);
        required.addAll(names(schema.get("required")));
        if (!required.isEmpty()) {
            ArrayNode names = of.putArray("required");
            required.forEach(names::add);
        }
        of.set("properties", next);
    }

    private static void corner(ObjectNode corner) {
        ObjectNode wanted = ParamFields.schema(CornerDesign.PARAMS);
        assertThat(wanted.get("required")).isEmpty();
        corner.set("properties", described(properties(wanted), (ObjectNode) corner.get("properties")));
    }

    /** One description for a kind, whatever it draws: a field of one figure only need not be there. */
    private static void templates(ObjectNode template) {
        ArrayNode all = JSON.createArrayNode();
        for (Kind kind : Kind.values()) {
            ObjectNode one = among(template.get("allOf"), "/if/properties/kind/const", Codes.of(kind))
                    .orElseGet(() -> {
                        ObjectNode made = JSON.createObjectNode();
                        made.putObject("if")
                                .putObject("properties")
                                .putObject("kind")
                                .put("const", Codes.of(kind));
                        made.putObject("then")
                                .putObject("properties")
                                .putObject("form")
                                .put("type", "object");
                        return made;
                    });
            form((ObjectNode) one.at("/then/properties/form"), FormTypes.of(kind));
            all.add(one);
        }
        template.set("allOf", all);
    }

    private static void form(ObjectNode form, List<FormType<?>> types) {
        ObjectNode wanted = JSON.createObjectNode();
        Set<String> required = new LinkedHashSet<>();
        if (types.size() > 1) {
            ArrayNode figures = wanted.putObject("figure").putArray("enum");
            types.forEach(type -> figures.add(type.figure().orElseThrow()));
            required.add("figure");
        }
        List<ObjectNode> schemas =
                types.stream().map(type -> ParamFields.schema(type.params())).toList();
        for (ObjectNode schema : schemas) {
            wanted.setAll(properties(schema));
            names(schema.get("required")).stream()
                    .filter(name -> schemas.stream().allMatch(s -> properties(s).has(name)))
                    .forEach(required::add);
        }
        ObjectNode was = form.get("properties") instanceof ObjectNode there ? there : JSON.createObjectNode();
        ArrayNode names = form.putArray("required");
        required.forEach(names::add);
        form.set("properties", described(wanted, was));
    }

    // --- parts of schemas ------------------------------------------------------------------------------------------

    private static Optional<ObjectNode> among(JsonNode all, String where, String code) {
        List<ObjectNode> found = new ArrayList<>();
        all.forEach(one -> {
            if (one.at(where).asText().equals(code)) {
                found.add((ObjectNode) one);
            }
        });
        assertThat(found).as(code).hasSizeLessThanOrEqualTo(1);
        return found.stream().findFirst();
    }

    /**
     * One kind of several.
     *
     * @param which the field that says which
     * @param was how it is described so far, if it is
     * @param any another of them
     * @param besides fields that all have
     */
    private static ObjectNode one(
            String code,
            String which,
            Optional<ObjectNode> was,
            Optional<ObjectNode> any,
            ObjectNode schema,
            List<String> besides) {
        ObjectNode made = JSON.createObjectNode();
        made.put("type", "object");
        was.map(w -> w.get("description")).ifPresent(text -> made.set("description", text));
        ArrayNode required = made.putArray("required").add(which);
        names(schema.get("required")).forEach(required::add);
        ObjectNode properties = made.putObject("properties");
        properties.putObject(which).put("const", code);
        properties.setAll(described(
                properties(schema),
                was.map(w -> (ObjectNode) w.get("properties")).orElseGet(JSON::createObjectNode)));
        for (String name : besides) {
            was.or(() -> any).map(w -> w.at("/properties/" + name)).ifPresent(field -> properties.set(name, field));
        }
        return made;
    }

    private static ObjectNode properties(ObjectNode schema) {
        return (ObjectNode) schema.get("properties");
    }

    private static List<String> names(JsonNode array) {
        List<String> names = new ArrayList<>();
        array.forEach(name -> names.add(name.asText()));
        return names;
    }

    /** What is described as it is now, in the words it was described with. */
    private static ObjectNode described(ObjectNode now, ObjectNode was) {
        ObjectNode made = JSON.createObjectNode();
        now.properties()
                .forEach(field -> made.set(field.getKey(), described(field.getValue(), was.get(field.getKey()))));
        return made;
    }

    private static JsonNode described(JsonNode now, JsonNode was) {
        if (now.isFloatingPointNumber() && now.doubleValue() == Math.rint(now.doubleValue())) {
            return JsonNodeFactory.instance.numberNode((long) now.doubleValue());
        }
        if (now instanceof ArrayNode array) {
            ArrayNode made = JSON.createArrayNode();
            boolean alike = was instanceof ArrayNode && was.size() == array.size();
            for (int i = 0; i < array.size(); i++) {
                made.add(described(array.get(i), alike ? was.get(i) : null));
            }
            return made;
        }
        if (!(now instanceof ObjectNode object)) {
            return now;
        }
        ObjectNode made = JSON.createObjectNode();
        // Only where it is text is it one; a field may be called so.
        if (was != null && was.path("description").isTextual()) {
            made.set("description", was.get("description"));
        }
        object.properties()
                .forEach(part -> made.set(
                        part.getKey(), described(part.getValue(), was == null ? null : was.get(part.getKey()))));
        return made;
    }
}
