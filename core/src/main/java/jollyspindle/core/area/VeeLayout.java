package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Vee}: from both lower corners to the middle of the upper edge, and on either side upright lines from
 * there to that edge, uneven on purpose (common practice, no source). How far each stands from the one before follows from the
 * golden section, multiples of which fall nowhere near each other for long (a property of it that any text on such sequences
 * gives), so that no two neighbours are alike. The ruler is laid by eye: nobody measures what isn't to be even.
 */
final class VeeLayout {

    private static final Param.Length<AreaMotif.Vee> CLOSEST = Param.length(
            "closest",
            AreaMotif.CLOSEST,
            AreaMotif.LARGEST,
            AreaMotif.Vee::closest,
            vee -> new Param.Room(AreaMotif.CLOSEST, vee.widest()));
    private static final Param.Length<AreaMotif.Vee> WIDEST = Param.length(
            "widest",
            AreaMotif.CLOSEST,
            AreaMotif.LARGEST,
            AreaMotif.Vee::widest,
            vee -> new Param.Room(vee.closest(), AreaMotif.LARGEST));

    static final AreaMotifType<AreaMotif.Vee> TYPE = new AreaMotifType<>(
                    AreaMotif.Vee.class,
                    "vee",
                    Params.of(v -> new AreaMotif.Vee(v.get(CLOSEST), v.get(WIDEST)), Params.row(CLOSEST, WIDEST))
                            .kept(CLOSEST, WIDEST),
                    (piece, motif) -> new VeeLayout(piece, motif).lay(),
                    (vee, cloth) -> cloth.straight(
                            cloth.width() * 2 / (vee.closest() + vee.widest()),
                            cloth.width() * cloth.height() / (vee.closest() + vee.widest())),
                    Kind.STRAIGHT_EDGE)
            .offered((cloth, offers) -> {
                if (cloth.hasCorners()) {
                    offers.add("", new AreaMotif.Vee(1.0 / 16, 1.0 / 4));
                }
            })
            .dragged((vee, knobs) -> knobs.along(WIDEST, 1));

    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    private final PieceContext laying;
    private final AreaMotif.Vee motif;
    private final Box box;

    VeeLayout(PieceContext laying, AreaMotif.Vee motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        Point left = laying.space().place(0, 0);
        Point tip = laying.space().place(box.width() / 2, box.height());
        Point right = laying.space().place(box.width(), 0);
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.LINE, 1),
                Path.of(new Segment(left, tip), new Segment(tip, right)),
                tool.get(),
                p -> laying.marked(p.isAt(tip) ? Mark.Kind.TIP : Mark.Kind.LINE_START, p));
        // The needle is at the right corner: from there to the tip, and on from it to the left.
        List<Double> places = places();
        List<Double> back = new ArrayList<>(places);
        Collections.reverse(back);
        fill(tool.get(), 1, back.stream().map(out -> box.width() / 2 + out).toList());
        fill(tool.get(), 2, places.stream().map(out -> box.width() / 2 - out).toList());
    }

    /** How far from the middle lines stand on either side, in inches, from the tip outwards. */
    private List<Double> places() {
        List<Double> places = new ArrayList<>();
        for (double out = apart(1); out < box.width() / 2 - motif.closest() / 2; out += apart(places.size() + 1)) {
            places.add(out);
        }
        return places;
    }

    /**
     * The lines on one side.
     *
     * @param along where they stand, from the left, in inches, in the order of stitching
     */
    private void fill(StitchingEdge.Straight tool, int set, List<Double> along) {
        Optional<LineId> before = Optional.empty();
        int number = 0;
        for (double at : along) {
            double out = Math.abs(at - box.width() / 2) / (box.width() / 2);
            Segment upright = new Segment(
                    laying.space().place(at, box.height() * (1 - out)),
                    laying.space().place(at, box.height()));
            // Only in a seam does the needle get on at the top; elsewhere each line is come to from below.
            boolean back = number % 2 == 1 && laying.space().cloth().passes(upright.to(), Tolerances.SAME_PLACE);
            List<Path> kept = laying.kept(Path.of(back ? upright.reversed() : upright));
            number += kept.isEmpty() ? 0 : 1;
            for (Path piece : kept) {
                Segment segment = (Segment) piece.curves().get(0);
                StitchLine stitched = laying.sewing()
                        .stitch(
                                PlacementBuilder.Naming.of(Stitched.HATCH, number, set),
                                segment,
                                tool,
                                new Registration.ByEye(before, motif.closest(), motif.widest()),
                                shown(segment.from()),
                                shown(segment.to()),
                                PlacementBuilder.Turn.SLIDING);
                before = Optional.of(stitched.id());
            }
        }
    }

    /** How far a line is from the one before, or the first from the middle; in inches. */
    private double apart(int number) {
        double part = number * GOLDEN - Math.floor(number * GOLDEN);
        return motif.closest() + part * (motif.widest() - motif.closest());
    }

    private LineEnd shown(Point place) {
        LineEnd shown = laying.shown(place);
        return shown.shownBy() == LineEnd.ShownBy.TEMPLATE ? laying.marked(Mark.Kind.LINE_END, place) : shown;
    }
}
