package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.quilt.QuiltRules;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.function.ToLongFunction;

/** What schools have in common. */
final class Repeats {

    private Repeats() {}

    /** The way so many places further on in a list that is sorted by the count it gives, fewest first. */
    static <S extends School> Optional<School> next(List<S> all, int by, ToLongFunction<S> count, long now) {
        List<S> further = all.stream()
                .filter(s -> by > 0 ? count.applyAsLong(s) > now : count.applyAsLong(s) < now)
                .toList();
        int index = by > 0 ? by - 1 : further.size() + by;
        return index >= 0 && index < further.size() ? Optional.of(further.get(index)) : Optional.empty();
    }

    static RunDivision equal(double length, double meant, int count) {
        List<Cell> cells = new ArrayList<>();
        double at = 0;
        for (int i = 1; i <= count; i++) {
            double to = i == count ? length : length * i / count;
            cells.add(new Cell(Cell.Kind.REPEAT, at, to));
            at = to;
        }
        return new RunDivision(meant, cells);
    }

    /** A school with another count, if there can be so many. */
    static Optional<School> counted(int count, IntFunction<School> make) {
        return count < 1 || count > Counts.MOST ? Optional.empty() : Optional.of(make.apply(count));
    }

    static void atLeastOne(int count) {
        Guards.within("count", count, 1, Counts.MOST);
    }

    static void checkRepeat(double inches) {
        Guards.within("repeat", inches, QuiltRules.SMALLEST, QuiltRules.LONGEST);
    }

    static void checkStep(double inches) {
        Guards.within("step", inches, QuiltRules.SMALLEST_STEP, QuiltRules.LONGEST);
    }

    /** The way whose repeats are nearest to those of now. */
    static <S extends School> Optional<S> nearest(List<S> all, SchoolType.Now now) {
        return all.stream().min(Comparator.comparingDouble(s -> s.divide(now.length())
                .map(d -> Math.abs(d.repeat() - now.division().repeat()))
                .orElse(Double.MAX_VALUE)));
    }
}
