package jollyspindle.desktop.model;

import jollyspindle.core.plan.QuiltJob;

import java.util.function.UnaryOperator;

/**
 * One drag: shown at every step, remembered as one when it is let go. It ends when it is kept or dropped, and with anything
 * else that happens to the job meanwhile; then it does nothing more.
 */
public final class Gesture {

    private final JobKeeper keeper;
    private UndoState before;
    private UndoState shown;
    private boolean over;

    Gesture(JobKeeper keeper, UndoState before) {
        this.keeper = keeper;
        this.before = before;
        this.shown = before;
    }

    /** Shows a changed job; each step starts from the job before the first one. What can't be is passed over. */
    public void to(UnaryOperator<QuiltJob> change) {
        if (over) {
            return;
        }
        UndoState next;
        try {
            next = before.withJob(change);
        } catch (IllegalArgumentException e) {
            // It was dragged to where it can't be: what was shown last stays.
            return;
        }
        if (!next.equals(shown)) {
            shown = next;
            keeper.show(this);
        }
    }

    /**
     * Keeps what is shown as one step.
     *
     * @param name what was done, as the undo command tells it
     */
    public void keep(String name) {
        if (!over) {
            over = true;
            keeper.keep(this, name);
        }
    }

    /** Lets go what was shown. */
    public void drop() {
        if (!over) {
            over = true;
            keeper.drop(this);
        }
    }

    /** Adds to what the drag started from, and to what it shows. */
    void add(UnaryOperator<QuiltJob> more) {
        before = before.withJob(more);
        shown = shown.withJob(more);
    }

    /** It has come to nothing: something else happened to the job. */
    void end() {
        over = true;
    }

    public boolean isOver() {
        return over;
    }

    UndoState before() {
        return before;
    }

    UndoState shown() {
        return shown;
    }
}
