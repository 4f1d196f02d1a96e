package jollyspindle.core.plan;

import jollyspindle.core.division.Counts;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Everything a quilter measured and decided for one quilt; nothing computed.
 *
 * @param name of the job, not blank, at most {@link #LONGEST_NAME} characters
 * @param tape lengths are read on
 * @param machine it is stitched on
 * @param quilt as measured
 * @param templates copies of the templates this job uses, or has used, each id once
 * @param layout what was decided for the border
 */
public record QuiltJob(
        String name, TapeScale tape, Machine machine, Quilt quilt, List<Template> templates, RingLayout layout) {

    public static final int LONGEST_NAME = 80;

    public QuiltJob {
        if (name.isBlank() || name.length() > LONGEST_NAME) {
            throw new IllegalArgumentException("a job's name has 1 to " + LONGEST_NAME + " characters");
        }
        templates = List.copyOf(templates);
        Set<String> ids = new HashSet<>();
        templates.forEach(t -> {
            if (!ids.add(t.id())) {
                throw new IllegalArgumentException("two templates are called " + t.id());
            }
        });
    }

    public QuiltJob withName(String other) {
        return new QuiltJob(other, tape, machine, quilt, templates, layout);
    }

    public QuiltJob withTape(TapeScale other) {
        return new QuiltJob(name, other, machine, quilt, templates, layout);
    }

    public QuiltJob withMachine(Machine other) {
        return new QuiltJob(name, tape, other, quilt, templates, layout);
    }

    public QuiltJob withQuilt(Quilt other) {
        return new QuiltJob(name, tape, machine, other, templates, layout);
    }

    public QuiltJob withTemplates(List<Template> other) {
        return new QuiltJob(name, tape, machine, quilt, other, layout);
    }

    /** This job with a copy of a template: in place of the one with the same id, or besides the others. */
    public QuiltJob withTemplate(Template copy) {
        List<Template> all = new ArrayList<>(templates);
        int index = IntStream.range(0, all.size())
                .filter(i -> all.get(i).id().equals(copy.id()))
                .findFirst()
                .orElse(all.size());
        if (index < all.size()) {
            all.set(index, copy);
        } else {
            all.add(copy);
        }
        return withTemplates(all);
    }

    /**
     * This job using an edge of a template it has a copy of.
     *
     * @param guideId of the edge; its main one if it has no such
     */
    public QuiltJob withTemplateChosen(String id, Optional<String> guideId) {
        return withLayout(new RingLayout(Optional.of(id), guideId, layout.wantedRepeat(), layout.counts()));
    }

    /** This job with another wanted repeat; counts chosen for the old one are let go. */
    public QuiltJob withWantedRepeat(double inches) {
        return withLayout(new RingLayout(layout.templateId(), layout.guideId(), inches, Optional.empty()));
    }

    public QuiltJob withCounts(Counts counts) {
        return withLayout(
                new RingLayout(layout.templateId(), layout.guideId(), layout.wantedRepeat(), Optional.of(counts)));
    }

    private QuiltJob withLayout(RingLayout other) {
        return new QuiltJob(name, tape, machine, quilt, templates, other);
    }

    /** The job's copy of a template. */
    public Optional<Template> template(String id) {
        return templates.stream().filter(t -> t.id().equals(id)).findFirst();
    }

    /** The copy of the chosen template, if one is chosen and here. */
    public Optional<Template> chosenTemplate() {
        return layout.templateId().flatMap(this::template);
    }

    /** The edge the border's arcs are stitched along, if a template with a round one is chosen. */
    public Optional<ArcTemplate> arc() {
        List<ArcTemplate> arcs = chosenTemplate().map(Template::arcs).orElse(List.of());
        return arcs.stream()
                .filter(arc -> layout.guideId().filter(arc.guideId()::equals).isPresent())
                .findFirst()
                .or(() -> arcs.stream().findFirst());
    }
}
