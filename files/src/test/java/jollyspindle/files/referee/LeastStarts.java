package jollyspindle.files.referee;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import org.jgrapht.Graph;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.graph.SimpleGraph;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How often the thread need be begun at most. A thread gets to whatever touches the seams and the stitching that hang together with
 * where it is; what a template is laid on, or a line ends on, has to be there before. From each place that is left the one is taken
 * that gets furthest, so that what comes out can be done, and is the least there can be wherever nothing waits for anything.
 */
final class LeastStarts {

    /** What is no further apart is joined, in inches: the plan tells places to nine decimals. */
    private static final double JOINED = 2e-6;

    /** A line of the plan, all its placements. */
    private record Line(String id, List<ToldPlan.Step> steps) {

        Point start() {
            return steps.get(0).path().start();
        }

        Point end() {
            return steps.get(steps.size() - 1).path().end();
        }

        boolean passes(Point place, double within) {
            return steps.stream().anyMatch(s -> s.path().passes(place, within));
        }
    }

    private final ToldPlan plan;
    private final List<Line> lines = new ArrayList<>();
    private final int count;

    /** Of each line, the lines and seams that its ends lie on; those after the lines are seams. */
    private final List<BitSet> endsOn = new ArrayList<>();

    /** Of each line, the lines that have to be stitched before, one of each set. */
    private final List<List<BitSet>> after = new ArrayList<>();

    private final List<BitSet> seams = new ArrayList<>();

    LeastStarts(ToldPlan plan) {
        this.plan = plan;
        Map<String, List<ToldPlan.Step>> byLine = new LinkedHashMap<>();
        plan.steps().forEach(s -> byLine.computeIfAbsent(s.lineId(), id -> new ArrayList<>())
                .add(s));
        byLine.forEach((id, steps) -> lines.add(new Line(id, steps)));
        count = lines.size();
        joinSeams();
        for (int i = 0; i < count; i++) {
            endsOn.add(nodes(i));
            after.add(waits(i));
        }
    }

    /** Seams that hang together are one. */
    private void joinSeams() {
        Graph<Integer, DefaultEdge> graph = new SimpleGraph<>(DefaultEdge.class);
        List<Curve> all = plan.ditches();
        for (int i = 0; i < all.size(); i++) {
            graph.addVertex(i);
            for (int j = 0; j < i; j++) {
                if (meet(all.get(i), all.get(j)) || meet(all.get(j), all.get(i))) {
                    graph.addEdge(i, j);
                }
            }
        }
        new ConnectivityInspector<>(graph).connectedSets().forEach(set -> {
            BitSet bits = new BitSet();
            set.forEach(bits::set);
            seams.add(bits);
        });
    }

    private static boolean meet(Curve one, Curve other) {
        return other.distance(one.start()) < JOINED || other.distance(one.end()) < JOINED;
    }

    private BitSet nodes(int line) {
        BitSet on = new BitSet();
        for (Point end : List.of(lines.get(line).start(), lines.get(line).end())) {
            for (int j = 0; j < count; j++) {
                if (j != line && lines.get(j).passes(end, JOINED)) {
                    on.set(j);
                }
            }
            for (int k = 0; k < seams.size(); k++) {
                if (seams.get(k).stream().anyMatch(s -> plan.ditches().get(s).distance(end) < JOINED)) {
                    on.set(count + k);
                }
            }
        }
        return on;
    }

    private List<BitSet> waits(int line) {
        List<BitSet> all = new ArrayList<>();
        for (ToldPlan.Step step : lines.get(line).steps()) {
            String on = step.on().after().orElse(step.on().on());
            BitSet laid = new BitSet();
            for (int j = 0; j < count; j++) {
                if (j != line && lines.get(j).id().equals(on)) {
                    laid.set(j);
                }
            }
            add(all, laid);
            shown(line, step.start(), step.path().start()).ifPresent(set -> add(all, set));
            shown(line, step.end(), step.path().end()).ifPresent(set -> add(all, set));
        }
        return all;
    }

    private static void add(List<BitSet> all, BitSet set) {
        if (!set.isEmpty()) {
            all.add(set);
        }
    }

    /** What stitching shows a place; nothing if it is the line's own. */
    private Optional<BitSet> shown(int line, ToldPlan.End told, Point at) {
        if (!told.shownBy().equals(Optional.of("stitching"))) {
            return Optional.empty();
        }
        BitSet by = new BitSet();
        for (int j = 0; j < count; j++) {
            if (j != line && lines.get(j).passes(at, Referee.ON)) {
                by.set(j);
            }
        }
        return Optional.of(by);
    }

    int count() {
        BitSet done = new BitSet();
        int starts = 0;
        while (done.cardinality() < count) {
            BitSet best = null;
            for (int i = done.nextClearBit(0); i < count; i = done.nextClearBit(i + 1)) {
                if (isFree(i, done)) {
                    BitSet reached = reached(i, done);
                    best = best == null || reached.cardinality() > best.cardinality() ? reached : best;
                }
            }
            if (best == null) {
                // Two wait for each other; the plan's own order is judged elsewhere.
                return Integer.MAX_VALUE;
            }
            done = best;
            starts++;
        }
        return starts;
    }

    /** Motifs are stitched one after the other. */
    private boolean isFree(int line, BitSet done) {
        int layer = lines.get(line).steps().get(0).layer();
        for (int i = done.nextClearBit(0); i < count; i = done.nextClearBit(i + 1)) {
            if (lines.get(i).steps().get(0).layer() < layer) {
                return false;
            }
        }
        return after.get(line).stream().allMatch(set -> set.intersects(done));
    }

    /** All that is stitched when a thread that begins with a line gets no further. */
    private BitSet reached(int first, BitSet before) {
        BitSet done = (BitSet) before.clone();
        BitSet near = new BitSet();
        take(first, done, near);
        boolean more = true;
        while (more) {
            more = false;
            for (int i = done.nextClearBit(0); i < count; i = done.nextClearBit(i + 1)) {
                if (isFree(i, done) && endsOn.get(i).intersects(near)) {
                    take(i, done, near);
                    more = true;
                }
            }
        }
        return done;
    }

    /** Stitches a line, and finds what hangs together with the thread by then. */
    private void take(int line, BitSet done, BitSet near) {
        done.set(line);
        List<Integer> found = new ArrayList<>(List.of(line));
        near.set(line);
        while (!found.isEmpty()) {
            int at = found.remove(found.size() - 1);
            BitSet next = new BitSet();
            if (at < count) {
                next.or(endsOn.get(at));
            }
            for (int j = done.nextSetBit(0); j >= 0; j = done.nextSetBit(j + 1)) {
                if (endsOn.get(j).get(at)) {
                    next.set(j);
                }
            }
            for (int k = next.nextSetBit(0); k >= 0; k = next.nextSetBit(k + 1)) {
                if (!near.get(k) && (k >= count || done.get(k))) {
                    near.set(k);
                    found.add(k);
                }
            }
        }
    }
}
