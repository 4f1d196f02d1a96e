package jollyspindle.core.route;

import jollyspindle.core.geometry.CurveIndex;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Finds orders with few thread starts.
 *
 * <p>Whatever a template is laid on, or a line ends on, is stitched before. From where the needle is, the line is taken that it
 * reaches with the least travel, whichever end that is, but none that leaves others behind if there is another (the rule of
 * M. Fleury for trails, 1883, from memory); only where no ditch and no stitched line leads on does it start anew. What must be
 * stitched before what may stand against the fewest starts, so that of few lines other orders are tried as long as that is
 * quick (branch and bound); of many the first is good, though not always the best.
 */
final class Orders {

    /** Beyond so many chains of lines the first order found is taken. */
    private static final int MOST_SEARCHED = 24;

    /** How many more steps are tried for a better one. */
    private static final int MOST_STEPS = 1000;

    private final Map<LineId, List<Placement>> placements;
    private final Set<LineId> ids;
    private final Ditches ditches;
    private final Map<Object, Integer> places = new HashMap<>();

    /**
     * Orders for some lines.
     *
     * @param placements of each line, by its id
     * @param ids of the lines
     * @param ditches that the needle can travel in
     */
    Orders(Map<LineId, List<Placement>> placements, Set<LineId> ids, Ditches ditches) {
        this.placements = placements;
        this.ids = ids;
        this.ditches = ditches;
    }

    /** The lines in an order and ways round with as few starts as are found, motif by motif. */
    List<StitchLine> ordered(List<StitchLine> lines) {
        List<Chain> chains = chains(lines);
        Search search = new Search(chains, needed(lines), chains.size() > MOST_SEARCHED ? 0 : MOST_STEPS);
        search.go(chains, Set.of(), List.of(), 1);
        return search.best;
    }

    /** Lines that follow each other without a break. */
    private static final class Chain {

        private final List<StitchLine> lines;
        /** Stand for the places that are reached from its start and its end by travelling. */
        private final int from;

        private final int to;

        Chain(List<StitchLine> lines, int from, int to) {
            this.lines = lines;
            this.from = from;
            this.to = to;
        }

        int layer() {
            return lines.get(0).layer();
        }
    }

    /** As they were laid out. */
    private List<Chain> chains(List<StitchLine> lines) {
        List<List<StitchLine>> chains = new ArrayList<>();
        for (StitchLine line : lines) {
            List<StitchLine> last = chains.isEmpty() ? null : chains.get(chains.size() - 1);
            StitchLine before = last == null ? null : last.get(last.size() - 1);
            if (before != null
                    && before.layer() == line.layer()
                    && before.needleAt().distance(line.path().start()) < Tolerances.SAME_PLACE) {
                last.add(line);
            } else {
                chains.add(new ArrayList<>(List.of(line)));
            }
        }
        return chains.stream()
                .map(c -> new Chain(c, place(start(c)), place(end(c))))
                .toList();
    }

    /** What stands for all places that are reached from one by travelling. */
    private int place(Point place) {
        return places.computeIfAbsent(ditches.connectedComponent(place), there -> places.size());
    }

    private static Point start(List<StitchLine> lines) {
        return lines.get(0).path().start();
    }

    private static Point end(List<StitchLine> lines) {
        return lines.get(lines.size() - 1).needleAt();
    }

    /**
     * Looks for the order with the fewest starts: depth first, at each line what looks best before the others, and never
     * further than what is found already (branch and bound).
     */
    private final class Search {

        private final List<Chain> chains;
        private final Map<LineId, Set<LineId>> needed;
        private int steps;
        private int least;
        private int starts = Integer.MAX_VALUE;
        private List<StitchLine> best = List.of();

        /**
         * A search.
         *
         * @param chains that are put in order
         * @param needed what each line lies or ends on
         * @param steps that are gone once a first order is found
         */
        Search(List<Chain> chains, Map<LineId, Set<LineId>> needed, int steps) {
            this.chains = chains;
            this.needed = needed;
            this.steps = steps;
        }

        /** Whether no order can have fewer starts than what is found. */
        private boolean isBest() {
            if (starts > 1 && starts < Integer.MAX_VALUE && least == 0) {
                least = least(chains);
            }
            return starts <= Math.max(1, least);
        }

