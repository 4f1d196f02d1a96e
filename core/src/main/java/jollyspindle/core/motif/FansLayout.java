package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.FanHolds;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link Motif.Fans}: a pivot on every valley, the first at the run's left end. Each blade starts on the ditch and
 * ends where it meets the fan before; the ends of the run clip it, too.
 *
 * <p>With pitch q and outer radius R, blade r sweeps acos((R² − r² − q²)/(2rq)) from the ditch (derived). Second rows stand
 * on the cusps of the first, at √(R² − q²/4).
 */
final class FansLayout {

    private static final Param.Whole<Motif.Fans> BLADES =
            Param.whole("blades", 1, Motif.MOST_LINES, Motif.Fans::blades);
    private static final Param.Whole<Motif.Fans> ROWS =
            Param.whole("rows", 1, 6, Motif.Fans::rows).usually(1);

    static final MotifType<Motif.Fans> TYPE =
            new MotifType<>(
                    Motif.Fans.class,
                    "fans",
                    Params.of(v -> new Motif.Fans(v.get(BLADES), v.get(ROWS)), Params.row(BLADES, ROWS))) {

                @Override
                EdgeKind edge(Motif.Fans motif) {
                    return EdgeKind.FAN;
                }

                @Override
                List<Preset> offered() {
                    return List.of(
                            Preset.onSeam("fans", new Motif.Fans(3, 1)),
                            new Preset("hanging-fans", new Motif.Fans(3, 1), Layer.Edge.OUTSIDE));
                }

                @Override
                Optional<DivisionConstraints> asks(Layer layer, Motif.Fans motif, EdgeCatalog tools, double room) {
                    return tools.fan(layer.templateId()).flatMap(fan -> fan.blades().stream()
                            .map(StitchingEdge.Round::stitched)
                            .filter(r -> r <= room + Tolerances.ROUNDING)
                            .limit(motif.blades())
                            .reduce((a, b) -> b)
                            .map(r -> DivisionConstraints.figures(OptionalDouble.of(r), 2 * r, r, 0)));
                }

                @Override
                void lay(RunContext laying, Motif.Fans motif, double echo) {
                    new FansLayout(laying, motif).lay();
                }
            };

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Fans motif;
    private final List<Path> covered = new ArrayList<>();
    private EdgeCatalog.Fan set;
    private int fans;
    private int swivels;
    private int most;
    private boolean climbing;

    FansLayout(RunContext laying, Motif.Fans motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
    }

