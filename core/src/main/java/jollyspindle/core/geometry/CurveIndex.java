package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.quadtree.Quadtree;

import java.util.LinkedHashSet;
import java.util.Set;

/**
 * Curves by where they are, while more come: which of them pass a place, without looking at all. A quadtree (R. A. Finkel and
 * J. L. Bentley, “Quad trees: a data structure for retrieval on composite keys”, Acta Informatica 4, 1974), by JTS.
 *
 * @param <T> what the curves are of
 */
public final class CurveIndex<T> {

    private record Entry<T>(Curve curve, Box box, T of) {

        /** The tree finds more than what lies there, and a box is soon looked at. */
        boolean passes(Point place, double within) {
            return box.grown(within).holds(place) && curve.passes(place, within);
        }
    }

    private final Quadtree tree = new Quadtree();

    /** Takes the curves of a path in, which are of something. */
    public void add(Path path, T of) {
        for (Curve curve : path.curves()) {
            tree.insert(around(curve.box(), Tolerances.SAME_PLACE), new Entry<>(curve, curve.box(), of));
        }
    }

    /** Whether one of the curves passes a place, no further off than two places that are one. */
    public boolean passes(Point place) {
        for (Object found : tree.query(around(Box.of(place, place), Tolerances.SAME_PLACE))) {
            if (((Entry<?>) found).passes(place, Tolerances.SAME_PLACE)) {
                return true;
            }
        }
        return false;
    }

    /** Of what the curves are that pass a place nearer than a distance, in inches. */
    @SuppressWarnings("unchecked")
    public Set<T> passing(Point place, double within) {
        Set<T> passing = new LinkedHashSet<>();
        for (Object found : tree.query(around(Box.of(place, place), within))) {
            Entry<T> entry = (Entry<T>) found;
            if (entry.passes(place, within)) {
                passing.add(entry.of());
            }
        }
        return passing;
    }

    private static Envelope around(Box box, double within) {
        Box wide = box.grown(within);
        return new Envelope(wide.left(), wide.right(), wide.bottom(), wide.top());
    }
}
