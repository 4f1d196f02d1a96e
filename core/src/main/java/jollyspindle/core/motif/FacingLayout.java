package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Repeating;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link Motif.FacingArcs}: a row on one edge, back along the other, then what stands between them.
 *
 * <p>With rises h₁ and h₂ in a room D the channel between the crowns is D − h₁ − h₂; where another is wanted, both rows are
 * moved by half of the difference. All places are in the first row's own frame.
 */
final class FacingLayout {

    private static final Param.Choice<Motif.FacingArcs, Motif.Facing> FACING =
            Param.choice("facing", Motif.Facing.class, Motif.FacingArcs::facing);
    private static final Param.MaybeLength<Motif.FacingArcs> CHANNEL =
            Param.maybeLength("channel", -Motif.FARTHEST, Motif.FARTHEST, Motif.FacingArcs::channel);
    private static final Param.MaybeLength<Motif.FacingArcs> INSET =
            Param.maybeLength("inset", Motif.CLOSEST, Motif.FARTHEST, Motif.FacingArcs::inset);
    private static final Param.Flag<Motif.FacingArcs> CROWN_LINES =
            Param.flag("crownLines", Motif.FacingArcs::crownLines, false);
    private static final Param.Flag<Motif.FacingArcs> VALLEY_LINES =
            Param.flag("valleyLines", Motif.FacingArcs::valleyLines, false);
    private static final Param.Lengths<Motif.FacingArcs> RISES =
            Param.maybeLengths("rises", Motif.CLOSEST, Motif.FARTHEST, Motif.MOST_LINES, Motif.FacingArcs::rises);
    private static final Param.MaybeText<Motif.FacingArcs> OTHER_TEMPLATE =
            Param.maybeText("otherTemplate", Motif.FacingArcs::otherTemplate);
    private static final Param.Whole<Motif.FacingArcs> PASSES = Param.whole(
                    "passes", 1, Motif.MOST_PASSES, Motif.FacingArcs::passes)
            .usually(1);
    private static final Param.Whole<Motif.FacingArcs> DIAMOND_PASSES = Param.whole(
                    "diamondPasses", 1, Motif.MOST_PASSES, Motif.FacingArcs::diamondPasses)
            .usually(1);

    static final MotifType<Motif.FacingArcs> TYPE =
            new MotifType<>(
                    Motif.FacingArcs.class,
                    "facing-arcs",
                    Params.of(
                                    v -> new Motif.FacingArcs(
                                            v.get(FACING),
                                            v.get(CHANNEL),
                                            v.get(INSET),
                                            v.get(CROWN_LINES),
                                            v.get(VALLEY_LINES),
                                            v.get(RISES),
                                            v.get(OTHER_TEMPLATE),
                                            v.get(PASSES),
                                            v.get(DIAMOND_PASSES)),
                                    Params.row(FACING),
                                    Params.row(CHANNEL, INSET),
                                    Params.row(CROWN_LINES),
                                    Params.row(VALLEY_LINES),
                                    Params.row(RISES),
                                    Params.row(OTHER_TEMPLATE),
                                    Params.row(PASSES),
                                    Params.row(DIAMOND_PASSES))
                            .brief(RISES)
                            .brief(PASSES)
                            .brief(DIAMOND_PASSES)) {

                @Override
                EdgeKind edge(Motif.FacingArcs motif) {
                    return EdgeKind.ARC;
                }

                @Override
                List<Preset> offered() {
                    return List.of(
                            facing("facing-arcs", Motif.Facing.CROWNS),
                            facing("egg-and-dart", Motif.Facing.HALF_STEP),
                            facing("two-to-one", Motif.Facing.TWO_TO_ONE),
                            facing("overlapping", Motif.Facing.OVERLAPPING));
                }

                @Override
                Optional<DivisionConstraints> asks(
                        Layer layer, Motif.FacingArcs motif, EdgeCatalog tools, double room) {
                    return tools.arc(layer.templateId(), layer.guideId())
                            .map(arc -> new DivisionConstraints(new Repeating.Arcs(arc), 0, parity(motif)));
                }

                @Override
                void knobs(Motif.FacingArcs motif, KnobsOnRun<Motif.FacingArcs> to) {
                    Optional<StitchLine> side = to.first(Stitched.DIAMOND, 1);
                    if (motif.inset().isPresent() && side.isPresent()) {
                        Point foot = side.get().path().start();
                        double crown =
                                to.along(foot) - to.sign() * motif.inset().getAsDouble();
                        to.along(INSET, foot, crown, to.sign());
                    }
                }

                @Override
                void lay(RunContext laying, Motif.FacingArcs motif, double echo) {
                    new FacingLayout(laying, motif).lay();
                }
            };

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.FacingArcs motif;
    private ArcRow near;
    private final List<Row> far = new ArrayList<>();
    private double base;

