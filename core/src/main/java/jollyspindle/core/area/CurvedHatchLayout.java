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

    static final AreaMotifType<AreaMotif.CurvedHatch> TYPE = new AreaMotifType<>(
                    AreaMotif.CurvedHatch.class,
                    "curved-hatch",
                    Params.of(v -> new AreaMotif.CurvedHatch(v.get(SPACING)), Params.row(SPACING)),
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
        Optional<StitchingEdge.Round> found = laying.round();
        if (found.isEmpty()) {
            return;
        }
        StitchingEdge.Round tool = found.get();
        double longest = Math.max(box.width(), box.height());
        if (longest > 2 * tool.stitched()) {
            laying.tell(new LayoutDiagnostic.TooFar(longest, 2 * tool.stitched()));
            return;
        }
        set(tool, 1, box.width(), box.height());
        set(tool, 2, box.height(), box.width());
    }

    /** Where a place of a set lies: along it, and from its foot. */
    private Point place(int set, double along, double up) {
        return set == 1 ? laying.space().place(along, up) : laying.space().place(up, along);
    }

    private void set(StitchingEdge.Round tool, int set, double length, double span) {
        double step = motif.step(length);
        double bulge = tool.stitched() - Math.sqrt(tool.stitched() * tool.stitched() - span * span / 4);
        int first = -(int) Math.floor(bulge / step + Tolerances.ROUNDING);
        int last = (int) Math.round(length / step);
        int number = 0;
        Hatching hatching = new Hatching(laying, tool, set, OptionalDouble.empty(), PlacementBuilder.Turn.MARKED);
        for (int i = first; i < last; i++) {
            number++;
            // The first set bulges to the right, the second upwards: seen from foot to head, right and left.
            Arc arc = ArcsBetween.of(place(set, i * step, 0), place(set, i * step, span), tool.stitched(), set == 2)
                    .orElseThrow();
            Curve way = number % 2 == 0 ? arc.reversed() : arc;
            hatching.stitch(way, number, step);
        }
    }
}
