package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.Counts;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.files.FileTrouble;

import java.util.Map;
import java.util.TreeMap;

/** Keeps where valleys are pinned, by their numbers. */
final class PinsField implements OwnField<Map<Integer, Double>> {

    private static final String VALLEY = "valley";
    private static final String ALONG = "along";

    @Override
    public void write(ObjectNode node, String field, Map<Integer, Double> pins) {
        ArrayNode all = node.putArray(field);
        new TreeMap<>(pins)
                .forEach((valley, along) -> all.addObject().put(VALLEY, valley).put(ALONG, along));
    }

    @Override
    public Map<Integer, Double> read(Fields fields, String field) throws FileTrouble {
        Map<Integer, Double> pins = new TreeMap<>();
        for (Fields pin : fields.objects(field, Counts.MOST)) {
            pins.put(pin.whole(VALLEY, 1, Counts.MOST), pin.number(ALONG, -QuiltRules.LONGEST, QuiltRules.LONGEST));
            pin.done();
        }
        return pins;
    }

    @Override
    public void describe(ObjectNode schema) {
        ObjectNode pin = schema.put("type", "array")
                .put("maxItems", Counts.MOST)
                .putObject("items")
                .put("type", "object");
        pin.putArray("required").add(VALLEY).add(ALONG);
        ObjectNode fields = pin.putObject("properties");
        fields.putObject(VALLEY).put("type", "integer").put("minimum", 1).put("maximum", Counts.MOST);
        fields.putObject(ALONG)
                .put("type", "number")
                .put("minimum", -QuiltRules.LONGEST)
                .put("maximum", QuiltRules.LONGEST);
    }
}
