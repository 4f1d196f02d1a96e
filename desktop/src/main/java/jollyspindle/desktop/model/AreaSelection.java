package jollyspindle.desktop.model;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaMotif;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.Ray;
import jollyspindle.core.area.RayMove;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.PieceId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.words.AreaWords;
import jollyspindle.desktop.words.Said;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The areas of the job on the table: which one is looked at, in which of its pieces, and what is changed there. */
public final class AreaSelection {

    /**
     * The piece of cloth that is looked at.
     *
     * @param id of the area
     * @param piece which of it, from 1
     */
    public record Looked(AreaId id, int piece) {}

    /** Kept round a drawn appliqué while nothing else is said, in inches. */
    private static final double DRAWN_CLEARANCE = 0.25;

    private final Workbench bench;
    private final ReadOnlyObjectWrapper<Optional<List<Point>>> drawn = new ReadOnlyObjectWrapper<>(Optional.empty());
    private final ReadOnlyObjectWrapper<Looked> looked = new ReadOnlyObjectWrapper<>();

    AreaSelection(Workbench bench) {
        this.bench = bench;
    }

    // --- which one ---------------------------------------------------------------------------------------------

    /** What is looked at; null while it is a border or a strip. */
    public ReadOnlyObjectProperty<Looked> lookedProperty() {
        return looked.getReadOnlyProperty();
    }

    public boolean isLooked() {
        return looked.get() != null;
    }

    /** The areas that something can be stitched in. */
    public List<AreaId> stitchable() {
        return stitchable(bench.job().quilt());
    }

    /** A quilt's areas that something can be stitched in. */
    public static List<AreaId> stitchable(Quilt quilt) {
        return quilt.areaIds().stream()
                .filter(id -> !(quilt.area(id).orElseThrow() instanceof Area.Applique))
                .toList();
    }

    /** Turns to a piece of an area; nothing happens if it isn't there. */
    public void choose(AreaId id, int piece) {
        if (stitchable().contains(id)) {
            Looked now = new Looked(id, piece);
            if (!now.equals(looked.get())) {
                bench.selection().letGo();
                looked.set(now);
            }
        }
    }

    /** Turns to the area that was looked at last, or the first there is. */
    public void chooseAny() {
        if (!isLooked() && !stitchable().isEmpty()) {
            choose(stitchable().get(0), 1);
        }
    }

    /** Turns away from areas. */
    void leave() {
        looked.set(null);
    }

    /** Forgets an area that isn't there any more, before the plan says so. */
    void follow(QuiltJob job) {
        Looked was = looked.get();
        if (was != null && !stitchable(job.quilt()).contains(was.id())) {
            looked.set(null);
        }
    }

    /** Forgets a piece that isn't there in the plan to come. */
    void follow(WorkPlan next) {
        Looked was = looked.get();
        if (was == null) {
            return;
        }
        List<AreaPlan.Piece> pieces = next.area(was.id()).map(AreaPlan::pieces).orElse(List.of());
        if (pieces.stream().noneMatch(p -> p.number() == was.piece())) {
            looked.set(pieces.isEmpty() ? null : new Looked(was.id(), 1));
        }
    }

    /** The piece under a place of the quilt, of what lies uppermost there. */
    public Optional<Looked> at(Point place) {
        Quilt quilt = bench.plan().job().quilt();
        if (bench.plan().shape().filter(shape -> inBody(shape, place)).isEmpty()) {
            return Optional.empty();
        }
        return bench.plan().areas().stream()
                .flatMap(a -> a.pieces().stream()
                        .filter(p -> p.cloth().outline().contains(place))
                        .map(p -> new Looked(a.id(), p.number())))
                .max(Comparator.comparing(
                        l -> quilt.area(l.id()).orElseThrow(), (a, b) -> a.isOver(b) ? 1 : b.isOver(a) ? -1 : 0));
    }

    private static boolean inBody(QuiltShape shape, Point place) {
        return Path.polygon(shape.body().corners()).contains(place);
    }

    // --- what is there -----------------------------------------------------------------------------------------

    public Optional<Area> area() {
        return Optional.ofNullable(looked.get())
                .flatMap(l -> bench.job().quilt().area(l.id()));
    }

    public Optional<AreaPlan> plan() {
        return Optional.ofNullable(looked.get()).flatMap(l -> bench.plan().area(l.id()));
    }

