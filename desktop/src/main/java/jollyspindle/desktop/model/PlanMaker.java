package jollyspindle.desktop.model;

import jollyspindle.core.effort.TooManyLinesException;
import jollyspindle.core.plan.Moves;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.desktop.words.Said;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.shelf.ShelfFile;

import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CancellationException;
import java.util.logging.Level;
import java.util.logging.Logger;

/** Makes plans of desks, away from the window: one at a time, and one after the other. */
final class PlanMaker {

    private static final Logger LOG = Logger.getLogger(PlanMaker.class.getName());

    /**
     * What became of a desk.
     *
     * @param desk itself, with what its designs need of the shelf
     * @param moved what lies elsewhere than in the plan that it is to be compared with, if it is
     */
    record Made(UndoState desk, WorkPlan plan, Optional<Moves> moved) {}

    /** Makes the plans that are shown. */
    private final Planner planner = new Planner();

    /** Sees with the whole shelf at hand what a region that is designed takes of it. */
    private final Planner offering = new Planner();

    /** The shelf that was last seen to come back from its file. */
    private Shelf checked;

    /** The shelf whose templates were cut last. */
    private Shelf cut;

    PlanMaker(Shelf shelf) {
        checked = shelf;
    }

    /**
     * Makes the plan of a desk.
     *
     * @param regions whose designs take what they need of the shelf
     * @param checks whether it is to be seen that it comes back from its file
     * @param before the plan it is to be compared with, if it is
     */
    Made make(UndoState desk, Set<RegionId> regions, boolean checks, Optional<WorkPlan> before) throws FileTrouble {
        UndoState all = regions.isEmpty() ? desk : desk.withJob(j -> taking(j, desk.shelf(), regions));
        if (checks) {
            JobFile.check(all.job());
            if (!all.shelf().equals(checked)) {
                ShelfFile.check(all.shelf());
                checked = all.shelf();
            }
        }
        if (all.shelf() != cut) {
            // Cut here, what the window offers of the shelf is only looked up there.
            all.shelf().templates().forEach(Template::arcs);
            cut = all.shelf();
        }
        WorkPlan made = planner.planAgain(all.job());
        return new Made(
                all,
                made.withFindings(
                        Planner.compareWithShelf(all.job(), all.shelf().templates())),
                before.map(from -> Moves.between(from, made)));
    }

    /** A job with copies of the shelf's templates that designs of some regions take, if all of the shelf is at hand. */
    private QuiltJob taking(QuiltJob before, Shelf from, Set<RegionId> regions) {
        Set<String> needed = new TreeSet<>(offering.templatesFor(before.offering(from.templates()), regions));
        for (RegionId region : regions) {
            if (region instanceof RunId run) {
                before.layout(run.group()).design().layers().forEach(layer -> layer.templateId()
                        .ifPresent(needed::add));
            }
        }
        return before.offering(
                from.templates().stream().filter(t -> needed.contains(t.id())).toList());
    }

    static String why(Throwable fault) {
        if (fault instanceof FileTrouble) {
            return fault.getMessage();
        }
        if (fault instanceof TooManyLinesException) {
            return Said.say("refused", "why", fault.getMessage());
        }
        if (fault instanceof CancellationException || fault instanceof InterruptedException) {
            return "Stopped.";
        }
        LOG.log(Level.SEVERE, "planning failed", fault);
        return fault instanceof OutOfMemoryError || fault instanceof StackOverflowError
                ? "That is more than this computer can plan."
                : "That couldn't be planned: something went wrong inside Jolly Spindle.";
    }
}
