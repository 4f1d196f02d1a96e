package jollyspindle.files.job;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;

/** Brings jobs of earlier file versions up to the newest. What makes no sense is left for the reader to tell. */
final class JobUpgrade {

    private JobUpgrade() {}

    static void apply(ObjectNode root, int from) {
        if (from == 1) {
            root.path("templates").forEach(t -> {
                if (t instanceof ObjectNode template) {
                    arcOfVersion1(template);
                }
            });
        }
    }

    /** Version 1 knew only arcs with one edge, and spread their sizes among the template's other fields. */
    private static void arcOfVersion1(ObjectNode template) {
        ObjectNode form = template.putObject("form");
        boolean hollow = template.path("edge").asText().equals("concave");
        move(template, "radius", form, hollow ? "hollow" : "bulging");
        move(template, "usableSweepDegrees", form, "usableSweepDegrees");
        move(template, "plateDepth", form, "depth");
        if (template.path("edge").isTextual()) {
            template.remove("edge");
        }
        JsonNode means = template.get("label");
        template.putObject("label").put("size", "radius").set("means", means);
        JsonNode rises = template.remove("riseLines");
        ArrayNode lines = template.putArray("lines");
        if (rises != null) {
            rises.forEach(rise -> lines.addObject()
                    .put("kind", "rise")
                    .<ObjectNode>set("value", rise)
                    .put("means", "as-stitched"));
        }
        ObjectNode material = template.putObject("material");
        move(template, "thickness", material, "thickness");
        material.put("name", "acrylic").put("tint", "amber");
    }

    private static void move(ObjectNode from, String field, ObjectNode to, String as) {
        JsonNode value = from.remove(field);
        if (value != null) {
            to.set(as, value);
        }
    }
}
