package jollyspindle.core.division;

import jollyspindle.core.division.school.Asked;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
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
 *   <li><b>Even</b> and <b>half steps</b>: every count whose repeats lie between {@value #SHORTEST_PART} and
 *       {@value #LONGEST_PART} of the wanted one, or in the range that was said; only the counts that were wished for, if
 *       any were. Where the template can't span any of them, the counts from the first it can span.
 *   <li><b>Corners in</b> and <b>centre out</b> with the wanted repeat and with the template's own: as many repeats as
 *       there is room for, or one less from each end; with each thing that can stand in the odd space.
 *   <li><b>Fixed with fudge</b> with the wanted repeat, at the counts next to L/p, the leftover taken by two repeats about the
 *       centre, or more of them, up to twelve. Spread over all of them it is the even way, which is listed as that.
 *   <li><b>By piecing</b> and <b>by increments</b>: every repeat in the range that comes out.
 * </ul>
 *
 * <p>The penalty is a sum; its weights and tolerances are {@link Judging}'s, named in brackets. In inches:
 *
 * <ul>
 *   <li>what the mean of the runs' meant repeats is off the wanted one [offWanted],
 *   <li>the longest run's meant repeat less the shortest's, since everybody sees sides that differ [mismatch],
 *   <li>how far the repeats of one run differ among themselves, on the worst run [offWanted], and what of that is beyond
 *       what is unseen once more [stretch],
 *   <li>the crown's way into the reserve on the worst run, since the binding cuts it off [intoReserve],
 *   <li>each further placement an arc takes [placement],
 *   <li>unlike centres of the two axes, unlike odd spaces, and half repeats that want a corner to meet in, one each
 *       [unlike],
 *   <li>the part of the marks between the ends that are off the tape's ticks, on the mean [readings],
 *   <li>the odd space of the worst run [oddSpace]: nothing up to what may be left alone; else
 *       {@value #OWN_SPACE} for a motif of its own, {@value #NARROW} more in less than half a repeat; for an arc or two halves {@value #ODD_FIGURE} plus what its height is
 *       off its neighbours' rise; {@value #PLAIN_SPACE} left plain; {@value #CORNER_SPACE} in a corner's motif; for a short repeat
 *       at a corner {@value #ODD_FIGURE} plus what it is shorter than the others, since everybody sees one odd repeat at
 *       a corner; and {@value #UNLIKE_SPACES} of what the widest odd space is wider than the narrowest, in repeats,
 *   <li>{@value #NOT_AS_ASKED} if the corners ask for half repeats and some run ends without,
 *   <li>{@value #TOO_WIDE} if the template can't span something.
 * </ul>
 *
 * <p>Which counts the corners ask for decides what is possible, as far as the quilter's own wish leaves a choice: of the
 * counts wished for, those welcome to the corners; if none are, the corners give way, and a reason says so.
 *
 * <p>A border tied to this one adds the penalty it would have with the counts that follow. Ties between candidates go to the
 * school named first, then to the fewer repeats across, then down. Of the even ways those are listed that are best for one
 * of their two counts, {@value #EVEN_LISTED} at most; of the other schools the best of each look, {@value #OTHERS_LISTED} at
 * most: what stands in the odd space makes the look.
 */
public final class CandidateFinder {

    private static final double SHORTEST_PART = 0.6;
    private static final double LONGEST_PART = 1.5;
    private static final double TOO_WIDE = 1000;
    private static final double NOT_AS_ASKED = 2;
    private static final double OWN_SPACE = 1.25;
    private static final double ODD_FIGURE = 0.5;
    private static final double PLAIN_SPACE = 2;
    private static final double CORNER_SPACE = 1;
    private static final double NARROW = 0.25;
    private static final double UNLIKE_SPACES = 0.1;
    private static final int EVEN_LISTED = 8;
    private static final int OTHERS_LISTED = 3;

    /** Kinds in the order in which ties between them are settled. */
    private static final Comparator<Candidate> BEST_FIRST = Comparator.comparingDouble(Candidate::penalty)
            .thenComparing(c -> c.kind().orElse(SchoolKind.BY_HAND))
            .thenComparingInt(c -> count(c, 0))
            .thenComparingInt(c -> count(c, 1));

    private final RunSet set;
    private final List<TiedSet> tied;

    /** Each run's division depends on its own school alone, and every pair asks for it again. */
    private final Map<RunId, Map<School, Optional<DividedRun>>> divided = new HashMap<>();

    private final Map<RunId, Map<School, Optional<RunMetrics>>> weighed = new HashMap<>();

    /** What each axis heeds of what the corners ask. */
    private final Map<Integer, List<CornerAsk>> heeded = new HashMap<>();

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

    // --- what is possible --------------------------------------------------------------------------------------

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
            if (school != null && divided(run, school).isPresent()) {
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
        second.forEach(two -> onSecond.put(two, weight(1, two)));
        for (School one : first) {
            Optional<RunMetrics> here = weight(axes.get(0), one);
            if (here.isEmpty()) {
                continue;
            }
            if (axes.size() == 1) {
                Pair alone = new Pair(one, one, penalty(here.get(), schools(one, one)));
                bestFirst.put(one, alone);
                continue;
            }
            for (School two : second) {
                // Unlike things in the odd spaces of top and sides are no quilter's wish.
                if (onSecond.get(two).isPresent() && SchoolTypes.look(one).equals(SchoolTypes.look(two))) {
                    RunMetrics both = here.get().with(onSecond.get(two).get());
                    Pair pair = new Pair(one, two, penalty(both, tied.isEmpty() ? Map.of() : schools(one, two)));
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

    private Map<RunId, School> schools(School across, School down) {
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
            return CandidateFinder.this.counts(axis);
        }

        @Override
        public Stream<Double> fixed() {
            return CandidateFinder.this.fixed();
        }

        @Override
        public boolean isWished(int count) {
            return CandidateFinder.this.isWished(count, axis);
        }

        @Override
        public boolean isWelcome(int figures) {
            return CandidateFinder.this.isWelcome(figures, axis);
        }

        @Override
        public <S extends School> List<S> inRange(List<S> all) {
            return all.stream()
                    .filter(school -> set.onAxis(axis).stream().allMatch(run -> divided(run, school)
                            .filter(d -> isInRange(d.division().repeat())
                                    && suits(d.division().count()))
                            .isPresent()))
                    .toList();
        }
    }

    private boolean isInRange(double repeat) {
        return repeat >= shortest() - Tolerances.ROUNDING && repeat <= longest() + Tolerances.ROUNDING;
    }

    private double shortest() {
        return set.wish().shortest().orElse(set.wish().repeat() * SHORTEST_PART);
    }

    private double longest() {
        return set.wish().longest().orElse(set.wish().repeat() * LONGEST_PART);
    }

    private boolean isWished(int count, int axis) {
        return set.wish().parity().welcomes(count)
                && (set.wish().count(axis).isEmpty() || set.wish().count(axis).getAsInt() == count);
    }

    /** Whether so many figures on an axis are wished for, and as the corners ask. */
    private boolean suits(int count, int axis) {
        return isWished(count, axis) && isWelcome(count, axis);
    }

    private boolean isWelcome(int figures, int axis) {
        return givingWay(axis).stream().allMatch(ask -> ask.welcomes(figures));
    }

    /** What the corners ask of the counts on an axis, as far as the quilter's wish can be fulfilled besides. */
    private List<CornerAsk> givingWay(int axis) {
        return heeded.computeIfAbsent(axis, a -> {
            List<CornerAsk> heeding = new ArrayList<>();
            for (CornerAsk ask : set.corners()) {
                CountRange all = allowed(axis);
                boolean possible = IntStream.rangeClosed(all.fewest, all.most)
                        .filter(n -> set.wish().parity().welcomes(n))
                        .filter(n -> set.onAxis(axis).stream()
                                .allMatch(r -> set.wish().allows(r.length() / n)))
                        .filter(n -> heeding.stream().allMatch(other -> other.welcomes(n)))
                        .anyMatch(ask::welcomes);
                if (possible) {
                    heeding.add(ask);
                }
            }
            return List.copyOf(heeding);
        });
    }

    /** The counts to be weighed on an axis: those in range and wished for, or else those in range, or else the nearest. */
    private IntStream counts(int axis) {
        List<Integer> wished = wished(axis);
        if (!wished.isEmpty()) {
            return wished.stream().mapToInt(n -> n);
        }
        // Nothing fulfils the wish: the nearest is shown all the same, and a finding tells.
        return set.wish().count(axis).isPresent()
                ? IntStream.of(set.wish().count(axis).getAsInt())
                : range(axis);
    }

    private List<Integer> wished(int axis) {
        CountRange all = allowed(axis);
        return IntStream.rangeClosed(all.fewest, all.most)
                .filter(n -> suits(n, axis))
                .filter(n -> set.onAxis(axis).stream().allMatch(r -> set.wish().allows(r.length() / n)))
                .filter(n -> tied.stream().allMatch(t -> t.tie().ratio().follows(n)))
                .boxed()
                .toList();
    }

    private record CountRange(int fewest, int most) {}

    /** From the fewest repeats the template can span or the range allows to the most. */
    private CountRange allowed(int axis) {
        if (set.wish().count(axis).isPresent()) {
            int n = set.wish().count(axis).getAsInt();
            return new CountRange(n, n);
        }
        int fewest = (int) Math.ceil(set.longest(axis) / longest() - Tolerances.ROUNDING);
        int most = (int) Math.floor(set.shortest(axis) / shortest() + Tolerances.ROUNDING);
        int spanned = (int) Math.ceil(set.longest(axis) / set.widest() - Tolerances.ROUNDING);
        // Where the template can span none of them, the first it can.
        fewest = Math.max(fewest, spanned);
        if (set.wish().longest().isEmpty() && set.wish().shortest().isEmpty()) {
            most = Math.max(most, fewest);
        }
        return new CountRange(clip(fewest), Math.min(most, Counts.MOST));
    }

    private IntStream range(int axis) {
        CountRange all = allowed(axis);
        int nearest = clip((int) Math.round(set.longest(axis) / set.wish().repeat()));
        return all.fewest <= all.most
                ? IntStream.rangeClosed(all.fewest, all.most)
                : IntStream.of(clip(
                        Math.max(nearest, (int) Math.ceil(set.longest(axis) / set.widest() - Tolerances.ROUNDING))));
    }

    private static int clip(int count) {
        return Math.max(1, Math.min(Counts.MOST, count));
    }

    /** The fixed repeats worth trying: the wanted one, and the template's own. */
    private Stream<Double> fixed() {
        double wanted = set.wish().repeat();
        Stream<Double> own = set.ownRepeat().stream()
                .filter(p -> Math.abs(p - wanted) > Tolerances.UNSAID && isInRange(p))
                .boxed();
        return Stream.concat(Stream.of(wanted), own);
    }

    /**
     * The range of repeats that has a solution, where the wish has none: the nearest even way that has the wished counts and
     * kind of counts, on every side. Nothing if the wish can be fulfilled.
     *
     * @return the shortest and the longest repeat of that way, in inches
     */
    public Optional<double[]> rangeWithSolution() {
        List<Integer> axes = set.axes();
        if (axes.stream().noneMatch(axis -> wished(axis).isEmpty())) {
            return Optional.empty();
        }
        double low = Double.MAX_VALUE;
        double high = 0;
        for (int axis : axes) {
            double wanted = set.wish().repeat();
            int spanned = (int) Math.ceil(set.longest(axis) / set.widest() - Tolerances.ROUNDING);
            int n = IntStream.rangeClosed(clip(spanned), Counts.MOST)
                    .filter(count -> isWished(count, axis))
                    .boxed()
                    .min(Comparator.comparingDouble(count -> Math.abs(Math.log(set.longest(axis) / count / wanted))))
                    .orElse(0);
            if (n == 0) {
                return Optional.of(new double[0]);
            }
            low = Math.min(low, set.shortest(axis) / n);
            high = Math.max(high, set.longest(axis) / n);
        }
        return Optional.of(new double[] {low, high});
    }

    // --- what it is worth --------------------------------------------------------------------------------------

    private Optional<DividedRun> divided(Run run, School school) {
        return divided.computeIfAbsent(run.id(), id -> new HashMap<>())
                .computeIfAbsent(school, s -> set.divide(run, s));
    }

    private Optional<RunMetrics> weight(Run run, School school) {
        return weighed.computeIfAbsent(run.id(), id -> new HashMap<>()).computeIfAbsent(school, s -> divided(run, s)
                .map(d -> RunMetrics.of(d, oddness(d), SchoolTypes.look(s), set.tape())));
    }

    /** What a school weighs on all runs of an axis; nothing if it leaves one no room. */
    private Optional<RunMetrics> weight(int axis, School school) {
        Map<RunId, School> schools = new TreeMap<>();
        set.onAxis(axis).forEach(run -> schools.put(run.id(), school));
        return weight(schools);
    }

    private Optional<RunMetrics> weight(Map<RunId, School> schools) {
        RunMetrics all = null;
        for (Run run : set.runs()) {
            School school = schools.get(run.id());
            if (school != null) {
                Optional<RunMetrics> one = weight(run, school);
                if (one.isEmpty()) {
                    return Optional.empty();
                }
                all = all == null ? one.get() : all.with(one.get());
            }
        }
        return Optional.ofNullable(all);
    }

    private Optional<Double> weigh(Map<RunId, School> schools) {
        return weight(schools).map(w -> penalty(w, schools));
    }

    /** What runs weigh, and what follows for the borders tied to them; the schools are asked for only if there are any. */
    private double penalty(RunMetrics weight, Map<RunId, School> schools) {
        boolean halves = set.corners().contains(CornerAsk.HALVES);
        double penalty = weight.penalty(set.judging(), set.wish().repeat(), halves, UNLIKE_SPACES, TOO_WIDE);
        penalty += halves && !weight.halves() ? NOT_AS_ASKED : 0;
        for (TiedSet other : tied) {
            penalty += other.tie()
                    .follow(schools)
                    .flatMap(followed -> other.finder().weigh(followed))
                    .orElse(TOO_WIDE);
        }
        return penalty;
    }

    /**
     * Weighs one way.
     *
     * @param schools one for each run
     * @return nothing if one of them leaves its run no room
     */
    public Optional<Candidate> judge(Map<RunId, School> schools) {
        return weigh(schools).map(penalty -> {
            TreeMap<RunId, DividedRun> runs = new TreeMap<>();
            set.runs()
                    .forEach(run -> runs.put(
                            run.id(), divided(run, schools.get(run.id())).orElseThrow()));
            return new Candidate(runs, penalty, new Reasoning(set).of(runs.values()));
        });
    }

    private double oddness(DividedRun run) {
        double width = run.division().leftover();
        if (width <= set.judging().leftoverAlone()) {
            return 0;
        }
        Figure figure = run.middle().or(run::end).orElseThrow();
        double rise = run.fit().map(f -> f.segment().height()).orElse(0.0);
        if (figure.cell().kind() == Cell.Kind.END && figure instanceof Figure.WholeArc) {
            return ODD_FIGURE + Math.abs(run.division().repeat() - width);
        }
        if (figure instanceof Figure.WholeArc arc) {
            return ODD_FIGURE + Math.abs(arc.fit().segment().height() - rise);
        }
        if (figure instanceof Figure.HalvesMeeting halves) {
            return ODD_FIGURE + Math.abs(halves.height() - rise);
        }
        if (figure instanceof Figure.Other) {
            return ODD_FIGURE + Math.abs(run.division().repeat() - width);
        }
        return switch (((Figure.Empty) figure).why()) {
            case OWN_MOTIF -> OWN_SPACE + (width < run.division().repeat() / 2 ? NARROW : 0);
            case CORNER -> CORNER_SPACE;
            default -> PLAIN_SPACE;
        };
    }

    // --- from one way to the next ------------------------------------------------------------------------------

    /**
     * The way with more repeats or fewer on a run, the run opposite alike, neighbours following so that repeats stay as near
     * to each other as can be.
     *
     * @param now the way it is
     * @return nothing if there is none
     */
    public Optional<Candidate> step(Candidate now, RunId id, int by) {
        Run run = set.run(id);
        School was = now.run(id).school();
        Optional<School> stepped = was.step(by, run.length());
        if (stepped.isEmpty()) {
            return Optional.empty();
        }
        School next = stepped.get();
        Map<RunId, School> schools = new TreeMap<>(now.schools());
        boolean opposite = set.onAxis(run.axis()).stream()
                .allMatch(r ->
                        now.run(r.id()).school().equals(was) && divided(r, next).isPresent());
        for (Run other : set.onAxis(run.axis())) {
            if (opposite || other.id().equals(id)) {
                schools.put(other.id(), next);
            }
        }
        if (next instanceof Even even && opposite && set.axes().size() > 1) {
            return withCount(schools, run, even.count());
        }
        return judge(schools);
    }

    /** The best even way whose axis of a run has so many repeats. */
    private Optional<Candidate> withCount(Map<RunId, School> schools, Run run, int count) {
        int other = 1 - run.axis();
        if (!set.onAxis(other).stream().allMatch(r -> schools.get(r.id()) instanceof Even)) {
            return judge(schools);
        }
        // Neighbours follow the repeat asked for, not the one wanted before.
        double repeat = (set.longest(run.axis()) + set.shortest(run.axis())) / 2 / count;
        int near = (int) Math.round((set.longest(other) + set.shortest(other)) / 2 / repeat);
        return IntStream.rangeClosed(near - 1, near + 1)
                .map(CandidateFinder::clip)
                .distinct()
                .boxed()
                .flatMap(n -> {
                    Map<RunId, School> both = new TreeMap<>(schools);
                    set.onAxis(other).forEach(r -> both.put(r.id(), new Even(n)));
                    return judge(both).stream();
                })
                .min(Comparator.comparingDouble(Candidate::mismatch).thenComparing(BEST_FIRST));
    }

    /** The even way with given counts on all sides of a border. */
    public Optional<Candidate> even(Counts counts) {
        return judge(schools(new Even(counts.across()), new Even(counts.down())));
    }

    /** The best even way that has this many repeats on a side, brought into 1 to {@link Counts#MOST}. */
    public Candidate withCount(Side side, int count) {
        int n = clip(count);
        Run run = set.runs().stream()
                .filter(r -> r.id().side().filter(side::equals).isPresent())
                .findFirst()
                .orElseThrow();
        return withCount(schools(new Even(n), new Even(n)), run, n).orElseThrow();
    }

    /**
     * The nearest even way with more repeats that the template can span and that keeps out of the reserve on every run;
     * nothing if none does, or if the given way does already.
     */
    public Optional<Candidate> clearing(Candidate now) {
        if (now.clears()) {
            return Optional.empty();
        }
        Run first = set.runs().get(0);
        int from = Math.max(1, now.count(first.id()));
        for (int count = from; count <= Counts.MOST; count++) {
            Optional<Candidate> candidate = set.axes().size() > 1
                    ? Optional.of(withCount(first.id().side().orElseThrow(), count))
                    : judge(Map.of(first.id(), new Even(count)));
            if (candidate.filter(Candidate::clears).isPresent()) {
                return candidate;
            }
        }
        return Optional.empty();
    }
}
