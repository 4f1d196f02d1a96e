package jollyspindle.core.area;

import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.layout.LayoutDiagnostic;
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
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Lays out {@link AreaMotif.Clamshells}: rows of shells from the lower edge up, every second one half a shell on, so that its
 * valleys stand on the crowns below; up one row and back along the next. The template's crown line lies on those crowns, and
 * its seam-allowance line on the raw edge; where nothing is engraved tape goes there. Rows are planned from the rise that is really
 * stitched with this foot. What is left at the top stays if it is less than about half a row; else one shorter row is squeezed
 * in, its crowns on the upper edge.
 */
final class ClamshellsLayout {

    /** More seam allowance than this nobody leaves, in inches. */
    private static final double MOST_ALLOWED = 2;

    private static final Param.Length<AreaMotif.Clamshells> ALLOWANCE = Param.length(
            "allowance",
            0,
            AreaMotif.LARGEST,
            AreaMotif.Clamshells::allowance,
            shells -> new Param.Room(0, MOST_ALLOWED));

    static final AreaMotifType<AreaMotif.Clamshells> TYPE = new AreaMotifType<>(
                    AreaMotif.Clamshells.class,
                    "clamshells",
                    Params.of(v -> new AreaMotif.Clamshells(v.get(ALLOWANCE)), Params.row(ALLOWANCE)),
                    (piece, motif) -> new ClamshellsLayout(piece, motif).lay(),
                    (shells, cloth) -> cloth.shells(),
                    Kind.SCALLOP_ROW)
            .offered((cloth, offers) -> offers.add("", new AreaMotif.Clamshells(0)))
            .dragged((shells, knobs) -> knobs.from(
                    ALLOWANCE, new Point(knobs.centre().x(), knobs.box().bottom()), new Point(0, 1)));

    /** The part of a row that is worth another one (common practice, no source: about half). */
    private static final double WORTH_A_ROW = 0.4;

    private final PieceContext laying;
    private final AreaMotif.Clamshells motif;
    private final Box box;

    ClamshellsLayout(PieceContext laying, AreaMotif.Clamshells motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
    }

    /** The shells of one template. */
    private record Shells(StitchingEdge.Strip strip, Path figures, double valley, double rise) {

        static Optional<Shells> of(StitchingEdge.Strip strip) {
            double half = strip.figures() * strip.module() / 2;
            Box all = strip.stitched().box();
            List<Path> within = Region.of(Path.polygon(List.of(
                            new Point(-half, all.bottom() - 1),
                            new Point(half, all.bottom() - 1),
                            new Point(half, all.top() + 1),
                            new Point(-half, all.top() + 1))))
                    .within(strip.stitched());
            if (within.isEmpty()) {
                return Optional.empty();
            }
            Path figures = within.get(0);
            double valley = figures.box().bottom();
            return Optional.of(new Shells(strip, figures, valley, figures.box().top() - valley));
        }

        double across() {
            return strip.figures() * strip.module();
        }
    }

    void lay() {
        Optional<StitchingEdge.Strip> found = laying.tools().strip(Kind.SCALLOP_ROW, laying.templateId());
        if (found.isEmpty()) {
            laying.tell(new LayoutDiagnostic.NoTool(EdgeKind.SCALLOPS));
            return;
        }
        Optional<Shells> cut = Shells.of(found.get());
        double height = box.height() - motif.allowance();
        // A foot as wide as a shell fills it.
        boolean wider = found.get().module() > 2 * laying.tools().machine().footRadius() + Tolerances.SAME_PLACE;
        if (!wider
                || cut.isEmpty()
                || cut.get().rise() < LayoutContext.SHORTEST
                || cut.get().rise() > height + Tolerances.SAME_PLACE) {
            laying.tell(new AreaDiagnostic.NoShells(
                    found.get().module(), cut.map(Shells::rise).orElse(0.0)));
            return;
        }
        Shells shells = cut.get();
        int rows = (int) Math.floor(height / shells.rise() + Tolerances.SAME_PLACE);
        double over = height - rows * shells.rise();
        boolean squeezed = over >= WORTH_A_ROW * shells.rise();
        laying.tell(new AreaDiagnostic.Shells(
                box.width() / shells.strip().module(), rows + (squeezed ? 1 : 0), shells.rise(), over, squeezed));
        Optional<Before> before = Optional.empty();
        List<Path> below = List.of();
        for (int row = 0; row < rows + (squeezed ? 1 : 0); row++) {
            boolean last = row == rows;
            double up = motif.allowance() + (last ? height - shells.rise() : row * shells.rise());
            List<PlacementBuilder.Piece> pieces = pieces(shells, row, up, before);
            Path whole =
                    new Path(pieces.stream().map(PlacementBuilder.Piece::curve).toList());
            List<Path> kept = last ? above(below, whole) : laying.kept(whole);
            Optional<StitchLine> line = stitch(kept, pieces, row);
            if (line.isPresent()) {
                before = Optional.of(new Before(line.get(), up + shells.rise()));
            }
            below = kept;
        }
    }

    /**
     * The row that the next one is laid on.
     *
     * @param crowns above the lower edge, in inches
     */
    private record Before(StitchLine line, double crowns) {}

