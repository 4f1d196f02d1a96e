package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.Comparator;
import java.util.Optional;

/**
 * Four smaller petals about the middle of each circle of an orange peel, between the petals on its edges: from the middle
 * towards the grid's crossings, of the two arcs of a smaller hole that meet square to each other there. From tip to tip round
 * each crossing an arc of that hole closes a small curved square, so that rows and columns are threaded through.
 *
 * <p>A petal of two arcs of the radius r about a middle from which petals start under the angle a of each other is at most
 * 2r·sin(a/2) long without crossing the next (derived): r√2 in squares, where the hole of 3 goes into the circle of 6 and ends
 * 0.879 short of the crossings.
 *
 * <p>One thread goes once round: along the first row's upper side, down the last column, back along the last row, and up the
 * first column; down and up two columns where it comes by on the first side, and back and forth two rows where it comes up. At
 * the edge, where only half a curved square is left, the arc from tip to tip is stitched there and back.
 */
final class PetalsBetween {

    /** A petal is no longer than this part of the way from the middle to the crossing. */
    private static final double LONGEST = 0.8;

    private final PieceContext laying;
    private final int across;
    private final int down;
    private final Box box;
    private final StitchingEdge.Round outer;
    private StitchingEdge.Round tool;
    private Point toTip;
    private int number;

    PetalsBetween(PieceContext laying, AreaMotif.Peel peel, StitchingEdge.Round outer) {
        this.laying = laying;
        this.across = peel.across();
        this.down = peel.down();
        this.box = laying.space().box();
        this.outer = outer;
    }

    void lay() {
        Point half = new Point(box.width() / across / 2, box.height() / down / 2);
        // The narrower of the angles between petals.
        double narrow = 2 * Math.atan2(Math.min(half.x(), half.y()), Math.max(half.x(), half.y()));
        double longest = LONGEST * half.length();
        double most = longest / (2 * Math.sin(narrow / 2));
        Optional<StitchingEdge.Round> found = laying.tools().circles(Optional.empty()).stream()
                .filter(hole -> hole.stitched() <= most + Tolerances.CHALK)
                .filter(hole -> fits(hole, half, narrow))
                .max(Comparator.comparingDouble(StitchingEdge.Round::stitched));
        if (found.isEmpty()) {
            laying.tell(new AreaDiagnostic.NoSmallerHole(outer.stitched()));
            return;
        }
        tool = found.get();
        toTip = tip(tool, half, narrow);
        laying.tell(new AreaDiagnostic.PetalsBetween(
                2 * tool.stitched(), toTip.length(), half.minus(toTip).length()));
        round();
    }

    private static Point tip(StitchingEdge.Round hole, Point half, double narrow) {
        return half.unit().times(2 * hole.stitched() * Math.sin(narrow / 2));
    }

    /** Whether its petals stay clear of the larger ones, and its arcs reach from tip to tip past the crossing. */
    private boolean fits(StitchingEdge.Round hole, Point half, double narrow) {
        Point tip = tip(hole, half, narrow);
        Point over = half.minus(tip);
        return clear(hole, tip, new Point(half.x(), 0), half.y())
                && clear(hole, tip, new Point(0, half.y()), half.x())
                && Math.max(over.x(), over.y()) < hole.stitched();
    }

    /**
     * Whether a petal stays clear of the arc on an edge, seen from the middle of the square.
     *
     * @param edge its middle
     * @param chord half of its length
     */
    private boolean clear(StitchingEdge.Round hole, Point tip, Point edge, double chord) {
        double away = Math.sqrt(Math.max(0, outer.stitched() * outer.stitched() - chord * chord));
        Point centre = edge.plus(edge.unit().times(away));
        Arc side =
                ArcsBetween.of(Point.ORIGIN, tip, hole.stitched(), edge.y() > 0).orElseThrow();
        return side.distance(centre) > outer.stitched() + Tolerances.CHALK;
    }

    // --- the thread ------------------------------------------------------------------------------------------------

    private Point middle(int column, int row) {
        return laying.space()
                .place((column + 0.5) * box.width() / across, box.height() - (row + 0.5) * box.height() / down);
    }

    private Point tip(int column, int row, AreaMotif.Corner corner) {
        return middle(column, row).plus(new Point(corner.across * toTip.x(), corner.up * toTip.y()));
    }

