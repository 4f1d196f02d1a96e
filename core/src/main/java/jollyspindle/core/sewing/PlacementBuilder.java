package jollyspindle.core.sewing;

import jollyspindle.core.effort.Effort;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.CurveIndex;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.PlacementId;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Collects what the motifs of a run stitch. For each line it finds how the template lies, piece by piece: a round edge lies
 * about the centre of the arc it stitches, a straight one with its offset on the line, and what is longer than the edge
 * takes several placements.
 */
public final class PlacementBuilder {

    private final Marker marker;
    private final List<StitchLine> lines = new ArrayList<>();
    private final List<Placement> placements = new ArrayList<>();
    private final Map<LineId, StitchLine> byId = new HashMap<>();

    /** Where the first so many lines are, as far as somebody asked. */
    private CurveIndex<LineId> places = new CurveIndex<>();

    private int placed;

    /** How many sections there are of each line, by its first. */
    private final Map<LineId, Integer> sections = new HashMap<>();

    private int layer;
    private int motif;
    private double upright;

    /** What is stitched on the cloth that a marker marks. */
    public PlacementBuilder(Marker marker) {
        this.marker = marker;
    }

    /**
     * Says which motif the next lines belong to.
     *
     * @param order of it in its region, from 1; 0 for a corner's
     * @param lasting number of it, from 1; 0 for a corner's
     * @param rotation of a template that lies upright, in radians
     */
    public void begin(int order, int lasting, double rotation) {
        layer = order;
        motif = lasting;
        upright = rotation;
        marker.begin(lasting);
    }

    public Marker marker() {
        return marker;
    }

    public List<StitchLine> lines() {
        return lines;
    }

    public List<Placement> placements() {
        return placements;
    }

    /** What a line is of its motif. */
    public record Naming(Stitched kind, int number, int sub, int passes) {
        public static Naming of(Stitched kind, int number) {
            return new Naming(kind, number, 0, 1);
        }

        public static Naming of(Stitched kind, int number, int sub) {
            return new Naming(kind, number, sub, 1);
        }
    }

    /**
     * One curve of a line and the edge it is stitched along.
     *
     * @param curve in the quilt's frame
     * @param tool for it; an arc needs a round edge of its radius, a segment a straight one
     * @param registration how the template is laid if the curve goes on in one placement
     * @param reaches where the curve ends
     * @param held how the template lies; nothing if that follows from the curve, which may then take several placements
     */
    public record Piece(
            Curve curve, StitchingEdge tool, Registration registration, LineEnd reaches, Optional<Pose> held) {

        /** A piece whose template lies as the curve wants it. */
        public Piece(Curve curve, StitchingEdge tool, Registration registration, LineEnd reaches) {
            this(curve, tool, registration, reaches, Optional.empty());
        }

        /** The same laid otherwise. */
        Piece laid(Registration other) {
            return new Piece(curve, tool, other, reaches, held);
        }

        /** The same with something else that shows where it ends. */
        public Piece reaching(LineEnd other) {
            return new Piece(curve, tool, registration, other, held);
        }
    }

    /** How a template is re-laid part-way along a curve. */
    public enum Turn {
        /** The place is marked, and the edge pushed against the foot there and at the next mark. */
        MARKED,
        /** The needle stays down, and the template is turned about its centre, on that one's mark or along a round seam. */
        ABOUT_CENTRE,
        /** The needle stays down, and the template slides on along the line that is stitched. */
        SLIDING
    }

    /**
     * Stitches a line of one curve.
     *
     * @return the line
     */
    public StitchLine stitch(
            Naming naming,
            Curve curve,
            StitchingEdge tool,
            Registration registration,
            LineEnd start,
            LineEnd end,
            Turn turn) {
        return stitch(naming, List.of(new Piece(curve, tool, registration, end)), start, turn);
    }

    /** What an earlier line was cut into, from the piece that is named. */
    public List<StitchLine> sections(LineId from) {
        return Stream.iterate(from, id -> id.section(id.section() + 1))
                .map(byId::get)
                .takeWhile(Objects::nonNull)
                .toList();
    }

    /** Whether a line that is stitched already passes a place. */
    public boolean passes(Point place) {
        for (; placed < lines.size(); placed++) {
            places.add(lines.get(placed).path(), lines.get(placed).id());
        }
        return places.passes(place);
    }

    /** Lets the lines go that were stitched after the first so many, with their placements. */
    public void discardAfter(int first) {
        List<StitchLine> late = lines.subList(first, lines.size());
        for (StitchLine line : late) {
            byId.remove(line.id());
            sections.merge(line.id().section(1), line.id().section() - 1, Math::min);
        }
        late.clear();
        places = new CurveIndex<>();
        placed = 0;
        placements.removeIf(p -> !byId.containsKey(p.of().id()));
    }

