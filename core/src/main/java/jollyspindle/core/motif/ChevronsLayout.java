package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Wish;
import jollyspindle.core.geometry.Arc;
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
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link Motif.Chevrons}: peaks or boxes, one a cell, with lines inside of them at a spacing.
 *
 * <p>A line inside a peak at spacing s has its tip s / cos β lower and its feet s / sin β nearer, where β is the slope of the
 * sides (derived). Boxes take half of their cell; what joins them lies on the edge they stand on.
 */
final class ChevronsLayout {

    private static final Param.Choice<Motif.Chevrons, Motif.Points> POINTS =
            Param.choice("points", Motif.Points.class, Motif.Chevrons::points).usually(Motif.Points.PEAKS);
    private static final Param.MaybeLength<Motif.Chevrons> HEIGHT =
            Param.maybeLength("height", Motif.CLOSEST, Motif.FARTHEST, Motif.Chevrons::height);
    private static final Param.Length<Motif.Chevrons> ROUNDING =
            Param.length("rounding", 0, Motif.WIDEST, Motif.Chevrons::rounding).usually(0);
    private static final Param.Whole<Motif.Chevrons> PER_REPEAT = Param.whole(
                    "perRepeat", 1, Motif.MOST_LINES, Motif.Chevrons::perRepeat)
            .usually(1);
    private static final Param.Flag<Motif.Chevrons> CLOSED = Param.flag("closed", Motif.Chevrons::closed, false);
    private static final Param.Whole<Motif.Chevrons> OUTER =
            Param.whole("outer", 0, Motif.MOST_LINES, Motif.Chevrons::outer).usually(0);
    private static final Param.Whole<Motif.Chevrons> LINES =
            Param.whole("lines", 1, Motif.MOST_LINES, Motif.Chevrons::lines).usually(1);
    private static final Param.Length<Motif.Chevrons> SPACING = Param.length(
                    "spacing", Motif.CLOSEST, Motif.FARTHEST, Motif.Chevrons::spacing)
            .usually(0.5);

    static final MotifType<Motif.Chevrons> TYPE =
            new MotifType<>(
                    Motif.Chevrons.class,
                    "chevrons",
                    Params.of(
                                    v -> new Motif.Chevrons(
                                            v.get(POINTS),
                                            v.get(HEIGHT),
                                            v.get(ROUNDING),
                                            v.get(PER_REPEAT),
                                            v.get(CLOSED),
                                            v.get(OUTER),
                                            v.get(LINES),
                                            v.get(SPACING)),
                                    Params.row(POINTS),
                                    Params.row(HEIGHT, ROUNDING),
                                    Params.row(PER_REPEAT, OUTER),
                                    Params.row(CLOSED),
                                    Params.row(LINES, SPACING))
                            .brief(PER_REPEAT)
                            .brief(CLOSED)
                            .brief(OUTER)) {

                @Override
                EdgeKind edge(Motif.Chevrons motif) {
                    return switch (motif.points()) {
                        case PEAKS -> EdgeKind.ZIGZAG;
                        case BOXES -> EdgeKind.STRAIGHT_EDGE;
                        case WAVES -> EdgeKind.S_CURVE;
                        case HALF_CIRCLES -> EdgeKind.SCALLOPS;
                    };
                }

                @Override
                List<Preset> offered() {
                    return List.of(
                            Preset.onSeam(
                                    "peaks",
                                    new Motif.Chevrons(
                                            Motif.Points.PEAKS, OptionalDouble.empty(), 0, 2, Preset.SPACING)),
                            Preset.onSeam(
                                    "boxes",
                                    new Motif.Chevrons(
                                            Motif.Points.BOXES, OptionalDouble.empty(), 0, 2, Preset.SPACING)),
                            Preset.onSeam(
                                    "waves",
                                    new Motif.Chevrons(
                                            Motif.Points.WAVES, OptionalDouble.empty(), 0, 1, Preset.SPACING)),
                            Preset.onSeam(
                                    "half-circles",
                                    new Motif.Chevrons(
                                            Motif.Points.HALF_CIRCLES, OptionalDouble.empty(), 0, 1, Preset.SPACING)));
                }

                @Override
                Optional<DivisionConstraints> asks(Layer layer, Motif.Chevrons motif, EdgeCatalog tools, double room) {
                    Optional<FigureRowLayout> strip = FigureRowLayout.of(tools, layer, room, OptionalDouble.empty());
                    int figures = motif.perRepeat();
                    if (strip.isPresent()) {
                        double module = figures * strip.get().module();
                        return Optional.of(DivisionConstraints.figures(
                                OptionalDouble.of(module),
                                FigureRowLayout.WIDEST * module,
                                strip.get().height(),
                                FigureRowLayout.NARROWEST * module));
                    }
                    if (isOfAStrip(motif)) {
                        return Optional.empty();
                    }
                    return tools.straight(layer.templateId(), layer.guideId())
                            .map(edge -> motif.height().isPresent()
                                    ? DivisionConstraints.figures(
                                            OptionalDouble.of(
                                                    figures * 2 * motif.height().getAsDouble()),
                                            Wish.LONGEST_REPEAT,
                                            motif.height().getAsDouble(),
                                            0)
                                    : DivisionConstraints.figures(
                                            OptionalDouble.empty(),
                                            Math.min(figures * 2 * room, Wish.LONGEST_REPEAT),
                                            0,
                                            0));
                }

                @Override
                OptionalDouble echo(Motif.Chevrons motif) {
                    return motif.lines() > 1 ? OptionalDouble.of(motif.spacing()) : OptionalDouble.empty();
                }

                @Override
                void knobs(Motif.Chevrons motif, KnobsOnRun<Motif.Chevrons> to) {
                    Optional<StitchLine> first = to.first(Stitched.CHEVRON, 0);
                    if (first.isEmpty()) {
                        return;
                    }
                    Point tip = to.highest(first.get());
                    // A strip's figures are as high as they are.
                    if (to.template().filter(Kind.CHEVRON_STRIP::equals).isEmpty()) {
                        to.across(HEIGHT, tip, to.foot(), 1);
                    }
                    to.first(Stitched.ECHO, 1).map(to::highest).ifPresent(second -> {
                        double lower = Math.abs(to.across(tip) - to.across(second));
                        to.across(SPACING, second, to.across(tip), -motif.spacing() / lower);
                    });
                }

                @Override
                void lay(RunContext laying, Motif.Chevrons motif, double echo) {
                    new ChevronsLayout(laying, motif).lay();
                }
            };

