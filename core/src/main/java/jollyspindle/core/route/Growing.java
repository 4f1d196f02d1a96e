package jollyspindle.core.route;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Places;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineId;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Goes on from where the needle is to the nearest line that it can get to, along ditches and all that is stitched by then; only where
 * nothing leads on does it begin anew. So everything that hangs together is stitched with one thread, if not on the shortest way.
 */
final class Growing {

    private final Stretches stretches;
    private final List<Path> ditches;
    private final List<Point> stops;

    /** Of each stretch, how many others come before it; nothing where that doesn't matter. */
    private Map<Stretch, Integer> depths = Map.of();

    /** How many ends of lines that are left lie at a place. */
    private final Places<int[]> ends = new Places<>(2 * Tolerances.SAME_PLACE);

    /**
     * What may come next.
     *
     * @param way a stretch as it is to be stitched
     * @param of the stretch
     * @param goesOn whether others end where it does
     * @param odd whether an odd number of ends lie where it begins
     */
    private record Next(Stretch way, Stretch of, boolean goesOn, boolean odd) {}

    /**
     * For some lines.
     *
     * @param ditches that the needle can travel in
     * @param stops where lines begin and end
     */
    Growing(Stretches stretches, List<Path> ditches, List<Point> stops) {
        this.stretches = stretches;
        this.ditches = ditches;
        this.stops = stops;
    }

    List<Stretch> ordered() {
        return ordered(List.of());
    }

    /**
     * What few others come before first, where nothing begins right at the needle: so that of lines that wait for each other, none
     * is far ahead.
     */
    List<Stretch> evenly() {
        depths = stretches.depths();
        List<Stretch> order = ordered(List.of());
        depths = Map.of();
        return order;
    }

    /**
     * Begun where that was found to be best.
     *
     * @param beginnings the stretches that threads are begun with, in order
     */
    List<Stretch> begun(List<Stretch> beginnings) {
        return ordered(beginnings);
    }

    private List<Stretch> ordered(List<Stretch> beginnings) {
        Ditches ways = new Ditches(ditches, stops);
        Set<Stretch> left = new LinkedHashSet<>(stretches.all());
        left.forEach(s -> {
            ending(s.start(), 1);
            ending(s.end(), 1);
        });
        Set<LineId> stitched = new HashSet<>();
        List<Stretch> order = new ArrayList<>();
        while (!left.isEmpty()) {
            Next next = next(left, order, stitched, ways, beginnings);
            left.remove(next.of());
            ending(next.of().start(), -1);
            ending(next.of().end(), -1);
            order.add(next.way());
            next.way().lines().forEach(line -> {
                stitched.add(line.id());
                ways.stitched(line.path());
            });
        }
        return order;
    }

    private int ending(Point place, int more) {
        int[] count = ends.at(place).orElse(null);
        if (count == null) {
            count = new int[1];
            ends.put(place, count);
        }
        count[0] += more;
        return count[0];
    }

    /** The nearest that can be got to; where there is none, any. */
    private Next next(
            Set<Stretch> left, List<Stretch> order, Set<LineId> stitched, Ditches ways, List<Stretch> beginnings) {
        List<Next> all = ready(left, stitched);
        if (all.isEmpty()) {
            // What is laid on something that isn't there can't be waited for.
            Stretch first = left.iterator().next();
            return new Next(first, first, false, false);
        }
        if (!order.isEmpty()) {
            Point at = order.get(order.size() - 1).end();
            Places<List<Next>> begun = new Places<>(2 * Tolerances.SAME_PLACE);
            for (Next next : all) {
                List<Next> there = begun.at(next.way().start()).orElse(null);
                if (there == null) {
                    there = new ArrayList<>();
                    begun.put(next.way().start(), there);
                }
                there.add(next);
            }
            Optional<List<Next>> here = begun.at(at);
            List<Integer> few =
                    all.stream().map(this::depth).distinct().sorted().toList();
            for (int i = 0; here.isEmpty() && i < few.size(); i++) {
                int depth = few.get(i);
                here = ways.nearest(at, place -> begun.at(place).stream()
                                .flatMap(List::stream)
                                .anyMatch(next -> depth(next) == depth))
                        .flatMap(begun::at)
                        .map(there -> there.stream()
                                .filter(next -> depth(next) == depth)
                                .toList());
            }
            if (here.isPresent()) {
                return here.get().stream()
                        .filter(Next::goesOn)
                        .findFirst()
                        .orElse(here.get().get(0));
            }
        }
        List<Next> planned = beginnings.stream()
                .filter(left::contains)
                .limit(1)
                .flatMap(first -> all.stream().filter(next -> next.of() == first))
                .toList();
        return anew(planned.isEmpty() ? all : planned, order);
    }

    /** How many others come before what may come next; 0 where that doesn't matter. */
    private int depth(Next next) {
        return depths.getOrDefault(next.of(), 0);
    }

    /** Where a new thread begins: where an odd number of lines end, and near the end of the last. */
    private static Next anew(List<Next> all, List<Stretch> order) {
        Comparator<Next> best = Comparator.comparing((Next n) -> !n.odd());
        if (!order.isEmpty()) {
            Point at = order.get(order.size() - 1).end();
            best = best.thenComparingDouble(n -> n.way().start().distance(at));
        }
        return all.stream().min(best).orElseThrow();
    }

    private List<Next> ready(Set<Stretch> left, Set<LineId> stitched) {
        int layer = left.stream().mapToInt(Stretch::layer).min().orElseThrow();
        List<Next> ready = new ArrayList<>();
        for (Stretch stretch : left) {
            if (stretch.layer() == layer && stretches.isReady(stretch, stitched)) {
                for (Stretch way : stretch.turns() ? List.of(stretch, stretch.reversed()) : List.of(stretch)) {
                    ready.add(new Next(way, stretch, ending(way.end(), 0) > 1, ending(way.start(), 0) % 2 == 1));
                }
            }
        }
        return ready;
    }
}
