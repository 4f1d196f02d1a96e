package jollyspindle.core.area;

import jollyspindle.core.geometry.Arc;
import jollyspindle.core.geometry.Box;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.layout.LayoutContext;
import jollyspindle.core.marking.Mark;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.param.Param;
import jollyspindle.core.param.Params;
import jollyspindle.core.placement.LineEnd;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.StitchLine;
import jollyspindle.core.placement.Stitched;
import jollyspindle.core.sewing.PlacementBuilder;
import jollyspindle.core.sewing.StitchingEdge;
import jollyspindle.core.shelf.form.Kind;

import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Lays out {@link AreaMotif.Circles}: a circle about the middle of each square of the grid. The classic size goes through the
 * square's four corners, s/√2 in radius; of the shelf's circles the one nearest to that is taken. Each whole one begins where it
 * crosses one that is stitched, or is changed over to where they cross. Rows go there and back in turn.
 */
final class OverlappingCirclesLayout {

    private static final Param.Whole<AreaMotif.Circles> ACROSS =
            Param.whole("across", 1, AreaMotif.MOST, AreaMotif.Circles::across);
    private static final Param.Whole<AreaMotif.Circles> DOWN =
            Param.whole("down", 1, AreaMotif.MOST, AreaMotif.Circles::down);
    private static final Param.Flag<AreaMotif.Circles> CHANGE_OVER =
            Param.flag("changeOver", AreaMotif.Circles::changeOver, false);

    /** About as wide its squares are to begin with, in inches. */
    private static final double USUAL_SQUARE = 2;

    static final AreaMotifType<AreaMotif.Circles> TYPE = new AreaMotifType<>(
                    AreaMotif.Circles.class,
                    "circles",
                    Params.of(
                                    v -> new AreaMotif.Circles(v.get(ACROSS), v.get(DOWN), v.get(CHANGE_OVER)),
                                    Params.row(ACROSS, DOWN),
                                    Params.row(CHANGE_OVER))
                            .brief(CHANGE_OVER),
                    (piece, motif) -> new OverlappingCirclesLayout(piece, motif).lay(),
                    (circles, cloth) -> (double) circles.across() * circles.down(),
                    Kind.CIRCLE,
                    Kind.SLOTTED_CIRCLES)
            .offered((cloth, offers) -> {
                AreaMotif.Circles circles = cloth.isBackground()
                        ? new AreaMotif.Circles(12, 12)
                        : new AreaMotif.Circles(
                                AreaPreset.squares(cloth.width(), USUAL_SQUARE),
                                AreaPreset.squares(cloth.height(), USUAL_SQUARE));
                offers.add("", circles);
                if (!cloth.isBackground()) {
                    offers.add("-changed-over", new AreaMotif.Circles(circles.across(), circles.down(), true));
                }
            })
            .dragged((circles, knobs) -> knobs.squares(ACROSS));

    private final PieceContext laying;
    private final AreaMotif.Circles motif;
    private final Box box;
    private final double across;
    private final double down;
    private StitchingEdge.Round tool;

    /** The one that was stitched last; null before the first. */
    private Circle before;

    /** What is left of a circle, and where it stands. */
    private record Circle(int number, int column, int row, Arc whole, Mark middle, List<Path> kept) {

        boolean closed() {
            return kept.size() == 1 && kept.get(0).closed();
        }
    }

    /** By their column and row. */
    private final Map<List<Integer>, Circle> circles = new LinkedHashMap<>();

    /** Closed ones that are stitched, or being stitched. */
    private final Set<Circle> begun = new HashSet<>();

    OverlappingCirclesLayout(PieceContext laying, AreaMotif.Circles motif) {
        this.laying = laying;
        this.motif = motif;
        this.box = laying.space().box();
        this.across = box.width() / motif.across();
        this.down = box.height() / motif.down();
    }

    void lay() {
        List<StitchingEdge.Round> all = laying.circles();
        if (all.isEmpty()) {
            return;
        }
        double classic = Math.hypot(across, down) / 2;
        tool = all.stream()
                .min(Comparator.comparingDouble(t -> Math.abs(t.stitched() - classic)))
                .orElseThrow();
        double apart = Math.max(across, down);
        if (2 * tool.stitched() <= apart) {
            laying.tell(new AreaDiagnostic.CirclesApart(2 * tool.stitched(), apart));
        }
        for (int row = 0; row < motif.down(); row++) {
            for (int i = 0; i < motif.across(); i++) {
                circle(row % 2 == 1 ? motif.across() - 1 - i : i, row);
            }
        }
        // Round along the seams first, where there are any.
        Predicate<Circle> along = c -> !c.closed() && c.kept().stream().allMatch(this::isDitch);
        Point centre = laying.space().centre();
        List<Circle> first = circles.values().stream()
                .filter(along)
                .sorted(Comparator.comparingDouble(c -> round(c.whole().centre().minus(centre))))
                .toList();
        List<Circle> rest = circles.values().stream().filter(along.negate()).toList();
        if (motif.changeOver()) {
            first.forEach(this::changingOver);
            rest.stream().filter(Circle::closed).forEach(this::changingOver);
            rest.stream().filter(c -> !c.closed()).forEach(this::stitch);
        } else {
            first.forEach(this::stitch);
            rest.forEach(this::stitch);
        }
    }

