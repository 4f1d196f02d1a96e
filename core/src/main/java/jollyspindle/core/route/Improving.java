package jollyspindle.core.route;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Predicate;

/**
 * Shortens the travel of an order: first every line is stitched from the end that suits best (by dynamic programming over both), then
 * pieces of the order are turned round and moved as long as that helps (2-opt, G. A. Croes, Operations Research 6, 1958; Or-opt,
 * I. Or, 1976, from memory).
 */
final class Improving {

    /** Of more stretches only the ends are chosen. */
    private static final int MOST_MOVED = 50;

    /** More than any travel. */
    private static final double BEGINS_ELSEWHERE = 1e9;

    /** So often all pieces are looked at, at most. */
    private static final int MOST_ROUNDS = 12;

    /** Pieces of so many stretches are moved. */
    private static final int LONGEST_MOVED = 3;

    private final Ditches ways;
    private final Stretches stretches;

    /**
     * For some lines.
     *
     * @param ways that can be travelled once all is stitched
     */
    Improving(Ditches ways, Stretches stretches) {
        this.ways = ways;
        this.stretches = stretches;
    }

    private double cost(Stretch before, Stretch next) {
        return cost(before.end(), next.start());
    }

    /** From where a line ends to where another starts, once all is stitched. */
    private double cost(Point from, Point to) {
        if (from.distance(to) < Tolerances.SAME_PLACE) {
            return 0;
        }
        return ways.isBlind(to) ? Trails.NEW_START : Math.min(Trails.NEW_START, ways.length(from, to));
    }

    /** The same, where few are asked for. */
    private double costOfFew(Stretch before, Stretch next) {
        Point from = before.end();
        Point to = next.start();
        if (from.distance(to) < Tolerances.SAME_PLACE) {
            return 0;
        }
        return ways.isBlind(to)
                ? Trails.NEW_START
                : ways.between(from, to).map(found -> found.path().length()).orElse(Trails.NEW_START);
    }

    /**
     * The same order with each line stitched from the end that makes the travel shortest.
     *
     * @param begins whether the first line may begin at a place; where it may at neither end, it begins at any
     */
    List<Stretch> turned(List<Stretch> order, Predicate<Point> begins) {
        int n = order.size();
        double[][] least = new double[n][2];
        int[][] before = new int[n][2];
        for (int way = 0; way < 2; way++) {
            if (allowed(order.get(0), way)
                    && !begins.test(way(order.get(0), way).start())) {
                least[0][way] = BEGINS_ELSEWHERE;
            }
        }
        for (int i = 1; i < n; i++) {
            for (int way = 0; way < 2; way++) {
                least[i][way] = Double.MAX_VALUE;
                for (int was = 0; was < 2; was++) {
                    if (allowed(order.get(i), way) && allowed(order.get(i - 1), was)) {
                        double all = least[i - 1][was] + costOfFew(way(order.get(i - 1), was), way(order.get(i), way));
                        if (all < least[i][way]) {
                            least[i][way] = all;
                            before[i][way] = was;
                        }
                    }
                }
            }
        }
        int way = allowed(order.get(n - 1), 1) && least[n - 1][1] < least[n - 1][0] ? 1 : 0;
        List<Stretch> turned = new ArrayList<>();
        for (int i = n - 1; i >= 0; i--) {
            turned.add(way(order.get(i), way));
            way = before[i][way];
        }
        Collections.reverse(turned);
        return turned;
    }

    private static boolean allowed(Stretch stretch, int way) {
        return way == 0 || stretch.turns();
    }

    private static Stretch way(Stretch stretch, int way) {
        return way == 0 ? stretch : stretch.reversed();
    }

