package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.Sewing;
import jollyspindle.core.sewing.Tool;

import java.util.Optional;

/**
 * Lays out {@link AreaMotif.StraightFans}: in each square lines at equal angles from a small arc about one corner to the two
 * far sides, half a step from the near ones; out along one and in along the next. The corner goes on by one from square to
 * square, so that four squares make a wheel.
 */
final class StraightFansLayout {

    private final AreaLaying laying;
    private final AreaMotif.StraightFans motif;
    private final Box box;

    StraightFansLayout(AreaLaying laying, AreaMotif.StraightFans motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        Optional<Tool.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        double width = box.width() / motif.across();
        double height = box.height() / motif.down();
        if (Math.min(width, height) < motif.stop() + AreaLaying.SHORTEST) {
            laying.tell(new AreaTold.NoRoom());
            return;
        }
        int number = 0;
        for (int row = 0; row < motif.down(); row++) {
            for (int column = 0; column < motif.across(); column++) {
                number++;
                // The wheel's hub is where four squares meet: the corner towards it.
                boolean left = column % 2 == 1;
                boolean low = row % 2 == 0;
                Point corner = laying.space()
                        .place((column + (left ? 0 : 1)) * width, box.height() - (row + (low ? 1 : 0)) * height);
                fan(tool.get(), number, corner, left ? width : -width, low ? height : -height);
            }
        }
    }

    private void fan(Tool.Straight tool, int number, Point corner, double across, double up) {
        for (int line = 1; line <= motif.lines(); line++) {
            double angle = Math.PI / 2 * (line - 0.5) / motif.lines();
            double far = Math.min(Math.abs(across) / Math.cos(angle), Math.abs(up) / Math.sin(angle));
            Point way = new Point(Math.signum(across) * Math.cos(angle), Math.signum(up) * Math.sin(angle));
            Segment out = new Segment(corner.plus(way.times(motif.stop())), corner.plus(way.times(far)));
            Segment whole = line % 2 == 1 ? out : out.reversed();
            laying.stitch(
                    Sewing.Naming.of(Stitched.STRAIGHT_FAN, number, line),
                    Path.of(whole),
                    tool,
                    p -> laying.marked(
                            p.distance(corner) < motif.stop() + 1e-6 ? Mark.Kind.LINE_START : Mark.Kind.LINE_END, p));
        }
    }
}
