package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What every motif works with while it is laid out on one run. */
final class LayoutContext {

    /** Shorter pieces than this, in inches, are left out: a stitch or two. */
    static final double SHORTEST = 1.0 / 8;

    /**
     * What one figure of a motif encloses.
     *
     * @param cell which, from 1 along the run
     * @param outlines closed, from the outermost inwards
     */
    record Enclosed(int cell, List<Path> outlines) {}

    final RunSpace space;
    final PlacementBuilder sewing;
    final EdgeCatalog tools;
    final Layer layer;

    /** What may be stitched by this motif. */
    final Region region;

    final List<MotifDiagnostic> diagnostics = new ArrayList<>();
    final List<Enclosed> enclosed = new ArrayList<>();

    /** Which motif of the run, from 1. */
    final int number;

    /** The room of the lowest run that is to look like this one, in inches. */
    final double lowest;

    LayoutContext(
            RunSpace space,
            PlacementBuilder sewing,
            EdgeCatalog tools,
            Layer layer,
            int number,
            Region region,
            double lowest) {
        this.lowest = lowest;
        this.number = number;
        this.space = space;
        this.sewing = sewing;
        this.tools = tools;
        this.layer = layer;
        this.region = region;
    }

    Machine machine() {
        return tools.machine();
    }

    Marker marker() {
        return sewing.marker();
    }

    /** Notes what is in the way; of narrow gaps the narrowest, of everything else each once. */
    void diagnostic(MotifDiagnostic diagnostic) {
        if (diagnostic instanceof MotifDiagnostic.Pinched pinched) {
            boolean narrower = diagnostics.stream()
                    .filter(MotifDiagnostic.Pinched.class::isInstance)
                    .allMatch(o -> ((MotifDiagnostic.Pinched) o).gap() > pinched.gap());
            if (!narrower) {
                return;
            }
            diagnostics.removeIf(MotifDiagnostic.Pinched.class::isInstance);
        }
        if (!diagnostics.contains(diagnostic)) {
            diagnostics.add(diagnostic);
        }
    }

    /** The round edge the layer is stitched along; what is missing is told. */
    Optional<ArcTemplate> arc() {
        Optional<ArcTemplate> arc = tools.arc(layer.templateId(), layer.guideId());
        if (arc.isEmpty()) {
            diagnostic(new MotifDiagnostic.NoTool(MotifDiagnostic.EdgeKind.ARC, 0));
        }
        return arc;
    }

    /** The straight edge the layer is stitched along; what is missing is told. */
    Optional<StitchingEdge.Straight> straight() {
        return straight(MotifDiagnostic.EdgeKind.STRAIGHT_EDGE);
    }

    /** The straight edge, where it is one of several things that would do. */
    Optional<StitchingEdge.Straight> straight(MotifDiagnostic.EdgeKind need) {
        Optional<StitchingEdge.Straight> straight = tools.straight(layer.templateId(), layer.guideId());
        if (straight.isEmpty()) {
            diagnostic(new MotifDiagnostic.NoTool(need, 0));
        }
        return straight;
    }

    /** A mark that is made once a pass of this motif is stitched; where nothing is left of that, as soon as it can be. */
    Mark later(Mark.Kind kind, Point place, Mark.Pass pass) {
        boolean stitched = sewing.lines().stream().anyMatch(line -> line.layer() == number);
        return stitched ? marker().later(kind, place, new Mark.After(pass, number)) : onMotifsBefore(kind, place);
    }

    /** A mark on what the motifs before have stitched; where there is nothing, it can be made at once. */
    Mark onMotifsBefore(Mark.Kind kind, Point place) {
        boolean stitched = sewing.lines().stream().anyMatch(line -> line.layer() < number);
        return stitched
                ? marker().later(kind, place, new Mark.After(Mark.Pass.MOTIFS_BEFORE, number))
                : marker().next(kind, place, Mark.Stage.LOADED);
    }

    /** A mark at the run's valley, on the edge that the motif stands on. */
    Mark valley(int index, double along, double up) {
        int valley = space.valley(index);
        if (valley < 0 || valley >= space.valleys()) {
            return marker().next(Mark.Kind.FOOT, space.place(along, up), Mark.Stage.LOADED);
        }
        if (!space.hanging() && Math.abs(up) < Tolerances.SAME_PLACE) {
            return marker().valley(valley);
        }
        return marker().at(
                        space.hanging() ? Mark.Kind.FAR_VALLEY : Mark.Kind.VALLEY,
                        valley,
                        space.place(along, up),
                        Mark.Stage.LOADED);
    }