    /** An order with less travel, as far as turning pieces round and moving them finds one. */
    List<Stretch> improved(List<Stretch> from) {
        List<Stretch> order = new ArrayList<>(from);
        if (order.size() > MOST_MOVED) {
            return order;
        }
        boolean better = true;
        for (int round = 0; better && round < MOST_ROUNDS; round++) {
            better = false;
            for (int i = 0; i < order.size(); i++) {
                for (int k = i; k < order.size(); k++) {
                    better |= turn(order, i, k) || k - i < LONGEST_MOVED && move(order, i, k);
                }
            }
        }
        return order;
    }

    /** The cost of what comes before a place in an order. */
    private double into(List<Stretch> order, int i) {
        return i <= 0 || i >= order.size() ? 0 : cost(order.get(i - 1), order.get(i));
    }

    private boolean turn(List<Stretch> order, int i, int k) {
        double was = into(order, i) + into(order, k + 1);
        if (was < Tolerances.SAME_PLACE || !turns(order.subList(i, k + 1))) {
            return false;
        }
        double then = (i == 0 ? 0 : cost(order.get(i - 1).end(), order.get(k).startBackwards()))
                + (k + 1 == order.size()
                        ? 0
                        : cost(order.get(i).endBackwards(), order.get(k + 1).start()));
        if (then > was - Tolerances.SAME_PLACE) {
            return false;
        }
        List<Stretch> other = new ArrayList<>(order.subList(0, i));
        for (int m = k; m >= i; m--) {
            other.add(order.get(m).reversed());
        }
        other.addAll(order.subList(k + 1, order.size()));
        return taken(order, other);
    }

    private boolean move(List<Stretch> order, int i, int k) {
        double gone = into(order, i) + into(order, k + 1);
        if (gone < Tolerances.SAME_PLACE) {
            return false;
        }
        double closed = i == 0 || k + 1 == order.size() ? 0 : cost(order.get(i - 1), order.get(k + 1));
        boolean turns = turns(order.subList(i, k + 1));
        for (int to = 0; to <= order.size(); to++) {
            if (to >= i && to <= k + 1) {
                continue;
            }
            double opened = into(order, to);
            double asIs = closed
                    + joined(order, to, order.get(i).start(), order.get(k).end());
            double back = turns
                    ? closed
                            + joined(
                                    order,
                                    to,
                                    order.get(k).startBackwards(),
                                    order.get(i).endBackwards())
                    : Double.MAX_VALUE;
            if (Math.min(asIs, back) < gone + opened - Tolerances.SAME_PLACE) {
                List<Stretch> piece =
                        back < asIs ? turnedRound(order.subList(i, k + 1)) : List.copyOf(order.subList(i, k + 1));
                List<Stretch> other = new ArrayList<>(order.subList(0, Math.min(i, to)));
                if (to < i) {
                    other.addAll(piece);
                    other.addAll(order.subList(to, i));
                } else {
                    other.addAll(order.subList(k + 1, to));
                    other.addAll(piece);
                }
                other.addAll(order.subList(Math.max(k + 1, to), order.size()));
                if (taken(order, other)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether a piece may be turned round, and the travel within stays as it is: it doesn't from ends that are come back to. */
    private static boolean turns(List<Stretch> piece) {
        return piece.stream().allMatch(Stretch::turns)
                && (piece.size() == 1 || piece.stream().noneMatch(Stretch::returns));
    }

    private static List<Stretch> turnedRound(List<Stretch> piece) {
        List<Stretch> back = new ArrayList<>();
        piece.forEach(s -> back.add(0, s.reversed()));
        return back;
    }

    /** What it costs to put a piece that begins and ends somewhere in a place of an order. */
    private double joined(List<Stretch> order, int to, Point start, Point end) {
        return (to == 0 ? 0 : cost(order.get(to - 1).end(), start))
                + (to == order.size() ? 0 : cost(end, order.get(to).start()));
    }

    private boolean taken(List<Stretch> order, List<Stretch> other) {
        if (!stretches.isAllowed(other)) {
            return false;
        }
        order.clear();
        order.addAll(other);
        return true;
    }
}
