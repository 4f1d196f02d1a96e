package jollyspindle.core.division;

import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One way for all four sides to come out even.
 *
 * @param counts of repeats
 * @param repeats the length of a repeat on each side, in inches
 * @param fits how the template suits each side; a side is missing if its repeat is too wide
 * @param penalty the lower, the better; see {@link CandidateFinder}
 * @param reasons for and against it, the weightiest first
 */
public record Candidate(
        Counts counts, Map<Side, Double> repeats, Map<Side, ArcFit> fits, double penalty, List<Reason> reasons) {

    public double repeat(Side side) {
        return repeats.get(side);
    }

    /** The longest repeat of the four sides less the shortest, in inches. */
    public double mismatch() {
        double longest = repeats.values().stream().mapToDouble(d -> d).max().orElse(0);
        double shortest = repeats.values().stream().mapToDouble(d -> d).min().orElse(0);
        return longest - shortest;
    }

    public Optional<ArcFit> fit(Side side) {
        return Optional.ofNullable(fits.get(side));
    }
}
