package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
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
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link Motif.StraightLines}: so many a repeat, at an angle against the seam, up one and down the next. Where they
 * lean, lines go on past the valleys until the run's ends are filled.
 */
final class LinesLayout {

    private static final Param.Whole<Motif.StraightLines> PER_REPEAT = Param.whole(
                    "perRepeat", 1, Motif.MOST_LINES, Motif.StraightLines::perRepeat)
            .usually(1);
    private static final Param.Angle<Motif.StraightLines> ANGLE =
            Param.angle("angle", Motif.LEAST_SLANT, Motif.MOST_SLANT, Motif.StraightLines::angle, Math.PI / 2);

    static final MotifType<Motif.StraightLines> TYPE =
            new MotifType<>(
                    Motif.StraightLines.class,
                    "straight-lines",
                    Params.of(
                            v -> new Motif.StraightLines(v.get(PER_REPEAT), v.get(ANGLE)),
                            Params.row(PER_REPEAT),
                            Params.row(ANGLE))) {

                @Override
                EdgeKind edge(Motif.StraightLines motif) {
                    return EdgeKind.STRAIGHT_EDGE;
                }

                @Override
                List<Preset> offered() {
                    return List.of(
                            Preset.onSeam("piano-keys", new Motif.StraightLines(6, Math.PI / 2)),
                            Preset.onSeam("leaning-lines", new Motif.StraightLines(6, Math.PI / 3)));
                }

                @Override
                Optional<DivisionConstraints> asks(
                        Layer layer, Motif.StraightLines motif, EdgeCatalog tools, double room) {
                    return tools.straight(layer.templateId(), layer.guideId())
                            .map(edge -> DivisionConstraints.anyRepeat());
                }

                @Override
                void lay(RunContext laying, Motif.StraightLines motif, double echo) {
                    new LinesLayout(laying, motif).lay();
                }
            };

    /** No line leaves the seam further from the run's left end than this, in inches, before it. */
    private static final double FARTHEST_BEFORE = QuiltRules.LONGEST;

    private static final double FARTHEST_AFTER = 2 * QuiltRules.LONGEST;

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.StraightLines motif;

    LinesLayout(RunContext laying, Motif.StraightLines motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        double lean = space.room() / Math.tan(motif.angle());
        boolean engraved = tool.get().hasAngle(motif.angle());
        int number = 0;
        List<StitchLine> before = List.of();
        double at = Double.NaN;
        int chained = 0;
        for (double along : starts(lean)) {
            Segment whole = space.placed(new Segment(new Point(along, 0), new Point(along + lean, space.room())));
            List<StitchLine> pieces = new ArrayList<>();
            double spacing = (along - at) * Math.sin(motif.angle());
            boolean anyBeside = false;
            for (Path piece : laying.kept(Path.of(whole))) {
                Segment line = (Segment) piece.curves().get(0);
                if (onEnd(line)) {
                    continue;
                }
                number++;
                boolean up = number % 2 == 1;
                boolean anew = isValley(along) || chained == Hatching.MOST_CHAINED;
                Optional<StitchLine> beside = anew ? Optional.empty() : beside(before, line, spacing);
                if (chained == Hatching.MOST_CHAINED && !isValley(along)) {
                    laying.tell(new LayoutDiagnostic.Chained(Hatching.MOST_CHAINED + 1));
                }
                anyBeside |= beside.isPresent();
                pieces.add(stitch(tool.get(), up ? line : line.reversed(), number, engraved, beside, spacing));
            }
            chained = anyBeside ? chained + 1 : 0;
            before = pieces;
            at = along;
        }
        if (number == 0) {
            laying.tell(new MotifDiagnostic.NoSpace());
        }
    }

    /** Lines at the valleys are marked, so that no error adds up; those between are laid beside the one before. */
    private boolean isValley(double along) {
        return space.divided().stream()
                .anyMatch(f -> Math.abs(f.cell().from() - along) < Tolerances.ROUNDING
                        || Math.abs(f.cell().to() - along) < Tolerances.ROUNDING);
    }

    private Optional<StitchLine> beside(List<StitchLine> before, Segment line, double spacing) {
        return before.stream()
                .filter(l -> spacing >= laying.machine().footRadius()
                        && l.path().distance(line.at(0.5)) < 1.6 * spacing
                        && LayoutContext.isAlong(l, line))
                .findFirst();
    }

