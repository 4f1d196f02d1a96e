package jollyspindle.files.outline;

import jollyspindle.core.geometry.Point;

import java.awt.geom.AffineTransform;

/**
 * An elliptical arc by its centre, in the drawing's coordinates with y down.
 *
 * @param centre of the ellipse
 * @param rx half its axis along x before it is turned
 * @param ry half its axis along y before it is turned
 * @param turn of the ellipse, in radians
 * @param start the ellipse's own angle at the start, in radians
 * @param sweep how far that angle goes, in radians
 */
record EndpointArc(Point centre, double rx, double ry, double turn, double start, double sweep) {

    /**
     * From the two ends that path data give, as the SVG specification's implementation notes say (SVG 1.1, F.6.5 and
     * F.6.6): radii too small for the chord are enlarged until they just do.
     *
     * @param from where it starts, another place than {@code to}
     */
    static EndpointArc of(
            Point from, Point to, double radiusX, double radiusY, double turn, boolean large, boolean positive) {
        double rx = Math.abs(radiusX);
        double ry = Math.abs(radiusY);
        Point half = from.minus(to).times(0.5).turned(-turn);
        double enlarge = Math.hypot(half.x() / rx, half.y() / ry);
        if (enlarge > 1) {
            rx *= enlarge;
            ry *= enlarge;
        }
        // On the unit circle: half the chord, and how far the centre is from it.
        Point chord = new Point(half.x() / rx, half.y() / ry);
        double square = Math.min(1, chord.dot(chord));
        double aside = Math.sqrt((1 - square) / square) * (large == positive ? -1 : 1);
        Point middle = new Point(chord.y(), -chord.x()).times(aside);
        Point centre = new Point(middle.x() * rx, middle.y() * ry).turned(turn).plus(from.midpoint(to));
        double start = chord.minus(middle).angle();
        double end = chord.times(-1).minus(middle).angle();
        double sweep = end - start;
        if (positive && sweep < 0) {
            sweep += 2 * Math.PI;
        } else if (!positive && sweep > 0) {
            sweep -= 2 * Math.PI;
        }
        return new EndpointArc(centre, rx, ry, turn, start, sweep);
    }

    /**
     * This arc carried along by a transform.
     *
     * @param from its transformed start
     * @param to its transformed end
     */
    Stroke stroke(Point from, Point to, AffineTransform transform) {
        Point u = Point.direction(turn).times(rx);
        Point v = Point.direction(turn).turnedLeft().times(ry);
        double[] axes = {u.x(), u.y(), v.x(), v.y()};
        transform.deltaTransform(axes, 0, axes, 0, 2);
        double[] middle = {centre.x(), centre.y()};
        transform.transform(middle, 0, middle, 0, 1);
        return new Stroke.Elliptic(
                from,
                to,
                new Point(middle[0], middle[1]),
                new Point(axes[0], axes[1]),
                new Point(axes[2], axes[3]),
                start,
                sweep);
    }
}
