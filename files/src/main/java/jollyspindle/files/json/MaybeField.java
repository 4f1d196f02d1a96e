package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.files.FileTrouble;

import java.util.Optional;

/**
 * Keeps something that need not be there.
 *
 * @param there how it is kept if it is
 */
record MaybeField<T>(OwnField<T> there) implements OwnField<Optional<T>> {

    @Override
    public void write(ObjectNode node, String field, Optional<T> value) {
        value.ifPresent(v -> there.write(node, field, v));
    }

    @Override
    public Optional<T> read(Fields fields, String field) throws FileTrouble {
        return Optional.of(there.read(fields, field));
    }

    @Override
    public void describe(ObjectNode schema) {
        there.describe(schema);
    }
}
