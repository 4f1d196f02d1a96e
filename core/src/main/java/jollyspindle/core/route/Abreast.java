package jollyspindle.core.route;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Carries many orders on abreast, line by line, and keeps those that travel least so far (a beam search): where lines wait for each
 * other, what is nearest now may lead further round later. Only seams are travelled; what they don't lead to counts as a new start.
 */
final class Abreast {

    /** So many orders are carried on, at most. */
    private static final int MOST_KEPT = 256;

    /** Fewer wouldn't find more than the nearest does. */
    private static final int LEAST_KEPT = 8;

    /** So often it is looked at whether a line can come next. */
    private static final int MOST_LOOKS = 5_000_000;

    /** Of more lines the ways between all of their ends aren't looked for. */
    private static final int MOST_LINES = 150;

    private final List<Stretch> all;

    /** Of each stretch, sets of stretches of which one each must be stitched before. */
    private final List<List<BitSet>> waits;

    /** From where a stretch ends to where another begins; even numbers as they are, odd ones backwards. */
    private final double[][] costs;

    /**
     * An order as far as it goes.
     *
     * @param before the same without the last; null before the first
     * @param way the last stretch, as it is stitched
     */
    private record Begun(Begun before, int way, BitSet done, double cost) {}

    /** An order with one more. */
    private record More(Begun begun, int way, double cost) {

        BitSet done(int count) {
            BitSet done = begun == null ? new BitSet(count) : (BitSet) begun.done.clone();
            done.set(way / 2);
            return done;
        }
    }

    private Abreast(Stretches stretches, Ditches seams) {
        all = List.copyOf(stretches.all());
        waits = stretches.waits();
        int ways = 2 * all.size();
        costs = new double[ways][ways];
        for (int from = 0; from < ways; from++) {
            for (int to = 0; to < ways; to++) {
                if (from / 2 != to / 2 && isWay(from) && isWay(to)) {
                    costs[from][to] = cost(seams, end(from), start(to));
                }
            }
        }
    }

    /** The order that was found to travel least; nothing if there are too many lines, or some wait for what isn't there. */
    static Optional<List<Stretch>> ordered(Stretches stretches, Ditches seams) {
        int count = stretches.all().size();
        return count == 0 || count > MOST_LINES ? Optional.empty() : new Abreast(stretches, seams).ordered();
    }

    private boolean isWay(int way) {
        return way % 2 == 0 || all.get(way / 2).turns();
    }

    private Point start(int way) {
        Stretch stretch = all.get(way / 2);
        return way % 2 == 0 ? stretch.start() : stretch.startBackwards();
    }

    private Point end(int way) {
        Stretch stretch = all.get(way / 2);
        return way % 2 == 0 ? stretch.end() : stretch.endBackwards();
    }

    private static double cost(Ditches seams, Point from, Point to) {
        return from.distance(to) < Tolerances.SAME_PLACE ? 0 : Math.min(Trails.NEW_START, seams.length(from, to));
    }

    private Optional<List<Stretch>> ordered() {
        int count = all.size();
        int kept = Math.max(LEAST_KEPT, Math.min(MOST_KEPT, MOST_LOOKS / (count * count)));
        int[] layers = all.stream().mapToInt(Stretch::layer).sorted().toArray();
        List<Begun> abreast = new ArrayList<>();
        abreast.add(null);
        for (int layer : layers) {
            List<More> more = new ArrayList<>();
            for (Begun begun : abreast) {
                goOn(begun, layer, more);
            }
            more.sort(Comparator.comparingDouble(More::cost));
            abreast = new ArrayList<>();
            Set<List<Object>> there = new HashSet<>();
            for (More next : more) {
                BitSet done = next.done(count);
                // Of those that come to the same the first travels least.
                if (there.add(List.of(done, next.way()))) {
                    abreast.add(new Begun(next.begun(), next.way(), done, next.cost()));
                }
                if (abreast.size() == kept) {
                    break;
                }
            }
        }
        return abreast.stream().findFirst().map(this::order);
    }

    private void goOn(Begun begun, int layer, List<More> more) {
        BitSet done = begun == null ? new BitSet() : begun.done();
        for (int i = done.nextClearBit(0); i < all.size(); i = done.nextClearBit(i + 1)) {
            if (all.get(i).layer() == layer && isFree(i, done)) {
                for (int way = 2 * i; way <= 2 * i + 1; way++) {
                    if (isWay(way)) {
                        more.add(new More(begun, way, begun == null ? 0 : begun.cost() + costs[begun.way()][way]));
                    }
                }
            }
        }
    }

    private boolean isFree(int stretch, BitSet done) {
        for (BitSet some : waits.get(stretch)) {
            if (!some.intersects(done)) {
                return false;
            }
        }
        return true;
    }

    private List<Stretch> order(Begun last) {
        List<Stretch> order = new ArrayList<>();
        for (Begun begun = last; begun != null; begun = begun.before()) {
            Stretch stretch = all.get(begun.way() / 2);
            order.add(0, begun.way() % 2 == 0 ? stretch : stretch.reversed());
        }
        return order;
    }
}
