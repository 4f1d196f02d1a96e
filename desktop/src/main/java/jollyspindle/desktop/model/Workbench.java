package jollyspindle.desktop.model;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.Planner;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.RingLayout;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;

/**
 * The job on the table. Every change goes through {@link #edit}, which plans the changed job and remembers the one before;
 * all views follow {@link #planProperty}.
 */
public final class Workbench {

    private final ReadOnlyObjectWrapper<Shelf> shelf = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<WorkPlan> plan = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty saved = new SimpleBooleanProperty(true);
    private final ObjectProperty<WorkStage> stage = new SimpleObjectProperty<>(WorkStage.MEASURE);
    private final ObjectProperty<Side> side = new SimpleObjectProperty<>(Side.TOP);
    private final ObjectProperty<Zero> zero = new SimpleObjectProperty<>(Zero.LEFT);
    private final ObjectProperty<Mark> pointed = new SimpleObjectProperty<>();
    private final ObjectProperty<Placement> placement = new SimpleObjectProperty<>();
    private final History history = new History();
    private UnknownFields unknown = UnknownFields.none();
    private QuiltJob savedJob;

    /** A workbench beside the shelf a new quilter begins with. */
    public Workbench() {
        this(Shelf.starter());
    }

    /** A workbench beside a shelf, with a new job on it. */
    public Workbench(Shelf shelf) {
        this.shelf.set(shelf);
        start(newJob());
    }

    /** A job with nothing measured, for the shelf's machine and its first arc. */
    public QuiltJob newJob() {
        Optional<Template> arc = shelf().templates().stream()
                .filter(t -> !t.retired() && t.kind() == Kind.ARC && !t.arcs().isEmpty())
                .findFirst();
        return new QuiltJob(
                "New quilt",
                TapeScale.SIXTEENTHS,
                shelf().machine(),
                Quilt.unmeasured(),
                arc.stream().toList(),
                new RingLayout(arc.map(Template::id), Optional.empty(), 6, Optional.empty()));
    }

    /** Lays another shelf beside the table, with no history; a new job that nobody has touched begins with it. */
    public void layShelf(Shelf other) {
        boolean untouched = file.get() == null && saved.get() && job().equals(newJob());
        history.clear();
        shelf.set(other);
        if (untouched) {
            start(newJob());
        } else {
            show(new Desk(job(), other));
        }
    }

    /** Puts another job on the table, with no history and no file. */
    public void start(QuiltJob job) {
        lay(job, null, UnknownFields.none());
    }

    private void lay(QuiltJob job, Path path, UnknownFields kept) {
        history.clear();
        unknown = kept;
        savedJob = job;
        file.set(path);
        show(new Desk(job, shelf()));
    }

    /** Puts back what a run that is over didn't save; it counts as not saved still. */
    public void bringBack(JobFile.Opened left) {
        lay(left.job(), null, left.unknown());
        savedJob = null;
        saved.set(false);
    }

