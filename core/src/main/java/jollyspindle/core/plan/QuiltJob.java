package jollyspindle.core.plan;

import jollyspindle.core.area.AreaDesign;
import jollyspindle.core.area.AreaReckoning;
import jollyspindle.core.cloth.ClothLook;
import jollyspindle.core.division.Counts;
import jollyspindle.core.division.Judging;
import jollyspindle.core.division.school.Even;
import jollyspindle.core.division.school.School;
import jollyspindle.core.effort.Effort;
import jollyspindle.core.effort.TooManyLinesException;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.motif.Layer;
import jollyspindle.core.motif.Motif;
import jollyspindle.core.placement.ToolId;
import jollyspindle.core.quilt.AreaId;
import jollyspindle.core.quilt.Dimension;
import jollyspindle.core.quilt.GroupId;
import jollyspindle.core.quilt.Quilt;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.quilt.Strip;
import jollyspindle.core.sewing.Reckoning;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.text.Guards;
import jollyspindle.core.text.Refusals;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.IntStream;

/**
 * Everything a quilter measured and decided for one quilt; nothing computed.
 *
 * @param name of the job, not blank, at most {@link #LONGEST_NAME} characters
 * @param tape lengths are read on
 * @param machine it is stitched on
 * @param quilt as measured
 * @param templates copies of the templates this job uses, or has used, each id once
 * @param judging how ways to come out are weighed
 * @param layouts what was decided for each border and strip; where nothing was, {@link #layout} says what holds
 * @param areaDesigns what was decided for each area of the body; where nothing was, nothing is stitched
 * @param look colours of cloth and thread, and the batting
 */
