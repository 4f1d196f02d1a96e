package jollyspindle.core.division.school;

import jollyspindle.core.division.Counts;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;

import java.util.List;
import java.util.Optional;

/** So many repeats, each stretched alike. */
public record Even(int count) implements School {

    private static final Param.Whole<Even> COUNT = Param.whole("count", 1, Counts.MOST, Even::count);

    public static final SchoolType<Even> TYPE =
            new SchoolType<>(SchoolKind.EVEN, Even.class, Params.of(v -> new Even(v.get(COUNT)), Params.row(COUNT))) {

                @Override
                public List<Even> options(Asked asked) {
                    return asked.counts().mapToObj(Even::new).toList();
                }

                @Override
                public Optional<Even> near(Now now) {
                    return Optional.of(new Even(now.count()));
                }
            };

    public Even {
        Repeats.atLeastOne(count);
    }

    @Override
    public SchoolKind kind() {
        return SchoolKind.EVEN;
    }

    @Override
    public Optional<School> stepped(int by, double length) {
        return Repeats.counted(count + by, Even::new);
    }

    @Override
    public Optional<RunDivision> divide(double length) {
        return Optional.of(Repeats.equal(length, length / count, count));
    }
}
