package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Repeating;
import jollyspindle.core.division.Wish;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.Hatching;
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
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link Motif.Serpentine}: an S of two arcs from edge to edge, up one and down the next; along a round edge arc by
 * arc, or along a strip in one go.
 */
final class SerpentineLayout {

    private static final Param.Whole<Motif.Serpentine> PER_REPEAT = Param.whole(
                    "perRepeat", 1, Motif.MOST_LINES, Motif.Serpentine::perRepeat)
            .usually(1);
    private static final Param.Flag<Motif.Serpentine> MIRRORED =
            Param.flag("mirrored", Motif.Serpentine::mirrored, false);

    static final MotifType<Motif.Serpentine> TYPE =
            new MotifType<>(
                    Motif.Serpentine.class,
                    "serpentine",
                    Params.of(
                            v -> new Motif.Serpentine(v.get(PER_REPEAT), v.get(MIRRORED)),
                            Params.row(PER_REPEAT),
                            Params.row(MIRRORED))) {

                @Override
                EdgeKind edge(Motif.Serpentine motif) {
                    return EdgeKind.S_CURVE;
                }

                @Override
                List<Preset> offered() {
                    return List.of(Preset.onSeam("serpentine", new Motif.Serpentine(2, false)));
                }

                @Override
                Optional<DivisionConstraints> asks(
                        Layer layer, Motif.Serpentine motif, EdgeCatalog tools, double room) {
                    boolean round =
                            tools.arc(layer.templateId(), layer.guideId()).isPresent();
                    return round || strip(tools, layer).isPresent()
                            ? Optional.of(new DivisionConstraints(
                                    new Repeating.Figures(OptionalDouble.empty(), Wish.LONGEST_REPEAT, 0),
                                    0,
                                    parity(motif)))
                            : Optional.empty();
                }

                @Override
                Wish.Parity parity(Motif.Serpentine motif) {
                    // Up one and down the next, so that the needle ends where it began.
                    return motif.perRepeat() % 2 == 1 ? Wish.Parity.EVEN : Wish.Parity.ANY;
                }

                @Override
                void lay(RunContext laying, Motif.Serpentine motif, double echo) {
                    new SerpentineLayout(laying, motif).lay();
                }
            };

    /** So much of the strip must be left beside tape that goes across it, in inches. */
    private static final double TAPED = 1.0 / 4;

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Serpentine motif;

    SerpentineLayout(RunContext laying, Motif.Serpentine motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
    }

