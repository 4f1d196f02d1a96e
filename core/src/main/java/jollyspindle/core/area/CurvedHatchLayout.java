package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.Hatching;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link AreaMotif.CurvedHatch}: arcs over the block's height, each moved on to the right, and arcs over its width,
 * each moved on upwards. Moved on, arcs aren't equally far apart everywhere, so that no engraved line can tell their places:
 * each lies on two marks.
 */
final class CurvedHatchLayout {

    private static final Param.Length<AreaMotif.CurvedHatch> SPACING =
            Param.length("spacing", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.CurvedHatch::spacing);

    private static final Param.Flag<AreaMotif.CurvedHatch> EXACT =
            Param.flag("exact", AreaMotif.CurvedHatch::exact, false);

    static final AreaMotifType<AreaMotif.CurvedHatch> TYPE = new AreaMotifType<>(
                    AreaMotif.CurvedHatch.class,
                    "curved-hatch",
                    Params.of(
                                    v -> new AreaMotif.CurvedHatch(v.get(SPACING), v.get(EXACT)),
                                    Params.row(SPACING),
                                    Params.row(EXACT))
                            .brief(EXACT),
                    (piece, motif) -> new CurvedHatchLayout(piece, motif).lay(),
                    (hatch, cloth) -> (cloth.width() + cloth.height()) / hatch.spacing(),
                    Kind.ARC)
            .spaced((hatch, box) -> List.of(hatch.step(box.width()), hatch.step(box.height())))
            .offered((cloth, offers) -> {
                if (!cloth.isBackground()) {
                    offers.add("", new AreaMotif.CurvedHatch(1));
                }
            })
            .dragged((hatch, knobs) -> knobs.along(SPACING, 1));

    private final PieceContext laying;
    private final AreaMotif.CurvedHatch motif;
    private final Box box;

    CurvedHatchLayout(PieceContext laying, AreaMotif.CurvedHatch motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        set(1, box.width(), box.height());
        set(2, box.height(), box.width());
    }

    /** The template asked for; or one whose arcs from edge to edge are quarter circles or flatter, else one that reaches at all. */
    private Optional<StitchingEdge.Round> tool(double span) {
        return laying.templateId().isPresent()
                ? laying.round()
                : laying.tools()
                        .arcFrom(span / Math.sqrt(2))
                        .filter(arc -> 2 * arc.stitchedRadius(laying.machine()) >= span)
                        .map(a -> StitchingEdge.Round.of(a, laying.machine()))
                        .or(laying::round);
    }

    /** Where a place of a set lies: along it, and from its foot. */
    private Point place(int set, double along, double up) {
        return set == 1 ? laying.space().place(along, up) : laying.space().place(up, along);
    }

    private void set(int set, double length, double span) {
        Optional<StitchingEdge.Round> found = tool(span);
        if (found.isEmpty()) {
            return;
        }
        StitchingEdge.Round tool = found.get();
        if (span > 2 * tool.stitched()) {
            laying.tell(new LayoutDiagnostic.TooFar(span, 2 * tool.stitched()));
            return;
        }
        double step = motif.step(length);
        double bulge = tool.stitched() - Math.sqrt(tool.stitched() * tool.stitched() - span * span / 4);
        laying.tellApart(motif.spacing(), step);
        double from = motif.exact() ? length % step / 2 : 0;
        int first = -(int) Math.floor((bulge + from) / step + Tolerances.ROUNDING);
        int last = (int) Math.ceil((length - from) / step - Tolerances.ROUNDING);
        int number = 0;
        Hatching hatching = new Hatching(laying, tool, set, OptionalDouble.empty(), PlacementBuilder.Turn.MARKED);
        for (int i = first; i < last; i++) {
            number++;
            // The first set bulges to the right, the second upwards: seen from foot to head, right and left.
            double at = from + i * step;
            Arc arc = ArcsBetween.of(place(set, at, 0), place(set, at, span), tool.stitched(), set == 2)
                    .orElseThrow();
            Curve way = number % 2 == 0 ? arc.reversed() : arc;
            hatching.stitch(way, number, step);
        }
    }
}
