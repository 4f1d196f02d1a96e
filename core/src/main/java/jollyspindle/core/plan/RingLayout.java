package jollyspindle.core.plan;

import jollyspindle.core.division.Counts;

import java.util.Optional;

/**
 * What was decided for the border: arcs from one template, evenly divided.
 *
 * @param templateId the template on the job's shelf; may name none that is there
 * @param wantedRepeat about how long a repeat should be, in inches, {@link #SHORTEST_REPEAT} to {@link #LONGEST_REPEAT}
 * @param counts chosen; while none are, the best candidate's hold
 */
public record RingLayout(Optional<String> templateId, double wantedRepeat, Optional<Counts> counts) {

    public static final double SHORTEST_REPEAT = 0.5;
    public static final double LONGEST_REPEAT = 60;

    public RingLayout {
        if (!(wantedRepeat >= SHORTEST_REPEAT && wantedRepeat <= LONGEST_REPEAT)) {
            throw new IllegalArgumentException("a repeat of " + wantedRepeat + " isn't between 1/2 and 60");
        }
    }
}
