package jollyspindle.core.inspection;

import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.Side;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/** Looks whether the measured lengths go together like those of a quilt that lies straight. */
public final class MeasureInspector {

    /** What a side may be off before it is worth a word, as a part of its length (common practice, no source). */
    public static final double EASED_UNSEEN = 0.005;

    private MeasureInspector() {}

    /**
     * Inspects what was measured.
     *
     * @param quilt of which all that is needed is measured
     * @param shape drawn from it
     */
    public static List<Finding> inspect(Quilt quilt, QuiltShape shape) {
        List<Finding> findings = new ArrayList<>();
        for (Side side : Side.values()) {
            double length = quilt.length(Dimension.body(side));
            double by = length - quilt.length(Dimension.body(side.opposite()));
            if (by > EASED_UNSEEN * length) {
                findings.add(new Finding.OppositeSidesDiffer(side, by));
            }
        }
        OptionalDouble down = quilt.get(Dimension.DIAGONAL_DOWN);
        OptionalDouble up = quilt.get(Dimension.DIAGONAL_UP);
        if (down.isPresent() && up.isPresent()) {
            double by = down.getAsDouble() - up.getAsDouble();
            double limit = EASED_UNSEEN * Math.max(down.getAsDouble(), up.getAsDouble());
            if (Math.abs(by) > limit) {
                findings.add(new Finding.Leans(by));
            }
            if (Math.abs(shape.body().diagonalsOff()) > limit) {
                findings.add(new Finding.DiagonalsDontFit(shape.body().diagonalsOff()));
            }
        }
        return findings;
    }
}
