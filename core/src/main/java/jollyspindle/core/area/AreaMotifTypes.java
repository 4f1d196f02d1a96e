package jollyspindle.core.area;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The kinds of motif of areas. */
public final class AreaMotifTypes {

    /** All there are, those about a centre first. */
    public static final List<AreaMotifType<?>> ALL = List.of(
            ArmsLayout.TYPE,
            RingsLayout.TYPE,
            WreathLayout.TYPE,
            PetalsLayout.TYPE,
            PointsLayout.TYPE,
            EchoesLayout.TYPE,
            ClamshellsLayout.TYPE,
            PeelLayout.TYPE,
            OverlappingCirclesLayout.TYPE,
            CrosshatchLayout.TYPE,
            CurvedHatchLayout.TYPE,
            QuartersLayout.TYPE,
            CornerRaysLayout.TYPE,
            WhirlLayout.TYPE,
            VeeLayout.TYPE,
            StraightFansLayout.TYPE);

    private static final Map<Class<?>, AreaMotifType<?>> BY_CLASS = new HashMap<>();

    static {
        ALL.forEach(type -> BY_CLASS.put(type.type(), type));
    }

    private AreaMotifTypes() {}

    /** The kind of a motif. */
    @SuppressWarnings("unchecked")
    public static <M extends AreaMotif> AreaMotifType<M> of(M motif) {
        // Each kind stands under the class of its motifs.
        return (AreaMotifType<M>) BY_CLASS.get(motif.getClass());
    }

    /** The kind of motifs of a class. */
    public static AreaMotifType<?> of(Class<? extends AreaMotif> motifs) {
        return BY_CLASS.get(motifs);
    }

    /** The kind with a lasting name. */
    public static Optional<AreaMotifType<?>> of(String code) {
        return ALL.stream().filter(type -> type.code().equals(code)).findFirst();
    }
}
