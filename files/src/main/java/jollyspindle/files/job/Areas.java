package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.LastingNumbers;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.AreaType;
import jollyspindle.core.quilt.AreaTypes;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.ArrayList;
import java.util.List;

/** Reads and writes the areas of the body. */
final class Areas {

    private static final String FIELD = "areas";
    private static final String NUMBER = "number";
    private static final String KIND = "kind";

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

    private static <A extends Area> void write(ObjectNode node, A area) {
        AreaType<A> type = AreaTypes.of(area);
        node.put(KIND, type.code());
        ParamFields.write(node, type.params(), area);
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

    private static Area area(Fields fields) throws FileTrouble {
        String code =
                fields.oneOf(KIND, AreaTypes.ALL.stream().map(AreaType::code).toList());
        return ParamFields.read(fields, AreaTypes.of(code).orElseThrow().params());
    }
}
