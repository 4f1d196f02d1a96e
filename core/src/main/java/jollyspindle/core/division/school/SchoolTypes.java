package jollyspindle.core.division.school;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** The schools of division. */
public final class SchoolTypes {

    /** All there are, in the order in which they are offered. */
    public static final List<SchoolType<?>> ALL = List.of(
            Even.TYPE,
            CornersIn.TYPE,
            CentreOut.TYPE,
            HalfSteps.TYPE,
            Fudged.TYPE,
            ByPiecing.TYPE,
            ByIncrements.TYPE,
            ByHand.TYPE);

    private static final Map<SchoolKind, SchoolType<?>> BY_KIND = new EnumMap<>(SchoolKind.class);

    static {
        ALL.forEach(type -> BY_KIND.put(type.kind(), type));
    }

    private SchoolTypes() {}

    public static SchoolType<?> of(SchoolKind kind) {
        return BY_KIND.get(kind);
    }

    @SuppressWarnings("unchecked")
    public static <S extends School> SchoolType<S> of(S school) {
        // Each stands under the kind of its schools.
        return (SchoolType<S>) BY_KIND.get(school.kind());
    }

    /** What makes a way look different from others of its school. */
    public static <S extends School> Object look(S school) {
        return of(school).look(school);
    }
}
