package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.time.DateTimeException;
import java.time.LocalDate;

/** Keeps a date as ISO 8601 writes it. */
final class DateField implements OwnField<LocalDate> {

    @Override
    public void write(ObjectNode node, String field, LocalDate date) {
        node.put(field, date.toString());
    }

    @Override
    public LocalDate read(Fields fields, String field) throws FileTrouble {
        String date = fields.text(field);
        try {
            return LocalDate.parse(date);
        } catch (DateTimeException e) {
            throw fields.trouble(field, FileTexts.say("field.date", "date", Fields.shortened(date)));
        }
    }

    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "string").put("pattern", "^\\d{4}-\\d{2}-\\d{2}$");
    }
}
