package jollyspindle.core.motif;

import jollyspindle.core.division.Cell;
import jollyspindle.core.division.Figure;
import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.ArcsBetween;
import jollyspindle.core.geometry.CircularSegment;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.EdgeKind;
import jollyspindle.core.layout.LayoutContext;
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
import jollyspindle.core.shelf.ArcTemplate;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * Lays out {@link Motif.Almonds}: one on the crown of each arc of the motifs before, between them and the limit; where there are
 * none, one a cell on the edge they stand on.
 *
 * <p>An almond H high of radius R is 2√(RH − H²/4) long (two circular segments that are H/2 high, on one chord). Of those
 * that touch, all lower curves are stitched first, and the upper ones on the way back.
 */
final class AlmondsLayout {

    /** As far the needle may go back along what is stitched, in inches, rather than begin anew (common practice, no source). */
    private static final double MOST_RETRACED = 3;

    private static final Param.MaybeLength<Motif.Almonds> HEIGHT =
            Param.maybeLength("height", Motif.CLOSEST, Motif.FARTHEST, Motif.Almonds::height);

    static final MotifType<Motif.Almonds> TYPE =
            new MotifType<>(
                    Motif.Almonds.class,
                    "almonds",
                    Params.of(v -> new Motif.Almonds(v.get(HEIGHT)), Params.row(HEIGHT))) {

                @Override
                EdgeKind edge(Motif.Almonds motif) {
                    return EdgeKind.ARC;
                }

                @Override
                List<Preset> offered() {
                    return List.of(Preset.onSeam("almonds", new Motif.Almonds(OptionalDouble.empty())));
                }

                @Override
                Optional<DivisionConstraints> asks(Layer layer, Motif.Almonds motif, EdgeCatalog tools, double room) {
                    return tools.arc(layer.templateId(), layer.guideId())
                            .map(arc -> DivisionConstraints.figures(
                                    OptionalDouble.empty(), 2 * arc.stitchedRadius(tools.machine()), 0, 0));
                }

                @Override
                void knobs(Motif.Almonds motif, KnobsOnRun<Motif.Almonds> to) {
                    Optional<StitchLine> lower = to.first(Stitched.ALMOND, 0);
                    Optional<StitchLine> upper = to.first(Stitched.ALMOND, 1);
                    if (lower.isPresent() && upper.isPresent()) {
                        to.across(HEIGHT, KnobsOnRun.middle(upper.get()), to.across(KnobsOnRun.middle(lower.get())), 1);
                    }
                }

                @Override
                void lay(RunContext laying, Motif.Almonds motif, double echo) {
                    new AlmondsLayout(laying, motif).lay();
                }
            };

    private final RunContext laying;
    private final RunSpace space;
    private final Motif.Almonds motif;

    AlmondsLayout(RunContext laying, Motif.Almonds motif) {
        this.laying = laying;
        this.space = laying.space();
        this.motif = motif;
    }

    /**
     * Where an almond stands, in the space's own frame.
     *
     * @param cell that it stands on, from 1
     * @param along of its middle
     * @param low of its lower curve's crown
     * @param width that it has, in inches
     * @param row how long what it stands on is, from valley to valley, in inches
     */
    private record Spot(int cell, double along, double low, double width, double row) {}

    /** An almond: its tips are level. */
    private record Almond(Spot spot, Point left, Point right, Arc lower, Arc upper) {}

    void lay() {
        Optional<ArcTemplate> found = laying.arc();
        if (found.isEmpty()) {
            return;
        }
        ArcTemplate template = found.get();
        double radius = template.stitchedRadius(laying.machine());
        List<Almond> almonds = new ArrayList<>();
        List<Spot> spots = spots();
        for (Spot spot : spots) {
            almond(spot, radius).ifPresent(almonds::add);
        }
        if (almonds.isEmpty()) {
            laying.tell(new MotifDiagnostic.NoSpace());
            return;
        }
        StitchingEdge.Round tool = StitchingEdge.Round.of(template, laying.machine());
        int from = 0;
        for (int i = 1; i <= almonds.size(); i++) {
            if (i == almonds.size() || !touch(almonds.get(i - 1), almonds.get(i))) {
                for (int k = from; k < i; k++) {
                    stitch(almonds.get(k), k + 1, tool, true);
                }
                for (int k = i; k > from; k--) {
                    stitch(almonds.get(k - 1), k, tool, false);
                }
                from = i;
            }
        }
        apart(almonds);
        for (Almond almond : almonds) {
            laying.enclosed()
                    .add(new RunContext.Enclosed(
                            almond.spot().cell(),
                            List.of(space.placed(new Path(List.of(almond.lower(), almond.upper()))))));
        }
    }

