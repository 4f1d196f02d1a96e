package jollyspindle.core.motif;

import jollyspindle.core.division.Repeating;
import jollyspindle.core.division.Wish;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a motif asks of the division.
 *
 * @param repeating what stands on a repeat
 * @param shortest repeat it has room on, in inches; 0 if any
 * @param parity which counts it comes out with
 */
public record DivisionConstraints(Repeating repeating, double shortest, Wish.Parity parity) {

    /**
     * What a layer asks.
     *
     * @param room from where the motif stands to the limit of stitching, in inches
     * @return nothing if the template it needs isn't there
     */
    public static Optional<DivisionConstraints> of(Layer layer, EdgeCatalog tools, double room) {
        Motif motif = layer.motif();
        Optional<ArcTemplate> arc = tools.arc(layer.templateId(), layer.guideId());
        if (motif instanceof Motif.Arcs || motif instanceof Motif.FacingArcs) {
            return arc.map(a -> new DivisionConstraints(new Repeating.Arcs(a), 0, parity(motif)));
        }
        if (motif instanceof Motif.Sails) {
            // From the seam to the limit, half a repeat on: no further than the circle is wide.
            return arc.map(a -> a.stitchedRadius(tools.machine()))
                    .filter(r -> 2 * r > room)
                    .map(r -> figures(OptionalDouble.empty(), 2 * Math.sqrt(4 * r * r - room * room), 0, 0));
        }
        if (motif instanceof Motif.Fans fans) {
            return tools.fan(layer.templateId()).flatMap(fan -> fan(fan.blades(), fans, room));
        }
        if (motif instanceof Motif.Circles circles) {
            return CirclesLayout.tool(tools, layer.templateId(), layer.guideId(), room - 2 * circles.gap())
                    .map(t -> 2 * t.stitched())
                    .map(d -> figures(OptionalDouble.of(d + circles.gap()), Wish.LONGEST_REPEAT, d, d));
        }
        if (motif instanceof Motif.Serpentine) {
            return arc.isEmpty() && SerpentineLayout.strip(tools, layer).isEmpty()
                    ? Optional.empty()
                    : Optional.of(new DivisionConstraints(
                            new Repeating.Figures(OptionalDouble.empty(), Wish.LONGEST_REPEAT, 0), 0, parity(motif)));
        }
        Optional<ChevronStripLayout> strip = ChevronStripLayout.of(tools, layer);
        if (strip.isPresent()) {
            double module = strip.get().module();
            return Optional.of(figures(
                    OptionalDouble.of(module),
                    ChevronStripLayout.WIDEST * module,
                    strip.get().height(),
                    ChevronStripLayout.NARROWEST * module));
        }
        if (tools.straight(layer.templateId(), layer.guideId()).isEmpty()
                && !(motif instanceof Motif.Crosshatch hatch && hatch.curved())) {
            return Optional.empty();
        }
        if (motif instanceof Motif.Chevrons chevrons) {
            return Optional.of(
                    chevrons.height().isPresent()
                            ? figures(
                                    OptionalDouble.of(2 * chevrons.height().getAsDouble()),
                                    Wish.LONGEST_REPEAT,
                                    chevrons.height().getAsDouble(),
                                    0)
                            : figures(OptionalDouble.empty(), Math.min(2 * room, Wish.LONGEST_REPEAT), 0, 0));
        }
        return Optional.of(figures(OptionalDouble.empty(), Wish.LONGEST_REPEAT, 0, 0));
    }

    /** Which counts a motif comes out with, whatever the run and the template. */
    public static Wish.Parity parity(Motif motif) {
        if (motif instanceof Motif.Arcs arcs && arcs.otherTemplate().isPresent()) {
            return Wish.Parity.ODD;
        }
        return motif instanceof Motif.Serpentine serpentine && serpentine.perRepeat() % 2 == 1
                ? Wish.Parity.EVEN
                : Wish.Parity.ANY;
    }

    private static Optional<DivisionConstraints> fan(List<StitchingEdge.Round> blades, Motif.Fans fans, double room) {
        return blades.stream()
                .map(StitchingEdge.Round::stitched)
                .filter(r -> r <= room + 1e-9)
                .limit(fans.blades())
                .reduce((a, b) -> b)
                .map(r -> figures(OptionalDouble.of(r), 2 * r, r, 0));
    }

    private static DivisionConstraints figures(OptionalDouble own, double widest, double height, double shortest) {
        return new DivisionConstraints(
                new Repeating.Figures(own, Math.min(widest, Wish.LONGEST_REPEAT), height), shortest, Wish.Parity.ANY);
    }

    /** A wish with what is asked added to it; what the quilter asks for goes first. */
    public Wish added(Wish wish) {
        Wish all = wish;
        if (shortest > wish.shortest().orElse(0)) {
            all = all.withRange(
                    OptionalDouble.of(shortest),
                    wish.longest().isPresent()
                            ? OptionalDouble.of(
                                    Math.max(shortest, wish.longest().getAsDouble()))
                            : wish.longest());
        }
        return parity != Wish.Parity.ANY && wish.parity() == Wish.Parity.ANY ? all.with(parity) : all;
    }

    /** What sort of template a motif is stitched with. */
    public static Obstacle.EdgeKind template(Motif motif) {
        return switch (motif.kind()) {
            case ARCS, FACING_ARCS, SAILS -> Obstacle.EdgeKind.ARC;
            case SERPENTINE -> Obstacle.EdgeKind.S_CURVE;
            case FANS -> Obstacle.EdgeKind.FAN;
            case CIRCLES -> Obstacle.EdgeKind.CIRCLE;
            case CHEVRONS ->
                ((Motif.Chevrons) motif).points() == Motif.Points.PEAKS
                        ? Obstacle.EdgeKind.ZIGZAG
                        : Obstacle.EdgeKind.STRAIGHT_EDGE;
            case STRAIGHT_LINES -> Obstacle.EdgeKind.STRAIGHT_EDGE;
            case CROSSHATCH ->
                ((Motif.Crosshatch) motif).curved() ? Obstacle.EdgeKind.ARC : Obstacle.EdgeKind.STRAIGHT_EDGE;
        };
    }
}
