package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/**
 * The body's four corners, drawn true from what the tape measured, or what opposite sides are eased to.
 *
 * <p>Four sides leave one freedom, how far the figure leans. With no diagonal measured it leans so that both are alike;
 * with one, so that this one is as measured; with both, so that their difference is as measured. Diagonals that would
 * push a corner more than {@link #MOST_LEAN} from square aren't believed. What they are off remains as {@link #diagonalsOff}. The figure is turned so that its sides' slants cancel, and centred on the mean of
 * its corners.
 *
 * @param topLeft corner in the quilt's frame
 * @param topRight corner
 * @param bottomRight corner
 * @param bottomLeft corner
 * @param diagonalsOff how much longer the measured diagonals are, on the mean, than the drawn ones, in inches; 0 if none
 *     is measured
 */
public record BodyShape(Point topLeft, Point topRight, Point bottomRight, Point bottomLeft, double diagonalsOff) {

    /** More than any quilt is out of square, in radians: 20°. */
    static final double MOST_LEAN = Math.toRadians(20);

    private static final int HALVINGS = 100;

    /** What a diagonal can be with given sides, both ends excluded; in inches. */
    record Range(double shortest, double longest) {}

    /** What the diagonal from top left to bottom right can be; nothing if the sides don't meet. */
    static Optional<Range> diagonalRange(Quilt quilt) {
        return diagonalRange(quilt, Dimension.DIAGONAL_DOWN);
    }

    static Optional<Range> diagonalRange(Quilt quilt, Dimension diagonal) {
        double top = quilt.planned(Side.TOP);
        double right = quilt.planned(Side.RIGHT);
        double bottom = quilt.planned(Side.BOTTOM);
        double left = quilt.planned(Side.LEFT);
        boolean down = diagonal == Dimension.DIAGONAL_DOWN;
        double shortest = down
                ? Math.max(Math.abs(top - right), Math.abs(bottom - left))
                : Math.max(Math.abs(top - left), Math.abs(bottom - right));
        double longest = down ? Math.min(top + right, bottom + left) : Math.min(top + left, bottom + right);
        return shortest < longest - Tolerances.ROUNDING ? Optional.of(new Range(shortest, longest)) : Optional.empty();
    }

    /**
     * The shape of a quilt whose four sides are measured and {@linkplain #isPossible possible}.
     *
     * @throws IllegalArgumentException if the sides don't meet
     */
    public static BodyShape of(Quilt quilt) {
        OptionalDouble down = quilt.get(Dimension.DIAGONAL_DOWN);
        OptionalDouble up = quilt.get(Dimension.DIAGONAL_UP);
        BodyShape leaning = leaning(quilt, down, up);
        BodyShape believed = leaning.mostOffSquare() <= MOST_LEAN
                ? leaning
                : leaning(quilt, OptionalDouble.empty(), OptionalDouble.empty());
        BodyShape shape = believed.levelled();
        double off = DoubleStream.concat(
                        down.stream().map(d -> d - shape.down()), up.stream().map(u -> u - shape.up()))
                .average()
                .orElse(0);
        return new BodyShape(shape.topLeft, shape.topRight, shape.bottomRight, shape.bottomLeft, off);
    }

    /**
     * Whether four measured sides can be those of a quilt: whether they meet, with corners at most {@link #MOST_LEAN} from
     * square.
     */
    public static boolean isPossible(Quilt quilt) {
        return diagonalRange(quilt).isPresent()
                && leaning(quilt, OptionalDouble.empty(), OptionalDouble.empty())
                                .mostOffSquare()
                        <= MOST_LEAN;
    }

    private static BodyShape leaning(Quilt quilt, OptionalDouble down, OptionalDouble up) {
        Range range =
                diagonalRange(quilt).orElseThrow(() -> new IllegalArgumentException("these four sides don't meet"));
        double low = range.shortest();
        double high = range.longest();
        // Each way of choosing the lean grows with the diagonal downwards, so halving finds it.
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            BodyShape shape = withDiagonal(quilt, middle);
            double over;
            if (down.isPresent() && up.isPresent()) {
                over = shape.down() - shape.up() - (down.getAsDouble() - up.getAsDouble());
            } else if (down.isPresent()) {
                over = shape.down() - down.getAsDouble();
            } else if (up.isPresent()) {
                over = up.getAsDouble() - shape.up();
            } else {
                over = shape.down() - shape.up();
            }
            if (over > 0) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return withDiagonal(quilt, (low + high) / 2);
    }

    /** How far the corner that is worst is from square, in radians. */
    double mostOffSquare() {
        List<Point> corners = corners();
        double most = 0;
        for (int i = 0; i < 4; i++) {
            Point before = corners.get((i + 3) % 4).minus(corners.get(i));
            Point after = corners.get((i + 1) % 4).minus(corners.get(i));
            double angle = Math.atan2(Math.abs(before.cross(after)), before.dot(after));
            most = Math.max(most, Math.abs(angle - Math.PI / 2));
        }
        return most;
    }

    private double down() {
        return topLeft.distance(bottomRight);
    }

    private double up() {
        return bottomLeft.distance(topRight);
    }

    /** Two triangles on a common diagonal from top left to bottom right. */
    private static BodyShape withDiagonal(Quilt quilt, double diagonal) {
        Point topLeft = Point.ORIGIN;
        Point bottomRight = new Point(diagonal, 0);
        Point topRight = apex(diagonal, quilt.planned(Side.TOP), quilt.planned(Side.RIGHT), 1);
        Point bottomLeft = apex(diagonal, quilt.planned(Side.LEFT), quilt.planned(Side.BOTTOM), -1);
        return new BodyShape(topLeft, topRight, bottomRight, bottomLeft, 0);
    }

    /** The third corner of a triangle on the x axis, by the law of cosines. */
    private static Point apex(double base, double fromOrigin, double fromEnd, int up) {
        double x = (base * base + fromOrigin * fromOrigin - fromEnd * fromEnd) / (2 * base);
        return new Point(x, up * Math.sqrt(Math.max(0, fromOrigin * fromOrigin - x * x)));
    }

    private BodyShape levelled() {
        // Turned so that the middles of left and right, and of top and bottom, lie as level and upright as can be.
        Point across = topRight.midpoint(bottomRight).minus(topLeft.midpoint(bottomLeft));
        Point upwards = topLeft.midpoint(topRight).minus(bottomLeft.midpoint(bottomRight));
        Point sum = across.unit().plus(upwards.unit().turned(-Math.PI / 2));
        double turn = -sum.angle();
        Point middle = topLeft.midpoint(bottomRight).midpoint(topRight.midpoint(bottomLeft));
        return new BodyShape(
                topLeft.minus(middle).turned(turn),
                topRight.minus(middle).turned(turn),
                bottomRight.minus(middle).turned(turn),
                bottomLeft.minus(middle).turned(turn),
                diagonalsOff);
    }

    /** Where the run of a side starts: the side's left end with its outside edge up. */
    public Point start(Side side) {
        return switch (side) {
            case TOP -> topLeft;
            case RIGHT -> topRight;
            case BOTTOM -> bottomRight;
            case LEFT -> bottomLeft;
        };
    }

    /** The corners clockwise from the top left. */
    public List<Point> corners() {
        return List.of(topLeft, topRight, bottomRight, bottomLeft);
    }
}
