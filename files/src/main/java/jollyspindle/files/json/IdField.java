package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

/** Keeps what other files and jobs call something by. */
final class IdField implements OwnField<String> {

    private static final String PATTERN = "[a-z0-9][a-z0-9-]{0,59}";

    @Override
    public void write(ObjectNode node, String field, String id) {
        node.put(field, id);
    }

    @Override
    public String read(Fields fields, String field) throws FileTrouble {
        String id = fields.text(field);
        if (!id.matches(PATTERN)) {
            throw fields.trouble(field, FileTexts.say("field.id"));
        }
        return id;
    }

    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "string").put("pattern", '^' + PATTERN + '$');
    }
}
