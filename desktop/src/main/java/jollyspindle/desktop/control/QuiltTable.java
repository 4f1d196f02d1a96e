package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.quilt.BodyShape;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.TextAlignment;

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

    private static final double[] DOTS = {1.5, 4};
    private static final double[] DASHES = {7, 4};
    private static final double[] MARK_DASHES = {4, 3};

    private final Workbench bench;
    private final Look look;
    private final Canvas canvas = new Canvas();
    private final Consumer<Dimension> measure;
    private final ReadOnlyBooleanWrapper roomBeside = new ReadOnlyBooleanWrapper();
    private View view = new View(5, 0, 0);
    private double kept;
    private boolean fitted = true;
    private double pressedX;
    private double pressedY;
    private View pressedView;

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
        widthProperty().addListener(o -> resized());
        heightProperty().addListener(o -> resized());
        bench.planProperty().addListener((o, was, now) -> {
            if (fitted || !was.shape().equals(now.shape())) {
                fit();
            }
            draw();
        });
        bench.sideProperty().addListener(o -> draw());
        bench.stageProperty().addListener(o -> resized());
        bench.pointedProperty().addListener(o -> draw());
        bench.placementProperty().addListener(o -> draw());
        look.darkProperty().addListener(o -> draw());
        look.scaleProperty().addListener(o -> resized());
        focusedProperty().addListener(o -> draw());
        setOnMousePressed(this::press);
        setOnMouseDragged(this::drag);
        setOnMouseClicked(this::click);
        setOnMouseMoved(
                e -> bench.pointedProperty().set(markAt(e.getX(), e.getY()).orElse(null)));
        setOnScroll(this::scroll);
        setOnKeyPressed(this::key);
    }

    // --- what is shown -----------------------------------------------------------------------------------------

    private void resized() {
        if (fitted) {
            fit();
        }
        draw();
    }

    /** Shows the whole quilt. */
    public void fit() {
        fitted = true;
        Optional<QuiltShape> shape = bench.plan().shape();
        if (shape.isPresent()) {
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

    /** Shows the chosen side's border as large as it goes. */
    public void zoomToSide() {
        bench.plan().shape().ifPresent(shape -> {
            fitted = false;
            Side side = bench.sideProperty().get();
            show(shape.regions().get(side), hasCallout() && !side.isAcross() && getWidth() > 2 * callout());
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
        Optional<Point> subject = Optional.ofNullable(bench.placementProperty().get())
                .map(placement -> placement.line().at(0.5))
                .or(() -> Optional.ofNullable(bench.pointedProperty().get()).map(Mark::place));
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
        pressedX = e.getX();
        pressedY = e.getY();
        pressedView = view;
        requestFocus();
    }

    private void drag(MouseEvent e) {
        if (pressedView != null) {
            view = pressedView;
            pan(e.getX() - pressedX, e.getY() - pressedY);
        }
    }

    private void click(MouseEvent e) {
        if (!e.isStillSincePress()) {
            return;
        }
        Point place = view.place(e.getX(), e.getY());
        sideAt(place).ifPresent(side -> {
            bench.choose(side);
            if (bench.stageProperty().get() == WorkStage.MEASURE) {
                measure.accept(Dimension.body(side));
            } else {
                placementAt(side, place).ifPresent(bench.placementProperty()::set);
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
        switch (e.getCode()) {
            case LEFT -> pan(PAN, 0);
            case RIGHT -> pan(-PAN, 0);
            case UP -> pan(0, PAN);
            case DOWN -> pan(0, -PAN);
            case PLUS, ADD, EQUALS -> zoom(1);
            case MINUS, SUBTRACT -> zoom(-1);
            case DIGIT0, NUMPAD0, HOME -> fit();
            default -> {
                return;
            }
        }
        e.consume();
    }

    private Optional<Mark> markAt(double x, double y) {
        return bench.plan().runs().stream()
                .flatMap(r -> r.laidOut().marks().stream())
                .filter(m -> m.kind() != Mark.Kind.CENTRE)
                .filter(m -> away(m, x, y) < REACH)
                .min(Comparator.comparingDouble(m -> away(m, x, y)));
    }

    private double away(Mark mark, double x, double y) {
        return Math.hypot(view.x(mark.place()) - x, view.y(mark.place()) - y);
    }

    private Optional<Side> sideAt(Point place) {
        return bench.plan().shape().flatMap(shape -> Stream.of(Side.values())
                .filter(side -> {
                    RunFrame frame = shape.runs().get(side);
                    Point from = place.minus(frame.origin());
                    double along = from.dot(frame.along());
                    double across = from.dot(frame.outward());
                    return across > -12 / view.scale()
                            && across < frame.depth()
                            && along > -frame.depth()
                            && along < frame.length() + frame.depth();
                })
                .findFirst());
    }

    private Optional<Placement> placementAt(Side side, Point place) {
        return bench.plan().run(side).flatMap(run -> run.laidOut().placements().stream()
                .min(Comparator.comparingDouble(p -> p.line().at(0.5).distance(place))));
    }

    // --- drawing -----------------------------------------------------------------------------------------------

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        Palette p = look.palette();
        g.setLineDashes();
        g.clearRect(0, 0, getWidth(), getHeight());
        g.setFill(p.table());
        g.fillRect(0, 0, getWidth(), getHeight());
        Optional<QuiltShape> shape = bench.plan().shape();
        if (shape.isPresent()) {
            cloth(g, p, shape.get());
            highlight(g, p, shape.get());
            bench.plan().runs().forEach(run -> stitching(g, p, run));
            if (bench.stageProperty().get() == WorkStage.MEASURE) {
                measures(g, p, shape.get());
            } else {
                bench.plan().runs().forEach(run -> marks(g, p, run));
            }
            Placement placement = bench.placementProperty().get();
            if (placement != null && bench.stageProperty().get() != WorkStage.MEASURE) {
                template(g, p, placement);
            }
            pointed(g, p);
            findings(g, p, shape.get());
        } else {
            teach(g, p);
        }
        if (isFocused()) {
            g.setLineDashes();
            g.setStroke(p.chosen());
            g.setLineWidth(2);
            g.strokeRect(1, 1, getWidth() - 2, getHeight() - 2);
        }
        setAccessibleText(
                shape.isPresent()
                        ? "The quilt to scale. Arrow keys move it, plus and minus zoom, 0 fits it."
                        : "The worktable, empty until the quilt is measured.");
    }

    private void polygon(GraphicsContext g, List<Point> points, boolean fill) {
        double[] xs = points.stream().mapToDouble(view::x).toArray();
        double[] ys = points.stream().mapToDouble(view::y).toArray();
        if (fill) {
            g.fillPolygon(xs, ys, xs.length);
        }
        g.strokePolygon(xs, ys, xs.length);
    }

    private void cloth(GraphicsContext g, Palette p, QuiltShape shape) {
        g.setLineWidth(1.2);
        g.setStroke(p.seam());
        g.setFill(p.border());
        polygon(g, shape.outer(), true);
        g.setFill(p.cloth());
        polygon(g, shape.body().corners(), true);
        g.setLineWidth(1);
        g.setLineDashes(DOTS);
        shape.cornerSeams().forEach(seam -> view.stroke(g, seam));
        g.setLineDashes(DASHES);
        polygon(g, shape.reserve(), false);
        g.setLineDashes();
    }

    private void highlight(GraphicsContext g, Palette p, QuiltShape shape) {
        RunFrame frame = shape.runs().get(bench.sideProperty().get());
        g.setStroke(p.chosen());
        g.setLineWidth(3.5);
        view.stroke(g, new Segment(frame.place(0, 0), frame.place(frame.length(), 0)));
    }

    private void stitching(GraphicsContext g, Palette p, RunPlan run) {
        g.setStroke(p.stitch());
        g.setLineWidth(Math.max(1.6, Math.min(3, view.scale() * 0.12)));
        run.laidOut().lines().forEach(line -> view.stroke(g, line));
    }

    private void marks(GraphicsContext g, Palette p, RunPlan run) {
        boolean chosen = run.side() == bench.sideProperty().get();
        boolean marking = bench.stageProperty().get() == WorkStage.MARK;
        g.setStroke(p.mark());
        for (Mark mark : run.laidOut().marks()) {
            boolean valley = mark.kind() == Mark.Kind.VALLEY;
            if (!chosen && !valley && !marking) {
                continue;
            }
            g.setLineWidth(valley ? 1.8 : 1.3);
            g.setLineDashes(MARK_DASHES);
            double half = (valley ? 7 : 5) / view.scale();
            Point out = run.frame().outward().times(half);
            view.stroke(g, new Segment(mark.place().minus(out), mark.place().plus(out)));
            g.setLineDashes();
            if (mark.onCentre()) {
                Point along = run.frame().along().times(half);
                Point inner = mark.place().minus(out.times(1.6));
                view.stroke(g, new Segment(inner.minus(along), inner.plus(along)));
            }
        }
        g.setLineDashes();
    }

    private void template(GraphicsContext g, Palette p, Placement placement) {
        ArcTemplate template = bench.job().template().orElse(null);
        if (template == null) {
            return;
        }
        List<Curve> outline =
                template.outline().stream().map(c -> c.posed(placement.pose())).toList();
        view.path(g, outline);
        g.setFill(p.templateFill());
        g.fill();
        g.setStroke(p.template());
        g.setLineWidth(1.8);
        g.stroke();
        g.setLineWidth(1);
        g.setLineDashes(DASHES);
        for (double label : template.riseLines()) {
            strokes(g, template, placement, template.lineBelowCrown(label));
        }
        g.setLineDashes();
        if (placement.registration() instanceof Registration.OnSeam on) {
            g.setStroke(p.chosen());
            g.setLineWidth(3.5);
            if (on.what() instanceof SeamRegister.EngravedLine line) {
                strokes(g, template, placement, template.lineBelowCrown(line.label()));
            } else if (on.what() instanceof SeamRegister.Tape tape) {
                strokes(g, template, placement, tape.belowEdge());
            }
        }
        foot(g, p, placement);
    }

    private void strokes(GraphicsContext g, ArcTemplate template, Placement placement, double below) {
        template.strokesAt(below).forEach(s -> view.stroke(g, s.posed(placement.pose())));
    }

    /** The foot at the start of the line, with the needle in it, and an arrow at the line's end. */
    private void foot(GraphicsContext g, Palette p, Placement placement) {
        double r = Math.max(4, bench.job().machine().footRadius() * view.scale());
        double x = view.x(placement.line().start());
        double y = view.y(placement.line().start());
        g.setStroke(p.ink());
        g.setFill(p.cloth());
        g.setLineWidth(1.5);
        g.fillOval(x - r, y - r, 2 * r, 2 * r);
        g.strokeOval(x - r, y - r, 2 * r, 2 * r);
        g.setFill(p.stitch());
        g.fillOval(x - 2, y - 2, 4, 4);
        Point end = placement.line().end();
        Point before = placement.line().at(0.9);
        double angle = Math.atan2(view.y(end) - view.y(before), view.x(end) - view.x(before));
        g.setStroke(p.stitch());
        g.setLineWidth(2.5);
        for (double turn : new double[] {2.6, -2.6}) {
            g.strokeLine(
                    view.x(end),
                    view.y(end),
                    view.x(end) + 10 * Math.cos(angle + turn),
                    view.y(end) + 10 * Math.sin(angle + turn));
        }
    }

    private void pointed(GraphicsContext g, Palette p) {
        Mark mark = bench.pointedProperty().get();
        if (mark == null || bench.stageProperty().get() == WorkStage.MEASURE) {
            return;
        }
        double x = view.x(mark.place());
        double y = view.y(mark.place());
        g.setStroke(p.chosen());
        g.setLineWidth(3);
        g.strokeOval(x - 9, y - 9, 18, 18);
        label(g, p, Words.name(mark) + " · " + mark.readings().fromLeft().text(), x, y - 24);
    }

    /** A warning sign on the outer edge of each side that has something to look at. */
    private void findings(GraphicsContext g, Palette p, QuiltShape shape) {
        bench.plan().findings().stream()
                .filter(f -> f.severity() != Finding.Severity.NOTE)
                .flatMap(f -> f.side().stream())
                .distinct()
                .forEach(side -> {
                    RunFrame frame = shape.runs().get(side);
                    Point at = frame.place(frame.length() / 2, frame.depth());
                    double x = view.x(at);
                    double y = view.y(at);
                    g.setLineDashes();
                    g.setFill(p.tape());
                    g.setStroke(p.tapeInk());
                    g.setLineWidth(1.5);
                    double[] xs = {x - 13, x, x + 13};
                    double[] ys = {y + 10, y - 13, y + 10};
                    g.fillPolygon(xs, ys, 3);
                    g.strokePolygon(xs, ys, 3);
                    g.setFont(look.font(16, true));
                    g.setTextAlign(TextAlignment.CENTER);
                    g.setTextBaseline(VPos.CENTER);
                    g.setFill(p.tapeInk());
                    g.fillText("!", x, y + 1);
                });
    }

    private void label(GraphicsContext g, Palette p, String text, double x, double y) {
        g.setFont(look.font(15, true));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        double half = text.length() * 4.4 * look.scaleProperty().get() + 8;
        double middle = Math.max(half + 4, Math.min(getWidth() - half - 4, x));
        g.setFill(p.panel());
        g.setStroke(p.chosen());
        g.setLineWidth(1.5);
        g.fillRoundRect(middle - half, y - 13, 2 * half, 26, 8, 8);
        g.strokeRoundRect(middle - half, y - 13, 2 * half, 26, 8, 8);
        g.setFill(p.ink());
        g.fillText(text, middle, y);
    }

    /** Lengths along the sides, as the tape measured them. */
    private void measures(GraphicsContext g, Palette p, QuiltShape shape) {
        Words words = bench.words();
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        for (Side side : Side.values()) {
            BodyShape body = shape.body();
            Point middle = body.start(side).midpoint(body.start(side.next()));
            Point inward = shape.runs().get(side).outward().times(-1);
            boolean chosen = side == bench.sideProperty().get();
            text(g, p.ink(), words.exact(bench.job().quilt().length(Dimension.body(side))), middle, inward, 30, chosen);
            double depth = bench.job().quilt().length(Dimension.depth(side));
            // Beyond the crowns, where the stitching leaves room.
            depth(g, p, words.exact(depth) + " deep", middle.plus(inward.times(-depth * 0.68)), side);
        }
        diagonals(g, p, shape.body());
    }

    private void depth(GraphicsContext g, Palette p, String text, Point at, Side side) {
        g.save();
        g.translate(view.x(at), view.y(at));
        if (!side.isAcross()) {
            g.rotate(-90);
        }
        g.setFont(look.font(14, false));
        g.setFill(p.ink());
        g.fillText(text, 0, 0);
        g.restore();
    }

    private void text(GraphicsContext g, Color colour, String text, Point at, Point towards, double by, boolean bold) {
        g.setFont(look.font(18, bold));
        g.setFill(colour);
        double stretch = Math.abs(towards.x()) > 0.5 ? 1.5 : 1;
        g.fillText(text, view.x(at) + towards.x() * by * stretch, view.y(at) - towards.y() * by);
    }

    private void diagonals(GraphicsContext g, Palette p, BodyShape body) {
        Words words = bench.words();
        g.setStroke(p.seam());
        g.setLineWidth(1);
        g.setLineDashes(DOTS);
        bench.job().quilt().get(Dimension.DIAGONAL_DOWN).ifPresent(inches -> {
            view.stroke(g, new Segment(body.topLeft(), body.bottomRight()));
            Point at = new Segment(body.topLeft(), body.bottomRight()).at(0.3);
            text(g, p.ink(), words.exact(inches), at, new Point(1, 0), 36, false);
        });
        bench.job().quilt().get(Dimension.DIAGONAL_UP).ifPresent(inches -> {
            view.stroke(g, new Segment(body.bottomLeft(), body.topRight()));
            Point at = new Segment(body.bottomLeft(), body.topRight()).at(0.3);
            text(g, p.ink(), words.exact(inches), at, new Point(1, 0), 36, false);
        });
        g.setLineDashes();
    }

    /** What to measure first, on an empty table. */
    private void teach(GraphicsContext g, Palette p) {
        List<Point> outer = List.of(new Point(-38, 46), new Point(38, 46), new Point(38, -46), new Point(-38, -46));
        List<Point> body = List.of(new Point(-31, 39), new Point(31, 39), new Point(31, -39), new Point(-31, -39));
        g.setStroke(p.seam());
        g.setLineWidth(1.2);
        g.setLineDashes(DASHES);
        g.setFill(p.border());
        polygon(g, outer, true);
        g.setFill(p.cloth());
        polygon(g, body, true);
        g.setLineDashes();
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        int number = 1;
        for (Side side : Side.values()) {
            Point from = body.get(side.ordinal());
            Point to = body.get((side.ordinal() + 1) % 4);
            g.setStroke(p.chosen());
            g.setLineWidth(2.5);
            view.stroke(g, new Segment(from, to));
            Point middle = from.midpoint(to);
            Point inward = to.minus(from).unit().turnedLeft().times(-1);
            boolean known = bench.job().quilt().get(Dimension.body(side)).isPresent();
            String said = known
                    ? bench.words().exact(bench.job().quilt().length(Dimension.body(side)))
                    : number + ". " + Words.name(side);
            text(g, p.ink(), said, middle, inward, 34, !known);
            number++;
        }
        g.setFont(look.font(17, false));
        g.setFill(p.ink());
        g.fillText(
                "Measure the body\non all four sides,\nseam to seam; then\nthe border's depth,\nseam to raw edge.",
                view.x(Point.ORIGIN),
                view.y(Point.ORIGIN));
    }
}
