package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.RunDivision;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Repeats of a fixed length, and what is left over, e = L − n·p, spread over some of them alike. */
public record Fudged(double repeat, int count, Spread spread) implements School {

    public Fudged {
        Repeats.checkRepeat(repeat);
        Repeats.atLeastOne(count);
    }

    /** The numbers of the repeats that take it, from 1; none if there are no such. */
    private Set<Integer> taking() {
        if (spread instanceof Spread.Chosen chosen) {
            return chosen.numbers().stream().allMatch(k -> k >= 1 && k <= count) ? chosen.numbers() : Set.of();
        }
        int wide = count;
        if (spread instanceof Spread.RoundCentre round) {
            // As many as have their middle on the centre, and never the first or last.
            wide = Math.min(round.repeats(), count - 2);
            wide -= (count - wide) % 2;
        }
        Set<Integer> taking = new TreeSet<>();
        for (int i = 0; i < wide; i++) {
            taking.add((count - wide) / 2 + i + 1);
        }
        return taking;
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.FUDGED;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return Repeats.counted(count + by, more -> new Fudged(repeat, more, spread));
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        Set<Integer> taking = taking();
        if (taking.isEmpty()) {
            return Optional.empty();
        }
        double more = (length - count * repeat) / taking.size();
        if (repeat + more <= NOTHING) {
            return Optional.empty();
        }
        List<Cell> cells = new ArrayList<>();
        double at = 0;
        int taken = 0;
        for (int k = 1; k <= count; k++) {
            taken += taking.contains(k) ? 1 : 0;
            double to = k == count ? length : k * repeat + taken * more;
            cells.add(new Cell(Cell.Kind.REPEAT, at, to));
            at = to;
        }
        return Optional.of(new RunDivision(repeat, cells));
    }
}
