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
 * reaches with the least travel, whichever end that is, but none that leaves others behind if there is another (the rule of
 * M. Fleury for trails, 1883, from memory); only where no ditch and no stitched line leads on does it start anew. What must be
 * stitched before what may stand against the fewest starts, so that this is good, though not always the best; the order in
 * which the lines were laid out is kept if it is no worse. For n lines it takes O(n⁴) at the most, so that more than {@value
 * #MOST_ORDERED} stay as they are.
 */
public final class Router {

    private static final double SAME = Ditches.SAME;

    /** Beyond so many lines the order stays as it is. */
    private static final int MOST_ORDERED = 60;

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
        while (!left.isEmpty()) {
            int layer = left.get(0).get(0).layer();
            List<List<StitchLine>> now =
                    left.stream().filter(c -> c.get(0).layer() == layer).toList();
            List<List<StitchLine>> ready =
                    now.stream().filter(c -> ready(c, needed, stitched)).toList();
            Way next = next(ready.isEmpty() ? now.subList(0, 1) : ready, now, order);
            left.remove(next.chain());
            order.addAll(next.lines());
            next.lines().forEach(l -> stitched.add(l.id()));
        }
        return order;
    }

    /** A chain, and how it is stitched: as it is, or backwards. */
    private record Way(List<StitchLine> chain, List<StitchLine> lines) {

        Point start() {
            return lines.get(0).path().start();
        }

        Point end() {
            return lines.get(lines.size() - 1).needleAt();
        }
    }

    private Way next(List<List<StitchLine>> ready, List<List<StitchLine>> left, List<StitchLine> done) {
        List<Way> ways = ready.stream()
                .flatMap(c -> ways(c).stream().map(lines -> new Way(c, lines)))
                .toList();
        if (!done.isEmpty()) {
            Point at = done.get(done.size() - 1).needleAt();
            Map<Way, Double> costs = new HashMap<>();
            ways.forEach(w -> costs.put(w, cost(at, w.start(), done)));
            List<Way> reached = ways.stream()
                    .filter(w -> costs.get(w) < Double.MAX_VALUE)
                    .sorted(Comparator.comparingDouble(costs::get))
                    .toList();
            if (!reached.isEmpty()) {
                // After M. Fleury: no line is taken that leaves others behind, as long as there is one that doesn't.
                return reached.stream()
                        .filter(w -> leavesNoneBehind(w, left))
                        .findFirst()
                        .orElse(reached.get(0));
            }
        }
        // A new start: where an odd number of lines end, since there one trail must end anyway; and off to the others.
        List<Way> odd = ways.stream().filter(w -> isOdd(w.start(), left)).toList();
        return odd.stream()
                .filter(w -> leavesNoneBehind(w, left))
                .findFirst()
                .or(() -> odd.stream().findFirst())
                .orElse(ways.get(0));
    }

    /** Whether an odd number of ends of lines lie where one gets to by travelling. */
    private boolean isOdd(Point place, List<List<StitchLine>> left) {
        Object there = ditches.together(place);
        return left.stream()
                                .map(c -> new Way(c, c))
                                .flatMap(w -> Stream.of(w.start(), w.end()))
                                .filter(p -> ditches.together(p).equals(there))
                                .count()
                        % 2
                == 1;
    }

    /** Whether all lines that are reached from where a way begins are still reached from where it ends. */
    private boolean leavesNoneBehind(Way way, List<List<StitchLine>> left) {
        List<List<StitchLine>> others = new ArrayList<>(left);
        others.remove(way.chain());
        return reached(way.start(), others) <= reached(way.end(), others)
                || reached(way.end(), others) == others.size();
    }

    private int reached(Point from, List<List<StitchLine>> lines) {
        Set<Object> places = new HashSet<>(Set.of(ditches.together(from)));
        Set<List<StitchLine>> found = new HashSet<>();
        boolean grown = true;
        while (grown) {
            grown = false;
            for (List<StitchLine> chain : lines) {
                Object start = ditches.together(new Way(chain, chain).start());
                Object end = ditches.together(new Way(chain, chain).end());
                if (!found.contains(chain) && (places.contains(start) || places.contains(end))) {
                    found.add(chain);
                    places.add(start);
                    places.add(end);
                    grown = true;
                }
            }
        }
        return found.size();
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
                laidOn(p).filter(byId::containsKey).ifPresent(own::add);
                Stream.of(p.start(), p.end())
                        .filter(s -> s.shownBy() == Spot.ShownBy.STITCHING)
                        .forEach(s -> before.stream()
                                .filter(l -> l.path().passes(s.place(), SAME))
                                .forEach(l -> own.add(l.id())));
            }
            needed.put(line.id(), own);
            before.add(line);
        }
        return needed;
    }

    private static Optional<String> laidOn(Placement placement) {
        if (placement.registration() instanceof Registration.OnRow on) {
            return on.lineId();
        }
        return placement.registration() instanceof Registration.OnStitching on
                ? Optional.of(on.lineId())
                : Optional.empty();
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
