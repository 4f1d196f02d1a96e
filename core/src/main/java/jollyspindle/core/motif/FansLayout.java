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
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

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
    private static final Param.Flag<Motif.Fans> BACK = Param.flag("back", Motif.Fans::back, false);
    private static final Param.MaybeText<Motif.Fans> OTHER_TEMPLATE =
            Param.maybeText("otherTemplate", Motif.Fans::otherTemplate);

    static final MotifType<Motif.Fans> TYPE =
            new MotifType<>(
                    Motif.Fans.class,
                    "fans",
                    Params.of(
                                    v -> new Motif.Fans(v.get(BLADES), v.get(ROWS), v.get(BACK), v.get(OTHER_TEMPLATE)),
                                    Params.row(BLADES, ROWS),
                                    Params.row(BACK),
                                    Params.row(OTHER_TEMPLATE))
                            .brief(BACK)) {

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
                    return tools.fan(layer.templateId()).flatMap(fan -> blades(fan, other(motif, tools)).stream()
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
    /** What fans cover already, by where along the run their pivots stand. */
    private final NavigableMap<Double, List<Path>> covered = new TreeMap<>();

    /** The sets, that with the outermost blade first. */
    private final List<EdgeCatalog.Fan> sets = new ArrayList<>();

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
            laying.tell(laying.missing(EdgeKind.FAN, 0));
            return;
        }
        Optional<EdgeCatalog.Fan> other = other(motif, laying.tools());
        if (motif.otherTemplate().isPresent() && other.isEmpty()) {
            laying.tell(LayoutContext.missing(laying.tools(), motif.otherTemplate(), EdgeKind.FAN, 0));
        }
        List<StitchingEdge.Round> all = blades(found.get(), other);
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
        StitchingEdge.Round outermost = used.get(blades - 1);
        double radius = outermost.stitched();
        sets.add(found.get());
        other.ifPresent(set -> sets.add(outermost.id().templateId().equals(template(set)) ? 0 : 1, set));
        List<Double> pivots = pivots();
        for (int i = 1; i < pivots.size(); i++) {
            if (pivots.get(i) - pivots.get(i - 1) >= 2 * radius) {
                laying.tell(new MotifDiagnostic.FansApart(pivots.get(i) - pivots.get(i - 1), radius));
            }
        }
        List<Point> row =
                new ArrayList<>(pivots.stream().map(x -> new Point(x, 0)).toList());
        row(used, row, false);
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
            if (r == 2 && !motif.back() && sets.size() == 1) {
                laying.tell(new MotifDiagnostic.RowsFromLeft(space.length()));
            }
            row(used, row, motif.back() && sets.size() == 1 && r % 2 == 0);
        }
    }

    /** The second set, if there is to be one. */
    private static Optional<EdgeCatalog.Fan> other(Motif.Fans motif, EdgeCatalog tools) {
        return motif.otherTemplate().flatMap(id -> tools.fan(Optional.of(id)));
    }

    /** The blades of both sets, from the pivot outward; of two on each other the first set's. */
    private static List<StitchingEdge.Round> blades(EdgeCatalog.Fan set, Optional<EdgeCatalog.Fan> other) {
        List<StitchingEdge.Round> all = new ArrayList<>(set.blades());
        other.stream()
                .flatMap(o -> o.blades().stream())
                .filter(b -> all.stream().noneMatch(a -> Math.abs(a.stitched() - b.stitched()) < Tolerances.CHALK))
                .toList()
                .forEach(all::add);
        all.sort(Comparator.comparingDouble(StitchingEdge.Round::stitched));
        return all;
    }

    private static String template(EdgeCatalog.Fan set) {
        return set.blades().get(0).id().templateId();
    }

    /**
     * A fan: its blades as far as they are stitched, in the quilt's frame, by the number of the blade.
     *
     * @param onDitch a whole blade, beginning on the ditch
     */
    private record Laid(int number, Point pivot, double up, boolean inside, Arc onDitch, List<List<Arc>> kept) {}

    /** A row of fans with the set that has the outermost blade, and with the other set on the way back. */
    private void row(List<StitchingEdge.Round> used, List<Point> pivots, boolean back) {
        List<Laid> row = new ArrayList<>();
        for (int i = 0; i < pivots.size(); i++) {
            Laid fan = fan(used, pivots.get(back ? pivots.size() - 1 - i : i), back);
            row.add(fan);
            stitch(used, fan, sets.get(0));
        }
        if (sets.size() > 1) {
            Collections.reverse(row);
            row.forEach(fan -> stitch(used, fan, sets.get(1)));
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

    /** From the ditch on the one side up and over to the fan before. */
    private Laid fan(List<StitchingEdge.Round> blades, Point at, boolean back) {
        fans++;
        double radius = blades.get(blades.size() - 1).stitched();
        Point centre = space.place(at.x(), at.y());
        Region before =
                Region.union(covered.subMap(at.x() - 2 * radius, true, at.x() + 2 * radius, true).values().stream()
                        .flatMap(List::stream)
                        .toList());
        boolean inside = at.x() >= -Tolerances.ROUNDING && at.x() <= space.length() + Tolerances.ROUNDING;
        List<Arc> wholes = blades.stream()
                .map(blade ->
                        space.placed(new Arc(at, blade.stitched(), back ? Math.PI : 0, back ? -Math.PI : Math.PI)))
                .toList();
        Arc last = wholes.get(wholes.size() - 1);
        Path outermost = new Path(List.of(last, new Segment(last.end(), centre), new Segment(centre, last.start())));
        Laid fan = new Laid(
                fans,
                centre,
                at.y(),
                inside,
                wholes.get(0),
                wholes.stream().map(whole -> kept(whole, before)).toList());
        covered.computeIfAbsent(at.x(), x -> new ArrayList<>()).add(Path.circle(centre, radius));
        laying.enclosed().add(new RunContext.Enclosed(fans, List.of(outermost)));
        return fan;
    }

    /** Stitches the blades of a fan that one set has. */
    private void stitch(List<StitchingEdge.Round> blades, Laid fan, EdgeCatalog.Fan set) {
        List<Arc> all = new ArrayList<>();
        for (int b = 0; b < blades.size(); b++) {
            if (blades.get(b).id().templateId().equals(template(set))) {
                all.addAll(fan.kept().get(b));
            }
        }
        if (all.isEmpty()) {
            return;
        }
        Mark pivot = fan.inside()
                ? fan.up() == 0 ? pivot(fan.pivot()) : laying.later(Mark.Kind.PIVOT, fan.pivot(), Mark.Pass.ROW_BELOW)
                : laying.marker().next(Mark.Kind.PIVOT, fan.pivot(), Mark.Stage.LOADED);
        // An odd number begins by climbing the back of the fan before, so that the last blade leads down to the
        // ditch.
        climbing = all.size() % 2 == 0;
        FanHolds holds = FanHolds.of(set, fan.onDitch(), all, fan.up() == 0 && space.isOnSeam());
        for (int b = 0; b < blades.size(); b++) {
            if (blades.get(b).id().templateId().equals(template(set))) {
                for (Arc piece : fan.kept().get(b)) {
                    stitch(fan.number(), b, piece, blades.get(b), holds, pivot);
                }
            }
        }
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
    private void stitch(int number, int b, Arc piece, StitchingEdge.Round blade, FanHolds holds, Mark pivot) {
        Arc way = climbing ? piece : piece.reversed();
        List<PlacementBuilder.Piece> pieces = holds.pieces(way, blade, pivot, laying.shown(way.end()));
        int turns = pieces.size() - 1;
        swivels += turns;
        most = Math.max(most, turns);
        laying.sewing()
                .stitch(
                        PlacementBuilder.Naming.of(Stitched.BLADE, number, b + 1),
                        pieces,
                        laying.shown(way.start()),
                        PlacementBuilder.Turn.ABOUT_CENTRE);
        climbing = !climbing;
    }

    private Mark pivot(Point place) {
        Point from = place.minus(space.place(0, 0));
        return laying.valleyAt(from.dot(space.place(1, 0).minus(space.place(0, 0))));
    }
}
