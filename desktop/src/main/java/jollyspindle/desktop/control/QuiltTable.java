package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.quilt.AreaId;
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
import jollyspindle.desktop.words.Said;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
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
    private static final double PAN = 60;
    private static final double REACH = 14;

    private final Workbench bench;
    private final Look look;
    private final Canvas canvas = new Canvas();

    /** Made when it is first shown, since a tooltip brings all that controls need along. */
    private Tooltip handleTip;

    private final Consumer<Dimension> measure;
    private Optional<QuiltShape> shape;

    private double pressedX;
    private double pressedY;
    private View pressedView;
    private final OneButton button = new OneButton();
    private Knob taken;
    private Optional<AreaId> takenApplique = Optional.empty();
    private String takenName;
    private Gesture gesture;
    private Runnable drawn = () -> {};
    private boolean sized;
    private final Soon soon = new Soon(this, this::paint);
    private final TableSight sight;

    /** Whether the quilt is shown as it will look, and not as a drawing. */
    private final BooleanProperty asCloth = new SimpleBooleanProperty();

    private final ClothLayer cloth = new ClothLayer(this::draw);

    /**
     * A table for a workbench.
     *
     * @param measure what to do when a side is clicked to be measured
     */
    public QuiltTable(Workbench bench, Look look, Consumer<Dimension> measure) {
        this.bench = bench;
        this.look = look;
        this.measure = measure;
        sight = new TableSight(bench, look, this, this::draw);
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
            if (sight.isFitted() || reshaped) {
                sight.refit();
            }
            draw();
        });
        bench.selection().whereProperty().addListener(o -> draw());
        bench.areas().drawnProperty().addListener(o -> draw());
        bench.areas().lookedProperty().addListener((o, was, now) -> sight.turn(now != null));
        bench.stageProperty().addListener(o -> resized());
        bench.selection().pointedProperty().addListener(o -> draw());
        bench.selection().placementProperty().addListener(o -> draw());
        look.darkProperty().addListener(o -> draw());
        asCloth.addListener(o -> {
            cloth.forget();
            draw();
        });
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
                handleTip.setText(Said.say("table.drag", "what", h.name()));
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
        if (sight.isFitted()) {
            sight.refit();
        }
        draw();
    }

    /** Whether the quilt is to be shown as it will look, wherever nothing is measured or marked. */
    public BooleanProperty asClothProperty() {
        return asCloth;
    }

    /** Whether it is shown so now. */
    boolean isCloth() {
        return asCloth.get() && bench.stageProperty().get() == WorkStage.LAY_OUT;
    }

    /** Says what else is to be drawn whenever the table is. */
    void setOnDrawn(Runnable then) {
        drawn = then;
    }

    // --- mouse and keys ----------------------------------------------------------------------------------------

    /** Shows the whole quilt. */
    public void fit() {
        sight.fit();
    }

    /** Shows the chosen side's border, or the piece of an area that is looked at, as large as it goes. */
    public void zoomToSide() {
        sight.zoomToSide();
    }

    /** Shows the corner at the chosen side's left end large, with a few repeats beside it. */
    public void zoomToCorner() {
        sight.zoomToCorner();
    }

    /** Zooms about what is pointed at or placed, or about the middle of what is free; so many steps closer. */
    public void zoom(int steps) {
        sight.zoom(steps);
    }

    /** Where a place of the quilt's is seen, on the screen. */
    public Point2D onScreen(Point place) {
        return sight.onScreen(place);
    }

    /** From the quilt to the table, as it is shown now. */
    View view() {
        return sight.view();
    }

    /** Whether room is left at the right of the table to say something about what is shown. */
    public ReadOnlyBooleanProperty roomBesideProperty() {
        return sight.roomBesideProperty();
    }

    private void press(MouseEvent e) {
        if (!button.presses(e)) {
            return;
        }
        letGo();
        pressedX = e.getX();
        pressedY = e.getY();
        pressedView = sight.view();
        boolean takes = button.isPrimary();
        taken = takes ? handleAt(e.getX(), e.getY()).orElse(null) : null;
        takenApplique = takes && taken == null
                ? bench.areas().appliqueAt(sight.view().place(e.getX(), e.getY()))
                : Optional.empty();
        requestFocus();
    }

    private Optional<Knob> handleAt(double x, double y) {
        return bench.handles().stream()
                .filter(h -> away(h, x, y) < REACH)
                .min(Comparator.comparingDouble(h -> away(h, x, y)));
    }

    private double away(Knob handle, double x, double y) {
        return Math.hypot(sight.view().x(handle.place()) - x, sight.view().y(handle.place()) - y);
    }

    /** The number follows the mouse, a tick of the tape at a time. */
    private void dragHandle(MouseEvent e) {
        double tick = bench.job().tape().tick();
        double number = Math.rint(taken.number(sight.view().place(e.getX(), e.getY())) / tick) * tick;
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
        takenApplique = Optional.empty();
        takenName = null;
    }

    private void drag(MouseEvent e) {
        if (taken != null) {
            dragHandle(e);
        } else if (takenApplique.isPresent()) {
            takenName = bench.areas()
                    .moveApplique(
                            gesture(),
                            takenApplique.get(),
                            sight.view()
                                    .place(e.getX(), e.getY())
                                    .minus(sight.view().place(pressedX, pressedY)))
                    .orElse(takenName);
        } else if (pressedView != null) {
            sight.move(pressedView, e.getX() - pressedX, e.getY() - pressedY);
        }
    }

    private void click(MouseEvent e) {
        if (!e.isStillSincePress() || e.getButton() != MouseButton.PRIMARY) {
            return;
        }
        Point place = sight.view().place(e.getX(), e.getY());
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
            sight.zoom(e.getDeltaY() > 0 ? TableSight.ZOOM : 1 / TableSight.ZOOM, e.getX(), e.getY());
        }
        e.consume();
    }

    private void key(KeyEvent e) {
        if (bench.areas().drawnProperty().get().isPresent() && drawing(e)) {
            e.consume();
            return;
        }
        switch (e.getCode()) {
            case LEFT -> sight.pan(PAN, 0);
            case RIGHT -> sight.pan(-PAN, 0);
            case UP -> sight.pan(0, PAN);
            case DOWN -> sight.pan(0, -PAN);
            case PLUS, ADD, EQUALS -> sight.zoom(1);
            case MINUS, SUBTRACT -> sight.zoom(-1);
            case DIGIT0, NUMPAD0, HOME -> sight.fit();
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
        return Math.hypot(sight.view().x(mark.place()) - x, sight.view().y(mark.place()) - y);
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
                    return across > -12 / sight.view().scale()
                            && across < frame.depth()
                            && along > -beyond
                            && along < frame.length() + beyond;
                })
                .findFirst());
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
        new QuiltPainter(bench, look, canvas.getGraphicsContext2D(), sight.view(), getWidth(), getHeight())
                .paint(isFocused(), isCloth() ? Optional.of(cloth) : Optional.empty());
        drawn.run();
        setAccessibleText(
                bench.plan().shape().isPresent()
                        ? "The quilt to scale. Arrow keys move it, plus and minus zoom, 0 fits it."
                        : "The worktable, empty until the quilt is measured.");
    }
}
