package jollyspindle.files.json;

import com.fasterxml.jackson.databind.JsonNode;

import java.util.List;
import java.util.Optional;

/**
 * One step on the way from a file's root to a field: into a field of an object, or to an entry of a list.
 *
 * @param told as the way is told: a field's name, an entry's id, or its number
 * @param index of the entry, from 0; −1 for a field
 * @param key the entry's field that tells it from the others, if it has one
 */
record Step(String told, int index, Optional<String> key) {

    /** What tells entries of a list apart, whatever their order. */
    private static final List<String> KEYS = List.of("id", "area", "valley");

    static Step of(String field) {
        return new Step(field, -1, Optional.empty());
    }

    /** The step to an entry of a list. */
    static Step entry(JsonNode entry, int index) {
        for (String key : KEYS) {
            JsonNode value = entry.get(key);
            if (value != null && (value.isTextual() || value.isNumber())) {
                return new Step(value.asText(), index, Optional.of(key));
            }
        }
        return new Step("no. " + (index + 1), index, Optional.empty());
    }

    boolean isEntry() {
        return index >= 0;
    }
}
