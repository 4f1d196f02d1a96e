package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.Sewing;
import jollyspindle.core.sewing.Tool;

import java.util.Comparator;
import java.util.List;

/**
 * Lays out {@link AreaMotif.Circles}: a circle about the middle of each square of the grid. The classic size goes through the
 * square's four corners, s/√2 in radius; of the shelf's circles the one nearest to that is taken. Each begins on the side
 * towards the circle before, where it crosses it.
 */
final class OverlappingCirclesLayout {

    private final AreaLaying laying;
    private final AreaMotif.Circles motif;
    private final Box box;

    OverlappingCirclesLayout(AreaLaying laying, AreaMotif.Circles motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        List<Tool.Round> all = laying.circles();
        if (all.isEmpty()) {
            return;
        }
        double across = box.width() / motif.across();
        double down = box.height() / motif.down();
        double classic = Math.hypot(across, down) / 2;
        Tool.Round tool = all.stream()
                .min(Comparator.comparingDouble(t -> Math.abs(t.stitched() - classic)))
                .orElseThrow();
        double apart = Math.max(across, down);
        if (2 * tool.stitched() <= apart) {
            laying.tell(new AreaTold.CirclesApart(2 * tool.stitched(), apart));
        }
        int number = 0;
        for (int row = 0; row < motif.down(); row++) {
            for (int column = 0; column < motif.across(); column++) {
                number++;
                Point middle = laying.space().place((column + 0.5) * across, box.height() - (row + 0.5) * down);
                Mark mark = laying.mark(Mark.Kind.MIDDLE, middle);
                // The crossing with the circle on the left, above; from there clockwise.
                double cosine = Math.min(1, across / 2 / tool.stitched());
                Arc whole = new Arc(middle, tool.stitched(), Math.PI - Math.acos(cosine), -2 * Math.PI);
                boolean first = column == 0;
                laying.stitch(
                        Sewing.Naming.of(Stitched.CIRCLE, number),
                        Path.of(whole),
                        c -> tool,
                        c -> new Registration.CentreOnMark(mark, false),
                        p -> first ? laying.marked(Mark.Kind.LINE_START, p) : Spot.at(p, Spot.ShownBy.STITCHING));
            }
        }
    }
}
