package jollyspindle.core.plan;

import jollyspindle.core.division.Counts;

import java.util.Optional;

/**
 * What was decided for the border: arcs from one template, evenly divided.
 *
 * @param templateId the job's copy of a template; may name none that is there
 * @param guideId which of that template's edges; its main one while none is chosen
 * @param wantedRepeat about how long a repeat should be, in inches, {@link #SHORTEST_REPEAT} to {@link #LONGEST_REPEAT}
 * @param counts chosen; while none are, the best candidate's hold
 */
public record RingLayout(
        Optional<String> templateId, Optional<String> guideId, double wantedRepeat, Optional<Counts> counts) {

    public static final double SHORTEST_REPEAT = 0.5;
    public static final double LONGEST_REPEAT = 60;

    public RingLayout {
        if (!(wantedRepeat >= SHORTEST_REPEAT && wantedRepeat <= LONGEST_REPEAT)) {
            throw new IllegalArgumentException("a repeat of " + wantedRepeat + " isn't between 1/2 and 60");
        }
    }
}
