package jollyspindle.core.area;

import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.Sewing;
import jollyspindle.core.sewing.Tool;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Arms}: one template turned by 360/n degrees from arm to arm, its hook against the foot at the
 * centre and its line on a ray. Whatever lies beyond the area's edge is cut off exactly.
 *
 * <p>On the edge of a square block of side S, the ray at an angle a from the middle of a side meets it S/2·tan a from that
 * middle; a corner lies S/√2 from the centre (derived).
 */
final class ArmsLayout {

    /** Lines that meet in a point without piling up (common practice, no source: a handful is no matter). */
    static final int MOST_IN_A_POINT = 8;

    /** A difference in reach that is worth a word, in inches. */
    private static final double WORTH = 1.0 / 16;

    /** A chalk line's width, in inches: nearer places are the same mark. */
    private static final double CHALK = 1.0 / 64;

    private static final double EIGHTH = Math.PI / 4;

    private final AreaLaying laying;
    private final AreaMotif.Arms motif;
    private final AreaSpace space;

    ArmsLayout(AreaLaying laying, AreaMotif.Arms motif) {
        this.laying = laying;
        this.motif = motif;
        this.space = laying.space();
    }

    void lay() {
        Optional<Tool.Whole> found = laying.tools().arm(laying.templateId());
        if (found.isEmpty()) {
            laying.tell(new AreaTold.NoTool(AreaTold.Need.ARM));
            return;
        }
        Tool.Whole tool = found.get();
        Mark centre = laying.mark(Mark.Kind.CENTRE, space.centre());
        double reach = tool.stitched().end().distance(Point.ORIGIN);
        double needed = 0;
        int shortOf = 0;
        for (int arm = 1; arm <= motif.arms(); arm++) {
            double angle = 2 * Math.PI * (arm - 1) / motif.arms();
            Ray ray = ray(arm, angle);
            double edge = ray.place().distance(space.centre());
            if (reach < edge - WORTH) {
                shortOf++;
                needed = Math.max(needed, edge);
            }
            stitch(tool, arm, angle, centre, ray);
        }
        if (shortOf > 0) {
            laying.tell(new AreaTold.ReachShort(reach, needed, shortOf));
        }
        if (motif.stop() == 0 && motif.arms() > MOST_IN_A_POINT) {
            laying.tell(new AreaTold.PileUp(motif.arms(), MOST_IN_A_POINT));
        }
    }

    private void stitch(Tool.Whole tool, int arm, double angle, Mark centre, Ray ray) {
        Pose pose = new Pose(space.centre(), -angle);
        Tool lying = new Tool.Lying(tool.id(), tool.name(), pose);
        Path whole = tool.stitched().posed(pose);
        List<Path> pieces = motif.stop() > 0
                ? Region.of(Path.circle(space.centre(), motif.stop())).without(whole).stream()
                        .flatMap(p -> laying.kept(p).stream())
                        .toList()
                : laying.kept(whole);
        boolean back = motif.way() == AreaMotif.Way.OUT_AND_BACK;
        boolean inward = !back && arm % 2 == 0;
        List<Path> ordered = new ArrayList<>();
        for (Path piece : pieces) {
            ordered.add(inward ? 0 : ordered.size(), inward ? piece.reversed() : piece);
        }
        for (Path piece : ordered) {
            Spot end = spot(piece.end(), centre);
            List<Curve> curves = piece.curves();
            laying.sewing()
                    .stitch(
                            new Sewing.Naming(Stitched.ARM, arm, 0, back ? 2 : 1),
                            curves.stream()
                                    .map(c -> new Sewing.Piece(
                                            c,
                                            lying,
                                            new Registration.OnRay(centre, ray.mark()),
                                            c == curves.get(curves.size() - 1)
                                                    ? end
                                                    : Spot.at(c.end(), Spot.ShownBy.NEEDLE)))
                                    .toList(),
                            spot(piece.start(), centre),
                            Sewing.Turn.MARKED);
        }
    }

    private Spot spot(Point place, Mark centre) {
        if (motif.stop() > 0 && Math.abs(place.distance(space.centre()) - motif.stop()) < CHALK) {
            return Spot.at(place, Spot.ShownBy.STOP_CIRCLE);
        }
        // A foot that isn't quite the one the arm is cut for begins a thread's width beside the centre.
        return place.distance(centre.place()) < CHALK
                ? new Spot(place, Spot.ShownBy.MARK, Optional.of(centre))
                : laying.shown(place);
    }

    private Ray ray(int number, double angle) {
        double far = space.box().width() + space.box().height();
        Point way = new Point(Math.sin(angle), Math.cos(angle));
        Segment line = new Segment(space.centre(), space.centre().plus(way.times(far)));
        Point place = Region.of(space.outline()).within(Path.of(line)).get(0).end();
        Side side = Side.values()[(int) Math.floorMod(Math.round(angle / (Math.PI / 2)), 4L)];
        double turned = angle - side.ordinal() * Math.PI / 2;
        double half = side.isAcross() ? space.box().height() / 2 : space.box().width() / 2;
        Ray ray = new Ray(
                number,
                angle,
                found(angle),
                side,
                half * Math.tan(Math.IEEEremainder(turned, 2 * Math.PI)),
                place,
                laying.mark(Mark.Kind.RAY, place));
        laying.rays().add(ray);
        return ray;
    }

    /** The usual eight are there; what halves the space between them again and again is found so; the rest is stepped. */
    private static Ray.Found found(double angle) {
        double eighths = angle / EIGHTH;
        if (Math.abs(eighths - Math.rint(eighths)) < 1e-9) {
            return Ray.Found.USUAL;
        }
        for (int parts = 2; parts <= AreaMotif.MOST_ARMS / 8; parts *= 2) {
            if (Math.abs(eighths * parts - Math.rint(eighths * parts)) < 1e-9) {
                return Ray.Found.HALVED;
            }
        }
        return Ray.Found.STEPPED;
    }
}
