package jollyspindle.desktop.control;

import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunId;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.geometry.Point2D;
import javafx.scene.layout.Region;

/** What of the quilt is seen on the table, and how large. */
final class TableSight {

    private static final double CLOSEST = 250;
    static final double ZOOM = 1.25;
    private static final double MARGIN = 24;
    private static final double CALLOUT = 310;
    private static final double CALLOUT_HEIGHT = 440;

    /** How much smaller a quilt may be drawn to leave room beside it. */
    private static final double SHRINK = 1.2;

    private final Workbench bench;
    private final Look look;
    private final Region table;
    private final Runnable draw;
    private final ReadOnlyBooleanWrapper roomBeside = new ReadOnlyBooleanWrapper();
    private View view = new View(5, 0, 0);
    private double kept;
    private boolean fitted = true;

    /** Whether the piece of an area is shown by itself. */
    private boolean onPiece;

    /**
     * A sight of the whole quilt.
     *
     * @param table it is seen on
     * @param draw has the table drawn anew
     */
    TableSight(Workbench bench, Look look, Region table, Runnable draw) {
        this.bench = bench;
        this.look = look;
        this.table = table;
        this.draw = draw;
    }

    /** Whether all of the quilt, or of a piece, is seen, whatever size the table has. */
    boolean isFitted() {
        return fitted;
    }

    /** An area is looked at by itself; turning away from it shows the quilt again. */
    void turn(boolean toArea) {
        onPiece = toArea;
        refit();
    }

    /** Moves the quilt from where it was seen. */
    void move(View from, double dx, double dy) {
        view = from;
        pan(dx, dy);
    }

    /** Shows the whole quilt. */
    void fit() {
        onPiece = false;
        refit();
    }

    /** Shows the whole quilt, or the piece of an area that is looked at with the tape bent round it. */
    void refit() {
        fitted = true;
        Optional<QuiltShape> shape = bench.plan().shape();
        Optional<AreaPlan.Piece> piece = onPiece && isOnArea() ? bench.areas().piece() : Optional.empty();
        if (shape.isPresent() && piece.isPresent()) {
            show(piece.get());
        } else if (shape.isPresent()) {
            // A tall quilt leaves room beside it for what is said about it.
            List<Point> outer = shape.get().outer();
            boolean beside = hasCallout()
                    && extent(outer, true) * (table.getHeight() - 2 * MARGIN)
                            <= extent(outer, false) * (table.getWidth() - callout() - 2 * MARGIN) * SHRINK;
            show(outer, beside);
        } else {
            show(List.of(new Point(-42, -48), new Point(42, 48)), false);
        }
        draw.run();
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
        boolean read = !bench.areas().rays().isEmpty() && ProtractorTape.isRead(table.getWidth());
        boolean body = bench.areas().area().orElse(null) instanceof Area.Body
                && bench.areas().rays().isEmpty();
        double above = body ? MARGIN : band + (read ? ProtractorTape.READINGS * type : 4);
        double beside = body ? MARGIN : band + (read ? ProtractorTape.READINGS_BESIDE * type : 4);
        double room = Math.min(table.getWidth() / 2 - beside, table.getHeight() / 2 - above);
        double scale = Math.max(0.2, room / reach(piece.cloth()));
        Point centre = piece.cloth().centre();
        view = new View(scale, table.getWidth() / 2 - scale * centre.x(), table.getHeight() / 2 + scale * centre.y());
    }

    private void show(List<Point> points, boolean beside) {
        double left = points.stream().mapToDouble(Point::x).min().orElseThrow();
        double low = points.stream().mapToDouble(Point::y).min().orElseThrow();
        double width = extent(points, true);
        double height = extent(points, false);
        roomBeside.set(beside);
        kept = beside ? callout() : 0;
        double room = table.getWidth() - kept;
        double scale = Math.max(0.2, Math.min((room - 2 * MARGIN) / width, (table.getHeight() - 2 * MARGIN) / height));
        view = new View(
                scale, room / 2 - scale * (left + width / 2), table.getHeight() / 2 + scale * (low + height / 2));
    }

    /** From the centre of a piece to its furthest place, in inches. */
    static double reach(AreaPlan.Cloth cloth) {
        return cloth.outline().curves().stream()
                .flatMap(c -> Stream.of(c.start(), c.at(0.5)))
                .mapToDouble(cloth.centre()::distance)
                .max()
                .orElse(1);
    }

    /** Shows the chosen side's border, or the piece of an area that is looked at, as large as it goes. */
    void zoomToSide() {
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
            show(region, hasCallout() && upright && table.getWidth() > 2 * callout());
            draw.run();
        });
    }

    /** Shows the corner at the chosen side's left end large, with a few repeats beside it. */
    void zoomToCorner() {
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
                    draw.run();
                });
    }

    private boolean hasCallout() {
        return bench.stageProperty().get() == WorkStage.LAY_OUT
                && table.getHeight() >= CALLOUT_HEIGHT * look.scaleProperty().get();
    }

    private double callout() {
        return CALLOUT * look.scaleProperty().get();
    }

    /** Where a place of the quilt's is seen, on the screen. */
    Point2D onScreen(Point place) {
        return table.localToScreen(view.x(place), view.y(place));
    }

    /** From the quilt to the table, as it is shown now. */
    View view() {
        return view;
    }

    /** Whether room is left at the right of the table to say something about what is shown. */
    ReadOnlyBooleanProperty roomBesideProperty() {
        return roomBeside.getReadOnlyProperty();
    }

    private static double extent(List<Point> points, boolean across) {
        double most =
                points.stream().mapToDouble(p -> across ? p.x() : p.y()).max().orElseThrow();
        double least =
                points.stream().mapToDouble(p -> across ? p.x() : p.y()).min().orElseThrow();
        return most - least;
    }

    /** Zooms about what is pointed at or placed, or about the middle of what is free; so many steps closer. */
    void zoom(int steps) {
        Optional<Point> subject = Optional.ofNullable(
                        bench.selection().placementProperty().get())
                .map(placement -> middle(placement))
                .or(() -> Optional.ofNullable(
                                bench.selection().pointedProperty().get())
                        .map(Mark::place));
        double x = subject.map(view::x).orElse((table.getWidth() - kept) / 2);
        double y = subject.map(view::y).orElse(table.getHeight() / 2);
        zoom(Math.pow(ZOOM, steps), x, y);
    }

    void zoom(double factor, double x, double y) {
        double scale = Math.max(0.5, Math.min(CLOSEST, view.scale() * factor));
        double real = scale / view.scale();
        view = new View(scale, x + (view.originX() - x) * real, y + (view.originY() - y) * real);
        fitted = false;
        draw.run();
    }

    void pan(double dx, double dy) {
        view = new View(view.scale(), view.originX() + dx, view.originY() + dy);
        fitted = false;
        draw.run();
    }

    private static Point middle(Placement placement) {
        return placement.curves().get(placement.curves().size() / 2).at(0.5);
    }
}
