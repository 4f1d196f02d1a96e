package jollyspindle.core.area;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * What every motif of an area works with while it is laid out in one piece of cloth.
 *
 * @param space the piece
 * @param sewing that collects what is stitched
 * @param tools there are
 * @param templateId of the template asked for
 * @param rays from the centre, of all motifs in the piece
 * @param diagnosed what there is to know
 * @param seams in the piece that the needle can travel in, besides its edge
 * @param round what lies round the area, where it lies free: a medallion's
 */
record PieceContext(
        AreaSpace space,
        PlacementBuilder sewing,
        EdgeCatalog tools,
        Optional<String> templateId,
        Rays rays,
        List<AreaDiagnostic> diagnosed,
        List<Path> seams,
        Supplier<Optional<AreaSpace>> round) {

    /** Shorter pieces than this, in inches, are left out: a stitch or two. */
    static final double SHORTEST = 1.0 / 8;

    PieceContext(
            AreaSpace space,
            PlacementBuilder sewing,
            EdgeCatalog tools,
            Optional<String> templateId,
            Rays rays,
            Supplier<Optional<AreaSpace>> round) {
        this(space, sewing, tools, templateId, rays, new ArrayList<>(), new ArrayList<>(), round);
    }

    /** The same in another piece, which tells what it has to where this one does. */
    PieceContext in(AreaSpace other) {
        return new PieceContext(other, sewing, tools, templateId, rays, diagnosed, seams, round);
    }

    Marker marker() {
        return sewing.marker();
    }

    void tell(AreaDiagnostic what) {
        if (!diagnosed.contains(what)) {
            diagnosed.add(what);
        }
    }

    void seam(Path path) {
        seams.addAll(space.region().within(path));
    }

    // --- templates ---------------------------------------------------------------------------------------------

    /** The straight edge; what is missing is told. */
    Optional<StitchingEdge.Straight> straight() {
        return diagnosed(tools.straight(templateId, Optional.empty()), AreaDiagnostic.EdgeKind.STRAIGHT_EDGE);
    }

    /** The round edge that arcs are stitched along; what is missing is told. */
    Optional<StitchingEdge.Round> arc() {
        Optional<ArcTemplate> arc = tools.arc(templateId, Optional.empty());
        return diagnosed(arc.map(a -> StitchingEdge.Round.of(a, tools.machine())), AreaDiagnostic.EdgeKind.ARC);
    }

    /** The edges that whole circles are stitched along, from the smallest; that there are none is told. */
    List<StitchingEdge.Round> circles() {
        List<StitchingEdge.Round> all = tools.circles(templateId);
        diagnosed(all.stream().findFirst(), AreaDiagnostic.EdgeKind.CIRCLE);
        return all;
    }

    private <T> Optional<T> diagnosed(Optional<T> tool, AreaDiagnostic.EdgeKind need) {
        if (tool.isEmpty()) {
            tell(new AreaDiagnostic.NoTool(need));
        }
        return tool;
    }

    // --- places ------------------------------------------------------------------------------------------------

    /** What of a path may be stitched, without snippets. */
    List<Path> kept(Path path) {
        return space.region().within(path).stream()
                .filter(p -> p.length() >= SHORTEST)
                .toList();
    }

    Mark mark(Mark.Kind kind, Point place) {
        return marker().next(kind, place, Mark.Stage.LOADED);
    }

    LineEnd marked(Mark.Kind kind, Point place) {
        return LineEnd.at(mark(kind, place));
    }

    /** Where a line ends: on the area's edge, on what is stitched already, or with the template. */
    LineEnd shown(Point place) {
        boolean seam = seams.stream().anyMatch(path -> path.passes(place, Tolerances.SAME_PLACE));
        boolean edge = onEdge(place);
        boolean stitched = !edge
                && sewing.placements().stream()
                        .map(Placement::path)
                        .anyMatch(path -> path.passes(place, Tolerances.SAME_PLACE));
        return LineEnd.at(
                place,
                edge
                        ? space.onSeam() ? LineEnd.ShownBy.SEAM : LineEnd.ShownBy.KEPT_CLEAR
                        : seam
                                ? LineEnd.ShownBy.SEAM
                                : stitched ? LineEnd.ShownBy.STITCHING : LineEnd.ShownBy.TEMPLATE);
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
        Function<Point, LineEnd> spot =
                p -> corners.stream().anyMatch(c -> c.distance(p) < Tolerances.SAME_PLACE) ? corner.apply(p) : shown(p);
        List<StitchLine> lines = new ArrayList<>();
        for (Path piece : kept(whole)) {
            lines.add(sewing.stitch(
                    naming,
                    piece.curves().stream()
                            .map(c -> new PlacementBuilder.Piece(
                                    c, tool.apply(c), registration.apply(c), spot.apply(c.end())))
                            .toList(),
                    spot.apply(piece.start()),
                    tool.apply(piece.curves().get(0)) instanceof StitchingEdge.Straight
                            ? PlacementBuilder.Turn.SLIDING
                            : PlacementBuilder.Turn.MARKED));
        }
        return lines;
    }

    /** Whether a line lies on the area's own edge, and so in the seam. */
    boolean onEdge(Segment line) {
        Path outline = space.outline();
        return outline.passes(line.at(0.25), Tolerances.SAME_PLACE)
                && outline.passes(line.at(0.75), Tolerances.SAME_PLACE);
    }

    /** Whether a place lies on the area's own edge, or on that of something in the way. */
    boolean onEdge(Point place) {
        return space.outline().passes(place, Tolerances.SAME_PLACE)
                || space.inTheWay().stream().anyMatch(path -> path.passes(place, Tolerances.SAME_PLACE));
    }
}