    /** An arc of the far row, in the near row's frame. */
    private record Row(
            double from, double to, double crownAlong, double crownUp, ArcTemplate template, double radius) {}

    FacingLayout(RunContext laying, Motif.FacingArcs motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
    }

    void lay() {
        List<Figure> figures = space.divided();
        Optional<Figure.WholeArc> first = figures.stream()
                .filter(Figure.WholeArc.class::isInstance)
                .map(Figure.WholeArc.class::cast)
                .findFirst();
        if (first.isEmpty()) {
            laying.tell(new MotifDiagnostic.NoSpace());
            return;
        }
        Optional<ArcTemplate> other = motif.otherTemplate().isPresent()
                ? laying.tools().arc(motif.otherTemplate(), Optional.empty())
                : Optional.of(first.get().template());
        if (other.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.ARC, 0));
            return;
        }
        double span = first.get().cell().width() / (motif.facing() == Motif.Facing.TWO_TO_ONE ? 2 : 1);
        Optional<ArcFit> facing = ArcFit.of(other.get(), laying.machine(), span, space.room(), 0);
        if (facing.isEmpty()) {
            laying.tell(new LayoutDiagnostic.TooFar(span, ArcFit.widest(other.get(), laying.machine())));
            return;
        }
        if (motif.facing() == Motif.Facing.OVERLAPPING) {
            overlapping(other.get(), figures);
            return;
        }
        double left = space.room()
                - first.get().fit().segment().height()
                - facing.get().segment().height();
        base = motif.channel().isPresent() ? (left - motif.channel().getAsDouble()) / 2 : 0;
        double over = Math.max(
                -base, Math.max(first.get().fit().overRoom(), facing.get().overRoom()) + base);
        if (over > Tolerances.ROUNDING) {
            laying.tell(new MotifDiagnostic.TooHigh(over));
        }
        near = new ArcRow(laying, base, motif.passes());
        for (int i = 0; i < figures.size(); i++) {
            near.lay(figures.get(i), i);
        }
        lower(near);
        near.enclose();
        farRow(other.get());
        motif.inset().ifPresent(this::diamonds);
        if (motif.crownLines() || motif.valleyLines()) {
            lines(figures);
        }
    }

    /** Both rows on one edge: the second goes from crown to crown, with half arcs at both ends. */
    private void overlapping(ArcTemplate template, List<Figure> figures) {
        near = new ArcRow(laying, 0, motif.passes());
        for (int i = 0; i < figures.size(); i++) {
            near.lay(figures.get(i), i);
        }
        lower(near);
        near.enclose();
        ArcRow second = new ArcRow(laying, 0, motif.passes());
        second.numberFrom(near.done().size());
        boolean fromRight = !endsWhereItBegan();
        if (fromRight) {
            second.goBack();
        }
        for (int k = 0; k < figures.size(); k++) {
            int i = fromRight ? figures.size() - 1 - k : k;
            if (figures.get(i) instanceof Figure.WholeArc arc) {
                halfStep(second, template, figures, i, arc.cell());
            }
        }
        lower(second);
        second.enclose();
    }

    /** Whether a row with its lower arcs, every second of them on the way back, leaves the needle at its beginning. */
    private boolean endsWhereItBegan() {
        return motif.rises().size() % 2 == 1;
    }

    /** The lower arcs of a row, each as high as is wished. */
    private void lower(ArcRow row) {
        List<Double> rises = motif.rises();
        for (int k = 0; k < rises.size() && !row.done().isEmpty(); k++) {
            double drop = row.done().get(0).segment().height() - rises.get(k);
            row.inner(k + 1, Motif.Inner.LOWERED, drop, rises.size() + 1);
        }
    }

    /** The row on the other edge, seen from there. */
    private void farRow(ArcTemplate template) {
        RunContext there = laying.fromOtherEdge();
        RunSpace turned = there.space();
        laying.sewing().begin(laying.number(), laying.layer().number(), turned.rotation());
        ArcRow row = new ArcRow(there, base, motif.passes());
        row.numberFrom(near.done().size());
        double length = space.length();
        List<Figure> cells = turned.divided();
        if (endsWhereItBegan()) {
            row.goBack();
        }
        for (int k = 0; k < cells.size(); k++) {
            int i = row.goesBack() ? cells.size() - 1 - k : k;
            if (cells.get(i) instanceof Figure.HalfArc half && motif.facing() == Motif.Facing.CROWNS) {
                halfFacing(row, template, half.cell(), half.fromCrown(), i);
            }
            if (!(cells.get(i) instanceof Figure.WholeArc arc)) {
                continue;
            }
            double from = arc.cell().from();
            double to = arc.cell().to();
            double middle = (from + to) / 2;
            switch (motif.facing()) {
                case CROWNS -> facing(row, template, from, to, i);
                case TWO_TO_ONE -> {
                    facing(row, template, row.goesBack() ? middle : from, row.goesBack() ? to : middle, i);
                    facing(row, template, row.goesBack() ? from : middle, row.goesBack() ? middle : to, i);
                }
                case HALF_STEP, OVERLAPPING -> halfStep(row, template, cells, i, arc.cell());
            }
        }
        lower(row);
        row.enclose();
        laying.enclosed().addAll(there.enclosed());
        there.diagnostics().forEach(laying::tell);
        for (ArcRow.Done arc : row.done()) {
            double half = arc.segment().chord() / 2;
            far.add(new Row(
                    length - arc.crownAlong() - half,
                    length - arc.crownAlong() + half,
                    length - arc.crownAlong(),
                    space.room() - base - arc.segment().height(),
                    arc.template(),
                    arc.segment().radius()));
        }
        far.sort(Comparator.comparingDouble(Row::from));
        laying.sewing().begin(laying.number(), laying.layer().number(), space.rotation());
    }

    private void facing(ArcRow row, ArcTemplate template, double from, double to, int index) {
        ArcFit.of(template, laying.machine(), to - from, space.room(), space.clearance())
                .ifPresentOrElse(
                        fit -> {
                            if (fit.overRoom() + row.base() > Tolerances.ROUNDING) {
                                laying.tell(new MotifDiagnostic.TooHigh(fit.overRoom() + row.base()));
                            }
                            row.whole(template, fit, from, to, index);
                        },
                        () -> laying.tell(
                                new LayoutDiagnostic.TooFar(to - from, ArcFit.widest(template, laying.machine()))));
    }

    /** From a cell's middle to the next one's; none across an odd space, and half an arc at each end of the run. */
    private void halfStep(ArcRow row, ArcTemplate template, List<Figure> cells, int i, Cell cell) {
        double middle = cell.middle();
        Runnable first = () -> {
            if (i == 0) {
                halfFacing(row, template, new Cell(Cell.Kind.HALF, cell.from(), middle), true, i);
            }
        };
        Runnable next = () -> {
            if (i + 1 < cells.size() && cells.get(i + 1) instanceof Figure.WholeArc following) {
                facing(row, template, middle, following.cell().middle(), i);
            } else if (i + 1 == cells.size()) {
                halfFacing(row, template, new Cell(Cell.Kind.HALF, middle, cell.to()), false, i);
            }
        };
        (row.goesBack() ? next : first).run();
        (row.goesBack() ? first : next).run();
    }

    private void halfFacing(ArcRow row, ArcTemplate template, Cell cell, boolean fromCrown, int index) {
        ArcFit.of(template, laying.machine(), 2 * cell.width(), space.room(), space.clearance())
                .ifPresent(fit -> row.lay(new Figure.HalfArc(cell, template, fit, fromCrown), index));
    }

    /**
     * The small diamond between two pairs of crowns: from a tip at a distance from each pair to the valleys between, with
     * the same template.
     */
    private void diamonds(double inset) {
        if (motif.facing() != Motif.Facing.CROWNS) {
            return;
        }
        List<ArcRow.Done> arcs = near.done().stream().filter(ArcRow.Done::whole).toList();
        double level = space.room() / 2;
        int number = 0;
        for (int i = 0; i + 1 < arcs.size(); i++) {
            ArcRow.Done a = arcs.get(i);
            ArcRow.Done b = arcs.get(i + 1);
            double valley = a.crownAlong() + a.segment().chord() / 2;
            if (Math.abs(b.crownAlong() - b.segment().chord() / 2 - valley) > Tolerances.SAME_PLACE) {
                continue;
            }
            number++;
            Point left = new Point(a.crownAlong() + inset, level);
            Point right = new Point(b.crownAlong() - inset, level);
            Point low = new Point(valley, base);
            Point high = new Point(valley, space.room() - base);
            if (left.x() >= valley || right.x() <= valley) {
                laying.tell(new LayoutDiagnostic.TooFar(inset, valley - a.crownAlong()));
                continue;
            }
            diamond(number, a, b, List.of(left, low, right, high));
        }
    }

    /** Each half is stitched with the template of the arc it stands beside. */
    private void diamond(int number, ArcRow.Done a, ArcRow.Done b, List<Point> corners) {
        Point middle = new Point(corners.get(1).x(), corners.get(0).y());
        List<Curve> sides = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            ArcRow.Done beside = i == 0 || i == 3 ? a : b;
            double radius = beside.segment().radius();
            Point from = corners.get(i);
            Point to = corners.get((i + 1) % 4);
            Optional<Arc> side = ArcsBetween.bulgingTowards(from, to, radius, middle);
            if (side.isEmpty()) {
                laying.tell(new LayoutDiagnostic.TooFar(from.distance(to), 2 * radius));
                return;
            }
            Arc placed = space.placed(side.get());
            double inside = space.region().within(Path.of(placed)).stream()
                    .mapToDouble(Path::length)
                    .sum();
            if (Math.abs(inside - placed.length()) > Tolerances.SAME_PLACE) {
                // Where its ends would turn beyond the upright and the level through them, it bulges out.
                Point way = to.minus(from);
                double steep =
                        Math.min(Math.abs(way.unit().x()), Math.abs(way.unit().y()));
                laying.tell(new MotifDiagnostic.TooRound(radius, from.distance(to) / (2 * steep)));
                return;
            }
            sides.add(placed);
        }
        List<Mark> marks = corners.stream()
                .map(c -> laying.later(Mark.Kind.TIP, space.place(c.x(), c.y()), Mark.Pass.BOTH_ROWS))
                .toList();
        for (int i = 0; i < 4; i++) {
            laying.sewing()
                    .stitch(
                            new PlacementBuilder.Naming(Stitched.DIAMOND, number, i + 1, motif.diamondPasses()),
                            sides.get(i),
                            StitchingEdge.Round.of((i == 0 || i == 3 ? a : b).template(), laying.machine()),
                            new Registration.FootOnBothMarks(),
                            LineEnd.at(marks.get(i)),
                            LineEnd.at(marks.get((i + 1) % 4)),
                            PlacementBuilder.Turn.MARKED);
        }
        laying.enclosed().add(new RunContext.Enclosed(number, List.of(new Path(sides))));
    }

    /** Straight lines from crown to crown and from valley to valley. */
    private void lines(List<Figure> figures) {
        Optional<StitchingEdge.Straight> tool = laying.tools().straight(Optional.empty(), Optional.empty());
        if (tool.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.STRAIGHT_EDGE, 0));
            return;
        }
        int number = 0;
        for (ArcRow.Done arc : near.done()) {
            double up = base + arc.segment().height();
            double opposite = space.room() - base - heightOfFar(arc.crownAlong());
            if (motif.crownLines() && arc.whole() && opposite - up > LayoutContext.SHORTEST) {
                straight(tool.get(), ++number, arc.crownAlong(), up, opposite);
            }
        }
        if (motif.valleyLines()) {
            for (int i = 0; i + 1 < figures.size(); i++) {
                if (figures.get(i) instanceof Figure.WholeArc && figures.get(i + 1) instanceof Figure.WholeArc) {
                    double along = figures.get(i).cell().to();
                    straight(tool.get(), ++number, along, base, space.room() - base - heightOfFar(along));
                }
            }
        }
    }

    /** How high the far row stands above its own base at a place, in inches. */
    private double heightOfFar(double along) {
        return far.stream()
                .filter(r -> along >= r.from() - Tolerances.ROUNDING && along <= r.to() + Tolerances.ROUNDING)
                .mapToDouble(r -> {
                    double aside = along - r.crownAlong();
                    double drop = r.radius() - Math.sqrt(Math.max(0, r.radius() * r.radius() - aside * aside));
                    return space.room() - base - r.crownUp() - drop;
                })
                .max()
                .orElse(0);
    }

    private void straight(StitchingEdge.Straight tool, int number, double along, double from, double to) {
        Segment line = space.placed(new Segment(new Point(along, from), new Point(along, to)));
        Mark start = laying.later(Mark.Kind.LINE_START, line.from(), Mark.Pass.BOTH_ROWS);
        Mark end = laying.later(Mark.Kind.LINE_END, line.to(), Mark.Pass.BOTH_ROWS);
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.LINE, number),
                line,
                tool,
                new Registration.FootOnBothMarks(),
                LineEnd.at(start),
                LineEnd.at(end),
                PlacementBuilder.Turn.SLIDING);
    }

    private static Preset facing(String code, Motif.Facing facing) {
        return Preset.onSeam(
                code,
                new Motif.FacingArcs(
                        facing, OptionalDouble.empty(), OptionalDouble.empty(), false, false, Optional.empty(), 1));
    }
}
