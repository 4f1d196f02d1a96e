package jollyspindle.desktop.model;

import jollyspindle.core.plan.QuiltJob;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/** The jobs before and after the present one, each step with its name. */
final class History {

    private static final int KEPT = 500;

    private record Step(String name, QuiltJob job) {}

    private final Deque<Step> undo = new ArrayDeque<>();
    private final Deque<Step> redo = new ArrayDeque<>();

    void did(String name, QuiltJob before) {
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

    Optional<QuiltJob> undo(QuiltJob now) {
        return step(undo, redo, now);
    }

    Optional<QuiltJob> redo(QuiltJob now) {
        return step(redo, undo, now);
    }

    private static Optional<QuiltJob> step(Deque<Step> from, Deque<Step> to, QuiltJob now) {
        if (from.isEmpty()) {
            return Optional.empty();
        }
        Step step = from.pop();
        to.push(new Step(step.name(), now));
        return Optional.of(step.job());
    }

    void clear() {
        undo.clear();
        redo.clear();
    }
}
