package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.Hatching;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.EdgeCatalog;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ArcEdge;
import jollyspindle.core.shelf.ArcTemplate;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lays out {@link AreaMotif.Echoes}: the area's edge again and again, each so far from the one before. Round ones are
 * stitched with a circle of their size about the centre, or with an arc of their size that slides round beside the seam or the echo
 * before; straight sides along a straight edge laid on the line before, with
 * sharp corners.
 */
final class EchoesLayout {

    private static final Param.Whole<AreaMotif.Echoes> ECHOES =
            Param.whole("echoes", 1, AreaMotif.MOST, AreaMotif.Echoes::echoes);
    private static final Param.Length<AreaMotif.Echoes> SPACING =
            Param.length("spacing", AreaMotif.CLOSEST, AreaMotif.LARGEST, AreaMotif.Echoes::spacing);
    private static final Param.Flag<AreaMotif.Echoes> OUTSIDE = Param.flag("outside", AreaMotif.Echoes::outside);

    static final AreaMotifType<AreaMotif.Echoes> TYPE = new AreaMotifType<>(
                    AreaMotif.Echoes.class,
                    "echoes",
                    Params.of(
                            v -> new AreaMotif.Echoes(v.get(ECHOES), v.get(SPACING), v.get(OUTSIDE)),
                            Params.row(ECHOES, SPACING),
                            Params.row(OUTSIDE)),
                    (piece, motif) -> new EchoesLayout(piece, motif).lay(),
                    (echoes, cloth) -> echoes.outside()
                            ? echoes.echoes()
                            : cloth.upTo(echoes.echoes(), cloth.reach() / echoes.spacing()),
                    Kind.STRAIGHT_EDGE)
            .offeredAboutCentre((cloth, offers) -> {
                offers.add("", new AreaMotif.Echoes(cloth.isBackground() ? 3 : 2, AreaPreset.SPACING, false));
                if (cloth.isMedallion()) {
                    offers.add("-outside", new AreaMotif.Echoes(3, AreaPreset.SPACING, true));
                }
            })
            .dragged((echoes, knobs) -> knobs.from(
                    SPACING,
                    new Point(knobs.box().right(), knobs.centre().y()),
                    new Point(echoes.outside() ? 1 : -1, 0)));

    private final PieceContext laying;
    private final AreaMotif.Echoes motif;

    EchoesLayout(PieceContext laying, AreaMotif.Echoes motif) {
        this.laying = laying;
        this.motif = motif;
    }

    /** Lays the echoes out in the area's own piece, or in what is round it. */
    void lay() {
        Optional<AreaSpace> within = motif.outside() ? laying.aroundIt() : Optional.of(laying.space());
        if (within.isEmpty()) {
            laying.tell(new AreaDiagnostic.NothingOutside());
            return;
        }
        PieceContext there = laying.in(within.get());
        List<StitchLine> before = List.of();
        for (int echo = 1; echo <= motif.echoes(); echo++) {
            Optional<Path> line = motif.outside()
                    ? moved(laying.space().cloth(), -echo * motif.spacing())
                    : moved(laying.space().outline(), echo * motif.spacing());
            if (line.isEmpty()) {
                laying.tell(new AreaDiagnostic.FewerSets(motif.echoes(), echo - 1));
                return;
            }
            before = line.get().curves().get(0) instanceof Arc
                    ? round(there, echo, line.get(), before)
                    : straight(there, echo, line.get(), before);
        }
    }

