package jollyspindle.desktop.model;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.School;
import jollyspindle.core.division.SchoolKind;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.Design;
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
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.DivisionWords;
import jollyspindle.core.words.Words;
import jollyspindle.files.FileTrouble;
import jollyspindle.files.job.JobFile;
import jollyspindle.files.json.UnknownFields;

import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import javafx.collections.ObservableSet;

/**
 * The job on the table. Every change goes through {@link #edit}, which plans the changed job and remembers the one before;
 * all views follow {@link #planProperty}.
 */
public final class Workbench {

    /** More candidates have no room side by side. */
    public static final int MOST_COMPARED = 3;

    private final ReadOnlyObjectWrapper<Shelf> shelf = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<WorkPlan> plan = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyObjectWrapper<Path> file = new ReadOnlyObjectWrapper<>();
    private final BooleanProperty saved = new SimpleBooleanProperty(true);
    private final ObjectProperty<WorkStage> stage = new SimpleObjectProperty<>(WorkStage.MEASURE);
    private final ObjectProperty<RunId> where = new SimpleObjectProperty<>(RunId.of(Side.TOP));
    private final ObjectProperty<Zero> zero = new SimpleObjectProperty<>(Zero.LEFT);
    private final ObjectProperty<Mark> zeroMark = new SimpleObjectProperty<>();
    private final ObjectProperty<Scope> scope = new SimpleObjectProperty<>(Scope.ALL);
    private final ObservableSet<Side> picked = FXCollections.observableSet(EnumSet.noneOf(Side.class));
    private final ReadOnlyObjectWrapper<Moves> moved = new ReadOnlyObjectWrapper<>();
    private final Planner planner = new Planner();
    private final ObservableList<Map<RunId, School>> compared = FXCollections.observableArrayList();
    private final BooleanProperty comparing = new SimpleBooleanProperty();
    private Desk beforePreview;
    private final ObjectProperty<Mark> pointed = new SimpleObjectProperty<>();
    private final ObjectProperty<Placement> placement = new SimpleObjectProperty<>();
    private final History history = new History();
    private final AreaDesk areas = new AreaDesk(this);
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

    /** A job with nothing measured, for the shelf's machine and its first arc, judged as the job before it was. */
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
                        RunLayout.of(arc.map(Template::id), 6))
                .with(plan.get() == null ? Judging.usual() : job().judging());
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
        WorkPlan next = planner.planAgain(job)
                .withFindings(Planner.compareWithShelf(job, desk.shelf().templates()));
        pointed.set(null);
        placement.set(null);
        shelf.set(desk.shelf());
        if (job.quilt().groups().stream().noneMatch(where.get().group()::equals)) {
            where.set(
                    job.quilt().groups().isEmpty()
                            ? RunId.of(Side.TOP)
                            : job.quilt().runs(job.quilt().groups().get(0)).get(0));
        }
        areas.follow(next);
        plan.set(next);
        saved.set(job.equals(savedJob));
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

    private static Optional<Mark> mark(WorkPlan plan, String id) {
        return Stream.concat(
                        plan.runs().stream().flatMap(r -> r.laidOut().marks().stream()),
                        plan.areas().stream().flatMap(a -> a.marks().stream()))
                .filter(m -> m.id().equals(id))
                .findFirst();
    }

    /**
     * Changes what was measured, and tells by {@link #movedProperty} what that moved on the cloth.
     *
     * @param name what was done, as the undo command tells it
     */
    public void editQuilt(String name, UnaryOperator<Quilt> change) {
        WorkPlan before = plan();
        edit(name, job -> job.withQuilt(change.apply(job.quilt())));
        moved.set(Moves.between(before, plan()));
    }

    /**
     * Shows a changed job without remembering a step for it, while something is dragged. The next preview starts from the job
     * before the first one.
     */
    public void preview(UnaryOperator<QuiltJob> change) {
        if (beforePreview == null) {
            beforePreview = desk();
        }
        show(beforePreview.withJob(change));
    }

    /**
     * Remembers what was previewed as one step.
     *
     * @param name what was done, as the undo command tells it
     */
    public void keepPreview(String name) {
        Desk before = beforePreview;
        beforePreview = null;
        if (before != null && !before.equals(desk())) {
            history.did(name, before);
            // The same plan once more, for those who wait until the preview is over.
            plan.set(plan.get().withFindings(List.of()));
        }
    }

    /** Whether what is shown is a preview, which isn't remembered yet. */
    public boolean isPreviewing() {
        return beforePreview != null;
    }

    /** Lets go what was previewed. */
    public void dropPreview() {
        Desk before = beforePreview;
        beforePreview = null;
        if (before != null) {
            show(before);
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
        boolean even = schools.values().stream().allMatch(School.Even.class::isInstance);
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
    public AreaDesk areas() {
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

    /** Changes the layout of the border or strip that is looked at. */
    /**
     * Stitches another design on the chosen group, and takes copies of the shelf's templates that it needs.
     *
     * @param name what was done, as the undo command tells it
     */
    public void design(String name, UnaryOperator<RunLayout> change) {
        GroupId group = groupId();
        Set<String> needed = needed(change);
        edit(name, job -> {
            QuiltJob all = job;
            for (Template template : shelf().templates()) {
                if (needed.contains(template.id())
                        && job.template(template.id()).isEmpty()) {
                    all = all.withTemplate(template);
                }
            }
            return all.editing(group, change);
        });
    }

    /** The templates that a design is stitched with if the whole shelf is at hand. */
    private Set<String> needed(UnaryOperator<RunLayout> change) {
        WorkPlan offered = Planner.plan(offered(change));
        Set<String> needed = offered.placements(groupId()).stream()
                .map(p -> p.tool().templateId())
                .collect(Collectors.toCollection(TreeSet::new));
        Design design = change.apply(job().layout(groupId())).design();
        design.layers().forEach(layer -> layer.templateId().ifPresent(needed::add));
        return needed;
    }

    /** What would be stitched on a run if it were divided so; in the quilt's frame. */
    public List<StitchLine> stitching(DividedRun divided) {
        return Planner.preview(plan(), divided);
    }

    /** What can be dragged: sizes of areas while measuring; numbers of the chosen run, or of the piece looked at, while laying out. */
    public List<Knob> handles() {
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

    public void editLayout(String name, UnaryOperator<RunLayout> change) {
        edit(name, job -> job.editing(groupId(), change));
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

    /** The ways to be seen side by side, each with the quilt planned so; those that no longer divide their runs are left out. */
    public List<Way> waysCompared() {
        GroupId looked = groupId();
        return compared.stream()
                .map(schools -> planner.planAgain(job().choosing(schools)))
                .flatMap(plan -> plan.group(looked).stream().map(g -> new Way(g.chosen(), plan)))
                .toList();
    }

    /** Whether candidates are seen side by side. */
    public BooleanProperty comparingProperty() {
        return comparing;
    }

    /** Which runs a candidate is chosen for. */
    /** The sides that {@link Scope#PICKED} means. */
    public ObservableSet<Side> picked() {
        return picked;
    }

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
