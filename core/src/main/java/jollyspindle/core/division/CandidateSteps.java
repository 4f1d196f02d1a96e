package jollyspindle.core.division;

import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

import java.util.Comparator;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;

/** From one way to come out to the next: a repeat more, a repeat fewer, as many as are wanted. */
final class CandidateSteps {

    private final CandidateFinder finder;
    private final RunSet set;

    CandidateSteps(CandidateFinder finder) {
        this.finder = finder;
        this.set = finder.set();
    }

    /**
     * The way with more repeats or fewer on a run, the run opposite alike, neighbours following so that repeats stay as near
     * to each other as can be.
     *
     * @param now the way it is
     * @return nothing if there is none
     */
    Optional<Candidate> step(Candidate now, RunId id, int by) {
        Run run = set.run(id);
        School was = now.run(id).school();
        Optional<School> stepped = was.step(by, run.length());
        if (stepped.isEmpty()) {
            return Optional.empty();
        }
        School next = stepped.get();
        Map<RunId, School> schools = new TreeMap<>(now.schools());
        boolean opposite = set.onAxis(run.axis()).stream()
                .allMatch(r -> now.run(r.id()).school().equals(was)
                        && finder.weighing().divided(r, next).isPresent());
        for (Run other : set.onAxis(run.axis())) {
            if (opposite || other.id().equals(id)) {
                schools.put(other.id(), next);
            }
        }
        if (next instanceof Even even && opposite && set.axes().size() > 1) {
            return withCount(schools, run, even.count());
        }
        return finder.judge(schools);
    }

    /** The best even way whose axis of a run has so many repeats. */
    private Optional<Candidate> withCount(Map<RunId, School> schools, Run run, int count) {
        int other = 1 - run.axis();
        if (!set.onAxis(other).stream().allMatch(r -> schools.get(r.id()) instanceof Even)) {
            return finder.judge(schools);
        }
        // Neighbours follow the repeat asked for, not the one wanted before.
        double repeat = (set.longest(run.axis()) + set.shortest(run.axis())) / 2 / count;
        int near = (int) Math.round((set.longest(other) + set.shortest(other)) / 2 / repeat);
        return IntStream.rangeClosed(near - 1, near + 1)
                .map(WishedCounts::clip)
                .distinct()
                .boxed()
                .flatMap(n -> {
                    Map<RunId, School> both = new TreeMap<>(schools);
                    set.onAxis(other).forEach(r -> both.put(r.id(), new Even(n)));
                    return finder.judge(both).stream();
                })
                .min(Comparator.comparingDouble(Candidate::mismatch).thenComparing(CandidateFinder.BEST_FIRST));
    }

    /** The best even way that has this many repeats on a side, brought into 1 to {@link Counts#MOST}. */
    Candidate withCount(Side side, int count) {
        int n = WishedCounts.clip(count);
        Run run = set.runs().stream()
                .filter(r -> r.id().side().filter(side::equals).isPresent())
                .findFirst()
                .orElseThrow();
        return withCount(finder.schools(new Even(n), new Even(n)), run, n).orElseThrow();
    }

    /** The even way with given counts on all sides of a border. */
    Optional<Candidate> even(Counts counts) {
        return finder.judge(finder.schools(new Even(counts.across()), new Even(counts.down())));
    }

    /**
     * The nearest even way with more repeats that the template can span and that keeps out of the reserve on every run;
     * nothing if none does, or if the given way does already.
     */
    Optional<Candidate> clearing(Candidate now) {
        if (now.clears()) {
            return Optional.empty();
        }
        Run first = set.runs().get(0);
        int from = Math.max(1, now.count(first.id()));
        for (int count = from; count <= Counts.MOST; count++) {
            Optional<Candidate> candidate = set.axes().size() > 1
                    ? Optional.of(withCount(first.id().side().orElseThrow(), count))
                    : finder.judge(Map.of(first.id(), new Even(count)));
            if (candidate.filter(Candidate::clears).isPresent()) {
                return candidate;
            }
        }
        return Optional.empty();
    }
}
