package jollyspindle.core.division;

import jollyspindle.core.division.school.Asked;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Finds the ways in which runs that are divided together come out, by all schools, best first.
 *
 * <p>Opposite sides share a school and its numbers; all sides are judged together. Within each school every pair of what is
 * possible on the two axes (top and bottom; right and left) is weighed, so the best one listed is the best there is in the
 * range: the proof is by exhaustion. What is possible:
 *
 * <ul>
 *   <li><b>Even</b> and <b>half steps</b>: every count whose repeats lie between {@value WishedCounts#SHORTEST_PART} and
 *       {@value WishedCounts#LONGEST_PART} of the wanted one, or in the range that was said; only the counts that were wished for, if
 *       any were. Where the template can't span any of them, the counts from the first it can span.
 *   <li><b>Corners in</b> and <b>centre out</b> with the wanted repeat and with the template's own: as many repeats as
 *       there is room for, or one less from each end; with each thing that can stand in the odd space.
 *   <li><b>Fixed with fudge</b> with the wanted repeat, at the counts next to L/p, the leftover taken by two repeats about the
 *       centre, or more of them, up to twelve. Spread over all of them it is the even way, which is listed as that.
 *   <li><b>By piecing</b> and <b>by increments</b>: every repeat in the range that comes out.
 * </ul>
 *
 * <p>What each is worth says {@link Weighing}, which counts are weighed {@link WishedCounts}. Ties between candidates go to the
 * school named first, then to the fewer repeats across, then down. Of the even ways those are listed that are best for one
 * of their two counts, {@value #EVEN_LISTED} at most; of the other schools the best of each look, {@value #OTHERS_LISTED} at
 * most: what stands in the odd space makes the look.
 */
public final class CandidateFinder {
    private static final int EVEN_LISTED = 8;
    private static final int OTHERS_LISTED = 3;

    /** Kinds in the order in which ties between them are settled. */
    static final Comparator<Candidate> BEST_FIRST = Comparator.comparingDouble(Candidate::penalty)
            .thenComparing(c -> c.kind().orElse(SchoolKind.BY_HAND))
            .thenComparingInt(c -> count(c, 0))
            .thenComparingInt(c -> count(c, 1));

    private final RunSet set;
    private final List<TiedSet> tied;

    private final WishedCounts counts;
    private final Weighing weighing;
    private List<Candidate> found;

    /**
     * Another border whose counts follow this one's.
     *
     * @param finder for that border
     * @param tie how its counts follow
     */
    public record TiedSet(CandidateFinder finder, Tie tie) {}

    public CandidateFinder(RunSet set) {
        this(set, List.of());
    }

    /**
     * A finder for runs and what is tied to them.
     *
     * @param tied borders whose counts follow this one's
     */
    public CandidateFinder(RunSet set, List<TiedSet> tied) {
        this.set = set;
        this.tied = List.copyOf(tied);
        this.counts = new WishedCounts(set, tied.stream().map(TiedSet::tie).toList());
        this.weighing = new Weighing(set, this.tied);
    }

    public RunSet set() {
        return set;
    }

    private static int count(Candidate candidate, int axis) {
        return candidate.runs().stream()
                .filter(r -> r.run().axis() == axis)
                .mapToInt(r -> r.division().count())
                .findFirst()
                .orElse(0);
    }

    /**
     * The candidates, best first; never empty, since an even way is always possible.
     *
     * @param kept schools chosen earlier, to be among them whatever they are worth; runs they don't name follow the best
     *     candidate
     */
    public List<Candidate> find(Map<RunId, School> kept) {
        List<Candidate> all = all();
        Optional<Candidate> mine = mine(kept, best())
                .filter(own -> all.stream().noneMatch(c -> c.byRun().equals(own.byRun())));
        return mine.isEmpty()
                ? all
                : Stream.concat(all.stream(), mine.stream()).sorted(BEST_FIRST).toList();
    }

    /** The best candidate. */
    public Candidate best() {
        return all().get(0);
    }

    private List<Candidate> all() {
        if (found == null) {
            List<Candidate> listed = new ArrayList<>();
            for (SchoolKind kind : SchoolKind.values()) {
                if (set.wish().school().filter(only -> only != kind).isEmpty()) {
                    listed.addAll(best(kind));
                }
            }
            if (listed.isEmpty()) {
                listed.addAll(best(SchoolKind.EVEN));
            }
            found = listed.stream().sorted(BEST_FIRST).toList();
        }
        return found;
    }

    /**
     * The candidate that follows chosen schools where they divide their runs, and another candidate elsewhere; nothing if
     * none are chosen that do.
     */
    public Optional<Candidate> mine(Map<RunId, School> chosen, Candidate elsewhere) {
        Map<RunId, School> schools = new TreeMap<>(elsewhere.schools());
        boolean any = false;
        for (Run run : set.runs()) {
            School school = chosen.get(run.id());
            if (school != null && weighing.divided(run, school).isPresent()) {
                schools.put(run.id(), school);
                any = true;
            }
        }
        return any ? judge(schools) : Optional.empty();
    }

    /** The best of one school; none if it has no way here. */
    List<Candidate> best(SchoolKind kind) {
        List<Integer> axes = set.axes();
        List<School> first = options(kind, axes.get(0));
        List<School> second = axes.size() > 1 ? options(kind, 1) : List.of();
        if (first.isEmpty() || axes.size() > 1 && second.isEmpty()) {
            return List.of();
        }
        // Which pairs are best is settled on numbers alone; the candidates themselves are made of the few that are.
        Map<School, Pair> bestFirst = new LinkedHashMap<>();
        Map<School, Pair> bestSecond = new LinkedHashMap<>();
        Map<School, Optional<RunMetrics>> onSecond = new LinkedHashMap<>();
        second.forEach(two -> onSecond.put(two, weighing.weight(1, two)));
        for (School one : first) {
            Optional<RunMetrics> here = weighing.weight(axes.get(0), one);
            if (here.isEmpty()) {
                continue;
            }
            if (axes.size() == 1) {
                Pair alone = new Pair(one, one, weighing.penalty(here.get(), schools(one, one)));
                bestFirst.put(one, alone);
                continue;
            }
            for (School two : second) {
                // Unlike things in the odd spaces of top and sides are no quilter's wish.
                if (onSecond.get(two).isPresent() && SchoolTypes.look(one).equals(SchoolTypes.look(two))) {
                    RunMetrics both = here.get().with(onSecond.get(two).get());
                    Pair pair =
                            new Pair(one, two, weighing.penalty(both, tied.isEmpty() ? Map.of() : schools(one, two)));
                    bestFirst.merge(one, pair, Pair::better);
                    bestSecond.merge(two, pair, Pair::better);
                }
            }
        }
        Set<Pair> found = new LinkedHashSet<>(bestFirst.values());
        found.addAll(bestSecond.values());
        // Pairs stand with the fewest repeats first, and sorting leaves equals as they stand.
        return found.stream()
                .sorted(Comparator.comparingDouble(Pair::penalty))
                .filter(kind == SchoolKind.EVEN ? pair -> true : firstOfItsLook())
                .limit(kind == SchoolKind.EVEN ? EVEN_LISTED : OTHERS_LISTED)
                .flatMap(pair -> judge(schools(pair.one, pair.two)).stream())
                .sorted(BEST_FIRST)
                .toList();
    }

    private static Predicate<Pair> firstOfItsLook() {
        Set<Object> seen = new HashSet<>();
        return pair -> seen.add(SchoolTypes.look(pair.one));
    }

    private record Pair(School one, School two, double penalty) {
        static Pair better(Pair a, Pair b) {
            return b.penalty < a.penalty ? b : a;
        }
    }

    Map<RunId, School> schools(School across, School down) {
        Map<RunId, School> schools = new TreeMap<>();
        set.runs().forEach(run -> schools.put(run.id(), run.axis() == 0 ? across : down));
        return schools;
    }

    /** What a school can do on an axis, fewest repeats first. */
    private List<School> options(SchoolKind kind, int axis) {
        return List.copyOf(SchoolTypes.of(kind).options(new OnAxis(axis)));
    }

    /** What is asked of the runs of an axis. */
    private final class OnAxis implements Asked {

        private final int axis;

        OnAxis(int axis) {
            this.axis = axis;
        }

        @Override
        public RunSet set() {
            return set;
        }

        @Override
        public double longest() {
            return set.longest(axis);
        }

        @Override
        public double shortest() {
            return set.shortest(axis);
        }

        @Override
        public boolean isTakenOf() {
            return set.onAxis(axis).stream().anyMatch(run -> run.left() > 0);
        }

        @Override
        public IntStream counts() {
            return counts.counts(axis);
        }

        @Override
        public Stream<Double> fixed() {
            return counts.fixed();
        }

        @Override
        public boolean isWished(int count) {
            return counts.isWished(count, axis);
        }

        @Override
        public boolean isWelcome(int figures) {
            return counts.isWelcome(figures, axis);
        }

        @Override
        public <S extends School> List<S> inRange(List<S> all) {
            return all.stream()
                    .filter(school -> set.onAxis(axis).stream().allMatch(run -> weighing.divided(run, school)
                            .filter(d -> counts.isInRange(d.division().repeat())
                                    && suits(d.division().count()))
                            .isPresent()))
                    .toList();
        }
    }

    Weighing weighing() {
        return weighing;
    }

    /**
     * The range of repeats that has a solution, where the wish has none: the nearest even way that has the wished counts and
     * kind of counts, on every side. Nothing if the wish can be fulfilled.
     *
     * @return the shortest and the longest repeat of that way, in inches
     */
    public Optional<double[]> rangeWithSolution() {
        return counts.rangeWithSolution();
    }

    /**
     * Weighs one way.
     *
     * @param schools one for each run
     * @return nothing if one of them leaves its run no room
     */
    public Optional<Candidate> judge(Map<RunId, School> schools) {
        return weighing.judge(schools);
    }

    /**
     * The way with more repeats or fewer on a run, the run opposite alike, neighbours following so that repeats stay as near
     * to each other as can be.
     *
     * @param now the way it is
     * @return nothing if there is none
     */
    public Optional<Candidate> step(Candidate now, RunId id, int by) {
        return new CandidateSteps(this).step(now, id, by);
    }

    /** The even way with given counts on all sides of a border. */
    public Optional<Candidate> even(Counts counts) {
        return new CandidateSteps(this).even(counts);
    }

    /** The best even way that has this many repeats on a side, brought into 1 to {@link Counts#MOST}. */
    public Candidate withCount(Side side, int count) {
        return new CandidateSteps(this).withCount(side, count);
    }

    /**
     * The nearest even way with more repeats that the template can span and that keeps out of the reserve on every run;
     * nothing if none does, or if the given way does already.
     */
    public Optional<Candidate> clearing(Candidate now) {
        return new CandidateSteps(this).clearing(now);
    }
}
