package jollyspindle.core.shelf.form;

import java.util.List;
import java.util.OptionalDouble;

/** What a template of each kind begins as, until its own sizes are typed. */
public final class UsualForms {

    /** A slot that lets a foot of the usual size in with a little play, in inches. */
    private static final double SLOT = 0.515;

    private UsualForms() {}

    /** A form of a kind, in a common size. */
    public static Form of(Kind kind) {
        return switch (kind) {
            case ARC -> new ArcForm(OptionalDouble.of(4), OptionalDouble.empty(), Math.toRadians(120), 0, false, 3);
            case CIRCLE -> new CircleForm(CircleForm.Cutting.HOLES, List.of(3.0), Form.RIM);
            case SLOTTED_CIRCLES -> new SlottedCircles(List.of(2.0, 3.0, 4.0), SLOT, Math.toRadians(310));
            case SLOTTED_FAN -> new SlottedFan(List.of(1.5, 3.0, 4.5, 6.0), SLOT, Math.toRadians(120), Math.PI);
            case SCALLOP_ROW -> new ScallopRow(4, 2, 2.5);
            case STRAIGHT_EDGE -> new StraightEdge(8, 2, 0);
            case CORNER -> new CornerForm(Math.PI / 2, 4, 1.5);
            case SERPENTINE_STRIP -> new SerpentineStrip(4, 1, 2, 1.25);
            case CHEVRON_STRIP -> new ChevronStrip(2, Math.PI / 2, 4, 1.25);
            case TURNED_ARM -> new TurnedArm(new TurnedArm.Wave(0.75, 1), 6, 0.25, 1.25);
            case OUTLINE ->
                new OutlineForm(
                        List.of(
                                new OutlineForm.Corner(-1.5, -1.5, 0),
                                new OutlineForm.Corner(1.5, -1.5, 0),
                                new OutlineForm.Corner(1.5, 1.5, 0),
                                new OutlineForm.Corner(-1.5, 1.5, 0)),
                        false);
        };
    }
}
