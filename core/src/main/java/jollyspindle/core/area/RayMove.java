package jollyspindle.core.area;

import java.util.Optional;

/** What becomes of what stands round a centre when one of its rays is moved to another angle. */
public final class RayMove {

    /** The least way round that a ray can be moved to, in radians. */
    private static final double LEAST = 1e-3;

    private RayMove() {}

    /**
     * The motif with a ray moved: the first turns all of them, in whole degrees; any other changes their count, to the one that
     * has the same ray nearest to the angle.
     *
     * @param ray the angle of the ray that is moved, clockwise from the top, in radians
     * @param to its new angle
     * @return nothing if no count that may be has it there, or if the first can't be turned
     */
    public static Optional<AreaMotif.Counted> of(AreaMotif.Counted motif, double ray, double to) {
        if (motif instanceof AreaMotif.Arms arms && arms.corner().isPresent()) {
            return Optional.empty();
        }
        // Which of them the ray stands for; points have rays half-way between, too.
        double which = Math.rint(2 * (ray - motif.turn()) / motif.step()) / 2;
        which -= motif.count() * Math.floor(which / motif.count());
        if (which == 0) {
            return motif instanceof AreaMotif.Arms arms
                    ? Optional.of(arms.withTurn(turned(Math.toRadians(Math.rint(Math.toDegrees(to))))))
                    : Optional.empty();
        }
        long count = Math.round(2 * Math.PI * which / Math.max(once(to - motif.turn()), LEAST));
        boolean may = count >= Math.max(motif.fewest(), Math.ceil(which + 0.5)) && count <= AreaMotif.MOST_ARMS;
        return may ? Optional.of(motif.withCount((int) count)) : Optional.empty();
    }

    /** An angle brought to a whole number of hundredths of a degree, from 0 to under a turn; in radians. */
    public static double turned(double angle) {
        double degrees = Math.rint(Math.toDegrees(angle) * 100) / 100 % 360;
        return Math.toRadians(degrees < 0 ? degrees + 360 : degrees);
    }

    private static double once(double angle) {
        return angle - 2 * Math.PI * Math.floor(angle / (2 * Math.PI));
    }
}
