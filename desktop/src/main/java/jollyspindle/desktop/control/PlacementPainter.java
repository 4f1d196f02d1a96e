package jollyspindle.desktop.control;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Material;
import jollyspindle.core.shelf.SeamRegister;
import jollyspindle.core.shelf.form.ScallopRow;
import jollyspindle.desktop.look.Palette;

import java.util.List;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.FillRule;

/** Draws a template as it is placed, what of it lies on what, and the foot at the start of its line. */
final class PlacementPainter {

    private static final double[] DASHES = QuiltPainter.DASHES;

    private final QuiltJob job;
    private final Palette p;
    private final GraphicsContext g;
    private final View view;

    PlacementPainter(QuiltJob job, Palette palette, GraphicsContext g, View view) {
        this.job = job;
        this.p = palette;
        this.g = g;
        this.view = view;
    }

    void paint(Placement placement) {
        List<Path> outlines = job.outlines(placement.tool());
        g.setFillRule(FillRule.EVEN_ODD);
        g.setFill(p.tint(job.template(placement.tool().templateId())
                .map(t -> t.material().tint())
                .orElse(Material.Tint.AMBER)));
        g.setStroke(p.template());
        g.setLineWidth(1.8);
        view.paths(g, outlines.stream().map(o -> o.posed(placement.pose())).toList());
        g.fill();
        g.stroke();
        job.arc(placement.tool()).ifPresent(template -> lines(template, placement));
        if (placement.registration() instanceof Registration.NotchOnMark on) {
            onEdge(outlines, on.below(), placement);
        }
        if (placement.registration() instanceof Registration.OnRow on) {
            onEdge(outlines, on.belowCrowns(), placement);
        }
        if (placement.registration() instanceof Registration.OnStitching on) {
            beside(on.fromEdge(), placement);
        }
        if (placement.registration() instanceof Registration.AlongSeam on) {
            beside(on.fromEdge(), placement);
        }
        foot(placement);
    }

    /** What of the template runs along its edge and lies on stitching, or on a round seam. */
    private void beside(double fromEdge, Placement placement) {
        g.setStroke(p.chosen());
        g.setLineWidth(3.5);
        job.template(placement.tool().templateId()).stream()
                .flatMap(t -> t.beside(placement.tool().guideId(), fromEdge).stream())
                .forEach(path -> view.stroke(g, path.posed(placement.pose())));
    }

    /** What of a strip lies on the edge of the run. */
    private void onEdge(List<Path> outlines, double below, Placement placement) {
        Box box = outlines.stream().map(Path::box).reduce(Box::with).orElseThrow();
        // The far side of a plate lies upside down.
        boolean far = placement.tool().guideId().equals(ScallopRow.FAR_EDGE);
        double at = far ? box.bottom() + below : box.top() - below;
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
        placement.registration().standing().ifPresent(what -> {
            g.setStroke(p.chosen());
            g.setLineWidth(3.5);
            if (what instanceof SeamRegister.EngravedLine line) {
                strokes(template, placement, line.belowEdge());
            } else if (what instanceof SeamRegister.Tape tape) {
                strokes(template, placement, tape.belowEdge());
            }
        });
    }

    private void strokes(ArcTemplate template, Placement placement, double below) {
        template.strokesAt(below).forEach(s -> view.stroke(g, s.posed(placement.pose())));
    }

    /** The foot at the start of the line, with the needle in it, and an arrow at the line's end. */
    private void foot(Placement placement) {
        view.foot(g, p, placement.path().start(), job.machine().footRadius());
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
}
