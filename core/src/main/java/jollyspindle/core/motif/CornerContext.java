package jollyspindle.core.motif;

import jollyspindle.core.diagnostic.Diagnostic;
import jollyspindle.core.division.RunDivision;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Corners;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What a corner's motif is laid out in and with, and what comes of it. */
final class CornerContext {

    final CornerSpace space;
    final CornerDesign design;
    final EdgeCatalog tools;
    final Marker leftMarker;
    final Marker rightMarker;
    final RunDivision leftDivision;
    final RunDivision rightDivision;
    final PlacementBuilder sewing;

    /** The radius of the arcs on the left run's seam, in inches; nothing if there are none. */
    final OptionalDouble arcs;

    /** How far from the corner the feet of its arc stand, in inches, if it has any and they go there. */
    final OptionalDouble feet;

    /** How far out they may be, in inches. */
    final double mostFeet;

    /** Whether nothing of the runs reaches into the corner. */
    final boolean free;

    private final Optional<ArcTemplate> arc;
    private final List<Diagnostic> diagnostics = new ArrayList<>();

    /**
     * What is needed for a corner.
     *
     * @param arc the round edge its arcs are stitched along, if there is one
     * @param left what the run has at whose left end it is
     * @param right what the run has at whose right end it is
     */
    CornerContext(
            CornerSpace space,
            CornerDesign design,
            EdgeCatalog tools,
            Optional<ArcTemplate> arc,
            Beside left,
            Beside right,
            Feet feet,
            boolean free) {
        this.space = space;
        this.design = design;
        this.tools = tools;
        this.arc = arc;
        this.arcs = left.arcs();
        this.leftMarker = left.marker();
        this.rightMarker = right.marker();
        this.leftDivision = left.division();
        this.rightDivision = right.division();
        this.feet = feet.at();
        this.mostFeet = feet.most();
        this.free = free;
        this.sewing = new PlacementBuilder(leftMarker);
        sewing.begin(0, 0, space.left().rotation());
        rightMarker.begin(0);
    }

    /**
     * A run that ends in the corner.
     *
     * @param arcs the radius of the arcs that stand on its seam, in inches; nothing if none do
     */
    record Beside(Marker marker, RunDivision division, OptionalDouble arcs) {}

    /**
     * How far out the feet of an arc in the corner stand.
     *
     * @param at in inches; nothing if there are none or they can't stand there
     * @param most how far out they may be, in inches
     */
    record Feet(OptionalDouble at, double most) {}

    List<StitchLine> lines() {
        return sewing.lines();
    }

    List<Placement> placements() {
        return sewing.placements();
    }

    List<Diagnostic> diagnostics() {
        return diagnostics;
    }

    void tell(Diagnostic diagnostic) {
        diagnostics.add(diagnostic);
    }

    /** Lays the motif out, in corners that have the room for one. */
    void lay() {
        if (space.corners() == Corners.MITRED || space.corners() == Corners.CORNERSTONES) {
            CornerTypes.of(design.kind()).lay(this);
        } else {
            tell(new MotifDiagnostic.NoSpace());
        }
    }

    /** How far the crown of what stands astride the mitre is from the inner corner, in inches. */
    Optional<Double> crown() {
        return CornerTypes.of(design.kind()).isAstride(design)
                ? sewing.lines().stream()
                        .findFirst()
                        .map(l -> l.path().curves().get(0).at(0.5).distance(space.inner()))
                : Optional.empty();
    }

    /** The round edge; nothing, and a diagnostic, if there is none. */
    Optional<StitchingEdge.Round> tool() {
        if (arc.isEmpty()) {
            tell(new LayoutDiagnostic.NoTool(EdgeKind.ARC, 0));
        }
        return arc.map(a -> StitchingEdge.Round.of(a, tools.machine()));
    }

    /** How far the template's edge goes straight on at both ends of a half circle, in inches; 0 if it doesn't. */
    double legs() {
        return arc.map(tools::legs).orElse(0.0);
    }

    /** Whether an arc keeps within the limits of stitching. */
    boolean staysInside(Arc arc) {
        return staysInside(space.region(), arc);
    }

    /** Whether all of an arc lies in a region. */
    static boolean staysInside(Region region, Arc arc) {
        return region.within(Path.of(arc)).stream()
                .anyMatch(p -> Math.abs(p.length() - arc.length()) < Tolerances.SAME_PLACE);
    }

    /** The arc of a radius that looks out of the corner, its feet so far out on the lines that go on from both seams. */
    Optional<Arc> outward(double radius, double out) {
        Point from = space.inner().plus(space.away().times(-out));
        Point to = space.inner().plus(space.towards().times(out));
        return ArcsBetween.bulgingTowards(from, to, radius, space.outer());
    }

    /** Stitches that arc; a diagnostic if it passes the limits of stitching. */
    void outward(StitchingEdge.Round tool, double out) {
        Arc arc = outward(tool.stitched(), out).orElseThrow();
        if (!staysInside(arc)) {
            tell(new MotifDiagnostic.TooHigh(beyond(arc)));
            return;
        }
        Mark start = leftMarker.next(Mark.Kind.FOOT, arc.start(), Mark.Stage.LOADED);
        Mark end = leftMarker.next(Mark.Kind.FOOT, arc.end(), Mark.Stage.LOADED);
        sewing.stitch(
                PlacementBuilder.Naming.of(Stitched.CORNER_ARC, 1),
                arc,
                tool,
                astride(arc),
                LineEnd.at(start),
                LineEnd.at(end),
                PlacementBuilder.Turn.MARKED);
    }

    /**
     * What the template is laid on for an arc astride the mitre: its centre line, if it has one, lies on the seam there, and the
     * arc takes one placement; else the foot alone tells, over both marks.
     */
    Registration astride(Arc arc) {
        StitchingEdge.Round edge = tool().orElseThrow();
        Point mitre = space.outer().minus(space.inner()).unit();
        boolean onMitre = space.corners() == Corners.MITRED
                && Math.abs(arc.centre().minus(space.inner()).cross(mitre)) < Tolerances.ON_LINE
                && Math.abs(arc.at(0.5).minus(space.inner()).cross(mitre)) < Tolerances.ON_LINE;
        return onMitre
                        && this.arc.filter(ArcTemplate::centreLine).isPresent()
                        && Math.abs(arc.sweep()) <= edge.usable() + Tolerances.ROUNDING
                ? new Registration.OnMitre()
                : new Registration.FootOnBothMarks();
    }

    /** How far an arc passes the limits of stitching at most, in inches. */
    private double beyond(Arc arc) {
        double most = Math.max(space.beyond(arc.start()), space.beyond(arc.end()));
        for (Point outward : List.of(space.left().outward(), space.right().outward())) {
            Point top = arc.centre().plus(outward.times(arc.radius()));
            if (arc.distance(top) < Tolerances.SAME_PLACE) {
                most = Math.max(most, space.beyond(top));
            }
        }
        return most;
    }
}
