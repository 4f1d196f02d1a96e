package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A plate of bumps, and what the needle draws along it from valley to valley, in the plate's frame.
 *
 * @param strip the plate's edge
 * @param figures what is drawn along all its bumps, from the first valley to the last
 * @param valley how high the needle's valleys lie there
 */
record ShellPlate(StitchingEdge.Strip strip, Path figures, double valley) {

    /** Nothing if the foot doesn't get down between the bumps. */
    static Optional<ShellPlate> of(StitchingEdge.Strip strip) {
        double half = strip.figures() * strip.module() / 2;
        return window(strip, -half, half)
                .map(path -> new ShellPlate(strip, path, path.box().bottom()));
    }

    /** What of the edge's line lies between two places across the plate. */
    private static Optional<Path> window(StitchingEdge.Strip strip, double left, double right) {
        Box all = strip.stitched().box();
        return Region.of(Path.polygon(List.of(
                        new Point(left, all.bottom() - 1),
                        new Point(right, all.bottom() - 1),
                        new Point(right, all.top() + 1),
                        new Point(left, all.top() + 1))))
                .within(strip.stitched())
                .stream()
                .findFirst();
    }

    /** From valley to crown as it is stitched. */
    double rise() {
        return figures.box().top() - valley;
    }

    /**
     * By how much a row's valleys stand above the crowns before, below 0 if they sink under them, when the plate's engraved crown
     * line lies on those: what a foot that isn't the usual one makes of it. 0 where tape is laid there.
     */
    double sinks() {
        double below = strip.top() - valley;
        return strip.across().stream()
                .mapToDouble(line -> line.below() - below)
                .filter(off -> Math.abs(off) <= Tolerances.CHALK)
                .boxed()
                .min(Comparator.comparingDouble(Math::abs))
                .orElse(0.0);
    }

    double across() {
        return strip.figures() * strip.module();
    }

    /**
     * A hold of the plate.
     *
     * @param pose of it, counted along the row and up from where the rows begin
     * @param path that is stitched so
     * @param valleys along the row under which the plate's own valleys lie
     */
    record Hold(Pose pose, Path path, List<Double> valleys) {

        double from() {
            return path.start().x();
        }
    }

    /**
     * The holds of a row.
     *
     * @param from where a valley stands at its left end or before it
     * @param width up to where it goes
     * @param up how high its valleys stand
     * @param pitch from valley to valley: the plate's own, or eased at each crown
     */
    List<Hold> row(double from, double width, double up, double pitch) {
        return Math.abs(pitch - strip.module()) < EVEN ? whole(from, width, up) : eased(from, width, up, pitch);
    }

    /** Pitches that differ by less, in inches, are the plate's own: over the longest row it adds up to nothing that is seen. */
    private static final double EVEN = 1e-5;

    private List<Hold> whole(double from, double width, double up) {
        List<Hold> holds = new ArrayList<>();
        for (double at = from; at < width - EVEN; at += across()) {
            Pose pose = pose(at, up, 0);
            List<Double> valleys = new ArrayList<>();
            for (int i = 0; i <= strip.figures(); i++) {
                valleys.add(at + i * strip.module());
            }
            holds.add(new Hold(pose, figures.posed(pose), valleys));
        }
        return holds;
    }

    /** The plate so that one of its valleys stands at a place. */
    private Pose pose(double at, double up, int own) {
        return new Pose(new Point(at - own * strip.module() + across() / 2, up - valley), 0);
    }

    /**
     * Half a shell on either side of each valley, so that what is eased shows at the crowns alone: both halves meet a little beyond
     * the plate's own crown, or before it.
     */
    private List<Hold> eased(double from, double width, double up, double pitch) {
        List<Hold> holds = new ArrayList<>();
        int count = (int) Math.floor((width - from) / pitch + EVEN);
        for (int i = 0; i <= count; i++) {
            double at = from + i * pitch;
            int own = strip.figures() / 2;
            if (strip.figures() > 1) {
                add(holds, at, up, own, -pitch / 2, pitch / 2);
            } else {
                add(holds, at, up, 1, -pitch / 2, 0);
                add(holds, at, up, 0, 0, pitch / 2);
            }
        }
        return holds;
    }

    private void add(List<Hold> holds, double at, double up, int own, double left, double right) {
        double valleyAt = own * strip.module() - across() / 2;
        Pose pose = pose(at, up, own);
        window(strip, valleyAt + left, valleyAt + right)
                .ifPresent(path -> holds.add(new Hold(pose, path.posed(pose), List.of(at))));
    }

    /** How high a shell rises that is eased at its crown. */
    double rise(double pitch) {
        return row(0, pitch, 0, pitch).stream()
                .mapToDouble(hold -> hold.path().box().top())
                .max()
                .orElse(rise());
    }
}
