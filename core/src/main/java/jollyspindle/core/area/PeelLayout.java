package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.Sewing;
import jollyspindle.core.sewing.Tool;

import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Peel}: on each grid edge s two mirrored arcs of the template's radius R, so that petals are
 * 2(R − √(R² − s²/4)) wide. They meet without crossing from R = s/√2 on, the classic circle through four grid points
 * (derived). On the area's own edge only the inner arc is stitched. Along each line of the grid the arcs bulge to one side
 * and the other in turn, there, and back the other way round, so that every junction is even. A smaller peel may lie inside.
 */
final class PeelLayout {

    private final AreaLaying laying;
    private final AreaMotif.Peel motif;
    private final Box box;
    private Tool.Round tool;
    private Mark[][] grid;
    private int edges;

    PeelLayout(AreaLaying laying, AreaMotif.Peel motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        double longest = Math.max(box.width() / motif.across(), box.height() / motif.down());
        Optional<Tool.Round> found = tool(longest);
        if (found.isEmpty()) {
            return;
        }
        tool = found.get();
        if (longest > 2 * tool.stitched()) {
            laying.tell(new AreaTold.TooFar(longest, 2 * tool.stitched()));
            return;
        }
        if (tool.stitched() < longest / Math.sqrt(2) - 1e-9) {
            laying.tell(new AreaTold.TooRound(tool.stitched(), longest / Math.sqrt(2)));
            return;
        }
        grid = new Mark[motif.across() + 1][motif.down() + 1];
        for (int x = 0; x <= motif.across(); x++) {
            for (int y = 0; y <= motif.down(); y++) {
                grid[x][y] = laying.mark(
                        Mark.Kind.GRID,
                        laying.space().place(x * box.width() / motif.across(), y * box.height() / motif.down()));
            }
        }
        for (int y = 0; y <= motif.down(); y++) {
            line(motif.across(), y, motif.down(), true);
        }
        for (int x = 0; x <= motif.across(); x++) {
            line(motif.down(), x, motif.across(), false);
        }
        motif.inner().ifPresent(this::inner);
    }

    /** The template asked for; or the one that makes the fullest petals that don't bulge into each other. */
    private Optional<Tool.Round> tool(double longest) {
        return laying.templateId().isPresent()
                ? laying.arc()
                : laying.tools()
                        .arcFrom(longest / Math.sqrt(2))
                        .map(a -> Tool.Round.of(a, laying.tools().machine()))
                        .or(laying::arc);
    }

    /** A smaller petal of the same two arcs in each whole petal. */
    private void inner(double inset) {
        double shortest = Math.min(box.width() / motif.across(), box.height() / motif.down());
        if (2 * inset > shortest - AreaLaying.SHORTEST) {
            laying.tell(new AreaTold.TooFar(inset, (shortest - AreaLaying.SHORTEST) / 2));
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
                Sewing.Naming.of(Stitched.INNER_PETAL, number), petal, tool, p -> laying.marked(Mark.Kind.TIP, p));
    }

    /**
     * One line of the grid, there and back.
     *
     * @param count of its edges
     * @param which of the lines
     * @param last of them
     */
    private void line(int count, int which, int last, boolean level) {
        int first = edges;
        // Seen along the line, left is up of a level one and towards the left edge of an upright one.
        boolean innerLeft = level == (which == 0);
        boolean onEdge = which == 0 || which == last;
        for (int i = 0; i < count; i++) {
            boolean left = onEdge ? innerLeft : (i + which) % 2 == 0;
            arc(mark(i, which, level), mark(i + 1, which, level), left, first + i + 1, 1);
        }
        for (int i = count - 1; i >= 0 && !onEdge; i--) {
            // Seen on the way back, the other side is again the same hand.
            boolean left = (i + which) % 2 == 0;
            arc(mark(i + 1, which, level), mark(i, which, level), left, first + i + 1, 2);
        }
        edges += count;
    }

    private Mark mark(int along, int which, boolean level) {
        return level ? grid[along][which] : grid[which][along];
    }

    private void arc(Mark from, Mark to, boolean left, int number, int side) {
        Arc arc =
                ArcsBetween.of(from.place(), to.place(), tool.stitched(), left).orElseThrow();
        for (Path piece : laying.kept(Path.of(arc))) {
            Arc kept = (Arc) piece.curves().get(0);
            laying.sewing()
                    .stitch(
                            Sewing.Naming.of(Stitched.PETAL, number, side),
                            kept,
                            tool,
                            new Registration.FootOnBothMarks(),
                            spot(kept.start(), from),
                            spot(kept.end(), to),
                            Sewing.Turn.MARKED);
        }
    }

    private Spot spot(Point place, Mark mark) {
        return place.distance(mark.place()) < 1e-6 ? Spot.at(mark) : laying.shown(place);
    }
}
