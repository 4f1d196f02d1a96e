package jollyspindle.core.motif;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.division.Cell;
import jollyspindle.core.division.DividedRun;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Repeating;
import jollyspindle.core.effort.Effort;
import jollyspindle.core.effort.TooMuchException;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.MarkId;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.TapeScale;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.quilt.RunFrame;
import jollyspindle.core.quilt.RunId;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.shelf.ArcFit;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Lays out a design on runs that were divided together, and in the corners between them.
 *
 * <p>Each motif fills what the ones before leave it, cut off exactly where they are stitched.
 */
public final class RingDesigner {

    /**
     * What there is to know about one motif of a run or corner.
     *
     * @param run it is on; of a corner the run at whose left end it is
     * @param layer which motif, from 1; 0 for a corner's
     * @param diagnostic what is the matter
     */
    public record Diagnosed(RunId run, int layer, Diagnostic diagnostic) {}

    /**
     * What stands in a corner.
     *
     * @param run at whose left end the corner is
     * @param design that was asked for
     * @param lines what is stitched
     * @param placements how the template lies for it
     */
    public record Corner(RunId run, CornerDesign design, List<StitchLine> lines, List<Placement> placements) {}

    private final Design design;
    private final EdgeCatalog tools;
    private final TapeScale tape;
    private final Map<RunId, DividedRun> divided = new TreeMap<>();
    private final Map<RunId, Marker> markers = new TreeMap<>();
    private final Map<RunId, PlacementBuilder> sewings = new TreeMap<>();
    private final Map<Side, Corner> corners = new EnumMap<>(Side.class);
    private final List<Diagnosed> diagnosed = new ArrayList<>();
    private Set<MarkId> used;

    public RingDesigner(Design design, EdgeCatalog tools, TapeScale tape) {
        this.design = design;
        this.tools = tools;
        this.tape = tape;
    }

    public List<Diagnosed> diagnosed() {
        return List.copyOf(diagnosed);
    }

    /** The corners that something is stitched in. */
    public List<Corner> corners() {
        return List.copyOf(corners.values());
    }

    /** What is stitched on a run, with the marks that some placement uses. */
    public LaidOut laidOut(RunId id) {
        Set<MarkId> used = usedMarks();
        Marker marker = markers.get(id);
        List<Placement> placements = sewings.get(id).placements();
        return new LaidOut(
                sewings.get(id).lines(),
                marker.marks().stream()
                        .filter(m -> m.by() != Mark.MarkedBy.CHALK || used.contains(m.id()))
                        .toList(),
                marker.isSooner()
                        ? placements.stream().map(p -> p.with(marker::asMade)).toList()
                        : placements);
    }

    /** The ids of marks that a line starts or stops on, or a template is laid on. */
    private Set<MarkId> usedMarks() {
        if (used == null) {
            used = new HashSet<>();
            Stream.concat(
                            sewings.values().stream().flatMap(s -> s.placements().stream()),
                            corners.values().stream().flatMap(c -> c.placements().stream()))
                    .flatMap(Placement::marks)
                    .forEach(mark -> used.add(mark.id()));
        }
        return used;
    }

    /**
     * Takes a run up, to be laid out once the corners are.
     *
     * @param run its cells, with what the corners take
     * @param endsOnSeams whether seams mark both ends of the run
     * @param unit the run is pieced from, in inches
     */
    public void begin(RunFrame frame, DividedRun run, boolean endsOnSeams, OptionalDouble unit) {
        Marker marker = new Marker(frame, run.division(), tape, endsOnSeams, unit);
        divided.put(frame.id(), run);
        markers.put(frame.id(), marker);
        sewings.put(frame.id(), new PlacementBuilder(marker));
    }

