package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Lays out {@link AreaMotif.Points}: one line all round, from notch to tip to notch. */
final class PointsLayout {

    private static final Param.Whole<AreaMotif.Points> POINTS =
            Param.whole("points", 3, AreaMotif.MOST_ARMS, AreaMotif.Points::points);
    private static final Param.Length<AreaMotif.Points> INNER = Param.length(
            "inner",
            AreaMotif.CLOSEST,
            AreaMotif.LARGEST,
            AreaMotif.Points::inner,
            p -> new Param.Room(AreaMotif.CLOSEST, p.outer() - AreaMotif.CLOSEST));
    private static final Param.Length<AreaMotif.Points> OUTER = Param.length(
            "outer",
            AreaMotif.CLOSEST,
            AreaMotif.LARGEST,
            AreaMotif.Points::outer,
            p -> new Param.Room(p.inner() + AreaMotif.CLOSEST, AreaMotif.LARGEST));

    static final AreaMotifType<AreaMotif.Points> TYPE = new AreaMotifType<>(
                    AreaMotif.Points.class,
                    "points",
                    Params.of(
                            v -> new AreaMotif.Points(v.get(POINTS), v.get(INNER), v.get(OUTER)),
                            Params.row(POINTS),
                            Params.row(INNER, OUTER)),
                    (piece, motif) -> new PointsLayout(piece, motif).lay(),
                    (points, cloth) -> points.points(),
                    Kind.STRAIGHT_EDGE)
            .offeredAboutCentre((cloth, offers) -> offers.add(
                    "",
                    new AreaMotif.Points(
                            8, AreaPreset.eighths(cloth.half() * 0.5), AreaPreset.eighths(cloth.half() * 0.9))))
            .dragged((points, knobs) -> {
                knobs.out(INNER);
                knobs.out(OUTER);
            });

    private final PieceContext laying;
    private final AreaMotif.Points motif;

    PointsLayout(PieceContext laying, AreaMotif.Points motif) {
        this.laying = laying;
        this.motif = motif;
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        Point centre = laying.space().centre();
        double half = Math.PI / motif.points();
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < 2 * motif.points(); i++) {
            Ray ray = laying.rays().at(i * half);
            corners.add(centre.plus(Rays.way(ray.angle()).times(i % 2 == 0 ? motif.inner() : motif.outer())));
        }
        double middle = (motif.inner() + motif.outer()) / 2;
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.POINTS, 1),
                Path.polygon(corners),
                tool.get(),
                p -> laying.marked(p.distance(centre) > middle ? Mark.Kind.TIP : Mark.Kind.TURN, p));
    }
}
