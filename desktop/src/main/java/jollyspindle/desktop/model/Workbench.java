package jollyspindle.desktop.model;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.effort.TooManyLinesException;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.plan.GroupPlan;
import jollyspindle.core.plan.Moves;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RunLayout;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RegionId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileStamp;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;
import jollyspindle.files.shelf.ShelfFile;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.CancellationException;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.logging.Level;
import java.util.logging.Logger;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyLongWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.ObservableSet;

/**
 * The job on the table. Every change goes through {@link #edit}, which takes it at once and wishes for its plan; all views of
 * what is planned follow {@link #planProperty}, which may lag behind, and shows one plan, whole, of one job. What can't be
 * planned or kept in a file is taken back and told, and the last good plan stands.
 */
public final class Workbench {

    /** More candidates have no room side by side. */
    public static final int MOST_COMPARED = 3;

    private static final Logger LOG = Logger.getLogger(Workbench.class.getName());

    /** What became of a desk: itself, with what its designs need of the shelf, and its plan. */
    private record Made(UndoState desk, WorkPlan plan) {}

    private final ReadOnlyObjectWrapper<Shelf> shelf = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<WorkPlan> plan = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty saved = new SimpleBooleanProperty(true);
    private final ReadOnlyLongWrapper changes = new ReadOnlyLongWrapper();
    private final ReadOnlyBooleanWrapper catchingUp = new ReadOnlyBooleanWrapper();
    private final ObjectProperty<WorkStage> stage = new SimpleObjectProperty<>(WorkStage.MEASURE);
    private final ObjectProperty<RunId> where = new SimpleObjectProperty<>(RunId.of(Side.TOP));
    private final ObjectProperty<Zero> zero = new SimpleObjectProperty<>(Zero.LEFT);
    private final ObjectProperty<Mark> zeroMark = new SimpleObjectProperty<>();
    private final ObjectProperty<Scope> scope = new SimpleObjectProperty<>(Scope.ALL);
    private final ObservableSet<Side> picked = FXCollections.observableSet(EnumSet.noneOf(Side.class));
    private final ReadOnlyObjectWrapper<Moves> moved = new ReadOnlyObjectWrapper<>();
    private final ObservableList<Map<RunId, School>> compared = FXCollections.observableArrayList();
    private final BooleanProperty comparing = new SimpleBooleanProperty();
    private final ObjectProperty<Mark> pointed = new SimpleObjectProperty<>();
    private final ObjectProperty<Placement> placement = new SimpleObjectProperty<>();
    private final AreaSelection areas = new AreaSelection(this);
    private final Planning planning;

    /** Used only where plans are made. */
    private final Planner planner = new Planner();

    /** Sees with the whole shelf at hand what a region that is designed takes of it; used only where plans are made. */
    private final Planner offering = new Planner();

    /** The shelf that was last seen to come back from its file; used only where plans are made. */
    private Shelf checked;

    /** What the quilter has made of it, and what of that the last good plan is of. */
    private Table now;

    private Table planned;

    /** The job as it is shown, what is dragged included. */
    private QuiltJob job;

    private Gesture gesture;
    private Trial trial;
    private long wished;
    private boolean otherJob;
    private final List<Consumer<WorkPlan>> waiting = new ArrayList<>();
    private final Set<RegionId> taking = new LinkedHashSet<>();
    private WorkPlan movedFrom;
    private Consumer<String> trouble = text -> {};
    private List<Object> handlesFor = List.of();
    private List<Knob> handles = List.of();

    /** A workbench beside the shelf a new quilter begins with, that plans at once. */
    public Workbench() {
        this(Planning.here());
    }

    /** A workbench beside the shelf a new quilter begins with. */
    public Workbench(Planning planning) {
        this(Shelf.starter(), planning);
    }

    /** A workbench beside a shelf, with a new job on it. */
    public Workbench(Shelf shelf, Planning planning) {
        this.planning = planning;
        checked = shelf;
        now = Table.begun(new UndoState(newJob(shelf, Judging.usual()), shelf));
        planned = now;
        plan.set(Planner.plan(now.desk().job()));
        publish();
        stage.addListener(o -> dropGesture());
    }

