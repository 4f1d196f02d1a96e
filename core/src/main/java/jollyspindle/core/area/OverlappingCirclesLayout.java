package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
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

/**
 * Lays out {@link AreaMotif.Circles}: a circle about the middle of each square of the grid. The classic size goes through the
 * square's four corners, s/√2 in radius; of the shelf's circles the one nearest to that is taken. Each begins where it crosses
 * the circle before: once round that one and about a quarter again, the needle is there. Rows go there and back in turn.
 */
final class OverlappingCirclesLayout {

    private static final Param.Whole<AreaMotif.Circles> ACROSS =
            Param.whole("across", 1, AreaMotif.MOST, AreaMotif.Circles::across);
    private static final Param.Whole<AreaMotif.Circles> DOWN =
            Param.whole("down", 1, AreaMotif.MOST, AreaMotif.Circles::down);

    /** About as wide its squares are to begin with, in inches. */
    private static final double USUAL_SQUARE = 2;

    static final AreaMotifType<AreaMotif.Circles> TYPE = new AreaMotifType<>(
                    AreaMotif.Circles.class,
                    "circles",
                    Params.of(v -> new AreaMotif.Circles(v.get(ACROSS), v.get(DOWN)), Params.row(ACROSS, DOWN)),
                    (piece, motif) -> new OverlappingCirclesLayout(piece, motif).lay(),
                    (circles, cloth) -> (double) circles.across() * circles.down(),
                    Kind.CIRCLE,
                    Kind.SLOTTED_CIRCLES)
            .offered((cloth, offers) -> offers.add(
                    "",
                    cloth.isBackground()
                            ? new AreaMotif.Circles(12, 12)
                            : new AreaMotif.Circles(
                                    AreaPreset.squares(cloth.width(), USUAL_SQUARE),
                                    AreaPreset.squares(cloth.height(), USUAL_SQUARE))))
            .dragged((circles, knobs) -> knobs.squares(ACROSS));

    private final PieceContext laying;
    private final AreaMotif.Circles motif;
    private final Box box;

    OverlappingCirclesLayout(PieceContext laying, AreaMotif.Circles motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        List<StitchingEdge.Round> all = laying.circles();
        if (all.isEmpty()) {
            return;
        }
        double across = box.width() / motif.across();
        double down = box.height() / motif.down();
        double classic = Math.hypot(across, down) / 2;
        StitchingEdge.Round tool = all.stream()
                .min(Comparator.comparingDouble(t -> Math.abs(t.stitched() - classic)))
                .orElseThrow();
        double apart = Math.max(across, down);
        if (2 * tool.stitched() <= apart) {
            laying.tell(new AreaDiagnostic.CirclesApart(2 * tool.stitched(), apart));
        }
        int number = 0;
        for (int row = 0; row < motif.down(); row++) {
            boolean back = row % 2 == 1;
            for (int i = 0; i < motif.across(); i++) {
                int column = back ? motif.across() - 1 - i : i;
                Point middle = laying.space().place((column + 0.5) * across, box.height() - (row + 0.5) * down);
                circle(tool, ++number, middle, start(tool, i, row, across, down), back);
            }
        }
    }

    /**
     * Where a circle begins, as an angle seen from its middle: where it crosses the one before; the first of a row where it
     * crosses the one over it, on the side that the row goes to. In the first row that is below, away from the edge.
     */
    private double start(StitchingEdge.Round tool, int inRow, int row, double across, double down) {
        double beside = Math.acos(Math.min(1, across / 2 / tool.stitched()));
        double over = Math.acos(Math.min(1, down / 2 / tool.stitched()));
        double angle;
        if (inRow > 0) {
            angle = row == 0 ? Math.PI + beside : Math.PI - beside;
        } else if (row > 0) {
            angle = Math.PI / 2 - over;
        } else {
            // The very first begins where the next one will.
            angle = motif.across() > 1 ? -beside : over - Math.PI / 2;
        }
        return row % 2 == 1 ? Math.PI - angle : angle;
    }

    private void circle(StitchingEdge.Round tool, int number, Point middle, double start, boolean back) {
        Mark mark = laying.mark(Mark.Kind.MIDDLE, middle);
        Arc whole = new Arc(middle, tool.stitched(), start, back ? 2 * Math.PI : -2 * Math.PI);
        boolean first = number == 1;
        for (Path part : parts(whole)) {
            laying.stitch(
                    PlacementBuilder.Naming.of(Stitched.CIRCLE, number),
                    part,
                    c -> tool,
                    c -> new Registration.CentreOnMark(mark, false),
                    p -> {
                        if (!p.isAt(whole.start())) {
                            return laying.shown(p);
                        }
                        return first
                                ? laying.marked(Mark.Kind.LINE_START, p)
                                : LineEnd.at(p, LineEnd.ShownBy.STITCHING);
                    });
        }
    }

    /**
     * What is stitched of a circle. What is left of one that is cut is stitched in two parts where it goes on past the
     * circle's start, so that it, too, begins where it crosses the circle before.
     */
    private List<Path> parts(Arc whole) {
        List<Path> parts = new ArrayList<>();
        List<Path> last = new ArrayList<>();
        for (Path path : laying.kept(Path.of(whole))) {
            Curve curve = path.curves().get(0);
            double before = curve.nearest(whole.start());
            double least = LayoutContext.SHORTEST / curve.length();
            if (curve.at(before).isAt(whole.start()) && before > least && before < 1 - least) {
                parts.add(Path.of(curve.piece(before, 1)));
                last.add(Path.of(curve.piece(0, before)));
            } else {
                parts.add(path);
            }
        }
        parts.addAll(last);
        return parts;
    }
}
