package jollyspindle.desktop.control;

import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.AreaSelection;
import jollyspindle.desktop.model.Gesture;
import jollyspindle.desktop.model.Knob;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.geometry.Point2D;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Rectangle;

/**
 * The quilt on the worktable, drawn to scale: cloth, seams, reserve, stitch lines, marks, and the template as it lies for
 * the placement shown. Dragged to move, scrolled to zoom; a side is chosen by a click.
 */
public final class QuiltTable extends Pane {

    private static final double CLOSEST = 250;
    private static final double ZOOM = 1.25;
    private static final double PAN = 60;
    private static final double REACH = 14;
    private static final double MARGIN = 24;
    private static final double CALLOUT = 310;
    private static final double CALLOUT_HEIGHT = 440;

    /** How much smaller a quilt may be drawn to leave room beside it. */
    private static final double SHRINK = 1.2;

    private final Workbench bench;
    private final Look look;
    private final Canvas canvas = new Canvas();

    /** Made when it is first shown, since a tooltip brings all that controls need along. */
    private Tooltip handleTip;

    private final Consumer<Dimension> measure;
    private final ReadOnlyBooleanWrapper roomBeside = new ReadOnlyBooleanWrapper();
    private View view = new View(5, 0, 0);
    private double kept;
    private boolean fitted = true;
    private Optional<QuiltShape> shape;

    /** Whether the piece of an area is shown by itself. */
    private boolean onPiece;

    private double pressedX;
    private double pressedY;
    private View pressedView;
    private final OneButton button = new OneButton();
    private Knob taken;
    private OptionalInt takenApplique = OptionalInt.empty();
    private String takenName;
    private Gesture gesture;
    private Runnable drawn = () -> {};
    private boolean sized;
    private final Soon soon = new Soon(this, this::paint);

    /**
     * A table for a workbench.
     *
     * @param measure what to do when a side is clicked to be measured
     */
    public QuiltTable(Workbench bench, Look look, Consumer<Dimension> measure) {
        this.bench = bench;
        this.look = look;
        this.measure = measure;
        setId("quilt-table");
        getStyleClass().add("quilt-table");
        setFocusTraversable(true);
        getChildren().add(canvas);
        canvas.widthProperty().bind(widthProperty());
        canvas.heightProperty().bind(heightProperty());
        Rectangle clip = new Rectangle();
        clip.widthProperty().bind(widthProperty());
        clip.heightProperty().bind(heightProperty());
        setClip(clip);
        widthProperty().addListener(o -> sized());
        heightProperty().addListener(o -> sized());
        shape = bench.plan().shape();
        // Not told what the plan was: whoever wants to be is told only after all of it is compared with what it is.
        bench.planProperty().addListener(o -> {
            Optional<QuiltShape> next = bench.plan().shape();
            boolean reshaped = !next.equals(shape);
            shape = next;
            if (fitted || reshaped) {
                refit();
            }
            draw();
        });
        bench.selection().whereProperty().addListener(o -> draw());
        bench.areas().drawnProperty().addListener(o -> draw());
        bench.areas().lookedProperty().addListener((o, was, now) -> {
            // An area is looked at by itself; turning away from it shows the quilt again.
            onPiece = now != null;
            refit();
        });
        bench.stageProperty().addListener(o -> resized());
        bench.selection().pointedProperty().addListener(o -> draw());
        bench.selection().placementProperty().addListener(o -> draw());
        look.darkProperty().addListener(o -> draw());
        look.scaleProperty().addListener(o -> resized());
        focusedProperty().addListener(o -> draw());
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnMouseReleased(this::release);
        setOnMouseClicked(this::click);
        setOnMouseMoved(e -> {
            Optional<Knob> handle = handleAt(e.getX(), e.getY());
            setCursor(handle.isPresent() ? Cursor.HAND : Cursor.DEFAULT);
            if (handleTip != null) {
                Tooltip.uninstall(this, handleTip);
            }
            handle.ifPresent(h -> {
                if (handleTip == null) {
                    handleTip = new Tooltip();
                }
                handleTip.setText("Drag: " + h.name());
                Tooltip.install(this, handleTip);
            });
            // A knob may stand on a mark, which is still what is pointed at.
            bench.selection().pointedProperty().set(markAt(e.getX(), e.getY()).orElse(null));
        });
        setOnMouseExited(e -> bench.selection().pointedProperty().set(null));
        setOnScroll(this::scroll);
        setOnKeyPressed(this::key);
    }

    // --- what is shown -----------------------------------------------------------------------------------------

    private void resized() {
        if (fitted) {
            refit();
        }
        draw();
    }

    /** Shows the whole quilt. */
    public void fit() {
        onPiece = false;
        refit();
    }

