package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Lays out {@link AreaMotif.CornerRays}: one line without a break, from point to point of the small arc out to each cap and
 * back.
 *
 * <p>Caps and the gaps between them are equally wide measured square to their rays. Along a far side that lies D from the
 * corner, the width seen under the angle from 0 to θ is D·asinh(tan θ) (the integral of D/cos θ, derived); so the side is
 * parted evenly in that measure, three quarters for the cap and one for the gap. The middle petal stands on the far corner,
 * so that their number is odd.
 */
final class CornerRaysLayout {

    private static final Param.Choice<AreaMotif.CornerRays, AreaMotif.Corner> CORNER =
            Param.choice("corner", AreaMotif.Corner.class, AreaMotif.CornerRays::corner);
    private static final Param.MaybeWhole<AreaMotif.CornerRays> PETALS =
            Param.maybeOdd("petals", 1, AreaMotif.MOST_ARMS - 1, AreaMotif.CornerRays::petals);
    private static final Param.Length<AreaMotif.CornerRays> STOP =
            Param.length("stop", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.CornerRays::stop);
    private static final Param.Length<AreaMotif.CornerRays> MARGIN =
            Param.length("margin", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.CornerRays::margin);

    static final AreaMotifType<AreaMotif.CornerRays> TYPE = new AreaMotifType<>(
                    AreaMotif.CornerRays.class,
                    "corner-rays",
                    Params.of(
                            v -> new AreaMotif.CornerRays(v.get(CORNER), v.get(PETALS), v.get(STOP), v.get(MARGIN)),
                            Params.row(CORNER, PETALS),
                            Params.row(STOP, MARGIN)),
                    (piece, motif) -> new CornerRaysLayout(piece, motif).lay(),
                    (rays, cloth) -> rays.petals().orElse(1),
                    Kind.STRAIGHT_EDGE)
            .offered((cloth, offers) -> {
                if (!cloth.isBackground()) {
                    offers.add(
                            "",
                            new AreaMotif.CornerRays(
                                    AreaMotif.Corner.BOTTOM_LEFT,
                                    OptionalInt.empty(),
                                    usualStop(cloth.shorter()),
                                    0.25));
                }
            })
            .dragged(CornerRaysLayout::knobs);

    /** Width of a cap with its gap, in inches: caps about 3/4 wide, 1/4 apart (common practice, no source). */
    private static final double USUAL_PITCH = 1;

    /** The cap's share of it. */
    private static final double CAP = 0.75;

    private final PieceContext laying;
    private final AreaMotif.CornerRays motif;
    private final Box box;

    /** From the corner to the far lines, in inches. */
    private final double across;

    private final double up;

    /** The radius of the arc on which the tips of usual petals stand 1/8 apart, 3/4 at least (common practice, no source). */
    private static double usualStop(double side) {
        double petals = 2 * Math.log(1 + Math.sqrt(2)) * side;
        return Math.max(0.75, AreaPreset.eighths(petals * AreaRules.POINT / (Math.PI / 2)));
    }

    CornerRaysLayout(PieceContext laying, AreaMotif.CornerRays motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
        this.across = box.width() - motif.margin();
        this.up = box.height() - motif.margin();
    }

    private static void knobs(AreaMotif.CornerRays rays, KnobsInPiece<AreaMotif.CornerRays> knobs) {
        Box box = knobs.box();
        boolean right = rays.corner() == AreaMotif.Corner.TOP_RIGHT || rays.corner() == AreaMotif.Corner.BOTTOM_RIGHT;
        boolean top = rays.corner() == AreaMotif.Corner.TOP_LEFT || rays.corner() == AreaMotif.Corner.TOP_RIGHT;
        knobs.from(
                STOP,
                new Point(right ? box.right() : box.left(), top ? box.top() : box.bottom()),
                new Point(right ? -1 : 1, top ? -1 : 1).unit());
        knobs.from(
                MARGIN,
                new Point(right ? box.left() : box.right(), knobs.centre().y()),
                new Point(right ? 1 : -1, 0));
    }

    void lay() {
        Optional<StitchingEdge.Straight> tool = laying.straight();
        if (tool.isEmpty()) {
            return;
        }
        if (Math.min(across, up) < motif.stop() + LayoutContext.SHORTEST) {
            laying.tell(new AreaDiagnostic.NoRoom());
            return;
        }
        // Seen from the corner, what lies below the far corner and what lies above it.
        double below = across * asinh(up / across);
        double above = up * asinh(across / up);
        int petals = motif.petals()
                .orElseGet(() -> Math.min(AreaMotif.MOST_ARMS - 1, nearestOdd((below + above) / USUAL_PITCH)));
        double lower = below / (petals / 2.0);
        double upper = above / (petals / 2.0);
        double apart = Math.PI / 2 / petals;
        laying.tell(new AreaDiagnostic.Caps(
                petals,
                CAP * Math.min(lower, upper),
                (1 - CAP) * Math.min(lower, upper),
                2 * motif.stop() * Math.sin(apart / 2)));
        List<Point> corners = new ArrayList<>(List.of(tip(0, apart)));
        for (int petal = 0; petal < petals; petal++) {
            boolean middle = petal == petals / 2;
            corners.add(far(petal + (1 - CAP) / 2, petals, lower, upper));
            if (middle) {
                corners.add(place(across, up));
            }
            corners.add(far(petal + (1 + CAP) / 2, petals, lower, upper));
            corners.add(tip(petal + 1, apart));
        }
        List<Curve> sides = new ArrayList<>();
        for (int i = 1; i < corners.size(); i++) {
            sides.add(new Segment(corners.get(i - 1), corners.get(i)));
        }
        Point corner = place(0, 0);
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.CORNER_RAYS, 1),
                new Path(sides),
                tool.get(),
                p -> laying.marked(
                        p.distance(corner) < motif.stop() + Tolerances.SAME_PLACE
                                ? Mark.Kind.LINE_START
                                : Mark.Kind.LINE_END,
                        p));
    }

    private static int nearestOdd(double number) {
        return Math.max(1, 2 * (int) Math.round((number - 1) / 2) + 1);
    }

    private static double asinh(double x) {
        return Math.log(x + Math.sqrt(x * x + 1));
    }

    private Point tip(int number, double apart) {
        return place(motif.stop() * Math.cos(number * apart), motif.stop() * Math.sin(number * apart));
    }

    /** A place on the far lines, counted in petals from the lower side on. */
    private Point far(double petals, int all, double lower, double upper) {
        double half = all / 2.0;
        return petals <= half
                ? place(across, across * Math.sinh(petals * lower / across))
                : place(up * Math.sinh((all - petals) * upper / up), up);
    }

    /** A place counted from the corner inwards. */
    private Point place(double in, double away) {
        AreaMotif.Corner corner = motif.corner();
        return laying.space()
                .place(corner.across > 0 ? box.width() - in : in, corner.up > 0 ? box.height() - away : away);
    }
}