    void lay() {
        Optional<ArcTemplate> template =
                laying.tools().arc(laying.layer().templateId(), laying.layer().guideId());
        if (template.isEmpty()) {
            Optional<StitchingEdge.Strip> strip = strip(laying.tools(), laying.layer());
            if (strip.isEmpty()) {
                laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.S_CURVE, 0));
            } else {
                strip(strip.get());
            }
            return;
        }
        double radius = template.get().stitchedRadius(laying.machine());
        double half = space.room() / 2;
        if (half > 2 * radius) {
            laying.tell(new LayoutDiagnostic.TooFar(half, 2 * radius));
            return;
        }
        StitchingEdge tool = StitchingEdge.Round.of(template.get(), laying.machine());
        List<Double> places = places();
        List<StitchLine> before = List.of();
        for (int i = 0; i < places.size(); i++) {
            boolean again = i % (Hatching.MOST_CHAINED + 1) == 0;
            before = serpentine(
                    tool,
                    radius,
                    places.get(i),
                    i + 1,
                    again || i == 0 ? OptionalDouble.empty() : OptionalDouble.of(places.get(i) - places.get(i - 1)),
                    before);
        }
    }

    /** The strip that a layer's lines are stitched along, if it names one or there is no round edge. */
    static Optional<StitchingEdge.Strip> strip(EdgeCatalog tools, Layer layer) {
        return tools.strip(Kind.SERPENTINE_STRIP, layer.templateId());
    }

    /** Where the lines stand along the run. */
    private List<Double> places() {
        List<Double> places = new ArrayList<>();
        for (Figure figure : space.divided()) {
            Cell cell = figure.cell();
            if (figure instanceof Figure.Empty) {
                continue;
            }
            int lines = cell.kind() == Cell.Kind.HALF ? (motif.perRepeat() + 1) / 2 : motif.perRepeat();
            for (int i = 0; i < lines; i++) {
                places.add(cell.from() + (i + 0.5) * cell.width() / lines);
            }
        }
        if (places.size() % 2 == 1) {
            laying.tell(new MotifDiagnostic.Parity(false));
        }
        return places;
    }

    /**
     * Along a strip whose edge is the S: it lies across the run, and as many of its waves are stitched as go into the depth;
     * what is left stays half and half at the edges.
     */
    private void strip(StitchingEdge.Strip strip) {
        int rows = (int) Math.floor((space.room() + Tolerances.ROUNDING) / strip.module());
        if (rows == 0) {
            laying.tell(new MotifDiagnostic.TooHigh(strip.module() - space.room()));
            return;
        }
        List<Curve> arcs = strip.stitched().curves();
        // From a hollow on, the strip lying with its right end outwards, the S bulges towards the run's right end
        // first.
        int first = motif.mirrored() ? 0 : 1;
        if (first + 2 * rows > arcs.size()) {
            laying.tell(new LayoutDiagnostic.TooFar(rows * strip.module(), (rows - 1) * strip.module()));
            return;
        }
        Path own = new Path(arcs.subList(first, first + 2 * rows));
        double over = (space.room() - rows * strip.module()) / 2;
        if (over > LayoutContext.SHORTEST) {
            laying.tell(new MotifDiagnostic.Rows(rows, over));
        }
        Box box = own.box();
        double left = box.top() - own.start().y();
        double right = own.start().y() - box.bottom();
        List<Double> places = places();
        List<StitchLine> before = List.of();
        for (int i = 0; i < places.size(); i++) {
            double along = places.get(i);
            double beyond = Math.max(left - along, along + right - space.length());
            if (beyond > Tolerances.ROUNDING) {
                laying.tell(new MotifDiagnostic.TooHigh(beyond));
                continue;
            }
            double turned = space.rotation() + Math.PI / 2;
            Point low = space.place(along, over);
            Pose pose = new Pose(low.minus(own.start().turned(turned)), turned);
            StitchingEdge tool = new StitchingEdge.Lying(strip.id(), strip.name(), pose);
            Path line = own.posed(pose);
            boolean up = i % 2 == 0;
            Path way = up ? line : line.reversed();
            before = crosswise(strip, tool, own, over, way, i, i == 0 ? 0 : along - places.get(i - 1), before);
        }
    }

    /**
     * A line across the strip lies on one edge of the run and holds it; where the S reaches from edge to edge, it steps on from the
     * one before, and few lines are marked.
     */
    private List<StitchLine> crosswise(
            StitchingEdge.Strip strip,
            StitchingEdge tool,
            Path own,
            double over,
            Path way,
            int index,
            double step,
            List<StitchLine> before) {
        double clearance = space.frame().clearance();
        double reserve = space.frame().reserve();
        double near = own.start().x() - over - (space.hanging() ? reserve : clearance);
        double beyond = own.end().x() + over + (space.hanging() ? clearance : reserve);
        double acrylic = strip.module() * strip.figures() / 2 - TAPED;
        boolean onOther = Math.abs(near) > acrylic;
        double across = onOther ? beyond : near;
        boolean held = Math.abs(across) <= acrylic;
        boolean reaches = over < Tolerances.ROUNDING;
        boolean stepped = held && reaches && before.size() == 1 && index % (Hatching.MOST_CHAINED + 1) != 0;
        Registration laid = held
                ? new Registration.Crosswise(
                        across,
                        Math.abs(across) < Tolerances.ON_LINE && laying.tools().hasCentreLine(strip.id()),
                        space.hanging() != onOther,
                        stepped ? Optional.of(before.get(0).id()) : Optional.empty(),
                        stepped ? step : 0)
                : new Registration.FootOnBothMarks();
        LineEnd start = stepped ? laying.shown(way.start()) : laying.marked(Mark.Kind.LINE_START, way.start());
        LineEnd end = held && reaches ? laying.shown(way.end()) : laying.marked(Mark.Kind.LINE_END, way.end());
        return stitch(tool, way, index + 1, laid, start, end);
    }

    private List<StitchLine> stitch(
            StitchingEdge tool, Path way, int number, Registration laid, LineEnd start, LineEnd end) {
        List<Curve> curves = way.curves();
        return laying.stitch(
                PlacementBuilder.Naming.of(Stitched.SERPENTINE, number),
                curves.stream()
                        .map(c -> new PlacementBuilder.Piece(
                                c,
                                tool,
                                laid,
                                c == curves.get(curves.size() - 1) ? end : LineEnd.at(c.end(), LineEnd.ShownBy.NEEDLE)))
                        .toList(),
                start,
                PlacementBuilder.Turn.MARKED);
    }

    /**
     * Stitches one of two arcs.
     *
     * @param step from the one before, by which it is laid; nothing if it is marked
     */
    private List<StitchLine> serpentine(
            StitchingEdge tool, double radius, double along, int number, OptionalDouble step, List<StitchLine> before) {
        Point low = new Point(along, 0);
        Point middle = new Point(along, space.room() / 2);
        Point high = new Point(along, space.room());
        Arc first = ArcsBetween.of(low, middle, radius, motif.mirrored()).orElseThrow();
        Arc second = ArcsBetween.of(middle, high, radius, !motif.mirrored()).orElseThrow();
        double bulge = first.radius() * (1 - Math.cos(first.sweep() / 2));
        if (along - bulge < -Tolerances.ROUNDING || along + bulge > space.length() + Tolerances.ROUNDING) {
            laying.tell(new MotifDiagnostic.TooHigh(Math.max(bulge - along, along + bulge - space.length())));
            return List.of();
        }
        boolean up = number % 2 == 1;
        Arc one = up ? first : second.reversed();
        Arc two = up ? second : first.reversed();
        boolean whole = before.size() == 1
                && Math.abs(before.get(0).path().length() - first.length() - second.length()) < Tolerances.SAME_PLACE;
        if (whole && step.isPresent() && space.isOnSeam() && !space.runsOn()) {
            // Both arcs step on from those before, along the seam, the middle line, and the limit.
            Registration laid = new Registration.Stepped(before.get(0).id(), step.getAsDouble(), step.getAsDouble());
            LineEnd turned = LineEnd.at(space.place(along, middle.y()), LineEnd.ShownBy.MIDDLE_LINE);
            Arc last = space.placed(two);
            return laying.stitch(
                    PlacementBuilder.Naming.of(Stitched.SERPENTINE, number),
                    List.of(
                            new PlacementBuilder.Piece(space.placed(one), tool, laid, turned),
                            new PlacementBuilder.Piece(last, tool, laid, laying.shown(last.end()))),
                    laying.shown(space.placed(one).start()),
                    PlacementBuilder.Turn.MARKED);
        }
        Mark start = laying.marker().next(Mark.Kind.LINE_START, space.place(along, 0), Mark.Stage.LOADED);
        Mark turn = laying.marker().next(Mark.Kind.TURN, space.place(along, middle.y()), Mark.Stage.LOADED);
        Mark end = laying.marker().next(Mark.Kind.LINE_END, space.place(along, space.room()), Mark.Stage.LOADED);
        Registration registration = new Registration.FootOnBothMarks();
        return laying.stitch(
                PlacementBuilder.Naming.of(Stitched.SERPENTINE, number),
                List.of(
                        new PlacementBuilder.Piece(space.placed(one), tool, registration, LineEnd.at(turn)),
                        new PlacementBuilder.Piece(
                                space.placed(two), tool, registration, LineEnd.at(up ? end : start))),
                LineEnd.at(up ? start : end),
                PlacementBuilder.Turn.MARKED);
    }
}
