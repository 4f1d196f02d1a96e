package jollyspindle.core.shelf;

import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.measure.Tolerances;

import java.util.Comparator;
import java.util.Optional;

/**
 * How a template suits one repeat: what it stitches over that span, whether it has room, and what lies on the seam.
 *
 * @param segment the stitched figure: radius, span and rise
 * @param overRoom how far the crown passes the room it has, in inches; negative if room is left
 * @param parts how many times the template must be placed for one arc, 1 or more
 * @param register what of the template lies on the seam
 */
public record ArcFit(CircularSegment segment, double overRoom, int parts, SeamRegister register) {

    /**
     * Fits a template to a repeat.
     *
     * @param template without a {@link ArcTemplate#difficulty} on this machine
     * @param repeat the span wanted, in inches, over 0
     * @param room from the feet of the arc to where nothing may be stitched, in inches
     * @param clearance from the seam to the feet of the arc, in inches
     * @return nothing if the span is wider than the circle the template stitches
     */
    public static Optional<ArcFit> of(
            ArcTemplate template, Machine machine, double repeat, double room, double clearance) {
        double radius = template.stitchedRadius(machine);
        if (!CircularSegment.spans(radius, repeat)) {
            return Optional.empty();
        }
        CircularSegment segment = CircularSegment.ofRadiusAndChord(radius, repeat);
        int parts = placements(segment.sweep(), template.usableSweep());
        return Optional.of(new ArcFit(
                segment, segment.height() - room, parts, register(template, machine, segment.height() + clearance)));
    }

    /** How many times a template with a usable sweep is placed for an arc, 1 or more; both in radians. */
    static int placements(double sweep, double usable) {
        return (int) Math.max(1, Math.ceil(sweep / usable - Tolerances.ROUNDING));
    }

    /** The widest span this template stitches with this machine, in inches: the half circle. */
    public static double widest(ArcTemplate template, Machine machine) {
        return 2 * template.stitchedRadius(machine);
    }

    public boolean fitsRoom() {
        return overRoom <= Tolerances.ROUNDING;
    }

    /**
     * What of a template lies on the seam.
     *
     * @param crownAboveSeam where the needle's crown is to be, in inches
     */
    public static SeamRegister register(ArcTemplate template, Machine machine, double crownAboveSeam) {
        Optional<ArcTemplate.RiseLine> nearest = template.riseLines().stream()
                .min(Comparator.comparingDouble(
                        line -> Math.abs(template.stitchedRise(line, machine) - crownAboveSeam)));
        double off = nearest.map(line -> template.stitchedRise(line, machine) - crownAboveSeam)
                .orElse(Double.NaN);
        if (Math.abs(off) <= Tolerances.CHALK) {
            ArcTemplate.RiseLine line = nearest.orElseThrow();
            return new SeamRegister.EngravedLine(line.label(), line.belowCrown(), off);
        }
        double belowEdge = template.crownToSeam(crownAboveSeam, machine);
        if (template.strokesAt(belowEdge).isEmpty()) {
            return new SeamRegister.OffThePlate();
        }
        return new SeamRegister.Tape(
                belowEdge, nearest.map(ArcTemplate.RiseLine::label).orElse(Double.NaN), -off);
    }
}
