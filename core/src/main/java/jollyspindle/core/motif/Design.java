package jollyspindle.core.motif;

import jollyspindle.core.code.LastingNumbers;
import jollyspindle.core.division.CornerAsk;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What is stitched on runs that are divided together, and in their corners.
 *
 * @param layers the motifs in the order of stitching, 1 to {@link #MOST_LAYERS}; the first one is divided for
 * @param sides the motifs of single sides of a border, where they differ; runs are divided for {@code layers} all the same
 * @param corner what stands in every corner
 * @param corners what stands in single ones instead, each named by the side at whose left end it is
 */
public record Design(
        List<Layer> layers, Map<Side, List<Layer>> sides, CornerDesign corner, Map<Side, CornerDesign> corners) {

    public static final int MOST_LAYERS = 6;

    public Design {
        layers = checked(layers);
        EnumMap<Side, List<Layer>> others = new EnumMap<>(Side.class);
        sides.forEach((side, own) -> others.put(side, checked(own)));
        sides = Collections.unmodifiableMap(others);
        EnumMap<Side, CornerDesign> copy = new EnumMap<>(Side.class);
        copy.putAll(corners);
        corners = Collections.unmodifiableMap(copy);
    }

    /** The same on all runs, with the same in all corners. */
    public Design(List<Layer> layers, CornerDesign corner, Map<Side, CornerDesign> corners) {
        this(layers, Map.of(), corner, corners);
    }

    private static List<Layer> checked(List<Layer> layers) {
        Guards.within("motifs", layers.size(), 1, MOST_LAYERS);
        return LastingNumbers.given(layers, Layer::number, Layer::withNumber);
    }

    public static Design of(Layer layer) {
        return new Design(List.of(layer), CornerDesign.plain(), Map.of());
    }

    /** The motifs of one run. */
    public List<Layer> layers(RunId run) {
        return run.side().map(side -> sides.getOrDefault(side, layers)).orElse(layers);
    }

    /** This design with the motifs of one run changed, and of no other. */
    public Design withRun(RunId run, List<Layer> own) {
        if (run.side().isEmpty()) {
            return new Design(own, sides, corner, corners);
        }
        EnumMap<Side, List<Layer>> all = new EnumMap<>(Side.class);
        all.putAll(sides);
        all.put(run.side().get(), own);
        // Motifs like everybody's aren't the side's own.
        all.values().removeIf(side -> areAlike(side, layers));
        return new Design(layers, all, corner, corners);
    }

    private static boolean areAlike(List<Layer> some, List<Layer> others) {
        return some.size() == others.size()
                && IntStream.range(0, some.size()).allMatch(i -> some.get(i).isLike(others.get(i)));
    }

    /** This design with the motifs of one run on all runs. */
    public Design copiedRound(RunId run) {
        return new Design(layers(run), Map.of(), corner, corners);
    }

    /**
     * This design with the motifs of a run of another one on all of its runs.
     *
     * @param corners whether the other one's corners come along
     */
    public Design copying(Design other, RunId from, boolean corners) {
        return new Design(
                other.layers(from),
                Map.of(),
                corners ? other.corner() : corner,
                corners ? other.corners() : this.corners);
    }

    /** The motif that is divided for. */
    public Layer main() {
        return layers.get(0);
    }

    /** What stands in the corner at a side's left end. */
    public CornerDesign corner(Side side) {
        return corners.getOrDefault(side, corner);
    }

    /** What the motifs in the corners ask of the runs; what is asked in all of them first. */
    public List<CornerAsk> asks() {
        return Stream.concat(Stream.of(corner), corners.values().stream())
                .filter(c -> c.kind() != CornerDesign.Kind.PLAIN && c.ask() != CornerAsk.NOTHING)
                .map(CornerDesign::ask)
                .distinct()
                .toList();
    }

    /** This design with another main motif. */
    public Design withMain(Layer layer) {
        return withLayer(0, layer);
    }

    /** This design with another motif at a place, from 0. */
    public Design withLayer(int index, Layer layer) {
        List<Layer> all = new ArrayList<>(layers);
        all.set(index, layer);
        return new Design(all, sides, corner, corners);
    }

    /** This design with one more motif, stitched last. */
    public Design withLayer(Layer layer) {
        List<Layer> all = new ArrayList<>(layers);
        all.add(layer);
        return new Design(all, sides, corner, corners);
    }

    /** This design without a motif, by its place from 1; the main one stays. */
    public Design withoutLayer(int index) {
        List<Layer> all = new ArrayList<>(layers);
        all.remove(index);
        return new Design(all, sides, corner, corners);
    }

    /** This design with all corners alike. */
    public Design withCorner(CornerDesign other) {
        return new Design(layers, sides, other, Map.of());
    }

    /** This design with another motif in the corner at a side's left end. */
    public Design withCorner(Side side, CornerDesign other) {
        EnumMap<Side, CornerDesign> all = new EnumMap<>(Side.class);
        all.putAll(corners);
        if (other.equals(corner)) {
            all.remove(side);
        } else {
            all.put(side, other);
        }
        return new Design(layers, sides, corner, all);
    }
}
