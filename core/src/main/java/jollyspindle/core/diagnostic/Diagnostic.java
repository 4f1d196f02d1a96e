package jollyspindle.core.diagnostic;

import jollyspindle.core.geometry.Point;

import java.util.Optional;

/**
 * What is the matter with a motif, an area or a template, or what there is to know about it; as numbers, said in words elsewhere.
 * Each of the three has records of its own.
 */
public interface Diagnostic {

    /** Whether something that was asked for isn't stitched because of it. */
    boolean stops();

    /** Where it is, in the quilt's frame, if it is in one place. */
    default Optional<Point> where() {
        return Optional.empty();
    }
}
