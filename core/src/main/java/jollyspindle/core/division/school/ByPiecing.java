package jollyspindle.core.division.school;

import jollyspindle.core.division.Counts;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.quilt.QuiltRules;

import java.math.BigInteger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Repeats that are a multiple or a simple fraction of the pieced unit, so that its seams serve as marks. The run has a
 * whole number of units, each a little longer or shorter than it was meant to be.
 *
 * @param unit as pieced
 * @param units to a repeat
 * @param parts a unit is shared by, for repeats smaller than it; 1 otherwise
 */
public record ByPiecing(double unit, int units, int parts) implements School {

    private static final Param.Length<ByPiecing> UNIT =
            Param.length("unit", QuiltRules.SMALLEST_STEP, QuiltRules.LONGEST, ByPiecing::unit);
    private static final Param.Whole<ByPiecing> UNITS = Param.whole("units", 1, Counts.MOST, ByPiecing::units);
    private static final Param.Whole<ByPiecing> PARTS = Param.whole("parts", 1, Counts.MOST, ByPiecing::parts);

    public static final SchoolType<ByPiecing> TYPE =
            new SchoolType<>(
                    SchoolKind.BY_PIECING,
                    ByPiecing.class,
                    Params.of(
                            v -> new ByPiecing(v.get(UNIT), v.get(UNITS), v.get(PARTS)),
                            Params.row(UNIT),
                            Params.row(UNITS, PARTS))) {

                @Override
                public List<ByPiecing> options(Asked asked) {
                    OptionalDouble unit = asked.set().unit();
                    return unit.isPresent() ? asked.inRange(all(asked.longest(), unit.getAsDouble())) : List.of();
                }

                @Override
                public Optional<ByPiecing> near(Now now) {
                    return now.unit().isPresent()
                            ? Repeats.nearest(all(now.length(), now.unit().getAsDouble()), now)
                            : Optional.empty();
                }
            };

    public ByPiecing {
        Repeats.checkStep(unit);
        Repeats.atLeastOne(units);
        Repeats.atLeastOne(parts);
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.BY_PIECING;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return Repeats.next(
                all(length, unit), by, s -> pieces(length) * s.parts() / s.units(), pieces(length) * parts / units);
    }

    /** The ways a repeat can be a multiple of the unit or a simple fraction, that come out on a run; fewest repeats first. */
    public static List<ByPiecing> all(double length, double unit) {
        long pieced = Math.round(length / unit);
        List<ByPiecing> found = new ArrayList<>();
        for (int units = 1; units <= MOST_UNITS; units++) {
            for (int parts = 1; parts <= MOST_PARTS; parts++) {
                boolean lowest =
                        BigInteger.valueOf(units).gcd(BigInteger.valueOf(parts)).equals(BigInteger.ONE);
                if (lowest && pieced >= 1 && pieced * parts % units == 0 && pieced * parts / units <= Counts.MOST) {
                    found.add(new ByPiecing(unit, units, parts));
                }
            }
        }
        found.sort(Comparator.comparingDouble(s -> (double) s.parts / s.units));
        return found;
    }

    private long pieces(double length) {
        return Math.round(length / unit);
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        long pieced = pieces(length);
        if (pieced < 1 || pieced * parts % units != 0) {
            return Optional.empty();
        }
        long count = pieced * parts / units;
        return count < 1 || count > Counts.MOST
                ? Optional.empty()
                : Optional.of(Repeats.equal(length, unit * units / parts, (int) count));
    }
}
