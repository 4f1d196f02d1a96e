package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link Motif.Chevrons} along a strip with a zigzag edge, waves along one of waves, half circles along a plate of
 * bumps. The strip's figures are of one
 * size: where the repeats are its module, as many as it has are stitched in one placement; where they are a little wider, gaps
 * stay between the figures, and where they are narrower, figures end where the next begins. Lines inside are the same figures
 * lowered by s / cos β for a spacing s and sides that rise at β (derived); of a wave, straight down by s.
 */
final class FigureRowLayout {

    /** Repeats narrower than this part of the module cut the peaks too low. */
    static final double NARROWEST = 0.75;

    /** Repeats wider than this part of it leave gaps that look like mistakes. */
    static final double WIDEST = 1.25;

    /** A difference that is seen (common practice, no source: nobody sees 1/8 in a repeat). */
    private static final double SEEN = 1.0 / 8;

    /** What a figure is eased by at most, in inches (common practice, no source: piecing is out by up to 1/4). */
    private static final double MOST_EASED = 1.0 / 4;

    private final StitchingEdge.Strip strip;

    private final Motif.Points points;

    /** Whether it is a strip of waves, which begins and ends half-way up one. */
    private final boolean waves;

    /** How far up the needle comes to a point in the notches, in the strip's frame. */
    private final double notch;

    private final double height;
    private final double slope;

    /** Whether its hollows are level, so that the foot alone would slide in them: a wave's, or a gap wider than the foot. */
    private final boolean level;

    /** Whether what doesn't suit the strip is eased. */
    private boolean easing;

    private FigureRowLayout(StitchingEdge.Strip strip, Motif.Points points) {
        this.strip = strip;
        this.points = points;
        this.waves = points == Motif.Points.WAVES;
        double tip = tip(figures() / 2);
        double half = strip.module() / 2;
        Path figure = window(tip - half, tip + half, Double.NEGATIVE_INFINITY).get(0);
        this.notch = figure.start().y();
        this.height = figure.box().top() - notch;
        this.level = Math.abs(Math.sin(figure.curves().get(0).direction(0).angle())) < Tolerances.ON_LINE;
        // Curves are lowered straight down.
        this.slope = points == Motif.Points.PEAKS
                ? figure.curves().get(0).direction(0).angle()
                : 0;
    }

    /**
     * For a layer of waves or half circles; or of peaks that names a strip, or for which there is nothing but a strip.
     *
     * @param room that it has, in inches
     * @param width that one figure should have, in inches; the largest that has room if nobody says
     */
    static Optional<FigureRowLayout> of(EdgeCatalog tools, Layer layer, double room, OptionalDouble width) {
        Motif.Points points = ((Motif.Chevrons) layer.motif()).points();
        boolean edge = layer.templateId().isEmpty()
                && tools.straight(Optional.empty(), Optional.empty()).isPresent();
        Optional<StitchingEdge.Strip> strip =
                switch (points) {
                    case WAVES ->
                        tools.strip(Kind.SERPENTINE_STRIP, layer.templateId()).filter(s -> s.figures() > 1);
                    case HALF_CIRCLES ->
                        tools.strips(Kind.SCALLOP_ROW, layer.templateId())
                                .filter(s -> s.module() / 2 <= room + Tolerances.CHALK)
                                .min(Comparator.comparingDouble(s ->
                                        width.isPresent() ? Math.abs(s.module() - width.getAsDouble()) : -s.module()))
                                .or(() -> tools.strip(Kind.SCALLOP_ROW, layer.templateId()));
                    case PEAKS -> edge ? Optional.empty() : tools.strip(Kind.CHEVRON_STRIP, layer.templateId());
                    case BOXES -> Optional.empty();
                };
        return strip.map(s -> new FigureRowLayout(s, points));
    }

    double module() {
        return strip.module();
    }

    /** From valley to crown as it is stitched, in inches. */
    double height() {
        return height;
    }

    /** How many whole figures it has, from one valley to the next. */
    private int figures() {
        return waves ? strip.figures() - 1 : strip.figures();
    }