        void go(List<Chain> left, Set<LineId> stitched, List<StitchLine> order, int begun) {
            if (left.isEmpty()) {
                best = order;
                starts = begun;
                return;
            }
            int layer = left.get(0).layer();
            List<Chain> now = left.stream().filter(c -> c.layer() == layer).toList();
            List<Chain> ready =
                    now.stream().filter(c -> ready(c.lines, needed, stitched)).toList();
            Iterator<Step> all = steps(ready.isEmpty() ? now.subList(0, 1) : ready, now, order);
            while (all.hasNext()) {
                Step step = all.next();
                int then = begun + (step.anew() ? 1 : 0);
                if (then < starts) {
                    List<Chain> others = new ArrayList<>(left);
                    others.remove(step.way().chain());
                    Set<LineId> more = new HashSet<>(stitched);
                    step.way().lines().forEach(l -> more.add(l.id()));
                    List<StitchLine> longer = new ArrayList<>(order);
                    longer.addAll(step.way().lines());
                    go(others, more, longer, then);
                }
                if (starts < Integer.MAX_VALUE && (isBest() || --steps < 0)) {
                    return;
                }
            }
        }
    }

    /** How many starts there must be at least: as many as there are groups of lines that nothing leads between. */
    private int least(List<Chain> chains) {
        List<Chain> left = new ArrayList<>(chains);
        int groups = 0;
        while (!left.isEmpty()) {
            groups++;
            List<Chain> group = new ArrayList<>(List.of(left.remove(0)));
            for (int i = 0; i < group.size(); i++) {
                Chain chain = group.get(i);
                List<Chain> near =
                        left.stream().filter(other -> meet(chain, other)).toList();
                group.addAll(near);
                left.removeAll(near);
            }
        }
        return groups;
    }

    private static boolean meet(Chain one, Chain other) {
        return one.from == other.from
                || one.from == other.to
                || one.to == other.from
                || one.to == other.to
                || passes(one.lines, start(other.lines))
                || passes(one.lines, end(other.lines))
                || passes(other.lines, start(one.lines))
                || passes(other.lines, end(one.lines));
    }

    private static boolean passes(List<StitchLine> chain, Point place) {
        return chain.stream().anyMatch(line -> line.path().passes(place, Tolerances.SAME_PLACE));
    }

    /** A chain, and how it is stitched: as it is, or backwards. */
    private record Way(Chain chain, List<StitchLine> lines) {

        Point start() {
            return Orders.start(lines);
        }

        int from() {
            return lines == chain.lines ? chain.from : chain.to;
        }

        int to() {
            return lines == chain.lines ? chain.to : chain.from;
        }
    }

    /**
     * The next chain.
     *
     * @param anew whether the thread is cut for it
     */
    private record Step(Way way, boolean anew) {}

    /** What can come next, what looks best first; each is only looked at when it is asked for. */
    private Iterator<Step> steps(List<Chain> ready, List<Chain> left, List<StitchLine> done) {
        List<Way> ways = ready.stream()
                .flatMap(c -> ways(c.lines).stream().map(lines -> new Way(c, lines)))
                .toList();
        if (done.isEmpty()) {
            return begun(ways, left).map(way -> new Step(way, false)).iterator();
        }
        Point at = done.get(done.size() - 1).needleAt();
        Map<Way, Double> costs = new IdentityHashMap<>();
        ways.forEach(w -> costs.put(w, cost(at, w.start(), done)));
        List<Way> reached = ways.stream()
                .filter(w -> costs.get(w) < Double.MAX_VALUE)
                .sorted(Comparator.comparingDouble(costs::get))
                .toList();
        // After M. Fleury: no line is taken that leaves others behind, as long as there is one that doesn't.
        Stream<Step> on = Stream.concat(
                        reached.stream().filter(w -> isNoBridge(w, left)),
                        reached.stream().filter(w -> !isNoBridge(w, left)))
                .map(way -> new Step(way, false));
        List<Way> others =
                ways.stream().filter(w -> costs.get(w) == Double.MAX_VALUE).toList();
        Stream<Step> anew = Stream.of(others).flatMap(all -> begun(all, left).map(way -> new Step(way, true)));
        return Stream.concat(on, anew).iterator();
    }