    private void round() {
        for (int column = 0; column < across; column++) {
            through(column, 0, AreaMotif.Corner.TOP_LEFT, AreaMotif.Corner.TOP_RIGHT);
            if (column + 1 < across) {
                column(column, AreaMotif.Corner.TOP_RIGHT, AreaMotif.Corner.BOTTOM_RIGHT, true);
                bridge(
                        tip(column, down - 1, AreaMotif.Corner.BOTTOM_RIGHT),
                        tip(column + 1, down - 1, AreaMotif.Corner.BOTTOM_LEFT),
                        false,
                        1);
                column(column + 1, AreaMotif.Corner.BOTTOM_LEFT, AreaMotif.Corner.TOP_LEFT, false);
                bridge(
                        tip(column + 1, 0, AreaMotif.Corner.TOP_LEFT),
                        tip(column, 0, AreaMotif.Corner.TOP_RIGHT),
                        true,
                        2);
            }
        }
        column(across - 1, AreaMotif.Corner.TOP_RIGHT, AreaMotif.Corner.BOTTOM_RIGHT, true);
        row(down - 1, AreaMotif.Corner.BOTTOM_RIGHT, AreaMotif.Corner.BOTTOM_LEFT, false);
        for (int row = down - 1; row >= 0; row--) {
            through(0, row, AreaMotif.Corner.BOTTOM_LEFT, AreaMotif.Corner.TOP_LEFT);
            if (row > 0) {
                row(row, AreaMotif.Corner.TOP_LEFT, AreaMotif.Corner.TOP_RIGHT, true);
                bridge(
                        tip(across - 1, row, AreaMotif.Corner.TOP_RIGHT),
                        tip(across - 1, row - 1, AreaMotif.Corner.BOTTOM_RIGHT),
                        false,
                        1);
                row(row - 1, AreaMotif.Corner.BOTTOM_RIGHT, AreaMotif.Corner.BOTTOM_LEFT, false);
                bridge(tip(0, row - 1, AreaMotif.Corner.BOTTOM_LEFT), tip(0, row, AreaMotif.Corner.TOP_LEFT), true, 2);
            }
        }
    }

    /** All of a row along one of its sides. */
    private void row(int row, AreaMotif.Corner from, AreaMotif.Corner to, boolean right) {
        for (int i = 0; i < across; i++) {
            int column = right ? i : across - 1 - i;
            through(column, row, from, to);
            if (i + 1 < across) {
                bridge(tip(column, row, to), tip(column + (right ? 1 : -1), row, from), right == to.up > 0, 1);
            }
        }
    }

    /** All of a column along one of its sides. */
    private void column(int column, AreaMotif.Corner from, AreaMotif.Corner to, boolean downwards) {
        for (int i = 0; i < down; i++) {
            int row = downwards ? i : down - 1 - i;
            through(column, row, from, to);
            if (i + 1 < down) {
                bridge(
                        tip(column, row, to),
                        tip(column, row + (downwards ? 1 : -1), from),
                        downwards == to.across > 0,
                        1);
            }
        }
    }

    /** Through a square's middle from one tip to a neighbouring one, in a smooth bend about the edge between them. */
    private void through(int column, int row, AreaMotif.Corner from, AreaMotif.Corner to) {
        Point middle = middle(column, row);
        // The bend is hollow towards that edge, on the right or the left of the way.
        boolean left = new Point(from.across, from.up).cross(new Point(to.across, to.up)) < 0;
        number++;
        arc(tip(column, row, from), middle, !left, number, 1, 1);
        arc(middle, tip(column, row, to), !left, number, 2, 1);
    }

    /** From a tip to the neighbour's past a crossing, a side of the small curved square about that. */
    private void bridge(Point from, Point to, boolean left, int passes) {
        number++;
        arc(from, to, left, number, 0, passes);
    }

    private void arc(Point from, Point to, boolean left, int line, int part, int passes) {
        Arc whole = ArcsBetween.of(from, to, tool.stitched(), left).orElseThrow();
        for (Path piece : laying.kept(Path.of(whole))) {
            Arc kept = (Arc) piece.curves().get(0);
            laying.sewing()
                    .stitch(
                            new PlacementBuilder.Naming(Stitched.INNER_PETAL, line, part, passes),
                            kept,
                            tool,
                            new Registration.FootOnBothMarks(),
                            spot(kept.start()),
                            spot(kept.end()),
                            PlacementBuilder.Turn.MARKED);
        }
    }

    private LineEnd spot(Point place) {
        return laying.marked(Mark.Kind.TIP, place);
    }
}
