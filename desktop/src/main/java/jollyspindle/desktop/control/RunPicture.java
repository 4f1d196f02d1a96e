package jollyspindle.desktop.control;

import jollyspindle.core.division.Candidate;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.Side;
import jollyspindle.desktop.look.Palette;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** A side's border as a candidate would divide it, small and to scale. */
final class RunPicture {

    private RunPicture() {}

    static Canvas draw(Candidate candidate, Quilt quilt, Side side, Palette p, double width) {
        double repeat = candidate.repeat(side);
        int count = candidate.counts().on(side);
        double depth = quilt.length(Dimension.depth(side));
        double clearance = quilt.length(Dimension.CLEARANCE);
        double scale = width / (repeat * count);
        View view = new View(scale, 0, depth * scale + 1);
        Canvas canvas = new Canvas(width, depth * scale + 4);
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.setFill(p.border());
        g.fillRect(0, 1, width, depth * scale);
        g.setStroke(p.seam());
        g.setLineWidth(1);
        double limit = depth - quilt.length(Dimension.RESERVE);
        g.setLineDashes(4, 3);
        view.stroke(g, new Segment(new Point(0, limit), new Point(repeat * count, limit)));
        g.setLineDashes();
        view.stroke(g, new Segment(new Point(0, 0), new Point(repeat * count, 0)));
        candidate.fit(side).ifPresent(fit -> {
            CircularSegment segment = fit.segment();
            g.setStroke(p.stitch());
            g.setLineWidth(1.6);
            for (int k = 0; k < count; k++) {
                Point centre = new Point((k + 0.5) * repeat, clearance + segment.height() - segment.radius());
                view.stroke(g, new Arc(centre, segment.radius(), Math.PI / 2 + segment.sweep() / 2, -segment.sweep()));
            }
        });
        return canvas;
    }
}
