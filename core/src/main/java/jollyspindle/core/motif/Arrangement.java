package jollyspindle.core.motif;

import jollyspindle.core.division.school.SchoolKind;
import jollyspindle.core.quilt.Corners;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A whole border to begin with, as a gallery offers it: the motif that runs are divided for, what fills it, and the corners.
 *
 * <p>Common practice, no source, for what goes together.
 *
 * @param code lasting, letters and hyphens
 * @param layers from the main one on, their templates not chosen yet, as they are where there is {@link #USUAL_ROOM}
 * @param mitred what stands in mitred corners, and in all others but cornerstones
 * @param cornerstone what stands in cornerstones
 * @param school by which runs are divided, if it is part of it
 */
public record Arrangement(
        String code, List<Layer> layers, CornerDesign mitred, CornerDesign cornerstone, Optional<SchoolKind> school) {

    public Arrangement {
        layers = List.copyOf(layers);
    }

    /** The room of a border of 8 inches, for which heights are given. */
    private static final double USUAL_ROOM = 7.5;

    /** Heights come in steps of this many inches. */
    private static final double HEIGHT_STEP = 1.0 / 4;

    private static final double QUARTER_TURN = Math.PI / 2;

    private static final CornerDesign RING = CornerDesign.of(CornerDesign.Kind.CORNERSTONE_RING);

    private static final Set<String> ABOUT_CORNERS =
            Set.of("nested-from-corners", "fans-all-round", "hanging-fans-all-round");

    private static final List<Arrangement> ALL = List.of(
            new Arrangement(
                    "nested-from-corners",
                    List.of(Layer.of(new Motif.Arcs(Motif.Inner.LOWERED, 3, 0.5, List.of(), Optional.empty(), 1))),
                    CornerDesign.of(CornerDesign.Kind.MITRE_ARC),
                    RING,
                    Optional.of(SchoolKind.CORNERS_IN)),
            new Arrangement(
                    "hatched-arcs",
                    List.of(
                            Layer.of(new Motif.Arcs(Motif.Inner.SHIFTED, 2, 0.25, List.of(), Optional.empty(), 1)),
                            Layer.of(new Motif.Crosshatch(0.5, QUARTER_TURN / 2, true, false))
                                    .with(Layer.Space.INSIDE)
                                    .with(Layer.Cells.EVEN),
                            Layer.of(new Motif.Almonds(OptionalDouble.empty()))),
                    CornerDesign.of(CornerDesign.Kind.DIAGONAL_CUT).with(CornerDesign.Closing.ARC_AND_CURVE),
                    RING,
                    Optional.empty()),
            new Arrangement(
                    "sails-and-echoes",
                    List.of(Layer.of(new Motif.Sails(3, 0.75, Motif.Lean.RIGHT))),
                    CornerDesign.of(CornerDesign.Kind.QUARTER_FAN).withLines(3),
                    RING.withLines(2),
                    Optional.of(SchoolKind.HALF_STEPS)),
            new Arrangement(
                    "lanterns",
                    List.of(Layer.of(new Motif.FacingArcs(
                            Motif.Facing.CROWNS,
                            OptionalDouble.empty(),
                            OptionalDouble.of(0.75),
                            true,
                            true,
                            List.of(1.25, 0.75),
                            Optional.empty(),
                            3,
                            1))),
                    CornerDesign.of(CornerDesign.Kind.TURNED),
                    RING.withLines(2),
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "fans-all-round",
                    List.of(Layer.of(new Motif.Fans(4, 1))),
                    CornerDesign.of(CornerDesign.Kind.QUARTER_FAN).withLines(4),
                    CornerDesign.of(CornerDesign.Kind.QUARTER_FAN).withLines(4),
                    Optional.empty()),
            new Arrangement(
                    "fans-of-two-sets",
                    List.of(Layer.of(new Motif.Fans(6, 1, false, Optional.of("odd-fan")))
                            .withTemplate(Optional.of("even-fan"), Optional.empty())),
                    CornerDesign.of(CornerDesign.Kind.QUARTER_FAN).withLines(3),
                    CornerDesign.of(CornerDesign.Kind.QUARTER_FAN).withLines(3),
                    Optional.empty()),
            new Arrangement(
                    "hanging-fans-all-round",
                    List.of(Layer.of(new Motif.Fans(4, 1)).with(Layer.Edge.OUTSIDE)),
                    CornerDesign.of(CornerDesign.Kind.QUARTER_FAN).withLines(4).withFromOuter(true),
                    CornerDesign.of(CornerDesign.Kind.QUARTER_FAN).withLines(4).withFromOuter(true),
                    Optional.empty()),
            new Arrangement(
                    "circles-and-lines",
                    List.of(
                            Layer.of(new Motif.Circles(0.25, 3, Motif.Turning.ALTERNATING, false)),
                            Layer.of(new Motif.StraightLines(6, QUARTER_TURN)).with(Layer.Space.ABOVE)),
                    CornerDesign.plain(),
                    RING,
                    Optional.empty()),
            new Arrangement(
                    "egg-and-dart-and-lines",
                    List.of(
                            Layer.of(new Motif.FacingArcs(
                                    Motif.Facing.HALF_STEP,
                                    OptionalDouble.empty(),
                                    OptionalDouble.empty(),
                                    false,
                                    false,
                                    Optional.empty(),
                                    1)),
                            Layer.of(new Motif.StraightLines(12, QUARTER_TURN)).with(Layer.Space.ABOVE)),
                    CornerDesign.of(CornerDesign.Kind.TURNED),
                    RING,
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "peaks-face-to-face",
                    List.of(Layer.of(peaks()), Layer.of(peaks()).with(Layer.Edge.OUTSIDE)),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "boxes-face-to-face",
                    List.of(Layer.of(boxes()), Layer.of(boxes()).with(Layer.Edge.OUTSIDE)),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "peaks-echoed-both-ways",
                    List.of(Layer.of(echoed(0))),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "rounded-peaks",
                    List.of(Layer.of(echoed(0.5))),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "waves-on-both-edges",
                    List.of(
                            Layer.of(waves()),
                            Layer.of(waves()).with(Layer.Edge.OUTSIDE).withHalfStep(true)),
                    CornerDesign.plain(),
                    RING,
                    Optional.empty()),
            new Arrangement(
                    "half-circles-and-lines",
                    List.of(
                            Layer.of(halfCircles(1)),
                            Layer.of(halfCircles(1)).with(Layer.Edge.OUTSIDE).withHalfStep(true),
                            Layer.of(new Motif.StraightLines(6, QUARTER_TURN)).with(Layer.Space.ABOVE)),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.CENTRE_OUT)),
            new Arrangement(
                    "crossing-half-circles",
                    List.of(
                            Layer.of(halfCircles(1)),
                            Layer.of(halfCircles(1)).withHalfStep(true),
                            Layer.of(halfCircles(2)),
                            Layer.of(halfCircles(1)).with(Layer.Edge.OUTSIDE),
                            Layer.of(halfCircles(1)).with(Layer.Edge.OUTSIDE).withHalfStep(true),
                            Layer.of(halfCircles(2)).with(Layer.Edge.OUTSIDE)),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.CENTRE_OUT)),
            new Arrangement(
                    "circles-in-arcs",
                    List.of(
                            Layer.of(parallel()),
                            Layer.of(new Motif.Circles(0, 3, Motif.Turning.ALTERNATING, false, Motif.Channel.IN_ARCS)),
                            Layer.of(new Motif.StraightLines(6, QUARTER_TURN)).with(Layer.Space.ABOVE)),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "half-circles-on-arcs",
                    List.of(
                            Layer.of(parallel()),
                            Layer.of(new Motif.Circles(0, 2, Motif.Turning.SAME, false, Motif.Channel.ON_ARCS)),
                            Layer.of(peaks()).with(Layer.Edge.OUTSIDE)),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "hatched-lenses",
                    List.of(
                            Layer.of(halfCircles(1)),
                            Layer.of(halfCircles(1)).withHalfStep(true),
                            Layer.of(halfCircles(2)).with(Layer.Edge.OUTSIDE),
                            Layer.of(new Motif.Crosshatch(0.75, QUARTER_TURN, true, true))
                                    .with(Layer.Space.OVERLAPS)
                                    .withBreathing(0.125)),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.CENTRE_OUT)),
            new Arrangement(
                    "swirls-in-circles",
                    List.of(Layer.of(new Motif.Circles(0.25, 3, Motif.Turning.ALTERNATING, true))),
                    CornerDesign.plain(),
                    RING,
                    Optional.empty()),
            new Arrangement(
                    "circles-on-a-vine",
                    List.of(
                            Layer.of(waves()),
                            Layer.of(new Motif.Circles(
                                    0.25, 2, Motif.Turning.ALTERNATING, true, Motif.Channel.IN_BENDS))),
                    CornerDesign.plain(),
                    RING,
                    Optional.empty()),
            new Arrangement(
                    "berries-beside-arcs",
                    List.of(
                            Layer.of(new Motif.Arcs(Motif.Inner.LOWERED, 1, 0.5, List.of(), Optional.empty(), 1)),
                            Layer.of(new Motif.Circles(0.5, 2, Motif.Turning.SAME, false, Motif.Channel.BESIDE_LINES))),
                    CornerDesign.plain(),
                    RING,
                    Optional.empty()),
            new Arrangement(
                    "half-circles-and-triangles",
                    List.of(Layer.of(halfCircles(1)), Layer.of(peaks()).with(Layer.Edge.OUTSIDE)),
                    CornerDesign.plain(),
                    RING,
                    Optional.of(SchoolKind.EVEN)),
            new Arrangement(
                    "curves-there-and-back",
                    List.of(Layer.of(new Motif.Serpentine(4, false))),
                    CornerDesign.plain(),
                    RING,
                    Optional.empty()),
            new Arrangement(
                    "curves-mirrored",
                    List.of(Layer.of(new Motif.Serpentine(4, true))),
                    CornerDesign.plain(),
                    RING,
                    Optional.empty()));

    private static Motif boxes() {
        return new Motif.Chevrons(Motif.Points.BOXES, OptionalDouble.of(2), 0, 2, Preset.SPACING).withClosed(true);
    }

    /** Peaks with two lines inside and two outside. */
    private static Motif echoed(double rounding) {
        return new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.of(3), rounding, 3, Preset.SPACING).withOuter(2);
    }

    private static Motif peaks() {
        return new Motif.Chevrons(Motif.Points.PEAKS, OptionalDouble.of(2), 0, 3, Preset.SPACING);
    }

    /** Two lines with a channel between, as wide everywhere. */
    private static Motif parallel() {
        return new Motif.Arcs(Motif.Inner.PARALLEL, 2, 1, List.of(), Optional.empty(), 1);
    }

    private static Motif halfCircles(int perRepeat) {
        return new Motif.Chevrons(Motif.Points.HALF_CIRCLES, OptionalDouble.empty(), 0, 1, Preset.SPACING)
                .withPerRepeat(perRepeat);
    }

    private static Motif waves() {
        return new Motif.Chevrons(Motif.Points.WAVES, OptionalDouble.empty(), 0, 1, Preset.SPACING);
    }

    /** All there are. */
    public static List<Arrangement> all() {
        return ALL;
    }

    /** Whether it is about corners, and so nothing for a strip. */
    public boolean needsCorners() {
        return ABOUT_CORNERS.contains(code);
    }

    /**
     * The main motif, as it is offered alone.
     *
     * @param room that it has, in inches
     */
    public Preset main(double room) {
        return new Preset(
                code, scaled(layers.get(0), room).motif(), layers.get(0).edge());
    }

    /** A layer whose height, if it has one, is as large a part of the room as it usually is. */
    private static Layer scaled(Layer layer, double room) {
        if (!(layer.motif() instanceof Motif.Chevrons chevrons)
                || chevrons.height().isEmpty()
                || room <= 0) {
            return layer;
        }
        double steps = chevrons.height().getAsDouble() * room / USUAL_ROOM / HEIGHT_STEP;
        double height = Math.max(1, Math.round(steps)) * HEIGHT_STEP;
        return layer.with(chevrons.withHeight(OptionalDouble.of(Math.max(Motif.CLOSEST, height))));
    }

    /**
     * A border laid out so.
     *
     * @param main the main motif with the template it is stitched with
     * @param room that it has, in inches
     * @param meeting how borders meet; nothing for a strip
     */
    public Design design(Layer main, double room, Optional<Corners> meeting) {
        List<Layer> all = Stream.concat(Stream.of(main), layers.stream().skip(1).map(layer -> scaled(layer, room)))
                .toList();
        CornerDesign corners = meeting.map(m -> m == Corners.CORNERSTONES ? cornerstone : mitred)
                .orElseGet(CornerDesign::plain);
        Design design = new Design(List.of(all.get(0)), Map.of(), corners, Map.of());
        for (Layer layer : all.subList(1, all.size())) {
            design = design.withLayer(layer);
        }
        return design;
    }
}