    /** On the crowns of the arcs that stand upright in this space, from left to right, or one a cell. */
    private List<Spot> spots() {
        List<Spot> cells = new ArrayList<>();
        List<Figure> figures = space.divided();
        for (int i = 0; i < figures.size(); i++) {
            Cell cell = figures.get(i).cell();
            if (cell.kind() != Cell.Kind.HALF && !(figures.get(i) instanceof Figure.Empty)) {
                cells.add(new Spot(i + 1, cell.middle(), 0, cell.width(), cell.width()));
            }
        }
        NavigableMap<Double, Spot> byStart = new TreeMap<>();
        cells.forEach(c -> byStart.put(c.along() - c.width() / 2, c));
        Point origin = space.place(0, 0);
        Point up = space.place(0, 1).minus(origin);
        Point on = space.place(1, 0).minus(origin);
        List<Spot> crowns = new ArrayList<>();
        for (StitchLine line : laying.sewing().lines()) {
            if (line.layer() == 0
                    || line.layer() >= laying.number()
                    || line.kind() != Stitched.ARC
                    || line.path().curves().size() != 1) {
                continue;
            }
            Point crown = line.path().curves().get(0).at(0.5);
            Point from = line.path().start();
            boolean whole = Math.abs(line.path().end().minus(from).dot(up)) < Tolerances.SAME_PLACE
                    && crown.minus(from).dot(up) > 0;
            if (whole) {
                double along = crown.minus(origin).dot(on);
                Optional.ofNullable(byStart.floorEntry(along))
                        .map(Map.Entry::getValue)
                        .filter(c -> Math.abs(c.along() - along) < c.width() / 2)
                        .ifPresent(c -> crowns.add(new Spot(
                                c.cell(),
                                along,
                                crown.minus(origin).dot(up),
                                Math.abs(line.path().end().minus(from).dot(on)),
                                line.path().length())));
            }
        }
        crowns.sort((a, b) -> Double.compare(a.along(), b.along()));
        return laying.sewing().lines().stream().anyMatch(l -> l.layer() > 0 && l.layer() < laying.number())
                ? crowns
                : cells;
    }

    private Optional<Almond> almond(Spot spot, double radius) {
        double room = space.room() - spot.low();
        // As high as it has room, and no longer than what it stands on is wide.
        double half = Math.min(radius, spot.width() / 2);
        double widest = 2 * (radius - Math.sqrt(radius * radius - half * half));
        double height = motif.height().orElse(Math.min(room, widest));
        if (room < LayoutContext.SHORTEST) {
            return Optional.empty();
        }
        if (height > room + Tolerances.ROUNDING) {
            laying.tell(new MotifDiagnostic.TooHigh(height - room));
            return Optional.empty();
        }
        if (height > widest + Tolerances.ROUNDING) {
            laying.tell(new LayoutDiagnostic.TooFar(height, widest));
            return Optional.empty();
        }
        double reach = CircularSegment.ofRadiusAndHeight(radius, height / 2).chord() / 2;
        double level = spot.low() + height / 2;
        Point left = new Point(spot.along() - reach, level);
        Point right = new Point(spot.along() + reach, level);
        Point below = new Point(spot.along(), level - 2 * radius);
        Point above = new Point(spot.along(), level + 2 * radius);
        Optional<Arc> lower = ArcsBetween.bulgingTowards(left, right, radius, below);
        Optional<Arc> upper = ArcsBetween.bulgingTowards(right, left, radius, above);
        return lower.isPresent() && upper.isPresent()
                ? Optional.of(new Almond(spot, left, right, lower.get(), upper.get()))
                : Optional.empty();
    }

    private static boolean touch(Almond before, Almond next) {
        return next.left().distance(before.right()) < Tolerances.SAME_PLACE;
    }

    private void stitch(Almond almond, int number, StitchingEdge.Round tool, boolean lower) {
        Mark left = laying.mark(
                Mark.Kind.TIP, space.place(almond.left().x(), almond.left().y()));
        Mark right = laying.mark(
                Mark.Kind.TIP, space.place(almond.right().x(), almond.right().y()));
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.ALMOND, number, lower ? 0 : 1),
                space.placed(lower ? almond.lower() : almond.upper()),
                tool,
                new Registration.FootOnBothMarks(),
                LineEnd.at(lower ? left : right),
                LineEnd.at(lower ? right : left),
                PlacementBuilder.Turn.MARKED);
    }

    /** Whether to go back along what is stitched, or the seam, from one almond to the next, or to break thread. */
    private void apart(List<Almond> almonds) {
        double apart = 0;
        double retraced = 0;
        int times = 0;
        for (int i = 1; i < almonds.size(); i++) {
            Almond before = almonds.get(i - 1);
            Almond next = almonds.get(i);
            if (touch(before, next)) {
                continue;
            }
            times++;
            apart = Math.max(apart, next.left().x() - before.right().x());
            // Down to the crown that the almond stands on, along the row to the next, and up to the tip again.
            retraced = Math.max(
                    retraced,
                    (before.lower().length()
                                    + before.spot().row()
                                    + next.spot().row()
                                    + next.lower().length())
                            / 2);
        }
        if (times > 0) {
            laying.tell(new MotifDiagnostic.FromAlmond(times, apart, retraced, retraced <= MOST_RETRACED));
        }
    }
}
