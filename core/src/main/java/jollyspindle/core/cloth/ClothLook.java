package jollyspindle.core.cloth;

import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.text.Guards;

import java.util.Collections;
import java.util.Map;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;

/**
 * Of which colours a quilt's cloth and threads are, and what is between its layers.
 *
 * @param loft of the batting
 * @param stitchesAnInch {@link #LEAST_STITCHES} to {@link #MOST_STITCHES}
 * @param fabrics whose colour was chosen
 * @param threads whose colour was chosen
 */
public record ClothLook(
        Loft loft, int stitchesAnInch, SortedMap<FabricId, Colour> fabrics, SortedMap<ThreadId, Colour> threads) {

    public static final int LEAST_STITCHES = 4;
    public static final int MOST_STITCHES = 20;

    /** Common practice, no source: longarm quilters stitch some ten to twelve to the inch. */
    private static final int USUAL_STITCHES = 11;

    /** How much darker thread is than the cloth it is stitched on, while none is chosen. */
    private static final double DARKER = 0.55;

    /** On cloth darker than this, thread is that much brighter instead. */
    private static final double DARK = 0.35;

    private static final Swatch[] LETTERS = {Swatch.PLAIN, Swatch.MIST, Swatch.STRAW, Swatch.LEAF, Swatch.ROSE};

    public ClothLook {
        Guards.within("stitchesAnInch", stitchesAnInch, LEAST_STITCHES, MOST_STITCHES);
        fabrics = Collections.unmodifiableSortedMap(new TreeMap<>(fabrics));
        threads = Collections.unmodifiableSortedMap(new TreeMap<>(threads));
    }

    /** Nothing chosen. */
    public static ClothLook usual() {
        return new ClothLook(Loft.MEDIUM, USUAL_STITCHES, new TreeMap<>(), new TreeMap<>());
    }

    /** The colour of a fabric: the one that was chosen, or a quiet one by what it is. */
    public Colour fabric(FabricId id) {
        Colour chosen = fabrics.get(id);
        if (chosen != null) {
            return chosen;
        }
        return switch (id.kind()) {
            case BODY -> Swatch.PLAIN.colour();
            case STRIP -> Swatch.OAT.colour();
            case BORDER -> (id.number() % 2 == 1 ? Swatch.OAT : Swatch.MIST).colour();
            case AREA -> LETTERS[(id.letter() - 'A') % LETTERS.length].colour();
        };
    }

    /** The colour of a thread: the one that was chosen, or the shade of its cloth that is seen well on it. */
    public Colour thread(ThreadId id) {
        Colour chosen = threads.get(id);
        if (chosen != null) {
            return chosen;
        }
        Colour cloth = fabric(id.on());
        boolean dark = cloth.brightness() < DARK;
        return cloth.mixed(dark ? Swatch.PLAIN.colour() : Swatch.BARK.colour(), DARKER);
    }

    public ClothLook with(Loft other) {
        return new ClothLook(other, stitchesAnInch, fabrics, threads);
    }

    public ClothLook withStitches(int anInch) {
        return new ClothLook(loft, anInch, fabrics, threads);
    }

    public ClothLook with(FabricId id, Colour colour) {
        SortedMap<FabricId, Colour> all = new TreeMap<>(fabrics);
        all.put(id, colour);
        return new ClothLook(loft, stitchesAnInch, all, threads);
    }

    public ClothLook with(ThreadId id, Colour colour) {
        SortedMap<ThreadId, Colour> all = new TreeMap<>(threads);
        all.put(id, colour);
        return new ClothLook(loft, stitchesAnInch, fabrics, all);
    }

    /** The same with a fabric as usual. */
    public ClothLook without(FabricId id) {
        SortedMap<FabricId, Colour> all = new TreeMap<>(fabrics);
        all.remove(id);
        return new ClothLook(loft, stitchesAnInch, all, threads);
    }

    /** The same with a thread as usual. */
    public ClothLook without(ThreadId id) {
        SortedMap<ThreadId, Colour> all = new TreeMap<>(threads);
        all.remove(id);
        return new ClothLook(loft, stitchesAnInch, fabrics, all);
    }

    /** The same once a strip is gone. */
    public ClothLook withoutStrip(GroupId strip) {
        return moved(id -> id.equals(FabricId.of(strip)) ? null : id);
    }

    /** The same once an area is gone. */
    public ClothLook without(AreaId area) {
        return moved(id -> id.kind() == FabricId.Kind.AREA && id.number() == area.number() ? null : id);
    }

    /** The same once a border is gone; those outside it move in. */
    public ClothLook withoutBorder(int number) {
        return moved(id -> {
            if (id.kind() != FabricId.Kind.BORDER || id.number() < number) {
                return id;
            }
            return id.number() == number ? null : FabricId.of(GroupId.border(id.number() - 1));
        });
    }

    /** With other names; what gets none goes. */
    private ClothLook moved(Function<FabricId, FabricId> to) {
        TreeMap<FabricId, Colour> cloth = new TreeMap<>();
        for (Map.Entry<FabricId, Colour> one : fabrics.entrySet()) {
            FabricId id = to.apply(one.getKey());
            if (id != null) {
                cloth.put(id, one.getValue());
            }
        }
        TreeMap<ThreadId, Colour> thread = new TreeMap<>();
        for (Map.Entry<ThreadId, Colour> one : threads.entrySet()) {
            FabricId on = to.apply(one.getKey().on());
            if (on != null) {
                thread.put(new ThreadId(on, one.getKey().layer()), one.getValue());
            }
        }
        return new ClothLook(loft, stitchesAnInch, cloth, thread);
    }
}
