package jollyspindle.desktop.bench;

import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.words.ShelfWords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * An edge the border's arcs can be stitched along.
 *
 * @param template it is on
 * @param arc the edge
 */
record ArcChoice(Template template, ArcTemplate arc) {

    /** The job's own copy first where it has one, then what is on the shelf; retired templates only if they are in use. */
    static List<ArcChoice> of(QuiltJob job, Shelf shelf) {
        List<ArcChoice> choices = new ArrayList<>();
        Optional<Template> used = job.chosenTemplate();
        for (Template template : shelf.templates()) {
            boolean inUse = used.filter(u -> u.id().equals(template.id())).isPresent();
            if (inUse) {
                add(used.get(), choices);
            } else if (!template.retired()) {
                add(template, choices);
            }
        }
        used.filter(u -> shelf.template(u.id()).isEmpty()).ifPresent(u -> add(u, choices));
        return choices;
    }

    private static void add(Template template, List<ArcChoice> choices) {
        template.arcs().forEach(arc -> choices.add(new ArcChoice(template, arc)));
    }

    boolean isChosen(QuiltJob job) {
        return job.arc()
                .filter(a -> a.templateId().equals(template.id()) && a.guideId().equals(arc.guideId()))
                .isPresent();
    }

    /** The template's name, and which edge if it has several. */
    String name() {
        return template.arcs().size() == 1
                ? template.name()
                : template.name() + ", "
                        + template.cut()
                                .guide(arc.guideId())
                                .map(ShelfWords::edge)
                                .orElse("");
    }
}
