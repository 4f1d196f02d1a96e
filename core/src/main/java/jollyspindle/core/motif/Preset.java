package jollyspindle.core.motif;

import jollyspindle.core.layout.EdgeKind;

import java.util.List;
import java.util.Optional;

/**
 * A motif to begin with, as a gallery offers it.
 *
 * @param code lasting, letters and hyphens
 * @param motif with usual numbers
 * @param edge it stands on
 */
public record Preset(String code, Motif motif, Layer.Edge edge) {

    /** How far lines beside each other are apart to begin with, in inches. */
    static final double SPACING = 0.5;

    /** All that kinds of motif offer, the simplest first. */
    public static List<Preset> all() {
        return MotifTypes.ALL.stream().flatMap(type -> type.offered().stream()).toList();
    }

    static Preset onSeam(String code, Motif motif) {
        return new Preset(code, motif, Layer.Edge.SEAM);
    }

    /**
     * A layer with this motif.
     *
     * @param instead of which it is laid; its template goes on where the new motif is stitched with the same sort
     */
    public Layer layer(Layer instead) {
        EdgeKind need = DivisionConstraints.template(motif);
        EdgeKind before = DivisionConstraints.template(instead.motif());
        boolean same = need.isLike(before);
        return new Layer(
                motif,
                edge,
                instead.space(),
                instead.cells(),
                instead.breathing(),
                instead.halfStep(),
                same ? instead.templateId() : Optional.empty(),
                same ? instead.guideId() : Optional.empty(),
                0);
    }
}
