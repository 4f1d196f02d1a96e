package jollyspindle.core.layout;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.Machine;
import jollyspindle.core.shelf.form.Kind;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;

/** What every motif works with while it is laid out, whatever it is laid out in. */
public abstract class LayoutContext {

    /** A template that is laid on a line lies along so much of it, in inches, or it isn't held (common practice, no source). */
    private static final double LONG_ENOUGH = 0.5;

    /** Along less than this nothing is laid, in inches. */
    private static final double SHORT_ENOUGH = 0.25;

    /** Shorter pieces than this, in inches, are left out: a stitch or two. */
    public static final double SHORTEST = 1.0 / 8;

    private final PlacementBuilder sewing;
    private final EdgeCatalog tools;
    private final Optional<String> templateId;
    private final Optional<String> guideId;
    private final List<Diagnostic> diagnostics;

    /**
     * A motif's context.
     *
     * @param sewing that collects what is stitched
     * @param tools there are
     * @param templateId of the template asked for, if one is
     * @param guideId of its edge, if one is
     * @param diagnostics where what is the matter is told
     */
    protected LayoutContext(
            PlacementBuilder sewing,
            EdgeCatalog tools,
            Optional<String> templateId,
            Optional<String> guideId,
            List<Diagnostic> diagnostics) {
        this.sewing = sewing;
        this.tools = tools;
        this.templateId = templateId;
        this.guideId = guideId;
        this.diagnostics = diagnostics;
    }

    /** Where it is laid out. */
    public abstract StitchSpace space();

    /** What may be stitched by this motif. */
    public Region region() {
        return space().region();
    }

    public final PlacementBuilder sewing() {
        return sewing;
    }

    public final EdgeCatalog tools() {
        return tools;
    }

    /** Of the template asked for, if one is. */
    public final Optional<String> templateId() {
        return templateId;
    }

    public final Machine machine() {
        return tools.machine();
    }

    public final Marker marker() {
        return sewing.marker();
    }

    // --- what is the matter ----------------------------------------------------------------------------------------

    /** What is the matter, in the order in which it was found. */
    public final List<Diagnostic> diagnostics() {
        return diagnostics;
    }

    /** Tells what is the matter, each thing once. */
    public void tell(Diagnostic diagnostic) {
        if (!diagnostics.contains(diagnostic)) {
            diagnostics.add(diagnostic);
        }
    }

    /** Hands on an edge, or tells that there is none. */
    protected final <T> Optional<T> orTold(Optional<T> edge, EdgeKind need) {
        if (edge.isEmpty()) {
            tell(missing(need, 0));
        }
        return edge;
    }

    /** What is the matter if there is no template of a sort that stitches a radius in inches; 0 if any would do. */
    public final LayoutDiagnostic missing(EdgeKind need, double radius) {
        return missing(tools, templateId, need, radius);
    }

    /**
     * What is the matter if there is no template of a sort: there is none, or the foot doesn't go into its slots.
     *
     * @param template the one that was asked for, if one was
     * @param radius that it must stitch, in inches; 0 if any would do
     */
    public static LayoutDiagnostic missing(EdgeCatalog tools, Optional<String> template, EdgeKind need, double radius) {
        OptionalDouble narrow =
                switch (need) {
                    case FAN -> tools.tooNarrow(template, Kind.SLOTTED_FAN);
                    case CIRCLE -> tools.tooNarrow(template, Kind.SLOTTED_CIRCLES);
                    default -> OptionalDouble.empty();
                };
        return narrow.isPresent()
                ? new LayoutDiagnostic.FootStaysOut(
                        need, narrow.getAsDouble(), 2 * tools.machine().footRadius())
                : new LayoutDiagnostic.NoTool(need, radius);
    }

    // --- templates -------------------------------------------------------------------------------------------------

    /** The template with a round edge that arcs are stitched along; what is missing is told. */
    public Optional<ArcTemplate> arc() {
        return orTold(tools.arc(templateId, guideId), EdgeKind.ARC);
    }

    /** The round edge of that template; what is missing is told. */
    public final Optional<StitchingEdge.Round> round() {
        return arc().map(a -> StitchingEdge.Round.of(a, machine()));
    }

    /** The straight edge; what is missing is told. */
    public final Optional<StitchingEdge.Straight> straight() {
        return straight(EdgeKind.STRAIGHT_EDGE);
    }

    /** The straight edge, where it is one of several things that would do. */
    public final Optional<StitchingEdge.Straight> straight(EdgeKind need) {
        return orTold(tools.straight(templateId, guideId), need);
    }

    /** The edges that whole circles are stitched along, from the smallest; that there are none is told. */
    public final List<StitchingEdge.Round> circles() {
        List<StitchingEdge.Round> all = tools.circles(templateId);
        orTold(all.stream().findFirst(), EdgeKind.CIRCLE);
        return all;
    }

    /** Whether a line is engraved at a distance from a straight edge, in inches. */
    public static boolean engraved(StitchingEdge tool, double fromEdge) {
        return tool instanceof StitchingEdge.Straight straight
                && straight.parallels().stream().anyMatch(d -> Math.abs(d - fromEdge) <= Tolerances.ON_LINE);
    }

    /**
     * The spacing of lines that are laid beside each other where nothing else hangs on it: what the edge itself or a line engraved
     * beside it gives, if that is as near as chalk is thick; else as it is wished. In inches.
     */
    public final double echoed(StitchingEdge.Straight tool, double wished) {
        double foot = machine().footRadius();
        return DoubleStream.concat(
                        DoubleStream.of(foot), tool.parallels().stream().mapToDouble(d -> foot + d))
                .filter(spacing -> Math.abs(spacing - wished) <= Tolerances.CHALK)
                .boxed()
                .min(Comparator.comparingDouble(spacing -> Math.abs(spacing - wished)))
                .orElse(wished);
    }

    /** Whether a line runs along one that is stitched far enough for the template to be laid on that one. */
    public static boolean isAlong(StitchLine stitched, Curve line) {
        Point way = line.direction(0.5);
        Point from = line.start();
        double length = line.length();
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (Point end : List.of(stitched.path().start(), stitched.path().end())) {
            double along = Math.max(0, Math.min(length, end.minus(from).dot(way)));
            least = Math.min(least, along);
            most = Math.max(most, along);
        }
        return isLongEnough(most - least, length);
    }

    /** Whether a template that lies so far along something, in inches, is held for a line of a length. */
    protected static boolean isLongEnough(double along, double length) {
        return along >= Math.max(SHORT_ENOUGH, Math.min(LONG_ENOUGH, length / 4));
    }

    // --- places ----------------------------------------------------------------------------------------------------

    /** What of a path may be stitched, without snippets. */
    public final List<Path> kept(Path path) {
        return region().within(path).stream()
                .filter(p -> p.length() >= SHORTEST)
                .toList();
    }

    /** Makes a mark as soon as it can be made and is of use. */
    public abstract Mark mark(Mark.Kind kind, Point place);

    /** A line's end that is marked. */
    public final LineEnd marked(Mark.Kind kind, Point place) {
        return LineEnd.at(mark(kind, place));
    }

    /** Where a line ends that was cut off: what shows the place. */
    public abstract LineEnd shown(Point place);

    /** Whether a place lies on the edge of the space, shown by one of some. */
    public final boolean isShownBy(Point place, LineEnd.ShownBy... by) {
        return space().shownBy(place).filter(Arrays.asList(by)::contains).isPresent();
    }

    /** Whether a line lies in a seam, and so is no line of its own. */
    public boolean inSeam(Curve line) {
        return false;
    }
}
