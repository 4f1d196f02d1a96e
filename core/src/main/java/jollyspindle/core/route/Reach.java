package jollyspindle.core.route;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineId;
import org.jgrapht.alg.util.UnionFind;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** How much a thread gets to that begins with some stretch: to all that touches the ditches and the stitching it hangs together with. */
final class Reach {

    private final Stretches stretches;
    private final List<Stretch> all;
    private final Map<LineId, Integer> numbers = new HashMap<>();

    /** Of each stretch, the stretches and ditches that its ends lie on; ditches that hang together are one, after the stretches. */
    private final List<BitSet> endsOn = new ArrayList<>();

    Reach(Stretches stretches, List<Path> ditches) {
        this.stretches = stretches;
        this.all = List.copyOf(stretches.all());
        for (int i = 0; i < all.size(); i++) {
            numbers.put(all.get(i).lines().get(0).id(), i);
        }
        int[] together = together(ditches);
        for (int i = 0; i < all.size(); i++) {
            BitSet on = new BitSet();
            for (Point end : List.of(all.get(i).start(), all.get(i).startBackwards())) {
                for (int j = 0; j < all.size(); j++) {
                    if (j != i && passes(all.get(j), end)) {
                        on.set(j);
                    }
                }
                for (int k = 0; k < ditches.size(); k++) {
                    if (ditches.get(k).passes(end, Tolerances.SAME_PLACE)) {
                        on.set(all.size() + together[k]);
                    }
                }
            }
            endsOn.add(on);
        }
    }

    private static boolean passes(Stretch stretch, Point place) {
        return stretch.lines().stream().anyMatch(line -> line.path().passes(place, Tolerances.SAME_PLACE));
    }

    /** Of each ditch, the number of one of those that it hangs together with, the same for all of them. */
    private static int[] together(List<Path> ditches) {
        UnionFind<Integer> together =
                new UnionFind<>(IntStream.range(0, ditches.size()).boxed().collect(Collectors.toSet()));
        for (int k = 0; k < ditches.size(); k++) {
            for (int l = 0; l < k; l++) {
                if (meet(ditches.get(k), ditches.get(l)) || meet(ditches.get(l), ditches.get(k))) {
                    together.union(k, l);
                }
            }
        }
        return IntStream.range(0, ditches.size()).map(together::find).toArray();
    }

    private static boolean meet(Path one, Path other) {
        return one.curves().stream()
                .anyMatch(c ->
                        other.passes(c.start(), Tolerances.SAME_PLACE) || other.passes(c.end(), Tolerances.SAME_PLACE));
    }

    /**
     * How many stretches are stitched when a thread gets no further.
     *
     * @param first that it begins with
     * @param stitched lines before it
     * @param left stretches of the layer that is stitched
     */
    int from(Stretch first, Set<LineId> stitched, Set<Stretch> left) {
        Set<LineId> by = new HashSet<>(stitched);
        BitSet done = new BitSet();
        stitched.stream().filter(numbers::containsKey).forEach(id -> done.set(numbers.get(id)));
        BitSet near = new BitSet();
        Set<Stretch> open = new HashSet<>(left);
        take(number(first), by, done, near, open);
        boolean more = true;
        while (more) {
            more = false;
            for (Stretch next : List.copyOf(open)) {
                if (endsOn.get(number(next)).intersects(near) && stretches.isReady(next, by)) {
                    take(number(next), by, done, near, open);
                    more = true;
                }
            }
        }
        return done.cardinality();
    }

    private int number(Stretch stretch) {
        return numbers.get(stretch.lines().get(0).id());
    }

    /** Stitches a stretch, and finds what hangs together with the thread by then. */
    private void take(int number, Set<LineId> by, BitSet done, BitSet near, Set<Stretch> open) {
        done.set(number);
        open.remove(all.get(number));
        all.get(number).lines().forEach(line -> by.add(line.id()));
        Deque<Integer> found = new ArrayDeque<>(List.of(number));
        near.set(number);
        while (!found.isEmpty()) {
            int at = found.pop();
            BitSet next = new BitSet();
            if (at < all.size()) {
                next.or(endsOn.get(at));
            }
            for (int j = done.nextSetBit(0); j >= 0; j = done.nextSetBit(j + 1)) {
                if (endsOn.get(j).get(at)) {
                    next.set(j);
                }
            }
            for (int k = next.nextSetBit(0); k >= 0; k = next.nextSetBit(k + 1)) {
                if (!near.get(k) && (k >= all.size() || done.get(k))) {
                    near.set(k);
                    found.push(k);
                }
            }
        }
    }
}
