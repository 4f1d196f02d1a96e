package jollyspindle.core.route;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.StitchLine;

import java.util.List;

/**
 * Lines that have to be stitched right after each other, mostly but one.
 *
 * @param lines in their order
 * @param turns whether they may be stitched backwards just as well
 */
record Stretch(List<StitchLine> lines, boolean turns) {

    Point start() {
        return lines.get(0).path().start();
    }

    Point end() {
        return lines.get(lines.size() - 1).needleAt();
    }

    /** Where it would begin backwards. */
    Point startBackwards() {
        return lines.get(lines.size() - 1).path().end();
    }

    /** Where the needle would be after it, backwards. */
    Point endBackwards() {
        return returns() ? startBackwards() : start();
    }

    /** Whether the needle ends where it began. */
    boolean returns() {
        return lines.size() == 1 && lines.get(0).returns();
    }

    int layer() {
        return lines.get(0).layer();
    }

    /** The same backwards. */
    Stretch reversed() {
        return new Stretch(List.of(lines.get(0).reversed()), true);
    }
}
