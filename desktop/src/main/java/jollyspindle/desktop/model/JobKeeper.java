package jollyspindle.desktop.model;

import jollyspindle.core.plan.Moves;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.files.FileStamp;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;

/**
 * Keeps what the quilter has made of the job, and has it planned: each change is taken at once and its plan wished for, what can't
 * be planned or kept in a file is taken back and told, and a drag is shown without being kept.
 */
final class JobKeeper {

    private final Workbench bench;
    private final ReadOnlyObjectWrapper<Shelf> shelf = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<WorkPlan> plan = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty saved = new SimpleBooleanProperty(true);
    private final ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();
    private final ReadOnlyBooleanWrapper catchingUp = new ReadOnlyBooleanWrapper();
    private final ReadOnlyObjectWrapper<Moves> moved = new ReadOnlyObjectWrapper<>();
    private final PlanMaker maker;
    private final Planning planning;

    /** What the quilter has made of it. */
    private Table now;

    /** What of that the last good plan is of. */
    private Table planned;

    /** That plan; what is shown may be a drag's. */
    private WorkPlan good;

    /** The job as it is shown, what is dragged included. */
    private QuiltJob job;

    private Gesture gesture;
    private long wished;

    /** What was wished for last; none while something is dragged. */
    private Table wishedFor;

    /** Another job as it was opened, which is known to come back from its file. */
    private Table laid;

    private boolean otherJob;
    private final List<Consumer<WorkPlan>> waiting = new ArrayList<>();
    private final Set<RegionId> taking = new LinkedHashSet<>();
    private WorkPlan movedFrom;
    private Consumer<String> trouble = text -> {};

    JobKeeper(Workbench bench, Planning planning, UndoState begun) {
        this.bench = bench;
        this.planning = planning;
        maker = new PlanMaker(begun.shelf());
        now = Table.begun(begun);
        planned = now;
        good = Planner.plan(begun.job());
        plan.set(good);
    }

    Table now() {
        return now;
    }

    /** The job as it is shown, what is dragged included. */
    QuiltJob job() {
        return job;
    }

    /** Whether another job is about to be shown, and only its plan is waited for. */
    boolean isOpening() {
        return otherJob;
    }

    /** Says who tells the quilter what was taken back, and why. */
    void setOnTrouble(Consumer<String> tell) {
        trouble = tell;
    }

    /** Tells what can't be; nothing is changed by it. */
    void refuse(String why) {
        trouble.accept(why);
        // The same plan once more, for those who show what was typed.
        show(plan.get().withFindings(List.of()));
    }

    /** Takes the next plan's templates for a region's design from the whole shelf. */
    void taking(RegionId region) {
        taking.add(region);
    }

    /** Lets go what was to be taken for a change that changed nothing. */
    void takeNothing() {
        if (!catchingUp.get()) {
            taking.clear();
        }
    }

    /**
     * Does something to the job, and tells what that moves on the cloth as soon as it is planned.
     *
     * @param change whether there was one
     */
    void tellingMoves(BooleanSupplier change) {
        WorkPlan before = movedFrom;
        if (movedFrom == null) {
            movedFrom = plan.get();
        }
        if (!change.getAsBoolean()) {
            movedFrom = before;
        }
    }

    /** After the job was written to a file. */
    void saved(Path path, FileStamp written) {
        boolean wishedAsItIs = wishedFor == now;
        now = now.savedTo(path, written);
        if (wishedAsItIs) {
            wishedFor = now;
        }
        if (!otherJob) {
            // Should what is being planned be taken back, the file is still this one.
            planned = planned == now
                    ? now
                    : new Table(planned.desk(), now.file(), now.stamp(), now.unknown(), now.saved(), planned.history());
        }
        publish();
    }

    /** Lays all of another job on the table. */
    void lay(Table other) {
        otherJob = true;
        taking.clear();
        movedFrom = null;
        laid = other;
        go(other);
    }

    /** Takes another state of the table, and wishes for its plan. */
    void go(Table next) {
        if (gesture != null) {
            gesture.end();
            gesture = null;
        }
        now = next;
        if (!otherJob) {
            publish();
        }
        wish();
    }

    /** Tells what doesn't wait for the plan. Another job does: all of it is shown at once, or none. */
    void publish() {
        follow();
        changes.set(changes.get() + 1);
    }

    private void follow() {
        UndoState desk = gesture == null ? now.desk() : gesture.shown();
        bench.selection().follow(desk.job());
        bench.areas().follow(desk.job());
        shelf.set(desk.shelf());
        file.set(now.file().orElse(null));
        saved.set(gesture == null && now.isSaved());
        job = desk.job();
    }

    private void wish() {
        Gesture during = gesture;
        UndoState desk = during == null ? now.desk() : during.shown();
        Set<RegionId> regions = during == null ? Set.copyOf(taking) : Set.of();
        boolean checks = during == null && now != laid;
        Optional<WorkPlan> compared = during == null ? Optional.ofNullable(movedFrom) : Optional.empty();
        long number = ++wished;
        wishedFor = during == null ? now : null;
        catchingUp.set(true);
        planning.wish(
                () -> maker.make(desk, regions, checks, compared),
                made -> deliver(number, made, during),
                fault -> failed(number, fault, during));
    }

