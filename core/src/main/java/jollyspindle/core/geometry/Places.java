package jollyspindle.core.geometry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Things by where they are, found again at the same place or a hair beside it. Finding takes the same time however many there
 * are: only what lies in the nine cells round a place, as wide as the tolerance, is looked at.
 *
 * @param <T> what is kept
 */
public final class Places<T> {

    private record Cell(long x, long y) {}

    private record Kept<T>(Point place, T thing) {}

    private final double tolerance;
    private final Map<Cell, List<Kept<T>>> cells = new HashMap<>();

    /**
     * No places yet.
     *
     * @param tolerance places no further from each other than this, in inches, over 0, are the same
     */
    public Places(double tolerance) {
        this.tolerance = tolerance;
    }

    /** Keeps something at a place. */
    public void put(Point place, T thing) {
        cells.computeIfAbsent(cell(place, 0, 0), c -> new ArrayList<>(1)).add(new Kept<>(place, thing));
    }

    /** The nearest thing at a place; nothing if there is none. */
    public Optional<T> at(Point place) {
        Kept<T> nearest = null;
        double least = tolerance;
        for (int x = -1; x <= 1; x++) {
            for (int y = -1; y <= 1; y++) {
                for (Kept<T> kept : cells.getOrDefault(cell(place, x, y), List.of())) {
                    double away = kept.place().distance(place);
                    if (away < least || away <= least && nearest == null) {
                        least = away;
                        nearest = kept;
                    }
                }
            }
        }
        return Optional.ofNullable(nearest).map(Kept::thing);
    }

    private Cell cell(Point place, int x, int y) {
        return new Cell((long) Math.floor(place.x() / tolerance) + x, (long) Math.floor(place.y() / tolerance) + y);
    }
}
