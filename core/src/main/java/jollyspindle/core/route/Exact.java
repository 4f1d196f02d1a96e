package jollyspindle.core.route;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineId;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.ToIntBiFunction;

/**
 * The very best order of a few lines: for each set of lines that may be stitched, and each of them that may come last, the best way to
 * get there (M. Held and R. M. Karp, “A dynamic programming approach to sequencing problems”, Journal of the SIAM 10, 1962). It takes
 * time with the power of their number.
 */
final class Exact {

    /** A start counts more than all changes of the template, and one of those more than all travel, in inches. */
    private static final double START = 1e9;

    private static final double CHANGE = 1e5;

    private final List<Stretch> all;
    private final Stretches stretches;
    private final List<Path> ditches;
    private final List<Point> stops;

    /** By what is stitched, what of it last, and which way round that: the cost, and what came before it. */
    private final double[][] cost;

    private final int[][] before;

    Exact(Stretches stretches, List<Path> ditches, List<Point> stops) {
        this.all = stretches.all();
        this.stretches = stretches;
        this.ditches = ditches;
        this.stops = stops;
        this.cost = new double[1 << all.size()][2 * all.size()];
        this.before = new int[1 << all.size()][2 * all.size()];
        for (double[] some : cost) {
            Arrays.fill(some, Double.POSITIVE_INFINITY);
        }
    }

    /**
     * The order.
     *
     * @param begins where the thread may begin without a further start
     * @param changes how often the template is changed from the one to the other
     */
    List<Stretch> ordered(Predicate<Point> begins, ToIntBiFunction<Stretch, Stretch> changes) {
        for (int done = 0; done + 1 < cost.length; done++) {
            Ditches ways = null;
            for (int next = 0; next < all.size(); next++) {
                if ((done & 1 << next) != 0 || !isReady(done, next)) {
                    continue;
                }
                if (ways == null) {
                    ways = ways(done);
                }
                for (int way = 0; way < (all.get(next).turns() ? 2 : 1); way++) {
                    take(done, 2 * next + way, ways, begins, changes);
                }
            }
        }
        return back();
    }

    private Stretch way(int which) {
        Stretch stretch = all.get(which / 2);
        return which % 2 == 0 ? stretch : stretch.reversed();
    }

    private void take(
            int done, int next, Ditches ways, Predicate<Point> begins, ToIntBiFunction<Stretch, Stretch> changes) {
        int with = done | 1 << next / 2;
        Point to = way(next).start();
        if (done == 0) {
            cost[with][next] = begins.test(to) ? 0 : START;
            return;
        }
        for (int last = 0; last < 2 * all.size(); last++) {
            if (cost[done][last] == Double.POSITIVE_INFINITY) {
                continue;
            }
            double led = cost[done][last]
                    + travel(ways, way(last).end(), to)
                    + CHANGE * changes.applyAsInt(way(last), way(next));
            if (led < cost[with][next]) {
                cost[with][next] = led;
                before[with][next] = last;
            }
        }
    }

    private static double travel(Ditches ways, Point from, Point to) {
        return from.distance(to) < Tolerances.SAME_PLACE ? 0 : Math.min(START, ways.length(from, to));
    }

    /** Whether motifs before it are stitched, and what it lies on or ends on. */
    private boolean isReady(int done, int next) {
        Set<LineId> stitched = new HashSet<>();
        for (int i = 0; i < all.size(); i++) {
            if ((done & 1 << i) != 0) {
                all.get(i).lines().forEach(line -> stitched.add(line.id()));
            } else if (all.get(i).layer() < all.get(next).layer()) {
                return false;
            }
        }
        return stretches.isReady(all.get(next), stitched);
    }

    private Ditches ways(int done) {
        Ditches ways = new Ditches(ditches, stops);
        for (int i = 0; i < all.size(); i++) {
            if ((done & 1 << i) != 0) {
                all.get(i).lines().forEach(line -> ways.stitched(line.path()));
            }
        }
        return ways;
    }

    private List<Stretch> back() {
        int done = cost.length - 1;
        int last = 0;
        for (int i = 1; i < 2 * all.size(); i++) {
            if (cost[done][i] < cost[done][last]) {
                last = i;
            }
        }
        List<Stretch> order = new ArrayList<>();
        while (done != 0) {
            order.add(way(last));
            int was = before[done][last];
            done &= ~(1 << last / 2);
            last = was;
        }
        Collections.reverse(order);
        return order;
    }
}
