package jollyspindle.desktop.model;

import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.collections.FXCollections;
import javafx.collections.ObservableSet;

/** What is looked at and pointed at on the runs, on the tape and on the table; a choice of the quilter's that is no part of the job. */
public final class Selection {

    private final ObjectProperty<RunId> where = new SimpleObjectProperty<>(RunId.of(Side.TOP));
    private final ObjectProperty<Zero> zero = new SimpleObjectProperty<>(Zero.LEFT);
    private final ObjectProperty<Mark> zeroMark = new SimpleObjectProperty<>();
    private final ObjectProperty<Scope> scope = new SimpleObjectProperty<>(Scope.ALL);
    private final ObservableSet<Side> picked = FXCollections.observableSet(EnumSet.noneOf(Side.class));
    private final ObjectProperty<Mark> pointed = new SimpleObjectProperty<>();
    private final ObjectProperty<Placement> placement = new SimpleObjectProperty<>();

    private final Workbench bench;

    Selection(Workbench bench) {
        this.bench = bench;
    }

    /** Turns to another run where the one that is looked at has gone. */
    void follow(QuiltJob job) {
        List<GroupId> groups = job.quilt().groups();
        if (groups.stream().noneMatch(where.get().group()::equals)) {
            where.set(
                    groups.isEmpty()
                            ? RunId.of(Side.TOP)
                            : job.quilt().runs(groups.get(0)).get(0));
        }
    }

    /**
     * Lets go what another plan may not have.
     *
     * @return what takes up again what was pointed at, where the next plan still has it
     */
    Consumer<WorkPlan> suspend() {
        Mark wasPointed = pointed.get();
        Placement wasPlaced = placement.get();
        letGo();
        return next -> {
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
        };
    }

    /** Turns to a side of the border that is looked at, or of the innermost one. */
    public void choose(Side side) {
        choose(where.get() instanceof RunId.BorderRun border ? RunId.of(border.border(), side) : RunId.of(side));
    }

    /** Turns to a run; what was pointed at on another, or in an area, is let go. */
    public void choose(RunId run) {
        if (bench.areas().isLooked()) {
            letGo();
            bench.areas().leave();
        }
        if (!where.get().equals(run)) {
            letGo();
            if (zero.get() == Zero.MARK) {
                zero.set(Zero.LEFT);
            }
            zeroMark.set(null);
            if (!run.group().equals(where.get().group())) {
                bench.comparison().clear();
            }
            where.set(run);
        }
    }

    /** Lets go what is pointed at and what lies on the table. */
    void letGo() {
        pointed.set(null);
        placement.set(null);
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
        return bench.areas().isLooked()
                ? bench.areas().placements()
                : bench.plan().placements(where.get());
    }

    /** Shows a placement of the chosen run, by its place from 0 in the order of stitching; nothing if there is none. */
    public void showPlacement(int index) {
        List<Placement> all = stepped();
        placement.set(index >= 0 && index < all.size() ? all.get(index) : null);
    }

    /** Points at the next mark of the chosen side, or the one before; from none, the first or the last. */
    public void stepMark(int step) {
        List<Mark> all = bench.areas().isLooked()
                ? bench.areas().marks()
                : bench.run().map(run -> run.laidOut().marks()).orElse(List.of());
        if (!all.isEmpty()) {
            int now = pointed.get() == null ? -1 : all.indexOf(pointed.get());
            int next = now < 0 ? (step > 0 ? 0 : all.size() - 1) : Math.max(0, Math.min(all.size() - 1, now + step));
            pointed.set(all.get(next));
        }
    }

    /** Lays the tape's zero at a mark of the chosen run. */
    public void layZero(Mark mark) {
        zeroMark.set(mark);
        zero.set(Zero.MARK);
    }

    /** Whether what is chosen holds for a run too. A strip stands alone. */
    public boolean inScope(RunId run) {
        return run.equals(where.get()) && run.side().isEmpty() || scope.get().takes(run, where.get(), picked);
    }

    /** The run that is looked at. */
    public ObjectProperty<RunId> whereProperty() {
        return where;
    }

    /** Which runs a candidate is chosen for. */
    public ObjectProperty<Scope> scopeProperty() {
        return scope;
    }

    /** The sides that {@link Scope#PICKED} means. */
    public ObservableSet<Side> picked() {
        return picked;
    }

    public ObjectProperty<Zero> zeroProperty() {
        return zero;
    }

    /** The mark the tape's zero lies at, if it lies at one. */
    public ReadOnlyObjectProperty<Mark> zeroMarkProperty() {
        return zeroMark;
    }

    /** The mark under the pointer, on the tape or on the table. */
    public ObjectProperty<Mark> pointedProperty() {
        return pointed;
    }

    /** The placement whose template is shown lying on the table. */
    public ObjectProperty<Placement> placementProperty() {
        return placement;
    }

    private static Optional<Mark> mark(WorkPlan plan, MarkId id) {
        return Stream.concat(
                        plan.runs().stream().flatMap(r -> r.laidOut().marks().stream()),
                        plan.areas().stream().flatMap(a -> a.marks().stream()))
                .filter(m -> m.id().equals(id))
                .findFirst();
    }
}
