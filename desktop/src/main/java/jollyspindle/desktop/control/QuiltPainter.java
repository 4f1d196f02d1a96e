package jollyspindle.desktop.control;

import jollyspindle.core.area.AreaDiagnostic;
import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RingShape;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.Knob;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** Draws the quilt on the worktable once: the cloth, what is stitched and marked on it, and what is pointed at. */
final class QuiltPainter {

    static final double[] DOTS = {1.5, 4};
    static final double[] DASHES = {7, 4};
    private static final int MANY_LINES = 600;
    private static final double[] MARK_DASHES = {4, 3};

    private final Workbench bench;
    private final Look look;
    private final GraphicsContext g;
    private final Palette p;
    private final View view;
    private final double width;
    private final double height;

    /**
     * A painter for one picture.
     *
     * @param g draws on the canvas
     * @param view from the quilt's inches to the canvas
     * @param width of the canvas, in pixels
     * @param height of the canvas, in pixels
     */
    QuiltPainter(Workbench bench, Look look, GraphicsContext g, View view, double width, double height) {
        this.bench = bench;
        this.look = look;
        this.g = g;
        this.p = look.palette();
        this.view = view;
        this.width = width;
        this.height = height;
    }

    /**
     * Draws everything.
     *
     * @param focused whether the table has the keyboard
     * @param asCloth what shows the quilt as it will look, if it is to be shown so
     */
    void paint(boolean focused, Optional<ClothLayer> asCloth) {
        g.setLineDashes();
        g.clearRect(0, 0, width, height);
        g.setFill(p.table());
        g.fillRect(0, 0, width, height);
        Optional<QuiltShape> shape = bench.plan().shape();
        shape.ifPresent(s -> quilt(s, asCloth));
        if (shape.isEmpty() && !bench.isOpening()) {
            new MeasurePainter(bench, look, g, view).teach();
        }
        if (focused) {
            g.setLineDashes();
            g.setStroke(p.chosen());
            g.setLineWidth(2);
            g.strokeRect(1, 1, width - 2, height - 2);
        }
    }

    private void quilt(QuiltShape shape, Optional<ClothLayer> asCloth) {
        if (asCloth.isPresent() && asCloth.get().draw(g, bench.plan(), view, width, height)) {
            // What is drawn on it would be in the way of what is to be judged.
            areaLooked();
            highlight(shape);
            bench.handles().forEach(this::handle);
            findings(shape);
            pointed();
            return;
        }
        boolean measuring = bench.stageProperty().get() == WorkStage.MEASURE;
        cloth(shape);
        highlight(shape);
        stitching(bench.plan());
        if (measuring) {
            new MeasurePainter(bench, look, g, view).measures(shape);
        } else {
            bench.plan().runs().forEach(this::marks);
            if (bench.areas().isLooked()) {
                areaMarks();
            }
            Placement placement = bench.selection().placementProperty().get();
            if (placement != null) {
                new PlacementPainter(bench.plan().job(), p, g, view).paint(placement);
            }
        }
        bench.handles().forEach(this::handle);
        findings(shape);
        bench.areas().drawnProperty().get().ifPresent(this::drawn);
        if (!measuring) {
            pointed();
        }
    }

    /** The corners of an appliqué that is being drawn. */
    private void drawn(List<Point> corners) {
        g.setStroke(p.chosen());
        g.setFill(p.chosen());
        g.setLineWidth(2);
        for (int i = 0; i < corners.size(); i++) {
            Point corner = corners.get(i);
            g.fillOval(view.x(corner) - 5, view.y(corner) - 5, 10, 10);
            if (i > 0) {
                view.stroke(g, new Segment(corners.get(i - 1), corner));
            }
        }
        if (corners.size() > 2) {
            g.setLineDashes(DASHES);
            view.stroke(g, new Segment(corners.get(corners.size() - 1), corners.get(0)));
            g.setLineDashes();
        }
    }