    private void deliver(long number, PlanMaker.Made made, Gesture during) {
        boolean newest = number == wished;
        if (during == null ? !newest : during != gesture) {
            return;
        }
        if (newest) {
            catchingUp.set(false);
        }
        boolean tells = false;
        if (during == null) {
            taking.clear();
            tells = otherJob || !made.desk().equals(now.desk());
            otherJob = false;
            now = now.with(made.desk());
            planned = now;
            good = made.plan();
            wishedFor = now;
            if (gesture != null) {
                // It began before the templates were known that the last change takes.
                List<Template> taken = made.desk().job().templates();
                gesture.add(job -> job.offering(taken));
            }
            if (tells) {
                follow();
            }
        }
        show(made.plan());
        if (tells) {
            changes.set(changes.get() + 1);
        }
        if (during == null && movedFrom != null) {
            movedFrom = null;
            made.moved().ifPresent(moved::set);
        }
        if (!catchingUp.get()) {
            List<Consumer<WorkPlan>> all = List.copyOf(waiting);
            waiting.clear();
            all.forEach(then -> then.accept(made.plan()));
        }
    }

    private void show(WorkPlan next) {
        Consumer<WorkPlan> resume = bench.selection().suspend();
        bench.areas().follow(next);
        plan.set(next);
        resume.accept(next);
    }

    void show(Gesture dragged) {
        if (dragged == gesture) {
            publish();
            wish();
        }
    }

    /** Goes back to what the last good plan is of, and says why. */
    private void failed(long number, Throwable fault, Gesture during) {
        if (number != wished || during != null && during != gesture) {
            return;
        }
        catchingUp.set(false);
        if (gesture != null) {
            gesture.end();
            gesture = null;
        }
        boolean opened = otherJob;
        // Only what was dragged is taken back then; what it was dragged from may still have to be planned.
        boolean stays = during != null && now != planned;
        if (!stays) {
            String name = now.history().undoName().orElse("");
            now = opened || now == planned
                    ? planned
                    : planned.with(planned.desk(), planned.history().withRedo(name, now.desk()));
            wishedFor = now;
            otherJob = false;
            taking.clear();
            waiting.clear();
            movedFrom = null;
        }
        publish();
        // The same plan once more, for those who show what was typed.
        show(good.withFindings(List.of()));
        trouble.accept(
                PlanMaker.why(fault) + (opened ? " The job that was here before still is." : " It was taken back."));
        if (stays) {
            wish();
        }
    }

    /** Stops the plan that is being made; what was changed for it is taken back, and can be redone. */
    void stopPlanning() {
        planning.stop();
    }

    /** Hands over the plan of what was wished for last, as soon as it is there. */
    void whenPlanned(Consumer<WorkPlan> then) {
        dropGesture();
        if (catchingUp.get()) {
            waiting.add(then);
        } else {
            then.accept(plan.get());
        }
    }

    /** Begins a drag. One that was going on ends, and what it showed is let go. While another job is opened, there is none. */
    Gesture begin() {
        dropGesture();
        Gesture begun = new Gesture(this, now.desk());
        if (otherJob) {
            // What would be dragged isn't of the job that is about to be shown.
            begun.end();
        } else {
            gesture = begun;
        }
        return begun;
    }

    boolean isDragging() {
        return gesture != null;
    }

    /** Ends a drag that is going on, if one is; what it showed is let go. */
    void dropGesture() {
        if (gesture != null) {
            gesture.drop();
        }
    }

    void keep(Gesture dragged, String name) {
        if (dragged == gesture) {
            gesture = null;
            if (dragged.shown().equals(dragged.before())) {
                drop(dragged);
            } else {
                go(now.did(name, dragged.shown()));
            }
        }
    }

    void drop(Gesture dragged) {
        if (gesture == dragged) {
            gesture = null;
        }
        publish();
        if (wishedFor != now) {
            wish();
        }
    }

    /** Whether what is shown is a preview, which isn't remembered yet. */
    boolean isPreviewing() {
        return gesture != null && !gesture.shown().equals(gesture.before());
    }

    ReadOnlyObjectWrapper<Shelf> shelfProperty() {
        return shelf;
    }

    ReadOnlyObjectWrapper<WorkPlan> planProperty() {
        return plan;
    }

    ReadOnlyObjectWrapper<Path> fileProperty() {
        return file;
    }

    BooleanProperty savedProperty() {
        return saved;
    }

    ReadOnlyLongWrapper changesProperty() {
        return changes;
    }

    ReadOnlyBooleanWrapper catchingUpProperty() {
        return catchingUp;
    }

    ReadOnlyObjectWrapper<Moves> movedProperty() {
        return moved;
    }
}
