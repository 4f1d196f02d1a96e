package jollyspindle.core.division.school;

import jollyspindle.core.division.RunDivision;
import jollyspindle.core.param.Params;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * All there is to know about a school of division. Each stands in the file of the school; {@link SchoolTypes} finds it.
 *
 * @param <S> the school
 */
public abstract class SchoolType<S extends School> {

    private final SchoolKind kind;
    private final Class<S> type;
    private final Params<S> params;

    SchoolType(SchoolKind kind, Class<S> type, Params<S> params) {
        this.kind = kind;
        this.type = type;
        this.params = params;
    }

    public SchoolKind kind() {
        return kind;
    }

    /** Its lasting name. */
    public String code() {
        return kind.code();
    }

    public Class<S> type() {
        return type;
    }

    public Params<S> params() {
        return params;
    }

    /** All it can do for what is asked, fewest repeats first. */
    public abstract List<S> options(Asked asked);

    /** A way to begin with, near to how a run is divided now; nothing if there is none. */
    public abstract Optional<S> near(Now now);

    /** What makes ways of this school look different; of those that look alike only the best is offered. */
    public Object look(S school) {
        return kind;
    }

    /**
     * How a run is divided now.
     *
     * @param length of the run, in inches
     * @param wanted the repeat that is wanted, in inches
     * @param division how it is divided
     * @param unit it is pieced from, in inches
     * @param increment from mark to mark of the stencil, in inches
     */
    public record Now(double length, double wanted, RunDivision division, OptionalDouble unit, double increment) {

        int count() {
            return Math.max(1, division.count());
        }
    }
}
