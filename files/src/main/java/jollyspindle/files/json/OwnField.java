package jollyspindle.files.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.school.Spread;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.param.Param;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.shelf.ClothCheck;
import jollyspindle.core.shelf.FootMeasurement;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Form;
import jollyspindle.core.shelf.form.OutlineForm;
import jollyspindle.core.shelf.form.SizeLabel;
import jollyspindle.files.FileTrouble;

import java.time.LocalDate;
import java.util.Map;

/**
 * How something is kept that is of no common kind.
 *
 * @param <T> what
 */
interface OwnField<T> {

    /** By what they keep. */
    Map<Class<?>, OwnField<?>> ALL = Map.ofEntries(
            Map.entry(OutlineForm.Corner.class, new OutlineFields()),
            Map.entry(Area.Corners.class, new PlacesField()),
            Map.entry(Point.class, new PlaceField()),
            Map.entry(Filling.class, new FillingField()),
            Map.entry(Spread.class, new SpreadField()),
            Map.entry(Map.class, new PinsField()),
            Map.entry(String.class, new IdField()),
            Map.entry(LocalDate.class, new DateField()),
            Map.entry(Form.class, new FormField()),
            Map.entry(SizeLabel.class, new PartField<>(SizeLabel.PARAMS)),
            Map.entry(EngravedLine.class, new LinesField()),
            Map.entry(Material.class, new PartField<>(Material.PARAMS)),
            Map.entry(ClothCheck.class, new MaybeField<>(new PartField<>(ClothCheck.PARAMS))),
            Map.entry(FootMeasurement.class, new FootField()));

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
