package jollyspindle.core.geometry;

import jollyspindle.core.measure.Tolerances;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.quadtree.Quadtree;

/**
 * Curves by where they are, while more come: whether any of them passes a place, without looking at all. A quadtree (R. A. Finkel and
 * J. L. Bentley, “Quad trees: a data structure for retrieval on composite keys”, Acta Informatica 4, 1974), by JTS.
 */
public final class CurveIndex {

    private final Quadtree tree = new Quadtree();

    /** Takes the curves of a path in. */
    public void add(Path path) {
        for (Curve curve : path.curves()) {
            tree.insert(around(curve.box()), curve);
        }
    }

    /** Whether one of the curves passes a place, no further off than two places that are one. */
    public boolean passes(Point place) {
        for (Object found : tree.query(around(Box.of(place, place)))) {
            if (((Curve) found).passes(place, Tolerances.SAME_PLACE)) {
                return true;
            }
        }
        return false;
    }

    private static Envelope around(Box box) {
        Box wide = box.grown(Tolerances.SAME_PLACE);
        return new Envelope(wide.left(), wide.right(), wide.bottom(), wide.top());
    }
}