    /** Stitches a line of several curves, one after the other. */
    public StitchLine stitch(Naming naming, List<Piece> pieces, LineEnd start, Turn turn) {
        StitchLine line = new StitchLine(
                id(naming),
                layer,
                naming.passes(),
                new Path(pieces.stream().map(Piece::curve).toList()));
        lines.add(line);
        byId.put(line.id(), line);
        List<List<Piece>> groups = byPlacement(pieces);
        int parts = groups.stream().mapToInt(t -> parts(t.get(0))).sum();
        Effort.step();
        Effort.within(placements.size() + parts);
        int part = 0;
        LineEnd at = start;
        for (List<Piece> group : groups) {
            // Of a line that begins away from the seam, and is longer than the edge, the first part doesn't reach it.
            boolean beyond = parts(group.get(0)) > 1
                    && group.get(0).registration() instanceof Registration.AtAngle
                    && at.mark().isEmpty();
            Piece piece = beyond ? group.get(0).laid(new Registration.FootOnBothMarks()) : group.get(0);
            if (beyond) {
                at = LineEnd.at(marker.next(Mark.Kind.LINE_START, at.place(), Mark.Stage.LOADED));
            }
            if (lies(piece) || group.size() > 1) {
                part++;
                LineEnd next = group.get(group.size() - 1).reaches();
                placements.add(new Placement(
                        new PlacementId(line.id(), parts > 1 ? part : 0),
                        line,
                        part,
                        parts,
                        piece.tool().id(),
                        piece.held().orElseGet(() -> pose(piece)),
                        piece.registration(),
                        at,
                        next,
                        new Path(group.stream().map(Piece::curve).toList())));
                at = next;
                continue;
            }
            int own = parts(piece);
            for (int i = 1; i <= own; i++) {
                part++;
                Curve curve = own == 1 ? piece.curve() : piece.curve().piece((i - 1.0) / own, (double) i / own);
                Registration alone = along(registration(piece, own, i, turn), curve);
                LineEnd next = next(piece, alone, curve.end(), i, own, turn);
                boolean onward = i > 1 && turn == Turn.SLIDING && alone instanceof Registration.FootOnBothMarks;
                Registration laid = onward
                        ? next.mark()
                                .<Registration>map(Registration.Onward::new)
                                .orElse(alone)
                        : alone;
                placements.add(new Placement(
                        new PlacementId(line.id(), parts > 1 ? part : 0),
                        line,
                        part,
                        parts,
                        piece.tool().id(),
                        piece.held().orElseGet(() -> pose(piece.tool(), curve, laid)),
                        laid,
                        at,
                        next,
                        Path.of(curve)));
                // Where the edge ended, the needle waits for the template.
                at = next.shownBy() == LineEnd.ShownBy.TEMPLATE
                        ? LineEnd.at(next.place(), LineEnd.ShownBy.NEEDLE)
                        : next;
            }
        }
        return line;
    }

    /** Pieces that follow each other along a template that lies still are stitched in one placement. */
    private static List<List<Piece>> byPlacement(List<Piece> pieces) {
        List<List<Piece>> groups = new ArrayList<>();
        for (Piece piece : pieces) {
            List<Piece> last = groups.isEmpty() ? List.of() : groups.get(groups.size() - 1);
            boolean lies = lies(piece)
                    || piece.held().isPresent()
                            && !last.isEmpty()
                            && last.get(0).held().equals(piece.held())
                            && last.get(0).registration().equals(piece.registration());
            if (lies && !last.isEmpty() && last.get(0).tool().equals(piece.tool())) {
                last.add(piece);
            } else {
                groups.add(new ArrayList<>(List.of(piece)));
            }
        }
        return groups;
    }

    /**
     * What a straight part of a line is laid on if the rest is laid on an earlier line: that one, or what it goes on as past
     * something in the way, if it lies along this part; else the foot tells.
     */
    private Registration along(Registration laid, Curve part) {
        if (!(laid instanceof Registration.OnStitching on)
                || !(part instanceof Segment segment)
                || !byId.containsKey(on.lineId())
                || Registration.OnStitching.holds(byId.get(on.lineId()).path(), segment)) {
            return laid;
        }
        return sections(on.lineId().section(1)).stream()
                .filter(line -> Registration.OnStitching.holds(line.path(), segment))
                .findFirst()
                .<Registration>map(line -> new Registration.OnStitching(line.id(), on.fromEdge(), on.engraved()))
                .orElseGet(Registration.FootOnBothMarks::new);
    }

    private static Registration registration(Piece piece, int parts, int part, Turn turn) {
        if (piece.registration() instanceof Registration.OnStitching
                && piece.tool() instanceof StitchingEdge.Straight) {
            // Straight beside straight, it lies so all along.
            return piece.registration();
        }
        // A template that is re-laid part-way doesn't lie on the seam any more, unless its middle part stands upright.
        boolean upright = parts == 1 || parts % 2 == 1 && 2 * part == parts + 1;
        return piece.registration().standing().isPresent() && !upright || turn == Turn.SLIDING && part > 1
                ? new Registration.FootOnBothMarks()
                : piece.registration();
    }

