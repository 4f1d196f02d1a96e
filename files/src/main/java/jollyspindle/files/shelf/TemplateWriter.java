package jollyspindle.files.shelf;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.FormType;
import jollyspindle.files.json.Degrees;
import jollyspindle.files.json.Fields;
import jollyspindle.files.json.ParamFields;

import java.util.List;

/** From templates and machines to fields. */
public final class TemplateWriter {

    static final String IN_HOLE = "in-hole";
    static final String ROUND_DISC = "round-disc";
    static final String ALONG_EDGE = "along-edge";

    private TemplateWriter() {}

    public static void templates(ArrayNode list, List<Template> templates) {
        templates.forEach(t -> template(list.addObject(), t));
    }

    private static void template(ObjectNode node, Template template) {
        node.put("id", template.id());
        node.put("name", template.name());
        node.put("kind", Fields.name(template.kind()));
        form(node.putObject("form"), template.form().type(), template.form());
        ObjectNode label = node.putObject("label");
        label.put("size", Fields.name(template.label().printed()));
        label.put("means", Fields.name(template.label().convention()));
        if (template.gap() > 0) {
            node.put("gap", template.gap());
        }
        ArrayNode lines = node.putArray("lines");
        template.lines().forEach(line -> line(lines.addObject(), line));
        ObjectNode material = node.putObject("material");
        material.put("thickness", template.material().thickness());
        material.put("name", template.material().name());
        material.put("tint", Fields.name(template.material().tint()));
        if (!template.notes().isEmpty()) {
            node.put("notes", template.notes());
        }
        template.checked().ifPresent(check -> node.putObject("checked")
                .put("date", check.date().toString())
                .put("footRadius", check.footRadius())
                .put("measured", check.measured()));
        if (template.retired()) {
            node.put("retired", true);
        }
    }

    private static void line(ObjectNode node, EngravedLine line) {
        node.put("kind", Fields.name(line.kind()));
        if (line.kind() == EngravedLine.Kind.REFERENCE) {
            Degrees.put(node, "degrees", line.value());
        } else if (line.kind() != EngravedLine.Kind.CENTRE) {
            node.put("value", line.value());
            node.put("means", Fields.name(line.convention()));
        }
    }

    private static <F extends Form> void form(ObjectNode node, FormType<F> type, Form form) {
        type.figure().ifPresent(figure -> node.put(TemplateReader.FIGURE, figure));
        ParamFields.write(node, type.params(), type.type().cast(form));
    }

    /** A machine: its foot, and what it was measured from. */
    public static void machine(ObjectNode node, Machine machine) {
        node.put("footRadius", machine.footRadius());
        node.put("footType", Fields.name(machine.footType()));
        if (!machine.measured().isEmpty()) {
            ArrayNode measured = node.putArray("measured");
            machine.measured().forEach(m -> measurement(measured.addObject(), m));
        }
    }

    private static void measurement(ObjectNode node, FootMeasurement m) {
        if (m instanceof FootMeasurement.InHole in) {
            node.put("how", IN_HOLE).put("hole", in.hole()).put("stitched", in.stitched());
        } else if (m instanceof FootMeasurement.RoundDisc round) {
            node.put("how", ROUND_DISC).put("disc", round.disc()).put("stitched", round.stitched());
        } else {
            node.put("how", ALONG_EDGE).put("distance", ((FootMeasurement.AlongEdge) m).distance());
        }
    }
}
