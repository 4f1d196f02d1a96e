package jollyspindle.core.quilt;

import jollyspindle.core.geometry.Point;

import java.util.OptionalDouble;

/**
 * A strip of cloth that is quilted like a border's side: sashing between blocks, or any other. It lies in the quilt's frame
 * from the left end of its lower seam, seen so that its arcs stand upright.
 *
 * @param name what the quilter calls it, 1 to {@link #LONGEST_NAME} characters
 * @param kind what strip it is
 * @param start the left end of its lower seam, in the quilt's frame
 * @param angle the direction it runs in, in radians counter-clockwise; 0 runs to the right
 * @param length along it, in inches, over 0
 * @param width across it, in inches, over 0
 * @param unit it is pieced from, in inches, over 0; nothing if it is cut from one cloth
 */
public record Strip(
        String name, Kind kind, Point start, double angle, double length, double width, OptionalDouble unit) {

    public static final int LONGEST_NAME = 40;

    /** More strips than any quilt is planned with. */
    public static final int MOST = 100;

    /** What strip it is. */
    public enum Kind {
        /** Between blocks. */
        SASHING,
        /** Anywhere. */
        FREE
    }

    public Strip {
        if (name.isBlank() || name.length() > LONGEST_NAME) {
            throw new IllegalArgumentException("a strip's name has 1 to " + LONGEST_NAME + " characters");
        }
        name = name.strip();
        if (!QuiltRules.isLength(length) || !QuiltRules.isLength(width)) {
            throw new IllegalArgumentException("a strip of " + length + " by " + width);
        }
        if (unit.isPresent() && !QuiltRules.isStep(unit.getAsDouble())) {
            throw new IllegalArgumentException("a pieced unit is 1/32 to 200, not " + unit.getAsDouble());
        }
        if (!QuiltRules.isPlace(start)) {
            throw new IllegalArgumentException("a strip that begins at " + start);
        }
        if (!(Math.abs(angle) <= 2 * Math.PI)) {
            throw new IllegalArgumentException("a strip turned by " + angle);
        }
    }

    public Strip withName(String other) {
        return new Strip(other, kind, start, angle, length, width, unit);
    }

    public Strip with(Kind other) {
        return new Strip(name, other, start, angle, length, width, unit);
    }

    public Strip withStart(Point other) {
        return new Strip(name, kind, other, angle, length, width, unit);
    }

    /** In radians. */
    public Strip withAngle(double other) {
        return new Strip(name, kind, start, other, length, width, unit);
    }

    /** Both in inches. */
    public Strip withSize(double along, double across) {
        return new Strip(name, kind, start, angle, along, across, unit);
    }

    public Strip withUnit(OptionalDouble other) {
        return new Strip(name, kind, start, angle, length, width, other);
    }

    public RunFrame frame(int number) {
        return new RunFrame(
                RunId.strip(number), start, new Point(Math.cos(angle), Math.sin(angle)), length, width, 0, 0);
    }
}
