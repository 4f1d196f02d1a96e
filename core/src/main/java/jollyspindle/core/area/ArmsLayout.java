package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.quilt.Side;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link AreaMotif.Arms}: one line turned by 360/n degrees from arm to arm, and once more the other way round, if a
 * second set is to cross the first. Whatever lies beyond the area's edge is cut off exactly.
 *
 * <p>A template made for it lies with its hook against the foot at the centre and its line on a ray; for the second set it is
 * turned over. An arc stands with its chord on the ray, its feet on the centre and on the mark at the ray's end. Any other
 * outline stands on the ray as it is, its lower end at the centre or on the circle about it.
 *
 * <p>Arms end at the edge, where they first come to it; else on a circle drawn about the centre, on what is stitched round
 * them, or where the template ends.
 */
final class ArmsLayout {

    private static final Param.Whole<AreaMotif.Arms> ARMS =
            Param.whole("arms", AreaMotif.FEWEST_ARMS, AreaMotif.MOST_ARMS, AreaMotif.Arms::arms);
    private static final Param.Choice<AreaMotif.Arms, AreaMotif.Way> WAY =
            Param.choice("way", AreaMotif.Way.class, AreaMotif.Arms::way);
    private static final Param.Length<AreaMotif.Arms> STOP =
            Param.length("stop", 0, AreaMotif.LARGEST, AreaMotif.Arms::stop);
    private static final Param.Flag<AreaMotif.Arms> MIRRORED = Param.flag("mirrored", AreaMotif.Arms::mirrored, false);
    private static final Param.Angle<AreaMotif.Arms> TURN = Param.angle("turn", 0, 360, AreaMotif.Arms::turn, 0);
    private static final Param.Flag<AreaMotif.Arms> CIRCLED =
            Param.flag("circled", AreaMotif.Arms::circled, false).when(arms -> arms.stop() > 0);
    private static final Param.MaybeLength<AreaMotif.Arms> OUTER = Param.maybeLength(
            "outer",
            AreaMotif.CLOSEST,
            AreaMotif.LARGEST,
            AreaMotif.Arms::outer,
            arms -> new Param.Room(arms.stop() + AreaMotif.CLOSEST, AreaMotif.LARGEST));
    private static final Param.Flag<AreaMotif.Arms> WITHIN = Param.flag("within", AreaMotif.Arms::within, false);

    private static final Param.Choice<AreaMotif.Arms, AreaMotif.About> ABOUT =
            Param.choice("about", AreaMotif.About.class, AreaMotif.Arms::about, AreaMotif.About.CENTRE);

