package jollyspindle.desktop.model;

import jollyspindle.core.code.Coded;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

import java.util.Set;

/** Which runs of a border a choice is made for. */
public enum Scope implements Coded {
    /** All sides. */
    ALL("all"),
    /** The side that is looked at, and the one opposite. */
    OPPOSITE("opposite"),
    /** The side that is looked at. */
    ONE("one"),
    /** The sides that are picked, whichever is looked at. */
    PICKED("picked");

    private final String code;

    Scope(String code) {
        this.code = code;
    }

    @Override
    public String code() {
        return code;
    }

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
