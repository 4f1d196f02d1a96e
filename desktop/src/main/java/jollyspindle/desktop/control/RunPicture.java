package jollyspindle.desktop.control;

import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.desktop.look.Palette;

import java.util.List;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** A run as a candidate would divide it, small and to scale. */
final class RunPicture {

    /** A narrow strip is drawn no lower, in pixels. */
    private static final double LOWEST = 14;

    /** More lines than this are drawn finer. */
    private static final int MANY = 120;

    private RunPicture() {}

    /**
     * Draws a run.
     *
     * @param divided the run's cells and what stands on them
     * @param frame of the run
     * @param lines what is stitched, in the quilt's frame; if there are none the arcs on its cells are drawn
     * @param width of the picture, in pixels
     */
    static Canvas draw(DividedRun divided, RunFrame frame, List<StitchLine> lines, Palette p, double width) {
        double length = lines.isEmpty() ? divided.division().length() : frame.length();
        double scale = width / length;
        double high = Math.max(LOWEST, frame.depth() * scale);
        View view = new View(scale, 0, high + 1);
        Canvas canvas = new Canvas(width, high + 4);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.setFill(p.border());
        g.fillRect(0, 1, width, high);
        g.setStroke(p.seam());
        g.setLineWidth(1);
        double limit = frame.depth() - frame.reserve();
        g.setLineDashes(4, 3);
        view.stroke(g, new Segment(new Point(0, limit), new Point(length, limit)));
        g.setLineDashes();
        view.stroke(g, new Segment(new Point(0, 0), new Point(length, 0)));
        if (lines.isEmpty()) {
            for (Figure figure : divided.figures()) {
                figure(g, p, view, figure, frame);
            }
            return canvas;
        }
        g.setStroke(p.stitch());
        g.setLineWidth(lines.size() > MANY ? 0.6 : 1.3);
        Pose home = new Pose(frame.origin().times(-1).turned(-frame.rotation()), -frame.rotation());
        lines.forEach(line -> view.stroke(g, line.path().posed(home)));
        return canvas;
    }

    private static void figure(GraphicsContext g, Palette p, View view, Figure figure, RunFrame frame) {
        double from = figure.cell().from();
        double to = figure.cell().to();
        g.setStroke(p.stitch());
        g.setLineWidth(1.6);
        if (figure instanceof Figure.WholeArc whole) {
            view.stroke(g, arc(whole.fit().segment(), figure.cell().middle(), frame));
        } else if (figure instanceof Figure.HalfArc half) {
            Arc arc = arc(half.fit().segment(), half.fromCrown() ? from : to, frame);
            view.stroke(g, half.fromCrown() ? arc.piece(0.5, 1) : arc.piece(0, 0.5));
        } else if (figure instanceof Figure.HalvesMeeting halves) {
            CircularSegment segment = halves.fit().segment();
            double cut = halves.cut();
            view.stroke(g, arc(segment, from + segment.chord() / 2, frame).piece(0, cut));
            view.stroke(g, arc(segment, to - segment.chord() / 2, frame).piece(1 - cut, 1));
        } else {
            // Left free: hatched, so that it isn't told by the missing line alone.
            g.setStroke(p.mark());
            g.setLineWidth(1);
            double y = view.originY();
            double top = view.y(new Point(0, frame.depth() - frame.reserve()));
            for (double x = from * view.scale(); x < to * view.scale(); x += 6) {
                g.strokeLine(x, y, Math.min(x + (y - top) / 2, to * view.scale()), top);
            }
        }
    }

    private static Arc arc(CircularSegment segment, double crownAlong, RunFrame frame) {
        Point centre = new Point(crownAlong, frame.clearance() + segment.height() - segment.radius());
        return new Arc(centre, segment.radius(), Math.PI / 2 + segment.sweep() / 2, -segment.sweep());
    }
}