    /** How far round from the upper left corner, clockwise, in radians. */
    private static double round(Point way) {
        double turned = 3 * Math.PI / 4 - way.angle();
        return turned - 2 * Math.PI * Math.floor(turned / (2 * Math.PI) + Tolerances.ROUNDING);
    }

    private void circle(int column, int row) {
        Point middle = laying.space().place((column + 0.5) * across, box.height() - (row + 0.5) * down);
        Arc whole = new Arc(middle, tool.stitched(), 0, row % 2 == 1 ? 2 * Math.PI : -2 * Math.PI);
        List<Path> kept = laying.kept(Path.of(whole));
        if (!kept.isEmpty()) {
            Circle circle =
                    new Circle(circles.size() + 1, column, row, whole, laying.mark(Mark.Kind.MIDDLE, middle), kept);
            circles.put(List.of(column, row), circle);
        }
    }

    // --- one circle after the other ----------------------------------------------------------------------------------

    /**
     * Stitches a circle. A whole one begins where it crosses one that is stitched, so that the needle can get there on that one.
     * What is left of one that is cut goes from seam to seam; where the needle can't travel at its ends it is stitched in two parts,
     * away from where it is crossed.
     */
    private void stitch(Circle circle) {
        if (circle.closed()) {
            stitchWhole(circle);
            return;
        }
        for (Path path : circle.kept()) {
            Curve curve = path.curves().get(0);
            Optional<Double> at = isDitch(path)
                    ? Optional.empty()
                    : crossed(circle).stream()
                            .filter(p -> curve.passes(p, Tolerances.SAME_PLACE))
                            .map(curve::nearest)
                            .filter(t -> Math.min(t, 1 - t) * curve.length() > LayoutContext.SHORTEST)
                            .min(Comparator.comparingDouble(t -> needle().distance(curve.at(t))));
            if (at.isPresent()) {
                stitch(circle, Path.of(curve.piece(at.get(), 1)));
                stitch(circle, Path.of(curve.piece(0, at.get())));
            } else {
                stitch(circle, path);
            }
        }
    }

    private boolean isDitch(Path path) {
        return laying.isShownBy(path.start(), LineEnd.ShownBy.SEAM)
                && laying.isShownBy(path.end(), LineEnd.ShownBy.SEAM);
    }

    private void stitchWhole(Circle circle) {
        Point needle = needle();
        // Along the one that the needle is on, if that leads there.
        List<Point> along = before == null ? List.of() : crossings(circle, before);
        stitch(
                circle,
                Stream.of(along, crossed(circle))
                        .filter(places -> !places.isEmpty())
                        .findFirst()
                        .orElse(List.of())
                        .stream()
                        .filter(laying.sewing()::passes)
                        .min(Comparator.comparingDouble(needle::distance))
                        .map(place -> from(circle, place))
                        .orElse(circle.kept().get(0)));
    }

    /** Where the needle was left; in the middle before anything is stitched. */
    private Point needle() {
        List<StitchLine> lines = laying.sewing().lines();
        return lines.isEmpty()
                ? laying.space().centre()
                : lines.get(lines.size() - 1).needleAt();
    }

    /** All of a circle, begun in a place on it. */
    private static Path from(Circle circle, Point place) {
        Arc whole = circle.whole();
        return Path.of(new Arc(
                whole.centre(), whole.radius(), place.minus(whole.centre()).angle(), whole.sweep()));
    }

    /** Where it crosses others that are stitched. */
    private List<Point> crossed(Circle circle) {
        return neighbours(circle)
                .flatMap(other -> crossings(circle, other).stream())
                .filter(laying.sewing()::passes)
                .toList();
    }

    /** Those beside it, and across a corner, that are near enough to cross it. Of large circles in small squares many more do. */
    private Stream<Circle> neighbours(Circle circle) {
        int columns = 2 * tool.stitched() > across ? 1 : 0;
        int rows = 2 * tool.stitched() > down ? 1 : 0;
        return IntStream.rangeClosed(circle.row() - rows, circle.row() + rows)
                .boxed()
                .flatMap(row -> IntStream.rangeClosed(circle.column() - columns, circle.column() + columns)
                        .mapToObj(column -> circles.get(List.of(column, row))))
                .filter(other -> other != null && other != circle);
    }

