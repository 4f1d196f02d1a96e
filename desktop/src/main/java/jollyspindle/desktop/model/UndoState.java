package jollyspindle.desktop.model;

import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;

import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * All that the quilter changes, and can undo: the job and the shelf beside it.
 *
 * @param job on the table
 * @param shelf of the quilter
 */
record UndoState(QuiltJob job, Shelf shelf) {

    UndoState withJob(UnaryOperator<QuiltJob> change) {
        return new UndoState(change.apply(job), shelf);
    }

    /** With another shelf. The job's copies that were like the shelf's go along; those that already differed stay. */
    UndoState withShelf(UnaryOperator<Shelf> change) {
        Shelf next = change.apply(shelf);
        QuiltJob follows = job;
        for (Template copy : job.templates()) {
            Optional<Template> before = shelf.template(copy.id());
            Optional<Template> after = next.template(copy.id());
            if (before.isPresent() && after.isPresent() && before.get().worksLike(copy)) {
                follows = follows.withTemplate(after.get());
            }
        }
        return new UndoState(follows, next);
    }

    /** With another foot, on the job and for the jobs to come. */
    UndoState withMachine(UnaryOperator<Machine> change) {
        Machine next = change.apply(job.machine());
        return new UndoState(job.withMachine(next), shelf.withMachine(next));
    }
}