    /** Where the point or the crest of one stands, in the strip's frame. */
    private double tip(int number) {
        return waves
                ? (2 * number + 2.5 - strip.figures()) * strip.module() / 2
                : (2 * number + 1 - strip.figures()) * strip.module() / 2;
    }

    /** What of the strip's line lies between two places and above a height, in the strip's frame. */
    private List<Path> window(double left, double right, double above) {
        double low = Double.isInfinite(above) ? strip.stitched().box().bottom() - 1 : above;
        double high = strip.stitched().box().top() + 1;
        return Region.of(Path.polygon(List.of(
                        new Point(left, low), new Point(right, low), new Point(right, high), new Point(left, high))))
                .within(strip.stitched());
    }

    void lay(RunContext laying, Motif.Chevrons motif) {
        RunSpace space = laying.space();
        if (height > space.room() + Tolerances.SAME_PLACE) {
            laying.tell(new MotifDiagnostic.TooHigh(height - space.room()));
            return;
        }
        if (motif.height().isPresent() && Math.abs(motif.height().getAsDouble() - height) > Tolerances.CHALK) {
            laying.tell(new MotifDiagnostic.AsCut(MotifDiagnostic.Figure.HEIGHT));
        }
        if (motif.rounding() > 0) {
            laying.tell(new MotifDiagnostic.AsCut(MotifDiagnostic.Figure.ROUNDING));
        }
        if (motif.closed()) {
            laying.tell(new MotifDiagnostic.AsCut(MotifDiagnostic.Figure.CLOSED));
        }
        Map<List<Double>, List<Path>> cut = new HashMap<>();
        List<ChevronsLayout.Standing> figures = ChevronsLayout.standing(space, motif.perRepeat());
        List<Cell> standing = figures.stream()
                .filter(f -> !f.empty() && f.cell().kind() != Cell.Kind.HALF)
                .map(ChevronsLayout.Standing::cell)
                .toList();
        long suiting = standing.stream()
                .filter(c -> Math.abs(c.width() - strip.module()) < Tolerances.SAME_PLACE)
                .count();
        // Tape on the edge holds both halves.
        boolean taped = notch - space.clearance() >= strip.bottom() + Tolerances.CHALK;
        easing = taped && motif.lines() == 1 && motif.outer() == 0 && 2 * suiting >= standing.size() && suiting > 0;
        List<Double> eased = standing.stream()
                .filter(this::isEased)
                .map(c -> c.width() - strip.module())
                .toList();
        if (!eased.isEmpty()) {
            laying.tell(new MotifDiagnostic.Eased(
                    eased.size(),
                    eased.stream().max(Comparator.comparingDouble(Math::abs)).orElseThrow()));
        }
        int number = 1;
        int holds = 0;
        for (int i = 0; i < figures.size(); ) {
            int together = together(figures, i);
            if (together > 0) {
                new Row(laying, motif, figures, i, together, number, cut).lay();
                number += together;
                holds++;
            }
            i += Math.max(1, together);
        }
        if (holds < number - 1) {
            laying.tell(new MotifDiagnostic.Together(number - 1, holds));
        } else if (figures() > 1 && number > 2) {
            laying.tell(new MotifDiagnostic.OneByOne(figures(), strip.module()));
        }
    }

    /**
     * Whether a figure is to be eased at its crown: on a run most of whose repeats are as wide as the strip's figures, and this one a
     * little off. A single line alone; where there are more, gaps stay between the figures, as they do between peaks that would get
     * two tips.
     */
    private boolean isEased(Cell cell) {
        double off = cell.width() - strip.module();
        return easing
                && Math.abs(off) > Tolerances.SAME_PLACE
                && Math.abs(off) <= MOST_EASED + Tolerances.ROUNDING
                && (off < 0 || points != Motif.Points.PEAKS);
    }

    /** How many cells from one on are stitched in one placement; 0 if nothing stands on it. */
    private int together(List<ChevronsLayout.Standing> figures, int from) {
        int count = 0;
        for (int i = from; i < figures.size() && count < figures(); i++) {
            Cell cell = figures.get(i).cell();
            boolean suits =
                    cell.kind() != Cell.Kind.HALF && Math.abs(cell.width() - strip.module()) < Tolerances.SAME_PLACE;
            if (figures.get(i).empty() || count > 0 && !suits) {
                return count;
            }
            count++;
            if (!suits) {
                return count;
            }
        }
        return count;
    }

