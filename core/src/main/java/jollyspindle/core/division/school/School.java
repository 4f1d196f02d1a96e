package jollyspindle.core.division.school;

import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.Filling;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.measure.Tolerances;

import java.util.Optional;

/**
 * A way to make a run come out (common practice, no source). All lengths in inches.
 *
 * <p>A division that has no room on a run is none: too few inches for the repeats that are asked for.
 */
public sealed interface School permits Even, CornersIn, CentreOut, HalfSteps, Fudged, ByPiecing, ByIncrements, ByHand {

    /** Spaces of no more than this, in inches, are nothing. */
    double NOTHING = Tolerances.ROUNDING;

    /** No repeat is pieced from more units. */
    int MOST_UNITS = 12;

    /** No unit is shared by more repeats. */
    int MOST_PARTS = 4;

    /**
     * Cuts a run.
     *
     * @param length of the run, over 0
     * @return nothing if the run is too short for it
     */
    Optional<RunDivision> divide(double length);

    SchoolKind kind();

    /** What stands on the odd space in the middle; nothing if it leaves none. */
    default Optional<Filling> inMiddle() {
        return Optional.empty();
    }

    /** What becomes of the odd pieces at the ends; nothing if it leaves none. */
    default Optional<EndUse> atEnds() {
        return Optional.empty();
    }

    /**
     * The same with more repeats or fewer.
     *
     * @param by how many more; where repeats come in pairs, so many pairs
     * @param length of the run, in inches
     * @return nothing if the run can't be divided so
     */
    default Optional<School> step(int by, double length) {
        try {
            return stepped(by, length).filter(s -> s.divide(length).isPresent());
        } catch (IllegalArgumentException e) {
            // No such count.
            return Optional.empty();
        }
    }

    /** As {@link #step}, not yet tried. */
    Optional<School> stepped(int by, double length);
}
