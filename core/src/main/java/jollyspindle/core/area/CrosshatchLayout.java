package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.Sewing;
import jollyspindle.core.sewing.Tool;
import jollyspindle.core.shelf.SeamRegister;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Crosshatch}: two sets of lines, as far apart as comes nearest to what is wanted and divides the
 * width at the lower edge evenly; each laid beside the one before, the first of each figure on two marks.
 */
final class CrosshatchLayout {

    /** A line no further off than so many spacings lies beside. */
    private static final double NEAR = 1.6;

    private final AreaLaying laying;
    private final AreaMotif.Crosshatch motif;
    private final Box box;

    CrosshatchLayout(AreaLaying laying, AreaMotif.Crosshatch motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        Optional<Tool.Straight> tool = laying.tools().straight(laying.templateId(), Optional.empty());
        if (tool.isEmpty()) {
            laying.tell(new AreaTold.NoTool(AreaTold.Need.STRAIGHT_EDGE));
            return;
        }
        double wanted = motif.spacing() / Math.sin(motif.angle());
        double step = box.width() / Math.max(1, Math.round(box.width() / wanted));
        double lean = box.height() / Math.tan(motif.angle());
        boolean upright = Math.abs(lean) < 1e-9;
        if (upright) {
            level(tool.get());
        }
        for (int set = 1; set <= (upright ? 1 : 2); set++) {
            double over = set == 1 ? lean : -lean;
            int first = (int) Math.floor(-Math.max(over, 0) / step) - 1;
            int last = (int) Math.ceil((box.width() - Math.min(over, 0)) / step) + 1;
            List<StitchLine> before = List.of();
            for (int i = first; i <= last; i++) {
                Segment whole = new Segment(
                        laying.space().place(i * step, 0), laying.space().place(i * step + over, box.height()));
                before = line(tool.get(), whole, set, i - first + 1, step * Math.sin(motif.angle()), before);
            }
        }
    }

    /** Where the first set stands upright, the second lies level. */
    private void level(Tool.Straight tool) {
        double step = box.height() / Math.max(1, Math.round(box.height() / motif.spacing()));
        List<StitchLine> before = List.of();
        for (int i = 0; i * step < box.height() + 1e-9; i++) {
            Segment whole = new Segment(
                    laying.space().place(0, i * step), laying.space().place(box.width(), i * step));
            before = line(tool, whole, 2, i + 1, step, before);
        }
    }

    private List<StitchLine> line(
            Tool.Straight tool, Segment whole, int set, int number, double spacing, List<StitchLine> before) {
        List<StitchLine> lines = new ArrayList<>();
        double fromEdge = spacing - laying.tools().machine().footRadius();
        for (Path piece : laying.kept(Path.of(whole))) {
            Segment kept = (Segment) piece.curves().get(0);
            if (onEdge(kept)) {
                continue;
            }
            Segment line = number % 2 == 0 ? kept.reversed() : kept;
            Optional<StitchLine> beside = before.stream()
                    .filter(l -> fromEdge >= 0 && l.path().distance(line.at(0.5)) < NEAR * spacing)
                    .findFirst();
            boolean engraved =
                    tool.parallels().stream().anyMatch(d -> Math.abs(d - fromEdge) <= SeamRegister.LINE_TOLERANCE);
            lines.add(laying.sewing()
                    .stitch(
                            Sewing.Naming.of(Stitched.HATCH, number, set),
                            line,
                            tool,
                            beside.<Registration>map(l -> new Registration.OnStitching(l.id(), fromEdge, engraved))
                                    .orElseGet(Registration.FootOnBothMarks::new),
                            beside.isPresent() ? laying.shown(line.from()) : marked(Mark.Kind.LINE_START, line.from()),
                            beside.isPresent() ? laying.shown(line.to()) : marked(Mark.Kind.LINE_END, line.to()),
                            Sewing.Turn.SLIDING));
        }
        return lines;
    }

    /** Lines on the area's own edge lie in the seam. */
    private boolean onEdge(Segment line) {
        Path outline = laying.space().outline();
        return outline.distance(line.at(0.25)) < 1e-6 && outline.distance(line.at(0.75)) < 1e-6;
    }

    private Spot marked(Mark.Kind kind, Point place) {
        return Spot.at(laying.mark(kind, place));
    }
}
