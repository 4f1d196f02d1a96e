package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * How far a measured body is from a rectangle, and what is made of it.
 *
 * @param across the top less the bottom, in inches
 * @param down the right side less the left, in inches
 * @param diagonals the one from top left to bottom right less the other, in inches; nothing unless both are measured
 * @param corners the angles of the corners, clockwise from the top left, in radians: from the sides and whatever diagonals
 *     are measured (law of cosines)
 * @param eased for each side what is planned less what was measured, in inches: below 0 it is eased in, over 0 stretched
 */
public record Squareness(
        double across, double down, OptionalDouble diagonals, List<Double> corners, Map<Side, Double> eased) {

    /**
     * Of a quilt whose four sides are measured and possible.
     *
     * @throws IllegalArgumentException if the sides don't meet
     */
    public static Squareness of(Quilt quilt) {
        List<Point> corners = BodyShape.of(quilt.with(Quilt.Easings.NONE)).corners();
        List<Double> angles = IntStream.range(0, 4)
                .mapToObj(i -> {
                    Point before = corners.get((i + 3) % 4).minus(corners.get(i));
                    Point after = corners.get((i + 1) % 4).minus(corners.get(i));
                    return Math.atan2(Math.abs(before.cross(after)), before.dot(after));
                })
                .toList();
        Map<Side, Double> eased = new EnumMap<>(Side.class);
        for (Side side : Side.values()) {
            eased.put(side, quilt.planned(side) - quilt.length(Dimension.body(side)));
        }
        OptionalDouble down = quilt.get(Dimension.DIAGONAL_DOWN);
        OptionalDouble up = quilt.get(Dimension.DIAGONAL_UP);
        return new Squareness(
                quilt.length(Dimension.BODY_TOP) - quilt.length(Dimension.BODY_BOTTOM),
                quilt.length(Dimension.BODY_RIGHT) - quilt.length(Dimension.BODY_LEFT),
                down.isPresent() && up.isPresent()
                        ? OptionalDouble.of(down.getAsDouble() - up.getAsDouble())
                        : OptionalDouble.empty(),
                angles,
                eased);
    }

    /** How far the corner that is worst is from square, in radians. */
    public double mostOffSquare() {
        return corners.stream()
                .mapToDouble(a -> Math.abs(a - Math.PI / 2))
                .max()
                .orElseThrow();
    }
}
