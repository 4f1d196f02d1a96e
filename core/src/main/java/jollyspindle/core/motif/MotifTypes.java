package jollyspindle.core.motif;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The kinds of motif of runs. */
public final class MotifTypes {

    /** All there are. */
    public static final List<MotifType<?>> ALL = List.of(
            ArcsLayout.TYPE,
            FacingLayout.TYPE,
            SailsLayout.TYPE,
            FansLayout.TYPE,
            CirclesLayout.TYPE,
            SerpentineLayout.TYPE,
            ChevronsLayout.TYPE,
            AlmondsLayout.TYPE,
            LinesLayout.TYPE,
            HatchLayout.TYPE);

    private static final Map<Class<?>, MotifType<?>> BY_CLASS = new HashMap<>();

    static {
        ALL.forEach(type -> BY_CLASS.put(type.type(), type));
    }

    private MotifTypes() {}

    /** The kind of a motif. */
    @SuppressWarnings("unchecked")
    public static <M extends Motif> MotifType<M> of(M motif) {
        // Each kind stands under the class of its motifs.
        return (MotifType<M>) BY_CLASS.get(motif.getClass());
    }

    /** The kind with a lasting name. */
    public static Optional<MotifType<?>> of(String code) {
        return ALL.stream().filter(type -> type.code().equals(code)).findFirst();
    }
}
