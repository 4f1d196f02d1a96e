package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link AreaMotif.Wreath}: n circles of radius r touch if their middles lie r/sin(180°/n) from the centre (regular
 * polygons in any handbook), at places r/tan(180°/n) from it. Touching ones are stitched without a break: round all outer
 * halves, and back to where it began along all inner ones. Others are begun each anew.
 */
final class WreathLayout {

    private static final Param.Whole<AreaMotif.Wreath> CIRCLES =
            Param.whole("circles", 3, AreaMotif.MOST_ARMS, AreaMotif.Wreath::circles);
    private static final Param.MaybeLength<AreaMotif.Wreath> OUT =
            Param.maybeLength("out", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Wreath::out);

    static final AreaMotifType<AreaMotif.Wreath> TYPE = new AreaMotifType<>(
                    AreaMotif.Wreath.class,
                    "wreath",
                    Params.of(v -> new AreaMotif.Wreath(v.get(CIRCLES), v.get(OUT)), Params.row(CIRCLES, OUT)),
                    (piece, motif) -> new WreathLayout(piece, motif).lay(),
                    (wreath, cloth) -> wreath.circles(),
                    Kind.CIRCLE,
                    Kind.SLOTTED_CIRCLES)
            .offeredAboutCentre((cloth, offers) -> offers.add("", new AreaMotif.Wreath(8, OptionalDouble.empty())))
            .dragged((wreath, knobs) -> knobs.out(OUT));

    private final PieceContext laying;
    private final AreaMotif.Wreath motif;
    private final AreaSpace space;

    /** Half the step from circle to circle, in radians. */
    private final double half;

    WreathLayout(PieceContext laying, AreaMotif.Wreath motif) {
        this.laying = laying;
        this.motif = motif;
        this.space = laying.space();
        this.half = Math.PI / motif.circles();
    }

    void lay() {
        List<StitchingEdge.Round> all = laying.circles();
        if (all.isEmpty()) {
            return;
        }
        Optional<StitchingEdge.Round> found = motif.out().isPresent()
                ? all.stream().min(Comparator.comparingDouble(t -> Math.abs(t.stitched() - touching())))
                : all.stream()
                        .filter(t -> out(t) + t.stitched() <= space.inside() + Tolerances.ROUNDING)
                        .max(Comparator.comparingDouble(StitchingEdge.Round::stitched));
        if (found.isEmpty()) {
            laying.tell(new AreaDiagnostic.NoRoom());
            return;
        }
        StitchingEdge.Round tool = found.get();
        double out = out(tool);
        double gap = 2 * out * Math.sin(half) - 2 * tool.stitched();
        laying.tell(new AreaDiagnostic.Wreath(2 * tool.stitched(), out, gap));
        if (Math.abs(gap) < Tolerances.CHALK && motif.circles() > 2) {
            touching(tool, tool.stitched() / Math.sin(half));
        } else {
            apart(tool, out);
        }
    }

    /** The radius of circles that touch at the wanted distance. */
    private double touching() {
        return motif.out().orElseThrow() * Math.sin(half);
    }

    private double out(StitchingEdge.Round tool) {
        return motif.out().orElse(tool.stitched() / Math.sin(half));
    }

    private Mark middle(int circle, double out) {
        Ray ray = laying.rays().at(2 * half * circle);
        return laying.mark(
                Mark.Kind.MIDDLE, space.centre().plus(Rays.way(ray.angle()).times(out)));
    }

    private void touching(StitchingEdge.Round tool, double out) {
        // From where a circle touches the one before it, seen from its middle, clockwise over its outer half; that is
        // as much
        // over half a turn as the inner one is under it.
        double outer = Math.PI + 2 * half;
        List<Arc> arcs = new ArrayList<>();
        for (int i = 0; i < motif.circles(); i++) {
            arcs.add(new Arc(middle(i, out).place(), tool.stitched(), start(i), -outer));
        }
        for (int i = motif.circles() - 1; i >= 0; i--) {
            // Back: from where it touches the next, over the inner side, counter to how the ring is gone round.
            arcs.add(new Arc(middle(i, out).place(), tool.stitched(), start(i) - outer, -(2 * Math.PI - outer)));
        }
        for (int i = 0; i < arcs.size(); i++) {
            Arc arc = arcs.get(i);
            boolean first = i < motif.circles();
            int circle = first ? i : 2 * motif.circles() - 1 - i;
            boolean begins = i == 0;
            laying.stitch(
                    PlacementBuilder.Naming.of(Stitched.CIRCLE, circle + 1, first ? 1 : 2),
                    Path.of(arc),
                    c -> tool,
                    c -> new Registration.CentreOnMark(middle(circle, out), false),
                    p -> begins && p.isAt(arc.start())
                            ? laying.marked(Mark.Kind.LINE_START, p)
                            : laying.sewing().passes(p)
                                    ? LineEnd.at(p, LineEnd.ShownBy.STITCHING)
                                    : laying.marked(Mark.Kind.LINE_END, p));
        }
    }

    /** Where a circle touches the one before it, as an angle seen from its own middle. */
    private double start(int circle) {
        double clockwise = 2 * half * circle;
        // Square to the ray between both, which lies half a step back, and away from the circle's own ray.
        return Math.PI / 2 - clockwise + half + Math.PI / 2;
    }

    private void apart(StitchingEdge.Round tool, double out) {
        for (int i = 0; i < motif.circles(); i++) {
            Mark middle = middle(i, out);
            Point away = middle.place().minus(space.centre());
            Arc whole = new Arc(middle.place(), tool.stitched(), away.angle(), -2 * Math.PI);
            laying.stitch(
                    PlacementBuilder.Naming.of(Stitched.CIRCLE, i + 1),
                    Path.of(whole),
                    c -> tool,
                    c -> new Registration.CentreOnMark(middle, false),
                    PieceContext::anywhere);
        }
    }
}
