package jollyspindle.desktop.bench;

import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.plan.QuiltJob;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Shelf;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.words.ShelfWords;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A template, or one edge of it, that a motif could be stitched with.
 *
 * @param template it is on
 * @param guideId of the edge; nothing where the template as a whole is meant
 * @param name the template's name, and which edge if it has several
 */
record TemplateChoice(Template template, Optional<String> guideId, String name) {

    /** The job's own copies in place of the shelf's, then what else is there; retired templates only if they are in use. */
    static List<TemplateChoice> of(QuiltJob job, Optional<String> used, Shelf shelf, EdgeKind need) {
        List<TemplateChoice> choices = new ArrayList<>();
        for (Template template : shelf.templates()) {
            boolean inUse = used.filter(template.id()::equals).isPresent();
            Template own = job.template(template.id()).orElse(template);
            if (inUse || !template.retired()) {
                add(inUse ? own : template, need, choices);
            }
        }
        used.filter(id -> shelf.template(id).isEmpty()).flatMap(job::template).ifPresent(t -> add(t, need, choices));
        return choices;
    }

    private static void add(Template template, EdgeKind need, List<TemplateChoice> choices) {
        switch (need) {
            case ARC -> arcs(template, choices);
            case S_CURVE -> {
                arcs(template, choices);
                whole(template, Kind.SERPENTINE_STRIP, choices);
            }
            case ZIGZAG -> {
                whole(template, Kind.STRAIGHT_EDGE, choices);
                whole(template, Kind.CHEVRON_STRIP, choices);
            }
            case FAN -> whole(template, Kind.SLOTTED_FAN, choices);
            case CIRCLE -> {
                if (template.kind() == Kind.CIRCLE || template.kind() == Kind.SLOTTED_CIRCLES) {
                    for (Guide guide : template.cut().guides()) {
                        choices.add(new TemplateChoice(
                                template, Optional.of(guide.id()), template.name() + ", " + ShelfWords.edge(guide)));
                    }
                }
            }
            case STRAIGHT_EDGE -> whole(template, Kind.STRAIGHT_EDGE, choices);
            case ARM -> whole(template, Kind.TURNED_ARM, choices);
            case SCALLOPS -> whole(template, Kind.SCALLOP_ROW, choices);
        }
    }

    /** A template of a kind that is chosen as a whole. */
    private static void whole(Template template, Kind kind, List<TemplateChoice> choices) {
        if (template.kind() == kind) {
            choices.add(new TemplateChoice(template, Optional.empty(), template.name()));
        }
    }

    private static void arcs(Template template, List<TemplateChoice> choices) {
        List<ArcTemplate> arcs = template.arcs();
        Cut cut = template.cut();
        for (ArcTemplate arc : arcs) {
            String edge = arcs.size() == 1
                    ? ""
                    : cut.guide(arc.guideId())
                            .map(g -> ", " + ShelfWords.edge(g))
                            .orElse("");
            choices.add(new TemplateChoice(template, Optional.of(arc.guideId()), template.name() + edge));
        }
    }

    boolean is(Optional<String> id, Optional<String> guide) {
        return id.filter(template.id()::equals).isPresent()
                && (guideId.isEmpty() || guide.isEmpty() || guide.equals(guideId));
    }
}
