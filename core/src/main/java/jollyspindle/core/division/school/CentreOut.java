package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.EndUse;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.QuiltRules;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Whole repeats of a fixed length about the run's centre; what is left goes into the corners. An even count has a valley
 * on the centre, an odd one a crown.
 *
 * @param ends what becomes of the odd pieces at the ends
 */
public record CentreOut(double repeat, int count, EndUse ends) implements School {

    private static final Param.Length<CentreOut> REPEAT =
            Param.length("repeat", QuiltRules.SMALLEST, QuiltRules.LONGEST, CentreOut::repeat);
    private static final Param.Whole<CentreOut> COUNT = Param.whole("count", 1, Counts.MOST, CentreOut::count);
    private static final Param.Choice<CentreOut, EndUse> ENDS = Param.choice("ends", EndUse.class, CentreOut::ends);

    public static final SchoolType<CentreOut> TYPE =
            new SchoolType<>(
                    SchoolKind.CENTRE_OUT,
                    CentreOut.class,
                    Params.of(
                            v -> new CentreOut(v.get(REPEAT), v.get(COUNT), v.get(ENDS)),
                            Params.row(REPEAT, COUNT),
                            Params.row(ENDS))) {

                @Override
                public List<CentreOut> options(Asked asked) {
                    return asked.fixed()
                            .flatMap(repeat -> ofRepeat(asked, repeat))
                            .toList();
                }

                @Override
                public Optional<CentreOut> near(Now now) {
                    return most(now.length(), now.wanted(), true);
                }

                @Override
                public Object look(CentreOut school) {
                    return school.ends();
                }
            };

    private static Stream<CentreOut> ofRepeat(Asked asked, double repeat) {
        int most = (int) Math.floor(asked.shortest() / repeat + NOTHING);
        // Beside a corner's arc that stands already, what is left over isn't the corner's any more.
        EndUse left = asked.isTakenOf() ? EndUse.PLAIN : EndUse.CORNER;
        return IntStream.of(most, most - 1)
                .filter(count -> count >= 1 && count <= Counts.MOST && asked.suits(count))
                .boxed()
                .flatMap(count -> Stream.of(left, EndUse.SHORT_ARC).map(e -> new CentreOut(repeat, count, e)));
    }

    /** With ends that belong to the corners' motifs. */
    public CentreOut(double repeat, int count) {
        this(repeat, count, EndUse.CORNER);
    }

    public CentreOut {
        Repeats.checkRepeat(repeat);
        Repeats.atLeastOne(count);
    }

    /**
     * With as many repeats as there is room for.
     *
     * @param valleyOnCentre whether a valley or a crown is wanted there
     * @return nothing if there isn't room for them
     */
    public static Optional<CentreOut> most(double length, double repeat, boolean valleyOnCentre) {
        int room = (int) Math.floor(length / repeat + NOTHING);
        int count = room % 2 == (valleyOnCentre ? 0 : 1) ? room : room - 1;
        return count < 1 ? Optional.empty() : Optional.of(new CentreOut(repeat, count));
    }

    @Override
    public Optional<EndUse> atEnds() {
        return Optional.of(ends);
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.CENTRE_OUT;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return Repeats.counted(count + 2 * by, more -> new CentreOut(repeat, more, ends));
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        double end = (length - count * repeat) / 2;
        if (end < -NOTHING) {
            return Optional.empty();
        }
        List<Cell> cells = new ArrayList<>();
        double first = length / 2 - count * repeat / 2;
        if (end > NOTHING) {
            cells.add(new Cell(Cell.Kind.END, 0, first));
        }
        for (int i = 0; i < count; i++) {
            double from = i == 0 && end <= NOTHING ? 0 : length / 2 + (i - count / 2.0) * repeat;
            double to = i == count - 1 && end <= NOTHING ? length : length / 2 + (i + 1 - count / 2.0) * repeat;
            cells.add(new Cell(Cell.Kind.REPEAT, from, to));
        }
        if (end > NOTHING) {
            cells.add(new Cell(Cell.Kind.END, length / 2 + count * repeat / 2, length));
        }
        return Optional.of(new RunDivision(repeat, cells));
    }
}
