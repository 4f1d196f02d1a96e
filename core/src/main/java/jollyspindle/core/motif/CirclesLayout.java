package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.division.Wish;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
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
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link Motif.Circles}: one in the middle of every cell, half-way between the edges. Each is stitched from the side
 * it is reached on, so that after an odd number of half turns the needle leaves opposite.
 */
final class CirclesLayout {

    private static final Param.Length<Motif.Circles> GAP =
            Param.length("gap", 0, Motif.WIDEST, Motif.Circles::gap).usually(0);
    private static final Param.Whole<Motif.Circles> HALF_TURNS =
            Param.whole("halfTurns", 2, 6, Motif.Circles::halfTurns).usually(3);
    private static final Param.Choice<Motif.Circles, Motif.Turning> TURNING =
            Param.choice("turning", Motif.Turning.class, Motif.Circles::turning).usually(Motif.Turning.SAME);
    private static final Param.Flag<Motif.Circles> SWIRL = Param.flag("swirl", Motif.Circles::swirl, false);
    private static final Param.Choice<Motif.Circles, Motif.Channel> CHANNEL =
            Param.choice("channel", Motif.Channel.class, Motif.Circles::channel).usually(Motif.Channel.STRAIGHT);

    static final MotifType<Motif.Circles> TYPE =
            new MotifType<>(
                    Motif.Circles.class,
                    "circles",
                    Params.of(
                                    v -> new Motif.Circles(
                                            v.get(GAP),
                                            v.get(HALF_TURNS),
                                            v.get(TURNING),
                                            v.get(SWIRL),
                                            v.get(CHANNEL)),
                                    Params.row(CHANNEL),
                                    Params.row(GAP, HALF_TURNS),
                                    Params.row(TURNING),
                                    Params.row(SWIRL))
                            .brief(CHANNEL)) {

                @Override
                EdgeKind edge(Motif.Circles motif) {
                    return EdgeKind.CIRCLE;
                }

                @Override
                List<Preset> offered() {
                    return List.of(
                            Preset.onSeam("circles", new Motif.Circles(0.25, 3, Motif.Turning.ALTERNATING, false)));
                }

                @Override
                Optional<DivisionConstraints> asks(Layer layer, Motif.Circles motif, EdgeCatalog tools, double room) {
                    if (motif.channel() != Motif.Channel.STRAIGHT) {
                        return tools.circles(layer.templateId()).isEmpty()
                                ? Optional.empty()
                                : Optional.of(DivisionConstraints.anyRepeat());
                    }
                    return tool(tools, layer.templateId(), layer.guideId(), room)
                            .map(t -> 2 * t.stitched())
                            .map(d -> DivisionConstraints.figures(
                                    OptionalDouble.of(d + motif.gap()), Wish.LONGEST_REPEAT, d, d));
                }

                @Override
                void lay(RunContext laying, Motif.Circles motif, double echo) {
                    if (motif.channel() == Motif.Channel.STRAIGHT) {
                        new CirclesLayout(laying, motif).lay();
                    } else if (motif.channel() == Motif.Channel.IN_BENDS
                            || motif.channel() == Motif.Channel.BESIDE_LINES) {
                        new CirclesOnLinesLayout(laying, motif).lay();
                    } else {
                        new CurvedChannelLayout(laying, motif).lay();
                    }
                }
            };

    /** So many circles are laid by the one before until the next is marked (common practice, no source). */
    private static final int MARKED_EVERY = 4;

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Circles motif;

    /** The circle before, in one line unless something cuts it. */
    private List<StitchLine> before = List.of();

    CirclesLayout(RunContext laying, Motif.Circles motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
    }

    /** The circle for a room: of the template that was chosen, or else the largest that has room. */
    static Optional<StitchingEdge.Round> tool(
            EdgeCatalog tools, Optional<String> template, Optional<String> guide, double widest) {
        List<StitchingEdge.Round> all = tools.circles(template);
        Optional<StitchingEdge.Round> chosen = guide.flatMap(
                g -> all.stream().filter(r -> r.id().guideId().equals(g)).findFirst());
        if (chosen.isPresent()) {
            return chosen;
        }
        Optional<StitchingEdge.Round> fitting = all.stream()
                .filter(r -> 2 * r.stitched() <= widest + Tolerances.ROUNDING)
                .reduce((a, b) -> b);
        return fitting.or(() -> all.stream().findFirst());
    }

    void lay() {
        double widest = space.room();
        Optional<StitchingEdge.Round> found =
                tool(laying.tools(), laying.layer().templateId(), laying.layer().guideId(), widest);
        if (found.isEmpty()) {
            laying.tell(laying.missing(EdgeKind.CIRCLE, Math.max(0, widest / 2)));
            return;
        }
        StitchingEdge.Round tool = found.get();
        double radius = tool.stitched();
        if (2 * radius > space.room() + Tolerances.ROUNDING) {
            laying.tell(new MotifDiagnostic.TooHigh(2 * radius - space.room()));
            return;
        }
        List<Figure> figures = space.divided();
        List<Double> middles = new ArrayList<>();
        int circles = 0;
        for (int i = 0; i < figures.size(); i++) {
            Cell cell = figures.get(i).cell();
            if (figures.get(i) instanceof Figure.Empty || cell.kind() == Cell.Kind.HALF) {
                continue;
            }
            if (2 * radius > cell.width() + Tolerances.ROUNDING) {
                laying.tell(new LayoutDiagnostic.TooFar(2 * radius, cell.width()));
                continue;
            }
            boolean goesOn = !middles.isEmpty()
                    && Math.abs(middles.get(circles - 1)
                                    + figures.get(i - 1).cell().width() / 2
                                    - cell.from())
                            < Tolerances.ROUNDING;
            circle(
                    tool,
                    new Point(cell.middle(), space.room() / 2),
                    ++circles,
                    i,
                    goesOn
                            ? OptionalDouble.of(cell.middle() - middles.get(circles - 2) - 2 * radius)
                            : OptionalDouble.empty());
            middles.add(cell.middle());
        }
        if (middles.size() > 1) {
            double between = middles.get(1) - middles.get(0) - 2 * radius;
            laying.tell(
                    new MotifDiagnostic.Chain(2 * radius, between, middles.get(0) - radius, space.room() / 2 - radius));
        }
    }

