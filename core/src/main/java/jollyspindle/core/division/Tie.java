package jollyspindle.core.division;

import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.HalfSteps;
import jollyspindle.core.division.school.School;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.text.Refusals;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * A border's counts follow those of a border inside it, so that valleys line up.
 *
 * @param border whose counts follow, from the body outward
 * @param to the border inside it that they follow
 * @param ratio how they follow
 */
public record Tie(int border, int to, Ratio ratio) {

    /** How counts follow each other. */
    public enum Ratio {
        /** As many. */
        SAME(1, 1),
        /** Twice as many. */
        DOUBLE(2, 1),
        /** Half as many. */
        HALF(1, 2);

        private final int times;
        private final int over;

        Ratio(int times, int over) {
            this.times = times;
            this.over = over;
        }

        /** Whether so many repeats can be followed by a whole number of them. */
        public boolean follows(int count) {
            return count * times % over == 0 && count * times / over >= 1 && count * times / over <= Counts.MOST;
        }

        /** How many repeats follow so many. */
        int of(int count) {
            return count * times / over;
        }
    }

    public Tie {
        if (to < 1 || border <= to) {
            throw new IllegalArgumentException(Refusals.say("tie.to", "border", border, "to", to));
        }
    }

    /**
     * The tied border's schools, where the border inside is divided evenly or in half steps; nothing where it isn't, or where
     * its counts can't be halved.
     */
    public Optional<Map<RunId, School>> follow(Map<RunId, School> inside) {
        Map<RunId, School> followed = new TreeMap<>();
        for (Map.Entry<RunId, School> entry : inside.entrySet()) {
            RunId id = RunId.of(border, entry.getKey().side().orElseThrow());
            if (entry.getValue() instanceof Even even && ratio.follows(even.count())) {
                followed.put(id, new Even(ratio.of(even.count())));
            } else if (entry.getValue() instanceof HalfSteps half && ratio == Ratio.SAME) {
                followed.put(id, half);
            } else {
                return Optional.empty();
            }
        }
        return Optional.of(followed);
    }
}
