package jollyspindle.core.motif;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.SeamRegister;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What a motif works with while it is laid out on one run. */
final class RunContext extends LayoutContext {

    /**
     * What one figure of a motif encloses.
     *
     * @param cell which, from 1 along the run
     * @param outlines closed, from the outermost inwards
     */
    record Enclosed(int cell, List<Path> outlines) {}

    /** A line that leaves its edge less steeply than 1 in 20 leaves a template free to slide along it (the number is a choice). */
    private static final double LEAST_SLOPE = 1.0 / 20;

    /** Along straight lines, places are looked at so many times. */
    private static final int LOOKS = 32;

    private final RunSpace space;
    private final Layer layer;
    private final Region region;
    private final List<Enclosed> enclosed = new ArrayList<>();
    private final int number;
    private final double lowest;
    private final List<StitchLine> corners;

    /**
     * A run's context.
     *
     * @param number which motif of the run, from 1
     * @param region what may be stitched by this motif
     * @param lowest the room of the lowest run that is to look like this one, in inches
     * @param corners what is stitched in the corners at the run's ends
     */
    RunContext(
            RunSpace space,
            PlacementBuilder sewing,
            EdgeCatalog tools,
            Layer layer,
            int number,
            Region region,
            double lowest,
            List<StitchLine> corners) {
        super(sewing, tools, layer.templateId(), layer.guideId(), new ArrayList<>());
        this.lowest = lowest;
        this.corners = corners;
        this.number = number;
        this.space = space;
        this.layer = layer;
        this.region = region;
    }

    /** The same seen from the run's other edge. */
    RunContext fromOtherEdge() {
        return new RunContext(space.fromOtherEdge(), sewing(), tools(), layer, number, region, lowest, corners);
    }

    @Override
    public RunSpace space() {
        return space;
    }

    @Override
    public Region region() {
        return region;
    }

    Layer layer() {
        return layer;
    }

    /** What its figures enclose, as far as they were laid out. */
    List<Enclosed> enclosed() {
        return enclosed;
    }

    /** Which motif of the run, from 1. */
    int number() {
        return number;
    }

    /** The room of the lowest run that is to look like this one, in inches. */
    double lowest() {
        return lowest;
    }

    /** Of narrow gaps, only the narrowest is told. */
    @Override
    public void tell(Diagnostic diagnostic) {
        if (diagnostic instanceof MotifDiagnostic.Pinched pinched) {
            boolean narrower = diagnostics().stream()
                    .filter(MotifDiagnostic.Pinched.class::isInstance)
                    .allMatch(o -> ((MotifDiagnostic.Pinched) o).gap() > pinched.gap());
            if (!narrower) {
                return;
            }
            diagnostics().removeIf(MotifDiagnostic.Pinched.class::isInstance);
        }
        super.tell(diagnostic);
    }

    /** A mark that is made once a pass of this motif is stitched; where nothing is left of that, as soon as it can be. */
    Mark later(Mark.Kind kind, Point place, Mark.Pass pass) {
        List<StitchLine> lines = sewing().lines();
        // One motif's lines come after the other's.
        boolean stitched = !lines.isEmpty() && lines.get(lines.size() - 1).layer() == number;
        return stitched ? marker().later(kind, place, new Mark.After(pass, number)) : mark(kind, place);
    }

    /** A mark on what the motifs before have stitched; where there is nothing, it can be made at once. */
    @Override
    public Mark mark(Mark.Kind kind, Point place) {
        List<StitchLine> lines = sewing().lines();
        boolean stitched = !lines.isEmpty() && lines.get(0).layer() < number;
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

    /** The mark at the valley that stands at a place along the run; one of its own where there is none. */
    Mark valleyAt(double along) {
        List<Figure> cells = space.divided();
        int least = 0;
        int most = cells.size();
        while (least < most) {
            int middle = (least + most) / 2;
            if (cells.get(middle).cell().from() < along - Tolerances.ROUNDING) {
                least = middle + 1;
            } else {
                most = middle;
            }
        }
        double there = least < cells.size()
                ? cells.get(least).cell().from()
                : cells.get(least - 1).cell().to();
        return Math.abs(there - along) < Tolerances.ROUNDING
                ? valley(least, along, 0)
                : marker().next(Mark.Kind.FOOT, space.place(along, 0), Mark.Stage.LOADED);
    }

    /** The edge of the run, or stitching that is there; where there is neither, a mark is made. */
    @Override
    public LineEnd shown(Point place) {
        return space.shownBy(place)
                .or(() -> isStitched(place) ? Optional.of(LineEnd.ShownBy.STITCHING) : Optional.empty())
                .map(by -> LineEnd.at(place, by))
                .orElseGet(() -> marked(Mark.Kind.LINE_END, place));
    }

    /** Whether a line passes a place that is stitched already, here or in a corner at the run's ends. */
    private boolean isStitched(Point place) {
        return sewing().passes(place)
                || corners.stream().anyMatch(line -> line.path().passes(place, Tolerances.SAME_PLACE));
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
                ? List.of(sewing().stitch(naming, pieces, start, turn))
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
            boolean fromStart = path.start().distance(whole.start()) < Tolerances.SAME_PLACE;
            List<PlacementBuilder.Piece> cut = new ArrayList<>(path.curves().stream()
                    .map(curve -> cut(pieces, curve, fromStart))
                    .toList());
            PlacementBuilder.Piece last = cut.get(cut.size() - 1);
            // What followed was left out, so the needle doesn't go on there.
            if (last.reaches().shownBy() == LineEnd.ShownBy.NEEDLE
                    && path.end().distance(whole.end()) > Tolerances.SAME_PLACE) {
                cut.set(cut.size() - 1, last.reaching(cutOff(path.end(), last.registration(), Mark.Kind.LINE_END)));
            }
            boolean marked = start.mark().isPresent()
                    || !(cut.get(0).registration() instanceof Registration.FootOnBothMarks)
                    || pieces.get(0).registration() instanceof Registration.FootOnBothMarks;
            LineEnd from = fromStart && marked
                    ? start
                    : cutOff(path.start(), cut.get(0).registration(), Mark.Kind.LINE_START);
            if (slides(path, from, cut)) {
                boolean atEnd = cut.get(cut.size() - 1).reaches().mark().isPresent();
                if (from.mark().isEmpty()
                        && (atEnd || isAcross(path.curves().get(0).direction(0)))) {
                    from = marked(Mark.Kind.LINE_START, path.start());
                } else {
                    last = cut.get(cut.size() - 1);
                    cut.set(cut.size() - 1, last.reaching(marked(Mark.Kind.LINE_END, path.end())));
                }
            }
            lines.add(sewing().stitch(naming, cut, from, turn));
        }
        return lines;
    }

