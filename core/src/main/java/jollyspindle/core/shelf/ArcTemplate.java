package jollyspindle.core.shelf;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;

import java.util.List;
import java.util.Optional;

/**
 * A template with one edge that is an arc, and rise lines engraved parallel to the arc's chord.
 *
 * <p>Its own frame, in which it is pictured at home: the origin is the centre of the edge's circle, y points at the
 * crown. The plate of a convex template lies below its edge, that of a concave one above.
 *
 * @param id what other parts of a job call it; letters, digits and hyphens
 * @param name what the quilter calls it
 * @param edge which way the edge curves
 * @param labelRadius the radius printed on it, in inches
 * @param label what that radius means
 * @param usableSweep how much of the edge a foot can follow, in radians, centred on the crown; over 0, at most π
 * @param riseLines the engraved lines, by the rise printed on them in inches: with that line on the seam, the crown
 *     stitches so much above it with the usual foot; ascending
 * @param plateDepth from the edge's crown straight to the far side of the plate, in inches
 * @param thickness of the acrylic, in inches
 */
public record ArcTemplate(
        String id,
        String name,
        ArcEdge edge,
        double labelRadius,
        LabelConvention label,
        double usableSweep,
        List<Double> riseLines,
        double plateDepth,
        double thickness) {

    /** How wide a leg beside a hollow edge is, in inches, for want of a measured one. */
    private static final double LEG_WIDTH = 1;

    public ArcTemplate {
        positive(labelRadius, "radius");
        positive(usableSweep, "usable sweep");
        positive(plateDepth, "plate depth");
        positive(thickness, "thickness");
        if (usableSweep > Math.PI + 1e-9) {
            throw new IllegalArgumentException("an arc edge is usable over at most the half circle");
        }
        riseLines = riseLines.stream().sorted().toList();
        riseLines.forEach(line -> positive(line, "rise line"));
    }

    private static void positive(double value, String what) {
        if (!(value > 0) || !Double.isFinite(value)) {
            throw new IllegalArgumentException("the " + what + " must be over 0, not " + value);
        }
    }

    public ArcTemplate withId(String other) {
        return new ArcTemplate(other, name, edge, labelRadius, label, usableSweep, riseLines, plateDepth, thickness);
    }

    public ArcTemplate withName(String other) {
        return new ArcTemplate(id, other, edge, labelRadius, label, usableSweep, riseLines, plateDepth, thickness);
    }

    public ArcTemplate withEdge(ArcEdge other) {
        return new ArcTemplate(id, name, other, labelRadius, label, usableSweep, riseLines, plateDepth, thickness);
    }

    public ArcTemplate withLabelRadius(double other) {
        return new ArcTemplate(id, name, edge, other, label, usableSweep, riseLines, plateDepth, thickness);
    }

    public ArcTemplate withLabel(LabelConvention other) {
        return new ArcTemplate(id, name, edge, labelRadius, other, usableSweep, riseLines, plateDepth, thickness);
    }

    public ArcTemplate withUsableSweep(double other) {
        return new ArcTemplate(id, name, edge, labelRadius, label, other, riseLines, plateDepth, thickness);
    }

    public ArcTemplate withRiseLines(List<Double> other) {
        return new ArcTemplate(id, name, edge, labelRadius, label, usableSweep, other, plateDepth, thickness);
    }

    public ArcTemplate withPlateDepth(double other) {
        return new ArcTemplate(id, name, edge, labelRadius, label, usableSweep, riseLines, other, thickness);
    }

    public ArcTemplate withThickness(double other) {
        return new ArcTemplate(id, name, edge, labelRadius, label, usableSweep, riseLines, plateDepth, other);
    }

    /**
     * The radius of the acrylic edge, in inches. Not over 0 where a convex label that counts the foot is no larger than the
     * foot: {@link #difficulty} tells.
     */
    public double edgeRadius() {
        return label == LabelConvention.AS_CUT
                ? labelRadius
                : labelRadius - edge.footSign() * Machine.NOMINAL_FOOT_RADIUS;
    }

    /** The radius the needle stitches with this machine's foot, in inches: the edge's offset by the foot's radius. */
    public double stitchedRadius(Machine machine) {
        return edgeRadius() + edge.footSign() * machine.footRadius();
    }

    /** Why no arc can be stitched along this edge with this machine's foot. */
    public Optional<Difficulty> difficulty(Machine machine) {
        if (edgeRadius() <= 0) {
            return Optional.of(Difficulty.LABEL_SMALLER_THAN_FOOT);
        }
        if (edge == ArcEdge.CONCAVE && edgeRadius() <= machine.footRadius()) {
            return Optional.of(Difficulty.HOLLOW_SMALLER_THAN_FOOT);
        }
        return Optional.empty();
    }

    /** What makes an edge useless. */
    public enum Difficulty {
        /** The label is said to count the foot, but is no larger than the foot. */
        LABEL_SMALLER_THAN_FOOT,
        /** The foot can't follow a hollow of no more than its own radius. */
        HOLLOW_SMALLER_THAN_FOOT
    }

    /**
     * From the edge's crown straight down to what lies under the seam, for a stitched rise; in inches. Negative for a convex
     * template where the seam would pass above the acrylic.
     *
     * @param rise from the seam to the needle's crown, in inches
     */
    public double crownToSeam(double rise, Machine machine) {
        return rise - edge.footSign() * machine.footRadius();
    }

    /** What really stitches above the seam when the line with this label lies on it, in inches. */
    public double stitchedRise(double lineLabel, Machine machine) {
        return lineLabel + edge.footSign() * (machine.footRadius() - Machine.NOMINAL_FOOT_RADIUS);
    }

    /** How far below the edge's crown the acrylic reaches, so that a seam under it can be seen and lined up; in inches. */
    public double reachBelowCrown() {
        return edge == ArcEdge.CONVEX ? plateDepth : edgeSagitta();
    }

    private double edgeSagitta() {
        return edgeRadius() * (1 - Math.cos(usableSweep / 2));
    }

    /** The usable edge in the template's own frame, from left to right. */
    public Arc edgeCurve() {
        return new Arc(Point.ORIGIN, edgeRadius(), Math.PI / 2 + usableSweep / 2, -usableSweep);
    }

    /**
     * The plate's outline in the template's own frame, closed, clockwise for a convex template. Beyond the edge itself
     * it is a plain block, since the rest doesn't touch the foot.
     *
     * @throws IllegalArgumentException if the template has a {@link #difficulty} that leaves it without an edge
     */
    public List<Curve> outline() {
        Arc curve = edgeCurve();
        Point left = curve.start();
        Point right = curve.end();
        if (edge == ArcEdge.CONVEX) {
            double base = Math.min(edgeRadius() - plateDepth, left.y());
            Point lowRight = new Point(right.x(), base);
            Point lowLeft = new Point(left.x(), base);
            return List.of(
                    curve, new Segment(right, lowRight), new Segment(lowRight, lowLeft), new Segment(lowLeft, left));
        }
        double back = edgeRadius() + plateDepth;
        Point footRight = new Point(right.x() + LEG_WIDTH, right.y());
        Point footLeft = new Point(left.x() - LEG_WIDTH, left.y());
        Point backRight = new Point(footRight.x(), back);
        Point backLeft = new Point(footLeft.x(), back);
        return List.of(
                curve,
                new Segment(right, footRight),
                new Segment(footRight, backRight),
                new Segment(backRight, backLeft),
                new Segment(backLeft, footLeft),
                new Segment(footLeft, left));
    }

    /**
     * Where something parallel to the chord lies on the plate, in the template's own frame: one stroke across a convex
     * plate, one on each leg of a concave one; none where there is no acrylic.
     *
     * @param belowCrown from the edge's crown straight down, in inches
     */
    public List<Segment> strokesAt(double belowCrown) {
        if (belowCrown < 0 || belowCrown > reachBelowCrown() + 1e-9) {
            return List.of();
        }
        double y = edgeRadius() - belowCrown;
        double widest = edgeRadius() * Math.sin(usableSweep / 2);
        double atEdge = y < edgeRadius() * Math.cos(usableSweep / 2)
                ? widest
                : Math.sqrt(Math.max(0, (edgeRadius() - y) * (edgeRadius() + y)));
        if (edge == ArcEdge.CONVEX) {
            return List.of(new Segment(new Point(-atEdge, y), new Point(atEdge, y)));
        }
        double outer = widest + LEG_WIDTH;
        return List.of(
                new Segment(new Point(-outer, y), new Point(-atEdge, y)),
                new Segment(new Point(atEdge, y), new Point(outer, y)));
    }

    /** How far below the edge's crown the line with this label is engraved, in inches. */
    public double lineBelowCrown(double lineLabel) {
        return lineLabel - edge.footSign() * Machine.NOMINAL_FOOT_RADIUS;
    }
}
