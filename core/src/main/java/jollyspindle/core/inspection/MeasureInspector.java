package jollyspindle.core.inspection;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.BodyShape;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Easing;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RingShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Squareness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Looks whether the measured lengths go together like those of a quilt that lies straight. */
public final class MeasureInspector {

    private MeasureInspector() {}

    /**
     * Looks whether the four sides can be those of a quilt.
     *
     * @param quilt of which all sides are measured
     */
    public static Optional<Finding> impossible(Quilt quilt) {
        // Planned at other lengths they may meet; a quilt with sides as they were measured there is all the same none.
        if (BodyShape.isPossible(quilt) && BodyShape.isPossible(quilt.with(Quilt.Easings.NONE))) {
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
     * @param limit what a side may be off before it is worth a word, as a part of its length
     */
    public static List<Finding> inspect(Quilt quilt, QuiltShape shape, double limit) {
        List<Finding> findings = new ArrayList<>();
        Squareness squareness = Squareness.of(quilt);
        for (Side side : Side.values()) {
            double length = quilt.length(Dimension.body(side));
            double by = length - quilt.length(Dimension.body(side.opposite()));
            if (by > limit * length) {
                findings.add(
                        new Finding.OppositeSidesDiffer(side, by, quilt.easing().of(side) != Easing.AS_MEASURED));
            }
        }
        double longest = Math.max(
                quilt.get(Dimension.DIAGONAL_DOWN).orElse(0),
                quilt.get(Dimension.DIAGONAL_UP).orElse(0));
        squareness.diagonals().ifPresent(by -> {
            if (Math.abs(by) > limit * longest) {
                findings.add(new Finding.Leans(by, squareness.mostOffSquare()));
            }
        });
        if (Math.abs(shape.body().diagonalsOff()) > limit * longest) {
            findings.add(new Finding.DiagonalsDontFit(shape.body().diagonalsOff()));
        }
        seams(quilt, shape, limit, findings);
        strips(shape, findings);
        return findings;
    }

    /** What is measured along the seams further out, against what lies inside them. */
    private static void seams(Quilt quilt, QuiltShape shape, double limit, List<Finding> findings) {
        for (RingShape ring : shape.rings()) {
            for (Side side : Side.values()) {
                RunFrame run = ring.runs().get(side);
                boolean through = quilt.border(ring.border()).corners().runsThrough(side);
                if (ring.border() > 1
                        && !through
                        && quilt.get(Dimension.seam(ring.border(), side)).isPresent()) {
                    List<Point> outer = shape.rings().get(ring.border() - 2).outer();
                    double drawn = outer.get(side.ordinal()).distance(outer.get((side.ordinal() + 1) % 4));
                    if (Math.abs(run.length() - drawn) > limit * drawn) {
                        findings.add(new Finding.SeamDiffers(run.id(), run.length() - drawn));
                    }
                }
            }
        }
    }

    private static void strips(QuiltShape shape, List<Finding> findings) {
        List<Point> outer = shape.outer();
        for (RunFrame strip : shape.strips()) {
            boolean off = strip.rectangle().stream().anyMatch(corner -> {
                for (int i = 0; i < 4; i++) {
                    Point edge = outer.get((i + 1) % 4).minus(outer.get(i));
                    // Clockwise corners have the inside at their right.
                    if (edge.cross(corner.minus(outer.get(i))) > Tolerances.SAME_PLACE * edge.length()) {
                        return true;
                    }
                }
                return false;
            });
            if (off) {
                findings.add(new Finding.StripOffQuilt(strip.id()));
            }
        }
    }
}
