package jollyspindle.desktop.model;

import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

import java.util.Set;

/** Which runs of a border a choice is made for. */
public enum Scope {
    /** All sides. */
    ALL,
    /** The side that is looked at, and the one opposite. */
    OPPOSITE,
    /** The side that is looked at. */
    ONE,
    /** The sides that are picked, whichever is looked at. */
    PICKED;

    /**
     * Whether a choice takes a run.
     *
     * @param looked the run that is looked at
     * @param picked sides of its border
     */
    public boolean takes(RunId run, RunId looked, Set<Side> picked) {
        return switch (this) {
            case ALL -> true;
            case OPPOSITE ->
                run.equals(looked)
                        || run.group().equals(looked.group())
                                && run.side().equals(looked.side().map(Side::opposite));
            case ONE -> run.equals(looked);
            case PICKED ->
                run.group().equals(looked.group())
                        && run.side().filter(picked::contains).isPresent();
        };
    }
}
