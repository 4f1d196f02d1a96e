package jollyspindle.core.route;

import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.Registration;
import jollyspindle.core.placement.Spot;
import jollyspindle.core.placement.StitchLine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Orders lines so that the needle starts anew as seldom as can be found, and travels little.
 *
 * <p>Whatever a template is laid on, or a line ends on, is stitched before. From where the needle is, the line is taken that it
 * reaches with the least travel, whichever end that is; only where no ditch and no stitched line leads on does it start anew.
 * That is the nearest-neighbour rule: good, though not always the best; the order in which the lines were laid out is kept if
 * it is no worse. For n lines it asks for O(n²) ways at most.
 */
public final class Router {

    private static final double SAME = Ditches.SAME;

    /** Beyond so many lines the order stays as it is. */
    private static final int MOST_ORDERED = 150;

    private static final Comparator<Routed> FEWEST =
            Comparator.comparingInt((Routed r) -> r.starts()).thenComparingDouble(Routed::travelled);

    private final Map<String, List<Placement>> placements;
    private final Map<String, StitchLine> byId = new HashMap<>();
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
        Routed found = router.travelled(router.ordered(lines));
        return FEWEST.compare(found, asLaid) < 0 ? found : asLaid;
    }

    // --- travelling --------------------------------------------------------------------------------------------

    private Routed travelled(List<StitchLine> lines) {
        List<Placement> ordered = new ArrayList<>();
        List<Travel> travels = new ArrayList<>();
        List<StitchLine> done = new ArrayList<>();
        for (StitchLine line : lines) {
            if (!done.isEmpty()) {
                Point at = done.get(done.size() - 1).needleAt();
                if (at.distance(line.path().start()) >= SAME) {
                    travel(at, line, done).ifPresent(travels::add);
                }
            }
            ordered.addAll(lying(line));
            done.add(line);
        }
        return new Routed(lines, ordered, travels);
    }

    private Optional<Travel> travel(Point from, StitchLine line, List<StitchLine> done) {
        Point to = line.path().start();
        return ditches.between(from, to)
                .map(path -> new Travel(line.id(), Travel.How.DITCH, path))
                .or(() -> retraced(from, to, done).map(path -> new Travel(line.id(), Travel.How.RETRACED, path)));
    }

    /** Along one line that is stitched already. */
    private static Optional<Path> retraced(Point from, Point to, List<StitchLine> done) {
        // Backwards: the needle has just come from there.
        for (int i = done.size() - 1; i >= 0; i--) {
            Optional<Path> way = done.get(i).path().between(from, to);
            if (way.isPresent()) {
                return way;
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

    // --- the order ---------------------------------------------------------------------------------------------

    /** Lines that follow each other without a break, as they were laid out. */
    private static List<List<StitchLine>> chains(List<StitchLine> lines) {
        List<List<StitchLine>> chains = new ArrayList<>();
        for (StitchLine line : lines) {
            List<StitchLine> last = chains.isEmpty() ? null : chains.get(chains.size() - 1);
            StitchLine before = last == null ? null : last.get(last.size() - 1);
            if (before != null
                    && before.layer() == line.layer()
                    && before.needleAt().distance(line.path().start()) < SAME) {
                last.add(line);
            } else {
                chains.add(new ArrayList<>(List.of(line)));
            }
        }
        return chains;
    }

    private List<StitchLine> ordered(List<StitchLine> lines) {
        List<List<StitchLine>> left = new ArrayList<>(chains(lines));
        Map<String, Set<String>> needed = needed(lines);
        Set<String> stitched = new HashSet<>();
        List<StitchLine> order = new ArrayList<>();
        Point at = null;
        while (!left.isEmpty()) {
            int layer = left.get(0).get(0).layer();
            List<StitchLine> best = null;
            int index = 0;
            double least = Double.MAX_VALUE;
            for (int i = 0; i < left.size(); i++) {
                List<StitchLine> chain = left.get(i);
                if (chain.get(0).layer() != layer || !ready(chain, needed, stitched)) {
                    continue;
                }
                if (best == null) {
                    // Where nothing can be reached, the first that can be stitched begins anew.
                    best = chain;
                    index = i;
                }
                for (List<StitchLine> way : ways(chain)) {
                    double cost = at == null
                            ? Double.MAX_VALUE
                            : cost(at, way.get(0).path().start(), order);
                    if (cost < least - SAME) {
                        least = cost;
                        best = way;
                        index = i;
                    }
                }
            }
            if (best == null) {
                // Nothing is ready, though that can't be: as they were laid out.
                best = left.get(0);
                index = 0;
            }
            left.remove(index);
            order.addAll(best);
            best.forEach(l -> stitched.add(l.id()));
            at = best.get(best.size() - 1).needleAt();
        }
        return order;
    }

    private double cost(Point from, Point to, List<StitchLine> done) {
        return from.distance(to) < SAME
                ? 0
                : ditches.between(from, to)
                        .or(() -> retraced(from, to, done))
                        .map(Path::length)
                        .orElse(Double.MAX_VALUE);
    }

    private static boolean ready(List<StitchLine> chain, Map<String, Set<String>> needed, Set<String> stitched) {
        Set<String> own = new HashSet<>();
        for (StitchLine line : chain) {
            for (String id : needed.getOrDefault(line.id(), Set.of())) {
                if (!stitched.contains(id) && !own.contains(id)) {
                    return false;
                }
            }
            own.add(line.id());
        }
        return true;
    }

    /** What each line lies or ends on. */
    private Map<String, Set<String>> needed(List<StitchLine> lines) {
        Map<String, Set<String>> needed = new HashMap<>();
        List<StitchLine> before = new ArrayList<>();
        for (StitchLine line : lines) {
            Set<String> own = new HashSet<>();
            for (Placement p : placements.getOrDefault(line.id(), List.of())) {
                if (p.registration() instanceof Registration.OnStitching on && byId.containsKey(on.lineId())) {
                    own.add(on.lineId());
                }
                Stream.of(p.start(), p.end())
                        .filter(s -> s.shownBy() == Spot.ShownBy.STITCHING)
                        .forEach(s -> before.stream()
                                .filter(l -> l.path().box().grown(SAME).holds(s.place())
                                        && l.path().distance(s.place()) < SAME)
                                .forEach(l -> own.add(l.id())));
            }
            needed.put(line.id(), own);
            before.add(line);
        }
        return needed;
    }

    /** A chain as it is, and backwards where that is the same to the quilter. */
    private List<List<StitchLine>> ways(List<StitchLine> chain) {
        StitchLine line = chain.get(0);
        List<Placement> own = placements.getOrDefault(line.id(), List.of());
        boolean turns = chain.size() == 1
                && !line.returns()
                && !line.path().closed()
                && own.stream()
                        .flatMap(p -> Stream.of(p.start(), p.end()))
                        .noneMatch(s -> s.shownBy() == Spot.ShownBy.NEEDLE);
        List<List<StitchLine>> ways = new ArrayList<>(List.of(chain));
        if (turns) {
            ways.add(List.of(line.reversed()));
        }
        return ways;
    }
}
