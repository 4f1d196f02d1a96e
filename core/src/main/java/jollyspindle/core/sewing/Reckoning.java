package jollyspindle.core.sewing;

import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.StraightEdge;

import java.util.List;
import java.util.Optional;

/** How many placements something takes at least, reckoned without laying it out. */
public final class Reckoning {

    private Reckoning() {}

    /**
     * Placements that straight lines take: no fewer than there are lines, nor than the longest edge goes into their length.
     *
     * @param lines how many
     * @param inches of all of them together
     * @param templateId the template asked for, if one is
     * @param templates that the job has
     * @return as many as lines if there is no edge to stitch them along yet
     */
    public static double straight(double lines, double inches, Optional<String> templateId, List<Template> templates) {
        return templates.stream()
                .filter(t ->
                        templateId.isEmpty() ? !t.retired() : templateId.get().equals(t.id()))
                .map(Template::form)
                .filter(StraightEdge.class::isInstance)
                .mapToDouble(form -> ((StraightEdge) form).length())
                .max()
                .stream()
                .map(edge -> Math.max(lines, inches / edge))
                .findFirst()
                .orElse(lines);
    }
}
