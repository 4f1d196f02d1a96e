package jollyspindle.desktop.model;

import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

/** Which runs of a border a choice is made for. */
public enum Scope {
    /** All sides. */
    ALL,
    /** The side that is looked at, and the one opposite. */
    OPPOSITE,
    /** The side that is looked at. */
    ONE;

    boolean takes(RunId run, RunId looked) {
        return switch (this) {
            case ALL -> true;
            case OPPOSITE ->
                run.equals(looked)
                        || run.group().equals(looked.group())
                                && run.side().equals(looked.side().map(Side::opposite));
            case ONE -> run.equals(looked);
        };
    }
}
