package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.files.FileTrouble;

import java.util.ArrayList;
import java.util.List;

/** Keeps what a foot's radius was measured from. */
final class FootField implements OwnField<List<FootMeasurement>> {

    private static final String HOW = "how";
    private static final int MOST = 50;

    @Override
    public void write(ObjectNode node, String field, List<FootMeasurement> measured) {
        ArrayNode all = node.putArray(field);
        measured.forEach(one -> FootMeasurement.types().forEach(type -> writeIfOf(all, type, one)));
    }

    private static <F extends FootMeasurement> void writeIfOf(
            ArrayNode all, FootMeasurement.Type<F> type, FootMeasurement one) {
        if (type.type().isInstance(one)) {
            ParamFields.write(
                    all.addObject().put(HOW, type.code()),
                    type.params(),
                    type.type().cast(one));
        }
    }

    @Override
    public List<FootMeasurement> read(Fields fields, String field) throws FileTrouble {
        List<FootMeasurement> measured = new ArrayList<>();
        for (Fields one : fields.objects(field, MOST)) {
            String how = one.oneOf(
                    HOW,
                    FootMeasurement.types().stream()
                            .map(FootMeasurement.Type::code)
                            .toList());
            for (FootMeasurement.Type<?> type : FootMeasurement.types()) {
                if (type.code().equals(how)) {
                    measured.add(ParamFields.read(one, type.params()));
                }
            }
            one.done();
        }
        return measured;
    }

    @Override
    public void describe(ObjectNode schema) {
        ObjectNode items = schema.put("type", "array").put("maxItems", MOST).putObject("items");
        ArrayNode kinds = items.putArray("oneOf");
        for (FootMeasurement.Type<?> type : FootMeasurement.types()) {
            ObjectNode kind = kinds.addObject().put("type", "object");
            ObjectNode params = ParamFields.schema(type.params());
            ArrayNode required = kind.putArray("required").add(HOW);
            params.get("required").forEach(required::add);
            ObjectNode properties = kind.putObject("properties");
            properties.putObject(HOW).put("const", type.code());
            properties.setAll((ObjectNode) params.get("properties"));
        }
    }
}
