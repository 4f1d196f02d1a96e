package jollyspindle.files.job;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.quilt.Side;

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
        if (from <= 2) {
            oneBorderOfVersion2(root);
        }
        if (from <= 3) {
            root.path("layouts").forEach(l -> {
                if (l instanceof ObjectNode layout) {
                    onlyArcsOfVersion3(layout);
                }
            });
        }
    }

    /** Up to version 3 single arcs were the only motif there was. */
    private static void onlyArcsOfVersion3(ObjectNode layout) {
        ObjectNode layer = layout.putArray("layers").addObject();
        move(layout, "motif", layer, "motif");
        move(layout, "template", layer, "template");
        move(layout, "edge", layer, "guide");
    }

    /** Up to version 2 a quilt had one border, divided evenly, with its facts spread among the quilt's. */
    private static void oneBorderOfVersion2(ObjectNode root) {
        if (root.get("quilt") instanceof ObjectNode quilt) {
            ObjectNode border = quilt.putArray("borders").addObject();
            border.put("id", "border-1");
            move(quilt, "corners", border, "corners");
            move(quilt, "borderDepth", border, "depth");
            move(quilt, "clearance", border, "clearance");
        }
        if (root.remove("layout") instanceof ObjectNode layout) {
            ArrayNode layouts = root.putArray("layouts");
            layouts.add(layout);
            layout.put("id", "border-1");
            if (layout.remove("division") instanceof ObjectNode division) {
                ObjectNode wish = layout.putObject("wish");
                move(division, "wantedRepeat", wish, "repeat");
                if (division.remove("counts") instanceof ObjectNode counts) {
                    ArrayNode chosen = layout.putArray("chosen");
                    for (Side side : Side.values()) {
                        chosen.addObject()
                                .put("id", Codes.of(side))
                                .put("school", "even")
                                .set("count", counts.get(side.isAcross() ? "across" : "down"));
                    }
                }
            }
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
