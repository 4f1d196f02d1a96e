package jollyspindle.core.division;

import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;

import java.util.Map;
import java.util.Optional;

/**
 * The four runs to be divided together, and the template that is to span a repeat.
 *
 * @param lengths of the runs, in inches
 * @param rooms from the arcs' feet to where nothing may be stitched, in inches
 * @param clearance from the seam to the arcs' feet, in inches
 * @param template to be used; without a difficulty on this machine
 * @param machine to be used
 */
public record Ring(
        Map<Side, Double> lengths, Map<Side, Double> rooms, double clearance, ArcTemplate template, Machine machine) {

    EvenDivision division(Side side, Counts counts) {
        return new EvenDivision(lengths.get(side), counts.on(side));
    }

    Optional<ArcFit> fit(Side side, double repeat) {
        return ArcFit.of(template, machine, repeat, rooms.get(side), clearance);
    }

    double widest() {
        return ArcFit.widest(template, machine);
    }

    /** The longer of two opposite runs, in inches. */
    double longer(Side side) {
        return Math.max(lengths.get(side), lengths.get(side.opposite()));
    }

    /** The shorter of two opposite runs, in inches. */
    double shorter(Side side) {
        return Math.min(lengths.get(side), lengths.get(side.opposite()));
    }
}