public record QuiltJob(
        String name,
        TapeScale tape,
        Machine machine,
        Quilt quilt,
        List<Template> templates,
        Judging judging,
        SortedMap<GroupId, RunLayout> layouts,
        SortedMap<AreaId, AreaDesign> areaDesigns,
        ClothLook look) {

    public static final int LONGEST_NAME = 80;

    private static final GroupId FIRST = GroupId.border(1);

    /** The part of a border that hatching has left at least, beside what is stitched before it. */
    private static final double UNCOVERED = 0.25;

    /** About how long a repeat is while nothing is said, in inches. */
    private static final double USUAL_REPEAT = 6;

    public QuiltJob {
        name = name.strip();
        Guards.characters("name", name, 1, LONGEST_NAME);
        templates = List.copyOf(templates);
        Set<String> ids = new HashSet<>();
        templates.forEach(t -> {
            if (!ids.add(t.id())) {
                throw new IllegalArgumentException(Refusals.say("template.twice", "id", t.id()));
            }
        });
        layouts = Collections.unmodifiableSortedMap(new TreeMap<>(layouts));
        areaDesigns = Collections.unmodifiableSortedMap(new TreeMap<>(areaDesigns));
        double reckoned = reckoned(quilt, areaDesigns, templates) + reckoned(quilt, templates, layouts);
        if (reckoned > Effort.MOST) {
            throw new TooManyLinesException(reckoned);
        }
    }

    /** About how many lines the areas make. */
    private static double reckoned(Quilt quilt, SortedMap<AreaId, AreaDesign> designs, List<Template> templates) {
        double width = quilt.get(Dimension.BODY_TOP).orElse(0);
        double height = quilt.get(Dimension.BODY_LEFT).orElse(0);
        double all = 0;
        for (Map.Entry<AreaId, AreaDesign> one : designs.entrySet()) {
            all += quilt.area(one.getKey())
                    .map(area -> AreaReckoning.lines(area, one.getValue(), width, height, templates))
                    .orElse(0.0);
        }
        return all;
    }

    /** About how many placements hatching takes in the runs; all else stays far below what is too many. */
    private static double reckoned(Quilt quilt, List<Template> templates, SortedMap<GroupId, RunLayout> layouts) {
        double all = 0;
        for (Map.Entry<GroupId, RunLayout> one : layouts.entrySet()) {
            if (quilt.groups().contains(one.getKey())) {
                for (Layer layer : one.getValue().design().layers()) {
                    if (layer.motif() instanceof Motif.Crosshatch hatch && !hatch.curved()) {
                        double inches = 2 * cloth(quilt, one.getKey()) * UNCOVERED / hatch.spacing();
                        all += Reckoning.straight(0, inches, layer.templateId(), templates);
                    }
                }
            }
        }
        return all;
    }

    /** Of a border, without its corners, or of a strip, in square inches. */
    private static double cloth(Quilt quilt, GroupId group) {
        if (group.strip()) {
            Strip strip = quilt.strip(group).orElseThrow();
            return strip.length() * strip.width();
        }
        double all = 0;
        for (Side side : Side.values()) {
            all += quilt.get(Dimension.body(side)).orElse(0)
                    * quilt.get(Dimension.depth(group.number(), side)).orElse(0);
        }
        return all;
    }

    /** A job with nothing in its areas. */
    public QuiltJob(
            String name,
            TapeScale tape,
            Machine machine,
            Quilt quilt,
            List<Template> templates,
            Judging judging,
            SortedMap<GroupId, RunLayout> layouts) {
        this(name, tape, machine, quilt, templates, judging, layouts, new TreeMap<>(), ClothLook.usual());
    }

    /** A job of a quilt with one border. */
    public QuiltJob(
            String name, TapeScale tape, Machine machine, Quilt quilt, List<Template> templates, RunLayout layout) {
        this(name, tape, machine, quilt, templates, Judging.usual(), new TreeMap<>(Map.of(FIRST, layout)));
    }

    public QuiltJob withName(String other) {
        return new QuiltJob(other, tape, machine, quilt, templates, judging, layouts, areaDesigns, look);
    }

    public QuiltJob withTape(TapeScale other) {
        return new QuiltJob(name, other, machine, quilt, templates, judging, layouts, areaDesigns, look);
    }

    public QuiltJob withMachine(Machine other) {
        return new QuiltJob(name, tape, other, quilt, templates, judging, layouts, areaDesigns, look);
    }

    /** This job of another quilt, whose borders and strips are the same ones. */
    public QuiltJob withQuilt(Quilt other) {
        return new QuiltJob(name, tape, machine, other, templates, judging, layouts, areaDesigns, look);
    }

    public QuiltJob withTemplates(List<Template> other) {
        return new QuiltJob(name, tape, machine, quilt, other, judging, layouts, areaDesigns, look);
    }

    public QuiltJob with(Judging other) {
        return new QuiltJob(name, tape, machine, quilt, templates, other, layouts, areaDesigns, look);
    }

    /** This job of other colours or another batting. */
    public QuiltJob with(ClothLook other) {
        return new QuiltJob(name, tape, machine, quilt, templates, judging, layouts, areaDesigns, other);
    }

    /** What was decided for an area. */
    public AreaDesign design(AreaId area) {
        return areaDesigns.getOrDefault(area, AreaDesign.nothing());
    }

    /** This job with an area stitched so. */
    public QuiltJob with(AreaId area, AreaDesign design) {
        TreeMap<AreaId, AreaDesign> all = new TreeMap<>(areaDesigns);
        if (design.isNothing()) {
            all.remove(area);
        } else {
            all.put(area, design);
        }
        return new QuiltJob(name, tape, machine, quilt, templates, judging, layouts, all, look);
    }

    /** This job without an area and its design. */
    public QuiltJob without(AreaId area) {
        return with(area, AreaDesign.nothing()).withQuilt(quilt.without(area)).with(look.without(area));
    }

    /** This job without a strip and its layout. */
    public QuiltJob withoutStrip(GroupId strip) {
        TreeMap<GroupId, RunLayout> kept = new TreeMap<>(layouts);
        kept.remove(strip);
        return new QuiltJob(
                name,
                tape,
                machine,
                quilt.withoutStrip(strip),
                templates,
                judging,
                kept,
                areaDesigns,
                look.withoutStrip(strip));
    }

    /** This job without a border; the layouts of those outside it move in with them. */
    public QuiltJob withoutBorder(int number) {
        TreeMap<GroupId, RunLayout> moved = new TreeMap<>();
        layouts.forEach((id, layout) -> {
            if (id.strip() || id.number() < number) {
                moved.put(id, layout);
            } else if (id.number() > number) {
                int to = id.number() - 1;
                RunLayout kept =
                        layout.tie().filter(t -> t.to() == number).isPresent() ? layout.with(Optional.empty()) : layout;
                moved.put(GroupId.border(to), kept.moved(to));
            }
        });
        return new QuiltJob(
                name,
                tape,
                machine,
                quilt.withoutBorder(number),
                templates,
                judging,
                moved,
                areaDesigns,
                look.withoutBorder(number));
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

    /** What was decided for a group; while nothing was, the template and the repeat of the first for which something was. */
    public RunLayout layout(GroupId group) {
        RunLayout own = layouts.get(group);
        if (own != null) {
            return own;
        }
        RunLayout first = layouts.isEmpty() ? null : layouts.get(layouts.firstKey());
        return first == null
                ? RunLayout.of(Optional.empty(), USUAL_REPEAT)
                : RunLayout.of(first.templateId(), first.wish().repeat()).withGuide(first.guideId());
    }

    /** What was decided for the innermost border. */
    public RunLayout layout() {
        return layout(FIRST);
    }

    public QuiltJob withLayout(GroupId group, RunLayout other) {
        TreeMap<GroupId, RunLayout> copy = new TreeMap<>(layouts);
        copy.put(group, other);
        return new QuiltJob(name, tape, machine, quilt, templates, judging, copy, areaDesigns, look);
    }

    /** This job with a group's layout changed. */
    public QuiltJob editing(GroupId group, UnaryOperator<RunLayout> change) {
        return withLayout(group, change.apply(layout(group)));
    }

    /**
     * This job with the motifs of a run stitched on another border or strip, too: divided anew there, with the same repeat
     * wanted. From border to border the corners come along; strips have none.
     */
    public QuiltJob copying(RunId from, GroupId to) {
        RunLayout source = layout(from.group());
        boolean corners = !from.group().strip() && !to.strip();
        return editing(to, l -> l.with(l.design().copying(source.design(), from, corners))
                .with(l.wish().withRepeat(source.wish().repeat())));
    }

    /** This job with runs divided by given schools; others stay as they are. */
    public QuiltJob choosing(Map<RunId, School> schools) {
        QuiltJob next = this;
        for (GroupId group :
                schools.keySet().stream().map(RunId::group).distinct().toList()) {
            TreeMap<RunId, School> own = new TreeMap<>(schools);
            own.keySet().removeIf(id -> !id.group().equals(group));
            next = next.editing(group, layout -> layout.choosing(own));
        }
        return next;
    }

    /** This job with the innermost border divided evenly. */
    public QuiltJob withCounts(Counts counts) {
        TreeMap<RunId, School> schools = new TreeMap<>();
        for (Side side : Side.values()) {
            schools.put(RunId.of(side), new Even(counts.on(side)));
        }
        return choosing(schools);
    }

    /** This job with another wanted repeat on the innermost border; what was chosen for the old one is let go. */
    public QuiltJob withWantedRepeat(double inches) {
        return editing(FIRST, layout -> layout.with(layout.wish().withRepeat(inches)));
    }

    /** The job's copy of a template. */
    public Optional<Template> template(String id) {
        return templates.stream().filter(t -> t.id().equals(id)).findFirst();
    }

    /** The copy of the template chosen for a group, if one is chosen and here. */
    public Optional<Template> chosenTemplate(GroupId group) {
        return layout(group).templateId().flatMap(this::template);
    }

    /** The copy of the template chosen for the innermost border, if one is chosen and here. */
    public Optional<Template> chosenTemplate() {
        return chosenTemplate(FIRST);
    }

    /** The edge a group's arcs are stitched along, if a template with a round one is chosen. */
    public Optional<ArcTemplate> arc(GroupId group) {
        List<ArcTemplate> arcs = chosenTemplate(group).map(Template::arcs).orElse(List.of());
        return arcs.stream()
                .filter(arc ->
                        layout(group).guideId().filter(arc.guideId()::equals).isPresent())
                .findFirst()
                .or(() -> arcs.stream().findFirst());
    }

    /** The edge the innermost border's arcs are stitched along, if a template with a round one is chosen. */
    public Optional<ArcTemplate> arc() {
        return arc(FIRST);
    }

    /** A round edge of one of the job's templates. */
    public Optional<ArcTemplate> arc(String templateId, String guideId) {
        return template(templateId).stream()
                .flatMap(t -> t.arcs().stream())
                .filter(arc -> arc.guideId().equals(guideId))
                .findFirst();
    }

    /** This job with copies of templates it hasn't got, so that a motif may take whichever suits. */
    public QuiltJob offering(List<Template> others) {
        List<Template> all = new ArrayList<>(templates);
        others.stream().filter(t -> !t.retired() && template(t.id()).isEmpty()).forEach(all::add);
        return withTemplates(all);
    }

    /** The round edge that a placement follows, if it is one of an arc or circle template. */
    public Optional<ArcTemplate> arc(ToolId tool) {
        return arc(tool.templateId(), tool.guideId());
    }

    /** The acrylic that a placement lays down, in the frame of the edge it follows; empty if it isn't here any more. */
    public List<Path> outlines(ToolId tool) {
        return template(tool.templateId()).map(t -> t.outlines(tool.guideId())).orElse(List.of());
    }
}
