package jollyspindle.core.route;

import jollyspindle.core.geometry.BoxIndex;
import jollyspindle.core.geometry.Crossings;
import jollyspindle.core.geometry.Curve;
import jollyspindle.core.geometry.CurveIndex;
import jollyspindle.core.geometry.Path;
import jollyspindle.core.geometry.Point;
import jollyspindle.core.measure.Tolerances;
import jollyspindle.core.placement.LineId;
import jollyspindle.core.placement.Placement;
import jollyspindle.core.placement.StitchLine;
import org.jgrapht.alg.util.UnionFind;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Saves starts by changing lines over where they cross: a line that nothing leads to is stitched in two parts, from where it crosses
 * what is stitched to its one end, back over itself, and to the other. Each part is a hold more, so only lines that would begin a
 * thread are cut, each in one place.
 */
public final class ChangingOver {

    private final List<Stretch> all;
    private final Stretches stretches;
    private final Cutting cutting;
    private final double shortest;

    /** Of each stretch, the stretches and ditches that its ends lie on, and those whose ends lie on it. */
    private final List<BitSet> touched = new ArrayList<>();

    /** Of each stretch, the places where it crosses others, by their numbers. */
    private final List<Map<Integer, List<Point>>> crossed = new ArrayList<>();

    /** What hangs together of what is stitched, and the ditches. */
    private final UnionFind<Integer> together;

    private final BitSet done = new BitSet();

    /** What was stitched last; less than 0 before the first. */
    private int last = -1;

    /** About where the needle is then. */
    private Point needle = Point.ORIGIN;

    private ChangingOver(Routed whole, List<Path> ditches, double shortest) {
        this.shortest = shortest;
        Map<LineId, List<Placement>> byLine =
                whole.placements().stream().collect(Collectors.groupingBy(p -> p.of().id()));
        stretches = new Stretches(whole.lines(), byLine);
        all = List.copyOf(stretches.all());
        cutting = new Cutting(byLine);
        together = new UnionFind<>(
                IntStream.range(0, all.size() + ditches.size()).boxed().collect(Collectors.toSet()));
        touch(ditches);
        cross();
    }

    /**
     * The same lines begun less often, some of them in parts; as they are, if none is saved so.
     *
     * @param whole as it is stitched without
     * @param ditches that the needle can travel in
     * @param fromDitch whether it should begin on a ditch if it can
     * @param shortest that is stitched, in inches
     */
    public static Routed changedOver(Routed whole, List<Path> ditches, boolean fromDitch, double shortest) {
        if (whole.starts() <= 1) {
            return whole;
        }
        ChangingOver changing = new ChangingOver(whole, ditches, shortest);
        Routed parts = changing.parts();
        if (parts.lines().size() == whole.lines().size()) {
            return whole;
        }
        Routed routed = Router.route(parts.lines(), parts.placements(), ditches, fromDitch);
        return routed.starts() < whole.starts() ? routed : whole;
    }

    // --- what leads where --------------------------------------------------------------------------------------

    private void touch(List<Path> ditches) {
        CurveIndex<Integer> places = new CurveIndex<>();
        for (int i = 0; i < all.size(); i++) {
            touched.add(new BitSet());
            for (StitchLine line : all.get(i).lines()) {
                places.add(line.path(), i);
            }
        }
        for (int k = 0; k < ditches.size(); k++) {
            places.add(ditches.get(k), all.size() + k);
        }
        for (int k = 0; k < ditches.size(); k++) {
            for (Curve curve : ditches.get(k).curves()) {
                for (Point end : List.of(curve.start(), curve.end())) {
                    for (int other : places.passing(end, Tolerances.SAME_PLACE)) {
                        if (other >= all.size()) {
                            together.union(all.size() + k, other);
                        }
                    }
                }
            }
        }
        for (int i = 0; i < all.size(); i++) {
            for (Point end : List.of(all.get(i).start(), all.get(i).startBackwards())) {
                for (int other : places.passing(end, Tolerances.SAME_PLACE)) {
                    if (other != i) {
                        touched.get(i).set(other);
                        if (other < all.size()) {
                            touched.get(other).set(i);
                        }
                    }
                }
            }
        }
    }