    /** Cells whose peaks are stitched in one placement. */
    private final class Row {

        private final RunContext laying;
        private final Motif.Chevrons motif;
        private final List<ChevronsLayout.Standing> figures;
        private final int index;
        private final int count;
        private final int number;
        private final Map<List<Double>, List<Path>> cut;
        private final Cell first;
        private final Cell last;
        private final boolean leftHalf;
        private final boolean rightHalf;

        Row(
                RunContext laying,
                Motif.Chevrons motif,
                List<ChevronsLayout.Standing> figures,
                int index,
                int count,
                int number,
                Map<List<Double>, List<Path>> cut) {
            this.laying = laying;
            this.motif = motif;
            this.figures = figures;
            this.index = index;
            this.count = count;
            this.number = number;
            this.cut = cut;
            this.first = figures.get(index).cell();
            this.last = figures.get(index + count - 1).cell();
            boolean half = first.kind() == Cell.Kind.HALF;
            this.leftHalf = half && index == 0;
            this.rightHalf = half && index > 0;
        }

        void lay() {
            double width = leftHalf || rightHalf ? 2 * first.width() : first.width();
            boolean ease = count == 1 && !leftHalf && !rightHalf && isEased(first);
            if (Math.abs(width - strip.module()) > SEEN && !ease) {
                laying.tell(new MotifDiagnostic.OffModule(strip.module(), width));
            }
            int firstTip = (figures() - count) / 2;
            double own = (tip(firstTip) + tip(firstTip + count - 1)) / 2;
            boolean byValley = isByValley(width);
            double half = count > 1 || byValley ? count * strip.module() / 2 : Math.min(width, strip.module()) / 2;
            double along = byValley
                    ? leftHalf ? first.to() - half : first.from() + half
                    : leftHalf ? first.from() : rightHalf ? first.to() : (first.from() + last.to()) / 2;
            List<List<Path>> outlines = new ArrayList<>();
            if (ease) {
                eased();
                return;
            }
            for (int k = 0; k < motif.lines() + motif.outer(); k++) {
                // The lines outside come after those inside.
                int line = k < motif.lines() ? k : motif.lines() - 1 - k;
                double drop = line * motif.spacing() / Math.cos(slope);
                if (height - drop > laying.space().room() + Tolerances.SAME_PLACE) {
                    laying.tell(new MotifDiagnostic.TooManyOutside(motif.outer(), -line - 1));
                    break;
                }
                // Lower than its points nothing of the strip lies on the seam any more.
                if (drop > height - LayoutContext.SHORTEST
                        || notch + drop - laying.space().clearance() > strip.top() - Tolerances.CHALK) {
                    laying.tell(new MotifDiagnostic.TooMany(motif.lines(), line));
                    k = motif.lines() - 1;
                    continue;
                }
                double base = notch + drop;
                Pose pose = pose(own, base, along);
                StitchingEdge tool = strip.lying(pose);
                List<Path> paths = cut(
                        own - (leftHalf ? 0 : half),
                        own + (rightHalf ? 0 : half),
                        line <= 0 ? Double.NEGATIVE_INFINITY : base);
                Optional<Registration> notch = notch(width, base, along);
                if (paths.isEmpty()) {
                    // So narrow a cell that not a stitch is left of the peak.
                    break;
                }
                for (int i = 0; i < paths.size(); i++) {
                    stitch(paths.get(i).posed(pose), tool, line, number + i, notch);
                }
                if (line >= 0) {
                    outlines.add(outlines(firstTip, half, base, pose));
                }
            }
            for (int k = 0; k < count && !outlines.isEmpty(); k++) {
                int peak = k;
                laying.enclosed()
                        .add(new RunContext.Enclosed(
                                figures.get(index + k).index() + 1,
                                outlines.stream().map(line -> line.get(peak)).toList()));
            }
        }