    /** A circle or a convex shape with straight sides moved inward, or outward below 0; nothing if nothing is left. */
    private Optional<Path> moved(Path outline, double by) {
        if (by > laying.space().inside() - LayoutContext.SHORTEST / 2) {
            return Optional.empty();
        }
        List<Curve> sides = outline.curves();
        if (sides.get(0) instanceof Arc rim) {
            return Optional.of(Path.circle(rim.centre(), rim.radius() - by));
        }
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < sides.size(); i++) {
            Point in = sides.get((i + sides.size() - 1) % sides.size()).direction(0);
            Point out = sides.get(i).direction(0);
            // Where the two sides cross once they are moved: along each by the other's share (derived).
            corners.add(sides.get(i).start().plus(out.minus(in).times(by / in.cross(out))));
        }
        Path path = Path.polygon(corners);
        return path.area() > 0 ? Optional.of(path) : Optional.empty();
    }

    private List<StitchLine> round(PieceContext there, int echo, Path line, List<StitchLine> before) {
        Arc arc = (Arc) line.curves().get(0);
        Optional<StitchingEdge.Round> tool = there.tools().circles(Optional.empty()).stream()
                .filter(t -> Math.abs(t.stitched() - arc.radius()) <= Tolerances.CHALK)
                .findFirst();
        if (tool.isPresent()) {
            Mark pin = laying.mark(Mark.Kind.CENTRE, arc.centre());
            return round(there, echo, arc.centre(), tool.get(), new Registration.CentreOnMark(pin, false));
        }
        Optional<Beside> beside = beside(arc, before);
        if (beside.isEmpty()) {
            there.tellRingMissing(Optional.empty(), arc.radius(), Optional.empty());
            return List.of();
        }
        return round(
                there, echo, arc.centre(), beside.get().tool(), beside.get().laid());
    }

    private static List<StitchLine> round(
            PieceContext there, int echo, Point centre, StitchingEdge.Round tool, Registration laid) {
        Arc whole = new Arc(centre, tool.stitched(), Math.PI / 2, -2 * Math.PI);
        return there.stitch(
                PlacementBuilder.Naming.of(Stitched.ECHO, echo),
                Path.of(whole),
                c -> tool,
                c -> laid,
                PieceContext::anywhere);
    }

    /** An arc, and what lies on the seam or on the echo before while it slides round. */
    private record Beside(StitchingEdge.Round tool, Registration laid, boolean engraved) {}

    /** The arc that stitches a circle and covers the seam or the echo before; one with a line engraved there before one with tape. */
    private Optional<Beside> beside(Arc line, List<StitchLine> before) {
        EdgeCatalog tools = laying.tools();
        double seam = ((Arc) laying.space().cloth().curves().get(0)).radius();
        // Of an echo in pieces, none goes all round; and errors run on from echo to echo.
        Optional<StitchLine> last = before.stream()
                .filter(l -> before.size() == 1 && l.path().closed() && l.number() <= Hatching.MOST_CHAINED)
                .findFirst();
        ArcEdge edge = motif.outside() ? ArcEdge.CONVEX : ArcEdge.CONCAVE;
        List<Beside> found = new ArrayList<>();
        for (ArcTemplate arc : tools.arcsOfRadius(line.radius(), edge)) {
            StitchingEdge.Round tool = StitchingEdge.Round.of(arc, tools.machine());
            last.ifPresent(l -> {
                double fromEdge = fromEdge(tool, ((Arc) l.path().curves().get(0)).radius());
                if (fromEdge >= 0 && tools.covers(arc, fromEdge)) {
                    boolean engraved = tools.isEngraved(arc, fromEdge);
                    found.add(new Beside(tool, new Registration.OnStitching(l.id(), fromEdge, engraved), engraved));
                }
            });
            double fromEdge = fromEdge(tool, seam);
            if (fromEdge >= 0 && tools.covers(arc, fromEdge)) {
                boolean engraved = tools.isEngraved(arc, fromEdge);
                found.add(new Beside(tool, new Registration.AlongSeam(fromEdge, engraved), engraved));
            }
        }
        return found.stream().filter(Beside::engraved).findFirst().or(() -> found.stream()
                .findFirst());
    }

    /** From the edge that stitches a circle to another circle, in inches; below 0 if the foot is wider than the gap between. */
    private double fromEdge(StitchingEdge.Round tool, double radius) {
        double apart =
                Math.abs(tool.stitched() - radius) - laying.tools().machine().footRadius();
        return Math.abs(apart) < Tolerances.ROUNDING ? 0 : apart;
    }

    private List<StitchLine> straight(PieceContext there, int echo, Path line, List<StitchLine> before) {
        Optional<StitchingEdge.Straight> tool = there.straight();
        if (tool.isEmpty()) {
            return List.of();
        }
        double fromEdge = motif.spacing() - there.tools().machine().footRadius();
        boolean engraved = LayoutContext.engraved(tool.get(), fromEdge);
        return there.stitch(
                PlacementBuilder.Naming.of(Stitched.ECHO, echo),
                line,
                c -> tool.get(),
                c -> beside((Segment) c, before, fromEdge)
                        .<Registration>map(l -> new Registration.OnStitching(l.id(), fromEdge, engraved))
                        .orElseGet(Registration.FootOnBothMarks::new),
                p -> there.marked(Mark.Kind.TURN, p));
    }

    private Optional<StitchLine> beside(Segment side, List<StitchLine> before, double fromEdge) {
        return before.stream()
                .filter(l -> fromEdge >= 0
                        && Math.abs(l.path().distance(side.at(0.5)) - motif.spacing()) < Tolerances.SAME_PLACE)
                .findFirst();
    }
}
