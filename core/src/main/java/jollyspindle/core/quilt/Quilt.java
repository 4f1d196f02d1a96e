package jollyspindle.core.quilt;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * A quilt with one border, as measured so far.
 *
 * @param measured the lengths measured, in inches; what is missing isn't measured yet
 * @param corners how the border turns its corners
 */
public record Quilt(Map<Dimension, Double> measured, Corners corners) {

    public Quilt {
        EnumMap<Dimension, Double> copy = new EnumMap<>(Dimension.class);
        copy.putAll(measured);
        copy.values().forEach(v -> {
            if (!Double.isFinite(v) || v < 0) {
                throw new IllegalArgumentException("not a measured length: " + v);
            }
        });
        measured = Collections.unmodifiableMap(copy);
    }

    /** A quilt of which nothing is measured. */
    public static Quilt unmeasured() {
        return new Quilt(Map.of(), Corners.MITRED);
    }

    public Quilt with(Dimension dimension, double inches) {
        EnumMap<Dimension, Double> copy = new EnumMap<>(Dimension.class);
        copy.putAll(measured);
        copy.put(dimension, inches);
        return new Quilt(copy, corners);
    }

    /**
     * This quilt with a length just read off the tape. The first depth of a border holds on all sides until another is
     * measured, since most borders are cut to one width.
     */
    public Quilt measuring(Dimension dimension, double inches) {
        Quilt next = with(dimension, inches);
        if (dimension.kind() == Dimension.Kind.DEPTH) {
            for (Dimension depth : Dimension.of(Dimension.Kind.DEPTH)) {
                next = next.get(depth).isPresent() ? next : next.with(depth, inches);
            }
        }
        return next;
    }

    public Quilt without(Dimension dimension) {
        EnumMap<Dimension, Double> copy = new EnumMap<>(Dimension.class);
        copy.putAll(measured);
        copy.remove(dimension);
        return new Quilt(copy, corners);
    }

    public Quilt with(Corners other) {
        return new Quilt(measured, other);
    }

    /** What was measured, or what holds while nothing else is said; in inches. */
    public OptionalDouble get(Dimension dimension) {
        Double value = measured.get(dimension);
        return value == null ? dimension.usual() : OptionalDouble.of(value);
    }

    /**
     * A length that is there, in inches.
     *
     * @throws java.util.NoSuchElementException if it isn't measured and has no usual value
     */
    public double length(Dimension dimension) {
        return get(dimension).orElseThrow();
    }

    /** What must still be measured before anything can be planned, in the order in which it is measured. */
    public List<Dimension> missing() {
        return Arrays.stream(Dimension.values())
                .filter(d -> d.isNeeded() && get(d).isEmpty())
                .toList();
    }

    /** From where an arc's feet stand to where nothing may be stitched, in inches. */
    public double room(Side side) {
        return length(Dimension.depth(side)) - length(Dimension.RESERVE) - length(Dimension.CLEARANCE);
    }
}
