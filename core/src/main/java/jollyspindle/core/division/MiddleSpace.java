package jollyspindle.core.division;

import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.Tolerances;

import java.util.OptionalDouble;

/**
 * What can stand on the odd space in the middle of a run between arcs of a stitched radius, all in inches.
 *
 * @param width of the space
 * @param beside the arcs on both sides: their radius, span and rise
 */
public record MiddleSpace(double width, CircularSegment beside) {

    /** How two half arcs look where they meet. */
    public enum Meeting {
        POINTED,
        SMOOTH,
        DIP
    }

    /**
     * The stitched radius of one arc over the space that rises as high as its neighbours: (c²/4 + h²)/(2h).
     *
     * @return nothing if the space is narrower than twice the rise, so that no arc of a half circle or less does
     */
    public OptionalDouble oneArcsRadius() {
        double rise = beside.height();
        return width < 2 * rise - Tolerances.ROUNDING
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        CircularSegment.ofChordAndHeight(width, rise).radius());
    }

    /**
     * Two half arcs of the neighbours' kind, from both ends of the space: how high above the seam they meet, √(R² − (H −
     * c/2)²) − (R − h) with H half the space.
     *
     * @return nothing if they come down to the seam before they meet
     */
    public OptionalDouble halfArcsMeetAt() {
        double aside = width / 2 - beside.chord() / 2;
        double square = beside.radius() * beside.radius() - aside * aside;
        double height = square < 0 ? -1 : Math.sqrt(square) - (beside.radius() - beside.height());
        return height < 0 ? OptionalDouble.empty() : OptionalDouble.of(height);
    }

    /** How two half arcs look where they meet. */
    public Meeting meeting() {
        double aside = width / 2 - beside.chord() / 2;
        return Math.abs(aside) < Tolerances.ROUNDING ? Meeting.SMOOTH : aside < 0 ? Meeting.POINTED : Meeting.DIP;
    }
}