    static final AreaMotifType<AreaMotif.Arms> TYPE = new AreaMotifType<>(
                    AreaMotif.Arms.class,
                    "arms",
                    Params.of(
                                    v -> new AreaMotif.Arms(
                                            v.get(ARMS),
                                            v.get(WAY),
                                            v.get(STOP),
                                            v.get(MIRRORED),
                                            v.get(TURN),
                                            v.get(CIRCLED),
                                            v.get(OUTER),
                                            v.get(WITHIN),
                                            v.get(ABOUT)),
                                    Params.row(ARMS, STOP),
                                    Params.row(WAY),
                                    Params.row(TURN),
                                    Params.row(MIRRORED),
                                    Params.row(CIRCLED),
                                    Params.row(OUTER),
                                    Params.row(WITHIN),
                                    Params.row(ABOUT))
                            .kept(ARMS, WAY, STOP, MIRRORED, TURN, CIRCLED, OUTER, WITHIN, ABOUT)
                            .brief(WITHIN)
                            .brief(ABOUT),
                    (piece, motif) -> new ArmsLayout(piece, motif).lay(),
                    (arms, cloth) -> arms.arms() * (arms.mirrored() ? 2 : 1),
                    Kind.TURNED_ARM,
                    Kind.ARC,
                    Kind.OUTLINE)
            .offeredAboutCentre((cloth, offers) -> {
                offers.add("", new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0));
                offers.add("-crossed", new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, AreaPreset.SPACING, true, 0));
                if (cloth.hasCorners()) {
                    offers.add(
                            "-from-corner",
                            new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0).about(AreaMotif.About.BOTTOM_LEFT));
                }
            })
            .dragged((arms, knobs) -> arms.corner()
                    .map(corner -> corner.in(knobs.box()))
                    .ifPresentOrElse(
                            at -> knobs.from(
                                    STOP, at, knobs.box().middle().minus(at).unit()),
                            () -> knobs.out(STOP)));

    /** A difference in reach that is worth a word, in inches. */
    private static final double WORTH = 1.0 / 16;

    private final PieceContext laying;
    private final AreaMotif.Arms motif;
    private final AreaSpace space;

    /** What they are turned about. */
    private final Point origin;

    ArmsLayout(PieceContext laying, AreaMotif.Arms motif) {
        this.laying = laying;
        this.motif = motif;
        this.space = laying.space();
        this.origin = laying.rays().origin(motif.corner());
    }

    /**
     * What is turned.
     *
     * @param home the line of the arm that points straight up, about the centre
     * @param reach of it
     * @param closed whether it comes back by itself
     * @param hooked whether a hook lies against the foot over the centre
     * @param engraved whether what lies on the ray is engraved on the template
     * @param edge of a template that lies as it is
     * @param lying how that lies for this arm
     * @param round of one whose feet are set on places, instead
     */
    private record Arm(
            Path home,
            double reach,
            boolean closed,
            boolean hooked,
            boolean engraved,
            Optional<StitchingEdge.Whole> edge,
            Pose lying,
            Optional<StitchingEdge.Round> round) {

        static Arm of(
                StitchingEdge.Whole edge, Pose lying, double reach, boolean closed, boolean hooked, boolean engraved) {
            return new Arm(
                    edge.stitched().posed(lying),
                    reach,
                    closed,
                    hooked,
                    engraved,
                    Optional.of(edge),
                    lying,
                    Optional.empty());
        }

        StitchingEdge tool(Pose pose) {
            return round.<StitchingEdge>map(r -> r)
                    .orElseGet(() -> new StitchingEdge.Lying(
                            edge.orElseThrow().id(),
                            edge.get().name(),
                            new Pose(
                                    pose.apply(lying.position()),
                                    pose.rotation() + (pose.over() ? -lying.rotation() : lying.rotation()),
                                    pose.over())));
        }
    }

    /** Radius of the circle that lines stop on; a stitched one's own. */
    private double stop;

    /** Whether it is stitched. */
    private boolean circled;

    /** How many lines were stitched before the arms. */
    private int before;

    /** What of an arm that leaves the piece and comes back isn't stitched: how many arms, and how long the longest of it. */
    private int cutShort;

    private double longestLeft;

    private Optional<Arm> arm() {
        Optional<EdgeCatalog.Arm> hooked = laying.tools().arm(laying.templateId());
        if (hooked.isPresent()) {
            return hooked.map(this::hooked);
        }
        if (laying.templateId().isEmpty()) {
            return Optional.empty();
        }
        Optional<StitchingEdge.Whole> outline = laying.tools().outline(laying.templateId());
        if (outline.isPresent()) {
            Box box = outline.get().stitched().box();
            Point up = new Point(0, motif.stop() - box.bottom());
            return Optional.of(Arm.of(
                    outline.get(),
                    new Pose(up, 0),
                    up.y() + box.top(),
                    true,
                    false,
                    laying.tools().hasCentreLine(outline.get().id())));
        }
        return laying.tools().arc(laying.templateId(), Optional.empty()).map(arc -> {
            StitchingEdge.Round round =
                    StitchingEdge.Round.of(arc, laying.tools().machine());
            double chord = 2 * round.stitched() * Math.sin(Math.min(round.usable(), Math.PI) / 2);
            // No further than to the furthest corner.
            double reach = Math.min(chord, space.box().width() + space.box().height());
            return new Arm(
                    arc(round, reach),
                    reach,
                    false,
                    false,
                    false,
                    Optional.empty(),
                    new Pose(Point.ORIGIN, 0),
                    Optional.of(round));
        });
    }

    private static Path arc(StitchingEdge.Round round, double reach) {
        return Path.of(ArcsBetween.of(Point.ORIGIN, new Point(0, reach), round.stitched(), true)
                .orElseThrow());
    }

    /**
     * The hook goes where the foot over the centre presses it: a foot that isn't the one the arm is cut for stands beside the
     * middle of the hook by what the two differ, and the line on the template, which lies on the ray at its tip, leans by as much.
     * A hook that the foot doesn't go into is laid by its line, its middle over the centre.
     */
    private Arm hooked(EdgeCatalog.Arm arm) {
        StitchingEdge.Whole edge = arm.edge();
        double line = -arm.line().orElse(0);
        boolean engraved = arm.line().isPresent();
        Point start = edge.stitched().start().turned(line);
        double reach = edge.stitched().end().distance(Point.ORIGIN);
        if (!arm.takesFoot()) {
            laying.tell(new AreaDiagnostic.HookTooTight(
                    arm.hook(), laying.tools().machine().footRadius(), start.length()));
            return Arm.of(edge, new Pose(Point.ORIGIN, line), reach, false, false, engraved);
        }
        double leaning = -Math.asin(start.x() / Math.max(reach, Math.abs(start.x())));
        return Arm.of(edge, new Pose(start.turned(leaning).times(-1), line + leaning), reach, false, true, engraved);
    }

    void lay() {
        if (motif.corner().isPresent() && space.cloth().curves().size() != Side.values().length) {
            laying.tell(new AreaDiagnostic.NoCorner());
            return;
        }
        Optional<Arm> found = arm();
        if (found.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.ARM));
            return;
        }
        Arm arm = found.get();
        before = laying.sewing().lines().size();
        Mark centre = laying.mark(motif.corner().isPresent() ? Mark.Kind.PIVOT : Mark.Kind.CENTRE, origin);
        Optional<StitchingEdge.Round> circle = motif.circled() ? circle() : Optional.empty();
        circled = circle.isPresent();
        stop = circle.map(StitchingEdge.Round::stitched).orElse(motif.stop());
        circle.ifPresent(tool -> {
            laying.tellByFoot(tool.stitched() - motif.stop());
            stitch(tool, arm, centre);
        });
        if (!arm.closed() && stop > 0 && !circled) {
            laying.draw(Path.circle(origin, stop));
        }
        motif.outer().ifPresent(outer -> laying.draw(Path.circle(origin, outer)));
        double needed = 0;
        int shortOf = 0;
        for (int set = 1; set <= (motif.mirrored() ? 2 : 1); set++) {
            for (int number = 1; number <= motif.arms(); number++) {
                double angle = motif.first() + motif.step() * (number - 1);
                Ray ray = laying.rays().at(motif.corner(), angle);
                Point tip = new Pose(Point.ORIGIN, -angle, set == 2)
                        .apply(arm.home().end());
                double edge = laying.rays()
                        .edge(motif.corner(), Math.PI / 2 - tip.angle())
                        .distance(origin);
                if (set == 1 && motif.outer().isEmpty() && arm.reach() < edge - WORTH) {
                    shortOf++;
                    needed = Math.max(needed, edge);
                }
                stitch(arm, set, number, angle, centre, ray);
            }
        }
        // What stands by itself needn't reach anything.
        if (shortOf > 0 && !arm.closed()) {
            laying.tell(new AreaDiagnostic.ReachShort(arm.reach(), needed, shortOf));
        }
        if (cutShort > 0) {
            laying.tell(new AreaDiagnostic.ArmsLeave(cutShort, longestLeft));
        }
    }

    /** The edge that the circle is stitched along which the arms stop on; without one they stop on a drawn one. */
    private Optional<StitchingEdge.Round> circle() {
        // Of whatever template: the one asked for is the arms'.
        Optional<StitchingEdge.Round> nearest = laying.tools().circles(Optional.empty()).stream()
                .min(Comparator.comparingDouble(t -> Math.abs(t.stitched() - motif.stop())));
        Optional<StitchingEdge.Round> found =
                nearest.filter(tool -> Math.abs(tool.stitched() - motif.stop()) <= laying.nearEnough());
        if (found.isEmpty()) {
            laying.tellRingMissing(Optional.empty(), motif.stop(), nearest);
        }
        return found;
    }

    /** Stitches it, begun where the first arm stops. */
    private void stitch(StitchingEdge.Round tool, Arm arm, Mark centre) {
        Path first = arm.home().posed(new Pose(origin, -motif.first(), false));
        double angle = Region.of(Path.circle(origin, tool.stitched())).without(first).stream()
                .findFirst()
                .map(p -> p.start().minus(origin).angle())
                .orElse(Math.PI / 2 - motif.first());
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.RING, 1),
                Path.of(new Arc(origin, tool.stitched(), angle, -2 * Math.PI)),
                c -> tool,
                c -> new Registration.CentreOnMark(centre, false),
                p -> laying.marked(Mark.Kind.LINE_START, p));
    }

    private void stitch(Arm arm, int set, int number, double angle, Mark centre, Ray ray) {
        Pose pose = new Pose(origin, -angle, set == 2);
        StitchingEdge lying = arm.tool(pose);
        List<Path> pieces = pieces(arm, pose, ray);
        // An arm that floats, ending on no edge, is stitched twice even where the others lead along the edge.
        boolean floats =
                !pieces.isEmpty() && floats(pieces.get(pieces.size() - 1).end());
        boolean back = !arm.closed() && (motif.way() == AreaMotif.Way.OUT_AND_BACK || floats);
        boolean inward = !back && !arm.closed() && needleIsOut();
        List<Path> ordered = new ArrayList<>();
        for (Path piece : pieces) {
            ordered.add(inward ? 0 : ordered.size(), inward ? piece.reversed() : piece);
        }
        for (Path piece : ordered) {
            List<Curve> curves = piece.curves();
            laying.sewing()
                    .stitch(
                            new PlacementBuilder.Naming(Stitched.ARM, number, set == 2 ? 2 : 0, back ? 2 : 1),
                            curves.stream()
                                    .map(c -> new PlacementBuilder.Piece(
                                            c,
                                            lying,
                                            registration(arm, centre, ray),
                                            c == curves.get(curves.size() - 1)
                                                    ? spot(arm, piece.end(), centre)
                                                    : LineEnd.at(c.end(), LineEnd.ShownBy.NEEDLE)))
                                    .toList(),
                            spot(arm, piece.start(), centre),
                            PlacementBuilder.Turn.MARKED);
        }
    }

    /** What of an arm is stitched, from the centre outward. */
    private List<Path> pieces(Arm arm, Pose pose, Ray ray) {
        if (arm.closed()) {
            return laying.kept(arm.home().posed(pose));
        }
        double wanted = motif.outer().orElse(ray.place().distance(origin));
        Path whole = arm.round()
                .map(round -> arc(round, Math.min(arm.reach(), wanted)))
                .orElse(arm.home())
                .posed(pose);
        Path within = upToEdge(whole);
        if (motif.outer().isPresent()) {
            within = first(Region.of(Path.circle(origin, wanted)).within(within), within);
        }
        if (motif.within()) {
            within = upToStitching(within);
        }
        List<Path> pieces = stop > 0
                ? Region.of(Path.circle(origin, stop)).without(within).stream()
                        .flatMap(p -> laying.kept(p).stream())
                        .toList()
                : laying.kept(within);
        // What an arm comes to ends it, and isn't passed under.
        return motif.within() ? pieces.stream().limit(1).toList() : pieces;
    }

    private static Path first(List<Path> pieces, Path otherwise) {
        return pieces.isEmpty() ? otherwise : pieces.get(0);
    }

    /** An arm ends where it first leaves the piece: a stub of it that comes in again would have to be begun anew. */
    private Path upToEdge(Path whole) {
        List<Path> inside = Region.of(space.outline()).within(whole);
        double left = inside.stream().skip(1).mapToDouble(Path::length).max().orElse(0);
        if (left >= LayoutContext.SHORTEST) {
            cutShort++;
            longestLeft = Math.max(longestLeft, left);
        }
        return first(inside, whole);
    }

    /** Up to the first line that was stitched before these arms, but for the circle that they begin on. */
    private Path upToStitching(Path whole) {
        List<StitchLine> lines = laying.sewing().lines().subList(0, before);
        List<Curve> kept = new ArrayList<>();
        for (Curve curve : whole.curves()) {
            OptionalDouble met = lines.stream()
                    .flatMap(line -> line.path().curves().stream())
                    .filter(other -> other.box().meets(curve.box()))
                    .flatMap(other -> Crossings.of(curve, other).stream())
                    .mapToDouble(Crossings.Crossing::onFirst)
                    .filter(t -> curve.at(t).distance(origin) > stop + LayoutContext.SHORTEST)
                    .min();
            if (met.isPresent()) {
                if (met.getAsDouble() * curve.length() >= Tolerances.SAME_PLACE) {
                    kept.add(curve.piece(0, met.getAsDouble()));
                }
                return new Path(kept);
            }
            kept.add(curve);
        }
        return whole;
    }

    /** Whether the needle can't get on from an arm's end but along that arm; what ends a chalk line's width off the edge ends on it. */
    private boolean floats(Point end) {
        return !space.onEdge(end, Tolerances.CHALK)
                && !(motif.within() && laying.sewing().passes(end));
    }

    private static Registration registration(Arm arm, Mark centre, Ray ray) {
        return arm.round().isPresent()
                ? new Registration.FootOnBothMarks()
                : new Registration.OnRay(centre, ray.mark(), arm.hooked(), arm.engraved());
    }

    /** Whether the line before has left the needle on the edge. */
    private boolean needleIsOut() {
        List<StitchLine> lines = laying.sewing().lines();
        return !lines.isEmpty()
                && lines.get(lines.size() - 1).kind() == Stitched.ARM
                && lines.get(lines.size() - 1).needleAt().distance(origin)
                        > Math.max(Tolerances.CHALK, stop + Tolerances.CHALK);
    }

    private LineEnd spot(Arm arm, Point place, Mark centre) {
        double out = place.distance(origin);
        if (!arm.closed() && out < Tolerances.SAME_PLACE) {
            return LineEnd.at(centre);
        }
        // A foot over both marks tells how an arc lies: it needs both, whatever it ends on.
        if (arm.round().isPresent()) {
            boolean inner = stop > 0 && Math.abs(out - stop) < Tolerances.CHALK;
            return LineEnd.at(laying.mark(inner ? Mark.Kind.LINE_START : Mark.Kind.TIP, place));
        }
        if (!arm.closed() && stop > 0 && Math.abs(out - stop) < Tolerances.CHALK) {
            // Of a circle that something lies on, not all is stitched.
            return !circled
                    ? LineEnd.at(place, LineEnd.ShownBy.STOP_CIRCLE)
                    : laying.sewing().passes(place)
                            ? LineEnd.at(place, LineEnd.ShownBy.STITCHING)
                            : laying.shown(place);
        }
        if (motif.outer().isPresent() && Math.abs(out - motif.outer().getAsDouble()) < Tolerances.SAME_PLACE) {
            return LineEnd.at(place, LineEnd.ShownBy.STOP_CIRCLE);
        }
        return laying.shown(place);
    }
}
