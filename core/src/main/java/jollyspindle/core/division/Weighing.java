package jollyspindle.core.division;

import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolTypes;
import jollyspindle.core.quilt.RunId;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * What ways to come out are worth, each run by itself and all together. Each is weighed once, since a run's division depends on
 * its own school alone and every pair asks for it again.
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
 * <p>A border tied to this one adds the penalty it would have with the counts that follow.
 */
final class Weighing {

    private static final double TOO_WIDE = 1000;
    private static final double NOT_AS_ASKED = 2;
    private static final double OWN_SPACE = 1.25;
    private static final double ODD_FIGURE = 0.5;
    private static final double PLAIN_SPACE = 2;
    private static final double CORNER_SPACE = 1;
    private static final double NARROW = 0.25;
    private static final double UNLIKE_SPACES = 0.1;

    private final Map<RunId, Map<School, Optional<DividedRun>>> divided = new HashMap<>();

    private final Map<RunId, Map<School, Optional<RunMetrics>>> weighed = new HashMap<>();
    private final RunSet set;
    private final List<CandidateFinder.TiedSet> tied;

    Weighing(RunSet set, List<CandidateFinder.TiedSet> tied) {
        this.set = set;
        this.tied = tied;
    }

    Optional<DividedRun> divided(Run run, School school) {
        return divided.computeIfAbsent(run.id(), id -> new HashMap<>())
                .computeIfAbsent(school, s -> set.divide(run, s));
    }

    private Optional<RunMetrics> weight(Run run, School school) {
        return weighed.computeIfAbsent(run.id(), id -> new HashMap<>()).computeIfAbsent(school, s -> divided(run, s)
                .map(d -> RunMetrics.of(d, oddness(d), SchoolTypes.look(s), set.tape())));
    }

    /** What a school weighs on all runs of an axis; nothing if it leaves one no room. */
    Optional<RunMetrics> weight(int axis, School school) {
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

    Optional<Double> weigh(Map<RunId, School> schools) {
        return weight(schools).map(w -> penalty(w, schools));
    }

    /** What runs weigh, and what follows for the borders tied to them; the schools are asked for only if there are any. */
    double penalty(RunMetrics weight, Map<RunId, School> schools) {
        boolean halves = set.corners().contains(CornerAsk.HALVES);
        double penalty = weight.penalty(set.judging(), set.wish().repeat(), halves, UNLIKE_SPACES, TOO_WIDE);
        penalty += halves && !weight.halves() ? NOT_AS_ASKED : 0;
        for (CandidateFinder.TiedSet other : tied) {
            penalty += other.tie()
                    .follow(schools)
                    .flatMap(followed -> other.finder().weighing().weigh(followed))
                    .orElse(TOO_WIDE);
        }
        return penalty;
    }

    private double oddness(DividedRun run) {
        double width = run.division().leftover();
        if (width <= set.judging().leftoverAlone()) {
            return 0;
        }
        Figure figure = run.middle().or(run::end).orElseThrow();
        double rise = run.fit().map(f -> f.segment().height()).orElse(0.0);
        if (figure instanceof Figure.Empty empty) {
            return switch (empty.why()) {
                case OWN_MOTIF -> OWN_SPACE + (width < run.division().repeat() / 2 ? NARROW : 0);
                case CORNER -> CORNER_SPACE;
                default -> PLAIN_SPACE;
            };
        }
        if (figure.cell().kind() == Cell.Kind.END && figure instanceof Figure.WholeArc) {
            return ODD_FIGURE + Math.abs(run.division().repeat() - width);
        }
        if (figure instanceof Figure.WholeArc arc) {
            return ODD_FIGURE + Math.abs(arc.fit().segment().height() - rise);
        }
        if (figure instanceof Figure.HalvesMeeting halves) {
            return ODD_FIGURE + Math.abs(halves.height() - rise);
        }
        return ODD_FIGURE + Math.abs(run.division().repeat() - width);
    }

    /**
     * Weighs one way.
     *
     * @param schools one for each run
     * @return nothing if one of them leaves its run no room
     */
    Optional<Candidate> judge(Map<RunId, School> schools) {
        return weigh(schools).map(penalty -> {
            TreeMap<RunId, DividedRun> runs = new TreeMap<>();
            set.runs()
                    .forEach(run -> runs.put(
                            run.id(), divided(run, schools.get(run.id())).orElseThrow()));
            return new Candidate(runs, penalty, new Reasoning(set).of(runs.values()));
        });
    }
}
