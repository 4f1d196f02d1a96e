package jollyspindle.files.shelf;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Degrees;
import jollyspindle.files.json.Fields;

import java.util.ArrayList;
import java.util.List;

/** Reads and writes the corners of an outline, of a template or an appliqué. */
public final class OutlineFields {

    private static final String FIELD = "corners";

    private OutlineFields() {}

    public static void write(ObjectNode node, List<OutlineForm.Corner> outline) {
        ArrayNode corners = node.putArray(FIELD);
        outline.forEach(c -> {
            ObjectNode corner = corners.addObject().put("x", c.x()).put("y", c.y());
            if (c.sweep() != 0) {
                Degrees.put(corner, "sweepDegrees", c.sweep());
            }
        });
    }

    /**
     * Reads corners.
     *
     * @throws FileTrouble if there are fewer than two, or one can't be
     */
    public static List<OutlineForm.Corner> read(Fields f) throws FileTrouble {
        List<OutlineForm.Corner> corners = new ArrayList<>();
        for (Fields corner : f.objects(FIELD, OutlineForm.MOST_CORNERS)) {
            double sweep = corner.optionalDegrees("sweepDegrees", -359, 359).orElse(0);
            corners.add(new OutlineForm.Corner(
                    corner.number("x", -Form.LARGEST, Form.LARGEST),
                    corner.number("y", -Form.LARGEST, Form.LARGEST),
                    sweep));
            corner.done();
        }
        if (corners.size() < 2) {
            throw f.trouble(FIELD, "an outline has two corners at least.");
        }
        return corners;
    }
}