    /** A job with nothing measured, for the shelf's machine and its first arc, judged as the job before it was. */
    public QuiltJob newJob() {
        return newJob(shelf(), job().judging());
    }

    private static QuiltJob newJob(Shelf shelf, Judging judging) {
        Optional<Template> arc = shelf.templates().stream()
                .filter(t -> !t.retired() && t.kind() == Kind.ARC && !t.arcs().isEmpty())
                .findFirst();
        return new QuiltJob(
                        "New quilt",
                        TapeScale.SIXTEENTHS,
                        shelf.machine(),
                        Quilt.unmeasured(),
                        arc.stream().toList(),
                        RunLayout.of(arc.map(Template::id), 6))
                .with(judging);
    }

    /** Lays another shelf beside the table, with no history; a new job that nobody has touched begins with it. */
    public void layShelf(Shelf other) {
        boolean untouched =
                now.file().isEmpty() && now.isSaved() && now.desk().job().equals(newJob());
        go(
                untouched
                        ? Table.begun(new UndoState(newJob(other, job().judging()), other))
                        : now.with(new UndoState(now.desk().job(), other), History.NONE));
    }

    /**
     * Takes what another window has made of the shelf, which is nothing to be undone here.
     *
     * @param change from the present shelf to the next; it is made to the shelves of the history as well
     */
    public void mergeShelf(UnaryOperator<Shelf> change) {
        UnaryOperator<UndoState> merged = desk -> desk.withShelf(change);
        go(now.with(merged.apply(now.desk()), now.history().changed(merged)));
    }

    /** Puts another job on the table, with no history and no file. */
    public void start(QuiltJob other) {
        lay(Table.begun(new UndoState(other, shelf())));
    }

    private void lay(Table other) {
        otherJob = true;
        taking.clear();
        movedFrom = null;
        go(other);
    }

    /**
     * Puts back what a session that is over didn't save; it counts as not saved still.
     *
     * @param path of the job's own file, if it had one
     */
    public void bringBack(JobFile.Opened left, Optional<Path> path) {
        // What stands in the file now is what the job was once opened from, as far as can be known.
        lay(new Table(
                new UndoState(left.job(), shelf()),
                path,
                path.flatMap(FileStamp::of),
                left.unknown(),
                Optional.empty(),
                History.NONE));
    }

    // --- what is wished for and what is shown --------------------------------------------------------------------