    /**
     * Stitches a circle.
     *
     * @param gap to the one before, if there is one just before it
     */
    private void circle(StitchingEdge.Round tool, Point centre, int number, int index, OptionalDouble gap) {
        double radius = tool.stitched();
        int way = motif.turning() == Motif.Turning.ALTERNATING && number % 2 == 0 ? -1 : 1;
        Point placed = space.place(centre.x(), centre.y());
        // Its middle line lies along the run.
        Optional<Pose> held = tool.usable() > 2 * Math.PI - Tolerances.ROUNDING
                ? Optional.of(new Pose(placed, space.rotation() + Math.PI / 2))
                : Optional.empty();
        Point west = space.place(centre.x() - radius, centre.y());
        Point east = space.place(centre.x() + radius, centre.y());
        Registration registration = registration(tool, placed, west, number, gap);
        boolean leavesOpposite = motif.halfTurns() % 2 == 1;
        List<PlacementBuilder.Piece> pieces = new ArrayList<>();
        int left = motif.halfTurns();
        double at = Math.PI;
        while (left > 0) {
            int turns = Math.min(2, left);
            left -= turns;
            Arc arc = space.placed(new Arc(centre, radius, at, way * turns * Math.PI));
            at += way * turns * Math.PI;
            // What has been once round ends on itself.
            LineEnd.ShownBy by = left == 0 ? LineEnd.ShownBy.STITCHING : LineEnd.ShownBy.NEEDLE;
            pieces.add(new PlacementBuilder.Piece(arc, tool, registration, LineEnd.at(arc.end(), by), held));
        }
        before = laying.stitch(
                PlacementBuilder.Naming.of(Stitched.CIRCLE, number),
                pieces,
                start(west, centre.x() - radius),
                PlacementBuilder.Turn.ABOUT_CENTRE);
        if (motif.swirl()) {
            swirl(laying, placed, leavesOpposite ? east : west, number, way);
        }
        laying.enclosed().add(new RunContext.Enclosed(index + 1, List.of(Path.circle(placed, radius))));
    }

    /** Where a circle starts: on the line along the middle, which is drawn as far as the run goes. */
    private LineEnd start(Point place, double along) {
        return along < 0 || along > space.length()
                ? laying.marked(Mark.Kind.LINE_START, place)
                : LineEnd.at(place, LineEnd.ShownBy.MIDDLE_LINE);
    }

    /** The template slides on from the circle before; the first of every few is marked, so that no error adds up for long. */
    private Registration registration(
            StitchingEdge.Round tool, Point placed, Point needle, int number, OptionalDouble gap) {
        // Of one that was cut off, the side may be missing that the gap begins at.
        boolean slides = gap.isPresent()
                && (number - 1) % MARKED_EVERY != 0
                && before.size() == 1
                && Math.abs(before.get(0).path().distance(needle) - Math.max(0, gap.getAsDouble()))
                        < Tolerances.SAME_PLACE
                && tool.usable() > 2 * Math.PI - Tolerances.ROUNDING;
        return slides
                ? new Registration.InChain(
                        before.get(0).id(),
                        Math.max(0, gap.getAsDouble()),
                        laying.tools().middleLine(tool.id()))
                : new Registration.CentreOnMark(
                        laying.marker().at(Mark.Kind.MIDDLE, number, placed, Mark.Stage.LOADED), false);
    }

    /**
     * Stitches a curl by hand: two half circles of half a circle's size, from one side of it through the middle to the other.
     *
     * @param centre of the circle, in the quilt's frame
     * @param from the side where the needle is
     * @param way 1 if the circle was stitched to the left, −1 to the right
     */
    static void swirl(RunContext laying, Point centre, Point from, int number, int way) {
        double half = from.distance(centre) / 2;
        Point far = centre.plus(centre.minus(from));
        Arc in = ArcsBetween.of(from, centre, half, way < 0).orElseThrow();
        Arc out = ArcsBetween.of(centre, far, half, way > 0).orElseThrow();
        StitchingEdge hand = new StitchingEdge.ByHand();
        Registration free = new Registration.ByHand(false);
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.SWIRL, number),
                List.of(
                        new PlacementBuilder.Piece(in, hand, free, LineEnd.at(in.end(), LineEnd.ShownBy.NEEDLE)),
                        new PlacementBuilder.Piece(out, hand, free, LineEnd.at(out.end(), LineEnd.ShownBy.STITCHING))),
                LineEnd.at(from, LineEnd.ShownBy.NEEDLE),
                PlacementBuilder.Turn.SLIDING);
    }
}
