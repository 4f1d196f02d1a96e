package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.quilt.BodyShape;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.QuiltShape;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.words.Words;
import jollyspindle.desktop.look.Look;
import jollyspindle.desktop.look.Palette;
import jollyspindle.desktop.model.Workbench;
import jollyspindle.desktop.words.Said;

import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;

/** Writes on the quilt what was measured, and on an empty table what is to be measured first. */
final class MeasurePainter {

    /** As wide as the empty body must be for a hint between the names of its sides, in pixels. */
    private static final double ROOM_TO_TEACH = 370;

    /** How far below the middle the hint stands otherwise, as a part of the body's height. */
    private static final double BELOW = 0.2;

    private final Workbench bench;
    private final Look look;
    private final Palette p;
    private final GraphicsContext g;
    private final View view;

    MeasurePainter(Workbench bench, Look look, GraphicsContext g, View view) {
        this.bench = bench;
        this.look = look;
        this.p = look.palette();
        this.g = g;
        this.view = view;
    }

    /** Lengths along the sides, as the tape measured them. */
    void measures(QuiltShape shape) {
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
                depth(
                        Said.say(bench.words(), "table.deep", "depth", depth),
                        middle.plus(inward.times(-inside - depth * share)),
                        side);
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
        g.setLineDashes(QuiltPainter.DOTS);
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

    /** What to measure first, on an empty table. */
    void teach() {
        List<Point> outer = List.of(new Point(-38, 46), new Point(38, 46), new Point(38, -46), new Point(-38, -46));
        List<Point> body = List.of(new Point(-31, 39), new Point(31, 39), new Point(31, -39), new Point(-31, -39));
        g.setStroke(p.seam());
        g.setLineWidth(1.2);
        g.setLineDashes(QuiltPainter.DASHES);
        g.setFill(p.border());
        view.polygon(g, outer, true);
        g.setFill(p.cloth());
        view.polygon(g, body, true);
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
