package jollyspindle.desktop.control;

import jollyspindle.core.area.AreaPlan;
import jollyspindle.core.area.AreaTold;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.plan.RunPlan;
import jollyspindle.core.plan.WorkPlan;
import jollyspindle.core.quilt.Area;
import jollyspindle.core.quilt.BodyShape;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.RingShape;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.Knob;
import jollyspindle.desktop.model.WorkStage;
import jollyspindle.desktop.model.Workbench;

import java.util.List;
import java.util.Optional;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.FillRule;
import javafx.scene.text.TextAlignment;

/** Draws the quilt on the worktable once: the cloth, what is stitched and marked on it, and what is pointed at. */
final class QuiltPainter {

    private static final double[] DOTS = {1.5, 4};
    private static final double[] DASHES = {7, 4};
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
     */
    void paint(boolean focused) {
        g.setLineDashes();
        g.clearRect(0, 0, width, height);
        g.setFill(p.table());
        g.fillRect(0, 0, width, height);
        Optional<QuiltShape> shape = bench.plan().shape();
        shape.ifPresent(this::quilt);
        if (shape.isEmpty() && !bench.isOpening()) {
            teach();
        }
        if (focused) {
            g.setLineDashes();
            g.setStroke(p.chosen());
            g.setLineWidth(2);
            g.strokeRect(1, 1, width - 2, height - 2);
        }
    }