    private void cloth(QuiltShape shape) {
        g.setLineWidth(1.2);
        g.setStroke(p.seam());
        g.setFill(p.border());
        List<RingShape> rings = shape.rings();
        Color below = null;
        for (int i = rings.size() - 1; i >= 0; i--) {
            boolean plain = bench.plan().job().quilt().border(i + 1).plain();
            Color cloth = plain ? p.cloth() : p.border();
            g.setFill(cloth);
            view.polygon(g, rings.get(i).outer(), !cloth.equals(below));
            below = cloth;
        }
        g.setFill(p.cloth());
        view.polygon(g, shape.body().corners(), true);
        areas();
        g.setFill(p.border());
        shape.strips().forEach(strip -> view.polygon(g, strip.rectangle(), true));
        g.setLineWidth(1);
        g.setLineDashes(DOTS);
        shape.cornerSeams().forEach(seam -> view.stroke(g, seam));
        g.setLineDashes(DASHES);
        view.polygon(g, shape.reserve(), false);
        g.setLineDashes();
    }

    /** Blocks, medallion and appliqués, those below first; the piece that is looked at stands out. */
    private void areas() {
        g.setStroke(p.seam());
        for (AreaPlan area : bench.plan().areas()) {
            if (!(bench.plan().job().quilt().area(area.id()).orElseThrow() instanceof Area.Body)) {
                area.pieces().forEach(piece -> view.stroke(g, piece.cloth().seam()));
            }
        }
        areaLooked();
        for (Path outline : bench.plan().appliques().values()) {
            g.setFill(p.border());
            view.paths(g, List.of(outline));
            g.fill();
            g.stroke();
        }
    }

    private void areaLooked() {
        bench.areas().piece().ifPresent(piece -> {
            g.setStroke(p.chosen());
            g.setLineWidth(2.5);
            view.stroke(g, piece.cloth().outline());
            g.setLineWidth(1.2);
            g.setStroke(p.seam());
        });
    }

    /** What is drawn on the piece that is looked at, and its marks, as small crosses. */
    private void areaMarks() {
        g.setStroke(p.mark());
        g.setLineWidth(1.4);
        g.setLineDashes(DASHES);
        bench.areas().piece().ifPresent(piece -> piece.cloth().drawn().forEach(line -> view.stroke(g, line)));
        g.setLineDashes();
        double half = 5 / view.scale();
        for (Mark mark : bench.areas().marks()) {
            if (mark.by() == Mark.MarkedBy.SEAM) {
                // The seams show it already.
                continue;
            }
            Point across = new Point(half, 0);
            Point up = new Point(0, half);
            view.stroke(g, new Segment(mark.place().minus(across), mark.place().plus(across)));
            view.stroke(g, new Segment(mark.place().minus(up), mark.place().plus(up)));
        }
    }

    private void highlight(QuiltShape shape) {
        if (bench.areas().isLooked()) {
            return;
        }
        shape.find(bench.selection().whereProperty().get()).ifPresent(frame -> {
            g.setStroke(p.chosen());
            g.setLineWidth(3.5);
            view.stroke(g, new Segment(frame.place(0, 0), frame.place(frame.length(), 0)));
        });
    }

    private void stitching(WorkPlan plan) {
        g.setStroke(p.stitch());
        g.setLineWidth(Math.max(plan.lines().size() > MANY_LINES ? 1 : 1.6, Math.min(3, view.scale() * 0.12)));
        plan.lines().forEach(line -> view.stroke(g, line.path()));
        if (bench.areas().isLooked()) {
            g.setLineWidth(1.4);
            g.setLineDashes(DOTS);
            bench.areas().plan().ifPresent(area -> area.travels().forEach(t -> view.stroke(g, t.path())));
            g.setLineDashes();
        }
    }

