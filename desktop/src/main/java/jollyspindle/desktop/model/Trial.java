package jollyspindle.desktop.model;

import jollyspindle.core.effort.TooManyLinesException;

import java.util.Optional;
import java.util.function.UnaryOperator;

/** An edit that is only tried: what it would be too much for, if for anything. */
final class Trial {

    private Optional<String> tooMuch = Optional.empty();

    void run(UndoState from, UnaryOperator<UndoState> change) {
        try {
            UndoState unused = change.apply(from);
        } catch (TooManyLinesException e) {
            tooMuch = Optional.of(e.getMessage());
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            // That it can't be at all is told when it is done.
            tooMuch = Optional.empty();
        }
    }

    /** Why it would be too much to plan, if it would. */
    Optional<String> tooMuch() {
        return tooMuch;
    }
}
