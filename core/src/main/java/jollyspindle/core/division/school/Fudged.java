package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.QuiltRules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Repeats of a fixed length, and what is left over, e = L − n·p, spread over some of them alike. */
public record Fudged(double repeat, int count, Spread spread) implements School {

    /** No more repeats than these take what is left over, of the ways that are offered. */
    private static final int MOST_TAKING = 12;

    private static final Param.Length<Fudged> REPEAT =
            Param.length("repeat", QuiltRules.SMALLEST, QuiltRules.LONGEST, Fudged::repeat);
    private static final Param.Whole<Fudged> COUNT = Param.whole("count", 1, Counts.MOST, Fudged::count);
    private static final Param.Own<Fudged, Spread> SPREAD = Param.own("spread", Spread.class, Fudged::spread);

    public static final SchoolType<Fudged> TYPE =
            new SchoolType<>(
                    SchoolKind.FUDGED,
                    Fudged.class,
                    Params.of(
                            v -> new Fudged(v.get(REPEAT), v.get(COUNT), v.get(SPREAD)),
                            Params.row(REPEAT, COUNT),
                            Params.row(SPREAD))) {

                @Override
                public List<Fudged> options(Asked asked) {
                    return asked.fixed()
                            .flatMap(repeat -> ofRepeat(asked, repeat))
                            .toList();
                }

                @Override
                public Optional<Fudged> near(Now now) {
                    return Optional.of(new Fudged(now.wanted(), now.count(), new Spread.All()));
                }
            };

    private static Stream<Fudged> ofRepeat(Asked asked, double repeat) {
        int near = (int) Math.floor((asked.longest() + asked.shortest()) / 2 / repeat);
        return IntStream.rangeClosed(near, near + 1)
                .filter(count -> count >= 1 && count <= Counts.MOST && asked.suits(count))
                .boxed()
                .flatMap(count -> IntStream.rangeClosed(2, Math.min(MOST_TAKING, count - 2))
                        .filter(taking -> taking % 2 == count % 2)
                        .mapToObj(taking -> new Fudged(repeat, count, new Spread.RoundCentre(taking))));
    }

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
