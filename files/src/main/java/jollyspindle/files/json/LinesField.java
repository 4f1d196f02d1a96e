package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Codes;
import jollyspindle.core.shelf.LabelConvention;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.files.FileTrouble;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** Keeps what is engraved on a template: what is said of a line hangs on what it is for. */
final class LinesField implements OwnField<List<EngravedLine>> {

    private static final String KIND = "kind";
    private static final String VALUE = "value";
    private static final String MEANS = "means";
    private static final String DEGREES = "degrees";
    private static final double TURN = 360;

    @Override
    public void write(ObjectNode node, String field, List<EngravedLine> lines) {
        ArrayNode all = node.putArray(field);
        lines.forEach(line -> write(all.addObject(), line));
    }

    private static void write(ObjectNode node, EngravedLine line) {
        node.put(KIND, Fields.name(line.kind()));
        if (line.kind() == EngravedLine.Kind.REFERENCE) {
            Degrees.put(node, DEGREES, line.value());
        } else if (line.kind() != EngravedLine.Kind.CENTRE) {
            node.put(VALUE, line.value());
            node.put(MEANS, Fields.name(line.convention()));
        }
    }

    @Override
    public List<EngravedLine> read(Fields fields, String field) throws FileTrouble {
        List<EngravedLine> lines = new ArrayList<>();
        for (Fields line : fields.objects(field, Template.MOST_LINES)) {
            EngravedLine.Kind kind = line.choice(KIND, EngravedLine.Kind.class);
            lines.add(
                    switch (kind) {
                        case CENTRE -> EngravedLine.centre();
                        case REFERENCE -> EngravedLine.reference(line.degrees(DEGREES, -TURN, TURN));
                        case RISE, PARALLEL, CROWN, SEAM_ALLOWANCE ->
                            new EngravedLine(
                                    kind,
                                    line.number(VALUE, 0, Form.LARGEST),
                                    line.choice(MEANS, LabelConvention.class));
                    });
            line.done();
        }
        return lines;
    }

    @Override
    public void describe(ObjectNode schema) {
        ArrayNode all = schema.put("type", "array")
                .put("maxItems", Template.MOST_LINES)
                .putObject("items")
                .putArray("oneOf");
        ObjectNode valued = kind(all, VALUE, MEANS);
        ArrayNode kinds = valued.putObject(KIND).putArray("enum");
        Stream.of(EngravedLine.Kind.values())
                .filter(kind -> kind != EngravedLine.Kind.CENTRE && kind != EngravedLine.Kind.REFERENCE)
                .map(Codes::of)
                .forEach(kinds::add);
        valued.putObject(VALUE).put("type", "number").put("minimum", 0).put("maximum", Form.LARGEST);
        ArrayNode means = valued.putObject(MEANS).putArray("enum");
        Codes.all(LabelConvention.class).forEach(means::add);
        kind(all).putObject(KIND).put("const", Codes.of(EngravedLine.Kind.CENTRE));
        ObjectNode turned = kind(all, DEGREES);
        turned.putObject(KIND).put("const", Codes.of(EngravedLine.Kind.REFERENCE));
        turned.putObject(DEGREES).put("type", "number").put("minimum", -TURN).put("maximum", TURN);
    }

    /** Describes lines of a kind; their fields, to be described. */
    private static ObjectNode kind(ArrayNode all, String... required) {
        ObjectNode kind = all.addObject().put("type", "object");
        ArrayNode names = kind.putArray("required").add(KIND);
        Stream.of(required).forEach(names::add);
        return kind.putObject("properties");
    }
}