    private void cross() {
        List<Curve> curves = new ArrayList<>();
        List<Integer> of = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            crossed.add(new HashMap<>());
            for (StitchLine line : all.get(i).lines()) {
                for (Curve curve : line.path().curves()) {
                    curves.add(curve);
                    of.add(i);
                }
            }
        }
        BoxIndex index = new BoxIndex(curves.stream().map(Curve::box).toList());
        for (int i = 0; i < curves.size(); i++) {
            Curve curve = curves.get(i);
            int own = of.get(i);
            for (int k : index.along(curve)) {
                int other = of.get(k);
                if (k > i && other != own) {
                    for (Crossings.Crossing place : Crossings.of(curve, curves.get(k))) {
                        Point at = curve.at(place.onFirst());
                        crossed.get(own)
                                .computeIfAbsent(other, o -> new ArrayList<>())
                                .add(at);
                        crossed.get(other)
                                .computeIfAbsent(own, o -> new ArrayList<>())
                                .add(at);
                    }
                }
            }
        }
    }

    // --- one after the other -----------------------------------------------------------------------------------

    /** What comes next, whole or cut. */
    private record Next(int number, Optional<Cutting.Cut> cut) {}

    /** The lines in an order in which one leads to the other, some of them cut. */
    private Routed parts() {
        Set<LineId> stitched = new HashSet<>();
        List<Placement> placements = new ArrayList<>();
        List<StitchLine> lines = new ArrayList<>();
        while (done.cardinality() < all.size()) {
            Next next = next(stitched);
            Stretch stretch = all.get(next.number());
            List<Cutting.Part> parts = next.cut()
                    .map(cut -> cutting.cut(stretch.lines().get(0), cut))
                    .orElseGet(() -> cutting.whole(stretch.lines()));
            for (Cutting.Part part : parts) {
                lines.add(part.line());
                placements.addAll(part.placements());
            }
            stretch.lines().forEach(line -> stitched.add(line.id()));
            take(next.number());
            last = next.number();
            needle = next.cut().map(Cutting.Cut::farEnd).orElseGet(stretch::end);
        }
        return new Routed(lines, placements, List.of());
    }

    private void take(int number) {
        done.set(number);
        Stream.concat(touched.get(number).stream().boxed(), crossed.get(number).keySet().stream())
                .filter(other -> other >= all.size() || done.get(other))
                .forEach(other -> together.union(number, other));
    }

    /** What the thread leads to; else what it would if that were cut; else what begins a new one. */
    private Next next(Set<LineId> stitched) {
        List<Integer> free = free(stitched);
        if (last >= 0) {
            int hangs = together.find(last);
            for (int i : free) {
                if (touched.get(i).stream()
                        .anyMatch(other -> (other >= all.size() || done.get(other)) && together.find(other) == hangs)) {
                    return new Next(i, Optional.empty());
                }
            }
            Optional<Next> cut = nearest(free, hangs).stream()
                    .flatMap(i -> places(i, hangs)
                            .sorted(Comparator.comparingDouble(place -> way(i, place)))
                            .flatMap(place -> cutting.cut(all.get(i).lines().get(0), place, shortest).stream())
                            .limit(1)
                            .map(found -> new Next(i, Optional.of(found))))
                    .findFirst();
            if (cut.isPresent()) {
                return cut.get();
            }
        }
        return new Next(free.isEmpty() ? done.nextClearBit(0) : free.get(0), Optional.empty());
    }

    /** The lines that may come next and cross what the thread gets to, the one first that is cut on the shortest way. */
    private List<Integer> nearest(List<Integer> free, int hangs) {
        Map<Integer, Double> least = new HashMap<>();
        for (int i : free) {
            if (all.get(i).turns()) {
                places(i, hangs).mapToDouble(place -> way(i, place)).min().ifPresent(way -> least.put(i, way));
            }
        }
        return least.keySet().stream()
                .sorted(Comparator.<Integer>comparingDouble(least::get).thenComparingInt(i -> i))
                .toList();
    }

    /** Where a line crosses what the thread gets to. */
    private Stream<Point> places(int number, int hangs) {
        return crossed.get(number).entrySet().stream()
                .filter(other -> done.get(other.getKey()) && together.find(other.getKey()) == hangs)
                .flatMap(other -> other.getValue().stream());
    }

    /** About how far the needle goes over what is stitched: from where it is, and to the line's nearer end and back. */
    private double way(int number, Point place) {
        Stretch stretch = all.get(number);
        return needle.distance(place)
                + Math.min(place.distance(stretch.start()), place.distance(stretch.startBackwards()));
    }

    /** What may come next, motif by motif. */
    private List<Integer> free(Set<LineId> stitched) {
        int layer = Integer.MAX_VALUE;
        for (int i = done.nextClearBit(0); i < all.size(); i = done.nextClearBit(i + 1)) {
            layer = Math.min(layer, all.get(i).layer());
        }
        List<Integer> free = new ArrayList<>();
        for (int i = done.nextClearBit(0); i < all.size(); i = done.nextClearBit(i + 1)) {
            if (all.get(i).layer() == layer && stretches.isReady(all.get(i), stitched)) {
                free.add(i);
            }
        }
        return free;
    }
}
