package jollyspindle.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * The fields of one object in a file, read one by one. Says where it is when something is wrong, and remembers what
 * nobody asked for, so that it can be kept.
 */
public final class Fields {

    private final ObjectNode node;
    private final List<Step> path;
    private final UnknownFields unknown;
    private final Set<String> asked = new TreeSet<>();

    Fields(ObjectNode node, List<Step> path, UnknownFields unknown) {
        this.node = node;
        this.path = path;
        this.unknown = unknown;
    }

    /** Where a field stands, as it is told: {@code quilt › body › top}. */
    public String place(String field) {
        return below(Step.of(field)).stream().map(Step::told).collect(Collectors.joining(" › "));
    }

    private List<Step> below(Step step) {
        List<Step> longer = new ArrayList<>(path);
        longer.add(step);
        return longer;
    }

    public FileTrouble trouble(String field, String what) {
        return new FileTrouble(FileTexts.say("field.at", "place", place(field), "what", what));
    }

    private Optional<JsonNode> find(String field) {
        asked.add(field);
        JsonNode value = node.get(field);
        return value == null || value.isNull() ? Optional.empty() : Optional.of(value);
    }

    private JsonNode need(String field) throws FileTrouble {
        Optional<JsonNode> value = find(field);
        if (value.isEmpty()) {
            throw trouble(field, "this is missing.");
        }
        return value.get();
    }

    public String text(String field) throws FileTrouble {
        JsonNode value = need(field);
        if (!value.isTextual()) {
            throw trouble(field, FileTexts.say("field.text", "found", kind(value)));
        }
        return value.textValue();
    }

    public Optional<String> optionalText(String field) throws FileTrouble {
        return find(field).isPresent() ? Optional.of(text(field)) : Optional.empty();
    }

    public double number(String field, double least, double most) throws FileTrouble {
        return number(field, need(field), least, most);
    }

    private double number(String field, JsonNode value, double least, double most) throws FileTrouble {
        if (!value.isNumber()) {
            throw trouble(field, FileTexts.say("field.number", "found", kind(value)));
        }
        double number = value.doubleValue();
        if (!(number >= least && number <= most)) {
            throw trouble(
                    field,
                    FileTexts.say(
                            "field.range",
                            "number",
                            shortened(value.asText()),
                            "least",
                            plain(least),
                            "most",
                            plain(most)));
        }
        return number;
    }

    /** An angle, which stands there in degrees. In radians. */
    public double degrees(String field, double least, double most) throws FileTrouble {
        number(field, least, most);
        return Degrees.radians(need(field));
    }

    /** An angle in radians, which stands there in degrees, if it does. */
    public OptionalDouble optionalDegrees(String field, double least, double most) throws FileTrouble {
        return has(field) ? OptionalDouble.of(degrees(field, least, most)) : OptionalDouble.empty();
    }

    public OptionalDouble optionalNumber(String field, double least, double most) throws FileTrouble {
        Optional<JsonNode> value = find(field);
        return value.isPresent() ? OptionalDouble.of(number(field, value.get(), least, most)) : OptionalDouble.empty();
    }

    public int whole(String field, int least, int most) throws FileTrouble {
        JsonNode value = need(field);
        double number = number(field, value, least, most);
        if (number != Math.rint(number)) {
            throw trouble(field, FileTexts.say("field.whole", "number", shortened(value.asText())));
        }
        return (int) number;
    }

    public List<Double> numbers(String field, double least, double most, int mostOfThem) throws FileTrouble {
        List<Double> numbers = new ArrayList<>();
        for (JsonNode value : list(field, mostOfThem)) {
            numbers.add(number(field, value, least, most));
        }
        return numbers;
    }

    /** Texts in order. */
    public List<String> texts(String field, int mostOfThem) throws FileTrouble {
        List<String> texts = new ArrayList<>();
        for (JsonNode item : list(field, mostOfThem)) {
            if (!item.isTextual()) {
                throw trouble(field, FileTexts.say("field.texts", "found", kind(item)));
            }
            texts.add(item.textValue());
        }
        return texts;
    }

