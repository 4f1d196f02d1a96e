package jollyspindle.core.motif;

import jollyspindle.core.division.RunDivision;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.marking.Marker;
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

/** Lays out what stands in one corner. */
final class CornerLayout {

    /** A corner's lines that end so near to what they should reach, in inches, reach it. */
    private static final double ON = 1e-6;

    /** Enough to halve the deepest border down to less than rounding. */
    private static final int HALVINGS = 50;

    private final CornerSpace space;
    private final CornerDesign design;
    private final EdgeCatalog tools;
    private final Optional<ArcTemplate> arc;
    private final Marker leftMarker;
    private final Marker rightMarker;
    private final RunDivision leftDivision;
    private final RunDivision rightDivision;
    private final PlacementBuilder sewing;
    private final List<Obstacle> obstacles = new ArrayList<>();

    /**
     * What is needed for a corner.
     *
     * @param arc the round edge its arcs are stitched along, if there is one
     * @param leftMarker of the run at whose left end it is
     * @param rightMarker of the run at whose right end it is
     */
    CornerLayout(
            CornerSpace space,
            CornerDesign design,
            EdgeCatalog tools,
            Optional<ArcTemplate> arc,
            Marker leftMarker,
            Marker rightMarker,
            RunDivision leftDivision,
            RunDivision rightDivision) {
        this.space = space;
        this.design = design;
        this.tools = tools;
        this.arc = arc;
        this.leftMarker = leftMarker;
        this.rightMarker = rightMarker;
        this.leftDivision = leftDivision;
        this.rightDivision = rightDivision;
        this.sewing = new PlacementBuilder(space.left().id(), leftMarker);
        sewing.begin(0, space.left().rotation());
    }

    List<StitchLine> lines() {
        return sewing.lines();
    }

    List<Placement> placements() {
        return sewing.placements();
    }

    List<Obstacle> obstacles() {
        return obstacles;
    }

    /**
     * How far a mitre arc's feet stand from the inner corner.
     *
     * <p>With the feet at d on both seams of a right-angled corner and a stitched radius R, the centre lies k out along both
     * borders, (k + d)² + k² = R², and the crown clears the limit of stitching if k + R is no more than the room. While none
     * are chosen, the feet stand half a repeat away, as a valley would; or further, if the crown wouldn't clear so.
     *
     * @param radius stitched, in inches
     * @param room from the seam to the limit of stitching, in inches
     * @param repeat about what the runs' repeats will be, in inches
     * @return nothing if no arc of that radius goes round the corner and clears
     */
    static OptionalDouble feet(CornerDesign design, double radius, double room, double repeat) {
        if (design.feet().isPresent()) {
            return design.feet();
        }
        double half = repeat / 2;
        double k = (Math.sqrt(Math.max(0, 2 * radius * radius - half * half)) - half) / 2;
        if (half <= radius && k + radius <= room + 1e-9) {
            return OptionalDouble.of(half);
        }
        double most = room - radius;
        double square = radius * radius - most * most;
        double feet = square < 0 ? -1 : Math.sqrt(square) - most;
        return feet > 0 ? OptionalDouble.of(feet) : OptionalDouble.empty();
    }

    /**
     * Lays it out.
     *
     * @param feet of a mitre arc
     * @param mostFeet how far out they may be, in inches
     * @param free whether nothing of the runs reaches into the corner
     */
    void lay(OptionalDouble feet, double mostFeet, boolean free) {
        boolean butted = space.corners() != Corners.MITRED && space.corners() != Corners.CORNERSTONES;
        if (design.kind() == CornerDesign.Kind.PLAIN) {
            return;
        }
        if (butted) {
            obstacles.add(new Obstacle.NoSpace());
            return;
        }
        switch (design.kind()) {
            case MITRE_ARC -> mitreArc(feet, mostFeet);
            case DIAGONAL_CUT -> diagonalCut(free);
            case CORNERSTONE_RING -> ring();
            case QUARTER_FAN -> quarterFan();
            case TURNED -> turned();
            case PLAIN -> {}
        }
    }

    /** How far the crown of what stands astride the mitre is from the inner corner, in inches. */
    Optional<Double> crown() {
        boolean astride = design.kind() == CornerDesign.Kind.MITRE_ARC
                || design.kind() == CornerDesign.Kind.TURNED
                || design.kind() == CornerDesign.Kind.DIAGONAL_CUT && design.closing() == CornerDesign.Closing.ARC;
        return astride
                ? sewing.lines().stream()
                        .findFirst()
                        .map(l -> l.path().curves().get(0).at(0.5).distance(space.inner()))
                : Optional.empty();
    }

