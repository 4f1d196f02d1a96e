package jollyspindle.core.plan;

import jollyspindle.core.motif.CornerDesign;
import jollyspindle.core.motif.Design;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.text.Guards;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * A design of the quilter's own, to be stitched on other quilts of whatever size.
 *
 * @param name 1 to {@link QuiltJob#LONGEST_NAME} characters
 * @param design the motifs and corners
 * @param repeat about how long a repeat is, in inches
 * @param templates copies of those it is stitched with
 */
public record Recipe(String name, Design design, double repeat, List<Template> templates) {

    public Recipe {
        Guards.characters("name", name, 1, QuiltJob.LONGEST_NAME);
        templates = List.copyOf(templates);
    }

    /** What is stitched on a group of a job. */
    public static Recipe of(WorkPlan plan, GroupId group, String name) {
        QuiltJob job = plan.job();
        RunLayout layout = job.layout(group);
        Set<String> used = new TreeSet<>(named(layout.design()));
        plan.placements(group).forEach(p -> used.add(p.tool().templateId()));
        return new Recipe(
                name,
                layout.design(),
                layout.wish().repeat(),
                job.templates().stream().filter(t -> used.contains(t.id())).toList());
    }

    /** The templates that a design names. */
    private static List<String> named(Design design) {
        List<String> ids = new ArrayList<>();
        Stream.concat(design.layers().stream(), design.sides().values().stream().flatMap(List::stream))
                .forEach(layer -> {
                    layer.templateId().ifPresent(ids::add);
                    if (layer.motif() instanceof Motif.Arcs arcs) {
                        arcs.otherTemplate().ifPresent(ids::add);
                    } else if (layer.motif() instanceof Motif.FacingArcs facing) {
                        facing.otherTemplate().ifPresent(ids::add);
                    }
                });
        Stream.concat(Stream.of(design.corner()), design.corners().values().stream())
                .map(CornerDesign::templateId)
                .forEach(id -> id.ifPresent(ids::add));
        return ids;
    }

    /**
     * A job with this design on one of its groups: the runs are divided anew for it, and templates the job hasn't got come
     * along. A strip has no corners.
     */
    public QuiltJob appliedTo(QuiltJob job, GroupId group) {
        List<Layer> layers = design.layers();
        Design suited = group.strip() ? new Design(layers, CornerDesign.plain(), Map.of()) : design;
        return job.offering(templates)
                .editing(group, l -> l.with(suited).with(l.wish().withRepeat(repeat)));
    }
}
