package jollyspindle.core.division.school;

import jollyspindle.core.division.RunDivision;

import java.util.Optional;

/** So many repeats, each stretched alike. */
public record Even(int count) implements School {

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
