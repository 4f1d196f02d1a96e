package jollyspindle.core.division;

import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcFit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * Finds the counts that let all four sides come out even, best first.
 *
 * <p>Opposite sides share a count; the two counts are judged together. Every pair of counts whose repeats lie between
 * {@value #SHORTEST_PART} and {@value #LONGEST_PART} of the wanted one is weighed; where the template can't span any of
 * them, the counts from the first it can span. The penalty of a pair is, in inches,
 *
 * <ul>
 *   <li>what the mean repeat is off the wanted one, times {@value #OFF_WANTED},
 *   <li>plus the longest repeat less the shortest of the four sides, times {@value #MISMATCH}, since everybody sees
 *       sides that differ,
 *   <li>plus what the crown stands into the reserve on the worst side, times {@value #INTO_RESERVE}, since the binding
 *       cuts it off,
 *   <li>plus {@value #EXTRA_PLACEMENT} for each further placement an arc takes,
 *   <li>plus {@value #UNLIKE_CENTRES} if a valley stands on the centre of two sides and a crown on that of the others,
 *   <li>plus {@value #TOO_WIDE} if the template can't span a repeat at all.
 * </ul>
 *
 * <p>Weights are common practice put into numbers, no source. A tie goes to the fewer repeats across, then down. Of all
 * pairs those are listed that are best for one of their two counts; {@value #LISTED} at most.
 */
public final class CandidateFinder {

    private static final double SHORTEST_PART = 0.6;
    private static final double LONGEST_PART = 1.5;
    private static final double OFF_WANTED = 1;
    private static final double MISMATCH = 4;
    private static final double INTO_RESERVE = 8;
    private static final double EXTRA_PLACEMENT = 0.1;
    private static final double UNLIKE_CENTRES = 0.05;
    private static final double TOO_WIDE = 1000;
    private static final int LISTED = 8;

    /** A difference from the wanted repeat that isn't worth a word, in inches. */
    private static final double SAME = 1.0 / 128;

    private static final Comparator<Candidate> BEST_FIRST = Comparator.comparingDouble(Candidate::penalty)
            .thenComparingInt(c -> c.counts().across())
            .thenComparingInt(c -> c.counts().down());

    private final Ring ring;
    private final double wanted;

    /** Each side's fit depends on its own count alone, and every pair of counts asks for it again. */
    private final Map<Side, Map<Integer, Optional<ArcFit>>> fitted = new EnumMap<>(Side.class);

    /**
     * A finder for one ring.
     *
     * @param ring the four runs
     * @param wantedRepeat about how long a repeat should be, in inches, over 0
     */
    public CandidateFinder(Ring ring, double wantedRepeat) {
        if (!(wantedRepeat > 0)) {
            throw new IllegalArgumentException("a repeat is longer than 0, not " + wantedRepeat);
        }
        this.ring = ring;
        this.wanted = wantedRepeat;
    }

    /**
     * The candidates, best first; never empty.
     *
     * @param kept counts chosen earlier, to be among them whatever they are worth
     */
    public List<Candidate> find(Optional<Counts> kept) {
        List<Integer> acrossCounts = range(Side.TOP).boxed().toList();
        List<Integer> downCounts = range(Side.LEFT).boxed().toList();
        Map<Integer, Candidate> bestAcross = new TreeMap<>();
        Map<Integer, Candidate> bestDown = new TreeMap<>();
        for (int across : acrossCounts) {
            for (int down : downCounts) {
                Candidate candidate = judge(new Counts(across, down));
                bestAcross.merge(across, candidate, CandidateFinder::better);
                bestDown.merge(down, candidate, CandidateFinder::better);
            }
        }
        Set<Candidate> found = new LinkedHashSet<>(bestAcross.values());
        found.addAll(bestDown.values());
        List<Candidate> listed =
                new ArrayList<>(found.stream().sorted(BEST_FIRST).limit(LISTED).toList());
        kept.filter(k -> listed.stream().noneMatch(c -> c.counts().equals(k))).ifPresent(k -> {
            if (listed.size() == LISTED) {
                listed.remove(LISTED - 1);
            }
            listed.add(judge(k));
            listed.sort(BEST_FIRST);
        });
        return List.copyOf(listed);
    }

    /**
     * The best counts that have this many repeats on a side.
     *
     * @param side whose count is given
     * @param count brought into 1 to {@link Counts#MOST}
     */
    public Counts withCount(Side side, int count) {
        int fixed = Math.max(1, Math.min(Counts.MOST, count));
        Side other = side.next();
        // Neighbours follow the repeat asked for, not the one wanted before.
        double repeat = (ring.longer(side) + ring.shorter(side)) / 2 / fixed;
        int near = (int) Math.round((ring.longer(other) + ring.shorter(other)) / 2 / repeat);
        return IntStream.rangeClosed(near - 1, near + 1)
                .map(n -> Math.max(1, Math.min(Counts.MOST, n)))
                .distinct()
                .mapToObj(n -> judge(new Counts(1, 1).with(side, fixed).with(other, n)))
                .min(Comparator.comparingDouble(Candidate::mismatch).thenComparing(BEST_FIRST))
                .orElseThrow()
                .counts();
    }

    /**
     * The nearest counts, with more repeats, that the template can span and that keep out of the reserve on every side;
     * nothing if no count does, or if the given ones do already.
     */
    public Optional<Counts> clearing(Counts counts) {
        if (clears(judge(counts))) {
            return Optional.empty();
        }
        for (int across = counts.across(); across <= Counts.MOST; across++) {
            Candidate candidate = judge(withCount(Side.TOP, across));
            if (clears(candidate)) {
                return Optional.of(candidate.counts());
            }
        }
        return Optional.empty();
    }

    private static boolean clears(Candidate candidate) {
        return candidate.fits().size() == candidate.repeats().size()
                && candidate.fits().values().stream().allMatch(ArcFit::fitsRoom);
    }

    private static Candidate better(Candidate a, Candidate b) {
        return BEST_FIRST.compare(a, b) <= 0 ? a : b;
    }

    private IntStream range(Side side) {
        int spanned = Math.max(1, (int) Math.ceil(ring.longer(side) / ring.widest() - 1e-9));
        int fewest = Math.max(spanned, (int) Math.ceil(ring.longer(side) / (wanted * LONGEST_PART) - 1e-9));
        int most = Math.max(fewest, (int) Math.floor(ring.shorter(side) / (wanted * SHORTEST_PART) + 1e-9));
        return IntStream.rangeClosed(Math.min(fewest, Counts.MOST), Math.min(most, Counts.MOST));
    }

    /** Weighs one pair of counts. */
    public Candidate judge(Counts counts) {
        Map<Side, Double> repeats = new EnumMap<>(Side.class);
        Map<Side, ArcFit> fits = new EnumMap<>(Side.class);
        double over = Double.NEGATIVE_INFINITY;
        int parts = 1;
        for (Side side : Side.values()) {
            double repeat = ring.division(side, counts).repeat();
            repeats.put(side, repeat);
            Optional<ArcFit> fit = fitted.computeIfAbsent(side, s -> new HashMap<>())
                    .computeIfAbsent(counts.on(side), n -> ring.fit(side, repeat));
            if (fit.isPresent()) {
                fits.put(side, fit.get());
                over = Math.max(over, fit.get().overRoom());
                parts = Math.max(parts, fit.get().parts());
            }
        }
        boolean tooWide = fits.size() < repeats.size();
        Candidate bare = new Candidate(counts, repeats, fits, 0, List.of());
        double mean = repeats.values().stream().mapToDouble(d -> d).average().orElseThrow();
        boolean valleyAcross = ring.division(Side.TOP, counts).valleyOnCentre();
        boolean valleyDown = ring.division(Side.LEFT, counts).valleyOnCentre();
        double penalty = OFF_WANTED * Math.abs(mean - wanted)
                + MISMATCH * bare.mismatch()
                + INTO_RESERVE * Math.max(0, over)
                + EXTRA_PLACEMENT * (parts - 1)
                + (valleyAcross == valleyDown ? 0 : UNLIKE_CENTRES)
                + (tooWide ? TOO_WIDE : 0);
        List<Reason> reasons = new ArrayList<>();
        if (tooWide) {
            reasons.add(new Reason.TooWide(ring.widest()));
        }
        if (over > 1e-9) {
            reasons.add(new Reason.IntoReserve(over));
        }
        reasons.add(new Reason.OnCentre(valleyAcross, valleyDown));
        reasons.add(new Reason.SidesDiffer(bare.mismatch()));
        if (Math.abs(mean - wanted) > SAME) {
            reasons.add(new Reason.OffWanted(mean - wanted));
        }
        if (parts > 1) {
            reasons.add(new Reason.SeveralPlacements(parts));
        }
        return new Candidate(counts, repeats, fits, penalty, List.copyOf(reasons));
    }
}
