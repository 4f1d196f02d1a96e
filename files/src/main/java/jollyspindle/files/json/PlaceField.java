package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.util.List;

/** Keeps a place on the quilt as two numbers: to the right of its middle, and above it. */
final class PlaceField implements OwnField<Point> {

    private static final int BOTH = 2;

    @Override
    public void write(ObjectNode node, String field, Point place) {
        node.putArray(field).add(place.x()).add(place.y());
    }

    @Override
    public Point read(Fields fields, String field) throws FileTrouble {
        List<Double> both = fields.numbers(field, -QuiltRules.LONGEST, QuiltRules.LONGEST, BOTH);
        if (both.size() != BOTH) {
            throw fields.trouble(field, FileTexts.say("field.place"));
        }
        return new Point(both.get(0), both.get(1));
    }

    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "array")
                .put("minItems", BOTH)
                .put("maxItems", BOTH)
                .putObject("items")
                .put("type", "number")
                .put("minimum", -QuiltRules.LONGEST)
                .put("maximum", QuiltRules.LONGEST);
    }
}
