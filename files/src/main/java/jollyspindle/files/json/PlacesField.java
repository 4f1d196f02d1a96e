package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.words.AreaWords;
import jollyspindle.files.FileTrouble;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Keeps the corners of an appliqué with straight sides. */
final class PlacesField implements OwnField<List<Point>> {

    @Override
    public void write(ObjectNode node, String field, List<Point> places) {
        ArrayNode all = node.putArray(field);
        places.forEach(p -> all.addObject().put("x", p.x()).put("y", p.y()));
    }

    @Override
    public List<Point> read(Fields fields, String field) throws FileTrouble {
        List<Point> places = new ArrayList<>();
        for (Fields place : fields.objects(field, Area.MOST_CORNERS)) {
            places.add(new Point(
                    place.number("x", -QuiltRules.LONGEST, QuiltRules.LONGEST),
                    place.number("y", -QuiltRules.LONGEST, QuiltRules.LONGEST)));
            place.done();
        }
        Optional<Area.Corners.Difficulty> difficulty = Area.Corners.difficulty(places);
        if (difficulty.isPresent()) {
            throw fields.trouble(field, AreaWords.difficulty(difficulty.get()));
        }
        return places;
    }

    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "array").put("minItems", 3).put("maxItems", Area.MOST_CORNERS);
        ObjectNode place = schema.putObject("items").put("type", "object");
        place.putArray("required").add("x").add("y");
        ObjectNode fields = place.putObject("properties");
        for (String name : List.of("x", "y")) {
            fields.putObject(name)
                    .put("type", "number")
                    .put("minimum", -QuiltRules.LONGEST)
                    .put("maximum", QuiltRules.LONGEST);
        }
    }
}