    /**
     * Lays all motifs out on a run that was taken up.
     *
     * @param ring all four runs of its border; empty for a strip
     * @param meeting how the borders meet in the corners
     */
    public void layOut(RunFrame frame, Map<Side, RunFrame> ring, Corners meeting) {
        RunId id = frame.id();
        DividedRun run = divided.get(id);
        PlacementBuilder sewing = sewings.get(id);
        RunSpace.RunOn on = runOn(frame, run, ring, meeting);
        List<Path> taken = enclosedByCorners(frame, ring, meeting);
        List<StitchLine> inCorners =
                cornersAt(frame).flatMap(at -> corners.get(at).lines().stream()).toList();
        List<RunContext> before = new ArrayList<>();
        List<Layer> layers = design.layers(id);
        double lowest = Stream.concat(Stream.of(frame), ring.values().stream())
                .mapToDouble(RunFrame::room)
                .min()
                .orElseThrow();
        for (int i = 0; i < layers.size(); i++) {
            Layer layer = layers.get(i);
            DividedRun own = i == 0 && layer.isLike(design.main()) ? run : forItself(run, frame, layer);
            RunSpace whole = RunSpace.of(frame, own, layer.edge() == Layer.Edge.OUTSIDE, on);
            RunSpace space = layer.halfStep() ? whole.halfAStepOn(this::arc) : whole;
            Region all = taken.isEmpty() ? space.region() : space.region().minus(Region.union(taken));
            List<Path> stitched = sewing.lines().stream().map(StitchLine::path).toList();
            Optional<Region> region = region(all, layer, before)
                    .map(r ->
                            layer.breathing() > 0 && !stitched.isEmpty() ? r.clearOf(stitched, layer.breathing()) : r);
            RunContext laying =
                    new RunContext(space, sewing, tools, layer, i + 1, region.orElse(all), lowest, inCorners);
            sewing.begin(i + 1, layer.number(), space.rotation());
            if (region.isEmpty()) {
                laying.tell(new MotifDiagnostic.NoSpace());
            } else {
                int lines = sewing.lines().size();
                layWithin(laying, sewing, echo(before));
                if (sewing.lines().size() == lines
                        && laying.diagnostics().stream().noneMatch(Diagnostic::stops)) {
                    laying.tell(new MotifDiagnostic.NoSpace());
                }
            }
            boolean gone = layer.templateId().isPresent()
                    && layer.guideId()
                            .filter(guide -> tools.lacks(layer.templateId().get(), guide))
                            .isPresent();
            if (gone) {
                laying.tell(new LayoutDiagnostic.EdgeGone());
            }
            int number = i + 1;
            laying.diagnostics().forEach(o -> diagnosed.add(new Diagnosed(id, number, o)));
            before.add(laying);
        }
    }

    /** What motifs in the corners at both ends of a run enclose of it. */
    private List<Path> enclosedByCorners(RunFrame frame, Map<Side, RunFrame> ring, Corners meeting) {
        return cornersAt(frame)
                .flatMap(at -> CornerTypes.of(corners.get(at).design().kind())
                        .encloses(
                                new CornerSpace(ring.get(at), ring.get(at.previous()), meeting),
                                corners.get(at).lines())
                        .stream())
                .toList();
    }

    /** The sides whose left ends the corners at both ends of a run are at, as far as something is stitched there. */
    private Stream<Side> cornersAt(RunFrame frame) {
        return frame.id().side().stream()
                .flatMap(side -> Stream.of(side, side.next()))
                .filter(corners::containsKey);
    }

    /** How a run goes on into corners that the repeats are to be cut off in. */
    private RunSpace.RunOn runOn(RunFrame frame, DividedRun run, Map<Side, RunFrame> ring, Corners meeting) {
        if (frame.id().side().isEmpty() || meeting != Corners.MITRED) {
            return RunSpace.RunOn.NONE;
        }
        Side side = frame.id().side().orElseThrow();
        Optional<Segment> left = mitre(side, ring, meeting);
        Optional<Segment> right = mitre(side.next(), ring, meeting);
        double first = run.figures().get(0).cell().width();
        double last = run.figures().get(run.figures().size() - 1).cell().width();
        return new RunSpace.RunOn(
                left,
                right,
                left.isPresent() ? (int) Math.ceil(frame.depth() / first) : 0,
                right.isPresent() ? (int) Math.ceil(frame.depth() / last) : 0);
    }

    private Optional<Segment> mitre(Side side, Map<Side, RunFrame> ring, Corners meeting) {
        if (!CornerTypes.of(design.corner(side).kind()).runsOn()) {
            return Optional.empty();
        }
        CornerSpace corner = new CornerSpace(ring.get(side), ring.get(side.previous()), meeting);
        return Optional.of(new Segment(corner.inner(), corner.outer()));
    }

    /** Lays a motif out; of one that would be too much, nothing is left. */
    private static void layWithin(RunContext laying, PlacementBuilder sewing, double echo) {
        int before = sewing.lines().size();
        try {
            lay(laying, laying.layer().motif(), echo);
        } catch (TooMuchException e) {
            sewing.discardAfter(before);
            laying.tell(new LayoutDiagnostic.TooFine(Effort.MOST));
        }
    }

    private static <M extends Motif> void lay(RunContext laying, M motif, double echo) {
        MotifTypes.of(motif).lay(laying, motif, echo);
    }

    /** The spacing of the echoes that the motifs before have, in inches; 0 if they have none. */
    private static double echo(List<RunContext> before) {
        return before.stream()
                .flatMapToDouble(laying -> echo(laying.layer().motif()).stream())
                .reduce(0, (earlier, later) -> later);
    }

    private static <M extends Motif> OptionalDouble echo(M motif) {
        return MotifTypes.of(motif).echo(motif);
    }