    /** Where a line that was cut off ends: what shows the place. */
    LineEnd shown(Point place) {
        Point from = place.minus(space.frame().origin());
        double along = from.dot(space.frame().along());
        double across = from.dot(space.frame().outward());
        if (Math.abs(across - space.frame().clearance()) < Tolerances.SAME_PLACE) {
            return LineEnd.at(place, LineEnd.ShownBy.SEAM);
        }
        if (Math.abs(across - space.frame().depth() + space.frame().reserve()) < Tolerances.SAME_PLACE) {
            return LineEnd.at(place, LineEnd.ShownBy.FAR_EDGE);
        }
        if (space.onMitre(place)) {
            return LineEnd.at(place, LineEnd.ShownBy.MITRE);
        }
        if (Math.abs(along) < Tolerances.SAME_PLACE || Math.abs(along - space.length()) < Tolerances.SAME_PLACE) {
            return LineEnd.at(place, LineEnd.ShownBy.RUN_END);
        }
        return LineEnd.at(place, LineEnd.ShownBy.STITCHING);
    }

    /** Whether a line is engraved at a distance from a straight edge, in inches. */
    static boolean engraved(StitchingEdge tool, double fromEdge) {
        return tool instanceof StitchingEdge.Straight straight
                && straight.parallels().stream().anyMatch(d -> Math.abs(d - fromEdge) <= Tolerances.CHALK);
    }

    /** What of a path may be stitched, without snippets. */
    List<Path> kept(Path path) {
        return region.within(path).stream().filter(p -> p.length() >= SHORTEST).toList();
    }

    /**
     * Stitches a line, or what of it lies in the space that this motif fills.
     *
     * @return the lines that came of it, in order; empty if nothing of it lies there
     */
    List<StitchLine> stitch(
            PlacementBuilder.Naming naming,
            List<PlacementBuilder.Piece> pieces,
            LineEnd start,
            PlacementBuilder.Turn turn) {
        return layer.space() == Layer.Space.ALL && !space.runsOn()
                ? List.of(sewing.stitch(naming, pieces, start, turn))
                : clipped(naming, pieces, start, turn);
    }

    /** Stitches what of a line lies in the space that this motif fills, the whole run too. */
    List<StitchLine> clipped(
            PlacementBuilder.Naming naming,
            List<PlacementBuilder.Piece> pieces,
            LineEnd start,
            PlacementBuilder.Turn turn) {
        Path whole = new Path(pieces.stream().map(PlacementBuilder.Piece::curve).toList());
        List<StitchLine> lines = new ArrayList<>();
        for (Path path : kept(whole)) {
            List<PlacementBuilder.Piece> cut =
                    path.curves().stream().map(curve -> cut(pieces, curve)).toList();
            boolean fromStart = path.start().distance(whole.start()) < Tolerances.SAME_PLACE;
            lines.add(sewing.stitch(naming, cut, fromStart ? start : shown(path.start()), turn));
        }
        return lines;
    }

    List<StitchLine> stitch(
            PlacementBuilder.Naming naming,
            Curve curve,
            StitchingEdge tool,
            Registration registration,
            LineEnd start,
            LineEnd end,
            PlacementBuilder.Turn turn) {
        return stitch(naming, List.of(new PlacementBuilder.Piece(curve, tool, registration, end)), start, turn);
    }

    /** The piece that a curve is part of, ending where the curve does. */
    private PlacementBuilder.Piece cut(List<PlacementBuilder.Piece> pieces, Curve curve) {
        Point middle = curve.at(0.5);
        PlacementBuilder.Piece of = pieces.stream()
                .min(Comparator.comparingDouble(p -> p.curve().distance(middle)))
                .orElseThrow();
        boolean toEnd = of.curve().end().distance(curve.end()) < Tolerances.SAME_PLACE;
        boolean whole = toEnd && of.curve().start().distance(curve.start()) < Tolerances.SAME_PLACE;
        // A template that stands upright for the whole line needn't have edge where a piece of it lies.
        boolean upright = whole
                || !(of.registration() instanceof Registration.OnSeam)
                || !(of.tool() instanceof StitchingEdge.Round round)
                || !(of.curve() instanceof Arc arc)
                || Math.abs(arc.sweep()) <= round.usable() + Tolerances.SAME_PLACE;
        return new PlacementBuilder.Piece(
                curve,
                of.tool(),
                upright ? of.registration() : new Registration.FootOnBothMarks(),
                toEnd ? of.reaches() : shown(curve.end()));
    }
}
