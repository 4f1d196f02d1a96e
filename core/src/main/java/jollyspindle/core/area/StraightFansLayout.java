package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.StraightFans}: in each square lines at equal angles from a small arc about one corner to the two
 * far sides, half a step from the near ones. Four squares stand round one hub, so that their fans make a wheel, stitched
 * clockwise from the top without a break: out along one line, along the squares' side to the next, in along that, and on
 * along the small arc. On the area's own edge the needle goes in the seam instead.
 */
final class StraightFansLayout {

    private static final Param.Whole<AreaMotif.StraightFans> ACROSS =
            Param.whole("across", 1, AreaMotif.MOST, AreaMotif.StraightFans::across);
    private static final Param.Whole<AreaMotif.StraightFans> DOWN =
            Param.whole("down", 1, AreaMotif.MOST, AreaMotif.StraightFans::down);
    private static final Param.Whole<AreaMotif.StraightFans> LINES =
            Param.whole("lines", 2, AreaMotif.MOST_ARMS, AreaMotif.StraightFans::lines);
    private static final Param.Length<AreaMotif.StraightFans> STOP =
            Param.length("stop", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.StraightFans::stop);

    static final AreaMotifType<AreaMotif.StraightFans> TYPE = new AreaMotifType<>(
                    AreaMotif.StraightFans.class,
                    "straight-fans",
                    Params.of(
                            v -> new AreaMotif.StraightFans(v.get(ACROSS), v.get(DOWN), v.get(LINES), v.get(STOP)),
                            Params.row(ACROSS, DOWN),
                            Params.row(LINES, STOP)),
                    (piece, motif) -> new StraightFansLayout(piece, motif).lay(),
                    (fans, cloth) -> (double) fans.across() * fans.down() * fans.lines(),
                    Kind.STRAIGHT_EDGE)
            .offered((cloth, offers) -> offers.add(
                    "",
                    cloth.isBackground()
                            ? new AreaMotif.StraightFans(8, 8, 6, AreaPreset.SPACING)
                            : new AreaMotif.StraightFans(2, 2, 5, AreaPreset.SPACING)))
            .dragged((fans, knobs) -> knobs.squares(ACROSS));

    private final PieceContext laying;
    private final AreaMotif.StraightFans motif;
    private final Box box;
    private final double width;
    private final double height;
    private int fans;

    StraightFansLayout(PieceContext laying, AreaMotif.StraightFans motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
        this.width = box.width() / motif.across();
        this.height = box.height() / motif.down();
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        if (Math.min(width, height) < motif.stop() + LayoutContext.SHORTEST) {
            laying.tell(new AreaDiagnostic.NoRoom());
            return;
        }
        // Hubs are where four squares meet, or two or one at the last edge of an odd number.
        for (int row = 1; row <= motif.down() + motif.down() % 2; row += 2) {
            for (int column = 1; column <= motif.across() + motif.across() % 2; column += 2) {
                wheel(tool.get(), column, row);
            }
        }
    }

    /**
     * A line of a wheel.
     *
     * @param fan which fan of the area
     * @param number in its fan
     * @param tip on the small arc
     * @param far end
     */
    private record Line(int fan, int number, Point tip, Point far) {

        Segment way(boolean out) {
            return out ? new Segment(tip, far) : new Segment(far, tip);
        }
    }

    /** The fans round a hub, counted in squares from the upper left. */
    private void wheel(StitchingEdge.Straight tool, int column, int row) {
        Point hub = laying.space().place(column * width, box.height() - row * height);
        boolean right = column < motif.across();
        boolean below = row < motif.down();
        // Clockwise from the top; without squares below, those on the left come before those on the right.
        List<Integer> quarters = new ArrayList<>();
        if (!below) {
            quarters.add(3);
        }
        if (right) {
            quarters.add(0);
        }
        if (right && below) {
            quarters.add(1);
        }
        if (below) {
            quarters.add(2);
            quarters.add(3);
        }
        List<Line> lines = new ArrayList<>();
        for (int quarter : quarters) {
            fans++;
            for (int number = 1; number <= motif.lines(); number++) {
                Point way = Rays.way(Math.PI / 2 * (quarter + (number - 0.5) / motif.lines()));
                double far = Math.min(width / Math.abs(way.x()), height / Math.abs(way.y()));
                lines.add(new Line(fans, number, hub.plus(way.times(motif.stop())), hub.plus(way.times(far))));
            }
        }
        boolean whole = quarters.size() == 4;
        for (int i = 0; i < lines.size(); i++) {
            boolean out = i % 2 == 0;
            Line line = lines.get(i);
            List<Curve> path = new ArrayList<>(List.of(line.way(out)));
            if (i + 1 < lines.size() || whole) {
                Line next = lines.get((i + 1) % lines.size());
                path.addAll(out ? side(hub, line.far(), next.far()) : List.of(new Segment(line.tip(), next.tip())));
            }
            laying.stitch(
                    PlacementBuilder.Naming.of(Stitched.STRAIGHT_FAN, line.fan(), line.number()),
                    new Path(path),
                    tool,
                    p -> spot(hub, p));
        }
    }

    /** Along the outer sides of the squares round a hub, unless that is all the area's own edge. */
    private List<Curve> side(Point hub, Point from, Point to) {
        List<Curve> way = new ArrayList<>();
        Point a = from.minus(hub);
        Point b = to.minus(hub);
        boolean level = Math.abs(Math.abs(a.y()) - height) < Tolerances.ROUNDING
                && Math.abs(Math.abs(b.y()) - height) < Tolerances.ROUNDING;
        boolean upright = Math.abs(Math.abs(a.x()) - width) < Tolerances.ROUNDING
                && Math.abs(Math.abs(b.x()) - width) < Tolerances.ROUNDING;
        if (level || upright) {
            way.add(new Segment(from, to));
        } else {
            Point corner = hub.plus(new Point(Math.signum(a.x()) * width, Math.signum(a.y()) * height));
            way.add(new Segment(from, corner));
            way.add(new Segment(corner, to));
        }
        return way.stream().allMatch(s -> laying.onEdge((Segment) s)) ? List.of() : way;
    }

    private LineEnd spot(Point hub, Point place) {
        boolean tip = place.distance(hub) < motif.stop() + Tolerances.SAME_PLACE;
        return laying.marked(tip ? Mark.Kind.LINE_START : Mark.Kind.LINE_END, place);
    }
}
