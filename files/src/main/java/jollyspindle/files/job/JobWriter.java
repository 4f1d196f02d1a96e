package jollyspindle.files.job;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;
import jollyspindle.files.json.Fields;
import jollyspindle.files.shelf.TemplateWriter;

/** From a job to a job file's fields. */
final class JobWriter {

    static final String DOWN = "topLeftToBottomRight";
    static final String UP = "bottomLeftToTopRight";
    static final String ARCS = "arcs";
    static final String EVEN = "even";

    private JobWriter() {}

    static ObjectNode write(QuiltJob job) {
        ObjectNode root = JobFile.FORMAT.begin();
        root.put("name", job.name());
        root.put("tape", Fields.name(job.tape()));
        TemplateWriter.machine(root.putObject("machine"), job.machine());
        quilt(root.putObject("quilt"), job.quilt());
        TemplateWriter.templates(root.putArray("templates"), job.templates());
        ObjectNode layout = root.putObject("layout");
        layout.put("motif", ARCS);
        job.layout().templateId().ifPresent(id -> layout.put("template", id));
        job.layout().guideId().ifPresent(id -> layout.put("edge", id));
        ObjectNode division = layout.putObject("division");
        division.put("school", EVEN);
        division.put("wantedRepeat", job.layout().wantedRepeat());
        job.layout().counts().ifPresent(counts -> division.putObject("counts")
                .put("across", counts.across())
                .put("down", counts.down()));
        return root;
    }

    private static void quilt(ObjectNode node, Quilt quilt) {
        node.put("corners", Fields.name(quilt.corners()));
        ObjectNode body = node.putObject("body");
        ObjectNode depth = node.putObject("borderDepth");
        for (Side side : Side.values()) {
            put(body, Words.name(side), quilt, Dimension.body(side));
            put(depth, Words.name(side), quilt, Dimension.depth(side));
        }
        ObjectNode diagonals = node.putObject("diagonals");
        put(diagonals, DOWN, quilt, Dimension.DIAGONAL_DOWN);
        put(diagonals, UP, quilt, Dimension.DIAGONAL_UP);
        put(node, "reserve", quilt, Dimension.RESERVE);
        put(node, "clearance", quilt, Dimension.CLEARANCE);
    }

    private static void put(ObjectNode node, String field, Quilt quilt, Dimension dimension) {
        Double value = quilt.measured().get(dimension);
        if (value != null) {
            node.put(field, value);
        }
    }
}
