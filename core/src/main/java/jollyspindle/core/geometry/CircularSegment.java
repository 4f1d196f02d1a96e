package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;

/**
 * The figure between an arc and its chord, up to the half circle. What the trade calls span is the chord here, and rise
 * its height.
 *
 * <p>Formulas, for radius R, chord c, height h and angle θ: h = R − √(R² − c²/4), c = 2√(2Rh − h²), R = (c²/4 + h²)/(2h),
 * θ = 2·asin(c/2R), arc length Rθ. Source: the circular-segment formulas of any engineering handbook (Machinery's
 * Handbook, "Segments of circles"); they follow from Pythagoras.
 *
 * @param radius R in inches, over 0
 * @param chord c in inches, over 0 and at most 2R
 * @param height h in inches, over 0 and at most R
 */
public record CircularSegment(double radius, double chord, double height) {

    /**
     * The segment with this radius and chord.
     *
     * @throws IllegalArgumentException if either isn't over 0, or the chord is longer than the diameter
     */
    public static CircularSegment ofRadiusAndChord(double radius, double chord) {
        require(radius, "radius");
        require(chord, "span");
        if (!spans(radius, chord)) {
            throw new IllegalArgumentException("a radius of " + radius + " can't span " + chord);
        }
        double half = Math.min(chord / 2, radius);
        // The same as R − √(R² − c²/4), without losing digits on flat arcs.
        double height = half * half / (radius + Math.sqrt((radius - half) * (radius + half)));
        return new CircularSegment(radius, chord, height);
    }

    /**
     * The segment with this radius and height.
     *
     * @throws IllegalArgumentException if either isn't over 0, or the height is over the radius
     */
    public static CircularSegment ofRadiusAndHeight(double radius, double height) {
        require(radius, "radius");
        require(height, "rise");
        if (height > radius * (1 + Tolerances.LAST_DIGITS)) {
            throw new IllegalArgumentException(
                    "a rise of " + height + " is more than the half circle of radius " + radius);
        }
        return new CircularSegment(radius, 2 * Math.sqrt(height * (2 * radius - height)), height);
    }

    /**
     * The segment with this chord and height.
     *
     * @throws IllegalArgumentException if either isn't over 0, or the height is over half the chord
     */
    public static CircularSegment ofChordAndHeight(double chord, double height) {
        require(chord, "span");
        require(height, "rise");
        if (height > chord / 2 * (1 + Tolerances.LAST_DIGITS)) {
            throw new IllegalArgumentException(
                    "a rise of " + height + " is more than half the span of " + chord + ", past the half circle");
        }
        return new CircularSegment((chord * chord / 4 + height * height) / (2 * height), chord, height);
    }

    /** Whether a circle of this radius has a chord this long. */
    public static boolean spans(double radius, double chord) {
        return chord <= 2 * radius * (1 + Tolerances.LAST_DIGITS);
    }

    private static void require(double value, String what) {
        if (!(value > 0) || !Double.isFinite(value)) {
            throw new IllegalArgumentException("the " + what + " must be over 0, not " + value);
        }
    }

    /** θ, the angle the arc is seen under from its centre, in radians. */
    public double sweep() {
        return 2 * Math.atan2(chord / 2, radius - height);
    }

    /** Along the curve, in inches. */
    public double arcLength() {
        return radius * sweep();
    }
}