    /** True or false. */
    public boolean flag(String field) throws FileTrouble {
        JsonNode value = need(field);
        if (!value.isBoolean()) {
            throw trouble(field, FileTexts.say("field.flag", "found", kind(value)));
        }
        return value.booleanValue();
    }

    public boolean has(String field) {
        return find(field).isPresent();
    }

    /** One of a few texts. */
    public String oneOf(String field, List<String> known) throws FileTrouble {
        String text = text(field);
        if (!known.contains(text)) {
            throw trouble(
                    field, FileTexts.say("field.unknown", "text", shortened(text), "all", String.join(", ", known)));
        }
        return text;
    }

    /** One of an enum's constants, which files write in lower case with hyphens. */
    public <E extends Enum<E>> E choice(String field, Class<E> type) throws FileTrouble {
        return Codes.constant(type, oneOf(field, Codes.all(type))).orElseThrow();
    }

    /** A field that has just one known value in this version. */
    public void fixed(String field, String only) throws FileTrouble {
        String text = text(field);
        if (!text.equals(only)) {
            throw trouble(field, FileTexts.say("field.unknown-one", "text", shortened(text), "only", only));
        }
    }

    public static String name(Enum<?> constant) {
        return Codes.of(constant);
    }

    public Fields object(String field) throws FileTrouble {
        return object(field, need(field), below(Step.of(field)));
    }

    public Optional<Fields> optionalObject(String field) throws FileTrouble {
        Optional<JsonNode> value = find(field);
        return value.isPresent() ? Optional.of(object(field, value.get(), below(Step.of(field)))) : Optional.empty();
    }

    private Fields object(String field, JsonNode value, List<Step> at) throws FileTrouble {
        if (!(value instanceof ObjectNode found)) {
            throw trouble(field, FileTexts.say("field.object", "found", kind(value)));
        }
        return new Fields(found, at, unknown);
    }

    /** The objects of a list; each is told by its place in it, or by its id, and its unknown fields are kept with it. */
    public List<Fields> objects(String field, int mostOfThem) throws FileTrouble {
        List<Fields> found = new ArrayList<>();
        for (JsonNode value : list(field, mostOfThem)) {
            List<Step> at = below(Step.of(field));
            at.add(Step.entry(value, found.size()));
            found.add(object(field, value, at));
        }
        return found;
    }

    private JsonNode list(String field, int mostOfThem) throws FileTrouble {
        JsonNode value = need(field);
        if (!value.isArray()) {
            throw trouble(field, FileTexts.say("field.list", "found", kind(value)));
        }
        if (value.size() > mostOfThem) {
            throw trouble(field, FileTexts.say("field.long-list", "size", value.size(), "most", mostOfThem));
        }
        return value;
    }

    /** To be called when all known fields are read: what is left is remembered. */
    public void done() {
        for (Map.Entry<String, JsonNode> field : node.properties()) {
            if (!asked.contains(field.getKey())) {
                unknown.keep(below(Step.of(field.getKey())), field.getValue());
            }
        }
    }

    public static String shortened(String text) {
        String line = text.replaceAll("\\p{Cntrl}+", " ");
        return line.length() > 40 ? line.substring(0, 40) + "…" : line;
    }

    private static String plain(double number) {
        return number == Math.rint(number) && Math.abs(number) < 1e9 ? Long.toString((long) number) : "" + number;
    }

    private static String kind(JsonNode value) {
        return switch (value.getNodeType()) {
            case ARRAY -> "a list";
            case BOOLEAN -> "“" + value.asText() + "”";
            case NUMBER -> FileTexts.say("field.a-number", "number", shortened(value.asText()));
            case OBJECT -> "an object";
            case STRING -> FileTexts.say("field.a-text", "text", shortened(value.asText()));
            default -> "nothing";
        };
    }
}
