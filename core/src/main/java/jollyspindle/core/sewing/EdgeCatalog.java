package jollyspindle.core.sewing;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.ToolId;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.Template;
import jollyspindle.core.shelf.form.Cut;
import jollyspindle.core.shelf.form.EngravedLine;
import jollyspindle.core.shelf.form.Guide;
import jollyspindle.core.shelf.form.Kind;
import jollyspindle.core.shelf.form.SlottedFan;
import jollyspindle.core.shelf.form.TurnedArm;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;

/** The edges that a job's templates offer, cut once. A template that is retired offers none unless it is asked for by name. */
public final class EdgeCatalog {

    private final List<Template> templates;
    private final Machine machine;
    private final Map<String, Cut> cuts = new HashMap<>();
    private final Map<String, List<ArcTemplate>> arcs = new HashMap<>();
    private final Map<String, List<StitchingEdge.Strip>> strips = new HashMap<>();
    private final Map<String, List<Arm>> arms = new HashMap<>();

    public EdgeCatalog(List<Template> templates, Machine machine) {
        this.templates = List.copyOf(templates);
        this.machine = machine;
    }

    public Machine machine() {
        return machine;
    }

    private Optional<Template> template(String id) {
        return templates.stream().filter(t -> t.id().equals(id)).findFirst();
    }

    /** Whether a template that there is has no such edge. */
    public boolean lacks(String templateId, String guideId) {
        return template(templateId).filter(t -> cut(t).guide(guideId).isEmpty()).isPresent();
    }

    private Cut cut(Template template) {
        return cuts.computeIfAbsent(template.id(), id -> template.cut());
    }

    private List<ArcTemplate> arcs(Template template) {
        return arcs.computeIfAbsent(template.id(), id -> template.arcs().stream()
                .filter(a -> a.difficulty(machine).isEmpty())
                .toList());
    }

    /** The template that was asked for, alone; or all that aren't retired. */
    private List<Template> offered(Optional<String> id) {
        return id.isPresent()
                ? template(id.get()).stream().toList()
                : templates.stream().filter(t -> !t.retired()).toList();
    }

    /** The round edge to stitch arcs along: the one asked for, or the first there is. */
    public Optional<ArcTemplate> arc(Optional<String> template, Optional<String> guide) {
        List<ArcTemplate> all =
                offered(template).stream().flatMap(t -> arcs(t).stream()).toList();
        return all.stream()
                .filter(a -> guide.filter(a.guideId()::equals).isPresent())
                .findFirst()
                .or(() -> all.stream().findFirst());
    }

