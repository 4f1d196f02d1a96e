package jollyspindle.core.division;

import jollyspindle.core.measure.Tolerances;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * How many repeats there may be on an axis, by what is wished for, what the corners ask and what the template spans.
 *
 * <p>Which counts the corners ask for decides what is possible, as far as the quilter's own wish leaves a choice: of the
 * counts wished for, those welcome to the corners; if none are, the corners give way, and a reason says so.
 */
final class WishedCounts {

    static final double SHORTEST_PART = 0.6;
    static final double LONGEST_PART = 1.5;

    /** What each axis heeds of what the corners ask. */
    private final Map<Integer, List<CornerAsk>> heeded = new HashMap<>();

    private final RunSet set;
    private final List<Tie> ties;

    /** The counts of runs, which borders that are tied to them follow. */
    WishedCounts(RunSet set, List<Tie> ties) {
        this.set = set;
        this.ties = ties;
    }

    boolean isInRange(double repeat) {
        return repeat >= shortest() - Tolerances.ROUNDING && repeat <= longest() + Tolerances.ROUNDING;
    }

    private double shortest() {
        return set.wish().shortest().orElse(set.wish().repeat() * SHORTEST_PART);
    }

    private double longest() {
        return set.wish().longest().orElse(set.wish().repeat() * LONGEST_PART);
    }

    boolean isWished(int count, int axis) {
        return set.wish().parity().welcomes(count)
                && (set.wish().count(axis).isEmpty() || set.wish().count(axis).getAsInt() == count);
    }

    /** Whether so many figures on an axis are wished for, and as the corners ask. */
    boolean suits(int count, int axis) {
        return isWished(count, axis) && isWelcome(count, axis);
    }

    boolean isWelcome(int figures, int axis) {
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
    IntStream counts(int axis) {
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
                .filter(n -> ties.stream().allMatch(tie -> tie.ratio().follows(n)))
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

    static int clip(int count) {
        return Math.max(1, Math.min(Counts.MOST, count));
    }

    /** The fixed repeats worth trying: the wanted one, and the template's own. */
    Stream<Double> fixed() {
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
    Optional<double[]> rangeWithSolution() {
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
}
