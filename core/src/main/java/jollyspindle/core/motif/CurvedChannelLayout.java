package jollyspindle.core.motif;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Lays out {@link Motif.Circles} in curved channels: between the two outer lines of each arc that was stitched before, where those
 * are as far from each other everywhere. As many circles as go in are spread evenly, the first and the last as low as they can
 * stand; half circles stand on the inner line from foot to foot.
 *
 * <p>In a channel about radius ρ circles of radius r with a gap g between them take 2 asin((2r + g) / 2ρ) each, seen from the arcs'
 * centre, and a half circle on an arc of radius R takes 2 asin(r / R) (derived: chords of the circle they stand on).
 */
final class CurvedChannelLayout {

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Circles motif;
    private final Point along;
    private final Point up;
    private int number;

    CurvedChannelLayout(RunContext laying, Motif.Circles motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
        Point origin = space.place(0, 0);
        this.along = space.place(1, 0).minus(origin);
        this.up = space.place(0, 1).minus(origin);
    }

    /**
     * Between two arcs about one centre, in the quilt's frame.
     *
     * @param inner the lower line, where the channel begins
     * @param width in inches
     */
    private record Channel(Arc inner, double width) {

        Point centre() {
            return inner.centre();
        }

        double middle() {
            return inner.radius() + width / 2;
        }
    }

