package jollyspindle.core.area;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.CurveIndex;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.Machine;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;

/** What a motif works with while it is laid out in one piece of cloth. */
final class PieceContext extends LayoutContext {

    private final AreaSpace space;
    private final Rays rays;
    private final List<Path> seams;
    private final Drawing drawing;
    private final Supplier<Optional<AreaSpace>> round;

    /** What is drawn, each line once. */
    private static final class Drawing {
        private final Set<Path> lines = new LinkedHashSet<>();
        private final CurveIndex<Path> index = new CurveIndex<>();
    }

    /**
     * A piece's context.
     *
     * @param space the piece
     * @param rays from the centre, of all motifs in the piece
     * @param round what lies round the area, where it lies free: a medallion's
     */
    PieceContext(
            AreaSpace space,
            PlacementBuilder sewing,
            EdgeCatalog tools,
            Optional<String> templateId,
            Rays rays,
            Supplier<Optional<AreaSpace>> round) {
        this(space, sewing, tools, templateId, rays, new ArrayList<>(), new ArrayList<>(), new Drawing(), round);
    }

    private PieceContext(
            AreaSpace space,
            PlacementBuilder sewing,
            EdgeCatalog tools,
            Optional<String> templateId,
            Rays rays,
            List<Diagnostic> diagnostics,
            List<Path> seams,
            Drawing drawing,
            Supplier<Optional<AreaSpace>> round) {
        super(sewing, tools, templateId, Optional.empty(), diagnostics);
        this.space = space;
        this.rays = rays;
        this.seams = seams;
        this.drawing = drawing;
        this.round = round;
    }

    /** The same in another piece, which tells what it has to where this one does. */
    PieceContext in(AreaSpace other) {
        return new PieceContext(other, sewing(), tools(), templateId(), rays, diagnostics(), seams, drawing, round);
    }

    @Override
    public AreaSpace space() {
        return space;
    }

    /** From the centre, of all motifs in the piece. */
    Rays rays() {
        return rays;
    }

    /** What lies round the area, where it lies free. */
    Optional<AreaSpace> aroundIt() {
        return round.get();
    }

    /** Seams in the piece that the needle can travel in, besides its edge. */
    List<Path> seams() {
        return seams;
    }

    /** What is drawn on the piece before the first stitch. */
    Set<Path> drawn() {
        return drawing.lines;
    }

    /** Draws something on the cloth, to be seen like a seam. */
    void draw(Path path) {
        if (drawing.lines.add(path)) {
            drawing.index.add(path, path);
        }
    }

    /**
     * How far the radius of a ring may be from what is wished, in inches: a chalk line's width, and what the foot differs from the
     * one that templates are labelled for, since then no ring is just as large as its label says.
     */
    double nearEnough() {
        return Tolerances.CHALK + Math.abs(tools().machine().footRadius() - Machine.NOMINAL_FOOT_RADIUS);
    }

    /**
     * Tells that no template stitches a ring; and that slots would if the foot went into them.
     *
     * @param template the one that was asked for, if one was
     * @param radius in inches
     * @param nearest the edge that comes nearest, if there is one
     */
    void tellRingMissing(Optional<String> template, double radius, Optional<StitchingEdge.Round> nearest) {
        tell(new AreaDiagnostic.RingMissing(
                2 * radius,
                nearest.map(tool -> OptionalDouble.of(2 * tool.stitched())).orElse(OptionalDouble.empty())));
        tools().tooNarrowFor(template, radius)
                .ifPresent(slot -> tell(new LayoutDiagnostic.FootStaysOut(
                        EdgeKind.CIRCLE, slot, 2 * machine().footRadius())));
    }

    /** Tells it if the radius of a ring comes out otherwise than wished, in inches, since the foot isn't the usual one. */
    void tellByFoot(double off) {
        if (Math.abs(off) > Tolerances.CHALK) {
            tell(new AreaDiagnostic.RingsByFoot(2 * off));
        }
    }

    /** Tells it if lines come out otherwise apart than was wished, in inches, so that it is seen. */
    void tellApart(double wished, double apart) {
        if (Math.abs(wished - apart) > Tolerances.CHALK) {
            tell(new AreaDiagnostic.SpacedEvenly(wished, apart));
        }
    }

    void seam(Path path) {
        seams.addAll(space.region().within(path));
    }

    // --- places ------------------------------------------------------------------------------------------------

    @Override
    public Mark mark(Mark.Kind kind, Point place) {
        return marker().next(kind, place, Mark.Stage.LOADED);
    }

    /** The edge of the piece, a seam in it, what is stitched already, or the template's own end. */
    @Override
    public LineEnd shown(Point place) {
        return LineEnd.at(place, space().shownBy(place).orElseGet(() -> shownInside(place)));
    }