    /** Where a new thread may begin: where an odd number of lines end, since there one trail must end anyway, before others. */
    private Stream<Way> begun(List<Way> ways, List<Chain> left) {
        List<Way> odd = ways.stream().filter(w -> isOdd(w.from(), left)).toList();
        return Stream.concat(
                Stream.concat(
                        odd.stream().filter(w -> isNoBridge(w, left)),
                        odd.stream().filter(w -> !isNoBridge(w, left))),
                ways.stream().filter(w -> odd.stream().noneMatch(o -> o == w)));
    }

    /** Whether an odd number of ends of lines lie where one gets to by travelling. */
    private static boolean isOdd(int place, List<Chain> left) {
        return left.stream()
                                .flatMapToInt(c -> IntStream.of(c.from, c.to))
                                .filter(there -> there == place)
                                .count()
                        % 2
                == 1;
    }

    /**
     * Whether all lines that are reached from where a way begins are still reached from where it ends: the test for bridges of
     * Fleury's algorithm for Eulerian trails (1883).
     */
    private boolean isNoBridge(Way way, List<Chain> left) {
        List<Chain> others = new ArrayList<>(left);
        others.remove(way.chain());
        int still = reached(way.to(), others);
        return still == others.size() || reached(way.from(), others) <= still;
    }

    /** How many lines are reached from a place, directly or along others. */
    private int reached(int from, List<Chain> lines) {
        BitSet reached = new BitSet(places.size());
        reached.set(from);
        List<Chain> left = new ArrayList<>(lines);
        int before;
        do {
            before = left.size();
            left.removeIf(chain -> {
                boolean found = reached.get(chain.from) || reached.get(chain.to);
                if (found) {
                    reached.set(chain.from);
                    reached.set(chain.to);
                }
                return found;
            });
        } while (left.size() < before);
        return lines.size() - left.size();
    }

    private double cost(Point from, Point to, List<StitchLine> done) {
        if (from.distance(to) < Tolerances.SAME_PLACE) {
            return 0;
        }
        double ditch = ditches.length(from, to);
        return ditch < Double.MAX_VALUE
                ? ditch
                : Router.retraced(from, to, done).map(Path::length).orElse(Double.MAX_VALUE);
    }

    private static boolean ready(List<StitchLine> chain, Map<LineId, Set<LineId>> needed, Set<LineId> stitched) {
        Set<LineId> own = new HashSet<>();
        for (StitchLine line : chain) {
            for (LineId id : needed.getOrDefault(line.id(), Set.of())) {
                if (!stitched.contains(id) && !own.contains(id)) {
                    return false;
                }
            }
            own.add(line.id());
        }
        return true;
    }

    /** What each line lies or ends on. */
    private Map<LineId, Set<LineId>> needed(List<StitchLine> lines) {
        Map<LineId, Set<LineId>> needed = new HashMap<>();
        CurveIndex<LineId> before = new CurveIndex<>();
        for (StitchLine line : lines) {
            Set<LineId> own = new HashSet<>();
            for (Placement p : placements.getOrDefault(line.id(), List.of())) {
                p.registration().before().filter(ids::contains).ifPresent(own::add);
                Stream.of(p.start(), p.end())
                        .filter(s -> s.shownBy() == LineEnd.ShownBy.STITCHING)
                        .forEach(s -> own.addAll(Stretches.passing(before, s.place())));
            }
            needed.put(line.id(), own);
            before.add(line.path(), line.id());
        }
        return needed;
    }

    /** A chain as it is, and backwards where that is the same to the quilter. */
    private List<List<StitchLine>> ways(List<StitchLine> chain) {
        StitchLine line = chain.get(0);
        List<Placement> own = placements.getOrDefault(line.id(), List.of());
        boolean turns = chain.size() == 1 && !line.returns() && Stretches.turns(line, own);
        List<List<StitchLine>> ways = new ArrayList<>(List.of(chain));
        if (turns) {
            ways.add(List.of(line.reversed()));
        }
        return ways;
    }
}
