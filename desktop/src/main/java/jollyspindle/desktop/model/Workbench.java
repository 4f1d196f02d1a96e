package jollyspindle.desktop.model;

import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Judging;
import jollyspindle.core.measure.TapeScale;
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
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.words.Said;
import jollyspindle.files.FileStamp;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import java.util.logging.Level;
import java.util.logging.Logger;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyLongProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;

/**
 * The job on the table. Every change goes through {@link #edit}, which takes it at once and wishes for its plan; all views of
 * what is planned follow {@link #planProperty}, which may lag behind, and shows one plan, whole, of one job. What can't be
 * planned or kept in a file is taken back and told, and the last good plan stands.
 *
 * <p>It is long since it is the one face that the job has for the window; what is behind it is done by {@link JobKeeper}, {@link
 * Selection}, {@link AreaSelection}, {@link Comparison} and {@link Dividing}.
 */
public final class Workbench {

    private static final Logger LOG = Logger.getLogger(Workbench.class.getName());
    private final ObjectProperty<WorkStage> stage = new SimpleObjectProperty<>(WorkStage.MEASURE);
    private final AreaSelection areas = new AreaSelection(this);
    private final Selection selection = new Selection(this);
    private final Comparison comparison = new Comparison(this);
    private final Dividing dividing = new Dividing(this);
    private final JobKeeper keeper;
    private final Handles handles = new Handles(this);
    private Trial trial;
    private List<String> toldOnOpening = List.of();

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
        keeper = new JobKeeper(this, planning, new UndoState(newJob(shelf, Judging.usual()), shelf));
        keeper.publish();
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
        boolean untouched = keeper.now().file().isEmpty()
                && keeper.now().isSaved()
                && keeper.now().desk().job().equals(newJob());
        keeper.go(
                untouched
                        ? Table.begun(new UndoState(newJob(other, job().judging()), other))
                        : keeper.now().with(new UndoState(keeper.now().desk().job(), other), History.NONE));
    }

    /**
     * Takes what another window has made of the shelf, which is nothing to be undone here.
     *
     * @param change from the present shelf to the next; it is made to the shelves of the history as well
     */
    public void mergeShelf(UnaryOperator<Shelf> change) {
        UnaryOperator<UndoState> merged = desk -> desk.withShelf(change);
        keeper.go(keeper.now()
                .with(merged.apply(keeper.now().desk()), keeper.now().history().changed(merged)));
    }

    /** Puts another job on the table, with no history and no file. */
    public void start(QuiltJob other) {
        keeper.lay(Table.begun(new UndoState(other, shelf())));
    }

    /**
     * Puts back what a session that is over didn't save; it counts as not saved still.
     *
     * @param path of the job's own file, if it had one
     */
    public void bringBack(JobFile.Opened left, Optional<Path> path) {
        // What stands in the file now is what the job was once opened from, as far as can be known.
        keeper.lay(new Table(
                new UndoState(left.job(), shelf()),
                path,
                path.flatMap(FileStamp::of),
                left.unknown(),
                Optional.empty(),
                History.NONE));
    }

    /** Whether the plan that is shown isn't yet the one that was wished for last. */
    public ReadOnlyBooleanProperty catchingUpProperty() {
        return keeper.catchingUpProperty().getReadOnlyProperty();
    }

    /** Whether another job is about to be shown, and only its plan is waited for. */
    public boolean isOpening() {
        return keeper.isOpening();
    }

    /** Stops the plan that is being made; what was changed for it is taken back, and can be redone. */
    public void stopPlanning() {
        keeper.stopPlanning();
    }

    /** Hands over the plan of what was wished for last, as soon as it is there. */
    public void whenPlanned(Consumer<WorkPlan> then) {
        keeper.whenPlanned(then);
    }

    /** Begins a drag. One that was going on ends, and what it showed is let go. */
    public Gesture begin() {
        return keeper.begin();
    }

    /** Ends a drag that is going on, if one is; what it showed is let go. */
    public void dropGesture() {
        keeper.dropGesture();
    }

    /** Whether what is shown is a preview, which isn't remembered yet. */
    public boolean isPreviewing() {
        return keeper.isPreviewing();
    }

    /** Says who tells the quilter what was taken back, and why. */
    public void setOnTrouble(Consumer<String> tell) {
        keeper.setOnTrouble(tell);
    }

    // --- changes -------------------------------------------------------------------------------------------------

    /**
     * Changes what was measured, and tells by {@link #movedProperty} what that moved on the cloth.
     *
     * @param name what was done, as the undo command tells it
     */
    public void editQuilt(String name, UnaryOperator<Quilt> change) {
        keeper.tellingMoves(() -> changeJob(name, job -> job.withQuilt(change.apply(job.quilt()))));
    }

    /**
     * Changes the job. A change that changes nothing leaves no trace.
     *
     * @param name what was done, as the undo command tells it: {@code 10 repeats across}
     * @param change from the present job to the next
     */
    public void edit(String name, UnaryOperator<QuiltJob> change) {
        changeJob(name, change);
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
            return trial.tooMuch();
        } finally {
            trial = null;
        }
    }

    /** Changes the job that is shown, and none that is about to be shown in its place. Whether there was a change. */
    private boolean changeJob(String name, UnaryOperator<QuiltJob> change) {
        if (trial == null && keeper.isOpening()) {
            keeper.refuse("Another job is being opened: what you did to the one before wasn't taken.");
            return false;
        }
        return change(name, desk -> desk.withJob(change));
    }

    /** Whether there was a change. */
    private boolean change(String name, UnaryOperator<UndoState> change) {
        if (trial != null) {
            trial.run(keeper.now().desk(), change);
            return false;
        }
        dropGesture();
        UndoState after;
        try {
            after = change.apply(keeper.now().desk());
        } catch (IllegalArgumentException e) {
            // Fields refuse what can't be; what comes through all the same goes no further.
            LOG.log(Level.INFO, "refused", e);
            keeper.refuse(Said.say("refused-unchanged", "why", e.getMessage()));
            return false;
        } catch (IndexOutOfBoundsException e) {
            // What was to be changed has been taken out meanwhile.
            LOG.log(Level.INFO, "gone", e);
            return false;
        }
        if (after.equals(keeper.now().desk())) {
            return false;
        }
        keeper.go(keeper.now().did(name, after));
        return true;
    }

    /** Uses an edge of a template for the border or strip that is looked at: the job takes a copy of it as it is keeper.now(). */
    public void use(Template template, Optional<String> guideId) {
        edit(Said.say("step.use", "template", template.name()), job -> job.withTemplate(template)
                .editing(groupId(), layout -> layout.withTemplate(template.id(), guideId)));
    }

    /** Takes the shelf's copy of a template into the job, in place of the job's own. */
    public void takeFromShelf(String id) {
        shelf().template(id)
                .ifPresent(t -> edit(Said.say("step.from-shelf", "template", t.name()), job -> job.withTemplate(t)));
    }

    /** Puts the job's copy of a template on the shelf. */
    public void putOnShelf(String id) {
        job().template(id)
                .ifPresent(t -> editShelf(
                        Said.say("step.to-shelf", "template", t.name()), on -> on.with(t.withRetired(false))));
    }

    /** Takes the last step back; in the middle of a drag, the drag. */
    public void undo() {
        if (keeper.isDragging()) {
            dropGesture();
        } else {
            keeper.now().undone().ifPresent(keeper::go);
        }
    }

    public void redo() {
        dropGesture();
        keeper.now().redone().ifPresent(keeper::go);
    }

    public Optional<String> undoName() {
        return keeper.now().history().undoName();
    }

    public Optional<String> redoName() {
        return keeper.now().history().redoName();
    }

    /**
     * Opens a job file; the present job stays as it is if that fails, and if it turns out that it can't be planned.
     *
     * @throws FileTrouble if the file can't be read
     */
    public void open(Path path) throws FileTrouble {
        JobFile.Opened opened = JobFile.read(path);
        toldOnOpening = opened.told();
        keeper.lay(new Table(
                new UndoState(opened.job(), shelf()),
                Optional.of(path),
                Optional.of(opened.stamp()),
                opened.unknown(),
                Optional.of(opened.job()),
                History.NONE));
    }

    /** What in the file that was opened last makes no sense here, and is as usual instead. */
    public List<String> toldOnOpening() {
        return toldOnOpening;
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
     * @throws FileTrouble if it can't be written, or while another job is being opened
     */
    public void save(Path path) throws FileTrouble {
        if (keeper.isOpening()) {
            // The present job's file is still the one that is shown, and must not be given what comes in its place.
            throw new FileTrouble("Another job is being opened, so nothing was saved. Save again once it is there.");
        }
        dropGesture();
        FileStamp written =
                JobFile.write(path, keeper.now().desk().job(), keeper.now().unknown());
        keeper.saved(path, written);
    }

    /** Whether the job's file holds something else than what was last read from it or written to it here. */
    public boolean isFileChanged() {
        Optional<FileStamp> there = keeper.now().file().flatMap(FileStamp::of);
        return there.isPresent() && !there.equals(keeper.now().stamp());
    }

    /** The job as it would be saved: without what is being dragged. */
    public QuiltJob keptJob() {
        return keeper.now().desk().job();
    }

    /** What the job's file held that this version doesn't know. */
    public UnknownFields unknown() {
        return keeper.now().unknown();
    }

    /** What is looked at and pointed at on the runs. */
    public Selection selection() {
        return selection;
    }

    /** The ways to come out that are seen side by side. */
    public Comparison comparison() {
        return comparison;
    }

    /** How the runs that are looked at come out. */
    public Dividing dividing() {
        return dividing;
    }

    /** What can be dragged: sizes of areas while measuring; numbers of the chosen run, or of the piece looked at, while laying out. */
    public List<Knob> handles() {
        return handles.now();
    }

    /** The areas, and which one is looked at. */
    public AreaSelection areas() {
        return areas;
    }

    /** The chosen run, if it is planned. */
    public Optional<RunPlan> run() {
        return plan().run(selection.whereProperty().get());
    }

    /** How the runs come out that the chosen one is divided with. */
    public Optional<GroupPlan> group() {
        return plan().group(selection.whereProperty().get().group());
    }

    /** The border or strip the chosen run belongs to. */
    public GroupId groupId() {
        return selection.whereProperty().get().group();
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
        design(name, selection.whereProperty().get(), job -> job.editing(group, change));
    }

    /** Changes the design of a region; templates of the shelf that it takes come along as soon as they are known. */
    void design(String name, RegionId region, UnaryOperator<QuiltJob> change) {
        if (trial == null) {
            keeper.taking(region);
        }
        if (!change(name, desk -> desk.withJob(change)) && trial == null) {
            keeper.takeNothing();
        }
    }

    /** What lays out, away from the window, what would be stitched on a run divided so; in the quilt's frame. */
    public Supplier<List<StitchLine>> stitching(WorkPlan plan, DividedRun divided) {
        return () -> Planner.preview(plan, divided);
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
        return keeper.planProperty().get();
    }

    /** The job as the quilter has made it, what is being dragged included; its plan may be still to come. */
    public QuiltJob job() {
        return keeper.job();
    }

    /** Another number whenever the job, the shelf, what can be undone or what is saved changes; it doesn't wait for the plan. */
    public ReadOnlyLongProperty changesProperty() {
        return keeper.changesProperty().getReadOnlyProperty();
    }

    public Shelf shelf() {
        return keeper.shelfProperty().get();
    }

    /** The shelf; whenever it changes, the plan is made anew as well. */
    public ReadOnlyObjectProperty<Shelf> shelfProperty() {
        return keeper.shelfProperty().getReadOnlyProperty();
    }

    public Words words() {
        return new Words(job().tape());
    }

    public ReadOnlyObjectProperty<WorkPlan> planProperty() {
        return keeper.planProperty().getReadOnlyProperty();
    }

    public ReadOnlyObjectProperty<Path> fileProperty() {
        return keeper.fileProperty().getReadOnlyProperty();
    }

    public BooleanProperty savedProperty() {
        return keeper.savedProperty();
    }

    public ObjectProperty<WorkStage> stageProperty() {
        return stage;
    }

    /** What the last change of a measurement moved. */
    public ReadOnlyObjectProperty<Moves> movedProperty() {
        return keeper.movedProperty().getReadOnlyProperty();
    }
}
