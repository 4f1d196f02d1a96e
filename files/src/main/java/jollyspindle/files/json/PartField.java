package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.param.Params;
import jollyspindle.files.FileTrouble;

/**
 * Keeps something that has fields of its own.
 *
 * @param params what they are
 */
record PartField<T>(Params<T> params) implements OwnField<T> {

    @Override
    public void write(ObjectNode node, String field, T value) {
        ParamFields.write(node.putObject(field), params, value);
    }

    @Override
    public T read(Fields fields, String field) throws FileTrouble {
        Fields part = fields.object(field);
        T value = ParamFields.read(part, params);
        part.done();
        return value;
    }

    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "object");
        schema.setAll(ParamFields.schema(params));
    }
}
