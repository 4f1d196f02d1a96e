package jollyspindle.core.motif;

import jollyspindle.core.division.Repeating;
import jollyspindle.core.division.Wish;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.sewing.EdgeCatalog;

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
        return of(layer, layer.motif(), tools, room);
    }

    private static <M extends Motif> Optional<DivisionConstraints> of(
            Layer layer, M motif, EdgeCatalog tools, double room) {
        return MotifTypes.of(motif).asks(layer, motif, tools, room);
    }

    /** Which counts a motif comes out with, whatever the run and the template. */
    public static <M extends Motif> Wish.Parity parity(M motif) {
        return MotifTypes.of(motif).parity(motif);
    }

    /** What figures ask that come out with any repeat. */
    static DivisionConstraints anyRepeat() {
        return figures(OptionalDouble.empty(), Wish.LONGEST_REPEAT, 0, 0);
    }

    /**
     * What figures ask that come out with any count.
     *
     * @param own the repeat that is theirs, if one is; all lengths in inches
     * @param widest repeat
     * @param height of a figure
     * @param shortest repeat
     */
    static DivisionConstraints figures(OptionalDouble own, double widest, double height, double shortest) {
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
        return parity != Wish.Parity.ANY && wish.parity() == Wish.Parity.ANY ? all.with(Wish.PARITY, parity) : all;
    }

    /**
     * The least radius that arcs of a motif must have, in inches; nothing if any will do that spans a repeat.
     *
     * @param repeat about what repeats will be, in inches
     * @param room from where the motif stands to the limit of stitching, in inches
     */
    public static <M extends Motif> OptionalDouble leastRadius(M motif, double repeat, double room) {
        return MotifTypes.of(motif).leastRadius(motif, repeat, room);
    }

    /** What sort of template a motif is stitched with. */
    public static <M extends Motif> EdgeKind template(M motif) {
        return MotifTypes.of(motif).edge(motif);
    }
}