    /** Shows the whole quilt, or the piece of an area that is looked at with the tape bent round it. */
    private void refit() {
        fitted = true;
        Optional<QuiltShape> shape = bench.plan().shape();
        Optional<AreaPlan.Piece> piece = onPiece && isOnArea() ? bench.areas().piece() : Optional.empty();
        if (shape.isPresent() && piece.isPresent()) {
            show(piece.get());
        } else if (shape.isPresent()) {
            // A tall quilt leaves room beside it for what is said about it.
            List<Point> outer = shape.get().outer();
            boolean beside = hasCallout()
                    && extent(outer, true) * (getHeight() - 2 * MARGIN)
                            <= extent(outer, false) * (getWidth() - callout() - 2 * MARGIN) * SHRINK;
            show(outer, beside);
        } else {
            show(List.of(new Point(-42, -48), new Point(42, 48)), false);
        }
        draw();
    }

    private boolean isOnArea() {
        WorkStage stage = bench.stageProperty().get();
        return bench.areas().isLooked() && (stage == WorkStage.LAY_OUT || stage == WorkStage.MARK);
    }

    /** The piece of an area with room for the tape bent round it. */
    private void show(AreaPlan.Piece piece) {
        roomBeside.set(false);
        kept = 0;
        double type = look.scaleProperty().get();
        double band = ProtractorTape.BAND * type + ProtractorTape.GAP;
        boolean read = !bench.areas().rays().isEmpty() && ProtractorTape.isRead(getWidth());
        boolean body = bench.areas().area().orElse(null) instanceof Area.Body
                && bench.areas().rays().isEmpty();
        double above = body ? MARGIN : band + (read ? ProtractorTape.READINGS * type : 4);
        double beside = body ? MARGIN : band + (read ? ProtractorTape.READINGS_BESIDE * type : 4);
        double room = Math.min(getWidth() / 2 - beside, getHeight() / 2 - above);
        double scale = Math.max(0.2, room / reach(piece.cloth()));
        Point centre = piece.cloth().centre();
        view = new View(scale, getWidth() / 2 - scale * centre.x(), getHeight() / 2 + scale * centre.y());
    }

    /** From the centre of a piece to its furthest place, in inches. */
    static double reach(AreaPlan.Cloth cloth) {
        return cloth.outline().curves().stream()
                .flatMap(c -> Stream.of(c.start(), c.at(0.5)))
                .mapToDouble(cloth.centre()::distance)
                .max()
                .orElse(1);
    }

    /** Says what else is to be drawn whenever the table is. */
    void setOnDrawn(Runnable then) {
        drawn = then;
    }

    /** Shows the chosen side's border, or the piece of an area that is looked at, as large as it goes. */
    public void zoomToSide() {
        if (isOnArea()) {
            onPiece = true;
            refit();
            return;
        }
        bench.plan().shape().ifPresent(shape -> {
            fitted = false;
            RunId run = bench.selection().whereProperty().get();
            if (shape.find(run).isEmpty()) {
                return;
            }
            List<Point> region = shape.region(run);
            boolean upright = extent(region, false) > extent(region, true);
            show(region, hasCallout() && upright && getWidth() > 2 * callout());
            draw();
        });
    }

    /** Shows the corner at the chosen side's left end large, with a few repeats beside it. */
    public void zoomToCorner() {
        bench.plan()
                .shape()
                .flatMap(shape -> shape.find(bench.selection().whereProperty().get()))
                .ifPresent(frame -> {
                    fitted = false;
                    double deep = frame.depth();
                    double along = Math.min(frame.length(), 4 * deep);
                    show(
                            List.of(
                                    frame.place(-deep, deep),
                                    frame.place(along, deep),
                                    frame.place(-deep, -2 * deep),
                                    frame.place(along, -2 * deep)),
                            false);
                    draw();
                });
    }

    private boolean hasCallout() {
        return bench.stageProperty().get() == WorkStage.LAY_OUT
                && getHeight() >= CALLOUT_HEIGHT * look.scaleProperty().get();
    }

    private double callout() {
        return CALLOUT * look.scaleProperty().get();
    }

    /** Where a place of the quilt's is seen, on the screen. */
    public Point2D onScreen(Point place) {
        return localToScreen(view.x(place), view.y(place));
    }

    /** From the quilt to the table, as it is shown now. */
    View view() {
        return view;
    }

    /** Whether room is left at the right of the table to say something about what is shown. */
    public ReadOnlyBooleanProperty roomBesideProperty() {
        return roomBeside.getReadOnlyProperty();
    }

    private static double extent(List<Point> points, boolean across) {
        double most =
                points.stream().mapToDouble(p -> across ? p.x() : p.y()).max().orElseThrow();
        double least =
                points.stream().mapToDouble(p -> across ? p.x() : p.y()).min().orElseThrow();
        return most - least;
    }