    private static final Mark.Stage LOADED = Mark.Stage.LOADED;

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Chevrons motif;
    private StitchingEdge.Straight straight;
    private double spacing;
    private Optional<StitchingEdge.Round> corner = Optional.empty();

    ChevronsLayout(RunContext laying, Motif.Chevrons motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
    }

    /**
     * What one figure stands on, or nothing does.
     *
     * @param cell as wide as the figure, or half as wide at an end of the run
     * @param index of the run's cell that it is part of
     */
    record Standing(Cell cell, int index, boolean empty) {}

    /** So many figures to a repeat, from left to right. */
    static List<Standing> standing(RunSpace space, int perRepeat) {
        List<Standing> all = new ArrayList<>();
        List<Figure> figures = space.divided();
        for (int i = 0; i < figures.size(); i++) {
            Cell cell = figures.get(i).cell();
            if (figures.get(i) instanceof Figure.Empty) {
                all.add(new Standing(cell, i, true));
                continue;
            }
            boolean half = cell.kind() == Cell.Kind.HALF;
            double width = (half ? 2 : 1) * cell.width() / perRepeat;
            // Of an odd number half of one stands at the run's end.
            boolean rest = half && perRepeat % 2 == 1;
            int whole = half ? perRepeat / 2 : perRepeat;
            double from = cell.from();
            if (rest && i == 0) {
                from = whole == 0 ? cell.to() : cell.from() + width / 2;
                all.add(new Standing(new Cell(Cell.Kind.HALF, cell.from(), from), i, false));
            }
            for (int k = 1; k <= whole; k++) {
                boolean last = k == whole && !(rest && i > 0);
                double to = last ? cell.to() : from + width;
                all.add(new Standing(new Cell(half ? Cell.Kind.REPEAT : cell.kind(), from, to), i, false));
                from = to;
            }
            if (rest && i > 0) {
                all.add(new Standing(new Cell(Cell.Kind.HALF, from, cell.to()), i, false));
            }
        }
        return all;
    }

    /** Whether nothing but a strip stitches it. */
    private static boolean isOfAStrip(Motif.Chevrons motif) {
        return motif.points() == Motif.Points.WAVES || motif.points() == Motif.Points.HALF_CIRCLES;
    }

