package jollyspindle.core.motif;

import jollyspindle.core.layout.EdgeKind;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A motif to begin with, as a gallery offers it.
 *
 * @param code lasting, letters and hyphens
 * @param motif with usual numbers
 * @param edge it stands on
 */
public record Preset(String code, Motif motif, Layer.Edge edge) {

    private static final double SPACING = 0.5;

    private static final List<Preset> ALL = List.of(
            onSeam("arcs", Motif.Arcs.single()),
            onSeam("nested-arcs", new Motif.Arcs(Motif.Inner.LOWERED, 3, SPACING, List.of(), Optional.empty(), 1)),
            onSeam("facing-arcs", facing(Motif.Facing.CROWNS)),
            onSeam("egg-and-dart", facing(Motif.Facing.HALF_STEP)),
            onSeam("two-to-one", facing(Motif.Facing.TWO_TO_ONE)),
            onSeam("overlapping", facing(Motif.Facing.OVERLAPPING)),
            onSeam("sails", new Motif.Sails(3, SPACING)),
            onSeam("fans", new Motif.Fans(3, 1)),
            new Preset("hanging-fans", new Motif.Fans(3, 1), Layer.Edge.OUTSIDE),
            onSeam("circles", new Motif.Circles(0.25, 3, Motif.Turning.ALTERNATING, false)),
            onSeam("serpentine", new Motif.Serpentine(2, false)),
            onSeam("peaks", new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.empty(), 0, 2, SPACING)),
            onSeam("boxes", new Motif.Chevrons(Motif.Points.BOXES, OptionalDouble.empty(), 0, 2, SPACING)),
            onSeam("piano-keys", new Motif.StraightLines(6, Math.PI / 2)),
            onSeam("leaning-lines", new Motif.StraightLines(6, Math.PI / 3)),
            onSeam("crosshatch", new Motif.Crosshatch(1, Math.PI / 4, false)));

    /** All there are, the simplest first. */
    public static List<Preset> all() {
        return ALL;
    }

    private static Preset onSeam(String code, Motif motif) {
        return new Preset(code, motif, Layer.Edge.SEAM);
    }

    private static Motif facing(Motif.Facing facing) {
        return new Motif.FacingArcs(
                facing, OptionalDouble.empty(), OptionalDouble.empty(), false, false, Optional.empty(), 1);
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
                same ? instead.templateId() : Optional.empty(),
                same ? instead.guideId() : Optional.empty(),
                0);
    }
}
