package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.RunDivision;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Half a repeat at both ends, whole ones between: L = n·p again. Two sets of marks half a repeat apart, on the seam and on
 * the outer line, take turns: one at 0, p, 2p …, the other at p/2, 3p/2 … Cells end at the latter. Arcs have their feet
 * there and half an arc at both ends, its crown at the corner.
 *
 * @param count n, the two halves counted as one
 */
public record HalfSteps(int count) implements School {

    public HalfSteps {
        Repeats.atLeastOne(count);
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.HALF_STEPS;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return Repeats.counted(count + by, HalfSteps::new);
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        List<Cell> cells = new ArrayList<>();
        double at = 0;
        for (int i = 0; i <= count; i++) {
            double to = i == count ? length : length * (i + 0.5) / count;
            cells.add(new Cell(i == 0 || i == count ? Cell.Kind.HALF : Cell.Kind.REPEAT, at, to));
            at = to;
        }
        return Optional.of(new RunDivision(length / count, cells));
    }
}
