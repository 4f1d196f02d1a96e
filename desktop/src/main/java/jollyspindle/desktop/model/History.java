package jollyspindle.desktop.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * What lay on the desk before and after the present, each step with its name.
 *
 * @param undo steps back, the nearest first
 * @param redo steps forward, the nearest first
 */
record History(List<Step> undo, List<Step> redo) {

    private static final int KEPT = 500;

    static final History NONE = new History(List.of(), List.of());

    /**
     * A step.
     *
     * @param desk where it leads
     */
    record Step(String name, UndoState desk) {}

    /** After something more was done; what was undone before is let go. */
    History did(String name, UndoState before) {
        return new History(with(new Step(name, before), undo), List.of());
    }

    Optional<String> undoName() {
        return undo.stream().findFirst().map(Step::name);
    }

    Optional<String> redoName() {
        return redo.stream().findFirst().map(Step::name);
    }

    /** Where a step back leads, and the history there. */
    Optional<UndoState> back() {
        return undo.stream().findFirst().map(Step::desk);
    }

    Optional<UndoState> forward() {
        return redo.stream().findFirst().map(Step::desk);
    }

    /** The history after a step back from the present. */
    History undone(UndoState now) {
        return new History(
                undo.subList(1, undo.size()), with(new Step(undo.get(0).name(), now), redo));
    }

    /** The history after a step forward from the present. */
    History redone(UndoState now) {
        return new History(with(new Step(redo.get(0).name(), now), undo), redo.subList(1, redo.size()));
    }

    /** This history with something to be done again. */
    History withRedo(String name, UndoState desk) {
        return new History(undo, with(new Step(name, desk), redo));
    }

    /** This history with every desk in it changed. */
    History changed(UnaryOperator<UndoState> change) {
        UnaryOperator<Step> each = step -> new Step(step.name(), change.apply(step.desk()));
        return new History(
                undo.stream().map(each).toList(), redo.stream().map(each).toList());
    }

    private static List<Step> with(Step first, List<Step> rest) {
        List<Step> all = new ArrayList<>();
        all.add(first);
        all.addAll(rest.subList(0, Math.min(rest.size(), KEPT - 1)));
        return List.copyOf(all);
    }
}
