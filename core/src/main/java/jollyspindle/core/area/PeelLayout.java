package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
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
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.IntFunction;

/**
 * Lays out {@link AreaMotif.Peel}: on each grid edge s two mirrored arcs of the template's radius R, so that petals are
 * 2(R − √(R² − s²/4)) wide. They meet without crossing from R = s/√2 on, the classic circle through four grid points
 * (derived). On the area's own edge only the inner arc is stitched. The needle goes once round that edge, and from each line of
 * the grid that it comes by the first time along that line and back, bulging to one side and the other in turn: every junction
 * is even, so that one thread closes. Smaller petals may lie inside the petals, and {@link PetalsBetween} in the middle of the
 * circles.
 */
final class PeelLayout {

    private static final Param.Whole<AreaMotif.Peel> ACROSS =
            Param.whole("across", 1, AreaMotif.MOST, AreaMotif.Peel::across);
    private static final Param.Whole<AreaMotif.Peel> DOWN =
            Param.whole("down", 1, AreaMotif.MOST, AreaMotif.Peel::down);
    private static final Param.MaybeLength<AreaMotif.Peel> INNER =
            Param.maybeLength("inner", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Peel::inner);

    private static final Param.Flag<AreaMotif.Peel> BETWEEN = Param.flag("between", AreaMotif.Peel::between, false);
    private static final Param.Flag<AreaMotif.Peel> PIECED = Param.flag("pieced", AreaMotif.Peel::pieced, false);
    private static final Param.Choice<AreaMotif.Peel, AreaMotif.Round> ROUND =
            Param.choice("round", AreaMotif.Round.class, AreaMotif.Peel::round, AreaMotif.Round.CLOCKWISE);

    /** About as wide its squares are to begin with, in inches: the usual arcs make fuller petals on them. */
    private static final double USUAL_SQUARE = 4;

    static final AreaMotifType<AreaMotif.Peel> TYPE = new AreaMotifType<>(
                    AreaMotif.Peel.class,
                    "peel",
                    Params.of(
                                    v -> new AreaMotif.Peel(
                                            v.get(ACROSS),
                                            v.get(DOWN),
                                            v.get(INNER),
                                            v.get(BETWEEN),
                                            v.get(PIECED),
                                            v.get(ROUND)),
                                    Params.row(ACROSS, DOWN),
                                    Params.row(INNER),
                                    Params.row(BETWEEN),
                                    Params.row(PIECED),
                                    Params.row(ROUND))
                            .brief(BETWEEN)
                            .brief(PIECED)
                            .brief(ROUND),
                    (piece, motif) -> new PeelLayout(piece, motif).lay(),
                    (peel, cloth) -> (peel.between() ? 10.0 : 2.0) * peel.across() * peel.down(),
                    Kind.ARC,
                    Kind.CIRCLE)
            .offered((cloth, offers) -> {
                AreaMotif.Peel plain = cloth.isBackground()
                        ? new AreaMotif.Peel(20, 20)
                        : new AreaMotif.Peel(
                                AreaPreset.squares(cloth.width(), USUAL_SQUARE),
                                AreaPreset.squares(cloth.height(), USUAL_SQUARE));
                offers.add("", plain);
                offers.add(
                        "-between",
                        new AreaMotif.Peel(
                                plain.across(),
                                plain.down(),
                                OptionalDouble.empty(),
                                true,
                                false,
                                AreaMotif.Round.CLOCKWISE));
            })
            .dragged((peel, knobs) -> knobs.squares(ACROSS));

    private final PieceContext laying;
    private final AreaMotif.Peel motif;
    private final Box box;
    private StitchingEdge.Round tool;
    private Mark[][] grid;
    private int edges;

    /** In the order of a thread that goes clockwise. */
    private final List<Side> arcs = new ArrayList<>();

    PeelLayout(PieceContext laying, AreaMotif.Peel motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        double longest = Math.max(box.width() / motif.across(), box.height() / motif.down());
        Optional<StitchingEdge.Round> found = tool(longest);
        if (found.isEmpty()) {
            return;
        }
        tool = found.get();
        if (longest > 2 * tool.stitched()) {
            laying.tell(new LayoutDiagnostic.TooFar(longest, 2 * tool.stitched()));
            return;
        }
        // A label that says 2.828 for squares of 2 is exact enough.
        if (tool.stitched() < longest / Math.sqrt(2) - Tolerances.CHALK) {
            laying.tell(new AreaDiagnostic.TooRound(tool.stitched(), longest / Math.sqrt(2)));
            return;
        }
        if (motif.pieced()) {
            seams();
        }
        grid = new Mark[motif.across() + 1][motif.down() + 1];
        for (int x = 0; x <= motif.across(); x++) {
            for (int y = 0; y <= motif.down(); y++) {
                grid[x][y] = laying.mark(Mark.Kind.GRID, place(x, y));
            }
        }
        round();
        stitchArcs();
        motif.inner().ifPresent(this::inner);
        if (motif.between()) {
            new PetalsBetween(laying, motif, tool).lay();
        }
    }

    private Point place(double x, double y) {
        return laying.space().place(x * box.width() / motif.across(), y * box.height() / motif.down());
    }

    /** The seams between the squares, from crossing to crossing. */
    private void seams() {
        for (int x = 0; x <= motif.across(); x++) {
            for (int y = 0; y <= motif.down(); y++) {
                laying.marker().seamsCross(place(x, y));
                if (x < motif.across() && y > 0 && y < motif.down()) {
                    laying.seam(Path.of(new Segment(place(x, y), place(x + 1, y))));
                }
                if (y < motif.down() && x > 0 && x < motif.across()) {
                    laying.seam(Path.of(new Segment(place(x, y), place(x, y + 1))));
                }
            }
        }
    }

