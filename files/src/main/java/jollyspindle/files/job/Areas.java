package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Coded;
import jollyspindle.core.code.LastingNumbers;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.words.AreaWords;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Degrees;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.OutlineFields;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads and writes the areas of the body. */
final class Areas {

    private static final String FIELD = "areas";
    private static final String NUMBER = "number";
    private static final String CLEARANCE = "clearance";
    private static final String ANGLE = "angleDegrees";

    /** Areas, as files name them. */
    private enum Kind implements Coded {
        BLOCKS("blocks"),
        MEDALLION("medallion"),
        BODY("body"),
        /** An appliqué that is an ellipse. */
        ELLIPSE("ellipse"),
        /** An appliqué with straight sides. */
        CORNERS("corners"),
        /** An appliqué of any shape. */
        DRAWN("drawn");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    private Areas() {}

    static void write(ObjectNode node, Quilt quilt) {
        if (!quilt.areas().isEmpty()) {
            ArrayNode all = node.putArray(FIELD);
            for (AreaId id : quilt.areaIds()) {
                ObjectNode one = all.addObject();
                write(one, quilt.area(id).orElseThrow());
                if (id.number() != all.size()) {
                    one.put(NUMBER, id.number());
                }
            }
        }
    }

    private static void write(ObjectNode node, Area area) {
        if (area instanceof Area.Blocks blocks) {
            node.put("kind", Fields.name(Kind.BLOCKS));
            node.put("columns", blocks.columns()).put("rows", blocks.rows());
            node.put("width", blocks.width()).put("height", blocks.height()).put("gap", blocks.gap());
        } else if (area instanceof Area.Medallion medallion) {
            node.put("kind", Fields.name(Kind.MEDALLION));
            node.put("shape", Fields.name(medallion.shape())).put("diameter", medallion.diameter());
        } else if (area instanceof Area.Applique applique) {
            outline(node, applique.outline());
        } else {
            node.put("kind", Fields.name(Kind.BODY));
        }
        node.put(CLEARANCE, area.clearance());
    }

    private static void outline(ObjectNode node, Area.Outline outline) {
        if (outline instanceof Area.Ellipse ellipse) {
            node.put("kind", Fields.name(Kind.ELLIPSE));
            place(node, ellipse.centre(), ellipse.turned());
            node.put("width", ellipse.width()).put("height", ellipse.height());
        } else if (outline instanceof Area.Drawn drawn) {
            node.put("kind", Fields.name(Kind.DRAWN));
            place(node, drawn.centre(), drawn.turned());
            OutlineFields.write(node, drawn.shape().corners());
        } else {
            node.put("kind", Fields.name(Kind.CORNERS));
            ArrayNode corners = node.putArray("corners");
            ((Area.Corners) outline)
                    .corners()
                    .forEach(c -> corners.addObject().put("x", c.x()).put("y", c.y()));
        }
    }

    private static void place(ObjectNode node, Point centre, double turned) {
        node.put("x", centre.x()).put("y", centre.y());
        Degrees.put(node, ANGLE, turned);
    }

    /**
     * Reads the areas.
     *
     * @param numbers theirs are added to these
     */
    static List<Area> read(Fields quilt, List<Integer> numbers) throws FileTrouble {
        List<Area> areas = new ArrayList<>();
        if (!quilt.has(FIELD)) {
            return areas;
        }
        for (Fields area : quilt.objects(FIELD, Area.MOST_AREAS)) {
            areas.add(area(area));
            numbers.add(area.has(NUMBER) ? area.whole(NUMBER, 1, LastingNumbers.MOST) : areas.size());
            area.done();
        }
        return areas;
    }

    private static Area area(Fields f) throws FileTrouble {
        Kind kind = f.choice("kind", Kind.class);
        double clearance = f.optionalNumber(CLEARANCE, 0, QuiltRules.LONGEST).orElse(0);
        return switch (kind) {
            case BLOCKS ->
                new Area.Blocks(
                        f.whole("columns", 1, Area.MOST),
                        f.whole("rows", 1, Area.MOST),
                        length(f, "width"),
                        length(f, "height"),
                        f.number("gap", 0, QuiltRules.LONGEST),
                        clearance);
            case MEDALLION ->
                new Area.Medallion(
                        f.has("shape") ? f.choice("shape", Area.Shape.class) : Area.Shape.ROUND,
                        length(f, "diameter"),
                        clearance);
            case BODY -> new Area.Body(clearance);
            case ELLIPSE ->
                new Area.Applique(
                        new Area.Ellipse(point(f), length(f, "width"), length(f, "height"), angle(f)), clearance);
            case CORNERS -> new Area.Applique(corners(f), clearance);
            case DRAWN ->
                new Area.Applique(
                        new Area.Drawn(new OutlineForm(OutlineFields.read(f), false), point(f), angle(f)), clearance);
        };
    }

    private static double length(Fields f, String field) throws FileTrouble {
        return f.number(field, QuiltRules.SMALLEST, QuiltRules.LONGEST);
    }

    private static double angle(Fields f) throws FileTrouble {
        return f.optionalDegrees(ANGLE, -360, 360).orElse(0);
    }

    private static Point point(Fields f) throws FileTrouble {
        return new Point(
                f.number("x", -QuiltRules.LONGEST, QuiltRules.LONGEST),
                f.number("y", -QuiltRules.LONGEST, QuiltRules.LONGEST));
    }

    private static Area.Corners corners(Fields area) throws FileTrouble {
        List<Point> corners = new ArrayList<>();
        for (Fields corner : area.objects("corners", Area.MOST_CORNERS)) {
            corners.add(point(corner));
            corner.done();
        }
        Optional<Area.Corners.Difficulty> difficulty = Area.Corners.difficulty(corners);
        if (difficulty.isPresent()) {
            throw area.trouble("corners", AreaWords.difficulty(difficulty.get()));
        }
        return new Area.Corners(corners);
    }
}
