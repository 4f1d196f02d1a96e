package jollyspindle.core.area;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Places;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.Hatching;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Whirl}: from a corner of what is left, lines to the far side, each so far from the end of the one
 * before, square to itself, as a line engraved on the ruler tells; the first from the corner beside. The last of a set takes the
 * place of the side it started beside, and its end that of the corner there; the next set starts from that corner. So a set of
 * an odd number ends where the next one starts.
 */
final class WhirlLayout {

    private static final Param.Whole<AreaMotif.Whirl> LINES = Param.whole("lines", 1, 9, AreaMotif.Whirl::lines);
    private static final Param.Length<AreaMotif.Whirl> SPACING =
            Param.length("spacing", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Whirl::spacing);
    private static final Param.Whole<AreaMotif.Whirl> SETS =
            Param.whole("sets", 1, AreaMotif.MOST, AreaMotif.Whirl::sets);

    static final AreaMotifType<AreaMotif.Whirl> TYPE = new AreaMotifType<>(
                    AreaMotif.Whirl.class,
                    "whirl",
                    Params.of(
                                    v -> new AreaMotif.Whirl(v.get(LINES), v.get(SPACING), v.get(SETS)),
                                    Params.row(LINES, SETS),
                                    Params.row(SPACING))
                            .kept(LINES, SPACING, SETS),
                    (piece, motif) -> new WhirlLayout(piece, motif).lay(),
                    // No more sets are stitched than have room: what is left gets smaller with each.
                    (whirl, cloth) -> whirl.lines(),
                    Kind.STRAIGHT_EDGE)
            .offered((cloth, offers) -> {
                if (!cloth.isBackground()) {
                    offers.add("", new AreaMotif.Whirl(3, AreaPreset.SPACING, 8));
                }
            })
            .dragged((whirl, knobs) -> knobs.from(
                    SPACING, new Point(knobs.box().right(), knobs.box().top()), new Point(0, -1)));

    private final PieceContext laying;
    private final AreaMotif.Whirl motif;

    /** The last line of the set that starts beside each side, by the side; nothing if it isn't all there. */
    private final Map<Integer, Optional<StitchLine>> last = new HashMap<>();

    /** How many lines hang on each other without a mark between. */
    private final Map<LineId, Integer> chained = new HashMap<>();

    /** Where lines begin or end that are stitched. */
    private final Places<StitchLine> ends = new Places<>(Tolerances.SAME_PLACE);

    WhirlLayout(PieceContext laying, AreaMotif.Whirl motif) {
        this.laying = laying;
        this.motif = motif;
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        // Clockwise from the top left; a round area's whirl lies in the square in it.
        List<Point> left = new ArrayList<>(corners());
        int count = left.size();
        for (int set = 0; set < motif.sets(); set++) {
            Point from = left.get(set % count);
            int next = (set + 1) % count;
            Segment far = new Segment(left.get(next), left.get((set + 2) % count));
            List<Point> ends = ends(from, far);
            if (ends.size() < motif.lines()) {
                laying.tell(new AreaDiagnostic.FewerSets(motif.sets(), set));
                return;
            }
            Optional<StitchLine> beside = set < count ? Optional.empty() : last.get(set % count);
            Point end = far.from();
            for (int line = 1; line <= motif.lines(); line++) {
                Point to = ends.get(line - 1);
                Segment whole = line % 2 == 1 ? new Segment(from, to) : new Segment(to, from);
                beside = stitch(
                        tool.get(),
                        PlacementBuilder.Naming.of(Stitched.WHIRL, set + 1, line),
                        whole,
                        new Beside(from, end, beside, set >= count || line > 1));
                end = to;
            }
            last.put(set % count, beside);
            left.set(next, end);
        }
    }

    /**
     * What a line is set by.
     *
     * @param start that the lines of its set start from
     * @param end of the line before, or the corner beside
     * @param line the one before, if it is all there
     * @param stitched whether it is a line and not a seam
     */
    private record Beside(Point start, Point end, Optional<StitchLine> line, boolean stitched) {}

