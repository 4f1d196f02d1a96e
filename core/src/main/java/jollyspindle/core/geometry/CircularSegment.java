package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

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
        Guards.overZero("radius", radius);
        Guards.overZero("span", chord);
        if (!spans(radius, chord)) {
            throw new IllegalArgumentException(Refusals.say("segment.span", "radius", radius, "span", chord));
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
        Guards.overZero("radius", radius);
        Guards.overZero("rise", height);
        if (height > radius * (1 + Tolerances.LAST_DIGITS)) {
            throw new IllegalArgumentException(Refusals.say("segment.radius", "rise", height, "radius", radius));
        }
        return new CircularSegment(radius, 2 * Math.sqrt(height * (2 * radius - height)), height);
    }

    /**
     * The segment with this chord and height.
     *
     * @throws IllegalArgumentException if either isn't over 0, or the height is over half the chord
     */
    public static CircularSegment ofChordAndHeight(double chord, double height) {
        Guards.overZero("span", chord);
        Guards.overZero("rise", height);
        if (height > chord / 2 * (1 + Tolerances.LAST_DIGITS)) {
            throw new IllegalArgumentException(Refusals.say("segment.rise", "rise", height, "span", chord));
        }
        return new CircularSegment((chord * chord / 4 + height * height) / (2 * height), chord, height);
    }

    /** Whether a circle of this radius has a chord this long. */
    public static boolean spans(double radius, double chord) {
        return chord <= 2 * radius * (1 + Tolerances.LAST_DIGITS);
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
