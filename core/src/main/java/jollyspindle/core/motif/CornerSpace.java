package jollyspindle.core.motif;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.RunFrame;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The piece of cloth in a border's corner: between where the two runs end and the limit of stitching. On a quilt that isn't
 * square every corner is its own.
 *
 * @param left the run at whose left end the corner is
 * @param right the run at whose right end it is
 * @param corners how the borders meet there
 */
record CornerSpace(RunFrame left, RunFrame right, Corners corners) {

    /** The unit vector along the left run, away from the corner. */
    Point away() {
        return left.along();
    }

    /** The unit vector along the right run, towards the corner and beyond. */
    Point towards() {
        return right.along();
    }

    /** Where the lines meet on which motifs stand: the inner corner. */
    Point inner() {
        return meeting(left.clearance(), right.clearance());
    }

    /** Where the limits of stitching meet: the outer corner. */
    Point outer() {
        return meeting(left.depth() - left.reserve(), right.depth() - right.reserve());
    }

    /** On the left run's line, across from the right run's limit. */
    Point beyondLeft() {
        return meeting(left.clearance(), right.depth() - right.reserve());
    }

    /** On the right run's line, across from the left run's limit. */
    Point beyondRight() {
        return meeting(left.depth() - left.reserve(), right.clearance());
    }

    private Point meeting(double acrossLeft, double acrossRight) {
        return Point.meeting(
                left.origin().plus(left.outward().times(acrossLeft)),
                left.along(),
                left.origin().plus(right.outward().times(acrossRight)),
                right.along());
    }

    /**
     * The middles of the four sides of a cornerstone, from that on the left run's line on: of its seams, and on the outer sides as far
     * out as may be stitched.
     */
    List<Point> midpoints() {
        return List.of(
                meeting(left.clearance(), right.depth() / 2),
                meeting(left.depth() / 2, right.depth() - right.reserve()),
                meeting(left.depth() - left.reserve(), right.depth() / 2),
                meeting(left.depth() / 2, right.clearance()));
    }

    /**
     * The corners of a cornerstone whose sides were measured, from the inner one round: that, and the seams that leave it, lie as
     * they should, and the other two sides meet where circles of their lengths do.
     *
     * @param measured up to four sides, from the inner corner round, in inches; the others are as wide as their border is deep
     * @return nothing if such sides don't close
     */
    Optional<List<Point>> stone(List<Double> measured) {
        List<Double> sides = new ArrayList<>(measured);
        while (sides.size() < 4) {
            sides.add(sides.size() % 2 == 0 ? right.depth() : left.depth());
        }
        Point inner = inner();
        Point first = inner.minus(away().times(sides.get(0)));
        Point last = inner.plus(towards().times(sides.get(3)));
        double across = first.distance(last);
        // The far corner over the line between the other two, by the law of cosines.
        double along = (across * across + square(sides.get(1)) - square(sides.get(2))) / (2 * across);
        double over = square(sides.get(1)) - along * along;
        if (over <= 0) {
            return Optional.empty();
        }
        Point way = last.minus(first).unit();
        Point outward = way.turnedLeft().dot(first.minus(inner)) > 0
                ? way.turnedLeft()
                : way.turnedLeft().times(-1);
        Point outer = first.plus(way.times(along)).plus(outward.times(Math.sqrt(over)));
        return Optional.of(List.of(inner, first, outer, last));
    }

    /** The middles of such a stone's sides: of its seams, and on the outer sides as far out as may be stitched. */
    List<Point> midpoints(List<Point> stone) {
        Point inner = stone.get(0);
        Point first = stone.get(1);
        Point outer = stone.get(2);
        Point last = stone.get(3);
        return List.of(
                inner.midpoint(first),
                first.midpoint(outer).plus(inward(first, outer).times(right.reserve())),
                outer.midpoint(last).plus(inward(outer, last).times(left.reserve())),
                last.midpoint(inner));
    }

    /** What of such a stone may be stitched. */
    Region region(List<Point> stone) {
        Point inner = stone.get(0);
        Point first = stone.get(1);
        Point outer = stone.get(2);
        Point last = stone.get(3);
        Point one = first.plus(inward(first, outer).times(right.reserve()));
        Point other = last.plus(inward(outer, last).times(left.reserve()));
        return Region.of(Path.polygon(List.of(
                inner,
                Point.meeting(inner, away(), one, outer.minus(first)),
                Point.meeting(one, outer.minus(first), other, last.minus(outer)),
                Point.meeting(inner, towards(), other, last.minus(outer)))));
    }

    /** Square to a side and in from it, 1 long. */
    private Point inward(Point from, Point to) {
        Point square = to.minus(from).unit().turnedLeft();
        return square.dot(inner().minus(from.midpoint(to))) > 0 ? square : square.times(-1);
    }

    private static double square(double inches) {
        return inches * inches;
    }

    /** The corner's own cloth, its corners in order from the inner one. */
    Path outline() {
        return Path.polygon(List.of(inner(), beyondLeft(), outer(), beyondRight()));
    }

    Region region() {
        return Region.of(outline());
    }

    /** From the inner corner to the limit of stitching, on the narrower side, in inches. */
    double room() {
        return Math.min(left.room(), right.room());
    }

    /** How far past the limits of stitching a place lies, in inches; below 0 if it is inside. */
    double beyond(Point p) {
        double first = p.minus(left.origin()).dot(left.outward()) - (left.depth() - left.reserve());
        double second = p.minus(left.origin()).dot(right.outward()) - (right.depth() - right.reserve());
        return Math.max(first, second);
    }

    /** The foot of a mitre arc on the left run's line. */
    Point leftFoot(double feet) {
        return inner().plus(away().times(feet));
    }

    /** The foot of a mitre arc on the right run's line. */
    Point rightFoot(double feet) {
        return inner().minus(towards().times(feet));
    }

    /** How far along the left run the left foot stands, in inches. */
    double takesOfLeft(double feet) {
        return leftFoot(feet).minus(left.origin()).dot(left.along());
    }

    /** How far before the right run's end the right foot stands, in inches. */
    double takesOfRight(double feet) {
        return -rightFoot(feet).minus(left.origin()).dot(right.along());
    }
}
