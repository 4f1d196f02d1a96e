package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Lays out {@link Motif.Circles} that touch lines stitched before: one in the hollow of each bend, as leaves stand on a vine, or
 * small ones along a line, on one side and the other in turn, as berries do. Each begins and ends where it touches.
 *
 * <p>A circle of radius r in the hollow of an arc of radius R touches it in its middle if its own middle lies R − r from the
 * arc's centre (derived: circles that touch inside).
 */
final class CirclesOnLinesLayout {

    /** A bend turns by so much at least, in radians; what turns by less is no hollow (a choice). */
    private static final double BEND = Math.toRadians(30);

    private final RunContext laying;
    private final Motif.Circles motif;
    private final boolean bends;

    /** What lies where circles stand already, in squares about as wide as a circle. */
    private final Map<List<Long>, List<Point>> taken = new HashMap<>();

    private int number;
    private int left;

    CirclesOnLinesLayout(RunContext laying, Motif.Circles motif) {
        this.laying = laying;
        this.motif = motif;
        this.bends = motif.channel() == Motif.Channel.IN_BENDS;
    }

    void lay() {
        List<StitchLine> lines = laying.sewing().lines().stream()
                .filter(line -> line.layer() > 0 && line.layer() < laying.number())
                .filter(line -> line.kind() != Stitched.CIRCLE && line.kind() != Stitched.SWIRL)
                .toList();
        if (lines.isEmpty()) {
            laying.tell(new MotifDiagnostic.NothingToStandOn());
            return;
        }
        List<StitchingEdge.Round> all = laying.tools().circles(laying.layer().templateId());
        Optional<StitchingEdge.Round> found = laying.layer()
                .guideId()
                .flatMap(guide ->
                        all.stream().filter(r -> r.id().guideId().equals(guide)).findFirst())
                .or(() -> bends ? inBends(all, lines) : all.stream().findFirst());
        if (found.isEmpty()) {
            laying.tell(laying.missing(EdgeKind.CIRCLE, 0));
            return;
        }
        for (StitchLine line : lines) {
            if (bends) {
                line.path().curves().forEach(curve -> inBend(curve, found.get()));
            } else {
                beside(line.path(), found.get());
            }
        }
        if (number == 0) {
            laying.tell(new LayoutDiagnostic.TooFar(
                    2 * found.get().stitched(), laying.space().room()));
        } else if (left > 0) {
            laying.tell(new MotifDiagnostic.NoRoomForCircles(left));
        }
    }

    /** The largest that isn't wider than half of the narrowest bend. */
    private static Optional<StitchingEdge.Round> inBends(List<StitchingEdge.Round> all, List<StitchLine> lines) {
        double narrowest = lines.stream()
                .flatMap(line -> line.path().curves().stream())
                .filter(CirclesOnLinesLayout::isBend)
                .mapToDouble(curve -> ((Arc) curve).radius())
                .min()
                .orElse(0);
        return all.stream()
                .filter(round -> round.stitched() <= narrowest / 2 + Tolerances.CHALK)
                .reduce((a, b) -> b)
                .or(() -> all.stream().findFirst());
    }

    private static boolean isBend(Curve curve) {
        return curve instanceof Arc arc && Math.abs(arc.sweep()) >= BEND;
    }

    private void inBend(Curve curve, StitchingEdge.Round tool) {
        if (!isBend(curve)) {
            return;
        }
        Arc arc = (Arc) curve;
        Point touch = arc.at(0.5);
        if (tool.stitched() <= arc.radius()) {
            circle(touch, arc.centre().minus(touch).unit(), tool);
        } else {
            left++;
        }
    }

    /** Along a line, from a circle's width after its beginning on, as far apart as circles on the other side leave room for. */
    private void beside(Path path, StitchingEdge.Round tool) {
        double step = 2 * tool.stitched() + motif.gap();
        int count = (int) Math.floor(path.length() / step);
        double from = (path.length() - (count - 1) * step) / 2;
        double past = 0;
        int next = 0;
        for (Curve curve : path.curves()) {
            for (; next < count && from + next * step <= past + curve.length() + Tolerances.ROUNDING; next++) {
                double at = Math.min(1, (from + next * step - past) / curve.length());
                circle(curve.at(at), curve.direction(at).turnedLeft().times(next % 2 == 0 ? 1 : -1), tool);
            }
            past += curve.length();
        }
    }

    /**
     * A circle that touches a line.
     *
     * @param touch where
     * @param way from there to its middle
     */
    private void circle(Point touch, Point way, StitchingEdge.Round tool) {
        double radius = tool.stitched();
        Point centre = touch.plus(way.times(radius));
        Arc whole = new Arc(centre, radius, way.times(-1).angle(), 2 * Math.PI);
        boolean all = laying.kept(Path.of(whole)).size() == 1
                && Math.abs(laying.kept(Path.of(whole)).get(0).length() - whole.length()) < Tolerances.SAME_PLACE;
        if (!all || isTaken(centre, radius)) {
            left++;
            return;
        }
        number++;
        int turn = motif.turning() == Motif.Turning.ALTERNATING && number % 2 == 0 ? -1 : 1;
        List<PlacementBuilder.Piece> pieces = new ArrayList<>();
        Registration on = new Registration.CentreOnMark(laying.mark(Mark.Kind.MIDDLE, centre), false);
        double at = whole.startAngle();
        // Begun where it touches the line, it ends there only after whole turns.
        for (int rest = motif.halfTurns() + motif.halfTurns() % 2; rest > 0; rest -= 2) {
            Arc arc = new Arc(centre, radius, at, turn * 2 * Math.PI);
            LineEnd.ShownBy by = rest <= 2 ? LineEnd.ShownBy.STITCHING : LineEnd.ShownBy.NEEDLE;
            pieces.add(new PlacementBuilder.Piece(arc, tool, on, LineEnd.at(arc.end(), by)));
        }
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.CIRCLE, number),
                pieces,
                LineEnd.at(touch, LineEnd.ShownBy.STITCHING),
                PlacementBuilder.Turn.ABOUT_CENTRE);
        if (motif.swirl()) {
            CirclesLayout.swirl(laying, centre, touch, number, turn);
        }
        laying.enclosed().add(new RunContext.Enclosed(number, List.of(Path.circle(centre, radius))));
    }

    /** Whether a circle would lie on one that stands already; else it stands there from now on. */
    private boolean isTaken(Point centre, double radius) {
        double side = 2 * radius + motif.gap();
        long x = (long) Math.floor(centre.x() / side);
        long y = (long) Math.floor(centre.y() / side);
        for (long i = x - 1; i <= x + 1; i++) {
            for (long j = y - 1; j <= y + 1; j++) {
                if (taken.getOrDefault(List.of(i, j), List.of()).stream()
                        .anyMatch(other -> other.distance(centre) < side - Tolerances.CHALK)) {
                    return true;
                }
            }
        }
        taken.computeIfAbsent(List.of(x, y), key -> new ArrayList<>()).add(centre);
        return false;
    }
}