    /** What a motif may fill; nothing if the ones before leave no such space. */
    private static Optional<Region> region(Region all, Layer layer, List<RunContext> before) {
        if (layer.space() == Layer.Space.ALL) {
            return Optional.of(all);
        }
        List<RunContext.Enclosed> figures =
                before.stream().flatMap(l -> l.enclosed().stream()).toList();
        List<RunContext.Enclosed> chosen =
                figures.stream().filter(f -> layer.cells().holds(f.cell())).toList();
        if (chosen.isEmpty()) {
            return Optional.empty();
        }
        List<Path> outer = figures.stream().map(f -> f.outlines().get(0)).toList();
        return switch (layer.space()) {
            case INSIDE -> {
                // Inside the innermost line: that is what a motif of several lines leaves.
                List<Path> inner = chosen.stream()
                        .map(f -> f.outlines().get(f.outlines().size() - 1))
                        .toList();
                yield Optional.of(all.and(Region.union(inner)));
            }
            case ABOVE -> Optional.of(all.minus(Region.union(outer)));
            case OVERLAPS ->
                Optional.of(all.and(Region.overlaps(outer))
                        .and(Region.union(
                                chosen.stream().map(f -> f.outlines().get(0)).toList())));
            default -> between(all, chosen, outer);
        };
    }

    private static Optional<Region> between(Region all, List<RunContext.Enclosed> chosen, List<Path> outer) {
        boolean nested = chosen.stream().anyMatch(f -> f.outlines().size() > 1);
        if (!nested) {
            return Optional.of(all.minus(Region.union(outer)));
        }
        List<Path> second = chosen.stream()
                .filter(f -> f.outlines().size() > 1)
                .map(f -> f.outlines().get(1))
                .toList();
        List<Path> first = chosen.stream()
                .filter(f -> f.outlines().size() > 1)
                .map(f -> f.outlines().get(0))
                .toList();
        return Optional.of(all.and(Region.union(first)).minus(Region.union(second)));
    }

    /** The same cells for a further motif's own template; an arc stands where the main motif has something. */
    private DividedRun forItself(DividedRun run, RunFrame frame, Layer layer) {
        boolean hanging = layer.edge() == Layer.Edge.OUTSIDE;
        Optional<Repeating> repeating =
                DivisionConstraints.of(layer, tools, frame.room()).map(DivisionConstraints::repeating);
        double clearance = hanging ? frame.reserve() : frame.clearance();
        List<Figure> figures = new ArrayList<>();
        for (int i = 0; i < run.figures().size(); i++) {
            Figure figure = run.figures().get(i);
            Cell cell = figure.cell();
            if (figure instanceof Figure.Empty empty && empty.why() != Figure.Why.TOO_WIDE) {
                figures.add(empty);
            } else if (repeating.isPresent() && repeating.get() instanceof Repeating.Arcs arcs) {
                figures.add(arc(cell, arcs.template(), frame.room(), clearance, i == 0));
            } else {
                figures.add(new Figure.Other(cell, -1));
            }
        }
        return new DividedRun(run.run(), run.school(), run.division(), List.copyOf(figures));
    }

    private Figure arc(Cell cell, ArcTemplate template, double room, double clearance, boolean atLeft) {
        boolean half = cell.kind() == Cell.Kind.HALF;
        return ArcFit.of(template, tools.machine(), (half ? 2 : 1) * cell.width(), room, clearance)
                .<Figure>map(fit -> half
                        ? new Figure.HalfArc(cell, template, fit, atLeft)
                        : new Figure.WholeArc(cell, template, fit))
                .orElseGet(() -> new Figure.Empty(cell, Figure.Why.TOO_WIDE));
    }

    // --- corners -----------------------------------------------------------------------------------------------

    /**
     * What corners take of a run at its left end and its right one, in inches.
     *
     * @param frames of all four runs
     * @param repeat about what repeats will be, in inches
     */
    public static Map<RunId, double[]> takenByCorners(
            Design design, EdgeCatalog tools, Map<Side, RunFrame> frames, Corners corners, double repeat) {
        Map<RunId, double[]> taken = new TreeMap<>();
        frames.values().forEach(f -> taken.put(f.id(), new double[2]));
        if (corners != Corners.MITRED && corners != Corners.CORNERSTONES) {
            return taken;
        }
        for (Side side : frames.keySet()) {
            CornerSpace space = new CornerSpace(frames.get(side), frames.get(side.previous()), corners);
            feet(design, design.corner(side), tools, frames, repeat, space).ifPresent(feet -> {
                taken.get(space.left().id())[0] = space.takesOfLeft(feet);
                taken.get(space.right().id())[1] = space.takesOfRight(feet);
            });
        }
        return taken;
    }