    /** The template asked for; or the one that makes the fullest petals that don't bulge into each other. */
    private Optional<StitchingEdge.Round> tool(double longest) {
        double least = longest / Math.sqrt(2);
        return laying.templateId().isPresent()
                ? laying.tools()
                        .arc(laying.templateId(), Optional.empty())
                        .map(a -> StitchingEdge.Round.of(a, laying.tools().machine()))
                        .filter(arc -> arc.stitched() >= least - Tolerances.CHALK)
                        .or(() -> laying.tools().roundFrom(laying.templateId(), least))
                        .or(laying::round)
                : laying.tools()
                        .arcFrom(least)
                        .map(a -> StitchingEdge.Round.of(a, laying.tools().machine()))
                        .or(() -> laying.tools().roundFrom(Optional.empty(), least))
                        .or(laying::round);
    }

    /** A smaller petal of the same two arcs in each whole petal. */
    private void inner(double inset) {
        double shortest = Math.min(box.width() / motif.across(), box.height() / motif.down());
        if (2 * inset > shortest - LayoutContext.SHORTEST) {
            laying.tell(new LayoutDiagnostic.TooFar(inset, (shortest - LayoutContext.SHORTEST) / 2));
            return;
        }
        int number = 0;
        for (int y = 1; y < motif.down(); y++) {
            for (int x = 0; x < motif.across(); x++) {
                petal(++number, grid[x][y].place(), grid[x + 1][y].place(), inset);
            }
        }
        for (int x = 1; x < motif.across(); x++) {
            for (int y = 0; y < motif.down(); y++) {
                petal(++number, grid[x][y].place(), grid[x][y + 1].place(), inset);
            }
        }
    }

    private void petal(int number, Point from, Point to, double inset) {
        Segment inside = new Segment(from, to).piece(inset / from.distance(to), 1 - inset / from.distance(to));
        Path petal = Path.of(
                ArcsBetween.of(inside.from(), inside.to(), tool.stitched(), true)
                        .orElseThrow(),
                ArcsBetween.of(inside.to(), inside.from(), tool.stitched(), true)
                        .orElseThrow());
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.INNER_PETAL, number),
                petal,
                tool,
                p -> laying.marked(Mark.Kind.TIP, p));
    }

    /** Once round the edge, clockwise from the lower left, and from it along each line of the grid and back. */
    private void round() {
        int across = motif.across();
        int down = motif.down();
        // Clockwise, the cloth lies to the right.
        for (int y = 0; y < down; y++) {
            arc(grid[0][y], grid[0][y + 1], false, ++edges, 1);
            if (y + 1 < down) {
                int level = y + 1;
                thereAndBack(across, level, x -> grid[x][level]);
            }
        }
        for (int x = 0; x < across; x++) {
            arc(grid[x][down], grid[x + 1][down], false, ++edges, 1);
            if (x + 1 < across) {
                int upright = x + 1;
                thereAndBack(down, upright, y -> grid[upright][down - y]);
            }
        }
        for (int y = down; y > 0; y--) {
            arc(grid[across][y], grid[across][y - 1], false, ++edges, 1);
        }
        for (int x = across; x > 0; x--) {
            arc(grid[x][0], grid[x - 1][0], false, ++edges, 1);
        }
    }

    /**
     * One line of the grid.
     *
     * @param count of its edges
     * @param which of the lines side by side
     * @param crossings on it, from 0 to count
     */
    private void thereAndBack(int count, int which, IntFunction<Mark> crossings) {
        for (int i = 0; i < count; i++) {
            arc(crossings.apply(i), crossings.apply(i + 1), (i + which) % 2 == 0, edges + i + 1, 1);
        }
        for (int i = count - 1; i >= 0; i--) {
            // Seen on the way back, the other side is again the same hand.
            arc(crossings.apply(i + 1), crossings.apply(i), (i + which) % 2 == 0, edges + i + 1, 2);
        }
        edges += count;
    }

    private void arc(Mark from, Mark to, boolean left, int number, int side) {
        arcs.add(new Side(from, to, left, number, side));
    }

    /** One arc. */
    private record Side(Mark from, Mark to, boolean left, int number, int side) {

        Side reversed() {
            return new Side(to, from, !left, number, side);
        }
    }

    private void stitchArcs() {
        if (motif.round() == AreaMotif.Round.COUNTERCLOCKWISE) {
            Collections.reverse(arcs);
            arcs.replaceAll(Side::reversed);
        }
        arcs.forEach(this::stitch);
    }

    private void stitch(Side side) {
        Arc arc = ArcsBetween.of(side.from().place(), side.to().place(), tool.stitched(), side.left())
                .orElseThrow();
        for (Path piece : laying.kept(Path.of(arc))) {
            Arc kept = (Arc) piece.curves().get(0);
            laying.sewing()
                    .stitch(
                            PlacementBuilder.Naming.of(Stitched.PETAL, side.number(), side.side()),
                            kept,
                            tool,
                            new Registration.FootOnBothMarks(),
                            spot(kept.start(), side.from()),
                            spot(kept.end(), side.to()),
                            PlacementBuilder.Turn.MARKED);
        }
    }

    private LineEnd spot(Point place, Mark mark) {
        return place.isAt(mark.place()) ? LineEnd.at(mark) : laying.marked(Mark.Kind.LINE_END, place);
    }
}
