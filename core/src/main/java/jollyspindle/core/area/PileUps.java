package jollyspindle.core.area;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Where lines end or turn so near to each other that thread piles up. */
final class PileUps {

    /** A turn of less than this, in radians, is none. */
    private static final double STRAIGHT_ON = Math.toRadians(5);

    private record Cell(long x, long y) {}

    private PileUps() {}

    /**
     * The place where most lines lead within {@link AreaRules#POINT}; a line that turns there leads there twice.
     *
     * @param most that are no matter
     * @return nothing if nowhere more do
     */
    static Optional<AreaDiagnostic.PileUp> worst(List<StitchLine> lines, int most) {
        List<Point> ends = ends(lines);
        Map<Cell, List<Point>> cells = new HashMap<>();
        ends.forEach(p ->
                cells.computeIfAbsent(cell(p, 0, 0), c -> new ArrayList<>()).add(p));
        Point place = null;
        int found = most;
        for (Point p : ends) {
            int near = 0;
            for (int x = -1; x <= 1; x++) {
                for (int y = -1; y <= 1; y++) {
                    for (Point other : cells.getOrDefault(cell(p, x, y), List.of())) {
                        near += other.distance(p) < AreaRules.POINT ? 1 : 0;
                    }
                }
            }
            if (near > found) {
                found = near;
                place = p;
            }
        }
        return place == null ? Optional.empty() : Optional.of(new AreaDiagnostic.PileUp(found, most, place));
    }

    private static List<Point> ends(List<StitchLine> lines) {
        List<Point> ends = new ArrayList<>();
        for (StitchLine line : lines) {
            List<Curve> curves = line.path().curves();
            if (!line.path().closed()) {
                ends.add(line.path().start());
                ends.add(line.path().end());
            } else if (turns(curves.get(curves.size() - 1), curves.get(0))) {
                ends.add(line.path().start());
                ends.add(line.path().start());
            }
            for (int i = 1; i < curves.size(); i++) {
                if (turns(curves.get(i - 1), curves.get(i))) {
                    ends.add(curves.get(i).start());
                    ends.add(curves.get(i).start());
                }
            }
        }
        return ends;
    }

    private static boolean turns(Curve before, Curve after) {
        Point in = before.direction(1);
        Point out = after.direction(0);
        return Math.abs(Math.atan2(in.cross(out), in.dot(out))) > STRAIGHT_ON;
    }

    private static Cell cell(Point p, int x, int y) {
        return new Cell((long) Math.floor(p.x() / AreaRules.POINT) + x, (long) Math.floor(p.y() / AreaRules.POINT) + y);
    }
}
