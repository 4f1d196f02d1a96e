package jollyspindle.core.plan;

import jollyspindle.core.division.School;
import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.quilt.RunId;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What was decided for runs that are divided together: arcs from one template, and how they come out.
 *
 * @param templateId the job's copy of a template; may name none that is there
 * @param guideId which of that template's edges; its main one while none is chosen
 * @param wish what the division should be like
 * @param tie the border inside that the counts follow; nothing if they are chosen here
 * @param chosen how each run is divided; runs that aren't named follow the best candidate
 */
public record RunLayout(
        Optional<String> templateId,
        Optional<String> guideId,
        Wish wish,
        Optional<Tie> tie,
        SortedMap<RunId, School> chosen) {

    public RunLayout {
        chosen = Collections.unmodifiableSortedMap(new TreeMap<>(chosen));
    }

    /** A layout with a template and a repeat of about a length, in inches; nothing else decided. */
    public static RunLayout of(Optional<String> templateId, double repeat) {
        return new RunLayout(templateId, Optional.empty(), Wish.about(repeat), Optional.empty(), new TreeMap<>());
    }

    public RunLayout withTemplate(String id, Optional<String> edge) {
        return new RunLayout(Optional.of(id), edge, wish, tie, chosen);
    }

    RunLayout withGuide(Optional<String> edge) {
        return new RunLayout(templateId, edge, wish, tie, chosen);
    }

    /** This layout with another wish; what was chosen for the old one is let go. */
    public RunLayout with(Wish other) {
        return new RunLayout(templateId, guideId, other, tie, new TreeMap<>());
    }

    /** This layout tied to a border inside, or untied; what was chosen is let go. */
    public RunLayout with(Optional<Tie> other) {
        return new RunLayout(templateId, guideId, wish, other, new TreeMap<>());
    }

    /** This layout with runs divided so; others stay as they are. */
    public RunLayout choosing(Map<RunId, School> schools) {
        TreeMap<RunId, School> all = new TreeMap<>(chosen);
        all.putAll(schools);
        return new RunLayout(templateId, guideId, wish, tie, all);
    }

    /** This layout following the best candidate again. */
    public RunLayout choosingNone() {
        return new RunLayout(templateId, guideId, wish, tie, new TreeMap<>());
    }

    /** This layout of a group that has moved to another number; its chosen runs with it. */
    RunLayout moved(int to) {
        TreeMap<RunId, School> moved = new TreeMap<>();
        chosen.forEach((id, school) ->
                moved.put(id instanceof RunId.BorderRun run ? RunId.of(to, run.where()) : RunId.strip(to), school));
        // A tie to the border that has gone, or to one outside, makes no sense any longer.
        Optional<Tie> kept = tie.filter(t -> t.to() < to).map(t -> new Tie(to, t.to(), t.ratio()));
        return new RunLayout(templateId, guideId, wish, kept, moved);
    }
}