    private void show(List<Point> points, boolean beside) {
        double left = points.stream().mapToDouble(Point::x).min().orElseThrow();
        double low = points.stream().mapToDouble(Point::y).min().orElseThrow();
        double width = extent(points, true);
        double height = extent(points, false);
        roomBeside.set(beside);
        kept = beside ? callout() : 0;
        double room = getWidth() - kept;
        double scale = Math.max(0.2, Math.min((room - 2 * MARGIN) / width, (getHeight() - 2 * MARGIN) / height));
        view = new View(scale, room / 2 - scale * (left + width / 2), getHeight() / 2 + scale * (low + height / 2));
    }

    /** Zooms about what is pointed at or placed, or about the middle of what is free; so many steps closer. */
    public void zoom(int steps) {
        Optional<Point> subject = Optional.ofNullable(
                        bench.selection().placementProperty().get())
                .map(placement -> middle(placement))
                .or(() -> Optional.ofNullable(
                                bench.selection().pointedProperty().get())
                        .map(Mark::place));
        double x = subject.map(view::x).orElse((getWidth() - kept) / 2);
        double y = subject.map(view::y).orElse(getHeight() / 2);
        zoom(Math.pow(ZOOM, steps), x, y);
    }

    private void zoom(double factor, double x, double y) {
        double scale = Math.max(0.5, Math.min(CLOSEST, view.scale() * factor));
        double real = scale / view.scale();
        view = new View(scale, x + (view.originX() - x) * real, y + (view.originY() - y) * real);
        fitted = false;
        draw();
    }

    private void pan(double dx, double dy) {
        view = new View(view.scale(), view.originX() + dx, view.originY() + dy);
        fitted = false;
        draw();
    }

    // --- mouse and keys ----------------------------------------------------------------------------------------

    private void press(MouseEvent e) {
        if (!button.presses(e)) {
            return;
        }
        letGo();
        pressedX = e.getX();
        pressedY = e.getY();
        pressedView = view;
        boolean takes = button.isPrimary();
        taken = takes ? handleAt(e.getX(), e.getY()).orElse(null) : null;
        takenApplique =
                takes && taken == null ? bench.areas().appliqueAt(view.place(e.getX(), e.getY())) : OptionalInt.empty();
        requestFocus();
    }

    private Optional<Knob> handleAt(double x, double y) {
        return bench.handles().stream()
                .filter(h -> away(h, x, y) < REACH)
                .min(Comparator.comparingDouble(h -> away(h, x, y)));
    }

    private double away(Knob handle, double x, double y) {
        return Math.hypot(view.x(handle.place()) - x, view.y(handle.place()) - y);
    }

    /** The number follows the mouse, a tick of the tape at a time. */
    private void dragHandle(MouseEvent e) {
        double tick = bench.job().tape().tick();
        double number = Math.rint(taken.number(view.place(e.getX(), e.getY())) / tick) * tick;
        taken.changed().apply(number).ifPresent(change -> {
            takenName = taken.name() + " " + bench.words().exact(number);
            gesture().to(change);
        });
    }

    /** The drag that has begun, from its first step. */
    private Gesture gesture() {
        if (gesture == null) {
            gesture = bench.begin();
        }
        return gesture;
    }

    private void release(MouseEvent e) {
        if (button.releases(e)) {
            if (gesture != null) {
                gesture.keep(takenName);
            }
            letGo();
        }
    }

    private void letGo() {
        if (gesture != null) {
            gesture.drop();
        }
        gesture = null;
        pressedView = null;
        taken = null;
        takenApplique = OptionalInt.empty();
        takenName = null;
    }

    private void drag(MouseEvent e) {
        if (taken != null) {
            dragHandle(e);
        } else if (takenApplique.isPresent()) {
            takenName = bench.areas()
                    .moveApplique(
                            gesture(),
                            takenApplique.getAsInt(),
                            view.place(e.getX(), e.getY()).minus(view.place(pressedX, pressedY)))
                    .orElse(takenName);
        } else if (pressedView != null) {
            view = pressedView;
            pan(e.getX() - pressedX, e.getY() - pressedY);
        }
    }

