package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.Hatching;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Crosshatch}: two sets of lines, as far apart as comes nearest to what is wanted and divides the
 * width at the lower edge evenly. Where the first set stands upright, the second lies level.
 */
final class CrosshatchLayout {

    private static final Param.Length<AreaMotif.Crosshatch> SPACING =
            Param.length("spacing", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Crosshatch::spacing);
    private static final Param.Angle<AreaMotif.Crosshatch> ANGLE =
            Param.angle("angle", AreaMotif.LEAST_SLANT, AreaMotif.MOST_SLANT, AreaMotif.Crosshatch::angle);

    private static final Param.Flag<AreaMotif.Crosshatch> EXACT =
            Param.flag("exact", AreaMotif.Crosshatch::exact, false);

    static final AreaMotifType<AreaMotif.Crosshatch> TYPE = new AreaMotifType<>(
                    AreaMotif.Crosshatch.class,
                    "crosshatch",
                    Params.of(
                                    v -> new AreaMotif.Crosshatch(v.get(SPACING), v.get(ANGLE), v.get(EXACT)),
                                    Params.row(SPACING, ANGLE),
                                    Params.row(EXACT))
                            .brief(EXACT),
                    (piece, motif) -> new CrosshatchLayout(piece, motif).lay(),
                    (hatch, cloth) -> cloth.straight(
                            2
                                    * (cloth.width() * Math.abs(Math.sin(hatch.angle()))
                                            + cloth.height() * Math.abs(Math.cos(hatch.angle())))
                                    / hatch.spacing(),
                            2 * cloth.width() * cloth.height() / hatch.spacing()),
                    Kind.STRAIGHT_EDGE)
            .spaced((hatch, box) -> List.of(hatch.spacing(box)))
            .offered((cloth, offers) -> {
                offers.add("", new AreaMotif.Crosshatch(1, Math.PI / 4));
                if (cloth.isBackground()) {
                    offers.add("-upright", new AreaMotif.Crosshatch(1, Math.PI / 2));
                }
            })
            .dragged((hatch, knobs) -> knobs.along(SPACING, 1 / Math.sin(hatch.angle())));

    private final PieceContext laying;
    private final AreaMotif.Crosshatch motif;
    private final Box box;

    CrosshatchLayout(PieceContext laying, AreaMotif.Crosshatch motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        double step = motif.step(box);
        double lean = box.height() / Math.tan(motif.angle());
        laying.tellApart(motif.spacing(), step * Math.sin(motif.angle()));
        double apart = step * Math.sin(motif.angle());
        if (motif.upright()) {
            Hatching.upAndDown(laying, tool.get(), 1, leaning(step, lean), apart);
            double up = motif.levelStep(box);
            laying.tellApart(motif.spacing(), up);
            Hatching.upAndDown(laying, tool.get(), 2, level(up), up);
        } else {
            Hatching.fromTheMiddle(laying, tool.get(), 1, leaning(step, lean), apart);
            List<Segment> across = leaning(step, -lean);
            if (laying.space().onSeam()) {
                Hatching.fromBothSides(laying, tool.get(), 2, across, apart);
            } else {
                // Without seams to travel in, lines lead from one free end to the next: the fewer are laid on them, the
                // better.
                Hatching.fromTheMiddle(laying, tool.get(), 2, across, apart);
            }
        }
    }

    private List<Segment> leaning(double step, double over) {
        // What doesn't come out even has a line through the middle.
        double from = motif.exact() ? Math.IEEEremainder((box.width() - over) / 2, step) : 0;
        int first = (int) Math.floor(-Math.max(over, 0) / step) - 1;
        int last = (int) Math.ceil((box.width() - Math.min(over, 0)) / step) + 1;
        List<Segment> lines = new ArrayList<>();
        for (int i = first; i <= last; i++) {
            double at = from + i * step;
            lines.add(new Segment(laying.space().place(at, 0), laying.space().place(at + over, box.height())));
        }
        return lines;
    }

    private List<Segment> level(double step) {
        double from = motif.exact() ? box.height() / 2 % step : 0;
        List<Segment> lines = new ArrayList<>();
        for (double up = from; up < box.height() + Tolerances.ROUNDING; up = from + lines.size() * step) {
            lines.add(new Segment(laying.space().place(0, up), laying.space().place(box.width(), up)));
        }
        return lines;
    }
}