    /**
     * Where the lines of a set end on the far side, each so far from the end before, square to itself; as many as have room.
     * A line from F that is to pass a place P at a distance d leaves the way from F to P by asin(d/FP) (derived).
     */
    private List<Point> ends(Point from, Segment far) {
        List<Point> ends = new ArrayList<>();
        Point before = far.from();
        while (ends.size() < motif.lines()) {
            Point way = before.minus(from);
            if (way.length() <= motif.spacing()) {
                return ends;
            }
            Point turned = way.turned(-Math.asin(motif.spacing() / way.length()));
            // Where it meets the far side.
            double along =
                    from.minus(far.from()).cross(turned) / far.direction(0).cross(turned);
            if (!(along > before.distance(far.from())) || along > far.length() - LayoutContext.SHORTEST) {
                return ends;
            }
            before = far.at(along / far.length());
            ends.add(before);
        }
        return ends;
    }

    private Optional<StitchLine> stitch(
            StitchingEdge.Straight tool, PlacementBuilder.Naming naming, Segment whole, Beside beside) {
        List<Path> kept = laying.kept(Path.of(whole));
        double fromEdge = motif.spacing() - laying.machine().footRadius();
        boolean all = kept.size() == 1
                && Math.abs(kept.get(0).length() - whole.length()) < Tolerances.SAME_PLACE
                && whole.length() <= tool.length();
        boolean shown = beside.stitched() ? beside.line().isPresent() : isCorner(beside.end());
        int chain = beside.line()
                .map(line -> chained.getOrDefault(line.id(), 0) + 1)
                .orElse(0);
        boolean far = all && shown && chain > Hatching.MOST_CHAINED;
        if (far) {
            laying.tell(new LayoutDiagnostic.Chained(Hatching.MOST_CHAINED + 1));
        }
        if (!all || !shown || far || !isOver(tool, fromEdge, whole, beside.end()) || !isSeen(beside.start())) {
            List<StitchLine> lines = laying.stitch(
                    naming,
                    Path.of(whole),
                    tool,
                    p -> laying.marked(p.isAt(beside.start()) ? Mark.Kind.LINE_START : Mark.Kind.LINE_END, p));
            lines.forEach(this::ended);
            return all ? lines.stream().findFirst() : Optional.empty();
        }
        Point way = whole.direction(0);
        StitchLine line = ended(laying.sewing()
                .stitch(
                        naming,
                        whole,
                        tool,
                        new Registration.OverEnd(
                                beside.line().map(StitchLine::id),
                                fromEdge,
                                LayoutContext.engraved(tool, fromEdge),
                                way.cross(beside.end().minus(whole.from())) > 0),
                        place(whole.from()),
                        place(whole.to()),
                        PlacementBuilder.Turn.SLIDING));
        chained.put(line.id(), chain);
        return Optional.of(line);
    }

    /** Whether a line so far from the ruler's edge reaches the end that it is laid over, when the ruler lies along a line. */
    private static boolean isOver(StitchingEdge.Straight tool, double fromEdge, Segment whole, Point end) {
        double along = end.minus(whole.at(0.5)).dot(whole.direction(0));
        return tool.reachesTo(fromEdge) && Math.abs(along) <= tool.length() / 2;
    }

    private LineEnd place(Point place) {
        LineEnd shown =
                laying.sewing().passes(place) ? LineEnd.at(place, LineEnd.ShownBy.STITCHING) : laying.shown(place);
        return shown.shownBy() == LineEnd.ShownBy.TEMPLATE ? laying.marked(Mark.Kind.LINE_END, place) : shown;
    }

    /** Whether a place is a corner of the cloth, where seams meet. */
    private boolean isCorner(Point place) {
        return laying.space().onSeam()
                && laying.space().cloth().curves().size() > 1
                && laying.space().cloth().curves().stream()
                        .anyMatch(c -> c.start().isAt(place));
    }

    /** Whether a place shows by itself: a corner, or where a line ends. On a line it would be anywhere. */
    private boolean isSeen(Point start) {
        return isCorner(start) || ends.at(start).isPresent();
    }

    private StitchLine ended(StitchLine line) {
        ends.put(line.path().start(), line);
        ends.put(line.path().end(), line);
        return line;
    }

    private List<Point> corners() {
        List<Curve> sides = laying.space().outline().curves();
        if (sides.size() == 1) {
            double half = laying.space().inside() / Math.sqrt(2);
            Point centre = laying.space().centre();
            return List.of(
                    centre.plus(new Point(-half, half)),
                    centre.plus(new Point(half, half)),
                    centre.plus(new Point(half, -half)),
                    centre.plus(new Point(-half, -half)));
        }
        List<Point> corners = new ArrayList<>(sides.stream().map(Curve::start).toList());
        Collections.reverse(corners);
        return corners;
    }
}
