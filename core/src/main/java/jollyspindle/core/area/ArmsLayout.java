package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
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
 * turned over. An arc stands with its chord on the ray, its feet on the centre and on a mark. Any other outline stands on the
 * ray as it is, its lower end at the centre or on the circle about it.
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
                                            v.get(CIRCLED)),
                                    Params.row(ARMS, STOP),
                                    Params.row(WAY),
                                    Params.row(TURN),
                                    Params.row(MIRRORED),
                                    Params.row(CIRCLED))
                            .kept(ARMS, WAY, STOP, MIRRORED, TURN, CIRCLED),
                    (piece, motif) -> new ArmsLayout(piece, motif).lay(),
                    (arms, cloth) -> arms.arms() * (arms.mirrored() ? 2 : 1),
                    Kind.TURNED_ARM,
                    Kind.ARC,
                    Kind.OUTLINE)
            .offeredAboutCentre((cloth, offers) -> {
                offers.add("", new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, 0));
                offers.add("-crossed", new AreaMotif.Arms(8, AreaMotif.Way.OUT_AND_BACK, AreaPreset.SPACING, true, 0));
            })
            .dragged((arms, knobs) -> knobs.out(STOP));

    /** A difference in reach that is worth a word, in inches. */
    private static final double WORTH = 1.0 / 16;

    private final PieceContext laying;
    private final AreaMotif.Arms motif;
    private final AreaSpace space;

    ArmsLayout(PieceContext laying, AreaMotif.Arms motif) {
        this.laying = laying;
        this.motif = motif;
        this.space = laying.space();
    }

    /**
     * What is turned.
     *
     * @param home the line of the arm that points straight up, about the centre
     * @param reach of it
     * @param closed whether it comes back by itself
     */
    private record Arm(
            Path home,
            double reach,
            boolean closed,
            Optional<StitchingEdge.Whole> whole,
            Optional<StitchingEdge.Round> round) {

        /** How it lies on a ray. */
        Path on(Pose pose) {
            return home.posed(pose);
        }

        StitchingEdge tool(Pose pose, double up) {
            return round.<StitchingEdge>map(r -> r)
                    .orElseGet(() -> new StitchingEdge.Lying(
                            whole.orElseThrow().id(),
                            whole.get().name(),
                            new Pose(pose.apply(new Point(0, up)), pose.rotation(), pose.over())));
        }
    }

    /** How far up from the centre an outline's own middle stands. */
    private double up;

    /** Radius of the circle that lines stop on; a stitched one's own. */
    private double stop;

    /** Whether it is stitched. */
    private boolean circled;

    private Optional<Arm> arm() {
        Optional<StitchingEdge.Whole> hooked = laying.tools().arm(laying.templateId());
        if (hooked.isPresent()) {
            Path line = hooked.get().stitched();
            return Optional.of(new Arm(line, line.end().distance(Point.ORIGIN), false, hooked, Optional.empty()));
        }
        if (laying.templateId().isEmpty()) {
            return Optional.empty();
        }
        Optional<StitchingEdge.Whole> outline = laying.tools().outline(laying.templateId());
        if (outline.isPresent()) {
            Path line = outline.get().stitched();
            up = motif.stop() - line.box().bottom();
            return Optional.of(
                    new Arm(line.moved(new Point(0, up)), up + line.box().top(), true, outline, Optional.empty()));
        }
        return laying.tools().arc(laying.templateId(), Optional.empty()).map(arc -> {
            StitchingEdge.Round round =
                    StitchingEdge.Round.of(arc, laying.tools().machine());
            double chord = 2 * round.stitched() * Math.sin(Math.min(round.usable(), Math.PI) / 2);
            // No further than to the furthest corner.
            double reach = Math.min(chord, space.box().width() + space.box().height());
            Arc line = ArcsBetween.of(Point.ORIGIN, new Point(0, reach), round.stitched(), true)
                    .orElseThrow();
            return new Arm(Path.of(line), reach, false, Optional.empty(), Optional.of(round));
        });
    }

    void lay() {
        Optional<Arm> found = arm();
        if (found.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.ARM));
            return;
        }
        Arm arm = found.get();
        Mark centre = laying.mark(Mark.Kind.CENTRE, space.centre());
        Optional<StitchingEdge.Round> circle = motif.circled() ? circle() : Optional.empty();
        circled = circle.isPresent();
        stop = circle.map(StitchingEdge.Round::stitched).orElse(motif.stop());
        circle.ifPresent(tool -> stitch(tool, arm, centre));
        double needed = 0;
        int shortOf = 0;
        for (int set = 1; set <= (motif.mirrored() ? 2 : 1); set++) {
            for (int number = 1; number <= motif.arms(); number++) {
                double angle = motif.turn() + motif.step() * (number - 1);
                Ray ray = laying.rays().at(angle);
                double edge = ray.place().distance(space.centre());
                if (set == 1 && arm.reach() < edge - WORTH) {
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
    }

    /** The edge that the circle is stitched along which the arms stop on; without one they stop on a drawn one. */
    private Optional<StitchingEdge.Round> circle() {
        // Of whatever template: the one asked for is the arms'.
        Optional<StitchingEdge.Round> nearest = laying.tools().circles(Optional.empty()).stream()
                .min(Comparator.comparingDouble(t -> Math.abs(t.stitched() - motif.stop())));
        Optional<StitchingEdge.Round> found =
                nearest.filter(tool -> Math.abs(tool.stitched() - motif.stop()) <= Tolerances.CHALK);
        if (found.isEmpty()) {
            laying.tell(new AreaDiagnostic.RingMissing(
                    2 * motif.stop(),
                    nearest.map(tool -> OptionalDouble.of(2 * tool.stitched())).orElse(OptionalDouble.empty())));
        }
        return found;
    }

    /** Stitches it, begun where the first arm stops. */
    private void stitch(StitchingEdge.Round tool, Arm arm, Mark centre) {
        Path first = arm.on(new Pose(space.centre(), -motif.turn(), false));
        double angle = Region.of(Path.circle(space.centre(), tool.stitched())).without(first).stream()
                .findFirst()
                .map(p -> p.start().minus(space.centre()).angle())
                .orElse(Math.PI / 2 - motif.turn());
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.RING, 1),
                Path.of(new Arc(space.centre(), tool.stitched(), angle, -2 * Math.PI)),
                c -> tool,
                c -> new Registration.CentreOnMark(centre, false),
                p -> laying.marked(Mark.Kind.LINE_START, p));
    }

    private void stitch(Arm arm, int set, int number, double angle, Mark centre, Ray ray) {
        Pose pose = new Pose(space.centre(), -angle, set == 2);
        StitchingEdge lying = arm.tool(pose, up);
        Path whole = arm.on(pose);
        List<Path> pieces = stop > 0 && !arm.closed()
                ? Region.of(Path.circle(space.centre(), stop)).without(whole).stream()
                        .flatMap(p -> laying.kept(p).stream())
                        .toList()
                : laying.kept(whole);
        // An arm that floats, ending on no edge, is stitched twice even where the others lead along the edge.
        boolean floats = !pieces.isEmpty()
                && !laying.space().onEdge(pieces.get(pieces.size() - 1).end());
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

    private static Registration registration(Arm arm, Mark centre, Ray ray) {
        return arm.round().isPresent()
                ? new Registration.FootOnBothMarks()
                : new Registration.OnRay(centre, ray.mark(), !arm.closed());
    }

    /** Whether the line before has left the needle on the edge. */
    private boolean needleIsOut() {
        List<StitchLine> lines = laying.sewing().lines();
        return !lines.isEmpty()
                && lines.get(lines.size() - 1).kind() == Stitched.ARM
                && lines.get(lines.size() - 1).needleAt().distance(space.centre())
                        > Math.max(Tolerances.CHALK, stop + Tolerances.CHALK);
    }

    private LineEnd spot(Arm arm, Point place, Mark centre) {
        if (!arm.closed() && stop > 0 && Math.abs(place.distance(space.centre()) - stop) < Tolerances.CHALK) {
            return LineEnd.at(place, circled ? LineEnd.ShownBy.STITCHING : LineEnd.ShownBy.STOP_CIRCLE);
        }
        // A foot that isn't quite the one the arm is cut for begins a thread's width beside the centre.
        if (place.distance(centre.place()) < Tolerances.CHALK) {
            return new LineEnd(place, LineEnd.ShownBy.MARK, Optional.of(centre));
        }
        LineEnd shown = laying.shown(place);
        // An arc has no end of its own where it stops on the cloth.
        return arm.round().isPresent() && shown.shownBy() == LineEnd.ShownBy.TEMPLATE
                ? LineEnd.at(laying.mark(Mark.Kind.TIP, place))
                : shown;
    }
}
