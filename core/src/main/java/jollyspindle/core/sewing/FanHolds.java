package jollyspindle.core.sewing;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a fan is held: in as few ways as its slots' sweep allows, the same for all of its blades, so that between two of them it is
 * turned about its pivot at most once (common practice, no source). Where the slots reach all of the blades with a leg on the
 * ditch, that is how it lies.
 *
 * <p>Angles are counted from the ditch in the way in which blades rise, in radians.
 */
public final class FanHolds {

    /** One way to hold it: from where to where the slots reach then. */
    private record Hold(double from, double to, boolean leg) {

        double middle() {
            return (from + to) / 2;
        }

        boolean reaches(double angle) {
            return angle > from - Tolerances.ROUNDING && angle < to + Tolerances.ROUNDING;
        }
    }

    private final Point pivot;
    private final double ditch;
    private final int sign;
    private final List<Hold> holds;

    private FanHolds(Point pivot, double ditch, int sign, List<Hold> holds) {
        this.pivot = pivot;
        this.ditch = ditch;
        this.sign = sign;
        this.holds = List.copyOf(holds);
    }

    /**
     * The holds of a fan.
     *
     * @param onDitch a blade's whole circle, or a piece of it, that begins on the ditch and rises
     * @param blades all arcs that are stitched of it, at least one
     * @param legs whether the pivot lies on the ditch, so that a leg may
     */
    public static FanHolds of(EdgeCatalog.Fan fan, Arc onDitch, List<Arc> blades, boolean legs) {
        int sign = onDitch.sweep() < 0 ? -1 : 1;
        double ditch = onDitch.startAngle();
        double from = Double.POSITIVE_INFINITY;
        double to = Double.NEGATIVE_INFINITY;
        for (Arc blade : blades) {
            double start = angle(blade.startAngle(), ditch, sign);
            double end = start + sign * blade.sweep();
            from = Math.min(from, Math.min(start, end));
            to = Math.max(to, Math.max(start, end));
        }
        double reach = fan.blades().stream()
                .mapToDouble(StitchingEdge.Round::usable)
                .min()
                .orElseThrow();
        return new FanHolds(
                onDitch.centre(), ditch, sign, holds(from, to, reach, legs ? fan.legAngle() / 2 : Double.NaN));
    }

    /** From a quarter of a turn before the ditch to three quarters after it: blades begin and end far from either. */
    private static double angle(double angle, double ditch, int sign) {
        double turned = sign * (angle - ditch);
        return turned - 2 * Math.PI * Math.floor((turned + Math.PI / 2) / (2 * Math.PI));
    }

    /** As few as cover all from one angle to another, evenly over it; with a leg on the ditch where that takes no more. */
    private static List<Hold> holds(double from, double to, double reach, double legs) {
        int count = (int) Math.max(1, Math.ceil((to - from) / reach - Tolerances.ROUNDING));
        boolean first = legs - reach / 2 <= from + Tolerances.ROUNDING
                && legs + reach / 2 + (count - 1) * reach >= to - Tolerances.ROUNDING;
        List<Hold> holds = new ArrayList<>();
        double begin = first ? legs - reach / 2 : from;
        double last = count == 1 ? begin : to - reach;
        for (int i = 0; i < count; i++) {
            double start = count == 1 ? begin : begin + i * (last - begin) / (count - 1);
            holds.add(new Hold(start, start + reach, first && i == 0));
        }
        return holds;
    }

    /**
     * A blade in pieces, each stitched in one of the holds.
     *
     * @param way of it, as it is stitched
     * @param mark on which the pivot lies
     * @param end where it ends
     */
    public List<PlacementBuilder.Piece> pieces(Arc way, StitchingEdge.Round blade, Mark mark, LineEnd end) {
        boolean rising = sign * way.sweep() > 0;
        double start = angle(way.startAngle(), ditch, sign);
        double whole = Math.abs(way.sweep());
        List<PlacementBuilder.Piece> pieces = new ArrayList<>();
        double done = 0;
        while (done < whole - Tolerances.ROUNDING) {
            double at = rising ? start + done : start - done;
            Hold hold = holds.stream()
                    .filter(h -> h.reaches(at))
                    .reduce((a, b) -> rising ? b : a)
                    .orElseThrow();
            double left = rising ? hold.to() - at : at - hold.from();
            // What a hold falls short of by rounding alone is stitched in it, too.
            double next =
                    left > Tolerances.SAME_PLACE && left < whole - done - Tolerances.SAME_PLACE ? done + left : whole;
            Arc piece = way.piece(done / whole, next / whole);
            pieces.add(new PlacementBuilder.Piece(
                    piece,
                    blade,
                    new Registration.CentreOnMark(mark, hold.leg()),
                    next < whole ? LineEnd.at(piece.end(), LineEnd.ShownBy.TEMPLATE) : end,
                    Optional.of(new Pose(pivot, ditch + sign * hold.middle() - blade.middle()))));
            done = next;
        }
        return pieces;
    }
}
