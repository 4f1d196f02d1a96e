package jollyspindle.core.route;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.CurveIndex;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.StitchLine;
import org.jgrapht.alg.util.UnionFind;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Where the thread is best begun. It gets to all that touches the ditches and the stitching it hangs together with, as soon as that is
 * free: what a template is laid on, or a line ends on, is stitched before. So the fewest beginnings are looked for alone, by branch and
 * bound, without the order between them; what one gets to through another needn't be begun at (derived: it gets no further).
 */
final class Beginnings {

    /** So often it is looked at whether a stretch can come next, at most. */
    private static final int MOST_LOOKS = 200_000;

    private final List<Stretch> all;

    /** Of each stretch, the stretches and ditches that its ends lie on, and those whose ends lie on it; ditches that meet are one. */
    private final List<BitSet> touched = new ArrayList<>();

    /** Of each stretch, sets of stretches of which one each must be stitched before. */
    private final List<List<BitSet>> waits;

    /** Of each stretch, one for all that hangs together with it once everything is stitched. */
    private final int[] part;

    private int looks;
    private List<Integer> best = List.of();

    /** With how few beginnings what is stitched can be got to, as far as that was looked at. */
    private final Map<BitSet, Integer> seen = new HashMap<>();

    /**
     * For some stretches.
     *
     * @param ditches that the needle can travel in
     */
    Beginnings(Stretches stretches, List<Path> ditches) {
        this.all = List.copyOf(stretches.all());
        this.waits = stretches.waits();
        int count = all.size();
        CurveIndex<Integer> places = new CurveIndex<>();
        for (int i = 0; i < count; i++) {
            for (StitchLine line : all.get(i).lines()) {
                places.add(line.path(), i);
            }
        }
        int[] together = together(ditches);
        for (int k = 0; k < ditches.size(); k++) {
            places.add(ditches.get(k), count + together[k]);
        }
        for (int i = 0; i < count + ditches.size(); i++) {
            touched.add(new BitSet());
        }
        UnionFind<Integer> parts = new UnionFind<>(
                IntStream.range(0, count + ditches.size()).boxed().collect(Collectors.toSet()));
        for (int i = 0; i < count; i++) {
            for (Point end : List.of(all.get(i).start(), all.get(i).startBackwards())) {
                for (int other : places.passing(end, Tolerances.SAME_PLACE)) {
                    if (other != i) {
                        touched.get(i).set(other);
                        touched.get(other).set(i);
                        parts.union(i, other);
                    }
                }
            }
        }
        this.part = IntStream.range(0, count).map(parts::find).toArray();
    }

    /** Of each ditch, the number of one of those that it hangs together with, the same for all of them. */
    private static int[] together(List<Path> ditches) {
        CurveIndex<Integer> places = new CurveIndex<>();
        UnionFind<Integer> together =
                new UnionFind<>(IntStream.range(0, ditches.size()).boxed().collect(Collectors.toSet()));
        for (int k = 0; k < ditches.size(); k++) {
            places.add(ditches.get(k), k);
        }
        for (int k = 0; k < ditches.size(); k++) {
            for (Curve curve : ditches.get(k).curves()) {
                for (Point end : List.of(curve.start(), curve.end())) {
                    for (int other : places.passing(end, Tolerances.SAME_PLACE)) {
                        together.union(k, other);
                    }
                }
            }
        }
        return IntStream.range(0, ditches.size()).map(together::find).toArray();
    }

    /** The stretches that threads begin with, in order; the fewest there are, where that isn't too much to look at. */
    List<Stretch> fewest() {
        search(new BitSet(), List.of());
        return best.stream().map(all::get).toList();
    }

    private void search(BitSet done, List<Integer> begun) {
        if (done.cardinality() == all.size()) {
            best = begun;
            return;
        }
        boolean hopeless = !best.isEmpty() && begun.size() + partsLeft(done) >= best.size();
        Integer before = seen.get(done);
        if (hopeless || before != null && before <= begun.size()) {
            return;
        }
        seen.put(done, begun.size());
        for (Way way : ways(done)) {
            if (!best.isEmpty() && looks > MOST_LOOKS) {
                return;
            }
            List<Integer> more = new ArrayList<>(begun);
            more.add(way.first());
            search(way.done(), more);
        }
    }

    /** How many threads there must be for what is left: one for each part. */
    private int partsLeft(BitSet done) {
        Set<Integer> parts = new HashSet<>();
        for (int i = done.nextClearBit(0); i < all.size(); i = done.nextClearBit(i + 1)) {
            parts.add(part[i]);
        }
        return parts.size();
    }

    /** A beginning, and what is stitched when the thread gets no further. */
    private record Way(int first, BitSet done) {}

    /** The beginnings that none of the others gets to, the one first that gets furthest. */
    private List<Way> ways(BitSet done) {
        List<Way> ways = new ArrayList<>();
        BitSet reached = new BitSet();
        int layer = layer(done);
        boolean waiting = true;
        for (int i = done.nextClearBit(0); i < all.size(); i = done.nextClearBit(i + 1)) {
            if (isFree(i, layer, done)) {
                waiting = false;
                if (!reached.get(i)) {
                    BitSet then = reached(i, done);
                    reached.or(then);
                    ways.removeIf(way -> then.get(way.first()));
                    ways.add(new Way(i, then));
                }
            }
        }
        if (waiting) {
            // What is laid on something that isn't there can't be waited for.
            int first = done.nextClearBit(0);
            ways.add(new Way(first, reached(first, done)));
        }
        ways.sort(Comparator.comparingInt(way -> -way.done().cardinality()));
        return ways;
    }

    /** Motifs are stitched one after the other. */
    private int layer(BitSet done) {
        int least = Integer.MAX_VALUE;
        for (int i = done.nextClearBit(0); i < all.size(); i = done.nextClearBit(i + 1)) {
            least = Math.min(least, all.get(i).layer());
        }
        return least;
    }

    private boolean isFree(int stretch, int layer, BitSet done) {
        looks++;
        return all.get(stretch).layer() == layer && waits.get(stretch).stream().allMatch(some -> some.intersects(done));
    }

    private BitSet reached(int first, BitSet before) {
        BitSet done = (BitSet) before.clone();
        BitSet near = new BitSet();
        take(first, done, near);
        boolean more = true;
        while (more) {
            more = false;
            int layer = layer(done);
            for (int i = done.nextClearBit(0); i < all.size(); i = done.nextClearBit(i + 1)) {
                if (touched.get(i).intersects(near) && isFree(i, layer, done)) {
                    take(i, done, near);
                    more = true;
                }
            }
        }
        return done;
    }

    /** Stitches a stretch, and finds what hangs together with the thread by then. */
    private void take(int stretch, BitSet done, BitSet near) {
        done.set(stretch);
        near.set(stretch);
        Deque<Integer> found = new ArrayDeque<>(List.of(stretch));
        while (!found.isEmpty()) {
            BitSet next = touched.get(found.pop());
            for (int k = next.nextSetBit(0); k >= 0; k = next.nextSetBit(k + 1)) {
                if (!near.get(k) && (k >= all.size() || done.get(k))) {
                    near.set(k);
                    found.push(k);
                }
            }
        }
    }
}