    private void click(MouseEvent e) {
        if (!e.isStillSincePress() || e.getButton() != MouseButton.PRIMARY) {
            return;
        }
        Point place = view.place(e.getX(), e.getY());
        if (bench.areas().drawnProperty().get().isPresent()) {
            bench.areas().addCorner(place);
            return;
        }
        Optional<RunFrame> over = runAt(place);
        boolean laying = bench.stageProperty().get() != WorkStage.MEASURE;
        Optional<AreaSelection.Looked> area =
                laying && over.isEmpty() ? bench.areas().at(place) : Optional.empty();
        if (area.isPresent()) {
            bench.areas().choose(area.get().id(), area.get().piece());
            nearest(bench.areas().placements(), place)
                    .ifPresent(bench.selection().placementProperty()::set);
            return;
        }
        over.ifPresent(run -> {
            bench.selection().choose(run.id());
            if (bench.stageProperty().get() == WorkStage.MEASURE) {
                run.id().side().ifPresent(side -> measure.accept(Dimension.body(side)));
            } else {
                placementAt(run.id(), place).ifPresent(bench.selection().placementProperty()::set);
            }
        });
    }

    private void scroll(ScrollEvent e) {
        if (e.getDeltaY() != 0) {
            zoom(e.getDeltaY() > 0 ? ZOOM : 1 / ZOOM, e.getX(), e.getY());
        }
        e.consume();
    }

    private void key(KeyEvent e) {
        if (bench.areas().drawnProperty().get().isPresent() && drawing(e)) {
            e.consume();
            return;
        }
        switch (e.getCode()) {
            case LEFT -> pan(PAN, 0);
            case RIGHT -> pan(-PAN, 0);
            case UP -> pan(0, PAN);
            case DOWN -> pan(0, -PAN);
            case PLUS, ADD, EQUALS -> zoom(1);
            case MINUS, SUBTRACT -> zoom(-1);
            case DIGIT0, NUMPAD0, HOME -> fit();
            case ESCAPE -> {
                if (!bench.isPreviewing()) {
                    return;
                }
                bench.dropGesture();
            }
            default -> {
                return;
            }
        }
        e.consume();
    }

    /** Keys while an appliqué is drawn; whether this was one. */
    private boolean drawing(KeyEvent e) {
        switch (e.getCode()) {
            case ENTER -> bench.areas().closeDrawing();
            case BACK_SPACE, DELETE -> bench.areas().takeCornerBack();
            case ESCAPE -> bench.areas().giveUpDrawing();
            default -> {
                return false;
            }
        }
        return true;
    }

    private Optional<Mark> markAt(double x, double y) {
        Stream<Mark> marks = bench.areas().isLooked()
                ? bench.areas().marks().stream()
                : bench.plan().runs().stream().flatMap(r -> r.laidOut().marks().stream());
        return marks.filter(m -> m.kind() != Mark.Kind.CENTRE)
                .filter(m -> away(m, x, y) < REACH)
                .min(Comparator.comparingDouble(m -> away(m, x, y)));
    }

    private double away(Mark mark, double x, double y) {
        return Math.hypot(view.x(mark.place()) - x, view.y(mark.place()) - y);
    }

    /** The run under a place: a strip before the border it may lie on, an inner border before one further out. */
    private Optional<RunFrame> runAt(Point place) {
        return bench.plan().shape().flatMap(shape -> Stream.concat(
                        shape.strips().stream(), shape.rings().stream().flatMap(r -> r.runs().values().stream()))
                .filter(frame -> {
                    Point from = place.minus(frame.origin());
                    double along = from.dot(frame.along());
                    double across = from.dot(frame.outward());
                    // A strip ends where it ends; a border goes on round its corners.
                    double beyond = frame.id().side().isPresent() ? frame.depth() : 0;
                    return across > -12 / view.scale()
                            && across < frame.depth()
                            && along > -beyond
                            && along < frame.length() + beyond;
                })
                .findFirst());
    }

    private static Point middle(Placement placement) {
        return placement.curves().get(placement.curves().size() / 2).at(0.5);
    }

    private Optional<Placement> placementAt(RunId run, Point place) {
        return nearest(bench.plan().placements(run), place);
    }

    private static Optional<Placement> nearest(List<Placement> placements, Point place) {
        return placements.stream().min(Comparator.comparingDouble(p -> p.path().distance(place)));
    }

    /** At another size it is drawn at once, or it would be seen empty. */
    private void sized() {
        sized = true;
        resized();
    }

    @Override
    protected void layoutChildren() {
        super.layoutChildren();
        if (sized) {
            sized = false;
            soon.now();
        }
    }

    /** Has it drawn anew, once for all that changes until then. */
    private void draw() {
        soon.ask();
    }

    private void paint() {
        new QuiltPainter(bench, look, canvas.getGraphicsContext2D(), view, getWidth(), getHeight()).paint(isFocused());
        drawn.run();
        setAccessibleText(
                bench.plan().shape().isPresent()
                        ? "The quilt to scale. Arrow keys move it, plus and minus zoom, 0 fits it."
                        : "The worktable, empty until the quilt is measured.");
    }
}
