package jollyspindle.core.demo;

import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.shelf.StarterShelf;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** The demo quilt with four rings that differ much. */
public final class DemoRings {

    private DemoRings() {}

    /** Each by what it is called; always the same, in the same order. */
    public static Map<String, QuiltJob> all() {
        Map<String, QuiltJob> rings = new LinkedHashMap<>();
        rings.put("ring-nested-arcs", nestedArcs());
        rings.put("ring-hanging-fans", hangingFans());
        rings.put("ring-lanterns", lanterns());
        rings.put("ring-peaks", peaks());
        return rings;
    }

    private static QuiltJob ring(String name, Corners corners, double repeat, Design design) {
        QuiltJob demo = DemoJob.heronWeir();
        return demo.withName(name)
                .withQuilt(demo.quilt().with(corners))
                .withTemplates(List.of(
                        StarterShelf.template("orchard-hill"),
                        StarterShelf.template("low-dune"),
                        StarterShelf.template("barley-fan"),
                        StarterShelf.template("furrow-long")))
                .editing(GroupId.border(1), l -> l.with(design).with(l.wish().withRepeat(repeat)));
    }

    private static Layer with(Motif motif, String template) {
        return Layer.of(motif).withTemplate(Optional.of(template), Optional.empty());
    }

    private static QuiltJob nestedArcs() {
        Motif arcs = new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(), Optional.empty(), 1);
        return ring(
                "Weir Steps",
                Corners.MITRED,
                7,
                Design.of(with(arcs, "orchard-hill")).withCorner(CornerDesign.of(CornerDesign.Kind.MITRE_ARC)));
    }

    private static QuiltJob hangingFans() {
        return ring(
                "Barley Loft",
                Corners.MITRED,
                6,
                Design.of(with(new Motif.Fans(4, 1), "barley-fan").with(Layer.Edge.OUTSIDE))
                        .withCorner(CornerDesign.of(CornerDesign.Kind.QUARTER_FAN)
                                .withLines(4)
                                .withFromOuter(true)));
    }

    private static QuiltJob lanterns() {
        Motif facing = new Motif.FacingArcs(
                Motif.Facing.CROWNS,
                OptionalDouble.empty(),
                OptionalDouble.of(0.75),
                false,
                false,
                Optional.empty(),
                1);
        return ring(
                "Lantern Lane",
                Corners.CORNERSTONES,
                7,
                Design.of(with(facing, "orchard-hill"))
                        .withLayer(Layer.of(new Motif.Crosshatch(0.75, Math.PI / 4, true, false))
                                .with(Layer.Space.INSIDE)
                                .with(Layer.Cells.ODD)
                                .withTemplate(Optional.of("furrow-long"), Optional.empty()))
                        .withCorner(CornerDesign.of(CornerDesign.Kind.CORNERSTONE_RING)
                                .withTemplate(Optional.of("low-dune"), Optional.empty())
                                .withLines(2)));
    }

    private static QuiltJob peaks() {
        Motif peaks = new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.empty(), 0, 3, 0.5);
        return ring(
                "Gable Row",
                Corners.MITRED,
                8,
                Design.of(with(peaks, "furrow-long"))
                        .withLayer(Layer.of(new Motif.StraightLines(8, Math.PI / 2))
                                .with(Layer.Space.ABOVE)
                                .withTemplate(Optional.of("furrow-long"), Optional.empty()))
                        .withCorner(CornerDesign.of(CornerDesign.Kind.DIAGONAL_CUT)));
    }
}