        /**
         * One figure in two halves, each over its own valley, so that what the repeat is wider or narrower by shows at the crown
         * alone: they meet a little beyond it, or before it.
         */
        private void eased() {
            int whole = figures() / 2;
            double half = first.width() / 2;
            List<Path> outline = new ArrayList<>();
            for (boolean left : new boolean[] {true, false}) {
                double along = left ? first.from() + strip.module() / 2 : first.to() - strip.module() / 2;
                Pose pose = pose(tip(whole), notch, along);
                double valley = tip(whole) + (left ? -1 : 1) * strip.module() / 2;
                Path own = window(
                                left ? valley : valley - half, left ? valley + half : valley, Double.NEGATIVE_INFINITY)
                        .get(0)
                        .posed(pose);
                StitchingEdge tool = strip.lying(pose);
                Mark foot = laying.valleyAt(left ? first.from() : first.to());
                double below = strip.top() - notch + laying.space().clearance();
                Registration laid = new Registration.NotchOnMark(
                        Optional.of(foot), below, laying.space().hanging());
                Mark crown = laying.marker().next(Mark.Kind.MEETING, left ? own.end() : own.start(), Mark.Stage.LOADED);
                LineEnd atCrown = new LineEnd(left ? own.end() : own.start(), LineEnd.ShownBy.MARK, Optional.of(crown));
                LineEnd atFoot = new LineEnd(left ? own.start() : own.end(), LineEnd.ShownBy.MARK, Optional.of(foot));
                List<Curve> curves = own.curves();
                laying.stitch(
                        PlacementBuilder.Naming.of(stitched(), number, left ? 0 : motif.lines() + motif.outer()),
                        curves.stream()
                                .map(c -> new PlacementBuilder.Piece(
                                        c,
                                        tool,
                                        laid,
                                        c == curves.get(curves.size() - 1)
                                                ? left ? atCrown : atFoot
                                                : LineEnd.at(c.end(), LineEnd.ShownBy.NEEDLE)))
                                .toList(),
                        left ? atFoot : atCrown,
                        PlacementBuilder.Turn.MARKED);
                outline.add(own);
            }
            List<Curve> closed = new ArrayList<>(outline.get(0).curves());
            addTo(closed, outline.get(1).start());
            closed.addAll(outline.get(1).curves());
            addTo(closed, outline.get(0).start());
            laying.enclosed().add(new RunContext.Enclosed(figures.get(index).index() + 1, List.of(new Path(closed))));
        }

        private static void addTo(List<Curve> curves, Point next) {
            Point end = curves.get(curves.size() - 1).end();
            if (end.distance(next) > Tolerances.SAME_PLACE) {
                curves.add(new Segment(end, next));
            }
        }

        /**
         * Whether a single figure is laid with its notch right over a valley: where the repeat is wider or narrower by what nobody
         * draws. Its other foot may stand beside its valley by so much.
         */
        private boolean isByValley(double width) {
            return count == 1 && Math.abs(width - strip.module()) <= 2 * Tolerances.CHALK;
        }

        private List<Path> cut(double left, double right, double above) {
            return cut.computeIfAbsent(List.of(left, right, above), key -> window(left, right, above).stream()
                    .filter(p -> p.length() >= LayoutContext.SHORTEST)
                    .toList());
        }

        /** The strip so that a place of its own on the line between the peaks' feet stands at a place along the run. */
        private Pose pose(double own, double base, double along) {
            double turned = laying.space().rotation();
            return new Pose(laying.space().place(along, 0).minus(new Point(own, base).turned(turned)), turned);
        }

        /** What each peak encloses with the line it stands on. */
        private List<Path> outlines(int firstTip, double half, double base, Pose pose) {
            List<Path> outlines = new ArrayList<>();
            for (int k = 0; k < count; k++) {
                double middle = tip(firstTip + k);
                double reach = count > 1 ? strip.module() / 2 : half;
                Path peak = window(
                                middle - (leftHalf ? 0 : reach),
                                middle + (rightHalf ? 0 : reach),
                                base - Tolerances.SAME_PLACE)
                        .get(0);
                List<Curve> closed = new ArrayList<>(peak.curves());
                Point at = peak.end();
                for (Point corner :
                        List.of(new Point(at.x(), base), new Point(peak.start().x(), base), peak.start())) {
                    if (corner.distance(at) > Tolerances.SAME_PLACE) {
                        closed.add(new Segment(at, corner));
                        at = corner;
                    }
                }
                outlines.add(new Path(closed).posed(pose));
            }
            return outlines;
        }