    /** The smallest round edge that spans a repeat, or the largest if none does. */
    public Optional<ArcTemplate> arcSpanning(double repeat) {
        List<ArcTemplate> all = offered(Optional.empty()).stream()
                .flatMap(t -> arcs(t).stream())
                .sorted(Comparator.comparingDouble(a -> a.stitchedRadius(machine)))
                .toList();
        return all.stream()
                .filter(a -> 2 * a.stitchedRadius(machine) >= repeat)
                .findFirst()
                .or(() -> all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1)));
    }

    /** The round edge that stitches the smallest radius from one on; nothing if none stitches so much. */
    public Optional<ArcTemplate> arcFrom(double radius) {
        return offered(Optional.empty()).stream()
                .flatMap(t -> arcs(t).stream())
                .filter(a -> a.stitchedRadius(machine) >= radius - Tolerances.CHALK)
                .min(Comparator.comparingDouble(a -> a.stitchedRadius(machine)));
    }

    /**
     * The round edge that stitches the smallest radius from one on, or the largest if none stitches so much: of arcs, holes
     * and discs.
     *
     * @param id of the template asked for, if one is
     * @param radius in inches
     */
    public Optional<StitchingEdge.Round> roundFrom(Optional<String> id, double radius) {
        List<StitchingEdge.Round> all = offered(id).stream()
                .filter(t -> t.kind() == Kind.ARC || t.kind() == Kind.CIRCLE)
                .flatMap(t -> rounds(t).stream())
                .sorted(Comparator.comparingDouble(StitchingEdge.Round::stitched))
                .toList();
        return all.stream()
                .filter(r -> r.stitched() >= radius - Tolerances.CHALK)
                .findFirst()
                .or(() -> all.isEmpty() ? Optional.empty() : Optional.of(all.get(all.size() - 1)));
    }

    /** The round edges of arc templates that stitch a radius, the nearest first. */
    public Optional<ArcTemplate> arcOfRadius(double radius) {
        return templates.stream()
                .filter(t -> !t.retired())
                .flatMap(t -> arcs(t).stream())
                .filter(a -> Math.abs(a.stitchedRadius(machine) - radius) <= Tolerances.CHALK)
                .min(Comparator.comparingDouble(a -> Math.abs(a.stitchedRadius(machine) - radius)));
    }

    /** The round edges of arc templates that stitch a radius and lie on one side of it, the nearest first. */
    public List<ArcTemplate> arcsOfRadius(double radius, ArcEdge edge) {
        return offered(Optional.empty()).stream()
                .flatMap(t -> arcs(t).stream())
                .filter(a -> a.edge() == edge && Math.abs(a.stitchedRadius(machine) - radius) <= Tolerances.CHALK)
                .sorted(Comparator.comparingDouble(a -> Math.abs(a.stitchedRadius(machine) - radius)))
                .toList();
    }

    /** The round edge of an arc template that stitches the radius nearest to one, whatever it is. */
    public Optional<StitchingEdge.Round> nearest(double radius) {
        return offered(Optional.empty()).stream()
                .flatMap(t -> arcs(t).stream())
                .min(Comparator.comparingDouble(a -> Math.abs(a.stitchedRadius(machine) - radius)))
                .map(a -> StitchingEdge.Round.of(a, machine));
    }

    /** All round edges of a kind of template that can be followed, from the smallest. */
    private List<StitchingEdge.Round> rounds(Template template) {
        return cut(template).guides().stream()
                .flatMap(g -> StitchingEdge.Round.of(template, g, machine).stream())
                .sorted(Comparator.comparingDouble(StitchingEdge.Round::stitched))
                .toList();
    }

    /** The round edges of arc templates, from the smallest. */
    public List<StitchingEdge.Round> arcs(Optional<String> id) {
        return offered(id).stream()
                .filter(t -> t.kind() == Kind.ARC)
                .flatMap(t -> rounds(t).stream())
                .sorted(Comparator.comparingDouble(StitchingEdge.Round::stitched))
                .toList();
    }

    /**
     * The bulging edges of arc templates that stitch an arc from one place to another so far away, and have acrylic where the straight
     * line through both lies, from the smallest.
     *
     * @param span in inches; what is a chalk line's width more than twice the radius is a half circle
     */
    public List<StitchingEdge.Round> spanning(Optional<String> id, double span) {
        return offered(id).stream()
                .flatMap(t -> arcs(t).stream())
                .filter(a -> a.edge() == ArcEdge.CONVEX && span <= 2 * a.stitchedRadius(machine) + Tolerances.CHALK)
                .filter(a -> {
                    CircularSegment shell = CircularSegment.ofRadiusAndChord(
                            a.stitchedRadius(machine), Math.min(span, 2 * a.stitchedRadius(machine)));
                    return shell.sweep() <= a.usableSweep() + Tolerances.ROUNDING
                            && !a.strokesAt(a.crownToSeam(shell.height(), machine))
                                    .isEmpty();
                })
                .map(a -> StitchingEdge.Round.of(a, machine))
                .sorted(Comparator.comparingDouble(StitchingEdge.Round::stitched))
                .toList();
    }

    /**
     * What is engraved across an arc's template.
     *
     * @param belowCrown from the edge's crown straight down to it, in inches
     */
    public Optional<EngravedLine> across(ToolId tool, double belowCrown) {
        return template(tool.templateId()).stream()
                .flatMap(t -> arcs(t).stream()
                        .filter(a -> a.guideId().equals(tool.guideId()))
                        .flatMap(a -> a.riseLines().stream())
                        .filter(line -> Math.abs(line.belowCrown() - belowCrown) <= Tolerances.CHALK)
                        .flatMap(line -> t.lines().stream()
                                .filter(l -> l.kind() == EngravedLine.Kind.RISE && l.value() == line.label())))
                .findFirst();
    }

    /**
     * The edges that whole circles can be stitched along, from the smallest; slots with a gap count, too, if the foot goes into them.
     */
    public List<StitchingEdge.Round> circles(Optional<String> id) {
        return offered(id).stream()
                .filter(t -> t.kind() == Kind.CIRCLE || t.kind() == Kind.SLOTTED_CIRCLES)
                .filter(this::takesFoot)
                .flatMap(t -> rounds(t).stream())
                .sorted(Comparator.comparingDouble(StitchingEdge.Round::stitched))
                .toList();
    }

    private boolean takesFoot(Template template) {
        return template.form().slotsTake(machine);
    }

    /** How wide the widest slots are of those of a kind of template that the foot doesn't go into, in inches; nothing if there are none. */
    public OptionalDouble tooNarrow(Optional<String> id, Kind kind) {
        return offered(id).stream()
                .filter(t -> t.kind() == kind && !takesFoot(t))
                .mapToDouble(t -> t.form().slotWidth())
                .max();
    }

    /** How wide the slots are, in inches, that would stitch whole circles of a radius if the foot went into them; nothing if none would. */
    public OptionalDouble tooNarrowFor(Optional<String> id, double radius) {
        return offered(id).stream()
                .filter(t -> t.kind() == Kind.SLOTTED_CIRCLES && !takesFoot(t))
                .filter(t -> rounds(t).stream().anyMatch(r -> Math.abs(r.stitched() - radius) <= Tolerances.CHALK))
                .mapToDouble(t -> t.form().slotWidth())
                .max();
    }

    /** Any round edge that stitches a radius, circles and slots among them, if the foot goes into these. */
    public Optional<StitchingEdge.Round> round(double radius) {
        return templates.stream()
                .filter(t -> !t.retired() && takesFoot(t))
                .flatMap(t -> rounds(t).stream())
                .filter(r -> Math.abs(r.stitched() - radius) <= Tolerances.CHALK)
                .min(Comparator.comparingDouble(r -> Math.abs(r.stitched() - radius)));
    }

    /**
     * A set of fan slots.
     *
     * @param name of the template
     * @param blades its slots' outer walls, from the pivot outward
     */
    public record Fan(String name, double legAngle, List<StitchingEdge.Round> blades) {}

    /** The set of fan slots that was asked for, or the first there is; nothing if the foot doesn't go into any. */
    public Optional<Fan> fan(Optional<String> id) {
        return offered(id).stream()
                .filter(t -> t.form() instanceof SlottedFan && takesFoot(t))
                .map(t -> new Fan(
                        t.name(),
                        ((SlottedFan) t.form()).legAngle(),
                        cut(t).guides().stream()
                                .filter(g -> g.role() == Guide.Role.OUTER_WALL)
                                .flatMap(g -> StitchingEdge.Round.of(t, g, machine).stream())
                                .sorted(Comparator.comparingDouble(StitchingEdge.Round::stitched))
                                .toList()))
                .filter(f -> !f.blades().isEmpty())
                .findFirst();
    }

    /** The straight edge to stitch along: of the template asked for, or the longest there is. */
    public Optional<StitchingEdge.Straight> straight(Optional<String> id, Optional<String> guide) {
        List<StitchingEdge.Straight> all = offered(id).stream()
                .filter(t -> t.kind() == Kind.STRAIGHT_EDGE || id.isPresent())
                .flatMap(t -> cut(t).guides().stream().flatMap(g -> StitchingEdge.Straight.of(t, g, machine).stream()))
                .toList();
        return all.stream()
                .filter(s -> guide.filter(s.id().guideId()::equals).isPresent())
                .findFirst()
                .or(() -> all.stream().max(Comparator.comparingDouble(StitchingEdge.Straight::length)));
    }

    /**
     * An arm that is turned about a centre.
     *
     * @param edge its leading edge, in the template's frame: the middle of its hook at the origin, its tip straight above
     * @param hook radius of the hook's inside, in inches
     * @param takesFoot whether the foot goes into the hook
     * @param line the direction of the line engraved from the hook's middle that lies on a ray, counter-clockwise from straight
     *     up, in radians; nothing if there is none
     */
    public record Arm(StitchingEdge.Whole edge, double hook, boolean takesFoot, OptionalDouble line) {}

    /** The arm that was asked for, or the first there is. */
    public Optional<Arm> arm(Optional<String> id) {
        return offered(id).stream()
                .filter(t -> t.kind() == Kind.TURNED_ARM)
                .flatMap(t -> arms.computeIfAbsent(t.id(), x -> arms(t)).stream())
                .findFirst();
    }

    /** The edge of a template of any outline, if that is what was asked for. */
    public Optional<StitchingEdge.Whole> outline(Optional<String> id) {
        return offered(id).stream()
                .filter(t -> t.kind() == Kind.OUTLINE)
                .flatMap(t -> cut(t).guides().stream().flatMap(g -> g.stitched(machine.footRadius()).stream()
                        .limit(1)
                        .map(path ->
                                new StitchingEdge.Whole(new ToolId(t.id(), g.id(), Optional.empty()), t.name(), path))))
                .findFirst();
    }

    private List<Arm> arms(Template template) {
        if (!(template.form() instanceof TurnedArm form)) {
            return List.of();
        }
        OptionalDouble line = template.lines().stream()
                .filter(l -> l.kind() == EngravedLine.Kind.REFERENCE)
                .mapToDouble(EngravedLine::value)
                .findFirst();
        return cut(template).guides().stream()
                .filter(g -> g.role() == Guide.Role.LEADING_EDGE)
                .flatMap(g -> g.stitched(machine.footRadius()).stream()
                        .limit(1)
                        .map(path -> new StitchingEdge.Whole(
                                new ToolId(template.id(), g.id(), Optional.empty()), template.name(), path)))
                .map(edge -> new Arm(edge, form.hook(), form.hookTakes(machine), line))
                .toList();
    }

    /** The edge of a kind of strip: of the template asked for, or of the first there is. */
    public Optional<StitchingEdge.Strip> strip(Kind kind, Optional<String> id) {
        return strips(kind, id).findFirst();
    }

    /** All strips of a kind there are, or the one that is asked for. */
    public Stream<StitchingEdge.Strip> strips(Kind kind, Optional<String> id) {
        return offered(id).stream()
                .filter(t -> t.kind() == kind)
                .flatMap(t -> strips
                        .computeIfAbsent(t.id(), x -> cut(t).guides().stream()
                                .flatMap(g -> StitchingEdge.Strip.of(t, g, machine).stream())
                                .toList())
                        .stream());
    }

    /** How far a round edge goes straight on at both ends of a half circle, as it is stitched, in inches; 0 if it doesn't. */
    public double legs(ArcTemplate arc) {
        List<Curve> curves = template(arc.templateId())
                .flatMap(t -> cut(t).guide(arc.guideId()))
                .map(guide -> guide.stitched(machine.footRadius()))
                .filter(stitched -> stitched.size() == 1)
                .map(stitched -> stitched.get(0).curves())
                .orElse(List.of());
        boolean arch = curves.size() == 3
                && curves.get(0) instanceof Segment
                && curves.get(1) instanceof Arc half
                && Math.abs(half.sweep()) > Math.PI - Tolerances.ROUNDING
                && curves.get(2) instanceof Segment;
        return arch ? Math.min(curves.get(0).length(), curves.get(2).length()) : 0;
    }

    /** Whether a line is engraved across the middle of a tool's template. */
    public boolean hasCentreLine(ToolId tool) {
        return template(tool.templateId())
                .filter(t -> t.lines().stream().anyMatch(l -> l.kind() == EngravedLine.Kind.CENTRE))
                .isPresent();
    }

    /** Whether a line is engraved through the middle of a round edge's circle. */
    public boolean middleLine(ToolId tool) {
        return template(tool.templateId())
                .filter(t -> t.lines().stream().anyMatch(l -> l.kind() == EngravedLine.Kind.CENTRE))
                .flatMap(t -> cut(t).guide(tool.guideId()))
                .flatMap(Guide::round)
                .filter(round -> Math.abs(round.centre().x()) < Tolerances.ON_LINE)
                .isPresent();
    }

    /** Whether a line is engraved along an arc's edge at a distance over 0, in inches. */
    public boolean isEngraved(ArcTemplate arc, double fromEdge) {
        return template(arc.templateId()).stream()
                .flatMap(t -> t.lines().stream())
                .filter(l -> l.kind() == EngravedLine.Kind.PARALLEL)
                .mapToDouble(l -> l.fromEdge(arc.edge().footSign()))
                .anyMatch(d -> d > 0 && Math.abs(d - fromEdge) <= Tolerances.ON_LINE);
    }

    /** Whether acrylic lies so far from an arc's edge, in inches, 0 or more. */
    public boolean covers(ArcTemplate arc, double fromEdge) {
        return template(arc.templateId())
                .filter(t -> cut(t).guide(arc.guideId()).stream()
                        .anyMatch(guide -> !t.parallel(cut(t), guide, fromEdge).isEmpty()))
                .isPresent();
    }
}
