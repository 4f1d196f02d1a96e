package jollyspindle.core.geometry;

/** A curve given by a formula in one number, which neither lines nor arcs draw exactly. */
public interface FreeCurve {

    /**
     * The place for a number.
     *
     * @param t from 0 to 1
     */
    Point at(double t);

    /**
     * How the place changes with the number; not the zero vector, except perhaps at single numbers.
     *
     * @param t from 0 to 1
     */
    Point derivative(double t);
}