    /** The shells of a row, group by group as the template lies; beyond the edges, too. */
    private List<PlacementBuilder.Piece> pieces(Shells shells, int row, double up, Optional<Before> before) {
        List<PlacementBuilder.Piece> pieces = new ArrayList<>();
        double from = row % 2 == 0 ? 0 : -shells.strip().module() / 2;
        Registration registration = registration(shells, up, before);
        for (double at = from; at < box.width() - Tolerances.SAME_PLACE; at += shells.across()) {
            Point start = laying.space().place(at, up);
            Pose pose = new Pose(start.minus(new Point(-shells.across() / 2, shells.valley())), 0);
            StitchingEdge tool =
                    new StitchingEdge.Lying(shells.strip().id(), shells.strip().name(), pose);
            for (Curve curve : shells.figures().posed(pose).curves()) {
                pieces.add(new PlacementBuilder.Piece(
                        curve, tool, registration, LineEnd.at(curve.end(), LineEnd.ShownBy.NEEDLE)));
            }
        }
        return pieces;
    }

    /** What of the template lies on the crowns before, or on the lower edge; marks where that lies beside the acrylic. */
    private Registration registration(Shells shells, double up, Optional<Before> before) {
        StitchingEdge.Strip strip = shells.strip();
        double laid = before.map(Before::crowns).orElseGet(() -> seam().orElse(Double.NEGATIVE_INFINITY));
        double below = strip.top() - shells.valley() + up - laid;
        if (below < -Tolerances.SAME_PLACE || below > strip.top() - strip.bottom()) {
            return new Registration.FootOnBothMarks();
        }
        Optional<LineId> row = before.map(b -> b.line().id());
        return new Registration.OnRow(strip.across(below), Math.max(0, below), row);
    }

    /** Where the seam lies that the rows begin beside, counted as the rows are; nothing if there is no level one. */
    private OptionalDouble seam() {
        Path cloth = laying.space().cloth();
        double bottom = cloth.box().bottom();
        boolean level = cloth.curves().stream()
                .anyMatch(c -> c instanceof Segment && c.box().top() - bottom < Tolerances.SAME_PLACE);
        return level ? OptionalDouble.of(bottom - box.bottom()) : OptionalDouble.empty();
    }

    /** What of a row isn't covered by the one below: it is squeezed in behind it. */
    private List<Path> above(List<Path> below, Path row) {
        List<Path> covered = new ArrayList<>();
        for (Path path : below) {
            List<Curve> closed = new ArrayList<>(path.curves());
            Point left = path.start();
            Point right = path.end();
            List<Point> foot =
                    List.of(right, new Point(right.x(), box.bottom()), new Point(left.x(), box.bottom()), left);
            for (int i = 0; i + 1 < foot.size(); i++) {
                if (foot.get(i).distance(foot.get(i + 1)) > Tolerances.SAME_PLACE) {
                    closed.add(new Segment(foot.get(i), foot.get(i + 1)));
                }
            }
            covered.add(new Path(closed));
        }
        Region under = Region.union(covered);
        return laying.kept(row).stream()
                .flatMap(p -> under.without(p).stream())
                .filter(p -> p.length() >= LayoutContext.SHORTEST)
                .toList();
    }

    /** Stitches a row, and tells one of its lines. */
    private Optional<StitchLine> stitch(List<Path> kept, List<PlacementBuilder.Piece> pieces, int row) {
        Optional<StitchLine> first = Optional.empty();
        boolean back = row % 2 == 1;
        for (int i = 0; i < kept.size(); i++) {
            Path path = kept.get(back ? kept.size() - 1 - i : i);
            Path way = back ? path.reversed() : path;
            List<PlacementBuilder.Piece> along =
                    way.curves().stream().map(c -> piece(c, pieces)).toList();
            List<PlacementBuilder.Piece> reaching = new ArrayList<>();
            for (int j = 0; j < along.size(); j++) {
                boolean last = j == along.size() - 1;
                reaching.add(along.get(j)
                        .reaching(reached(
                                along.get(j),
                                last,
                                last
                                        || !along.get(j)
                                                .tool()
                                                .equals(along.get(j + 1).tool()))));
            }
            LineEnd start = along.get(0).registration() instanceof Registration.FootOnBothMarks
                    ? laying.marked(Mark.Kind.LINE_START, way.start())
                    : laying.shown(way.start());
            StitchLine line = laying.sewing()
                    .stitch(
                            PlacementBuilder.Naming.of(Stitched.SHELLS, row + 1),
                            reaching,
                            start,
                            PlacementBuilder.Turn.MARKED);
            if (i == 0) {
                first = Optional.of(line);
            }
        }
        return first;
    }

    /**
     * What shows where a shell ends.
     *
     * @param last whether the row ends there
     * @param moved whether the template is moved on there, or the row ends
     */
    private LineEnd reached(PlacementBuilder.Piece piece, boolean last, boolean moved) {
        Point end = piece.curve().end();
        if (moved && piece.registration() instanceof Registration.FootOnBothMarks) {
            return laying.marked(Mark.Kind.LINE_END, end);
        }
        return last ? laying.shown(end) : LineEnd.at(end, LineEnd.ShownBy.NEEDLE);
    }

    /** A curve with the tool that its shell is stitched with. */
    private static PlacementBuilder.Piece piece(Curve curve, List<PlacementBuilder.Piece> pieces) {
        Point middle = curve.at(0.5);
        return pieces.stream()
                .filter(p -> p.curve().passes(middle, Tolerances.SAME_PLACE))
                .findFirst()
                .map(of -> new PlacementBuilder.Piece(curve, of.tool(), of.registration(), of.reaches()))
                .orElseThrow();
    }
}
