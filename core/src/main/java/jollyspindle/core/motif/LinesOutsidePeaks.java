package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;

/**
 * The lines outside of a row of peaks: the whole zigzag again, each time further up by s / cos β for a spacing s and sides that rise
 * at β (derived), from side to side of the row.
 */
final class LinesOutsidePeaks {

    private static final Mark.Stage LOADED = Mark.Stage.LOADED;

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Chevrons motif;
    private final StitchingEdge.Straight straight;
    private final Optional<StitchingEdge.Round> corner;
    private final double spacing;
    private final Function<List<Point>, Optional<Path>> rounded;

    /**
     * What lies outside of one run's peaks.
     *
     * @param straight that sides are stitched along
     * @param corner that corners are rounded along; nothing if they are sharp
     * @param spacing from line to line, square to them, in inches
     * @param rounded lines through corners, rounded likewise; nothing if there is no room to round them
     */
    LinesOutsidePeaks(
            RunContext laying,
            Motif.Chevrons motif,
            StitchingEdge.Straight straight,
            Optional<StitchingEdge.Round> corner,
            double spacing,
            Function<List<Point>, Optional<Path>> rounded) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
        this.straight = straight;
        this.corner = corner;
        this.spacing = spacing;
        this.rounded = rounded;
    }

    /**
     * Stitches them.
     *
     * @param lined the peaks, from left to right
     * @param first the peaks' own lines, by their numbers
     */
    void lay(List<ChevronsLayout.Lined> lined, Map<Integer, StitchLine> first) {
        for (int from = 0; from < lined.size(); ) {
            int to = from + 1;
            while (to < lined.size() && goOn(lined.get(to - 1), lined.get(to))) {
                to++;
            }
            List<ChevronsLayout.Lined> row = lined.subList(from, to);
            List<StitchLine> below = new ArrayList<>();
            // Of a peak that another motif takes the place of nothing is stitched.
            row.stream()
                    .map(figure -> first.get(figure.number()))
                    .filter(Objects::nonNull)
                    .forEach(below::add);
            for (int k = 1; k <= motif.outer() && !below.isEmpty(); k++) {
                if (!outer(row, k, below)) {
                    laying.tell(new MotifDiagnostic.TooManyOutside(motif.outer(), k - 1));
                    break;
                }
            }
            from = to;
        }
    }

    /** Whether the next figure begins where one ends, and rises as steeply. */
    private static boolean goOn(ChevronsLayout.Lined one, ChevronsLayout.Lined next) {
        return Math.abs(next.cell().from() - one.cell().to()) < Tolerances.ROUNDING
                && Math.abs(next.slope() - one.slope()) < Tolerances.ROUNDING;
    }

    /** One line outside of a row of peaks; nothing and false if it has no room. */
    private boolean outer(List<ChevronsLayout.Lined> row, int k, List<StitchLine> below) {
        boolean back = (motif.lines() + k) % 2 == 0;
        double up = k * spacing / Math.cos(row.get(0).slope());
        List<Point> corners = new ArrayList<>();
        for (ChevronsLayout.Lined figure : row) {
            for (Point corner : figure.corners()) {
                Point raised = corner.plus(new Point(0, up));
                if (raised.y() > space.room() + Tolerances.ROUNDING) {
                    return false;
                }
                if (corners.isEmpty() || corners.get(corners.size() - 1).distance(raised) > Tolerances.SAME_PLACE) {
                    corners.add(raised);
                }
            }
        }
        Optional<Path> path = rounded.apply(corners).map(space::placed);
        if (path.isEmpty()) {
            return false;
        }
        Path line = back ? path.get().reversed() : path.get();
        double fromEdge = spacing - laying.machine().footRadius();
        List<PlacementBuilder.Piece> pieces = new ArrayList<>();
        for (int i = 0; i < line.curves().size(); i++) {
            Curve curve = line.curves().get(i);
            boolean last = i + 1 == line.curves().size();
            StitchLine beside = below.size() == 1 ? below.get(0) : nearest(below, curve.at(0.5));
            boolean round = curve instanceof Arc || !last && line.curves().get(i + 1) instanceof Arc;
            LineEnd end = last
                    ? end(curve.end())
                    : round || fromEdge < 0
                            ? LineEnd.at(laying.marker().next(Mark.Kind.TURN, curve.end(), LOADED))
                            : LineEnd.at(curve.end(), LineEnd.ShownBy.NEEDLE);
            Registration laid = curve instanceof Segment && fromEdge >= 0
                    ? new Registration.OnStitching(beside.id(), fromEdge, LayoutContext.engraved(straight, fromEdge))
                    : new Registration.FootOnBothMarks();
            pieces.add(new PlacementBuilder.Piece(
                    curve, curve instanceof Arc ? corner.orElseThrow() : straight, laid, end));
        }
        List<StitchLine> stitched = laying.stitch(
                PlacementBuilder.Naming.of(Stitched.ECHO, row.get(0).number(), motif.lines() - 1 + k),
                pieces,
                end(line.start()),
                PlacementBuilder.Turn.MARKED);
        if (!stitched.isEmpty()) {
            below.clear();
            below.addAll(stitched);
        }
        return true;
    }

    /** The end of a line that goes from side to side: on the run's end, or a mark. */
    private LineEnd end(Point place) {
        return laying.isShownBy(place, LineEnd.ShownBy.RUN_END, LineEnd.ShownBy.MITRE)
                ? laying.shown(place)
                : LineEnd.at(laying.marker().next(Mark.Kind.LINE_END, place, LOADED));
    }

    private static Point middle(StitchLine line) {
        // A closed one ends where it begins.
        Box box = line.path().box();
        return new Point((box.left() + box.right()) / 2, (box.bottom() + box.top()) / 2);
    }

    private static StitchLine nearest(List<StitchLine> lines, Point to) {
        // They stand side by side in the order of their numbers, so that the ones left and right of a place are next to
        // each other.
        int least = 0;
        int most = lines.size() - 1;
        Point from = middle(lines.get(0));
        Point way = middle(lines.get(most)).minus(from);
        while (least < most) {
            int middle = (least + most) / 2;
            double here = middle(lines.get(middle)).minus(from).dot(way);
            double next = middle(lines.get(middle + 1)).minus(from).dot(way);
            if (to.minus(from).dot(way) < (here + next) / 2) {
                most = middle;
            } else {
                least = middle + 1;
            }
        }
        return lines.get(least);
    }
}
