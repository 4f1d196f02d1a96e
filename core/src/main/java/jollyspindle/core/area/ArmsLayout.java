package jollyspindle.core.area;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.Sewing;
import jollyspindle.core.sewing.Tool;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Arms}: one template turned by 360/n degrees from arm to arm, its hook against the foot at the
 * centre and its line on a ray; and once more turned over, if a second set is to cross the first. Whatever lies beyond the
 * area's edge is cut off exactly.
 */
final class ArmsLayout {

    /** A difference in reach that is worth a word, in inches. */
    private static final double WORTH = 1.0 / 16;

    /** A chalk line's width, in inches: nearer places are the same mark. */
    private static final double CHALK = 1.0 / 64;

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
        for (int set = 1; set <= (motif.mirrored() ? 2 : 1); set++) {
            for (int arm = 1; arm <= motif.arms(); arm++) {
                double angle = motif.turn() + motif.step() * (arm - 1);
                Ray ray = laying.rays().at(angle);
                double edge = ray.place().distance(space.centre());
                if (set == 1 && reach < edge - WORTH) {
                    shortOf++;
                    needed = Math.max(needed, edge);
                }
                stitch(tool, set, arm, angle, centre, ray);
            }
        }
        if (shortOf > 0) {
            laying.tell(new AreaTold.ReachShort(reach, needed, shortOf));
        }
    }

    private void stitch(Tool.Whole tool, int set, int arm, double angle, Mark centre, Ray ray) {
        Pose pose = new Pose(space.centre(), -angle, set == 2);
        Tool lying = new Tool.Lying(tool.id(), tool.name(), pose);
        Path whole = tool.stitched().posed(pose);
        List<Path> pieces = motif.stop() > 0
                ? Region.of(Path.circle(space.centre(), motif.stop())).without(whole).stream()
                        .flatMap(p -> laying.kept(p).stream())
                        .toList()
                : laying.kept(whole);
        // An arm that floats, ending on no edge, is stitched twice even where the others lead along the edge.
        boolean floats = !pieces.isEmpty()
                && !laying.onEdge(pieces.get(pieces.size() - 1).end());
        boolean back = motif.way() == AreaMotif.Way.OUT_AND_BACK || floats;
        boolean inward = !back && needleIsOut();
        List<Path> ordered = new ArrayList<>();
        for (Path piece : pieces) {
            ordered.add(inward ? 0 : ordered.size(), inward ? piece.reversed() : piece);
        }
        for (Path piece : ordered) {
            var curves = piece.curves();
            laying.sewing()
                    .stitch(
                            new Sewing.Naming(Stitched.ARM, arm, set == 2 ? 2 : 0, back ? 2 : 1),
                            curves.stream()
                                    .map(c -> new Sewing.Piece(
                                            c,
                                            lying,
                                            new Registration.OnRay(centre, ray.mark()),
                                            c == curves.get(curves.size() - 1)
                                                    ? spot(piece.end(), centre)
                                                    : Spot.at(c.end(), Spot.ShownBy.NEEDLE)))
                                    .toList(),
                            spot(piece.start(), centre),
                            Sewing.Turn.MARKED);
        }
    }

    /** Whether the line before has left the needle on the edge. */
    private boolean needleIsOut() {
        var lines = laying.sewing().lines();
        return !lines.isEmpty()
                && lines.get(lines.size() - 1).kind() == Stitched.ARM
                && lines.get(lines.size() - 1).needleAt().distance(space.centre())
                        > Math.max(CHALK, motif.stop() + CHALK);
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
}