    private Optional<StitchingEdge.Round> tool() {
        if (arc.isEmpty()) {
            obstacles.add(new Obstacle.NoTool(Obstacle.EdgeKind.ARC, 0));
        }
        return arc.map(a -> StitchingEdge.Round.of(a, tools.machine()));
    }

    // --- one arc astride the mitre -----------------------------------------------------------------------------

    private void mitreArc(OptionalDouble feet, double mostFeet) {
        Optional<StitchingEdge.Round> tool = tool();
        if (tool.isEmpty()) {
            return;
        }
        double radius = tool.get().stitched();
        if (feet.isEmpty() && design.feet().isPresent()) {
            obstacles.add(new Obstacle.FeetTooFar(design.feet().getAsDouble(), mostFeet));
            return;
        }
        if (feet.isEmpty()) {
            obstacles.add(new Obstacle.TooHigh(2 * radius - space.room()));
            return;
        }
        double d = feet.getAsDouble();
        // Reckoned back from the run's own end, so that the foot is the run's last valley whatever the tape said.
        Point first = space.right()
                .place(
                        space.right().length() - space.takesOfRight(d),
                        space.right().clearance());
        Point second = space.leftFoot(d);
        double half = first.distance(second) / 2;
        if (half > radius) {
            obstacles.add(new Obstacle.TooFar(2 * half, 2 * radius));
            return;
        }
        // The centre lies beyond the chord, on the line that halves the corner, so the arc goes the long way round.
        Point out = second.minus(first).unit().turnedLeft();
        Point centre = first.midpoint(second).plus(out.times(Math.sqrt(radius * radius - half * half)));
        double start = first.minus(centre).angle();
        double end = second.minus(centre).angle();
        double sweep = start - end;
        sweep -= 2 * Math.PI * Math.floor(sweep / (2 * Math.PI));
        Arc line = new Arc(centre, radius, start, -sweep);
        double over = Math.max(
                space.beyond(centre.plus(space.left().outward().times(radius))),
                space.beyond(centre.plus(space.right().outward().times(radius))));
        if (over > 1e-9) {
            obstacles.add(new Obstacle.TooHigh(over));
        }
        Mark from = rightMarker.at(Mark.Kind.FOOT, 2, first, Mark.Stage.LOADED);
        Mark to = leftMarker.at(Mark.Kind.FOOT, 1, second, Mark.Stage.LOADED);
        sewing.stitch(
                PlacementBuilder.Naming.of(Stitched.CORNER_ARC, 1),
                line,
                tool.get(),
                new Registration.OnMitre(),
                LineEnd.at(from),
                LineEnd.at(to),
                PlacementBuilder.Turn.MARKED);
    }

    // --- what closes a corner that the repeats run on into ------------------------------------------------------

    /** The long diamond along the mitre, where nothing of the runs reaches into the corner. */
    private void diagonalCut(boolean free) {
        switch (design.closing()) {
            case DIAMOND -> {
                if (free) {
                    tool().ifPresent(tool -> diamond(tool, space.inner()));
                }
            }
            case ARC -> tool().ifPresent(this::closingArc);
            case NOTHING -> {}
        }
    }

    /**
     * An arc that looks out of the corner, its feet on the lines that go on from both seams: a repeat out, or as far out as
     * it clears the limits of stitching and the template spans.
     */
    private void closingArc(StitchingEdge.Round tool) {
        double repeat = (leftDivision.repeat() + rightDivision.repeat()) / 2;
        double least = 0;
        double most = Math.min(repeat, space.room());
        if (clears(tool, most)) {
            least = most;
        }
        // The further out, the higher it stands; so the place between can be closed in on.
        for (int i = 0; i < HALVINGS && least < most; i++) {
            double middle = (least + most) / 2;
            if (clears(tool, middle)) {
                least = middle;
            } else {
                most = middle;
            }
        }
        if (least < LayoutContext.SHORTEST) {
            obstacles.add(new Obstacle.TooHigh(tool.stitched() - space.room()));
            return;
        }
        outward(tool, least);
    }

