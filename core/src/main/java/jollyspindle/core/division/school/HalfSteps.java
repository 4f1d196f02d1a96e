package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;

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

    private static final Param.Whole<HalfSteps> COUNT = Param.whole("count", 1, Counts.MOST, HalfSteps::count);

    public static final SchoolType<HalfSteps> TYPE =
            new SchoolType<>(
                    SchoolKind.HALF_STEPS,
                    HalfSteps.class,
                    Params.of(v -> new HalfSteps(v.get(COUNT)), Params.row(COUNT))) {

                @Override
                public List<HalfSteps> options(Asked asked) {
                    return asked.counts().mapToObj(HalfSteps::new).toList();
                }

                @Override
                public Optional<HalfSteps> near(Now now) {
                    return Optional.of(new HalfSteps(now.count()));
                }
            };

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
