package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.QuiltRules;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.LongStream;

/**
 * A stencil's even marks run in from both ends; a repeat spans a whole number of them. The sliver that is left in the
 * middle, or lacking there, is merged into one mark: both repeats beside it take half of it, or the one round it all.
 * It is always less than one step; where the marks below or above it both make whole repeats, the smaller is taken.
 *
 * @param step from mark to mark
 * @param steps to a repeat
 */
public record ByIncrements(double step, int steps) implements School {

    private static final Param.Length<ByIncrements> STEP =
            Param.length("step", QuiltRules.SMALLEST_STEP, QuiltRules.LONGEST, ByIncrements::step);
    private static final Param.Whole<ByIncrements> STEPS = Param.whole("steps", 1, Counts.MOST, ByIncrements::steps);

    public static final SchoolType<ByIncrements> TYPE =
            new SchoolType<>(
                    SchoolKind.BY_INCREMENTS,
                    ByIncrements.class,
                    Params.of(v -> new ByIncrements(v.get(STEP), v.get(STEPS)), Params.row(STEP), Params.row(STEPS))) {

                @Override
                public List<ByIncrements> options(Asked asked) {
                    return asked.inRange(all(asked.longest(), asked.set().wish().increment()));
                }

                @Override
                public Optional<ByIncrements> near(Now now) {
                    return Repeats.nearest(all(now.length(), now.increment()), now);
                }
            };

    public ByIncrements {
        Repeats.checkStep(step);
        Repeats.atLeastOne(steps);
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.BY_INCREMENTS;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return Repeats.next(all(length, step), by, s -> s.repeats(length), repeats(length));
    }

    /** All numbers of steps that come out on a run, fewest repeats first. */
    public static List<ByIncrements> all(double length, double step) {
        List<ByIncrements> found = new ArrayList<>();
        for (int steps = (int) Math.min(Counts.MOST, Math.ceil(length / step)); steps >= 1; steps--) {
            ByIncrements way = new ByIncrements(step, steps);
            long repeats = way.repeats(length);
            if (repeats >= 1 && repeats <= Counts.MOST) {
                found.add(way);
            }
        }
        return found;
    }

    /**
     * What the marks from both ends leave between them in the middle of a run.
     *
     * @param length of a run that comes out, in inches
     * @return in inches; below 0 if it is lacking there
     */
    public double sliver(double length) {
        return length - marks(length).orElseThrow() * step;
    }

    private long repeats(double length) {
        return marks(length).orElse(0) / steps;
    }

    /** The spaces from mark to mark if they make whole repeats, and the sliver is less than one of them. */
    private OptionalLong marks(double length) {
        double spaces = length / step;
        return LongStream.of((long) Math.floor(spaces), (long) Math.ceil(spaces))
                .filter(m -> m >= steps && m % steps == 0)
                .boxed()
                .min(Comparator.comparingDouble(m -> Math.abs(spaces - m)))
                .map(OptionalLong::of)
                .orElseGet(OptionalLong::empty);
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        if (repeats(length) < 1 || repeats(length) > Counts.MOST) {
            return Optional.empty();
        }
        int count = (int) repeats(length);
        double repeat = step * steps;
        List<Cell> cells = new ArrayList<>();
        double at = 0;
        for (int k = 1; k <= count; k++) {
            // From the end that is nearer; a valley on the centre is the merged mark itself.
            double to = 2 * k == count ? length / 2 : 2 * k < count ? k * repeat : length - (count - k) * repeat;
            cells.add(new Cell(Cell.Kind.REPEAT, at, to));
            at = to;
        }
        return Optional.of(new RunDivision(repeat, cells));
    }
}