    private void show(Desk desk) {
        QuiltJob job = desk.job();
        Mark wasPointed = pointed.get();
        Placement wasPlaced = placement.get();
        WorkPlan next = Planner.plan(job)
                .withFindings(Planner.compareWithShelf(job, desk.shelf().templates()));
        pointed.set(null);
        placement.set(null);
        shelf.set(desk.shelf());
        plan.set(next);
        saved.set(job.equals(savedJob));
        // What was pointed at stays so where it still exists.
        if (wasPointed != null) {
            next.runs().stream()
                    .flatMap(r -> r.laidOut().marks().stream())
                    .filter(m -> m.id().equals(wasPointed.id()))
                    .findFirst()
                    .ifPresent(pointed::set);
        }
        if (wasPlaced != null) {
            next.runs().stream()
                    .flatMap(r -> r.laidOut().placements().stream())
                    .filter(p -> p.id().equals(wasPlaced.id()))
                    .findFirst()
                    .ifPresent(placement::set);
        }
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

    private void change(String name, UnaryOperator<Desk> change) {
        Desk before = desk();
        Desk after = change.apply(before);
        if (!after.equals(before)) {
            history.did(name, before);
            show(after);
        }
    }

    private Desk desk() {
        return new Desk(job(), shelf());
    }

    /** Uses an edge of a template for the border: the job takes a copy of it as it is now. */
    public void use(Template template, Optional<String> guideId) {
        edit("template " + template.name(), job -> job.withTemplate(template)
                .withTemplateChosen(template.id(), guideId));
    }

    /** Takes the shelf's copy of a template into the job, in place of the job's own. */
    public void takeFromShelf(String id) {
        shelf().template(id).ifPresent(t -> edit("the shelf's " + t.name(), job -> job.withTemplate(t)));
    }

    /** Puts the job's copy of a template on the shelf. */
    public void putOnShelf(String id) {
        job().template(id).ifPresent(t -> editShelf(t.name() + " on the shelf", on -> on.with(t.withRetired(false))));
    }

    public void undo() {
        history.undo(desk()).ifPresent(this::show);
    }

    public void redo() {
        history.redo(desk()).ifPresent(this::show);
    }

    public Optional<String> undoName() {
        return history.undoName();
    }

    public Optional<String> redoName() {
        return history.redoName();
    }

    /**
     * Opens a job file; the present job stays as it is if that fails.
     *
     * @throws FileTrouble if the file can't be read
     */
    public void open(Path path) throws FileTrouble {
        JobFile.Opened opened = JobFile.read(path);
        lay(opened.job(), path, opened.unknown());
    }

    /**
     * Saves the job.
     *
     * @throws FileTrouble if it can't be written
     */
    public void save(Path path) throws FileTrouble {
        JobFile.write(path, job(), unknown);
        savedJob = job();
        file.set(path);
        saved.set(true);
    }

    /** What the job's file held that this version doesn't know. */
    public UnknownFields unknown() {
        return unknown;
    }

    /** Chooses another candidate, so many places further down the list. */
    public void stepCandidate(int places) {
        List<Candidate> candidates = plan().candidates();
        plan().chosen().ifPresent(chosen -> {
            int index = candidates.indexOf(chosen) + places;
            if (index >= 0 && index < candidates.size()) {
                choose(candidates.get(index));
            }
        });
    }

    public void choose(Candidate candidate) {
        edit("repeats " + Words.counts(candidate.counts()), job -> job.withCounts(candidate.counts()));
    }

    /** More or fewer repeats on the chosen side and the one opposite; the neighbours follow. */
    public void stepRepeats(int step) {
        Planner.step(plan(), side.get(), step)
                .ifPresent(counts -> edit("repeats " + Words.counts(counts), job -> job.withCounts(counts)));
    }

    /** Shows the next placement of the chosen side, or the one before; from none, the first or the last. */
    public void stepPlacement(int step) {
        run().ifPresent(run -> {
            List<Placement> all = run.laidOut().placements();
            int now = placement.get() == null ? -1 : all.indexOf(placement.get());
            int next = now < 0 ? (step > 0 ? 0 : all.size() - 1) : Math.floorMod(now + step, all.size());
            placement.set(all.get(next));
        });
    }

    /** Points at the next mark of the chosen side, or the one before; from none, the first or the last. */
    public void stepMark(int step) {
        run().ifPresent(run -> {
            List<Mark> all = run.laidOut().marks();
            int now = pointed.get() == null ? -1 : all.indexOf(pointed.get());
            int next = now < 0 ? (step > 0 ? 0 : all.size() - 1) : Math.max(0, Math.min(all.size() - 1, now + step));
            pointed.set(all.get(next));
        });
    }

    /** Turns to a side; what was pointed at on another is let go. */
    public void choose(Side chosen) {
        if (side.get() != chosen) {
            pointed.set(null);
            placement.set(null);
            side.set(chosen);
        }
    }

    /** The chosen side's run, if it is planned. */
    public Optional<RunPlan> run() {
        return plan().run(side.get());
    }

    public WorkPlan plan() {
        return plan.get();
    }

    public QuiltJob job() {
        return plan.get().job();
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

    public ObjectProperty<Side> sideProperty() {
        return side;
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
