package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Lays out {@link AreaMotif.Rings}: circles about one centre, where a pin through the quilt holds the template. Each ring
 * takes whichever template stitches its size; a size that none stitches is told, and the others are laid out all the same.
 */
final class RingsLayout {

    private static final Param.Length<AreaMotif.Rings> FIRST =
            Param.length("first", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Rings::first);
    private static final Param.MaybeLength<AreaMotif.Rings> GAP =
            Param.maybeLength("gap", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Rings::gap);
    private static final Param.Whole<AreaMotif.Rings> RINGS =
            Param.whole("rings", 1, AreaMotif.MOST, AreaMotif.Rings::rings);
    private static final Param.Choice<AreaMotif.Rings, AreaMotif.Spokes> SPOKES =
            Param.choice("spokes", AreaMotif.Spokes.class, AreaMotif.Rings::spokes);

    private static final Param.Length<AreaMotif.Rings> RIGHT = Param.<AreaMotif.Rings>length(
                    "right", -AreaMotif.LARGEST, AreaMotif.LARGEST, AreaMotif.Rings::right)
            .usually(0);
    private static final Param.Length<AreaMotif.Rings> UP = Param.<AreaMotif.Rings>length(
                    "up", -AreaMotif.LARGEST, AreaMotif.LARGEST, AreaMotif.Rings::up)
            .usually(0);

    static final AreaMotifType<AreaMotif.Rings> TYPE = new AreaMotifType<>(
                    AreaMotif.Rings.class,
                    "rings",
                    Params.of(
                                    v -> new AreaMotif.Rings(
                                            v.get(FIRST),
                                            v.get(GAP),
                                            v.get(RINGS),
                                            v.get(SPOKES),
                                            v.get(RIGHT),
                                            v.get(UP)),
                                    Params.row(FIRST, RINGS),
                                    Params.row(GAP),
                                    Params.row(SPOKES),
                                    Params.row(RIGHT, UP))
                            .kept(FIRST, GAP, RINGS, SPOKES, RIGHT, UP)
                            .brief(RIGHT)
                            .brief(UP),
                    (piece, motif) -> new RingsLayout(piece, motif).lay(),
                    (rings, cloth) -> rings.gap().isEmpty()
                            ? rings.rings()
                            : cloth.upTo(
                                    rings.rings(),
                                    (cloth.reach() - rings.first() / 2)
                                            / rings.gap().getAsDouble()),
                    Kind.CIRCLE,
                    Kind.SLOTTED_CIRCLES)
            .offeredAboutCentre((cloth, offers) -> offers.add(
                    "", new AreaMotif.Rings(2, AreaPreset.SPACING, usualRings(cloth.half()), AreaMotif.Spokes.ONE)))
            .dragged((rings, knobs) -> {
                Point middle = knobs.centre().plus(new Point(rings.right(), rings.up()));
                knobs.across(FIRST, middle);
                if (rings.rings() > 1) {
                    knobs.from(GAP, middle.plus(knobs.aside().times(rings.first() / 2)), knobs.aside());
                }
            });

    /** How much of a gap a ring may be off its place before it is seen (common practice, no source: about a quarter). */
    private static final double SEEN = 0.25;

    private static final int FOUR = 4;

    private final PieceContext laying;
    private final AreaMotif.Rings motif;
    private final Point centre;

    /** The radius of the last ring, as wanted. */
    private double farthest;

    /** As many as lie inside, five at most to begin with. */
    private static int usualRings(double half) {
        return (int) Math.max(1, Math.min(5, Math.floor((half - 1) / AreaPreset.SPACING)));
    }

    RingsLayout(PieceContext laying, AreaMotif.Rings motif) {
        this.laying = laying;
        this.motif = motif;
        this.centre = laying.space().centre().plus(new Point(motif.right(), motif.up()));
    }

