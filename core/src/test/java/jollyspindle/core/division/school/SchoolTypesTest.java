package jollyspindle.core.division.school;

import jollyspindle.core.division.Cell;
import jollyspindle.core.param.RandomValues;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

/** Each school has its type, and is made of what its params say. */
class SchoolTypesTest {

    @Test
    void eachSchoolHasItsType() {
        assertThat(SchoolTypes.ALL.stream().<Class<?>>map(SchoolType::type))
                .containsExactlyInAnyOrder(School.class.getPermittedSubclasses());
        assertThat(SchoolTypes.ALL.stream().map(SchoolType::kind)).containsExactly(SchoolKind.values());
        assertThat(SchoolTypes.ALL).allMatch(type -> SchoolTypes.of(type.kind()) == type);
    }

    @Property(tries = 300)
    void whatIsChosenIsAllThereIs(@ForAll Random random) {
        SchoolTypes.ALL.forEach(type -> chosen(type, random));
    }

    private static <S extends School> void chosen(SchoolType<S> type, Random random) {
        S school = RandomValues.check(type.params(), random, IllegalArgumentException.class);
        assertThat(school.kind()).isEqualTo(type.kind());
        assertThat(SchoolTypes.of(school)).isSameAs(type);
    }

    /** Whoever turns to another school begins with a way that divides the run, as near to how it was as it gets. */
    @Property(tries = 300)
    void whatIsBegunWithDividesTheRun(
            @ForAll @DoubleRange(min = 10, max = 120) double length,
            @ForAll @DoubleRange(min = 2, max = 9) double repeat) {
        int count = (int) Math.max(1, Math.rint(length / repeat));
        SchoolType.Now now = new SchoolType.Now(
                length, repeat, new Even(count).divide(length).orElseThrow(), OptionalDouble.of(1), 0.5);
        for (SchoolType<?> type : SchoolTypes.ALL) {
            type.near(now).ifPresent(school -> {
                List<Cell> cells = school.divide(length).orElseThrow().cells();
                assertThat(cells.get(0).from()).isEqualTo(0);
                assertThat(cells.get(cells.size() - 1).to()).isCloseTo(length, within(1e-9));
            });
        }
        assertThat(Even.TYPE.near(now)).contains(new Even(count));
        assertThat(ByPiecing.TYPE.near(new SchoolType.Now(length, repeat, now.division(), OptionalDouble.empty(), 0.5)))
                .isEmpty();
    }
}
