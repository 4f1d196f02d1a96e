package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.code.Coded;
import jollyspindle.core.code.Codes;
import jollyspindle.core.division.Filling;
import jollyspindle.files.FileTrouble;

/** Keeps what stands on the odd space in the middle of a run. */
final class FillingField implements OwnField<Filling> {

    private static final String KIND = "kind";
    private static final String TEMPLATE = "template";
    private static final String EDGE = "edge";

    /** What stands in the middle, as files name it. */
    private enum Kind implements Coded {
        TWO_HALF_ARCS("two-half-arcs"),
        LARGER_ARC("larger-arc"),
        OWN_MOTIF("own-motif"),
        PLAIN("plain");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    private static Kind kind(Filling filling) {
        if (filling instanceof Filling.LargerArc) {
            return Kind.LARGER_ARC;
        }
        if (filling instanceof Filling.TwoHalfArcs) {
            return Kind.TWO_HALF_ARCS;
        }
        return filling instanceof Filling.OwnMotif ? Kind.OWN_MOTIF : Kind.PLAIN;
    }

    @Override
    public void write(ObjectNode node, String field, Filling filling) {
        ObjectNode middle = node.putObject(field).put(KIND, Codes.of(kind(filling)));
        if (filling instanceof Filling.LargerArc arc) {
            middle.put(TEMPLATE, arc.templateId()).put(EDGE, arc.guideId());
        }
    }

    @Override
    public Filling read(Fields fields, String field) throws FileTrouble {
        Fields middle = fields.object(field);
        Filling filling =
                switch (middle.choice(KIND, Kind.class)) {
                    case TWO_HALF_ARCS -> new Filling.TwoHalfArcs();
                    case OWN_MOTIF -> new Filling.OwnMotif();
                    case PLAIN -> new Filling.Plain();
                    case LARGER_ARC -> new Filling.LargerArc(middle.text(TEMPLATE), middle.text(EDGE));
                };
        middle.done();
        return filling;
    }

    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "object").putArray("required").add(KIND);
        ObjectNode fields = schema.putObject("properties");
        ArrayNode kinds = fields.putObject(KIND).putArray("enum");
        Codes.all(Kind.class).forEach(kinds::add);
        fields.putObject(TEMPLATE).put("type", "string");
        fields.putObject(EDGE).put("type", "string");
    }
}