    private void marks(RunPlan run) {
        boolean chosen = run.id().equals(bench.selection().whereProperty().get());
        boolean marking = bench.stageProperty().get() == WorkStage.MARK;
        g.setStroke(p.mark());
        for (Mark mark : run.laidOut().marks()) {
            if (mark.by() == Mark.MarkedBy.TEMPLATE) {
                // Nobody makes it: the template finds it.
                continue;
            }
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

    /** A knob with two points, each the way it can be dragged. */
    private void handle(Knob handle) {
        double x = view.x(handle.place());
        double y = view.y(handle.place());
        Point way = handle.way();
        g.setLineDashes();
        g.setFill(p.chosen());
        g.setStroke(p.cloth());
        g.setLineWidth(1.5);
        double across = 5;
        double out = 10;
        double[] xs = {
            x + out * way.x(), x - across * way.y(), x - out * way.x(), x + across * way.y(),
        };
        double[] ys = {
            y - out * way.y(), y - across * way.x(), y + out * way.y(), y + across * way.x(),
        };
        g.fillPolygon(xs, ys, 4);
        g.strokePolygon(xs, ys, 4);
    }

    private void pointed() {
        Mark mark = bench.selection().pointedProperty().get();
        if (mark == null) {
            return;
        }
        double x = view.x(mark.place());
        double y = view.y(mark.place());
        g.setStroke(p.chosen());
        g.setLineWidth(3);
        g.strokeOval(x - 9, y - 9, 18, 18);
        String name = Words.name(mark);
        String along = mark.readings().fromLeft().text();
        Optional<AreaPlan.Piece> piece =
                bench.areas().piece().filter(looked -> bench.areas().marks().contains(mark));
        if (piece.isEmpty()) {
            label(List.of(name + " · " + along), x, y - 24);
            return;
        }
        // In a piece of the middle two readings tell where it is, said on the side where no tape lies.
        String both =
                Said.say("table.up", "along", along, "height", mark.height().text());
        String line = name + " · " + both;
        if (2 * half(line) < piece.get().cloth().outline().box().width() * view.scale()) {
            boolean above = mark.place().y() > piece.get().cloth().centre().y();
            label(List.of(line), x, y + (above ? 24 : -24));
        } else {
            label(List.of(name, both), width / 2, height - 40);
        }
    }

    /** A warning sign on the outer edge of each side that has something to look at. */
    private void findings(QuiltShape shape) {
        bench.plan().findings().stream()
                .filter(f -> f.severity() != Finding.Severity.NOTE)
                .flatMap(f -> f.run().stream())
                .distinct()
                .flatMap(run -> shape.find(run).stream())
                .map(frame -> frame.place(frame.length() / 2, frame.depth()))
                .forEach(this::warning);
        bench.plan().findings().stream()
                .filter(f -> f.severity() != Finding.Severity.NOTE)
                .forEach(f -> f.place().ifPresent(at -> {
                    if (f instanceof Finding.AreaTrouble trouble
                            && trouble.what() instanceof AreaDiagnostic.Unstitched open) {
                        circle(at, open.diameter());
                    }
                    warning(at);
                }));
    }

    /** The circle that stays without a stitch. */
    private void circle(Point centre, double diameter) {
        g.setStroke(p.chosen());
        g.setLineWidth(2);
        g.setLineDashes(DASHES);
        view.stroke(g, Path.circle(centre, diameter / 2));
        g.setLineDashes();
    }

    private void warning(Point at) {
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
    }

    /** Half the width of a label. */
    private double half(String text) {
        return text.length() * 4.4 * look.scaleProperty().get() + 8;
    }

    /** Lines of text, one below the other, about a place but never past the sides. */
    private void label(List<String> lines, double x, double y) {
        g.setFont(look.font(15, true));
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        double half = lines.stream().mapToDouble(this::half).max().orElseThrow();
        double line = 20 * look.scaleProperty().get();
        double high = line * (lines.size() - 1) + 26;
        double middle = Math.max(half + 4, Math.min(width - half - 4, x));
        g.setFill(p.panel());
        g.setStroke(p.chosen());
        g.setLineWidth(1.5);
        g.fillRoundRect(middle - half, y - high / 2, 2 * half, high, 8, 8);
        g.strokeRoundRect(middle - half, y - high / 2, 2 * half, high, 8, 8);
        g.setFill(p.ink());
        for (int i = 0; i < lines.size(); i++) {
            g.fillText(lines.get(i), middle, y + (i - (lines.size() - 1) / 2.0) * line);
        }
    }
}
