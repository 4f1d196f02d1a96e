package jollyspindle.core.area;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Whirl}: from a corner of what is left, lines to the far side, the first so far from that side's
 * beginning as each is from the next. The last of a set takes the place of the side it started beside, and its end that of
 * the corner there; the next set starts from that corner. So a set of an odd number ends where the next one starts.
 */
final class WhirlLayout {

    private static final Param.Whole<AreaMotif.Whirl> LINES = Param.whole("lines", 1, 9, AreaMotif.Whirl::lines);
    private static final Param.Length<AreaMotif.Whirl> SPACING =
            Param.length("spacing", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Whirl::spacing);
    private static final Param.Whole<AreaMotif.Whirl> SETS =
            Param.whole("sets", 1, AreaMotif.MOST, AreaMotif.Whirl::sets);

    static final AreaMotifType<AreaMotif.Whirl> TYPE = new AreaMotifType<>(
                    AreaMotif.Whirl.class,
                    "whirl",
                    Params.of(
                                    v -> new AreaMotif.Whirl(v.get(LINES), v.get(SPACING), v.get(SETS)),
                                    Params.row(LINES, SETS),
                                    Params.row(SPACING))
                            .kept(LINES, SPACING, SETS),
                    (piece, motif) -> new WhirlLayout(piece, motif).lay(),
                    // No more sets are stitched than have room: what is left gets smaller with each.
                    (whirl, cloth) -> whirl.lines(),
                    Kind.STRAIGHT_EDGE)
            .offered((cloth, offers) -> {
                if (!cloth.isBackground()) {
                    offers.add("", new AreaMotif.Whirl(3, AreaPreset.SPACING, 8));
                }
            })
            .dragged((whirl, knobs) -> knobs.from(
                    SPACING, new Point(knobs.box().right(), knobs.box().top()), new Point(0, -1)));

    private final PieceContext laying;
    private final AreaMotif.Whirl motif;

    WhirlLayout(PieceContext laying, AreaMotif.Whirl motif) {
        this.laying = laying;
        this.motif = motif;
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        // Clockwise from the top left; a round area's whirl lies in the square in it.
        List<Point> left = new ArrayList<>(corners());
        int count = left.size();
        double taken = motif.lines() * motif.spacing();
        for (int set = 0; set < motif.sets(); set++) {
            Point from = left.get(set % count);
            int next = (set + 1) % count;
            Segment far = new Segment(left.get(next), left.get((set + 2) % count));
            if (far.length() < taken + LayoutContext.SHORTEST) {
                laying.tell(new AreaDiagnostic.FewerSets(motif.sets(), set));
                return;
            }
            for (int line = 1; line <= motif.lines(); line++) {
                Point to = far.at(line * motif.spacing() / far.length());
                Segment whole = line % 2 == 1 ? new Segment(from, to) : new Segment(to, from);
                laying.stitch(
                        PlacementBuilder.Naming.of(Stitched.WHIRL, set + 1, line),
                        Path.of(whole),
                        tool.get(),
                        p -> laying.marked(p.isAt(from) ? Mark.Kind.LINE_START : Mark.Kind.LINE_END, p));
            }
            left.set(next, far.at(taken / far.length()));
        }
    }

    private List<Point> corners() {
        List<Curve> sides = laying.space().outline().curves();
        if (sides.size() == 1) {
            double half = laying.space().inside() / Math.sqrt(2);
            Point centre = laying.space().centre();
            return List.of(
                    centre.plus(new Point(-half, half)),
                    centre.plus(new Point(half, half)),
                    centre.plus(new Point(half, -half)),
                    centre.plus(new Point(-half, -half)));
        }
        List<Point> corners = new ArrayList<>(sides.stream().map(Curve::start).toList());
        Collections.reverse(corners);
        return corners;
    }
}
