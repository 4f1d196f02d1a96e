package jollyspindle.core.plan;

import jollyspindle.core.inspection.Finding;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.placement.Placement;

import java.util.List;
import java.util.Optional;

/**
 * A motif as it would come out, and what it would take.
 *
 * @param <P> what it is laid out as
 * @param plan of the run or the piece
 * @param templates the names of those it takes
 * @param marks to make
 * @param placements there are
 * @param starts how often the needle begins anew
 * @param trouble what is in the way, if something is
 */
public record MotifShown<P>(
        P plan, List<String> templates, long marks, int placements, int starts, Optional<Finding> trouble) {

    /** What comes of lines that are laid out. */
    static <P> MotifShown<P> of(
            P plan, QuiltJob job, List<Mark> marks, List<Placement> placements, int starts, Optional<Finding> trouble) {
        return new MotifShown<>(
                plan,
                placements.stream()
                        .map(p -> p.tool().templateId())
                        .distinct()
                        .flatMap(id -> job.template(id).stream())
                        .map(t -> t.name())
                        .toList(),
                marks.stream().filter(m -> m.by() == Mark.MarkedBy.CHALK).count(),
                placements.size(),
                starts,
                trouble);
    }
}
