package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.Hatching;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * Lays out {@link AreaMotif.Quarters}: in each quarter lines across or down, as close as is chosen for it. The spacing that is
 * nearest to the wanted one and divides the quarter evenly is taken, so that a quarter of 3 takes 11 lines at 1/4 and 5 at 1/2
 * (common practice, no source; derived); unless it is to be exact.
 */
final class QuartersLayout {

    private static final Param.Length<AreaMotif.Quarters> CLOSE =
            Param.length("close", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Quarters::close);
    private static final Param.Length<AreaMotif.Quarters> WIDE =
            Param.length("wide", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Quarters::wide);
    private static final Param.Flag<AreaMotif.Quarters> PIECED = Param.flag("pieced", AreaMotif.Quarters::pieced, true);

    private static final Param.Choice<AreaMotif.Quarters, AreaMotif.Lined> UPPER_LEFT =
            lined("upperLeft", AreaMotif.Quarters::upperLeft, AreaMotif.Lined.CLOSE_ACROSS);
    private static final Param.Choice<AreaMotif.Quarters, AreaMotif.Lined> UPPER_RIGHT =
            lined("upperRight", AreaMotif.Quarters::upperRight, AreaMotif.Lined.WIDE_DOWN);
    private static final Param.Choice<AreaMotif.Quarters, AreaMotif.Lined> LOWER_RIGHT =
            lined("lowerRight", AreaMotif.Quarters::lowerRight, AreaMotif.Lined.CLOSE_ACROSS);
    private static final Param.Choice<AreaMotif.Quarters, AreaMotif.Lined> LOWER_LEFT =
            lined("lowerLeft", AreaMotif.Quarters::lowerLeft, AreaMotif.Lined.WIDE_DOWN);
    private static final Param.Flag<AreaMotif.Quarters> EXACT = Param.flag("exact", AreaMotif.Quarters::exact, false);

    static final AreaMotifType<AreaMotif.Quarters> TYPE = new AreaMotifType<>(
                    AreaMotif.Quarters.class,
                    "quarters",
                    Params.of(
                                    v -> new AreaMotif.Quarters(
                                            v.get(CLOSE),
                                            v.get(WIDE),
                                            v.get(PIECED),
                                            v.get(UPPER_LEFT),
                                            v.get(UPPER_RIGHT),
                                            v.get(LOWER_RIGHT),
                                            v.get(LOWER_LEFT),
                                            v.get(EXACT)),
                                    Params.row(CLOSE, WIDE),
                                    Params.row(UPPER_LEFT, UPPER_RIGHT),
                                    Params.row(LOWER_LEFT, LOWER_RIGHT),
                                    Params.row(PIECED),
                                    Params.row(EXACT))
                            .brief(UPPER_LEFT)
                            .brief(UPPER_RIGHT)
                            .brief(LOWER_RIGHT)
                            .brief(LOWER_LEFT)
                            .brief(EXACT),
                    (piece, motif) -> new QuartersLayout(piece, motif).lay(),
                    (quarters, cloth) -> quarters.quarters().stream()
                            .filter(lines -> lines != AreaMotif.Lined.NONE)
                            .mapToDouble(lines -> cloth.straight(
                                    (lines.across() ? cloth.height() : cloth.width()) / 2 / quarters.wished(lines),
                                    cloth.width() * cloth.height() / 4 / quarters.wished(lines)))
                            .sum(),
                    Kind.STRAIGHT_EDGE)
            .spaced((quarters, box) -> quarters.quarters().stream()
                    .filter(lines -> lines != AreaMotif.Lined.NONE)
                    .distinct()
                    .map(lines -> quarters.step(box, lines))
                    .toList())
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

    private static Param.Choice<AreaMotif.Quarters, AreaMotif.Lined> lined(
            String code, Function<AreaMotif.Quarters, AreaMotif.Lined> get, AreaMotif.Lined usual) {
        return Param.choice(code, AreaMotif.Lined.class, get, usual);
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
        for (int quarter = 1; quarter <= motif.quarters().size(); quarter++) {
            quarter(tool.get(), quarter, quarter == 2 || quarter == 3, quarter <= 2);
        }
    }

    private void quarter(StitchingEdge.Straight tool, int quarter, boolean right, boolean upper) {
        AreaMotif.Lined lined = motif.quarters().get(quarter - 1);
        if (lined == AreaMotif.Lined.NONE) {
            return;
        }
        Box box = laying.space().box();
        Point middle = new Point(box.width() / 2, box.height() / 2);
        double step = motif.step(box, lined);
        laying.tellApart(motif.wished(lined), step);
        boolean across = lined.across();
        double room = across ? middle.y() : middle.x();
        Point far = new Point(right ? box.width() : 0, upper ? box.height() : 0);
        // Counted from the block's middle outwards.
        Point way = across ? new Point(0, upper ? 1 : -1) : new Point(right ? 1 : -1, 0);
        List<Segment> lines = new ArrayList<>();
        for (int i = 1; i * step < room - Tolerances.ROUNDING; i++) {
            Point from = middle.plus(way.times(i * step));
            lines.add(new Segment(
                    laying.space().place(from.x(), from.y()),
                    across
                            ? laying.space().place(far.x(), from.y())
                            : laying.space().place(from.x(), far.y())));
        }
        Hatching.upAndDown(laying, tool, quarter, lines, step);
    }

    private void middle(StitchingEdge.Straight tool, int number, Segment line) {
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.LINE, number),
                Path.of(line),
                tool,
                p -> laying.marked(p.equals(line.from()) ? Mark.Kind.LINE_START : Mark.Kind.LINE_END, p));
    }
}
