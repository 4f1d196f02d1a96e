package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The body's four corners, drawn true from what the tape measured.
 *
 * <p>Four sides leave one freedom, how far the figure leans. With no diagonal measured it leans so that both are alike;
 * with one, so that this one is as measured; with both, so that their difference is as measured, and what their sum is
 * off remains as {@link #diagonalsOff}. The figure is turned so that its sides' slants cancel, and centred on the mean of
 * its corners.
 *
 * @param topLeft corner in the quilt's frame
 * @param topRight corner
 * @param bottomRight corner
 * @param bottomLeft corner
 * @param diagonalsOff how much longer the measured diagonals are, on the mean, than these sides allow, in inches; 0 unless both are
 *     measured
 */
public record BodyShape(Point topLeft, Point topRight, Point bottomRight, Point bottomLeft, double diagonalsOff) {

    private static final int HALVINGS = 100;

    /** What a diagonal can be with given sides, both ends excluded; in inches. */
    record Range(double shortest, double longest) {}

    /** What the diagonal from top left to bottom right can be; nothing if the sides don't meet. */
    static Optional<Range> diagonalRange(Quilt quilt) {
        return diagonalRange(quilt, Dimension.DIAGONAL_DOWN);
    }

    static Optional<Range> diagonalRange(Quilt quilt, Dimension diagonal) {
        double top = quilt.length(Dimension.BODY_TOP);
        double right = quilt.length(Dimension.BODY_RIGHT);
        double bottom = quilt.length(Dimension.BODY_BOTTOM);
        double left = quilt.length(Dimension.BODY_LEFT);
        boolean down = diagonal == Dimension.DIAGONAL_DOWN;
        double shortest = down
                ? Math.max(Math.abs(top - right), Math.abs(bottom - left))
                : Math.max(Math.abs(top - left), Math.abs(bottom - right));
        double longest = down ? Math.min(top + right, bottom + left) : Math.min(top + left, bottom + right);
        return shortest < longest - 1e-9 ? Optional.of(new Range(shortest, longest)) : Optional.empty();
    }

    /**
     * The shape of a quilt whose four sides are measured and meet.
     *
     * @throws IllegalArgumentException if the sides don't meet
     */
    public static BodyShape of(Quilt quilt) {
        Range range =
                diagonalRange(quilt).orElseThrow(() -> new IllegalArgumentException("these four sides don't meet"));
        OptionalDouble down = quilt.get(Dimension.DIAGONAL_DOWN);
        OptionalDouble up = quilt.get(Dimension.DIAGONAL_UP);
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
        BodyShape shape = withDiagonal(quilt, (low + high) / 2).levelled();
        double off = down.isPresent() && up.isPresent()
                ? (down.getAsDouble() + up.getAsDouble() - shape.down() - shape.up()) / 2
                : 0;
        return new BodyShape(shape.topLeft, shape.topRight, shape.bottomRight, shape.bottomLeft, off);
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
        Point topRight = apex(diagonal, quilt.length(Dimension.BODY_TOP), quilt.length(Dimension.BODY_RIGHT), 1);
        Point bottomLeft = apex(diagonal, quilt.length(Dimension.BODY_LEFT), quilt.length(Dimension.BODY_BOTTOM), -1);
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
