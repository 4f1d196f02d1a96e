package jollyspindle.files.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * What a file held that this version doesn't know, and where, so that saving doesn't lose it. An entry of a list is found
 * again by what tells it from the others; where nothing does, by what stood in it, or else by its place.
 */
public final class UnknownFields {

    /** One field that is kept, with what each entry on the way to it held of what is known. */
    private record Kept(List<Step> path, JsonNode value, List<JsonNode> anchors) {}

    private List<Kept> kept = new ArrayList<>();

    private UnknownFields() {}

    /** What a new file has: nothing. */
    public static UnknownFields none() {
        return new UnknownFields();
    }

    void keep(List<Step> path, JsonNode value) {
        kept.add(new Kept(List.copyOf(path), value.deepCopy(), List.of()));
    }

    /**
     * Remembers what stands round everything kept, so that it is found again when entries were taken out or put in before it.
     *
     * @param asRead what was read, written again without what is unknown
     */
    public void anchor(ObjectNode asRead) {
        List<Kept> anchored = new ArrayList<>();
        for (Kept field : kept) {
            List<JsonNode> entries = new ArrayList<>();
            JsonNode place = asRead;
            for (Step step : field.path().subList(0, field.path().size() - 1)) {
                place = step.isEntry() ? entry(place, step, null) : place.path(step.told());
                if (step.isEntry()) {
                    entries.add(place.deepCopy());
                }
            }
            anchored.add(new Kept(field.path(), field.value(), List.copyOf(entries)));
        }
        kept = anchored;
    }

    /**
     * Puts everything back whose place is still there.
     *
     * @param root of what is known
     * @param mayBeLeftOut objects that aren't written while all in them is as usual; these are made anew for what they held
     */
    public void restore(ObjectNode root, Set<String> mayBeLeftOut) {
        // All places first: what is put back would make entries look unlike what they were.
        List<ObjectNode> places = new ArrayList<>();
        for (Kept field : kept) {
            places.add(place(root, field, mayBeLeftOut));
        }
        for (int i = 0; i < places.size(); i++) {
            if (places.get(i) != null) {
                List<Step> path = kept.get(i).path();
                places.get(i).set(path.get(path.size() - 1).told(), kept.get(i).value());
            }
        }
    }

    private static ObjectNode place(ObjectNode root, Kept field, Set<String> mayBeLeftOut) {
        JsonNode place = root;
        int entries = 0;
        for (Step step : field.path().subList(0, field.path().size() - 1)) {
            if (step.isEntry()) {
                JsonNode anchor =
                        entries < field.anchors().size() ? field.anchors().get(entries) : null;
                place = entry(place, step, anchor);
                entries++;
            } else if (place instanceof ObjectNode object
                    && !object.has(step.told())
                    && mayBeLeftOut.contains(step.told())) {
                place = object.putObject(step.told());
            } else {
                place = place.path(step.told());
            }
        }
        return place instanceof ObjectNode object ? object : null;
    }

    private static JsonNode entry(JsonNode list, Step step, JsonNode anchor) {
        if (step.key().isPresent()) {
            for (JsonNode entry : list) {
                if (entry.path(step.key().get()).asText().equals(step.told())) {
                    return entry;
                }
            }
            return list.path(list.size());
        }
        JsonNode there = list.path(step.index());
        if (anchor == null || anchor.equals(there)) {
            return there;
        }
        for (JsonNode entry : list) {
            if (entry.equals(anchor)) {
                return entry;
            }
        }
        return there;
    }
}
