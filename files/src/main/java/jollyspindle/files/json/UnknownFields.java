package jollyspindle.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import java.util.ArrayList;
import java.util.List;

/** What a file held that this version doesn't know, and where, so that saving doesn't lose it. */
public final class UnknownFields {

    private record Kept(List<String> path, JsonNode value) {}

    private final List<Kept> kept = new ArrayList<>();

    private UnknownFields() {}

    /** What a new file has: nothing. */
    public static UnknownFields none() {
        return new UnknownFields();
    }

    void keep(List<String> path, JsonNode value) {
        kept.add(new Kept(List.copyOf(path), value.deepCopy()));
    }

    /** Puts everything back whose place is still there. */
    public void restore(ObjectNode root) {
        for (Kept field : kept) {
            JsonNode place = root;
            for (String step : field.path().subList(0, field.path().size() - 1)) {
                place = place == null ? null : into(place, step);
            }
            if (place instanceof ObjectNode object) {
                object.set(field.path().get(field.path().size() - 1), field.value());
            }
        }
    }

    private static JsonNode into(JsonNode place, String step) {
        if (place.isArray()) {
            for (JsonNode entry : place) {
                if (entry.path("id").asText().equals(step)) {
                    return entry;
                }
            }
            return null;
        }
        return place.get(step);
    }
}
