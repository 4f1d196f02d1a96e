package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Judging;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Border;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;
import jollyspindle.files.shelf.TemplateFields;

/** From a job to a job file's fields. */
final class JobWriter {

    static final String DOWN = "topLeftToBottomRight";
    static final String BATTING = "battingGap";
    static final String UP = "bottomLeftToTopRight";

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
        return root;
    }

    private static void quilt(ObjectNode node, Quilt quilt) {
        ObjectNode body = node.putObject("body");
        for (Side side : Side.values()) {
            put(body, Codes.of(side), quilt, Dimension.body(side));
        }
        ObjectNode diagonals = node.putObject("diagonals");
        put(diagonals, DOWN, quilt, Dimension.DIAGONAL_DOWN);
        put(diagonals, UP, quilt, Dimension.DIAGONAL_UP);
        if (!quilt.easing().equals(Quilt.Easings.NONE)) {
            node.putObject("plannedAt")
                    .put("topAndBottom", Fields.name(quilt.easing().across()))
                    .put("rightAndLeft", Fields.name(quilt.easing().down()));
        }
        put(node, "reserve", quilt, Dimension.RESERVE);
        put(node, BATTING, quilt, Dimension.BATTING);
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
        Border border = quilt.border(number);
        node.put("id", GroupId.border(number).code());
        ParamFields.write(node, Border.PARAMS, border);
        ObjectNode depth = node.putObject("depth");
        for (Side side : Side.values()) {
            put(depth, Codes.of(side), quilt, Dimension.depth(number, side));
        }
        boolean seams = number > 1
                && quilt.measured().keySet().stream()
                        .anyMatch(d -> d.kind() == Dimension.Kind.SEAM && d.border() == number);
        if (seams) {
            ObjectNode seam = node.putObject("innerSeam");
            for (Side side : Side.values()) {
                put(seam, Codes.of(side), quilt, Dimension.seam(number, side));
            }
        }
        put(node, "clearance", quilt, Dimension.clearance(number));
    }

    private static void put(ObjectNode node, String field, Quilt quilt, Dimension dimension) {
        Double value = quilt.measured().get(dimension);
        if (value != null) {
            node.put(field, value);
        }
    }
}
