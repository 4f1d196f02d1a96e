package jollyspindle.core.route;

import jollyspindle.core.geometry.BoxIndex;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Routes the needle through lines so that it starts anew as seldom as can be found, and travels little: along ditches, and over
 * what is stitched. The order that {@link Orders} finds is taken unless the one in which the lines were laid out is as good. It
 * takes O(n⁴) for n lines at the most, so that more than {@value #MOST_ORDERED} stay as they are.
 */
public final class Router {

    /** Beyond so many lines the order stays as it is. */
    private static final int MOST_ORDERED = 150;

    private static final Comparator<Routed> FEWEST =
            Comparator.comparingInt((Routed r) -> r.starts()).thenComparingDouble(Routed::travelled);

    private final Map<LineId, List<Placement>> placements;
    private final Map<LineId, StitchLine> byId = new HashMap<>();
    private final Ditches ditches;

    private Router(List<StitchLine> lines, List<Placement> placements, List<Path> ditches) {
        lines.forEach(l -> byId.put(l.id(), l));
        this.placements = new HashMap<>();
        placements.forEach(p -> this.placements
                .computeIfAbsent(p.of().id(), id -> new ArrayList<>())
                .add(p));
        this.ditches = new Ditches(
                ditches,
                lines.stream()
                        .flatMap(l -> Stream.of(l.path().start(), l.path().end()))
                        .toList());
    }

    /**
     * Orders lines motif by motif.
     *
     * @param lines as they were laid out
     * @param placements of them
     * @param ditches that the needle can travel in
     * @param reorder whether another order may be found; otherwise only the travelling is
     */
    public static Routed route(
            List<StitchLine> lines, List<Placement> placements, List<Path> ditches, boolean reorder) {
        Router router = new Router(lines, placements, ditches);
        Routed asLaid = router.travelled(lines);
        if (!reorder || lines.size() > MOST_ORDERED || asLaid.starts() <= 1 && asLaid.travelled() == 0) {
            return asLaid;
        }
        Routed found =
                router.travelled(new Orders(router.placements, router.byId.keySet(), router.ditches).ordered(lines));
        return FEWEST.compare(found, asLaid) < 0 ? found : asLaid;
    }

    // --- travelling --------------------------------------------------------------------------------------------

    private Routed travelled(List<StitchLine> lines) {
        List<Placement> ordered = new ArrayList<>();
        List<Travel> travels = new ArrayList<>();
        BoxIndex near = boxes(lines);
        for (int i = 0; i < lines.size(); i++) {
            if (i > 0) {
                Point at = lines.get(i - 1).needleAt();
                if (at.distance(lines.get(i).path().start()) >= Tolerances.SAME_PLACE) {
                    travel(at, lines.get(i), lines.subList(0, i), near).ifPresent(travels::add);
                }
            }
            ordered.addAll(lying(lines.get(i)));
        }
        return new Routed(lines, ordered, travels);
    }

    private static BoxIndex boxes(List<StitchLine> lines) {
        return new BoxIndex(lines.stream()
                .map(l -> l.path().box().grown(Tolerances.SAME_PLACE))
                .toList());
    }

    private Optional<Travel> travel(Point from, StitchLine line, List<StitchLine> done, BoxIndex near) {
        Point to = line.path().start();
        return ditches.between(from, to)
                .map(path -> new Travel(line.id(), Travel.How.DITCH, path))
                .or(() -> retraced(from, to, done, near.holding(from))
                        .map(path -> new Travel(line.id(), Travel.How.RETRACED, path)));
    }

    /** Along one line that is stitched already. */
    static Optional<Path> retraced(Point from, Point to, List<StitchLine> done) {
        return retraced(from, to, done, IntStream.range(0, done.size()).toArray());
    }

    /** Along one of some lines; backwards, since the needle has just come from there. */
    private static Optional<Path> retraced(Point from, Point to, List<StitchLine> done, int[] which) {
        for (int k = which.length - 1; k >= 0; k--) {
            if (which[k] < done.size()) {
                Optional<Path> way = done.get(which[k]).path().between(from, to);
                if (way.isPresent()) {
                    return way;
                }
            }
        }
        return Optional.empty();
    }

    /** The placements of a line, the way it is stitched now. */
    private List<Placement> lying(StitchLine line) {
        List<Placement> own = placements.getOrDefault(line.id(), List.of());
        if (byId.get(line.id()).equals(line)) {
            return own;
        }
        List<Placement> back = new ArrayList<>();
        for (Placement p : own) {
            back.add(0, p.reversed(line));
        }
        return back;
    }
}
