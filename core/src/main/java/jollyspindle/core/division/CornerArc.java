package jollyspindle.core.division;

import java.util.Optional;

/**
 * One arc astride a mitre: its centre line on it, its feet on the two seams at equal distances from the inner corner.
 *
 * @param centre how far along both borders its centre lies from the inner corner outwards, in inches: k in (k + d)² + k² = R²
 * @param overRoom how far its crown passes where nothing may be stitched, k + R − room, in inches; below 0 if room is left
 */
public record CornerArc(double centre, double overRoom) {

    /**
     * The arc of a stitched radius with given feet.
     *
     * @param feet from the inner corner, in inches, over 0
     * @param radius stitched, in inches
     * @param room from the seam to where nothing may be stitched, in inches
     * @return nothing if no such arc reaches both feet
     */
    public static Optional<CornerArc> of(double feet, double radius, double room) {
        double square = 2 * radius * radius - feet * feet;
        if (square < 0) {
            return Optional.empty();
        }
        double centre = (Math.sqrt(square) - feet) / 2;
        return Optional.of(new CornerArc(centre, centre + radius - room));
    }
}
