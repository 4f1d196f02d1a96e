package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.Hatching;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Quarters}: in the quarters at the upper left and the lower right close lines across, in the other
 * two wide ones down. In each, the spacing that is nearest to the wanted one and divides the quarter evenly is taken, so
 * that a quarter of 3 takes 11 lines at 1/4 and 5 at 1/2 (common practice, no source; derived).
 */
final class QuartersLayout {

    private static final Param.Length<AreaMotif.Quarters> CLOSE =
            Param.length("close", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Quarters::close);
    private static final Param.Length<AreaMotif.Quarters> WIDE =
            Param.length("wide", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Quarters::wide);
    private static final Param.Flag<AreaMotif.Quarters> PIECED = Param.flag("pieced", AreaMotif.Quarters::pieced, true);

    static final AreaMotifType<AreaMotif.Quarters> TYPE = new AreaMotifType<>(
                    AreaMotif.Quarters.class,
                    "quarters",
                    Params.of(
                            v -> new AreaMotif.Quarters(v.get(CLOSE), v.get(WIDE), v.get(PIECED)),
                            Params.row(CLOSE, WIDE),
                            Params.row(PIECED)),
                    (piece, motif) -> new QuartersLayout(piece, motif).lay(),
                    (quarters, cloth) -> cloth.straight(
                            cloth.height() / quarters.close() + cloth.width() / quarters.wide(),
                            cloth.width() * cloth.height() / 2 * (1 / quarters.close() + 1 / quarters.wide())),
                    Kind.STRAIGHT_EDGE)
            .spaced((quarters, box) -> List.of(quarters.closeStep(box), quarters.wideStep(box)))
            .offered((cloth, offers) -> {
                if (!cloth.isBackground()) {
                    offers.add("", new AreaMotif.Quarters(AreaPreset.SPACING / 2, AreaPreset.SPACING));
                }
            })
            .dragged((quarters, knobs) -> {
                knobs.along(WIDE, 1);
                knobs.from(CLOSE, new Point(knobs.box().left(), knobs.centre().y()), new Point(0, 1));
            });

    private final PieceContext laying;
    private final AreaMotif.Quarters motif;

    QuartersLayout(PieceContext laying, AreaMotif.Quarters motif) {
        this.laying = laying;
        this.motif = motif;
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        Box box = laying.space().box();
        double width = box.width() / 2;
        double height = box.height() / 2;
        Segment upright =
                new Segment(laying.space().place(width, 0), laying.space().place(width, box.height()));
        Segment level =
                new Segment(laying.space().place(0, height), laying.space().place(box.width(), height));
        if (motif.pieced()) {
            for (Segment seam : List.of(upright, level)) {
                laying.seam(Path.of(seam.piece(0, 0.5)));
                laying.seam(Path.of(seam.piece(0.5, 1)));
            }
        } else {
            middle(tool.get(), 1, upright);
            middle(tool.get(), 2, level);
        }
        // Clockwise from the upper left.
        across(tool.get(), 1, 0, height, width, height);
        down(tool.get(), 2, width, height, width, height);
        across(tool.get(), 3, width, 0, width, height);
        down(tool.get(), 4, 0, 0, width, height);
    }

    private void middle(StitchingEdge.Straight tool, int number, Segment line) {
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.LINE, number),
                Path.of(line),
                tool,
                p -> laying.marked(p.equals(line.from()) ? Mark.Kind.LINE_START : Mark.Kind.LINE_END, p));
    }

    private void across(
            StitchingEdge.Straight tool, int quarter, double left, double low, double width, double height) {
        double step = motif.closeStep(laying.space().box());
        long parts = Math.round(height / step);
        List<Segment> lines = new ArrayList<>();
        for (int i = 1; i < parts; i++) {
            lines.add(new Segment(
                    laying.space().place(left, low + i * step), laying.space().place(left + width, low + i * step)));
        }
        Hatching.upAndDown(laying, tool, quarter, lines, step);
    }

    private void down(StitchingEdge.Straight tool, int quarter, double left, double low, double width, double height) {
        double step = motif.wideStep(laying.space().box());
        long parts = Math.round(width / step);
        List<Segment> lines = new ArrayList<>();
        for (int i = 1; i < parts; i++) {
            lines.add(new Segment(
                    laying.space().place(left + i * step, low), laying.space().place(left + i * step, low + height)));
        }
        Hatching.upAndDown(laying, tool, quarter, lines, step);
    }
}