    private LineEnd.ShownBy shownInside(Point place) {
        if (seams.stream().anyMatch(path -> path.passes(place, Tolerances.SAME_PLACE))) {
            return LineEnd.ShownBy.SEAM;
        }
        return sewing().passes(place) ? LineEnd.ShownBy.STITCHING : LineEnd.ShownBy.TEMPLATE;
    }

    // --- stitching ---------------------------------------------------------------------------------------------

    /**
     * Stitches what of a line may be, each curve along an edge of its own.
     *
     * @param whole the line
     * @param corner what is marked where one curve leads into the next, and at the ends
     * @return the lines that came of it, in order
     */
    List<StitchLine> stitch(
            PlacementBuilder.Naming naming, Path whole, StitchingEdge tool, Function<Point, LineEnd> corner) {
        return stitch(naming, whole, c -> tool, c -> new Registration.FootOnBothMarks(), corner);
    }

    List<StitchLine> stitch(
            PlacementBuilder.Naming naming,
            Path whole,
            Function<Curve, StitchingEdge> tool,
            Function<Curve, Registration> registration,
            Function<Point, LineEnd> corner) {
        List<Point> corners = new ArrayList<>(List.of(whole.start()));
        whole.curves().forEach(c -> corners.add(c.end()));
        BiFunction<Curve, Point, LineEnd> spot =
                (curve, p) -> corners.stream().anyMatch(c -> c.distance(p) < Tolerances.SAME_PLACE)
                        ? corner.apply(p)
                        : cutOff(registration.apply(curve), p);
        List<StitchLine> lines = new ArrayList<>();
        for (Path piece : kept(whole)) {
            lines.add(sewing().stitch(
                            naming,
                            piece.curves().stream()
                                    .map(c -> new PlacementBuilder.Piece(
                                            c, tool.apply(c), registration.apply(c), spot.apply(c, c.end())))
                                    .toList(),
                            spot.apply(piece.curves().get(0), piece.start()),
                            turn(piece.curves().get(0), tool, registration)));
        }
        return lines;
    }

    private static PlacementBuilder.Turn turn(
            Curve curve, Function<Curve, StitchingEdge> tool, Function<Curve, Registration> registration) {
        if (tool.apply(curve) instanceof StitchingEdge.Straight) {
            return PlacementBuilder.Turn.SLIDING;
        }
        Registration laid = registration.apply(curve);
        boolean beside = laid instanceof Registration.AlongSeam || laid instanceof Registration.OnStitching;
        return laid instanceof Registration.CentreOnMark || beside
                ? PlacementBuilder.Turn.ABOUT_CENTRE
                : PlacementBuilder.Turn.MARKED;
    }

    /** Stitches a line by hand, along what is drawn. */
    StitchLine byHand(PlacementBuilder.Naming naming, Path line) {
        StitchingEdge hand = new StitchingEdge.ByHand();
        Registration drawn = new Registration.ByHand(true);
        List<Curve> curves = line.curves();
        List<PlacementBuilder.Piece> pieces = new ArrayList<>();
        for (int i = 0; i < curves.size(); i++) {
            Point end = curves.get(i).end();
            LineEnd reaches = i == curves.size() - 1 ? onDrawing(end) : LineEnd.at(end, LineEnd.ShownBy.NEEDLE);
            pieces.add(new PlacementBuilder.Piece(curves.get(i), hand, drawn, reaches));
        }
        return sewing().stitch(naming, pieces, onDrawing(line.start()), PlacementBuilder.Turn.MARKED);
    }

    private LineEnd onDrawing(Point place) {
        LineEnd shown = shown(place);
        if (shown.shownBy() != LineEnd.ShownBy.TEMPLATE) {
            return shown;
        }
        return drawing.index.passes(place)
                ? LineEnd.at(place, LineEnd.ShownBy.DRAWN_LINE)
                : marked(Mark.Kind.LINE_END, place);
    }

    /** Where a whole circle begins and ends. */
    static LineEnd anywhere(Point place) {
        return LineEnd.at(place, LineEnd.ShownBy.ANYWHERE);
    }

    /** Where a line is cut off: a foot that alone tells how the template lies needs a mark there, seam or not. */
    LineEnd cutOff(Registration laid, Point place) {
        return laid instanceof Registration.FootOnBothMarks ? marked(Mark.Kind.LINE_END, place) : shown(place);
    }

    @Override
    public boolean inSeam(Curve line) {
        return line instanceof Segment segment && onEdge(segment);
    }

    /** Whether a line lies on the area's own edge, and so in the seam. */
    boolean onEdge(Segment line) {
        Path outline = space.outline();
        return outline.passes(line.at(0.25), Tolerances.SAME_PLACE)
                && outline.passes(line.at(0.75), Tolerances.SAME_PLACE);
    }
}
