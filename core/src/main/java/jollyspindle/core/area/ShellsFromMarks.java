package jollyspindle.core.area;

import jollyspindle.core.effort.Effort;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.geometry.Pose;
import jollyspindle.core.geometry.Region;
import jollyspindle.core.geometry.Segment;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.ShellRows;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Rows of shells that no plate of bumps does, every second row half a shell on. Drawn by hand they are half circles on a grid of
 * lines, a rise apart across and half a shell apart up, on which crowns and valleys stand. In a hole or round a disc each is stitched
 * by itself about a mark; along an arc from mark to mark, if it is so much larger that both marks hold it; along one that
 * isn't, with a line across it laid on the line that the valleys stand on. An edge that is too large for half circles
 * makes them flatter.
 */
final class ShellsFromMarks {

    /** A shell that rises less than this part of its width is a wave (our own choice: half as high as a half circle). */
    private static final double FLATTEST = 1.0 / 4;

    /**
     * An arc that sweeps more than this, in radians, can be moved up and down between two marks (derived: the slip up and down is
     * that of the foot over the cosine of half the sweep, here less than four times as much).
     */
    private static final double HELD = Math.toRadians(150);

    /** About as wide its shells are if nobody says, in inches. */
    private static final double USUAL = 2;

    private final PieceContext laying;
    private final AreaMotif.Clamshells motif;
    private final Pose frame;
    private final Box box;
    private final double pitch;
    private final double radius;
    private final Optional<StitchingEdge.Round> edge;
    private final double allowance;

    private ShellsFromMarks(
            PieceContext laying,
            AreaMotif.Clamshells motif,
            Pose frame,
            double pitch,
            double radius,
            Optional<StitchingEdge.Round> edge) {
        this.laying = laying;
        this.motif = motif;
        this.frame = frame;
        this.box = laying.space().box();
        this.pitch = pitch;
        this.radius = radius;
        this.edge = edge;
        this.allowance = ClamshellsLayout.allowance(laying, motif);
    }

    /**
     * Half circles by hand.
     *
     * @param frame from along the rows and up from where they begin to the quilt's
     * @param pitch from valley to valley, in inches
     */
    static ShellsFromMarks byHand(PieceContext laying, AreaMotif.Clamshells motif, Pose frame, double pitch) {
        return new ShellsFromMarks(laying, motif, frame, pitch, pitch / 2, Optional.empty());
    }

    /**
     * Along a round edge.
     *
     * @param frame from along the rows and up from where they begin to the quilt's
     * @param pitch from valley to valley, in inches, no more than twice the radius that the edge stitches
     */
    static ShellsFromMarks along(
            PieceContext laying, AreaMotif.Clamshells motif, Pose frame, double pitch, StitchingEdge.Round edge) {
        return new ShellsFromMarks(laying, motif, frame, pitch, edge.stitched(), Optional.of(edge));
    }

    /** The circle whose half circles are about as wide as shells are if nobody says. */
    static Optional<StitchingEdge.Round> usual(PieceContext laying) {
        return laying.tools().circles(laying.templateId()).stream()
                .min(Comparator.comparingDouble(r -> Math.abs(2 * r.stitched() - USUAL)));
    }

    /**
     * The round edge that makes the highest shells of a width, in inches.
     *
     * @return nothing if none is large enough, or small enough
     */
    static Optional<StitchingEdge.Round> edge(PieceContext laying, double width) {
        List<StitchingEdge.Round> circles = laying.tools().circles(laying.templateId());
        Stream<StitchingEdge.Round> flatter = Stream.concat(
                        circles.stream(), laying.tools().arcs(laying.templateId()).stream())
                .filter(r -> 2 * r.stitched() * Math.sin(HELD / 2) >= width);
        Stream<StitchingEdge.Round> across = laying.tools().spanning(laying.templateId(), width).stream();
        Stream<StitchingEdge.Round> half = circles.stream().filter(r -> isHalfCircle(r, width));
        return Stream.of(half, across, flatter)
                .flatMap(Function.identity())
                .min(Comparator.comparingDouble(StitchingEdge.Round::stitched))
                .filter(r -> rise(r.stitched(), width) >= FLATTEST * width);
    }

    private static boolean isHalfCircle(StitchingEdge.Round edge, double width) {
        return Math.abs(2 * edge.stitched() - width) <= Tolerances.CHALK;
    }

    private static double rise(double radius, double width) {
        return CircularSegment.ofRadiusAndChord(radius, Math.min(width, 2 * radius))
                .height();
    }

    /** About a mark, if its middle lies on the line that valleys stand on. */
    private boolean isAboutMark() {
        return edge.orElseThrow().isCircle() && isHalfCircle(edge.get(), pitch);
    }

    private Registration lying(Curve shell, double up) {
        if (isAboutMark()) {
            return new Registration.CentreOnMark(laying.mark(Mark.Kind.MIDDLE, ((Arc) shell).centre()), false);
        }
        boolean held = pitch <= 2 * radius * Math.sin(HELD / 2);
        return held ? new Registration.FootOnBothMarks() : onRow(up);
    }