    /** How high a figure over a cell is, in inches. */
    static double height(Motif.Chevrons motif, double width) {
        return motif.height().orElse(width / 2);
    }

    /** How wide a figure should be, in inches: of a further motif; the first's repeats were found for its strip. */
    private OptionalDouble width() {
        return laying.number() == 1
                ? OptionalDouble.empty()
                : space.divided().stream()
                        .map(Figure::cell)
                        .filter(cell -> cell.kind() == Cell.Kind.REPEAT)
                        .mapToDouble(cell -> cell.width() / motif.perRepeat())
                        .findFirst();
    }

    void lay() {
        Optional<FigureRowLayout> strip = FigureRowLayout.of(laying.tools(), laying.layer(), space.room(), width());
        if (strip.isPresent()) {
            strip.get().lay(laying, motif);
            return;
        }
        if (isOfAStrip(motif)) {
            laying.tell(new LayoutDiagnostic.NoTool(TYPE.edge(motif)));
            return;
        }
        Optional<StitchingEdge.Straight> found =
                laying.straight(motif.points() == Motif.Points.PEAKS ? EdgeKind.ZIGZAG : EdgeKind.STRAIGHT_EDGE);
        if (found.isEmpty()) {
            return;
        }
        straight = found.get();
        spacing = laying.echoed(straight, motif.spacing());
        if (motif.lines() > 1 && Math.abs(spacing - motif.spacing()) > Tolerances.UNSAID) {
            laying.tell(new MotifDiagnostic.Spacing(motif.spacing(), spacing));
        }
        if (motif.rounding() > 0) {
            corner = laying.tools().round(motif.rounding());
            if (corner.isEmpty()) {
                laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.CIRCLE, motif.rounding()));
                return;
            }
        }
        List<Lined> lined = new ArrayList<>();
        for (Standing figure : standing(space, motif.perRepeat())) {
            if (!figure.empty()) {
                lined(figure.cell(), figure.index(), lined.size() + 1).ifPresent(lined::add);
            }
        }
        Map<Integer, StitchLine> first = new HashMap<>();
        Map<Integer, StitchLine> before = new HashMap<>();
        for (int line = 0; line < motif.lines(); line++) {
            // Rows are stitched out and back.
            boolean back = line % 2 == 1;
            for (int i = 0; i < lined.size(); i++) {
                Lined figure = lined.get(back ? lined.size() - 1 - i : i);
                if (line < figure.lines().size()) {
                    Path path = figure.lines().get(line);
                    StitchLine outer = before.get(figure.number());
                    before.put(figure.number(), stitch(back ? path.reversed() : path, figure, line, outer));
                    first.putIfAbsent(figure.number(), before.get(figure.number()));
                }
            }
        }
        if (motif.outer() > 0 && motif.points() == Motif.Points.PEAKS) {
            new LinesOutsidePeaks(laying, motif, straight, corner, spacing, this::rounded).lay(lined, first);
        } else if (motif.outer() > 0) {
            laying.tell(new MotifDiagnostic.TooManyOutside(motif.outer(), 0));
        }
    }

    /** Whether it is one of the valleys at the ends of a cell. */
    private boolean isFoot(Point place, int index) {
        Cell cell = space.divided().get(index).cell();
        return place.distance(space.place(cell.from(), 0)) < Tolerances.ROUNDING
                || place.distance(space.place(cell.to(), 0)) < Tolerances.ROUNDING;
    }

    /**
     * A figure over a cell, line by line from the outermost in, in the quilt's frame.
     *
     * @param index of the cell
     * @param number of the figure, from 1
     * @param cell that it stands on
     * @param corners of its first line, in the space's own frame
     */
    record Lined(int index, int number, Cell cell, List<Point> corners, List<Path> lines) {

        /** Of its sides, in radians. */
        double slope() {
            Point rising = corners.get(1).minus(corners.get(0));
            return Math.atan2(Math.abs(rising.y()), Math.abs(rising.x()));
        }
    }

    private Optional<Lined> lined(Cell own, int index, int number) {
        boolean half = own.kind() == Cell.Kind.HALF;
        // Half a figure is one whose middle stands at the run's end.
        Cell cell = !half
                ? own
                : index == 0
                        ? new Cell(own.kind(), own.from() - own.width(), own.to())
                        : new Cell(own.kind(), own.from(), own.to() + own.width());
        double height = height(motif, cell.width());
        if (height > space.room() + Tolerances.ROUNDING) {
            laying.tell(new MotifDiagnostic.TooHigh(height - space.room()));
            return Optional.empty();
        }
        List<Path> lines = new ArrayList<>();
        List<Path> outlines = new ArrayList<>();
        List<Point> first = List.of();
        for (int line = 0; line < motif.lines(); line++) {
            List<Point> corners = motif.points() == Motif.Points.PEAKS
                    ? peak(cell, height, line * spacing, motif.closed() && !half)
                    : box(cell, height, line * spacing, motif.closed() && !half);
            if (half && !corners.isEmpty()) {
                corners = halved(corners, index == 0, cell.middle());
            }
            if (corners.isEmpty()) {
                if (line > 0) {
                    laying.tell(new MotifDiagnostic.TooMany(motif.lines(), line));
                }
                // Else the cell is so narrow that not a stitch is left of the figure.
                break;
            }
            if (line == 0) {
                // Of a closed one all but the way back to where it begins.
                first = motif.closed() && !half ? corners.subList(0, corners.size() - 1) : corners;
            }
            Optional<Path> path = rounded(corners);
            if (path.isEmpty()) {
                laying.tell(new LayoutDiagnostic.TooFar(motif.rounding(), height));
                break;
            }
            Path placed = space.placed(path.get());
            lines.add(placed);
            List<Curve> closed = new ArrayList<>(placed.curves());
            if (half) {
                Point middle = space.place(cell.middle(), 0);
                closed.add(new Segment(placed.end(), middle));
                closed.add(new Segment(middle, placed.start()));
            } else if (placed.end().distance(placed.start()) > Tolerances.SAME_PLACE) {
                closed.add(new Segment(placed.end(), placed.start()));
            }
            outlines.add(new Path(closed));
        }
        if (lines.isEmpty()) {
            return Optional.empty();
        }
        laying.enclosed().add(new RunContext.Enclosed(index + 1, List.copyOf(outlines)));
        return Optional.of(new Lined(index, number, own, first, lines));
    }

    private static List<Point> peak(Cell cell, double height, double inside, boolean closed) {
        List<Point> open = peak(cell, height, inside);
        if (!closed || open.isEmpty()) {
            return open;
        }
        // The triangles inside stand as far from the lower side as from the others.
        double in = inside * cell.width() / 2 / height;
        Point left = open.get(0).plus(new Point(in, inside));
        Point right = open.get(2).plus(new Point(-in, inside));
        return right.x() - left.x() <= LayoutContext.SHORTEST ? List.of() : List.of(left, open.get(1), right, left);
    }

    private static List<Point> peak(Cell cell, double height, double inside) {
        double slope = Math.atan2(height, cell.width() / 2);
        double tip = height - inside / Math.cos(slope);
        double in = inside / Math.sin(slope);
        return tip <= LayoutContext.SHORTEST || 2 * in >= cell.width()
                ? List.of()
                : List.of(new Point(cell.from() + in, 0), new Point(cell.middle(), tip), new Point(cell.to() - in, 0));
    }

    private static List<Point> box(Cell cell, double height, double inside, boolean closed) {
        List<Point> open = box(cell, height, inside);
        if (!closed || open.isEmpty()) {
            return open;
        }
        // The squares inside stand as far from its lower side as from the others.
        Point left = new Point(open.get(0).x(), inside);
        Point right = new Point(open.get(3).x(), inside);
        return open.get(1).y() - inside <= LayoutContext.SHORTEST
                ? List.of()
                : List.of(left, open.get(1), open.get(2), right, left);
    }

    private static List<Point> box(Cell cell, double height, double inside) {
        double left = cell.from() + cell.width() / 4 + inside;
        double right = cell.to() - cell.width() / 4 - inside;
        double top = height - inside;
        return top <= LayoutContext.SHORTEST || right - left <= LayoutContext.SHORTEST
                ? List.of()
                : List.of(new Point(left, 0), new Point(left, top), new Point(right, top), new Point(right, 0));
    }

    /** The half of a figure to the right of its middle, or the one to the left. */
    private static List<Point> halved(List<Point> corners, boolean right, double middle) {
        List<Point> half = new ArrayList<>();
        Point top = new Point(middle, corners.get(1).y());
        if (right) {
            half.add(top);
        }
        corners.stream()
                .filter(c -> right ? c.x() > middle + Tolerances.ROUNDING : c.x() < middle - Tolerances.ROUNDING)
                .forEach(half::add);
        if (!right) {
            half.add(top);
        }
        return half;
    }

    /** Lines through corners, those between the ends rounded; nothing if there is no room to round them. */
    private Optional<Path> rounded(List<Point> corners) {
        // What the template really stitches, which may be a chalk line off.
        double r = corner.map(StitchingEdge.Round::stitched).orElse(0.0);
        List<Curve> curves = new ArrayList<>();
        Point at = corners.get(0);
        double used = 0;
        for (int i = 1; i < corners.size(); i++) {
            Point next = corners.get(i);
            double length = corners.get(i - 1).distance(next);
            boolean tip = i < corners.size() - 1
                    && next.y()
                            > Math.min(
                                            corners.get(i - 1).y(),
                                            corners.get(i + 1).y())
                                    + Tolerances.ROUNDING;
            if (r == 0 || !tip) {
                if (used > length - Tolerances.SAME_PLACE) {
                    return Optional.empty();
                }
                curves.add(new Segment(at, next));
                at = next;
                used = 0;
                continue;
            }
            Point in = next.minus(corners.get(i - 1)).unit();
            Point out = corners.get(i + 1).minus(next).unit();
            double turn = Math.atan2(in.cross(out), in.dot(out));
            double cut = r * Math.tan(Math.abs(turn) / 2);
            if (used + cut > length - Tolerances.SAME_PLACE) {
                return Optional.empty();
            }
            Point from = next.minus(in.times(cut));
            Point centre = from.plus(in.turnedLeft().times(turn > 0 ? r : -r));
            curves.add(new Segment(at, from));
            Arc arc = new Arc(centre, r, from.minus(centre).angle(), turn);
            curves.add(arc);
            at = arc.end();
            used = cut;
        }
        return Optional.of(new Path(curves));
    }

    private StitchLine stitch(Path path, Lined figure, int line, StitchLine before) {
        int index = figure.index();
        List<PlacementBuilder.Piece> pieces = new ArrayList<>();
        double fromEdge = spacing - laying.machine().footRadius();
        boolean beside = before != null && fromEdge >= 0;
        boolean closed = path.start().distance(path.end()) < Tolerances.SAME_PLACE;
        List<Curve> curves = path.curves();
        LineEnd start = beside && !closed ? laying.shown(path.start()) : LineEnd.at(mark(path.start(), index));
        for (int i = 0; i < curves.size(); i++) {
            Curve curve = curves.get(i);
            boolean last = i == curves.size() - 1;
            LineEnd end;
            boolean round = curve instanceof Arc || !last && curves.get(i + 1) instanceof Arc;
            if (beside && !round && !(last && closed)) {
                end = last ? laying.shown(path.end()) : LineEnd.at(curve.end(), LineEnd.ShownBy.NEEDLE);
            } else {
                end = LineEnd.at(
                        last || isFoot(curve.end(), index)
                                ? mark(curve.end(), index)
                                : laying.marker().next(Mark.Kind.TURN, curve.end(), LOADED));
            }
            StitchingEdge tool = curve instanceof Arc ? corner.orElseThrow() : straight;
            Registration registration = beside && curve instanceof Segment
                    ? new Registration.OnStitching(before.id(), fromEdge, LayoutContext.engraved(straight, fromEdge))
                    : new Registration.FootOnBothMarks();
            pieces.add(new PlacementBuilder.Piece(curve, tool, registration, end));
        }
        List<StitchLine> lines = laying.stitch(
                PlacementBuilder.Naming.of(line == 0 ? Stitched.CHEVRON : Stitched.ECHO, figure.number(), line),
                pieces,
                start,
                PlacementBuilder.Turn.MARKED);
        return lines.isEmpty() ? before : lines.get(0);
    }

    /** Where a figure starts or ends: a valley, a place of its own on the same line, or the middle at the run's end. */
    private Mark mark(Point place, int index) {
        Cell cell = space.divided().get(index).cell();
        if (place.distance(space.place(cell.from(), 0)) < Tolerances.ROUNDING) {
            return laying.valley(index, cell.from(), 0);
        }
        if (place.distance(space.place(cell.to(), 0)) < Tolerances.ROUNDING) {
            return laying.valley(index + 1, cell.to(), 0);
        }
        return laying.marker().next(cell.kind() == Cell.Kind.HALF ? Mark.Kind.TURN : Mark.Kind.FOOT, place, LOADED);
    }
}
