package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolType;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.Map;

/** From what was decided for borders and strips to a job file's fields. */
final class LayoutWriter {

    private LayoutWriter() {}

    static void write(ArrayNode nodes, Map<GroupId, RunLayout> layouts) {
        layouts.forEach((id, layout) -> write(nodes.addObject(), id, layout));
    }

    private static void write(ObjectNode node, GroupId id, RunLayout layout) {
        node.put("id", id.code());
        DesignWriter.write(node, layout.design());
        ParamFields.write(node.putObject("wish"), Wish.PARAMS, layout.wish());
        layout.tie().ifPresent(tie -> node.putObject("tie").put("to", tie.to()).put("ratio", Fields.name(tie.ratio())));
        if (!layout.chosen().isEmpty()) {
            ArrayNode chosen = node.putArray("chosen");
            layout.chosen().forEach((run, school) -> school(chosen.addObject(), run, school));
        }
    }

    private static <S extends School> void school(ObjectNode node, RunId run, S school) {
        SchoolType<S> type = SchoolTypes.of(school);
        node.put("id", run.code());
        node.put("school", type.code());
        ParamFields.write(node, type.params(), school);
    }
}
