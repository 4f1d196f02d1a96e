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
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * Lays out {@link AreaMotif.CornerRays}: one line without a break, from point to point of the small arc out to each cap and
 * back.
 *
 * <p>Caps and the gaps between them are equally wide measured square to their rays. Along a far side that lies D from the
 * corner, the width seen under the angle from 0 to θ is D·asinh(tan θ) (the integral of D/cos θ, derived); so each side is
 * parted evenly in that measure, three quarters for the cap and one for the gap. The outermost lines lie as far from the seams
 * beside them as the caps do from the far ones. The middle petal stands on the far corner; of an oblong each far side has as
 * many as make its caps most like the other's, an odd number in all.
 */
final class CornerRaysLayout {

    private static final double USUAL_MARGIN = 0.25;

    private static final Param.Choice<AreaMotif.CornerRays, AreaMotif.Corner> CORNER =
            Param.choice("corner", AreaMotif.Corner.class, AreaMotif.CornerRays::corner);
    private static final Param.MaybeWhole<AreaMotif.CornerRays> PETALS =
            Param.maybeOdd("petals", 1, AreaMotif.MOST_ARMS - 1, AreaMotif.CornerRays::petals);
    private static final Param.Length<AreaMotif.CornerRays> STOP =
            Param.length("stop", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.CornerRays::stop);
    private static final Param.Length<AreaMotif.CornerRays> MARGIN =
            Param.length("margin", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.CornerRays::margin);

    private static final Param.Flag<AreaMotif.CornerRays> INTO_CORNER =
            Param.flag("intoCorner", AreaMotif.CornerRays::intoCorner, false);

    static final AreaMotifType<AreaMotif.CornerRays> TYPE = new AreaMotifType<>(
                    AreaMotif.CornerRays.class,
                    "corner-rays",
                    Params.of(
                                    v -> new AreaMotif.CornerRays(
                                            v.get(CORNER),
                                            v.get(PETALS),
                                            v.get(STOP),
                                            v.get(MARGIN),
                                            v.get(INTO_CORNER)),
                                    Params.row(CORNER, PETALS),
                                    Params.row(STOP, MARGIN),
                                    Params.row(INTO_CORNER))
                            .brief(INTO_CORNER),
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
                                    usualStop(cloth.width(), cloth.height()),
                                    USUAL_MARGIN));
                }
            })
            .dragged(CornerRaysLayout::knobs);

    /** Width of a cap, in inches (common practice, no source). */
    private static final double USUAL_CAP = 0.75;

    /** A gap's part of a cap: 1/4 to 3/4 (common practice, no source). */
    static final double GAP = 1.0 / 3;

    private final PieceContext laying;
    private final AreaMotif.CornerRays motif;
    private final Box box;

    /** From the corner to the far lines, in inches. */
    private final double across;

    private final double up;

    /** The radius of the arc on which the tips of usual petals stand 1/8 apart, 3/4 at least (common practice, no source). */
    static double usualStop(double width, double height) {
        int petals = nearestOdd(asinh(1) * (width + height));
        return Math.max(
                0.75,
                AreaPreset.eighths(
                        new AreaMotif.CornerRays(AreaMotif.Corner.BOTTOM_LEFT, OptionalInt.empty(), 0.75, USUAL_MARGIN)
                                .roomyStop(petals)));
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
        Far upright = new Far(across, up, motif.margin());
        Far level = new Far(up, across, motif.margin());
        int petals = motif.petals()
                .orElseGet(() -> Math.min(
                        AreaMotif.MOST_ARMS - 1,
                        nearestOdd(1 + upright.besides(USUAL_CAP) + level.besides(USUAL_CAP))));
        int below = IntStream.range(0, petals)
                .boxed()
                .min(Comparator.comparingDouble(n -> Math.abs(upright.cap(n) - level.cap(petals - 1 - n))))
                .orElseThrow();
        int above = petals - 1 - below;
        // Their middle is seen towards the far corner.
        double middle = Math.atan2(up, across);
        double beside = beside();
        double lower = (middle - beside) / (below + 0.5);
        double upper = (Math.PI / 2 - middle - beside) / (above + 0.5);
        laying.tell(new AreaDiagnostic.Caps(
                petals, upright.cap(below), level.cap(above), 2 * motif.stop() * Math.sin(Math.min(lower, upper) / 2)));
        List<Point> corners = new ArrayList<>();
        for (int petal = 0; petal < below; petal++) {
            corners.add(tip(beside + petal * lower));
            corners.add(place(across, upright.at(upright.begins(petal, below))));
            corners.add(place(across, upright.at(upright.ends(petal, below))));
        }
        corners.add(tip(middle - lower / 2));
        corners.add(place(across, upright.at(upright.begins(below, below))));
        corners.add(place(across, up));
        corners.add(place(level.at(level.begins(above, above)), up));
        for (int petal = above - 1; petal >= 0; petal--) {
            corners.add(tip(Math.PI / 2 - beside - (petal + 1) * upper));
            corners.add(place(level.at(level.ends(petal, above)), up));
            corners.add(place(level.at(level.begins(petal, above)), up));
        }
        corners.add(tip(Math.PI / 2 - beside));
        Point corner = place(0, 0);
        if (motif.intoCorner()) {
            corners.set(0, corner);
            corners.set(corners.size() - 1, corner);
        }
        List<Curve> sides = new ArrayList<>();
        for (int i = 1; i < corners.size(); i++) {
            sides.add(new Segment(corners.get(i - 1), corners.get(i)));
        }
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

    /**
     * A far side, measured square to the rays that end on it.
     *
     * @param away from the corner, in inches
     * @param length from the seam beside to the far corner, in inches
     * @param margin where its first cap begins, from the seam beside
     */
    private record Far(double away, double length, double margin) {

        private double first() {
            return away * asinh(margin / away);
        }

        /** All that caps and gaps share, up to the far corner. */
        private double width() {
            return away * asinh(length / away) - first();
        }

        /** The width of its caps if so many stand on it besides the one on the far corner, half of which does. */
        double cap(int petals) {
            return width() / (petals * (1 + GAP) + 0.5);
        }

        /** How many caps of a width stand on it, besides the one on the far corner. */
        double besides(double cap) {
            return (width() / cap - 0.5) / (1 + GAP);
        }

        double begins(int petal, int petals) {
            return first() + petal * (1 + GAP) * cap(petals);
        }

        double ends(int petal, int petals) {
            return begins(petal, petals) + cap(petals);
        }

        /** How far along the side a place lies that is so far in that measure; in inches. */
        double at(double measured) {
            return away * Math.sinh(measured / away);
        }
    }

    private static int nearestOdd(double number) {
        return Math.max(1, 2 * (int) Math.round((number - 1) / 2) + 1);
    }

    private static double asinh(double x) {
        return Math.log(x + Math.sqrt(x * x + 1));
    }

    /** The angle, seen from the corner, between the seams and where the outermost lines begin on the small arc; in radians. */
    private double beside() {
        double beside = Math.asin(Math.min(1, motif.margin() / motif.stop()));
        return beside < Math.PI / 4 - Tolerances.ROUNDING ? beside : 0;
    }

    private Point tip(double angle) {
        return place(motif.stop() * Math.cos(angle), motif.stop() * Math.sin(angle));
    }

    /** A place counted from the corner inwards. */
    private Point place(double in, double away) {
        AreaMotif.Corner corner = motif.corner();
        return laying.space()
                .place(corner.across > 0 ? box.width() - in : in, corner.up > 0 ? box.height() - away : away);
    }
}