    void lay() {
        Optional<EdgeCatalog.Fan> found = laying.tools().fan(laying.layer().templateId());
        if (found.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.FAN, 0));
            return;
        }
        set = found.get();
        List<StitchingEdge.Round> all = set.blades();
        List<StitchingEdge.Round> fitting = all.stream()
                .filter(b -> b.stitched() <= laying.lowest() + Tolerances.ROUNDING)
                .toList();
        int blades = Math.min(motif.blades(), fitting.size());
        if (blades < motif.blades()) {
            laying.tell(new MotifDiagnostic.TooMany(motif.blades(), blades));
        }
        if (blades == 0) {
            return;
        }
        // The number of blades holds for every fan of the quilt.
        List<StitchingEdge.Round> used = fitting.subList(0, blades);
        double radius = used.get(blades - 1).stitched();
        List<Double> pivots = pivots();
        for (int i = 0; i < pivots.size(); i++) {
            fan(used, pivots.get(i), 0, i == 0 ? Double.NaN : pivots.get(i) - pivots.get(i - 1));
        }
        List<Point> row =
                new ArrayList<>(pivots.stream().map(x -> new Point(x, 0)).toList());
        rows(used, radius, row);
        if (swivels > 0) {
            laying.tell(new MotifDiagnostic.Swivels(radius, most, swivels));
        }
    }

    private void rows(List<StitchingEdge.Round> used, double radius, List<Point> first) {
        List<Point> row = first;
        for (int r = 2; r <= motif.rows(); r++) {
            row = next(row, radius);
            if (row.isEmpty() || row.get(0).y() + used.get(0).stitched() > space.room()) {
                laying.tell(new MotifDiagnostic.TooManyRows(motif.rows(), r - 1));
                return;
            }
            for (Point pivot : row) {
                fan(used, pivot.x(), pivot.y(), Double.NaN);
            }
        }
    }

    /** Where fans stand: the valleys, and both ends of what is divided. */
    private List<Double> pivots() {
        List<Figure> figures = space.divided();
        List<Double> pivots = new ArrayList<>();
        for (Figure figure : figures) {
            Cell cell = figure.cell();
            if (pivots.isEmpty()) {
                pivots.add(cell.kind() == Cell.Kind.HALF ? cell.from() - cell.width() : cell.from());
            }
            pivots.add(
                    cell.kind() == Cell.Kind.HALF && figure.equals(figures.get(figures.size() - 1))
                            ? cell.to() + cell.width()
                            : cell.to());
        }
        return pivots;
    }

    private static List<Point> next(List<Point> row, double radius) {
        List<Point> next = new ArrayList<>();
        for (int i = 0; i + 1 < row.size(); i++) {
            double half = row.get(i).distance(row.get(i + 1)) / 2;
            if (half < radius) {
                next.add(row.get(i)
                        .midpoint(row.get(i + 1))
                        .plus(new Point(0, Math.sqrt(radius * radius - half * half))));
            }
        }
        return next;
    }

    private void fan(List<StitchingEdge.Round> blades, double along, double up, double pitch) {
        fans++;
        double radius = blades.get(blades.size() - 1).stitched();
        Point centre = space.place(along, up);
        if (pitch >= 2 * radius) {
            laying.tell(new MotifDiagnostic.FansApart(pitch, radius));
        }
        Region before = Region.union(covered);
        boolean inside = along >= -Tolerances.ROUNDING && along <= space.length() + Tolerances.ROUNDING;
        // From the ditch on the right, up and over to the fan before.
        List<Arc> wholes = blades.stream()
                .map(blade -> space.placed(new Arc(new Point(along, up), blade.stitched(), 0, Math.PI)))
                .toList();
        List<List<Arc>> kept = wholes.stream().map(whole -> kept(whole, before)).toList();
        List<Arc> all = kept.stream().flatMap(List::stream).toList();
        if (!all.isEmpty()) {
            Mark pivot = inside
                    ? up == 0 ? pivot(along) : laying.later(Mark.Kind.PIVOT, centre, Mark.Pass.ROW_BELOW)
                    : laying.marker().next(Mark.Kind.PIVOT, centre, Mark.Stage.LOADED);
            // An odd number begins by climbing the back of the fan before, so that the last blade leads down to the
            // ditch.
            climbing = all.size() % 2 == 0;
            FanHolds holds = FanHolds.of(set, wholes.get(0), all, up == 0 && space.isOnSeam());
            for (int b = 0; b < blades.size(); b++) {
                for (Arc piece : kept.get(b)) {
                    stitch(b, piece, blades.get(b), holds, pivot);
                }
            }
        }
        Arc last = wholes.get(wholes.size() - 1);
        Path outermost = new Path(List.of(last, new Segment(last.end(), centre), new Segment(centre, last.start())));
        covered.add(Path.circle(centre, radius));
        laying.enclosed().add(new RunContext.Enclosed(fans, List.of(outermost)));
    }

    /** What of a blade is stitched: what lies on the run, and on no fan before. */
    private List<Arc> kept(Arc whole, Region before) {
        return laying.kept(Path.of(whole)).stream()
                .flatMap(p -> before.without(p).stream())
                .filter(p -> p.length() >= LayoutContext.SHORTEST)
                .map(p -> (Arc) p.curves().get(0))
                .toList();
    }

    /** Up one blade, a tap on the fan before, down the next. */
    private void stitch(int b, Arc piece, StitchingEdge.Round blade, FanHolds holds, Mark pivot) {
        Arc way = climbing ? piece : piece.reversed();
        List<PlacementBuilder.Piece> pieces = holds.pieces(way, blade, pivot, laying.shown(way.end()));
        int turns = pieces.size() - 1;
        swivels += turns;
        most = Math.max(most, turns);
        laying.sewing()
                .stitch(
                        PlacementBuilder.Naming.of(Stitched.BLADE, fans, b + 1),
                        pieces,
                        laying.shown(way.start()),
                        PlacementBuilder.Turn.ABOUT_CENTRE);
        climbing = !climbing;
    }

    private Mark pivot(double along) {
        List<Figure> figures = space.divided();
        for (int i = 0; i < figures.size(); i++) {
            if (Math.abs(figures.get(i).cell().from() - along) < Tolerances.ROUNDING) {
                return laying.valley(i, along, 0);
            }
        }
        return laying.valley(figures.size(), along, 0);
    }
}