    /** Takes another state of the table, and wishes for its plan. */
    private void go(Table next) {
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
    private void publish() {
        follow();
        changes.set(changes.get() + 1);
    }

    private void follow() {
        UndoState desk = gesture == null ? now.desk() : gesture.shown();
        List<GroupId> groups = desk.job().quilt().groups();
        if (groups.stream().noneMatch(where.get().group()::equals)) {
            where.set(
                    groups.isEmpty()
                            ? RunId.of(Side.TOP)
                            : desk.job().quilt().runs(groups.get(0)).get(0));
        }
        areas.follow(desk.job());
        shelf.set(desk.shelf());
        file.set(now.file().orElse(null));
        saved.set(gesture == null && now.isSaved());
        job = desk.job();
    }

    private void wish() {
        Gesture during = gesture;
        UndoState desk = during == null ? now.desk() : during.shown();
        Set<RegionId> regions = during == null ? Set.copyOf(taking) : Set.of();
        // What was only just opened, or is begun with, is known to come back from its file.
        boolean checks = during == null && !otherJob;
        long number = ++wished;
        catchingUp.set(true);
        planning.wish(
                () -> make(desk, regions, checks),
                made -> deliver(number, made, during),
                fault -> failed(number, fault, during));
    }

    private Made make(UndoState desk, Set<RegionId> regions, boolean checks) throws FileTrouble {
        UndoState all = regions.isEmpty() ? desk : desk.withJob(j -> taking(j, desk.shelf(), regions));
        if (checks) {
            JobFile.check(all.job());
            if (!all.shelf().equals(checked)) {
                ShelfFile.check(all.shelf());
                checked = all.shelf();
            }
        }
        WorkPlan made = planner.planAgain(all.job());
        return new Made(
                all,
                made.withFindings(
                        Planner.compareWithShelf(all.job(), all.shelf().templates())));
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

    private void deliver(long number, Made made, Gesture during) {
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
            WorkPlan from = movedFrom;
            movedFrom = null;
            moved.set(Moves.between(from, made.plan()));
        }
        if (!catchingUp.get()) {
            List<Consumer<WorkPlan>> all = List.copyOf(waiting);
            waiting.clear();
            all.forEach(then -> then.accept(made.plan()));
        }
    }

    private void show(WorkPlan next) {
        Mark wasPointed = pointed.get();
        Placement wasPlaced = placement.get();
        pointed.set(null);
        placement.set(null);
        areas.follow(next);
        plan.set(next);
        // What was pointed at stays so where it still exists.
        Mark wasZero = zeroMark.get();
        if (wasZero != null) {
            zeroMark.set(mark(next, wasZero.id()).orElse(null));
            if (zeroMark.get() == null && zero.get() == Zero.MARK) {
                zero.set(Zero.LEFT);
            }
        }
        if (wasPointed != null) {
            mark(next, wasPointed.id()).ifPresent(pointed::set);
        }
        if (wasPlaced != null) {
            next.placements(wasPlaced.region()).stream()
                    .filter(p -> p.id().equals(wasPlaced.id()))
                    .findFirst()
                    .ifPresent(placement::set);
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
        String name = now.history().undoName().orElse("");
        now = opened || during != null || now == planned
                ? planned
                : planned.with(planned.desk(), planned.history().withRedo(name, now.desk()));
        otherJob = false;
        taking.clear();
        waiting.clear();
        movedFrom = null;
        publish();
        // The same plan once more, for those who show what was typed.
        show(plan.get().withFindings(List.of()));
        trouble.accept(why(fault) + (opened ? " The job that was here before still is." : " It was taken back."));
    }

    private static String why(Throwable fault) {
        if (fault instanceof FileTrouble) {
            return fault.getMessage();
        }
        if (fault instanceof TooManyLinesException) {
            return "That can't be: " + fault.getMessage() + ".";
        }
        if (fault instanceof CancellationException || fault instanceof InterruptedException) {
            return "Stopped.";
        }
        LOG.log(Level.SEVERE, "planning failed", fault);
        return fault instanceof OutOfMemoryError || fault instanceof StackOverflowError
                ? "That is more than this computer can plan."
                : "That couldn't be planned: something went wrong inside Jolly Spindle.";
    }

    /** Stops the plan that is being made; what was changed for it is taken back, and can be redone. */
    public void stopPlanning() {
        planning.stop();
    }

    /** Whether the plan that is shown isn't yet the one that was wished for last. */
    public ReadOnlyBooleanProperty catchingUpProperty() {
        return catchingUp.getReadOnlyProperty();
    }

    /** Whether another job is about to be shown, and only its plan is waited for. */
    public boolean isOpening() {
        return otherJob;
    }

    /** Hands over the plan of what was wished for last, as soon as it is there. */
    public void whenPlanned(Consumer<WorkPlan> then) {
        dropGesture();
        if (catchingUp.get()) {
            waiting.add(then);
        } else {
            then.accept(plan());
        }
    }

    /** Says who tells the quilter what was taken back, and why. */
    public void setOnTrouble(Consumer<String> tell) {
        trouble = tell;
    }

    private static Optional<Mark> mark(WorkPlan plan, String id) {
        return Stream.concat(
                        plan.runs().stream().flatMap(r -> r.laidOut().marks().stream()),
                        plan.areas().stream().flatMap(a -> a.marks().stream()))
                .filter(m -> m.id().equals(id))
                .findFirst();
    }

    // --- changes -------------------------------------------------------------------------------------------------

    /**
     * Changes what was measured, and tells by {@link #movedProperty} what that moved on the cloth.
     *
     * @param name what was done, as the undo command tells it
     */
    public void editQuilt(String name, UnaryOperator<Quilt> change) {
        WorkPlan before = movedFrom;
        if (movedFrom == null) {
            movedFrom = plan();
        }
        if (!change(name, desk -> desk.withJob(job -> job.withQuilt(change.apply(job.quilt()))))) {
            movedFrom = before;
        }
    }

    /** Begins a drag. One that was going on ends, and what it showed is let go. */
    public Gesture begin() {
        dropGesture();
        gesture = new Gesture(this, now.desk());
        return gesture;
    }

    /** Ends a drag that is going on, if one is; what it showed is let go. */
    public void dropGesture() {
        if (gesture != null) {
            gesture.drop();
        }
    }

    void show(Gesture dragged) {
        if (dragged == gesture) {
            publish();
            wish();
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
        if (!dragged.shown().equals(dragged.before())) {
            wish();
        }
    }

    /** Whether what is shown is a preview, which isn't remembered yet. */
    public boolean isPreviewing() {
        return gesture != null && !gesture.shown().equals(gesture.before());
    }

    /**
     * Changes the job. A change that changes nothing leaves no trace.
     *
     * @param name what was done, as the undo command tells it: {@code 10 repeats across}
     * @param change from the present job to the next
     */
    public void edit(String name, UnaryOperator<QuiltJob> change) {
        change(name, desk -> desk.withJob(change));
    }

    /**
     * Changes the shelf. What the job uses of it goes along, unless the job's copy already differed.
     *
     * @param name what was done, as the undo command tells it
     * @param change from the present shelf to the next
     */
    public void editShelf(String name, UnaryOperator<Shelf> change) {
        change(name, desk -> desk.withShelf(change));
    }

    /**
     * Changes the machine, of this job and for the jobs to come.
     *
     * @param name what was done, as the undo command tells it
     */
    public void editMachine(String name, UnaryOperator<Machine> change) {
        change(name, desk -> desk.withMachine(change));
    }

    /**
     * Tries what an edit would do, without doing it.
     *
     * @param edit one that goes through this workbench
     * @return why it would be too much to plan; nothing if it wouldn't
     */
    public Optional<String> tooMuch(Runnable edit) {
        trial = new Trial();
        try {
            edit.run();
            return trial.tooMuch;
        } finally {
            trial = null;
        }
    }

    /** What is only tried. */
    private static final class Trial {

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
    }

    /** Whether there was a change. */
    private boolean change(String name, UnaryOperator<UndoState> change) {
        if (trial != null) {
            trial.run(now.desk(), change);
            return false;
        }
        dropGesture();
        UndoState after;
        try {
            after = change.apply(now.desk());
        } catch (IllegalArgumentException e) {
            // Fields refuse what can't be; what comes through all the same goes no further.
            LOG.log(Level.INFO, "refused", e);
            trouble.accept("That can't be: " + e.getMessage() + ". Nothing was changed.");
            show(plan.get().withFindings(List.of()));
            return false;
        } catch (IndexOutOfBoundsException e) {
            // What was to be changed has been taken out meanwhile.
            LOG.log(Level.INFO, "gone", e);
            return false;
        }
        if (after.equals(now.desk())) {
            return false;
        }
        go(now.did(name, after));
        return true;
    }

    /** Uses an edge of a template for the border or strip that is looked at: the job takes a copy of it as it is now. */
    public void use(Template template, Optional<String> guideId) {
        edit("template " + template.name(), job -> job.withTemplate(template)
                .editing(groupId(), layout -> layout.withTemplate(template.id(), guideId)));
    }

    /** Takes the shelf's copy of a template into the job, in place of the job's own. */
    public void takeFromShelf(String id) {
        shelf().template(id).ifPresent(t -> edit("the shelf's " + t.name(), job -> job.withTemplate(t)));
    }

    /** Puts the job's copy of a template on the shelf. */
    public void putOnShelf(String id) {
        job().template(id).ifPresent(t -> editShelf(t.name() + " on the shelf", on -> on.with(t.withRetired(false))));
    }

    /** Takes the last step back; in the middle of a drag, the drag. */
    public void undo() {
        if (gesture != null) {
            dropGesture();
        } else {
            now.undone().ifPresent(this::go);
        }
    }

    public void redo() {
        dropGesture();
        now.redone().ifPresent(this::go);
    }

    public Optional<String> undoName() {
        return now.history().undoName();
    }

    public Optional<String> redoName() {
        return now.history().redoName();
    }

    /**
     * Opens a job file; the present job stays as it is if that fails, and if it turns out that it can't be planned.
     *
     * @throws FileTrouble if the file can't be read
     */
    public void open(Path path) throws FileTrouble {
        JobFile.Opened opened = JobFile.read(path);
        lay(new Table(
                new UndoState(opened.job(), shelf()),
                Optional.of(path),
                Optional.of(opened.stamp()),
                opened.unknown(),
                Optional.of(opened.job()),
                History.NONE));
    }

    /** Opens a job file; what went wrong, if anything did. */
    public Optional<FileTrouble> tryToOpen(Path path) {
        try {
            open(path);
            return Optional.empty();
        } catch (FileTrouble e) {
            return Optional.of(e);
        }
    }

    /**
     * Saves the job. What is dragged meanwhile isn't in it.
     *
     * @throws FileTrouble if it can't be written
     */
    public void save(Path path) throws FileTrouble {
        dropGesture();
        FileStamp written = JobFile.write(path, now.desk().job(), now.unknown());
        now = now.savedTo(path, written);
        if (!otherJob) {
            // Should what is being planned be taken back, the file is still this one.
            planned = planned == now
                    ? now
                    : new Table(planned.desk(), now.file(), now.stamp(), now.unknown(), now.saved(), planned.history());
        }
        publish();
    }

    /** Whether the job's file holds something else than what was last read from it or written to it here. */
    public boolean isFileChanged() {
        Optional<FileStamp> there = now.file().flatMap(FileStamp::of);
        return there.isPresent() && !there.equals(now.stamp());
    }

    /** The job as it would be saved: without what is being dragged. */
    public QuiltJob keptJob() {
        return now.desk().job();
    }

    /** What the job's file held that this version doesn't know. */
    public UnknownFields unknown() {
        return now.unknown();
    }

    /** Chooses another candidate, so many places further down the list. */
    public void stepCandidate(int places) {
        group().ifPresent(group -> {
            int index = group.candidates().indexOf(group.chosen()) + places;
            if (index >= 0 && index < group.candidates().size()) {
                choose(group.candidates().get(index));
            }
        });
    }

    /** Chooses the best candidate of the next school in the list, or of the one before. */
    public void stepSchool(int by) {
        group().ifPresent(group -> {
            List<Optional<SchoolKind>> kinds =
                    group.candidates().stream().map(Candidate::kind).distinct().toList();
            int next = Math.floorMod(kinds.indexOf(group.chosen().kind()) + by, kinds.size());
            group.candidates().stream()
                    .filter(c -> c.kind().equals(kinds.get(next)))
                    .findFirst()
                    .ifPresent(this::choose);
        });
    }

    /** Divides the runs of the scope as a candidate does. */
    public void choose(Candidate candidate) {
        Map<RunId, School> schools = new TreeMap<>(candidate.schools());
        schools.keySet().removeIf(id -> !inScope(id));
        divide(schools);
    }

    /** Whether what is chosen holds for a run too. A strip stands alone. */
    public boolean inScope(RunId run) {
        return run.equals(where.get()) && run.side().isEmpty() || scope.get().takes(run, where.get(), picked);
    }

    /** Divides runs by given schools; others stay as they are. */
    public void divide(Map<RunId, School> schools) {
        boolean even = schools.values().stream().allMatch(Even.class::isInstance);
        String said = new DivisionWords(words()).schools(new TreeMap<>(schools));
        edit((even ? "repeats " : "division ") + said, job -> job.choosing(schools));
    }

    /** More or fewer repeats on the chosen run and the one opposite; the neighbours follow. */
    public void stepRepeats(int step) {
        Planner.step(plan(), where.get(), step).ifPresent(candidate -> {
            divide(candidate.schools());
        });
    }

    /** Shows the next placement of the chosen side, or the one before; from none, the first or the last. */
    public void stepPlacement(int step) {
        List<Placement> all = stepped();
        if (all.isEmpty()) {
            return;
        }
        int now = placement.get() == null ? -1 : all.indexOf(placement.get());
        int next = now < 0 ? (step > 0 ? 0 : all.size() - 1) : Math.floorMod(now + step, all.size());
        placement.set(all.get(next));
    }

    /** The placements that are stepped through: those of the piece that is looked at, or else of the chosen run. */
    public List<Placement> stepped() {
        return areas.isLooked() ? areas.placements() : plan().placements(where.get());
    }

    /** The areas, and which one is looked at. */
    public AreaSelection areas() {
        return areas;
    }

    /** Shows a placement of the chosen run, by its place from 0 in the order of stitching; nothing if there is none. */
    public void showPlacement(int index) {
        List<Placement> all = stepped();
        placement.set(index >= 0 && index < all.size() ? all.get(index) : null);
    }

    /** Points at the next mark of the chosen side, or the one before; from none, the first or the last. */
    public void stepMark(int step) {
        List<Mark> all = areas.isLooked()
                ? areas.marks()
                : run().map(run -> run.laidOut().marks()).orElse(List.of());
        if (!all.isEmpty()) {
            int now = pointed.get() == null ? -1 : all.indexOf(pointed.get());
            int next = now < 0 ? (step > 0 ? 0 : all.size() - 1) : Math.max(0, Math.min(all.size() - 1, now + step));
            pointed.set(all.get(next));
        }
    }

    /** Turns to a side of the border that is looked at, or of the innermost one. */
    public void choose(Side side) {
        choose(where.get() instanceof RunId.BorderRun border ? RunId.of(border.border(), side) : RunId.of(side));
    }

    /** Lets go what is pointed at and what lies on the table. */
    void letGo() {
        pointed.set(null);
        placement.set(null);
    }

    /** Turns to a run; what was pointed at on another, or in an area, is let go. */
    public void choose(RunId run) {
        if (areas.isLooked()) {
            letGo();
            areas.leave();
        }
        if (!where.get().equals(run)) {
            letGo();
            if (zero.get() == Zero.MARK) {
                zero.set(Zero.LEFT);
            }
            zeroMark.set(null);
            if (!run.group().equals(where.get().group())) {
                comparing.set(false);
                compared.clear();
            }
            where.set(run);
        }
    }

    /** Lays the tape's zero at a mark of the chosen run. */
    public void layZero(Mark mark) {
        zeroMark.set(mark);
        zero.set(Zero.MARK);
    }

    /** The chosen run, if it is planned. */
    public Optional<RunPlan> run() {
        return plan().run(where.get());
    }

    /** How the runs come out that the chosen one is divided with. */
    public Optional<GroupPlan> group() {
        return plan().group(where.get().group());
    }

    /** The border or strip the chosen run belongs to. */
    public GroupId groupId() {
        return where.get().group();
    }

    /** A run as the quilter calls it. */
    public String name(RunId run) {
        return Words.name(run, job().quilt());
    }

    /**
     * Stitches another design on the chosen group, and takes copies of the shelf's templates that it needs.
     *
     * @param name what was done, as the undo command tells it
     */
    public void design(String name, UnaryOperator<RunLayout> change) {
        GroupId group = groupId();
        design(name, where.get(), job -> job.editing(group, change));
    }

    /** Changes the design of a region; templates of the shelf that it takes come along as soon as they are known. */
    void design(String name, RegionId region, UnaryOperator<QuiltJob> change) {
        if (trial == null) {
            taking.add(region);
        }
        if (!change(name, desk -> desk.withJob(change)) && trial == null && !catchingUp.get()) {
            taking.clear();
        }
    }

    /** What lays out, away from the window, what would be stitched on a run divided so; in the quilt's frame. */
    public Supplier<List<StitchLine>> stitching(WorkPlan plan, DividedRun divided) {
        return () -> Planner.preview(plan, divided);
    }

    /** What can be dragged: sizes of areas while measuring; numbers of the chosen run, or of the piece looked at, while laying out. */
    public List<Knob> handles() {
        List<Object> asked = Arrays.asList(
                plan(), job(), stage.get(), where.get(), areas.lookedProperty().get());
        if (!asked.equals(handlesFor)) {
            handlesFor = asked;
            handles = findHandles();
        }
        return handles;
    }

    private List<Knob> findHandles() {
        if (stage.get() == WorkStage.MEASURE && plan().shape().isPresent()) {
            return AreaSizeKnobs.of(job().quilt());
        }
        if (stage.get() != WorkStage.LAY_OUT) {
            return List.of();
        }
        return areas.isLooked()
                ? areas.knobs()
                : run().map(r -> MotifHandles.of(plan(), r).stream()
                                .map(h -> h.knob(r.frame(), r.id().group()))
                                .toList())
                        .orElse(List.of());
    }

    /** The job with the chosen group changed and all of the shelf at hand, to look at. */
    public QuiltJob offered(UnaryOperator<RunLayout> change) {
        return job().offering(shelf().templates()).editing(groupId(), change);
    }

    /** Changes the layout of the border or strip that is looked at. */
    public void editLayout(String name, UnaryOperator<RunLayout> change) {
        edit(name, job -> job.editing(groupId(), change));
    }

    public WorkPlan plan() {
        return plan.get();
    }

    /** The job as the quilter has made it, what is being dragged included; its plan may be still to come. */
    public QuiltJob job() {
        return job;
    }

    /** Another number whenever the job, the shelf, what can be undone or what is saved changes; it doesn't wait for the plan. */
    public ReadOnlyLongProperty changesProperty() {
        return changes.getReadOnlyProperty();
    }

    public Shelf shelf() {
        return shelf.get();
    }

    /** The shelf; whenever it changes, the plan is made anew as well. */
    public ReadOnlyObjectProperty<Shelf> shelfProperty() {
        return shelf.getReadOnlyProperty();
    }

    public Words words() {
        return new Words(job().tape());
    }

    public ReadOnlyObjectProperty<WorkPlan> planProperty() {
        return plan.getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Path> fileProperty() {
        return file.getReadOnlyProperty();
    }

    public BooleanProperty savedProperty() {
        return saved;
    }

    public ObjectProperty<WorkStage> stageProperty() {
        return stage;
    }

    /** The run that is looked at. */
    public ObjectProperty<RunId> whereProperty() {
        return where;
    }

    /** The ways to come out that are to be seen side by side, at most {@link #MOST_COMPARED}. */
    public ObservableList<Map<RunId, School>> compared() {
        return compared;
    }

    /** Takes a candidate among those to be compared, or takes it out; the earliest makes room for one too many. */
    public void compare(Candidate candidate, boolean wanted) {
        Map<RunId, School> schools = candidate.schools();
        compared.remove(schools);
        if (wanted) {
            if (compared.size() == MOST_COMPARED) {
                compared.remove(0);
            }
            compared.add(schools);
        }
        if (compared.size() < 2) {
            comparing.set(false);
        }
    }

    /**
     * What makes the ways to be seen side by side, each with the quilt planned so, away from the window; those that no longer
     * divide their runs are left out.
     */
    public Supplier<List<Way>> waysCompared() {
        GroupId looked = groupId();
        QuiltJob from = job();
        List<Map<RunId, School>> all = List.copyOf(compared);
        return () -> {
            Planner own = new Planner();
            return all.stream()
                    .map(schools -> own.planAgain(from.choosing(schools)))
                    .flatMap(made -> made.group(looked).stream().map(g -> new Way(g.chosen(), made)))
                    .toList();
        };
    }

    /** Whether candidates are seen side by side. */
    public BooleanProperty comparingProperty() {
        return comparing;
    }

    /** The sides that {@link Scope#PICKED} means. */
    public ObservableSet<Side> picked() {
        return picked;
    }

    /** Which runs a candidate is chosen for. */
    public ObjectProperty<Scope> scopeProperty() {
        return scope;
    }

    /** What the last change of a measurement moved. */
    public ReadOnlyObjectProperty<Moves> movedProperty() {
        return moved.getReadOnlyProperty();
    }

    /** The mark the tape's zero lies at, if it lies at one. */
    public ReadOnlyObjectProperty<Mark> zeroMarkProperty() {
        return zeroMark;
    }

    public ObjectProperty<Zero> zeroProperty() {
        return zero;
    }

    /** The mark under the pointer, on the tape or on the table. */
    public ObjectProperty<Mark> pointedProperty() {
        return pointed;
    }

    /** The placement whose template is shown lying on the table. */
    public ObjectProperty<Placement> placementProperty() {
        return placement;
    }
}