    private boolean clears(StitchingEdge.Round tool, double out) {
        return outward(tool.stitched(), out).filter(this::staysInside).isPresent();
    }

    /** From a place on the mitre to the outer corner, bulging to both sides. */
    private void diamond(StitchingEdge.Round tool, Point from) {
        Point to = space.outer();
        double length = from.distance(to);
        if (length > 2 * tool.stitched()) {
            obstacles.add(new Obstacle.TooFar(length, 2 * tool.stitched()));
            return;
        }
        Mark near = leftMarker.at(Mark.Kind.VALLEY, 0, from, Mark.Stage.LOADED);
        Mark far = leftMarker.next(Mark.Kind.TIP, to, Mark.Stage.LOADED);
        Arc out = ArcsBetween.of(from, to, tool.stitched(), true).orElseThrow();
        Arc back = ArcsBetween.of(to, from, tool.stitched(), true).orElseThrow();
        if (!staysInside(out) || !staysInside(back)) {
            // Its points lie in corners of 90°, so its sides may lean 45° from the mitre at most.
            obstacles.add(new Obstacle.TooRound(tool.stitched(), length / Math.sqrt(2)));
            return;
        }
        int side = 0;
        for (Arc arc : List.of(out, back)) {
            side++;
            sewing.stitch(
                    PlacementBuilder.Naming.of(Stitched.CORNER_DIAMOND, 1, side),
                    arc,
                    tool,
                    new Registration.FootOnBothMarks(),
                    LineEnd.at(side == 1 ? near : far),
                    LineEnd.at(side == 1 ? far : near),
                    PlacementBuilder.Turn.MARKED);
        }
    }

    private boolean staysInside(Arc arc) {
        return space.region().within(Path.of(arc)).stream().anyMatch(p -> Math.abs(p.length() - arc.length()) < ON);
    }

    // --- arcs from midpoint to midpoint ------------------------------------------------------------------------