    /**
     * Something across the template on the edge that rows begin at, or on a line that is drawn across: where the valleys stand, or
     * half-way up the shells, where no cloth is there.
     */
    private Registration onRow(double up) {
        if (up < Tolerances.SAME_PLACE && ClamshellsLayout.isLevel(laying.space(), motif)) {
            return across(up, up, ClamshellsLayout.level(motif));
        }
        for (double level : new double[] {up, up + rise(radius, pitch) / 2}) {
            if (drawn(new Point(0, level), new Point(box.width(), level))) {
                return across(up, level, Registration.OnRow.Level.DRAWN_LINE);
            }
        }
        return new Registration.FootOnBothMarks();
    }

    private Registration across(double up, double at, Registration.OnRow.Level level) {
        double below = up + rise(radius, pitch) - laying.tools().machine().footRadius() - at;
        return new Registration.OnRow(
                laying.tools().across(edge.orElseThrow().id(), below),
                below,
                Optional.empty(),
                level,
                Optional.empty());
    }

    void lay() {
        double height = box.height() - allowance;
        double rise = rise(radius, pitch);
        if (edge.isPresent() && rise < LayoutContext.SHORTEST
                || rise > height + Tolerances.SAME_PLACE
                || pitch > box.width() + Tolerances.SAME_PLACE) {
            laying.tell(new AreaDiagnostic.NoShells(pitch, rise));
            return;
        }
        ShellRows rows = ShellRows.in(height, rise, rise);
        // By hand a row is one line, however many shells it has; its marks aren't.
        Effort.within((int) Math.min(Integer.MAX_VALUE, rows.count() * Math.ceil(box.width() / pitch)));
        laying.tell(told(laying, motif, pitch, rows));
        if (edge.isEmpty()) {
            grid(rows, height, rise);
        }
        List<Path> below = List.of();
        for (int row = 0; row < rows.count(); row++) {
            double up = allowance + rows.up(row, height);
            Path whole = row(row, up).posed(frame);
            List<Path> kept = rows.isSqueezed(row) ? above(laying, frame, below, whole) : laying.kept(whole);
            boolean back = row % 2 == 1;
            for (int i = 0; i < kept.size(); i++) {
                Path path = kept.get(back ? kept.size() - 1 - i : i);
                stitch(row, up, back ? path.reversed() : path);
            }
            below = kept;
        }
    }

    static AreaDiagnostic told(PieceContext laying, AreaMotif.Clamshells motif, double pitch, ShellRows rows) {
        return new AreaDiagnostic.Shells(
                laying.space().box().width() / pitch,
                rows.count(),
                rows.rise(),
                rows.over(),
                rows.squeezed(),
                ClamshellsLayout.allowance(laying, motif));
    }

    private Path row(int row, double up) {
        List<Curve> shells = new ArrayList<>();
        double from = row % 2 == 0 ? 0 : -pitch / 2;
        for (int i = 0; from + i * pitch < box.width() - Tolerances.SAME_PLACE; i++) {
            shells.add(shell(new Point(from + i * pitch, up), new Point(from + (i + 1) * pitch, up)));
        }
        return new Path(shells);
    }

    private Curve shell(Point from, Point to) {
        return edge.isEmpty()
                ? new Arc(from.midpoint(to), radius, Math.PI, -Math.PI)
                : ArcsBetween.of(from, to, radius, true).orElseThrow();
    }

    private void stitch(int row, double up, Path path) {
        PlacementBuilder.Naming naming = PlacementBuilder.Naming.of(Stitched.SHELLS, row + 1);
        if (edge.isEmpty()) {
            laying.byHand(naming, path);
        } else {
            laying.stitch(naming, path, curve -> edge.get(), curve -> lying(curve, up), this::valley);
        }
    }

    /** On the seam, on a crown that is stitched, or on a mark. */
    private LineEnd valley(Point place) {
        LineEnd shown = laying.shown(place);
        boolean seen = isAboutMark() && shown.shownBy() != LineEnd.ShownBy.TEMPLATE;
        return seen ? shown : laying.marked(Mark.Kind.VALLEY, place);
    }

    private void grid(ShellRows rows, double height, double rise) {
        laying.tell(new AreaDiagnostic.ShellGrid(rise));
        for (int row = 0; row <= rows.count(); row++) {
            double up = allowance + (row < rows.count() ? rows.up(row, height) : rows.up(row - 1, height) + rise);
            drawn(new Point(0, up), new Point(box.width(), up));
        }
        for (int i = 1; i * pitch / 2 < box.width() - Tolerances.SAME_PLACE; i++) {
            drawn(new Point(i * pitch / 2, allowance), new Point(i * pitch / 2, box.height()));
        }
    }

    /** Draws what of a line lies in the piece, if anything does. */
    private boolean drawn(Point from, Point to) {
        List<Path> lines = laying.kept(Path.of(new Segment(frame.apply(from), frame.apply(to))));
        lines.forEach(laying::draw);
        return !lines.isEmpty();
    }

    /** What of a row isn't covered by the one before: it is squeezed in behind it. */
    static List<Path> above(PieceContext laying, Pose frame, List<Path> below, Path row) {
        List<Path> covered = new ArrayList<>();
        for (Path path : below) {
            List<Curve> closed = new ArrayList<>(path.curves());
            Point right = frame.undo(path.end());
            Point left = frame.undo(path.start());
            List<Point> foot = List.of(
                    path.end(),
                    frame.apply(new Point(right.x(), 0)),
                    frame.apply(new Point(left.x(), 0)),
                    path.start());
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
}
