package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.files.FileTrouble;

import java.util.ArrayList;
import java.util.List;

/** Keeps the corners of an outline, of a template or an appliqué. */
final class OutlineFields implements OwnField<List<OutlineForm.Corner>> {

    private static final String SWEEP = "sweepDegrees";
    private static final double MOST_SWEEP = 359;

    @Override
    public void write(ObjectNode node, String field, List<OutlineForm.Corner> outline) {
        ArrayNode corners = node.putArray(field);
        outline.forEach(c -> {
            ObjectNode corner = corners.addObject().put("x", c.x()).put("y", c.y());
            if (c.sweep() != 0) {
                Degrees.put(corner, SWEEP, c.sweep());
            }
        });
    }

    @Override
    public List<OutlineForm.Corner> read(Fields fields, String field) throws FileTrouble {
        List<OutlineForm.Corner> corners = new ArrayList<>();
        for (Fields corner : fields.objects(field, OutlineForm.MOST_CORNERS)) {
            double sweep =
                    corner.optionalDegrees(SWEEP, -MOST_SWEEP, MOST_SWEEP).orElse(0);
            corners.add(new OutlineForm.Corner(
                    corner.number("x", -Form.LARGEST, Form.LARGEST),
                    corner.number("y", -Form.LARGEST, Form.LARGEST),
                    sweep));
            corner.done();
        }
        if (corners.size() < 2) {
            throw fields.trouble(field, "an outline has two corners at least.");
        }
        return corners;
    }

    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "array").put("minItems", 2).put("maxItems", OutlineForm.MOST_CORNERS);
        ObjectNode corner = schema.putObject("items").put("type", "object");
        corner.putArray("required").add("x").add("y");
        ObjectNode fields = corner.putObject("properties");
        range(fields.putObject("x"), Form.LARGEST);
        range(fields.putObject("y"), Form.LARGEST);
        range(fields.putObject(SWEEP), MOST_SWEEP);
    }

    private static void range(ObjectNode field, double most) {
        field.put("type", "number").put("minimum", -most).put("maximum", most);
    }
}