    void lay() {
        List<Channel> channels = channels();
        if (channels.isEmpty()) {
            laying.tell(new MotifDiagnostic.NoChannel());
            return;
        }
        boolean halves = motif.channel() == Motif.Channel.ON_ARCS;
        double narrowest = channels.stream().mapToDouble(Channel::width).min().orElseThrow();
        Optional<StitchingEdge.Round> found = CirclesLayout.tool(
                laying.tools(),
                laying.layer().templateId(),
                laying.layer().guideId(),
                (halves ? 2 * narrowest : narrowest) + Tolerances.CHALK);
        if (found.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.CIRCLE, halves ? narrowest : narrowest / 2));
            return;
        }
        double radius = found.get().stitched();
        double high = halves ? radius : 2 * radius;
        if (high > narrowest + Tolerances.CHALK + Tolerances.ROUNDING) {
            laying.tell(new LayoutDiagnostic.TooFar(high, narrowest));
            return;
        }
        for (Channel channel : channels) {
            if (halves) {
                halves(channel, found.get());
            } else {
                circles(channel, found.get());
            }
        }
    }

    /** Of each whole arc and its second line, from left to right. */
    private List<Channel> channels() {
        Map<List<Integer>, Arc> outer = new HashMap<>();
        List<Channel> channels = new ArrayList<>();
        int cut = 0;
        for (StitchLine line : laying.sewing().lines()) {
            boolean second = line.sub() == 1 && (line.kind() == Stitched.ECHO || line.kind() == Stitched.NESTED_ARC);
            boolean before = line.layer() > 0 && line.layer() < laying.number();
            if (!before
                    || line.path().curves().size() != 1
                    || !(line.path().curves().get(0) instanceof Arc arc)) {
                continue;
            }
            List<Integer> of = List.of(line.layer(), line.number());
            if (line.kind() == Stitched.ARC) {
                outer.put(of, arc);
            } else if (second && outer.containsKey(of)) {
                Arc above = outer.get(of);
                if (above.centre().distance(arc.centre()) < Tolerances.SAME_PLACE && isWhole(arc)) {
                    channels.add(new Channel(arc, above.radius() - arc.radius()));
                } else {
                    cut++;
                }
            }
        }
        if (cut > 0 && !channels.isEmpty()) {
            laying.tell(new MotifDiagnostic.WithoutCircles(cut));
        }
        channels.sort((a, b) -> Double.compare(a.centre().dot(along), b.centre().dot(along)));
        return channels;
    }

    /** Whether both feet are there, and the crown between them. */
    private boolean isWhole(Arc arc) {
        return Math.abs(arc.end().minus(arc.start()).dot(up)) < Tolerances.SAME_PLACE
                && arc.at(0.5).minus(arc.centre()).dot(up) > 0;
    }

    /** A direction from the arcs' centre, by its angle from upright, to the right if it is over 0. */
    private Point direction(double angle) {
        return up.times(Math.cos(angle)).plus(along.times(Math.sin(angle)));
    }

    private void circles(Channel channel, StitchingEdge.Round tool) {
        double radius = tool.stitched();
        double low = space.place(0, 0).minus(channel.centre()).dot(up) + radius;
        if (low > channel.middle()) {
            laying.tell(new MotifDiagnostic.TooHigh(low - channel.middle()));
            return;
        }
        double reach = Math.acos(Math.max(-1, low / channel.middle()));
        double each = 2 * Math.asin(Math.min(1, (radius + motif.gap() / 2) / channel.middle()));
        int count = (int) Math.floor(2 * reach / each + Tolerances.ROUNDING) + 1;
        for (int k = 0; k < count; k++) {
            double angle = count == 1 ? 0 : -reach + 2 * reach * k / (count - 1);
            circle(channel.centre().plus(direction(angle).times(channel.middle())), direction(angle), tool);
        }
    }

    /** A circle that begins on the side of the one before it. */
    private void circle(Point centre, Point outward, StitchingEdge.Round tool) {
        number++;
        double radius = tool.stitched();
        int way = motif.turning() == Motif.Turning.ALTERNATING && number % 2 == 0 ? -1 : 1;
        // A run's frame is right-handed, so what lies to the right of outward is on along the channel.
        Point back = outward.turnedLeft();
        Optional<Pose> held = tool.usable() > 2 * Math.PI - Tolerances.ROUNDING
                ? Optional.of(new Pose(centre, space.rotation() + Math.PI / 2))
                : Optional.empty();
        Registration registration = new Registration.CentreOnMark(laying.mark(Mark.Kind.MIDDLE, centre), false);
        List<PlacementBuilder.Piece> pieces = new ArrayList<>();
        double at = back.angle();
        for (int left = motif.halfTurns(); left > 0; left -= 2) {
            double sweep = way * Math.min(2, left) * Math.PI;
            Arc arc = new Arc(centre, radius, at, sweep);
            at += sweep;
            LineEnd.ShownBy by = left <= 2 ? LineEnd.ShownBy.STITCHING : LineEnd.ShownBy.NEEDLE;
            pieces.add(new PlacementBuilder.Piece(arc, tool, registration, LineEnd.at(arc.end(), by), held));
        }
        Point start = centre.plus(back.times(radius));
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.CIRCLE, number),
                pieces,
                LineEnd.at(start, LineEnd.ShownBy.ANYWHERE),
                PlacementBuilder.Turn.ABOUT_CENTRE);
        if (motif.swirl()) {
            CirclesLayout.swirl(
                    laying, centre, motif.halfTurns() % 2 == 1 ? centre.minus(back.times(radius)) : start, number, way);
        }
        laying.enclosed().add(new RunContext.Enclosed(number, List.of(Path.circle(centre, radius))));
    }

    private void halves(Channel channel, StitchingEdge.Round tool) {
        double inner = channel.inner().radius();
        double low = space.place(0, 0).minus(channel.centre()).dot(up);
        double reach = Math.acos(Math.max(-1, Math.min(1, low / inner)));
        double widest = 2 * Math.asin(Math.min(1, tool.stitched() / inner));
        int count = (int) Math.max(1, Math.ceil(2 * reach / widest - Tolerances.ROUNDING));
        double each = 2 * reach / count;
        Mark foot = laying.mark(
                Mark.Kind.FOOT, channel.centre().plus(direction(-reach).times(inner)));
        for (int k = 0; k < count; k++) {
            number++;
            double from = -reach + k * each;
            Mark next = laying.mark(
                    Mark.Kind.FOOT, channel.centre().plus(direction(from + each).times(inner)));
            Arc arc = ArcsBetween.bulgingTowards(
                            foot.place(),
                            next.place(),
                            tool.stitched(),
                            channel.centre().plus(direction(from + each / 2).times(2 * inner)))
                    .orElseThrow();
            laying.stitch(
                    PlacementBuilder.Naming.of(Stitched.ARC, number),
                    arc,
                    tool,
                    new Registration.FootOnBothMarks(),
                    LineEnd.at(foot),
                    LineEnd.at(next),
                    PlacementBuilder.Turn.MARKED);
            foot = next;
        }
    }
}