    public Optional<AreaPlan.Piece> piece() {
        return plan().flatMap(plan -> plan.pieces().stream()
                .filter(p -> p.number() == looked.get().piece())
                .findFirst());
    }

    public AreaDesign design() {
        return looked.get() == null
                ? AreaDesign.nothing()
                : bench.job().design(looked.get().id());
    }

    /** The letter of the piece that is looked at; A if it is left plain. */
    public char letter() {
        return piece().map(AreaPlan.Piece::letter)
                .filter(l -> l != AreaDesign.PLAIN)
                .orElse('A');
    }

    /** The placements in the piece, in order. */
    public List<Placement> placements() {
        return plan().map(plan -> plan.placements().stream()
                        .filter(p -> p.id().line().piece().equals(cloth(plan)))
                        .toList())
                .orElse(List.of());
    }

    /** The marks in the piece. */
    public List<Mark> marks() {
        return plan().map(plan -> plan.marks().stream()
                        .filter(m -> m.id().piece().equals(cloth(plan)))
                        .toList())
                .orElse(List.of());
    }

    private PieceId cloth(AreaPlan plan) {
        return plan.cloth(looked.get().piece());
    }

    /** What can be dragged in the piece. */
    List<Knob> knobs() {
        return piece().map(p -> AreaKnobs.of(looked.get().id(), design(), p)).orElse(List.of());
    }

    // --- changing it -------------------------------------------------------------------------------------------

    /**
     * Stitches the area so. Templates of the shelf that it takes come along.
     *
     * @param name what was done, as the undo command tells it
     */
    public void design(String name, AreaDesign design) {
        if (isLooked()) {
            AreaId id = looked.get().id();
            bench.design(name, id, job -> job.with(id, design));
        }
    }

    /** Stitches the pieces with the letter looked at otherwise. */
    public void editPart(String name, UnaryOperator<AreaDesign.Part> change) {
        design(name, design().with(letter(), change.apply(design().part(letter()))));
    }

    // --- rays --------------------------------------------------------------------------------------------------

    /** What templates are turned to in the piece that is looked at. */
    public Optional<AreaPlan.Turning> turning() {
        return plan().flatMap(plan -> piece().flatMap(p -> plan.turning(p.letter())));
    }

    public List<Ray> rays() {
        return turning().map(AreaPlan.Turning::rays).orElse(List.of());
    }

    /** The ray that the template on the table is laid on. */
    public Optional<Ray> ray() {
        Placement placement = bench.selection().placementProperty().get();
        return placement == null
                ? Optional.empty()
                : plan().flatMap(plan -> piece().flatMap(piece -> plan.ray(placement, piece)));
    }

    /** Shows how the template lies on a ray, by the ray's number; its first placement there. */
    public void showOn(int number) {
        plan().flatMap(plan -> piece().flatMap(piece -> placements().stream()
                        .filter(p -> plan.ray(p, piece)
                                .filter(r -> r.number() == number)
                                .isPresent())
                        .findFirst()))
                .ifPresent(bench.selection().placementProperty()::set);
    }

    /** Shows the next ray clockwise, or the one before; from none, the first or the last. */
    public void stepRay(int by) {
        List<Integer> clockwise = rays().stream()
                .sorted(Comparator.comparingDouble(Ray::angle))
                .map(Ray::number)
                .toList();
        if (!clockwise.isEmpty()) {
            int now = ray().map(r -> clockwise.indexOf(r.number())).orElse(by > 0 ? -1 : 0);
            showOn(clockwise.get(Math.floorMod(now + by, clockwise.size())));
        }
    }

    /** What stands round the piece's centre on its rays, the first such motif. */
    public Optional<AreaMotif.Counted> counted() {
        return design().part(letter()).layers().stream()
                .map(AreaDesign.Layer::motif)
                .filter(AreaMotif.Counted.class::isInstance)
                .map(AreaMotif.Counted.class::cast)
                .findFirst();
    }

    /** The design with another in place of the first that stands round the centre. */
    public Optional<AreaDesign> with(AreaMotif.Counted other) {
        AreaDesign.Part part = design().part(letter());
        return IntStream.range(0, part.layers().size())
                .filter(i -> part.layers().get(i).motif() instanceof AreaMotif.Counted)
                .boxed()
                .findFirst()
                .map(i -> design().with(
                                letter(),
                                part.withLayer(
                                        i,
                                        new AreaDesign.Layer(
                                                other, part.layers().get(i).templateId()))));
    }

