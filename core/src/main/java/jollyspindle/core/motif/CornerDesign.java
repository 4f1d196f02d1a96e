package jollyspindle.core.motif;

import jollyspindle.core.code.Coded;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.text.Guards;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What stands in a border's corner.
 *
 * @param kind which motif
 * @param templateId the job's copy of the template; the run's own while none is chosen
 * @param guideId which of its edges
 * @param feet how far from the inner corner a mitre arc's feet stand, in inches; nothing if they follow from the template
 * @param lines rings of a cornerstone, or arcs of a quarter fan; 1 to {@link Motif#MOST_LINES}
 * @param rise of the second ring of a cornerstone, from the same midpoints; nothing if further rings are smaller ones inside
 * @param sides of a cornerstone as the tape measured them, up to four from the inner corner round, along the next side\'s seam first, in
 *     inches; those that are left out are as wide as their border is deep
 * @param fromOuter whether a quarter fan stands about the outer corner
 * @param ask what it asks of the runs that end there
 * @param closing what closes a diagonal cut
 */
public record CornerDesign(
        Kind kind,
        Optional<String> templateId,
        Optional<String> guideId,
        OptionalDouble feet,
        int lines,
        OptionalDouble rise,
        List<Double> sides,
        boolean fromOuter,
        CornerAsk ask,
        Closing closing) {

    /** The least and the most, in inches, that an arc's feet stand from the corner. */
    public static final double NEAREST_FEET = Motif.CLOSEST;

    public static final double FARTHEST_FEET = 60;

    private static final int SIDES_OF_A_STONE = 4;

    static final Param.MaybeLength<CornerDesign> FEET =
            Param.maybeLength("feet", NEAREST_FEET, FARTHEST_FEET, CornerDesign::feet);
    static final Param.Whole<CornerDesign> LINES = Param.<CornerDesign>whole(
                    "lines", 1, Motif.MOST_LINES, CornerDesign::lines)
            .usually(1);
    static final Param.MaybeLength<CornerDesign> RISE =
            Param.maybeLength("rise", NEAREST_FEET, FARTHEST_FEET, CornerDesign::rise);
    static final Param.Lengths<CornerDesign> SIDES =
            Param.maybeLengths("sides", NEAREST_FEET, FARTHEST_FEET, SIDES_OF_A_STONE, CornerDesign::sides);
    static final Param.Flag<CornerDesign> FROM_OUTER = Param.flag("fromOuter", CornerDesign::fromOuter, false);
    static final Param.Choice<CornerDesign, Closing> CLOSING = Param.<CornerDesign, Closing>choice(
                    "closing", Closing.class, CornerDesign::closing)
            .usually(Closing.DIAMOND);

    private static final Param.Choice<CornerDesign, Kind> KIND = Param.<CornerDesign, Kind>choice(
                    "kind", Kind.class, CornerDesign::kind)
            .usually(Kind.PLAIN);
    private static final Param.MaybeText<CornerDesign> TEMPLATE = Param.maybeText("template", CornerDesign::templateId);
    private static final Param.MaybeText<CornerDesign> GUIDE = Param.maybeText("guide", CornerDesign::guideId);
    private static final Param.Choice<CornerDesign, CornerAsk> ASKS = Param.<CornerDesign, CornerAsk>choice(
                    "asks", CornerAsk.class, CornerDesign::ask)
            .usually(CornerAsk.NOTHING);

    /** All that is chosen about a corner, whatever stands in it; {@link CornerType} says what matters to each kind. */
    public static final Params<CornerDesign> PARAMS = Params.of(
                    v -> new CornerDesign(
                            v.get(KIND),
                            v.get(TEMPLATE),
                            v.get(GUIDE),
                            v.get(FEET),
                            v.get(LINES),
                            v.get(RISE),
                            v.get(SIDES),
                            v.get(FROM_OUTER),
                            v.get(ASKS),
                            v.get(CLOSING)),
                    Params.row(KIND),
                    Params.row(FEET),
                    Params.row(CLOSING),
                    Params.row(LINES, RISE),
                    Params.row(SIDES),
                    Params.row(FROM_OUTER),
                    Params.row(TEMPLATE, GUIDE),
                    Params.row(ASKS))
            .kept(KIND, TEMPLATE, GUIDE, FEET, LINES, RISE, SIDES, FROM_OUTER, ASKS, CLOSING)
            .brief(LINES)
            .brief(SIDES)
            .brief(FROM_OUTER)
            .brief(ASKS)
            .brief(CLOSING);

    /** The motifs there are for corners (common practice, no source). */
    public enum Kind implements Coded {
        /** Nothing. */
        PLAIN("plain"),
        /** One arc astride the mitre, its feet on both seams. */
        MITRE_ARC("mitre-arc"),
        /** The repeats run on to the mitre and are cut off there; see {@link Closing}. */
        DIAGONAL_CUT("diagonal-cut"),
        /** Arcs from midpoint to midpoint of the cornerstone, and again lower. */
        CORNERSTONE_RING("cornerstone-ring"),
        /** Quarter circles about the inner or the outer corner. */
        QUARTER_FAN("quarter-fan"),
        /** The run's arc once more, turned to look out of the corner. */
        TURNED("turned");

        private final String code;

        Kind(String code) {
            this.code = code;
        }

        @Override
        public String code() {
            return code;
        }
    }

    /** What closes a corner that the repeats run on into. */
    public enum Closing {
        /** A long diamond along the mitre, where nothing of the runs stands in its way. */
        DIAMOND,
        /** One more arc, from one border's repeat beyond the corner to the other's. */
        ARC,
        /** That arc, and a curve between its feet inside it, so that the two make a long diamond across the mitre. */
        ARC_AND_CURVE,
        /** The repeats alone. */
        NOTHING
    }

    public CornerDesign {
        Guards.within("lines", lines, 1, Motif.MOST_LINES);
        feet.ifPresent(inches -> Guards.within("feet", inches, NEAREST_FEET, FARTHEST_FEET));
        rise.ifPresent(inches -> Guards.within("rise", inches, NEAREST_FEET, FARTHEST_FEET));
        sides = List.copyOf(sides);
        sides.forEach(inches -> Guards.within("sides", inches, NEAREST_FEET, FARTHEST_FEET));
        Guards.within("stoneSides", sides.size(), 0, SIDES_OF_A_STONE);
    }

    public static CornerDesign plain() {
        return of(Kind.PLAIN);
    }

    public static CornerDesign of(Kind kind) {
        return new CornerDesign(
                kind,
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                1,
                OptionalDouble.empty(),
                List.of(),
                false,
                CornerAsk.NOTHING,
                Closing.DIAMOND);
    }

    public CornerDesign with(Kind other) {
        return new CornerDesign(other, templateId, guideId, feet, lines, rise, sides, fromOuter, ask, closing);
    }

    public CornerDesign withTemplate(Optional<String> id, Optional<String> guide) {
        return new CornerDesign(kind, id, guide, feet, lines, rise, sides, fromOuter, ask, closing);
    }

    public CornerDesign withFeet(OptionalDouble inches) {
        return new CornerDesign(kind, templateId, guideId, inches, lines, rise, sides, fromOuter, ask, closing);
    }

    public CornerDesign withLines(int count) {
        return new CornerDesign(kind, templateId, guideId, feet, count, rise, sides, fromOuter, ask, closing);
    }

    public CornerDesign withRise(OptionalDouble inches) {
        return new CornerDesign(kind, templateId, guideId, feet, lines, inches, sides, fromOuter, ask, closing);
    }

    public CornerDesign withSides(List<Double> measured) {
        return new CornerDesign(kind, templateId, guideId, feet, lines, rise, measured, fromOuter, ask, closing);
    }

    public CornerDesign withFromOuter(boolean outer) {
        return new CornerDesign(kind, templateId, guideId, feet, lines, rise, sides, outer, ask, closing);
    }

    public CornerDesign with(CornerAsk other) {
        return new CornerDesign(kind, templateId, guideId, feet, lines, rise, sides, fromOuter, other, closing);
    }

    public CornerDesign with(Closing other) {
        return new CornerDesign(kind, templateId, guideId, feet, lines, rise, sides, fromOuter, ask, other);
    }
}
