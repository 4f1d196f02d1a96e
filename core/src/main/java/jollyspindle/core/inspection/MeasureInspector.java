package jollyspindle.core.inspection;

import jollyspindle.core.quilt.BodyShape;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.Side;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/** Looks whether the measured lengths go together like those of a quilt that lies straight. */
public final class MeasureInspector {

    /** What a side may be off before it is worth a word, as a part of its length (common practice, no source). */
    public static final double EASED_UNSEEN = 0.005;

    private MeasureInspector() {}

    /**
     * Looks whether the four sides can be those of a quilt.
     *
     * @param quilt of which all sides are measured
     */
    public static Optional<Finding> impossible(Quilt quilt) {
        if (BodyShape.isPossible(quilt)) {
            return Optional.empty();
        }
        return Stream.of(Side.values())
                .max(Comparator.comparingDouble(
                        side -> quilt.length(Dimension.body(side)) - quilt.length(Dimension.body(side.opposite()))))
                .map(Finding.SidesDontMeet::new);
    }

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
        double longest = Math.max(down.orElse(0), up.orElse(0));
        if (down.isPresent() && up.isPresent()) {
            double by = down.getAsDouble() - up.getAsDouble();
            if (Math.abs(by) > EASED_UNSEEN * longest) {
                findings.add(new Finding.Leans(by));
            }
        }
        if (Math.abs(shape.body().diagonalsOff()) > EASED_UNSEEN * longest) {
            findings.add(new Finding.DiagonalsDontFit(shape.body().diagonalsOff()));
        }
        return findings;
    }
}
