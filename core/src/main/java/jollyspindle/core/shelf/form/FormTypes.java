package jollyspindle.core.shelf.form;

import java.util.List;

/** How templates are cut, kind by kind. */
public final class FormTypes {

    /** All there are, in the order in which they are offered. */
    public static final List<FormType<?>> ALL = List.of(
            ArcForm.TYPE,
            CircleForm.TYPE,
            SlottedCircles.TYPE,
            SlottedFan.TYPE,
            ScallopRow.TYPE,
            StraightEdge.TYPE,
            CornerForm.TYPE,
            SerpentineStrip.TYPE,
            ChevronStrip.TYPE,
            TurnedArm.Wave.TYPE,
            TurnedArm.Spiral.TYPE,
            TurnedArm.Petal.TYPE,
            OutlineForm.TYPE);

    private FormTypes() {}

    /** Those of a kind: one, or one for each figure that it draws. */
    public static List<FormType<?>> of(Kind kind) {
        return ALL.stream().filter(type -> type.kind() == kind).toList();
    }

    /** A form of a kind, in a common size. */
    public static Form usual(Kind kind) {
        return of(kind).get(0).usual();
    }
}
