package jollyspindle.core.cloth;

import jollyspindle.core.effort.Effort;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;

import java.util.Arrays;

/**
 * How far each pixel of a grid is from the nearest of some curves.
 *
 * <p>Which of the pixels that a curve passes through is nearest is found exactly, in time that grows with the pixels alone: by columns,
 * then by rows with the lower envelope of parabolas (P. F. Felzenszwalb, D. P. Huttenlocher, Distance Transforms of Sampled
 * Functions, Theory of Computing 8, 2012). From there it is measured to the curve itself, not to the middle of its pixel, so that a
 * slanting line has no steps.
 */
public final class DistanceField {

    /**
     * So far, in pixels, a curve goes on straight from where it was looked at, unless it ends sooner. The pixel that it is looked at
     * in may be the next but one to where it is nearest.
     */
    private static final double STRAIGHT = 1.5;

    /** From look to look along a curve, in pixels. */
    private static final double STEP = 0.5;

    private static final int NONE = -1;
    private static final int ROWS_A_STEP = 64;

    private final Grid grid;
    private final int width;
    private final int height;

    /** Where the curve was looked at that passes nearest the middle of a pixel, and which way it goes there; NaN without one. */
    private final float[] column;

    private final float[] row;
    private final float[] right;
    private final float[] down;

    /** How far it goes on from there both ways, in pixels. */
    private final float[] on;

    private boolean empty = true;

    public DistanceField(Grid grid) {
        this.grid = grid;
        this.width = grid.width();
        this.height = grid.height();
        column = new float[width * height];
        row = new float[width * height];
        right = new float[width * height];
        down = new float[width * height];
        on = new float[width * height];
        Arrays.fill(column, Float.NaN);
    }

    /** Takes in a curve, as far as it is on the grid. */
    public void add(Curve curve) {
        int looks = Math.max(1, (int) Math.ceil(curve.length() * grid.scale() / STEP));
        for (int i = 0; i <= looks; i++) {
            double part = (double) i / looks;
            Point at = curve.at(part);
            double c = grid.column(at);
            double r = grid.row(at);
            int x = (int) Math.floor(c);
            int y = (int) Math.floor(r);
            if (x >= 0 && x < width && y >= 0 && y < height) {
                look(curve, part, c, r, y * width + x);
            }
        }
    }

    private void look(Curve curve, double part, double c, double r, int pixel) {
        int inRow = pixel / width;
        double middleColumn = pixel % width + 0.5;
        double middleRow = inRow + 0.5;
        if (Float.isNaN(column[pixel])
                || square(c - middleColumn) + square(r - middleRow)
                        < square(column[pixel] - middleColumn) + square(row[pixel] - middleRow)) {
            column[pixel] = (float) c;
            row[pixel] = (float) r;
            Point direction = curve.direction(part).unit();
            right[pixel] = (float) direction.x();
            down[pixel] = (float) -direction.y();
            on[pixel] = (float) Math.min(STRAIGHT, Math.min(part, 1 - part) * curve.length() * grid.scale());
            empty = false;
        }
    }

    /**
     * The distances, row by row.
     *
     * @return in pixels; without end where there is no curve
     */
    public float[] distances() {
        float[] all = new float[width * height];
        if (empty) {
            Arrays.fill(all, Float.POSITIVE_INFINITY);
            return all;
        }
        int[] nearest = inColumns();
        int[] stack = new int[width];
        double[] from = new double[width + 1];
        for (int y = 0; y < height; y++) {
            if (y % ROWS_A_STEP == 0) {
                Effort.step();
            }
            inRow(y, nearest, stack, from, all);
        }
        return all;
    }

    /** The row of the nearest pixel with a curve, in the same column; none where the column has none. */
    private int[] inColumns() {
        int[] nearest = new int[width * height];
        for (int i = 0; i < nearest.length; i++) {
            nearest[i] = !Float.isNaN(column[i]) ? i / width : i < width ? NONE : nearest[i - width];
        }
        for (int i = nearest.length - width - 1; i >= 0; i--) {
            int below = nearest[i + width];
            int y = i / width;
            if (below != NONE && (nearest[i] == NONE || below - y < y - nearest[i])) {
                nearest[i] = below;
            }
        }
        return nearest;
    }

    private void inRow(int y, int[] nearest, int[] stack, double[] from, float[] all) {
        int first = y * width;
        int top = -1;
        for (int x = 0; x < width; x++) {
            if (nearest[first + x] == NONE) {
                continue;
            }
            double own = (double) x * x + square(nearest[first + x] - y);
            double starts = Double.NEGATIVE_INFINITY;
            while (top >= 0) {
                int other = stack[top];
                starts = (own - (double) other * other - square(nearest[first + other] - y)) / (2.0 * (x - other));
                if (starts > from[top]) {
                    break;
                }
                top--;
                starts = Double.NEGATIVE_INFINITY;
            }
            top++;
            stack[top] = x;
            from[top] = starts;
        }
        from[top + 1] = Double.POSITIVE_INFINITY;
        int at = 0;
        for (int x = 0; x < width; x++) {
            while (from[at + 1] < x) {
                at++;
            }
            int pixel = nearest[first + stack[at]] * width + stack[at];
            all[first + x] = measured(pixel, x + 0.5, y + 0.5);
        }
    }

    private static double square(double a) {
        return a * a;
    }

    /** From the middle of a pixel to the curve where it was looked at. */
    private float measured(int pixel, double x, double y) {
        double dx = x - column[pixel];
        double dy = y - row[pixel];
        double along = Math.max(0, Math.abs(dx * right[pixel] + dy * down[pixel]) - on[pixel]);
        double beside = dx * down[pixel] - dy * right[pixel];
        return (float) Math.sqrt(along * along + beside * beside);
    }
}
