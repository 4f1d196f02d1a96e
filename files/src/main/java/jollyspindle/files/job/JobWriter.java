package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.Judging;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Strip;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;
import jollyspindle.files.shelf.TemplateFields;

/** From a job to a job file's fields. */
final class JobWriter {

    private JobWriter() {}

    static ObjectNode write(QuiltJob job) {
        ObjectNode root = JobFile.FORMAT.begin();
        root.put("name", job.name());
        root.put("tape", Fields.name(job.tape()));
        TemplateFields.write(root, job.machine());
        quilt(root.putObject("quilt"), job.quilt());
        TemplateFields.write(root, job.templates());
        if (!job.judging().equals(Judging.usual())) {
            ParamFields.write(root.putObject("judging"), Judging.PARAMS, job.judging());
        }
        LayoutWriter.write(root.putArray("layouts"), job.layouts());
        AreaDesigns.write(root, job.areaDesigns());
        ClothFields.write(root, job.look());
        return root;
    }

    private static void quilt(ObjectNode node, Quilt quilt) {
        MeasuredFields.BODY.write(node, quilt);
        MeasuredFields.DIAGONALS.write(node, quilt);
        if (!quilt.easing().equals(Quilt.Easings.NONE)) {
            node.putObject("plannedAt")
                    .put("topAndBottom", Fields.name(quilt.easing().across()))
                    .put("rightAndLeft", Fields.name(quilt.easing().down()));
        }
        MeasuredFields.ALL_ROUND.write(node, quilt);
        ArrayNode borders = node.putArray("borders");
        for (int number = 1; number <= quilt.borders().size(); number++) {
            border(borders.addObject(), quilt, number);
        }
        if (!quilt.strips().isEmpty()) {
            ArrayNode strips = node.putArray("strips");
            for (GroupId id : quilt.stripIds()) {
                ParamFields.write(
                        strips.addObject().put("id", id.code()),
                        Strip.PARAMS,
                        quilt.strip(id).orElseThrow());
            }
        }
        Areas.write(node, quilt);
    }

    private static void border(ObjectNode node, Quilt quilt, int number) {
        node.put("id", GroupId.border(number).code());
        ParamFields.write(node, Border.PARAMS, quilt.border(number));
        MeasuredFields.ofBorder(number).forEach(fields -> fields.write(node, quilt));
    }
}
