package jollyspindle.core.diagnostic;

import jollyspindle.core.geometry.Point;

import java.util.Optional;

/**
 * What is the matter with a motif, an area or a template, or what there is to know about it; as numbers, said in words elsewhere.
 * Each of the three has records of its own. One that says nothing else stops what was asked for.
 */
public interface Diagnostic {

    /** How much it matters. */
    enum Weight {
        /** Something that was asked for isn't stitched because of it. */
        STOPS,
        /** It can be done, but something will show or be lost. */
        WARNS,
        /** Good to know. */
        INFORMS
    }

    default Weight weight() {
        return Weight.STOPS;
    }

    /** Whether something that was asked for isn't stitched because of it. */
    default boolean stops() {
        return weight() == Weight.STOPS;
    }

    /** Where it is, in the quilt's frame, if it is in one place. */
    default Optional<Point> where() {
        return Optional.empty();
    }

    /** What keeps nothing from being stitched. */
    interface Warning extends Diagnostic {
        @Override
        default Weight weight() {
            return Weight.WARNS;
        }
    }

    /** What is only good to know. */
    interface Note extends Diagnostic {
        @Override
        default Weight weight() {
            return Weight.INFORMS;
        }
    }
}