    /** How far a corner's feet stand from it: as far in all corners that are asked for alike. */
    private static OptionalDouble feet(
            Design design,
            CornerDesign corner,
            EdgeCatalog tools,
            Map<Side, RunFrame> frames,
            double repeat,
            CornerSpace space) {
        Optional<ArcTemplate> arc = arc(design, corner, tools);
        if (arc.isEmpty()) {
            return OptionalDouble.empty();
        }
        double room = frames.values().stream().mapToDouble(RunFrame::room).min().orElseThrow();
        double radius = arc.get().stitchedRadius(tools.machine());
        CornerType type = CornerTypes.of(corner.kind());
        OptionalDouble feet = type.feet(corner, radius, tools.legs(arc.get()), room, comingOut(frames, repeat));
        return feet.isPresent() && feet.getAsDouble() <= mostFeet(frames)
                ? OptionalDouble.of(type.feetIn(space, feet.getAsDouble(), radius))
                : OptionalDouble.empty();
    }

    /** Further out a corner's feet would leave the runs less than a third of their length. */
    private static double mostFeet(Map<Side, RunFrame> frames) {
        return frames.values().stream().mapToDouble(RunFrame::length).min().orElseThrow() / 3;
    }

    /**
     * The mean repeat if every side had the count that comes nearest to the wanted repeat, a corner's arc on each end taking
     * half of one: so corner arcs and repeats come out alike.
     */
    private static double comingOut(Map<Side, RunFrame> frames, double wanted) {
        return frames.values().stream()
                .mapToDouble(f -> f.length() / Math.max(1, Math.rint(f.length() / wanted)))
                .average()
                .orElseThrow();
    }

    /** The round edge a corner is stitched along: its own, or else that of the run's first motif of arcs. */
    private static Optional<ArcTemplate> arc(Design design, CornerDesign corner, EdgeCatalog tools) {
        Optional<String> template = corner.templateId();
        Optional<String> guide = corner.guideId();
        EdgeKind need = DivisionConstraints.template(design.main().motif());
        boolean round = need == EdgeKind.ARC || need == EdgeKind.S_CURVE;
        if (template.isEmpty()
                && round
                && tools.arc(design.main().templateId(), Optional.empty()).isPresent()) {
            template = design.main().templateId();
            guide = design.main().guideId();
        }
        return tools.arc(template, guide);
    }

    /** Lays all corners out, before the runs: they are stitched first. */
    public void layOutCorners(Map<Side, RunFrame> ring, Corners meeting, double repeat) {
        List<Double> crowns = new ArrayList<>();
        for (Side side : Side.values()) {
            CornerDesign wanted = design.corner(side);
            RunFrame left = ring.get(side);
            RunFrame right = ring.get(side.previous());
            if (wanted.kind() == CornerDesign.Kind.PLAIN
                    || !divided.containsKey(left.id())
                    || !divided.containsKey(right.id())) {
                continue;
            }
            CornerSpace space = new CornerSpace(left, right, meeting);
            CornerContext corner = new CornerContext(
                    space,
                    wanted,
                    tools,
                    arc(design, wanted, tools),
                    beside(left.id()),
                    beside(right.id()),
                    new CornerContext.Feet(feet(design, wanted, tools, ring, repeat, space), mostFeet(ring)),
                    free());
            corner.lay();
            corner.diagnostics().forEach(o -> diagnosed.add(new Diagnosed(left.id(), 0, o)));
            corner.crown().ifPresent(crowns::add);
            corners.put(
                    side, new Corner(left.id(), wanted, List.copyOf(corner.lines()), List.copyOf(corner.placements())));
        }
        if (crowns.size() > 1) {
            double apart = Collections.max(crowns) - Collections.min(crowns);
            if (apart > Tolerances.CHALK) {
                diagnosed.add(new Diagnosed(ring.get(Side.TOP).id(), 0, new MotifDiagnostic.CornersDiffer(apart)));
            }
        }
    }

    /** What a run has beside a corner. */
    private CornerContext.Beside beside(RunId id) {
        OptionalDouble arcs =
                design.main().motif() instanceof Motif.Arcs && design.main().edge() == Layer.Edge.SEAM
                        ? tools.arc(design.main().templateId(), design.main().guideId()).stream()
                                .mapToDouble(arc -> arc.stitchedRadius(tools.machine()))
                                .findFirst()
                        : OptionalDouble.empty();
        return new CornerContext.Beside(markers.get(id), divided.get(id).division(), arcs);
    }

    /** Whether nothing of the runs reaches into corners they run on into: arcs on the seam stay low there. */
    private boolean free() {
        return design.layers().size() == 1
                && design.main().edge() == Layer.Edge.SEAM
                && design.main().motif() instanceof Motif.Arcs;
    }
}