    /**
     * Whether what stands on the edge of the run can still slide along it: where neither end is marked, or only one that the line
     * leaves, or comes to, along the edge.
     */
    private boolean slides(Path path, LineEnd from, List<PlacementBuilder.Piece> pieces) {
        LineEnd to = pieces.get(pieces.size() - 1).reaches();
        Curve last = path.curves().get(path.curves().size() - 1);
        return pieces.get(0).registration() instanceof Registration.OnSeam on
                && on.centre().isEmpty()
                && (from.mark().isEmpty() || !isAcross(path.curves().get(0).direction(0)))
                && (to.mark().isEmpty() || !isAcross(last.direction(1)));
    }

    /** Whether a way leads away from the edge so far that a mark on it holds a template along the edge. */
    private boolean isAcross(Point way) {
        return Math.abs(way.dot(space.frame().outward())) > LEAST_SLOPE;
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
    private PlacementBuilder.Piece cut(List<PlacementBuilder.Piece> pieces, Curve curve, boolean fromStart) {
        Point middle = curve.at(0.5);
        PlacementBuilder.Piece of = pieces.stream()
                .min(Comparator.comparingDouble(p -> p.curve().distance(middle)))
                .orElseThrow();
        boolean toEnd = of.curve().end().distance(curve.end()) < Tolerances.SAME_PLACE;
        boolean whole = toEnd && of.curve().start().distance(curve.start()) < Tolerances.SAME_PLACE;
        // A template that stands upright for the whole line needn't have edge where a piece of it lies.
        boolean upright = whole
                || of.registration().standing().isEmpty()
                || !(of.tool() instanceof StitchingEdge.Round round)
                || !(of.curve() instanceof Arc arc)
                || Math.abs(arc.sweep()) <= round.usable() + Tolerances.SAME_PLACE;
        // One that is laid from where the needle was can't be if it begins elsewhere.
        boolean asMeant = upright
                && (fromStart || !(of.registration() instanceof Registration.InChain))
                && (whole || !(of.registration() instanceof Registration.Stepped));
        Registration laid = asMeant ? beside(of.registration(), curve) : new Registration.FootOnBothMarks();
        return new PlacementBuilder.Piece(
                curve,
                of.tool(),
                laid,
                toEnd
                                && (laid.equals(of.registration())
                                        || of.reaches().mark().isPresent()
                                        || laid.before().isPresent())
                        ? of.reaches()
                        : cutOff(curve.end(), laid, toEnd ? Mark.Kind.TURN : Mark.Kind.LINE_END),
                asMeant ? of.held() : Optional.empty());
    }

    /** What is laid on an earlier line that was cut off likewise is laid on that piece of it that it runs along, if one is there. */
    private Registration beside(Registration laid, Curve curve) {
        if (!(laid instanceof Registration.OnStitching on)) {
            return laid;
        }
        return sewing().sections(on.lineId()).stream()
                .filter(line -> isBeside(line, curve, on.fromEdge() + machine().footRadius()))
                .findFirst()
                .<Registration>map(line -> new Registration.OnStitching(line.id(), on.fromEdge(), on.engraved()))
                .orElseGet(Registration.FootOnBothMarks::new);
    }

    /** Whether a line runs as far beside one that is stitched as it is to, far enough for the template to be laid on that one. */
    private static boolean isBeside(StitchLine stitched, Curve line, double spacing) {
        if (!(line instanceof Segment segment)) {
            return isAlong(stitched, line);
        }
        int longest = 0;
        int beside = 0;
        for (int i = 0; i <= LOOKS; i++) {
            double off = stitched.path().distance(segment.at((double) i / LOOKS));
            beside = Math.abs(off - spacing) < Tolerances.ON_LINE ? beside + 1 : 0;
            longest = Math.max(longest, beside);
        }
        return isLongEnough((longest - 1) * segment.length() / LOOKS, segment.length());
    }

    /** Where a line is cut off: what shows the place, or a mark if the foot alone tells how the template lies. */
    private LineEnd cutOff(Point place, Registration laid, Mark.Kind kind) {
        // So it is with a strip that is taped on the edge and no notch of which lies over a mark.
        boolean slides = laid instanceof Registration.FootOnBothMarks
                || laid instanceof Registration.OnSeam on && on.what() instanceof SeamRegister.OffThePlate
                || laid instanceof Registration.NotchOnMark notch
                        && notch.mark().isEmpty();
        return slides ? marked(kind, place) : shown(place);
    }
}