    private void quilt(QuiltShape shape) {
        boolean measuring = bench.stageProperty().get() == WorkStage.MEASURE;
        cloth(shape);
        highlight(shape);
        stitching(bench.plan());
        if (measuring) {
            measures(shape);
        } else {
            bench.plan().runs().forEach(this::marks);
            if (bench.areas().isLooked()) {
                areaMarks();
            }
            if (bench.selection().placementProperty().get() != null) {
                template(bench.selection().placementProperty().get());
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

    private void polygon(List<Point> points, boolean fill) {
        double[] xs = points.stream().mapToDouble(view::x).toArray();
        double[] ys = points.stream().mapToDouble(view::y).toArray();
        if (fill) {
            g.fillPolygon(xs, ys, xs.length);
        }
        // Side by side: what draws by software goes over all that a line's box holds, and of a whole ring that is much.
        for (int i = 0; i < xs.length; i++) {
            int next = (i + 1) % xs.length;
            g.strokeLine(xs[i], ys[i], xs[next], ys[next]);
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
            polygon(rings.get(i).outer(), !cloth.equals(below));
            below = cloth;
        }
        g.setFill(p.cloth());
        polygon(shape.body().corners(), true);
        areas();
        g.setFill(p.border());
        shape.strips().forEach(strip -> polygon(strip.rectangle(), true));
        g.setLineWidth(1);
        g.setLineDashes(DOTS);
        shape.cornerSeams().forEach(seam -> view.stroke(g, seam));
        g.setLineDashes(DASHES);
        polygon(shape.reserve(), false);
        g.setLineDashes();
    }

    /** Blocks, medallion and appliqués, those below first; the piece that is looked at stands out. */
    private void areas() {
        Optional<AreaPlan.Piece> looked = bench.areas().piece();
        g.setStroke(p.seam());
        for (AreaPlan area : bench.plan().areas()) {
            if (!(bench.plan().job().quilt().areas().get(area.id().number() - 1) instanceof Area.Body)) {
                area.pieces().forEach(piece -> view.stroke(g, piece.cloth().seam()));
            }
        }
        looked.ifPresent(piece -> {
            g.setStroke(p.chosen());
            g.setLineWidth(2.5);
            view.stroke(g, piece.cloth().outline());
            g.setLineWidth(1.2);
            g.setStroke(p.seam());
        });
        for (Area area : bench.plan().job().quilt().areas()) {
            if (area instanceof Area.Applique applique) {
                g.setFill(p.border());
                view.paths(g, List.of(applique.outline().path()));
                g.fill();
                g.stroke();
            }
        }
    }

    /** The marks of the piece that is looked at, as small crosses. */
    private void areaMarks() {
        g.setStroke(p.mark());
        g.setLineWidth(1.4);
        double half = 5 / view.scale();
        for (Mark mark : bench.areas().marks()) {
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

    private void template(Placement placement) {
        List<Path> outlines = bench.plan().job().outlines(placement.tool());
        g.setFillRule(FillRule.EVEN_ODD);
        g.setFill(p.tint(bench.plan()
                .job()
                .template(placement.tool().templateId())
                .map(t -> t.material().tint())
                .orElse(Material.Tint.AMBER)));
        g.setStroke(p.template());
        g.setLineWidth(1.8);
        view.paths(g, outlines.stream().map(o -> o.posed(placement.pose())).toList());
        g.fill();
        g.stroke();
        bench.plan().job().arc(placement.tool()).ifPresent(template -> lines(template, placement));
        if (placement.registration() instanceof Registration.NotchOnMark on) {
            onEdge(outlines, on.below(), placement);
        }
        if (placement.registration() instanceof Registration.OnRow on) {
            onEdge(outlines, on.belowCrowns(), placement);
        }
        foot(placement);
    }

    /** What of a strip lies on the edge of the run. */
    private void onEdge(List<Path> outlines, double below, Placement placement) {
        Box box = outlines.stream().map(Path::box).reduce(Box::with).orElseThrow();
        double at = box.top() - below;
        Segment across = new Segment(new Point(box.left() - 1, at), new Point(box.right() + 1, at));
        g.setStroke(p.chosen());
        g.setLineWidth(3.5);
        Region.of(outlines).within(Path.of(across)).stream()
                .flatMap(piece -> piece.curves().stream())
                .map(Segment.class::cast)
                .forEach(s -> view.stroke(g, s.posed(placement.pose())));
    }

    /** The lines engraved on a round-edged template, and what of it lies on the seam. */
    private void lines(ArcTemplate template, Placement placement) {
        g.setLineWidth(1);
        g.setLineDashes(DASHES);
        for (ArcTemplate.RiseLine line : template.riseLines()) {
            strokes(template, placement, line.belowCrown());
        }
        g.setLineDashes();
        if (placement.registration() instanceof Registration.OnSeam on) {
            g.setStroke(p.chosen());
            g.setLineWidth(3.5);
            if (on.what() instanceof SeamRegister.EngravedLine line) {
                strokes(template, placement, line.belowEdge());
            } else if (on.what() instanceof SeamRegister.Tape tape) {
                strokes(template, placement, tape.belowEdge());
            }
        }
    }

    private void strokes(ArcTemplate template, Placement placement, double below) {
        template.strokesAt(below).forEach(s -> view.stroke(g, s.posed(placement.pose())));
    }

    /** The foot at the start of the line, with the needle in it, and an arrow at the line's end. */
    private void foot(Placement placement) {
        view.foot(g, p, placement.path().start(), bench.plan().job().machine().footRadius());
        Point end = placement.path().end();
        Point before = placement.curves().get(placement.curves().size() - 1).at(0.9);
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
        String both = along + ", " + mark.height().text() + " up";
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
                            && trouble.what() instanceof AreaTold.Unstitched open) {
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

    /** Lengths along the sides, as the tape measured them. */
    private void measures(QuiltShape shape) {
        Words words = bench.words();
        g.setTextAlign(TextAlignment.CENTER);
        g.setTextBaseline(VPos.CENTER);
        for (Side side : Side.values()) {
            BodyShape body = shape.body();
            Point middle = body.start(side).midpoint(body.start(side.next()));
            Point inward = body.start(side.next())
                    .minus(body.start(side))
                    .unit()
                    .turnedLeft()
                    .times(-1);
            boolean chosen = bench.selection()
                    .whereProperty()
                    .get()
                    .side()
                    .filter(side::equals)
                    .isPresent();
            text(
                    p.ink(),
                    words.exact(bench.plan().job().quilt().length(Dimension.body(side))),
                    middle,
                    inward,
                    30,
                    chosen);
            depths(side, middle, inward);
        }
        diagonals(shape.body());
    }

    /** How deep each border is, written on it. */
    private void depths(Side side, Point middle, Point inward) {
        double inside = 0;
        for (int border = 1; border <= bench.plan().job().quilt().borders().size(); border++) {
            double depth = bench.plan().job().quilt().length(Dimension.depth(border, side));
            // Beyond the crowns, where the stitching leaves room; on a narrow one in its middle.
            double share = depth * view.scale() < 26 ? 0.5 : 0.68;
            if (depth * view.scale() > 14) {
                depth(bench.words().exact(depth) + " deep", middle.plus(inward.times(-inside - depth * share)), side);
            }
            inside += depth;
        }
    }

    private void depth(String text, Point at, Side side) {
        g.save();
        g.translate(view.x(at), view.y(at));
        if (!side.isAcross()) {
            g.rotate(-90);
        }
        g.setFont(look.font(14, false));
        double half = (text.length() * 3.4 + 4) * look.scaleProperty().get();
        g.setFill(p.border());
        g.fillRect(-half, -9, 2 * half, 18);
        g.setFill(p.ink());
        g.fillText(text, 0, 0);
        g.restore();
    }

    private void text(Color colour, String text, Point at, Point towards, double by, boolean bold) {
        g.setFont(look.font(18, bold));
        double stretch = Math.abs(towards.x()) > 0.5 ? 1.5 : 1;
        double x = view.x(at) + towards.x() * by * stretch;
        double y = view.y(at) - towards.y() * by;
        // On whatever lies beneath, strips and areas too, it is read on cloth.
        double half = (text.length() * 4.6 + 4) * look.scaleProperty().get();
        g.setFill(p.cloth());
        g.fillRect(x - half, y - 11, 2 * half, 22);
        g.setFill(colour);
        g.fillText(text, x, y);
    }

    private void diagonals(BodyShape body) {
        Words words = bench.words();
        g.setStroke(p.seam());
        g.setLineWidth(1);
        g.setLineDashes(DOTS);
        bench.plan().job().quilt().get(Dimension.DIAGONAL_DOWN).ifPresent(inches -> {
            view.stroke(g, new Segment(body.topLeft(), body.bottomRight()));
            Point at = new Segment(body.topLeft(), body.bottomRight()).at(0.3);
            text(p.ink(), words.exact(inches), at, new Point(1, 0), 36, false);
        });
        bench.plan().job().quilt().get(Dimension.DIAGONAL_UP).ifPresent(inches -> {
            view.stroke(g, new Segment(body.bottomLeft(), body.topRight()));
            Point at = new Segment(body.bottomLeft(), body.topRight()).at(0.3);
            text(p.ink(), words.exact(inches), at, new Point(1, 0), 36, false);
        });
        g.setLineDashes();
    }

    /** As wide as the empty body must be for a hint between the names of its sides, in pixels. */
    private static final double ROOM_TO_TEACH = 370;

    /** How far below the middle the hint stands otherwise, as a part of the body's height. */
    private static final double BELOW = 0.2;

    /** What to measure first, on an empty table. */
    private void teach() {
        List<Point> outer = List.of(new Point(-38, 46), new Point(38, 46), new Point(38, -46), new Point(-38, -46));
        List<Point> body = List.of(new Point(-31, 39), new Point(31, 39), new Point(31, -39), new Point(-31, -39));
        g.setStroke(p.seam());
        g.setLineWidth(1.2);
        g.setLineDashes(DASHES);
        g.setFill(p.border());
        polygon(outer, true);
        g.setFill(p.cloth());
        polygon(body, true);
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
            boolean known = bench.plan().job().quilt().get(Dimension.body(side)).isPresent();
            String said = known
                    ? bench.words().exact(bench.plan().job().quilt().length(Dimension.body(side)))
                    : number + ". " + Words.name(side);
            text(p.ink(), said, middle, inward, 34, !known);
            number++;
        }
        g.setFont(look.font(17, false));
        g.setFill(p.ink());
        double across = view.x(body.get(1)) - view.x(body.get(0));
        double down = view.y(body.get(2)) - view.y(body.get(1));
        if (across > ROOM_TO_TEACH * look.scaleProperty().get()) {
            g.fillText(
                    "Measure the body\non all four sides,\nseam to seam; then\nthe borders' depths,\nseam to raw edge.",
                    view.x(Point.ORIGIN),
                    view.y(Point.ORIGIN));
        } else {
            // Where there is no room between the names of left and right, below them.
            g.fillText(
                    "Measure the body on all\nfour sides, seam to seam;\nthen the borders' depths,\nseam to raw edge.",
                    view.x(Point.ORIGIN),
                    view.y(Point.ORIGIN) + BELOW * down);
        }
    }
}