    /** Where lines leave the seam, also beyond the run's ends if they lean into it from there. */
    private List<Double> starts(double lean) {
        Deque<Double> starts = new ArrayDeque<>();
        double firstStep = 0;
        double lastStep = 0;
        double widest = 0;
        for (Figure figure : space.divided()) {
            Cell cell = figure.cell();
            if (figure instanceof Figure.Empty) {
                continue;
            }
            int lines = cell.kind() == Cell.Kind.HALF ? Math.max(1, motif.perRepeat() / 2) : motif.perRepeat();
            double step = cell.width() / lines;
            if (starts.isEmpty()) {
                firstStep = step;
            }
            for (int i = 0; i <= lines; i++) {
                double along = i == lines ? cell.to() : cell.from() + i * step;
                if (starts.isEmpty() || along > starts.getLast() + Tolerances.ROUNDING) {
                    starts.add(along);
                }
            }
            lastStep = step;
            widest = Math.max(widest, step);
        }
        if (starts.isEmpty()) {
            return List.of();
        }
        double before = beyond(firstStep, widest);
        for (double along = starts.getFirst() - before;
                along + Math.max(lean, 0) > Tolerances.ROUNDING && along > -FARTHEST_BEFORE;
                along -= before) {
            starts.addFirst(along);
        }
        double after = beyond(lastStep, widest);
        for (double along = starts.getLast() + after;
                along + Math.min(lean, 0) < space.length() - Tolerances.ROUNDING && along < FARTHEST_AFTER;
                along += after) {
            starts.addLast(along);
        }
        return List.copyOf(starts);
    }

    /** How far lines beyond the run are apart: as in the piece at its end, or as in the widest where that is but a sliver. */
    private static double beyond(double atEnd, double widest) {
        return atEnd >= Motif.CLOSEST ? atEnd : Math.max(Motif.CLOSEST, widest);
    }

    /** A line along the end of the run lies in the corner's seam, or on the limit of stitching. */
    private boolean onEnd(Segment line) {
        if (space.runsOn()) {
            return false;
        }
        Point from = line.from().minus(space.frame().origin());
        Point to = line.to().minus(space.frame().origin());
        double a = from.dot(space.frame().along());
        double b = to.dot(space.frame().along());
        return Math.abs(a) < Tolerances.SAME_PLACE && Math.abs(b) < Tolerances.SAME_PLACE
                || Math.abs(a - space.length()) < Tolerances.SAME_PLACE
                        && Math.abs(b - space.length()) < Tolerances.SAME_PLACE;
    }

    private StitchLine stitch(
            StitchingEdge tool,
            Segment line,
            int number,
            boolean engraved,
            Optional<StitchLine> beside,
            double spacing) {
        if (beside.isPresent()) {
            double fromEdge = spacing - laying.machine().footRadius();
            return laying.sewing()
                    .stitch(
                            PlacementBuilder.Naming.of(Stitched.LINE, number),
                            line,
                            tool,
                            new Registration.OnStitching(
                                    beside.get().id(), fromEdge, LayoutContext.engraved(tool, fromEdge)),
                            laying.shown(line.from()),
                            laying.shown(line.to()),
                            PlacementBuilder.Turn.SLIDING);
        }
        boolean up = number % 2 == 1;
        LineEnd from = spot(line.from(), up, engraved);
        LineEnd to = spot(line.to(), !up, engraved);
        // A line of the template at that angle does the work of the second mark.
        boolean marked = from.mark().isPresent() && to.mark().isPresent();
        return laying.sewing()
                .stitch(
                        PlacementBuilder.Naming.of(Stitched.LINE, number),
                        line,
                        tool,
                        marked ? new Registration.FootOnBothMarks() : new Registration.AtAngle(motif.angle()),
                        from,
                        to,
                        PlacementBuilder.Turn.SLIDING);
    }

    private LineEnd spot(Point place, boolean low, boolean engraved) {
        boolean inside = space.shownBy(place).isEmpty();
        if (engraved && (!low || inside)) {
            return laying.shown(place);
        }
        Mark.Kind kind = low ? Mark.Kind.LINE_START : Mark.Kind.LINE_END;
        return LineEnd.at(inside ? laying.mark(kind, place) : laying.marker().next(kind, place, Mark.Stage.LOADED));
    }
}