    void lay() {
        List<StitchingEdge.Round> all = laying.circles();
        if (all.isEmpty()) {
            return;
        }
        Path outline = laying.space().outline();
        // About a pin beside the piece no ring lies inside.
        double edge = outline.contains(centre) ? 2 * outline.distance(centre) : 0;
        if (motif.gap().isEmpty() && motif.gap(edge) < AreaMotif.CLOSEST) {
            laying.tell(new AreaDiagnostic.NoRoom());
            return;
        }
        Mark pin = laying.mark(motif.centred() ? Mark.Kind.CENTRE : Mark.Kind.MIDDLE, centre);
        farthest = motif.diameter(motif.rings(), edge) / 2;
        Optional<StitchingEdge.Straight> straight = motif.spokes() == AreaMotif.Spokes.NONE
                ? Optional.empty()
                : laying.tools().straight(Optional.empty(), Optional.empty());
        if (motif.spokes() != AreaMotif.Spokes.NONE && straight.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.STRAIGHT_EDGE));
        }
        // Spread evenly, rings take the nearest sizes there are, as long as no gap looks like another.
        double near = motif.gap().isPresent() ? laying.nearEnough() : motif.gap(edge) * SEEN;
        double off = 0;
        List<Double> stitched = new ArrayList<>();
        for (int ring = 1; ring <= motif.rings(); ring++) {
            double radius = motif.diameter(ring, edge) / 2;
            StitchingEdge.Round tool = all.stream()
                    .min(Comparator.comparingDouble(t -> Math.abs(t.stitched() - radius)))
                    .orElseThrow();
            if (Math.abs(tool.stitched() - radius) > near) {
                laying.tellRingMissing(laying.templateId(), radius, Optional.of(tool));
                continue;
            }
            double really = tool.stitched();
            off = Math.abs(really - radius) > Math.abs(off) ? really - radius : off;
            double before = stitched.isEmpty() ? 0 : stitched.get(stitched.size() - 1);
            boolean joined = before > 0 && straight.isPresent();
            if (joined) {
                // It ends where the next ring begins, which is marked.
                spoke(straight.get(), ring, 1, pin, before, really);
            }
            ring(tool, ring, pin, joined);
            for (int spoke = 2; joined && motif.spokes() == AreaMotif.Spokes.FOUR && spoke <= FOUR; spoke++) {
                spoke(straight.get(), ring, spoke, pin, before, really);
            }
            stitched.add(really);
        }
        gaps(stitched, edge);
        if (motif.gap().isPresent()) {
            laying.tellByFoot(off);
        }
    }

    private void gaps(List<Double> stitched, double edge) {
        if (motif.gap().isPresent() || stitched.size() < 2) {
            return;
        }
        DoubleSummaryStatistics gaps = IntStream.range(1, stitched.size())
                .mapToDouble(i -> stitched.get(i) - stitched.get(i - 1))
                .summaryStatistics();
        laying.tell(new AreaDiagnostic.RingGaps(motif.gap(edge), gaps.getMin(), gaps.getMax()));
    }

    /**
     * One ring, begun at the top.
     *
     * @param reached whether a spoke has brought the needle there
     */
    private void ring(StitchingEdge.Round tool, int number, Mark pin, boolean reached) {
        Arc whole = new Arc(centre, tool.stitched(), Math.PI / 2, -2 * Math.PI);
        for (Path piece : laying.kept(Path.of(whole))) {
            Arc arc = (Arc) piece.curves().get(0);
            boolean round = Math.abs(Math.abs(arc.sweep()) - 2 * Math.PI) < Tolerances.ROUNDING;
            LineEnd start = !round
                    ? laying.shown(arc.start())
                    : reached ? begun(arc.start()) : LineEnd.at(arc.start(), LineEnd.ShownBy.ANYWHERE);
            laying.sewing()
                    .stitch(
                            PlacementBuilder.Naming.of(Stitched.RING, number),
                            arc,
                            tool,
                            new Registration.CentreOnMark(pin, false),
                            start,
                            round ? LineEnd.at(arc.end(), LineEnd.ShownBy.STITCHING) : laying.shown(arc.end()),
                            PlacementBuilder.Turn.ABOUT_CENTRE);
        }
    }

    /** Where a ring begins that a spoke leads to. */
    private LineEnd begun(Point place) {
        return laying.marked(Mark.Kind.LINE_START, place);
    }

    /**
     * From a ring outward to the next.
     *
     * @param spoke from 1 at the top, clockwise
     */
    private void spoke(StitchingEdge.Straight tool, int ring, int spoke, Mark pin, double from, double to) {
        double angle = 2 * Math.PI * (spoke - 1) / FOUR;
        Point way = Rays.way(angle);
        // About another centre, the ruler is aimed at a mark on the last ring.
        Point aim = centre.plus(way.times(farthest));
        Optional<Mark> aimed = motif.centred()
                ? Optional.of(laying.rays().at(angle).mark())
                : Optional.of(aim)
                        .filter(p -> laying.space().outline().contains(p))
                        .map(p -> laying.mark(Mark.Kind.LINE_END, p));
        Segment line = new Segment(centre.plus(way.times(from)), centre.plus(way.times(to)));
        Optional<Mark> over = aimed.filter(mark -> mark.place().distance(centre) <= tool.length());
        boolean reaches = over.isPresent();
        Registration laid = over.<Registration>map(mark -> new Registration.FootOverMarks(pin, mark))
                .orElseGet(Registration.FootOnBothMarks::new);
        for (Path piece : laying.kept(Path.of(line))) {
            Segment kept = (Segment) piece.curves().get(0);
            laying.sewing()
                    .stitch(
                            PlacementBuilder.Naming.of(Stitched.SPOKE, ring, spoke),
                            kept,
                            tool,
                            laid,
                            reaches ? laying.shown(kept.from()) : begun(kept.from()),
                            spoke == 1 && kept.to().isAt(line.to()) || !reaches
                                    ? begun(kept.to())
                                    : laying.shown(kept.to()),
                            PlacementBuilder.Turn.SLIDING);
        }
    }
}