    /** Where two circles of the same size cross: square to the line of their middles, as far from it as Pythagoras says. */
    private List<Point> crossings(Circle one, Circle other) {
        Point way = other.whole().centre().minus(one.whole().centre());
        double half = way.length() / 2;
        double radius = tool.stitched();
        if (half >= radius - Tolerances.SAME_PLACE) {
            return List.of();
        }
        Point middle = one.whole().centre().midpoint(other.whole().centre());
        Point aside = way.unit().turnedLeft().times(Math.sqrt(radius * radius - half * half));
        return List.of(middle.plus(aside), middle.minus(aside));
    }

    private void stitch(Circle circle, Path path) {
        before = circle;
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.CIRCLE, circle.number()),
                path,
                c -> tool,
                c -> new Registration.CentreOnMark(circle.middle(), false),
                path.closed() && !laying.sewing().passes(path.start()) ? PieceContext::anywhere : laying::shown);
    }

    // --- changing over -----------------------------------------------------------------------------------------------

    /** A line that is being stitched, from one place on to its end. */
    private static final class UnderNeedle {
        private final Circle circle;
        private final Curve curve;
        private final Iterator<Map.Entry<Double, Circle>> crossing;
        private double stitched;

        UnderNeedle(Circle circle, Curve curve, NavigableMap<Double, Circle> crossing) {
            this.circle = circle;
            this.curve = curve;
            this.crossing = List.copyOf(crossing.entrySet()).iterator();
        }
    }

    /**
     * Stitches what is left of a circle, and all whole ones that it leads to: where it crosses one that isn't begun, that one is
     * stitched from there, once round, and then the rest. So whatever hangs together is one thread, and nothing is travelled.
     */
    private void changingOver(Circle root) {
        if (root.closed() && begun.contains(root)) {
            return;
        }
        for (Path path : root.closed() ? List.of(from(root, start(root))) : onward(root)) {
            Deque<UnderNeedle> threads = new ArrayDeque<>(List.of(thread(root, path)));
            while (!threads.isEmpty()) {
                UnderNeedle thread = threads.peek();
                Optional<Map.Entry<Double, Circle>> next = next(thread);
                double to = next.map(Map.Entry::getKey).orElse(1.0);
                part(thread, to);
                if (next.isPresent()) {
                    Circle whole = next.get().getValue();
                    threads.push(thread(whole, from(whole, thread.curve.at(to))));
                } else {
                    threads.pop();
                }
            }
        }
    }

    /** What is left of one that is cut, on the way round the piece. */
    private List<Path> onward(Circle circle) {
        Point centre = laying.space().centre();
        return circle.kept().stream()
                .map(path -> path.start().minus(centre).cross(path.end().minus(centre)) > 0 ? path.reversed() : path)
                .toList();
    }

    private Point start(Circle circle) {
        return crossed(circle).stream().findFirst().orElse(circle.whole().start());
    }

    private UnderNeedle thread(Circle circle, Path path) {
        begun.add(circle);
        Curve curve = path.curves().get(0);
        NavigableMap<Double, Circle> crossing = new TreeMap<>();
        neighbours(circle)
                .filter(other -> other.closed() && !begun.contains(other))
                .forEach(other -> crossings(circle, other).stream()
                        .filter(p -> curve.passes(p, Tolerances.SAME_PLACE))
                        .forEach(p -> crossing.put(curve.nearest(p), other)));
        return new UnderNeedle(circle, curve, crossing);
    }

    private Optional<Map.Entry<Double, Circle>> next(UnderNeedle thread) {
        while (thread.crossing.hasNext()) {
            Map.Entry<Double, Circle> next = thread.crossing.next();
            double gone = (next.getKey() - thread.stitched) * thread.curve.length();
            double left = (1 - next.getKey()) * thread.curve.length();
            // It crosses it a second time, and others do.
            boolean snippet = isSnippet(gone) || isSnippet(left);
            if (!begun.contains(next.getValue()) && !snippet) {
                return Optional.of(next);
            }
        }
        return Optional.empty();
    }

    private static boolean isSnippet(double length) {
        return length > Tolerances.SAME_PLACE && length < LayoutContext.SHORTEST;
    }

    private void part(UnderNeedle thread, double to) {
        if ((to - thread.stitched) * thread.curve.length() < LayoutContext.SHORTEST) {
            return;
        }
        Path part = Path.of(thread.curve.piece(thread.stitched, to));
        thread.stitched = to;
        laying.stitch(
                PlacementBuilder.Naming.of(Stitched.CIRCLE, thread.circle.number()),
                part,
                c -> tool,
                c -> new Registration.CentreOnMark(thread.circle.middle(), false),
                this::overAt);
    }

    /** What is stitched there by then shows where the thread changes over, or an edge; else a mark does. */
    private LineEnd overAt(Point place) {
        LineEnd shown = laying.shown(place);
        return shown.shownBy() == LineEnd.ShownBy.TEMPLATE ? laying.marked(Mark.Kind.HAND_OVER, place) : shown;
    }
}
