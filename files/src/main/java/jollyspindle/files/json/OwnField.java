package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.Param;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.files.FileTrouble;

import java.util.Map;

/**
 * How something is kept that is of no common kind.
 *
 * @param <T> what
 */
interface OwnField<T> {

    /** By what they keep. */
    Map<Class<?>, OwnField<?>> ALL = Map.of(
            OutlineForm.Corner.class,
            new OutlineFields(),
            Point.class,
            new PlacesField(),
            Filling.class,
            new FillingField(),
            Spread.class,
            new SpreadField(),
            Map.class,
            new PinsField());

    /** How what a param says is kept. */
    @SuppressWarnings("unchecked")
    static <T> OwnField<T> of(Param.Own<?, T> param) {
        // Each stands under the class of what it keeps.
        return (OwnField<T>) ALL.get(param.type());
    }

    /** Writes it into a field. */
    void write(ObjectNode node, String field, T value);

    /**
     * Reads it from a field.
     *
     * @throws FileTrouble if it can't be
     */
    T read(Fields fields, String field) throws FileTrouble;

    /** Says what the field may hold. */
    void describe(ObjectNode schema);
}
