package jollyspindle.core.cloth;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;

import java.util.List;

/**
 * How quilted cloth stands up between its stitching, and how bright each place of it is in light from the upper left.
 *
 * @param grid of pixels
 * @param heights of the cloth, pixel by pixel, row by row, in inches
 */
public record Relief(Grid grid, float[] heights) {

    /** How many pixels a picture's bands have at most. */
    private static final int MOST_PIXELS = 2_000_000;

    /** How bright the darkest slope is, of what level cloth is. */
    public static final double DARKEST = 0.45;

    /** How bright the brightest slope is, of what level cloth is. */
    public static final double BRIGHTEST = 1.3;

    // Where the light comes from: left, up, and out of the cloth. Flat light shows low relief.
    private static final double LEFT = -1;
    private static final double UP = 1;
    private static final double OUT = 1.6;

    /**
     * The relief that lines raise.
     *
     * @param held what holds the cloth down: stitched lines, and the edges that are bound
     */
    public static Relief of(Grid grid, List<Path> held, Loft loft) {
        DistanceField field = new DistanceField(grid);
        for (Path path : held) {
            for (Curve curve : path.curves()) {
                if (curve.box().grown(1 / grid.scale()).meets(grid.box())) {
                    field.add(curve);
                }
            }
        }
        float[] heights = field.distances();
        for (int i = 0; i < heights.length; i++) {
            heights[i] = (float) loft.height(heights[i] / grid.scale());
        }
        return new Relief(grid, heights);
    }

    /**
     * In how many bands a picture is best worked out: what is more than the loft's reach away from a band doesn't change it.
     *
     * @return rows a band, from 1
     */
    public static int rowsABand(Grid grid) {
        return Math.max(1, Math.min(grid.height(), MOST_PIXELS / grid.width()));
    }

    /** How many rows beyond a band's edge must be known, so that the band is as it is in the whole. */
    public static int margin(Grid grid, Loft loft) {
        return (int) Math.ceil(loft.reach() * grid.scale()) + 2;
    }

    /**
     * How bright the cloth is at a pixel, by how its slope faces the light (Lambert's law).
     *
     * @return of what level cloth is, {@link #DARKEST} to {@link #BRIGHTEST}
     */
    public double brightness(int column, int row) {
        double right = slope(height(column - 1, row), height(column + 1, row));
        double up = slope(height(column, row + 1), height(column, row - 1));
        double facing = (OUT - LEFT * right - UP * up) / Math.sqrt(1 + right * right + up * up) / OUT;
        return Math.max(DARKEST, Math.min(BRIGHTEST, facing));
    }

    private double slope(double from, double to) {
        return (to - from) * grid.scale() / 2;
    }

    private double height(int column, int row) {
        int x = Math.max(0, Math.min(grid.width() - 1, column));
        int y = Math.max(0, Math.min(grid.height() - 1, row));
        return heights[y * grid.width() + x];
    }
}
