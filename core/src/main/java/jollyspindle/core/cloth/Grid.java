package jollyspindle.core.cloth;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.text.Guards;

/**
 * Pixels over the quilt, row by row from the top left, columns from the left.
 *
 * @param scale pixels to the inch, over 0
 * @param left the left edge of the first column, in the quilt's frame, in inches
 * @param top the upper edge of the first row, in the quilt's frame, in inches
 * @param width in pixels, from 1
 * @param height in pixels, from 1
 */
public record Grid(double scale, double left, double top, int width, int height) {

    public Grid {
        Guards.overZero("scale", scale);
        Guards.atLeast("width", width, 1);
        Guards.atLeast("height", height, 1);
    }

    /** Over a box, so many pixels wide, and as high as it takes. */
    public static Grid over(Box box, int width) {
        double scale = width / box.width();
        return new Grid(scale, box.left(), box.top(), width, Math.max(1, (int) Math.round(box.height() * scale)));
    }

    /** The column a place lies in, with parts of a pixel: the middle of the first is at one half. */
    public double column(Point place) {
        return (place.x() - left) * scale;
    }

    /** The row a place lies in, with parts of a pixel. */
    public double row(Point place) {
        return (top - place.y()) * scale;
    }

    /** Rows of this one, as a grid of their own. */
    public Grid rows(int first, int count) {
        return new Grid(scale, left, top - first / scale, width, count);
    }

    /** The same cloth under so many times fewer pixels each way; from 1. */
    public Grid coarser(int times) {
        return new Grid(
                scale / times,
                left,
                top,
                Math.max(1, (width + times - 1) / times),
                Math.max(1, (height + times - 1) / times));
    }

    /** The cloth that it covers. */
    public Box box() {
        return new Box(left, top - height / scale, left + width / scale, top);
    }
}
