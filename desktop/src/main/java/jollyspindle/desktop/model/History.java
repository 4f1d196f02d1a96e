package jollyspindle.desktop.model;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** What lay on the desk before and after the present, each step with its name. */
final class History {

    private static final int KEPT = 500;

    private record Step(String name, Desk desk) {}

    private final Deque<Step> undo = new ArrayDeque<>();
    private final Deque<Step> redo = new ArrayDeque<>();

    void did(String name, Desk before) {
        undo.push(new Step(name, before));
        redo.clear();
        if (undo.size() > KEPT) {
            undo.removeLast();
        }
    }

    Optional<String> undoName() {
        return Optional.ofNullable(undo.peek()).map(Step::name);
    }

    Optional<String> redoName() {
        return Optional.ofNullable(redo.peek()).map(Step::name);
    }

    Optional<Desk> undo(Desk now) {
        return step(undo, redo, now);
    }

    Optional<Desk> redo(Desk now) {
        return step(redo, undo, now);
    }

    private static Optional<Desk> step(Deque<Step> from, Deque<Step> to, Desk now) {
        if (from.isEmpty()) {
            return Optional.empty();
        }
        Step step = from.pop();
        to.push(new Step(step.name(), now));
        return Optional.of(step.desk());
    }

    void clear() {
        undo.clear();
        redo.clear();
    }
}
