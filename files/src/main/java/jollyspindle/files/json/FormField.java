package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.FormType;
import jollyspindle.core.shelf.form.FormTypes;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.files.FileTexts;
import jollyspindle.files.FileTrouble;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Keeps how a template is cut: of what kind it is in a field of its own, and its sizes in another. */
final class FormField implements OwnField<Form> {

    private static final String KIND = "kind";

    /** What a template draws, where those of its kind draw several figures. */
    private static final String FIGURE = "figure";

    @Override
    public void write(ObjectNode node, String field, Form form) {
        node.put(KIND, Fields.name(form.kind()));
        write(node.putObject(field), form.type(), form);
    }

    private static <F extends Form> void write(ObjectNode node, FormType<F> type, Form form) {
        type.figure().ifPresent(figure -> node.put(FIGURE, figure));
        ParamFields.write(node, type.params(), type.type().cast(form));
    }

    @Override
    public Form read(Fields fields, String field) throws FileTrouble {
        Kind kind = fields.choice(KIND, Kind.class);
        Fields sizes = fields.object(field);
        try {
            Form form = ParamFields.read(sizes, type(kind, sizes).params());
            sizes.done();
            return form;
        } catch (IllegalArgumentException e) {
            throw fields.trouble(field, FileTexts.say("field.refused", "why", e.getMessage()));
        }
    }

    private static FormType<?> type(Kind kind, Fields sizes) throws FileTrouble {
        List<FormType<?>> types = FormTypes.of(kind);
        if (types.size() == 1) {
            return types.get(0);
        }
        String figure = sizes.text(FIGURE);
        return types.stream()
                .filter(type -> type.figure().equals(Optional.of(figure)))
                .findFirst()
                .orElseThrow(() -> sizes.trouble(
                        FIGURE,
                        FileTexts.say(
                                "field.unknown",
                                "text",
                                Fields.shortened(figure),
                                "all",
                                types.stream()
                                        .map(type -> type.figure().orElseThrow())
                                        .collect(Collectors.joining(", ")))));
    }

    /** What each kind may hold is said beside it. */
    @Override
    public void describe(ObjectNode schema) {
        schema.put("type", "object");
    }
}
