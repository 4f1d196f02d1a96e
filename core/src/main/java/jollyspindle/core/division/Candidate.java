package jollyspindle.core.division;

import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;

import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * One way for runs that are divided together to come out.
 *
 * @param byRun how each is divided
 * @param penalty the lower, the better; see {@link CandidateFinder}
 * @param reasons for and against it, the weightiest first
 */
public record Candidate(SortedMap<RunId, DividedRun> byRun, double penalty, List<Reason> reasons) {

    public Candidate {
        byRun = Collections.unmodifiableSortedMap(new TreeMap<>(byRun));
    }

    /** The runs as divided, in order. */
    public Collection<DividedRun> runs() {
        return byRun.values();
    }

    public DividedRun run(RunId id) {
        return byRun.get(id);
    }

    /** The school of each run: what makes this candidate what it is. */
    public Map<RunId, School> schools() {
        return byRun.values().stream()
                .collect(Collectors.toMap(DividedRun::id, DividedRun::school, (a, b) -> a, TreeMap::new));
    }

    /** The kind of school all runs follow; nothing if they differ. */
    public Optional<SchoolKind> kind() {
        List<SchoolKind> kinds =
                runs().stream().map(r -> r.school().kind()).distinct().toList();
        return kinds.size() == 1 ? Optional.of(kinds.get(0)) : Optional.empty();
    }

    /** How many repeats there are on each run, two halves counted as one. */
    public int count(RunId id) {
        return run(id).division().count();
    }

    /** The counts of a border whose opposite sides have the same; nothing of a strip, or where they differ. */
    public Optional<Counts> counts() {
        Map<Side, Integer> counts = runs().stream()
                .filter(r -> r.id().side().isPresent())
                .collect(Collectors.toMap(
                        r -> r.id().side().orElseThrow(), r -> r.division().count()));
        return counts.size() == 4
                        && counts.get(Side.TOP).equals(counts.get(Side.BOTTOM))
                        && counts.get(Side.LEFT).equals(counts.get(Side.RIGHT))
                        && counts.get(Side.TOP) > 0
                        && counts.get(Side.LEFT) > 0
                ? Optional.of(new Counts(counts.get(Side.TOP), counts.get(Side.LEFT)))
                : Optional.empty();
    }

    /** The repeat that is meant on a run, in inches. */
    public double repeat(RunId id) {
        return run(id).division().repeat();
    }

    /** The longest meant repeat of all runs less the shortest, in inches. */
    public double mismatch() {
        var repeats = runs().stream().mapToDouble(r -> r.division().repeat()).summaryStatistics();
        return repeats.getMax() - repeats.getMin();
    }

    /** How the template suits a run; nothing if it can't span its repeat. */
    public Optional<ArcFit> fit(RunId id) {
        return run(id).fit();
    }

    /** Whether everything it asks of the template can be stitched. */
    public boolean spans() {
        return runs().stream().allMatch(r -> r.tooWide() == 0);
    }

    /** Whether it can be stitched, clear of where nothing may be. */
    public boolean clears() {
        return spans() && runs().stream().allMatch(r -> r.overRoom() <= Tolerances.ROUNDING);
    }
}