    /** More of them round the centre, or fewer. */
    public void stepCount(int by) {
        counted().ifPresent(motif -> {
            int count = Math.max(motif.fewest(), Math.min(AreaMotif.MOST_ARMS, motif.count() + by));
            AreaMotif.Counted other = motif.withCount(count);
            with(other).ifPresent(d -> design(named(other), d));
        });
    }

    /** What a change of the number is called: {@code 12 arms}. */
    public static String named(AreaMotif.Counted motif) {
        return AreaWords.counted(motif);
    }

    /** Turns the first arm, in radians clockwise; nothing else is turned. */
    public void turnArms(double by) {
        counted().filter(AreaMotif.Arms.class::isInstance).ifPresent(motif -> {
            double turn = RayMove.turned(motif.turn() + by);
            with(((AreaMotif.Arms) motif).withTurn(turn))
                    .ifPresent(d -> design(Said.say("step.turn", "angle", turn), d));
        });
    }

    /** Shows a changed design while it is dragged. */
    public void preview(Gesture gesture, AreaDesign design) {
        AreaId id = Objects.requireNonNull(looked.get()).id();
        gesture.to(job -> job.with(id, design));
    }

    // --- drawing -----------------------------------------------------------------------------------------------

    /** The corners clicked so far of an appliqué that is being drawn; nothing while none is. */
    public ReadOnlyObjectProperty<Optional<List<Point>>> drawnProperty() {
        return drawn.getReadOnlyProperty();
    }

    public void beginDrawing() {
        drawn.set(Optional.of(List.of()));
    }

    public void giveUpDrawing() {
        drawn.set(Optional.empty());
    }

    /** Takes a place as the next corner, brought to the tape's ticks. */
    public void addCorner(Point place) {
        drawn.get().ifPresent(corners -> {
            double tick = bench.job().tape().tick();
            Point next = new Point(Math.rint(place.x() / tick) * tick, Math.rint(place.y() / tick) * tick);
            if (corners.size() < Area.MOST_CORNERS && !corners.contains(next)) {
                List<Point> more = new ArrayList<>(corners);
                more.add(next);
                drawn.set(Optional.of(List.copyOf(more)));
            }
        });
    }

    /** Takes the last corner back. */
    public void takeCornerBack() {
        drawn.get()
                .filter(corners -> !corners.isEmpty())
                .ifPresent(corners -> drawn.set(Optional.of(corners.subList(0, corners.size() - 1))));
    }

    /** Makes an appliqué of the corners; nothing happens while there are too few, or sides cross. */
    public void closeDrawing() {
        drawn.get().filter(c -> Area.Corners.difficulty(c).isEmpty()).ifPresent(corners -> {
            drawn.set(Optional.empty());
            Area applique = new Area.Applique(new Area.Corners(corners), DRAWN_CLEARANCE);
            bench.editQuilt("an appliqué drawn", quilt -> quilt.adding(applique));
        });
    }

    /** The appliqué under a place while the quilt is measured, to be dragged elsewhere. */
    public Optional<AreaId> appliqueAt(Point place) {
        Quilt quilt = bench.job().quilt();
        return bench.stageProperty().get() == WorkStage.MEASURE && drawn.get().isEmpty()
                ? quilt.areaIds().stream()
                        .filter(id -> quilt.area(id).orElseThrow() instanceof Area.Applique)
                        .filter(id -> Optional.ofNullable(
                                        bench.plan().appliques().get(id))
                                .filter(outline -> outline.contains(place))
                                .isPresent())
                        .findFirst()
                : Optional.empty();
    }

    /**
     * Shows an appliqué elsewhere while it is dragged.
     *
     * @param by how far from where it was when it was taken; brought to the tape's ticks
     * @return what is done, as the undo command tells it; nothing while it hasn't moved
     */
    public Optional<String> moveApplique(Gesture gesture, AreaId id, Point by) {
        double tick = bench.job().tape().tick();
        Point ticks = new Point(Math.rint(by.x() / tick) * tick, Math.rint(by.y() / tick) * tick);
        gesture.to(job -> {
            if (!(job.quilt().area(id).orElse(null) instanceof Area.Applique was)) {
                // It was taken out while the button was down.
                return job;
            }
            Area moved = new Area.Applique(was.outline().moved(ticks), was.clearance());
            return job.withQuilt(job.quilt().with(id, moved));
        });
        return Optional.of("the appliqué moved");
    }
}
