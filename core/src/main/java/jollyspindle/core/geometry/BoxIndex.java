package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/**
 * Boxes by where they are: which of many lie near a place, without looking at all of them. After S. T. Leutenegger, M. A. Lopez
 * and J. Edgington, “STR: a simple and efficient algorithm for R-tree packing”, ICDE 1997, by JTS: asking takes O(log n + k) for
 * k boxes found.
 */
public final class BoxIndex {

    /** So few are looked at one by one, which is quicker. */
    private static final int FEW = 12;

    /** What is no further off than this, in inches, may be touched. */
    private static final double NEAR = Tolerances.SAME_PLACE;

    private final List<Box> boxes;
    private final STRtree tree;

    /** An index of boxes, which are told by their places in the list. */
    public BoxIndex(List<Box> boxes) {
        this.boxes = List.copyOf(boxes);
        if (boxes.size() <= FEW) {
            tree = null;
            return;
        }
        tree = new STRtree();
        for (int i = 0; i < boxes.size(); i++) {
            tree.insert(envelope(boxes.get(i)), i);
        }
        tree.build();
    }

    private static Envelope envelope(Box box) {
        return new Envelope(box.left(), box.right(), box.bottom(), box.top());
    }

    /** The boxes that meet another, in the list's order. */
    public int[] meeting(Box box) {
        if (tree == null) {
            return IntStream.range(0, boxes.size())
                    .filter(i -> boxes.get(i).meets(box))
                    .toArray();
        }
        return found(box, i -> boxes.get(i).meets(box));
    }

    /** The boxes that a curve may reach into, in the list's order. Of a long slanting line these are few of those that its own box meets. */
    public int[] along(Curve curve) {
        // As near as Crossings look for what touches.
        Box box = curve.box().grown(Tolerances.ROUNDING);
        IntPredicate reached = curve instanceof Segment line
                ? i -> boxes.get(i).meets(box) && !boxes.get(i).isBeside(line, NEAR)
                : i -> boxes.get(i).meets(box);
        return tree == null ? IntStream.range(0, boxes.size()).filter(reached).toArray() : found(box, reached);
    }

    private int[] found(Box box, IntPredicate wanted) {
        List<Integer> found = new ArrayList<>();
        tree.query(envelope(box), i -> {
            if (wanted.test((Integer) i)) {
                found.add((Integer) i);
            }
        });
        return found.stream().mapToInt(i -> i).sorted().toArray();
    }

    /** The boxes that hold a place, in the list's order. */
    public int[] holding(Point place) {
        return meeting(Box.of(place, place));
    }
}
