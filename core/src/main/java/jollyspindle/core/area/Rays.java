package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.quilt.Side;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The rays from a piece's centre that templates are laid on, each once, whichever motifs need it.
 *
 * <p>On the edge of a square block of side S, the ray at an angle a from the middle of a side meets it S/2·tan a from that
 * middle; a corner lies S/√2 from the centre (derived). On a medallion's rim the reading goes along the rim.
 */
final class Rays {

    private static final double EIGHTH = Math.PI / 4;
    private final AreaSpace space;
    private final Marker marker;
    private final List<Ray> all = new ArrayList<>();

    Rays(AreaSpace space, Marker marker) {
        this.space = space;
        this.marker = marker;
    }

    List<Ray> all() {
        return all;
    }

    /** A direction clockwise from the top, as a vector. */
    static Point way(double angle) {
        return new Point(Math.sin(angle), Math.cos(angle));
    }

    /**
     * The ray from the centre at an angle.
     *
     * @param angle from the top, clockwise, in radians
     */
    Ray at(double angle) {
        return at(Optional.empty(), angle);
    }

    /** Where rays come from. */
    Point origin(Optional<AreaMotif.Corner> from) {
        return from.map(corner -> corner.in(space.box())).orElseGet(space::centre);
    }

    /**
     * The ray at an angle.
     *
     * @param from the corner it comes from; without one the centre
     * @param angle from the top, clockwise, in radians
     */
    Ray at(Optional<AreaMotif.Corner> from, double angle) {
        double turned = angle - 2 * Math.PI * Math.floor(angle / (2 * Math.PI) + Tolerances.ROUNDING);
        return all.stream()
                .filter(r -> r.from().equals(from))
                .filter(r -> Math.abs(Math.IEEEremainder(r.angle() - turned, 2 * Math.PI)) < Tolerances.ROUNDING)
                .findFirst()
                .orElseGet(() -> add(from, Math.max(0, turned)));
    }

    /** Where a ray at an angle, clockwise from the top in radians, first meets the edge. */
    Point edge(Optional<AreaMotif.Corner> from, double angle) {
        Box box = space.cloth().box();
        double far = box.width() + box.height();
        Point origin = origin(from);
        Segment line = new Segment(origin, origin.plus(way(angle).times(far)));
        return Region.of(space.cloth()).within(Path.of(line)).stream()
                .findFirst()
                .map(Path::end)
                // Along the seam itself.
                .orElseGet(() -> origin.plus(way(angle)
                        .times(Math.abs(way(angle).x()) * box.width()
                                + Math.abs(way(angle).y()) * box.height())));
    }

    private Ray add(Optional<AreaMotif.Corner> from, double angle) {
        Point place = edge(from, angle);
        Reading reading = reading(angle, place);
        Ray ray = new Ray(
                all.size() + 1,
                from,
                angle,
                from.isPresent() ? Ray.Found.READ : found(angle),
                reading.side(),
                reading.fromMiddle(),
                place,
                marker.next(Mark.Kind.RAY, place, Mark.Stage.LOADED));
        all.add(ray);
        return ray;
    }

    private record Reading(Side side, double fromMiddle) {}

    private Reading reading(double angle, Point place) {
        if (space.cloth().curves().size() == Side.values().length) {
            return onFourSides(place);
        }
        // Round or with eight sides: along the edge from the middle of the nearest of the four sides.
        Side side = Side.values()[(int) Math.floorMod(Math.round(angle / (Math.PI / 2)), 4L)];
        double turned = Math.IEEEremainder(angle - side.ordinal() * Math.PI / 2, 2 * Math.PI);
        double half = space.cloth().distance(space.centre());
        if (space.cloth().curves().size() == 1) {
            return new Reading(side, half * turned);
        }
        double corner = Math.PI / 8;
        double round = Math.abs(turned) <= corner
                ? half * Math.tan(Math.abs(turned))
                : half * (2 * Math.tan(corner) - Math.tan(EIGHTH - Math.abs(turned)));
        return new Reading(side, Math.signum(turned) * round);
    }

    private Reading onFourSides(Point place) {
        Curve on = space.cloth().curves().stream()
                .filter(c -> c.distance(place) < Tolerances.SAME_PLACE)
                .findFirst()
                .orElseThrow();
        Point middle = on.at(0.5);
        Point out = middle.minus(space.centre());
        Side side = Math.abs(out.y()) >= Math.abs(out.x())
                ? (out.y() > 0 ? Side.TOP : Side.BOTTOM)
                : (out.x() > 0 ? Side.RIGHT : Side.LEFT);
        // An oblong's long sides lie nearer than its corners are wide, so the side is told by its own direction.
        Point along = on.direction(0);
        boolean across = Math.abs(along.x()) > Math.abs(along.y());
        if (across != side.isAcross()) {
            side = across ? (out.y() > 0 ? Side.TOP : Side.BOTTOM) : (out.x() > 0 ? Side.RIGHT : Side.LEFT);
        }
        // The outline runs counter-clockwise, so to the left with its side up.
        return new Reading(side, -place.minus(middle).dot(along));
    }

    /** The usual eight are there; what halves the space between them again and again is found so; the rest is stepped. */
    private static Ray.Found found(double angle) {
        double eighths = angle / EIGHTH;
        if (Math.abs(eighths - Math.rint(eighths)) < Tolerances.ROUNDING) {
            return Ray.Found.USUAL;
        }
        for (int parts = 2; parts <= AreaMotif.MOST_ARMS / 8; parts *= 2) {
            if (Math.abs(eighths * parts - Math.rint(eighths * parts)) < Tolerances.ROUNDING) {
                return Ray.Found.HALVED;
            }
        }
        return Ray.Found.STEPPED;
    }

    /**
     * The chord to step rays off with: 2R·sin(α/2) for the narrowest step α, on the largest circle in the piece (chord tables
     * in any handbook).
     */
    Optional<AreaPlan.Stepping> stepping() {
        if (all.stream().noneMatch(r -> r.found() == Ray.Found.STEPPED)) {
            return Optional.empty();
        }
        double[] angles = all.stream()
                .filter(r -> r.found() != Ray.Found.READ)
                .mapToDouble(Ray::angle)
                .sorted()
                .toArray();
        double step = angles.length == 1 ? Math.PI : 2 * Math.PI + angles[0] - angles[angles.length - 1];
        for (int i = 1; i < angles.length; i++) {
            step = Math.min(step, angles[i] - angles[i - 1]);
        }
        return Optional.of(new AreaPlan.Stepping(space.inside(), 2 * space.inside() * Math.sin(step / 2)));
    }
}