        /** A notch over the valley, or the foot, and tape on the edge, where the plate reaches so far. */
        private Optional<Registration> notch(double width, double base, double along) {
            // Where the peaks stand on the limit, the edge of the cloth lies further down the strip.
            double edge = base - laying.space().clearance();
            if (edge < strip.bottom() + Tolerances.CHALK) {
                return Optional.empty();
            }
            double below = strip.top() - edge;
            if (count == 1 && !isByValley(width)) {
                // The peaks stand beside the valleys, so their own feet are marked; in a level hollow the foot alone
                // would slide.
                double hollow = along + (leftHalf ? 0.5 : -0.5) * strip.module();
                Optional<Mark> mark = level
                        ? Optional.of(laying.marker()
                                .next(Mark.Kind.FOOT, laying.space().place(hollow, 0), Mark.Stage.LOADED))
                        : Optional.empty();
                return Optional.of(
                        new Registration.NotchOnMark(mark, below, laying.space().hanging()));
            }
            Mark valley = laying.valleyAt(leftHalf ? first.to() : first.from());
            return Optional.of(new Registration.NotchOnMark(
                    Optional.of(valley), below, laying.space().hanging()));
        }

        private void stitch(Path path, StitchingEdge tool, int line, int peak, Optional<Registration> notch) {
            boolean laid = notch.filter(n -> n.marks().findAny().isPresent()).isPresent();
            LineEnd start = spot(path.start(), line, laid);
            // Half a figure that begins on its level crown, with no mark under a notch, would slide.
            LineEnd end = spot(path.end(), line, notch.isPresent() && (laid || !leftHalf));
            List<Curve> curves = path.curves();
            laying.stitch(
                    PlacementBuilder.Naming.of(
                            line != 0 ? Stitched.ECHO : stitched(), peak, line < 0 ? motif.lines() - 1 - line : line),
                    curves.stream()
                            .map(c -> new PlacementBuilder.Piece(
                                    c,
                                    tool,
                                    notch.orElseGet(Registration.FootOnBothMarks::new),
                                    c == curves.get(curves.size() - 1)
                                            ? end
                                            : LineEnd.at(c.end(), LineEnd.ShownBy.NEEDLE)))
                            .toList(),
                    start,
                    PlacementBuilder.Turn.MARKED);
        }

        private Stitched stitched() {
            return switch (points) {
                case WAVES -> Stitched.SERPENTINE;
                case HALF_CIRCLES -> Stitched.ARC;
                case PEAKS, BOXES -> Stitched.CHEVRON;
            };
        }

        /** What shows where a line starts or ends. */
        private LineEnd spot(Point place, int line, boolean laid) {
            List<StitchLine> before = laying.sewing().lines();
            double near = Tolerances.ON_LINE;
            if (line == 0
                    && !before.isEmpty()
                    && before.get(before.size() - 1).path().end().distance(place) < Tolerances.SAME_PLACE) {
                return LineEnd.at(place, LineEnd.ShownBy.NEEDLE);
            }
            if (line == 0 && place.distance(laying.space().place(first.from(), 0)) < near) {
                return new LineEnd(place, LineEnd.ShownBy.MARK, Optional.of(laying.valleyAt(first.from())));
            }
            if (line == 0 && place.distance(laying.space().place(last.to(), 0)) < near) {
                return new LineEnd(place, LineEnd.ShownBy.MARK, Optional.of(laying.valleyAt(last.to())));
            }
            boolean edge =
                    laying.isShownBy(place, LineEnd.ShownBy.SEAM, LineEnd.ShownBy.FAR_EDGE, LineEnd.ShownBy.RUN_END);
            return laid && edge
                    ? laying.shown(place)
                    : LineEnd.at(laying.marker().next(Mark.Kind.FOOT, place, Mark.Stage.LOADED));
        }
    }
}
