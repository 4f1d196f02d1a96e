package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.text.Guards;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;

/**
 * Where the middle of a round thing goes that is pushed along an edge and stays in touch with it: the needle, in the middle
 * of its foot.
 *
 * <p>Exact for lines and arcs: a line's offset is a line, an arc's is an arc, and round an outside corner the middle goes
 * on an arc about the corner. Where the thing is too big to get in, the middle goes where it gets stuck, so that what
 * comes back is at the given distance from the edge everywhere, and never nearer.
 *
 * <p>Method: all offsets and corner arcs are cut where they cross; the pieces that come too near to any part of the edge
 * are dropped, and the rest is strung together. Time grows with the square of the number of curves.
 */
public final class Offsets {

    private static final double TOO_NEAR = 1e-7;

    /** A turn of this many radians is slight. */
    private static final double SLIGHT = 0.02;

    private Offsets() {}

    /**
     * The offset of an edge.
     *
     * @param edge open or closed; it must not cross itself
     * @param left whether the thing is on the left of the edge, seen in its direction of travel
     * @param distance the thing's radius in inches, at least 0
     * @return in the edge's direction of travel, the longest first; empty if the thing can touch the edge nowhere
     */
    public static List<Path> follow(Path edge, boolean left, double distance) {
        Guards.atLeast("offset", distance, 0);
        if (distance == 0) {
            return List.of(edge);
        }
        List<Curve> raw = raw(edge, left ? distance : -distance);
        List<Box> boxes =
                raw.stream().map(c -> c.box().grown(Tolerances.ROUNDING)).toList();
        List<Box> near =
                edge.curves().stream().map(c -> c.box().grown(distance)).toList();
        List<Curve> kept = new ArrayList<>();
        for (int i = 0; i < raw.size(); i++) {
            for (Curve piece : cut(raw, boxes, i)) {
                if (clears(piece.at(0.5), edge, near, distance)) {
                    kept.add(piece);
                }
            }
        }
        return strung(kept).stream()
                .sorted(Comparator.comparingDouble(Path::length).reversed())
                .toList();
    }

    /** Every curve shifted to its left by itself, with arcs round outside corners. */
    private static List<Curve> raw(Path edge, double leftward) {
        List<Curve> curves = edge.curves().stream()
                .filter(c -> c.length() > Tolerances.ROUNDING)
                .toList();
        int count = curves.size();
        List<Curve> shifted =
                new ArrayList<>(curves.stream().map(c -> shifted(c, leftward)).toList());
        List<Curve> corners = new ArrayList<>();
        for (int i = 0; i < (edge.closed() ? count : count - 1); i++) {
            int next = (i + 1) % count;
            Point in = curves.get(i).direction(1);
            Point out = curves.get(next).direction(0);
            double turn = Math.atan2(in.cross(out), in.dot(out));
            if (turn * leftward < 0 && Math.abs(turn) > Tolerances.ROUNDING) {
                // The edge turns away from the thing, which goes round the corner.
                Point from = in.turnedLeft().times(leftward);
                corners.add(new Arc(curves.get(i).end(), Math.abs(leftward), from.angle(), turn));
            } else if (Math.abs(turn) < SLIGHT && next != i) {
                meet(shifted, i, next, 2 * Math.abs(leftward * turn));
            }
        }
        return Stream.concat(shifted.stream(), corners.stream())
                .filter(Objects::nonNull)
                .toList();
    }

    private static Curve shifted(Curve c, double leftward) {
        if (c instanceof Arc arc) {
            double radius = arc.radius() - Math.signum(arc.sweep()) * leftward;
            return radius > Tolerances.ROUNDING ? new Arc(arc.centre(), radius, arc.startAngle(), arc.sweep()) : null;
        }
        Point by = c.direction(0).turnedLeft().times(leftward);
        return new Segment(c.start().plus(by), c.end().plus(by));
    }

    /**
     * Two neighbours that turn but slightly towards the thing are cut off where they meet. What they'd run beyond it comes
     * too near by less than can be told, and would be kept otherwise.
     *
     * @param near how far from their ends that can be
     */
    private static void meet(List<Curve> shifted, int first, int second, double near) {
        Curve a = shifted.get(first);
        Curve b = shifted.get(second);
        if (a == null || b == null) {
            return;
        }
        for (Crossings.Crossing c : Crossings.of(a, b)) {
            Point at = a.at(c.onFirst());
            if (at.distance(a.end()) <= near && at.distance(b.start()) <= near) {
                shifted.set(first, a.piece(0, c.onFirst()));
                shifted.set(second, b.piece(c.onSecond(), 1));
                return;
            }
        }
    }

    /** A curve cut where others cross it. */
    private static List<Curve> cut(List<Curve> all, List<Box> boxes, int index) {
        Curve c = all.get(index);
        List<Double> parts = new ArrayList<>(List.of(0.0, 1.0));
        for (int j = 0; j < all.size(); j++) {
            if (j != index && boxes.get(index).meets(boxes.get(j))) {
                Crossings.of(c, all.get(j)).forEach(x -> parts.add(x.onFirst()));
            }
        }
        parts.sort(null);
        List<Curve> pieces = new ArrayList<>();
        double from = 0;
        for (double to : parts) {
            if ((to - from) * c.length() > Tolerances.ROUNDING) {
                pieces.add(from == 0 && to == 1 ? c : c.piece(from, to));
                from = to;
            }
        }
        return pieces;
    }

    private static boolean clears(Point p, Path edge, List<Box> near, double distance) {
        for (int i = 0; i < near.size(); i++) {
            if (near.get(i).holds(p) && edge.curves().get(i).distance(p) < distance - TOO_NEAR) {
                return false;
            }
        }
        return true;
    }

    private static List<Path> strung(List<Curve> pieces) {
        List<Path> paths = new ArrayList<>();
        // Pieces mostly come in order: what is taken near the front costs next to nothing.
        Deque<Curve> left = new ArrayDeque<>(pieces);
        while (!left.isEmpty()) {
            Deque<Curve> chain = new ArrayDeque<>(List.of(left.removeFirst()));
            boolean grown = true;
            while (grown) {
                grown = false;
                for (var it = left.iterator(); it.hasNext(); ) {
                    Curve next = it.next();
                    if (next.start().distance(chain.getLast().end()) <= Tolerances.SAME_PLACE) {
                        chain.addLast(next);
                    } else if (next.end().distance(chain.getFirst().start()) <= Tolerances.SAME_PLACE) {
                        chain.addFirst(next);
                    } else {
                        continue;
                    }
                    it.remove();
                    grown = true;
                    break;
                }
            }
            paths.add(new Path(List.copyOf(chain)));
        }
        return paths;
    }
}
