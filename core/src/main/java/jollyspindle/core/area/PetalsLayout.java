package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutDiagnostic;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Lays out {@link AreaMotif.Petals}: two arcs of the template's radius R over the same chord c, 2(R − √(R² − c²/4)) wide
 * (chord tables in any handbook), out along the one and back along the other, on one ray after the other.
 */
final class PetalsLayout {

    private static final Param.Whole<AreaMotif.Petals> PETALS =
            Param.whole("petals", AreaMotif.FEWEST_ARMS, AreaMotif.MOST_ARMS, AreaMotif.Petals::petals);
    private static final Param.Length<AreaMotif.Petals> FROM = Param.length(
            "from", 0, AreaMotif.LARGEST, AreaMotif.Petals::from, p -> new Param.Room(0, p.to() - AreaMotif.CLOSEST));
    private static final Param.Length<AreaMotif.Petals> TO = Param.length(
            "to",
            AreaMotif.CLOSEST,
            AreaMotif.LARGEST,
            AreaMotif.Petals::to,
            p -> new Param.Room(p.from() + AreaMotif.CLOSEST, AreaMotif.LARGEST));

    static final AreaMotifType<AreaMotif.Petals> TYPE = new AreaMotifType<>(
                    AreaMotif.Petals.class,
                    "petals",
                    Params.of(
                            v -> new AreaMotif.Petals(v.get(PETALS), v.get(FROM), v.get(TO)),
                            Params.row(PETALS),
                            Params.row(FROM, TO)),
                    (piece, motif) -> new PetalsLayout(piece, motif).lay(),
                    (petals, cloth) -> petals.petals(),
                    Kind.ARC,
                    Kind.CIRCLE)
            .offeredAboutCentre((cloth, offers) -> offers.add(
                    "",
                    new AreaMotif.Petals(
                            8, AreaPreset.eighths(cloth.half() / 8), AreaPreset.eighths(cloth.half() * 0.75))))
            .dragged((petals, knobs) -> {
                knobs.out(FROM);
                knobs.out(TO);
            });

    private static final int PROBES = 64;

    private final PieceContext laying;
    private final AreaMotif.Petals motif;
    private final Point centre;

    PetalsLayout(PieceContext laying, AreaMotif.Petals motif) {
        this.laying = laying;
        this.motif = motif;
        this.centre = laying.space().centre();
    }

    void lay() {
        double chord = motif.to() - motif.from();
        Optional<StitchingEdge.Round> found = tool(chord);
        if (found.isEmpty()) {
            return;
        }
        StitchingEdge.Round tool = found.get();
        if (chord > 2 * tool.stitched()) {
            laying.tell(new LayoutDiagnostic.TooFar(chord, 2 * tool.stitched()));
            return;
        }
        for (int petal = 1; petal <= motif.petals(); petal++) {
            Ray ray = laying.rays().at(2 * Math.PI * (petal - 1) / motif.petals());
            Point way = Rays.way(ray.angle());
            Point from = centre.plus(way.times(motif.from()));
            Point to = centre.plus(way.times(motif.to()));
            Arc out = ArcsBetween.of(from, to, tool.stitched(), true).orElseThrow();
            Arc back = ArcsBetween.of(to, from, tool.stitched(), true).orElseThrow();
            if (petal == 1 && strays(out, way)) {
                laying.tell(new AreaDiagnostic.PetalsCross(motif.petals()));
            }
            laying.stitch(
                    PlacementBuilder.Naming.of(Stitched.PETAL, petal),
                    Path.of(out, back),
                    tool,
                    p -> laying.marked(
                            p.isAt(to) ? Mark.Kind.TIP : motif.from() == 0 ? Mark.Kind.CENTRE : Mark.Kind.LINE_START,
                            p));
        }
    }

    /** The arc asked for, or the first there is; where it doesn't span a petal, any other round edge that does. */
    private Optional<StitchingEdge.Round> tool(double chord) {
        Optional<StitchingEdge.Round> arc = laying.tools()
                .arc(laying.templateId(), Optional.empty())
                .map(a -> StitchingEdge.Round.of(a, laying.tools().machine()));
        return arc.filter(a -> chord <= 2 * a.stitched())
                .or(() -> laying.tools().roundFrom(laying.templateId(), chord / 2))
                .or(laying::round);
    }

    /** Whether a petal's side leaves the share of the turn that is its own. */
    private boolean strays(Arc side, Point way) {
        return IntStream.range(1, PROBES)
                .mapToObj(i -> side.at((double) i / PROBES).minus(centre))
                .anyMatch(p -> Math.abs(Math.atan2(way.cross(p), way.dot(p)))
                        > Math.PI / motif.petals() + Tolerances.ROUNDING);
    }
}
