package jollyspindle.core.motif;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** The kinds of motif of corners. */
public final class CornerTypes {

    private static final CornerType PLAIN = new CornerType(CornerDesign.Kind.PLAIN, List.of()) {

        @Override
        void lay(CornerContext corner) {
            // Nothing is stitched there.
        }
    };

    /** All there are, in the order in which they are offered. */
    public static final List<CornerType> ALL = List.of(
            PLAIN,
            MitreArcLayout.TYPE,
            DiagonalCutLayout.TYPE,
            CornerstoneRingLayout.TYPE,
            QuarterFanLayout.TYPE,
            TurnedArcLayout.TYPE);

    private static final Map<CornerDesign.Kind, CornerType> BY_KIND = new EnumMap<>(CornerDesign.Kind.class);

    static {
        ALL.forEach(type -> BY_KIND.put(type.kind(), type));
    }

    private CornerTypes() {}

    public static CornerType of(CornerDesign.Kind kind) {
        return BY_KIND.get(kind);
    }
}
