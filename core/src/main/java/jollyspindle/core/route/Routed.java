package jollyspindle.core.route;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;

import java.util.List;

/**
 * Lines in the order in which they are stitched.
 *
 * @param lines in that order, each the way it is stitched
 * @param placements in that order
 * @param travels from line to line, where the needle doesn't end where the next line begins and yet needn't start anew
 */
public record Routed(List<StitchLine> lines, List<Placement> placements, List<Travel> travels) {

    public Routed {
        lines = List.copyOf(lines);
        placements = List.copyOf(placements);
        travels = List.copyOf(travels);
    }

    /** How often the needle begins anew. */
    public int starts() {
        return starts(lines) - travels.size();
    }

    /** How far the needle travels, in inches. */
    public double travelled() {
        return travels.stream().mapToDouble(t -> t.path().length()).sum();
    }

    /** How often a needle that doesn't travel begins anew. */
    public static int starts(List<StitchLine> lines) {
        int starts = 0;
        StitchLine before = null;
        for (StitchLine line : lines) {
            boolean on =
                    before != null && before.needleAt().distance(line.path().start()) < Tolerances.SAME_PLACE;
            starts += on ? 0 : 1;
            before = line;
        }
        return starts;
    }
}