    private void ring() {
        Optional<StitchingEdge.Round> tool = tool();
        if (tool.isEmpty()) {
            return;
        }
        double radius = tool.get().stitched();
        List<Point> corners = List.of(space.inner(), space.beyondLeft(), space.outer(), space.beyondRight());
        List<Point> middles = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            middles.add(corners.get(i).midpoint(corners.get((i + 1) % 4)));
        }
        Point centre = middles.get(0).midpoint(middles.get(2));
        for (int ring = 0; ring < design.lines(); ring++) {
            double size = (design.lines() - ring) / (double) design.lines();
            if (!ring(tool.get(), radius, middles, centre, size, ring)) {
                return;
            }
        }
    }

    private boolean ring(
            StitchingEdge.Round tool, double radius, List<Point> middles, Point centre, double size, int ring) {
        List<Point> at = middles.stream()
                .map(m -> centre.plus(m.minus(centre).times(size)))
                .toList();
        List<Arc> arcs = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Point from = at.get(i);
            Point to = at.get((i + 1) % 4);
            if (from.distance(to) > 2 * radius) {
                obstacles.add(new Obstacle.TooFar(from.distance(to), 2 * radius));
                return false;
            }
            Point away = from.midpoint(to).plus(from.midpoint(to).minus(centre));
            arcs.add(ArcsBetween.bulgingTowards(from, to, radius, away).orElseThrow());
        }
        if (arcs.stream().anyMatch(a -> !staysInside(a))) {
            // A chord from midpoint to midpoint lies at 45° to the sides, and so may the arc at its ends at most.
            double longest = arcs.stream()
                    .mapToDouble(a -> a.start().distance(a.end()))
                    .max()
                    .orElseThrow();
            obstacles.add(new Obstacle.TooRound(radius, longest / Math.sqrt(2)));
            return false;
        }
        List<Mark> marks = at.stream()
                .map(p -> leftMarker.next(Mark.Kind.MIDPOINT, p, Mark.Stage.LOADED))
                .toList();
        for (int i = 0; i < 4; i++) {
            sewing.stitch(
                    PlacementBuilder.Naming.of(Stitched.CORNER_ARC, ring + 1, i + 1),
                    arcs.get(i),
                    tool,
                    new Registration.FootOnBothMarks(),
                    LineEnd.at(marks.get(i)),
                    LineEnd.at(marks.get((i + 1) % 4)),
                    PlacementBuilder.Turn.MARKED);
        }
        return true;
    }

    // --- quarter circles ---------------------------------------------------------------------------------------

    private void quarterFan() {
        Optional<EdgeCatalog.Fan> fan = tools.fan(design.templateId());
        if (fan.isEmpty()) {
            obstacles.add(new Obstacle.NoTool(Obstacle.EdgeKind.FAN, 0));
            return;
        }
        Point pivot = design.fromOuter() ? space.outer() : space.inner();
        Point from = design.fromOuter() ? space.beyondLeft() : space.beyondRight();
        Point to = design.fromOuter() ? space.beyondRight() : space.beyondLeft();
        double most = Math.min(pivot.distance(from), pivot.distance(to));
        List<StitchingEdge.Round> blades = fan.get().blades().stream()
                .filter(b -> b.stitched() <= most + 1e-9)
                .limit(design.lines())
                .toList();
        if (blades.size() < design.lines()) {
            obstacles.add(new Obstacle.TooMany(design.lines(), blades.size()));
        }
        if (blades.isEmpty()) {
            return;
        }
        Mark centre =
                leftMarker.at(design.fromOuter() ? Mark.Kind.PIVOT : Mark.Kind.VALLEY, 0, pivot, Mark.Stage.LOADED);
        double start = from.minus(pivot).angle();
        double sweep = to.minus(pivot).angle() - start;
        sweep -= 2 * Math.PI * Math.rint(sweep / (2 * Math.PI));
        for (int b = 0; b < blades.size(); b++) {
            Arc arc = new Arc(pivot, blades.get(b).stitched(), start, sweep);
            Arc way = b % 2 == 0 ? arc : arc.reversed();
            sewing.stitch(
                    PlacementBuilder.Naming.of(Stitched.CORNER_BLADE, 1, b + 1),
                    way,
                    blades.get(b),
                    new Registration.CentreOnMark(centre, true),
                    LineEnd.at(way.start(), LineEnd.ShownBy.RUN_END),
                    LineEnd.at(way.end(), LineEnd.ShownBy.RUN_END),
                    PlacementBuilder.Turn.ABOUT_CENTRE);
        }
    }

    // --- the run's arc, turned ---------------------------------------------------------------------------------

    private void turned() {
        Optional<StitchingEdge.Round> tool = tool();
        if (tool.isEmpty()) {
            return;
        }
        double radius = tool.get().stitched();
        double chord = (leftDivision.repeat() + rightDivision.repeat()) / 2;
        if (chord > 2 * radius) {
            obstacles.add(new Obstacle.TooFar(chord, 2 * radius));
            return;
        }
        // The feet stand on the lines that go on from both seams, as far out on one as on the other.
        outward(tool.get(), chord / space.towards().distance(space.away().times(-1)));
    }

    /** The arc of a radius that looks out of the corner, its feet so far out on the lines that go on from both seams. */
    private Optional<Arc> outward(double radius, double out) {
        Point from = space.inner().plus(space.away().times(-out));
        Point to = space.inner().plus(space.towards().times(out));
        return ArcsBetween.bulgingTowards(from, to, radius, space.outer());
    }

    private void outward(StitchingEdge.Round tool, double out) {
        Arc arc = outward(tool.stitched(), out).orElseThrow();
        if (!staysInside(arc)) {
            obstacles.add(new Obstacle.TooHigh(beyond(arc)));
            return;
        }
        Mark start = leftMarker.next(Mark.Kind.FOOT, arc.start(), Mark.Stage.LOADED);
        Mark end = leftMarker.next(Mark.Kind.FOOT, arc.end(), Mark.Stage.LOADED);
        sewing.stitch(
                PlacementBuilder.Naming.of(Stitched.CORNER_ARC, 1),
                arc,
                tool,
                new Registration.OnMitre(),
                LineEnd.at(start),
                LineEnd.at(end),
                PlacementBuilder.Turn.MARKED);
    }

    /** How far an arc passes the limits of stitching at most, in inches. */
    private double beyond(Arc arc) {
        double most = Math.max(space.beyond(arc.start()), space.beyond(arc.end()));
        for (Point outward : List.of(space.left().outward(), space.right().outward())) {
            Point top = arc.centre().plus(outward.times(arc.radius()));
            if (arc.distance(top) < ON) {
                most = Math.max(most, space.beyond(top));
            }
        }
        return most;
    }
}
