package jollyspindle.core.motif;

import jollyspindle.core.quilt.Side;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What is stitched on runs that are divided together, and in their corners.
 *
 * @param layers the motifs in the order of stitching, 1 to {@link #MOST_LAYERS}; the first one is divided for
 * @param corner what stands in every corner
 * @param corners what stands in single ones instead, each named by the side at whose left end it is
 */
public record Design(List<Layer> layers, CornerDesign corner, Map<Side, CornerDesign> corners) {

    public static final int MOST_LAYERS = 6;

    public Design {
        layers = List.copyOf(layers);
        if (layers.isEmpty() || layers.size() > MOST_LAYERS) {
            throw new IllegalArgumentException("1 to " + MOST_LAYERS + " motifs on a run, not " + layers.size());
        }
        EnumMap<Side, CornerDesign> copy = new EnumMap<>(Side.class);
        copy.putAll(corners);
        corners = Collections.unmodifiableMap(copy);
    }

    public static Design of(Layer layer) {
        return new Design(List.of(layer), CornerDesign.plain(), Map.of());
    }

    /** The motif that is divided for. */
    public Layer main() {
        return layers.get(0);
    }

    /** What stands in the corner at a side's left end. */
    public CornerDesign corner(Side side) {
        return corners.getOrDefault(side, corner);
    }

    /** This design with another main motif. */
    public Design withMain(Layer layer) {
        return withLayer(0, layer);
    }

    /** This design with another motif at a place, from 0. */
    public Design withLayer(int index, Layer layer) {
        List<Layer> all = new ArrayList<>(layers);
        all.set(index, layer);
        return new Design(all, corner, corners);
    }

    /** This design with one more motif, stitched last. */
    public Design withLayer(Layer layer) {
        List<Layer> all = new ArrayList<>(layers);
        all.add(layer);
        return new Design(all, corner, corners);
    }

    /** This design without a motif, by its place from 1; the main one stays. */
    public Design withoutLayer(int index) {
        List<Layer> all = new ArrayList<>(layers);
        all.remove(index);
        return new Design(all, corner, corners);
    }

    /** This design with all corners alike. */
    public Design withCorner(CornerDesign other) {
        return new Design(layers, other, Map.of());
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
        return new Design(layers, corner, all);
    }
}
