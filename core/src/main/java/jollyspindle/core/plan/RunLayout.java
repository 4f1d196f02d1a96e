package jollyspindle.core.plan;

import jollyspindle.core.division.Tie;
import jollyspindle.core.division.Wish;
import jollyspindle.core.division.school.School;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.quilt.RunId;

import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * What was decided for runs that are divided together: what is stitched on them, and how they come out.
 *
 * @param design the motifs; the main one's template may be none that is there
 * @param wish what the division should be like
 * @param tie the border inside that the counts follow; nothing if they are chosen here
 * @param chosen how each run is divided; runs that aren't named follow the best candidate
 */
public record RunLayout(Design design, Wish wish, Optional<Tie> tie, SortedMap<RunId, School> chosen) {

    public RunLayout {
        chosen = Collections.unmodifiableSortedMap(new TreeMap<>(chosen));
    }

    /** A layout of arcs with a template and a repeat of about a length, in inches; nothing else decided. */
    public static RunLayout of(Optional<String> templateId, double repeat) {
        return new RunLayout(
                Design.of(Layer.of(Motif.Arcs.single()).withTemplate(templateId, Optional.empty())),
                Wish.about(repeat),
                Optional.empty(),
                new TreeMap<>());
    }

    /** The job's copy of the template for the main motif. */
    public Optional<String> templateId() {
        return design.main().templateId();
    }

    /** Which of that template's edges; one that suits while none is chosen. */
    public Optional<String> guideId() {
        return design.main().guideId();
    }

    public RunLayout withTemplate(String id, Optional<String> edge) {
        return with(design.withMain(design.main().withTemplate(Optional.of(id), edge)));
    }

    RunLayout withGuide(Optional<String> edge) {
        return with(design.withMain(design.main().withTemplate(templateId(), edge)));
    }

    /** This layout with other motifs; how the runs come out stays as it is. */
    public RunLayout with(Design other) {
        return new RunLayout(other, wish, tie, chosen);
    }

    /** This layout with another wish; what was chosen for the old one is let go. */
    public RunLayout with(Wish other) {
        return new RunLayout(design, other, tie, new TreeMap<>());
    }

    /** This layout tied to a border inside, or untied; what was chosen is let go. */
    public RunLayout with(Optional<Tie> other) {
        return new RunLayout(design, wish, other, new TreeMap<>());
    }

    /** This layout with runs divided so; others stay as they are. */
    public RunLayout choosing(Map<RunId, School> schools) {
        TreeMap<RunId, School> all = new TreeMap<>(chosen);
        all.putAll(schools);
        return new RunLayout(design, wish, tie, all);
    }

    /** This layout following the best candidate again. */
    public RunLayout choosingNone() {
        return new RunLayout(design, wish, tie, new TreeMap<>());
    }

    /** This layout of a border that has moved to another place; its chosen runs with it. */
    RunLayout moved(int to) {
        TreeMap<RunId, School> moved = new TreeMap<>();
        chosen.forEach((id, school) -> moved.put(RunId.of(to, id.side().orElseThrow()), school));
        // A tie to the border that has gone, or to one outside, makes no sense any longer.
        Optional<Tie> kept = tie.filter(t -> t.to() < to).map(t -> new Tie(to, t.to(), t.ratio()));
        return new RunLayout(design, wish, kept, moved);
    }
}