    /** Where a placement ends. */
    private LineEnd next(Piece piece, Registration laid, Point place, int part, int parts, Turn turn) {
        // Of a straight edge that is slid on, the foot alone tells how it lies, so both ends are marked.
        boolean foot = parts > 1
                && laid instanceof Registration.FootOnBothMarks
                && piece.tool() instanceof StitchingEdge.Straight;
        if (part < parts) {
            return foot || turn == Turn.MARKED
                    ? LineEnd.at(marker.next(Mark.Kind.HAND_OVER, place, Mark.Stage.LOADED))
                    : LineEnd.at(place, LineEnd.ShownBy.NEEDLE);
        }
        return foot && piece.reaches().mark().isEmpty()
                ? LineEnd.at(marker.next(Mark.Kind.LINE_END, place, Mark.Stage.LOADED))
                : piece.reaches();
    }

    /** Whether how a template lies is settled, or there is none. */
    private static boolean lies(Piece piece) {
        return piece.tool() instanceof StitchingEdge.Lying || piece.tool() instanceof StitchingEdge.ByHand;
    }

    private static Pose pose(Piece piece) {
        return piece.tool() instanceof StitchingEdge.Lying lying
                ? lying.pose()
                : new Pose(piece.curve().start(), 0);
    }

    private static int parts(Piece piece) {
        if (lies(piece) || piece.held().isPresent()) {
            return 1;
        }
        return placements(piece.curve(), piece.tool());
    }

    /** How many placements a curve takes along an edge that follows it. */
    public static int placements(Curve curve, StitchingEdge tool) {
        if (curve instanceof Arc arc && tool instanceof StitchingEdge.Round round) {
            return (int) Math.max(1, Math.ceil(Math.abs(arc.sweep()) / round.usable() - Tolerances.ROUNDING));
        }
        double length = tool instanceof StitchingEdge.Straight straight ? straight.length() : Double.MAX_VALUE;
        return (int) Math.max(1, Math.ceil(curve.length() / length - Tolerances.ROUNDING));
    }

    private Pose pose(StitchingEdge tool, Curve curve, Registration laid) {
        if (tool instanceof StitchingEdge.Round round) {
            Arc arc = (Arc) curve;
            double crown = arc.startAngle() + arc.sweep() / 2;
            // A round hole lies as well any other way; in a chain its lines tell.
            if (round.usable() > 2 * Math.PI - Tolerances.ROUNDING && !(laid instanceof Registration.InChain)) {
                return new Pose(arc.centre(), upright);
            }
            if (laid instanceof Registration.OnRow) {
                // However much of it is cut off, a shell stands upright, or hangs.
                return new Pose(arc.centre(), (Math.sin(crown) > 0 ? Math.PI / 2 : -Math.PI / 2) - round.middle());
            }
            return new Pose(arc.centre(), laid.standing().isPresent() ? upright : crown - round.middle());
        }
        StitchingEdge.Straight straight = (StitchingEdge.Straight) tool;
        // The plate lies on the right of the way, the needle on its left; unless it is laid on a line at the other
        // side.
        boolean left = laid instanceof Registration.OnStitching on && isLeft((Segment) curve, on.lineId())
                || laid instanceof Registration.OverEnd over && over.left();
        Segment line = left ? ((Segment) curve).reversed() : (Segment) curve;
        double turned = line.to().minus(line.from()).angle()
                - straight.line().to().minus(straight.line().from()).angle();
        Point middle = laid instanceof Registration.FootOverMarks over
                ? middle(line, over.first().place(), over.second().place())
                : line.at(0.5);
        return new Pose(middle.minus(straight.middle().turned(turned)), turned);
    }

    /** The middle of a line and of places on it or beyond its ends. */
    private static Point middle(Segment line, Point... places) {
        Point way = line.direction(0);
        double least = 0;
        double most = line.length();
        for (Point place : places) {
            double along = place.minus(line.from()).dot(way);
            least = Math.min(least, along);
            most = Math.max(most, along);
        }
        return line.from().plus(way.times((least + most) / 2));
    }

    /** Whether a line that is stitched already lies on the left of a way. */
    private boolean isLeft(Segment way, LineId lineId) {
        Point middle = way.at(0.5);
        StitchLine other = byId.get(lineId);
        return other != null
                && way.direction(0).cross(nearest(other.path(), middle).minus(middle)) > 0;
    }

    private static Point nearest(Path path, Point to) {
        return path.curves().stream()
                .map(c -> c.at(c.nearest(to)))
                .min(Comparator.comparingDouble(to::distance))
                .orElseThrow();
    }

    private LineId id(Naming naming) {
        LineId first = new LineId(marker.piece(), motif, naming.kind(), naming.number(), naming.sub(), 1);
        int section = sections.merge(first, 1, Integer::sum);
        return section == 1 ? first : first.section(section);
    }
}
