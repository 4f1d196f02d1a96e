package jollyspindle.desktop.bench;

import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.words.ShelfWords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * An edge the border's arcs can be stitched along.
 *
 * @param template it is on
 * @param guideId of the edge
 * @param name the template's name, and which edge if it has several
 */
record ArcChoice(Template template, String guideId, String name) {

    /** The job's own copy in place of the shelf's, then what else is there; retired templates only if they are in use. */
    static List<ArcChoice> of(QuiltJob job, GroupId group, Shelf shelf) {
        List<ArcChoice> choices = new ArrayList<>();
        Optional<Template> used = job.chosenTemplate(group);
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
        List<ArcTemplate> arcs = template.arcs();
        Cut cut = template.cut();
        for (ArcTemplate arc : arcs) {
            String edge = arcs.size() == 1
                    ? ""
                    : cut.guide(arc.guideId())
                            .map(g -> ", " + ShelfWords.edge(g))
                            .orElse("");
            choices.add(new ArcChoice(template, arc.guideId(), template.name() + edge));
        }
    }

    boolean is(ArcTemplate arc) {
        return arc.templateId().equals(template.id()) && arc.guideId().equals(guideId);
    }
}
